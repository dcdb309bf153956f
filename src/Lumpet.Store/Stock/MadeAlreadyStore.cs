using Dapper;
using Lumpet.Core.Stock;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Store.Stock;

/// <summary>Something that is made already, as it is kept.</summary>
/// <param name="Id">Its identity.</param>
/// <param name="RowVersion">Counts its changes, from 1.</param>
/// <param name="Entry">What it is.</param>
public sealed record StoredMade(Guid Id, long RowVersion, MadeAlready Entry);

/// <summary>
/// What is made already: the lots that were made here, as a day's plan counts on them. What a batch made for one day is not among them until that day is over; pies that were made for orders never are: they are handed over.
/// </summary>
public static class MadeAlreadyStore
{
    /// <summary>All of it, what was made first before what was made later.</summary>
    /// <param name="connection">The bakery.</param>
    /// <param name="today">The day by the bakery's clock: what was made for a day before it is there for every other now.</param>
    public static IReadOnlyList<StoredMade> All(SqliteConnection connection, LocalDate today) => AsOf(connection, today, []);

    /// <summary>
    /// All of it as it was before the batches of some days took theirs: a plan of such a day still takes it, and would take it twice from what is left.
    /// </summary>
    /// <param name="connection">The bakery.</param>
    /// <param name="today">The day by the bakery's clock.</param>
    /// <param name="days">The days whose plans take it.</param>
    public static IReadOnlyList<StoredMade> AsOf(SqliteConnection connection, LocalDate today, IReadOnlyCollection<LocalDate> days)
    {
        var taken = days.Count == 0 ? new Dictionary<Guid, long>() : StockStore.TakenFor(connection, days);
        return
        [
            .. StockStore.Made(connection).Concat(StockStore.Find(connection, taken.Keys).Values.Where(stored => stored.IsMade && stored.Lot.Left.IsNothing))
                .Where(stored => stored.Lot.ForDay is null || (stored.Lot.ForDay < today && stored.Lot.Thing is not StockedPie))
                .Select(stored => stored with { Lot = stored.Lot with { Left = stored.Lot.Left with { Count = stored.Lot.Left.Count + taken.GetValueOrDefault(stored.Lot.Id) } } })
                .OrderBy(stored => stored.Lot.Since).ThenBy(stored => stored.Number)
                .Select(Entry),
        ];
    }

    /// <summary>One of it, or null.</summary>
    public static StoredMade? Find(SqliteConnection connection, Guid id) => StockStore.Find(connection, id) is { IsMade: true, Lot.Left.IsNothing: false } stored ? Entry(stored) : null;

    /// <summary>How much is noted.</summary>
    public static int Count(SqliteConnection connection) => connection.QuerySingle<int>("SELECT count(*) FROM stock_lot WHERE amount > 0 AND is_made = 1");

    /// <summary>Adds something.</summary>
    public static StoredMade Add(Transaction transaction, MadeAlready entry, Instant now)
    {
        var lot = Lot(Guid.NewGuid(), entry);
        StockWriter.Add(transaction, lot, isMade: true, StockEntryKind.Counted, now);
        return Find(transaction.Connection, lot.Id)!;
    }

    /// <summary>Changes something that still has the version it was read with and is still the same thing; where its amount is another, it was counted.</summary>
    public static ChangeOutcome Change(Transaction transaction, Guid id, long rowVersion, MadeAlready entry, Instant now)
    {
        if (Find(transaction.Connection, id) is null) return ChangeOutcome.Gone;
        var (before, lot) = (StockStore.Find(transaction.Connection, id)!.Lot, Lot(id, entry));
        var outcome = StockWriter.Describe(transaction, rowVersion, before with { Thing = lot.Thing, Place = lot.Place, Since = lot.Since, Note = lot.Note });
        if (outcome == ChangeOutcome.Done && lot.Left != before.Left) StockWriter.Enter(transaction, StockEntryKind.Counted, now, string.Empty, [new TracedMovement(id, lot.Left - before.Left)]);
        return outcome;
    }

    /// <summary>Takes off the books something that still has the version it was read with: it is used up, or gone.</summary>
    public static ChangeOutcome Remove(Transaction transaction, Guid id, long rowVersion, Instant now)
    {
        if (Find(transaction.Connection, id) is not { } before) return ChangeOutcome.Gone;
        if (before.RowVersion != rowVersion) return ChangeOutcome.Conflict;
        var left = StockStore.Find(transaction.Connection, id)!.Lot.Left;
        StockWriter.Enter(transaction, StockEntryKind.Adjusted, now, "used up, or gone", [new TracedMovement(id, -left)]);
        return ChangeOutcome.Done;
    }

    private static StockLot Lot(Guid id, MadeAlready entry) => new(id, Thing(entry), string.Empty, Amount(entry), entry.Place) { Since = entry.MadeAt, Note = entry.Note };

    private static StockThing Thing(MadeAlready entry) => entry switch
    {
        MadePies pies => new StockedPie(pies.Product, pies.Pan, pies.After),
        MadeMass mass => new StockedGoods(mass.Made),
        _ => throw new ArgumentException($"{entry.GetType().Name} is nothing that is made.", nameof(entry)),
    };

    private static StockAmount Amount(MadeAlready entry) => entry is MadePies pies ? StockAmount.Pieces(pies.Count) : StockAmount.Of(((MadeMass)entry).Mass);

    private static StoredMade Entry(StoredLot stored)
    {
        var lot = stored.Lot;
        return new StoredMade(lot.Id, stored.RowVersion, lot.Thing is StockedPie pie
            ? new MadePies(pie.Product, pie.Pan, (int)lot.Left.Count, pie.After, lot.Place, lot.Since, lot.Note)
            : new MadeMass(((StockedGoods)lot.Thing).Id, lot.Left.Mass, lot.Place, lot.Since, lot.Note));
    }
}
