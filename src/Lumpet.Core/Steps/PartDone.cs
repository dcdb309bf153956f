namespace Lumpet.Core.Steps;

/// <summary>What is left of a product's steps when some of them are done on its pies. What is done is work and bakes, each with what leads to it.</summary>
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

    /// <summary>The work and bakes that are done when one is, itself and all that leads to it, each with the last minute at which it can have been done.</summary>
    /// <param name="network">A product's steps.</param>
    /// <param name="stepId">Work or a bake among them.</param>
    /// <param name="atMin">When that was done.</param>
    /// <exception cref="ArgumentException">There is no such step.</exception>
    public static IReadOnlyDictionary<string, int> By(ProcessNetwork network, string stepId, int atMin)
    {
        var graph = new StepGraph(network);
        var done = new Dictionary<string, int>();
        Do(NodeOf(graph, stepId), atMin);
        return done;

        void Do(int node, int endMin)
        {
            if (done.TryGetValue(graph.Nodes[node].Id, out var known) && known <= endMin) return;
            done[graph.Nodes[node].Id] = endMin;
            foreach (var edge in graph.Into(node)) Do(edge.From, edge.Carries ? endMin - graph.Minutes(node, 1) - edge.Lag.Least : endMin);
        }
    }

    /// <summary>Of some work and bakes those whose whole way is done, so that nothing is done before what leads to it.</summary>
    /// <param name="network">A product's steps.</param>
    /// <param name="done">When each was done, by the step's id; what the product does not have is left out.</param>
    public static IReadOnlyDictionary<string, int> Whole(ProcessNetwork network, IReadOnlyDictionary<string, int> done)
    {
        var graph = new StepGraph(network);
        var whole = new Dictionary<string, int>();
        for (var node = 0; node < graph.Nodes.Count; node++)
            if (done.TryGetValue(graph.Nodes[node].Id, out var at) && graph.Into(node).All(edge => whole.ContainsKey(graph.Nodes[edge.From].Id))) whole[graph.Nodes[node].Id] = at;
        return whole;
    }

    /// <summary>Of what is done that on the crust, without what was prepared to go into it and has not.</summary>
    /// <inheritdoc cref="Rest"/>
    public static IReadOnlyDictionary<string, int> OnTheCrust(ProcessNetwork network, IReadOnlyDictionary<string, int> done)
    {
        var graph = new StepGraph(network);
        var kept = new HashSet<string>();
        for (var node = graph.Nodes.Count - 1; node >= 0; node--)
            if (done.ContainsKey(graph.Nodes[node].Id) && (graph.HoldsDough(node) || graph.Out(node).Any(edge => kept.Contains(graph.Nodes[edge.To].Id)))) kept.Add(graph.Nodes[node].Id);
        return done.Where(one => kept.Contains(one.Key)).ToDictionary();
    }

    /// <summary>The steps that are left, with the waits among them; a wait for what is done is none of them.</summary>
    /// <param name="network">A product's steps.</param>
    /// <param name="done">When each that is done was, by its id.</param>
    public static ProcessNetwork Rest(ProcessNetwork network, IReadOnlyDictionary<string, int> done)
    {
        var gone = done.Keys.ToHashSet();
        // One wait may follow another.
        while (network.Steps.FirstOrDefault(step => step.Wait is not null && !gone.Contains(step.Id) && network.Links.Where(link => link.After == step.Id).All(link => gone.Contains(link.Before))) is { } wait)
            gone.Add(wait.Id);
        return network with
        {
            Steps = [.. network.Steps.Where(step => !gone.Contains(step.Id))],
            Links = [.. network.Links.Where(link => !gone.Contains(link.Before) && !gone.Contains(link.After))],
        };
    }

    /// <summary>The first of the steps that are left, each with the first and the last minute at which it may begin.</summary>
    /// <inheritdoc cref="Rest"/>
    public static IReadOnlyList<(string StepId, int FromMin, long UntilMin)> Next(ProcessNetwork network, IReadOnlyDictionary<string, int> done)
    {
        var graph = new StepGraph(network);
        return
        [
            .. from edge in graph.Edges
               where edge.Carries && done.ContainsKey(graph.Nodes[edge.From].Id) && !done.ContainsKey(graph.Nodes[edge.To].Id)
               let end = done[graph.Nodes[edge.From].Id]
               group (Least: end + edge.Lag.Least, Most: end + (long)edge.Lag.Most) by graph.Nodes[edge.To].Id into same
               select (same.Key, same.Max(lag => lag.Least), same.Min(lag => lag.Most)),
        ];
    }

    /// <summary>The waits right after what is done on the crust, before what is left: where the pies stand until then.</summary>
    /// <inheritdoc cref="Rest"/>
    public static IReadOnlyList<Step> Waiting(ProcessNetwork network, IReadOnlyDictionary<string, int> done)
    {
        var graph = new StepGraph(network);
        return
        [
            .. graph.Edges.Where(edge => edge.Carries && graph.HoldsDough(edge.From) && done.ContainsKey(graph.Nodes[edge.From].Id) && !done.ContainsKey(graph.Nodes[edge.To].Id))
                .Select(edge => edge.LastWait).OfType<Step>(),
        ];
    }

    /// <summary>
    /// The last minute of a pick-up for which pies may still be made of these: nothing that follows waits for longer than it bears, and what
    /// is baked is no older than it may be.
    /// </summary>
    /// <param name="network">A product's steps.</param>
    /// <param name="done">When each that is done was, by its id; at least one.</param>
    /// <param name="oldestMin">The most minutes between the last bake and the pick-up.</param>
    public static int GoodUntilMin(ProcessNetwork network, IReadOnlyDictionary<string, int> done, int oldestMin)
    {
        var graph = new StepGraph(network);
        // The most that may lie between the start of each node and the pick-up.
        var most = new long[graph.Nodes.Count];
        for (var node = graph.Nodes.Count - 1; node >= 0; node--)
        {
            long onward = graph.Out(node).Where(edge => edge.Carries).Select(edge => edge.Lag.Most + most[edge.To]).DefaultIfEmpty(oldestMin).Min();
            most[node] = graph.Minutes(node, 1) + (graph.Bakes.Count > 0 && node == graph.LastBake ? Math.Min(oldestMin, onward) : onward);
        }

        var waits = Next(network, done).Select(next => next.UntilMin + most[NodeOf(graph, next.StepId)]).DefaultIfEmpty(long.MaxValue).Min();
        var isBaked = graph.Bakes.Count > 0 && graph.Bakes.All(bake => done.ContainsKey(graph.Nodes[bake].Id));
        var ages = isBaked ? done[graph.Nodes[graph.LastBake].Id] + (long)oldestMin : waits == long.MaxValue ? done.Values.Max() + (long)oldestMin : long.MaxValue;
        return (int)Math.Clamp(Math.Min(waits, ages), int.MinValue / 4, int.MaxValue / 4);
    }

    private static int NodeOf(StepGraph graph, string stepId) =>
        Enumerable.Range(0, graph.Nodes.Count).Where(node => graph.Nodes[node].Id == stepId).Select(node => (int?)node).FirstOrDefault()
        ?? throw new ArgumentException($"There is no work and no bake \"{stepId}\".", nameof(stepId));
}
