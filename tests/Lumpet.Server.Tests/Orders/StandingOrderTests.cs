using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Orders;

/// <summary>Orders that repeat and days that are copied, over HTTP; the clock stands at Wednesday 25 November 2026, 09:00.</summary>
public sealed class StandingOrderTests : IDisposable
{
    // The Saturday after the fair has no orders.
    private const string Saturday = "2026-11-28";

    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private static object Draft(int count = 7, string? day = null, string? from = null, string? until = null) =>
        new { product = "chocolate", pan = "20-straight", count, days = new[] { day ?? "saturday" }, at = "09:15", @for = "kiosk", from, until };

    private static object Order(int count, string pickUp = $"{Saturday}T09:15") => new { product = "chocolate", pan = "20-straight", count, pickUp, @for = "kiosk" };

    private async Task<JsonElement> Add(object draft)
    {
        var (status, added) = await server.Send(HttpMethod.Post, "/api/standing-orders", draft);
        Assert.Equal(201, status);
        return added;
    }

    private async Task<int> Pies(string day = Saturday) => (await server.Get($"/api/orders/{day}")).GetProperty("pies").GetInt32();

    private async Task<int> Planned(string day = Saturday) => (await server.Get($"/api/plan/{day}?given=atOnce")).GetProperty("pies").GetInt32();

    private async Task<string[]> Days() => [.. (await server.Get("/api/bakery")).GetProperty("days").EnumerateArray().Select(day => day.GetProperty("day").GetString()!)];

    [Fact]
    public async Task It_is_among_the_orders_of_its_days_their_file_and_their_plan()
    {
        Assert.Equal(0, await Pies());
        Assert.DoesNotContain(Saturday, await Days());
        var added = await Add(Draft());
        Assert.Equal(("every Saturday", "2026-11-28", 7), (added.GetProperty("words").GetString(), added.GetProperty("nextDay").GetString(), added.GetProperty("piesAWeek").GetInt32()));
        var orders = await server.Get($"/api/orders/{Saturday}");
        var one = Assert.Single(orders.GetProperty("orders").EnumerateArray());
        Assert.Equal(("2026-11-28T09:15", "every Saturday"), (one.GetProperty("pickUp").GetString(), one.GetProperty("repeats").GetProperty("words").GetString()));
        Assert.Equal(7, orders.GetProperty("totals")[0].GetProperty("total").GetInt32());
        Assert.Contains("7,chocolate,20-straight,2026-11-28T09:15,kiosk,0", await server.Text($"/api/orders/{Saturday}/orders.csv"), StringComparison.Ordinal);
        Assert.Equal(7, await Planned());
        Assert.Contains(Saturday, await Days());
        Assert.Contains("2026-12-05", await Days());
        // The day before has it not, nor has one in a year's time that is no Saturday.
        Assert.Equal(77, await Pies("2026-11-27"));
        Assert.Equal(7, await Pies("2027-11-27"));
    }

    [Fact]
    public async Task One_day_of_it_is_changed_left_out_and_put_back_and_the_others_stay()
    {
        var id = (await Add(Draft())).GetProperty("id").GetString();
        var day = $"/api/standing-orders/{id}/days/{Saturday}";
        Assert.Equal(204, (await server.Send(HttpMethod.Delete, day, null)).Status);
        Assert.Equal(404, (await server.Send(HttpMethod.Delete, day, null)).Status);
        var left = await server.Get($"/api/orders/{Saturday}");
        Assert.Equal((0, 7), (left.GetProperty("pies").GetInt32(), left.GetProperty("leftOut")[0].GetProperty("count").GetInt32()));
        Assert.Equal(0, await Planned());
        Assert.Equal(204, (await server.Send(HttpMethod.Post, day, null)).Status);
        Assert.Equal(404, (await server.Send(HttpMethod.Post, day, null)).Status);
        Assert.Equal(7, await Pies());

        var (status, changed) = await server.Send(HttpMethod.Put, day, Order(9));
        Assert.Equal((200, 9), (status, changed.GetProperty("count").GetInt32()));
        Assert.Equal(JsonValueKind.Null, changed.GetProperty("repeats").ValueKind);
        Assert.Equal(404, (await server.Send(HttpMethod.Put, day, Order(10))).Status);
        Assert.Equal((9, 7), (await Pies(), await Pies("2026-12-05")));
        var standing = await server.Get("/api/standing-orders");
        var mine = standing.GetProperty("orders").EnumerateArray().First(one => one.GetProperty("id").GetString() == id);
        Assert.Equal(["Saturday 28 November"], mine.GetProperty("notOn").EnumerateArray().Select(words => words.GetString()!));
        Assert.Equal("2026-12-05", mine.GetProperty("nextDay").GetString());
        // A wrong change changes nothing.
        Assert.Equal(400, (await server.Send(HttpMethod.Put, $"/api/standing-orders/{id}/days/2026-12-05", Order(0, "2026-12-05T09:15"))).Status);
        Assert.Equal(7, await Pies("2026-12-05"));
    }

