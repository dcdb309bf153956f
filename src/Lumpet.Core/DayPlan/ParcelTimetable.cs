using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// Times the work around the bakes of a parcel: what comes before as late as its lags and the shifts allow, what comes
/// after as early as it should.
/// </summary>
internal sealed class ParcelTimetable(StepGraph graph, ShiftCalendar calendar, int pickUpMin, int spareMin, IReadOnlyList<ReadyFrom> ready)
{
    // Work that does not fit may be reckoned back to before minute 0, so no ordinary number can stand for "not yet".
    private const int Unset = int.MinValue;

    /// <summary>Times all work of a parcel whose bakes are fixed.</summary>
    /// <param name="pies">Pies of the parcel.</param>
    /// <param name="bakes">Start and end of each bake, by node.</param>
    public ParcelTimes Around(int pies, IReadOnlyDictionary<int, (int Start, int End)> bakes)
    {
        if (graph.Bakes.Count == 0) return new UnbakedTimetable(graph, calendar, pickUpMin, spareMin, ready).Of(pies);
        var (start, end, misfits) = Fixed(bakes);
        foreach (var bake in graph.Bakes) Before(bake, pies, start, end, misfits);
        After(pies, start, end, misfits);
        Aside(pies, start, end, misfits);
        OnTheDayBefore(start, end, misfits);
        return new ParcelTimes(start, end, misfits);
    }

    /// <summary>The first minute from which a bake could start as far as its own work and the shifts are concerned; null: none.</summary>
    /// <param name="bake">Node of the bake.</param>
    /// <param name="pies">Pies that are prepared together.</param>
    /// <param name="from">First minute looked at.</param>
    /// <param name="horizonMin">Last minute looked at.</param>
    public int? NextDoor(int bake, int pies, int from, int horizonMin)
    {
        var minute = Math.Max(Math.Max(0, from), ready[bake].Min);
        while (minute <= horizonMin)
        {
            if (!IsOpen(bake, pies, minute))
            {
                minute++;
                continue;
            }

            var misfits = Misfits(bake, pies, minute);
            if (misfits.Count == 0) return minute;
            // Work before a bake comes at most as much later as the bake does, so what is short is the least to add.
            minute += Math.Max(1, misfits.Max(misfit => misfit.Short));
        }

        return null;
    }

    /// <summary>The last minute at which a bake could start as far as its own work and the shifts are concerned, to a few minutes; null: none.</summary>
    /// <param name="bake">Node of the bake.</param>
    /// <param name="pies">Pies that are prepared together.</param>
    /// <param name="until">Last minute looked at.</param>
    /// <param name="from">First minute looked at.</param>
    public int? LastDoor(int bake, int pies, int until, int from)
    {
        for (var minute = until; minute >= from; minute -= LookedAtEvery)
            if (IsOpen(bake, pies, minute) && Misfits(bake, pies, minute).Count == 0) return minute;
        return null;
    }

    // A door back in time is looked for where work does not fit, which is hours at a stretch: minutes would cost more than they gain.
    private const int LookedAtEvery = 5;

    private bool IsOpen(int bake, int pies, int minute) => calendar.Holds(minute, minute + graph.Minutes(bake, pies));

    /// <summary>The work before one bake that starts at a minute, as if there were no other; what does not lead to it starts at the least of all numbers.</summary>
    /// <param name="bake">Node of the bake.</param>
    /// <param name="pies">Pies that are made together.</param>
    /// <param name="minute">When it starts.</param>
    public ParcelTimes BeforeOne(int bake, int pies, int minute)
    {
        var (start, end, misfits) = Fixed(new Dictionary<int, (int, int)> { [bake] = (minute, minute + graph.Minutes(bake, pies)) });
        Before(bake, pies, start, end, misfits);
        return new ParcelTimes(start, end, misfits);
    }

