using System.Text.Json;
using System.Text.Json.Nodes;
using Xunit;

namespace Lumpet.Server.Tests.Recipes;

public sealed class VersionEndpointTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private async Task<JsonObject> Draft(string id) => JsonNode.Parse((await server.Get($"/api/recipes/{id}/written")).GetProperty("draft").GetRawText())!.AsObject();

    private async Task<int> Save(string id, JsonObject draft, int version)
    {
        var (status, body) = await server.Send(HttpMethod.Put, $"/api/recipes/{id}", draft.ToJsonString(), ("If-Match", $"\"{version}\""));
        Assert.True(status == 200, body.GetRawText());
        return body.GetProperty("version").GetInt32();
    }

    [Fact]
    public async Task An_edit_makes_a_version_and_every_version_stays_as_it_was()
    {
        var draft = await Draft("gooseberry");
        var first = draft["layers"]![0]!["lines"]!.GetValue<string>();
        draft["layers"]![0]!["lines"] = first.Replace("1 cup Sugar, white", "1 1/4 cups Sugar, white", StringComparison.Ordinal);
        Assert.Equal(2, await Save("gooseberry", draft, 1));
        var versions = await server.Get("/api/recipes/gooseberry/versions");
        Assert.Equal([2, 1], versions.GetProperty("versions").EnumerateArray().Select(version => version.GetProperty("number").GetInt32()));
        Assert.Equal(first, (await server.Get("/api/recipes/gooseberry/versions/1")).GetProperty("draft").GetProperty("layers")[0].GetProperty("lines").GetString());

        var rows = (await server.Get("/api/recipes/compare?one=gooseberry:1&other=gooseberry:2")).GetProperty("lines").EnumerateArray().Where(row => !row.GetProperty("isSame").GetBoolean());
        var sugar = Assert.Single(rows);
        // A cup of sugar is 200 g (USDA, from memory); a quarter more is 25 %.
        Assert.Equal((200.0, 250.0, 25.0), (sugar.GetProperty("oneGrams").GetDouble(), sugar.GetProperty("otherGrams").GetDouble(), sugar.GetProperty("changePercent").GetDouble()));
    }

    [Fact]
    public async Task Going_back_makes_a_new_version_that_is_written_like_the_old_one()
    {
        var draft = await Draft("pear");
        draft["thicknessMm"] = 4;
        await Save("pear", draft, 1);
        Assert.Equal(428, (await server.Send(HttpMethod.Post, "/api/recipes/pear/versions/1/return", null)).Status);
        Assert.Equal(412, (await server.Send(HttpMethod.Post, "/api/recipes/pear/versions/1/return", null, ("If-Match", "\"1\""))).Status);
        var (status, back) = await server.Send(HttpMethod.Post, "/api/recipes/pear/versions/1/return", null, ("If-Match", "\"2\""));
        Assert.Equal((200, 3), (status, back.GetProperty("version").GetInt32()));
        Assert.Equal(3, (await Draft("pear"))["thicknessMm"]!.GetValue<double>());
        Assert.Empty((await server.Get("/api/recipes/compare?one=pear:1&other=pear:3")).GetProperty("differences").EnumerateArray());
        Assert.Contains("thickness mm", (await server.Get("/api/recipes/compare?one=pear:2&other=pear")).GetProperty("differences").EnumerateArray().Select(row => row.GetProperty("what").GetString()));
        Assert.Equal(404, (await server.Send(HttpMethod.Post, "/api/recipes/pear/versions/9/return", null, ("If-Match", "\"3\""))).Status);
    }

    [Fact]
    public async Task A_variation_is_a_product_of_its_own()
    {
        var (status, variation) = await server.Send(HttpMethod.Post, "/api/recipes/pear/variation", new { name = "Pear and cardamom" });
        Assert.Equal((201, "pear-and-cardamom", 1), (status, variation.GetProperty("id").GetString(), variation.GetProperty("version").GetInt32()));
        var scaled = (await server.Send(HttpMethod.Post, "/api/recipes/pear-and-cardamom/scale", new { pan = "26", count = 3 })).Body;
        var original = (await server.Send(HttpMethod.Post, "/api/recipes/pear/scale", new { pan = "26", count = 3 })).Body;
        Assert.Equal(original.GetProperty("fillingKilograms").GetDouble(), scaled.GetProperty("fillingKilograms").GetDouble());
        (status, var taken) = await server.Send(HttpMethod.Post, "/api/recipes/pear/variation", new { name = "Pear and ginger" });
        Assert.Equal(400, status);
        Assert.True(taken.GetProperty("errors").TryGetProperty("name", out _));
        Assert.Equal(404, (await server.Send(HttpMethod.Post, "/api/recipes/mango/variation", new { name = "Mango two" })).Status);
    }

    [Fact]
    public async Task A_dough_keeps_every_version_as_it_was_written()
    {
        var draft = JsonNode.Parse((await server.Get("/api/doughs")).EnumerateArray().Single(dough => dough.GetProperty("id").GetString() == "nut").GetProperty("draft").GetRawText())!.AsObject();
        var first = draft["lines"]!.GetValue<string>();
        draft["lines"] = "380 g flour\n120 g ground hazelnuts\n2 sticks butter, cold";
        var (status, saved) = await server.Send(HttpMethod.Put, "/api/doughs/nut", draft.ToJsonString(), ("If-Match", "\"1\""));
        Assert.True(status == 200, saved.GetRawText());
        // Two sticks of 4 oz on 380 g of flour: 59.7 %.
        Assert.Equal(59.7, saved.GetProperty("judged").GetProperty("findings")[0].GetProperty("percent").GetDouble());
        var versions = await server.Get("/api/doughs/nut/versions");
        Assert.Equal([2, 1], versions.EnumerateArray().Select(version => version.GetProperty("number").GetInt32()));
        Assert.Equal(first, versions[1].GetProperty("draft").GetProperty("lines").GetString());
        Assert.Equal(404, (await server.Send(HttpMethod.Get, "/api/doughs/strudel/versions", null)).Status);
    }

    [Fact]
    public async Task What_is_made_here_first_and_what_tops_a_pie_stand_on_the_sheets_of_the_day()
    {
        var scaled = (await server.Send(HttpMethod.Post, "/api/recipes/chocolate/scale", new { count = 8 })).Body;
        // 8 x 25 g of praline, of which 96 % are left of what goes in: 200 / 0.96 = 208.3 g.
        Assert.Equal(["Hazelnut praline", "Toasted hazelnuts"], scaled.GetProperty("made").EnumerateArray().Select(one => one.GetProperty("name").GetString()));
        var praline = scaled.GetProperty("made")[0];
        Assert.Equal(200, praline.GetProperty("grams").GetDouble());
        Assert.Equal(200 / 0.96, praline.GetProperty("lines").EnumerateArray().Sum(line => line.GetProperty("grams").GetDouble()), 1.0);
        Assert.Contains("nuts", scaled.GetProperty("allergens").EnumerateArray().Select(one => one.GetString()));

        await server.Send(HttpMethod.Post, "/api/orders/typed", new { line = "6 gooseberry @ 23 11:30 trial", day = TestServer.Fair });
        var filling = (await server.Get($"/api/fillings/{TestServer.Fair}")).GetProperty("fillings").EnumerateArray().Single(one => one.GetProperty("product").GetString() == "gooseberry");
        JsonElement First(string part) =>
            filling.GetProperty("layers").EnumerateArray().Single(one => one.GetProperty("part").GetString() == part).GetProperty("lines")[0];
        Assert.Equal(6 * 120, First("topping").GetProperty("grams").GetDouble());
        Assert.Equal("Egg white", First("finish").GetProperty("name").GetString());
    }

    [Fact]
    public async Task Two_recipes_are_compared_line_by_line()
    {
        var compared = await server.Get("/api/recipes/compare?one=pear&other=damson");
        Assert.Equal("Pear and ginger, version 1", compared.GetProperty("one").GetString());
        Assert.Contains(compared.GetProperty("lines").EnumerateArray(), row => row.GetProperty("what").GetString() == "Damsons, pitted" && row.GetProperty("oneGrams").ValueKind == JsonValueKind.Null);
        Assert.NotEmpty(compared.GetProperty("steps").EnumerateArray());
        Assert.Equal(400, (await server.Send(HttpMethod.Get, "/api/recipes/compare?one=pear&other=pear:77", null)).Status);
    }

    [Fact]
    public async Task A_density_of_the_bakerys_own_changes_what_is_read_next_and_no_version()
    {
        var (status, _) = await server.Send(
            HttpMethod.Put, "/api/ingredients/sugar", new { name = "Sugar, white", allergens = Array.Empty<string>(), gramsPerMl = 0.9, densitySource = "weighed here" }, ("If-Match", "\"1\""));
        Assert.Equal(204, status);
        var line = (await server.Send(HttpMethod.Post, "/api/writing/lines", new { text = "1 cup sugar" })).Body[0];
        Assert.Equal(236.5882 * 0.9, line.GetProperty("grams").GetDouble(), 0.06);
        Assert.Contains("weighed here", line.GetProperty("how").GetString(), StringComparison.Ordinal);
        var kept = (await server.Get("/api/recipes/compare?one=gooseberry:1&other=gooseberry")).GetProperty("lines").EnumerateArray().Single(row => row.GetProperty("what").GetString() == "Sugar, white" && row.GetProperty("part").GetString() == "filling");
        Assert.Equal(200, kept.GetProperty("oneGrams").GetDouble(), 0.1);
    }
}
