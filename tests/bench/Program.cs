using System.Diagnostics;
using System.Globalization;
using System.IO.Compression;
using System.Text.Json;
using BenchmarkDotNet.Configs;
using BenchmarkDotNet.Jobs;
using BenchmarkDotNet.Loggers;
using BenchmarkDotNet.Running;
using BenchmarkDotNet.Toolchains.InProcess.NoEmit;
using Lumpet.Bench;

// lumpet-bench ROOT: measures, and writes docs/benchmarks.md. Every figure comes from this one run.
// lumpet-bench ROOT books: prices, costs, shelves and traces at the size of years.
// lumpet-bench ROOT planner [SECONDS] [ONLY]: the oven planner alone; with seconds, in search of better plans than are known.
var root = args[0];
if (args is [_, "planner", .. var more])
{
    PlannerBenchmarks.Run(root, more.Length > 0 ? int.Parse(more[0], CultureInfo.InvariantCulture) is > 0 and var seconds ? seconds : null : null, more.Length > 1 ? more[1] : null, writes: true);
    return 0;
}

if (args is [_, "books"])
{
    BooksBenchmarks.Write(Path.Combine(root, "docs/benchmarks.md"), await BooksBenchmarks.Measure(root));
    return 0;
}

var rows = new List<(string What, string Goal, string Measured)>();
string Number(double value, int digits = 1) => value.ToString($"F{digits}", CultureInfo.InvariantCulture);
string Spread(IReadOnlyList<double> sorted) => $"{Number(sorted[sorted.Count / 2])} ms median, {Number(sorted[(int)(sorted.Count * 0.95)])} ms for 95 of 100";

var configuration = ManualConfig.CreateMinimumViable()
    .AddJob(Job.ShortRun.WithToolchain(new InProcessNoEmitToolchain(true)).WithIterationCount(8).WithWarmupCount(4))
    .WithArtifactsPath(Directory.CreateTempSubdirectory("lumpet-artifacts-").FullName);
configuration.UnionRule = ConfigUnionRule.AlwaysUseLocal;
var summary = BenchmarkRunner.Run<CoreBenchmarks>(configuration.AddLogger(ConsoleLogger.Default));
var medians = summary.Reports.ToDictionary(report => report.BenchmarkCase.Descriptor.WorkloadMethod.Name, report => report.ResultStatistics!.Median / 1e6);
rows.Add(("Core: scale and cost a recipe", string.Empty, $"{Number(medians["Scale"], 3)} ms median"));
rows.Add(("Core: plan a day of 62 pies", string.Empty, $"{Number(medians["Plan"])} ms median"));
rows.Add(("Core: ten times its orders (620 pies, ten times the shelves, mixer to match)", "at most 12 times the time", $"{Number(medians["PlanTenTimes"])} ms median: {Number(medians["PlanTenTimes"] / medians["Plan"])} times"));

using (var load = new ServerLoad(Path.Combine(root, "src/Lumpet.Server/bin/Release/net10.0/lumpet-server.dll"), Path.Combine(root, "web/dist")))
{
    rows.Add(("Server: from start to its first answer, a new demo database included", "under 2000 ms", $"{Number(load.StartMilliseconds, 0)} ms"));
    rows.Add(("Server: scaling what-if", "under 10 ms median", Spread(await load.Scale(250))));
    rows.Add(("Server: plan of 62 pies made anew", "under 200 ms median", Spread(await load.PlanAnew(60))));
    foreach (var (what, milliseconds) in Follow(root, load.Address)) rows.Add(($"Browser: {what}", "under 100 ms", $"{Number(milliseconds)} ms median"));
    foreach (var (lines, goal, ahead) in new[] { (200, "a first plan within 2 s", 3), (1000, "a first plan within 10 s", 9) })
    {
        var (first, settled, longest, peak) = await load.LargeDay(lines, ahead);
        rows.Add(($"Server: a day of {lines} order lines, from nothing to its first plan", $"{goal}; nobody else waits over 250 ms; under 600 MB", $"{Number(first / 1000)} s{(settled ? ", settled" : ", not settled yet")}; longest wait of others {Number(longest, 0)} ms; {Number(peak, 0)} MB at most"));
    }

    const int Many = 2000;
    rows.Add(($"Server: taking in a library of {Many} recipes, kept on disk", string.Empty, $"{Number(await load.TakeIn(Many) / 1000)} s"));
    rows.Add(($"Server: scaling what-if of a twelve-line recipe among {Many}", "under 10 ms median", Spread(await load.ScaleAmongMany(250, Many))));
    rows.Add(($"Server: finding among {Many} recipes", "under 30 ms median", Spread(await load.Find(120))));
    rows.Add(("Server: memory after an hour's use (3600 requests)", "under 300 MB", $"{Number(await load.AnHour(), 0)} MB resident"));
}

