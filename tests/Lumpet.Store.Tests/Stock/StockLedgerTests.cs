using Dapper;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Stock;
using Lumpet.Store.Stock;
using Microsoft.Data.Sqlite;
using NodaTime;
using Xunit;

namespace Lumpet.Store.Tests.Stock;

/// <summary>The ledger of the shelves: it only grows, adds up, and no lot falls below nothing.</summary>
public sealed class StockLedgerTests : IDisposable
{
    private static readonly Instant Now = Instant.FromUtc(2026, 11, 25, 9, 0);
    private static readonly LocalDateTime At = new(2026, 11, 25, 9, 0);

    private readonly TemporaryDatabase temporary = TemporaryDatabase.WithDemo();

    public void Dispose() => temporary.Dispose();

    private T Write<T>(Func<Transaction, T> write) => temporary.Database.Write(write);

    private static StockAmount Grams(double grams) => StockAmount.Of(Mass.FromGrams(grams));

    private static StockLot Lot(double grams = 5000) => new(Guid.NewGuid(), new StockedGoods("cream"), "HD 1", Grams(grams), KeepPlace.Cold) { Since = At, UseBy = At.Date.PlusDays(3), Pack = Grams(1000), PackSaid = "1 l", Shelf = "left", Note = "opened carefully", Supplier = "Headland Dairy", PaidForPack = new Money(25.50m, "EUR") };

    [Fact]
    public void A_lot_is_kept_as_it_came()
    {
        var lot = Lot();
        Write(transaction => StockWriter.Add(transaction, lot, false, StockEntryKind.Received, Now, "by hand"));
        using var connection = temporary.Database.Open();
        var stored = StockStore.Find(connection, lot.Id)!;
        Assert.Equal((lot, false, 1L), (stored.Lot, stored.IsMade, stored.RowVersion));
        var entry = Assert.Single(StockStore.EntriesOf(connection, lot.Id));
        Assert.Equal((StockEntryKind.Received, Now, "by hand"), (entry.Traced.Kind, entry.At, entry.Reason));
        Assert.Equal(new TracedMovement(lot.Id, lot.Left), Assert.Single(entry.Traced.Movements));
        Assert.Contains(StockStore.Lots(connection), one => one.Lot == lot);
    }

    [Fact]
    public void What_is_on_the_books_stays_there()
    {
        foreach (var (statement, says) in new[]
        {
            ("UPDATE stock_lot SET amount = amount + 1", "only its movements say"),
            ("UPDATE stock_lot SET unit = 'piece' WHERE unit = 'milligram'", "does not change"),
            ("UPDATE stock_lot SET ingredient_id = 'salt' WHERE ingredient_id IS NOT NULL", "does not change"),
            ("DELETE FROM stock_lot", "stays on the books"),
            ("UPDATE stock_entry SET reason = 'x'", "corrected by another entry"),
            ("DELETE FROM stock_entry", "corrected by another entry"),
            ("UPDATE stock_movement SET amount = 1", "corrected by another entry"),
            ("DELETE FROM stock_movement", "corrected by another entry"),
        })
        {
            var refused = Assert.Throws<SqliteException>(() => Write(transaction => transaction.Connection.Execute(statement)));
            Assert.Contains(says, refused.Message, StringComparison.Ordinal);
        }
    }

    [Fact]
    public void A_lot_is_of_one_thing_and_begins_empty()
    {
        foreach (var (columns, values) in new[]
        {
            ("ingredient_id, dough_id, unit", "'cream', 'flaky', 'milligram'"),
            ("unit", "'milligram'"),
            ("dough_id, unit", "'flaky', 'piece'"),
            ("dough_id, unit", "'none', 'milligram'"),
            ("product_id, pan_id, unit", "'pear', '23', 'piece'"),
            ("product_id, pan_id, after_step, unit", "'pear', '23', 'fill', 'milligram'"),
            ("ingredient_id, unit, paid", "'cream', 'milligram', '2.00'"),
            ("ingredient_id, unit, for_day", "'cream', 'milligram', '2026-11-26'"),
            ("ingredient_id, unit, amount", "'cream', 'milligram', 5"),
        })
        {
            Assert.Throws<SqliteException>(() => Write(transaction => transaction.Connection.Execute(
                $"INSERT INTO stock_lot (id, is_made, code, place, since, {columns}) VALUES ('x', 1, '', 'cold', '2026-11-25T07:30', {values})")));
        }

        Assert.Equal(1, Write(transaction => transaction.Connection.Execute(
            "INSERT INTO stock_lot (id, is_made, code, place, since, dough_id, unit) VALUES ('x', 1, '', 'cold', '2026-11-25T07:30', 'flaky', 'milligram')")));
    }

