using CsCheck;
using Lumpet.Core.Measures;
using Xunit;

namespace Lumpet.Core.Tests.Measures;

public sealed class RoundingTests
{
    [Fact]
    public void Parts_add_up_to_the_rounded_total_and_none_moves_by_a_whole_step() =>
        Gen.Select(Gen.Double[0, 5000].Array[1, 12], Gen.OneOfConst(1.0, 0.1, 5.0)).Sample((parts, step) =>
        {
            var rounded = SharedRounding.Round(parts, step);
            Assert.Equal(Math.Round(parts.Sum() / step, MidpointRounding.AwayFromZero) * step, rounded.Sum(), 6);
            Assert.All(parts.Zip(rounded), pair => Assert.True(Math.Abs(pair.First - pair.Second) < step + 1e-6));
        });

    [Fact]
    public void The_part_that_lost_most_gets_the_missing_gram() =>
        Assert.Equal([33, 33, 34], SharedRounding.Round([33.2, 33.3, 33.5], 1));

    // Worked by hand: 1.25 and 2.6 make 3.85, which is 7.7 halves, so 8; rounded down they are 2 and 5, and 1.25 lost a half of a half, 2.6 a fifth.
    [Fact]
    public void Steps_other_than_one_are_counted_in_steps()
    {
        Assert.Equal([1.5, 2.5], SharedRounding.Round([1.25, 2.6], 0.5));
        Assert.Equal([1.5m, 2.5m], SharedRounding.Round([1.25m, 2.6m], 0.5m));
        Assert.Equal([10.0, 25.0], SharedRounding.Round([12.0, 24.0], 5.0));
        Assert.Equal([10m, 25m], SharedRounding.Round([12m, 24m], 5m));
    }

    [Fact]
    public void What_is_on_a_step_already_stays_there() => Assert.Equal([0.3, 0.7], SharedRounding.Round([0.3, 0.7], 0.1));

    [Theory]
    [InlineData(1486.54, 1487)]
    [InlineData(20.4, 20)]
    [InlineData(19.96, 20)]
    [InlineData(0.55, 0.6)]
    public void A_scale_shows_whole_grams_and_tenths_of_a_spice(double grams, double shown) =>
        Assert.Equal(shown, ScaleReading.GramsOf(Mass.FromGrams(grams)));

    [Fact]
    public void Coins_that_are_shown_add_up_in_decimals() =>
        CsCheck.Check.Sample(CsCheck.Gen.Int[0, 9_999_999].Array[1, 14], raw =>
        {
            decimal[] parts = [.. raw.Select(one => one / 1_000_000m)];
            var shown = SharedRounding.Round(parts, 0.01m);
            return shown.Sum() == Math.Round(parts.Sum(), 2, MidpointRounding.AwayFromZero)
                && shown.Zip(parts).All(pair => Math.Abs(pair.First - pair.Second) < 0.01m && pair.First == Math.Round(pair.First, 2));
        });

    [Theory]
    [InlineData("EUR", "0.01")]
    [InlineData("JPY", "1")]
    [InlineData("KWD", "0.001")]
    public void The_smallest_coin_is_the_currencys(string currency, string coin) =>
        Assert.Equal(decimal.Parse(coin, System.Globalization.CultureInfo.InvariantCulture), Money.SmallestCoin(currency));

    [Theory]
    [InlineData(0.0, null, 0)]
    [InlineData(0.03, null, 0.03)]
    [InlineData(0.0449, null, 0.045)]
    [InlineData(0.00001, null, 0.001)]
    [InlineData(0.05, null, 0.1)]
    [InlineData(2.0, 5.0, 2)]
    [InlineData(2.5, 5.0, 5)]
    [InlineData(40.0, 100.0, 40)]
    [InlineData(60.0, 100.0, 100)]
    public void What_is_there_is_never_shown_as_nothing(double grams, double? step, double shown) =>
        Assert.Equal(shown, ScaleReading.GramsOf(Mass.FromGrams(grams), step));
}
