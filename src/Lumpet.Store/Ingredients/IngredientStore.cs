using System.Globalization;
using Dapper;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Microsoft.Data.Sqlite;

namespace Lumpet.Store.Ingredients;

/// <summary>Reads ingredients, their yields and their prices.</summary>
public static class IngredientStore
{
    /// <summary>Every ingredient, by id.</summary>
    public static IReadOnlyDictionary<string, Ingredient> All(SqliteConnection connection)
    {
        var allergens = connection.Query<AllergenRow>("SELECT ingredient_id AS ingredientId, allergen FROM ingredient_allergen ORDER BY allergen")
            .ToLookup(row => row.IngredientId, row => row.Allergen);
        return connection.Query<IngredientRow>("SELECT id, name, allergens_stated AS allergensStated FROM ingredient ORDER BY name COLLATE NOCASE")
            .ToDictionary(row => row.Id, row => new Ingredient(row.Id, row.Name, [.. allergens[row.Id]], row.AllergensStated == 1));
    }

    /// <summary>Versions of the ingredients, by id.</summary>
    public static IReadOnlyDictionary<string, long> Versions(SqliteConnection connection) =>
        connection.Query<VersionRow>("SELECT id, row_version AS rowVersion FROM ingredient").ToDictionary(row => row.Id, row => row.RowVersion);

    /// <summary>Yields by ingredient and preparation; what is not listed loses nothing.</summary>
    public static IReadOnlyDictionary<(string IngredientId, string Preparation), Yield> Yields(SqliteConnection connection) =>
        connection.Query<YieldRow>("SELECT ingredient_id AS ingredientId, preparation, share FROM ingredient_yield")
            .ToDictionary(row => (row.IngredientId, row.Preparation), row => Yield.FromShare(row.Share));

    /// <summary>Every price row, in the order in which they were added.</summary>
    public static IReadOnlyList<Price> Prices(SqliteConnection connection) =>
        [.. connection.Query<PriceRow>(
            """
            SELECT ingredient_id AS ingredientId, supplier, pack_amount AS packAmount, pack_unit AS packUnit, paid, currency, valid_from AS validFrom
            FROM price ORDER BY id
            """).Select(row => new Price(
                row.IngredientId,
                row.Supplier,
                decimal.Parse(row.PackAmount, CultureInfo.InvariantCulture),
                row.PackUnit == "g" ? PackUnit.Gram : PackUnit.Piece,
                new Money(decimal.Parse(row.Paid, CultureInfo.InvariantCulture), row.Currency),
                DateOnly.ParseExact(row.ValidFrom, "yyyy-MM-dd", CultureInfo.InvariantCulture)))];

    private sealed record IngredientRow(string Id, string Name, long AllergensStated);

    private sealed record VersionRow(string Id, long RowVersion);

    private sealed record AllergenRow(string IngredientId, string Allergen);

    private sealed record YieldRow(string IngredientId, string Preparation, double Share);

    private sealed record PriceRow(
        string IngredientId, string Supplier, string PackAmount, string PackUnit, string Paid, string Currency, string ValidFrom);
}
