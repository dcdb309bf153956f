using System.Diagnostics;
using System.Globalization;
using System.Text.Json;
using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Planning;
using Lumpet.PlanChecking;

namespace Lumpet.Bench;

/// <summary>
/// Measures the oven planner on problems of our own: what a plan costs after the seconds that it is allowed, against the best
/// that was ever found for it here, which is kept beside this file and bettered by every run.
/// </summary>
internal static class PlannerBenchmarks
{
    private const string Heading = "## The oven planner";

    private static readonly JsonSerializerOptions Readable = new() { WriteIndented = true };

    /// <summary>Runs them; with more seconds in place of those allowed, in search of better plans.</summary>
    public static void Run(string root, int? seconds, string? only, bool writes)
    {
        var kept = Path.Combine(root, "tests/bench/planner-best.json");
        var best = File.Exists(kept) ? JsonSerializer.Deserialize<SortedDictionary<string, Known>>(File.ReadAllText(kept))! : [];
        var rows = new List<string>();
        BakePlanner.Plan(PlannerInstances.All[2].Problem, 40);
        foreach (var (name, allowed, problem) in PlannerInstances.All.Where(one => only is null || one.Name.Contains(only, StringComparison.Ordinal)))
        {
            var watch = Stopwatch.StartNew();
            var quick = BakePlanner.Plan(problem, 1, proves: false);
            var first = watch.Elapsed;
            GC.Collect();
            watch.Restart();
            using var cap = new CancellationTokenSource(TimeSpan.FromSeconds(seconds ?? allowed));
            var most = 0L;
            using var memory = new Timer(_ => most = Math.Max(most, Environment.WorkingSet), null, 0, 50);
            var plan = BakePlanner.Plan(problem, int.MaxValue, 1, enough: cap.Token, cut: cap.Token);
            var took = watch.Elapsed.TotalSeconds;
            var byHand = ByHand.Plan(problem);
            foreach (var one in new[] { quick, plan, byHand }) if (one is not null) Sound(name, problem, one);
            var known = new Known(plan.Cost.UnplacedPies, plan.Cost.Total);
            if (!best.TryGetValue(name, out var before) || known.IsBetterThan(before)) best[name] = known;
            var to = best[name];
            var row = FormattableString.Invariant(
                $"| {name} | {problem.Bakes.Sum(bake => bake.Trays.Count)} | {problem.Ovens.Count} | {first.TotalMilliseconds:0} ms | {Ratio(quick.Cost, to)} | {(byHand is null ? "–" : Ratio(byHand.Cost, to))} | {took:0.0} s | {most / 1e6:0} MB | {plan.Cost.TardyPieMin} | {plan.Cost.UnplacedPies} | {plan.Cost.Total:0} | {Ratio(plan.Cost, to)} | {Gap(plan)} |");
            Console.WriteLine(row);
            rows.Add(row);
        }

        File.WriteAllText(kept, JsonSerializer.Serialize(best, Readable) + "\n");
        if (seconds is null) rows.AddRange(["", .. ChangeOf(only)]);
        if (writes && only is null && seconds is null) Write(Path.Combine(root, "docs/benchmarks.md"), rows);
    }

    /// <summary>What stands of the planner in the figures, for those that write the rest anew.</summary>
    public static string Kept(string path)
    {
        var text = File.Exists(path) ? File.ReadAllText(path) : string.Empty;
        var at = text.IndexOf(Heading, StringComparison.Ordinal);
        return at < 0 ? string.Empty : "\n" + text[at..];
    }

    private static void Write(string path, List<string> rows)
    {
        var text = File.ReadAllText(path);
        var at = text.IndexOf(Heading, StringComparison.Ordinal);
        var said = $"""
            {Heading}

            Written by `./lumpet bench planner`, in a warm process on {Environment.ProcessorCount} cores, {DateTime.Now.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}. Every plan is checked. "Best" is the
            cheapest plan found for a problem in any run here, minutes long ones among them (`tests/bench/planner-best.json`): no proof.
            The gap is to what is proved that no plan can undercut. "First" is the first plan that is built, before any search. "By hand" is
            what one does on paper, from the last pick-up back: loads of one bake, an oven kept on for an hour; a dash where that finds no place. Memory is that of the whole process.

            | problem | trays | ovens | first after | first over best | by hand over best | took | memory | late pie-min | pies left out | cost | over best | over the bound |
            | --- | --: | --: | --: | --: | --: | --: | --: | --: | --: | --: | --: | --: |
            {string.Join('\n', rows)}

            """;
        File.WriteAllText(path, (at < 0 ? text.TrimEnd() + "\n\n" : text[..at]) + said);
    }

    /// <summary>A change in a large plan, answered within a second from that plan and from nothing.</summary>
    private static IEnumerable<string> ChangeOf(string? only)
    {
        yield return "A change (a pick-up an hour sooner, two trays more), answered within a second from the plan of ten seconds before it, and from nothing:";
        yield return "";
        yield return "| problem | from the plan | from nothing in 1 s | from nothing in 10 s |";
        yield return "| --- | --: | --: | --: |";
        foreach (var (name, _, problem) in PlannerInstances.All.Where(one => one.Name.Contains("feast", StringComparison.Ordinal) && (only is null || one.Name.Contains(only, StringComparison.Ordinal))))
        {
            var changed = PlannerInstances.Changed(problem);
            BakePlan For(BakeProblem asked, double seconds, EarlierPlan? near = null)
            {
                using var cap = new CancellationTokenSource(TimeSpan.FromSeconds(seconds));
                var plan = BakePlanner.Plan(asked, int.MaxValue, 1, proves: false, near: near, enough: cap.Token, cut: cap.Token);
                Sound(name, asked, plan);
                return plan;
            }

            string Told(BakePlan plan) => plan.Cost.UnplacedPies > 0 ? $"{plan.Cost.UnplacedPies} pies out" : string.Create(CultureInfo.InvariantCulture, $"{plan.Cost.Total:0}");
            var earlier = For(problem, 10);
            var row = $"| {name} | {Told(For(changed, 1, EarlierPlan.Of(earlier)))} | {Told(For(changed, 1))} | {Told(For(changed, 10))} |";
            Console.WriteLine(row);
            yield return row;
        }
    }

    private static void Sound(string name, BakeProblem problem, BakePlan plan)
    {
        if (BakePlanChecker.Check(problem, plan).Faults is { Count: > 0 } faults) throw new InvalidOperationException($"{name}: {faults[0].Rule} {faults[0].Where}: {faults[0].Message}");
    }

    private static string Ratio(BakePlanCost cost, Known best) => cost.UnplacedPies > best.UnplacedPies
        ? string.Create(CultureInfo.InvariantCulture, $"{cost.UnplacedPies - best.UnplacedPies} pies more out")
        : string.Create(CultureInfo.InvariantCulture, $"{cost.Total / best.Total:0.000}");

    private static string Gap(BakePlan plan) => plan.LowerBound.Total == 0 ? "–" : string.Create(CultureInfo.InvariantCulture, $"{plan.Cost.Total / plan.LowerBound.Total:0.00}");

    /// <summary>The best that was found for a problem.</summary>
    internal sealed record Known(long UnplacedPies, decimal Total)
    {
        /// <summary>Whether it is better than another.</summary>
        public bool IsBetterThan(Known other) => (UnplacedPies, Total).CompareTo((other.UnplacedPies, other.Total)) < 0;
    }
}
