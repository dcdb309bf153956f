namespace Lumpet.Core.DayPlan;

/// <summary>Says what does not work out, what binds, and what would free it.</summary>
internal static class Troubles
{
    // Ovens that are reached within this many minutes of the first possible one were not what held a bake up.
    private const int AtOnceMin = 5;

    private static readonly TroubleText LongerOrLess = new("a longer shift, a later pick-up or fewer pies would free it");

    /// <summary>The troubles of a round, worst first.</summary>
    public static IReadOnlyList<Trouble> In(IReadOnlyList<LotWork> works, DayAttempt attempt) =>
        [.. works.SelectMany(work => Of(work, attempt)).OrderBy(trouble => trouble.LateMin is null ? 0 : 1).ThenByDescending(trouble => trouble.LateMin)];

    private static IEnumerable<Trouble> Of(LotWork work, DayAttempt attempt)
    {
        Parcel[] parcels = [.. attempt.Parcels.Where(parcel => parcel.Work == work)];
        var missing = work.Lot.Count - parcels.Sum(parcel => parcel.Pies);
        if (missing > 0) yield return NotBaked(work, attempt, missing);

        Parcel[] late = [.. parcels.Where(parcel => parcel.DoneMin > work.Lot.PickUpMin)];
        Parcel[] undoable = [.. parcels.Except(late).Where(parcel => Why(parcel, attempt) is not null)];
        if (late.Length > 0)
        {
            var worst = late.MaxBy(parcel => parcel.DoneMin)!;
            var impossible = Why(worst, attempt);
            yield return new Trouble(
                work.Lot.Id,
                late.Sum(parcel => parcel.Pies),
                worst.DoneMin - work.Lot.PickUpMin,
                impossible ?? Held(worst),
                impossible is null ? new TroubleText("a pick-up at {0} would be met", worst.DoneMin) : LongerOrLess);
        }

        if (undoable.Length > 0)
            yield return new Trouble(
                work.Lot.Id,
                undoable.Sum(parcel => parcel.Pies),
                0,
                Why(undoable[0], attempt)!,
                LongerOrLess);
    }

    private static Trouble NotBaked(LotWork work, DayAttempt attempt, int pies)
    {
        var bakeIds = work.Graph.Bakes.Select(work.BakeId).ToHashSet();
        var reason = attempt.Plan.Unplaced.First(tray => bakeIds.Contains(tray.BakeId)).Reason;
        return new Trouble(
            work.Lot.Id, pies, null, new TroubleText($"no oven takes them: {reason}"), new TroubleText("fewer pies, a longer shift or another oven would free it"));
    }

    /// <summary>Why a parcel's work cannot be done at all, or null where it can.</summary>
    private static TroubleText? Why(Parcel parcel, DayAttempt attempt)
    {
        if (attempt.Mixed.FirstOrDefault(mixed => mixed.Batch.Mass > attempt.Mixer.LargestBatch && mixed.Batch.Discs.Any(disc => disc.LotId == parcel.Work.Lot.Id)) is { } large)
            return new TroubleText(FormattableString.Invariant(
                $"a disc of {large.Batch.Discs.Max(disc => disc.Disc.Grams):0} g of {large.Batch.Dough.Name} is more than the mixer takes ({attempt.Mixer.LargestBatch.Kilograms:0.##} kg)"));
        if (parcel.Times.Misfits.Count > 0) return new TroubleText(parcel.Times.Misfits[0].Why);
        var batch = attempt.Mixed.FirstOrDefault(mixed =>
            mixed.Short > 0 && mixed.Batch.Discs.Any(disc => disc.LotId == parcel.Work.Lot.Id)
            && parcel.Times.Start.Where((_, node) => parcel.Work.Graph.Nodes[node].UsesDough).Any(start => start < mixed.Batch.NeededMin + mixed.Short));
        return batch is null ? null
            : new TroubleText($"the mixer cannot have {batch.Batch.Dough.Name} mixed and rested by {{0}}", batch.Batch.NeededMin);
    }

    /// <summary>What held a late parcel up: the bench, or the ovens.</summary>
    private static TroubleText Held(Parcel parcel)
    {
        var first = parcel.Work.Graph.Bakes[0];
        var (entry, release) = (parcel.Times.Start[first], parcel.Work.Release[first]);
        return entry - release <= AtOnceMin
            ? new TroubleText("dough, lining and filling cannot be at the oven before {0}", release)
            : new TroubleText("the ovens have no earlier place than {0}, though it could be at the door by {1}", entry, release);
    }
}
