using CsCheck;
using Lumpet.Core.Orders;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Orders;

public sealed class OrderLineReaderTests
{
    // A Wednesday, 14:30.
    private static readonly LocalDateTime Now = new(2026, 11, 25, 14, 30, 0);
    private static readonly LocalDate Friday = new(2026, 11, 27);
    private static readonly DateTimeZone Zone = DateTimeZoneProviders.Tzdb["Europe/Lisbon"];

    private static UnderstoodLine Read(string line) => OrderLineReader.Read(line, TestBakery.Products, Friday, Now, Zone);

    [Theory]
    [InlineData("24 pear @ 23 sat 9:00 kiosk", "pear", "23", 24, "2026-11-28T09:00", "kiosk")]
    [InlineData("24 pear @23 sat 9:00 kiosk", "pear", "23", 24, "2026-11-28T09:00", "kiosk")]
    [InlineData("  6 oat custard @ 26 cm tomorrow 7.30am", "custard", "26", 6, "2026-11-26T07:30", "")]
    [InlineData("1 PEAR @ 26 2026-12-24 1900 Net loft cafe", "pear", "26", 1, "2026-12-24T19:00", "Net loft cafe")]
    [InlineData("12 ginger @ 23 11:00 stall 4", "pear", "23", 12, "2026-11-27T11:00", "stall 4")]
    [InlineData("3 cust @ 23cm today 11pm", "custard", "23", 3, "2026-11-25T23:00", "")]
    [InlineData("3 pear @ 23 wednesday 15:00", "pear", "23", 3, "2026-11-25T15:00", "")]
    [InlineData("3 pear @ 23 fri 12am", "pear", "23", 3, "2026-11-27T00:00", "")]
    [InlineData("3 pear @ 23 27 nov 9:00 loft", "pear", "23", 3, "2026-11-27T09:00", "loft")]
    [InlineData("3 pear @ 23 27th November 9:00", "pear", "23", 3, "2026-11-27T09:00", "")]
    [InlineData("3 pear @ 23 nov 27 9:00 loft", "pear", "23", 3, "2026-11-27T09:00", "loft")]
    [InlineData("3 pear @ 23 Nov. 27, 9:00", "pear", "23", 3, "2026-11-27T09:00", "")]
    [InlineData("3 pear @ 23 27.11. 9.00", "pear", "23", 3, "2026-11-27T09:00", "")]
    [InlineData("3 pear @ 23 27.11.2026 9:00", "pear", "23", 3, "2026-11-27T09:00", "")]
    [InlineData("3 pear @ 23 27/11 9:00 stall 4", "pear", "23", 3, "2026-11-27T09:00", "stall 4")]
    [InlineData("3 pear @ 23 25/11 15:00", "pear", "23", 3, "2026-11-25T15:00", "")]
    [InlineData("3 pear @ 23 24/11 15:00", "pear", "23", 3, "2027-11-24T15:00", "")]
    [InlineData("3 pear @ 23 3/4 15:00", "pear", "23", 3, "2027-04-03T15:00", "")]
    [InlineData("3 pear @ 23 12.11 loft", "pear", "23", 3, "2026-11-27T12:11", "loft")]
    [InlineData("3 pear @ 23 9:00 may 3", "pear", "23", 3, "2026-11-27T09:00", "may 3")]
    public void A_line_is_understood(string line, string product, string pan, int count, string pickUp, string who)
    {
        var understood = Read(line);
        Assert.Empty(understood.Faults);
        Assert.Equal(new OrderLine(product, pan, count, PickUpText.Read(pickUp)!.Value, who), understood.Order);
    }

    [Theory]
    [InlineData("2 pear @ 34 x 24 9:00 kiosk", "34x24")]
    [InlineData("2 pear @ 34x24 9:00 kiosk", "34x24")]
    [InlineData("2 pear @ 34 × 24 cm 9:00 kiosk", "34x24")]
    [InlineData("2 pear @ 26-deep 9:00 kiosk", "26-deep")]
    public void Slabs_are_named_by_their_sides_and_pans_may_have_longer_names(string line, string pan)
    {
        var product = TestBakery.Pear with { Sizes = [.. TestBakery.Pear.Sizes, new(TestBakery.Pan26 with { Id = "34x24" }, null), new(TestBakery.Pan26 with { Id = "26-deep" }, null)] };
        var understood = OrderLineReader.Read(line, [product], Friday, Now, Zone);
        Assert.Empty(understood.Faults);
        Assert.Equal((pan, "kiosk"), (understood.Order!.Pan, understood.Order.For));
    }

    [Theory]
    [InlineData("", "count")]
    [InlineData("pear @ 23 9:00", "count")]
    [InlineData("0 pear @ 23 9:00", "count")]
    [InlineData("-4 pear @ 23 9:00", "count")]
    [InlineData("1000000000 pear @ 23 9:00", "count")]
    [InlineData("99999999999999999999 pear @ 23 9:00", "count")]
    [InlineData("24 mango @ 23 9:00", "product")]
    [InlineData("24 @ 23 9:00", "product")]
    [InlineData("24 pear", "pan")]
    [InlineData("24 pear @ 30 9:00", "pan")]
    [InlineData("24 pear @ 23", "pickUp")]
    [InlineData("24 pear @ 23 25:00", "pickUp")]
    [InlineData("24 pear @ 23 31 nov 9:00", "pickUp")]
    [InlineData("24 pear @ 23 11/27 9:00", "pickUp")]
    [InlineData("24 pear @ 23 0/11 9:00", "pickUp")]
    [InlineData("24 pear @ 23 29 feb 9:00", "pickUp")]
    [InlineData("24 pear @ 23 9", "pickUp")]
    [InlineData("24 pear @ 23 today 9:00", "pickUp")]
    [InlineData("24 pear @ 23 2029-01-01 9:00", "pickUp")]
    [InlineData("24 pear @ 23 9:00\u0007", "line")]
    public void What_is_wrong_is_named_with_its_field(string line, string field)
    {
        var understood = Read(line);
        Assert.Null(understood.Order);
        Assert.Contains(field, understood.Faults.Select(fault => fault.Field));
        Assert.All(understood.Faults, fault => Assert.EndsWith(".", fault.Message, StringComparison.Ordinal));
    }

    [Fact]
    public void What_was_understood_so_far_is_said_while_it_is_typed() =>
        Assert.Equal(["24 pies", "Pear and ginger"], Read("24 pea").Parts.Select(part => part.Meaning));

    [Fact]
    public void A_word_that_could_be_two_products_is_asked_back()
    {
        var twins = TestBakery.Products.Select(product => product with { Aliases = ["fair"] }).ToArray();
        Assert.Contains("could be", OrderLineReader.Read("2 fair @ 23 9:00", twins, Friday, Now, Zone).Faults[0].Message, StringComparison.Ordinal);
    }

    [Fact]
    public void An_hour_that_the_clock_skips_is_refused() =>
        // Lisbon puts its clocks forward on 28 March 2027 at 01:00.
        Assert.Contains("skips", Read("2 pear @ 23 2027-03-28 1:30").Faults[0].Message, StringComparison.Ordinal);

    [Fact]
    public void No_text_whatever_makes_it_fail() =>
        Gen.String.Sample(line => Assert.NotNull(Read(line).Parts), iter: 2000);
}
