using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Bakery;

/// <summary>A morning from nothing: the bakery described, a dough and a recipe written, orders taken, the day planned.</summary>
public sealed class EmptyBakeryTests : IDisposable
{
    private readonly TestServer server = new() { Demo = false };

    public void Dispose() => server.Dispose();

    private async Task<Dictionary<string, JsonElement>> Description()
    {
        var draft = (await server.Get("/api/bakery/description")).GetProperty("draft");
        return draft.EnumerateObject().ToDictionary(field => field.Name, field => field.Value.Clone());
    }

    private static Dictionary<string, object?> With(Dictionary<string, JsonElement> draft, params (string Name, object? Value)[] changes)
    {
        var changed = draft.ToDictionary(field => field.Key, field => (object?)field.Value);
        foreach (var (name, value) in changes) changed[name] = value;
        return changed;
    }

    private async Task SetUp()
    {
        var (status, body) = await server.Send(HttpMethod.Put, "/api/bakery/description", With(await Description(), ("name", "Quay")), ("If-Match", "\"0\""));
        Assert.True(status == 200, body.GetRawText());
    }

    private async Task<Dictionary<string, JsonElement>> Usual(int at) =>
        (await server.Get("/api/writing/usual")).GetProperty("products")[at].GetProperty("draft").EnumerateObject().ToDictionary(field => field.Name, field => field.Value.Clone());

    private async Task<Dictionary<string, object?>> Quince()
    {
        var dough = (await server.Get("/api/writing/usual")).GetProperty("doughs")[0];
        if ((await server.Get("/api/doughs")).GetArrayLength() == 0)
        {
            var (status, body) = await server.Send(HttpMethod.Post, "/api/doughs", dough);
            Assert.True(status == 201, body.GetRawText());
        }

        var id = (await server.Get("/api/doughs"))[0].GetProperty("id").GetString();
        return With(await Usual(0), ("name", "Quince"), ("dough", id), ("layers", new[] { new { fillingKind = "rawFruit", packedDensity = 0.62, lines = "900 g Medlars, soft\n150 g sugar" } }), ("referencePan", "23"), ("sizes", new[] { new { pan = "23", price = 19.5 } }));
    }

    [Fact]
    public async Task From_an_empty_database_to_a_plan()
    {
        Assert.False((await server.Get("/api/bakery")).GetProperty("isSetUp").GetBoolean());
        Assert.Equal(400, (await server.Send(HttpMethod.Post, "/api/recipes", new { name = "too early" })).Status);
        await SetUp();
        var (status, written) = await server.Send(HttpMethod.Post, "/api/recipes", await Quince());
        Assert.True(status == 201, written.GetRawText());
        Assert.Equal(("quince", 1), (written.GetProperty("id").GetString(), written.GetProperty("version").GetInt32()));

        (status, var order) = await server.Send(HttpMethod.Post, "/api/orders/typed", new { line = "20 quince @ 23 11:00 market", day = TestServer.Fair });
        Assert.True(status == 201, order.GetRawText());
        var plan = await server.Get($"/api/plan/{TestServer.Fair}");
        Assert.Equal(20, plan.GetProperty("pies").GetInt32());
        Assert.Empty(plan.GetProperty("troubles").EnumerateArray());

        // What is new carries no stated allergens, and that is said wherever allergens are.
        var scaled = (await server.Send(HttpMethod.Post, "/api/recipes/quince/scale", new { count = 1 })).Body;
        Assert.Contains("Medlars", scaled.GetProperty("notStated").EnumerateArray().Select(name => name.GetString()));
        Assert.False(scaled.GetProperty("cost").GetProperty("isComplete").GetBoolean());
    }

    [Fact]
    public async Task A_recipe_written_anew_is_the_next_version_and_meets_no_other()
    {
        await SetUp();
        var draft = await Quince();
        await server.Send(HttpMethod.Post, "/api/recipes", draft);
        Assert.Equal(428, (await server.Send(HttpMethod.Put, "/api/recipes/quince", draft)).Status);
        var (status, body) = await server.Send(HttpMethod.Put, "/api/recipes/quince", draft, ("If-Match", "\"1\""));
        Assert.Equal((200, 2), (status, body.GetProperty("version").GetInt32()));
        Assert.Equal(412, (await server.Send(HttpMethod.Put, "/api/recipes/quince", draft, ("If-Match", "\"1\""))).Status);
        Assert.Equal(404, (await server.Send(HttpMethod.Put, "/api/recipes/medlar", await Renamed(draft, "Medlar"), ("If-Match", "\"1\""))).Status);
        Assert.Equal(400, (await server.Send(HttpMethod.Post, "/api/recipes", draft)).Status);

        // A size that is ordered stays.
        await server.Send(HttpMethod.Post, "/api/orders/typed", new { line = "2 quince @ 23 11:00 market", day = TestServer.Fair });
        draft["sizes"] = Array.Empty<object>();
        (status, body) = await server.Send(HttpMethod.Put, "/api/recipes/quince", draft, ("If-Match", "\"2\""));
        Assert.Equal(400, status);
        Assert.Equal(2, (await server.Get("/api/recipes/quince/written")).GetProperty("version").GetInt32());
    }

