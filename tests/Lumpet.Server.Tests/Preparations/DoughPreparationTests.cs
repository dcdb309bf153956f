using System.Text.Json;
using System.Text.Json.Nodes;
using Lumpet.Core.DayPlan;
using Xunit;

namespace Lumpet.Server.Tests.Preparations;

/// <summary>A dough among everything else that is made before the pies.</summary>
public sealed class DoughPreparationTests : IDisposable
{
    private const string Day = "2026-12-12";

    private readonly TestServer server = new() { Planning = (snapshot, effort, patience, progress) => DayPlanner.Plan(snapshot, effort, patience, progress) };

    public void Dispose() => server.Dispose();

    private static string Text(JsonElement of, string field) => of.GetProperty(field).GetString()!;

    private async Task<(int Status, JsonElement Body)> Make(string name, string madeOf, string kind = "toasted", double? one = null, string method = "POST", string path = "/api/ingredients", string? version = null)
    {
        var (_, usual) = await server.Send(HttpMethod.Post, "/api/writing/making", new { kind });
        var draft = new JsonObject { ["name"] = name, ["allergens"] = new JsonArray(), ["madeOf"] = madeOf, ["making"] = JsonNode.Parse(usual.GetRawText()) };
        if (one is not null) draft["pieces"] = JsonNode.Parse($"[{{\"piece\":\"one\",\"grams\":{one}}}]");
        return version is null ? await server.Send(new HttpMethod(method), path, draft.ToJsonString()) : await server.Send(new HttpMethod(method), path, draft.ToJsonString(), ("If-Match", $"\"{version}\""));
    }

    private async Task<JsonNode> Written(string recipe) => JsonNode.Parse((await server.Get($"/api/recipes/{recipe}/written")).GetProperty("draft").GetRawText())!;

    private async Task<JsonNode> DoughDraft(string id) => JsonNode.Parse((await server.Get("/api/doughs")).EnumerateArray().Single(dough => Text(dough, "id") == id).GetProperty("draft").GetRawText())!;

    private Task<(int Status, JsonElement Body)> Dough(string id, JsonNode draft, int version = 1) => server.Send(HttpMethod.Put, $"/api/doughs/{id}", draft.ToJsonString(), ("If-Match", $"\"{version}\""));

    [Fact]
    public async Task A_dough_goes_into_a_preparation_and_that_into_a_pie_and_all_of_it_is_mixed_made_costed_and_declared()
    {
        Assert.Equal(201, (await Make("Crust crumbs", "1 kg nut-enriched dough")).Status);
        var pear = await Written("pear");
        pear["layers"]![0]!["lines"] = "1000 g Pears, firm, pared and cored\n100 g Crust crumbs";
        Assert.Equal(200, (await server.Send(HttpMethod.Put, "/api/recipes/pear", pear.ToJsonString(), ("If-Match", "\"1\""))).Status);
        Assert.Equal(201, (await server.Send(HttpMethod.Post, "/api/orders/typed", new { line = "10 pear @ 23 18:00", day = Day })).Status);
        var dough = (await server.Get($"/api/dough/{Day}")).GetProperty("batches").EnumerateArray().Single(batch => Text(batch, "name") == "Nut-enriched");
        // Ten pies take a kilogram of crumbs.
        var portion = dough.GetProperty("discs").EnumerateArray().Single();
        Assert.Equal(("Crust crumbs", 1000.0, string.Empty), (Text(portion, "label"), portion.GetProperty("grams").GetDouble(), Text(portion, "rolled")));
        Assert.Equal(0, portion.GetProperty("orders").EnumerateArray().Single().GetProperty("count").GetInt32());
        var plan = await server.Get($"/api/plan/{Day}");
        Assert.Empty(plan.GetProperty("troubles").EnumerateArray());
        Assert.Contains(plan.GetProperty("tasks").EnumerateArray(), task => Text(task, "id") == "nut/1/mix");
        var scaled = (await server.Send(HttpMethod.Post, "/api/recipes/pear/scale", new { count = 10 })).Body;
        Assert.Contains("nuts", scaled.GetProperty("allergens").EnumerateArray().Select(one => one.GetString()));
        Assert.True(scaled.GetProperty("cost").GetProperty("isComplete").GetBoolean());
    }

