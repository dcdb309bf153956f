using Lumpet.Core.Bakery;
using Lumpet.Core.Baking;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>Turns lots into what the oven planner is asked.</summary>
internal sealed class OvenQuestion
{
    private readonly DaySnapshot snapshot;
    private readonly IReadOnlyList<LotWork> works;
    private readonly IReadOnlyList<BakeOven> ovens;

    /// <summary>A question about these lots.</summary>
    public OvenQuestion(DaySnapshot snapshot, ShiftCalendar calendar, IReadOnlyList<LotWork> works)
    {
        (this.snapshot, this.works) = (snapshot, works);
        var stretches = new Dictionary<string, Oven>();
        var problemOvens = new List<BakeOven>();
        foreach (var oven in snapshot.Ovens)
            for (var index = 0; index < calendar.Stretches.Count; index++)
            {
                var id = calendar.Stretches.Count == 1 ? oven.Id : $"{oven.Id}/{index + 1}";
                stretches[id] = oven;
                problemOvens.Add(During(oven, calendar.Stretches[index], id));
            }

        (Stretches, ovens) = (stretches, problemOvens);
    }

    /// <summary>Which oven of the bakery each oven of the problem is.</summary>
    public IReadOnlyDictionary<string, Oven> Stretches { get; }

    /// <summary>The problem, with each lot's present releases and dues.</summary>
    public BakeProblem Problem() => new(
        snapshot.ToleranceC, snapshot.TransferMin, ovens, [.. works.SelectMany(work => work.Graph.Bakes.Select(node => BakeOf(work, node)))]);

    /// <summary>The oven as the planner sees it in one stretch of time in which people are there.</summary>
    private static BakeOven During(Oven oven, DayShift stretch, string id) =>
        // Ovens start a stretch at room temperature: what is left of an earlier heat is a gift, not a plan.
        new(id, oven.Shelves, oven.MinC, oven.MaxC, oven.HeatCPerMin, oven.CoolCPerMin, 25, stretch.StartMin, stretch.EndMin);

    private static Bake BakeOf(LotWork work, int node) => new(
        work.BakeId(node),
        work.Lot.Trays,
        work.Graph.Nodes[node].Stages,
        work.Release[node],
        work.Due(node),
        node == work.Graph.LastBake ? work.Lot.PickUpMin - work.Lot.Product.OldestAtPickUp : null,
        null,
        After(work, node));

    /// <summary>A bake follows the one before it, tray by tray, by what lies between them.</summary>
    private static IReadOnlyList<BakeAfter> After(LotWork work, int node)
    {
        var before = work.Graph.Bakes.LastOrDefault(other => other < node, -1);
        if (before < 0 || Between(work, before, node) is not { } lag) return [];
        return [new BakeAfter(work.BakeId(before), lag.Least, lag.Most, true)];
    }

    /// <summary>Least and most minutes from the end of one bake to the start of another; null where no path leads there.</summary>
    internal static Span? Between(LotWork work, int from, int to)
    {
        var graph = work.Graph;
        var (least, most) = (new int?[graph.Nodes.Count], new int?[graph.Nodes.Count]);
        (least[from], most[from]) = (0, 0);
        for (var node = from + 1; node <= to; node++)
            foreach (var edge in graph.Into(node).Where(edge => least[edge.From] is not null))
            {
                // The longest way with the most pies at once, and the shortest with the fewest: both are then safe.
                var passing = edge.From == from ? (Long: 0, Short: 0)
                    : (Long: graph.Minutes(edge.From, work.PiesTogether), Short: graph.Minutes(edge.From, 1));
                least[node] = Math.Max(least[node] ?? 0, least[edge.From]!.Value + passing.Long + edge.Lag.Least);
                most[node] = Math.Min(most[node] ?? int.MaxValue, most[edge.From]!.Value + passing.Short + edge.Lag.Most);
            }

        return least[to] is { } fewest ? new Span(fewest, fewest, Math.Max(fewest, most[to]!.Value)) : null;
    }
}
