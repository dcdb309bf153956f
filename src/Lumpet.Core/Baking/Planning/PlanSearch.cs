using Lumpet.Core.Scheduling;

namespace Lumpet.Core.Baking.Planning;

/// <summary>
/// Makes a plan better: takes some trays out of the ovens and puts them back where that costs less, or moves whole stretches
/// of oven time, again and again. A plan that is a little worse is sometimes gone on from, so that the search leaves what
/// nothing nearby betters; the best is kept. The same problem, plan and seed take the same way.
/// </summary>
internal sealed partial class PlanSearch
{
    private const int StepsBetweenWords = 4;

    // With so few trays everything is tried every time.
    private const int FewTrays = 12;

    // With so many trays most is won by taking out whole loads and whole bakes, where all is served.
    private const int ManyTrays = 40;

    // One plan's last tray may be out later than another's so that the rest is cheaper, but hardly by more.
    private const int MinutesBeyond = 60;

    private readonly BakeProblem problem;
    private readonly BakeChains chains;
    private readonly PlanTrays trays;
    private readonly OvenTimeline[] ovens;
    private readonly OvenDoors doors;
    private readonly TraySearch search;
    private readonly PansInUse pans;
    private readonly Dice dice;
    private readonly PlanRemoval removal;
    private readonly CancellationToken cancellation;
    private TrayPath?[] current;
    private long currentCost;
    private TrayPath?[] best;
    private int step;

    // Whether there are so few minutes that it takes no time to look at them all.
    private const int ShortMin = 120;
    private readonly bool isShort;

    /// <summary>A search from a plan.</summary>
    /// <param name="problem">The problem.</param>
    /// <param name="chains">Its chains.</param>
    /// <param name="horizonMin">The last minute of use.</param>
    /// <param name="placed">The ways of the plan, by bake and number of the tray.</param>
    /// <param name="seed">Where the dice begin.</param>
    /// <param name="cancellation">Ends the search.</param>
    public PlanSearch(BakeProblem problem, BakeChains chains, int horizonMin, IReadOnlyDictionary<(string Bake, int Tray), TrayPath> placed, int seed, CancellationToken cancellation)
    {
        (this.problem, this.chains, this.cancellation) = (problem, chains, cancellation);
        trays = new PlanTrays(problem, chains);
        horizonMin = Math.Min(horizonMin, Useful(placed));
        isShort = horizonMin <= ShortMin;
        doors = new OvenDoors(problem, horizonMin);
        ovens = [.. problem.Ovens.Select(oven => new OvenTimeline(problem, oven, horizonMin, doors))];
        pans = new PansInUse(problem, chains, horizonMin);
        search = new TraySearch(problem, ovens, doors, cancellation);
        dice = new Dice(seed);
        removal = new PlanRemoval(trays, dice);
        stays = [.. ovens.Select(_ => new List<OvenStay>())];
        stayOf = [.. ovens.Select(_ => new List<int>())];
        filled = [.. ovens.Select(_ => new List<OvenStay>())];
        unheldIn = [.. ovens.Select(_ => new List<int>())];
        isAsFilled = new bool[ovens.Length];
        current = [.. trays.All.Select(tray => placed.GetValueOrDefault((tray.Bake.Id, tray.Number)))];
        currentCost = Fill(current) ? CostOf(current) : long.MaxValue;
        (best, BestCost) = (current, currentCost);
        (home, homeCost) = (current, currentCost);
    }

    /// <summary>The last minute of use where a plan has all trays: what is better does not end much later.</summary>
    private int Useful(IReadOnlyDictionary<(string Bake, int Tray), TrayPath> placed) => placed.Count < trays.All.Count || placed.Count == 0 ? int.MaxValue
        : Math.Max(
            Math.Max(placed.Values.Max(path => path.End), trays.All.Max(tray => Math.Max(tray.Bake.DueMin, tray.Bake.EarliestOutMin ?? 0))) + MinutesBeyond,
            problem.Standing.Select(tray => tray.EndMin).DefaultIfEmpty(0).Max());

    /// <summary>What the best plan costs, in tenths, unplaced pies above all.</summary>
    public long BestCost { get; private set; }

    /// <summary>The ways of the best plan, by bake and number of the tray.</summary>
    public Dictionary<(string Bake, int Tray), TrayPath> Best =>
        trays.All.Where(tray => best[tray.Index] is not null).ToDictionary(tray => (tray.Bake.Id, tray.Number), tray => best[tray.Index]!);

    /// <summary>The ovens as the best plan fills them.</summary>
    public IReadOnlyList<OvenTimeline> FilledOvens()
    {
        Fill(best);
        return ovens;
    }

