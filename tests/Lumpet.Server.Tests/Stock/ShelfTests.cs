using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Stock;

/// <summary>Shelves, lots, batches and traces over HTTP; the clock stands at Wednesday 25 November 2026, 09:00, and the fair is on Thursday.</summary>
public sealed class ShelfTests : IDisposable
{
    private const string Fair = "2026-11-26";
    private const string Next = "2026-11-27";

    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private Task<JsonElement> Shelves(string day = Fair) => server.Get($"/api/shelves/{day}");

    private static IEnumerable<JsonElement> Lots(JsonElement shelves) =>
        shelves.GetProperty("places").EnumerateArray().SelectMany(place => place.GetProperty("shelves").EnumerateArray()).SelectMany(shelf => shelf.GetProperty("lots").EnumerateArray());

    private async Task<JsonElement> Lot(string code, string day = Fair) => Lots(await Shelves(day)).Single(lot => Said(lot, "code") == code);

    private static string Said(JsonElement of, string name) => of.GetProperty(name).GetString()!;

    private static string[] Missing(JsonElement shelves) => [.. shelves.GetProperty("missing").EnumerateArray().Select(one => $"{Said(one, "amount")} {Said(one, "name")}")];

    private async Task<JsonElement[]> Batches(string day = Fair) => [.. (await server.Get($"/api/batches/{day}")).GetProperty("batches").EnumerateArray()];

    private async Task<JsonElement> Batch(string about, string day = Fair) => (await Batches(day)).First(batch => Said(batch, "about").StartsWith(about, StringComparison.Ordinal));

    private async Task<(int Status, JsonElement Body)> Enter(JsonElement batch, bool evenIfUnknown = false, string day = Fair) =>
        await server.Send(HttpMethod.Post, $"/api/batches/{day}/made", new { batch = Said(batch, "id"), amount = batch.GetProperty("amount").GetInt64(), evenIfUnknown });

    private async Task<(int Status, JsonElement Body)> Change(string lot, object change, string? key = null) =>
        key is null ? await server.Send(HttpMethod.Post, $"/api/stock-lots/{lot}/changes", change) : await server.Send(HttpMethod.Post, $"/api/stock-lots/{lot}/changes", change, ("Idempotency-Key", key));

    private static object Cream(string code = "HD 3000", int packs = 2) =>
        new { ingredient = "cream", pack = "5 kg", packs, supplier = "Headland Dairy", code, useBy = "2026-12-05", place = "cold", shelf = "Walk-in, right", paid = 25.5 };

    [Fact]
    public async Task What_is_missing_is_said_and_received_it_is_missing_no_more()
    {
        var before = await Shelves();
        Assert.Equal(["3.65 kg Damsons", "248 g Cream, heavy", "24 g Egg, whole"], Missing(before));
        Assert.Equal(1, before.GetProperty("past").GetInt32());
        var (status, first) = await server.Send(HttpMethod.Post, "/api/stock-lots", Cream(), ("Idempotency-Key", "cream-1"));
        Assert.Equal(201, status);
        // Tapped twice it has come once.
        Assert.Equal(Said(first, "lot"), Said((await server.Send(HttpMethod.Post, "/api/stock-lots", Cream(), ("Idempotency-Key", "cream-1"))).Body, "lot"));
        var after = await Shelves();
        Assert.Equal(before.GetProperty("lots").GetInt32() + 1, after.GetProperty("lots").GetInt32());
        Assert.Equal(["3.65 kg Damsons", "24 g Egg, whole"], Missing(after));
        var cream = await Lot("HD 3000");
        Assert.Equal(("10.00 kg", "248 g", "use by 5 Dec"), (Said(cream, "left"), Said(cream, "kept"), Said(cream, "useBy")));
        // What the past lot holds nobody counts on, and what ends first stands in front.
        Assert.Equal(["past", "soon", "good"], Lots(after).Where(lot => Said(lot, "name") == "Cream, heavy").Select(lot => Said(lot, "freshness")));
    }

