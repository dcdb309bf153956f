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
    private readonly BakeWeights weights;
    private readonly IReadOnlyDictionary<(string Bake, int Tray), RunningNow> running;
    private readonly CancellationToken cancellation;
    private readonly List<OvenTimeline> ovens;
    private readonly TraySearch search;
    private readonly PansInUse pans;
    private readonly Dictionary<(string Bake, int Tray), TrayPath> placed = [];
    private readonly HashSet<string> tried = [];
    private readonly HashSet<string> stuck = [];

    private PlanBuild(BakeProblem problem, BakeChains chains, int horizonMin, bool soonest, CancellationToken cancellation)
    {
        (this.problem, this.chains, this.cancellation) = (problem, chains, cancellation);
        weights = problem.Weights;
        running = RunningNow.Of(problem);
        var doors = new OvenDoors(problem, horizonMin);
        ovens = [.. problem.Ovens.Select(oven => new OvenTimeline(problem, oven, horizonMin, doors))];
        pans = new PansInUse(problem, chains, horizonMin);
        search = new TraySearch(problem, ovens, doors, cancellation) { Soonest = soonest };
    }

    /// <summary>Bakes whose trays were all looked at; of the others there was no time left for some.</summary>
    public IReadOnlySet<string> Tried => tried;

    /// <summary>Trays that were put in.</summary>
    public IReadOnlyDictionary<(string Bake, int Tray), TrayPath> Placed => placed;

    /// <summary>The ovens as filled.</summary>
    public IReadOnlyList<OvenTimeline> Ovens => ovens;

    /// <summary>
    /// Builds a plan by a recipe. Where it is cut short it is what was put in so far: of a recipe that puts followers in last
    /// a plan as valid as any, of another not always.
    /// </summary>
    public static PlanBuild Run(BakeProblem problem, BakeChains chains, int horizonMin, BuildRecipe recipe, CancellationToken cancellation)
    {
        var forward = new HashSet<string>();
        while (true)
        {
            var build = new PlanBuild(problem, chains, horizonMin, recipe.Soonest, cancellation);
            build.PutAll(build.Sequence(recipe, forward));
            if (build.stuck.Count == 0 || cancellation.IsCancellationRequested) return build;
            // Where a bake finds no place before the followers that stand already, its chain is built front to back.
            forward.UnionWith(build.stuck);
        }
    }

    /// <summary>
    /// The order of a recipe, made to respect chains: each bake is pulled in together with what it follows, before it
    /// or after it.
    /// </summary>
    private List<Bake> Sequence(BuildRecipe recipe, HashSet<string> forward)
    {
        var (sequence, seen) = (new List<Bake>(), new HashSet<string>());
        // What is pulled in waits on a stack of its own: a chain may be longer than calls can lie within one another.
        var open = new Stack<(Bake Bake, bool IsPulled)>();
        foreach (var bake in recipe.Order)
        {
            open.Push((bake, false));
            while (open.TryPop(out var next))
            {
                if (next.IsPulled)
                {
                    sequence.Add(next.Bake);
                    continue;
                }

                if (chains.InCycle(next.Bake) || !seen.Add(next.Bake.Id)) continue;
                var before = next.Bake.After.Select(after => chains.Find(after.BakeId)).Reverse();
                var followers = chains.Followers[next.Bake.Id].Select(link => link.Follower).Reverse();
                var backward = recipe.FollowersFirst && !forward.Contains(chains.ChainOf(next.Bake));
                foreach (var last in backward ? before : followers) open.Push((last, false));
                open.Push((next.Bake, true));
                foreach (var first in backward ? followers : before) open.Push((first, false));
            }
        }

        return sequence;
    }

    /// <summary>Puts all trays in, but for those of chains in which one found no place before its own followers.</summary>
    private void PutAll(List<Bake> sequence)
    {
        PutRunning();
        foreach (var bake in sequence.Where(bake => !stuck.Contains(chains.ChainOf(bake))))
        {
            if (cancellation.IsCancellationRequested) return;
            TrayWindow? hopeless = null;
            for (var tray = 1; tray <= bake.Trays.Count; tray++)
            {
                if (cancellation.IsCancellationRequested) return;
                if (running.ContainsKey((bake.Id, tray))) continue;
                // What found no place a moment ago finds none now.
                var window = Window(bake, tray);
                var path = window is null || window with { Pies = 0 } == hopeless ? null : Way(bake, tray, window);
                if (path is not null) Put(bake, tray, path);
                else if (FollowersOf(bake, tray).Any())
                {
                    stuck.Add(chains.ChainOf(bake));
                    break;
                }
                // Trays that follow nothing and are followed by nothing are all alike.
                else if (window is not null && bake.After.Count == 0 && bake.Pan is null && !chains.Followers[bake.Id].Any()) break;
                else hopeless = window is null ? null : window with { Pies = 0 };
            }

            tried.Add(bake.Id);
        }
    }

    /// <summary>What is in the ovens already goes on before anything else is put in.</summary>
    private void PutRunning()
    {
        foreach (var ((bake, tray), now) in running.OrderBy(one => one.Key))
        {
            var path = now.DoneMin is null
                ? search.Continue(now, new TrayWindow(0, 0, 0, int.MaxValue, now.Left.DueMin, chains.InCycle(now.Left) ? now.Left.DueMin : chains.LatestOut(now.Left), now.Left.Trays[tray - 1], weights.EarlyTenths))
                : now.Done;
            if (path is not null) Put(now.Left, tray, path);
        }
    }

    // Trays of one bake go in together while there are shelves: beside the one before costs no heat at all.
    private TrayPath? Way(Bake bake, int tray, TrayWindow window)
    {
        var before = placed.GetValueOrDefault((bake.Id, tray - 1)) is { HasBegun: false } path ? path : null;
        return (before is null ? null : search.Beside(before, window, bake.OnFloor)) ?? Together(bake, tray, window, before?.Start) ?? search.Cheapest(bake, window, before?.Start);
    }

    // Where hands bind, a load is put in where they are free for all of it.
    private TrayPath? Together(Bake bake, int tray, TrayWindow window, int? firstLook)
    {
        search.Together = problem.Ovens.Any(oven => oven.ActionMin > 0) ? Math.Min(bake.Trays.Count - tray + 1, problem.Ovens.Max(oven => oven.PlacesFor(bake))) : 1;
        var path = search.Together > 1 ? search.Cheapest(bake, window, firstLook) : null;
        search.Together = 1;
        return path;
    }

    private void Put(Bake bake, int tray, TrayPath path)
    {
        placed[(bake.Id, tray)] = path;
        foreach (var visit in path.Visits) ovens[visit.Oven].Put(visit, bake.OnFloor);
        pans.Put(bake, tray, path.Start, path.End);
        search.Filled();
    }

    private TrayWindow? Window(Bake bake, int tray)
    {
        var (startFrom, startTo) = (Math.Max(0, chains.Release(bake)), int.MaxValue);
        foreach (var after in bake.After)
        {
            var before = chains.Find(after.BakeId);
            if (before.Trays.Count == 0) continue;
            int[] numbers = after.ByTray ? [tray] : [.. Enumerable.Range(1, before.Trays.Count)];
            TrayPath[] ends = [.. numbers.Where(number => placed.ContainsKey((before.Id, number))).Select(number => placed[(before.Id, number)])];
            // Front to back, what it follows must be there; back to front, it comes later and is fitted in.
            if (tried.Contains(before.Id) && ends.Length < numbers.Length) return null;
            if (ends.Length == 0) continue;
            startFrom = Math.Max(startFrom, ends.Max(path => path.End) + after.MinLagMin);
            startTo = Math.Min(startTo, ends.Min(path => path.End) + after.MaxLagMin);
        }

        var (endFrom, endTo) = (chains.EarliestOut(bake), int.MaxValue);
        foreach (var (path, after) in FollowersOf(bake, tray))
        {
            endTo = Math.Min(endTo, path.Start - after.MinLagMin);
            endFrom = Math.Max(endFrom, path.Start - after.MaxLagMin);
        }

        if (startFrom > startTo || endFrom > endTo) return null;
        return new TrayWindow(startFrom, startTo, endFrom, endTo, bake.DueMin, chains.LatestOut(bake), bake.Trays[tray - 1], weights.EarlyTenths) { Pans = pans.For(bake, tray), NotIn = bake.NotIn, NotOut = bake.NotOut };
    }

    private IEnumerable<(TrayPath Path, BakeAfter After)> FollowersOf(Bake bake, int tray)
    {
        foreach (var (follower, after) in chains.Followers[bake.Id])
            for (var number = 1; number <= follower.Trays.Count; number++)
                if ((!after.ByTray || number == tray) && placed.TryGetValue((follower.Id, number), out var path)) yield return (path, after);
    }
}
