using System.Text.Json;
using System.Text.Json.Nodes;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Measures.Amounts;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Exchange;
using Lumpet.Core.Recipes.Writing;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Recipes.Exchange;

public sealed class LibraryReaderTests
{
    private static readonly Pan Pan23 = Pan.Round("23", "23 cm", Length.FromCentimetres(23), Length.FromCentimetres(19.5), Length.FromCentimetres(3.5), Length.FromCentimetres(1), 4);

    private static readonly DoughFormula Flaky = DoughReader.Read(UsualDoughs.All[0], "flaky", 1, IngredientLibrary.All).Dough!;

    private static Product Made(string id, string name, int usual = 0, int version = 1)
    {
        var draft = UsualProducts.All[usual].Draft.Filled("2 cups Plums, pitted\njuice of 1 lemon\n3 tbsp Corn starch") with { Name = name, Dough = "flaky", ReferencePan = "23", Sizes = [new SizeDraft("23", 18m)] };
        var (product, _, faults) = ProductReader.Read(draft, id, version, "EUR", [Pan23], [Flaky], IngredientLibrary.All, []);
        Assert.Empty(faults);
        return product!;
    }

    private static LibraryState State(params IReadOnlyList<Product> products) => new(
        "EUR",
        CupCustom.UnitedStates,
        IngredientLibrary.All.ToDictionary(one => one.Id, one => one with { Facts = IngredientFacts.None }),
        IngredientLibrary.All,
        [Pan23],
        [Flaky],
        products,
        new LocalDate(2026, 5, 1));

    private static LibraryFile Library(params IReadOnlyList<Product> products) =>
        LibraryFile.Of(IngredientLibrary.All.Select(one => one with { Facts = IngredientFacts.None }), [Pan23], [Flaky], products);

    [Fact]
    public void How_many_pans_there_are_stays_in_its_bakery()
    {
        var text = LibraryFile.Of([], [Pan23 with { Owned = 48 }], [], []).Write();
        Assert.DoesNotContain("48", text, StringComparison.Ordinal);
    }

    [Fact]
    public void A_library_taken_in_where_it_came_from_changes_nothing()
    {
        var (plum, curd) = (Made("plum", "Plum"), Made("curd", "Curd", 10));
        var change = LibraryReader.Read(Library(plum, curd).Write(), State(plum, curd));
        Assert.Empty(change.Faults);
        Assert.True(change.IsEmpty);
        Assert.Equal(IngredientLibrary.All.Count + 1 + 1 + 2, change.Same);
    }

    [Fact]
    public void A_library_of_the_format_before_is_taken_with_its_one_filling_topping_and_finish_as_layers()
    {
        // As format 1 wrote it, field by field; the rest of a product is the same in both.
        var crumble = UsualProducts.All.ToList().FindIndex(usual => usual.Id == "crumble");
        var file = JsonNode.Parse(Library(Made("plum", "Plum", crumble), Made("bare", "Bare")).Write())!;
        file["format"] = "lumpet.recipe-library/1";
        var (plum, bare) = (file["products"]![0]!["written"]!.AsObject(), file["products"]![1]!["written"]!.AsObject());
        foreach (var (product, topping) in new[] { (plum, "90 g Flour, plain\n60 g Butter, unsalted\n60 g Sugar, white"), (bare, "") })
        {
            product.Remove("layers");
            product["filling"] = "900 g Plums, pitted\njuice of 1 lemon";
            product["fillingKind"] = "maceratedFruit";
            product["packedDensity"] = 0.8;
            product["keptPercent"] = 85;
            product["topping"] = topping;
            product["finish"] = topping.Length > 0 ? "14 g Egg, whole, wash" : null;
        }

        var change = LibraryReader.Read(file.ToJsonString(), State());
        Assert.Empty(change.Faults);
        var read = change.Products[0];
        Assert.Equal([("filling", LayerLaw.Room, 2), ("topping", LayerLaw.Top, 3), ("finish", LayerLaw.Top, 1)], read.Layers.Select(layer => (layer.Id, layer.Law, layer.Lines.Count)));
        Assert.Equal((FillingKind.MaceratedFruit, 0.8, 0.85), (read.MainFilling.Filling, read.MainFilling.PackedDensity.GramsPerMillilitre, read.MainFilling.KeptShare));
        Assert.Equal(["filling"], change.Products[1].Layers.Select(layer => layer.Id));
        // Written out again it is of the present format, and the same.
        Assert.True(LibraryReader.Read(Library([.. change.Products]).Write(), State([.. change.Products])).IsEmpty);
        file["format"] = "lumpet.recipe-library/3";
        Assert.Equal("format", Assert.Single(LibraryReader.Read(file.ToJsonString(), State()).Faults).Field);
    }

