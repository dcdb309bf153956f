using System.Text.Json;
using System.Text.Json.Nodes;
using Xunit;

namespace Lumpet.Server.Tests.Bills;

/// <summary>Bills over HTTP; the clock stands at Wednesday 25 November 2026, 09:00, and the fair is on Thursday.</summary>
public sealed class BillTests : IDisposable
{
    private const string Fair = "2026-11-26";
    private static readonly string[] Columns = ["revenue", "ingredients", "hands", "heat", "contribution"];

    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private static string Said(JsonElement of, string name) => of.GetProperty(name).GetString()!;

    private static decimal Amount(JsonElement row, string column) => row.GetProperty(column) is { ValueKind: JsonValueKind.Number } number ? number.GetDecimal() : 0;

    private static JsonElement[] Rows(JsonElement bill, string list) => [.. bill.GetProperty(list).EnumerateArray()];

    /// <summary>Every list of a bill, with what belongs to no order, comes to its totals in every column, to the coin.</summary>
    private static void AddsUp(JsonElement bill)
    {
        foreach (var list in new[] { "products", "orders", "byDay" })
            foreach (var column in Columns)
            {
                var rows = Rows(bill, list).Concat(Rows(bill, "shared")).ToArray();
                // What belongs to no order brings nothing, and takes what it costs from what is left.
                var shared = column == "contribution" ? -Rows(bill, "shared").Sum(row => Amount(row, "ingredients") + Amount(row, "hands") + Amount(row, "heat")) : 0;
                Assert.Equal(Amount(bill.GetProperty("totals"), column), rows.Sum(row => Amount(row, column)) + shared);
            }

        foreach (var minutes in new[] { "handsMin", "hotMin" })
            Assert.Single(new[] { "products", "orders", "byDay" }.Select(list => Rows(bill, list).Concat(Rows(bill, "shared")).Sum(row => row.GetProperty(minutes).GetInt32())).Append(bill.GetProperty("totals").GetProperty(minutes).GetInt32()).Distinct());
        Assert.All(Rows(bill, "products").Append(bill.GetProperty("totals")), row =>
            Assert.Equal(Amount(row, "revenue") - Amount(row, "ingredients") - Amount(row, "hands") - Amount(row, "heat"), Amount(row, "contribution")));
        Assert.All(Rows(bill, "products").SelectMany(row => Columns.Select(column => Amount(row, column))), amount => Assert.Equal(amount, decimal.Round(amount, 2)));
    }

    [Fact]
    public async Task A_days_bill_adds_up_by_product_by_order_and_by_day()
    {
        var bill = await server.Get($"/api/bills/{Fair}");
        AddsUp(bill);
        var orders = await server.Get($"/api/orders/{Fair}");
        Assert.Equal(orders.GetProperty("pies").GetInt32() + orders.GetProperty("beyond").GetInt32(), bill.GetProperty("totals").GetProperty("pies").GetInt32());
        Assert.Equal(bill.GetProperty("customers").EnumerateArray().Select(name => name.GetString()), Rows(bill, "orders").Select(row => Said(row, "name")).Distinct().Order());
        Assert.StartsWith("Thursday 26 November: ", Said(bill, "sentence"), StringComparison.Ordinal);
        // By the recipes alone: what a pie costs times how many of it there are.
        foreach (var row in Rows(bill, "products"))
        {
            var pie = (await server.Get($"/api/costs/{Said(row, "id")}/{Said(row, "pan")}")).GetProperty("cost").GetDecimal();
            Assert.InRange(Amount(row, "ingredients") / row.GetProperty("pies").GetInt32(), pie - 0.01m, pie + 0.01m);
        }
    }

