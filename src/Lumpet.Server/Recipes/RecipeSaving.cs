using Lumpet.Core;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Server.Bakery;
using Lumpet.Server.Faults;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Orders;
using Lumpet.Store.Recipes;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Data.Sqlite;

namespace Lumpet.Server.Recipes;

/// <summary>Reads a draft of a product against the bakery as it is, and saves it.</summary>
internal static class RecipeSaving
{
    /// <summary>Adds a new product.</summary>
    /// <returns>The product; null with what is wrong, or with nothing where another took its id at the same moment.</returns>
    public static (Product? Product, IReadOnlyList<FieldFault> Faults) Add(Transaction transaction, ProductDraft draft, BakeryClock clock)
    {
        var connection = transaction.Connection;
        var names = RecipeFinder.Names(connection);
        var id = ShortName.For(draft.Name ?? string.Empty, Shelving.IdsEverGiven(connection, Shelved.Product));
        var (product, fresh, faults) = Read(connection, draft, id, 1, [.. names.Values]);
        if (product is null) return (null, faults);
        return RecipeWriter.Save(transaction, product, fresh, clock.Now) == ChangeOutcome.Done ? (product, []) : (null, []);
    }

    /// <summary>Saves the version that follows one that was read.</summary>
    /// <returns>The product; null with what is wrong, or with what became of it.</returns>
    public static (Product? Product, ChangeOutcome Outcome, IReadOnlyList<FieldFault> Faults) Change(
        Transaction transaction, string id, ProductDraft draft, int version, BakeryClock clock)
    {
        var connection = transaction.Connection;
        var names = RecipeFinder.Names(connection);
        var (product, fresh, faults) = Read(connection, draft, id, version + 1, [.. names.Where(pair => pair.Key != id).Select(pair => pair.Value)]);
        if (product is null) return (null, ChangeOutcome.Done, faults);
        if (OrderedSizes.Fault(product, OrderStore.PansOrdered(connection, id)) is { } dropped) return (null, ChangeOutcome.Done, [dropped]);
        // What was removed is not brought back by changing it.
        var outcome = version == 0 || !names.ContainsKey(id) ? ChangeOutcome.Gone : RecipeWriter.Save(transaction, product, fresh, clock.Now);
        return outcome == ChangeOutcome.Done ? (product, outcome, []) : (null, outcome, []);
    }

    /// <summary>A draft as it would be read, and what is wrong about it; none where it could be saved.</summary>
    /// <param name="connection">The bakery.</param>
    /// <param name="id">The product that it would change; null for a new one.</param>
    /// <param name="draft">What is written.</param>
    public static (Product? Product, IReadOnlyList<FieldFault> Faults) Check(SqliteConnection connection, string? id, ProductDraft draft)
    {
        var (product, _, faults) = Read(connection, draft, id ?? "new", 1, [.. RecipeFinder.Names(connection).Where(pair => pair.Key != id).Select(pair => pair.Value)]);
        return product is not null && id is not null && OrderedSizes.Fault(product, OrderStore.PansOrdered(connection, id)) is { } dropped ? (product, [dropped]) : (product, faults);
    }

    /// <summary>The refusal of a change that met another, or nothing.</summary>
    public static ProblemHttpResult NotDone(ChangeOutcome outcome, string what) => outcome == ChangeOutcome.Gone
        ? TypedResults.Problem(title: $"This {what} is not there.", statusCode: 404)
        : RowVersion.Conflict($"this {what}");

    /// <summary>A product as written.</summary>
    public static WrittenRecipe Answer(Product product) => new(product.Id, product.Version, ProductReader.Write(product));

    /// <summary>Reads drafts of one recipe, one after another, against the bakery as it is now.</summary>
    /// <param name="connection">The bakery.</param>
    /// <param name="id">The product that they would change; null for a new one.</param>
    public static Func<ProductDraft, (Product? Product, IReadOnlyList<FieldFault> Faults)> Reading(SqliteConnection connection, string? id)
    {
        var bakery = BakeryStore.Find(connection)!;
        var (pans, ingredients) = (RecipeStore.Pans(connection), IngredientStore.All(connection).Values.ToArray());
        var doughs = ShellsMadeHere.With(RecipeStore.Doughs(ingredients), ingredients);
        string[] others = [.. RecipeFinder.Names(connection).Where(pair => pair.Key != id).Select(pair => pair.Value)];
        return draft =>
        {
            var (product, _, faults) = ProductReader.Read(draft, id ?? "new", 1, bakery.Currency, pans, doughs, ingredients, others, bakery.Cups);
            return (product, faults);
        };
    }

    private static (Product? Product, IReadOnlyList<Core.Ingredients.Ingredient> Fresh, IReadOnlyList<FieldFault> Faults) Read(
        SqliteConnection connection, ProductDraft draft, string id, int version, IReadOnlyCollection<string> others)
    {
        var bakery = BakeryStore.Find(connection)!;
        var ingredients = IngredientStore.All(connection).Values.ToArray();
        return ProductReader.Read(
            draft, id, version, bakery.Currency, RecipeStore.Pans(connection), ShellsMadeHere.With(RecipeStore.Doughs(ingredients), ingredients), ingredients, others, bakery.Cups);
    }
}