    /// <summary>
    /// Takes an earlier plan for a start where it is better: its ways are put in one after another as far as they hold together,
    /// and what is missing then is put in where it costs least.
    /// </summary>
    /// <param name="ways">The ways that trays could take alone.</param>
    public void StartFrom(IReadOnlyDictionary<(string Bake, int Tray), TrayPath> ways)
    {
        TrayPath?[] wanted = [.. trays.All.Select(tray => tray.Running is null ? ways.GetValueOrDefault((tray.Bake.Id, tray.Number)) : null)];
        // Where a pick-up is sooner than it was, what is baked before it is begun sooner too: it keeps its shape.
        var late = trays.All.Where(tray => wanted[tray.Index]?.End > tray.Bake.DueMin).ToList();
        StartFrom(wanted);
        if (late.Count == 0) return;
        var (until, by) = (late.Max(tray => wanted[tray.Index]!.Start), late.Max(tray => wanted[tray.Index]!.End - tray.Bake.DueMin));
        StartFrom([.. wanted.Select(path => path?.Start <= until ? path.Later(-by) : path)]);
    }

    private void StartFrom(TrayPath?[] wanted)
    {
        // What has begun goes on as it was found to.
        TrayPath?[] next = [.. current.Select((path, index) => trays.All[index].Running is null ? null : path)];
        var all = (TrayPath?[])next.Clone();
        foreach (var tray in trays.All)
            if (wanted[tray.Index] is { } way) all[tray.Index] = way;
        if (trays.All.All(tray => wanted[tray.Index] is null || MayStand(all, tray)) && Fill(all)) next = all;
        else
            foreach (var tray in trays.All)
            {
                if (wanted[tray.Index] is not { } way || cancellation.IsCancellationRequested) continue;
                next[tray.Index] = way;
                if (!MayStand(next, tray) || !Fill(next)) next[tray.Index] = null;
            }

        List<int> open = [.. trays.All.Where(tray => next[tray.Index] is null).Select(tray => tray.Index)];
        if (!FillWithout(next, open)) return;
        (search.HeatTenths, search.Barred, search.Sparse, search.LooksNear, search.IsTrusting) = (10, -1, null, false, false);
        bearable = long.MaxValue;
        PutIn(next, Ordered(open, backward: false), open, asLoad: false);
        if (cancellation.IsCancellationRequested) return;
        LeaveOutWhatMissesItsBefore(next);
        bearable = currentCost;
        Take(next);
    }

    /// <summary>Searches for about as much work as putting so many trays in.</summary>
    /// <param name="work">So many trays.</param>
    /// <param name="said">Told now and then what part of it is done.</param>
    public void Run(int work, Action<double>? said = null)
    {
        for (var left = work; left > 0 && !cancellation.IsCancellationRequested && trays.All.Count > 0; step++)
        {
            if (step % StepsInCycle == 0) left -= BeginCycle();
            left -= Step(Warmth);
            if (step % StepsBetweenWords == 0) said?.Invoke((work - left) / (double)work);
        }
    }

    /// <summary>One change, taken or not.</summary>
    /// <returns>How many trays it put in; at least 1.</returns>
    private int Step(double warmth)
    {
        // What the other changes leave late after a while they leave late for long; where trays have no place there is more to win
        // by finding them one.
        var (isWhole, isLate) = (Array.TrueForAll(current, path => path is not null), trays.All.Any(tray => current[tray.Index]?.End > tray.Bake.DueMin));
        if (step >= StepsInCycle && isWhole && isLate && dice.In100(8)) return Repack(warmth);
        if (dice.In100(15) && Shifted() is { } shifted)
        {
            Bear(warmth);
            Take(shifted);
            return 1;
        }

        var next = (TrayPath?[])current.Clone();
        List<int> open = removal.Choose(next, ofWholes: trays.All.Count > ManyTrays && isWhole && !isLate);
        foreach (var index in open) next[index] = null;
        if (!FillWithout(next, open)) return 1;
        Bear(warmth);
        PutBack(next, open);
        if (cancellation.IsCancellationRequested || isTooDear) return Math.Max(1, open.Count);
        LeaveOutWhatMissesItsBefore(next);
        Take(next);
        return Math.Max(1, open.Count);
    }

    /// <summary>
    /// Loads from some point on once more in nearly the order in which they are, each as soon as it can go in: where a day is late,
    /// what one load less or a better order wins must come to all that follow it.
    /// </summary>
    private int Repack(double warmth)
    {
        var next = (TrayPath?[])current.Clone();
        var rows = removal.Row(next);
        List<int> open = [.. rows.SelectMany(row => row)];
        foreach (var index in open) next[index] = null;
        if (!FillWithout(next, open)) return 1;
        (search.HeatTenths, search.Barred, search.Sparse, search.LooksNear, search.IsTrusting, search.LooksClosely) = (10, -1, null, search.CanShare && dice.In100(50), false, false);
        search.Soonest = true;
        Bear(warmth);
        PutIn(next, [.. rows, .. open.Except(rows.SelectMany(row => row)).Select(index => new List<int> { index })], open, asLoad: false);
        search.Soonest = false;
        if (cancellation.IsCancellationRequested || isTooDear) return Math.Max(1, open.Count);
        LeaveOutWhatMissesItsBefore(next);
        Take(next);
        return Math.Max(1, open.Count);
    }

