using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Buying;

/// <summary>Buying over HTTP; the clock stands at Wednesday 25 November 2026, 09:00, and the fair is on Thursday.</summary>
public sealed class BuyingTests : IDisposable
{
    private const string Fair = "2026-11-26";

    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private Task<JsonElement> Buying(string day = Fair) => server.Get($"/api/buying/{day}");

    private static string Said(JsonElement of, string name) => of.GetProperty(name).GetString()!;

    private static string[] Lines(JsonElement buying) =>
    [
        .. buying.GetProperty("orders").EnumerateArray().SelectMany(order => order.GetProperty("lines").EnumerateArray()
            .Select(line => $"{Said(order, "supplier")}: {line.GetProperty("packs").GetInt32()} x {Said(line, "pack")} {Said(line, "name")}")).Order(),
    ];

    private static JsonElement At(JsonElement buying, string supplier) => buying.GetProperty("orders").EnumerateArray().Single(order => Said(order, "supplier") == supplier);

    private static object Purchase(JsonElement order) => new
    {
        supplier = Said(order, "supplier"),
        delivery = order.GetProperty("delivery").GetString(),
        lines = order.GetProperty("lines").EnumerateArray().Select(line => new { ingredient = Said(line, "ingredient"), packUnits = line.GetProperty("packUnits").GetInt64(), packs = line.GetProperty("packs").GetInt32() }).ToArray(),
    };

    [Fact]
    public async Task What_is_missing_is_bought_in_whole_packs_ordered_once_and_put_on_the_shelves()
    {
        var buying = await Buying();
        Assert.Equal(["Gannet Farm: 1 x 10.00 kg Egg, whole", "Headland Dairy: 1 x 5.00 kg Cream, heavy", "Lower Orchard: 1 x 10.00 kg Damsons"], Lines(buying));
        Assert.Equal(buying.GetProperty("orders").EnumerateArray().Sum(order => order.GetProperty("total").GetDecimal()), buying.GetProperty("total").GetDecimal());
        Assert.All(buying.GetProperty("orders").EnumerateArray(), order => Assert.Equal(order.GetProperty("lines").EnumerateArray().Sum(line => line.GetProperty("cost").GetDecimal()), order.GetProperty("total").GetDecimal()));
        var dairy = At(buying, "Headland Dairy");
        Assert.Equal(11.00m, dairy.GetProperty("belowBy").GetDecimal());
        Assert.Equal("3.65 kg", Said(At(buying, "Lower Orchard").GetProperty("lines")[0], "missing"));
        Assert.Equal("6.35 kg", Said(At(buying, "Lower Orchard").GetProperty("lines")[0], "leftOver"));

        var order = Purchase(dairy);
        var placed = await Task.WhenAll(Enumerable.Range(0, 4).Select(_ => server.Send(HttpMethod.Post, "/api/purchases", order, ("Idempotency-Key", "dairy"))));
        Assert.All(placed, one => Assert.Equal(201, one.Status));
        Assert.Single(placed.Select(one => Said(one.Body, "id")).Distinct());
        var after = await Buying();
        var purchase = Assert.Single(after.GetProperty("placed").EnumerateArray());
        // It comes on Thursday morning, too late for the fair's custards: that is said, and it is not bought twice.
        Assert.False(dairy.GetProperty("isInTime").GetBoolean());
        Assert.StartsWith("Cream, heavy is needed Wed 25 Nov ", Assert.Single(purchase.GetProperty("tooLateFor").EnumerateArray()).GetString(), StringComparison.Ordinal);
        Assert.DoesNotContain(Lines(after), line => line.Contains("Cream", StringComparison.Ordinal));

        object Received(object packs, string? useBy = "2026-12-05") => new { lines = new[] { new { ingredient = "cream", packUnits = 5_000_000, packs, code = "HD 4000", useBy, place = "cold", shelf = "Walk-in, right" } } };
        var path = $"/api/purchases/{Said(purchase, "id")}/received";
        Assert.Equal(400, (await server.Send(HttpMethod.Post, path, new { lines = Array.Empty<object>() })).Status);
        var (status, body) = await server.Send(HttpMethod.Post, path, Received(-1, "soon"));
        Assert.Equal(400, status);
        Assert.Equal(["lines[0].packs", "lines[0].useBy"], body.GetProperty("errors").EnumerateObject().Select(error => error.Name).Order());
        var came = await Task.WhenAll(Enumerable.Range(0, 3).Select(_ => server.Send(HttpMethod.Post, path, Received(1))));
        Assert.Equal([204, 404, 404], came.Select(one => one.Status).Order());
        var lots = (await server.Get($"/api/trace?text=hd%204000")).EnumerateArray().ToArray();
        Assert.Equal("5.00 kg", Said(await server.Get($"/api/stock-lots/{Said(Assert.Single(lots), "lot")}"), "left"));
        var now = await Buying();
        Assert.Empty(now.GetProperty("placed").EnumerateArray());
        Assert.DoesNotContain(Lines(now), line => line.Contains("Cream", StringComparison.Ordinal));
    }

