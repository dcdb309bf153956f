using Lumpet.Core.Dough;
using Lumpet.Core.Measures;
using Lumpet.Core.Scheduling;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>A round's work as activities that share hands, the mixer, pans and the room of the kitchen. Bakes stand where they are and need none of them.</summary>
internal sealed class CrewWork
{
    // What is late anyway may be so much later before it counts as having no place.
    private const int MostLaterMin = 180;

    private static readonly Need OnePair = new(CrewResources.Hands, 1);
    private static readonly Need[] OnePairAndBowl = [OnePair, new Need(CrewResources.Bowl, 1)];

    private readonly DaySnapshot snapshot;
    private readonly ShiftCalendar calendar;
    private readonly HashSet<string> letGo;
    private readonly List<Activity> activities = [];
    private readonly List<Lag> lags = [];
    private readonly List<Hold> holds = [];
    private readonly CrewResources resources;
    private readonly List<(string Owner, string Name, IReadOnlyList<string> Lots)> about = [];
    private readonly Dictionary<string, int> byTask = [];
    private readonly ILookup<string, string> parcelsOf;
    private readonly List<LikeWork> alike = [];
    private readonly CrewLevelling round;
    private readonly bool isToStay;
    private readonly HashSet<string> stuck;
    private readonly int originMin;

    /// <summary>The work of a round.</summary>
    /// <param name="snapshot">What is asked.</param>
    /// <param name="calendar">Its shifts.</param>
    /// <param name="round">Everything timed without regard to hands.</param>
    /// <param name="letGo">What takes no hands and stays where it is: parcels and batches, by their names here.</param>
    /// <param name="isToStay">Whether the round is levelled already and no box is to be later for what is changed about it.</param>
    public CrewWork(DaySnapshot snapshot, ShiftCalendar calendar, CrewLevelling round, IReadOnlySet<string> letGo, bool isToStay = false)
    {
        var (parcels, mixed, made) = (round.Parcels, round.Mixed, round.Made);
        (this.snapshot, this.calendar, this.round, this.isToStay) = (snapshot, calendar, round, isToStay);
        // What comes too late already stays where that is said of it.
        this.letGo = mixed.Where(one => one.Short > 0).Select(one => Owner(one.Batch)).Concat(made.Where(one => one.Short > 0).Select(one => one.Batch.Id)).Concat(letGo).ToHashSet();
        // Nobody goes on from work that is never begun.
        stuck = [.. round.NotMade, .. parcels.Where(parcel => parcel.Times.Misfits.Count > 0 || letGo.Contains(Owner(parcel))).Select(parcel => parcel.Work.Lot.Id), .. mixed.Where(one => one.Short > 0 || (one.Batch.Dough.IsMixed && one.Batch.Mass > snapshot.Mixer.LargestBatch)).SelectMany(one => one.Batch.LotIds), .. made.Where(one => one.Short > 0).SelectMany(one => one.Batch.LotIds)];
        resources = new CrewResources(snapshot, StockRoom.Standing(snapshot, DayLots.Of(snapshot), round.FromStock), round.AtDoors);
        parcelsOf = parcels.ToLookup(parcel => parcel.Work.Lot.Id, Owner);
        foreach (var parcel in parcels) Add(parcel);
        foreach (var one in mixed) Add(one);
        foreach (var one in made) Add(one);
        foreach (var one in mixed) Tie(one);
        // The batches of a dough stay in their order, by which they are counted.
        foreach (var dough in mixed.GroupBy(one => one.Batch.Dough.Id))
            foreach (var (one, next) in dough.OrderBy(one => one.Batch.Number).Zip(dough.OrderBy(one => one.Batch.Number).Skip(1)))
                Follow(byTask[DayTasks.Id(one.Batch, DayTasks.Mix)], byTask[DayTasks.Id(next.Batch, DayTasks.Mix)], 0, null);
        foreach (var one in made) Tie(one);
        foreach (var stock in snapshot.Stock.Masses) Tie(stock, [.. round.FromStock.Where(use => use.StockId == stock.Id)]);
        // What does not fit may be reckoned back to before the first minute, where a schedule knows none. The bowl is there then as well, so that what takes of it stays behind it.
        originMin = Math.Min(0, activities.Select(one => one.WishMin).DefaultIfEmpty(0).Min());
        Problem = new ScheduleProblem(
            [.. activities.Select(one => one with { WishMin = one.WishMin - originMin, EarliestMin = one.EarliestMin - originMin, LatestMin = one.LatestMin == ScheduleProblem.MostMinutes ? one.LatestMin : one.LatestMin - originMin })],
            lags,
            resources.From(originMin))
        { Holds = holds };
    }

