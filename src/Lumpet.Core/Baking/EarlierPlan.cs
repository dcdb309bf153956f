namespace Lumpet.Core.Baking;

/// <summary>A plan that was made for much the same: the planner keeps of it what still holds, and goes on from there.</summary>
/// <param name="Settings">Its changes of setting.</param>
/// <param name="Trays">Its trays.</param>
public sealed record EarlierPlan(IReadOnlyList<OvenSetting> Settings, IReadOnlyList<BakedTray> Trays)
{
    /// <summary>What was planned.</summary>
    public static EarlierPlan Of(BakePlan plan) => new(plan.Settings, plan.Trays);
}
