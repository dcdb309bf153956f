namespace Lumpet.Core.Baking;

/// <summary>A pair of hands at an oven's door: what goes in and comes out of it in one minute, tray by tray.</summary>
/// <param name="OvenId">Which oven.</param>
/// <param name="FromMin">When it begins: the minute at which the plan has the trays go in and come out.</param>
/// <param name="In">Trays put in.</param>
/// <param name="Out">Trays taken out.</param>
/// <param name="Minutes">For how long, at least 1.</param>
public sealed record DoorVisit(string OvenId, int FromMin, int In, int Out, int Minutes)
{
    /// <summary>Minute after the last.</summary>
    public int ToMin => FromMin + Minutes;

    /// <summary>
    /// The visits of a plan to ovens whose trays are said to take minutes of hands, in order of time. Trays that stand there for others are among
    /// them; what was in an oven when the plan begins is taken out by nobody's minutes, as in the ovens' plan.
    /// </summary>
    public static IReadOnlyList<DoorVisit> Of(BakeProblem problem, BakePlan plan)
    {
        var actionMin = problem.Ovens.Where(oven => oven.ActionMin > 0).ToDictionary(oven => oven.Id, oven => oven.ActionMin);
        if (actionMin.Count == 0) return [];
        var begun = problem.Running.Select(tray => (tray.BakeId, tray.Tray)).ToHashSet();
        var stays = plan.Trays.Where(tray => !begun.Contains((tray.BakeId, tray.Tray))).SelectMany(StandingTrays.Stays).Select(stay => (stay.OvenId, stay.StartMin, stay.EndMin))
            .Concat(problem.Standing.Where(tray => tray.EndMin >= 0).Select(tray => (tray.OvenId, tray.StartMin, tray.EndMin)))
            .Where(stay => actionMin.ContainsKey(stay.OvenId));
        return
        [
            .. stays.SelectMany(stay => new[] { (stay.OvenId, AtMin: stay.StartMin, IsIn: true), (stay.OvenId, AtMin: stay.EndMin, IsIn: false) })
                .Where(action => action.AtMin >= 0)
                .GroupBy(action => (action.AtMin, action.OvenId))
                .OrderBy(visit => visit.Key.AtMin).ThenBy(visit => visit.Key.OvenId, StringComparer.Ordinal)
                .Select(visit => new DoorVisit(visit.Key.OvenId, visit.Key.AtMin, visit.Count(action => action.IsIn), visit.Count(action => !action.IsIn), visit.Count() * actionMin[visit.Key.OvenId])),
        ];
    }
}