    /// <summary>The start of a task; null where it is not part of this or found no place.</summary>
    public int? StartIn(Schedule found, string? taskId) => taskId is not null && byTask.TryGetValue(taskId, out var at) ? found.Starts[at] + originMin : null;

    /// <summary>The problem.</summary>
    public ScheduleProblem Problem { get; }

    /// <summary>Work on pies that may be done in one go with other of the same.</summary>
    public IReadOnlyList<LikeWork> Alike => alike;

    /// <summary>What is done right after what already, in the round; by tasks.</summary>
    public IReadOnlyDictionary<string, string> RightAfter => round.RightAfter;

    /// <summary>How much finds no place in a schedule, by its weight; what is let go looks for none.</summary>
    public long Lacking(Schedule found) => Enumerable.Range(0, activities.Count).Where(at => found.Starts[at] is null && !letGo.Contains(about[at].Owner)).Sum(at => activities[at].Weight);

    /// <summary>Name of a parcel here.</summary>
    public static string Owner(Parcel parcel) => DayTasks.Id(parcel, string.Empty);

    /// <summary>Name of a dough batch here.</summary>
    public static string Owner(DoughBatch batch) => DayTasks.Id(batch, string.Empty);

    /// <summary>Parcels and batches with work that found no hands or no room, and why; with a batch the parcels that take of it.</summary>
    public IEnumerable<(string Owner, PlanText Why)> WithoutPlace(Schedule found)
    {
        for (var at = 0; at < activities.Count; at++)
        {
            var (owner, name, lots) = about[at];
            if (found.Starts[at] is not null || letGo.Contains(owner)) continue;
            var why = Why(found, at, name);
            yield return (owner, why);
            foreach (var parcel in lots.SelectMany(lot => parcelsOf[lot])) yield return (parcel, why);
        }
    }

    /// <summary>What stands in the way of an activity where it would best be.</summary>
    private PlanText Why(Schedule found, int at, string name)
    {
        var one = Problem.Activities[at];
        bool Lacks(Need need) => Lacking(found, need, one.WishMin, one.WishMin + one.Minutes) is not null;
        if (one.Needs.Contains(OnePair) && Lacks(OnePair)) return PlanText.Say($"\"{name}\" finds no free hands around {PlanText.At(one.WishMin + originMin)}: {HandsAt(one.WishMin + originMin)}");
        var lacking = one.Needs.Where(need => need.Resource > CrewResources.Bowl).Select(need => (Need: need, From: one.WishMin, To: one.WishMin + one.Minutes))
            .Concat(holds.Where(hold => hold.From.Activity == at || hold.To.Activity == at).Select(hold => (new Need(hold.Resource, hold.Amount), MinuteOf(found, hold.From), MinuteOf(found, hold.To))));
        foreach (var (need, from, to) in lacking)
            if (Lacking(found, need, from, to) is { } minute) return PlanText.Say($"\"{name}\" finds no room: at {PlanText.At(minute + originMin)} {resources.Lacking(need.Resource)}");
        return PlanText.Say($"\"{name}\" finds no place around {PlanText.At(one.WishMin + originMin)} between what it follows and what follows it: hands or room are wanted by other work there");
    }

    private string HandsAt(int minute) => resources.PeopleAt(minute) switch
    {
        0 when resources.AtDoors(minute) > 0 && snapshot.HandsFreeAt(minute) > 0 => "whoever is free then is at an oven's door",
        0 when snapshot.Shifts.Any(shift => shift.StartMin <= minute && minute < shift.EndMin && shift.People > 0) => "all who are there are at work for a day before",
        0 => "nobody is there then",
        1 => "one pair is there, at other work that cannot move",
        var people => $"{people} pairs are there, all at other work that cannot move",
    };

