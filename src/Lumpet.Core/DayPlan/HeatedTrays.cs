using Lumpet.Core.Baking;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// Trays that are heated empty before pies go on them. They hold their places meanwhile: to the ovens the first stage is so much
/// longer, and what it is for comes in so much later.
/// </summary>
internal static class HeatedTrays
{
    /// <summary>The stages for which a bake's trays are in an oven.</summary>
    public static IReadOnlyList<BakeStage> Stages(Step bake) => bake.HeatedTrayMin == 0 ? bake.Stages
        : [bake.Stages[0] with { MinMin = bake.Stages[0].MinMin + bake.HeatedTrayMin, MaxMin = bake.Stages[0].MaxMin + bake.HeatedTrayMin }, .. bake.Stages.Skip(1)];

    /// <summary>When trays may go in whose pies may from a minute on; never before the day begins.</summary>
    public static int Release(Step bake, int pies) => Math.Max(0, pies - bake.HeatedTrayMin);

    /// <summary>What lies between an earlier bake and the trays, where so much lies between it and the pies.</summary>
    public static BakeAfter After(Step bake, BakeAfter pies)
    {
        var least = Math.Max(0, pies.MinLagMin - bake.HeatedTrayMin);
        return pies with { MinLagMin = least, MaxLagMin = Math.Max(least, pies.MaxLagMin - bake.HeatedTrayMin) };
    }

    /// <summary>When the pies of a tray went in.</summary>
    public static int PiesIn(Step bake, BakedTray tray) => tray.StartMin + bake.HeatedTrayMin;
}