    /// <summary>The work after the last bake, which is over at a minute.</summary>
    /// <param name="pies">Pies that are made together.</param>
    /// <param name="minute">When it is over.</param>
    public ParcelTimes AfterLast(int pies, int minute)
    {
        var (start, end, misfits) = Fixed(new Dictionary<int, (int, int)> { [graph.LastBake] = (minute - graph.Minutes(graph.LastBake, pies), minute) });
        After(pies, start, end, misfits);
        Aside(pies, start, end, misfits);
        return new ParcelTimes(start, end, misfits);
    }

    private List<Misfit> Misfits(int bake, int pies, int minute)
    {
        var (start, end, misfits) = Fixed(new Dictionary<int, (int, int)> { [bake] = (minute, minute + graph.Minutes(bake, pies)) });
        Before(bake, pies, start, end, misfits);
        if (bake == graph.LastBake)
        {
            After(pies, start, end, misfits);
            Aside(pies, start, end, misfits);
        }

        return misfits;
    }

    /// <summary>The minute by which the last bake must be out so that all that follows is done at pick-up.</summary>
    /// <param name="pies">Pies that are finished together.</param>
    /// <param name="aim">Whether the aims of the lags are kept, or only their least.</param>
    public int LatestOut(int pies, bool aim)
    {
        var latest = LatestStarts(pies, aim);
        return graph.Out(graph.LastBake)
            .Select(edge => EndBy(edge, latest[edge.To], aim) + (edge.Kind == LinkKind.During ? graph.Minutes(graph.LastBake, pies) : 0))
            .DefaultIfEmpty(pickUpMin)
            .Min();
    }

    private (int[] Start, int[] End, List<Misfit> Misfits) Fixed(IReadOnlyDictionary<int, (int Start, int End)> bakes)
    {
        var (start, end) = (new int[graph.Nodes.Count], new int[graph.Nodes.Count]);
        Array.Fill(start, Unset);
        foreach (var (node, time) in bakes) (start[node], end[node]) = time;
        return (start, end, []);
    }

    private void Before(int bake, int pies, int[] start, int[] end, List<Misfit> misfits)
    {
        for (var node = bake - 1; node >= 0; node--)
        {
            if (graph.Nodes[node].IsBake || graph.BakeAhead(node) != bake) continue;
            var length = graph.Minutes(node, pies);
            StepEdge[] onward = [.. graph.Out(node).Where(edge => start[edge.To] != Unset)];
            // Beside a bake: by its end. After one: before what it leaves has waited too long.
            var by = graph.Into(node).Where(edge => graph.Nodes[edge.From].IsBake && start[edge.From] != Unset)
                .Select(edge => edge.Kind == LinkKind.During ? Math.Max(end[edge.From], start[edge.From] + edge.Lag.Least + length) : end[edge.From] + edge.Lag.Most + length)
                .DefaultIfEmpty(int.MaxValue).Min();
            var (byAim, byLeast) = (Math.Min(by, onward.Min(edge => EndBy(edge, start[edge.To], aim: true))), Math.Min(by, onward.Min(edge => EndBy(edge, start[edge.To], aim: false))));
            var aimed = calendar.LatestStart(length, byAim);
            var least = calendar.LatestStart(length, byLeast);
            var until = onward.Min(edge => EndBy(edge, start[edge.To], aim: false));
            // What fits nowhere stands before what follows it: a least time is not broken for a most.
            var found = Keeps(aimed) ? aimed : Keeps(least) ? least : null;
            (start[node], end[node]) = found is { } minute ? (minute, minute + length) : (until - length, until);
            if (found is null) misfits.Add(Misfit(bake, node, start, end, onward));

            bool Keeps(int? at) => at is { } begin
                && onward.All(edge => start[edge.To] - (begin + length) <= edge.Lag.Most)
                && begin >= ready[node].Min
                && graph.Into(node).All(edge => start[edge.From] == Unset || !graph.Nodes[edge.From].IsBake || begin >= From(edge, start, end, aim: false));
        }
    }

