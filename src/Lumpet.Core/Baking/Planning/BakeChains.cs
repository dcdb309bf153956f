namespace Lumpet.Core.Baking.Planning;

/// <summary>What follows what: order, cycles, and the times that followers impose.</summary>
internal sealed class BakeChains
{
    private readonly Dictionary<string, Bake> bakes;
    private readonly List<Bake> ordered = [];
    private readonly Dictionary<string, int> release = [];
    private readonly Dictionary<string, int> latestOut = [];
    private readonly Dictionary<string, int> earliestOut = [];
    private readonly Dictionary<string, string> chain = [];
    private readonly HashSet<string> round;
    // Of bakes that have begun when the horizon starts, the first minute at which a tray of them may be out.
    private readonly Dictionary<string, int> begunEnd;

    // Twenty million minutes are longer than any file can ask for, and pies times them are still a whole number.
    private const int Furthest = 20_000_000;

    /// <summary>Works out the chains of a problem.</summary>
    public BakeChains(BakeProblem problem)
    {
        bakes = problem.Bakes.ToDictionary(bake => bake.Id);
        begunEnd = RunningNow.Of(problem).GroupBy(one => one.Key.Bake).ToDictionary(group => group.Key, group => group.Min(one => one.Value.DoneMin ?? (int)Math.Min(Furthest, Shortest(one.Value.Left))));
        Followers = problem.Bakes
            .SelectMany(bake => bake.After.Select(after => (after.BakeId, Follower: bake, After: after)))
            .ToLookup(link => link.BakeId, link => (link.Follower, link.After));
        Order(problem);
        Join(problem);
        round = Round(problem);
        foreach (var bake in ordered) release[bake.Id] = bake.After.Select(After).Append(bake.ReleaseMin).Max();
        foreach (var bake in Enumerable.Reverse(ordered)) latestOut[bake.Id] = Followers[bake.Id].Select(Before).Append(bake.DueMin).Min();
        foreach (var bake in Enumerable.Reverse(ordered)) earliestOut[bake.Id] = Followers[bake.Id].Select(link => NotBefore(link, problem.TransferMin)).Append(bake.EarliestOutMin ?? 0).Max();
    }

    /// <summary>The bake of an id.</summary>
    public Bake Find(string id) => bakes[id];

    /// <summary>The bakes that follow each bake, and how.</summary>
    public ILookup<string, (Bake Follower, BakeAfter After)> Followers { get; }

    /// <summary>Bakes outside any cycle, each after those it follows.</summary>
    public IReadOnlyList<Bake> Ordered => ordered;

    /// <summary>Whether a bake follows itself round a cycle, or follows one that does.</summary>
    public bool InCycle(Bake bake) => !release.ContainsKey(bake.Id);

    /// <summary>Whether what a bake follows leads back to itself, or it lies between two bakes of which that is so.</summary>
    public bool FollowsItself(Bake bake) => round.Contains(bake.Id);

    /// <summary>First minute at which a tray of a bake can enter, what it follows considered.</summary>
    public int Release(Bake bake) => release[bake.Id];

    /// <summary>Minute by which a bake must be out for itself and all its followers to be in time.</summary>
    public int LatestOut(Bake bake) => latestOut[bake.Id];

    /// <summary>First minute at which a bake may be out, for itself and so that its followers, their lags and their stages can reach theirs.</summary>
    public int EarliestOut(Bake bake) => earliestOut[bake.Id];

    /// <summary>A name for the chain that a bake belongs to; bakes linked by "after" share it.</summary>
    public string ChainOf(Bake bake) => chain[bake.Id];

    /// <summary>Names every bake's chain after the first bake in it.</summary>
    private void Join(BakeProblem problem)
    {
        foreach (var first in problem.Bakes)
        {
            var open = new Stack<Bake>([first]);
            while (open.TryPop(out var bake))
            {
                if (!chain.TryAdd(bake.Id, first.Id)) continue;
                foreach (var after in bake.After) open.Push(bakes[after.BakeId]);
                foreach (var (follower, _) in Followers[bake.Id]) open.Push(follower);
            }
        }
    }

    private static long Shortest(Bake bake) => bake.Stages.Sum(stage => (long)stage.MinMin);

    private int After(BakeAfter after)
    {
        var before = bakes[after.BakeId];
        if (before.Trays.Count == 0) return int.MinValue;
        var end = Math.Min((long)release[before.Id] + Shortest(before), begunEnd.GetValueOrDefault(before.Id, Furthest));
        return (int)Math.Min(Furthest, end + after.MinLagMin);
    }

    private int Before((Bake Follower, BakeAfter After) link) =>
        link.Follower.Trays.Count == 0 || !latestOut.TryGetValue(link.Follower.Id, out var latest)
            ? int.MaxValue
            : (int)Math.Max(-Furthest, (long)latest - Shortest(link.Follower) - link.After.MinLagMin);

    /// <summary>What is out sooner has waited too long when its follower may begin, or is out.</summary>
    private int NotBefore((Bake Follower, BakeAfter After) link, int transferMin)
    {
        if (link.Follower.Trays.Count == 0 || !earliestOut.TryGetValue(link.Follower.Id, out var earliest)) return 0;
        var longest = link.Follower.Stages.Sum(stage => (long)stage.MaxMin) + ((long)transferMin * (link.Follower.Stages.Count - 1));
        return (int)Math.Clamp(Math.Max(earliest - longest, release[link.Follower.Id]) - link.After.MaxLagMin, 0, Furthest);
    }

    /// <summary>Bakes that go round: what is left in no order once those are taken away that nothing in it follows.</summary>
    private HashSet<string> Round(BakeProblem problem)
    {
        var left = problem.Bakes.Select(bake => bake.Id).Except(ordered.Select(bake => bake.Id)).ToHashSet();
        var followers = left.ToDictionary(id => id, id => Followers[id].Count(link => left.Contains(link.Follower.Id)));
        var ends = new Stack<string>(left.Where(id => followers[id] == 0));
        while (ends.TryPop(out var id))
        {
            left.Remove(id);
            foreach (var after in bakes[id].After)
                if (left.Contains(after.BakeId) && --followers[after.BakeId] == 0) ends.Push(after.BakeId);
        }

        return left;
    }

    /// <summary>Each bake after those it follows, and as early in the order of the problem as that lets it.</summary>
    private void Order(BakeProblem problem)
    {
        var place = problem.Bakes.Select((bake, at) => (bake.Id, at)).ToDictionary(pair => pair.Id, pair => pair.at);
        var missing = problem.Bakes.ToDictionary(bake => bake.Id, bake => bake.After.Count);
        var ready = new SortedSet<int>(problem.Bakes.Where(bake => bake.After.Count == 0).Select(bake => place[bake.Id]));
        while (ready.Count > 0)
        {
            var next = problem.Bakes[ready.Min];
            ready.Remove(ready.Min);
            ordered.Add(next);
            foreach (var (follower, _) in Followers[next.Id])
                if (--missing[follower.Id] == 0) ready.Add(place[follower.Id]);
        }
    }
}
