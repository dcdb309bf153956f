using System.Globalization;
using Dapper;
using Lumpet.Core;
using Lumpet.Core.Buying;
using Lumpet.Core.Measures;
using Lumpet.Core.Orders;
using Lumpet.Core.Stock;
using Microsoft.Data.Sqlite;
using NodaTime;
using NodaTime.Text;

namespace Lumpet.Store.Buying;

/// <summary>Something that is ordered.</summary>
/// <param name="Thing">What.</param>
/// <param name="Offer">The pack, from whom, and what it costs.</param>
/// <param name="Packs">How many; at least 1.</param>
public sealed record PurchaseLine(StockedGoods Thing, PackOffer Offer, int Packs);

/// <summary>An order that is placed and has not come.</summary>
/// <param name="Id">Its identity.</param>
/// <param name="Supplier">At whom.</param>
/// <param name="PlacedAt">When it was placed.</param>
/// <param name="Delivery">The day on which it is to come.</param>
/// <param name="Lines">What is ordered.</param>
public sealed record Purchase(Guid Id, string Supplier, Instant PlacedAt, LocalDate Delivery, IReadOnlyList<PurchaseLine> Lines);

/// <summary>Keeps when suppliers deliver, and what is ordered at them.</summary>
public static class BuyingStore
{
    /// <summary>What was said of suppliers, with the version of each.</summary>
    public static IReadOnlyDictionary<string, (SupplierTerms Terms, long RowVersion)> Terms(SqliteConnection connection) =>
        connection.Query<TermsRow>("SELECT supplier, minimum, days, lead_days AS leadDays, until, row_version AS rowVersion FROM supplier_terms").ToDictionary(
            row => row.Supplier,
            row => (new SupplierTerms(
                row.Supplier,
                decimal.Parse(row.Minimum, CultureInfo.InvariantCulture),
                [.. row.Days.Split(',').Select(Naming.Known<IsoDayOfWeek>)],
                (int)row.LeadDays,
                PickUpText.Clock.Parse(row.Until).Value), row.RowVersion),
            StringComparer.OrdinalIgnoreCase);

    /// <summary>States when a supplier delivers, where that still has the version it was read with.</summary>
    /// <param name="transaction">The change it is part of.</param>
    /// <param name="terms">The terms.</param>
    /// <param name="rowVersion">The version; 0 where nothing was said.</param>
    public static ChangeOutcome State(Transaction transaction, SupplierTerms terms, long rowVersion)
    {
        var connection = transaction.Connection;
        var before = connection.QuerySingleOrDefault<long?>("SELECT row_version FROM supplier_terms WHERE supplier = @Supplier", new { terms.Supplier }) ?? 0;
        if (before != rowVersion) return ChangeOutcome.Conflict;
        connection.Execute(
            """
            INSERT INTO supplier_terms (supplier, minimum, days, lead_days, until) VALUES (@supplier, @minimum, @days, @lead, @until)
            ON CONFLICT (supplier) DO UPDATE SET minimum = @minimum, days = @days, lead_days = @lead, until = @until, row_version = row_version + 1
            """,
            new
            {
                supplier = terms.Supplier,
                minimum = terms.Minimum.ToString(CultureInfo.InvariantCulture),
                days = string.Join(',', terms.Days.Select(day => Naming.Of(day))),
                lead = terms.LeadDays,
                until = PickUpText.Clock.Format(terms.Until),
            });
        return ChangeOutcome.Done;
    }

    /// <summary>What is ordered and has not come, what comes first first.</summary>
    public static IReadOnlyList<Purchase> Placed(SqliteConnection connection) =>
        [.. connection.Query<PurchaseRow>("SELECT id, supplier, placed_unix AS placed, delivery FROM purchase WHERE state = 'placed' ORDER BY delivery, placed_unix, rowid").Select(row => Read(connection, row))];

    /// <summary>An order that is placed and has not come; null where it has, or there is none.</summary>
    public static Purchase? FindPlaced(SqliteConnection connection, Guid id) =>
        connection.QuerySingleOrDefault<PurchaseRow>("SELECT id, supplier, placed_unix AS placed, delivery FROM purchase WHERE state = 'placed' AND id = @id", new { id = id.ToString("D") }) is { } row ? Read(connection, row) : null;

    /// <summary>Places an order.</summary>
    public static void Place(Transaction transaction, Purchase purchase)
    {
        transaction.Connection.Execute(
            "INSERT INTO purchase (id, supplier, placed_unix, delivery) VALUES (@id, @supplier, @placed, @delivery)",
            new { id = purchase.Id.ToString("D"), supplier = purchase.Supplier, placed = purchase.PlacedAt.ToUnixTimeSeconds(), delivery = LocalDatePattern.Iso.Format(purchase.Delivery) });
        foreach (var line in purchase.Lines)
            transaction.Connection.Execute(
                """
                INSERT INTO purchase_line (purchase_id, ingredient_id, unit, pack, pack_said, packs, paid, currency) VALUES (@id, @ingredient, @unit, @pack, @said, @packs, @paid, @currency)
                """,
                new
                {
                    id = purchase.Id.ToString("D"),
                    ingredient = line.Thing.Id,
                    unit = Naming.Of(line.Offer.Pack.Unit),
                    pack = line.Offer.Pack.Count,
                    said = line.Offer.Said,
                    packs = line.Packs,
                    paid = line.Offer.Paid.Amount.ToString(CultureInfo.InvariantCulture),
                    currency = line.Offer.Paid.Currency,
                });
    }

    /// <summary>Says that an order has come, or is not to come; once.</summary>
    /// <param name="transaction">The change it is part of.</param>
    /// <param name="id">The order.</param>
    /// <param name="hasCome">Whether it has come.</param>
    public static void End(Transaction transaction, Guid id, bool hasCome) =>
        transaction.Connection.Execute("UPDATE purchase SET state = @state WHERE id = @id", new { id = id.ToString("D"), state = hasCome ? "received" : "cancelled" });

    private static Purchase Read(SqliteConnection connection, PurchaseRow row) => new(
        Guid.Parse(row.Id),
        row.Supplier,
        Instant.FromUnixTimeSeconds(row.Placed),
        LocalDatePattern.Iso.Parse(row.Delivery).Value,
        [
            .. connection.Query<LineRow>("SELECT ingredient_id AS ingredient, unit, pack, pack_said AS said, packs, paid, currency FROM purchase_line WHERE purchase_id = @Id ORDER BY ingredient_id, pack", new { row.Id })
                .Select(line => new PurchaseLine(
                    new StockedGoods(line.Ingredient),
                    new PackOffer(row.Supplier, new StockAmount(line.Pack, Naming.Known<StockUnit>(line.Unit)), line.Said, new Money(decimal.Parse(line.Paid, CultureInfo.InvariantCulture), line.Currency)),
                    (int)line.Packs)),
        ]);

    private sealed record TermsRow(string Supplier, string Minimum, string Days, long LeadDays, string Until, long RowVersion);

    private sealed record PurchaseRow(string Id, string Supplier, long Placed, string Delivery);

    private sealed record LineRow(string Ingredient, string Unit, long Pack, string Said, long Packs, string Paid, string Currency);
}
