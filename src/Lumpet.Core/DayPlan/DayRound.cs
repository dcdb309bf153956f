using Lumpet.Core.Bakery;
using Lumpet.Core.Baking;
using Lumpet.Core.Dough;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// One round of planning: what was aimed at, and what came of it. It never changes, so that a plan and everything that is
/// said of it come from the same round.
/// </summary>
/// <param name="Aims">What was aimed at, lot by lot.</param>
/// <param name="Problem">What the ovens were asked.</param>
/// <param name="Plan">What they answered.</param>
/// <param name="Parcels">Everything around the bakes.</param>
/// <param name="Mixed">Dough batches, timed.</param>
/// <param name="Mixer">The mixer.</param>
internal sealed record DayRound(
    IReadOnlyList<LotAim> Aims, BakeProblem Problem, BakePlan Plan, IReadOnlyList<Parcel> Parcels, IReadOnlyList<MixedBatch> Mixed, Mixer Mixer)
{
    /// <summary>What becomes of every lot.</summary>
    public IReadOnlyList<LotFate> Fates { get; } = [.. Aims.Select(aim => LotFate.Of(aim.Work, Plan, Parcels, Mixed, Mixer))];

    /// <summary>The aim of a lot.</summary>
    public LotAim AimOf(LotWork work) => Aims.First(aim => aim.Work == work);

    // Pies that cannot be made weigh more than late ones: a plan that nobody can follow is none.
    private (int, int, long, decimal) Rank => (
        Fates.Sum(fate => fate.NotBaked),
        Fates.Sum(fate => fate.Unfit),
        Parcels.Sum(parcel => (long)parcel.Pies * Math.Max(0, parcel.DoneMin - parcel.Work.Lot.PickUpMin)),
        Plan.Cost.Total);

    /// <summary>Whether this round serves the day better than another.</summary>
    public bool IsBetterThan(DayRound other) => Rank.CompareTo(other.Rank) < 0;
}
