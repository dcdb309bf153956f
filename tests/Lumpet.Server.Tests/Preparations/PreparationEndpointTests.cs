using System.Text.Json;
using System.Text.Json.Nodes;
using Lumpet.Core;
using Lumpet.Core.Preparations;
using Xunit;

namespace Lumpet.Server.Tests.Preparations;

public sealed class PreparationEndpointTests : IDisposable
{
    // The day after the fair, for which the demo has orders of what holds things made here.
    private const string SecondDay = "2026-11-27";

    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private async Task<JsonElement[]> List(string query = "") => [.. (await server.Get($"/api/preparations{query}")).GetProperty("preparations").EnumerateArray()];

    private static string Text(JsonElement of, string field) => of.GetProperty(field).GetString()!;

    [Fact]
    public async Task What_is_made_here_says_who_takes_it_how_it_keeps_and_how_much_a_day_takes()
    {
        var all = await List($"?day={SecondDay}");
        string[] names = ["Almond paste", "Burnt-sugar sauce", "Hazelnut praline", "Passion-fruit curd", "Sweet potato puree", "Tartlet shells", "Toasted hazelnuts"];
        Assert.Equal(names, all.Select(one => Text(one, "name")).Take(names.Length));
        JsonElement Of(string name) => all.Single(one => Text(one, "name") == name);
        string[] TakenBy(string name) => [.. Of(name).GetProperty("takenBy").EnumerateArray().Select(taker => Text(taker, "name"))];
        Assert.Equal(["Hazelnut tart", "Hazelnut praline"], TakenBy("Toasted hazelnuts"));
        Assert.Equal(["Passion-fruit meringue", "Passion-fruit tartlets"], TakenBy("Passion-fruit curd"));
        // Doughs stand among them, but for what only stands for a shell or for what is bought.
        Assert.All(all.Skip(names.Length), dough => Assert.StartsWith("/doughs/", Text(dough, "place"), StringComparison.Ordinal));
        Assert.Equal(10, all.Length - names.Length);
        Assert.Equal(["Apricot frangipane", "Chocolate malt cream", "Cranberry and quince", "Tartlet shells"], TakenBy("Sweet tart dough"));
        Assert.Equal(["Passion-fruit tartlets"], TakenBy("Tartlet shells"));
        Assert.Equal("up to 96 pieces at once, 40 on a tray", Text(Of("Tartlet shells"), "batches"));
        Assert.Equal("2 to 12 kg at once in the mixer", Text(Of("Sweet tart dough"), "batches"));
        Assert.Equal("in the fridge for 3 days, at least 30 min; wanted 60 min before it is used; else in the freezer for 90 days, then 12 h in the fridge to thaw", Text(Of("Sweet tart dough"), "keeps"));
        // 48 shells of 24 g, a tenth of whose dough bakes away: 1280 g, beside five discs.
        Assert.Equal((48, 1152.0), (Of("Tartlet shells").GetProperty("dayPieces").GetInt32(), Of("Tartlet shells").GetProperty("dayGrams").GetDouble()));
        var dough = (await server.Get($"/api/dough/{SecondDay}")).GetProperty("batches").EnumerateArray().Single(batch => Text(batch, "name") == "Sweet tart dough");
        Assert.Equal(dough.GetProperty("inDiscs").GetDouble(), Of("Sweet tart dough").GetProperty("dayGrams").GetDouble(), 3.0);
        Assert.Contains(1280.0, dough.GetProperty("discs").EnumerateArray().Where(disc => Text(disc, "label") == "Tartlet shells").Select(disc => disc.GetProperty("grams").GetDouble()));
        // Ten foil pans of 360 g; six tarts of 280 g, and what the praline of five pies takes: 5 x 25 g / 0.96 x 200/420.4.
        Assert.Equal(3600, Of("Sweet potato puree").GetProperty("dayGrams").GetDouble(), 1.0);
        Assert.Equal((6 * 280) + (5 * 25 / 0.96 * 200 / 420.4), Of("Toasted hazelnuts").GetProperty("dayGrams").GetDouble(), 1.0);
        Assert.Equal("in the fridge for 3 days; wanted 8 h before it is used; else in the freezer for 180 days, then 12 h in the fridge to thaw; before use: stir", Text(Of("Sweet potato puree"), "keeps"));
        // 45 g of sauce beside each of six tarts.
        Assert.Equal(270, Of("Burnt-sugar sauce").GetProperty("dayGrams").GetDouble());
        Assert.Equal("in the freezer for 60 days, then 12 h in the fridge to thaw; wanted 24 h before it is used; else in the fridge for 4 days; before use: let it soften", Text(Of("Almond paste"), "keeps"));
        Assert.All(await List(), one => Assert.Equal(0, one.GetProperty("dayGrams").GetDouble()));
        Assert.Equal(400, (await server.Send(HttpMethod.Get, "/api/preparations?day=someday", null)).Status);
    }