    [Fact]
    public void A_recipe_that_was_written_out_before_products_had_layers_is_read_with_them()
    {
        var recipe = JsonNode.Parse(RecipeJsonLd.Write(Made("plum", "Plum")))!;
        var own = recipe["lumpet"]!["product"]!.AsObject();
        own.Remove("layers");
        own["filling"] = "900 g Plums, pitted";
        own["packedDensity"] = 0.8;
        own["finish"] = "14 g Egg, whole, wash";
        var change = LibraryReader.Read(recipe.ToJsonString(), State());
        Assert.Empty(change.Faults);
        Assert.Equal(["filling", "finish"], Assert.Single(change.Products).Layers.Select(layer => layer.Id));
        Assert.Equal(900, change.Products[0].MainFilling.Lines[0].Amount.Grams);
    }

    [Fact]
    public void What_differs_becomes_the_next_version_and_what_is_new_is_added()
    {
        var here = Made("plum", "Plum", version: 4);
        var there = here.Filled([here.MainFilling.Lines[0] with { Amount = Mass.FromGrams(500), Written = "" }, .. here.MainFilling.Lines.Skip(1)]);
        var change = LibraryReader.Read(Library(there, Made("quince", "Quince")).Write(), State(here));
        Assert.Empty(change.Faults);
        Assert.Equal([("plum", 5), ("quince", 1)], change.Products.Select(product => (product.Id, product.Version)));
        Assert.Equal(500, change.Products[0].MainFilling.Lines[0].Amount.Grams);
        Assert.Equal("juice of 1 lemon", change.Products[0].MainFilling.Lines[1].Written);
    }

    [Fact]
    public void One_bad_recipe_among_good_ones_refuses_all_and_is_named()
    {
        var library = JsonNode.Parse(Library(Made("plum", "Plum"), Made("quince", "Quince")).Write())!;
        library["products"]![1]!["written"]!["thicknessMm"] = 99;
        library["products"]![1]!["written"]!["layers"]![0]!["lines"] = "2 cups of nothing known";
        var change = LibraryReader.Read(library.ToJsonString(), State());
        Assert.Equal(["products[1].thicknessMm", "products[1].layers[0].lines"], change.Faults.Select(fault => fault.Field).Order().Reverse());
        Assert.True(change.IsEmpty);
    }

    [Theory]
    [InlineData("", "text")]
    [InlineData("{", "text")]
    [InlineData("[1, 2]", "text")]
    [InlineData("{\"format\":\"lumpet.recipe-library/9\"}", "format")]
    [InlineData("{\"format\":7}", "format")]
    [InlineData("{\"format\":\"lumpet.recipe-library/1\",\"products\":7}", "products")]
    [InlineData("{\"format\":\"lumpet.recipe-library/1\",\"products\":[null]}", "products")]
    [InlineData("{\"format\":\"lumpet.recipe-library/1\",\"products\":[{\"id\":\"../etc\",\"written\":{}}]}", "products[0].id")]
    [InlineData("{\"format\":\"lumpet.recipe-library/1\",\"ingredients\":[{\"id\":\"x\",\"stated\":{\"name\":\"<img src=x>\"}}]}", "ingredients[0].name")]
    [InlineData("{\"format\":\"lumpet.recipe-library/1\",\"pans\":[{\"id\":\"x\",\"name\":\"x\",\"topCm\":6,\"bottomCm\":6,\"depthCm\":60,\"rimCm\":0,\"perTray\":1}]}", "pans[0].depthCm")]
    [InlineData("{\"format\":\"lumpet.recipe-library/1\",\"doughs\":[{\"id\":\"a\",\"written\":{\"name\":\"A\",\"lines\":\"-5 g flour\"}}]}", "doughs[0].lines")]
    public void Hostile_and_broken_files_are_refused_with_their_field(string text, string field)
    {
        var change = LibraryReader.Read(text, State());
        Assert.Contains(field, change.Faults.Select(fault => fault.Field));
        Assert.True(change.IsEmpty);
    }