foreach (var (pies, days, goal) in new[] { (80, 1, "settled within 1 s"), (100, 3, "first within 300 ms, settled within 1 s") })
{
    using var load = new ServerLoad(Path.Combine(root, "src/Lumpet.Server/bin/Release/net10.0/lumpet-server.dll"), Path.Combine(root, "web/dist"));
    var (first, settled) = await load.Changed(pies, days, 5);
    rows.Add(($"Server: {pies * days} pies of ten products in {days} {(days == 1 ? "day" : "days")}, after one pie more", goal, $"first {Number(first[first.Count / 2])} ms median; settled {Number(settled[settled.Count / 2] / 1000)} s median"));
}

// What the page itself names; other screens are fetched when they are opened.
var page = File.ReadAllText(Path.Combine(root, "web/dist/index.html"));
var script = Directory.GetFiles(Path.Combine(root, "web/dist/assets"), "*.js").Where(file => page.Contains(Path.GetFileName(file), StringComparison.Ordinal)).Sum(file => Compressed(File.ReadAllBytes(file)));
rows.Add(("First screen: script, compressed (gzip)", "under 120 kB", $"{Number(script / 1000.0)} kB"));

var text = new StringWriter { NewLine = "\n" };
text.WriteLine("# Benchmarks\n\nWritten by `./lumpet bench`: every figure below comes from one run on one machine. Machines differ and are noisy; what");
text.WriteLine($"holds anywhere are the ratios. This one: {Environment.ProcessorCount} cores, .NET {Environment.Version}, {DateTime.Now:yyyy-MM-dd}.\n");
text.WriteLine("| what | goal | measured |\n| --- | --- | --- |");
foreach (var (what, goal, measured) in rows) text.WriteLine($"| {what} | {goal} | {measured} |");
text.WriteLine("\nThe core is measured by BenchmarkDotNet in process (4 warm-ups, 8 iterations), the server by its own process on loopback");
text.WriteLine("under one person's questions one after another, the first fifth of them not counted, the browser by headless Chromium from");
text.WriteLine("a key press to the changed sentence. Plans made anew are what-ifs that were never asked before, so that no kept plan is used.");
var written = Path.Combine(root, "docs/benchmarks.md");
File.WriteAllText(written, $"{text}\n{await BooksBenchmarks.Measure(root)}{PlannerBenchmarks.Kept(written)}");
Console.WriteLine(text.ToString());
return 0;

static long Compressed(byte[] bytes)
{
    using var packed = new MemoryStream();
    using (var gzip = new GZipStream(packed, CompressionLevel.Optimal)) gzip.Write(bytes);
    return packed.ToArray().Length;
}

static IEnumerable<(string What, double Milliseconds)> Follow(string root, string address)
{
    using var node = Process.Start(new ProcessStartInfo("node", [Path.Combine(root, "tests/browser/follow.mjs"), address]) { RedirectStandardOutput = true })!;
    var output = node.StandardOutput.ReadToEnd();
    node.WaitForExit();
    return JsonSerializer.Deserialize<Dictionary<string, double>>(output)!.Select(pair => (pair.Key, pair.Value));
}
