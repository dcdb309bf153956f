using Lumpet.Core.Steps;

namespace Lumpet.Core.Recipes;

/// <summary>The steps of a product that concern its fillings and toppings: what is done before they meet the dough, and the step in which they do.</summary>
public static class FillingSteps
{
    /// <summary>Those steps, in order, waits among them; the step that fills last.</summary>
    public static IReadOnlyList<Step> Of(ProcessNetwork process)
    {
        var graph = new StepGraph(process);
        int[] nodes = [.. Enumerable.Range(0, graph.Nodes.Count)];
        var apart = nodes.Where(node => !graph.HoldsDough(node)).ToHashSet();
        var ids = apart.Select(node => graph.Nodes[node].Id)
            .Concat(graph.Edges.Where(edge => apart.Contains(edge.From)).SelectMany(edge => edge.Waits.Select(wait => wait.Id)))
            .Concat(nodes.Where(node => graph.HoldsDough(node) && graph.Into(node).Any(edge => edge.Carries && apart.Contains(edge.From))).Select(node => graph.Nodes[node].Id))
            .ToHashSet();
        return [.. process.Steps.Where(step => ids.Contains(step.Id))];
    }

    /// <summary>The first of them, at which a filling is weighed; null where it has no step of its own.</summary>
    public static Step? First(ProcessNetwork process) => Of(process) is { Count: > 1 } steps ? steps[0] : null;
}