    [Fact]
    public void Ingredients_that_are_made_of_each_other_are_refused_and_those_that_are_not_may_stand_in_any_order()
    {
        static NamedIngredient Made(string id, string of) => new(id, new IngredientDraft(id, [], [], "", null, null, null, [], [], null, null, null, null, of));
        var circle = new LibraryFile(LibraryFile.FormatName, [Made("nougat", "100 g praline"), Made("praline", "100 g nougat\n20 g sugar")], [], [], []);
        Assert.Equal("ingredients[1].madeOf", Assert.Single(LibraryReader.Read(circle.Write(), State()).Faults).Field);
        var chain = new LibraryFile(LibraryFile.FormatName, [Made("nougat", "100 g praline"), Made("praline", "100 g hazelnuts\n20 g sugar")], [], [], []);
        var change = LibraryReader.Read(chain.Write(), State());
        Assert.Empty(change.Faults);
        Assert.Equal(["nougat", "praline"], change.Added.Select(one => one.Id));
    }

    [Fact]
    public void A_file_nested_without_end_is_refused() =>
        Assert.Equal("text", Assert.Single(LibraryReader.Read(string.Concat(Enumerable.Repeat("[", 100_000)), State()).Faults).Field);

    [Fact]
    public void Two_thousand_recipes_are_taken_and_one_more_is_not()
    {
        var one = ProductReader.Write(Made("plum", "Plum"));
        LibraryFile Of(int count) => new(LibraryFile.FormatName, [], [], [], [.. Enumerable.Range(0, count).Select(at => new NamedProduct($"plum-{at}", one with { Name = $"Plum {at}", Aliases = null }))]);
        var text = Of(2000).Write();
        Assert.InRange(text.Length, 5_000_000, LibraryReader.LongestText);
        var change = LibraryReader.Read(text, State());
        Assert.Empty(change.Faults);
        Assert.Equal(2000, change.Products.Count);
        Assert.Equal("products", Assert.Single(LibraryReader.Read(Of(2001).Write(), State()).Faults).Field);
    }

    [Fact]
    public void A_recipe_goes_out_as_schema_org_and_comes_back_as_it_was()
    {
        var plum = Made("plum", "Plum", 3);
        var text = RecipeJsonLd.Write(plum);
        // Read with System.Text.Json as any program would; ISO 8601 for the time.
        using var document = JsonDocument.Parse(text);
        var recipe = document.RootElement;
        Assert.Equal(("https://schema.org", "Recipe", "Plum"), (recipe.GetProperty("@context").GetString(), recipe.GetProperty("@type").GetString(), recipe.GetProperty("name").GetString()));
        Assert.Contains("juice of 1 lemon", recipe.GetProperty("recipeIngredient").EnumerateArray().Select(line => line.GetString()));
        Assert.Equal("HowToStep", recipe.GetProperty("recipeInstructions")[0].GetProperty("@type").GetString());
        Assert.Equal(TimeSpan.FromMinutes(65), System.Xml.XmlConvert.ToTimeSpan(recipe.GetProperty("cookTime").GetString()!));

        Assert.True(LibraryReader.Read(text, State(plum)).IsEmpty);
        var elsewhere = LibraryReader.Read(text, State());
        Assert.Equivalent(plum, Assert.Single(elsewhere.Products), strict: true);
    }