    private int MinuteOf(Schedule found, HoldEnd end) => (found.Starts[end.Activity] ?? Problem.Activities[end.Activity].WishMin) + (end.IsAtEnd ? Problem.Activities[end.Activity].Minutes : 0);

    /// <summary>The first minute of some at which so much more of a resource is not there; null where it is.</summary>
    private int? Lacking(Schedule found, Need need, int from, int to)
    {
        var uses = Enumerable.Range(0, activities.Count).Where(at => found.Starts[at] is not null)
            .SelectMany(at => Problem.Activities[at].Needs.Where(other => other.Resource == need.Resource).Select(other => (From: found.Starts[at]!.Value, To: found.Starts[at]!.Value + Problem.Activities[at].Minutes, other.Amount)))
            .Concat(holds.Where(hold => hold.Resource == need.Resource && found.Starts[hold.From.Activity] is not null && found.Starts[hold.To.Activity] is not null).Select(hold => (From: MinuteOf(found, hold.From), To: MinuteOf(found, hold.To), hold.Amount)))
            .ToArray();
        for (var minute = from; minute < to; minute++)
            if (uses.Where(use => use.From <= minute && minute < use.To).Sum(use => use.Amount) + need.Amount > Problem.Resources[need.Resource].At(minute)) return minute;
        return null;
    }

    /// <summary>Adds the work of a parcel. Work that does not fit around its bakes anyway is left out of it.</summary>
    private void Add(Parcel parcel)
    {
        if (parcel.Times.Misfits.Count > 0) return;
        var (graph, times, lot) = (parcel.Work.Graph, parcel.Times, parcel.Work.Lot);
        var index = new int[graph.Nodes.Count];
        for (var node = 0; node < graph.Nodes.Count; node++)
        {
            var (start, length, isBake) = (times.Start[node], times.End[node] - times.Start[node], graph.Nodes[node].IsBake);
            // What breaks its limits already is told, and breaks them no more than that.
            var goesOn = parcel.Work.GoesOn.TryGetValue(graph.Nodes[node].Id, out var limits) ? (FromMin: Math.Min(start, limits.FromMin), UntilMin: Math.Max(start, limits.UntilMin)) : (FromMin: 0, UntilMin: ScheduleProblem.MostMinutes);
            var latest = graph.IsLast(node) ? Latest(lot, start, times.End[node]) : ScheduleProblem.MostMinutes;
            index[node] = Add(Owner(parcel), graph.Nodes[node].Name, [], DayTasks.Id(parcel, graph.Nodes[node].Id), new Activity(string.Empty, length, start, isBake ? [] : Working(graph.Nodes[node].Station))
            {
                EarliestMin = isBake ? start : goesOn.FromMin,
                LatestMin = isBake ? start : (int)Math.Min(latest, goesOn.UntilMin),
                PerMinEarlier = parcel.Pies,
                PerMinLater = parcel.Pies,
                Weight = parcel.Pies,
            });
            if (!isBake && !letGo.Contains(Owner(parcel)) && !stuck.Contains(lot.Id)) alike.Add(new LikeWork(index[node], DayTasks.Id(parcel, graph.Nodes[node].Id), SameWork.Of(lot, graph, node), graph.Nodes[node].Hands!, parcel.Pies, !graph.HoldsDough(node)));
        }

        foreach (var edge in graph.Edges) Add(graph, times, edge, index[edge.From], index[edge.To]);
        if (letGo.Contains(Owner(parcel))) return;
        int? there = null;
        if (lot.Begun is { } begun)
        {
            // They stand where they are until someone goes on with them.
            there = Add(begun.Id, string.Empty, [], $"{Owner(parcel)}there", new Activity(string.Empty, 0, 0, []) { LatestMin = 0 });
            if (RoomPlaces.OfTrays(begun.Place) is { } stand) Hold(stand, parcel.Trays.Count, there.Value, index[Array.IndexOf(times.Start, times.Start.Min())]);
        }

        foreach (var edge in graph.Edges)
            foreach (var place in edge.Waits.Select(RoomPlaces.OfTrays).OfType<RoomPlace>().Distinct())
                Hold(place, parcel.Trays.Count, index[edge.From], index[edge.To]);
        if (resources.OfPan(lot.Pan.Id) is not { } pans) return;
        int[] all = [.. Enumerable.Range(0, graph.Nodes.Count)];
        var laid = all.Where(node => graph.Nodes[node].UsesDough).DefaultIfEmpty(all.MinBy(node => times.Start[node])).MinBy(node => times.Start[node]);
        var emptied = all.MaxBy(node => times.End[node]);
        // Pies that were begun are in their pans already.
        if (there is { } begunAt && !graph.Nodes.Any(node => node.UsesDough)) holds.Add(new Hold(pans, parcel.Pies, new HoldEnd(begunAt, false), new HoldEnd(index[emptied], true)));
        else if (laid != emptied) holds.Add(new Hold(pans, parcel.Pies, new HoldEnd(index[laid], false), new HoldEnd(index[emptied], true)));
    }

