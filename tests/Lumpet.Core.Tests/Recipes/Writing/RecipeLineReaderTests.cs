using CsCheck;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Xunit;

namespace Lumpet.Core.Tests.Recipes.Writing;

public sealed class RecipeLineReaderTests
{
    private static readonly Ingredient[] Ingredients = [new("flour", "Flour, plain", ["wheat"]), new("pear", "Pears, firm", []), new("salt", "Salt", [])];

    private static readonly Pantry Known = new(Ingredients);

    [Theory]
    [InlineData("450 g flour", 450, "Flour, plain", "", true)]
    [InlineData("1.2kg Flour, plain", 1200, "Flour, plain", "", true)]
    [InlineData("1010 g pears, firm, pared and cored", 1010, "Pears, firm", "pared and cored", true)]
    [InlineData("0,5 kg pear, sliced", 500, "Pears, firm", "sliced", true)]
    [InlineData("35 g of quince paste, melted", 35, "Quince paste", "melted", false)]
    // Avoirdupois pound and ounce: NIST Handbook 44, Appendix C.
    [InlineData("1 lb salt", 453.59237, "Salt", "", true)]
    [InlineData("2 lb 4 oz salt", 1020.5828325, "Salt", "", true)]
    [InlineData("1 1/2 lb salt", 680.388555, "Salt", "", true)]
    [InlineData("1½ oz salt", 42.5242846875, "Salt", "", true)]
    [InlineData("¼ oz salt", 7.08738078125, "Salt", "", true)]
    public void A_weight_an_ingredient_and_its_preparation_are_read(string text, double grams, string name, string preparation, bool isKnown)
    {
        var (line, fault) = RecipeLineReader.Read(text, Known);
        Assert.Null(fault);
        Assert.Equal(grams, line!.Amount.Grams, 1e-6);
        Assert.Equal((name, preparation, isKnown), (line.Name, line.Preparation, line.Known is not null));
    }

    [Theory]
    [InlineData("flour")]
    [InlineData("2 cups flour")]
    [InlineData("3 eggs")]
    [InlineData("450 g")]
    [InlineData("0 g flour")]
    [InlineData("-5 g flour")]
    [InlineData("1/0 lb flour")]
    [InlineData("1e9 g flour")]
    [InlineData("99999 kg flour")]
    [InlineData("1.2.3 g flour")]
    [InlineData("5 gflour")]
    public void What_is_no_weight_of_something_is_said(string text)
    {
        var (line, fault) = RecipeLineReader.Read(text, Known);
        Assert.Null(line);
        Assert.False(string.IsNullOrWhiteSpace(fault));
    }

    [Fact]
    public void Reading_what_was_written_gives_the_same_line() =>
        Gen.Select(Gen.Int[1, 900_000], Gen.OneOfConst(Ingredients), Gen.OneOfConst(string.Empty, "cold, cubed", "pared"))
            .Sample((thousandths, ingredient, preparation) =>
            {
                var written = new RecipeLine(ingredient, preparation, Yield.Whole, Mass.FromGrams(thousandths / 1000.0));
                var (read, _) = RecipeLineReader.Read(RecipeLineReader.Write(written), Known);
                return read!.Known == ingredient && read.Preparation == preparation && Math.Abs(read.Amount.Grams - written.Amount.Grams) < 1e-9;
            });

    [Fact]
    public void No_text_makes_it_stumble() =>
        Gen.String.Sample(text =>
        {
            var (line, fault) = RecipeLineReader.Read(text, Known);
            return (line is null) != (fault is null);
        }, iter: 2000);
}
