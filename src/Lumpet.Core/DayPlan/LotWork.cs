using Lumpet.Core.Baking;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>A lot, ready to be planned. It never changes; what a round of planning aims at is a <see cref="LotAim"/>.</summary>
internal sealed class LotWork
{
    private readonly Func<IReadOnlyDictionary<int, int>, IReadOnlyDictionary<string, int>, LotWork> again;
    private readonly IReadOnlyDictionary<int, int> notBefore;
    private readonly IReadOnlyDictionary<string, int> there;

    /// <summary>Work for a lot.</summary>
    /// <param name="lot">The lot.</param>
    /// <param name="calendar">The shifts.</param>
    /// <param name="mostTrays">Trays of the largest oven: what can travel together.</param>
    /// <param name="spareMin">By how many minutes boxes should be ready before the pick-up.</param>
    /// <param name="isYielding">Whether it is planned as late as it may be, so that others are in time.</param>
    public LotWork(Lot lot, ShiftCalendar calendar, int mostTrays, int spareMin, bool isYielding = false)
        : this(lot, calendar, mostTrays, spareMin, isYielding, new Dictionary<int, int>(), new Dictionary<string, int>())
    {
    }

    private LotWork(Lot lot, ShiftCalendar calendar, int mostTrays, int spareMin, bool isYielding, IReadOnlyDictionary<int, int> notBefore, IReadOnlyDictionary<string, int> there)
    {
        (this.notBefore, this.there) = (notBefore, there);
        again = (later, onHand) => new LotWork(lot, calendar, mostTrays, spareMin, isYielding, later, onHand);
        Lot = lot;
        DayBefore = calendar.DayBefore;
        Graph = new StepGraph(lot.ProcessLeft());
        PiesTogether = Graph.Bakes.Count == 0 ? lot.Count : lot.Trays.Take(Math.Max(1, mostTrays)).Sum();
        var firstMin = calendar.Stretches.Count > 0 ? calendar.Stretches[0].StartMin : 0;
        Takes = PreparationTaking.Of(lot, Graph);
        var making = new MakingTimetable(calendar);
        var doughReady = new ReadyFrom(lot.Product.Doughs.Max(dough => there.TryGetValue(dough.IngredientId, out var had) ? had : firstMin + dough.MadeInMinutes + dough.Rest.Least), "dough can be mixed and rested");
        // Before anyone is there nothing goes on.
        GoesOn = lot.Begun is { } done ? PartDone.Next(lot.Product.ProcessIn(lot.Pan), done.Done).ToDictionary(next => next.StepId, next => (Math.Max(next.FromMin, firstMin), next.UntilMin)) : [];
        Timetable = new ParcelTimetable(Graph, calendar, lot.PickUpMin + (isYielding ? lot.MayBeLateMin : 0), spareMin, [.. Enumerable.Range(0, Graph.Nodes.Count).Select(Ready)]);

        ReadyFrom Ready(int node) => Takes.Where(taken => taken.Node == node)
            .SelectMany(taken => PreparationTaking.Planned(taken.Line.Ingredient))
            .Select(made => new ReadyFrom(there.TryGetValue(made.Id, out var had) ? had : making.FirstReady(made), $"{made.Name} can be made"))
            .Append(Graph.Nodes[node].UsesDough ? doughReady : ReadyFrom.Always)
            .Append(GoesOn.TryGetValue(Graph.Nodes[node].Id, out var next) ? new ReadyFrom(next.FromMin, "pies have been brought as far") : ReadyFrom.Always)
            .Append(notBefore.TryGetValue(node, out var minute) ? new ReadyFrom(minute, "what goes in can be made") : ReadyFrom.Always)
            .MaxBy(ready => ready.Min)! with
        { UntilMin = GoesOn.TryGetValue(Graph.Nodes[node].Id, out var limits) ? limits.UntilMin : long.MaxValue };
    }

    /// <summary>The same lot, a step of which does not begin before a minute.</summary>
    public LotWork With(int node, int notBeforeMin) => again(new Dictionary<int, int>(notBefore) { [node] = notBeforeMin }, there);

    /// <summary>The same lot, for which some of what is made first is there already: from when on, by the ingredient's id.</summary>
    public LotWork WithThere(IReadOnlyDictionary<string, int> onHand) => again(notBefore, onHand);

    /// <summary>Of pies that were begun the first and the last minute at which each of the steps may begin with which work on them goes on.</summary>
    public IReadOnlyDictionary<string, (int FromMin, long UntilMin)> GoesOn { get; }

