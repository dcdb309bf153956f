using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Stock;

/// <summary>What is made already, over HTTP; the clock stands at Wednesday 25 November 2026, 09:00, and the fair is on Thursday.</summary>
public sealed class StockTests : IDisposable
{
    private const string Fair = "2026-11-26";
    private const string Next = "2026-11-27";

    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private static object Dough(double kilograms = 6.1, string madeAt = "2026-11-25T07:00") => new { made = "dough:flaky", kilograms, place = "cold", madeAt, note = "two boxes" };

    private static object Pies(string product, int pies, string after, string madeAt = "2026-11-25T08:00") => new { product, pan = "23", pies, after, place = "cold", madeAt };

    private async Task<JsonElement> Add(object draft)
    {
        var (status, added) = await server.Send(HttpMethod.Post, "/api/made-already", draft);
        Assert.Equal(201, status);
        return added;
    }

    private async Task<JsonElement> Entry(string name, string day = Fair) =>
        (await server.Get($"/api/stock/{day}?given=atOnce")).GetProperty("entries").EnumerateArray().Single(entry => entry.GetProperty("name").GetString() == name);

    private async Task<double> FlakyMixed() => (await server.Get($"/api/dough/{Fair}?given=atOnce")).GetProperty("batches").EnumerateArray()
        .Where(batch => batch.GetProperty("dough").GetString() == "flaky").Sum(batch => batch.GetProperty("grams").GetDouble());

    [Fact]
    public async Task Dough_that_is_there_goes_to_the_first_pick_up_and_so_much_less_is_mixed()
    {
        var before = await FlakyMixed();
        Assert.Empty((await server.Get($"/api/dough/{Fair}?given=atOnce")).GetProperty("already").EnumerateArray());
        await Add(Dough());
        var entry = await Entry("Flaky 3-2-1");
        var uses = entry.GetProperty("uses").EnumerateArray().ToArray();
        var taken = uses.Sum(use => use.GetProperty("amount").GetDouble());
        Assert.Equal(6100, taken + entry.GetProperty("left").GetDouble(), 0.5);
        Assert.InRange(taken, 5000, 6100);
        Assert.All(uses, use => Assert.StartsWith("07:30 (Harbour kiosk", use.GetProperty("orders").GetString(), StringComparison.Ordinal));
        // What stays in the bowl is not mixed either.
        Assert.InRange(before - await FlakyMixed(), taken, taken * 1.05);
        var said = Assert.Single((await server.Get($"/api/dough/{Fair}?given=atOnce")).GetProperty("already").EnumerateArray()).GetString()!;
        Assert.StartsWith($"{taken / 1000:0.00} kg Flaky 3-2-1 are there already: for Pear and ginger, 23 cm, base at ", said, StringComparison.Ordinal);
        Assert.Contains("Of what is made already it takes ", (await server.Get($"/api/plan/{Fair}?given=atOnce")).GetProperty("beside")[0].GetString(), StringComparison.Ordinal);
        Assert.Equal("made Wed 25 Nov 07:00, in the fridge", entry.GetProperty("state").GetString());
        Assert.Equal("keeps until Fri 27 Nov 07:00", entry.GetProperty("until").GetString());
    }

    [Fact]
    public async Task What_a_day_before_takes_is_not_there_for_the_next()
    {
        await Add(Dough(20));
        var first = await Entry("Flaky 3-2-1");
        var second = await Entry("Flaky 3-2-1", Next);
        Assert.Equal(20000 - first.GetProperty("left").GetDouble(), second.GetProperty("takenBefore").GetDouble(), 1.0);
        Assert.Equal(20000, second.GetProperty("takenBefore").GetDouble() + second.GetProperty("left").GetDouble() + second.GetProperty("uses").EnumerateArray().Sum(use => use.GetProperty("amount").GetDouble()), 1.0);
    }

