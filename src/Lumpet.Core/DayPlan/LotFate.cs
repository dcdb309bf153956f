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

    /// <summary>Whether all of its pies are boxed by when they must be: by their pick-up, or as much later as they may be.</summary>
    internal bool IsServed => NotBaked + Unfit == 0 && LateMin <= Lot.MayBeLateMin;

    /// <summary>The fates of all lots in a round of planning, in the order of the aims.</summary>
    internal static IReadOnlyList<LotFate> Of(IReadOnlyList<LotAim> aims, BakePlan plan, IReadOnlyList<Parcel> all, IReadOnlyList<MixedBatch> mixed, IReadOnlyList<MadeBatch> made, Mixer mixer, IReadOnlyDictionary<Parcel, PanShort> pansShort)
    {
        var parcels = all.ToLookup(parcel => parcel.Work.Lot.Id);
        var batches = mixed.SelectMany(one => one.Batch.LotIds.Select(lot => (Lot: lot, Mixed: one))).ToLookup(pair => pair.Lot, pair => pair.Mixed);
        var before = made.SelectMany(one => one.Batch.LotIds.Select(lot => (Lot: lot, Made: one))).ToLookup(pair => pair.Lot, pair => pair.Made);
        var leftOut = plan.Unplaced.DistinctBy(tray => tray.BakeId).ToDictionary(tray => tray.BakeId, tray => tray.Reason);
        return [.. aims.Select(aim => Of(aim.Work, [.. parcels[aim.Work.Lot.Id]], [.. batches[aim.Work.Lot.Id]], [.. before[aim.Work.Lot.Id]], leftOut, mixer, pansShort))];
    }

    private static LotFate Of(LotWork work, Parcel[] parcels, MixedBatch[] batches, MadeBatch[] made, IReadOnlyDictionary<string, string> leftOut, Mixer mixer, IReadOnlyDictionary<Parcel, PanShort> pansShort)
    {
        var obstacles = parcels.ToDictionary(parcel => parcel, parcel => Obstacle(parcel, batches, made, mixer) ?? pansShort.GetValueOrDefault(parcel)?.Why, ReferenceEqualityComparer.Instance as IEqualityComparer<Parcel>);
        Parcel[] fit = [.. parcels.Where(parcel => obstacles[parcel] is null)];
        Parcel[] late = [.. fit.Where(parcel => parcel.DoneMin > work.Lot.PickUpMin)];
        var notBaked = work.Lot.Count - parcels.Sum(parcel => parcel.Pies);
        return new LotFate(
            work.Lot,
            fit.Sum(parcel => parcel.Pies) - late.Sum(parcel => parcel.Pies),
            late.Sum(parcel => parcel.Pies),
            late.Select(parcel => parcel.DoneMin - work.Lot.PickUpMin).DefaultIfEmpty(0).Max(),
            parcels.Sum(parcel => parcel.Pies) - fit.Sum(parcel => parcel.Pies),
            notBaked,
            fit.Length == 0 ? null : fit.Max(parcel => parcel.DoneMin),
            obstacles.Values.OfType<PlanText>().FirstOrDefault() ?? Empty,
            notBaked == 0 ? Empty : Say($"no oven takes them: {work.Graph.Bakes.Select(node => leftOut.GetValueOrDefault(work.BakeId(node))).FirstOrDefault(reason => reason is not null)}"));
    }

    /// <summary>Whether a batch that comes too late is one that a parcel takes before it could be there, itself or in something else.</summary>
    private static bool IsTakenBy(MadeBatch made, Parcel parcel) =>
        made.Breaks
        || made.Batch.Uses.All(use => use.LotIds.Count > 1 || !use.TaskId.StartsWith($"{parcel.Work.Lot.Id}/", StringComparison.Ordinal))
        || parcel.Work.Takes.Any(taken => parcel.Times.Start[taken.Node] < made.Batch.NeededMin + made.Short && PreparationTaking.Planned(taken.Line.Ingredient).Any(one => one.Id == made.Batch.Made.Id));

    /// <summary>Why a parcel's work cannot be done around its bakes, or null where it can.</summary>
    private static PlanText? Obstacle(Parcel parcel, MixedBatch[] batches, MadeBatch[] made, Mixer mixer)
    {
        if (batches.FirstOrDefault(one => one.Batch.Dough.IsMixed && one.Batch.Mass > mixer.LargestBatch) is { } large)
            return Say($"a disc of {(int)Math.Round(large.Batch.Discs.Max(disc => disc.Disc.Grams))} g of {large.Batch.Dough.Name} is more than the mixer takes ({FormattableString.Invariant($"{mixer.LargestBatch.Kilograms:0.##}")} kg)");
        if (parcel.Times.Misfits.Count > 0) return parcel.Times.Misfits[0].Why;
        if (made.FirstOrDefault(one => one.Short > 0 && IsTakenBy(one, parcel)) is { } late)
            return Say($"{late.Batch.About} cannot be made by {At(late.Batch.NeededMin)}: {late.Why}");
        var rolled = parcel.Times.Start.Where((_, node) => parcel.Work.Graph.Nodes[node].UsesDough);
        return batches.FirstOrDefault(one => one.Short > 0 && IsTooLate(one)) is { } batch
            ? Say($"the mixer cannot have {batch.Batch.Dough.Name} mixed and rested by {At(batch.Batch.NeededMin)}")
            : null;

        // What else is in a bowl may want it sooner than these pies do; theirs may be there already.
        bool IsTooLate(MixedBatch one) =>
            (one.Batch.Discs.Any(disc => disc.IsDiscOf(parcel.Work.Lot.Id) && (disc.TaskId is null || disc.TaskId.StartsWith(DayTasks.Id(parcel, string.Empty), StringComparison.Ordinal))) && rolled.Any(start => start < one.ReadyMin))
            || one.Batch.Discs.Any(portion => portion.Piece is null && portion.LotIds.Contains(parcel.Work.Lot.Id) && portion.NeededMin < one.ReadyMin);
    }
}