    /// <summary>When a bake must be out so that what leads to it has begun before pies that were begun have waited too long; no limit for others.</summary>
    /// <param name="bake">Node of the bake.</param>
    public int GoesOnBy(int bake)
    {
        var by = long.MaxValue;
        foreach (var (stepId, (_, untilMin)) in GoesOn)
        {
            var least = new long?[Graph.Nodes.Count];
            var from = Enumerable.Range(0, Graph.Nodes.Count).First(node => Graph.Nodes[node].Id == stepId);
            if (from > bake) continue;
            least[from] = 0;
            for (var node = from + 1; node <= bake; node++)
                least[node] = Graph.Into(node).Where(edge => edge.Carries && least[edge.From] is not null).Select(edge => least[edge.From] + Graph.Minutes(edge.From, PiesTogether) + edge.Lag.Least).Max();
            if (least[bake] is { } between) by = Math.Min(by, untilMin + between + Graph.Minutes(bake, PiesTogether));
        }

        return (int)Math.Min(by, int.MaxValue / 4);
    }

    /// <summary>Which step takes what of its recipe that is made first.</summary>
    public IReadOnlyList<TakenLine> Takes { get; }

    /// <summary>The lot.</summary>
    public Lot Lot { get; }

    /// <summary>The minute by which work must end to be on a day before a minute.</summary>
    public Func<int, int> DayBefore { get; }

    /// <summary>Its product's steps.</summary>
    public StepGraph Graph { get; }

    /// <summary>The most pies of the lot that travel together.</summary>
    public int PiesTogether { get; }

    /// <summary>Times the work around its bakes.</summary>
    public ParcelTimetable Timetable { get; }

    /// <summary>Times all work of a parcel whose bakes are fixed; pies that were begun go on before they have waited too long.</summary>
    /// <param name="pies">Pies of the parcel.</param>
    /// <param name="bakes">Start and end of each bake, by node.</param>
    public ParcelTimes Around(int pies, IReadOnlyDictionary<int, (int Start, int End)> bakes)
    {
        var times = Timetable.Around(pies, bakes);
        Misfit[] waited =
        [
            .. from node in Enumerable.Range(0, Graph.Nodes.Count)
               where GoesOn.TryGetValue(Graph.Nodes[node].Id, out var limits) && times.Start[node] > limits.UntilMin && times.Misfits.All(misfit => misfit.Node != node)
               select new Misfit(Graph.BakeAhead(node), node, 0, PlanText.Say($"\"{Graph.Nodes[node].Name}\" would be at {PlanText.At(times.Start[node])}, and what was done on them before waits until {PlanText.At((int)GoesOn[Graph.Nodes[node].Id].UntilMin)} at most")),
        ];
        return waited.Length == 0 ? times : times with { Misfits = [.. times.Misfits, .. waited] };
    }

    /// <summary>The minute by which a bake is out, or the last before it at which the work around it fits; the minute itself where there is none.</summary>
    /// <param name="node">Node of the bake.</param>
    /// <param name="outMin">When it should be out.</param>
    /// <param name="releaseMin">First minute at which it can start.</param>
    public int WhereWorkFits(int node, int outMin, int releaseMin)
    {
        if (outBy.TryGetValue((node, outMin, releaseMin), out var known)) return known;
        var length = Graph.Minutes(node, PiesTogether);
        // Not so early that the pies are too old.
        var from = Math.Max(releaseMin, node == Graph.LastBake ? Lot.PickUpMin - Lot.Product.OldestAtPickUp - length : releaseMin);
        return outBy[(node, outMin, releaseMin)] = Timetable.LastDoor(node, PiesTogether, outMin - length, from) is { } door ? door + length : outMin;
    }

    // It is asked for again and again.
    private readonly Dictionary<(int Node, int OutMin, int ReleaseMin), int> outBy = [];

    /// <summary>Since when its pans are in use, by when its first bake is in; looked at up to a minute, once.</summary>
    public IReadOnlyList<PansSince> PansSince(int untilMin) => pansSince ??= PansOfDay.Since(this, untilMin);

    /// <summary>Until when its pans are in use, by when its last bake is out; looked at up to a minute, once.</summary>
    public IReadOnlyList<PansUntil> PansUntil(int untilMin) => pansUntil ??= PansOfDay.Until(this, untilMin);

    /// <summary>When a bake must not begin because the work before it would find nobody; looked at up to a minute, once.</summary>
    public IReadOnlyList<DoorPause> NotIn(int bake, int untilMin) => notIn.TryGetValue(bake, out var known) ? known : notIn[bake] = DoorPauses.In(this, bake, untilMin);

    /// <summary>When its last bake must not be over because the work after it would find nobody; looked at up to a minute, once.</summary>
    public IReadOnlyList<DoorPause> NotOut(int untilMin) => notOut ??= DoorPauses.Out(this, untilMin);

    private readonly Dictionary<int, IReadOnlyList<DoorPause>> notIn = [];
    private IReadOnlyList<DoorPause>? notOut;
    private IReadOnlyList<PansSince>? pansSince;
    private IReadOnlyList<PansUntil>? pansUntil;

    /// <summary>Name of a bake in the oven problem.</summary>
    public string BakeId(int node) => $"{Lot.Id}/{Graph.Nodes[node].Id}";
}