    private int EndBy(StepEdge edge, int startMin, bool aim) => calendar.EndBy(edge, startMin, aim);

    private int From(StepEdge edge, int[] start, int[] end, bool aim) => calendar.From(edge, start[edge.From], end[edge.From], aim);

    /// <summary>Bakes are timed by the ovens, which know no days: where one is not done on the day before what follows, that is said.</summary>
    private void OnTheDayBefore(int[] start, int[] end, List<Misfit> misfits)
    {
        foreach (var edge in graph.Edges.Where(edge => edge.Kind == LinkKind.DayBefore && end[edge.From] > calendar.DayBefore(start[edge.To]) && misfits.All(misfit => misfit.Node != edge.To)))
            misfits.Add(new Misfit(Math.Max(0, graph.BakeAhead(edge.To)), edge.To, 0, PlanText.Say($"\"{graph.Nodes[edge.From].Name}\" cannot be done on the day before \"{graph.Nodes[edge.To].Name}\"")));
    }

    private Misfit Misfit(int bake, int node, int[] start, int[] end, StepEdge[] onward)
    {
        var name = graph.Nodes[node].Name;
        if (start[node] < ready[node].Min)
            return new Misfit(bake, node, ready[node].Min - start[node], PlanText.Say($"\"{name}\" would begin before any {ready[node].What}"));
        if (onward.FirstOrDefault(edge => start[edge.To] - end[node] > edge.Lag.Most) is { } tooLong)
            return new Misfit(bake, node, 0, PlanText.Say($"\"{name}\" would end more than {tooLong.Lag.Most} min before \"{graph.Nodes[tooLong.To].Name}\", because no one is there in between"));
        return new Misfit(bake, node, 0, PlanText.Say($"\"{name}\" takes {end[node] - start[node]} min and fits into no shift before its bake"));
    }

    private void After(int pies, int[] start, int[] end, List<Misfit> misfits)
    {
        var (latest, latestAimed) = (LatestStarts(pies, aim: false), LatestStarts(pies, aim: true));
        for (var node = 0; node < graph.Nodes.Count; node++)
        {
            if (graph.BakeAhead(node) >= 0 || graph.IsAside(node)) continue;
            var length = graph.Minutes(node, pies);
            StepEdge[] before = [.. graph.Into(node).Where(edge => !graph.IsAside(edge.From))];
            var least = before.Max(edge => From(edge, start, end, aim: false));
            var wanted = calendar.EarliestStart(length, before.Max(edge => From(edge, start, end, aim: true)));
            // What is done at pick-up comes as late as boxes should be ready.
            if (before.Any(edge => edge.Kind == LinkKind.AtPickUp) && calendar.LatestStart(length, length + Math.Min(latestAimed[node], before.Min(edge => end[edge.From] + edge.Lag.Most))) is { } late && late > wanted) wanted = late;
            // The aim is given up rather than the pick-up: then as late as the pick-up allows.
            var found = wanted is { } early && early <= latest[node] ? wanted
                : latest[node] >= least ? latest[node]
                : calendar.EarliestStart(length, least);
            // Work that joins here comes later where that lets what it waits for be done.
            if (found is { } planned && !AsideFits(node, planned, pies)) found = LaterWithAside(node, planned, length, pies) ?? found;
            start[node] = found ?? least;
            end[node] = start[node] + length;
            var name = graph.Nodes[node].Name;
            if (found is null) misfits.Add(new Misfit(graph.LastBake, node, 0, PlanText.Say($"no one is there for \"{name}\"")));
            else if (before.FirstOrDefault(edge => edge.Kind == LinkKind.During && end[node] > Math.Max(end[edge.From], start[edge.From] + edge.Lag.Least + length)) is { } beside)
                misfits.Add(new Misfit(graph.LastBake, node, 0, PlanText.Say($"\"{name}\" cannot be done while \"{graph.Nodes[beside.From].Name}\" bakes")));
            else if (before.FirstOrDefault(edge => edge.Carries && start[node] - end[edge.From] > edge.Lag.Most) is { } edge)
                misfits.Add(new Misfit(graph.LastBake, node, 0, PlanText.Say($"\"{name}\" would come more than {edge.Lag.Most} min after \"{graph.Nodes[edge.From].Name}\"")));
        }
    }

