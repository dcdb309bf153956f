using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Recipes;

/// <summary>What is shown of a recipe, and what stands on the sheets of a day, are the same lines.</summary>
public sealed class SheetTests(TestServer server) : IClassFixture<TestServer>
{
    private const string Day = "2026-12-12";

    private static JsonElement.ArrayEnumerator Each(JsonElement of, string list) => of.GetProperty(list).EnumerateArray();

    private static string Text(JsonElement of, string name) => of.GetProperty(name).GetString()!;

    private static double Grams(JsonElement of, string name) => of.GetProperty(name).GetDouble();

    [Fact]
    public async Task Every_line_of_every_part_of_every_product_is_on_the_sheets_of_its_day()
    {
        // What is made already is on no sheet.
        foreach (var there in Each(await server.Get($"/api/stock/{Day}"), "entries"))
            Assert.Equal(204, (await server.Send(HttpMethod.Delete, $"/api/made-already/{Text(there, "id")}", null, ("If-Match", $"\"{there.GetProperty("version")}\""))).Status);
        var products = Each(await server.Get("/api/bakery"), "products").Select(product => Text(product, "id")).ToArray();
        Assert.Equal(15, products.Length);
        foreach (var product in products)
            Assert.Equal(201, (await server.Send(HttpMethod.Post, "/api/orders/typed", new { line = $"12 {product} @ {await Pan(product)} 18:00", day = Day })).Status);

        var sheet = await server.Get($"/api/fillings/{Day}");
        var batches = Each(await server.Get($"/api/dough/{Day}"), "batches").ToArray();
        foreach (var product in products)
        {
            var scaled = await Scale(product);
            var filling = Each(sheet, "fillings").Single(one => Text(one, "product") == product);
            Assert.Equal(Each(scaled, "layers").Select(layer => Text(layer, "title")), Each(filling, "layers").Select(layer => Text(layer, "title")));
            foreach (var (layer, weighed) in Each(scaled, "layers").Zip(Each(filling, "layers"))) Same(Each(layer, "lines"), Each(weighed, "lines"));
            // What goes into one pie is the same here and there, layer by layer.
            Assert.Equal(Each(scaled, "layers").Select(layer => (Grams(layer, "gramsPerPie"), Grams(layer, "pieces"))), Each(Each(filling, "lots").Single(), "layers").Select(layer => (Grams(layer, "grams"), Grams(layer, "pieces"))));
            Assert.Equal(Each(scaled, "packaging").Select(item => item.GetString()), Each(filling, "packaging").Select(item => Text(item, "name")));
            Assert.All(Each(filling, "packaging"), item => Assert.Equal(12, item.GetProperty("count").GetInt32()));
            foreach (var part in new[] { "allergens", "notStated" })
                Assert.Equal(Each(scaled, part).Select(one => one.GetString()), Each(filling, part).Select(one => one.GetString()));

            foreach (var dough in new[] { scaled.GetProperty("dough"), scaled.GetProperty("topDough") }.Where(dough => dough.ValueKind == JsonValueKind.Object))
            {
                var mixed = batches.Where(batch => Text(batch, "name") == Text(dough, "name")).ToArray();
                Assert.NotEmpty(mixed);
                Assert.All(mixed, batch => Assert.Equal(Each(dough, "lines").Select(line => Text(line, "name")), Each(batch, "lines").Select(line => Text(line, "name"))));
            }

            foreach (var made in Each(scaled, "made"))
            {
                var name = Text(made, "name");
                // A dough that goes into something is weighed off at the mixer.
                var portions = batches.Where(batch => Text(batch, "name") == name).SelectMany(batch => Each(batch, "discs")).Sum(disc => Grams(disc, "grams") * Grams(disc, "count"));
                Assert.True(MadeOnSheet(sheet, name) + portions >= Grams(made, "grams"), name);
            }
        }

        // Twelve chocolate pies take 12 x 25 g of praline, and nothing else of the day takes any.
        Assert.Equal(300, MadeOnSheet(sheet, "Hazelnut praline"));
    }

    /// <summary>What the sheets of a day make of something first, by the plan or beside it.</summary>
    private static double MadeOnSheet(JsonElement sheet, string name) =>
        Each(sheet, "made").Concat(Each(sheet, "batches")).Where(one => Text(one, "name") == name).Sum(one => Grams(one, "grams"));

    [Fact]
    public async Task A_foil_pan_is_packed_and_paid_for_where_it_is_used_and_nowhere_else()
    {
        var inFoil = (await server.Send(HttpMethod.Post, "/api/recipes/gooseberry/scale", new { pan = "22-foil", count = 4 })).Body;
        Assert.Contains("Foil pan", Each(inFoil, "packaging").Select(item => item.GetString()));
        Assert.Contains(Each(inFoil.GetProperty("cost"), "lines"), line => Text(line, "name") == "Foil pan");
        var inSteel = (await server.Send(HttpMethod.Post, "/api/recipes/gooseberry/scale", new { pan = "23", count = 4 })).Body;
        Assert.DoesNotContain("Foil pan", Each(inSteel, "packaging").Select(item => item.GetString()));
        Assert.DoesNotContain(Each(inSteel.GetProperty("cost"), "lines"), line => Text(line, "name") == "Foil pan");
    }

    private static void Same(IEnumerable<JsonElement> shown, IEnumerable<JsonElement> weighed)
    {
        Assert.Equal(shown.Select(line => (Text(line, "name"), Text(line, "preparation"))), weighed.Select(line => (Text(line, "name"), Text(line, "preparation"))));
        Assert.All(shown.Zip(weighed), pair => Assert.Equal(Grams(pair.First, "totalGrams"), Grams(pair.Second, "grams"), 1.0));
    }

    private async Task<JsonElement> Scale(string product) =>
        (await server.Send(HttpMethod.Post, $"/api/recipes/{product}/scale", new { pan = await Pan(product), count = 12 })).Body;

    private async Task<string> Pan(string product) =>
        Text((await server.Send(HttpMethod.Post, $"/api/recipes/{product}/scale", new { count = 1 })).Body.GetProperty("pan"), "id");
}