    [Fact]
    public void No_lot_falls_below_nothing_whoever_is_first()
    {
        var lot = Lot(100);
        Write(transaction => StockWriter.Add(transaction, lot, false, StockEntryKind.Received, Now));
        long Take(double grams) => Write(transaction => StockWriter.Enter(transaction, StockEntryKind.Used, Now, string.Empty, [new TracedMovement(lot.Id, -Grams(grams))]));
        Take(60);
        Assert.Throws<SqliteException>(() => Take(40.001));
        Take(40);
        using var connection = temporary.Database.Open();
        Assert.True(StockStore.Find(connection, lot.Id)!.Lot.Left.IsNothing);
        Assert.Equal(3, StockStore.EntriesOf(connection, lot.Id).Count);
    }

    [Fact]
    public void A_batch_is_entered_once_taken_back_once_and_then_again()
    {
        var key = new BatchKey(At.Date, 1, "made:praline/1");
        long Enter(BatchKey batch) => Write(transaction => StockWriter.Enter(transaction, StockEntryKind.Made, Now, string.Empty, [], batch));
        var first = Enter(key);
        Assert.Contains("made already", Assert.Throws<SqliteException>(() => Enter(key)).Message, StringComparison.Ordinal);
        // Another plan of the day, another day, another batch: these are not the same.
        foreach (var other in new[] { key with { Generation = 2 }, key with { Day = At.Date.PlusDays(1) }, key with { Batch = "made:praline/2" } }) Enter(other);
        long Back() => Write(transaction => StockWriter.Enter(transaction, StockEntryKind.TakenBack, Now, string.Empty, [], takesBack: first));
        Back();
        Assert.Throws<SqliteException>(() => Back());
        var again = Enter(key);
        using var connection = temporary.Database.Open();
        Assert.Equal([again], StockStore.MadeFor(connection, key.Day).Where(entry => (entry.Generation, entry.Batch) == (1, key.Batch)).Select(entry => entry.Traced.Number));
    }

    [Fact]
    public void Own_lot_numbers_count_on_by_the_day()
    {
        string Next(LocalDate day) => Write(transaction =>
        {
            var code = StockWriter.NextCode(transaction, day);
            StockWriter.Add(transaction, Lot() with { Code = code }, true, StockEntryKind.Counted, Now);
            return code;
        });
        var day = new LocalDate(2031, 3, 7);
        Assert.Equal(["310307-1", "310307-2", "310308-1"], [Next(day), Next(day), Next(day.PlusDays(1))]);
        for (var number = 3; number < 11; number++) Next(day);
        Assert.Equal("310307-11", Next(day));
    }

    /// <summary>Whatever is done in whatever order, what a lot has is the sum of what moved: of those moves that were taken.</summary>
    [Fact]
    public void A_lot_has_the_sum_of_its_movements()
    {
        var chance = new Random(39);
        StockLot[] lots = [Lot(1), Lot(2), Lot(3)];
        foreach (var lot in lots) Write(transaction => StockWriter.Add(transaction, lot, false, StockEntryKind.Received, Now));
        var expected = lots.Select(lot => lot.Left.Count).ToArray();
        var refused = 0;
        for (var move = 0; move < 300; move++)
        {
            var (which, amount) = (chance.Next(lots.Length), chance.NextInt64(-3000, 3000));
            try
            {
                Write(transaction => StockWriter.Enter(transaction, StockEntryKind.Counted, Now, string.Empty, [new TracedMovement(lots[which].Id, new StockAmount(amount, StockUnit.Milligram))]));
                expected[which] += amount;
            }
            catch (SqliteException)
            {
                Assert.True(expected[which] + amount < 0);
                refused++;
            }
        }

        Assert.InRange(refused, 10, 200);
        using var connection = temporary.Database.Open();
        foreach (var (lot, left) in lots.Zip(expected))
        {
            Assert.Equal(left, connection.QuerySingle<long>("SELECT sum(amount) FROM stock_movement WHERE lot_id = @id", new { id = lot.Id.ToString("D") }));
            Assert.Equal(left, StockStore.Find(connection, lot.Id)!.Lot.Left.Count);
        }
    }
}
