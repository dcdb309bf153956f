using Lumpet.Core.Ingredients;
using Xunit;

namespace Lumpet.Core.Tests.Ingredients;

public sealed class PackSizeTests
{
    // Factors: NIST Handbook 44, Appendix C: 1 lb = 453.59237 g, 1 oz = 28.349523125 g, 1 US gallon = 3785.411784 ml.
    [Theory]
    [InlineData("25 kg", "25000", PackUnit.Gram)]
    [InlineData("25kg sack", "25000", PackUnit.Gram)]
    [InlineData("Sack of 25 kg", "25000", PackUnit.Gram)]
    [InlineData("case of 6 x 1 l", "6000", PackUnit.Millilitre)]
    [InlineData("6x1L", "6000", PackUnit.Millilitre)]
    [InlineData("4 x 6 x 330 ml", "7920", PackUnit.Millilitre)]
    [InlineData("tray of 30 eggs", "30", PackUnit.Piece)]
    [InlineData("tray of 30", "30", PackUnit.Piece)]
    [InlineData("12 x 12", "144", PackUnit.Piece)]
    [InlineData("30 eggs", "30", PackUnit.Piece)]
    [InlineData("15 dozen", "180", PackUnit.Piece)]
    [InlineData("1,5 kg", "1500", PackUnit.Gram)]
    [InlineData("1.5 kg", "1500", PackUnit.Gram)]
    [InlineData("1,000 pieces", "1000", PackUnit.Piece)]
    [InlineData("50 lb", "22679.6185", PackUnit.Gram)]
    [InlineData("12 × 8 oz", "2721.5542200", PackUnit.Gram)]
    [InlineData("1 gal", "3785.411784", PackUnit.Millilitre)]
    [InlineData("tin of 820 g, drained 460 g", "460", PackUnit.Gram)]
    [InlineData("6 x 820 g (drained weight 460 g)", "2760", PackUnit.Gram)]
    public void A_pack_is_read_as_suppliers_say_it(string said, string amount, PackUnit unit)
    {
        var (pack, fault) = PackSize.Read(said);
        Assert.True(pack is not null, fault);
        Assert.Equal((decimal.Parse(amount, System.Globalization.CultureInfo.InvariantCulture), unit, said), (pack.Amount, pack.Unit, pack.Said));
    }

    [Theory]
    [InlineData("")]
    [InlineData(null)]
    [InlineData("a sack")]
    [InlineData("25")]
    [InlineData("0 kg")]
    [InlineData("-5 kg")]
    [InlineData("3 tbsp")]
    [InlineData("1 t")]
    [InlineData("1 cup")]
    [InlineData("999999999 kg")]
    [InlineData("820 g, drained 900 g")]
    [InlineData("1 l, drained 500 g")]
    [InlineData("kg 25 kg 25")]
    [InlineData("=1+2")]
    [InlineData("0 x 5 kg")]
    public void What_is_no_pack_is_refused_in_words(string? said)
    {
        var (pack, fault) = PackSize.Read(said);
        Assert.Null(pack);
        Assert.NotEmpty(fault);
    }
}