    /// <summary>The first later start at which the work beside the bakes fits before it too; null where there is none.</summary>
    private int? LaterWithAside(int node, int from, int length, int pies)
    {
        for (int? start = from; start is { } minute; start = calendar.EarliestStart(length, minute + 1))
            if (AsideFits(node, minute, pies)) return minute;
        return null;
    }

    /// <summary>Whether all work beside the bakes that leads to a node can be done before a start of it.</summary>
    private bool AsideFits(int node, int start, int pies) =>
        graph.Into(node).Where(edge => graph.IsAside(edge.From)).All(edge =>
            AsideStart(graph.Minutes(edge.From, pies), [(start, edge)]) is { } begin && AsideFits(edge.From, begin, pies));

    /// <summary>The latest start of work beside the bakes that keeps the lags to what follows, as they are wanted or as they must be; null where there is none.</summary>
    private int? AsideStart(int length, IReadOnlyList<(int Start, StepEdge Edge)> onward)
    {
        int? Within(int? begin) => begin is { } at && onward.All(next => next.Start - (at + length) <= next.Edge.Lag.Most) ? begin : null;
        return Within(calendar.LatestStart(length, onward.Min(next => EndBy(next.Edge, next.Start, aim: true))))
            ?? Within(calendar.LatestStart(length, onward.Min(next => EndBy(next.Edge, next.Start, aim: false))));
    }

    /// <summary>Work beside the bakes that joins after them, as late as what it joins allows.</summary>
    private void Aside(int pies, int[] start, int[] end, List<Misfit> misfits)
    {
        for (var node = graph.Nodes.Count - 1; node >= 0; node--)
        {
            if (!graph.IsAside(node)) continue;
            var length = graph.Minutes(node, pies);
            StepEdge[] onward = [.. graph.Out(node)];
            var found = AsideStart(length, [.. onward.Select(edge => (start[edge.To], edge))]);
            start[node] = found ?? onward.Min(edge => start[edge.To] - edge.Lag.Least) - length;
            end[node] = start[node] + length;
            if (found is null)
                misfits.Add(new Misfit(graph.LastBake, node, 0, PlanText.Say($"\"{graph.Nodes[node].Name}\" takes {length} min and fits into no shift before \"{graph.Nodes[onward[0].To].Name}\"")));
        }
    }

    /// <summary>The latest start of everything after the bakes for a pick-up in time; below 0 where there is none.</summary>
    private int[] LatestStarts(int pies, bool aim)
    {
        var latest = new int[graph.Nodes.Count];
        for (var node = graph.Nodes.Count - 1; node >= 0; node--)
        {
            if (graph.BakeAhead(node) >= 0) continue;
            var endBy = graph.Out(node)
                .Select(edge => EndBy(edge, latest[edge.To], aim))
                .DefaultIfEmpty(aim ? pickUpMin - spareMin : pickUpMin)
                .Min();
            latest[node] = calendar.LatestStart(graph.Minutes(node, pies), endBy) ?? -1;
        }

        return latest;
    }
}

/// <summary>From when on something that a step takes can be there at all.</summary>
/// <param name="Min">The minute.</param>
/// <param name="What">What is not there before, as "before any" is followed: "dough can be mixed and rested".</param>
internal sealed record ReadyFrom(int Min, string What)
{
    /// <summary>The last minute at which it may begin, so that nothing has waited too long.</summary>
    public long UntilMin { get; init; } = long.MaxValue;

    /// <summary>For a step that takes nothing that is made first.</summary>
    public static ReadyFrom Always { get; } = new(int.MinValue, string.Empty);
}
