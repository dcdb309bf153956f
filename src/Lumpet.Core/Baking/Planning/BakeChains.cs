namespace Lumpet.Core.Baking.Planning;

/// <summary>What follows what: order, cycles, and the times that followers impose.</summary>
internal sealed class BakeChains
{
    private readonly Dictionary<string, Bake> bakes;
    private readonly List<Bake> ordered = [];
    private readonly Dictionary<string, int> release = [];
    private readonly Dictionary<string, int> latestOut = [];
    private readonly Dictionary<string, string> chain = [];

    /// <summary>Works out the chains of a problem.</summary>
    public BakeChains(BakeProblem problem)
    {
        bakes = problem.Bakes.ToDictionary(bake => bake.Id);
        Followers = problem.Bakes
            .SelectMany(bake => bake.After.Select(after => (after.BakeId, Follower: bake, After: after)))
            .ToLookup(link => link.BakeId, link => (link.Follower, link.After));
        Order(problem);
        foreach (var bake in problem.Bakes) chain[bake.Id] = bake.Id;
        foreach (var bake in problem.Bakes) foreach (var after in bake.After) Join(bake.Id, after.BakeId);
        foreach (var bake in ordered) release[bake.Id] = bake.After.Select(After).Append(bake.ReleaseMin).Max();
        foreach (var bake in Enumerable.Reverse(ordered)) latestOut[bake.Id] = Followers[bake.Id].Select(Before).Append(bake.DueMin).Min();
    }

    /// <summary>The bakes that follow each bake, and how.</summary>
    public ILookup<string, (Bake Follower, BakeAfter After)> Followers { get; }

    /// <summary>Bakes outside any cycle, each after those it follows.</summary>
    public IReadOnlyList<Bake> Ordered => ordered;

    /// <summary>Whether a bake follows itself round a cycle, or follows one that does.</summary>
    public bool InCycle(Bake bake) => !release.ContainsKey(bake.Id);

    /// <summary>Whether what a bake follows leads back to itself.</summary>
    public bool FollowsItself(Bake bake)
    {
        var (seen, open) = (new HashSet<string>(), new Stack<string>(bake.After.Select(after => after.BakeId)));
        while (open.TryPop(out var id))
            if (seen.Add(id))
                foreach (var after in bakes[id].After) open.Push(after.BakeId);
        return seen.Contains(bake.Id);
    }

    /// <summary>First minute at which a tray of a bake can enter, what it follows considered.</summary>
    public int Release(Bake bake) => release[bake.Id];

    /// <summary>Minute by which a bake must be out for itself and all its followers to be in time.</summary>
    public int LatestOut(Bake bake) => latestOut[bake.Id];

    /// <summary>A name for the chain that a bake belongs to; bakes linked by "after" share it.</summary>
    public string ChainOf(Bake bake) => chain[bake.Id];

    private void Join(string one, string other)
    {
        var (from, to) = (chain[one], chain[other]);
        foreach (var id in chain.Keys.Where(id => chain[id] == from).ToArray()) chain[id] = to;
    }

    private static int Shortest(Bake bake) => bake.Stages.Sum(stage => stage.MinMin);

    private int After(BakeAfter after)
    {
        var before = bakes[after.BakeId];
        return before.Trays.Count == 0 ? int.MinValue : release[before.Id] + Shortest(before) + after.MinLagMin;
    }

    private int Before((Bake Follower, BakeAfter After) link) =>
        link.Follower.Trays.Count == 0 || !latestOut.TryGetValue(link.Follower.Id, out var latest)
            ? int.MaxValue
            : latest - Shortest(link.Follower) - link.After.MinLagMin;

    private void Order(BakeProblem problem)
    {
        var waiting = problem.Bakes.ToList();
        var done = new HashSet<string>();
        while (waiting.FirstOrDefault(bake => bake.After.All(after => done.Contains(after.BakeId))) is { } next)
        {
            ordered.Add(next);
            done.Add(next.Id);
            waiting.Remove(next);
        }
    }
}
