using System.Globalization;
using Dapper;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Microsoft.Data.Sqlite;
using NodaTime.Text;

namespace Lumpet.Store.Prices;

/// <summary>Reads what suppliers asked, from whom things are usually bought, and how suppliers write their lists.</summary>
public static class PriceStore
{
    private static IEnumerable<Price> Rows(SqliteConnection connection, long after) =>
        [.. connection.Query<PriceRow>(
            """
            SELECT ingredient_id AS ingredientId, supplier, pack_amount AS packAmount, pack_unit AS packUnit, pack_said AS packSaid, paid, currency, valid_from AS validFrom, origin
            FROM price WHERE id > @after ORDER BY id
            """, new { after }).Select(row => new Price(
                row.IngredientId,
                row.Supplier,
                decimal.Parse(row.PackAmount, CultureInfo.InvariantCulture),
                PackUnits.Of(row.PackUnit),
                new Money(decimal.Parse(row.Paid, CultureInfo.InvariantCulture), row.Currency),
                LocalDatePattern.Iso.Parse(row.ValidFrom).Value) { PackSaid = row.PackSaid, Origin = Enum.Parse<PriceOrigin>(row.Origin, ignoreCase: true) })];

    /// <summary>Everything that is known of prices.</summary>
    public static PriceBook Book(SqliteConnection connection) => Grown(connection, new PriceBook([], []), (0, 0));

    /// <summary>A book that was read before, with what has been added since.</summary>
    /// <param name="connection">The bakery.</param>
    /// <param name="book">The book as it was.</param>
    /// <param name="extent">How far it had grown then.</param>
    public static PriceBook Grown(SqliteConnection connection, PriceBook book, (long Prices, long Usual) extent) =>
        book.With(
            Rows(connection, extent.Prices),
            connection.Query<UsualRow>("SELECT ingredient_id AS ingredientId, supplier, valid_from AS validFrom FROM usual_supplier WHERE id > @after ORDER BY id", new { after = extent.Usual })
                .Select(row => new UsualSupplier(row.IngredientId, row.Supplier, LocalDatePattern.Iso.Parse(row.ValidFrom).Value)));

    /// <summary>What was said of whom an ingredient is bought from, by day.</summary>
    internal static IReadOnlyList<UsualSupplier> Usual(SqliteConnection connection, string ingredientId) =>
        [.. connection.Query<UsualRow>("SELECT ingredient_id AS ingredientId, supplier, valid_from AS validFrom FROM usual_supplier WHERE ingredient_id = @ingredientId ORDER BY valid_from, id", new { ingredientId })
            .Select(row => new UsualSupplier(row.IngredientId, row.Supplier, LocalDatePattern.Iso.Parse(row.ValidFrom).Value))];

    /// <summary>How far the books have grown: the same answer, the same books.</summary>
    public static (long Prices, long Usual) Extent(SqliteConnection connection) =>
        (connection.QuerySingle<long>("SELECT coalesce(max(id), 0) FROM price"), connection.QuerySingle<long>("SELECT coalesce(max(id), 0) FROM usual_supplier"));

    /// <summary>A currency, other than this one, in which prices are kept; null where there is none.</summary>
    public static string? OtherCurrency(SqliteConnection connection, string currency) =>
        connection.QueryFirstOrDefault<string?>("SELECT currency FROM price WHERE currency <> @currency LIMIT 1", new { currency });

    /// <summary>Every supplier, by name.</summary>
    public static IReadOnlyList<Supplier> Suppliers(SqliteConnection connection) =>
        [.. connection.Query<Supplier>("SELECT name, list_columns AS listColumns, decimal_sign AS decimalSign FROM supplier ORDER BY name COLLATE NOCASE")];

    /// <summary>A supplier, however its name is written; null where there is none of that name.</summary>
    public static Supplier? FindSupplier(SqliteConnection connection, string name) =>
        connection.QuerySingleOrDefault<Supplier>("SELECT name, list_columns AS listColumns, decimal_sign AS decimalSign FROM supplier WHERE name = @name", new { name });

    /// <summary>What a supplier's articles are: by article the ingredient's id, or null for one that is passed over.</summary>
    public static IReadOnlyDictionary<string, string?> Articles(SqliteConnection connection, string supplier) =>
        connection.Query<ArticleRow>("SELECT article, ingredient_id AS ingredientId FROM supplier_article WHERE supplier = @supplier", new { supplier }).ToDictionary(row => row.Article, row => row.IngredientId);

    private sealed record PriceRow(
        string IngredientId, string Supplier, string PackAmount, string PackUnit, string PackSaid, string Paid, string Currency, string ValidFrom, string Origin);

    private sealed record UsualRow(string IngredientId, string Supplier, string ValidFrom);

    private sealed record ArticleRow(string Article, string? IngredientId);
}

/// <summary>A supplier, and how it writes its lists.</summary>
/// <param name="Name">Its name.</param>
/// <param name="ListColumns">Which column says what, as JSON; null while nobody has said.</param>
/// <param name="DecimalSign">"." or ","; null where its lists tell.</param>
public sealed record Supplier(string Name, string? ListColumns, string? DecimalSign);