    [Fact]
    public async Task Nothing_is_made_of_itself_whichever_way_round()
    {
        var (status, _) = await Make("Crust crumbs", "1 kg nut-enriched dough");
        Assert.Equal(201, status);
        var nut = await DoughDraft("nut");
        nut["lines"] = "500 g flour\n300 g crust crumbs";
        (status, var problem) = await Dough("nut", nut);
        Assert.Equal(400, status);
        Assert.Contains("cannot use itself", problem.GetProperty("errors").GetProperty("lines")[0].GetString(), StringComparison.Ordinal);
        nut["lines"] = "500 g flour\n300 g nut-enriched dough";
        Assert.Equal(400, (await Dough("nut", nut)).Status);
        // The other way: a dough takes crumbs, and the crumbs would take that dough.
        var sweet = await DoughDraft("sweet");
        sweet["lines"] = "500 g flour\n300 g crust crumbs";
        Assert.Equal(200, (await Dough("sweet", sweet)).Status);
        (status, problem) = await Make("Crust crumbs", "1 kg sweet tart dough", method: "PUT", path: "/api/ingredients/crust-crumbs", version: "1");
        Assert.Equal(400, status);
        Assert.True(problem.GetProperty("errors").TryGetProperty("madeOf", out _), problem.GetRawText());
    }

    [Fact]
    public async Task What_something_is_made_of_stays_and_its_name_stands_for_one_thing()
    {
        Assert.Equal(201, (await Make("Crust crumbs", "1 kg raised crostata")).Status);
        var (status, refused) = await server.Send(HttpMethod.Delete, "/api/doughs/raised", null);
        Assert.Equal(400, status);
        Assert.Contains("Crust crumbs", refused.GetRawText(), StringComparison.Ordinal);
        Assert.Equal(400, (await server.Send(HttpMethod.Post, "/api/doughs/raised/retired", new { retired = true })).Status);
        // An ingredient of a dough's name would hide it from every line; and the other way round.
        (status, refused) = await Make("Short crust 2-1", "1 kg flour");
        Assert.Equal(400, status);
        Assert.Contains("There is a dough", refused.GetProperty("errors").GetProperty("name")[0].GetString(), StringComparison.Ordinal);
        var folded = await DoughDraft("folded");
        folded["name"] = "Crust crumbs";
        (status, refused) = await Dough("folded", folded);
        Assert.Equal(400, status);
        Assert.Contains("There is an ingredient", refused.GetProperty("errors").GetProperty("name")[0].GetString(), StringComparison.Ordinal);
        // A dough is no ingredient to be stated, priced or taken out as one.
        Assert.DoesNotContain((await server.Get("/api/ingredients")).GetProperty("ingredients").EnumerateArray(), one => Text(one, "id").Contains(':', StringComparison.Ordinal));
        Assert.Equal(404, (await Make("Flaky", "1 kg flour", method: "PUT", path: "/api/ingredients/dough:flaky", version: "1")).Status);
        Assert.Equal(404, (await server.Send(HttpMethod.Delete, "/api/ingredients/dough:flaky", null)).Status);
        // One that nothing takes goes, and comes back under its name.
        Assert.Equal(201, (await server.Send(HttpMethod.Post, "/api/doughs", Named(folded, "Turned twice").ToJsonString())).Status);
        Assert.Equal(204, (await server.Send(HttpMethod.Delete, "/api/doughs/turned-twice", null)).Status);
        Assert.Equal(201, (await server.Send(HttpMethod.Post, "/api/doughs", Named(folded, "Turned twice").ToJsonString())).Status);
        Assert.Equal(201, (await Make("Thin crisps", "1 kg turned twice dough")).Status);
    }

    private static JsonNode Named(JsonNode draft, string name)
    {
        var named = draft.DeepClone();
        named["name"] = name;
        return named;
    }

