using Lumpet.Core.Measures;
using Lumpet.Core.Measures.Amounts;
using Xunit;

namespace Lumpet.Core.Tests.Measures;

/// <summary>Exact definitions: NIST Handbook 44, Appendix C, and NIST SP 811; UnitsNet is the independent implementation.</summary>
public sealed class UnitTests
{
    private static double Size(string amount) => AmountReader.Read($"{amount} of it")!.Amount.Parts.Sum(part => part.Middle * part.Unit.Size);

    [Fact]
    public void Pounds_and_ounces_are_exact()
    {
        Assert.Equal(453.59237, Size("1 lb"), 12);
        Assert.Equal(28.349523125, Size("1 oz"), 12);
        Assert.Equal(UnitsNet.Mass.FromPounds(2.75).Grams, Size("2.75 lb"), 9);
        Assert.Equal(UnitsNet.Mass.FromOunces(4).Grams, Size("4 oz"), 9);
    }

    [Fact]
    public void Cups_spoons_and_pints_are_exact()
    {
        Assert.Equal(236.5882365, Size("1 cup"), 9);
        Assert.Equal(14.78676478125, Size("1 tbsp"), 9);
        Assert.Equal(4.92892159375, Size("1 tsp"), 9);
        Assert.Equal(29.5735295625, Size("1 fl oz"), 9);
        Assert.Equal(473.176473, Size("1 pint"), 9);
        Assert.Equal(550.6104713575, Size("1 dry pint"), 9);
        Assert.Equal(2 * 550.6104713575, Size("1 dry quart"), 9);
        Assert.Equal(UnitsNet.Volume.FromUsCustomaryCups(3.5).Milliliters, Size("3.5 cups"), 9);
        Assert.Equal(UnitsNet.Volume.FromUsTablespoons(7).Milliliters, Size("7 tbsp"), 9);
        Assert.Equal(UnitsNet.Volume.FromUsQuarts(2).Milliliters, Size("2 quarts"), 9);
    }

    [Theory]
    [InlineData(double.NaN)]
    [InlineData(double.PositiveInfinity)]
    [InlineData(double.NegativeInfinity)]
    public void A_measure_is_a_finite_number(double number)
    {
        Assert.Throws<ArgumentOutOfRangeException>(() => Mass.FromGrams(number));
        Assert.Throws<ArgumentOutOfRangeException>(() => Volume.FromMillilitres(number));
        Assert.Throws<ArgumentOutOfRangeException>(() => Length.FromCentimetres(number));
        Assert.Throws<ArgumentOutOfRangeException>(() => Density.FromGramsPerMillilitre(number));
    }

    [Fact]
    public void A_density_turns_volume_into_mass_and_back()
    {
        // USDA FoodData Central, SR Legacy, from memory: a cup of whole milk weighs 244 g.
        var milk = Density.FromGramsPerMillilitre(244 / 236.5882365);
        Assert.Equal(244, (Volume.FromMillilitres(236.5882365) * milk).Grams, 9);
        Assert.Equal(236.5882365, (Mass.FromGrams(244) / milk).Millilitres, 9);
    }

    [Fact]
    public void Money_of_two_currencies_is_not_added()
    {
        Assert.Equal(new Money(3.5m, "EUR"), new Money(1.5m, "EUR") + new Money(2m, "EUR"));
        Assert.Throws<InvalidOperationException>(() => new Money(1, "EUR") + new Money(1, "NOK"));
    }
}
