using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Stock;
using Lumpet.Server.Stock;
using Lumpet.Store;
using Lumpet.Store.DemoData;
using Lumpet.Store.Stock;
using Microsoft.Data.Sqlite;
using NodaTime;
using Xunit;

namespace Lumpet.Server.Tests.Stock;

/// <summary>What is kept of the ledger for traces is what each connection sees of it.</summary>
public sealed class TraceShelfTests : IDisposable
{
    private static readonly Instant Now = Instant.FromUtc(2026, 11, 25, 9, 0);

    private readonly string folder = Directory.CreateTempSubdirectory("lumpet-trace-").FullName;
    private readonly Database database;
    private readonly TraceShelf shelf = new();

    public TraceShelfTests()
    {
        database = new Database(Path.Combine(folder, "bakery.db"));
        database.Migrate();
        DemoBakery.Fill(database, DateTimeZoneProviders.Tzdb["Europe/Lisbon"], new LocalDateTime(2026, 11, 25, 9, 0));
    }

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }

    private static StockAmount Grams(double grams) => StockAmount.Of(Mass.FromGrams(grams));

    private StockLot Received()
    {
        var lot = new StockLot(Guid.NewGuid(), new StockedGoods("cream"), "HD 9", Grams(5000), KeepPlace.Cold) { Since = new LocalDateTime(2026, 11, 25, 9, 0) };
        database.Write(transaction => StockWriter.Add(transaction, lot, false, StockEntryKind.Received, Now));
        return lot;
    }

    /// <summary>Moves some of a lot: a lot of its own comes of it.</summary>
    private (long Entry, Guid To) Moved(Guid from)
    {
        var part = new StockLot(Guid.NewGuid(), new StockedGoods("cream"), "HD 9", Grams(1), KeepPlace.Frozen) { Since = new LocalDateTime(2026, 11, 25, 10, 0), PartOf = from };
        return database.Write(transaction =>
        {
            StockWriter.AddEmpty(transaction, part, false);
            return (StockWriter.Enter(transaction, StockEntryKind.Moved, Now, string.Empty, [new TracedMovement(from, Grams(-1)), new TracedMovement(part.Id, Grams(1))]), part.Id);
        });
    }

    private IReadOnlyList<Guid> Way(Guid lot)
    {
        using var connection = database.Open();
        return shelf.Of(connection).Book.Forward(lot).Lots;
    }

    [Fact]
    public void What_comes_later_is_on_the_way_and_what_is_taken_back_is_not()
    {
        var lot = Received().Id;
        Assert.Equal([lot], Way(lot));
        var (first, part) = Moved(lot);
        Assert.Equal([lot, part], Way(lot));
        var further = Moved(part).To;
        Assert.Equal([lot, part, further], Way(lot));
        using (var connection = database.Open())
        {
            Assert.Same(shelf.Of(connection), shelf.Of(connection));
            Assert.Equal([lot, part, further], new TraceShelf().Of(connection).Book.Back(further).Lots.Reverse());
        }

        database.Write(transaction => StockWriter.Enter(transaction, StockEntryKind.TakenBack, Now, string.Empty, [new TracedMovement(lot, Grams(1))], takesBack: first));
        Assert.Equal([lot], Way(lot));
    }

    [Fact]
    public void An_order_stands_once_with_its_pies_however_often_the_ledger_is_read_on()
    {
        var pies = new StockLot(Guid.NewGuid(), new StockedPie("oat-custard", "23", "box"), "1", new StockAmount(4, StockUnit.Piece), KeepPlace.Cold) { Since = new LocalDateTime(2026, 11, 25, 9, 0) };
        var made = database.Write(transaction =>
        {
            StockWriter.AddEmpty(transaction, pies, true);
            var entry = StockWriter.Enter(transaction, StockEntryKind.Made, Now, string.Empty, [new TracedMovement(pies.Id, pies.Left)], new BatchKey(new LocalDate(2026, 11, 26), 1, "pies"));
            StockWriter.Tell(transaction, [], [], [new EnteredOrder(entry, Guid.NewGuid(), "Kiosk", 4, new LocalDateTime(2026, 11, 26, 9, 0))]);
            return entry;
        });
        foreach (var _ in Enumerable.Range(0, 2))
        {
            using (var connection = database.Open())
            {
                var (order, of) = Assert.Single(shelf.Of(connection).Orders[made]);
                Assert.Equal(("Kiosk", 4, pies.Thing), (order.ForWhom, order.Pies, of));
            }

            Received();
        }
    }

    [Fact]
    public void Whoever_began_to_read_earlier_sees_what_there_was_then()
    {
        var lot = Received().Id;
        using var earlier = database.Open();
        Assert.Equal([lot], shelf.Of(earlier).Book.Forward(lot).Lots);
        var part = Moved(lot).To;
        Assert.Equal([lot, part], Way(lot));
        Assert.Equal([lot], shelf.Of(earlier).Book.Forward(lot).Lots);
        // And what it read is not kept for others.
        Assert.Equal([lot, part], Way(lot));
    }
}