    [Fact]
    public async Task Shells_of_ones_own_are_a_crust_without_any_dough_being_written()
    {
        Assert.Equal(201, (await Make("Oat shells", "1 kg short crust 2-1", "shells", one: 30)).Status);
        var shells = (await server.Get("/api/shells")).EnumerateArray().ToArray();
        Assert.Equal([("oat-shells", "Oat shells")], shells.Select(shell => (Text(shell, "id"), Text(shell, "name"))));
        var tartlet = await Written("tartlets");
        tartlet["name"] = "Oat tartlets";
        tartlet["aliases"] = null;
        tartlet["dough"] = "oat-shells";
        var (status, answer) = await server.Send(HttpMethod.Post, "/api/recipes", tartlet.ToJsonString());
        Assert.True(status == 201, answer.GetRawText());
        // It is a dough now by itself, and offered once.
        Assert.Empty((await server.Get("/api/shells")).EnumerateArray());
        Assert.Contains((await server.Get("/api/doughs")).EnumerateArray(), dough => Text(dough, "id") == "oat-shells");
        Assert.Equal(201, (await server.Send(HttpMethod.Post, "/api/orders/typed", new { line = "20 oat tartlets @ mini 18:00", day = Day })).Status);
        var plan = await server.Get($"/api/plan/{Day}");
        Assert.Empty(plan.GetProperty("troubles").EnumerateArray());
        var sheet = (await server.Get($"/api/fillings/{Day}")).GetProperty("batches").EnumerateArray().Single(batch => Text(batch, "name") == "Oat shells");
        Assert.Equal(20, sheet.GetProperty("pieces").GetInt32());
        Assert.Equal(20, sheet.GetProperty("uses").EnumerateArray().Sum(use => use.GetProperty("pieces").GetInt32()));
        var set = (await server.Get($"/api/dough/{Day}")).GetProperty("batches").EnumerateArray().Single(batch => Text(batch, "name") == "Oat shells");
        Assert.Equal("20 pieces", Text(set.GetProperty("lines")[0], "preparation"));
        // What is rolled is no shell, and what comes as shells is not rolled.
        tartlet["name"] = "Rolled";
        tartlet["lining"] = "onePiece";
        (status, answer) = await server.Send(HttpMethod.Post, "/api/recipes", tartlet.ToJsonString());
        Assert.Equal(400, status);
        Assert.True(answer.GetProperty("errors").TryGetProperty("lining", out _) && answer.GetProperty("errors").TryGetProperty("steps", out _), answer.GetRawText());
        // While it is a crust it stays a shell with a weight, whoever states it anew.
        var shell = (await server.Get("/api/ingredients")).GetProperty("ingredients").EnumerateArray().Single(one => Text(one, "id") == "oat-shells");
        var version = $"\"{shell.GetProperty("version")}\"";
        foreach (var spoil in new Action<JsonNode>[] { own => own["making"]!["kind"] = "toasted", own => (own["madeOf"], own["making"]) = (null, null) })
        {
            var own = JsonNode.Parse(shell.GetProperty("own").GetRawText())!;
            spoil(own);
            (status, answer) = await server.Send(HttpMethod.Put, "/api/ingredients/oat-shells", own.ToJsonString(), ("If-Match", version));
            Assert.True(status == 400 && answer.GetProperty("errors").GetProperty("pieces")[0].GetString()!.Contains("Oat tartlets", StringComparison.Ordinal), answer.GetRawText());
        }

        // Nor by writing anew what stands for it, or by a file.
        var called = (await server.Get("/api/doughs")).EnumerateArray().Single(dough => Text(dough, "id") == "oat-shells");
        var rolled = JsonNode.Parse(called.GetProperty("draft").GetRawText())!;
        rolled["lines"] = "500 g flour\n250 g butter";
        (status, answer) = await server.Send(HttpMethod.Put, "/api/doughs/oat-shells", rolled.ToJsonString(), ("If-Match", $"\"{called.GetProperty("version")}\""));
        Assert.True(status == 400 && answer.GetProperty("errors").GetProperty("lines")[0].GetString()!.Contains("Oat tartlets", StringComparison.Ordinal), answer.GetRawText());
        var library = JsonNode.Parse(await server.Text("/api/library.json"))!;
        library["ingredients"]!.AsArray().Single(one => (string?)one!["id"] == "oat-shells")!["stated"]!["making"]!["kind"] = "toasted";
        library["doughs"] = null;
        library["products"] = null;
        foreach (var path in new[] { "/api/library/preview", "/api/library" })
        {
            (status, answer) = await server.Send(HttpMethod.Post, path, new { text = library.ToJsonString() });
            Assert.True(status == 400 && answer.GetProperty("errors").GetProperty("ingredients")[0].GetString()!.Contains("Oat tartlets", StringComparison.Ordinal), answer.GetRawText());
        }

        Assert.Equal(200, (await server.Send(HttpMethod.Post, "/api/recipes/oat-tartlets/scale", new { count = 1 })).Status);
        // What a product is made of cannot go.
        Assert.Equal(400, (await server.Send(HttpMethod.Delete, "/api/ingredients/oat-shells", null)).Status);
    }

