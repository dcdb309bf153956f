using Lumpet.Core.Bakery;
using Lumpet.Core.Baking;
using Lumpet.Core.Dough;
using static Lumpet.Core.DayPlan.PlanText;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// What becomes of the pies of a lot: the one account of what is in time, late, unfit or not baked. Sentence, pick-ups,
/// troubles and hands are all told from it.
/// </summary>
/// <param name="Lot">The lot.</param>
/// <param name="InTime">Pies boxed by their pick-up.</param>
/// <param name="Late">Pies boxed after it.</param>
/// <param name="LateMin">By how many minutes the last of them is late; 0 where none is.</param>
/// <param name="Unfit">Pies that have a place in an oven, but whose work cannot be done around it.</param>
/// <param name="NotBaked">Pies that have no place in an oven.</param>
/// <param name="DoneMin">When the last of those in time or late is boxed; null where there are none.</param>
/// <param name="WhyUnfit">What stands in the way of the unfit; empty where there are none.</param>
/// <param name="WhyNotBaked">What stands in the way of those not baked; empty where there are none.</param>
public sealed record LotFate(
    Lot Lot, int InTime, int Late, int LateMin, int Unfit, int NotBaked, int? DoneMin, PlanText WhyUnfit, PlanText WhyNotBaked)
{
    /// <summary>Pies that are not boxed by their pick-up, for whatever reason.</summary>
    public int Missed => Late + Unfit + NotBaked;

    /// <summary>The fate of a lot in a round of planning.</summary>
    internal static LotFate Of(LotWork work, BakePlan plan, IReadOnlyList<Parcel> all, IReadOnlyList<MixedBatch> mixed, Mixer mixer)
    {
        Parcel[] parcels = [.. all.Where(parcel => parcel.Work == work)];
        var obstacles = parcels.ToDictionary(parcel => parcel, parcel => Obstacle(parcel, mixed, mixer), ReferenceEqualityComparer.Instance as IEqualityComparer<Parcel>);
        Parcel[] fit = [.. parcels.Where(parcel => obstacles[parcel] is null)];
        Parcel[] late = [.. fit.Where(parcel => parcel.DoneMin > work.Lot.PickUpMin)];
        var notBaked = work.Lot.Count - parcels.Sum(parcel => parcel.Pies);
        var bakes = work.Graph.Bakes.Select(work.BakeId).ToHashSet();
        return new LotFate(
            work.Lot,
            fit.Sum(parcel => parcel.Pies) - late.Sum(parcel => parcel.Pies),
            late.Sum(parcel => parcel.Pies),
            late.Select(parcel => parcel.DoneMin - work.Lot.PickUpMin).DefaultIfEmpty(0).Max(),
            parcels.Sum(parcel => parcel.Pies) - fit.Sum(parcel => parcel.Pies),
            notBaked,
            fit.Length == 0 ? null : fit.Max(parcel => parcel.DoneMin),
            obstacles.Values.OfType<PlanText>().FirstOrDefault() ?? Empty,
            notBaked == 0 ? Empty : Say($"no oven takes them: {plan.Unplaced.FirstOrDefault(tray => bakes.Contains(tray.BakeId))?.Reason}"));
    }

    /// <summary>Why a parcel's work cannot be done around its bakes, or null where it can.</summary>
    private static PlanText? Obstacle(Parcel parcel, IReadOnlyList<MixedBatch> mixed, Mixer mixer)
    {
        MixedBatch[] batches = [.. mixed.Where(one => one.Batch.Discs.Any(disc => disc.LotId == parcel.Work.Lot.Id))];
        if (batches.FirstOrDefault(one => one.Batch.Mass > mixer.LargestBatch) is { } large)
            return Say($"a disc of {(int)Math.Round(large.Batch.Discs.Max(disc => disc.Disc.Grams))} g of {large.Batch.Dough.Name} is more than the mixer takes ({FormattableString.Invariant($"{mixer.LargestBatch.Kilograms:0.##}")} kg)");
        if (parcel.Times.Misfits.Count > 0) return parcel.Times.Misfits[0].Why;
        var rolled = parcel.Times.Start.Where((_, node) => parcel.Work.Graph.Nodes[node].UsesDough);
        return batches.FirstOrDefault(one => one.Short > 0 && rolled.Any(start => start < one.Batch.NeededMin + one.Short)) is { } batch
            ? Say($"the mixer cannot have {batch.Batch.Dough.Name} mixed and rested by {At(batch.Batch.NeededMin)}")
            : null;
    }
}
