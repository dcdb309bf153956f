using System.Data;
using System.Globalization;
using Dapper;
using Lumpet.Core.Ingredients;

namespace Lumpet.Store.Ingredients;

/// <summary>Writes ingredients and what is known of them.</summary>
public static class IngredientWriter
{
    /// <summary>Adds ingredients that a recipe brought along; part of the recipe's transaction.</summary>
    internal static void Add(IDbConnection connection, IDbTransaction transaction, IEnumerable<Ingredient> fresh)
    {
        foreach (var ingredient in fresh)
        {
            Rows.Insert(connection, transaction, "ingredient", new { id = ingredient.Id, name = ingredient.Name, allergens_stated = ingredient.AllergensStated ? 1 : 0 });
            Allergens(connection, transaction, ingredient);
        }
    }

    /// <summary>Changes an ingredient that still has the version it was read with, and adds a price row where one is given.</summary>
    /// <param name="database">The database.</param>
    /// <param name="ingredient">Its name and allergens.</param>
    /// <param name="price">A new price; null leaves the prices as they are.</param>
    /// <param name="version">The version it was read with.</param>
    public static ChangeOutcome Change(Database database, Ingredient ingredient, Price? price, long version) =>
        database.Write((connection, transaction) =>
        {
            var present = connection.QuerySingleOrDefault<long?>("SELECT row_version FROM ingredient WHERE id = @Id", new { ingredient.Id }, transaction);
            if (present != version) return present is null ? ChangeOutcome.Gone : ChangeOutcome.Conflict;
            connection.Execute(
                "UPDATE ingredient SET name = @Name, allergens_stated = @stated, row_version = row_version + 1 WHERE id = @Id",
                new { ingredient.Id, ingredient.Name, stated = ingredient.AllergensStated ? 1 : 0 },
                transaction);
            connection.Execute("DELETE FROM ingredient_allergen WHERE ingredient_id = @Id", new { ingredient.Id }, transaction);
            Allergens(connection, transaction, ingredient);
            if (price is not null)
                Rows.Insert(connection, transaction, "price", new
                {
                    ingredient_id = price.IngredientId,
                    supplier = price.Supplier,
                    pack_amount = price.PackAmount.ToString(CultureInfo.InvariantCulture),
                    pack_unit = price.PackUnit == PackUnit.Gram ? "g" : "piece",
                    paid = price.Paid.Amount.ToString(CultureInfo.InvariantCulture),
                    currency = price.Paid.Currency,
                    valid_from = price.ValidFrom.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
                });
            return ChangeOutcome.Done;
        });

    private static void Allergens(IDbConnection connection, IDbTransaction transaction, Ingredient ingredient)
    {
        foreach (var allergen in ingredient.Allergens) Rows.Insert(connection, transaction, "ingredient_allergen", new { ingredient_id = ingredient.Id, allergen });
    }
}