    [Fact]
    public async Task A_library_with_doughs_in_preparations_in_doughs_goes_elsewhere_and_comes_out_the_same()
    {
        Assert.Equal(201, (await Make("Aa crumbs", "1 kg nut-enriched dough")).Status);
        Assert.Equal(201, (await Make("Zz shells", "1 kg sweet tart dough", "shells", one: 30)).Status);
        Assert.Equal(201, (await Make("Bb mosaic", "10 Zz shells\n100 g aa crumbs")).Status);
        var sweet = await DoughDraft("sweet");
        sweet["lines"] = "500 g flour\n250 g butter\n100 g aa crumbs";
        Assert.Equal(200, (await Dough("sweet", sweet)).Status);
        var library = await server.Text("/api/library.json");
        using var other = new TestServer { Demo = false };
        var (_, description) = await other.Send(HttpMethod.Get, "/api/bakery/description", null);
        var draft = JsonNode.Parse(description.GetProperty("draft").GetRawText())!;
        draft["name"] = "Elsewhere";
        draft["zone"] = "Europe/Lisbon";
        Assert.Equal(200, (await other.Send(HttpMethod.Put, "/api/bakery/description", draft.ToJsonString(), ("If-Match", "\"0\""))).Status);
        var (status, taken) = await other.Send(HttpMethod.Post, "/api/library", new { text = library });
        Assert.True(status == 200, taken.GetRawText());
        var again = await other.Text("/api/library.json");
        foreach (var part in new[] { "ingredients", "doughs", "products" })
            Assert.Equal(JsonNode.Parse(library)![part]!.ToJsonString(), JsonNode.Parse(again)![part]!.ToJsonString());
        Assert.Equal(0, (await other.Send(HttpMethod.Post, "/api/library/preview", new { text = library })).Body.GetProperty("changes").GetInt32());
        // Two that change places are no circle on the way.
        var turned = JsonNode.Parse(library)!;
        foreach (var one in turned["ingredients"]!.AsArray())
            if (one!["id"]!.GetValue<string>() == "aa-crumbs") one["stated"]!["madeOf"] = "1 kg sweet tart dough";
        foreach (var one in turned["doughs"]!.AsArray())
            if (one!["id"]!.GetValue<string>() == "sweet") one["written"]!["lines"] = "500 g Flour, plain\n250 g Butter, unsalted";
        (status, taken) = await other.Send(HttpMethod.Post, "/api/library", new { text = turned.ToJsonString() });
        Assert.True(status == 200, taken.GetRawText());
        // A circle of two is refused whole.
        var circle = JsonNode.Parse(library)!;
        foreach (var one in circle["ingredients"]!.AsArray())
            if (one!["id"]!.GetValue<string>() == "aa-crumbs") one["stated"]!["madeOf"] = "1 kg sweet tart dough";
        (status, taken) = await other.Send(HttpMethod.Post, "/api/library", new { text = circle.ToJsonString() });
        Assert.Equal(400, status);
        Assert.True(taken.GetRawText().Contains("cannot use itself", StringComparison.Ordinal), taken.GetRawText());
    }
}