    [Fact]
    public async Task A_batch_takes_what_it_needs_once_however_often_it_is_tapped_and_the_plan_stays()
    {
        var plan = await server.Get($"/api/plan/{Fair}");
        Assert.Equal(204, (await server.Send(HttpMethod.Post, $"/api/plan/{Fair}/publish", new { fingerprint = Said(plan, "fingerprint"), given = Said(plan, "given") })).Status);
        var dough = await Batch("Very rich flaky");
        Assert.Equal(["3.94 kg Flour, plain", "3.96 kg Butter, unsalted", "88 g Salt, fine"], dough.GetProperty("takes").EnumerateArray().Select(take => $"{Said(take, "amount")} {Said(take, "name")}"));
        var taps = await Task.WhenAll(Enumerable.Range(0, 6).Select(_ => Enter(dough)));
        Assert.All(taps, tap => Assert.Equal((200, "261125-1"), (tap.Status, Said(tap.Body, "code"))));
        Assert.Equal("9.64 kg", Said(await Lot("HD 2207"), "left"));
        Assert.Equal("15.06 kg", Said(await Lot("SM-4411"), "left"));
        Assert.Equal(("9.90 kg", "9.90 kg"), (Said(await Lot("261125-1"), "left"), Said(await Lot("261125-1"), "kept")));
        // Its own day goes by the plan that mixes it, and no other counts on it.
        Assert.True((await server.Get($"/api/plan/{Fair}?given=atOnce")).GetProperty("published").GetProperty("isShown").GetBoolean());
        Assert.DoesNotContain((await server.Get($"/api/stock/{Next}?given=atOnce")).GetProperty("entries").EnumerateArray(), entry => Said(entry, "name") == "Very rich flaky");
        var entered = await Batch("Very rich flaky");
        Assert.True(entered.GetProperty("isEntered").GetBoolean());
        Assert.Equal(["SM-4411", "HD 2207", ""], entered.GetProperty("takes").EnumerateArray().Select(take => Said(take, "code")));
        Assert.Equal(400, (await server.Send(HttpMethod.Post, $"/api/batches/{Fair}/made", new { batch = "dough:rich/1", amount = 5 })).Status);
        Assert.Equal(400, (await server.Send(HttpMethod.Post, $"/api/batches/{Fair}/made", new { batch = "dough:none/1", amount = 5 })).Status);
    }

