using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// What work is, so that the same can be done in one go. Work is the same where it is one step of one product. Of two products it is the
/// same where it has the same name at the same station and nothing is at hand but the crust: lining pans with one dough, weighting shells,
/// boxing. What is filled, cooked or cut is each product's own, however it is called; what two products share of that is written as a
/// preparation, and is pooled as one.
/// </summary>
/// <param name="Station">Where.</param>
/// <param name="Name">What is done, in capitals and without room around it: those make no other work.</param>
/// <param name="Dough">The dough that it takes; null where it takes none.</param>
/// <param name="TopDough">The other dough that what lies on top is of; null where there is none.</param>
/// <param name="Product">The product, where it is no other product's as well.</param>
/// <param name="Step">Its step there.</param>
internal sealed record SameWork(Station Station, string? Name, string? Dough, string? TopDough, string? Product, string? Step)
{
    /// <summary>What the work of a node is.</summary>
    /// <param name="lot">Whose pies.</param>
    /// <param name="graph">Their steps.</param>
    /// <param name="node">The node; it is work.</param>
    public static SameWork Of(Lot lot, StepGraph graph, int node)
    {
        var step = graph.Nodes[node];
        // Of what was begun before only some steps are left; what goes in where is seen in all of them.
        var whole = lot.Begun is null ? graph : new StepGraph(lot.Product.ProcessIn(lot.Pan));
        return IsOnTheCrustAlone(lot.Product, whole, lot.Begun is null ? node : whole.Nodes.Index().First(one => one.Item.Id == step.Id).Index)
            ? new SameWork(step.Station, step.Name.Trim().ToUpperInvariant(), step.UsesDough ? lot.Product.Dough.Id : null, step.UsesDough ? lot.Product.TopDough?.Id : null, null, null)
            : new SameWork(step.Station, null, null, null, lot.Product.Id, step.Id);
    }

    /// <summary>Whether a node lines pans, works on shells before they are baked, or boxes, and nothing goes in, or on, there.</summary>
    private static bool IsOnTheCrustAlone(Product product, StepGraph graph, int node) =>
        graph.HoldsDough(node) && IsBare(graph, node) && graph.Nodes[node].Takes.Count == 0
        && graph.Into(node).All(edge => !edge.Carries || graph.HoldsDough(edge.From)) && !PreparationTaking.TakesLayer(product, graph, node);

    private static bool IsBare(StepGraph graph, int node) =>
        graph.Nodes[node].UsesDough || graph.Nodes[node].Station == Station.Box || (graph.BakeAhead(node) is >= 0 and var bake && graph.Nodes[bake].Bakes == BakeOf.Shell);
}
