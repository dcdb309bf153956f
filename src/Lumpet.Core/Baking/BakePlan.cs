namespace Lumpet.Core.Baking;

/// <summary>What the oven planner answers.</summary>
/// <param name="Settings">Every change of an oven's setting, sorted by minute.</param>
/// <param name="Trays">Every tray that is baked, with its stages.</param>
/// <param name="Unplaced">Every tray that is not.</param>
/// <param name="Cost">What the plan costs.</param>
/// <param name="LowerBound">What no plan that places as many pies can undercut.</param>
public sealed record BakePlan(
    IReadOnlyList<OvenSetting> Settings,
    IReadOnlyList<BakedTray> Trays,
    IReadOnlyList<UnplacedTray> Unplaced,
    BakePlanCost Cost,
    BakePlanBound LowerBound);

/// <summary>A change of an oven's setting.</summary>
/// <param name="OvenId">The oven.</param>
/// <param name="AtMin">From this minute on.</param>
/// <param name="TempC">The new setting; null switches the oven off.</param>
public sealed record OvenSetting(string OvenId, int AtMin, int? TempC);

/// <summary>A tray that is baked.</summary>
/// <param name="BakeId">Its bake.</param>
/// <param name="Tray">Its number in the bake, from 1.</param>
/// <param name="Stages">Where and when each stage takes place.</param>
public sealed record BakedTray(string BakeId, int Tray, IReadOnlyList<BakedStage> Stages)
{
    /// <summary>The minute at which it enters its first oven.</summary>
    public int StartMin => Stages[0].StartMin;

    /// <summary>The minute at which it leaves its last oven.</summary>
    public int EndMin => Stages[^1].EndMin;

    /// <summary>The minutes at which it is put into an oven, from the bench or from another oven, but for those at which it was in when the plan starts.</summary>
    public IEnumerable<int> Entering(string ovenId) => Stages
        .Where((stage, at) => stage.OvenId == ovenId && stage.StartMin >= 0 && (at == 0 || Stages[at - 1].OvenId != ovenId))
        .Select(stage => stage.StartMin);

    /// <summary>How many trays are put into an oven, by minute, those that stand in it among them.</summary>
    /// <param name="problem">What was planned.</param>
    /// <param name="trays">The trays that were baked.</param>
    /// <param name="ovenId">The oven.</param>
    public static IReadOnlyDictionary<int, int> EnteringAll(BakeProblem problem, IEnumerable<BakedTray> trays, string ovenId) =>
        trays.SelectMany(tray => tray.Entering(ovenId)).Concat(problem.Standing.Where(tray => tray.OvenId == ovenId).Select(tray => tray.StartMin)).GroupBy(minute => minute).ToDictionary(group => group.Key, group => group.Count());
}

/// <summary>One stage of one tray; it holds a shelf from its start up to, not including, its end.</summary>
/// <param name="OvenId">The oven.</param>
/// <param name="StartMin">First minute.</param>
/// <param name="EndMin">Minute after the last.</param>
public sealed record BakedStage(string OvenId, int StartMin, int EndMin);

/// <summary>A tray that no oven takes.</summary>
/// <param name="BakeId">Its bake.</param>
/// <param name="Tray">Its number in the bake, from 1.</param>
/// <param name="Reason">What binds, in plain words.</param>
public sealed record UnplacedTray(string BakeId, int Tray, string Reason);

/// <summary>What a plan costs, by component.</summary>
/// <param name="TardyPieMin">Pies times minutes out after due.</param>
/// <param name="OvenOnMin">Minutes for which ovens are not off.</param>
/// <param name="SettingChanges">Settings that differ from the last temperature set on that oven.</param>
/// <param name="EarlyPieMin">Pies times minutes out before due.</param>
/// <param name="UnplacedPies">Pies on trays left out; not in the total.</param>
public sealed record BakePlanCost(long TardyPieMin, long OvenOnMin, long SettingChanges, long EarlyPieMin, long UnplacedPies)
{
    /// <summary>Minutes at which an oven's door is opened for trays in or out, counted for each oven.</summary>
    public long DoorOpenings { get; init; }

    /// <summary>Doors that are opened in the minute of another oven's.</summary>
    public long DoorClashes { get; init; }

    /// <summary>What counts for how much.</summary>
    public BakeWeights Weights { get; init; } = BakeWeights.Usual;

    /// <summary>All of it by its weights, exact: where none are named 1000 tardy + 100 on + 200 changes + 0.1 early.</summary>
    public decimal Total =>
        (BakeWeights.PerTardyPieMin * (decimal)TardyPieMin) + (Weights.PerOvenOnMin * (decimal)OvenOnMin)
        + (Weights.PerSettingChange * (decimal)SettingChanges) + (Weights.EarlyTenths * (decimal)EarlyPieMin / 10)
        + (Weights.PerDoorOpening * (decimal)DoorOpenings) + (Weights.PerDoorClash * (decimal)DoorClashes);
}

/// <summary>Proven lower bounds for plans that place as many pies.</summary>
/// <param name="Total">On the total cost.</param>
/// <param name="OvenOnMin">On the minutes for which ovens are on.</param>
public sealed record BakePlanBound(decimal Total, long OvenOnMin);
