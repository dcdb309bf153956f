using Lumpet.Core.Bakery;
using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Planning;
using Lumpet.Core.Dough;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// Plans a day: forward to the oven door, the ovens, then everything before the bakes as late and everything after them
/// as early as it should be. Where the bench cannot deliver a bake in time, that bake is let in later and the ovens are
/// planned again.
/// </summary>
public static class DayPlanner
{
    /// <summary>Oven plans built for the final round where nothing else is asked for: someone is waiting for the answer.</summary>
    public const int DefaultEffort = 12;

    // Few are needed in practice; a bound keeps a hopeless day from planning for ever.
    private const int MostRounds = 8;

    // A day of this many trays gets the whole effort; a larger one less, so that an answer comes while one waits.
    private const int TraysForWholeEffort = 40;

    // While releases are still being found, the standard orders are enough.
    private const int EffortWhileLoosening = 6;

    /// <summary>Plans a snapshot. The same snapshot gives the same plan.</summary>
    /// <exception cref="ArgumentException">A product's steps do not hold together.</exception>
    public static PlannedDay Plan(DaySnapshot snapshot, int effort = DefaultEffort)
    {
        var calendar = new ShiftCalendar(snapshot.Shifts);
        var mostTrays = snapshot.Ovens.Select(oven => oven.Shelves).DefaultIfEmpty(1).Max();
        LotWork[] works = [.. Lot.From(snapshot.Orders).Select(lot => new LotWork(lot, calendar, mostTrays, snapshot.SpareMin))];
        var question = new OvenQuestion(snapshot, calendar, works);
        foreach (var work in works)
            foreach (var node in work.Graph.Bakes) work.ReleaseFrom(node, 0, snapshot.HorizonMin);

        var trays = works.Sum(work => work.Lot.Trays.Count * work.Graph.Bakes.Count);
        effort = Math.Max(2, Math.Min(effort, effort * TraysForWholeEffort / Math.Max(1, trays)));
        DayAttempt? best = null;
        for (var round = 0; round < MostRounds; round++)
        {
            var attempt = Attempt(snapshot, calendar, question, works, Math.Min(effort, EffortWhileLoosening));
            if (best is null || attempt.IsBetterThan(best)) best = attempt;
            if (!Loosen(attempt, works, snapshot.HorizonMin)) break;
        }

        var thorough = Attempt(snapshot, calendar, question, works, effort);
        return PlannedDays.From(works, question.Stretches, calendar.Stretches, thorough.IsBetterThan(best!) ? thorough : best!);
    }

    private static DayAttempt Attempt(
        DaySnapshot snapshot, ShiftCalendar calendar, OvenQuestion question, LotWork[] works, int effort)
    {
        var problem = question.Problem();
        var plan = BakePlanner.Plan(problem, effort);
        var baked = plan.Trays.ToLookup(tray => tray.BakeId);
        Parcel[] parcels = [.. works.SelectMany(work => Parcel.Of(work, baked))];
        var batches = parcels.SelectMany(Demands)
            .GroupBy(demand => demand.Dough.Id)
            .OrderBy(group => group.Key, StringComparer.Ordinal)
            .SelectMany(group => DoughBatching.Divide([.. group], snapshot.Mixer))
            .ToArray();
        var firstMin = calendar.Stretches.Count > 0 ? calendar.Stretches[0].StartMin : 0;
        return new DayAttempt(problem, plan, parcels, Mixing.Schedule(batches, calendar.LatestStart, firstMin), snapshot.Mixer);
    }

    /// <summary>The discs that a parcel takes.</summary>
    private static IEnumerable<DoughDemand> Demands(Parcel parcel)
    {
        var (work, lot) = (parcel.Work, parcel.Work.Lot);
        var pieces = Scaling.Scale(lot.Product, lot.Pan, parcel.Pies).Pieces;
        return
            from node in Enumerable.Range(0, work.Graph.Nodes.Count)
            where work.Graph.Nodes[node].UsesDough
            from piece in pieces
            select new DoughDemand(
                lot.Product.Dough, lot.Id, $"{lot.Product.Name}, {lot.Pan.Name}, {piece.Name}", OnTheScale(piece.Disc), parcel.Pies, parcel.Times.Start[node]);
    }

    /// <summary>A disc is portioned on the scale, so it is rounded there, and a batch is the sum of what is portioned.</summary>
    private static Mass OnTheScale(Mass disc) => Mass.FromGrams(Math.Round(disc.Grams, MidpointRounding.AwayFromZero));

    /// <summary>Gives up aims that make bakes late, and lets bakes in later whose work does not fit. Answers whether anything changed.</summary>
    private static bool Loosen(DayAttempt attempt, LotWork[] works, int horizonMin)
    {
        var changed = false;
        foreach (var work in works.Where(work => !work.AimGivenUp))
        {
            var due = work.Due(work.Graph.LastBake);
            var late = attempt.Plan.Trays.Any(tray => tray.BakeId == work.BakeId(work.Graph.LastBake) && tray.EndMin > due);
            if (!late) continue;
            work.AimGivenUp = changed = true;
        }

        foreach (var parcel in attempt.Parcels)
        {
            foreach (var misfit in parcel.Times.Misfits) changed |= Later(parcel, misfit.Bake, Math.Max(1, misfit.Short), horizonMin);
            foreach (var mixed in attempt.Mixed.Where(mixed => mixed.Short > 0 && mixed.Batch.Discs.Any(disc => disc.LotId == parcel.Work.Lot.Id)))
                changed |= Later(parcel, parcel.Work.Graph.Bakes[0], mixed.Short, horizonMin);
        }

        return changed;
    }

    private static bool Later(Parcel parcel, int bake, int minutes, int horizonMin)
    {
        var (work, before) = (parcel.Work, parcel.Work.Release[bake]);
        work.ReleaseFrom(bake, Math.Max(before, parcel.Times.Start[bake] + minutes), horizonMin);
        return work.Release[bake] > before;
    }
}

/// <summary>One round of planning.</summary>
/// <param name="Problem">What the ovens were asked.</param>
/// <param name="Plan">What they answered.</param>
/// <param name="Parcels">Everything around the bakes.</param>
/// <param name="Mixed">Dough batches, timed.</param>
/// <param name="Mixer">The mixer.</param>
internal sealed record DayAttempt(BakeProblem Problem, BakePlan Plan, IReadOnlyList<Parcel> Parcels, IReadOnlyList<MixedBatch> Mixed, Mixer Mixer)
{
    private long UnplacedTrays => Plan.Unplaced.Count;

    private int Misfits => Parcels.Sum(parcel => parcel.Times.Misfits.Count) + Mixed.Count(mixed => mixed.Short > 0);

    private long LatePieMin => Parcels.Sum(parcel => (long)parcel.Pies * Math.Max(0, parcel.DoneMin - parcel.Work.Lot.PickUpMin));

    // Work that cannot be done weighs more than a late pie: a plan that nobody can follow is none.
    public bool IsBetterThan(DayAttempt other) =>
        (UnplacedTrays, Misfits, LatePieMin, Plan.Cost.Total)
            .CompareTo((other.UnplacedTrays, other.Misfits, other.LatePieMin, other.Plan.Cost.Total)) < 0;
}
