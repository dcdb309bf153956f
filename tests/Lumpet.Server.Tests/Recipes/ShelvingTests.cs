using Xunit;

namespace Lumpet.Server.Tests.Recipes;

public sealed class ShelvingTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task What_something_needs_is_neither_retired_nor_removed_and_says_what_needs_it()
    {
        foreach (var (path, needed) in new[] { ("recipes/pear", "order"), ("doughs/short", "Oat custard"), ("ingredients/flour", "Flaky") })
        {
            var (status, refused) = await server.Send(HttpMethod.Post, $"/api/{path}/retired", new { retired = true });
            Assert.Equal((path, 400), (path, status));
            Assert.Contains(needed, refused.GetProperty("errors").GetProperty("id")[0].GetString(), StringComparison.Ordinal);
            Assert.Equal(400, (await server.Send(HttpMethod.Delete, $"/api/{path}", null)).Status);
        }

        Assert.Equal(404, (await server.Send(HttpMethod.Delete, "/api/recipes/none", null)).Status);
    }

    [Fact]
    public async Task A_retired_recipe_is_offered_no_more_until_it_is_taken_back()
    {
        Assert.Equal(204, (await server.Send(HttpMethod.Post, "/api/recipes/minis/retired", new { retired = true })).Status);
        Assert.DoesNotContain("minis", await Offered());
        var (status, refused) = await server.Send(HttpMethod.Post, "/api/orders/typed", new { line = "12 minis @ mini 9:00", day = "2026-12-11" });
        Assert.Equal(400, status);
        Assert.NotEmpty(refused.GetProperty("errors").EnumerateObject());
        Assert.True((await server.Send(HttpMethod.Post, "/api/recipes/minis/scale", new { count = 1 })).Body.GetProperty("facts").GetProperty("isRetired").GetBoolean());

        Assert.Equal(204, (await server.Send(HttpMethod.Post, "/api/recipes/minis/retired", new { retired = false })).Status);
        Assert.Contains("minis", await Offered());
    }

    [Fact]
    public async Task A_removed_recipe_is_gone_and_its_dough_can_then_go_too()
    {
        using var own = new TestServer();
        Assert.Equal(204, (await own.Send(HttpMethod.Delete, "/api/recipes/slab", null)).Status);
        Assert.Equal(404, (await own.Send(HttpMethod.Post, "/api/recipes/slab/scale", new { count = 1 })).Status);
        var crostata = (await own.Get("/api/doughs")).EnumerateArray().Single(dough => dough.GetProperty("draft").GetProperty("name").GetString() == "Raised crostata");
        Assert.Equal(204, (await own.Send(HttpMethod.Delete, $"/api/doughs/{crostata.GetProperty("id").GetString()}", null)).Status);
        Assert.DoesNotContain((await own.Get("/api/doughs")).EnumerateArray(), dough => dough.GetProperty("id").GetString() == crostata.GetProperty("id").GetString());
    }

    private async Task<IEnumerable<string?>> Offered() =>
        (await server.Get("/api/bakery")).GetProperty("products").EnumerateArray().Select(product => product.GetProperty("id").GetString());
}
