using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Prices;

public sealed class PriceTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private async Task<JsonElement> Butter() => (await server.Get("/api/prices")).GetProperty("ingredients").EnumerateArray().Single(one => one.GetProperty("id").GetString() == "butter");

    private async Task<decimal> InForce() => (await Butter()).GetProperty("inForce").GetProperty("perUnit").GetDecimal();

    private Task<(int Status, JsonElement Body)> Add(object price, string? key = null) => server.Send(HttpMethod.Post, "/api/prices", price, key is null ? [] : [("Idempotency-Key", key)]);

    private async Task<decimal> PearCost() => (await server.Get("/api/costs")).GetProperty("products").EnumerateArray().Single(row => row.GetProperty("id").GetString() == "pear").GetProperty("cost").GetDecimal();

    [Fact]
    public async Task A_price_is_added_once_however_often_it_is_sent_and_costs_follow_it()
    {
        var before = await PearCost();
        var rows = (await server.Get("/api/prices/butter")).GetProperty("rows").GetArrayLength();
        var price = new { ingredient = "butter", supplier = "Headland Dairy", pack = "case of 40 x 250 g", paid = 94.00m, validFrom = (string?)null, isUsual = true };
        for (var tap = 0; tap < 3; tap++) Assert.Equal(204, (await Add(price, "tap")).Status);
        var history = await server.Get("/api/prices/butter");
        Assert.Equal(rows + 1, history.GetProperty("rows").GetArrayLength());
        Assert.Equal(9.40m, await InForce());
        Assert.Equal("case of 40 x 250 g", history.GetProperty("rows")[0].GetProperty("pack").GetString());
        // 7.80 to 9.40 is 20.5 %.
        Assert.Equal(20.5m, history.GetProperty("steps").EnumerateArray().Last().GetProperty("changePercent").GetDecimal());
        Assert.True(await PearCost() > before);
        // A slip is corrected by another price for the same day; nothing that stood is gone.
        await Add(price with { paid = 78.00m });
        Assert.Equal((7.80m, before), (await InForce(), await PearCost()));
        Assert.Equal(rows + 2, (await server.Get("/api/prices/butter")).GetProperty("rows").GetArrayLength());
    }

    [Fact]
    public async Task Another_suppliers_price_moves_no_cost_until_it_is_bought_there()
    {
        var before = await PearCost();
        Assert.Equal(204, (await Add(new { ingredient = "butter", supplier = "beacon wholesale", pack = "10 kg", paid = 60m, validFrom = (string?)null, isUsual = false })).Status);
        Assert.Equal((7.80m, before), (await InForce(), await PearCost()));
        // However it is written, it is the supplier that was there.
        Assert.Equal("Beacon Wholesale", Assert.Single((await Butter()).GetProperty("others").EnumerateArray()).GetProperty("supplier").GetString());
        Assert.Equal(204, (await server.Send(HttpMethod.Post, "/api/prices/usual", new { ingredient = "butter", supplier = "BEACON WHOLESALE", validFrom = (string?)null })).Status);
        Assert.Equal(6.00m, await InForce());
        Assert.True(await PearCost() < before);
    }

    [Fact]
    public async Task A_price_that_holds_from_next_month_costs_nothing_today()
    {
        await Add(new { ingredient = "butter", supplier = "Headland Dairy", pack = "10 kg", paid = 99m, validFrom = "2026-12-24", isUsual = true });
        Assert.Equal(7.80m, await InForce());
    }

    [Theory]
    [InlineData("""{"ingredient":"moon","supplier":"A","pack":"1 kg","paid":1,"isUsual":true}""", "ingredient")]
    [InlineData("""{"ingredient":"butter","supplier":" ","pack":"1 kg","paid":1,"isUsual":true}""", "supplier")]
    [InlineData("""{"ingredient":"butter","supplier":"A","pack":"a lot","paid":1,"isUsual":true}""", "pack")]
    [InlineData("""{"ingredient":"butter","supplier":"A","pack":"1 kg","paid":-1,"isUsual":true}""", "paid")]
    [InlineData("""{"ingredient":"butter","supplier":"A","pack":"1 kg","isUsual":true}""", "paid")]
    [InlineData("""{"ingredient":"butter","supplier":"A","pack":"1 kg","paid":1,"validFrom":"1890-01-01","isUsual":true}""", "validFrom")]
    public async Task What_cannot_be_a_price_is_refused_by_field(string body, string field)
    {
        var (status, answer) = await Add(JsonDocument.Parse(body).RootElement);
        Assert.Equal(400, status);
        Assert.Equal([field], answer.GetProperty("errors").EnumerateObject().Select(fault => fault.Name));
    }

    [Fact]
    public async Task A_supplier_that_never_asked_a_price_is_not_made_the_usual_one()
    {
        Assert.Equal(400, (await server.Send(HttpMethod.Post, "/api/prices/usual", new { ingredient = "butter", supplier = "Saltmarsh Mill", validFrom = (string?)null })).Status);
        Assert.Equal(404, (await server.Send(HttpMethod.Get, "/api/prices/moon", null)).Status);
    }

    [Fact]
    public async Task A_pack_by_volume_without_a_density_is_lacking_and_not_free()
    {
        var unknown = (await server.Get("/api/ingredients")).GetProperty("ingredients").EnumerateArray()
            .First(one => one.GetProperty("density").ValueKind == JsonValueKind.Null && one.GetProperty("usedIn").GetInt32() > 0 && !one.GetProperty("isMadeHere").GetBoolean() && one.GetProperty("price").ValueKind != JsonValueKind.Null);
        var id = unknown.GetProperty("id").GetString();
        await Add(new { ingredient = id, supplier = "A", pack = "6 x 1 l", paid = 12m, validFrom = (string?)null, isUsual = true });
        var row = (await server.Get("/api/prices")).GetProperty("ingredients").EnumerateArray().Single(one => one.GetProperty("id").GetString() == id);
        Assert.Contains("density", row.GetProperty("lacking").GetString(), StringComparison.Ordinal);
        Assert.Contains((await server.Get("/api/costs")).GetProperty("products").EnumerateArray(), product => product.GetProperty("cost").ValueKind == JsonValueKind.Null && product.GetProperty("missing").GetArrayLength() > 0);
    }

    [Fact]
    public async Task The_stand_in_service_says_that_it_makes_prices_up_and_the_same_twice()
    {
        var (_, read) = await server.Send(HttpMethod.Post, "/api/prices/feed", new { supplier = "lower orchard", keep = false });
        Assert.True(read.GetProperty("isMadeUp").GetBoolean());
        Assert.Equal(0, read.GetProperty("taken").GetInt32());
        var news = read.GetProperty("changes").EnumerateArray().Count(change => !change.GetProperty("isNoNews").GetBoolean());
        Assert.True(news > 0);
        Assert.Equal(news, (await server.Send(HttpMethod.Post, "/api/prices/feed", new { supplier = "Lower Orchard", keep = true })).Body.GetProperty("taken").GetInt32());
        Assert.Equal(0, (await server.Send(HttpMethod.Post, "/api/prices/feed", new { supplier = "Lower Orchard", keep = true })).Body.GetProperty("taken").GetInt32());
        Assert.Equal("feed", (await server.Get("/api/prices/pear")).GetProperty("rows")[0].GetProperty("origin").GetString());
        Assert.Equal(400, (await server.Send(HttpMethod.Post, "/api/prices/feed", new { supplier = "Nobody", keep = false })).Status);
    }

    [Fact]
    public async Task Of_every_product_in_every_pan_what_is_shown_adds_up_to_the_cent_and_the_page_agrees_with_the_recipe()
    {
        foreach (var row in (await server.Get("/api/costs")).GetProperty("products").EnumerateArray())
        {
            var first = await server.Get($"/api/costs/{row.GetProperty("id")}/{row.GetProperty("pan")}");
            foreach (var pan in first.GetProperty("pans").EnumerateArray())
            {
                var page = await server.Get($"/api/costs/{row.GetProperty("id")}/{pan.GetProperty("id")}?since=2026-01-01");
                var cost = page.GetProperty("cost").GetDecimal();
                Assert.Equal(cost, page.GetProperty("drivers").EnumerateArray().Sum(driver => driver.GetProperty("cost").GetDecimal()));
                var scaled = (await server.Send(HttpMethod.Post, $"/api/recipes/{row.GetProperty("id")}/scale", new { pan = pan.GetProperty("id").GetString(), count = 1 })).Body;
                Assert.Equal(scaled.GetProperty("cost").GetProperty("total").GetDecimal(), cost);
                var steps = page.GetProperty("steps").EnumerateArray().ToArray();
                if (steps.Length > 0) Assert.Equal(cost, steps[^1].GetProperty("cost").GetDecimal());
            }
        }
    }

    [Theory]
    [InlineData("/api/costs?since=soon")]
    [InlineData("/api/costs?since=2999-01-01")]
    [InlineData("/api/costs/pear/23?since=1066-10-14")]
    public async Task A_day_that_nobody_remembers_is_refused(string path) => Assert.Equal(400, (await server.Send(HttpMethod.Get, path, null)).Status);

    [Fact]
    public async Task What_goes_out_comes_in_again_and_is_no_news()
    {
        using var client = server.CreateClient();
        var text = await client.GetByteArrayAsync(new Uri("/api/prices/prices.csv", UriKind.Relative));
        var (status, read) = await server.Send(HttpMethod.Post, "/api/prices/list", new { supplier = "Headland Dairy", file = Convert.ToBase64String(text), columns = (object?)null, decimalSign = (string?)null, validFrom = (string?)null, articles = (object?)null, keep = false });
        Assert.True(status == 200, read.GetRawText());
        Assert.Empty(read.GetProperty("faults").EnumerateArray());
        Assert.Empty(read.GetProperty("unknown").EnumerateArray());
        Assert.True(read.GetProperty("changes").EnumerateArray().Single(change => change.GetProperty("ingredient").GetString() == "butter").GetProperty("isNoNews").GetBoolean());
    }
}