    [Fact]
    public async Task Several_days_and_one_customer_are_told_of_the_same_orders()
    {
        var (first, second) = (await server.Get($"/api/bills/{Fair}"), await server.Get("/api/bills/2026-11-27"));
        var both = await server.Get($"/api/bills/{Fair}?days=2");
        AddsUp(both);
        Assert.Equal(2, Rows(both, "byDay").Length);
        Assert.Equal(Amount(first.GetProperty("totals"), "revenue") + Amount(second.GetProperty("totals"), "revenue"), Amount(both.GetProperty("totals"), "revenue"));
        var who = Said(Rows(first, "orders")[0], "name");
        var theirs = await server.Get($"/api/bills/{Fair}?for={Uri.EscapeDataString(who)}");
        AddsUp(theirs);
        Assert.Equal(Rows(first, "orders").Where(row => Said(row, "name") == who).Sum(row => Amount(row, "revenue")), Amount(theirs.GetProperty("totals"), "revenue"));
        Assert.Empty(Rows(theirs, "shared"));
        Assert.Equal(JsonValueKind.Null, theirs.GetProperty("entered").ValueKind);
        var nobody = await server.Get($"/api/bills/{Fair}?for=Nobody%20at%20all");
        Assert.Equal("Thursday 26 November for Nobody at all: nothing is ordered.", Said(nobody, "sentence"));
        Assert.Equal("Saturday 12 December: nothing is ordered.", Said(await server.Get("/api/bills/2026-12-12"), "sentence"));
    }

    [Fact]
    public async Task Pies_baked_beyond_what_is_ordered_are_said_to_be_sold_only_if_they_are()
    {
        var without = (await server.Get($"/api/bills/{Fair}")).GetProperty("totals").GetProperty("pies").GetInt32();
        Assert.Equal(204, (await server.Send(HttpMethod.Put, "/api/margins/pear", new { percent = 10, before = 0 })).Status);
        var bill = await server.Get($"/api/bills/{Fair}");
        var beyond = bill.GetProperty("totals").GetProperty("pies").GetInt32() - without;
        Assert.InRange(beyond, 1, 10);
        Assert.Contains(bill.GetProperty("notes").EnumerateArray(), note => note.GetString()!.StartsWith($"Thursday 26 November: {beyond} pie", StringComparison.Ordinal) && note.GetString()!.EndsWith("were sold.", StringComparison.Ordinal));
        AddsUp(bill);
    }

    [Fact]
    public async Task Hands_that_have_no_price_are_not_counted_and_that_is_said()
    {
        var with = await server.Get($"/api/bills/{Fair}");
        var description = await server.Get("/api/bakery/description");
        var draft = description.GetProperty("draft").Deserialize<JsonObject>()!;
        Assert.Equal(17.50m, (decimal)draft["handsHourPrice"]!);
        draft["handsHourPrice"] = null;
        draft["ovens"]![0]!["hourPrice"] = null;
        var (status, _) = await server.Send(HttpMethod.Put, "/api/bakery/description", draft, ("If-Match", $"\"{description.GetProperty("version").GetInt64()}\""));
        Assert.Equal(200, status);
        var without = await server.Get($"/api/bills/{Fair}");
        Assert.True(with.GetProperty("handsAreCounted").GetBoolean());
        Assert.False(without.GetProperty("handsAreCounted").GetBoolean());
        Assert.All(Rows(without, "products"), row => Assert.Equal(JsonValueKind.Null, row.GetProperty("hands").ValueKind));
        Assert.Contains("An hour of Hearth has no price: that heat is not in it.", without.GetProperty("notes").EnumerateArray().Select(note => note.GetString()));
        AddsUp(without);
        draft["handsHourPrice"] = -1;
        var (refused, said) = await server.Send(HttpMethod.Put, "/api/bakery/description", draft, ("If-Match", "\"2\""));
        Assert.Equal(400, refused);
        Assert.True(said.GetProperty("errors").TryGetProperty("handsHourPrice", out _));
    }

