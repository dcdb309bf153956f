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

    /// <summary>Put trays in from the bench.</summary>
    In,

    /// <summary>Put trays in that come from another oven.</summary>
    Move,

    /// <summary>Take trays out to the rack.</summary>
    Out,
}

/// <summary>One step at an oven.</summary>
/// <param name="AtMin">When.</param>
/// <param name="Act">What.</param>
/// <param name="OvenId">At which oven.</param>
/// <param name="TempC">Conventional temperature to set; null where nothing is set.</param>
/// <param name="Load">Number of the load; 0 for a setting.</param>
/// <param name="Visit">The trays; null for a setting.</param>
public sealed record OvenStep(int AtMin, OvenAct Act, string OvenId, int? TempC, int Load, LoadVisit? Visit);

/// <summary>Writes a plan's ovens out step by step.</summary>
public static class OvenSteps
{
    /// <summary>All steps in order of time; at one minute trays come out first, then settings change, then trays go in.</summary>
    public static IReadOnlyList<OvenStep> Of(PlannedDay day)
    {
        var visits = day.Loads.SelectMany(load => load.Visits.Select(visit => (load.OvenId, load.Number, load.StartMin, Visit: visit))).ToArray();
        var settings = day.BakePlan.Settings.Select(setting =>
        {
            var oven = day.Stretches[setting.OvenId].Id;
            var drops = visits.Any(visit => visit.OvenId == oven && visit.Visit.Stages.Skip(1).Any(stage => stage.StartMin == setting.AtMin));
            return new OvenStep(setting.AtMin, setting.TempC is null ? OvenAct.Off : drops ? OvenAct.Drop : OvenAct.Set, oven, setting.TempC, 0, null);
        });
        // What moves on is taken out where it is put in: one step for two hands.
        var moved = visits.Where(visit => visit.Visit.FromOvenId is not null).Select(visit => (visit.Visit.FromOvenId, visit.Visit.LotId, visit.Visit.StepId, visit.Visit.LeftAtMin)).ToHashSet();
        var ins = visits.Select(visit => new OvenStep(visit.StartMin, visit.Visit.FromOvenId is null ? OvenAct.In : OvenAct.Move, visit.OvenId, null, visit.Number, visit.Visit));
        var outs = visits.Where(visit => !moved.Contains((visit.OvenId, visit.Visit.LotId, visit.Visit.StepId, visit.Visit.EndMin)))
            .Select(visit => new OvenStep(visit.Visit.EndMin, OvenAct.Out, visit.OvenId, null, visit.Number, visit.Visit));
        return [.. settings.Concat(ins).Concat(outs).OrderBy(step => step.AtMin).ThenBy(step => Rank(step.Act)).ThenBy(step => step.OvenId, StringComparer.Ordinal).ThenBy(step => step.Load)];
    }

    private static int Rank(OvenAct act) => act switch { OvenAct.Out => 0, OvenAct.In or OvenAct.Move => 2, _ => 1 };
}
