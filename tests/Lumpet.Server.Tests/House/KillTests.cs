using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.House;

/// <summary>The server is killed at any moment. LUMPET_KILLS sets how often.</summary>
public sealed class KillTests : IDisposable
{
    private static readonly int Rounds = int.Parse(Environment.GetEnvironmentVariable("LUMPET_KILLS") ?? "6", CultureInfo.InvariantCulture);

    private readonly string folder = Directory.CreateTempSubdirectory("lumpet-kill-").FullName;

    public void Dispose() => Directory.Delete(folder, recursive: true);

    [Fact]
    public async Task What_was_confirmed_is_there_after_the_server_is_killed_at_any_moment()
    {
        // A fixed seed gives the same choices; when the kill falls is up to the machine.
        var random = new Random(20261126);
        var kept = new Dictionary<string, Kept>();
        var confirmed = 0;
        for (var round = 0; round <= Rounds; round++)
        {
            await using var server = await LumpetProcess.Serve("demo", folder, "--data", "bakery.db");
            var day = (await server.Client.GetFromJsonAsync<JsonElement>("/api/bakery")).GetProperty("nextDay").GetString()!;
            await Compare(server.Client, day, kept);
            if (round == Rounds) break;
            using var ends = new CancellationTokenSource();
            var writers = Enumerable.Range(0, 2).Select(writer => Write(server.Client, day, kept, random.Next(), $"{round}/{writer}", ends.Token)).ToArray();
            await Task.Delay(random.Next(5, 400));
            await server.DisposeAsync();
            await ends.CancelAsync();
            confirmed += (await Task.WhenAll(writers)).Sum();
        }

        Assert.True(confirmed > Rounds, $"only {confirmed} changes were confirmed");
    }

    [Fact]
    public async Task A_first_start_that_is_killed_is_made_good_by_the_next_and_a_file_is_taken_in_whole_or_not_at_all()
    {
        var random = new Random(20261126);
        var file = $"id,name\n{string.Concat(Enumerable.Range(0, 400).Select(at => $"quince-{at},Quince {at}\n"))}";
        for (var round = 0; round < Math.Max(4, Rounds / 5); round++)
        {
            var data = $"first-{round}.db";
            await LumpetProcess.Killed("demo", folder, random.Next(150, 1600), "--data", data);
            await using (var server = await LumpetProcess.Serve("demo", folder, "--data", data))
            {
                var bakery = await server.Client.GetFromJsonAsync<JsonElement>("/api/bakery");
                Assert.Equal(("Tern Quay Bakehouse", 62), (bakery.GetProperty("name").GetString(), bakery.GetProperty("days")[0].GetProperty("pies").GetInt32()));
                var taken = server.Client.PostAsJsonAsync("/api/library", new { text = file });
                await Task.Delay(random.Next(1, 500));
                await server.DisposeAsync();
                await Assert.ThrowsAnyAsync<Exception>(async () =>
                {
                    await taken;
                    throw new InvalidOperationException("It was confirmed before the kill.");
                });
            }

            await using var again = await LumpetProcess.Serve("demo", folder, "--data", data);
            var ingredients = (await again.Client.GetFromJsonAsync<JsonElement>("/api/ingredients")).GetProperty("ingredients").EnumerateArray();
            Assert.Contains(ingredients.Count(one => one.GetProperty("id").GetString()!.StartsWith("quince-", StringComparison.Ordinal)), new[] { 0, 400 });
        }
    }

    /// <summary>An order of this test: what it must be, and what it may be because a change was under way.</summary>
    private sealed record Kept(int? Count, IReadOnlyList<int?> Perhaps);

    private static async Task Compare(HttpClient client, string day, Dictionary<string, Kept> kept)
    {
        var found = (await client.GetFromJsonAsync<JsonElement>($"/api/orders/{day}")).GetProperty("orders").EnumerateArray()
            .Where(order => order.GetProperty("for").GetString()!.StartsWith("kill ", StringComparison.Ordinal))
            .ToDictionary(order => order.GetProperty("for").GetString()!, order => order.GetProperty("count").GetInt32());
        foreach (var (name, order) in kept)
        {
            int? count = found.TryGetValue(name, out var there) ? there : null;
            Assert.True(count == order.Count || order.Perhaps.Contains(count), $"{name}: {count} instead of {order.Count}");
        }

        // What was under way is decided now.
        foreach (var name in kept.Keys.ToArray()) kept[name] = new Kept(found.TryGetValue(name, out var there) ? there : null, []);
        Assert.Empty(found.Keys.Except(kept.Keys));
    }

    private static async Task<int> Write(HttpClient client, string day, Dictionary<string, Kept> kept, int seed, string name, CancellationToken ends)
    {
        var random = new Random(seed);
        var confirmed = 0;
        try
        {
            for (var number = 0; ; number++)
            {
                var (whom, first) = ($"kill {name}/{number}", random.Next(1, 20));
                Set(kept, whom, null, first);
                var added = await client.PostAsJsonAsync("/api/orders", Order(day, first, whom), ends);
                var order = await added.Content.ReadFromJsonAsync<JsonElement>(ends);
                Set(kept, whom, first);
                confirmed++;
                var path = $"/api/orders/{order.GetProperty("id").GetString()}";
                using var request = random.Next(2) == 0 ? new HttpRequestMessage(HttpMethod.Delete, path)
                    : new HttpRequestMessage(HttpMethod.Put, path) { Content = JsonContent.Create(Order(day, first + 20, whom)) };
                request.Headers.TryAddWithoutValidation("If-Match", "\"1\"");
                int? then = request.Method == HttpMethod.Delete ? null : first + 20;
                Set(kept, whom, first, then);
                (await client.SendAsync(request, ends)).EnsureSuccessStatusCode();
                Set(kept, whom, then);
                confirmed++;
            }
        }
        catch (Exception exception) when (exception is HttpRequestException or IOException or OperationCanceledException or ObjectDisposedException or JsonException)
        {
            // The server is gone, as it should be.
            return confirmed;
        }
    }

    private static void Set(Dictionary<string, Kept> kept, string name, int? count, params IReadOnlyList<int?> perhaps)
    {
        lock (kept) kept[name] = new Kept(count, perhaps);
    }

    private static object Order(string day, int count, string whom) => new { product = "pear", pan = "23", count, pickUp = $"{day}T10:00", @for = whom };
}