    [Fact]
    public async Task The_plan_of_a_day_makes_them_first_and_their_sheets_say_when()
    {
        var plan = await server.Get($"/api/plan/{SecondDay}");
        Assert.Empty(plan.GetProperty("troubles").EnumerateArray());
        var tasks = plan.GetProperty("tasks").EnumerateArray().ToDictionary(task => Text(task, "id"));
        var sheets = (await server.Get($"/api/fillings/{SecondDay}")).GetProperty("batches").EnumerateArray().ToArray();
        Assert.Equal(6, sheets.Length);
        foreach (var sheet in sheets)
        {
            Assert.Equal(string.Empty, Text(sheet, "trouble"));
            var first = sheet.GetProperty("steps")[0];
            Assert.Equal(first.GetProperty("start").GetProperty("min").GetInt32(), tasks.Where(task => task.Key.StartsWith($"{Text(sheet, "id")}/", StringComparison.Ordinal)).Min(task => task.Value.GetProperty("start").GetProperty("min").GetInt32()));
            Assert.Equal(sheet.GetProperty("grams").GetDouble(), sheet.GetProperty("uses").EnumerateArray().Sum(use => use.GetProperty("grams").GetDouble()), 1.0);
            Assert.Equal(sheet.GetProperty("grams").GetDouble() * 100 / sheet.GetProperty("keptPercent").GetDouble(), sheet.GetProperty("lines").EnumerateArray().Sum(line => line.GetProperty("grams").GetDouble()), 1.5);
        }

        // The roots are roasted on trays of their own; a pie's tag would count pies.
        var layers = plan.GetProperty("ovens").GetProperty("ovens").EnumerateArray().SelectMany(oven => oven.GetProperty("layers").EnumerateArray()).ToArray();
        var roast = layers.Single(layer => Text(layer, "product") == "Sweet potato puree");
        Assert.Equal((0, 3), (roast.GetProperty("pies").GetInt32(), roast.GetProperty("trays").GetArrayLength()));
        var steps = (await server.Get($"/api/plan/{SecondDay}/oven-steps")).EnumerateArray().Select(step => Text(step, "words")).ToArray();
        Assert.Contains(steps, words => words.EndsWith("in: 3 trays of Sweet potato puree", StringComparison.Ordinal));
        foreach (var id in tasks.Keys.Where(id => id.StartsWith("made:", StringComparison.Ordinal)))
            Assert.NotEmpty(Text(await server.Get($"/api/plan/{SecondDay}/reason?task={Uri.EscapeDataString(id)}"), "why"));
    }

    [Fact]
    public async Task The_way_of_a_pie_shows_what_runs_into_it()
    {
        var way = await server.Get("/api/recipes/chocolate/way?pan=20-straight&count=5");
        var lines = way.GetProperty("lines").EnumerateArray().ToArray();
        Assert.Equal(["Chocolate malt cream", "Filling", "Hazelnut praline", "Toasted hazelnuts"], lines.Select(line => Text(line, "name")));
        Assert.Equal([0, 0, 2], lines.Skip(1).Select(line => line.GetProperty("joinsLine").GetInt32()));
        Assert.Equal(way.GetProperty("minutes").GetInt32(), lines[0].GetProperty("pieces").EnumerateArray().Last().GetProperty("endMin").GetInt32());
        Assert.Equal(404, (await server.Send(HttpMethod.Get, "/api/recipes/mango/way", null)).Status);
        Assert.Equal(400, (await server.Send(HttpMethod.Get, "/api/recipes/chocolate/way?count=0", null)).Status);
        Assert.Equal(400, (await server.Send(HttpMethod.Get, "/api/recipes/chocolate/way?pan=mini", null)).Status);
    }

