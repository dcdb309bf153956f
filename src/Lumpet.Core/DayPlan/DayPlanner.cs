using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Planning;
using Lumpet.Core.Scheduling;

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

    /// <summary>
    /// Oven plans built for the final round of a plan that is let settle. Twice as many take twice as long and are no better: over twenty crowded days
    /// of drawn orders one per cent dearer, six pies more without (decision 40).
    /// </summary>
    public const int SettledEffort = 48;

    // Few are needed in practice; a bound keeps a hopeless day from planning for ever.
    private const int MostRounds = 8;
    private const int MostSearchedRounds = 8;
    private const int MostRoundsOn = 4;

    // Changes tried to level the hands' work for each oven plan that is built.
    private const int LevellingPerEffort = 60;

    // Beyond so many, more of them serve no crowded day better: tried on twelve.
    private const int MostLevelling = 900;

    // Where pies are still missed, other aims find more than more work on the same ones does.
    private const int EffortWhileSearching = 24;

    // While releases are still being found the standard orders are enough, and of a day of many trays the first of them.
    private const int EffortWhileLoosening = 6;
    private const int TraysForAllOrders = 80;

    // What is done of the whole when each part is over, as it usually goes.
    private const double DoneWithLoosening = 0.15;
    private const double DoneWithThorough = 0.6;
    private const double DoneWithKeeping = 0.7;
    private const double DoneWithSearch = 0.8;
    private const double DoneWithRounds = 0.85;

    /// <summary>Plans a snapshot. The same snapshot gives the same plan, unless patience runs out before it is settled.</summary>
    /// <param name="snapshot">What is asked.</param>
    /// <param name="effort">Oven plans built for the final round.</param>
    /// <param name="patience">How long someone waits; by default as long as it takes.</param>
    /// <param name="progress">Told about what part of the work is done, 0 to 1: how many rounds it takes is not known before.</param>
    /// <param name="solver">Betters how the hands' work is levelled; null where nothing does.</param>
    /// <exception cref="PlanStumblesException">Something that is ordered cannot be planned; it is named.</exception>
    public static PlannedDay Plan(DaySnapshot snapshot, int effort = DefaultEffort, Patience patience = default, IProgress<double>? progress = null, IScheduleSolver? solver = null)
    {
        var calendar = new ShiftCalendar(snapshot.Shifts, snapshot.Midnights);
        var question = new OvenQuestion(snapshot);
        var round = Best(snapshot, calendar, question, effort, MostRounds, patience, progress);
        // Pies that were begun may fare worse than new ones would: then they are left.
        var stuck = round.Fates.Where(fate => fate is { Lot.Begun: not null, Missed: > 0 }).Select(fate => fate.Lot.Begun!.Id).ToHashSet();
        if (stuck.Count > 0 && !patience.IsOver)
        {
            var without = snapshot with { Stock = snapshot.Stock with { Pies = [.. snapshot.Stock.Pies.Where(pies => !stuck.Contains(pies.Id))] } };
            var anew = Best(without, calendar, question, effort, MostRounds, patience);
            if (anew.Fates.Sum(fate => fate.Missed) < round.Fates.Sum(fate => fate.Missed)) (snapshot, round) = (without, anew);
        }

        if (!patience.AtOnce.IsCancellationRequested && snapshot.Kept.Trays.Count > 0) round = Kept(snapshot, calendar, question, round, effort, patience);
        if (!patience.IsOver && solver is not null) round = round.Solved(snapshot, calendar, Levelling(effort), solver, patience.Enough);
        if (!patience.IsOver) round = round.InOneGo(snapshot, calendar, Levelling(effort), patience.Enough);
        var (troubles, ways) = Troubles.In(snapshot, round, patience, PartOf(progress, DoneWithRounds, 1));
        return PlannedDays.From(round with { Apart = null }, snapshot.Ovens.ToDictionary(oven => oven.Id), calendar.Stretches, troubles, snapshot.Stock) with { IsSettled = !patience.IsOver, GoingOn = snapshot.GoingOn, WaysOut = ways };
    }

    /// <summary>
    /// The same day with the ovens as the published plan has them, as far as that still holds, where it serves as well and costs less than it is worth that
    /// trays stay where a crew has read that they are.
    /// </summary>
    private static DayRound Kept(DaySnapshot snapshot, ShiftCalendar calendar, OvenQuestion question, DayRound anew, int effort, Patience patience)
    {
        var kept = anew;
        foreach (LotAim[] aims in new LotAim[][] { FirstAims(snapshot, calendar, areYielding: false), [.. anew.Aims] })
        {
            var earlier = snapshot.Kept.For([.. aims.Select(aim => aim.Work)]);
            var tried = Round(snapshot, calendar, question, aims, anew, effort, patience, kept: earlier);
            if (patience.AtOnce.IsCancellationRequested) break;
            decimal Price(DayRound round) => round.Plan.Cost.Total + (PerMovedTray * KeptOvens.Moved(earlier, round.Plan));
            if (tried.ServesAsWellAs(kept) && Price(tried) < Price(kept)) kept = tried;
        }

        return kept;
    }

    // That a tray stays where it was is worth ten minutes of a hot oven (our own choice, no source).
    private static readonly decimal PerMovedTray = 10 * BakeWeights.Usual.PerOvenOnMin;

    private static int Levelling(int effort) => Math.Min(MostLevelling, LevellingPerEffort * effort);

    /// <summary>A part of the work, told as part of the whole.</summary>
    private static Part? PartOf(IProgress<double>? whole, double from, double to) => whole is null ? null : new Part(whole, from, to);

    private sealed record Part(IProgress<double> Whole, double From, double To) : IProgress<double>
    {
        public void Report(double value) => Whole.Report(From + (value * (To - From)));
    }

    /// <summary>The best round for a snapshot.</summary>
    /// <param name="snapshot">What is asked.</param>
    /// <param name="effort">Oven plans built for the last round.</param>
    /// <param name="mostRounds">Rounds at most before it.</param>
    /// <param name="patience">How long someone waits.</param>
    internal static DayRound Best(DaySnapshot snapshot, int effort, int mostRounds, Patience patience = default)
    {
        var calendar = new ShiftCalendar(snapshot.Shifts, snapshot.Midnights);
        return Best(snapshot, calendar, new OvenQuestion(snapshot), effort, mostRounds, patience);
    }

    private static DayRound Best(DaySnapshot snapshot, ShiftCalendar calendar, OvenQuestion question, int effort, int mostRounds, Patience patience, IProgress<double>? progress = null)
    {
        var aims = FirstAims(snapshot, calendar, areYielding: false);
        var first = aims;
        var trays = aims.Sum(aim => aim.Work.Lot.Trays.Count * aim.Work.Graph.Bakes.Count);
        var loosening = Math.Max(2, Math.Min(Math.Min(effort, EffortWhileLoosening), EffortWhileLoosening * TraysForAllOrders / Math.Max(1, trays)));
        var (best, last) = ((DayRound?)null, (DayRound?)null);
        for (var round = 0; round < mostRounds; round++)
        {
            progress?.Report(DoneWithLoosening * round / mostRounds);
            var tried = Round(snapshot, calendar, question, aims, last, loosening, patience);
            last = tried;
            // A round that was cut short is only better than none.
            if (best is null || (!patience.AtOnce.IsCancellationRequested && tried.IsBetterThan(best))) best = tried;
            // Where work does not fit around its bakes yet, a first plan is no plan: a few rounds cost little.
            if (patience.AtOnce.IsCancellationRequested || (patience.IsOver && best.Fits)) return best;
            LotAim[] looser = [.. aims.Select(aim => Loosened(tried, aim, snapshot.HorizonMin))];
            if (looser.SequenceEqual(aims, ReferenceEqualityComparer.Instance) && !tried.AsksTooLate) break;
            aims = looser;
        }

        if (patience.IsOver) return best!;
        var thorough = Round(snapshot, calendar, question, aims, last, effort, patience, PartOf(progress, DoneWithLoosening, DoneWithThorough));
        if (patience.AtOnce.IsCancellationRequested) return best!;
        if (thorough.IsBetterThan(best!)) best = thorough;
        // What a thorough oven plan asks of the work around it is seldom what a quick one does: where it does not fit, it is gone on from.
        for (var round = 0; round < MostRoundsOn && thorough.Fates.Any(fate => fate.Missed > 0) && effort > loosening && !patience.IsOver; round++)
        {
            LotAim[] looser = [.. thorough.Aims.Select(aim => Loosened(thorough, aim, snapshot.HorizonMin))];
            if (looser.SequenceEqual(thorough.Aims, ReferenceEqualityComparer.Instance) && !thorough.AsksTooLate) break;
            thorough = Round(snapshot, calendar, question, looser, thorough, Math.Min(effort, EffortWhileSearching), patience, near: thorough.Plan);
            if (patience.AtOnce.IsCancellationRequested) return best!;
            if (thorough.IsBetterThan(best!)) best = thorough;
        }

        if (patience.IsOver || effort <= loosening) return best!;
        // Waits that were given up while little work was done may be kept with more of it.
        if (aims.Any(aim => aim.GivenUp))
        {
            var keeping = Round(snapshot, calendar, question, [.. aims.Select(aim => aim with { GivenUp = false })], last, effort, patience, PartOf(progress, DoneWithThorough, DoneWithKeeping));
            if (!patience.AtOnce.IsCancellationRequested && keeping.ServesAsWellAs(best!)) best = keeping;
        }

        if (best!.Fates.All(fate => fate.Missed == 0)) return best;
        best = Searched(snapshot, calendar, question, [.. first.Select(aim => aim with { IsShortlyInPans = true })], best, effort, patience, PartOf(progress, DoneWithKeeping, DoneWithSearch));
        // What is as late as it may be may find its work between two shifts: then sooner is better, where later was tried.
        LotAim[] sooner = [.. first.Select(aim => aim with { IsShortlyInPans = true, IsDueWhereWorkFits = true })];
        if (best.Fates.Any(fate => fate.Missed > 0) && sooner.Zip(first).Any(aim => aim.First.Work.Graph.Bakes.Any(bake => aim.First.Due(bake) != aim.Second.Due(bake))))
            best = Searched(snapshot, calendar, question, sooner, best, effort, patience, PartOf(progress, DoneWithSearch, DoneWithRounds));
        // Told when work fits, the ovens keep pies to hours at which hands are short; told nothing, they are let in later and later until all are made.
        if (best.Fates.Any(fate => fate.Unfit > 0))
            best = Searched(snapshot, calendar, question, [.. first.Select(aim => aim with { IsShortlyInPans = true, IsAtAnyHour = true })], best, effort, patience, PartOf(progress, DoneWithSearch, DoneWithRounds));
        // Orders that may be late give way where one that must not be would be.
        return best.ServesWhatMust || first.All(aim => aim.Work.Lot.MayBeLateMin == 0)
            ? best
            : Searched(snapshot, calendar, question, [.. FirstAims(snapshot, calendar, areYielding: true).Select(aim => aim with { IsShortlyInPans = true })], best, effort, patience, progress: null);
    }

    /// <summary>What is aimed at before anything is known of ovens and hands.</summary>
    private static LotAim[] FirstAims(DaySnapshot snapshot, ShiftCalendar calendar, bool areYielding)
    {
        var mostTrays = snapshot.Ovens.Select(oven => oven.Shelves).DefaultIfEmpty(1).Max();
        LotWork[] works = [.. DayLots.Of(snapshot).Lots.Select(lot => PlanStumblesException.Over(lot, () => new LotWork(lot, calendar, mostTrays, snapshot.SpareMin, areYielding)))];
        return [.. StockForLots.Given(works, snapshot).Select(work => PlanStumblesException.Over(work.Lot, () => LotAim.First(work, snapshot.HorizonMin)))];
    }

    /// <summary>
    /// The rounds once more with all the work in each: where ovens are crowded, plans that are only built say too early that
    /// pies cannot be baked, or let them in so that the work around them does not fit.
    /// </summary>
    private static DayRound Searched(DaySnapshot snapshot, ShiftCalendar calendar, OvenQuestion question, LotAim[] aims, DayRound best, int effort, Patience patience, IProgress<double>? progress)
    {
        var (last, found) = ((DayRound?)null, (DayRound?)null);
        for (var round = 0; round < MostSearchedRounds && !patience.IsOver; round++)
        {
            progress?.Report(round / (double)MostSearchedRounds);
            var tried = Round(snapshot, calendar, question, aims, last, Math.Min(effort, EffortWhileSearching), patience, near: last?.Plan);
            if (patience.AtOnce.IsCancellationRequested) break;
            last = tried;
            if (found is null || tried.IsBetterThan(found)) found = tried;
            LotAim[] looser = [.. aims.Select(aim => Loosened(tried, aim, snapshot.HorizonMin))];
            if (looser.SequenceEqual(aims, ReferenceEqualityComparer.Instance) && !tried.AsksTooLate) break;
            aims = looser;
        }

        if (found?.IsBetterThan(best) != true) return best;
        best = found;
        if (effort <= EffortWhileSearching || patience.IsOver) return best;
        var thorough = Round(snapshot, calendar, question, [.. best.Aims], best, effort, patience);
        return !patience.AtOnce.IsCancellationRequested && thorough.IsBetterThan(best) ? thorough : best;
    }

    private static DayRound Round(DaySnapshot snapshot, ShiftCalendar calendar, OvenQuestion question, LotAim[] aims, DayRound? before, int effort, Patience patience, IProgress<double>? progress = null, BakePlan? near = null, EarlierPlan? kept = null)
    {
        var making = new DayMaking(calendar);
        string[] lots = [.. aims.Select(aim => aim.Work.Lot.Id)];
        var all = DayLots.Of(snapshot);
        // What is baked before the pies is asked for as the round before needed it; its batches are the same, only their times may differ.
        var expected = before is null
            ? DoughAndMade.Expected(aims, snapshot, calendar).Made
            : making.Make(before.Demands, null, new StockTaking(snapshot.Stock, snapshot.FirstMin, lots)).Batches;
        var asked = expected.ToDictionary(one => one.Batch.Id, one => one.Batch.NeededMin);
        var problem = question.Problem(aims, making.Bakes(expected));
        var plan = kept is not null ? BakePlanner.Keeping(problem, kept, patience.AtOnce) : BakePlanner.Plan(problem, effort, proves: false, near: near is null ? null : EarlierPlan.Of(near), progress: progress, enough: patience.Enough, cut: patience.AtOnce);
        var baked = plan.Trays.ToLookup(tray => tray.BakeId);
        Parcel[] parcels = [.. aims.SelectMany(aim => PlanStumblesException.Over(aim.Work.Lot, () => Parcel.Of(aim.Work, baked).ToArray()))];
        var first = DoughAndMade.Settle([.. parcels.SelectMany(parcel => DiscDemands.Of(parcel.Work, parcel.Pies, parcel.Times, step => DayTasks.Id(parcel, step)))], DayMaking.Of(aims, parcels), plan, snapshot, calendar, lots);
        var apart = new CrewLevelling(parcels, first.Mixed, first.Made, new Dictionary<string, int>()) { FromStock = first.FromStock, AtDoors = DoorVisit.Of(problem, plan) };
        CrewLevelling Level(bool joins) => CrewLevelling.Of(snapshot, calendar, apart, Levelling(effort), joins, solver: null, patience.AtOnce);
        DayRound Of(CrewLevelling level) => new(aims, problem, plan, level.Parcels, level.Mixed, level.Made, snapshot.Mixer, PansOfDay.Short(level.Parcels, snapshot.Taken.Pans))
        {
            Taken = snapshot.Taken,
            Lots = all,
            FromStock = level.FromStock,
            Standing = StockRoom.Standing(snapshot, all, level.FromStock),
            Demands = first.Demands,
            MovedMin = level.MovedMin,
            RightAfter = level.RightAfter,
            LetGo = level.LetGo,
            Apart = apart,
            Cost = level.Cost,
            AskedFor = asked,
            AskedForAgain = before is null ? new HashSet<string>() : before.Made.Where(before.IsAskedTooLate).Select(made => made.Batch.Id).ToHashSet(),
        };
        var round = Of(Level(joins: true));
        // Pies that find no pans are not made: nobody goes on from work on them.
        return round.RightAfter.Count > 0 && round.PansShort.Count > 0 ? Of(Level(joins: false)) : round;
    }

    /// <summary>Of pies that no oven bakes, the steps themselves come later: those that take what is not there in time.</summary>
    private static LotAim LaterUnbaked(DayRound round, LotAim aim)
    {
        var (work, times) = (aim.Work, round.ParcelsOf[aim.Work.Lot.Id].First().Times);
        var later = new Dictionary<int, int>();
        void Later(int node, int minutes) => later[node] = Math.Max(later.GetValueOrDefault(node), times.Start[node] + minutes);
        var dough = Enumerable.Range(0, work.Graph.Nodes.Count).FirstOrDefault(node => work.Graph.Nodes[node].UsesDough);
        foreach (var mixed in round.Mixed.Where(mixed => mixed.Short > 0 && mixed.Batch.LotIds.Contains(work.Lot.Id))) Later(dough, mixed.Short);
        foreach (var made in round.Made.Where(made => made.Short > 0 && made.Batch.LotIds.Contains(work.Lot.Id)))
            Later(work.Takes.FirstOrDefault(taken => PreparationTaking.Planned(taken.Line.Ingredient).Any(one => one.Id == made.Batch.Made.Id))?.Node ?? dough, made.Short);
        return later.Count == 0 ? aim : aim with { Work = later.Aggregate(work, (next, step) => next.With(step.Key, step.Value)) };
    }

    /// <summary>The bake that waits for something made first: what takes it leads there; the first where it is in the dough.</summary>
    private static int TakingBake(LotWork work, string madeId) => work.Takes
        .Where(taken => PreparationTaking.Planned(taken.Line.Ingredient).Any(one => one.Id == madeId))
        .Select(taken => work.Graph.BakeAhead(taken.Node) is >= 0 and var bake ? bake : work.Graph.LastBake)
        .DefaultIfEmpty(work.Graph.Bakes[0]).First();

    /// <summary>The aim for the next round: waits given up that make bakes late, bakes let in later whose work does not fit; the same where nothing is to be changed.</summary>
    private static LotAim Loosened(DayRound round, LotAim aim, int horizonMin)
    {
        var (work, next) = (aim.Work, aim);
        if (work.Graph.Bakes.Count == 0) return LaterUnbaked(round, aim);
        if (!aim.GivenUp)
        {
            var (last, due) = (work.BakeId(work.Graph.LastBake), aim.Due(work.Graph.LastBake));
            if ((round.LastOut.TryGetValue(last, out var outMin) && outMin > due) || work.Graph.Bakes.Any(node => round.BakesLeftOut.Contains(work.BakeId(node))))
                next = next with { GivenUp = true };
        }

        foreach (var parcel in round.ParcelsOf[work.Lot.Id])
        {
            LotAim Later(int bake, int minutes) => next.ReleasedFrom(bake, Math.Max(next.Release[bake], parcel.Times.Start[bake] + minutes), horizonMin);
            if (round.PansShort.TryGetValue(parcel, out var pans) && pans.Short > 0) next = Later(work.Graph.Bakes[0], pans.Short);
            foreach (var misfit in parcel.Times.Misfits) next = Later(misfit.Bake, Math.Max(1, misfit.Short));
            foreach (var mixed in round.Mixed.Where(mixed => mixed.Short > 0 && mixed.Batch.LotIds.Contains(work.Lot.Id)))
                next = Later(work.Graph.Bakes[0], mixed.Short);
            // What the ovens were asked for later than it is needed is asked for in time first.
            foreach (var made in round.Made.Where(made => made.Short > 0 && !round.IsAskedTooLate(made) && made.Batch.LotIds.Contains(work.Lot.Id)))
                next = Later(TakingBake(work, made.Batch.Made.Id), made.Short);
        }

        return next;
    }
}
