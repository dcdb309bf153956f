using Dapper;
using Lumpet.Core.Bakery;
using Lumpet.Core.Recipes.Exchange;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Orders;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Store.Recipes;

/// <summary>The whole library: read for a file, and changed by one in a single transaction.</summary>
public static class LibraryStore
{
    /// <summary>What a bakery has.</summary>
    /// <param name="connection">An open connection.</param>
    /// <param name="bakery">The bakery.</param>
    /// <param name="today">Its day.</param>
    public static LibraryState Read(SqliteConnection connection, BakeryRecord bakery, LocalDate today) => new(
        bakery.Currency,
        bakery.Cups,
        IngredientStore.Own(connection),
        [.. IngredientStore.All(connection).Values],
        RecipeStore.Pans(connection),
        RecipeStore.Doughs(connection),
        RecipeStore.Products(connection),
        today)
    {
        RemovedDoughs = Removed(connection, "dough"),
        RemovedProducts = Removed(connection, "product"),
        Ordered = OrderStore.SizesOrdered(connection),
    };

    private static Dictionary<string, int> Removed(SqliteConnection connection, string kind) =>
        connection.Query<RemovedRow>($"SELECT id, CAST(max(version) AS INTEGER) AS version FROM recipe_version WHERE kind = @kind AND id NOT IN (SELECT id FROM {kind}) GROUP BY id", new { kind })
            .ToDictionary(row => row.Id, row => (int)row.Version);

    /// <summary>Number that grows with every change of recipes, doughs, ingredients, pans or the bakery: the same number, the same library.</summary>
    public static long Stamp(SqliteConnection connection) => connection.QuerySingle<long>("SELECT number FROM library_stamp");

    /// <summary>Takes in a change that was read from the library as it is in this transaction.</summary>
    /// <param name="transaction">The change it is part of; left without being kept where the outcome is not done.</param>
    /// <param name="change">A change without faults.</param>
    /// <param name="savedAt">The instant it is saved.</param>
    public static ChangeOutcome Save(Transaction transaction, LibraryChange change, Instant savedAt)
    {
        // What is made here may be made of doughs that come after it: references are looked at when all of it is there, and what
        // is stated anew is taken apart first, so that things that change places are no circle on the way.
        var connection = transaction.Connection;
        connection.Execute("PRAGMA defer_foreign_keys = ON");
        connection.Execute("DELETE FROM ingredient_line WHERE ingredient_id IN @ids", new { ids = change.Restated.Select(one => one.Id) });
        connection.Execute("DELETE FROM dough_line WHERE dough_id IN @ids", new { ids = change.Doughs.Select(one => one.Id) });
        IngredientWriter.Add(transaction, change.Added);
        foreach (var ingredient in change.Restated) IngredientWriter.State(transaction, ingredient);
        BakeryWriter.Add(transaction, change.Pans);
        return change.Doughs.Select(dough => RecipeWriter.Save(transaction, dough, [], savedAt))
            .Concat(change.Products.Select(product => RecipeWriter.Save(transaction, product, [], savedAt)))
            .FirstOrDefault(outcome => outcome != ChangeOutcome.Done);
    }

    private sealed class RemovedRow
    {
        public string Id { get; init; } = string.Empty;

        public long Version { get; init; }
    }
}
