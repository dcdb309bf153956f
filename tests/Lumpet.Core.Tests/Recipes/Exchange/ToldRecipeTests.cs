using System.Text.Json;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures.Amounts;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Exchange;
using Lumpet.Core.Recipes.Writing;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Recipes.Exchange;

/// <summary>Recipes from elsewhere with several components and their steps.</summary>
public sealed class ToldRecipeTests
{
    private static LibraryState State(params IReadOnlyList<Ingredient> own) => new(
        "EUR",
        CupCustom.UnitedStates,
        IngredientLibrary.All.Concat(own).ToDictionary(one => one.Id, one => one with { Facts = IngredientFacts.None }),
        [.. IngredientLibrary.All, .. own],
        Demonstration.Pans,
        WrittenProducts.Doughs,
        [],
        new LocalDate(2026, 5, 1));

    private static LibraryChange Read(object recipe) => LibraryReader.Read(JsonSerializer.Serialize(recipe).Replace("\"type\"", "\"@type\"", StringComparison.Ordinal), State());

    private static readonly object Quince = new
    {
        type = "Recipe",
        name = "Quay quince",
        recipeIngredient = new[] { "For the crust:", "2 1/2 cups flour", "1 cup butter, cold", "60 ml water", "FILLING", "900 g quinces, pared and cored", "1 cup sugar", "Crumble topping:", "100 g flour", "70 g butter", "To serve:", "200 g cream" },
        recipeInstructions = new object[]
        {
            new { type = "HowToSection", name = "Crust", itemListElement = new[] { new { type = "HowToStep", text = "Blind bake at 190 °C for 15 minutes with weights." } } },
            new { type = "HowToStep", text = "Heat the oven to 425 °F. Bake for 20 minutes, lower to 375 °F and bake 40 to 50 minutes more." },
        },
    };

    [Fact]
    public void Each_component_becomes_the_part_that_its_heading_says()
    {
        var change = Read(Quince);
        Assert.Empty(change.Faults);
        var product = Assert.Single(change.Products);
        var dough = Assert.Single(change.Doughs);
        Assert.Equal("Quay quince, dough", dough.Name);
        // 2 1/2 cups of 125 g, a cup of 227 g.
        Assert.Equal([312.5, 227], dough.Lines.Take(2).Select(line => line.Amount.Grams));
        Assert.Equal(dough.Id, product.Dough.Id);
        Assert.Equal([PartKind.Filling, PartKind.Topping, PartKind.Beside], product.Layers.Select(layer => layer.Kind));
        Assert.Equal([2, 2, 1], product.Layers.Select(layer => layer.Lines.Count));
        Assert.Equal("To serve", product.Layers[2].Name);
        Assert.Contains(product.Review, line => line.StartsWith("Its components were read by their headings: crust, filling, crumble topping, to serve.", StringComparison.Ordinal));
    }

    [Fact]
    public void Its_bake_is_read_from_what_is_told_and_kept_as_written()
    {
        var bake = Assert.Single(Read(Quince).Products).Process.Steps.Single(step => step.Id == "bake");
        // 425 °F and 375 °F by (F - 32) / 1.8.
        Assert.Equal([(218, 20, 20), (191, 40, 50)], bake.Stages.Select(stage => (stage.TempC, stage.MinMin, stage.MaxMin)));
        Assert.Equal(["425 °F", "375 °F"], bake.TemperaturesWritten);
    }

    [Theory]
    [InlineData("Preheat the oven to 200 C. Assemble. Bake 45-50 min until golden.", "200 45 50")]
    [InlineData("Bake at 220 °C for 15 minutes. Reduce to 180 °C and bake for 30 minutes.", "220 15 15, 180 30 30")]
    [InlineData("Roast the nuts at 160 C for 10 minutes.", "")]
    [InlineData("Chill for 30 minutes. Bake until done.", "")]
    [InlineData("Cook for 5 minutes, then chill 60 minutes.", "")]
    public void Stages_are_what_bakes_the_pie_and_nothing_else(string told, string stages) =>
        Assert.Equal(stages, string.Join(", ", ToldBake.Stages([told]).Select(stage => $"{stage.TempC} {stage.Least} {stage.Most}")));

