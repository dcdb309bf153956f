using Lumpet.Core.Ingredients;
using Xunit;

namespace Lumpet.Core.Tests.Ingredients;

public sealed class IngredientLibraryTests
{
    private static readonly Pantry Library = new(IngredientLibrary.All);

    private static double Grams(string text)
    {
        var (line, fault) = RecipeLineReader.Read(text, Library);
        Assert.True(line is not null, fault);
        return line.Amount.Grams;
    }

    // USDA FoodData Central, SR Legacy portion weights, from memory; spoon and cup of one food are rounded each for itself.
    [Theory]
    [InlineData("1 cup all-purpose flour", 125)]
    [InlineData("1 cup granulated sugar", 200)]
    [InlineData("1 cup brown sugar, packed", 220)]
    [InlineData("1 cup powdered sugar", 120)]
    [InlineData("1 cup corn starch", 128)]
    [InlineData("1 tsp table salt", 6)]
    [InlineData("1 tsp baking powder", 4.6)]
    [InlineData("1 tsp ground cinnamon", 2.6)]
    [InlineData("1 tsp nutmeg", 2.2)]
    [InlineData("1 large egg", 50)]
    [InlineData("1 egg white", 33)]
    [InlineData("1 egg yolk", 17)]
    [InlineData("1 cup pecan halves", 99)]
    [InlineData("juice of 1 lemon", 48)]
    [InlineData("1 tbsp butter", 14.2)]
    [InlineData("1 cup butter", 227)]
    [InlineData("1 cup whole milk", 244)]
    [InlineData("1 cup heavy cream", 238)]
    [InlineData("1 cup buttermilk", 245)]
    [InlineData("1 tbsp honey", 21)]
    [InlineData("1 cup molasses", 337)]
    [InlineData("1 cup lemon juice", 244)]
    [InlineData("1 tsp vanilla extract", 4.2)]
    [InlineData("1 cup strawberries, halved", 152)]
    [InlineData("1 cup blueberries", 148)]
    [InlineData("1 cup rhubarb, diced", 122)]
    [InlineData("1 cup walnuts, chopped", 117)]
    [InlineData("1 cup canned pumpkin", 245)]
    // A US stick of butter is 4 oz.
    [InlineData("1 stick butter", 113.398)]
    [InlineData("3 medium eggs", 132)]
    public void Measures_weigh_what_the_tables_say(string text, double grams) => Assert.Equal(grams, Grams(text), Math.Max(0.06, grams * 0.01));

    // USDA Food Buying Guide and Agriculture Handbook 102, from memory; leeks: USDA refuse data, from memory.
    [Theory]
    [InlineData("apple", "pared and cored", 0.78)]
    [InlineData("pear", "pared and cored", 0.78)]
    [InlineData("peach", "pared and pitted", 0.76)]
    [InlineData("plum", "pitted", 0.94)]
    [InlineData("cherry", "pitted", 0.84)]
    [InlineData("rhubarb", "trimmed", 0.86)]
    [InlineData("strawberry", "hulled", 0.88)]
    [InlineData("blueberry", "picked over", 0.96)]
    [InlineData("pumpkin", "pared and seeded", 0.70)]
    [InlineData("sweet-potato", "pared", 0.80)]
    [InlineData("leek", "trimmed", 0.44)]
    public void Yields_are_those_of_the_tables(string id, string preparation, double share) =>
        Assert.Equal(share, IngredientLibrary.Find(id)!.Facts.YieldOf($"{preparation}, sliced")!.Yield.Share, 9);

    [Fact]
    public void About_eighty_ship_each_once_and_each_figure_names_its_source()
    {
        Assert.True(IngredientLibrary.All.Count >= 80);
        Assert.Equal(IngredientLibrary.All.Count, IngredientLibrary.All.Select(one => one.Id).Distinct().Count());
        Assert.Equal(IngredientLibrary.All.Count, IngredientLibrary.All.Select(one => one.Name.ToUpperInvariant()).Distinct().Count());
        Assert.All(IngredientLibrary.All, one =>
        {
            Assert.All(one.Facts.Pieces, piece => Assert.NotEmpty(piece.Source));
            Assert.All(one.Facts.Yields, yield => Assert.NotEmpty(yield.Source));
            if (one.Facts.Density is { } density) Assert.NotEmpty(density.Source);
            Assert.All(one.Allergens.Concat(one.Facts.MayContain), allergen => Assert.Contains(allergen, MajorAllergens.All));
        });
    }

