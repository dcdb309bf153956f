using System.Text;
using Lumpet.Core.Recipes.Exchange;
using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Server.Ingredients;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Recipes;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Data.Sqlite;

namespace Lumpet.Server.Library;

/// <summary>The library in and out: as a whole, recipe by recipe, and its ingredients as a table.</summary>
internal static class LibraryEndpoints
{
    private const int MostNotes = 300;
    private const int MostNames = 200;

    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/library.json", Everything).WithName("GetLibrary").WithSummary("Ingredients, pans, doughs and products as lumpet.recipe-library/2.").Produces<string>(200, "application/json");
        routes.MapGet("/api/ingredients.csv", Table).WithName("GetIngredientTable").WithSummary("Ingredients as comma-separated values.").Produces<string>(200, "text/csv");
        routes.MapGet("/api/recipes/{id}/recipe.jsonld", Recipe).WithName("GetRecipeFile").WithSummary("A product as schema.org/Recipe in JSON-LD.").Produces<string>(200, "application/ld+json");
        routes.MapPost("/api/library/preview", Preview).WithName("PreviewLibrary").WithSummary("What taking in a file would do: a library, schema.org recipes, or a table of ingredients. Stores nothing.");
        routes.MapPost("/api/library", TakeIn).WithName("TakeInLibrary").WithSummary("Takes in a file: all of it, or nothing.");
    }

    private static ContentHttpResult Everything(Database database)
    {
        using var connection = database.Open();
        var library = LibraryFile.Of(IngredientStore.Own(connection).Values, RecipeStore.Pans(connection), RecipeStore.Doughs(connection), RecipeStore.Products(connection));
        return TypedResults.Text(library.Write(), "application/json", Encoding.UTF8);
    }

    private static ContentHttpResult Table(Database database)
    {
        using var connection = database.Open();
        return TypedResults.Text(IngredientCsv.Write(IngredientStore.Own(connection).Values, IngredientStore.All(connection)), "text/csv", Encoding.UTF8);
    }

    private static Results<ContentHttpResult, ProblemHttpResult> Recipe(string id, Database database)
    {
        using var connection = database.Open();
        return RecipeStore.Find(connection, id) is { } product
            ? TypedResults.Text(RecipeJsonLd.Write(product), "application/ld+json", Encoding.UTF8)
            : TypedResults.Problem(title: "There is no such product.", statusCode: 404);
    }

    private static Results<Ok<LibraryPreview>, ValidationProblem> Preview(LibraryRequest request, Database database, BakeryClock clock)
    {
        using var connection = database.Open();
        var (change, refused) = Read(request, connection, clock);
        return change is null ? refused! : TypedResults.Ok(Said(change));
    }

    private static Results<Ok<LibraryPreview>, ValidationProblem, ProblemHttpResult> TakeIn(
        LibraryRequest request, Database database, BakeryClock clock, ChangeFeed feed)
    {
        // Two thousand recipes take seconds to read, in which nobody else should have to wait with a change.
        var (change, refused, stamp) = ReadAside(request, database, clock);
        if (change is null) return refused!;
        using var transaction = database.Begin();
        if (LibraryStore.Stamp(transaction.Connection) != stamp)
        {
            // Something was changed meanwhile: what was read is read again, now that nothing can.
            (change, refused) = Read(request, transaction.Connection, clock);
            if (change is null) return refused!;
        }

        if (!change.IsEmpty && LibraryStore.Save(transaction, change, clock.Now) != ChangeOutcome.Done) return RowVersion.Conflict("a recipe of this file");
        transaction.Commit();
        if (!change.IsEmpty) feed.Publish("recipes");
        return TypedResults.Ok(Said(change));
    }

    private static (LibraryChange? Change, ValidationProblem? Refused, long Stamp) ReadAside(LibraryRequest request, Database database, BakeryClock clock)
    {
        using var connection = database.Open();
        var (change, refused) = Read(request, connection, clock);
        return (change, refused, LibraryStore.Stamp(connection));
    }

    private static (LibraryChange? Change, ValidationProblem? Refused) Read(LibraryRequest request, SqliteConnection connection, BakeryClock clock)
    {
        if (BakeryStore.Find(connection) is not { } bakery) return (null, Days.NoBakery());
        var text = request.Text ?? string.Empty;
        if (text.Length > LibraryReader.LongestText) return (null, FieldProblems.Of(("text", "A file takes up to 16 million characters.")));
        var state = LibraryStore.Read(connection, bakery, clock.Today(bakery.Zone));
        if (text.AsSpan().TrimStart() is not ['{' or '[', ..])
        {
            var (table, faults) = IngredientCsv.Read(text);
            if (table is null) return (null, FieldProblems.Of(faults));
            text = table.Write();
        }

        var change = LibraryReader.Read(text, state);
        return change.Faults.Count > 0 ? (null, FieldProblems.Of(change.Faults)) : (change, null);
    }

    private static LibraryPreview Said(LibraryChange change) => new(
        [.. change.Products.Where(product => product.Version == 1).Select(product => product.Name).Take(MostNames)],
        [.. change.Products.Where(product => product.Version > 1).Select(product => $"{product.Name}, version {product.Version}").Take(MostNames)],
        [.. change.Doughs.Select(dough => dough.Version == 1 ? dough.Name : $"{dough.Name}, version {dough.Version}").Take(MostNames)],
        [.. change.Added.Select(one => one.Name).Take(MostNames)],
        [.. change.Restated.Select(one => one.Name).Take(MostNames)],
        [.. change.Pans.Select(pan => pan.Name)],
        change.Products.Count + change.Doughs.Count + change.Added.Count + change.Restated.Count + change.Pans.Count,
        change.Same,
        [.. change.Notes.Take(MostNotes)],
        change.Notes.Count);
}

/// <summary>A file to be taken in.</summary>
/// <param name="Text">Its text.</param>
public sealed record LibraryRequest(string? Text);

/// <summary>What taking in a file does; of long lists the beginning.</summary>
/// <param name="NewRecipes">Recipes that are new.</param>
/// <param name="ChangedRecipes">Recipes of which a new version is made.</param>
/// <param name="Doughs">Doughs that are new or in a new version.</param>
/// <param name="NewIngredients">Ingredients that are new.</param>
/// <param name="RestatedIngredients">Ingredients of which something else is stated.</param>
/// <param name="Pans">Pans that are new.</param>
/// <param name="Changes">How many things change in all.</param>
/// <param name="Same">How many are the same as what is there.</param>
/// <param name="Notes">What a person should look at afterwards.</param>
/// <param name="NoteCount">How many notes there are in all.</param>
public sealed record LibraryPreview(
    IReadOnlyList<string> NewRecipes,
    IReadOnlyList<string> ChangedRecipes,
    IReadOnlyList<string> Doughs,
    IReadOnlyList<string> NewIngredients,
    IReadOnlyList<string> RestatedIngredients,
    IReadOnlyList<string> Pans,
    int Changes,
    int Same,
    IReadOnlyList<LibraryNote> Notes,
    int NoteCount);