    /// <summary>The last minute at which the last work on pies begins: in time where they are, and what is late hardly later.</summary>
    private int Latest(Lot lot, int start, int end)
    {
        if (isToStay) return Math.Max(start, lot.PickUpMin - snapshot.SpareMin - (end - start));
        return end <= lot.PickUpMin ? lot.PickUpMin - (end - start) : start + MostLaterMin;
    }

    /// <summary>Something lies in a place from the end of one activity until another begins.</summary>
    private void Hold(RoomPlace place, int amount, int from, int to)
    {
        if (resources.Of(place) is { } at && amount > 0) holds.Add(new Hold(at, amount, new HoldEnd(from, true), new HoldEnd(to, false)));
    }

    /// <summary>A pair of hands, and the place where it works where such places are counted.</summary>
    private Need[] Working(Station station) => RoomPlaces.OfWork(station) is { } place && resources.Of(place) is { } at ? [OnePair, new Need(at, 1)] : [OnePair];

    private void Add(StepGraph graph, ParcelTimes times, StepEdge edge, int from, int to)
    {
        var later = activities[to];
        switch (edge.Kind)
        {
            case LinkKind.During:
                // Beside a bake, which stands where it is.
                var by = Math.Max(times.End[edge.From], times.Start[edge.From] + edge.Lag.Least + later.Minutes);
                activities[to] = later with { EarliestMin = Math.Max(later.EarliestMin, times.Start[edge.From] + edge.Lag.Least), LatestMin = Math.Min(later.LatestMin, by - later.Minutes) };
                return;
            case LinkKind.DayBefore:
                // On whichever side of midnight each is, it stays.
                var midnight = calendar.DayBefore(times.Start[edge.To]);
                activities[from] = activities[from] with { LatestMin = Math.Min(activities[from].LatestMin, midnight - activities[from].Minutes) };
                activities[to] = later with { EarliestMin = Math.Max(later.EarliestMin, midnight) };
                break;
        }

        // The ovens' own lags are theirs.
        if (!graph.Nodes[edge.From].IsBake || !graph.Nodes[edge.To].IsBake) Follow(from, to, edge.Lag.Least, edge.Lag.Most);
    }

    /// <summary>Adds mixing and turns of a batch.</summary>
    private void Add(MixedBatch one)
    {
        var (batch, method) = (one.Batch, one.Batch.Dough.Method);
        var weight = Math.Max(1, batch.Discs.Sum(disc => disc.Count));
        var before = Add(batch, DayTasks.Mix, "Mix", Free(batch.Dough.MixMinutes, batch.MixStartMin, batch.Dough.IsMixed ? OnePairAndBowl : [OnePair], weight));
        for (var turn = 0; turn < batch.Turns.Count; turn++)
        {
            var next = Add(batch, DayTasks.Turn(turn), "Turn", Free(method.TurnMinutes, batch.Turns[turn], Working(Station.Bench), weight));
            if (turn > 0 && !letGo.Contains(Owner(batch))) Hold(RoomPlace.FridgeTubs, RoomOfDay.Grams(batch.InDiscs), before, next);
            Follow(before, next, turn == 0 ? 0 : method.TurnRestMinutes, null);
            before = next;
        }
    }

