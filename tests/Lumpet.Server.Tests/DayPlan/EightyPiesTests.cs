using System.Globalization;
using Xunit;

namespace Lumpet.Server.Tests.DayPlan;

/// <summary>Eighty pies of ten products for one day of the demo bakery: what is roasted and toasted first holds up none of them.</summary>
public sealed class EightyPiesTests(TestServer server) : IClassFixture<TestServer>
{
    // A Saturday, on which no order of the demo repeats.
    private const string Day = "2026-12-12";

    [Fact]
    public async Task All_of_them_are_boxed_in_time()
    {
        var products = (await server.Get("/api/bakery")).GetProperty("products").EnumerateArray().Take(10).ToArray();
        Assert.Contains(products, product => product.GetProperty("id").GetString() == "hazelnut");
        var lines = products.Select((product, at) => string.Create(CultureInfo.InvariantCulture, $"8,{product.GetProperty("id").GetString()},{product.GetProperty("referencePan").GetString()},{Day}T{(at % 2 == 0 ? "07:30" : "10:00")}"));
        Assert.Equal(200, (await server.Send(HttpMethod.Post, "/api/orders/import", new { text = string.Join('\n', lines.Prepend("count,product,pan,pick_up")), keep = true })).Status);
        var plan = await server.Get($"/api/plan/{Day}");
        Assert.Equal(80, plan.GetProperty("pies").GetInt32());
        Assert.Equal([], plan.GetProperty("troubles").EnumerateArray().Select(trouble => trouble.GetProperty("text").GetString()));
        Assert.All(plan.GetProperty("waves").EnumerateArray(), wave => Assert.True(wave.GetProperty("isMet").GetBoolean(), wave.GetProperty("says").GetString()));
    }
}
