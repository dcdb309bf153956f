using Lumpet.Core.Stock;
using Xunit;

namespace Lumpet.Core.Tests.Stock;

/// <summary>One step back, one step forward, and on from there (the duty of Regulation (EC) 178/2002, article 18, from memory; the ways are worked out by hand).</summary>
public sealed class StockTraceTests
{
    private static readonly Guid[] Ids = [.. Enumerable.Range(0, 11).Select(number => new Guid(number, 0, 0, new byte[8]))];

    private const int Flour = 0, Butter = 1, Dough = 2, Pears = 3, PearPies = 4, Cream = 5, OpenCream = 6, Curd = 7, Tarts = 8, Salt = 9, Praline = 10;

    private static TracedEntry Entry(long number, StockEntryKind kind, int[] from, int[] to) => new(
        number, kind, [.. from.Select(lot => new TracedMovement(Ids[lot], new StockAmount(-5, StockUnit.Milligram))), .. to.Select(lot => new TracedMovement(Ids[lot], new StockAmount(9, StockUnit.Milligram)))]);

    private static readonly TracedEntry[] Books =
    [
        Entry(1, StockEntryKind.Received, [], [Flour]),
        Entry(2, StockEntryKind.Received, [], [Cream]),
        Entry(3, StockEntryKind.Made, [Flour, Butter, Salt], [Dough]),
        Entry(4, StockEntryKind.Wasted, [Flour], []),
        Entry(5, StockEntryKind.Made, [Dough, Pears], [PearPies]),
        Entry(6, StockEntryKind.Opened, [Cream], [OpenCream]),
        Entry(7, StockEntryKind.Made, [OpenCream, Salt], [Curd]),
        Entry(8, StockEntryKind.Made, [Dough, Curd], [Tarts]),
        // A count that sets one right and another wrong leads nowhere.
        Entry(9, StockEntryKind.Counted, [Pears], [Cream]),
        Entry(10, StockEntryKind.Made, [], [Praline]),
        // Taken back: it leads nowhere either.
        Entry(11, StockEntryKind.Made, [Flour], [Praline]),
    ];

    private static readonly TraceBook Ways = new(Books.Select(entry => new TraceStep(entry.Number, entry.Kind, [.. entry.From], [.. entry.To])), new HashSet<long> { 11 });

    private static void Is(int[] lots, long[] entries, StockTrace trace)
    {
        Assert.Equal(Array.IndexOf(Ids, trace.Start), Array.IndexOf(Ids, trace.Lots[0]));
        Assert.Equal(lots, trace.Lots.Select(lot => Array.IndexOf(Ids, lot)).Order());
        Assert.Equal(entries, trace.Steps.Select(step => step.Number));
    }

    [Theory]
    [InlineData(Flour, new[] { Flour, Dough, PearPies, Tarts }, new long[] { 3, 5, 8 })]
    [InlineData(Cream, new[] { Cream, OpenCream, Curd, Tarts }, new long[] { 6, 7, 8 })]
    [InlineData(Salt, new[] { Dough, PearPies, Curd, Tarts, Salt }, new long[] { 3, 5, 7, 8 })]
    [InlineData(Pears, new[] { Pears, PearPies }, new long[] { 5 })]
    [InlineData(Tarts, new[] { Tarts }, new long[0])]
    public void Forward_it_is_everything_that_a_lot_went_into(int start, int[] lots, long[] entries) => Is(lots, entries, Ways.Forward(Ids[start]));

    [Theory]
    [InlineData(PearPies, new[] { Flour, Butter, Dough, Pears, PearPies, Salt }, new long[] { 3, 5 })]
    [InlineData(Tarts, new[] { Flour, Butter, Dough, Cream, OpenCream, Curd, Tarts, Salt }, new long[] { 3, 6, 7, 8 })]
    [InlineData(Flour, new[] { Flour }, new long[0])]
    // What was made of things that no lot held comes of a batch nonetheless.
    [InlineData(Praline, new[] { Praline }, new long[] { 10 })]
    public void Back_it_is_everything_that_went_into_it(int start, int[] lots, long[] entries) => Is(lots, entries, Ways.Back(Ids[start]));

    [Fact]
    public void What_one_way_leads_to_the_other_leads_from()
    {
        foreach (var one in Ids)
            foreach (var other in Ids)
                Assert.Equal(Ways.Forward(one).Lots.Contains(other), Ways.Back(other).Lots.Contains(one));
    }

    [Fact]
    public void Books_that_go_round_in_a_circle_come_to_an_end()
    {
        var round = new TraceBook(Ids.Select((lot, at) => new TraceStep(at + 1, StockEntryKind.Moved, [lot], [Ids[(at + 1) % Ids.Length]])), new HashSet<long>()).Forward(Ids[3]);
        Assert.Equal((Ids.Length, Ids.Length), (round.Lots.Count, round.Steps.Count));
    }
}