    [Fact]
    public void What_looks_like_a_line_is_no_heading_and_without_headings_all_is_filling()
    {
        var parts = ToldComponents.In(["200 g plums", "Topping: ", "OATS", "12 g oats", "A crumble:", "a very long heading that goes on and on and on and says nothing of use: at all"], line => char.IsDigit(line[0]));
        Assert.Equal(["", "Oats", "A crumble"], parts.Select(part => part.Title));
        Assert.Equal(PartKind.Topping, parts[2].Part);
        Assert.Equal(PartKind.Filling, parts[1].Part);
        var product = Assert.Single(Read(new { type = "Recipe", name = "Plain", recipeIngredient = new[] { "900 g quinces", "1 cup sugar", "125 g flour" } }).Products);
        Assert.Equal(3, Assert.Single(product.Layers).Lines.Count);
        Assert.Equal(WrittenProducts.Doughs[0].Id, product.Dough.Id);
    }

    [Fact]
    public void A_crust_that_is_no_dough_stands_where_it_can_be_seen()
    {
        var change = Read(new { type = "Recipe", name = "Bought", recipeIngredient = new[] { "Crust:", "300 g Tart shell, bought in", "Filling:", "900 g quinces" } });
        Assert.Empty(change.Faults);
        Assert.Empty(change.Doughs);
        Assert.Equal(["Crust", "Filling"], Assert.Single(change.Products).Layers.Select(layer => layer.Name));
    }

    [Fact]
    public void A_recipe_brings_what_is_made_for_it_to_a_bakery_that_has_it_not()
    {
        // A sauce of a curd, of a fruit that only this bakery knows.
        var sea = new Ingredient("sea-plum", "Sea plum", ["sulphites"]);
        Ingredient Made(string id, string name, string lines, params Ingredient[] known) =>
            IngredientReader.Read(id, new IngredientDraft(name, null, null, null, null, null, null, null, null, null, null, null, null, lines, 90), "EUR", new LocalDate(2026, 5, 1), new Pantry([.. IngredientLibrary.All, .. known])).Ingredient!;
        var curd = Made("sea-curd", "Sea curd", "400 g Sea plum\n4 eggs\n200 g sugar", sea);
        curd = curd.Formula!.Make(curd);
        var sauce = Made("sea-sauce", "Sea sauce", "300 g Sea curd\n100 g cream", sea, curd);
        sauce = sauce.Formula!.Make(sauce);
        var draft = Writing.Drafted.Fruit("800 g quinces\n150 g Sea sauce") with { Dough = WrittenProducts.Doughs[0].Id };
        var (product, _, faults) = ProductReader.Read(draft, "quince", 1, "EUR", Demonstration.Pans, WrittenProducts.Doughs, [.. IngredientLibrary.All, sea, curd, sauce], []);
        Assert.Empty(faults);

        var change = LibraryReader.Read(RecipeJsonLd.Write(product!), State());
        Assert.Empty(change.Faults);
        Assert.Equal(["sea-curd", "sea-plum", "sea-sauce"], change.Added.Select(one => one.Id).Order());
        var there = Assert.Single(change.Products);
        Assert.Equal(product!.Allergens, there.Allergens);
        Assert.Contains("sulphites", there.Allergens);
        // Of the same lines, in the same amounts, with the same left of them.
        string Told(IEnumerable<Ingredient> all) => string.Join(" | ", all.Where(one => one.Formula is not null).OrderBy(one => one.Id).Select(one =>
            $"{one.Id} {one.Formula!.LeftShare} {string.Join(", ", one.Formula.Lines.Select(line => $"{line.Amount.Grams} {line.Ingredient.Id}"))}"));
        Assert.Equal(Told([curd, sauce]), Told(change.Added));
        // Where it is known already it is left as it is there.
        Assert.DoesNotContain(LibraryReader.Read(RecipeJsonLd.Write(product), State(sea, curd, sauce)).Added, one => one.Id.StartsWith("sea", StringComparison.Ordinal));
    }
}
