using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json;
using Dapper;
using Lumpet.Server.Tests.House;
using Microsoft.Data.Sqlite;
using Xunit;

namespace Lumpet.Server.Tests.Stock;

/// <summary>The ledgers of stock and prices while the server is killed at any moment and everything is tapped twice. LUMPET_KILLS sets how often.</summary>
public sealed class KilledLedgerTests : IDisposable
{
    private static readonly int Rounds = int.Parse(Environment.GetEnvironmentVariable("LUMPET_KILLS") ?? "5", CultureInfo.InvariantCulture);

    private readonly string folder = Directory.CreateTempSubdirectory("lumpet-kill-").FullName;

    // Kilograms of cream on the books by lot number: those that were confirmed, and those of what was under way.
    private readonly Dictionary<string, Kept> cream = [];
    private int confirmed;

    private sealed record Kept(int Now, int Perhaps);

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }

    [Fact]
    public async Task What_was_confirmed_moved_once_and_every_lot_has_the_sum_of_its_movements()
    {
        // A fixed seed gives the same choices; when the kill falls is up to the machine.
        var random = new Random(20261129);
        var (made, takenBack) = (0, 0);
        for (var round = 0; round <= Rounds; round++)
        {
            await using var server = await LumpetProcess.Serve("demo", folder, "--data", "bakery.db");
            var day = (await server.Client.GetFromJsonAsync<JsonElement>("/api/bakery")).GetProperty("nextDay").GetString()!;
            Compare(round);
            if (round == Rounds) break;
            var dough = (await server.Client.GetFromJsonAsync<JsonElement>($"/api/batches/{day}")).GetProperty("batches").EnumerateArray().First(batch => batch.GetProperty("kind").GetString() == "dough");
            using var ends = new CancellationTokenSource();
            Task[] writers =
            [
                Receive(server.Client, $"K{round}a", ends.Token),
                Receive(server.Client, $"K{round}b", ends.Token),
                Tap(async () =>
                {
                    for (; ; takenBack++)
                    {
                        await Twice(server.Client, $"/api/batches/{day}/made", new { batch = dough.GetProperty("id").GetString(), amount = dough.GetProperty("amount").GetInt64(), evenIfUnknown = true }, null, ends.Token);
                        made++;
                        await Twice(server.Client, $"/api/batches/{day}/taken-back", new { batch = dough.GetProperty("id").GetString() }, null, ends.Token);
                    }
                }),
            ];
            // Every third kill falls while a new server does everything for the first time; the others amid its work.
            for (var from = confirmed; round % 3 != 2 && confirmed < from + 3 && writers.All(writer => !writer.IsCompleted);) await Task.Delay(10);
            await Task.Delay(random.Next(5, 400));
            await server.DisposeAsync();
            await ends.CancelAsync();
            await Task.WhenAll(writers);
        }

        Assert.True(confirmed > 2 * Rounds, $"only {confirmed} movements were confirmed");
        Assert.True(made > 0 && takenBack <= made);
    }

    private void Compare(int round)
    {
        using var books = new SqliteConnection($"Data Source={Path.Combine(folder, "bakery.db")};Mode=ReadOnly");
        Assert.Equal(0, books.QuerySingle<long>("SELECT count(*) FROM stock_lot l WHERE amount <> (SELECT coalesce(sum(m.amount), 0) FROM stock_movement m WHERE m.lot_id = l.id)"));
        // What a batch took and what it made stand together or not at all, and no batch stands twice.
        Assert.Equal(0, books.QuerySingle<long>("SELECT count(*) FROM stock_entry e WHERE kind = 'made' AND NOT EXISTS (SELECT 1 FROM stock_movement m WHERE m.entry_id = e.id AND m.amount > 0)"));
        Assert.Empty(books.Query<string>(
            """
            SELECT batch FROM stock_entry e WHERE kind = 'made' AND NOT EXISTS (SELECT 1 FROM stock_entry b WHERE b.takes_back = e.id) GROUP BY day, generation, batch HAVING count(*) > 1
            """));
        var found = books.Query<(string Code, long Amount)>("SELECT code, amount FROM stock_lot WHERE code LIKE 'K%'").ToDictionary(row => row.Code, row => (int)(row.Amount / 1_000_000));
        foreach (var (code, kept) in cream.ToArray())
        {
            var there = found.GetValueOrDefault(code);
            Assert.True(there == kept.Now || there == kept.Perhaps, $"after kill {round}: {code} has {there} kg instead of {kept.Now}");
            cream[code] = new Kept(there, there);
        }

        Assert.Empty(found.Keys.Except(cream.Keys));
        // Of each receipt one price stands with it, however often it was tapped.
        Assert.Empty(books.Query<string>("SELECT supplier FROM price WHERE supplier LIKE 'K%' GROUP BY supplier HAVING count(*) > 1"));
    }

    private Task Receive(HttpClient client, string name, CancellationToken ends) => Tap(async () =>
    {
        for (var number = 0; ; number++)
        {
            var code = $"{name}-{number}";
            lock (cream) cream[code] = new Kept(0, 10);
            var lot = await Twice(client, "/api/stock-lots", new { ingredient = "cream", pack = "5 kg", packs = 2, supplier = "Headland Dairy", code, useBy = "2030-12-05", place = "cold", shelf = "", paid = 25.5 }, code, ends);
            lock (cream) cream[code] = new Kept(10, 10);
            await Twice(client, "/api/prices", new { ingredient = "cream", supplier = code, pack = "5 kg", paid = 20m, isUsual = false }, $"price {code}", ends);
            for (var left = 9; left > 6; left--)
            {
                lock (cream) cream[code] = new Kept(left + 1, left);
                await Twice(client, $"/api/stock-lots/{lot.GetProperty("lot").GetString()}/changes", new { kind = "used", kilograms = 1, reason = "" }, $"{code} {left}", ends);
                lock (cream) cream[code] = new Kept(left, left);
                Interlocked.Increment(ref confirmed);
            }
        }
    });

    private static async Task Tap(Func<Task> taps)
    {
        try
        {
            await taps();
        }
        catch (Exception exception) when (exception is HttpRequestException { StatusCode: null } or IOException or OperationCanceledException or ObjectDisposedException or JsonException)
        {
            // The server is gone, as it should be.
        }
    }

    /// <summary>Sends the same twice at once, as a double tap does; both are answered alike.</summary>
    private static async Task<JsonElement> Twice(HttpClient client, string path, object body, string? key, CancellationToken ends)
    {
        var answers = await Task.WhenAll(Enumerable.Range(0, 2).Select(async _ =>
        {
            using var request = new HttpRequestMessage(HttpMethod.Post, path) { Content = JsonContent.Create(body) };
            if (key is not null) request.Headers.Add("Idempotency-Key", key);
            using var answer = await client.SendAsync(request, ends);
            var text = await answer.Content.ReadAsStringAsync(ends);
            Assert.True(answer.IsSuccessStatusCode, text);
            return text;
        }));
        Assert.Equal(answers[0], answers[1]);
        return answers[0].Length > 0 ? JsonSerializer.Deserialize<JsonElement>(answers[0]) : default;
    }
}