    [Fact]
    public async Task What_was_taken_stands_beside_what_was_planned_at_what_was_paid_for_it()
    {
        var plan = await server.Get($"/api/plan/{Fair}");
        Assert.Equal(204, (await server.Send(HttpMethod.Post, $"/api/plan/{Fair}/publish", new { fingerprint = Said(plan, "fingerprint"), given = Said(plan, "given") })).Status);
        Assert.Equal(JsonValueKind.Null, (await server.Get($"/api/bills/{Fair}")).GetProperty("entered").ValueKind);
        var dough = Rows(await server.Get($"/api/batches/{Fair}"), "batches").First(batch => Said(batch, "about").StartsWith("Very rich flaky", StringComparison.Ordinal));
        Assert.Equal(200, (await server.Send(HttpMethod.Post, $"/api/batches/{Fair}/made", new { batch = Said(dough, "id"), amount = dough.GetProperty("amount").GetInt64(), evenIfUnknown = true })).Status);
        var entered = (await server.Get($"/api/bills/{Fair}")).GetProperty("entered");
        Assert.Equal(1, entered.GetProperty("batches").GetInt32());
        Assert.True(entered.GetProperty("of").GetInt32() > 3);
        Assert.True(Amount(entered, "planned") > 10);
        Assert.Equal(Amount(entered, "taken") - Amount(entered, "planned"), Amount(entered, "more"));
        Assert.InRange(Amount(entered, "taken") / Amount(entered, "planned"), 0.8m, 1.2m);
        Assert.Equal(0, Amount(entered, "thrownAway"));
        // What is thrown away on the day is told; it is Wednesday yet, so nothing of Thursday's.
        server.Pass(TimeSpan.FromHours(20));
        var lot = (await server.Get("/api/trace?text=HD%202207")).EnumerateArray().First();
        Assert.Equal(200, (await server.Send(HttpMethod.Post, $"/api/stock-lots/{Said(lot, "lot")}/changes", new { kind = "wasted", kilograms = 1, reason = "fell" }, ("Idempotency-Key", "fell"))).Status);
        Assert.True(Amount((await server.Get($"/api/bills/{Fair}")).GetProperty("entered"), "thrownAway") > 1);
    }

    [Fact]
    public async Task As_a_table_no_cell_begins_a_formula_and_the_last_row_is_the_sum()
    {
        var text = await server.Text($"/api/bills/{Fair}/bill.csv");
        var lines = text.Split('\n', StringSplitOptions.RemoveEmptyEntries);
        Assert.StartsWith("product,detail,pies,revenue", lines[0], StringComparison.Ordinal);
        Assert.StartsWith("Together,", lines[^1], StringComparison.Ordinal);
        Assert.Equal(lines[1..^1].Sum(line => decimal.Parse(line.Split(',')[4], System.Globalization.CultureInfo.InvariantCulture)), decimal.Parse(lines[^1].Split(',')[4], System.Globalization.CultureInfo.InvariantCulture));
    }

    [Theory]
    [InlineData("/api/bills/soon", "day")]
    [InlineData($"/api/bills/{Fair}?days=0", "days")]
    [InlineData($"/api/bills/{Fair}?days=8", "days")]
    [InlineData($"/api/bills/{Fair}/bill.csv?days=8", "days")]
    [InlineData("/api/costs/pear/23/run?count=0", "count")]
    [InlineData("/api/costs/pear/23/run?count=501", "count")]
    public async Task What_is_no_day_and_no_count_is_refused_by_its_field(string path, string field)
    {
        var (status, said) = await server.Send(HttpMethod.Get, path, null);
        Assert.Equal(400, status);
        Assert.True(said.GetProperty("errors").TryGetProperty(field, out _));
    }

    [Fact]
    public async Task A_run_by_itself_adds_up_and_says_from_when_on_it_pays()
    {
        var run = await server.Get("/api/costs/pear/23/run?count=5");
        Assert.Equal(run.GetProperty("total").GetDecimal(), new[] { "ingredients", "left", "hands", "heat" }.Sum(part => Amount(run, part)));
        Assert.StartsWith("5 pies made by themselves cost ", Said(run, "sentence"), StringComparison.Ordinal);
        var ladder = Rows(run, "ladder");
        Assert.True(Amount(ladder[0], "perPie") > Amount(ladder[^1], "perPie"));
        Assert.All(ladder, step => Assert.True(Amount(step, "perPie") > Amount(step, "ingredients")));
        Assert.Equal((await server.Get("/api/costs/pear/23")).GetProperty("cost").GetDecimal(), Amount(ladder[0], "ingredients"));
        Assert.Equal(3, Rows(run, "pays").Length);
        Assert.Equal(404, (await server.Send(HttpMethod.Get, "/api/costs/pear/99/run", null)).Status);
    }

