using Lumpet.Core.Bakery;
using Lumpet.Core.Baking;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>Turns lots into what the oven planner is asked.</summary>
internal sealed class OvenQuestion
{
    private readonly DaySnapshot snapshot;
    private readonly IReadOnlyList<BakeOven> ovens;

    /// <summary>A question about the ovens of a snapshot.</summary>
    public OvenQuestion(DaySnapshot snapshot, ShiftCalendar calendar)
    {
        this.snapshot = snapshot;
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

    /// <summary>The problem, with the releases and dues that a round aims at.</summary>
    /// <param name="aims">The lots.</param>
    /// <param name="before">Bakes of what is made before the pies.</param>
    public BakeProblem Problem(IReadOnlyList<LotAim> aims, IEnumerable<Bake> before) => new(
        snapshot.ToleranceC, snapshot.TransferMin, ovens, [.. before, .. aims.SelectMany(aim => aim.Work.Graph.Bakes.Select(node => BakeOf(aim, node)))]);

    /// <summary>The oven as the planner sees it in one stretch of time in which people are there.</summary>
    private static BakeOven During(Oven oven, DayShift stretch, string id) =>
        // Ovens start a stretch at room temperature: what is left of an earlier heat is a gift, not a plan.
        new(id, oven.Shelves, oven.MinC, oven.MaxC, oven.HeatCPerMin, oven.CoolCPerMin, 25, stretch.StartMin, stretch.EndMin) { FloorPlaces = oven.FloorPlaces };

    private static Bake BakeOf(LotAim aim, int node) => new(
        aim.Work.BakeId(node),
        aim.Work.Lot.Trays,
        aim.Work.Graph.Nodes[node].Stages,
        aim.Release[node],
        aim.Due(node),
        node == aim.Work.Graph.LastBake ? aim.Work.Lot.PickUpMin - aim.Work.Lot.Product.OldestAtPickUp : null,
        null,
        After(aim, node))
    {
        OnFloor = aim.Work.Graph.Nodes[node].Place == OvenPlace.Floor,
    };

    /// <summary>A bake follows the one before it, tray by tray, by what lies between them.</summary>
    private static IReadOnlyList<BakeAfter> After(LotAim aim, int node)
    {
        var before = aim.Work.Graph.Bakes.LastOrDefault(other => other < node, -1);
        if (before < 0 || aim.Between(before, node) is not { } lag) return [];
        return [new BakeAfter(aim.Work.BakeId(before), lag.Least, lag.Most, true)];
    }
}