    /// <summary>Ties a batch to what takes its dough.</summary>
    private void Tie(MixedBatch one)
    {
        var (batch, turns) = (one.Batch, one.Batch.Turns.Count);
        var last = byTask[DayTasks.Id(batch, turns == 0 ? DayTasks.Mix : DayTasks.Turn(turns - 1))];
        var cold = turns == 0 ? 0 : batch.Dough.Method.TurnRestMinutes;
        Tie(last, cold + batch.Dough.Rest.Least, cold + batch.Dough.Rest.Most, batch.NeededMin, batch.Discs.Select(disc => (disc.TaskId, disc.NeededMin)));
        if (!letGo.Contains(Owner(batch))) Lie(RoomPlace.FridgeTubs, last, batch.Discs.Select(disc => (disc.TaskId, disc.Disc.Grams * disc.Count)));
    }

    /// <summary>Something lies in a place until it is taken, less with each that takes of it.</summary>
    private void Lie(RoomPlace place, int last, IEnumerable<(string? TaskId, double Grams)> takers)
    {
        foreach (var taker in takers.GroupBy(taker => taker.TaskId))
            if (taker.Key is not null && byTask.TryGetValue(taker.Key, out var to) && !letGo.Contains(about[to].Owner))
                Hold(place, RoomOfDay.Grams(Mass.FromGrams(taker.Sum(one => one.Grams))), last, to);
    }

    /// <summary>Adds the steps of something that is made first.</summary>
    private void Add(MadeBatch one)
    {
        var (_, gaps) = MakingTimetable.Worked(one.Batch.How);
        int? before = null;
        var waits = RoomOfDay.WaitsWithin(one).ToLookup(pair => pair.Before.Step.Id, pair => pair.Wait.Step);
        foreach (var (step, at) in one.Steps.Where(step => step.Step.Wait is null).Select((step, at) => (step, at)))
        {
            var length = step.EndMin - step.StartMin;
            var next = Add(one.Batch.Id, $"{step.Step.Name}, {one.Batch.About}", one.Batch.LotIds, DayTasks.Id(one.Batch, step.Step.Id), step.Step.IsBake
                ? new Activity(string.Empty, length, step.StartMin, []) { EarliestMin = step.StartMin, LatestMin = step.StartMin, Weight = 1 }
                : Free(length, step.StartMin, Working(step.Step.Station), Math.Max(1, one.Batch.Uses.Sum(use => use.Pies))));
            if (before is { } from)
            {
                Follow(from, next, gaps[at - 1].Least, gaps[at - 1].Most);
                var worked = one.Steps.Where(other => other.Step.Wait is null).ElementAt(at - 1).Step;
                foreach (var wait in letGo.Contains(one.Batch.Id) ? [] : waits[worked.Id])
                {
                    if (RoomPlaces.OfTubs(wait) is { } place) Hold(place, RoomOfDay.Grams(one.Batch.Weighed), from, next);
                    if (wait.Station == Station.Rack && worked.IsBake) Hold(RoomPlace.Racks, one.Batch.How.Batches.TraysFor(one.Batch.Weighed), from, next);
                }
            }

            before = next;
        }

        // What cools on the racks after its last bake has no work after it that would end that: it stands there as long as it should.
        var last = one.Steps.Last(step => step.Step.Wait is null);
        if (resources.Of(RoomPlace.Racks) is not { } racks || !last.Step.IsBake) return;
        foreach (var (_, wait) in RoomOfDay.WaitsWithin(one).Where(pair => pair.Before == last && pair.Wait.Step.Station == Station.Rack))
            Add(one.Batch.Id, $"{wait.Step.Name}, {one.Batch.About}", one.Batch.LotIds, DayTasks.Id(one.Batch, wait.Step.Id), new Activity(string.Empty, Math.Max(wait.EndMin - wait.StartMin, wait.Step.Wait!.Aim), wait.StartMin, [new Need(racks, one.Batch.How.Batches.TraysFor(one.Batch.Weighed))])
            {
                EarliestMin = wait.StartMin,
                LatestMin = wait.StartMin,
                Weight = Math.Max(1, one.Batch.Uses.Sum(use => use.Pies)),
            });
    }