    [Fact]
    public void Every_name_and_other_name_finds_its_own_ingredient() => Assert.All(IngredientLibrary.All, one =>
    {
        Assert.All(one.Facts.OtherNames.Append(one.Name), name => Assert.Equal(one.Id, Library.Find(name)?.Id));
    });

    [Fact]
    public void Of_allergens_the_eu_names_fourteen_and_the_us_nine()
    {
        // EU Regulation 1169/2011, Annex II: cereals with gluten count as one, here as three. US: FALCPA 2004 and FASTER Act 2021.
        Assert.Equal(14, MajorAllergens.All.Count(one => !one.StartsWith("gluten", StringComparison.Ordinal)));
        Assert.Equal(9, MajorAllergens.UnitedStates.Count);
        Assert.All(MajorAllergens.UnitedStates, one => Assert.Contains(one, MajorAllergens.All));
    }

    [Fact]
    public void A_bakery_can_clear_any_figure_that_ships()
    {
        // A vanilla extract without alcohol, a heat-treated flour, a chocolate that carries no traces.
        IngredientFacts Cleared(string id) => FactsInForce.Of(IngredientLibrary.Find(id)! with
        {
            Facts = IngredientFacts.None with { StatedAlcoholPercent = 0, StatedUnsafeRaw = false, StatedMayContain = [], StatedNeedsControl = false, StatedRole = IngredientRole.Other },
        });
        Assert.Equal(0, Cleared("vanilla-extract").AlcoholPercent);
        Assert.False(Cleared("flour").UnsafeRaw);
        Assert.Empty(Cleared("dark-chocolate").MayContain);
        Assert.False(Cleared("milk").NeedsControl);
        Assert.Equal(IngredientRole.Other, Cleared("milk").Role);
        // What is not stated stays as it ships.
        Assert.Equal(35, FactsInForce.Of(IngredientLibrary.Find("vanilla-extract")! with { Facts = IngredientFacts.None }).AlcoholPercent);
    }

    [Theory]
    [InlineData("Spelt flour", IngredientRole.Flour, true, false)]
    [InlineData("Flour, spelt", IngredientRole.Flour, true, false)]
    [InlineData("Goose egg", IngredientRole.Egg, true, true)]
    [InlineData("Goat milk", IngredientRole.Liquid, false, true)]
    [InlineData("Smoked ham", IngredientRole.Other, false, true)]
    [InlineData("Quince paste", IngredientRole.Other, false, false)]
    public void A_name_tells_what_nobody_has_stated(string name, IngredientRole role, bool unsafeRaw, bool needsControl)
    {
        var facts = FactsInForce.Of(new Ingredient("new-here", name, [], AllergensStated: false));
        Assert.Equal((role, unsafeRaw, needsControl), (facts.Role, facts.UnsafeRaw, facts.NeedsControl));
    }

    [Fact]
    public void What_a_bakery_sets_itself_wins_and_the_rest_stays()
    {
        var flour = IngredientLibrary.Find("flour")!.Facts;
        var own = new IngredientFacts
        {
            Density = new DensityFigure(Core.Measures.Density.FromGramsPerMillilitre(0.6), "weighed here"),
            Pieces = [new PieceWeight("tin", Core.Measures.Mass.FromGrams(900), "weighed here")],
            StatedMayContain = ["soy"],
        };
        var both = flour.With(own);
        Assert.Equal("weighed here", both.Density!.Source);
        Assert.Equal(900, both.PieceOf("tin")!.Weight.Grams);
        Assert.True(both.UnsafeRaw);
        Assert.Equal((IngredientRole.Flour, 0.5), (both.Role, both.StarchStrength));
        Assert.Equal(["soy"], both.MayContain);
    }
}
