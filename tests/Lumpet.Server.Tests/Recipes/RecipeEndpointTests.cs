using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Recipes;

public sealed class RecipeEndpointTests(TestServer server) : IClassFixture<TestServer>
{
    private async Task<JsonElement> Scale(string id, object body) =>
        (await server.Send(HttpMethod.Post, $"/api/recipes/{id}/scale", body)).Body;

    [Fact]
    public async Task Recipes_are_listed_with_their_allergens()
    {
        var recipes = await server.Get("/api/recipes");
        var listed = recipes.GetProperty("recipes");
        Assert.Equal(["pear", "damson", "oat-custard"], listed.EnumerateArray().Take(3).Select(recipe => recipe.GetProperty("id").GetString()!));
        Assert.Equal(["egg", "milk", "wheat"], listed[0].GetProperty("allergens").EnumerateArray().Select(allergen => allergen.GetString()!));
    }

    [Fact]
    public async Task What_is_shown_of_a_pie_can_be_checked_by_hand()
    {
        var answer = await Scale("pear", new { pan = "26", count = 24 });
        var filling = answer.GetProperty("filling");
        double Of(JsonElement element, string name) => element.GetProperty(name).GetDouble();
        Assert.Equal(Of(filling, "factor"), Of(filling, "roomMl") / Of(filling, "writtenMl"), 0.0001);
        Assert.All(answer.GetProperty("layers")[0].GetProperty("lines").EnumerateArray(), line =>
        {
            Assert.Equal(Of(line, "writtenGrams") * Of(filling, "factor"), Of(line, "perPieGrams"), 0.2);
            Assert.Equal(Of(line, "perPieGrams") * 24, Of(line, "totalGrams"), 3.0);
        });
        Assert.All(answer.GetProperty("dough").GetProperty("pieces").EnumerateArray(), piece =>
        {
            Assert.Equal(Math.PI / 4 * Of(piece, "diameterCm") * Of(piece, "diameterCm"), Of(piece, "areaCm2"), 1.0);
            Assert.Equal(Of(piece, "areaCm2") * 0.3 * 1.2, Of(piece, "pieceGrams"), 0.1);
            Assert.Equal(Of(piece, "pieceGrams") / 0.88, Of(piece, "discGrams"), 0.2);
        });
        var cost = answer.GetProperty("cost");
        Assert.Equal(Of(cost, "total"), cost.GetProperty("lines").EnumerateArray().Sum(line => Of(line, "cost")), 6);
        Assert.Equal(Of(cost, "total"), cost.GetProperty("parts").EnumerateArray().Sum(part => Of(part, "cost")), 6);
        Assert.Equal(Of(cost, "total") / Of(cost, "sellingPrice") * 100, Of(cost, "foodCostPercent"), 0.06);
        // 1487 g of pears at 78 %, 23.40 for 12 kg; shown to the cent.
        var pears = cost.GetProperty("lines").EnumerateArray().Single(line => line.GetProperty("name").GetString() == "Pears, firm");
        Assert.Equal(Of(pears, "amount") / 0.78 * 23.40 / 12000, Of(pears, "cost"), 0.0051);
    }

    [Fact]
    public async Task The_size_of_a_piece_can_be_reckoned_from_its_pan()
    {
        var pieces = (await Scale("pear", new { pan = "26", count = 1 })).GetProperty("dough").GetProperty("pieces");
        // Wall of a 4 cm deep pan, 26 cm across above and 22 below: sqrt(16 + 4) = 4.47; 22 + 8.94 + 2 + 3.6 = 36.54.
        Assert.Equal("floor 22 + 2 × wall 4.47 + 2 × rim 1 + 2 × overhang beyond the rim 1.8 = 36.54 cm; π/4 × 36.54²", pieces[0].GetProperty("reckoning").GetString());
        Assert.Equal(36.54, pieces[0].GetProperty("diameterCm").GetDouble(), 2);
        var lattice = (await Scale("damson", new { pan = "23", count = 1 })).GetProperty("dough").GetProperty("pieces")[1];
        var strips = lattice.GetProperty("stripsCm").EnumerateArray().Sum(strip => strip.GetDouble());
        Assert.Equal(strips * 2 * 2, lattice.GetProperty("areaCm2").GetDouble(), 0.5);
        Assert.EndsWith("cm both ways × 2 cm", lattice.GetProperty("reckoning").GetString(), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("{\"pan\":\"26\",\"count\":0}", "count")]
    [InlineData("{\"pan\":\"26\",\"count\":1000000000}", "count")]
    [InlineData("{\"pan\":\"99\",\"count\":1}", "pan")]
    [InlineData("{\"pan\":\"26\",\"count\":\"many\"}", "count")]
    [InlineData("{\"pan\":26,\"count\":1}", "pan")]
    [InlineData("{\"pan\":\"26\",\"thicknessMm\":0.1}", "thicknessMm")]
    [InlineData("{\"pan\":\"23\",\"thicknessMm\":1e9}", "thicknessMm")]
    [InlineData("{", "body")]
    public async Task A_question_without_sense_names_its_field(string body, string field)
    {
        var (status, problem) = await server.Send(HttpMethod.Post, "/api/recipes/pear/scale", body);
        Assert.Equal(400, status);
        Assert.True(problem.GetProperty("errors").TryGetProperty(field, out _), problem.GetRawText());
    }

    [Fact]
    public async Task Another_thickness_is_a_question_that_changes_dough_and_room_and_keeps_nothing()
    {
        var (written, asked) = (await Scale("pear", new { pan = "26", count = 1 }), await Scale("pear", new { pan = "26", count = 1, thicknessMm = 4 }));
        double Base(JsonElement answer) => answer.GetProperty("dough").GetProperty("pieces")[0].GetProperty("pieceGrams").GetDouble();
        Assert.Equal(4.0 / 3, Base(asked) / Base(written), 0.001);
        Assert.True(asked.GetProperty("filling").GetProperty("levelMl").GetDouble() < written.GetProperty("filling").GetProperty("levelMl").GetDouble());
        Assert.Equal((4, 3), (asked.GetProperty("dough").GetProperty("thicknessMm").GetDouble(), asked.GetProperty("dough").GetProperty("writtenThicknessMm").GetDouble()));
        Assert.Equal(1, (await server.Get("/api/recipes/pear/versions")).GetProperty("present").GetInt32());
    }

    [Fact]
    public async Task An_unknown_product_is_not_found() =>
        Assert.Equal(404, (await server.Send(HttpMethod.Post, "/api/recipes/mango/scale", new { })).Status);
}
