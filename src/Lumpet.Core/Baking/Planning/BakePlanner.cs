namespace Lumpet.Core.Baking.Planning;

/// <summary>
/// Plans ovens: first plans are built by putting in one tray after another where it costs least, in several orders; then the
/// best of them is bettered by search (<see cref="PlanSearch"/>). The same problem, effort and seed give the same plan unless
/// it is cut short.
/// </summary>
public static class BakePlanner
{
    /// <summary>Work done where nothing else is asked for, in plans: so many are built or taken apart and put together again.</summary>
    public const int DefaultEffort = 96;

    // Searches that go on side by side, each with dice of its own. They work in portions of so many plans, and after so many of
    // those all go on from the best of them: sooner, and large days are searched in one place by both (measured: decision 34).
    private const int Lanes = 2;
    private const int PlansInPortion = 40;
    private const int PortionsBetweenMeetings = 8;

    private const int MostTraysSearched = 2000;
    private const int MostLinksSearched = 200_000;

    // A plan of a few trays is bettered in no time: it counts as one of so many.
    private const int LeastTraysInPlan = 40;

    /// <summary>Plans a problem.</summary>
    /// <param name="problem">The problem; ids unique, as the file reader makes sure.</param>
    /// <param name="effort">How much work is done, in plans built or bettered; at least 1.</param>
    /// <param name="seed">Seed of the search.</param>
    /// <param name="proves">Whether it is proved at length what no plan can undercut; it takes longer than a rough plan does.</param>
    /// <param name="near">A plan of much the same problem: it is gone on from where it is better than what is built.</param>
    /// <param name="progress">Told what part of the work is done, 0 to 1.</param>
    /// <param name="enough">Ends the work once there is a whole plan; the best so far is answered.</param>
    /// <param name="cut">Ends it at once: where there is no whole plan yet, trays that were not looked at are left out of the first.</param>
    /// <returns>A valid plan. Trays that find no place are listed in it with the reason.</returns>
    /// <exception cref="ArgumentOutOfRangeException">The effort is below 1.</exception>
    public static BakePlan Plan(
        BakeProblem problem, int effort = DefaultEffort, int seed = 1, bool proves = true, EarlierPlan? near = null, IProgress<double>? progress = null, CancellationToken enough = default, CancellationToken cut = default)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(effort, 1);
        var chains = new BakeChains(problem);
        var horizon = Horizon(problem);
        using var either = CancellationTokenSource.CreateLinkedTokenSource(enough, cut);
        Built? best = null;
        var builds = 0;
        foreach (var recipe in Recipes(chains).Take(effort))
        {
            var build = PlanBuild.Run(problem, chains, horizon, recipe, best is null ? cut : either.Token);
            // The first is kept even where it is cut short: some answer is better than none, and it puts followers in last.
            if (best is not null && either.IsCancellationRequested) break;
            builds++;
            var built = Built.Of(problem, build.Ovens, build.Placed, build.Tried);
            if (best is null || Better(built.Cost, best.Cost)) best = built;
        }