    private void Take(TrayPath?[] next)
    {
        // The ovens hold what was put into them; what a plan costs is counted anew, by the plan alone.
        if (!Fill(next) || unheld.Count > 0) return;
        var cost = CostOf(next);
        Keep(next, cost);
        if (cost <= bearable) (current, currentCost) = (next, cost);
    }

    /// <summary>Puts trays back, in an order and by weights of chance.</summary>
    private void PutBack(TrayPath?[] next, List<int> open)
    {
        search.HeatTenths = dice.Next(10) switch { 0 => 3, 1 => 6, 2 => 15, 3 => 30, _ => 10 };
        search.Barred = ovens.Length > 1 && dice.In100(15) ? dice.Next(ovens.Length) : -1;
        search.Sparse = dice.Next(4) switch { 0 => null, 1 => (dice, 30), 2 => (dice, 60), _ => (dice, 80) };
        search.LooksNear = search.CanShare && (trays.All.Count <= FewTrays || dice.In100(50));
        search.IsTrusting = search.LooksNear && dice.In100(30);
        search.LooksClosely = search.DoorsBind && trays.All.Count <= FewTrays && dice.In100(isShort ? 100 : 10);
        var asLoad = dice.In100(50);
        PutIn(next, Ordered(open, backward: dice.In100(50)), open, asLoad);
    }

    /// <summary>Puts trays in, group by group: each holds trays of one bake.</summary>
    private void PutIn(TrayPath?[] next, IReadOnlyList<List<int>> groups, List<int> open, bool asLoad)
    {
        var pending = new bool[next.Length];
        foreach (var index in open) pending[index] = true;
        costOfTrays = trays.All.Where(tray => !pending[tray.Index]).Sum(tray => next[tray.Index] is { } path ? CostOf(tray, path) : CostOfNone(tray));
        isTooDear = false;
        foreach (var group in groups)
        {
            for (var at = 0; at < group.Count; at++)
            {
                var tray = trays.All[group[at]];
                pending[tray.Index] = false;
                if (cancellation.IsCancellationRequested || (isTooDear = CostOfOvens + costOfTrays > bearable)) return;
                if (Window(next, pending, tray) is not { } window)
                {
                    costOfTrays += CostOfNone(tray);
                    continue;
                }

                if (tray.Running is { } running)
                {
                    search.CostsUpTo = long.MaxValue;
                    if (search.Continue(running, window) is { } on) PutIn(next, tray, on);
                    else costOfTrays += CostOfNone(tray);
                    continue;
                }

                var together = asLoad ? Math.Max(1, Math.Min(group.Count - at, 6)) : 1;
                var path = at > 0 && next[group[at - 1]] is { } before && dice.In100(92) ? search.Beside(before, window, tray.Bake.OnFloor) : null;
                search.Together = together;
                search.CostsUpTo = CostsUpTo;
                path ??= search.Cheapest(tray.Bake, together == 1 ? window : window with { Pies = window.Pies * together }, at > 0 ? next[group[at - 1]]?.Start : null);
                search.Together = 1;
                if (path is null && (search.Barred >= 0 || (together > 1 && doors.HandsBind)))
                {
                    search.Barred = -1;
                    path = search.Cheapest(tray.Bake, window, null);
                }

                if (path is null) costOfTrays += CostOfNone(tray);
                else PutIn(next, tray, path);
            }
        }
    }

    private void PutIn(TrayPath?[] next, PlanTray tray, TrayPath path)
    {
        next[tray.Index] = path;
        costOfTrays += CostOf(tray, path);
        foreach (var visit in path.Visits)
        {
            ovens[visit.Oven].Put(visit, tray.Bake.OnFloor);
            isAsFilled[visit.Oven] = false;
        }

        pans.Put(tray.Bake, tray.Number, path.Start, path.End);
        search.Filled();
    }

