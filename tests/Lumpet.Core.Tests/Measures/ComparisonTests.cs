using CsCheck;
using Lumpet.Core.Measures;
using Xunit;

namespace Lumpet.Core.Tests.Measures;

public sealed class ComparisonTests
{
    private static readonly Gen<(double One, double Other)> Pairs = Gen.Select(Gen.Int[0, 5], Gen.Int[0, 5]).Select(pair => ((double)pair.Item1, (double)pair.Item2));

    [Fact]
    public void Masses_and_lengths_compare_as_their_numbers_do() => Pairs.Sample(pair =>
    {
        var (one, other) = pair;
        var (mass, otherMass) = (Mass.FromGrams(one), Mass.FromGrams(other));
        Assert.Equal([one < other, one > other, one <= other, one >= other], [mass < otherMass, mass > otherMass, mass <= otherMass, mass >= otherMass]);
        Assert.Equal(one.CompareTo(other), mass.CompareTo(otherMass));
        var (length, otherLength) = (Length.FromCentimetres(one), Length.FromCentimetres(other));
        Assert.Equal([one < other, one > other, one <= other, one >= other], [length < otherLength, length > otherLength, length <= otherLength, length >= otherLength]);
        Assert.Equal(one.CompareTo(other), length.CompareTo(otherLength));
    });

    // Worked by hand.
    [Fact]
    public void Measures_reckon_in_their_units()
    {
        Assert.Equal(750, (Mass.FromKilograms(0.5) + Mass.FromGrams(300) - Mass.FromGrams(50)).Grams);
        Assert.Equal(0.25, (Mass.FromGrams(1000) / 4).Kilograms);
        Assert.Equal(2.5, Mass.FromGrams(500) / Mass.FromGrams(200));
        Assert.Equal(3.5, (Length.FromMillimetres(45) - Length.FromCentimetres(1)).Centimetres);
        Assert.Equal(35, (Length.FromMillimetres(25) + Length.FromCentimetres(1)).Millimetres);
        Assert.Equal(12, (Length.FromCentimetres(4) * Length.FromCentimetres(3)).SquareCentimetres);
        Assert.Equal(7, (Length.FromCentimetres(3.5) * 2).Centimetres);
        Assert.Equal(1.75, Length.FromCentimetres(3.5) / Length.FromCentimetres(2));
        Assert.Equal(24, (Area.FromSquareCentimetres(12) * Length.FromCentimetres(2)).Millilitres);
        Assert.Equal(18, ((Area.FromSquareCentimetres(12) * 0.5) + Area.FromSquareCentimetres(12)).SquareCentimetres);
        Assert.Equal(3, Area.FromSquareCentimetres(12) / Area.FromSquareCentimetres(4));
        Assert.Equal(125, (Volume.FromMillilitres(250) * Density.FromGramsPerMillilitre(0.5)).Grams);
        Assert.Equal(500, (Mass.FromGrams(250) / Density.FromGramsPerMillilitre(0.5)).Millilitres);
        Assert.Equal(350, ((Volume.FromMillilitres(50) * 3) + Volume.FromMillilitres(200)).Millilitres);
        Assert.Equal(0.25, Volume.FromMillilitres(50) / Volume.FromMillilitres(200));
        Assert.Equal(new Money(7.5m, "EUR"), (new Money(2.5m, "EUR") * 2) + new Money(2.5m, "EUR"));
    }
}
