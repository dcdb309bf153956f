using Lumpet.Core.Prices;
using Xunit;

namespace Lumpet.Core.Tests.Prices;

public sealed class WrittenPricesTests
{
    private static (decimal?[] Paid, bool IsOpen) Read(string? sign, params string[] cells)
    {
        var (prices, isOpen) = WrittenPrices.Read(cells, "EUR", sign);
        return ([.. prices.Select(price => price.Paid)], isOpen);
    }

    [Fact]
    public void Decimals_are_parted_as_the_column_parts_them()
    {
        Assert.Equal([12.5m, 1234m, 7m], Read(null, "12.50", "1,234", "7").Paid);
        Assert.Equal([12.5m, 1234m, 7m], Read(null, "12,50", "1.234", "7").Paid);
        Assert.Equal([1234567.89m / 10, 0.125m], Read(null, "123.456,789", "0,125").Paid);
        Assert.Equal([1234.5m, 1234.5m], Read(null, "1 234,50", "1'234,50 €").Paid);
        Assert.Equal([12.5m, 3m], Read(null, "EUR 12.50", "3 eur").Paid);
        Assert.Equal([0.125m], Read(null, "0.125").Paid);
        // Twice the same sign parts thousands, and tells of the rest.
        Assert.Equal([1_000_000m, 1234m], Read(null, "1.000.000", "1.234").Paid);
    }

    [Fact]
    public void A_number_that_may_be_one_or_a_thousand_is_asked_and_never_guessed()
    {
        var (paid, isOpen) = Read(null, "1.234", "12");
        Assert.True(isOpen);
        Assert.Equal([null, 12m], paid);
        Assert.Equal([1.234m, 12m], Read(".", "1.234", "12").Paid);
        Assert.False(Read(".", "1.234", "12").IsOpen);
        Assert.Equal([1234m, 12m], Read(",", "1.234", "12").Paid);
    }

    [Theory]
    [InlineData("$12.50")]
    [InlineData("£3")]
    [InlineData("12.50 GBP")]
    [InlineData("USD 3")]
    [InlineData("=3*4")]
    [InlineData("")]
    [InlineData("on request")]
    [InlineData("-3.00")]
    [InlineData("1.2.3")]
    [InlineData("12,34,567.00")]
    [InlineData("9999999.00")]
    [InlineData("1e5")]
    public void What_is_no_price_in_the_books_currency_is_refused(string cell)
    {
        var (prices, _) = WrittenPrices.Read([cell, "1.50"], "EUR", null);
        Assert.Null(prices[0].Paid);
        Assert.NotEmpty(prices[0].Fault);
        Assert.Equal(1.5m, prices[1].Paid);
    }

    [Fact]
    public void Two_manners_in_one_column_are_refused_where_they_part()
    {
        var (prices, _) = WrittenPrices.Read(["1.50", "2,50"], "EUR", null);
        Assert.Equal((1.5m, null), (prices[0].Paid, prices[1].Paid));
        Assert.Contains("parts its decimals", prices[1].Fault, StringComparison.Ordinal);
    }

    [Fact]
    public void A_dollar_is_the_dollar_of_the_books()
    {
        Assert.Equal(12.5m, WrittenPrices.Read(["$12.50"], "CAD", null).Prices[0].Paid);
        Assert.Null(WrittenPrices.Read(["US$12.50 CAD"], "GBP", null).Prices[0].Paid);
    }
}
