using System.Globalization;
using Xunit;

namespace Lumpet.Server.Tests.DayPlan;

/// <summary>Eighty pies and a hundred of ten products for one day of the demo bakery: what is roasted and toasted first, and rings that are still full, hold up none of them.</summary>
public sealed class EightyPiesTests(TestServer server) : IClassFixture<TestServer>
{
    // A Saturday, on which no order of the demo repeats.
    private const string Day = "2026-12-12";
    private const string NextSaturday = "2026-12-19";

    [Fact]
    public Task All_of_them_are_boxed_in_time() => AreBoxedInTime(Day, 8);

    /// <summary>There are 18 rings for ten tarts of chocolate and ten of passion fruit: some are emptied before others are lined.</summary>
    [Fact]
    public Task A_hundred_are_too_in_fewer_rings_than_there_are_tarts() => AreBoxedInTime(NextSaturday, 10);

    private async Task AreBoxedInTime(string day, int ofEach)
    {
        var products = (await server.Get("/api/bakery")).GetProperty("products").EnumerateArray().Take(10).ToArray();
        Assert.Contains(products, product => product.GetProperty("id").GetString() == "hazelnut");
        var lines = products.Select((product, at) => string.Create(CultureInfo.InvariantCulture, $"{ofEach},{product.GetProperty("id").GetString()},{product.GetProperty("referencePan").GetString()},{day}T{(at % 2 == 0 ? "07:30" : "10:00")}"));
        Assert.Equal(200, (await server.Send(HttpMethod.Post, "/api/orders/import", new { text = string.Join('\n', lines.Prepend("count,product,pan,pick_up")), keep = true })).Status);
        var plan = await server.Get($"/api/plan/{day}");
        Assert.Equal(10 * ofEach, plan.GetProperty("pies").GetInt32());
        Assert.Equal([], plan.GetProperty("troubles").EnumerateArray().Select(trouble => trouble.GetProperty("text").GetString()));
        Assert.All(plan.GetProperty("waves").EnumerateArray(), wave => Assert.True(wave.GetProperty("isMet").GetBoolean(), wave.GetProperty("says").GetString()));
    }
}
