using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>A line of a recipe that is made first, with the step that takes it.</summary>
/// <param name="Node">Node of the step.</param>
/// <param name="Line">The line.</param>
internal sealed record TakenLine(int Node, RecipeLine Line);

/// <summary>Which steps take what is made before the pies.</summary>
internal static class PreparationTaking
{
    /// <summary>Every line of a product that a plan makes first, but those of its dough, which are taken when it is mixed.</summary>
    public static IReadOnlyList<TakenLine> Of(Product product, StepGraph graph) =>
    [
        .. from part in product.Parts
           where part.Kind != PartKind.Dough
           from line in part.Lines
           where Planned(line.Ingredient).Any()
           select new TakenLine(Said(graph, line.Ingredient) ?? NodeOf(product, graph, part.Layer!), line),
    ];

    /// <summary>What is still to be taken for a lot: of pies that have been brought as far as one of their steps, what the steps that are left take.</summary>
    /// <param name="lot">The lot.</param>
    /// <param name="graph">Its steps that are left.</param>
    public static IReadOnlyList<TakenLine> Of(Lot lot, StepGraph graph)
    {
        if (lot.Begun is null) return Of(lot.Product, graph);
        var whole = new StepGraph(lot.Product.ProcessIn(lot.Pan));
        return
        [
            .. from taken in Of(lot.Product, whole)
               from node in Enumerable.Range(0, graph.Nodes.Count)
               where graph.Nodes[node].Id == whole.Nodes[taken.Node].Id
               select taken with { Node = node },
        ];
    }

    /// <summary>What a plan makes of an ingredient: itself, or what it is made of where nobody has said how it is made; each once.</summary>
    public static IEnumerable<Ingredient> Planned(Ingredient ingredient) => ingredient.Formula switch
    {
        null => [],
        { How.IsPlanned: true } => [ingredient],
        var formula => formula.Everything.Where(inner => inner.Formula?.How?.IsPlanned == true).DistinctBy(inner => inner.Id),
    };

    /// <summary>How much a plan makes so that there is so much of an ingredient.</summary>
    public static IEnumerable<(Ingredient Made, Mass Wanted)> Wants(Ingredient ingredient, Mass mass) => ingredient.Formula switch
    {
        null => [],
        { How.IsPlanned: true } => [(ingredient, mass)],
        var formula => formula.For(mass).SelectMany(line => Wants(line.Ingredient, line.Yield.AsPurchased(line.Amount))),
    };

    /// <summary>The first step of which a person says that it takes something; null where nobody does.</summary>
    internal static int? Said(StepGraph graph, Ingredient ingredient) =>
        Enumerable.Range(0, graph.Nodes.Count).Where(node => graph.Nodes[node].Takes.Contains(ingredient.Id)).Select(node => (int?)node).FirstOrDefault();

    /// <summary>Whether some layer goes in, or on, at a step.</summary>
    /// <param name="product">The product.</param>
    /// <param name="graph">All of its steps.</param>
    /// <param name="node">The step.</param>
    public static bool TakesLayer(Product product, StepGraph graph, int node) => product.Layers.Any(layer => NodeOf(product, graph, layer) == node);

    /// <summary>
    /// The step that takes a layer where nobody says which: fillings and toppings are what is prepared first, second and so
    /// on, a filling that has no such step with the first, a topping where the pie is filled; a finish with what closes the
    /// pie, or last where it goes on when it is cold; what is served beside with the last step.
    /// </summary>
    internal static int NodeOf(Product product, StepGraph graph, Layer layer)
    {
        int[] nodes = [.. Enumerable.Range(0, graph.Nodes.Count)];
        if (layer.Kind == PartKind.Beside) return nodes[^1];
        int[] begun = [.. nodes.Where(node => !graph.HoldsDough(node) && !graph.Into(node).Any(edge => edge.Carries))];
        var fills = nodes.Where(node => graph.HoldsDough(node) && graph.Into(node).Where(edge => edge.Carries).Select(edge => edge.From).Distinct().Count() > 1).DefaultIfEmpty(nodes.Where(node => graph.Nodes[node].UsesDough).DefaultIfEmpty(nodes[0]).First()).First();
        var turn = product.Layers.Where(other => other.Kind is PartKind.Filling or PartKind.Topping).TakeWhile(other => other.Id != layer.Id).Count();
        return layer.Kind switch
        {
            PartKind.Filling => turn < begun.Length ? begun[turn] : begun.DefaultIfEmpty(fills).First(),
            PartKind.Topping => turn < begun.Length ? begun[turn] : fills,
            _ when product.Crust.Top is Top.Lid or Top.Lattice or Top.CutOuts or Top.Fold => fills,
            _ => nodes.Where(node => graph.Nodes[node].Station == Station.Finish && graph.Into(node).Count() == 1).DefaultIfEmpty(nodes[^1]).First(),
        };
    }
}