        if ((effort > builds || near is not null) && !either.IsCancellationRequested && IsSearched(chains)) best = Searched(problem, chains, horizon, best!, effort - builds, seed, proves, near, progress, either.Token);
        // Once the time is up nothing long is begun any more.
        if (proves && best!.Proved is null && !either.IsCancellationRequested) best = best with { Proved = Prove(problem, chains, best.Cost, best.Trays) };
        return Assemble(problem, chains, best!);
    }

    /// <summary>A plan that keeps of an earlier one whatever still holds together, with the rest put in where it costs least; it is not bettered.</summary>
    /// <param name="problem">The problem.</param>
    /// <param name="earlier">The earlier plan.</param>
    /// <param name="cut">Ends it at once: trays that were not looked at are left out.</param>
    internal static BakePlan Keeping(BakeProblem problem, EarlierPlan earlier, CancellationToken cut = default)
    {
        var chains = new BakeChains(problem);
        var horizon = Horizon(problem);
        var search = new PlanSearch(problem, chains, horizon, new Dictionary<(string Bake, int Tray), TrayPath>(), seed: 1, cut);
        search.StartFrom(EarlierWays.Of(problem, earlier, horizon));
        return Assemble(problem, chains, Built.Of(problem, search.FilledOvens(), search.Best, new HashSet<string>()));
    }

    /// <summary>Whether a problem is small enough to be searched: of what no bakery bakes in a day the built plan is the answer.</summary>
    private static bool IsSearched(BakeChains chains) =>
        chains.Ordered.Sum(bake => (long)bake.Trays.Count) <= MostTraysSearched
        && chains.Ordered.Sum(bake => bake.After.Sum(after => after.ByTray ? bake.Trays.Count : (long)bake.Trays.Count * chains.Find(after.BakeId).Trays.Count)) <= MostLinksSearched;

    /// <summary>Betters a plan by search, from an earlier one where that is better.</summary>
    private static Built Searched(BakeProblem problem, BakeChains chains, int horizon, Built from, int effort, int seed, bool proves, EarlierPlan? near, IProgress<double>? progress, CancellationToken cancellation)
    {
        PlanSearch[] lanes = [.. Enumerable.Range(0, Lanes).Select(lane => new PlanSearch(problem, chains, horizon, from.Placed, unchecked((seed * Lanes) + lane), cancellation))];
        if (near is not null)
        {
            // One lane goes on from it, the other from what was built: the change may ask for another plan altogether.
            lanes[0].StartFrom(EarlierWays.Of(problem, near, horizon));
        }

        decimal? proved = null;
        var trays = Math.Max(LeastTraysInPlan, chains.Ordered.Sum(bake => bake.Trays.Count));
        var portions = 0;
        for (var left = effort; left > 0 && !cancellation.IsCancellationRequested; left -= Lanes * PlansInPortion)
        {
            var work = trays * Math.Max(1, Math.Min(PlansInPortion, left / Lanes));
            var (done, part) = ((effort - left) / (double)effort, Math.Min(1, Lanes * PlansInPortion / (double)effort));
            Parallel.ForEach(lanes, lane => lane.Run(work, lane == lanes[0] ? share => progress?.Report(Math.Min(1, done + (share * part))) : null));
            var first = lanes.MinBy(lane => lane.BestCost)!;
            if (++portions % PortionsBetweenMeetings == 0)
                foreach (var lane in lanes) lane.GoOnFrom(first);
            // A good plan makes proving quick; while there is time for it.
            if (!proves || proved is not null || cancellation.IsCancellationRequested) continue;
            var good = Built.Of(problem, first.FilledOvens(), first.Best, from.Tried);
            proved = Prove(problem, chains, good.Cost, good.Trays);
        }

        var found = lanes.MinBy(lane => lane.BestCost)!;
        return Built.Of(problem, found.FilledOvens(), found.Best, from.Tried) with { Proved = proved };
    }

    /// <summary>What no plan undercuts in heat, lateness and waiting; null where it cannot be said yet.</summary>
    private static decimal? Prove(BakeProblem problem, BakeChains chains, BakePlanCost cost, BakedTray[] trays) =>
        cost.UnplacedPies > 0 || HasBegun(problem) ? null : SharedHeatBound.Of(problem, chains, cost.Total, trays.Select(tray => tray.EndMin).DefaultIfEmpty(0).Max());

    private static bool HasBegun(BakeProblem problem) => problem.Running.Count > 0 || problem.Standing.Count > 0 || problem.Ovens.Any(oven => oven.StartSettingC is not null);

    private static bool Better(BakePlanCost one, BakePlanCost other) =>
        (one.UnplacedPies, one.Total).CompareTo((other.UnplacedPies, other.Total)) < 0;

    /// <summary>The orders in which first plans are built.</summary>
    private static IEnumerable<BuildRecipe> Recipes(BakeChains chains)
    {
        var bakes = chains.Ordered;
        Bake[] byDue = [.. bakes.OrderBy(chains.LatestOut)];
        Bake[] byLength = [.. bakes.OrderByDescending(bake => bake.Stages.Sum(stage => stage.MinMin))];
        yield return new BuildRecipe(byDue, Soonest: false, FollowersFirst: false);
        yield return new BuildRecipe([.. byDue.Reverse()], Soonest: false, FollowersFirst: true);
        yield return new BuildRecipe(byDue, Soonest: true, FollowersFirst: false);
        yield return new BuildRecipe(byLength, Soonest: false, FollowersFirst: true);
        yield return new BuildRecipe(byLength, Soonest: true, FollowersFirst: false);
        yield return new BuildRecipe([.. bakes.OrderByDescending(bake => bake.Trays.Count)], Soonest: false, FollowersFirst: true);
    }

    /// <summary>For how many minutes ovens are looked at, all together.</summary>
    public static long OvenMinutes(BakeProblem problem) => (long)Math.Max(0, Horizon(problem)) * problem.Ovens.Count;

    /// <summary>The last minute that could be of use: nothing is gained by waiting longer than all bakes take one by one.</summary>
    private static int Horizon(BakeProblem problem)
    {
        var hottest = problem.Bakes.SelectMany(bake => bake.Stages).Select(stage => stage.TempC).DefaultIfEmpty(0).Max();
        var heating = problem.Ovens.Select(oven => Math.Max(Math.Abs(hottest - oven.StartC), hottest)).DefaultIfEmpty(0).Max();
        long work = problem.Bakes.Sum(bake =>
            (bake.Stages.Sum(stage => (long)stage.MaxMin) + heating + (problem.TransferMin * (long)bake.Stages.Count)) * bake.Trays.Count
            + bake.After.Sum(after => (long)after.MinLagMin));
        var latest = problem.Bakes.Select(bake => Math.Max(Math.Max(bake.ReleaseMin, bake.DueMin), bake.EarliestOutMin ?? 0)).DefaultIfEmpty(0).Max();
        var opening = problem.Ovens.SelectMany(oven => oven.Openings).Select(one => Math.Max(0, one.FromMin)).DefaultIfEmpty(0).Max();
        var standing = problem.Standing.Select(tray => tray.EndMin).DefaultIfEmpty(0).Max();
        var closing = problem.Ovens.Select(oven => Math.Max(0, oven.CloseMin)).DefaultIfEmpty(0).Max();
        return (int)Math.Min(closing, Math.Max(Math.Max(Math.Max(latest, opening), 0) + work, standing));
    }

    /// <summary>A build with its cost: what is said of a plan is only worked out for the one that is kept.</summary>
    private sealed record Built(
        OvenSetting[] Settings, BakedTray[] Trays, (Bake Bake, int Number)[] Missing, IReadOnlySet<string> Tried, IReadOnlyDictionary<(string Bake, int Tray), TrayPath> Placed, BakePlanCost Cost)
    {
        /// <summary>What is proved of the cost of every plan; null where that was not looked at.</summary>
        public decimal? Proved { get; init; }

        private static IEnumerable<BakedStage> Stages(BakeProblem problem, TrayPath path, RunningNow? running)
        {
            foreach (var stage in running?.Before ?? []) yield return stage;
            foreach (var (visit, at) in path.Visits.Select((visit, at) => (visit, at)))
            {
                // What began before the horizon began when it did.
                var start = at == 0 && running is not null ? running.SinceMin : visit.Start;
                foreach (var end in visit.StageEnds)
                {
                    yield return new BakedStage(problem.Ovens[visit.Oven].Id, start, end);
                    start = end;
                }
            }
        }

        public static Built Of(BakeProblem problem, IEnumerable<OvenTimeline> ovens, IReadOnlyDictionary<(string Bake, int Tray), TrayPath> placed, IReadOnlySet<string> tried)
        {
            OvenSetting[] settings = [.. ovens.SelectMany(oven => oven.Settings()).OrderBy(setting => setting.AtMin)];
            var running = RunningNow.Of(problem);
            BakedTray[] trays =
            [
                .. from bake in problem.Bakes
                   from number in Enumerable.Range(1, bake.Trays.Count)
                   where placed.ContainsKey((bake.Id, number))
                   select new BakedTray(bake.Id, number, [.. Stages(problem, placed[(bake.Id, number)], running.GetValueOrDefault((bake.Id, number)))]),
            ];
            var missing = problem.Bakes
                .SelectMany(bake => Enumerable.Range(1, bake.Trays.Count).Select(number => (Bake: bake, Number: number)))
                .Where(tray => !placed.ContainsKey((tray.Bake.Id, tray.Number)))
                .ToArray();
            return new Built(settings, trays, missing, tried, placed, BakePlanner.Cost(problem, settings, trays, missing.Sum(tray => (long)tray.Bake.Trays[tray.Number - 1])));
        }
    }

    private static BakePlan Assemble(BakeProblem problem, BakeChains chains, Built built)
    {
        var incomplete = built.Missing.Select(tray => tray.Bake.Id).ToHashSet();
        var reasons = built.Missing.Select(tray => tray.Bake).Distinct().ToDictionary(bake => bake.Id, bake => UnplacedReasons.For(problem, chains, bake, incomplete, built.Tried));
        UnplacedTray[] unplaced = [.. built.Missing.Select(tray => new UnplacedTray(tray.Bake.Id, tray.Number, reasons[tray.Bake.Id]))];
        // What has begun costs less than the bounds count for it, and what is baked beside others' trays may.
        var bound = built.Cost.UnplacedPies > 0 || HasBegun(problem) ? new BakePlanBound(0, 0) : LowerBounds.AllPlaced(problem, built.Proved ?? 0);
        return new BakePlan(built.Settings, built.Trays, unplaced, built.Cost, bound);
    }

    /// <summary>What settings and trays cost.</summary>
    internal static BakePlanCost Cost(BakeProblem problem, OvenSetting[] settings, IReadOnlyList<BakedTray> trays, long unplacedPies)
    {
        var bakes = problem.Bakes.ToDictionary(bake => bake.Id);
        var lateness = trays.Select(tray => (Pies: (long)bakes[tray.BakeId].Trays[tray.Tray - 1], Late: (long)tray.EndMin - bakes[tray.BakeId].DueMin)).ToArray();
        long on = 0;
        long changes = 0;
        var startSettings = problem.Ovens.ToDictionary(oven => oven.Id, oven => oven.StartSettingC);
        foreach (var oven in settings.GroupBy(setting => setting.OvenId))
        {
            var last = startSettings[oven.Key];
            if (last is not null) on += oven.First().AtMin;
            foreach (var (setting, next) in oven.Zip(oven.Skip(1)))
            {
                if (setting.TempC is not { } celsius) continue;
                on += next.AtMin - setting.AtMin;
                if (last is not null && last != celsius) changes++;
                last = celsius;
            }
        }

        var running = RunningNow.Of(problem);
        var doors = trays.SelectMany(tray => DoorOpenings(tray, running.GetValueOrDefault((tray.BakeId, tray.Tray))))
            .Concat(problem.Standing.SelectMany(tray => new[] { (tray.OvenId, AtMin: tray.StartMin), (tray.OvenId, AtMin: tray.EndMin) }.Where(door => door.AtMin >= 0))).Distinct().ToArray();
        return new BakePlanCost(
            lateness.Sum(tray => tray.Pies * Math.Max(0, tray.Late)), on, changes, lateness.Sum(tray => tray.Pies * Math.Max(0, -tray.Late)), unplacedPies)
        {
            DoorOpenings = doors.Length,
            DoorClashes = doors.Length - doors.Select(door => door.AtMin).Distinct().Count(),
            Weights = problem.Weights,
        };
    }

    /// <summary>At which ovens and minutes a door is opened for a tray: where it comes from the bench or another oven, and where it leaves.</summary>
    private static IEnumerable<(string OvenId, int AtMin)> DoorOpenings(BakedTray tray, RunningNow? running)
    {
        // What is over when the horizon starts opens no door any more.
        var begun = running is null ? 0 : running.DoneMin is null ? running.Before.Count + 1 : tray.Stages.Count;
        for (var index = 0; index < tray.Stages.Count; index++)
        {
            if (index >= begun && (index == 0 || tray.Stages[index - 1].OvenId != tray.Stages[index].OvenId)) yield return (tray.Stages[index].OvenId, tray.Stages[index].StartMin);
            if (index >= begun - (running?.DoneMin is null ? 1 : 0) && (index == tray.Stages.Count - 1 || tray.Stages[index + 1].OvenId != tray.Stages[index].OvenId)) yield return (tray.Stages[index].OvenId, tray.Stages[index].EndMin);
        }
    }
}
