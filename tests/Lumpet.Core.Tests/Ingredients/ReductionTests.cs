using CsCheck;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Writing;
using Xunit;

namespace Lumpet.Core.Tests.Ingredients;

/// <summary>Boiling down takes water: what is sugar, starch or fat before is so after (mass balance of water and solids).</summary>
public sealed class ReductionTests
{
    private static readonly Pantry Pantry = new(IngredientLibrary.All);

    private static RecipeLine Line(string text)
    {
        var (line, fault) = RecipeLineReader.Read(text, Pantry);
        Assert.Null(fault);
        return line!.Of(line.Known!);
    }

    private static WaterBalance Of(double left, params string[] lines) => WaterBalance.Of(lines.Select(Line), left);

    [Theory]
    [InlineData("boiled down by half", 0.5)]
    [InlineData("strained, reduced to a third", 1 / 3.0)]
    [InlineData("boiled down by two thirds", 1 / 3.0)]
    [InlineData("boiled down by a quarter", 0.75)]
    [InlineData("reduced to 60 %", 0.6)]
    [InlineData("boiled down by 12.5 %", 0.875)]
    [InlineData("Reduced to three quarters", 0.75)]
    [InlineData("boiled to two fifths", 0.4)]
    public void How_far_is_read_from_how_it_is_prepared(string preparation, double left) => Assert.Equal(left, Reduction.ShareLeft(preparation)!.Value, 9);

    [Theory]
    [InlineData("boiled")]
    [InlineData("boiled down")]
    [InlineData("cut by half")]
    [InlineData("halved")]
    [InlineData("reduced to four thirds")]
    [InlineData("boiled down by 0 %")]
    public void What_says_no_share_is_none(string preparation) => Assert.Null(Reduction.ShareLeft(preparation));

    [Fact]
    public void A_syrup_keeps_its_sugar()
    {
        // 500 g of sugar in 500 g of water, boiled to 80 %: 800 g with the same 500 g of sugar, 62.5 %.
        var balance = Of(0.8, "500 g sugar", "500 g water");
        Assert.Equal((1000, 500, 200, 800), (balance.Before.Grams, balance.Solids!.Value.Grams, balance.Boiled.Grams, balance.After.Grams));
        Assert.Equal(0.625, balance.Solids.Value / balance.After, 9);
        Assert.Equal(0.5, balance.LeastLeft, 9);
        Assert.True(balance.IsPossible);
        Assert.True(Of(0.5, "500 g sugar", "500 g water").IsPossible);
        Assert.False(Of(0.49, "500 g sugar", "500 g water").IsPossible);
    }

    [Fact]
    public void Fruit_holds_the_water_that_the_table_says()
    {
        // Plums are 87.2 % water (USDA, from memory): of 800 g 102.4 g stay; with 200 g of sugar 302.4 g of 1000.
        var balance = Of(0.85, "800 g plums, pitted", "200 g sugar");
        Assert.Equal(302.4, balance.Solids!.Value.Grams, 6);
        Assert.Equal(150, balance.Boiled.Grams, 6);
        Assert.Equal(302.4 / 850, balance.Solids.Value / balance.After, 9);
    }

    [Fact]
    public void Alcohol_boils_away_with_the_water_and_what_is_not_known_might()
    {
        Assert.Equal(100, Of(1, "100 g rum").Water.Grams, 9);
        var unknown = WaterBalance.Of([TestBakery.Line("moss", 300), Line("700 g sugar")], 0.75);
        Assert.Equal((300.0, true), (unknown.Unknown.Grams, unknown.IsPossible));
        Assert.Null(unknown.Solids);
        Assert.False(WaterBalance.Of([TestBakery.Line("moss", 300), Line("700 g sugar")], 0.65).IsPossible);
    }

