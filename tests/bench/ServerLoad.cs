using System.Diagnostics;
using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Lumpet.Bench;

/// <summary>A bounded load on a real server on loopback: one person's questions, one after another.</summary>
public sealed class ServerLoad : IDisposable
{
    private const int Port = 4396;
    private const int HourOfRequests = 3600;

    private readonly string folder = Directory.CreateTempSubdirectory("lumpet-load-").FullName;
    private readonly Process process;
    private readonly HttpClient client = new() { BaseAddress = new Uri($"http://127.0.0.1:{Port}") };

    /// <summary>Starts a server.</summary>
    /// <param name="server">Its program.</param>
    /// <param name="web">What it shows.</param>
    /// <param name="prepare">Fills its data before it starts; null for a new demo.</param>
    public ServerLoad(string server, string web, Action<string>? prepare = null)
    {
        prepare?.Invoke(Path.Combine(folder, "demo.db"));
        var watch = Stopwatch.StartNew();
        process = Process.Start(new ProcessStartInfo("dotnet", [server, "demo", "--port", $"{Port}", "--data", Path.Combine(folder, "demo.db"), "--web", web]) { RedirectStandardOutput = true, WorkingDirectory = folder })!;
        while (!Answers())
        {
            if (watch.Elapsed > TimeSpan.FromSeconds(60)) throw new InvalidOperationException("The server did not start.");
            Thread.Sleep(10);
        }

        StartMilliseconds = watch.Elapsed.TotalMilliseconds;
    }

    /// <summary>From starting the process to its first answer, a new demo database included.</summary>
    public double StartMilliseconds { get; }

    public string Address => client.BaseAddress!.ToString();

    public async Task<IReadOnlyList<double>> Scale(int times) => await Timed(times, at =>
        client.PostAsJsonAsync("/api/recipes/pear/scale", new { pan = at % 2 == 0 ? "23" : "26", count = 1 + (at % 50) }));

    /// <summary>Takes in so many recipes, variations of the demo's twelve-line sweet potato pie, and answers how long it took.</summary>
    /// <summary>The same question, over and over.</summary>
    public async Task<IReadOnlyList<double>> Ask(string path, int times) => await Timed(times, _ => client.GetAsync(new Uri(path, UriKind.Relative)));

    /// <summary>Something that is changed before each question, which alone is timed.</summary>
    public async Task<IReadOnlyList<double>> AskAfter(string path, int times, Func<int, (string Path, object Body)> change)
    {
        var measured = new List<double>();
        for (var at = 0; at < times; at++)
        {
            var (to, body) = change(at);
            using var changed = await client.PostAsJsonAsync(to, body);
            changed.EnsureSuccessStatusCode();
            measured.AddRange(await Timed(1, _ => client.GetAsync(new Uri(path, UriKind.Relative))));
        }

        return [.. measured.Order()];
    }

    public async Task<double> TakeIn(int recipes)
    {
        var library = JsonNode.Parse(await client.GetStringAsync(new Uri("/api/library.json", UriKind.Relative)))!.AsObject();
        var pattern = library["products"]!.AsArray().First(product => product!["id"]!.GetValue<string>() == Large)!["written"]!.AsObject();
        var first = pattern["layers"]![0]!;
        first["lines"] = $"{first["lines"]!.GetValue<string>()}\n1 tsp Vanilla extract\n20 g Butter, unsalted\n15 g Corn starch\n30 ml Rum";
        pattern["aliases"] = string.Empty;
        var many = new JsonArray([.. Enumerable.Range(0, recipes).Select(at =>
        {
            var written = pattern.DeepClone().AsObject();
            written["name"] = $"Variation {at}";
            return (JsonNode)new JsonObject { ["id"] = $"variation-{at}", ["written"] = written };
        })]);
        var text = new JsonObject { ["format"] = library["format"]!.DeepClone(), ["products"] = many }.ToJsonString();
        var watch = Stopwatch.StartNew();
        using var response = await client.PostAsJsonAsync("/api/library", new { text });
        response.EnsureSuccessStatusCode();
        return watch.Elapsed.TotalMilliseconds;
    }