    [Fact]
    public async Task It_is_changed_and_ended_by_whoever_has_read_it_last()
    {
        var added = await Add(Draft());
        var path = $"/api/standing-orders/{added.GetProperty("id").GetString()}";
        var (status, changed) = await server.Send(HttpMethod.Put, path, Draft(count: 8, day: "sunday"), ("If-Match", "\"1\""));
        Assert.Equal((200, 2), (status, changed.GetProperty("version").GetInt32()));
        Assert.Equal((0, 8), (await Pies(), await Pies("2026-11-29") - 4));
        var (conflict, present) = await server.Send(HttpMethod.Put, path, Draft(count: 1), ("If-Match", "\"1\""));
        Assert.Equal((412, 8), (conflict, present.GetProperty("present").GetProperty("draft").GetProperty("count").GetInt32()));
        Assert.Equal(412, (await server.Send(HttpMethod.Delete, path, null, ("If-Match", "\"1\""))).Status);
        Assert.Equal(428, (await server.Send(HttpMethod.Delete, path, null)).Status);
        Assert.Equal(204, (await server.Send(HttpMethod.Delete, path, null, ("If-Match", "\"2\""))).Status);
        Assert.Equal(404, (await server.Send(HttpMethod.Delete, path, null, ("If-Match", "\"2\""))).Status);
        Assert.Equal(4, await Pies("2026-11-29"));
    }

    [Fact]
    public async Task What_may_be_late_is_planned_as_a_lot_of_its_own()
    {
        await Add(Draft());
        await Add(new { product = "chocolate", pan = "20-straight", count = 2, days = new[] { "saturday" }, at = "09:15", @for = "pier", mayBeLateMin = 45 });
        var plan = await server.Get($"/api/plan/{Saturday}?given=atOnce");
        string[] lots = [.. plan.GetProperty("tasks").EnumerateArray().Select(task => task.GetProperty("id").GetString()!).Where(id => id.StartsWith("chocolate/20-straight/", StringComparison.Ordinal))];
        Assert.Contains(lots, id => id.Contains("/45/", StringComparison.Ordinal));
        Assert.Contains(lots, id => !id.Contains("/45/", StringComparison.Ordinal));
    }

    [Fact]
    public async Task An_order_that_may_be_late_from_now_on_is_planned_anew()
    {
        var added = await Add(Draft());
        Assert.DoesNotContain("/45/", (await server.Get($"/api/plan/{Saturday}?given=settled")).GetRawText(), StringComparison.Ordinal);
        var late = new { product = "chocolate", pan = "20-straight", count = 7, days = new[] { "saturday" }, at = "09:15", @for = "kiosk", mayBeLateMin = 45 };
        Assert.Equal(200, (await server.Send(HttpMethod.Put, $"/api/standing-orders/{added.GetProperty("id").GetString()}", late, ("If-Match", "\"1\""))).Status);
        Assert.Contains("/45/", (await server.Get($"/api/plan/{Saturday}?given=settled")).GetRawText(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_double_click_adds_one()
    {
        (string, string) key = ("Idempotency-Key", "one-click");
        await Task.WhenAll(server.Send(HttpMethod.Post, "/api/standing-orders", Draft(), key), server.Send(HttpMethod.Post, "/api/standing-orders", Draft(), key));
        Assert.Equal(7, await Pies());
    }

    [Fact]
    public async Task Its_product_is_not_retired_nor_its_size_given_up_while_it_comes()
    {
        await Add(Draft());
        var (status, refused) = await server.Send(HttpMethod.Post, "/api/recipes/chocolate/retired", new { retired = true });
        Assert.Equal(400, status);
        Assert.Contains("an order that repeats, for kiosk", refused.GetRawText(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_pick_up_that_is_moved_on_a_day_moves_it_there_alone()
    {
        await Add(Draft());
        var (status, taken) = await server.Send(HttpMethod.Post, $"/api/plan/{Saturday}/take", new { moves = new[] { new { from = "09:15", to = "10:00" } } });
        Assert.Equal((200, 1), (status, taken.GetProperty("moved").GetInt32()));
        Assert.Equal(["10:00"], (await server.Get($"/api/orders/{Saturday}")).GetProperty("pickUps").EnumerateArray().Select(clock => clock.GetString()!));
        Assert.Equal(["09:15"], (await server.Get("/api/orders/2026-12-05")).GetProperty("pickUps").EnumerateArray().Select(clock => clock.GetString()!));
    }

    [Fact]
    public async Task A_day_is_copied_with_its_times_but_for_what_comes_anyway()
    {
        // The fair is a Thursday: what repeats on Thursdays alone is copied to a Saturday as well, what comes every day is not.
        await Add(Draft(day: "thursday"));
        var (_, everyDay) = await server.Send(HttpMethod.Post, "/api/standing-orders", new { product = "pear", pan = "23", count = 3, days = new[] { "thursday", "saturday" }, at = "09:15", @for = "" });
        Assert.Equal("Thu and Sat", everyDay.GetProperty("words").GetString());
        var path = $"/api/orders/{Saturday}/copy";
        var (status, read) = await server.Send(HttpMethod.Post, path, new { from = TestServer.Fair, keep = false });
        Assert.Equal((200, 69, 1, false), (status, read.GetProperty("pies").GetInt32(), read.GetProperty("repeating").GetInt32(), read.GetProperty("kept").GetBoolean()));
        Assert.Equal(3, await Pies());
        (string, string) key = ("Idempotency-Key", "one-click");
        await server.Send(HttpMethod.Post, path, new { from = TestServer.Fair, keep = true }, key);
        var (_, again) = await server.Send(HttpMethod.Post, path, new { from = TestServer.Fair, keep = true }, key);
        Assert.True(again.GetProperty("kept").GetBoolean());
        Assert.Equal(72, await Pies());
        Assert.Equal(["07:30", "09:15", "10:00"], (await server.Get($"/api/orders/{Saturday}")).GetProperty("pickUps").EnumerateArray().Select(clock => clock.GetString()!));
        // A day without orders is said to have none before anybody presses.
        var (_, none) = await server.Send(HttpMethod.Post, path, new { from = "2026-01-01", keep = false });
        Assert.Equal(0, none.GetProperty("orders").GetInt32());
    }
}