    [Fact]
    public void A_recipe_from_elsewhere_keeps_what_could_be_weighed_and_marks_every_doubt()
    {
        const string Foreign =
            """
            { "@context": "https://schema.org/", "@graph": [ { "@type": "WebPage" }, {
              "@type": ["Recipe"], "name": "Gooseberry &amp; elder tart", "recipeYield": ["8 slices"],
              "recipeIngredient": ["4 cups gooseberries, topped and tailed", "1 cup (200 g) sugar", "2 heaped tbsp cornflour", "a few elderflowers", "35 g elderflower cordial", "3 <b>eggs</b>"],
              "recipeInstructions": [ { "@type": "HowToStep", "text": "Bake until <i>golden</i>." } ] } ] }
            """;
        var change = LibraryReader.Read(Foreign, State());
        Assert.Empty(change.Faults);
        var product = Assert.Single(change.Products);
        Assert.Equal("Gooseberry & elder tart", product.Name);
        // 4 cups at 150 g (USDA, from memory), the weight in brackets, 2 tbsp of 128 g a cup, the cordial as it is, 3 eggs of 50 g.
        Assert.Equal([600, 200, 16, 35, 150], product.MainFilling.Lines.Select(line => Math.Round(line.Amount.Grams)));
        Assert.Equal(["Elderflower cordial"], change.Added.Select(one => one.Name));
        Assert.False(change.Added[0].AllergensStated);
        Assert.Contains(product.Review, line => line.StartsWith("Not taken in: \"a few elderflowers\" is not understood", StringComparison.Ordinal));
        Assert.Contains(product.Review, line => line.Contains("heaped", StringComparison.Ordinal));
        Assert.Contains(product.Review, line => line.Contains("\"Elderflower cordial\" is new here", StringComparison.Ordinal));
        Assert.Contains(product.Review, line => line.Contains("8 slices", StringComparison.Ordinal));
        Assert.Contains("As told there: Bake until golden .", product.Review);
        Assert.Equal(product.Review, change.Notes.Select(note => note.What));
        // It can be scaled and written out like any other.
        Assert.Equal(product.Review, ProductReader.Write(product).Review!.Split('\n'));
        _ = Scaling.Scale(product, Pan23, 3);
    }

    [Theory]
    [InlineData("{\"@type\":\"Recipe\"}", "recipes[0].name")]
    [InlineData("{\"@type\":\"Recipe\",\"name\":\"Air\"}", "recipes[0].recipeIngredient")]
    [InlineData("{\"@type\":\"Recipe\",\"name\":\"Air\",\"recipeIngredient\":[\"some air\"]}", "recipes[0].recipeIngredient")]
    [InlineData("{\"@type\":\"Recipe\",\"name\":\"Air\",\"recipeIngredient\":\"1 g flour\"}", "recipes[0].recipeIngredient")]
    [InlineData("{\"@type\":\"Person\",\"name\":\"x\"}", "text")]
    public void A_recipe_from_elsewhere_that_is_none_says_why(string text, string field) =>
        Assert.Equal(field, Assert.Single(LibraryReader.Read(text, State()).Faults).Field);

    [Fact]
    public void Ingredients_that_are_stated_otherwise_are_restated_and_recipes_are_read_by_them()
    {
        var library = new LibraryFile(
            LibraryFile.FormatName,
            [new NamedIngredient("plum", new IngredientDraft("Plums", [], [], "", null, 0.5, "weighed here", [], [], null, null, null, null))],
            [],
            [],
            [new NamedProduct("plum", ProductReader.Write(Made("plum", "Plum")))]);
        var change = LibraryReader.Read(library.Write(), State());
        Assert.Equal(["Plums"], change.Restated.Select(one => one.Name));
        // 2 cups at 0.5 g/ml.
        Assert.Equal(2 * 236.5882365 * 0.5, change.Products[0].MainFilling.Lines[0].Amount.Grams, 6);
    }
}