    [Fact]
    public async Task An_order_that_is_taken_back_is_missing_again()
    {
        var order = At(await Buying(), "Lower Orchard");
        var (_, placed) = await server.Send(HttpMethod.Post, "/api/purchases", Purchase(order));
        Assert.DoesNotContain(Lines(await Buying()), line => line.Contains("Damsons", StringComparison.Ordinal));
        Assert.Equal(204, (await server.Send(HttpMethod.Post, $"/api/purchases/{Said(placed, "id")}/taken-back", null)).Status);
        Assert.Equal(404, (await server.Send(HttpMethod.Post, $"/api/purchases/{Said(placed, "id")}/taken-back", null)).Status);
        Assert.Contains("Lower Orchard: 1 x 10.00 kg Damsons", Lines(await Buying()));
    }

    [Fact]
    public async Task Orders_that_do_not_hold_together_are_refused_whole()
    {
        object Order(object? supplier = null, string? delivery = "2026-11-28", object? lines = null) => new
        {
            supplier = supplier ?? "Lower Orchard",
            delivery,
            lines = lines ?? new[] { new { ingredient = "damson", packUnits = 10_000_000L, packs = 1 } },
        };
        foreach (var (body, field) in new[]
        {
            (Order("nobody"), "lines[0].ingredient"),
            (Order(delivery: "2026-11-24"), "delivery"),
            (Order(delivery: "soon"), "delivery"),
            (Order(lines: Array.Empty<object>()), "lines"),
            (Order(lines: new object?[] { null }), "lines"),
            (Order(lines: new[] { new { ingredient = "damson", packUnits = 1, packs = 1 } }), "lines[0].ingredient"),
            (Order(lines: new[] { new { ingredient = "damson", packUnits = 10_000_000L, packs = 0 } }), "lines[0].packs"),
            (Order(lines: new[] { new { ingredient = "damson", packUnits = 10_000_000L, packs = 1 }, new { ingredient = "damson", packUnits = 10_000_000L, packs = 2 } }), "lines[1].ingredient"),
        })
        {
            var (status, problem) = await server.Send(HttpMethod.Post, "/api/purchases", body);
            Assert.Equal(400, status);
            Assert.Equal([field], problem.GetProperty("errors").EnumerateObject().Select(error => error.Name));
        }

        Assert.Empty((await Buying()).GetProperty("placed").EnumerateArray());
    }

    [Fact]
    public async Task When_a_supplier_delivers_is_stated_once_by_two()
    {
        var before = At(await Buying(), "Lower Orchard");
        Assert.Equal(1, before.GetProperty("termsVersion").GetInt64());
        var sundays = new { minimum = 500, days = new[] { "sunday" }, leadDays = 1, until = "12:00" };
        Assert.Equal(204, (await server.Send(HttpMethod.Put, "/api/suppliers/lower%20orchard/terms", sundays, ("If-Match", "\"1\""))).Status);
        Assert.Equal(412, (await server.Send(HttpMethod.Put, "/api/suppliers/lower%20orchard/terms", sundays, ("If-Match", "\"1\""))).Status);
        Assert.Equal(400, (await server.Send(HttpMethod.Put, "/api/suppliers/nobody/terms", sundays, ("If-Match", "\"0\""))).Status);
        var order = At(await Buying(), "Lower Orchard");
        Assert.Equal(("2026-11-29", false, "Sat 28 Nov 12:00"), (Said(order, "delivery"), order.GetProperty("isInTime").GetBoolean(), Said(order, "orderUntil")));
        Assert.Equal(500 - order.GetProperty("total").GetDecimal(), order.GetProperty("belowBy").GetDecimal());
    }

    [Fact]
    public async Task The_list_is_a_table_whose_cells_begin_no_formula()
    {
        Assert.InRange((await server.Send(HttpMethod.Post, "/api/prices", new { ingredient = "damson", supplier = "=Orchard", pack = "4 kg", paid = 9.5, isUsual = true })).Status, 200, 299);
        var csv = await server.Text($"/api/buying/{Fair}/list.csv");
        var rows = csv.Split("\r\n", StringSplitOptions.RemoveEmptyEntries);
        Assert.Equal("supplier,delivery,item,packs,pack,cost,currency,missing,first_needed", rows[0]);
        Assert.Equal(3, rows.Length - 1);
        Assert.Contains(rows, row => row.StartsWith("'=Orchard,", StringComparison.Ordinal) && row.Contains(",Damsons,1,4 kg,9.5", StringComparison.Ordinal));
    }
}
