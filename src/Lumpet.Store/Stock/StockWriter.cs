using System.Globalization;
using Dapper;
using Lumpet.Core;
using Lumpet.Core.Orders;
using Lumpet.Core.Stock;
using NodaTime;

namespace Lumpet.Store.Stock;

/// <summary>A batch that is entered: the day whose plan it is of, which of its plans, and its name there.</summary>
/// <param name="Day">The day.</param>
/// <param name="Generation">Which of that day's plans, from 1.</param>
/// <param name="Batch">Its name among the plan's batches.</param>
public sealed record BatchKey(LocalDate Day, int Generation, string Batch);

/// <summary>Writes lots and entries. The schema holds that no lot falls below nothing, and that entries are never changed.</summary>
public static class StockWriter
{
    /// <summary>Adds a lot and what puts it on the shelf.</summary>
    /// <param name="transaction">The change that it belongs to.</param>
    /// <param name="lot">The lot; as much is entered as it has left.</param>
    /// <param name="isMade">Whether it was made here.</param>
    /// <param name="kind">What happened.</param>
    /// <param name="at">When.</param>
    /// <param name="reason">Why; may be empty.</param>
    /// <returns>The number of the entry.</returns>
    public static long Add(Transaction transaction, StockLot lot, bool isMade, StockEntryKind kind, Instant at, string reason = "")
    {
        AddEmpty(transaction, lot, isMade);
        return Enter(transaction, kind, at, reason, [new TracedMovement(lot.Id, lot.Left)]);
    }

    /// <summary>Adds a lot of which nothing has come yet.</summary>
    /// <param name="transaction">The change that it belongs to.</param>
    /// <param name="lot">The lot.</param>
    /// <param name="isMade">Whether it was made here.</param>
    public static void AddEmpty(Transaction transaction, StockLot lot, bool isMade)
    {
        var (ingredient, dough) = StockRows.Ids(lot.Thing);
        var pie = lot.Thing as StockedPie;
        if (lot.Supplier is { } supplier) transaction.Connection.Execute("INSERT OR IGNORE INTO supplier (name) VALUES (@supplier)", new { supplier });
        transaction.Connection.Execute(
            """
            INSERT INTO stock_lot (id, ingredient_id, dough_id, product_id, pan_id, after_step, unit, is_made, code, supplier, use_by, place, shelf, since, pack, pack_said, paid, currency, part_of, is_open, for_day, batch, note)
            VALUES (@id, @ingredient, @dough, @product, @pan, @after, @unit, @made, @code, @supplier, @useBy, @place, @shelf, @since, @pack, @said, @paid, @currency, @part, @open, @day, @batch, @note)
            """,
            new
            {
                id = StockRows.Key(lot.Id),
                ingredient,
                dough,
                product = pie?.Product,
                pan = pie?.Pan,
                after = pie?.After,
                unit = Naming.Of(lot.Left.Unit),
                made = isMade ? 1 : 0,
                code = lot.Code,
                supplier = lot.Supplier,
                useBy = StockRows.Written(lot.UseBy),
                place = Naming.Of(lot.Place),
                shelf = lot.Shelf,
                since = PickUpText.Written.Format(lot.Since),
                pack = lot.Pack?.Count,
                said = lot.PackSaid,
                paid = lot.PaidForPack?.Amount.ToString(CultureInfo.InvariantCulture),
                currency = lot.PaidForPack?.Currency,
                part = lot.PartOf is { } part ? StockRows.Key(part) : null,
                open = lot.IsOpen ? 1 : 0,
                day = StockRows.Written(lot.ForDay),
                batch = lot.Batch,
                note = lot.Note,
            });
    }

    /// <summary>Enters what happened.</summary>
    /// <param name="transaction">The change that it belongs to.</param>
    /// <param name="kind">What happened.</param>
    /// <param name="at">When.</param>
    /// <param name="reason">Why; may be empty.</param>
    /// <param name="movements">What became more or less; each lot once.</param>
    /// <param name="batch">The batch that it is; null where it is none.</param>
    /// <param name="takesBack">The entry that it takes back; null where it takes none back.</param>
    /// <returns>The number of the entry.</returns>
    public static long Enter(Transaction transaction, StockEntryKind kind, Instant at, string reason, IEnumerable<TracedMovement> movements, BatchKey? batch = null, long? takesBack = null)
    {
        var number = transaction.Connection.QuerySingle<long>(
            "INSERT INTO stock_entry (kind, at_unix, reason, day, generation, batch, takes_back) VALUES (@kind, @at, @reason, @day, @generation, @name, @takesBack) RETURNING id",
            new { kind = Naming.Of(kind), at = at.ToUnixTimeSeconds(), reason, day = StockRows.Written(batch?.Day), generation = batch?.Generation, name = batch?.Batch, takesBack });
        foreach (var movement in movements)
            transaction.Connection.Execute("INSERT INTO stock_movement (entry_id, lot_id, amount) VALUES (@number, @lot, @amount)", new { number, lot = StockRows.Key(movement.Lot), amount = movement.Amount.Count });
        return number;
    }