    [Fact]
    public async Task Pies_that_are_baked_are_boxed_and_shells_that_wait_too_long_are_not_counted_on()
    {
        await Add(Pies("pear", 12, "bake", "2026-11-25T09:00"));
        await Add(Pies("oat-custard", 8, "blind", "2026-11-24T20:00"));
        var plan = await server.Get($"/api/plan/{Fair}?given=atOnce");
        Assert.Equal("Of what is made already it takes 12 Pear and ginger, 23 cm.", plan.GetProperty("beside")[0].GetString());
        Assert.Equal(62, plan.GetProperty("pies").GetInt32());
        Assert.Equal([32, 30], plan.GetProperty("waves").EnumerateArray().Select(wave => wave.GetProperty("pies").GetInt32()));
        Assert.Equal(12, (await Entry("Pear and ginger, 23 cm")).GetProperty("uses")[0].GetProperty("amount").GetDouble());
        // Shells of Wednesday morning wait too long for Thursday's first pick-up.
        var shells = await Entry("Oat custard, 23 cm");
        // They were to be filled by six in the morning, when nobody had noted them yet.
        Assert.Empty(shells.GetProperty("uses").EnumerateArray());
        // Fillings are weighed for what is filled yet.
        var pear = (await server.Get($"/api/fillings/{Fair}?given=atOnce")).GetProperty("fillings").EnumerateArray().First(one => one.GetProperty("product").GetString() == "pear");
        Assert.Equal(16, pear.GetProperty("lots").EnumerateArray().Sum(lot => lot.GetProperty("count").GetInt32()));
    }

    [Theory]
    [InlineData("2026-11-25T18:00", 0, "All 40 pies for Wednesday 25 November are ready already.")]
    [InlineData("2026-11-28T09:00", 40, "40 pies for Saturday 28 November in ")]
    public async Task Where_all_is_ready_nothing_is_made_and_what_is_too_old_is_made_anew(string pickUp, int made, string said)
    {
        Assert.Equal(201, (await server.Send(HttpMethod.Post, "/api/orders", new { product = "pear", pan = "23", count = 40, pickUp, @for = "kiosk" })).Status);
        await Add(Pies("pear", 40, "box", "2026-11-25T09:00"));
        var plan = await server.Get($"/api/plan/{pickUp[..10]}?given=atOnce");
        Assert.Equal(made, plan.GetProperty("pies").GetInt32());
        Assert.StartsWith(said, string.Concat(plan.GetProperty("sentence").EnumerateArray().Select(part => part.GetProperty("text").GetString())), StringComparison.Ordinal);
        var wave = Assert.Single(plan.GetProperty("waves").EnumerateArray());
        Assert.Equal((40, true), (wave.GetProperty("pies").GetInt32(), wave.GetProperty("isMet").GetBoolean()));
        foreach (var path in new[] { "dough", "fillings", "bench", "stock" }) await server.Get($"/api/{path}/{pickUp[..10]}?given=atOnce");
    }

    [Fact]
    public async Task It_is_changed_and_removed_by_the_version_it_was_read_with_and_added_once()
    {
        var key = ("Idempotency-Key", "stock-1");
        var (_, once) = await server.Send(HttpMethod.Post, "/api/made-already", Dough(), key);
        var (_, twice) = await server.Send(HttpMethod.Post, "/api/made-already", Dough(), key);
        Assert.Equal(once.GetProperty("id").GetString(), twice.GetProperty("id").GetString());
        var id = once.GetProperty("id").GetString();
        var address = $"/api/made-already/{id}";
        Assert.Equal(428, (await server.Send(HttpMethod.Put, address, Dough(3))).Status);
        Assert.Equal(200, (await server.Send(HttpMethod.Put, address, Dough(3), ("If-Match", "\"1\""))).Status);
        Assert.Equal(412, (await server.Send(HttpMethod.Put, address, Dough(4), ("If-Match", "\"1\""))).Status);
        Assert.Equal(400, (await server.Send(HttpMethod.Put, address, Dough(-1), ("If-Match", "\"2\""))).Status);
        Assert.Equal(3000, (await Entry("Flaky 3-2-1")).GetProperty("amount").GetDouble());
        Assert.Equal(412, (await server.Send(HttpMethod.Delete, address, null, ("If-Match", "\"1\""))).Status);
        Assert.Equal(204, (await server.Send(HttpMethod.Delete, address, null, ("If-Match", "\"2\""))).Status);
        Assert.Equal(404, (await server.Send(HttpMethod.Delete, address, null, ("If-Match", "\"2\""))).Status);
        Assert.Equal(["Almond paste"], (await server.Get($"/api/stock/{Fair}?given=atOnce")).GetProperty("entries").EnumerateArray().Select(entry => entry.GetProperty("name").GetString()));
    }

    [Fact]
    public async Task What_is_made_already_holds_its_recipe_and_its_pan()
    {
        await Add(new { made = "praline", kilograms = 1, place = "room", madeAt = "2026-11-25T08:00" });
        var (status, body) = await server.Send(HttpMethod.Delete, "/api/ingredients/almond-paste", null);
        Assert.Equal(400, status);
        Assert.Contains("on the books of the shelves", body.ToString(), StringComparison.Ordinal);
    }
}
