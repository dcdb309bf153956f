using CsCheck;
using Lumpet.Core.Preparations;
using Lumpet.Core.Stock;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Stock;

/// <summary>First expired, first used (common practice, no source), and what is kept for what is planned.</summary>
public sealed class FirstExpiredTests
{
    private static readonly LocalDate Today = new(2026, 11, 25);
    private static readonly StockedGoods Cream = new("cream");

    private static StockLot Lot(string code, long left, int? days, bool isOpen = false, int hoursAgo = 0) =>
        new(Guid.NewGuid(), Cream, code, new StockAmount(left, StockUnit.Milligram), KeepPlace.Cold)
        {
            UseBy = days is { } known ? Today.PlusDays(known) : null,
            IsOpen = isOpen,
            Since = Today.AtMidnight().PlusHours(-hoursAgo),
        };

    private static StockAmount Milligrams(long count) => new(count, StockUnit.Milligram);

    [Fact]
    public void The_lot_that_ends_first_is_used_first_then_the_open_one_then_the_older_one_and_what_states_no_day_last()
    {
        StockLot[] lots = [Lot("no day", 10, null), Lot("late", 10, 9), Lot("soon", 10, 2), Lot("soon, open", 10, 2, isOpen: true), Lot("soon, older", 10, 2, hoursAgo: 5), Lot("past", 10, -1), Lot("today", 10, 0)];
        var (taken, missing) = FirstExpired.Take(lots, Milligrams(55), Today);
        Assert.Equal(["today", "soon, open", "soon, older", "soon", "late", "no day"], taken.Select(one => one.Lot.Code));
        Assert.Equal([10L, 10, 10, 10, 10, 5], taken.Select(one => one.Amount.Count));
        Assert.True(missing.IsNothing);
        // What is past its day is never taken, though it be all there is.
        Assert.Equal(Milligrams(20), FirstExpired.Take(lots, Milligrams(80), Today).Missing);
        Assert.Empty(FirstExpired.Take([Lot("past", 10, -1)], Milligrams(1), Today).Taken);
    }

    [Fact]
    public void Pieces_are_no_weight()
    {
        var (taken, missing) = FirstExpired.Take([Lot("weighed", 10, 5)], StockAmount.Pieces(3), Today);
        Assert.Empty(taken);
        Assert.Equal(StockAmount.Pieces(3), missing);
        Assert.Throws<InvalidOperationException>(() => StockAmount.Pieces(1) + Milligrams(1));
    }

    [Fact]
    public void What_is_taken_and_what_is_missing_is_what_is_wanted_and_no_lot_gives_more_than_it_has() =>
        Gen.Select(Gen.Long[1, 500], Gen.Int[-3, 9]).Array[0, 8].Select(Gen.Long[0, 3000]).Sample((lots, wanted) =>
        {
            StockLot[] there = [.. lots.Select((lot, at) => Lot($"{at}", lot.Item1, lot.Item2))];
            var (taken, missing) = FirstExpired.Take(there, Milligrams(wanted), Today);
            Assert.Equal(wanted, taken.Sum(one => one.Amount.Count) + missing.Count);
            Assert.All(taken, one => Assert.InRange(one.Amount.Count, 1, one.Lot.Left.Count));
            Assert.Equal(Math.Max(0, wanted - there.Where(lot => !lot.IsPast(Today)).Sum(lot => lot.Left.Count)), missing.Count);
            // Of all but the last lot that gives something, everything is taken.
            Assert.All(taken.SkipLast(1), one => Assert.Equal(one.Lot.Left, one.Amount));
        });

    private static StockNeed Need(long amount, int daysAhead, params Guid[] lots) => new(Cream, Milligrams(amount), Today.PlusDays(daysAhead).At(new LocalTime(6, 0)), $"batch of {daysAhead}", Today.PlusDays(daysAhead)) { Lots = lots };

    [Fact]
    public void What_is_needed_first_is_given_first_and_of_a_lot_nothing_after_its_day()
    {
        StockLot[] lots = [Lot("soon", 100, 1), Lot("later", 100, 5)];
        var kept = Reservations.Of(lots, [Need(90, 3), Need(60, 0), Need(70, 1)]);
        Assert.Equal([("soon", 60L, "batch of 0"), ("soon", 40L, "batch of 1"), ("later", 30L, "batch of 1"), ("later", 70L, "batch of 3")], kept.Kept.Select(one => (one.Lot.Code, one.Amount.Count, one.Need.For)));
        Assert.Equal((20L, "batch of 3"), kept.Missing.Select(one => (one.Amount.Count, one.Need.For)).Single());
    }

    [Fact]
    public void A_lot_that_a_plan_has_chosen_is_given_to_no_other()
    {
        StockLot[] lots = [Lot("one", 100, 1), Lot("other", 100, 5)];
        var kept = Reservations.Of(lots, [Need(100, 0), Need(80, 1, lots[0].Id)]);
        Assert.Equal([("one", 20L), ("other", 80L), ("one", 80L)], kept.Kept.Select(one => (one.Lot.Code, one.Amount.Count)));
        Assert.Empty(kept.Missing);
    }
}
