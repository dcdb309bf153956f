using Lumpet.Core.Ingredients;
using Xunit;

namespace Lumpet.Core.Tests.Ingredients;

public sealed class AmountWeighingTests
{
    private static readonly Pantry Library = new(IngredientLibrary.All);

    private static ReadLine Line(string text)
    {
        var (line, fault) = RecipeLineReader.Read(text, Library);
        Assert.True(line is not null, fault);
        return line;
    }

    [Fact]
    public void Fruit_that_is_counted_loses_what_its_preparation_loses()
    {
        // Three pears of 178 g (USDA, from memory), of which 78 % are left.
        Assert.Equal(3 * 178 * 0.78, Line("3 pears, pared and cored, sliced").Amount.Grams, 6);
        Assert.Equal(3 * 178, Line("3 pears").Amount.Grams, 6);
    }

    [Fact]
    public void How_it_was_weighed_is_said()
    {
        Assert.Equal("473.1765 ml × 0.5283 g/ml, 125 g a US cup: USDA FoodData Central, SR Legacy portion weights, from memory", Line("2 cups flour").How);
        Assert.Equal("3 × 50 g, USDA FoodData Central, SR Legacy portion weights, from memory", Line("3 eggs").How);
        Assert.Empty(Line("300 g flour").How);
    }

    [Fact]
    public void A_pint_of_berries_is_a_dry_pint_and_one_of_milk_is_not()
    {
        // NIST Handbook 44, Appendix C: a dry pint is 550.61 ml, a liquid one 473.18 ml. A cup of blueberries weighs 148 g.
        Assert.Equal(550.6104713575 * 148 / 236.5882365, Line("1 pint blueberries").Amount.Grams, 6);
        Assert.Equal(2 * 550.6104713575 * 148 / 236.5882365, Line("1 quart blueberries").Amount.Grams, 6);
        Assert.Equal(488, Line("1 pint milk").Amount.Grams, 1);
        Assert.Contains("US dry pint", Line("1 pint blueberries").How, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("1 cup flour, sifted", 113)]
    [InlineData("1 cup sifted flour", 113)]
    [InlineData("1 cup flour, spooned", 120)]
    [InlineData("1 cup scooped flour", 142)]
    [InlineData("2 cups flour", 250)]
    public void A_cup_of_flour_weighs_what_the_way_of_filling_it_makes_it(string text, double grams)
    {
        var line = Line(text);
        Assert.Equal(grams, line.Amount.Grams, 6);
        // Where nobody said which way, that is asked.
        Assert.Equal(grams == 250, line.Doubts.Any(doubt => doubt.Contains("113 g sifted, 120 g spooned, 142 g scooped: 125 g is taken", StringComparison.Ordinal)));
    }

    [Theory]
    [InlineData("2 cups hazelnut spread", "is new here")]
    [InlineData("3 quince pastes", "is new here")]
    [InlineData("3 milk", "is a liquid: it is not counted")]
    [InlineData("2 whole milks", "is a liquid: it is not counted")]
    [InlineData("2 cups stem ginger", "No density of Stem ginger is known")]
    [InlineData("2 walnuts", "weighs is not known")]
    [InlineData("2 sticks flour", "What one stick of Flour, plain weighs is not known")]
    [InlineData("2 cups", "names no ingredient")]
    [InlineData("0 cups flour", "above 0")]
    [InlineData("99999999 lb flour", "up to 1000 kg")]
    public void What_cannot_be_weighed_says_why(string text, string why)
    {
        var (line, fault) = RecipeLineReader.Read(text, Library);
        Assert.Null(line);
        Assert.Contains(why, fault, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("2 cups light brown sugar", "Sugar, light brown", "")]
    [InlineData("250 g Butter, unsalted, cold, cubed", "Butter, unsalted", "cold, cubed")]
    [InlineData("250 g cold unsalted butter, cubed", "Butter, unsalted", "cold, cubed")]
    [InlineData("100 g finely chopped walnuts", "Walnuts", "finely chopped")]
    [InlineData("100 g walnuts (toasted)", "Walnuts", "toasted")]
    [InlineData("6 ripe plums, pitted", "Plums", "ripe, pitted")]
    [InlineData("1 tsp ground ginger", "Ginger, ground", "")]
    public void Names_are_found_in_any_order_and_what_describes_becomes_preparation(string text, string name, string preparation)
    {
        var line = Line(text);
        Assert.Equal((name, preparation), (line.Known!.Name, line.Preparation));
    }

    [Theory]
    [InlineData("2 cups Flour, plain, sifted")]
    [InlineData("juice of 1 lemon, strained")]
    [InlineData("2 tins (400 g) Coconut milk")]
    [InlineData("3 Egg, whole, large")]
    [InlineData("1 1/2 tbsp Honey")]
    [InlineData("1 stick Butter, unsalted, cold")]
    public void A_line_is_kept_as_it_was_written(string text)
    {
        var line = Line(text);
        var written = RecipeLineReader.Write(line.Of(line.Known!));
        Assert.Equal(text, written);
        Assert.Equal(line.Amount.Grams, Line(written).Amount.Grams, 9);
    }
}
