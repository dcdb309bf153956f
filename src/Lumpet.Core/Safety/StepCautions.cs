using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;

namespace Lumpet.Core.Safety;

/// <summary>What can hurt at a step: what a person wrote there, and what follows from what is in the product.</summary>
public static class StepCautions
{
    private const string Egg = "71 °C in the middle (USDA FSIS).";
    private const string Clock = "From 57 °C to 21 °C within 2 h, to 5 °C within 6 h in all (FDA Food Code 3-501.14). Record temperatures.";
    private const string Hold = "At 5 °C or below (FDA Food Code 3-501.16).";

    /// <summary>The cautions of every step of a product, by the step's id; empty texts where there is none.</summary>
    public static IReadOnlyDictionary<string, string> Of(Product product)
    {
        var graph = new StepGraph(product.Process);
        var place = graph.Nodes.Select((step, node) => (step.Id, node)).ToDictionary(pair => pair.Id, pair => pair.node);
        var needs = TimeAndTemperature.Needs(product).Count > 0;
        var left = TimeAndTemperature.Left(product).Count > 0;
        return product.Process.Steps.ToDictionary(step => step.Id, step =>
        {
            var said = new List<string>();
            if (step.Caution.Length > 0) said.Add(step.Caution);
            if (place.TryGetValue(step.Id, out var node)) said.AddRange(OfWork(product, graph, node));
            if (needs && IsAfterHeat(graph, step))
                said.Add(left && product.Assessment.Length > 0 ? $"By assessment: {product.Assessment}"
                    : step.Celsius is <= 5 ? Hold
                    : step.Wait is not null ? Clock
                    : string.Empty);
            // What a person wrote is not said twice.
            string[] fresh = [.. said.Where((one, at) => one.Length > 0 && !said.Take(at).Any(before => before.Contains(one.TrimEnd('.'), StringComparison.Ordinal)))];
            return string.Join(' ', fresh) + (fresh.Any(one => one is Egg or Clock or Hold) ? $" {ProductCautions.Decide}" : string.Empty);
        });
    }

    private static IEnumerable<string> OfWork(Product product, StepGraph graph, int node)
    {
        var step = graph.Nodes[node];
        if (step.IsBake)
        {
            if (step.Bakes is BakeOf.Pie or BakeOf.Top && ProductCautions.HasEgg(product)) yield return Egg;
            yield break;
        }

        if (graph.BakeAhead(node) < 0 && !graph.IsAside(node)) yield break;
        // What is not to be tasted of a dough is said where it is mixed.
        if (step.UsesDough) yield break;
        var lines = product.Parts
            .Where(part => step.Seals ? part.Kind == PartKind.Finish : !graph.HoldsDough(node) && part.Kind is PartKind.Filling or PartKind.Topping)
            .SelectMany(part => part.Lines);
        if (ProductCautions.Raw(lines) is { } raw) yield return raw;
    }

    /// <summary>Whether a step comes when nothing is baked any more.</summary>
    private static bool IsAfterHeat(StepGraph graph, Step step) =>
        graph.Edges.Any(edge => edge.Waits.Any(wait => wait.Id == step.Id) && graph.BakeAhead(edge.To) < 0 && !graph.IsAside(edge.From))
        || graph.Nodes.Select((one, node) => (one, node)).Any(pair => pair.one.Id == step.Id && !pair.one.IsBake && graph.BakeAhead(pair.node) < 0 && !graph.IsAside(pair.node));
}
