using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Recipes;

public sealed class FindingTests(TestServer server) : IClassFixture<TestServer>
{
    private async Task<string[]> Found(string query) =>
        [.. (await server.Get($"/api/recipes?{query}")).GetProperty("recipes").EnumerateArray().Select(recipe => recipe.GetProperty("id").GetString()!)];

    [Theory]
    [InlineData("q=pear", "pear")]
    [InlineData("q=lattice", "damson")]
    [InlineData("q=hazelnuts%20brandy", "hazelnut")]
    [InlineData("q=frangipane", "apricot")]
    [InlineData("q=raised", "slab")]
    [InlineData("kind=curd&q=meringue", "passion")]
    [InlineData("kind=savoury", "leek")]
    [InlineData("q=PLUM%20FREE", "plum")]
    public async Task Recipes_are_found_by_their_words_and_their_kind(string query, string id) => Assert.Equal([id], await Found(query));

    [Fact]
    public async Task What_carries_an_allergen_is_left_out_the_doughs_allergens_too()
    {
        var all = await Found("");
        var withoutNuts = await Found("without=nuts");
        // The hazelnut tart by its filling and its dough, the frangipane by its almonds, the cream by a praline that is made here.
        Assert.Equal(["apricot", "chocolate", "hazelnut"], all.Except(withoutNuts).Order());
        Assert.Empty(await Found("without=wheat"));
        // Egg-bound and sweet doughs carry egg, and so does a wash.
        Assert.DoesNotContain("plum", await Found("without=egg"));
    }

    [Theory]
    [InlineData("q=%25", 0)]
    [InlineData("q=_", 0)]
    [InlineData("q='%3B%20DROP%20TABLE%20product%3B--", 0)]
    public async Task Signs_of_the_database_are_plain_text(string query, int found) => Assert.Equal(found, (await Found(query)).Length);

    [Theory]
    [InlineData("kind=soup", "kind")]
    [InlineData("without=dust", "without")]
    public async Task A_question_without_sense_names_its_field(string query, string field)
    {
        var (status, problem) = await server.Send(HttpMethod.Get, $"/api/recipes?{query}", null);
        Assert.Equal(400, status);
        Assert.True(problem.GetProperty("errors").TryGetProperty(field, out _));
    }

    [Theory]
    [InlineData("14.2 kg pears", 10)]
    [InlineData("9 kg filling", 7)]
    public async Task What_is_on_hand_says_how_many(string have, int pies)
    {
        var (status, answer) = await server.Send(HttpMethod.Post, "/api/recipes/pear/scale", new { pan = "23", have });
        Assert.True(status == 200, answer.GetRawText());
        Assert.Equal(pies, answer.GetProperty("count").GetInt32());
        var onHand = answer.GetProperty("onHand");
        Assert.Equal(onHand.GetProperty("haveGrams").GetDouble() - (pies * onHand.GetProperty("perPieGrams").GetDouble()), onHand.GetProperty("leftGrams").GetDouble(), pies * 0.1);
    }

    [Theory]
    [InlineData("3 kg quinces")]
    [InlineData("100 g pears")]
    [InlineData("plenty")]
    public async Task What_is_not_enough_or_not_in_it_is_said(string have)
    {
        var (status, problem) = await server.Send(HttpMethod.Post, "/api/recipes/pear/scale", new { have });
        Assert.Equal(400, status);
        Assert.True(problem.GetProperty("errors").TryGetProperty("have", out _), problem.GetRawText());
    }

    [Fact]
    public async Task Every_product_of_the_demo_is_scaled_in_every_pan_and_says_what_it_carries()
    {
        foreach (var recipe in (await server.Get("/api/recipes")).GetProperty("recipes").EnumerateArray())
        {
            var id = recipe.GetProperty("id").GetString();
            var draft = (await server.Get($"/api/recipes/{id}/written")).GetProperty("draft");
            foreach (var size in draft.GetProperty("sizes").EnumerateArray())
            {
                var (status, answer) = await server.Send(HttpMethod.Post, $"/api/recipes/{id}/scale", new { pan = size.GetProperty("pan").GetString(), count = 13 });
                Assert.True(status == 200, answer.GetRawText());
                Assert.True(answer.GetProperty("cost").GetProperty("isComplete").GetBoolean(), $"{id}: {answer.GetProperty("cost").GetProperty("missing").GetRawText()}");
                Assert.NotEqual(JsonValueKind.Undefined, answer.GetProperty("facts").GetProperty("cautions").ValueKind);
                // Area, thickness and density make the weight of every piece, as it can be checked by hand.
                var dough = answer.GetProperty("dough");
                Assert.All(dough.GetProperty("pieces").EnumerateArray().Where(piece => piece.GetProperty("name").GetString() != "shell"), piece => Assert.Equal(
                    piece.GetProperty("areaCm2").GetDouble() * piece.GetProperty("thicknessMm").GetDouble() / 10 * dough.GetProperty("density").GetDouble(), piece.GetProperty("pieceGrams").GetDouble(), 0.2));
            }
        }
    }
}
