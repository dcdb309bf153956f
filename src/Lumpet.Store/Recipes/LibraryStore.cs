using Lumpet.Core.Bakery;
using Lumpet.Core.Recipes.Exchange;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
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
        today);

    /// <summary>Takes in a change: all of it, or nothing where anything was changed meanwhile.</summary>
    /// <param name="database">The database.</param>
    /// <param name="change">A change without faults.</param>
    /// <param name="savedAt">The instant it is saved.</param>
    public static ChangeOutcome Save(Database database, LibraryChange change, Instant savedAt)
    {
        try
        {
            return database.Write((connection, transaction) =>
            {
                IngredientWriter.Add(connection, transaction, change.Added);
                foreach (var ingredient in change.Restated) IngredientWriter.State(connection, transaction, ingredient);
                BakeryWriter.Add(connection, transaction, change.Pans);
                foreach (var dough in change.Doughs) Require(RecipeWriter.Save(connection, transaction, dough, [], savedAt));
                foreach (var product in change.Products) Require(RecipeWriter.Save(connection, transaction, product, [], savedAt));
                return ChangeOutcome.Done;
            });
        }
        catch (MetAnotherChangeException)
        {
            return ChangeOutcome.Conflict;
        }
    }

    private static void Require(ChangeOutcome outcome)
    {
        // Leaves the transaction, so that none of it is kept.
        if (outcome != ChangeOutcome.Done) throw new MetAnotherChangeException();
    }

    private sealed class MetAnotherChangeException : Exception;
}
