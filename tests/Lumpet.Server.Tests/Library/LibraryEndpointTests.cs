using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using CsvHelper;
using Xunit;

namespace Lumpet.Server.Tests.Library;

public sealed class LibraryEndpointTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private async Task<JsonElement> Take(string text, string address = "/api/library", int expected = 200)
    {
        var (status, body) = await server.Send(HttpMethod.Post, address, new { text });
        Assert.True(status == expected, body.GetRawText());
        return body;
    }

    [Fact]
    public async Task A_library_goes_into_another_bakery_and_comes_out_the_same()
    {
        var library = await server.Text("/api/library.json");
        Assert.Equal(0, (await Take(library)).GetProperty("changes").GetInt32());

        using var other = new TestServer { Demo = false };
        var (status, description) = await other.Send(HttpMethod.Get, "/api/bakery/description", null);
        var draft = JsonNode.Parse(description.GetProperty("draft").GetRawText())!;
        draft["name"] = "Elsewhere";
        draft["zone"] = "Europe/Lisbon";
        (status, _) = await other.Send(HttpMethod.Put, "/api/bakery/description", draft.ToJsonString(), ("If-Match", "\"0\""));
        Assert.Equal(200, status);
        (status, var preview) = await other.Send(HttpMethod.Post, "/api/library/preview", new { text = library });
        Assert.True(status == 200, preview.GetRawText());
        Assert.Equal((15, 0), (preview.GetProperty("newRecipes").GetArrayLength(), (await other.Get("/api/recipes")).GetProperty("total").GetInt32()));
        (status, _) = await other.Send(HttpMethod.Post, "/api/library", new { text = library });
        Assert.Equal(200, status);
        Assert.Equal(15, (await other.Get("/api/recipes")).GetProperty("total").GetInt32());

        // Pans keep their order in each bakery; everything else is the same to the letter.
        string Of(string text, string part) => JsonNode.Parse(text)![part]!.ToJsonString();
        var back = await other.Text("/api/library.json");
        foreach (var part in (string[])["ingredients", "doughs", "products"]) Assert.Equal(Of(library, part), Of(back, part));
        var here = (await server.Send(HttpMethod.Post, "/api/recipes/apricot/scale", new { pan = "28-fluted", count = 9 })).Body;
        var there = (await other.Send(HttpMethod.Post, "/api/recipes/apricot/scale", new { pan = "28-fluted", count = 9 })).Body;
        Assert.Equal(here.GetProperty("layers").GetRawText(), there.GetProperty("layers").GetRawText());
    }

    [Fact]
    public async Task One_bad_row_refuses_the_whole_file_and_changes_nothing()
    {
        var library = JsonNode.Parse(await server.Text("/api/library.json"))!;
        library["products"]![0]!["written"]!["layers"]![0]!["lines"] = "1000 g Pears, firm";
        library["products"]![3]!["written"]!["sizes"] = new JsonArray();
        var problem = await Take(library.ToJsonString(), expected: 400);
        Assert.True(problem.GetProperty("errors").TryGetProperty("products[3].sizes", out _), problem.GetRawText());
        Assert.Equal(1, (await server.Get("/api/recipes/pear/versions")).GetProperty("present").GetInt32());
    }

    [Fact]
    public async Task A_recipe_goes_out_as_json_ld_that_any_reader_understands()
    {
        using var document = JsonDocument.Parse(await server.Text("/api/recipes/passion/recipe.jsonld"));
        Assert.Equal("Recipe", document.RootElement.GetProperty("@type").GetString());
        Assert.Contains("930 g Passion-fruit curd", document.RootElement.GetProperty("recipeIngredient").EnumerateArray().Select(line => line.GetString()));
        Assert.Equal(0, (await Take(document.RootElement.GetRawText(), "/api/library/preview")).GetProperty("changes").GetInt32());
        Assert.Equal(404, (await server.Send(HttpMethod.Get, "/api/recipes/mango/recipe.jsonld", null)).Status);
    }

    [Fact]
    public async Task Ingredients_go_out_as_a_table_and_come_back_changed()
    {
        var text = await server.Text("/api/ingredients.csv");
        // Read with CsvHelper, an independent reader of RFC 4180.
        using var csv = new CsvReader(new StringReader(text), CultureInfo.InvariantCulture);
        csv.Read();
        csv.ReadHeader();
        var rows = new List<string>();
        while (csv.Read()) rows.Add(csv.GetField("id")!);
        Assert.True(rows.Count >= 80);
        Assert.Contains("flour", rows);
        Assert.Equal(0, (await Take(text, "/api/library/preview")).GetProperty("changes").GetInt32());

        const string Own = "id,name,allergens,grams_per_ml,density_source,pieces,yields\nflour,\"Flour, plain\",wheat,0.6,weighed here,tin = 900 | our tin,\nsalsify,Salsify,?,,,,\"pared = 72 | weighed here\"\n";
        var preview = await Take(Own);
        Assert.Equal(("Salsify", "Flour, plain"), (preview.GetProperty("newIngredients")[0].GetString(), preview.GetProperty("restatedIngredients")[0].GetString()));
        var flour = (await server.Get("/api/ingredients")).GetProperty("ingredients").EnumerateArray().Single(one => one.GetProperty("id").GetString() == "flour");
        Assert.Equal((0.6, "weighed here", true), (flour.GetProperty("density").GetProperty("gramsPerMl").GetDouble(), flour.GetProperty("density").GetProperty("source").GetString(), flour.GetProperty("density").GetProperty("isOwn").GetBoolean()));
        var salsify = (await server.Get("/api/ingredients")).GetProperty("ingredients").EnumerateArray().Single(one => one.GetProperty("id").GetString() == "salsify");
        Assert.Equal(JsonValueKind.Null, salsify.GetProperty("allergens").ValueKind);
        Assert.Equal(72, salsify.GetProperty("yields")[0].GetProperty("percent").GetDouble());
    }

    [Theory]
    [InlineData("", "text")]
    [InlineData("a table of nothing", "text")]
    [InlineData("id,name\n", "text")]
    [InlineData("id,name,grams_per_ml\nx,Xylan,many\n", "rows[1].grams_per_ml")]
    [InlineData("id,name,pieces\nx,Xylan,heavy\n", "rows[1].pieces")]
    [InlineData("id,name,grams_per_ml\nx,Xylan,-4\n", "ingredients[0].gramsPerMl")]
    [InlineData("id,name,allergens\nx,Xylan,dust\n", "ingredients[0].allergens")]
    [InlineData("id,name\nx,<b>Xylan</b>\n", "ingredients[0].name")]
    [InlineData("id,name\nx,Butter\n", "ingredients[0].name")]
    public async Task A_bad_table_names_its_row(string text, string field)
    {
        // The last row names an ingredient that the bakery has under another id.
        text = text.Replace("x,Butter\n", "x,\"Butter, unsalted\"\n", StringComparison.Ordinal);
        var problem = await Take(text, "/api/library/preview", 400);
        Assert.True(problem.GetProperty("errors").TryGetProperty(field, out _), problem.GetRawText());
    }

    [Fact]
    public async Task A_million_lines_are_refused_with_the_reason()
    {
        var lines = string.Concat(Enumerable.Repeat("a,b\n", 1_000_000));
        var problem = await Take("id,name\n" + lines, "/api/library/preview", 400);
        Assert.Equal("At most 5000 rows are taken at once.", problem.GetProperty("errors").GetProperty("text")[0].GetString());
        problem = await Take("[" + string.Join(',', Enumerable.Repeat("{\"@type\":\"Recipe\"}", 2500)) + "]", "/api/library/preview", 400);
        Assert.Equal("At most 2000 recipes are taken at once.", problem.GetProperty("errors").GetProperty("text")[0].GetString());
        var (status, _) = await server.Send(HttpMethod.Post, "/api/library/preview", new { text = new string('x', 25_000_000) });
        Assert.Equal(413, status);
    }

    [Fact]
    public async Task Two_people_who_take_in_and_change_the_same_recipe_do_not_lose_each_others_work()
    {
        var library = JsonNode.Parse(await server.Text("/api/library.json"))!;
        library["products"]![0]!["written"]!["thicknessMm"] = 3.5;
        // While the file lies there, someone saves the recipe: taken in now it makes the version after theirs.
        var draft = JsonNode.Parse((await server.Get("/api/recipes/pear/written")).GetProperty("draft").GetRawText())!;
        draft["thicknessMm"] = 4;
        await server.Send(HttpMethod.Put, "/api/recipes/pear", draft.ToJsonString(), ("If-Match", "\"1\""));
        Assert.Equal("Pear and ginger, version 3", (await Take(library.ToJsonString())).GetProperty("changedRecipes")[0].GetString());
        Assert.Equal(3, (await server.Get("/api/recipes/pear/versions")).GetProperty("versions").GetArrayLength());
        Assert.Equal(4, (await server.Get("/api/recipes/pear/versions/2")).GetProperty("draft").GetProperty("thicknessMm").GetDouble());
    }
}