    /// <summary>Enters what else is known of a batch: what no lot held, its bakes, and the orders it is for.</summary>
    /// <param name="transaction">The change that it belongs to.</param>
    /// <param name="unknown">What no lot held.</param>
    /// <param name="bakes">When it is in which oven.</param>
    /// <param name="orders">Which orders it is for.</param>
    public static void Tell(Transaction transaction, IEnumerable<UnknownTake> unknown, IEnumerable<EnteredBake> bakes, IEnumerable<EnteredOrder> orders)
    {
        foreach (var one in unknown)
        {
            var (ingredient, dough) = StockRows.Ids(one.Thing);
            transaction.Connection.Execute(
                "INSERT INTO stock_unknown (entry_id, ingredient_id, dough_id, unit, amount) VALUES (@entry, @ingredient, @dough, @unit, @amount)",
                new { entry = one.Entry, ingredient, dough, unit = Naming.Of(one.Amount.Unit), amount = one.Amount.Count });
        }

        foreach (var one in bakes)
            transaction.Connection.Execute(
                "INSERT INTO stock_bake (entry_id, oven, bake, start_unix, end_unix) VALUES (@entry, @oven, @bake, @start, @end)",
                new { entry = one.Entry, oven = one.Oven, bake = one.Bake, start = one.Start.ToUnixTimeSeconds(), end = one.End.ToUnixTimeSeconds() });
        foreach (var one in orders)
            transaction.Connection.Execute(
                "INSERT INTO stock_order (entry_id, order_id, for_whom, pies, pick_up) VALUES (@entry, @order, @forWhom, @pies, @pickUp)",
                new { entry = one.Entry, order = StockRows.Key(one.OrderId), forWhom = one.ForWhom, pies = one.Pies, pickUp = PickUpText.Written.Format(one.PickUp) });
    }

    /// <summary>Describes a lot anew that still has the version it was read with. How much there is of it stays.</summary>
    public static ChangeOutcome Describe(Transaction transaction, long rowVersion, StockLot lot)
    {
        if (StockStore.Find(transaction.Connection, lot.Id) is not { } before) return ChangeOutcome.Gone;
        if (before.RowVersion != rowVersion) return ChangeOutcome.Conflict;
        var pie = lot.Thing as StockedPie;
        transaction.Connection.Execute(
            """
            UPDATE stock_lot SET code = @code, use_by = @useBy, place = @place, shelf = @shelf, since = @since, note = @note, pan_id = @pan, after_step = @after, row_version = row_version + 1
            WHERE id = @id
            """,
            new
            {
                id = StockRows.Key(lot.Id),
                code = lot.Code,
                useBy = StockRows.Written(lot.UseBy),
                place = Naming.Of(lot.Place),
                shelf = lot.Shelf,
                since = PickUpText.Written.Format(lot.Since),
                note = lot.Note,
                pan = pie?.Pan,
                after = pie?.After,
            });
        return ChangeOutcome.Done;
    }

    /// <summary>Says whether an ingredient is kept on the books.</summary>
    public static void SetCounted(Transaction transaction, string ingredientId, bool isCounted) =>
        transaction.Connection.Execute("INSERT INTO stock_counted (ingredient_id, is_counted) VALUES (@ingredientId, @counted) ON CONFLICT (ingredient_id) DO UPDATE SET is_counted = @counted", new { ingredientId, counted = isCounted ? 1 : 0 });

    /// <summary>A lot number of the bakery's own: the day and which of that day's lots it is, "261129-3".</summary>
    public static string NextCode(Transaction transaction, LocalDate day)
    {
        var prefix = day.ToString("yyMMdd", CultureInfo.InvariantCulture) + "-";
        var last = transaction.Connection.QuerySingle<long>("SELECT coalesce(max(CAST(substr(code, length(@prefix) + 1) AS INTEGER)), 0) FROM stock_lot WHERE code GLOB @pattern", new { prefix, pattern = prefix + "[0-9]*" });
        return string.Create(CultureInfo.InvariantCulture, $"{prefix}{last + 1}");
    }
}
