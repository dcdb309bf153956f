namespace Lumpet.Core.Steps;

/// <summary>
/// A product's steps as a graph: work and bakes are the nodes, and each wait is the lag between two of them.
/// </summary>
internal sealed class StepGraph
{
    private readonly int[] bakeAhead;
    private readonly bool[] bakeBehind;

    /// <summary>Builds the graph of a network.</summary>
    /// <exception cref="ArgumentException">The network does not hold together; the message says where.</exception>
    public StepGraph(ProcessNetwork network)
    {
        var waits = network.Steps.Where(step => step.Wait is not null).ToDictionary(step => step.Id);
        Nodes = [.. network.Steps.Where(step => step.Wait is null)];
        var index = Nodes.Select((step, at) => (step.Id, at)).ToDictionary(pair => pair.Id, pair => pair.at);
        var edges = new List<StepEdge>();
        foreach (var link in network.Links)
        {
            if (!index.TryGetValue(link.Before, out var from)) continue;
            if (index.TryGetValue(link.After, out var to)) edges.Add(new StepEdge(from, to, link.Lag, []) { Kind = link.Kind });
            else if (waits.TryGetValue(link.After, out var wait)) edges.AddRange(Through(network, waits, index, [wait], link.Kind).Select(way => new StepEdge(from, way.To, Sum(way.Waits), way.Waits) { Kind = way.Kind }));
            else throw new ArgumentException($"There is no step \"{link.After}\".");
        }

        if (edges.FirstOrDefault(edge => edge.From >= edge.To) is { } backward)
            throw new ArgumentException($"\"{Nodes[backward.To].Id}\" must stand after \"{Nodes[backward.From].Id}\".");
        Edges = edges;
        foreach (var edge in edges) LinkRules.Hold(Nodes[edge.From], Nodes[edge.To], edge);
        Bakes = [.. Enumerable.Range(0, Nodes.Count).Where(node => Nodes[node].IsBake)];
        bakeAhead = new int[Nodes.Count];
        for (var node = Nodes.Count - 1; node >= 0; node--)
            bakeAhead[node] = Nodes[node].IsBake ? node
                : Out(node).Select(edge => bakeAhead[edge.To]).Where(bake => bake >= 0).DefaultIfEmpty(-1).Min();
        bakeBehind = new bool[Nodes.Count];
        for (var node = 0; node < Nodes.Count; node++)
            bakeBehind[node] = Nodes[node].IsBake || Into(node).Any(edge => bakeBehind[edge.From]);
        if (edges.FirstOrDefault(edge => edge.Kind == LinkKind.AtPickUp && bakeAhead[edge.To] >= 0) is { } early)
            throw new ArgumentException($"\"{Nodes[early.To].Name}\" comes before a bake, so it cannot wait for the pick-up.");
    }

    /// <summary>The ways from a wait to work or a bake, through waits that follow it in other places.</summary>
    private static IEnumerable<(int To, Step[] Waits, LinkKind Kind)> Through(ProcessNetwork network, Dictionary<string, Step> waits, Dictionary<string, int> index, Step[] behind, LinkKind kind)
    {
        var last = behind[^1];
        Link[] onward = [.. network.Links.Where(other => other.Before == last.Id)];
        if (onward.Length == 0) throw new ArgumentException($"A wait must be followed by work or a bake: nothing follows \"{last.Id}\".");
        return onward.SelectMany(link =>
            index.TryGetValue(link.After, out var to) ? [(to, behind, Both(kind, link.Kind))]
            : !waits.TryGetValue(link.After, out var next) ? throw new ArgumentException($"There is no step \"{link.After}\".")
            : behind.Contains(next) ? throw new ArgumentException($"\"{next.Id}\" must stand after \"{last.Id}\".")
            : Through(network, waits, index, [.. behind, next], Both(kind, link.Kind)));
    }

    /// <summary>What a way of two links says: whichever of them says more than "after".</summary>
    private static LinkKind Both(LinkKind one, LinkKind other) => one == LinkKind.After ? other : one;

    private static Span Sum(Step[] waits) => waits.Select(wait => wait.Wait!).Aggregate((one, other) => one.Then(other));

    /// <summary>Whether a node works on the dough of the crust, or on what holds it.</summary>
    public bool HoldsDough(int node) => Nodes[node].UsesDough || Into(node).Any(edge => edge.Carries && HoldsDough(edge.From));

    /// <summary>
    /// Whether a node comes after all bakes but follows none of them: a filling that is cooked for shells already baked. Where
    /// nothing is baked, that is everything but the last.
    /// </summary>
    public bool IsAside(int node) => bakeAhead[node] < 0 && !bakeBehind[node] && (Bakes.Count > 0 || !IsLast(node));

    /// <summary>Work and bakes, each after all that it needs.</summary>
    public IReadOnlyList<Step> Nodes { get; }

    /// <summary>What follows what.</summary>
    public IReadOnlyList<StepEdge> Edges { get; }

    /// <summary>Indexes of the bakes, in order; none where the crust comes baked and nothing of the filling is.</summary>
    public IReadOnlyList<int> Bakes { get; }

    /// <summary>The last bake; there is one.</summary>
    public int LastBake => Bakes[^1];

    /// <summary>The first bake that a node leads to, itself included; -1 for what comes after all bakes.</summary>
    public int BakeAhead(int node) => bakeAhead[node];

    /// <summary>Whether nothing follows a node.</summary>
    public bool IsLast(int node) => Edges.All(edge => edge.From != node);

    /// <summary>Edges that leave a node.</summary>
    public IEnumerable<StepEdge> Out(int node) => Edges.Where(edge => edge.From == node);

    /// <summary>Edges that reach a node.</summary>
    public IEnumerable<StepEdge> Into(int node) => Edges.Where(edge => edge.To == node);

    /// <summary>Minutes of a node for so many pies; for a bake its least.</summary>
    public int Minutes(int node, int pies) =>
        Nodes[node].IsBake ? Nodes[node].Stages.Sum(stage => stage.MinMin) : Nodes[node].Hands!.For(pies);
}

/// <summary>One node after another.</summary>
/// <param name="From">Index of the earlier node.</param>
/// <param name="To">Index of the later node.</param>
/// <param name="Lag">Minutes between.</param>
/// <param name="Waits">The steps that wait there, one after the other in their places; empty where nothing does.</param>
internal sealed record StepEdge(int From, int To, Span Lag, IReadOnlyList<Step> Waits)
{
    /// <summary>How the later node follows.</summary>
    public LinkKind Kind { get; init; }

    /// <summary>Whether what the earlier node made goes on to the later one; what is done while something bakes takes nothing from it.</summary>
    public bool Carries => Kind != LinkKind.During;

    /// <summary>The wait right after the earlier node; null where nothing waits.</summary>
    public Step? FirstWait => Waits.Count > 0 ? Waits[0] : null;

    /// <summary>The wait right before the later node; null where nothing waits.</summary>
    public Step? LastWait => Waits.Count > 0 ? Waits[^1] : null;
}
