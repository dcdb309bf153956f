using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Ingredients;

public sealed class IngredientEndpointTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private async Task<JsonElement> Find(string id) =>
        (await server.Get("/api/ingredients")).GetProperty("ingredients").EnumerateArray().Single(one => one.GetProperty("id").GetString() == id);

    [Fact]
    public async Task Allergens_are_stated_or_not_and_a_price_is_added()
    {
        Assert.Equal(["milk"], (await Find("butter")).GetProperty("allergens").EnumerateArray().Select(one => one.GetString()));
        var price = new { supplier = "Gannet Farm", packAmount = 12.5, packUnit = "kg", paid = 101.25 };
        Assert.Equal(204, (await server.Send(HttpMethod.Put, "/api/ingredients/butter", new { name = "Butter", allergens = new[] { "milk", "nuts" }, price }, ("If-Match", "\"1\""))).Status);
        var butter = await Find("butter");
        Assert.Equal(["milk", "nuts"], butter.GetProperty("allergens").EnumerateArray().Select(one => one.GetString()));
        Assert.Equal("101.25 for 12.5 kg, Gannet Farm, since 25 Nov 2026", butter.GetProperty("price").GetString());

        Assert.Equal(204, (await server.Send(HttpMethod.Put, "/api/ingredients/butter", new { name = "Butter" }, ("If-Match", "\"2\""))).Status);
        Assert.Equal(JsonValueKind.Null, (await Find("butter")).GetProperty("allergens").ValueKind);
        Assert.Equal("101.25 for 12.5 kg, Gannet Farm, since 25 Nov 2026", (await Find("butter")).GetProperty("price").GetString());
    }

    [Fact]
    public async Task A_figure_that_ships_can_be_cleared_and_comes_back_when_nothing_is_said()
    {
        async Task<JsonElement> Put(object ingredient, string version)
        {
            Assert.Equal(204, (await server.Send(HttpMethod.Put, "/api/ingredients/vanilla-extract", ingredient, ("If-Match", version))).Status);
            return (await server.Send(HttpMethod.Post, "/api/recipes/chocolate/scale", new { count = 1 })).Body;
        }

        static bool HasAlcohol(JsonElement recipe) => recipe.GetProperty("facts").GetProperty("cautions").EnumerateArray().Any(said => said.GetString()!.Contains("alcohol", StringComparison.Ordinal));

        Assert.Equal(35, (await Find("vanilla-extract")).GetProperty("alcoholPercent").GetDouble());
        var cleared = await Put(new { name = "Vanilla extract", allergens = Array.Empty<string>(), alcoholPercent = 0, unsafeRaw = true }, "\"1\"");
        Assert.False(HasAlcohol(cleared));
        Assert.True((await Find("vanilla-extract")).GetProperty("unsafeRaw").GetBoolean());
        Assert.Equal(0, (await Find("vanilla-extract")).GetProperty("alcoholPercent").GetDouble());

        var again = await Put(new { name = "Vanilla extract", allergens = Array.Empty<string>() }, "\"2\"");
        Assert.True(HasAlcohol(again));
        Assert.False((await Find("vanilla-extract")).GetProperty("unsafeRaw").GetBoolean());
    }

    public static TheoryData<string, string, object> Wrong => new()
    {
        { "no name", "name", new { allergens = Array.Empty<string>() } },
        { "a name that another has", "name", new { name = "Salt, fine" } },
        { "no such allergen", "allergens", new { name = "Butter", allergens = new[] { "dust" } } },
        { "an allergen of null", "allergens", new { name = "Butter", allergens = new string?[] { null } } },
        { "a pack of nothing", "price.packAmount", new { name = "Butter", price = new { supplier = "x", packAmount = 0, packUnit = "kg", paid = 1 } } },
        { "a pack in cups", "price.packUnit", new { name = "Butter", price = new { supplier = "x", packAmount = 1, packUnit = "cup", paid = 1 } } },
        { "a price below nothing", "price.paid", new { name = "Butter", price = new { supplier = "x", packAmount = 1, packUnit = "kg", paid = -1 } } },
        { "no supplier", "price.supplier", new { name = "Butter", price = new { packAmount = 1, packUnit = "kg", paid = 1 } } },
    };

    [Theory]
    [MemberData(nameof(Wrong))]
    public async Task What_is_wrong_is_refused_whole(string what, string field, object body)
    {
        var before = (await Find("butter")).GetRawText();
        var (status, problem) = await server.Send(HttpMethod.Put, "/api/ingredients/butter", body, ("If-Match", "\"1\""));
        Assert.True(status == 400, what);
        Assert.True(problem.GetProperty("errors").TryGetProperty(field, out _), $"{what}: {problem.GetRawText()}");
        Assert.Equal(before, (await Find("butter")).GetRawText());
    }

    [Fact]
    public async Task What_is_not_there_is_said() =>
        Assert.Equal(404, (await server.Send(HttpMethod.Put, "/api/ingredients/gold", new { name = "Gold leaf" }, ("If-Match", "\"1\""))).Status);
}