    /// <summary>Scaling one of many recipes: twelve lines of filling, another recipe and another count each time.</summary>
    public async Task<IReadOnlyList<double>> ScaleAmongMany(int times, int recipes) => await Timed(times, at =>
        client.PostAsJsonAsync($"/api/recipes/variation-{at * 37 % recipes}/scale", new { count = 1 + (at % 50) }));

    /// <summary>Finding by a word, by an ingredient, by what is left out.</summary>
    public async Task<IReadOnlyList<double>> Find(int times) => await Timed(times, at => client.GetAsync(new Uri(
        (at % 3) switch { 0 => $"/api/recipes?q=variation%20{at}", 1 => "/api/recipes?q=rhubarb%20mini", _ => "/api/recipes?without=nuts&kind=puree" }, UriKind.Relative)));

    private const string Large = "sweet-potato";

    /// <summary>Plans that were never asked for before: every question moves a pick-up to another minute.</summary>
    public async Task<IReadOnlyList<double>> PlanAnew(int times)
    {
        var day = (await client.GetFromJsonAsync<JsonElement>("/api/bakery")).GetProperty("nextDay").GetString();
        return await Timed(times, at => client.PostAsJsonAsync(
            $"/api/plan/{day}/what-if",
            new { moves = new[] { new { from = "10:00", to = TimeSpan.FromMinutes(600 + at).ToString(@"hh\:mm", CultureInfo.InvariantCulture) } } }));
    }

    /// <summary>
    /// A day of so many order lines, spread over products, pans and quarters of an hour by a fixed seed: how long its first plan
    /// took, whether it was settled, how long anyone else waited meanwhile, and the most memory held (proc(5), VmHWM).
    /// </summary>
    public async Task<(double Milliseconds, bool IsSettled, double LongestWait, double PeakMegabytes)> LargeDay(int lines, int daysAhead)
    {
        var bakery = await client.GetFromJsonAsync<JsonElement>("/api/bakery");
        var day = DateOnly.Parse(bakery.GetProperty("nextDay").GetString()!, CultureInfo.InvariantCulture).AddDays(daysAhead).ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
        var (random, products) = (new Random(1), bakery.GetProperty("products").EnumerateArray().ToArray());
        var rows = Enumerable.Range(0, lines).Select(at =>
        {
            var product = products[random.Next(products.Length)];
            var pans = product.GetProperty("pans").EnumerateArray().ToArray();
            return $"{random.Next(1, 13)},{product.GetProperty("id")},{pans[random.Next(pans.Length)].GetProperty("id")},{day}T{TimeSpan.FromMinutes(420 + (random.Next(44) * 15)):hh\\:mm},x{at}";
        });
        using var taken = await client.PostAsJsonAsync("/api/orders/import", new { text = string.Join('\n', rows.Prepend("count,product,pan,pick_up,for")), keep = true });
        taken.EnsureSuccessStatusCode();
        var watch = Stopwatch.StartNew();
        var plan = client.GetFromJsonAsync<JsonElement>($"/api/plan/{day}");
        var longest = 0.0;
        while (!plan.IsCompleted)
        {
            var wait = Stopwatch.StartNew();
            await client.GetStringAsync(new Uri("/api/pans", UriKind.Relative));
            longest = Math.Max(longest, wait.Elapsed.TotalMilliseconds);
            await Task.Delay(20);
        }

        var settled = (await plan).GetProperty("isSettled").GetBoolean();
        var peak = File.ReadLines($"/proc/{process.Id}/status").First(one => one.StartsWith("VmHWM", StringComparison.Ordinal));
        return (watch.Elapsed.TotalMilliseconds, settled, longest, double.Parse(peak.Split(' ', StringSplitOptions.RemoveEmptyEntries)[1], CultureInfo.InvariantCulture) / 1000);
    }

