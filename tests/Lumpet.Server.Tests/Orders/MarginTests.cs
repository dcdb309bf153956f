using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Orders;

/// <summary>What is baked beyond what is ordered, over HTTP.</summary>
public sealed class MarginTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private Task<(int Status, JsonElement Body)> Set(object percent, object? before, string product = "pear") => server.Send(HttpMethod.Put, $"/api/margins/{product}", new { percent, before });

    private Task<JsonElement> Orders() => server.Get($"/api/orders/{TestServer.Fair}");

    [Fact]
    public async Task A_tenth_more_pears_are_baked_and_none_are_ordered()
    {
        Assert.Equal(204, (await Set(10, 0)).Status);
        var orders = await Orders();
        // The fair has 24 pears of 23 cm and 4 of 26 cm: three and one more.
        Assert.Equal((62, 4), (orders.GetProperty("pies").GetInt32(), orders.GetProperty("beyond").GetInt32()));
        Assert.Equal(66, orders.GetProperty("totals").EnumerateArray().Sum(row => row.GetProperty("total").GetInt32()));
        Assert.Equal(66, (await server.Get($"/api/plan/{TestServer.Fair}?given=atOnce")).GetProperty("pies").GetInt32());
        Assert.DoesNotContain("margin", await server.Text($"/api/orders/{TestServer.Fair}/orders.csv"), StringComparison.Ordinal);
        Assert.Equal(10, (await server.Get("/api/margins")).EnumerateArray().First(one => one.GetProperty("product").GetString() == "pear").GetProperty("percent").GetInt32());
        Assert.Equal(204, (await Set(0, 10)).Status);
        Assert.Equal(0, (await Orders()).GetProperty("beyond").GetInt32());
    }

    [Fact]
    public async Task Whoever_has_read_another_margin_changes_nothing()
    {
        Assert.Equal(204, (await Set(10, 0)).Status);
        Assert.Equal(412, (await Set(20, 0)).Status);
        Assert.Equal(4, (await Orders()).GetProperty("beyond").GetInt32());
        Assert.Equal(404, (await Set(20, 0, "mango")).Status);
    }

    [Theory]
    [InlineData(-1)]
    [InlineData(51)]
    public async Task More_than_half_is_refused_at_its_field(int percent)
    {
        var (status, problem) = await Set(percent, 0);
        Assert.Equal(400, status);
        Assert.True(problem.GetProperty("errors").TryGetProperty("percent", out _));
        Assert.Equal(400, (await Set(10, null)).Status);
    }
}
