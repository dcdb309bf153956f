using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>What a baker does at an oven, by the clock.</summary>
public enum OvenAct
{
    /// <summary>Set the oven; nothing changes for what is inside.</summary>
    Set,

    /// <summary>Set the oven lower or higher under trays whose next stage begins.</summary>
    Drop,

    /// <summary>Switch the oven off.</summary>
    Off,

    /// <summary>Put empty trays in to heat, for what stands on them later.</summary>
    HeatTrays,

    /// <summary>Put trays in from the bench.</summary>
    In,

    /// <summary>Put trays in that come from another oven.</summary>
    Move,

    /// <summary>Take the weights out of shells; they go on baking bare.</summary>
    WeightsOut,

    /// <summary>Turn trays half-way.</summary>
    Turn,

    /// <summary>Something else that is done to a bake at its minute.</summary>
    Handwork,

    /// <summary>Take trays out to the rack.</summary>
    Out,
}

/// <summary>One step at an oven: one action at one minute, whatever it concerns.</summary>
/// <param name="AtMin">When.</param>
/// <param name="Act">What.</param>
/// <param name="OvenId">At which oven.</param>
/// <param name="TempC">Conventional temperature to set, or at which what it concerns stands then.</param>
/// <param name="Load">Number of the load; 0 for a setting, and for what belongs to a day before.</param>
/// <param name="Visits">The trays concerned; empty for a setting.</param>
public sealed record OvenStep(int AtMin, OvenAct Act, string OvenId, int? TempC, int Load, IReadOnlyList<LoadVisit> Visits)
{
    /// <summary>Minutes for which empty trays are heated; 0 of other steps.</summary>
    public int HeatedMin { get; init; }

    /// <summary>What is done, of handwork; empty of other steps.</summary>
    public string Words { get; init; } = string.Empty;
}

/// <summary>Writes a plan's ovens out step by step.</summary>
public static class OvenSteps
{
    /// <summary>All steps in order of time; at one minute trays come out first, then settings change, then trays go in.</summary>
    public static IReadOnlyList<OvenStep> Of(PlannedDay day)
    {
        Stay[] stays =
        [
            .. day.Loads.SelectMany(load => load.Visits.Select(visit => new Stay(load.OvenId, load.Number, visit, day.Thing(visit).Step))),
            // Whoever serves the ovens serves days before as well.
            .. day.Taken.Loads.Select(load => new Stay(load.OvenId, 0, load.Visit, load.Thing.Step)),
        ];
        var settings = day.BakePlan.Settings.Select(setting =>
        {
            var oven = setting.OvenId;
            var drops = stays.Any(stay => stay.OvenId == oven && stay.Visit.Stages.Skip(1).Any(stage => stage.StartMin == setting.AtMin));
            return new OvenStep(setting.AtMin, setting.TempC is null ? OvenAct.Off : drops ? OvenAct.Drop : OvenAct.Set, oven, setting.TempC, 0, []);
        });
        return
        [
            .. settings.Concat(Heated(stays)).Concat(stays.SelectMany(stay => Handled(day, stay, stays)).GroupBy(one => (one.AtMin, one.Act, one.OvenId, one.Load, one.TempC, one.Words))
                    // One action at one minute is one line, whatever it concerns.
                    .Select(group => group.First() with { Visits = [.. group.SelectMany(one => one.Visits)] }))
                .OrderBy(step => step.AtMin).ThenBy(step => Rank(step.Act)).ThenBy(step => step.OvenId, StringComparer.Ordinal).ThenBy(step => step.Load).ThenBy(step => step.TempC).ThenBy(step => step.Words, StringComparer.Ordinal),
        ];
    }

    private static IEnumerable<OvenStep> Handled(PlannedDay day, Stay stay, Stay[] stays)
    {
        var (visit, bake) = (stay.Visit, stay.Step);
        OvenStep At(int minute, OvenAct act) => new(minute, act, stay.OvenId, stay.TempAt(minute), stay.Load, [visit]);
        yield return At(visit.Stages[0].StartMin, visit.FromOvenId is null ? OvenAct.In : OvenAct.Move);
        // Minutes of the bake count from its first stage, wherever that was.
        var from = visit.FromOvenId is null ? visit.Stages[0].StartMin : FirstStart(stay, stays);
        var until = EndOf(stay, stays);
        if (bake.WeightsOutMin is { } weights && Holds(from + weights)) yield return At(from + weights, OvenAct.WeightsOut);
        if (bake.Turned && Holds(from + ((until - from) / 2))) yield return At(from + ((until - from) / 2), OvenAct.Turn);
        foreach (var work in bake.Handwork)
            if (work.AfterMin is { } minute && Holds(from + minute))
                yield return At(from + minute, OvenAct.Handwork) with { Words = work.Words };
        // What moves on is taken out where it is put in: one step for two hands.
        if (!stays.Any(other => IsNext(stay, other))) yield return At(visit.EndMin, OvenAct.Out);

        bool Holds(int minute) => minute > visit.Stages[0].StartMin && minute < visit.EndMin;
    }

    private static int FirstStart(Stay stay, Stay[] stays) =>
        stays.FirstOrDefault(other => IsNext(other, stay)) is { } before ? FirstStart(before, stays) : stay.Visit.Stages[0].StartMin;

    private static int EndOf(Stay stay, Stay[] stays) =>
        stays.FirstOrDefault(other => IsNext(stay, other)) is { } next ? EndOf(next, stays) : stay.Visit.EndMin;

    private static bool IsNext(Stay stay, Stay other) =>
        other.Visit.FromOvenId == stay.OvenId && other.Visit.LotId == stay.Visit.LotId && other.Visit.StepId == stay.Visit.StepId && other.Visit.LeftAtMin == stay.Visit.EndMin;

    /// <summary>Empty trays go in as early before their pies as is wanted; they hold their places meanwhile.</summary>
    private static IEnumerable<OvenStep> Heated(Stay[] stays) =>
        stays.Where(stay => stay.Visit.HeatedFromMin < stay.Visit.Stages[0].StartMin)
            .GroupBy(stay => (stay.OvenId, stay.Load, stay.Visit.HeatedFromMin))
            .Select(load => new OvenStep(load.Key.HeatedFromMin, OvenAct.HeatTrays, load.Key.OvenId, load.First().TempAt(load.Key.HeatedFromMin), load.Key.Load, [.. load.Select(stay => stay.Visit)])
            {
                HeatedMin = load.First().Visit.Stages[0].StartMin - load.Key.HeatedFromMin,
            });

    private static int Rank(OvenAct act) => act switch
    {
        OvenAct.Out => 0,
        OvenAct.Set or OvenAct.Drop or OvenAct.Off => 1,
        OvenAct.WeightsOut or OvenAct.Turn or OvenAct.Handwork => 2,
        OvenAct.HeatTrays => 3,
        _ => 4,
    };

    /// <summary>Trays in an oven, with the bake that they are in for.</summary>
    private sealed record Stay(string OvenId, int Load, LoadVisit Visit, Step Step)
    {
        /// <summary>The temperature of the stage that they are in at a minute; at their end that of the last.</summary>
        public int TempAt(int minute) => (Visit.Stages.FirstOrDefault(stage => minute < stage.EndMin) ?? Visit.Stages[^1]).TempC;
    }
}