    /// <summary>Trays by bake, bakes in an order of chance that respects chains: forward or backward.</summary>
    private List<List<int>> Ordered(List<int> open, bool backward)
    {
        var groups = open.Distinct().GroupBy(index => trays.All[index].Bake.Id).Select(group => group.Order().ToList()).ToList();
        var way = dice.Next(5);
        var rank = groups.ToDictionary(group => trays.All[group[0]].Bake.Id, group => (long)(way switch
        {
            0 => chains.LatestOut(trays.All[group[0]].Bake),
            1 => -chains.LatestOut(trays.All[group[0]].Bake),
            2 => -trays.All[group[0]].Bake.Stages.Sum(stage => (long)stage.MinMin * group.Count),
            _ => dice.Next(1_000_000),
        }));
        var result = new List<List<int>>();
        var seen = new HashSet<string>();
        var byBake = groups.ToDictionary(group => trays.All[group[0]].Bake.Id);
        // Chains are short where this is called for; each bake comes with what it follows, before or after it.
        void Visit(Bake bake)
        {
            if (!byBake.TryGetValue(bake.Id, out var group) || !seen.Add(bake.Id)) return;
            if (backward)
                foreach (var (follower, _) in chains.Followers[bake.Id]) Visit(follower);
            else
                foreach (var after in bake.After) Visit(chains.Find(after.BakeId));
            result.Add(group);
        }

        foreach (var group in groups.OrderBy(group => rank[trays.All[group[0]].Bake.Id]).ThenBy(group => group[0])) Visit(trays.All[group[0]].Bake);
        return result;
    }

    /// <summary>When a tray may be baked beside what is there and what is still to be put in; null where it may not.</summary>
    private TrayWindow? Window(TrayPath?[] plan, bool[] pending, PlanTray tray)
    {
        var bake = tray.Bake;
        var (startFrom, startTo) = tray.Running is null ? (Math.Max(0, chains.Release(bake)), int.MaxValue) : (0, 0);
        foreach (var link in tray.Before)
            foreach (var index in link.Trays)
            {
                if (plan[index] is not { } before)
                {
                    if (!pending[index]) return null;
                    continue;
                }

                startFrom = Math.Max(startFrom, before.End + link.MinLagMin);
                startTo = (int)Math.Min(startTo, (long)before.End + link.MaxLagMin);
            }

        // What is in an oven already comes out when it is done, however early that is.
        var (endFrom, endTo, isFollowed) = (tray.Running is null ? chains.EarliestOut(bake) : 0, int.MaxValue, tray.Behind.Count > 0);
        foreach (var link in tray.Behind)
        {
            if (plan[link.Trays[0]] is not { } follower)
            {
                isFollowed = false;
                continue;
            }

            endTo = Math.Min(endTo, follower.Start - link.MinLagMin);
            endFrom = (int)Math.Max(endFrom, follower.Start - (long)link.MaxLagMin);
        }

        if (startFrom > startTo || endFrom > endTo) return null;
        return new TrayWindow(startFrom, startTo, endFrom, endTo, bake.DueMin, isFollowed ? bake.DueMin : chains.LatestOut(bake), tray.Pies, problem.Weights.EarlyTenths) { Pans = pans.For(bake, tray.Number), NotIn = tray.Running is null ? bake.NotIn : [], NotOut = tray.Running is null ? bake.NotOut : [] };
    }

    /// <summary>What follows a tray that found no place is left out too.</summary>
    private void LeaveOutWhatMissesItsBefore(TrayPath?[] plan)
    {
        foreach (var tray in trays.All)
            if (plan[tray.Index] is not null && tray.Before.Any(link => link.Trays.Any(index => plan[index] is null))) plan[tray.Index] = null;
    }

    /// <summary>A stretch of oven time, with all that its trays do elsewhere, some minutes later or earlier; null where that cannot be.</summary>
    private TrayPath?[]? Shifted()
    {
        var group = removal.Stretch(current);
        if (group.Count == 0) return null;
        int[] sizes = [1, 2, 3, 5, 8, 13, 21, 34];
        var minutes = sizes[dice.Next(sizes.Length)] * (dice.In100(50) ? 1 : -1);
        var next = (TrayPath?[])current.Clone();
        foreach (var index in group) next[index] = next[index]!.Later(minutes);
        foreach (var index in group)
            if (!MayStand(next, trays.All[index])) return null;
        return next;
    }

    private static bool MayStand(TrayPath?[] plan, PlanTray tray)
    {
        var path = plan[tray.Index]!;
        if (tray.Running is not null) return false;
        if (path.Start < Math.Max(0, tray.Bake.ReleaseMin) || path.End < (tray.Bake.EarliestOutMin ?? 0) || tray.Bake.Pauses(path.Start, path.End)) return false;
        foreach (var link in tray.Before)
            foreach (var index in link.Trays)
                if (plan[index] is { } before && (path.Start - before.End < link.MinLagMin || path.Start - before.End > link.MaxLagMin)) return false;
        foreach (var link in tray.Behind)
            if (plan[link.Trays[0]] is { } follower && (follower.Start - path.End < link.MinLagMin || follower.Start - path.End > link.MaxLagMin)) return false;
        return true;
    }
}
