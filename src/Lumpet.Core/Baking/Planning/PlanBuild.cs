namespace Lumpet.Core.Baking.Planning;

/// <summary>How one build goes about it.</summary>
/// <param name="Order">Bakes in the order in which they are put in.</param>
/// <param name="Soonest">Whether every tray goes in as soon as it can, instead of where it costs least.</param>
/// <param name="FollowersFirst">Whether a bake is put in after those that follow it.</param>
internal sealed record BuildRecipe(IReadOnlyList<Bake> Order, bool Soonest, bool FollowersFirst);

/// <summary>One plan, built by putting tray after tray into the ovens. Nothing that was put in is moved again.</summary>
internal sealed class PlanBuild
{
    private readonly BakeProblem problem;
    private readonly BakeChains chains;
    private readonly List<OvenTimeline> ovens;
    private readonly TraySearch search;
    private readonly Dictionary<(string Bake, int Tray), TrayPath> placed = [];
    private readonly HashSet<string> tried = [];

    private PlanBuild(BakeProblem problem, BakeChains chains, int horizonMin, bool soonest)
    {
        (this.problem, this.chains) = (problem, chains);
        ovens = [.. problem.Ovens.Select(oven => new OvenTimeline(oven, horizonMin))];
        search = new TraySearch(problem, ovens, soonest);
    }

    /// <summary>Trays that were put in.</summary>
    public IReadOnlyDictionary<(string Bake, int Tray), TrayPath> Placed => placed;

    /// <summary>The ovens as filled.</summary>
    public IReadOnlyList<OvenTimeline> Ovens => ovens;

    /// <summary>Builds a plan by a recipe, or answers null where it was cut short.</summary>
    public static PlanBuild? Run(BakeProblem problem, BakeChains chains, int horizonMin, BuildRecipe recipe, CancellationToken cancellation)
    {
        var forward = new HashSet<string>();
        while (true)
        {
            var build = new PlanBuild(problem, chains, horizonMin, recipe.Soonest);
            // Where a bake finds no place before the followers that stand already, the chain is built front to back.
            var stuck = build.PutAll(build.Sequence(recipe, forward), cancellation);
            if (cancellation.IsCancellationRequested) return null;
            if (stuck is null) return build;
            forward.Add(stuck);
        }
    }

    /// <summary>
    /// The order of a recipe, made to respect chains: each bake is pulled in together with what it follows, before it
    /// or after it.
    /// </summary>
    private List<Bake> Sequence(BuildRecipe recipe, HashSet<string> forward)
    {
        var sequence = new List<Bake>();
        var seen = new HashSet<string>();
        void Pull(Bake bake)
        {
            if (chains.InCycle(bake) || !seen.Add(bake.Id)) return;
            var before = bake.After.Select(after => problem.Bakes.First(other => other.Id == after.BakeId)).ToArray();
            var followers = chains.Followers[bake.Id].Select(link => link.Follower).ToArray();
            var backward = recipe.FollowersFirst && !forward.Contains(chains.ChainOf(bake));
            foreach (var first in backward ? followers : before) Pull(first);
            sequence.Add(bake);
            foreach (var second in backward ? before : followers) Pull(second);
        }

        foreach (var bake in recipe.Order) Pull(bake);
        return sequence;
    }

    /// <summary>Puts all trays in. Answers the chain of a bake that found no place before its own followers, or null.</summary>
    private string? PutAll(List<Bake> sequence, CancellationToken cancellation)
    {
        foreach (var bake in sequence)
        {
            for (var tray = 1; tray <= bake.Trays.Count; tray++)
            {
                if (cancellation.IsCancellationRequested) return null;
                var path = Window(bake, tray) is { } window ? Way(bake, tray, window) : null;
                if (path is not null) Put(bake, tray, path);
                else if (FollowersOf(bake, tray).Any()) return chains.ChainOf(bake);
            }

            tried.Add(bake.Id);
        }

        return null;
    }

    // Trays of one bake go in together while there are shelves: beside the one before costs no heat at all.
    private TrayPath? Way(Bake bake, int tray, TrayWindow window)
    {
        if (!placed.TryGetValue((bake.Id, tray - 1), out var before)) return search.Cheapest(bake, window, null);
        return search.Beside(before, window) ?? search.Cheapest(bake, window, before.Start);
    }

    private void Put(Bake bake, int tray, TrayPath path)
    {
        placed[(bake.Id, tray)] = path;
        foreach (var visit in path.Visits) ovens[visit.Oven].Put(visit.Start, visit.Settings, visit.ChamberAtEnd);
    }

    private TrayWindow? Window(Bake bake, int tray)
    {
        var (startFrom, startTo) = (Math.Max(0, chains.Release(bake)), int.MaxValue);
        foreach (var after in bake.After)
        {
            var before = problem.Bakes.First(other => other.Id == after.BakeId);
            if (before.Trays.Count == 0) continue;
            int[] numbers = after.ByTray ? [tray] : [.. Enumerable.Range(1, before.Trays.Count)];
            TrayPath[] ends = [.. numbers.Where(number => placed.ContainsKey((before.Id, number))).Select(number => placed[(before.Id, number)])];
            // Front to back, what it follows must be there; back to front, it comes later and is fitted in.
            if (tried.Contains(before.Id) && ends.Length < numbers.Length) return null;
            if (ends.Length == 0) continue;
            startFrom = Math.Max(startFrom, ends.Max(path => path.End) + after.MinLagMin);
            startTo = Math.Min(startTo, ends.Min(path => path.End) + after.MaxLagMin);
        }

        var (endFrom, endTo) = (bake.EarliestOutMin ?? 0, int.MaxValue);
        foreach (var (path, after) in FollowersOf(bake, tray))
        {
            endTo = Math.Min(endTo, path.Start - after.MinLagMin);
            endFrom = Math.Max(endFrom, path.Start - after.MaxLagMin);
        }

        if (startFrom > startTo || endFrom > endTo) return null;
        return new TrayWindow(startFrom, startTo, endFrom, endTo, bake.DueMin, chains.LatestOut(bake), bake.Trays[tray - 1]);
    }

    private IEnumerable<(TrayPath Path, BakeAfter After)> FollowersOf(Bake bake, int tray)
    {
        foreach (var (follower, after) in chains.Followers[bake.Id])
            for (var number = 1; number <= follower.Trays.Count; number++)
                if ((!after.ByTray || number == tray) && placed.TryGetValue((follower.Id, number), out var path)) yield return (path, after);
    }
}