    [Fact]
    public async Task Taken_back_everything_is_where_it_was_and_not_where_some_of_it_is_used()
    {
        var before = (await Shelves()).GetProperty("places").ToString();
        await Enter(await Batch("Very rich flaky"));
        Assert.NotEqual(before, (await Shelves()).GetProperty("places").ToString());
        object back = new { batch = "dough:rich/1" };
        Assert.Equal(204, (await server.Send(HttpMethod.Post, $"/api/batches/{Fair}/taken-back", back)).Status);
        Assert.Equal(204, (await server.Send(HttpMethod.Post, $"/api/batches/{Fair}/taken-back", back)).Status);
        Assert.Equal(before, (await Shelves()).GetProperty("places").ToString());
        Assert.Equal(400, (await server.Send(HttpMethod.Post, $"/api/batches/{Fair}/taken-back", new { })).Status);
        // Made again it has another number; some of it used, it is not taken back.
        Assert.Equal("261125-2", Said((await Enter(await Batch("Very rich flaky"))).Body, "code"));
        await Change(Said(await Lot("261125-2"), "id"), new { kind = "wasted", kilograms = 1, reason = "fell" });
        var (status, body) = await server.Send(HttpMethod.Post, $"/api/batches/{Fair}/taken-back", back);
        Assert.Equal(409, status);
        Assert.Contains("lot 261125-2", Said(body, "title"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task What_the_books_do_not_hold_is_said_and_then_noted_as_unknown_and_a_trace_tells_it()
    {
        var pies = await Batch("6 Damson lattice");
        var (status, body) = await Enter(pies);
        Assert.Equal(400, status);
        Assert.Contains("Very rich flaky missing", body.GetProperty("errors").GetProperty("evenIfUnknown")[0].GetString(), StringComparison.Ordinal);
        foreach (var batch in await Batches()) Assert.Equal(200, (await Enter(batch, true)).Status);
        var lot = await Batch("6 Damson lattice");
        var trace = await server.Get($"/api/trace/lots/{Said(lot, "lot")}");
        Assert.Equal(["3.65 kg Damsons"], trace.GetProperty("before").EnumerateArray().SelectMany(step => step.GetProperty("unknown").EnumerateArray()).Select(one => one.GetString()).Order());
        Assert.Equal(["Ferry galley"], trace.GetProperty("orders").EnumerateArray().Select(order => Said(order, "forWhom")));
        Assert.Contains(trace.GetProperty("before").EnumerateArray().SelectMany(step => step.GetProperty("bakes").EnumerateArray()), bake => bake.GetString()!.StartsWith("Bake in ", StringComparison.Ordinal));
        // No lot has less than nothing, and the damsons are all gone.
        Assert.DoesNotContain(Lots(await Shelves()), one => Said(one, "code") == "LO 1127" || Said(one, "left").StartsWith('-'));

        var butter = await server.Get($"/api/trace/lots/{Said(await Lot("HD 2207"), "id")}");
        Assert.Equal(62, butter.GetProperty("orders").EnumerateArray().Sum(order => order.GetProperty("pies").GetInt32()));
        Assert.Equal(12, butter.GetProperty("after").GetArrayLength());
        Assert.Empty(butter.GetProperty("before").EnumerateArray());
        // Back from one of those orders it is the same lot.
        var order = butter.GetProperty("orders")[0];
        var back = await server.Get($"/api/trace/orders/{Said(order, "order")}");
        Assert.Contains(back.GetProperty("sources").EnumerateArray(), source => Said(source, "code") == "HD 2207");
        var byCode = Assert.Single((await server.Get("/api/trace?text=hd%202207")).EnumerateArray());
        Assert.Equal("HD 2207", Said(byCode, "code"));
        var byName = (await server.Get("/api/trace?text=harbour%20kiosk")).EnumerateArray().ToArray();
        Assert.Equal(3, byName.Length);
        Assert.All(byName, found => Assert.Equal(JsonValueKind.String, found.GetProperty("order").ValueKind));
        Assert.Empty((await server.Get("/api/trace?text=%25_%27")).EnumerateArray());

        // Handed over they are no longer to be held.
        var (_, handed) = await server.Send(HttpMethod.Post, $"/api/batches/{Fair}/handed-over", new { batch = Said(lot, "id") });
        Assert.Equal(6, handed.GetProperty("pies").GetInt32());
        Assert.Equal(0, (await server.Send(HttpMethod.Post, $"/api/batches/{Fair}/handed-over", new { batch = Said(lot, "id") })).Body.GetProperty("pies").GetInt32());
        Assert.Equal(0, (await server.Send(HttpMethod.Post, $"/api/batches/{Fair}/handed-over", new { })).Body.GetProperty("pies").GetInt32());
        Assert.Empty((await server.Get($"/api/trace/lots/{Said(lot, "lot")}")).GetProperty("stillHere").EnumerateArray());
        server.Pass(TimeSpan.FromHours(23));
        Assert.Equal(32, (await server.Send(HttpMethod.Post, $"/api/batches/{Fair}/handed-over", new { })).Body.GetProperty("pies").GetInt32());
    }

    [Fact]
    public async Task Those_who_take_at_once_lose_nothing_and_take_no_more_than_there_is()
    {
        await server.Send(HttpMethod.Post, "/api/stock-lots", Cream("race"));
        var id = Said(await Lot("race"), "id");
        var takes = await Task.WhenAll(Enumerable.Range(0, 14).Select(_ => Change(id, new { kind = "used", kilograms = 1 })));
        Assert.Equal(10, takes.Count(take => take.Status == 200));
        Assert.All(takes.Where(take => take.Status != 200), take => Assert.Contains("only 0 kg", take.Body.GetProperty("errors").GetProperty("kilograms")[0].GetString(), StringComparison.Ordinal));
        var lot = await server.Get($"/api/stock-lots/{id}");
        Assert.True(lot.GetProperty("isUsedUp").GetBoolean());
        Assert.Equal(11, lot.GetProperty("entries").GetArrayLength());
        Assert.Equal("0 g", Said(lot.GetProperty("entries")[10], "left"));
    }

    [Fact]
    public async Task A_lot_is_opened_moved_described_anew_and_tells_what_happened()
    {
        await server.Send(HttpMethod.Post, "/api/stock-lots", Cream());
        var id = Said(await Lot("HD 3000"), "id");
        var (_, opened) = await Change(id, new { kind = "opened", packs = 1, useBy = "2026-11-28" }, "open-1");
        Assert.Equal(Said(opened, "lot"), Said((await Change(id, new { kind = "opened", packs = 1, useBy = "2026-11-28" }, "open-1")).Body, "lot"));
        var part = await server.Get($"/api/stock-lots/{Said(opened, "lot")}");
        Assert.Equal(("5.00 kg", true, "use by Sat 28 Nov", "HD 3000"), (Said(part, "left"), part.GetProperty("isOpen").GetBoolean(), Said(part, "useBy"), Said(part, "code")));
        await Change(id, new { kind = "moved", place = "frozen", shelf = "Chest" });
        Assert.Equal(204, (await server.Send(HttpMethod.Put, $"/api/stock-lots/{id}", new { code = "HD 3001", useBy = (string?)null, shelf = "Chest, left", note = "" }, ("If-Match", "\"2\""))).Status);
        Assert.Equal(412, (await server.Send(HttpMethod.Put, $"/api/stock-lots/{id}", new { code = "HD 3002", useBy = (string?)null, shelf = "", note = "" }, ("If-Match", "\"2\""))).Status);
        var lot = await server.Get($"/api/stock-lots/{id}");
        Assert.Equal(("HD 3001", "frozen", "Chest, left", "5.00 kg"), (Said(lot, "code"), Said(lot, "place"), Said(lot, "shelf"), Said(lot, "left")));
        Assert.Equal(["received", "opened", "moved"], lot.GetProperty("entries").EnumerateArray().Select(entry => Said(entry, "kind")));
        Assert.Equal(Said(opened, "lot"), Said(lot.GetProperty("entries")[1].GetProperty("others")[0], "lot"));
        Assert.Equal(404, (await Change(Guid.NewGuid().ToString(), new { kind = "used", kilograms = 1 })).Status);
    }

    [Fact]
    public async Task Plans_are_looked_at_for_a_fortnight_and_what_is_beyond_is_said()
    {
        Assert.Empty((await Shelves("2026-12-09")).GetProperty("stumbles").EnumerateArray());
        var far = await Shelves("2027-06-01");
        Assert.Equal("Plans are looked at for 14 days ahead, until Wednesday 9 December.", Assert.Single(far.GetProperty("stumbles").EnumerateArray()).GetString());
        Assert.Equal(Missing(await Shelves("2026-12-09")), Missing(far));
    }

    [Fact]
    public async Task What_is_ordered_after_a_batch_was_entered_is_a_rest_that_is_still_to_be_made()
    {
        foreach (var batch in await Batches()) await Enter(batch, true);
        Assert.Equal(201, (await server.Send(HttpMethod.Post, "/api/orders", new { product = "pear", pan = "23", count = 6, pickUp = $"{Fair}T07:30", @for = "late" })).Status);
        var pies = (await Batches()).Where(batch => Said(batch, "about").Contains("Pear and ginger, 23 cm", StringComparison.Ordinal)).ToArray();
        Assert.Equal([("12 Pear and ginger, 23 cm", true), ("12 Pear and ginger, 23 cm", true), ("6 Pear and ginger, 23 cm, the rest", false)], pies.Select(batch => (Said(batch, "about"), batch.GetProperty("isEntered").GetBoolean())).OrderBy(one => !one.Item2));
        var rest = pies.Single(batch => !batch.GetProperty("isEntered").GetBoolean());
        Assert.Contains("Pears, firm", (await Shelves()).ToString(), StringComparison.Ordinal);
        Assert.Equal(200, (await Enter(rest, true)).Status);
        Assert.DoesNotContain(await Batches(), batch => !batch.GetProperty("isEntered").GetBoolean() && Said(batch, "about").Contains("Pear and ginger, 23 cm", StringComparison.Ordinal));
    }

    [Fact]
    public async Task Water_is_not_kept_on_the_books_unless_somebody_says_so()
    {
        bool IsMissing(JsonElement shelves) => Missing(shelves).Any(words => words.EndsWith("Water", StringComparison.Ordinal));
        Assert.False(IsMissing(await Shelves()));
        Assert.Equal(204, (await server.Send(HttpMethod.Put, "/api/counted-goods/water", new { isCounted = true })).Status);
        Assert.True(IsMissing(await Shelves()));
        Assert.Equal(204, (await server.Send(HttpMethod.Put, "/api/counted-goods/damson", new { isCounted = false })).Status);
        Assert.DoesNotContain("3.65 kg Damsons", Missing(await Shelves()));
        foreach (var (id, body) in new[] { ("none", (object)new { isCounted = true }), ("dough:flaky", new { isCounted = true }), ("water", new { }) })
            Assert.Equal(400, (await server.Send(HttpMethod.Put, $"/api/counted-goods/{id}", body)).Status);
    }
}
