namespace Lumpet.Core.Steps;

/// <summary>What is left of a product's steps when its pies have been brought as far as one of them.</summary>
public static class PartDone
{
    /// <summary>
    /// The steps as far as which pies may have been brought: work and bakes on their crust, in order. After the last of them nothing is
    /// left but to hand them over.
    /// </summary>
    /// <param name="network">A product's steps.</param>
    public static IReadOnlyList<Step> Stages(ProcessNetwork network)
    {
        var graph = new StepGraph(network);
        return [.. graph.Nodes.Where((_, node) => graph.HoldsDough(node))];
    }

    /// <summary>Ids of the work and bakes that are done when one is: itself, and all that leads to it.</summary>
    /// <param name="network">A product's steps.</param>
    /// <param name="stepId">Work or a bake among them.</param>
    public static IReadOnlySet<string> DoneBy(ProcessNetwork network, string stepId)
    {
        var graph = new StepGraph(network);
        var done = new HashSet<string>();
        Do(NodeOf(graph, stepId));
        return done;

        void Do(int node)
        {
            if (!done.Add(graph.Nodes[node].Id)) return;
            foreach (var edge in graph.Into(node)) Do(edge.From);
        }
    }

    /// <summary>The steps that are left, with the waits among them; a wait for what is done is none of them.</summary>
    /// <inheritdoc cref="DoneBy"/>
    public static ProcessNetwork Rest(ProcessNetwork network, string stepId)
    {
        var gone = DoneBy(network, stepId).ToHashSet();
        // One wait may follow another.
        while (network.Steps.FirstOrDefault(step => step.Wait is not null && !gone.Contains(step.Id) && network.Links.Where(link => link.After == step.Id).All(link => gone.Contains(link.Before))) is { } wait)
            gone.Add(wait.Id);
        return network with
        {
            Steps = [.. network.Steps.Where(step => !gone.Contains(step.Id))],
            Links = [.. network.Links.Where(link => !gone.Contains(link.Before) && !gone.Contains(link.After))],
        };
    }

    /// <summary>The first of the steps that are left, each with the least, wanted and most minutes after what is done.</summary>
    /// <inheritdoc cref="DoneBy"/>
    public static IReadOnlyList<(string StepId, Span Lag)> Next(ProcessNetwork network, string stepId)
    {
        var (graph, done) = (new StepGraph(network), DoneBy(network, stepId));
        return
        [
            .. from edge in graph.Edges
               where edge.Carries && done.Contains(graph.Nodes[edge.From].Id) && !done.Contains(graph.Nodes[edge.To].Id)
               group edge.Lag by graph.Nodes[edge.To].Id into same
               select (same.Key, new Span(same.Max(lag => lag.Least), same.Max(lag => lag.Aim), Math.Max(same.Max(lag => lag.Least), same.Min(lag => lag.Most)))),
        ];
    }

    /// <summary>
    /// For how many minutes after a step pies may still be promised for a pick-up: what follows then begins before it would wait too long, and
    /// what is baked is no older than it may be. Zero where even the least of what follows would come too late.
    /// </summary>
    /// <param name="network">A product's steps.</param>
    /// <param name="stepId">Work or a bake among them.</param>
    /// <param name="oldestMin">The most minutes between the last bake and the pick-up.</param>
    public static int GoodForMin(ProcessNetwork network, string stepId, int oldestMin)
    {
        var graph = new StepGraph(network);
        // The least that is left from the start of each node until all is done: work at a pick-up begins no sooner than that.
        var left = new long[graph.Nodes.Count];
        for (var node = graph.Nodes.Count - 1; node >= 0; node--)
            left[node] = graph.Minutes(node, 1) + graph.Out(node).Select(edge => edge.Carries ? edge.Lag.Least + left[edge.To] : 0).DefaultIfEmpty(0).Max();
        var waits = Next(network, stepId).Select(next => next.Lag.Most + left[NodeOf(graph, next.StepId)]).DefaultIfEmpty(long.MaxValue).Min();
        var ages = SinceBakedMin(network, stepId) is { } since ? oldestMin - since : waits == long.MaxValue ? oldestMin : long.MaxValue;
        return (int)Math.Clamp(Math.Min(waits, ages), 0, int.MaxValue);
    }

    /// <summary>The least minutes between the end of the last bake that is done and the end of a step; null where nothing that is done is baked, or something is baked yet.</summary>
    /// <inheritdoc cref="DoneBy"/>
    public static int? SinceBakedMin(ProcessNetwork network, string stepId)
    {
        var graph = new StepGraph(network);
        var done = DoneBy(network, stepId);
        if (graph.Bakes.Count == 0 || graph.Bakes.Any(bake => !done.Contains(graph.Nodes[bake].Id))) return null;
        var since = new int?[graph.Nodes.Count];
        for (var node = graph.LastBake; node < graph.Nodes.Count; node++)
            since[node] = node == graph.LastBake ? 0
                : graph.Into(node).Where(edge => edge.Carries && since[edge.From] is not null).Select(edge => (int?)(since[edge.From]!.Value + edge.Lag.Least + graph.Minutes(node, 1))).Max();
        return since[NodeOf(graph, stepId)] ?? 0;
    }

    private static int NodeOf(StepGraph graph, string stepId) =>
        Enumerable.Range(0, graph.Nodes.Count).Where(node => graph.Nodes[node].Id == stepId).Select(node => (int?)node).FirstOrDefault()
        ?? throw new ArgumentException($"There is no work and no bake \"{stepId}\".", nameof(stepId));
}
