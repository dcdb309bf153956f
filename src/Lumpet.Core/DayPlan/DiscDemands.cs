using Lumpet.Core.Dough;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.DayPlan;

/// <summary>What pies take of doughs at the bench.</summary>
internal static class DiscDemands
{
    /// <summary>The discs that so many pies of a lot take.</summary>
    /// <param name="work">The lot.</param>
    /// <param name="pies">How many of its pies.</param>
    /// <param name="times">When each step is done.</param>
    /// <param name="taskId">Id of the task of a step; null while no task is planned.</param>
    public static IEnumerable<DoughDemand> Of(LotWork work, int pies, ParcelTimes times, Func<string, string>? taskId = null)
    {
        var lot = work.Lot;
        var pieces = PlanStumblesException.Over(lot, () => Scaling.Scale(lot.Product, lot.Pan, pies).Pieces);
        return
            from node in Enumerable.Range(0, work.Graph.Nodes.Count)
            where work.Graph.Nodes[node].UsesDough
            from piece in pieces
            let disc = OnTheScale(piece.Disc)
            // Cut-outs that the trim gives take no disc.
            where disc > Mass.Zero
            select new DoughDemand(
                lot.Product.DoughOf(piece), [lot.Id], $"{lot.Product.Name}, {lot.Pan.Name}, {piece.Name}", disc, pies, piece, times.Start[node])
            { TaskId = taskId?.Invoke(work.Graph.Nodes[node].Id) };
    }

    /// <summary>A disc is portioned on the scale, so it is rounded there, and a batch is the sum of what is portioned.</summary>
    private static Mass OnTheScale(Mass disc) => Mass.FromGrams(Math.Round(disc.Grams, MidpointRounding.AwayFromZero));
}
