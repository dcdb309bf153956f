using Lumpet.Core.Batches;

namespace Lumpet.Core.DayPlan;

/// <summary>What a day makes before its pies.</summary>
/// <param name="Batches">Batches with their times.</param>
/// <param name="Dough">What pies and batches take of doughs beside discs: crumbled over a pie, baked as shells.</param>
internal sealed record DayMade(IReadOnlyList<MadeBatch> Batches, IReadOnlyList<PreparationDemand> Dough)
{
    /// <summary>Nothing is made first.</summary>
    public static DayMade Nothing { get; } = new([], []);
}
