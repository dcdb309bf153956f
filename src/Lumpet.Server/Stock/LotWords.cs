using Lumpet.Core;
using Lumpet.Core.Orders;
using Lumpet.Core.Stock;
using Lumpet.Store.Stock;
using Microsoft.Data.Sqlite;
using NodaTime;
using NodaTime.Text;

namespace Lumpet.Server.Stock;

/// <summary>Tells of one lot.</summary>
internal static class LotWords
{
    /// <summary>A lot with its ledger.</summary>
    /// <param name="stored">The lot.</param>
    /// <param name="connection">Where its entries are read.</param>
    /// <param name="names">Names of what lies on shelves.</param>
    /// <param name="zone">The bakery's time zone.</param>
    /// <param name="today">The day by its clock.</param>
    public static LotAnswer Of(StoredLot stored, SqliteConnection connection, ThingNames names, DateTimeZone zone, LocalDate today)
    {
        var (lot, words) = (ShelfWords.WithLastDay(stored, names.Keeps(stored.Lot)).Lot, new ShelfWords(names, today));
        return new LotAnswer(
            lot.Id,
            stored.RowVersion,
            names.Of(lot.Thing),
            lot.Code,
            names.Of(lot.Thing, lot.Left),
            lot.Left.IsNothing,
            Naming.Of(lot.Place),
            lot.Shelf,
            stored.Lot.UseBy is { } stated ? LocalDatePattern.Iso.Format(stated) : null,
            words.UseBy(lot.UseBy),
            words.Freshness(lot.UseBy),
            PickUpText.Said.Format(lot.Since),
            lot.Supplier,
            lot.Pack is { } pack && !lot.IsOpen ? lot.PackSaid.Length > 0 ? lot.PackSaid : names.Of(lot.Thing, pack) : string.Empty,
            stored.IsMade,
            lot.IsOpen,
            lot.Left.Unit == StockUnit.Piece || names.Piece(lot.Thing) is not null,
            lot.Note,
            Entries(lot, connection, names, zone));
    }

    private static List<LotEntryAnswer> Entries(StockLot lot, SqliteConnection connection, ThingNames names, DateTimeZone zone)
    {
        var entries = StockStore.EntriesOf(connection, lot.Id);
        var others = StockStore.Find(connection, entries.SelectMany(entry => entry.Traced.Movements).Select(movement => movement.Lot));
        var (left, told) = (StockAmount.Zero(lot.Left.Unit), new List<LotEntryAnswer>());
        foreach (var entry in entries)
        {
            var change = entry.Traced.Movements.Single(movement => movement.Lot == lot.Id).Amount;
            left += change;
            // What came of it, or where it went: the lots on the other side.
            var isOut = change.Count < 0;
            told.Add(new LotEntryAnswer(
                entry.Traced.Number,
                Naming.Of(entry.Traced.Kind),
                PickUpText.Said.Format(entry.At.InZone(zone).LocalDateTime),
                $"{(change.Count > 0 ? "+" : isOut ? "\u2212" : string.Empty)}{names.Of(lot.Thing, isOut ? -change : change)}",
                names.Of(lot.Thing, left),
                entry.Reason,
                [.. entry.Traced.Movements.Where(movement => movement.Lot != lot.Id && (movement.Amount.Count > 0) == isOut && entry.Traced.Leads)
                    .Select(movement => new LotLinkAnswer(movement.Lot, names.Of(others[movement.Lot].Lot.Thing), others[movement.Lot].Lot.Code))],
                entry.IsTakenBack));
        }

        return told;
    }
}

/// <summary>A lot.</summary>
/// <param name="Id">Its identity.</param>
/// <param name="Version">Counts the changes of its description, from 1.</param>
/// <param name="Name">What it is.</param>
/// <param name="Code">Its number; may be empty.</param>
/// <param name="Left">How much is left, in words.</param>
/// <param name="IsUsedUp">Whether nothing is left.</param>
/// <param name="Place">"room", "cold" or "frozen".</param>
/// <param name="Shelf">Its shelf; may be empty.</param>
/// <param name="StatedUseBy">Its last day as it was stated (ISO date); null where none was.</param>
/// <param name="UseBy">Its last day in words, stated or by its recipe; empty where neither says.</param>
/// <param name="Freshness">"past", "today", "soon", "good" or "none".</param>
/// <param name="Since">When it came, was made or opened.</param>
/// <param name="Supplier">From whom; null of what was made here, and of what nobody said it of.</param>
/// <param name="Pack">What one pack of it is; empty of what lies open or came in none.</param>
/// <param name="IsMade">Whether it was made here.</param>
/// <param name="IsOpen">Whether it lies open.</param>
/// <param name="IsByPiece">Whether amounts of it are said in pieces; else in kilograms.</param>
/// <param name="Note">What a person says of it.</param>
/// <param name="Entries">Everything that happened to it, in order.</param>
public sealed record LotAnswer(
    Guid Id,
    long Version,
    string Name,
    string Code,
    string Left,
    bool IsUsedUp,
    string Place,
    string Shelf,
    string? StatedUseBy,
    string UseBy,
    string Freshness,
    string Since,
    string? Supplier,
    string Pack,
    bool IsMade,
    bool IsOpen,
    bool IsByPiece,
    string Note,
    IReadOnlyList<LotEntryAnswer> Entries);

/// <summary>Something that happened to a lot.</summary>
/// <param name="Number">The number of the entry.</param>
/// <param name="Kind">What happened.</param>
/// <param name="At">When it was entered.</param>
/// <param name="Change">By how much it became more or less, in words.</param>
/// <param name="Left">How much was left after it, in words.</param>
/// <param name="Reason">Why; may be empty.</param>
/// <param name="Others">The lots that it went into, or came of.</param>
/// <param name="IsTakenBack">Whether it was taken back later.</param>
public sealed record LotEntryAnswer(long Number, string Kind, string At, string Change, string Left, string Reason, IReadOnlyList<LotLinkAnswer> Others, bool IsTakenBack);

/// <summary>Another lot.</summary>
/// <param name="Lot">Its identity.</param>
/// <param name="Name">What it is.</param>
/// <param name="Code">Its number; may be empty.</param>
public sealed record LotLinkAnswer(Guid Lot, string Name, string Code);
