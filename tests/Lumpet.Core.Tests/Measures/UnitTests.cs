using Lumpet.Core.Measures;
using Xunit;

namespace Lumpet.Core.Tests.Measures;

/// <summary>Exact definitions: NIST Handbook 44, Appendix C, and NIST SP 811; UnitsNet is the independent implementation.</summary>
public sealed class UnitTests
{
    [Fact]
    public void Pounds_and_ounces_are_exact()
    {
        Assert.Equal(453.59237, Mass.FromPounds(1).Grams, 12);
        Assert.Equal(28.349523125, Mass.FromOunces(1).Grams, 12);
        Assert.Equal(UnitsNet.Mass.FromPounds(2.75).Grams, Mass.FromPounds(2.75).Grams, 9);
        Assert.Equal(UnitsNet.Mass.FromOunces(4).Grams, Mass.FromOunces(4).Grams, 9);
        // A US stick of butter is 4 oz.
        Assert.Equal(113.4, Mass.FromOunces(4).Grams, 1);
    }

    [Fact]
    public void Cups_and_spoons_are_exact()
    {
        Assert.Equal(236.5882365, Volume.FromUsCups(1).Millilitres, 9);
        Assert.Equal(14.78676478125, Volume.FromUsTablespoons(1).Millilitres, 9);
        Assert.Equal(4.92892159375, Volume.FromUsTeaspoons(1).Millilitres, 9);
        Assert.Equal(29.5735295625, Volume.FromUsFluidOunces(1).Millilitres, 9);
        Assert.Equal(UnitsNet.Volume.FromUsCustomaryCups(3.5).Milliliters, Volume.FromUsCups(3.5).Millilitres, 9);
        Assert.Equal(UnitsNet.Volume.FromUsTablespoons(7).Milliliters, Volume.FromUsTablespoons(7).Millilitres, 9);
        Assert.Equal(1, Volume.FromMillilitres(236.5882365).UsCups, 12);
    }

    [Fact]
    public void Inches_and_degrees_are_exact()
    {
        Assert.Equal(22.86, Length.FromInches(9).Centimetres, 12);
        Assert.Equal(UnitsNet.Length.FromInches(13).Centimeters, Length.FromInches(13).Centimetres, 9);
        // C = (F - 32) / 1.8 (NIST SP 811): 425 F is 218.3 C, 160 F is 71.1 C.
        Assert.Equal(218.33, Temperature.FromFahrenheit(425).Celsius, 2);
        Assert.Equal(UnitsNet.Temperature.FromDegreesFahrenheit(160).DegreesCelsius, Temperature.FromFahrenheit(160).Celsius, 9);
        Assert.Equal(135, Temperature.FromCelsius(57.2222222).Fahrenheit, 4);
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
        Assert.Throws<ArgumentOutOfRangeException>(() => Temperature.FromCelsius(number));
        Assert.Throws<ArgumentOutOfRangeException>(() => Density.FromGramsPerMillilitre(number));
    }

    [Fact]
    public void A_density_turns_volume_into_mass_and_back()
    {
        // USDA FoodData Central, SR Legacy, from memory: a cup of whole milk weighs 244 g.
        var milk = Density.FromGramsPerMillilitre(244 / 236.5882365);
        Assert.Equal(244, (Volume.FromUsCups(1) * milk).Grams, 9);
        Assert.Equal(1, (Mass.FromGrams(244) / milk).UsCups, 9);
    }

    [Fact]
    public void Money_of_two_currencies_is_not_added()
    {
        Assert.Equal(new Money(3.5m, "EUR"), new Money(1.5m, "EUR") + new Money(2m, "EUR"));
        Assert.Throws<InvalidOperationException>(() => new Money(1, "EUR") + new Money(1, "NOK"));
    }
}
