using Lumpet.Core.Stock;
using Xunit;

namespace Lumpet.Core.Tests.Stock;

/// <summary>One step back, one step forward, and on from there (the duty of Regulation (EC) 178/2002, article 18, from memory; the ways are worked out by hand).</summary>
public sealed class StockTraceTests
{
    private static readonly Guid[] Ids = [.. Enumerable.Range(0, 10).Select(number => new Guid(number, 0, 0, new byte[8]))];

    private const int Flour = 0, Butter = 1, Dough = 2, Pears = 3, PearPies = 4, Cream = 5, OpenCream = 6, Curd = 7, Tarts = 8, Salt = 9;

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
    ];

    private static IEnumerable<TracedEntry> EntriesOf(IReadOnlyCollection<Guid> lots) => Books.Where(entry => entry.Movements.Any(movement => lots.Contains(movement.Lot)));

    /// <summary>The least that the books may tell: of each entry what is asked for, and what comes of it.</summary>
    private static IEnumerable<TracedEntry> PartsOf(IReadOnlyCollection<Guid> lots) =>
        EntriesOf(lots).Select(entry => entry with { Movements = [.. entry.Movements.Where(movement => lots.Contains(movement.Lot) || movement.Amount.Count > 0)] });

    private static void Is(int[] lots, long[] steps, StockTrace trace)
    {
        Assert.Equal(lots, trace.Lots.Select(lot => Array.IndexOf(Ids, lot)).Order());
        Assert.Equal(steps, trace.Steps.Select(step => step.Number));
    }

    [Theory]
    [InlineData(Flour, new[] { Flour, Dough, PearPies, Tarts }, new long[] { 3, 5, 8 })]
    [InlineData(Cream, new[] { Cream, OpenCream, Curd, Tarts }, new long[] { 6, 7, 8 })]
    [InlineData(Salt, new[] { Dough, PearPies, Curd, Tarts, Salt }, new long[] { 3, 5, 7, 8 })]
    [InlineData(Pears, new[] { Pears, PearPies }, new long[] { 5 })]
    [InlineData(Tarts, new[] { Tarts }, new long[0])]
    public void Forward_it_is_everything_that_a_lot_went_into(int start, int[] lots, long[] steps)
    {
        Is(lots, steps, StockTrace.Forward(Ids[start], EntriesOf));
        Is(lots, steps, StockTrace.Forward(Ids[start], PartsOf));
    }

    [Theory]
    [InlineData(PearPies, new[] { Flour, Butter, Dough, Pears, PearPies, Salt }, new long[] { 3, 5 })]
    [InlineData(Tarts, new[] { Flour, Butter, Dough, Cream, OpenCream, Curd, Tarts, Salt }, new long[] { 3, 6, 7, 8 })]
    [InlineData(Flour, new[] { Flour }, new long[0])]
    public void Back_it_is_everything_that_went_into_it(int start, int[] lots, long[] steps) => Is(lots, steps, StockTrace.Back(Ids[start], EntriesOf));

    [Fact]
    public void What_an_entry_takes_of_several_lots_on_the_way_is_all_told()
    {
        var tarts = StockTrace.Forward(Ids[Salt], PartsOf).Steps.Single(step => step.Number == 8);
        Assert.Equal([Ids[Dough], Ids[Curd]], tarts.From.Order());
    }

    [Fact]
    public void What_one_way_leads_to_the_other_leads_from()
    {
        foreach (var one in Ids)
            foreach (var other in Ids)
                Assert.Equal(StockTrace.Forward(one, EntriesOf).Lots.Contains(other), StockTrace.Back(other, EntriesOf).Lots.Contains(one));
    }
}