    [Fact]
    public void What_is_made_here_holds_what_its_lines_leave_it()
    {
        var syrup = new Ingredient("syrup", "Syrup", []) { Formula = new IngredientFormula([Line("500 g sugar"), Line("500 g water")], 0.9) { ReducedTo = 0.8 } };
        // 300 of 800 g are water, whatever stays in the pot.
        Assert.Equal(0.375, WaterBalance.BoilingShare(syrup)!.Value, 9);
        Assert.Equal(720, syrup.Formula!.Made.Grams, 9);
        Assert.Equal(1000, syrup.Formula.WeighedFor(Mass.FromGrams(720)).Grams, 9);
    }

    [Fact]
    public void A_line_that_is_boiled_down_is_bought_and_weighed_before_and_goes_in_after()
    {
        var line = Line("500 g orange juice, strained, boiled down by half");
        Assert.Equal(250, line.Amount.Grams, 9);
        Assert.Equal(500, line.Yield.AsPurchased(line.Amount).Grams, 9);
        Assert.Equal("500 g Orange juice, strained, boiled down by half", RecipeLineReader.Write(line));
        // Orange juice is 88.3 % water (USDA, from memory): 58.5 g of 500 are not, and a tenth is too little.
        Assert.Equal("\"500 g orange juice, reduced to 10 %\": Orange juice is 88.3 % water, so 11.7 % of it is left at least.", RecipeLineReader.Read("500 g orange juice, reduced to 10 %", Pantry).Fault);
        // Boiled down further in the pot it has only what is left: 250 - 58.5.
        Assert.Equal(191.5, WaterBalance.Of([line], 1).Water.Grams, 6);
        // Paring is reckoned first: half of what 0.78 leaves.
        Assert.Equal(0.39, Line("100 g pears, pared and cored, boiled down by half").Yield.Share, 9);
    }

    [Fact]
    public void Whatever_is_boiled_down_solids_before_are_solids_after()
    {
        var foods = IngredientLibrary.All.Where(one => WaterBalance.BoilingShare(one) is not null).ToArray();
        Gen.Select(Gen.Select(Gen.Int[0, foods.Length - 1], Gen.Double[1, 2000]).Array[1, 8], Gen.Double[0.1, 1]).Sample(any =>
        {
            RecipeLine[] lines = [.. any.Item1.Select(one => new RecipeLine(foods[one.Item1], "", Yield.Whole, Mass.FromGrams(one.Item2)))];
            var balance = WaterBalance.Of(lines, any.Item2);
            var solids = lines.Sum(line => line.Amount.Grams * (1 - WaterBalance.BoilingShare(line.Ingredient)!.Value));
            Assert.Equal(solids, balance.Solids!.Value.Grams, 1e-6);
            // As far as it can go there are only solids, and no further.
            Assert.True(WaterBalance.Of(lines, Math.Max(1e-9, balance.LeastLeft)).IsPossible);
            Assert.Equal(any.Item2 >= balance.LeastLeft - 1e-9, balance.IsPossible);
            // In two goes it is what it is in one.
            var (once, rest) = (Math.Sqrt(any.Item2), any.Item2 / Math.Sqrt(any.Item2));
            Assert.Equal(balance.After.Grams, WaterBalance.Of(lines, once).After.Grams * rest, 1e-6);
        });
    }

    [Fact]
    public void A_layer_that_would_lose_more_than_water_is_refused_at_its_field()
    {
        var draft = Recipes.Writing.Drafted.Fruit("600 g sugar\n400 g water").First(layer => layer with { ReducedPercent = 55 });
        var fault = Assert.Single(Recipes.Writing.Drafted.Read(draft).Faults);
        Assert.Equal("layers[0].reducedPercent", fault.Field);
        Assert.Equal("Boiling takes water, never sugar or starch: of 1000 g there are 400 g of it, so 60 % is left at least.", fault.Message);
        var product = Recipes.Writing.Drafted.Read(draft.First(layer => layer with { ReducedPercent = 60, KeptPercent = 90 })).Product!;
        Assert.Equal(540, product.MainFilling.InPan.Grams, 9);
        Assert.Equal(540, Scaling.Scale(product, product.ReferencePan, 1).FillingPerPie.Grams, 6);
        Assert.Equal(60, ProductReader.Write(product).Layers![0]!.ReducedPercent);
    }
}
