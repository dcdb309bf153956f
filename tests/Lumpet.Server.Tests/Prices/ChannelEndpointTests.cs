using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Prices;

public sealed class ChannelEndpointTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private Task<(int Status, JsonElement Body)> State(long version, params object[] channels) => server.Send(HttpMethod.Put, "/api/channels", new { channels }, [("If-Match", $"\"{version}\"")]);

    private static object Counter(decimal aim = 25, decimal tax = 7) => new { name = "Counter", foodCostPercent = aim, taxPercent = tax, showsTax = true, feePercent = 0m, step = 0.5m, under = 0m };

    [Fact]
    public async Task What_is_stated_is_what_prices_are_made_by()
    {
        Assert.Equal(["Counter", "Wholesale", "Market stall"], (await server.Get("/api/channels")).GetProperty("channels").EnumerateArray().Select(one => one.GetProperty("name").GetString()));
        Assert.Equal(204, (await State(1, Counter())).Status);
        var page = await server.Get("/api/costs/pear/23?slices=8");
        var channel = Assert.Single(page.GetProperty("channels").EnumerateArray());
        var (cost, aimed) = (page.GetProperty("cost").GetDecimal(), channel.GetProperty("aimed"));
        // Cost over 25 % with 7 % tax, up to the next half.
        Assert.Equal(Math.Ceiling(cost / 0.25m * 1.07m / 0.5m) * 0.5m, aimed.GetProperty("shown").GetDecimal());
        Assert.Equal(aimed.GetProperty("shown").GetDecimal(), aimed.GetProperty("net").GetDecimal() + aimed.GetProperty("tax").GetDecimal());
        Assert.Equal(aimed.GetProperty("net").GetDecimal(), cost + aimed.GetProperty("fee").GetDecimal() + aimed.GetProperty("earned").GetDecimal());
        Assert.Equal(Math.Ceiling(cost / 8 / 0.25m * 1.07m / 0.5m) * 0.5m, channel.GetProperty("slice").GetProperty("shown").GetDecimal());
        Assert.Equal(page.GetProperty("sellingPrice").GetDecimal() - cost, channel.GetProperty("present").GetProperty("earned").GetDecimal());
        var costs = await server.Get("/api/costs");
        Assert.Equal(25m, costs.GetProperty("aimPercent").GetDecimal());
        Assert.All(costs.GetProperty("products").EnumerateArray(), row => Assert.Equal(row.GetProperty("sharePercent").GetDecimal() > 25, row.GetProperty("isOverAim").GetBoolean()));
        Assert.Equal(400, (await server.Send(HttpMethod.Get, "/api/costs/pear/23?slices=0", null)).Status);
    }

    [Fact]
    public async Task Of_two_people_who_state_them_the_second_is_told_and_nothing_is_lost()
    {
        Assert.Equal(204, (await State(1, Counter(25))).Status);
        Assert.Equal(412, (await State(1, Counter(28))).Status);
        Assert.Equal(25m, (await server.Get("/api/costs")).GetProperty("aimPercent").GetDecimal());
        Assert.Equal(400, (await State(2, Counter(0))).Status);
        Assert.Equal(400, (await State(2)).Status);
        Assert.Equal(25m, (await server.Get("/api/costs")).GetProperty("aimPercent").GetDecimal());
    }
}
