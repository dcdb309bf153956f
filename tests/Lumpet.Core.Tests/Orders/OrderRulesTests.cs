using Lumpet.Core.Orders;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Orders;

public sealed class OrderRulesTests
{
    private static readonly LocalDateTime Now = new(2026, 11, 25, 14, 30, 0);
    private static readonly DateTimeZone Zone = DateTimeZoneProviders.Tzdb["Europe/Lisbon"];
    private static readonly OrderLine Right = new("pear", "23", 12, Now.PlusDays(1), "kiosk");

    private static string[] Fields(OrderLine line) => [.. OrderRules.Faults(line, TestBakery.Products, Now, Zone).Select(fault => fault.Field)];

    [Fact]
    public void A_right_order_has_no_fault() => Assert.Empty(Fields(Right));

    [Theory]
    [InlineData(1, true)]
    [InlineData(2000, true)]
    [InlineData(0, false)]
    [InlineData(-1, false)]
    [InlineData(2001, false)]
    [InlineData(int.MaxValue, false)]
    public void A_line_takes_1_to_2000_pies(int count, bool right) => Assert.Equal(right ? [] : ["count"], Fields(Right with { Count = count }));

    [Theory]
    [InlineData(0, true)]
    [InlineData(720, true)]
    [InlineData(-1, false)]
    [InlineData(721, false)]
    public void An_order_may_be_late_by_half_a_day(int minutes, bool right) => Assert.Equal(right ? [] : ["mayBeLateMin"], Fields(Right with { MayBeLateMin = minutes }));

    [Fact]
    public void Every_fault_is_named_at_once() =>
        Assert.Equal(["count", "product", "pickUp", "for"], Fields(new OrderLine("mango", "23", 0, Now.PlusHours(-1), "a\tb")));

    [Fact]
    public void A_pan_that_the_product_has_not_is_named_with_those_it_has() =>
        Assert.Equal(
            "Pear and ginger is not made in \"30\", only in 23 or 26.",
            Assert.Single(OrderRules.Faults(Right with { Pan = "30" }, TestBakery.Products, Now, Zone)).Message);

    [Fact]
    public void This_very_minute_has_passed_and_the_next_has_not()
    {
        Assert.Equal(["pickUp"], Fields(Right with { PickUp = Now }));
        Assert.Empty(Fields(Right with { PickUp = Now.PlusMinutes(1) }));
        Assert.Equal(["pickUp"], Fields(Right with { PickUp = Now.PlusDays(367) }));
    }

    [Fact]
    public void A_long_name_is_cut_in_the_message_not_in_the_order() =>
        Assert.True(OrderRules.Faults(Right with { Product = new string('x', 5000) }, TestBakery.Products, Now, Zone)[0].Message.Length < 200);

    [Theory]
    [InlineData("pear", "pear")]
    [InlineData("Pear and Ginger", "pear")]
    [InlineData("ging", "pear")]
    [InlineData("pear ginger", "pear")]
    [InlineData("oat", "custard")]
    [InlineData("cust oat", "custard")]
    public void A_product_is_found_by_what_people_call_it(string typed, string id) =>
        Assert.Equal([id], ProductNames.Find(typed, TestBakery.Products).Select(product => product.Id));

    [Theory]
    [InlineData("pearl")]
    [InlineData("oat pear")]
    [InlineData("")]
    public void What_nobody_calls_it_finds_nothing(string typed) => Assert.Empty(ProductNames.Find(typed, TestBakery.Products));

    [Theory]
    [InlineData("Europe/London")]
    [InlineData("Europe/Dublin")]
    [InlineData("Africa/Casablanca")]
    [InlineData("America/New_York")]
    public void Every_zones_skipped_hour_is_refused(string id)
    {
        // The next hour that this zone's clock skips, by the zone's own rules (IANA time zone database, through NodaTime).
        var zone = DateTimeZoneProviders.Tzdb[id];
        var start = Now.InZoneLeniently(zone).ToInstant();
        var skips = zone.GetZoneIntervals(start, start + Duration.FromDays(360)).Skip(1).First(interval => interval.WallOffset > zone.GetUtcOffset(interval.Start - Duration.Epsilon));
        var skipped = skips.IsoLocalStart.PlusMinutes(-30);
        Assert.Equal(["pickUp"], OrderRules.Faults(Right with { PickUp = skipped }, TestBakery.Products, Now, zone).Select(fault => fault.Field));
        Assert.Empty(OrderRules.Faults(Right with { PickUp = skips.IsoLocalStart }, TestBakery.Products, Now, zone));
        Assert.Empty(OrderRules.Faults(Right with { PickUp = skipped.PlusMinutes(-60) }, TestBakery.Products, Now, zone));
    }

    [Theory]
    [InlineData("kiosk", true)]
    [InlineData("", true)]
    [InlineData("\u200b", false)]
    [InlineData("kiosk\u202e", false)]
    public void A_name_that_is_given_can_be_seen(string whom, bool right) => Assert.Equal(right ? [] : ["for"], Fields(Right with { For = whom }));

    [Fact]
    public void A_day_takes_so_many_lines_and_pies_and_no_more()
    {
        Assert.Null(new OrdersOfADay(2999, 99_988).With(Right).Fault);
        Assert.Equal("count", new OrdersOfADay(2999, 99_989).With(Right).Fault!.Field);
        Assert.Equal("line", new OrdersOfADay(3000, 0).With(Right).Fault!.Field);
    }
}
