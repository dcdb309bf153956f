using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>A lot while it is planned: its graph, and the times its bakes are given.</summary>
internal sealed class LotWork
{
    /// <summary>Work for a lot, with no times yet.</summary>
    /// <param name="lot">The lot.</param>
    /// <param name="calendar">The shifts.</param>
    /// <param name="mostTrays">Trays of the largest oven: what can travel together.</param>
    /// <param name="spareMin">By how many minutes boxes should be ready before the pick-up.</param>
    public LotWork(Lot lot, ShiftCalendar calendar, int mostTrays, int spareMin)
    {
        Lot = lot;
        Graph = new StepGraph(lot.Product.Process);
        PiesTogether = lot.Trays.Take(Math.Max(1, mostTrays)).Sum();
        var dough = lot.Product.Dough;
        var firstMin = calendar.Stretches.Count > 0 ? calendar.Stretches[0].StartMin : 0;
        Timetable = new ParcelTimetable(Graph, calendar, lot.PickUpMin, spareMin, firstMin + dough.MadeInMinutes + dough.Rest.Least);
        Release = new int[Graph.Nodes.Count];
    }

    /// <summary>The lot.</summary>
    public Lot Lot { get; }

    /// <summary>Its product's steps.</summary>
    public StepGraph Graph { get; }

    /// <summary>The most pies of the lot that travel together.</summary>
    public int PiesTogether { get; }

    /// <summary>Times the work around its bakes.</summary>
    public ParcelTimetable Timetable { get; }

    /// <summary>First minute at which each bake can start, by node.</summary>
    public int[] Release { get; }

    /// <summary>Whether the aims of cooling and setting are given up for this lot.</summary>
    public bool AimGivenUp { get; set; }

    /// <summary>Name of a bake in the oven problem.</summary>
    public string BakeId(int node) => $"{Lot.Id}/{Graph.Nodes[node].Id}";

    /// <summary>When a bake should be out: the last for pick-up, an earlier one for the one after it.</summary>
    public int Due(int node)
    {
        if (node == Graph.LastBake) return Timetable.LatestOut(PiesTogether, !AimGivenUp);
        var next = Graph.Bakes.First(other => other > node);
        var between = OvenQuestion.Between(this, node, next)?.Least ?? 0;
        return Due(next) - Graph.Minutes(next, PiesTogether) - between;
    }

    /// <summary>Sets every release to the first minute at which its own work can be done, from a minute on.</summary>
    public void ReleaseFrom(int node, int minute, int horizonMin) =>
        // Where no minute works, the release stays: the misfit is then reported as it is.
        Release[node] = Timetable.NextDoor(node, PiesTogether, minute, horizonMin) ?? Release[node];
}