    [Fact]
    public async Task Ways_stand_side_by_side_and_what_is_over_its_aim_says_how_it_comes_under_it()
    {
        var beside = await server.Get("/api/costs/pear/23/beside?count=12");
        var ways = Rows(beside, "ways");
        Assert.Equal("asItIs", Said(ways[0], "kind"));
        Assert.Equal(Amount(ways[0], "total"), new[] { "ingredients", "left", "hands", "heat" }.Sum(part => Amount(ways[0], part)));
        // As it is, it costs what a run by itself does.
        Assert.InRange(Amount(ways[0], "total") - (await server.Get("/api/costs/pear/23/run?count=12")).GetProperty("perPie").GetDecimal(), -0.011m, 0.011m);
        Assert.Subset(ways.Select(way => Said(way, "kind")).ToHashSet(), new HashSet<string> { "asItIs", "pan", "dough", "school" });
        Assert.All(ways.Where(way => Said(way, "kind") is "dough" or "school" && way.GetProperty("more").ValueKind == JsonValueKind.Number), way => Assert.Equal(Amount(way, "total") - Amount(ways[0], "total"), Amount(way, "more")));
        var costs = Rows(await server.Get("/api/costs"), "products");
        var (over, within) = (costs.First(row => row.GetProperty("isOverAim").GetBoolean()), costs.Last(row => row.GetProperty("sharePercent").ValueKind == JsonValueKind.Number));
        var dear = await server.Get($"/api/costs/{Said(over, "id")}/{Said(over, "pan")}/beside");
        var changes = Rows(dear, "changes");
        Assert.NotEmpty(changes);
        Assert.True(changes[0].GetProperty("reaches").GetBoolean());
        Assert.All(changes.Where(one => one.GetProperty("reaches").GetBoolean()), one => Assert.True(Amount(one, "sharePercent") <= dear.GetProperty("aimPercent").GetDecimal()));
        Assert.Contains("The cheapest change: ", Said(dear, "sentence"), StringComparison.Ordinal);
        var cheap = await server.Get($"/api/costs/{Said(within, "id")}/{Said(within, "pan")}/beside");
        if (!within.GetProperty("isOverAim").GetBoolean()) Assert.Empty(Rows(cheap, "changes"));
        Assert.Equal(400, (await server.Send(HttpMethod.Get, "/api/costs/pear/23/beside?count=0", null)).Status);
        Assert.Equal(400, (await server.Send(HttpMethod.Get, "/api/costs/pear/23/beside?channel=moon", null)).Status);
        Assert.Equal(404, (await server.Send(HttpMethod.Get, "/api/costs/pear/99/beside", null)).Status);
    }

    [Fact]
    public async Task An_earlier_version_is_laid_beside_the_one_that_is_made_now()
    {
        var written = await server.Get("/api/recipes/pear/written");
        var draft = written.GetProperty("draft").Deserialize<JsonObject>()!;
        draft["layers"]![0]!["lines"] = draft["layers"]![0]!["lines"]!.GetValue<string>() + "\n40 g butter, unsalted";
        Assert.Equal(200, (await server.Send(HttpMethod.Put, "/api/recipes/pear", draft, ("If-Match", $"\"{written.GetProperty("version").GetInt64()}\""))).Status);
        var ways = Rows(await server.Get("/api/costs/pear/23/beside"), "ways");
        var earlier = Assert.Single(ways, way => Said(way, "kind") == "version");
        Assert.Equal("version 1", Said(earlier, "name"));
        Assert.True(Amount(earlier, "ingredients") < Amount(ways[0], "ingredients"));
    }

