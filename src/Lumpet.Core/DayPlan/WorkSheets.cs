using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>Hands a plan's work out on sheets of paper: one for each pair of hands of each shift, or one for each station.</summary>
public static class WorkSheets
{
    /// <summary>
    /// A sheet for each pair of hands that a shift needs at once. Who is who is the crew's own matter; within a shift whoever is
    /// free goes on with what was at hand. Work outside the shifts, which is on pies that cannot be made, is on no sheet.
    /// </summary>
    /// <param name="plan">The plan.</param>
    /// <param name="shifts">The shifts, whole, in order of time; where two overlap, work is in the one that began first.</param>
    public static IReadOnlyList<WorkSheet> ByPerson(PlannedDay plan, IReadOnlyList<DayShift> shifts)
    {
        var sheets = new List<WorkSheet>();
        var told = new HashSet<string>();
        foreach (var (shift, at) in shifts.Select((shift, at) => (shift, at)))
        {
            DayTask[] work = [.. plan.AllTasks().Where(task => task.StartMin >= shift.StartMin && task.StartMin < shift.EndMin && told.Add(task.Id))];
            sheets.AddRange(CrewRota.Of(work).Select(line => new WorkSheet(FormattableString.Invariant($"{at + 1}-{line.Number}"), shift, line.Number, null, line.Tasks)));
        }

        return sheets;
    }

    /// <summary>A sheet for each station at which hands are at work, in the order in which they begin.</summary>
    public static IReadOnlyList<WorkSheet> ByStation(PlannedDay plan) =>
    [
        .. plan.AllTasks().Where(task => task.Kind == TaskKind.Hands && task.EndMin > task.StartMin)
            .GroupBy(task => task.Station)
            .Select(station => new WorkSheet(Naming.Of(station.Key), null, 0, station.Key, [.. station])),
    ];
}

/// <summary>Work on one sheet.</summary>
/// <param name="Id">Its name among the sheets of a plan: "2-1" of the first pair of hands in the second shift, or a station's.</param>
/// <param name="Shift">The shift; null of a station's.</param>
/// <param name="Person">Which pair of hands in it, from 1; 0 of a station's.</param>
/// <param name="Station">The station; null of a person's.</param>
/// <param name="Tasks">In order of time.</param>
public sealed record WorkSheet(string Id, DayShift? Shift, int Person, Station? Station, IReadOnlyList<DayTask> Tasks)
{
    /// <summary>Minutes of work in all.</summary>
    public int WorkMin => Tasks.Sum(task => task.EndMin - task.StartMin);
}
