using System.Globalization;
using Dapper;
using Lumpet.Core;
using Lumpet.Core.Ingredients;
using NodaTime.Text;

namespace Lumpet.Store.Prices;

/// <summary>Adds to the books of prices; nothing in them is ever changed.</summary>
public static class PriceWriter
{
    /// <summary>Adds a price row. The first price of an ingredient makes its supplier the usual one.</summary>
    /// <param name="transaction">The change it is part of.</param>
    /// <param name="price">The row.</param>
    /// <param name="becomesUsual">Whether it is bought there from that day on, whoever was the usual supplier before.</param>
    public static void Add(Transaction transaction, Price price, bool becomesUsual)
    {
        var connection = transaction.Connection;
        connection.Execute("INSERT OR IGNORE INTO supplier (name) VALUES (@Supplier)", new { price.Supplier });
        // However it is written this time: one supplier has one name.
        var supplier = PriceStore.FindSupplier(connection, price.Supplier)!.Name;
        Rows.Insert(connection, "price", new
        {
            ingredient_id = price.IngredientId,
            supplier,
            pack_amount = price.PackAmount.ToString(CultureInfo.InvariantCulture),
            pack_unit = PackUnits.Word(price.PackUnit),
            pack_said = price.PackSaid,
            paid = price.Paid.Amount.ToString(CultureInfo.InvariantCulture),
            currency = price.Paid.Currency,
            valid_from = LocalDatePattern.Iso.Format(price.ValidFrom),
            origin = Naming.Of(price.Origin),
        });
        if (becomesUsual || connection.QuerySingle<long>("SELECT count(*) FROM usual_supplier WHERE ingredient_id = @IngredientId", new { price.IngredientId }) == 0)
            MakeUsual(transaction, new UsualSupplier(price.IngredientId, supplier, price.ValidFrom));
    }

    /// <summary>Says from whom an ingredient is bought from a day on.</summary>
    public static void MakeUsual(Transaction transaction, UsualSupplier usual)
    {
        var said = PriceStore.Usual(transaction.Connection, usual.IngredientId);
        // What holds that day anyway, with nothing said after it, needs no row.
        if (said.LastOrDefault(one => one.ValidFrom <= usual.ValidFrom) is { } before && before.Supplier == usual.Supplier) return;
        Rows.Insert(transaction.Connection, "usual_supplier", new { ingredient_id = usual.IngredientId, supplier = usual.Supplier, valid_from = LocalDatePattern.Iso.Format(usual.ValidFrom) });
    }

    /// <summary>Remembers how a supplier writes its lists, and what it calls things.</summary>
    /// <param name="transaction">The change it is part of.</param>
    /// <param name="supplier">Its name; it becomes known where it was not.</param>
    /// <param name="columns">Which column says what, as JSON.</param>
    /// <param name="decimalSign">"." or ","; null where its lists tell.</param>
    /// <param name="articles">By article the ingredient's id, or null for one that is passed over.</param>
    public static void Remember(Transaction transaction, string supplier, string columns, string? decimalSign, IEnumerable<KeyValuePair<string, string?>> articles)
    {
        var connection = transaction.Connection;
        connection.Execute("INSERT OR IGNORE INTO supplier (name) VALUES (@supplier)", new { supplier });
        connection.Execute("UPDATE supplier SET list_columns = @columns, decimal_sign = @decimalSign WHERE name = @supplier", new { supplier, columns, decimalSign });
        foreach (var (article, ingredient) in articles)
            connection.Execute(
                "INSERT INTO supplier_article (supplier, article, ingredient_id) VALUES (@supplier, @article, @ingredient) ON CONFLICT (supplier, article) DO UPDATE SET ingredient_id = excluded.ingredient_id",
                new { supplier, article, ingredient });
    }
}