    /// <summary>Ties a batch to what takes of it.</summary>
    private void Tie(MadeBatch one)
    {
        var (worked, gaps) = MakingTimetable.Worked(one.Batch.How);
        Tie(byTask[DayTasks.Id(one.Batch, worked[^1].Id)], gaps[^1].Least, gaps[^1].Most, one.Batch.NeededMin, one.Batch.Uses.Select(use => ((string?)use.TaskId, use.NeededMin)));
        if (letGo.Contains(one.Batch.Id)) return;
        foreach (var place in RoomOfDay.Kept(one)) Lie(place, byTask[DayTasks.Id(one.Batch, worked[^1].Id)], one.Batch.Uses.Select(use => ((string?)use.TaskId, use.Wanted.Grams)));
    }

    /// <summary>What is there already is taken while it keeps, and lies in its place until then.</summary>
    private void Tie(StockedMass stock, StockUse[] uses)
    {
        if (uses.Length == 0) return;
        var there = Add(stock.Id, string.Empty, [], $"{stock.Id}/there", new Activity(string.Empty, 0, 0, []) { LatestMin = 0 });
        foreach (var use in uses)
            if (use.TaskId is not null && byTask.TryGetValue(use.TaskId, out var to))
                activities[to] = activities[to] with { EarliestMin = Math.Max(activities[to].EarliestMin, Math.Min(activities[to].WishMin, stock.FromMin(snapshot.FirstMin))), LatestMin = Math.Min(activities[to].LatestMin, Math.Max(activities[to].WishMin, stock.UntilMin)) };
        if (RoomPlaces.OfTubs(stock.Place) is { } place) Lie(place, there, uses.Select(use => (use.TaskId, use.Taken.Grams)));
    }

    /// <summary>What is taken of a batch comes after it; it waits no longer than it keeps for what takes it first.</summary>
    private void Tie(int last, int least, int most, int neededMin, IEnumerable<(string? TaskId, int NeededMin)> takers)
    {
        var isKept = false;
        foreach (var (taskId, needed) in takers.OrderBy(taker => taker.NeededMin).DistinctBy(taker => taker.TaskId))
        {
            if (taskId is not null && byTask.TryGetValue(taskId, out var to))
            {
                Follow(last, to, least, needed == neededMin && !isKept ? Math.Max(least, most) : null);
                isKept |= needed == neededMin;
            }
            else
            {
                // Nothing that is looked at here takes it: it is there by its minute, as it was.
                var one = activities[last];
                activities[last] = one with { LatestMin = Math.Min(one.LatestMin, Math.Max(one.WishMin, needed - least - one.Minutes)) };
            }
        }
    }

    /// <summary>One after another, within limits that they keep where they are: what breaks them already, and is said to, breaks them no more than that.</summary>
    private void Follow(int from, int to, int least, int? most)
    {
        var now = activities[to].WishMin - (activities[from].WishMin + activities[from].Minutes);
        lags.Add(new Lag(from, to, Math.Min(least, now), most is { } limit ? Math.Max(limit, now) : null));
    }

    private static Activity Free(int minutes, int wishMin, Need[] needs, long weight) => new(string.Empty, minutes, wishMin, needs) { Weight = weight };

    private int Add(DoughBatch batch, string what, string name, Activity activity) => Add(Owner(batch), $"{name}, {batch.Dough.Name}", batch.LotIds, DayTasks.Id(batch, what), activity);

    private int Add(string owner, string name, IReadOnlyList<string> lots, string taskId, Activity activity)
    {
        byTask[taskId] = activities.Count;
        about.Add((owner, name, lots));
        // What is let go is one pair of hands less to find; the bowl that it is in is in use all the same, unless a day before has it: what found no place would hold nothing behind it.
        activities.Add(letGo.Contains(owner)
            ? activity with { Id = taskId, Needs = [.. activity.Needs.Where(need => need.Resource == CrewResources.Bowl && !resources.IsMixing(activity.WishMin, activity.WishMin + activity.Minutes))], EarliestMin = activity.WishMin, LatestMin = activity.WishMin }
            : activity with { Id = taskId });
        return activities.Count - 1;
    }
}
