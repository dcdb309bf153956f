using Lumpet.Core.Orders;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Orders;

/// <summary>Orders that repeat. The calendar is NodaTime's: 25 November 2026 is a Wednesday.</summary>
public sealed class StandingOrderTests
{
    private static readonly LocalDate Today = new(2026, 11, 25);
    private static readonly StandingOrderDraft Right = new("pear", "23", 12, ["monday", "friday"], "09:00", " kiosk ", "2026-11-27", "2026-12-04", 90);

    private static StandingOrder Order(StandingOrderDraft draft)
    {
        var (order, faults) = StandingOrderReader.Read(draft, TestBakery.Products, Today);
        Assert.Empty(faults);
        return order;
    }

    private static string[] Fields(StandingOrderDraft draft) => [.. StandingOrderReader.Read(draft, TestBakery.Products, Today).Faults.Select(fault => fault.Field)];

    [Fact]
    public void It_comes_on_its_days_from_its_first_to_its_last()
    {
        var order = Order(Right);
        LocalDate[] on = [.. Enumerable.Range(0, 30).Select(ahead => Today.PlusDays(ahead - 5)).Where(order.IsOn)];
        Assert.Equal([new LocalDate(2026, 11, 27), new LocalDate(2026, 11, 30), new LocalDate(2026, 12, 4)], on);
        Assert.Equal(new OrderLine("pear", "23", 12, new LocalDateTime(2026, 11, 30, 9, 0), "kiosk") { MayBeLateMin = 90 }, order.On(on[1]));
    }

    [Fact]
    public void Its_next_day_is_looked_for_from_its_first_and_not_beyond_its_last()
    {
        var order = Order(Right);
        Assert.Equal(new LocalDate(2026, 11, 27), order.Next(Today.PlusDays(-100)));
        Assert.Equal(new LocalDate(2026, 11, 30), order.Next(new LocalDate(2026, 11, 28)));
        Assert.Equal(new LocalDate(2026, 12, 4), order.Next(new LocalDate(2026, 12, 4)));
        Assert.Null(order.Next(new LocalDate(2026, 12, 5)));
        Assert.False(order.GoesOn(new LocalDate(2026, 12, 5)));
        Assert.True(Order(Right with { Until = null }).GoesOn(new LocalDate(2999, 1, 1)));
    }

    [Theory]
    [InlineData("every day", "monday", "tuesday", "wednesday", "thursday", "friday", "saturday", "sunday")]
    [InlineData("Mon to Fri", "friday", "monday", "tuesday", "wednesday", "thursday")]
    [InlineData("Mon, Wed and Sat", "monday", "wednesday", "saturday")]
    [InlineData("Sat and Sun", "saturday", "sunday")]
    [InlineData("every Thursday", "thursday")]
    public void Its_days_are_said_as_people_say_them(string words, params string[] days) => Assert.Equal(words, Order(Right with { Days = days }).DaysInWords);

    [Fact]
    public void What_is_read_is_written_as_it_was()
    {
        var order = Order(Right);
        Assert.Equal(order with { Days = [] }, Order(StandingOrderReader.Write(order)) with { Days = [] });
        Assert.Equal(order.Days, Order(StandingOrderReader.Write(order)).Days);
        Assert.Equal(["monday", "friday"], StandingOrderReader.Write(order).Days!);
    }

    [Fact]
    public void What_has_passed_is_not_ordered()
    {
        Assert.Equal(Today, Order(Right with { From = "2026-01-01" }).From);
        Assert.Equal(Today, Order(Right with { From = null }).From);
    }

    [Fact]
    public void Every_fault_is_named_at_once() =>
        Assert.Equal(["days", "at", "from", "until", "count", "product", "for", "mayBeLateMin"], Fields(new StandingOrderDraft("mango", "23", 0, ["someday"], "25:00", "a\tb", "tomorrow", "2026-02-31", -1)));

    [Fact]
    public void An_end_lies_after_the_beginning_and_leaves_one_of_its_days()
    {
        Assert.Equal(["until"], Fields(Right with { Until = "2026-11-26" }));
        // From Saturday to Sunday there is neither Monday nor Friday.
        Assert.Equal(["until"], Fields(Right with { From = "2026-11-28", Until = "2026-11-29" }));
        Assert.Empty(Fields(Right with { From = "2026-11-28", Until = "2026-11-30" }));
        Assert.Equal(["from"], Fields(Right with { From = "2027-11-27", Until = null }));
        Assert.Empty(Fields(Right with { From = "2027-11-26", Until = null }));
    }
}
