using System.Collections.Concurrent;
using System.Globalization;
using System.Text.Json;
using Lumpet.Mutate;

// lumpet-mutate ROOT [--faults N] [--seed N] [--only TEXT] [--quick] [--again]: seeds faults in the core, one at a time,
// runs its tests, and says how many were found. With --only (files whose name holds a text) or --quick (without the slow
// tests) nothing is written into the documents. --again tries only those that survived last time, after tests were added:
// what was found then stays found, as long as neither the core nor an older test changed.
var root = Path.GetFullPath(args[0]);
string? Option(string name) => Array.IndexOf(args, name) is var at and >= 0 && at + 1 < args.Length ? args[at + 1] : null;
int Number(string name, int otherwise) => Option(name) is { } text ? int.Parse(text, CultureInfo.InvariantCulture) : otherwise;
var seed = Number("--seed", 2026);
var wanted = Number("--faults", 200);
var only = Option("--only");
var quick = args.Contains("--quick");
var isAgain = args.Contains("--again");
var last = Path.Combine(root, ".lumpet", "mutation.json");
var before = isAgain ? JsonSerializer.Deserialize<List<Outcome>>(File.ReadAllText(last))! : [];
var again = before.Where(one => !one.IsFound).Select(one => one.Fault.Name).ToHashSet();

// Inside the project, since tests look for its documents above themselves.
var work = Directory.CreateDirectory(Path.Combine(root, ".lumpet", $"mutate-{Environment.ProcessId}")).FullName;
try
{
    Console.WriteLine("· reading core and tests, and running them once without a fault");
    var mutation = new Mutation(root, work, quick);
    var all = mutation.Faults();
    var drawn = new ConcurrentQueue<Fault>(Sample.Draw(all, seed)
        .Where(fault => only is null || fault.File.Contains(only, StringComparison.Ordinal))
        .Where(fault => !isAgain || again.Contains(fault.Name)));
    var reasons = Report.Reasons(Path.Combine(root, "tests", "mutate", "harmless.json"));
    var outcomes = new ConcurrentBag<Outcome>(before.Where(one => one.IsFound));
    var taken = 0;
    var workers = Enumerable.Range(0, Environment.ProcessorCount)
        .Select(number => new TestRun(Path.Combine(root, "tests", "Lumpet.Core.Tests", "bin", "Release", "net10.0"), "Lumpet.Core.Tests", Path.Combine(work, $"worker-{number}")))
        .Select(run => Task.Factory.StartNew(() => Work(run), TaskCreationOptions.LongRunning)).ToArray();
    Task.WaitAll(workers);

    Console.WriteLine(Report.Summary(outcomes));
    File.WriteAllText(last, JsonSerializer.Serialize(outcomes.OrderBy(one => one.Fault.Name, StringComparer.Ordinal)));
    if (only is null && !quick) Report.Write(Path.Combine(root, "docs", "testing.md"), Report.Text(outcomes, all.Count, seed, reasons));
    return outcomes.Count(one => one.IsFound) * 100 >= outcomes.Count * 85 ? 0 : 1;

    void Work(TestRun run)
    {
        while (Interlocked.Increment(ref taken) <= wanted && drawn.TryDequeue(out var fault))
        {
            var outcome = mutation.Try(fault, run);
            if (outcome is null)
            {
                // It does not compile: no fault, and another is drawn for it.
                Interlocked.Decrement(ref taken);
                continue;
            }

            outcomes.Add(outcome);
            if (!outcome.IsFound) Console.WriteLine($"survived  {fault.File}:{fault.Line}  {fault.Before} => {fault.After}  in  {fault.Code}  ({outcome.Reached} classes reach it)  {Report.Why(fault, reasons)}");
            if (outcomes.Count % 20 == 0) Console.WriteLine($"· {Report.Summary(outcomes)}");
        }
    }
}
finally
{
    Directory.Delete(work, recursive: true);
}