    private static Task<Dictionary<string, object?>> Renamed(Dictionary<string, object?> draft, string name) => Task.FromResult(new Dictionary<string, object?>(draft) { ["name"] = name });

    [Fact]
    public async Task A_dough_written_anew_is_the_next_version()
    {
        await SetUp();
        await Quince();
        var dough = (await server.Get("/api/doughs"))[0];
        var (id, draft) = (dough.GetProperty("id").GetString(), dough.GetProperty("draft"));
        var (status, body) = await server.Send(HttpMethod.Put, $"/api/doughs/{id}", draft, ("If-Match", "\"1\""));
        Assert.Equal((200, 2), (status, body.GetProperty("version").GetInt32()));
        Assert.Equal(412, (await server.Send(HttpMethod.Put, $"/api/doughs/{id}", draft, ("If-Match", "\"1\""))).Status);
        Assert.Equal(404, (await server.Send(HttpMethod.Put, "/api/doughs/none", draft, ("If-Match", "\"1\""))).Status);
        Assert.Equal(400, (await server.Send(HttpMethod.Post, "/api/doughs", draft)).Status);
        Assert.Equal(400, (await server.Send(HttpMethod.Post, "/api/doughs", new { name = "Nothing in it" })).Status);
    }

    [Fact]
    public async Task The_description_keeps_its_version_and_the_pans_that_are_used()
    {
        await SetUp();
        await server.Send(HttpMethod.Post, "/api/recipes", await Quince());
        var draft = await Description();
        Assert.Equal(412, (await server.Send(HttpMethod.Put, "/api/bakery/description", draft, ("If-Match", "\"0\""))).Status);
        Assert.Equal(428, (await server.Send(HttpMethod.Put, "/api/bakery/description", draft)).Status);
        var (status, problem) = await server.Send(
            HttpMethod.Put,
            "/api/bakery/description",
            With(draft, ("pans", new[] { new { id = "26", name = "26 cm", topCm = 26, bottomCm = 22, depthCm = 4, rimCm = 1, perTray = 2 } })),
            ("If-Match", "\"1\""));
        Assert.Equal(400, status);
        Assert.Contains("23 cannot go", problem.GetProperty("errors").GetProperty("pans")[0].GetString(), StringComparison.Ordinal);
        (status, _) = await server.Send(HttpMethod.Put, "/api/bakery/description", With(draft, ("name", "Quay Two")), ("If-Match", "\"1\""));
        Assert.Equal(200, status);
        Assert.Equal("Quay Two", (await server.Get("/api/bakery")).GetProperty("name").GetString());
    }

    [Fact]
    public async Task When_the_zone_changes_the_time_on_the_wall_stays_what_was_promised()
    {
        await SetUp();
        await server.Send(HttpMethod.Post, "/api/recipes", await Quince());
        await server.Send(HttpMethod.Post, "/api/orders/typed", new { line = "4 quince @ 23 11:00 market", day = TestServer.Fair });
        Assert.Equal(200, (await server.Send(HttpMethod.Put, "/api/bakery/description", With(await Description(), ("zone", "America/New_York")), ("If-Match", "\"1\""))).Status);
        var plan = await server.Get($"/api/plan/{TestServer.Fair}");
        Assert.Equal("11:00", plan.GetProperty("waves")[0].GetProperty("pickUp").GetProperty("clock").GetString());
        Assert.Empty(plan.GetProperty("troubles").EnumerateArray());
    }

    [Fact]
    public async Task Typed_lines_are_understood_as_they_are_typed()
    {
        var (_, lines) = await server.Send(HttpMethod.Post, "/api/writing/lines", new { text = "450 g flour\n\n2 cups milk\n2 cups medlar paste" });
        Assert.Equal(("Flour, plain", 450.0, false), (lines[0].GetProperty("name").GetString(), lines[0].GetProperty("grams").GetDouble(), lines[0].GetProperty("isNew").GetBoolean()));
        Assert.Equal(JsonValueKind.Null, lines[1].GetProperty("fault").ValueKind);
        // A cup of milk is 244 g (USDA, from memory).
        Assert.Equal(488, lines[2].GetProperty("grams").GetDouble(), 0.1);
        Assert.Contains("244 g a US cup", lines[2].GetProperty("how").GetString(), StringComparison.Ordinal);
        Assert.Contains("is new here", lines[3].GetProperty("fault").GetString(), StringComparison.Ordinal);
    }
}
