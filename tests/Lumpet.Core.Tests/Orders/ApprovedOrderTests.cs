using Lumpet.Core.Orders;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Orders;

public sealed class ApprovedOrderTests
{
    // A Wednesday, 14:30; clocks in Lisbon go forward on 28 March 2027.
    private static readonly LocalDateTime Now = new(2026, 11, 25, 14, 30, 0);
    private static readonly DateTimeZone Zone = DateTimeZoneProviders.Tzdb["Europe/Lisbon"];

    private static readonly string[] Days =
    [
        "", "today", "tomorrow", "TODAY", "mon", "tue", "wed", "thu", "fri", "sat", "sun", "monday", "tuesday", "Wednesday", "thursday", "FRIDAY", "saturday", "sunday", "mo", "satur", "saturdays", "2026-11-27", "2027-02-29", "2026-13-01",
        "27/11", "27/11/2027", "1/12", "31/12", "32/12", "29/2", "28/2", "27.11.", "27.11.2026", "24.11.", "0/0", "13/13", "27 nov", "27 Nov.", "nov 27", "november 27th", "1st dec", "2nd january", "3rd feb", "31 apr", "29 feb", "no 27", "nov", "27", "dec 32", "may 3", "25 november", "24 november",
        "1 jan", "june 30", "jul 1", "aug 15", "sep 9", "oct 31", "mar 28", "27/11/26",
    ];

    private static readonly string[] Times = ["9:00", "9.00", "09:00", "0900", "9am", "9 am", "9pm", "12am", "12pm", "12:30am", "0am", "13pm", "24:00", "23:59", "9:60", "9:5", "900", "9", "noon", "2400", "2360", "1:30", "", "00:00"];

    private static readonly string[] Lines =
    [
        "", " ", "24", "24 pear", "24 pear @", "24 pear @ 23", "pear @ 23 9:00", "24 pear @ 23 sat 9:00 kiosk", "24 pear and ginger @ 26 cm sat 9:00 the net loft, quay 2", "2 oat @ 23 tomorrow 7.30am stall 4", "2001 pear @ 23 sat 9:00", "2000 pear @ 23 sat 9:00",
        "0 pear @ 23 sat 9:00", "1 pear @ 23 sat 9:00", "24 quince @ 23 sat 9:00", "24 pear @ 30 sat 9:00", "24 pear @ 23 x 30 sat 9:00", "24 @ 23 sat 9:00", "24 an @ 23 sat 9:00", "24 pear @ 23 sat kiosk 9:00", "24 pear @ 23 today 14:30", "24 pear @ 23 today 14:31",
        "24 pear @ 23 28/3/2027 1:30", "24 pear @ 23 26/11/2027 14:30", "24 pear @ 23 26/11/2027 14:31", "24 pear @ 23 sat 9:00 " + "abcdefgh ", "24 pear@23 sat 9:00", "24pear @ 23 sat 9:00", "1234567890123 pear @ 23 sat 9:00",
        "24 a product with a very long name that nobody ever made in any bakery @ 23 sat 9:00", "24 pear @ averyverylongpannamethatnobodyhaseverusedinanybakery sat 9:00", "24 pear @ 23 averyveryverylongwordthatisnotimeatallandisabouttoolong",
    ];

    private static string Read(string line) => Told.Of(OrderLineReader.Read(line, TestBakery.Products, new LocalDate(2026, 11, 27), Now, Zone));

    [Fact]
    public void Every_day_and_time_is_understood_as_approved() => Approved.Matches(
        "Orders/days-and-times",
        Days.Select(day => $"3 pear @ 23 {day} 15:10 kiosk").Concat(Times.Select(time => $"3 pear @ 23 sat {time} kiosk")).Select(line => $"{line}: {Read(line)}"));

    [Fact]
    public void Every_line_is_understood_as_approved() => Approved.Matches("Orders/lines", Lines.Select(line => $"{line}: {Read(line)}"));

    [Fact]
    public void Totals_and_limits_are_as_approved()
    {
        OrderLine Line(string product, string pan, int count, int hour) => new(product, pan, count, Now.Date.PlusDays(1).At(new LocalTime(hour, 0)), "kiosk");
        var totals = OrderTotals.Of([Line("custard", "26", 4, 11), Line("pear", "23", 12, 9), Line("pear", "23", 2, 11), Line("pear", "26", 1, 9), Line("gone", "23", 7, 9)], TestBakery.Products);
        Approved.Matches("Orders/totals", new object?[]
        {
            totals.PickUps, totals.Rows, totals.Total, new OrdersOfADay(3000, 100_000).Fault, new OrdersOfADay(3001, 5).Fault, new OrdersOfADay(2, 100_001).Fault, new OrdersOfADay(1, 2).With(Line("pear", "23", 5, 9)),
            OrderRules.Faults(new OrderLine("pear", "23", 1, Now.PlusDays(1), new string('x', 81)), TestBakery.Products, Now, Zone),
            OrderRules.Faults(new OrderLine("pear", "23", 1, Now.PlusDays(1), new string('x', 80)), TestBakery.Products, Now, Zone),
            OrderRules.Faults(new OrderLine("pear", "23", 1, Now.PlusDays(366), "a\u200bb"), TestBakery.Products, Now, Zone),
            OrderRules.Faults(new OrderLine("pear", "23", 1, Now.PlusDays(366).PlusMinutes(1), "\u3164"), [TestBakery.Pear with { IsRetired = true }], Now, Zone),
            OrderRules.Faults(new OrderLine("plum", "23", 1, Now.PlusDays(1), ""), [], Now, Zone),
            OrderLineReader.Read(new string('1', 201), TestBakery.Products, Now.Date, Now, Zone), OrderLineReader.Read(new string('1', 200), TestBakery.Products, Now.Date, Now, Zone).Faults,
        }.Select(Told.Of));
    }
}
