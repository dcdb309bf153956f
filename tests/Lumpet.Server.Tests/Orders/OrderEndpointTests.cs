using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Orders;

public sealed class OrderEndpointTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private static object Order(object? product = null, object? pan = null, object? count = null, object? pickUp = null, object? whom = null) =>
        new { product = product ?? "pear", pan = pan ?? "23", count = count ?? 4, pickUp = pickUp ?? "2026-11-26T09:00", @for = whom ?? "test" };

    private Task<JsonElement> Orders() => server.Get($"/api/orders/{TestServer.Fair}");

    [Fact]
    public async Task The_demo_has_62_pies_in_two_pick_ups()
    {
        var orders = await Orders();
        Assert.Equal(62, orders.GetProperty("pies").GetInt32());
        Assert.Equal(["07:30", "10:00"], orders.GetProperty("pickUps").EnumerateArray().Select(clock => clock.GetString()!));
        Assert.Equal(62, orders.GetProperty("totals").EnumerateArray().Sum(row => row.GetProperty("total").GetInt32()));
    }

    [Fact]
    public async Task A_typed_line_is_read_then_taken_then_changed_then_removed()
    {
        var line = new { line = "6 damson @ 26 9:00 ferry", day = TestServer.Fair };
        var (_, read) = await server.Send(HttpMethod.Post, "/api/orders/read", line);
        Assert.True(read.GetProperty("isComplete").GetBoolean());
        Assert.Equal(62, (await Orders()).GetProperty("pies").GetInt32());

        var (status, added) = await server.Send(HttpMethod.Post, "/api/orders/typed", line);
        Assert.Equal(201, status);
        Assert.Equal("2026-11-26T09:00", added.GetProperty("pickUp").GetString());
        Assert.Equal(68, (await Orders()).GetProperty("pies").GetInt32());

        var path = $"/api/orders/{added.GetProperty("id").GetString()}";
        var (changed, now) = await server.Send(HttpMethod.Put, path, Order(count: 5), ("If-Match", "\"1\""));
        Assert.Equal((200, 5, 2), (changed, now.GetProperty("count").GetInt32(), now.GetProperty("version").GetInt32()));
        Assert.Equal(412, (await server.Send(HttpMethod.Delete, path, null, ("If-Match", "\"1\""))).Status);
        Assert.Equal(428, (await server.Send(HttpMethod.Delete, path, null)).Status);
        Assert.Equal(204, (await server.Send(HttpMethod.Delete, path, null, ("If-Match", "\"2\""))).Status);
        Assert.Equal(404, (await server.Send(HttpMethod.Delete, path, null, ("If-Match", "\"2\""))).Status);
        Assert.Equal(62, (await Orders()).GetProperty("pies").GetInt32());
    }

    [Fact]
    public async Task A_double_click_adds_one_order()
    {
        (string, string) key = ("Idempotency-Key", "one-click");
        await Task.WhenAll(server.Send(HttpMethod.Post, "/api/orders", Order(), key), server.Send(HttpMethod.Post, "/api/orders", Order(), key));
        Assert.Equal(66, (await Orders()).GetProperty("pies").GetInt32());
    }

    public static TheoryData<string, string, object> Wrong => new()
    {
        { "zero", "count", Order(count: 0) },
        { "negative", "count", Order(count: -5) },
        { "a billion", "count", Order(count: 1_000_000_000) },
        { "more than a number holds", "count", Order(count: 1e30) },
        { "a fraction", "count", Order(count: 2.5) },
        { "a text for a number", "count", Order(count: "four") },
        { "no such product", "product", Order(product: "mango") },
        { "a pan that the product cannot use", "pan", Order(pan: "30") },
        { "a pick-up that has passed", "pickUp", Order(pickUp: "2026-11-25T08:59") },
        { "a pick-up in a hundred years", "pickUp", Order(pickUp: "2126-11-25T09:00") },
        { "no date", "pickUp", Order(pickUp: "tomorrow") },
        { "a 31st of February", "pickUp", Order(pickUp: "2027-02-31T09:00") },
        { "a name with a line break", "for", Order(whom: "a\nb") },
        { "a name without end", "for", Order(whom: new string('x', 81)) },
        { "nothing at all", "count", new { } },
        { "no JSON", "body", "{ not json" },
        { "an empty body", "body", "" },
        { "a list", "body", "[]" },
    };

    [Theory]
    [MemberData(nameof(Wrong))]
    public async Task What_is_wrong_is_refused_whole_and_the_field_named(string what, string field, object body)
    {
        var before = (await Orders()).GetRawText();
        foreach (var (method, path) in new[] { (HttpMethod.Post, "/api/orders"), (HttpMethod.Put, $"/api/orders/{FirstId(before)}") })
        {
            var (status, problem) = await server.Send(method, path, body, ("If-Match", "\"1\""));
            Assert.True(status == 400, $"{what}: {status}");
            Assert.Contains(field, problem.GetProperty("errors").EnumerateObject().Select(error => error.Name));
            Assert.False(string.IsNullOrWhiteSpace(problem.GetProperty("title").GetString()));
        }

        Assert.Equal(before, (await Orders()).GetRawText());
    }

    [Theory]
    [InlineData("/api/orders/monday")]
    [InlineData("/api/plan/2026-13-45")]
    [InlineData("/api/plan/0001-01-01")]
    [InlineData("/api/dough/x")]
    public async Task A_day_that_is_none_is_refused(string path) => Assert.Equal(400, (await server.Send(HttpMethod.Get, path, null)).Status);

    [Fact]
    public async Task An_address_that_is_none_is_a_problem_too()
    {
        var (status, problem) = await server.Send(HttpMethod.Get, "/api/nothing/here", null);
        Assert.Equal(404, status);
        Assert.Equal("There is nothing at this address.", problem.GetProperty("title").GetString());
    }

    private static string FirstId(string orders) =>
        JsonSerializer.Deserialize<JsonElement>(orders).GetProperty("orders")[0].GetProperty("id").GetString()!;
}