    /// <summary>
    /// So many pies of ten products on each of some days that are planned one around the other, and then one pie more on the last of them, again and
    /// again: how long its first plan took, and the settled one after it, each in order of size, in milliseconds.
    /// </summary>
    public async Task<(IReadOnlyList<double> First, IReadOnlyList<double> Settled)> Changed(int piesADay, int days, int times)
    {
        const int Products = 10;
        var bakery = await client.GetFromJsonAsync<JsonElement>("/api/bakery");
        string Day(int ahead) => DateOnly.Parse(bakery.GetProperty("nextDay").GetString()!, CultureInfo.InvariantCulture).AddDays(ahead).ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
        var products = bakery.GetProperty("products").EnumerateArray().Take(Products).Select(one => (Id: one.GetProperty("id").GetString(), Pan: one.GetProperty("referencePan").GetString())).ToArray();
        var rows = Enumerable.Range(1, days).SelectMany(day => products.Select((one, at) => $"{piesADay / Products},{one.Id},{one.Pan},{Day(day)}T{(at % 2 == 0 ? "07:30" : "10:00")},x{at}"));
        using var taken = await client.PostAsJsonAsync("/api/orders/import", new { text = string.Join('\n', rows.Prepend("count,product,pan,pick_up,for")), keep = true });
        taken.EnsureSuccessStatusCode();
        var (first, settled) = (new List<double>(), new List<double>());
        // Once for a warm server, which is not counted.
        for (var at = -1; at < times; at++)
        {
            using var more = await client.PostAsJsonAsync("/api/orders", new { product = products[0].Id, pan = products[0].Pan, count = 1, pickUp = $"{Day(days)}T10:00", @for = $"y{at}" });
            more.EnsureSuccessStatusCode();
            foreach (var (given, all) in new[] { ("atOnce", first), ("settled", settled) })
            {
                var watch = Stopwatch.StartNew();
                await client.GetStringAsync(new Uri($"/api/plan/{Day(days)}?given={given}", UriKind.Relative));
                if (at >= 0) all.Add(watch.Elapsed.TotalMilliseconds);
            }
        }

        return ([.. first.Order()], [.. settled.Order()]);
    }

    /// <summary>As many requests as a crew makes in an hour, one a second: recipes, orders and plans in turn.</summary>
    public async Task<double> AnHour()
    {
        var day = (await client.GetFromJsonAsync<JsonElement>("/api/bakery")).GetProperty("nextDay").GetString();
        for (var at = 0; at < HourOfRequests; at++)
        {
            using var response = (at % 6) switch
            {
                0 => await client.PostAsJsonAsync($"/api/plan/{day}/what-if", new { moves = new[] { new { from = "10:00", to = TimeSpan.FromMinutes(480 + (at / 6 % 300)).ToString(@"hh\:mm", CultureInfo.InvariantCulture) } } }),
                1 or 2 => await client.PostAsJsonAsync("/api/recipes/pear/scale", new { pan = "23", count = 1 + (at % 60) }),
                3 => await client.GetAsync(new Uri($"/api/orders/{day}", UriKind.Relative)),
                4 => await client.GetAsync(new Uri($"/api/dough/{day}", UriKind.Relative)),
                _ => await client.GetAsync(new Uri($"/api/plan/{day}", UriKind.Relative)),
            };
            response.EnsureSuccessStatusCode();
        }

        // Resident memory as the system counts it (proc(5), VmRSS in kB).
        var line = File.ReadLines($"/proc/{process.Id}/status").First(one => one.StartsWith("VmRSS", StringComparison.Ordinal));
        return double.Parse(line.Split(' ', StringSplitOptions.RemoveEmptyEntries)[1], CultureInfo.InvariantCulture) / 1000;
    }

    public void Dispose()
    {
        client.Dispose();
        process.Kill();
        process.WaitForExit();
        process.Dispose();
        Directory.Delete(folder, recursive: true);
    }

    private static async Task<IReadOnlyList<double>> Timed(int times, Func<int, Task<HttpResponseMessage>> ask)
    {
        var measured = new List<double>();
        for (var at = 0; at < times; at++)
        {
            var watch = Stopwatch.StartNew();
            using var response = await ask(at);
            await response.Content.ReadAsByteArrayAsync();
            measured.Add(watch.Elapsed.TotalMilliseconds);
            response.EnsureSuccessStatusCode();
        }

        // The first fifth warms the server up.
        return [.. measured.Skip(times / 5).Order()];
    }

    private bool Answers()
    {
        try
        {
            return client.GetStringAsync(new Uri("/healthz", UriKind.Relative)).GetAwaiter().GetResult() == "ok";
        }
        catch (HttpRequestException)
        {
            return false;
        }
    }
}
