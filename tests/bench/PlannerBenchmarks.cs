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
            var quick = BakePlanner.Plan(problem, 1);
            var first = watch.Elapsed;
            GC.Collect();
            watch.Restart();
            using var cap = new CancellationTokenSource(TimeSpan.FromSeconds(seconds ?? allowed));
            var plan = BakePlanner.Plan(problem, int.MaxValue, 1, enough: cap.Token, cut: cap.Token);
            var took = watch.Elapsed.TotalSeconds;
            foreach (var one in new[] { quick, plan })
                if (BakePlanChecker.Check(problem, one).Faults is { Count: > 0 } faults) throw new InvalidOperationException($"{name}: {faults[0].Rule} {faults[0].Where}: {faults[0].Message}");
            var known = new Known(plan.Cost.UnplacedPies, plan.Cost.Total);
            if (!best.TryGetValue(name, out var before) || known.IsBetterThan(before)) best[name] = known;
            var to = best[name];
            var row = FormattableString.Invariant(
                $"| {name} | {problem.Bakes.Sum(bake => bake.Trays.Count)} | {problem.Ovens.Count} | {first.TotalMilliseconds:0} ms | {Ratio(quick.Cost, to)} | {took:0.0} s | {plan.Cost.TardyPieMin} | {plan.Cost.UnplacedPies} | {plan.Cost.Total:0} | {Ratio(plan.Cost, to)} | {Gap(plan)} |");
            Console.WriteLine(row);
            rows.Add(row);
        }

        File.WriteAllText(kept, JsonSerializer.Serialize(best, Readable) + "\n");
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
            The gap is to what is proved that no plan can undercut. "First" is the first plan that is built, before any search.

            | problem | trays | ovens | first after | first over best | allowed | late pie-min | pies left out | cost | over best | over the bound |
            | --- | --: | --: | --: | --: | --: | --: | --: | --: | --: | --: |
            {string.Join('\n', rows)}

            """;
        File.WriteAllText(path, (at < 0 ? text.TrimEnd() + "\n\n" : text[..at]) + said);
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
