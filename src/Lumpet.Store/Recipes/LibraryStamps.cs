using Dapper;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes;
using Microsoft.Data.Sqlite;

namespace Lumpet.Store.Recipes;

/// <summary>The number of the last change of one thing of the library.</summary>
/// <param name="Kind">"product", "dough", "ingredient", "pan" or "bakery".</param>
/// <param name="Id">Its id; empty for the bakery.</param>
/// <param name="Number">Grows with every change.</param>
public sealed record ItemStamp(string Kind, string Id, long Number);

/// <summary>By what it is known whether something that follows from some recipes is still current.</summary>
public static class LibraryStamps
{
    /// <summary>
    /// Stamps of all that some products are made of, at any depth, of every pan and of the bakery: the same stamps, the same recipes.
    /// What other recipes are made of, and what anything is bought for, is no part of it.
    /// </summary>
    /// <param name="connection">Where they are read.</param>
    /// <param name="products">The products as they are kept.</param>
    /// <param name="made">What is made here and there already.</param>
    /// <returns>In an order that does not depend on theirs.</returns>
    public static IReadOnlyList<ItemStamp> Of(SqliteConnection connection, IReadOnlyCollection<Product> products, IEnumerable<Ingredient> made)
    {
        string[] ingredients = [.. products.SelectMany(Taken).Concat(made.SelectMany(WithAllInIt)).Select(one => one.Id).Distinct()];
        string[] doughs = [.. products.SelectMany(product => product.Doughs).Select(dough => dough.Id).Concat(ingredients.Where(Ingredient.IsDoughId).Select(id => id[Ingredient.DoughPrefix.Length..])).Distinct()];
        return
        [
            .. connection.Query<ItemStamp>(
                """
                SELECT kind, id, number FROM item_stamp
                WHERE kind IN ('pan', 'bakery') OR (kind = 'product' AND id IN @products) OR (kind = 'dough' AND id IN @doughs) OR (kind = 'ingredient' AND id IN @ingredients)
                ORDER BY kind, id
                """,
                new { products = products.Select(product => product.Id).Distinct(), doughs, ingredients }),
        ];
    }

    private static IEnumerable<Ingredient> Taken(Product product) =>
        product.Parts.SelectMany(part => part.Lines).Select(line => line.Ingredient).Concat(product.AllPackaging).SelectMany(WithAllInIt);

    private static IEnumerable<Ingredient> WithAllInIt(Ingredient ingredient) => ingredient.Formula is { } formula ? [ingredient, .. formula.Everything] : [ingredient];
}