    [Fact]
    public async Task While_a_price_is_missing_a_range_is_told_and_no_whole()
    {
        var unknown = (await server.Get("/api/ingredients")).GetProperty("ingredients").EnumerateArray()
            .First(one => one.GetProperty("density").ValueKind == JsonValueKind.Null && one.GetProperty("usedIn").GetInt32() > 0 && !one.GetProperty("isMadeHere").GetBoolean() && one.GetProperty("price").ValueKind != JsonValueKind.Null);
        await server.Send(HttpMethod.Post, "/api/prices", new { ingredient = Said(unknown, "id"), supplier = "A", pack = "6 x 1 l", paid = 12m, validFrom = (string?)null, isUsual = true });
        var row = Rows(await server.Get("/api/costs"), "products").First(product => product.GetProperty("missing").GetArrayLength() > 0);
        Assert.Equal(JsonValueKind.Null, row.GetProperty("cost").ValueKind);
        Assert.Matches(@"^\d+\.\d\d (to \d+\.\d\d|at least)$", Said(row, "between"));
        var one = await server.Get($"/api/costs/{Said(row, "id")}/{Said(row, "pan")}");
        Assert.Equal(Said(row, "between"), Said(one, "between"));
        Assert.Equal(JsonValueKind.Null, (await server.Get($"/api/costs/{Said(row, "id")}/{Said(row, "pan")}/run")).GetProperty("total").ValueKind);
    }

    [Fact]
    public async Task What_an_ingredient_does_to_all_products_is_what_it_does_to_each()
    {
        var rows = Rows(await server.Get("/api/costs/drivers"), "ingredients");
        var sums = rows.Select(row => Rows(row, "products").Sum(product => Amount(product, "more"))).ToArray();
        Assert.Equal(sums.OrderByDescending(sum => sum), sums);
        foreach (var product in Rows(await server.Get("/api/costs"), "products").Take(4))
        {
            var drivers = Rows(await server.Get($"/api/costs/{Said(product, "id")}/{Said(product, "pan")}"), "drivers").Where(one => one.GetProperty("more").ValueKind == JsonValueKind.Number).ToDictionary(one => Said(one, "ingredient"), one => (Amount(one, "more"), Amount(one, "foodCostPercentThen")));
            var told = rows.SelectMany(row => Rows(row, "products").Where(one => Said(one, "id") == Said(product, "id")).Select(one => (Id: Said(row, "id"), (Amount(one, "more"), Amount(one, "sharePercentThen"))))).ToDictionary(one => one.Id, one => one.Item2);
            Assert.Equal(drivers.OrderBy(one => one.Key), told.OrderBy(one => one.Key));
        }

        // Only what is within its aim now can cross it.
        var over = Rows(await server.Get("/api/costs"), "products").Where(row => row.GetProperty("isOverAim").GetBoolean()).Select(row => Said(row, "id")).ToHashSet();
        Assert.DoesNotContain(rows.SelectMany(row => Rows(row, "products")), one => one.GetProperty("crossesAim").GetBoolean() && over.Contains(Said(one, "id")));
    }

    [Fact]
    public async Task A_pie_is_reckoned_at_the_prices_of_any_day()
    {
        async Task<JsonElement> On(string day) => await server.Get($"/api/costs/pear/23?on={day}&since=2026-01-02");
        var today = await server.Get("/api/costs/pear/23?since=2026-01-02");
        Assert.Equal(string.Empty, Said(today, "onName"));
        foreach (var step in Rows(today, "steps")) Assert.Equal(Amount(step, "cost"), Amount(await On(Said(step, "day")), "cost"));
        // A price that is known already and holds next week.
        await server.Send(HttpMethod.Post, "/api/prices", new { ingredient = "pears", supplier = "Lower Orchard", pack = "10 kg", paid = 99m, validFrom = "2026-12-01", isUsual = false });
        var later = await On("2026-12-02");
        Assert.Equal("2 Dec 2026", Said(later, "onName"));
        Assert.Equal(400, (await server.Send(HttpMethod.Get, "/api/costs/pear/23?on=2029-01-01", null)).Status);
        Assert.Equal(400, (await server.Send(HttpMethod.Get, "/api/costs/pear/23?on=soon", null)).Status);
    }
}