    [Fact]
    public async Task The_usual_way_of_a_kind_is_taken_for_something_new_and_the_plan_makes_it()
    {
        foreach (var kind in Naming.All<PreparationKind>().Where(kind => kind != "dough"))
        {
            var (status, usual) = await server.Send(HttpMethod.Post, "/api/writing/making", new { kind });
            Assert.Equal(200, status);
            var draft = new JsonObject { ["name"] = $"Own {kind}", ["allergens"] = new JsonArray(), ["madeOf"] = "500 g Sugar, white\n500 g Hazelnuts", ["making"] = JsonNode.Parse(usual.GetRawText()), ["pieces"] = JsonNode.Parse("[{\"piece\":\"one\",\"grams\":20}]") };
            var (added, _) = await server.Send(HttpMethod.Post, "/api/ingredients", draft.ToJsonString());
            Assert.True(added == 201, kind);
        }

        foreach (var kind in new[] { "stew", "dough" }) Assert.Equal(400, (await server.Send(HttpMethod.Post, "/api/writing/making", new { kind })).Status);
        Assert.All(await List(), one => Assert.True(one.GetProperty("isPlanned").GetBoolean()));

        var written = JsonNode.Parse((await server.Get("/api/recipes/pear/written")).GetProperty("draft").GetRawText())!;
        written["layers"]![1]!["lines"] = "40 g Own glaze\n10 g Egg, whole, wash";
        Assert.Equal(200, (await server.Send(HttpMethod.Put, "/api/recipes/pear", written.ToJsonString(), ("If-Match", "\"1\""))).Status);
        var sheet = (await server.Get($"/api/fillings/{TestServer.Fair}")).GetProperty("batches").EnumerateArray().ToArray();
        Assert.All(sheet, batch => Assert.Equal("Own glaze", Text(batch, "name")));
        Assert.True(sheet.Length > 0);
    }

    [Fact]
    public async Task What_is_wrong_about_the_way_is_said_at_its_field_and_nothing_is_changed()
    {
        var praline = (await server.Get("/api/ingredients")).GetProperty("ingredients").EnumerateArray().Single(one => Text(one, "id") == "praline");
        var draft = JsonNode.Parse(praline.GetProperty("own").GetRawText())!;
        draft["making"]!["batchMostKg"] = -1;
        draft["making"]!["steps"]![1]!["waitMost"] = 5;
        var (status, problem) = await server.Send(HttpMethod.Put, "/api/ingredients/praline", draft.ToJsonString(), ("If-Match", $"\"{praline.GetProperty("version")}\""));
        Assert.Equal(400, status);
        Assert.Equal(["making.batchMostKg", "making.steps[1].waitAim"], problem.GetProperty("errors").EnumerateObject().Select(field => field.Name).Order());
        Assert.Contains("up to 3 kg at once", Text((await List()).Single(one => Text(one, "name") == "Hazelnut praline"), "batches"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_way_goes_out_with_a_library_and_comes_into_another_bakery()
    {
        var text = await server.Text("/api/library.json");
        using var other = new TestServer();
        var taken = (await other.Send(HttpMethod.Post, "/api/library/preview", new { text })).Body;
        Assert.Equal(0, taken.GetProperty("changes").GetInt32());
        // Without its way the same file says something else.
        var library = JsonNode.Parse(text)!;
        var praline = library["ingredients"]!.AsArray().Single(one => one!["id"]!.GetValue<string>() == "praline")!["stated"]!.AsObject();
        praline.Remove("making");
        Assert.Equal(1, (await other.Send(HttpMethod.Post, "/api/library/preview", new { text = library.ToJsonString() })).Body.GetProperty("changes").GetInt32());
    }
}