/// <summary>What one round of planning aims at for a lot.</summary>
/// <param name="Work">The lot.</param>
/// <param name="Release">First minute at which each bake can start, by node.</param>
/// <param name="GivenUp">Whether the aims of its waits are given up, and only their least is kept.</param>
internal sealed record LotAim(LotWork Work, IReadOnlyList<int> Release, bool GivenUp)
{
    /// <summary>Whether its pies are thought to be in their pans for as short as they may be, and not for as long as they are when they are baked as late as they may be.</summary>
    public bool IsShortlyInPans { get; init; }

    /// <summary>Whether the ovens are not told when the work around its bakes fits.</summary>
    public bool IsAtAnyHour { get; init; }

    /// <summary>The aim to begin with: every bake as early as its own work can be done, every wait as it is wanted.</summary>
    public static LotAim First(LotWork work, int horizonMin) =>
        new(work, [.. Enumerable.Range(0, work.Graph.Nodes.Count).Select(node => work.Graph.Nodes[node].IsBake ? work.Timetable.NextDoor(node, work.PiesTogether, 0, horizonMin) ?? 0 : 0)], GivenUp: false);

    /// <summary>
    /// Whether a bake should be out when the work around it fits, where that is sooner than what follows it asks for: between two
    /// shifts the work before it may fit only in the first.
    /// </summary>
    public bool IsDueWhereWorkFits { get; init; }

    /// <summary>When a bake should be out: the last for pick-up, an earlier one for the one after it.</summary>
    public int Due(int node)
    {
        var wanted = Math.Min(WantedBy(node), Work.GoesOnBy(node));
        return IsDueWhereWorkFits ? Work.WhereWorkFits(node, wanted, Release[node]) : wanted;
    }

    private int WantedBy(int node)
    {
        if (node == Work.Graph.LastBake) return Work.Timetable.LatestOut(Work.PiesTogether, !GivenUp);
        var next = Work.Graph.Bakes.First(other => other > node);
        var start = Due(next) - Work.Graph.Minutes(next, Work.PiesTogether);
        var due = start - (Between(node, next)?.Least ?? 0);
        return IsNightBetween(node, next) ? Math.Min(due, Work.DayBefore(start)) : due;
    }

    /// <summary>The same with a bake let in from a minute on; where no minute works the release stays, and the misfit is reported as it is.</summary>
    public LotAim ReleasedFrom(int node, int minute, int horizonMin) =>
        Work.Timetable.NextDoor(node, Work.PiesTogether, minute, horizonMin) is { } door && door > Release[node]
            ? this with { Release = [.. Release.Select((before, at) => at == node ? door : before)] }
            : this;

    /// <summary>Whether a night lies on some way from one node to another.</summary>
    private bool IsNightBetween(int from, int to) => Work.Graph.Out(from).Any(edge =>
        edge.To <= to && (edge.To == to || Leads(edge.To, to)) && (edge.Kind == LinkKind.DayBefore || (edge.To < to && IsNightBetween(edge.To, to))));

    private bool Leads(int from, int to) => Work.Graph.Out(from).Any(edge => edge.To == to || (edge.To < to && Leads(edge.To, to)));

    /// <summary>
    /// Minutes from the end of one bake to the start of another: at least what is wanted of the waits between, or what they
    /// need once the aim is given up, and at most what they bear; null where no path leads there.
    /// </summary>
    public Span? Between(int from, int to)
    {
        var graph = Work.Graph;
        var ways = new (int Least, int Aim, int Most)?[graph.Nodes.Count];
        ways[from] = (0, 0, 0);
        for (var node = from + 1; node <= to; node++)
            foreach (var edge in graph.Into(node).Where(edge => ways[edge.From] is not null))
            {
                // The longest way with the most pies at once, and the shortest with the fewest: both are then safe.
                var passing = edge.From == from ? (Long: 0, Short: 0)
                    : (Long: graph.Minutes(edge.From, Work.PiesTogether), Short: graph.Minutes(edge.From, 1));
                var (before, known) = (ways[edge.From]!.Value, ways[node]);
                // What is done while something bakes ends with it: after that bake it takes no time of its own.
                var lag = edge.Carries ? edge.Lag : new Span(-graph.Minutes(node, Work.PiesTogether), -graph.Minutes(node, Work.PiesTogether), -graph.Minutes(node, 1));
                ways[node] = (
                    Math.Max(known?.Least ?? int.MinValue, before.Least + passing.Long + lag.Least),
                    Math.Max(known?.Aim ?? int.MinValue, before.Aim + passing.Long + lag.Aim),
                    Math.Min(known?.Most ?? int.MaxValue, before.Most + passing.Short + lag.Most));
            }

        if (ways[to] is not { } found) return null;
        var way = (Least: Math.Max(0, found.Least), Aim: Math.Max(0, found.Aim), found.Most);
        var most = Math.Max(way.Least, way.Most);
        var wanted = GivenUp ? way.Least : Math.Clamp(way.Aim, way.Least, most);
        return new Span(wanted, wanted, most);
    }
}
