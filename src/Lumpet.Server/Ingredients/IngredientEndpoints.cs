using Lumpet.Core;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes;
using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Server.Prices;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Recipes;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using NodaTime;

namespace Lumpet.Server.Ingredients;

/// <summary>Ingredients: what they carry, what they weigh, what they cost.</summary>
internal static class IngredientEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/ingredients", List).WithName("GetIngredients").WithSummary("Every ingredient, with what is known of it and who says so.");
        routes.MapPost("/api/ingredients", Add).WithName("AddIngredient").WithSummary("States a new ingredient.");
        routes.MapPut("/api/ingredients/{id}", Change).WithName("ChangeIngredient")
            .WithSummary("States what a bakery knows of an ingredient, and adds a price where one is given; If-Match carries the version it was read with. What is left out leaves the figure that ships in force.");
    }

    private static Ok<IngredientsAnswer> List(Database database, BakeryClock clock, PriceShelf books)
    {
        using var connection = database.Open();
        var today = clock.Today(BakeryStore.Find(connection)?.Zone ?? DateTimeZone.Utc);
        var prices = books.Of(connection).On(today);
        var (versions, own, used) = (IngredientStore.Versions(connection), IngredientStore.Own(connection), IngredientStore.UsedIn(connection));
        return TypedResults.Ok(new IngredientsAnswer(
            [.. IngredientStore.All(connection).Values.Where(one => !one.IsDough).Select(one => IngredientAnswer.Of(
                one, own[one.Id], versions[one.Id], prices.Find(one.Id) is { } price ? PriceWords.Of(price) : null, used.GetValueOrDefault(one.Id)))],
            MajorAllergens.All,
            MajorAllergens.UnitedStates,
            Naming.All<IngredientRole>()));
    }

    private static Results<Created, ValidationProblem, ProblemHttpResult> Add(IngredientDraft draft, Database database, BakeryClock clock, ChangeFeed feed)
    {
        using var transaction = database.Begin();
        var connection = transaction.Connection;
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        var known = IngredientStore.All(connection);
        var id = ShortName.For(draft.Name ?? string.Empty, [.. known.Keys]);
        var (ingredient, price, faults) = IngredientReader.Read(id, draft, bakery.Currency, clock.Today(bakery.Zone), new Pantry(known.Values), bakery.Cups);
        if (ingredient is null) return FieldProblems.Of(faults);
        if (Taken(known.Values, ingredient) is { } taken) return taken;
        if (IngredientReader.Nesting(ingredient, known.Values) is { } nested) return FieldProblems.Of([nested]);
        IngredientWriter.Add(transaction, ingredient, price);
        transaction.Commit();
        feed.Publish("ingredients");
        return TypedResults.Created($"/api/ingredients/{id}");
    }

    private static Results<NoContent, ValidationProblem, ProblemHttpResult> Change(
        string id, IngredientDraft draft, [FromHeader(Name = "If-Match")] string? ifMatch, Database database, BakeryClock clock, ChangeFeed feed)
    {
        if (RowVersion.Read(ifMatch) is not { } version) return RowVersion.Missing("ingredient");
        using var transaction = database.Begin();
        var connection = transaction.Connection;
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        var known = IngredientStore.All(connection).Values;
        var (ingredient, price, faults) = IngredientReader.Read(id, draft, bakery.Currency, clock.Today(bakery.Zone), new Pantry(known), bakery.Cups);
        if (ingredient is null) return FieldProblems.Of(faults);
        if (Taken(known, ingredient) is { } taken) return taken;
        if (IngredientReader.Nesting(ingredient, known) is { } nested) return FieldProblems.Of([nested]);
        var outcome = IngredientWriter.Change(transaction, ingredient, price, version);
        if (outcome == ChangeOutcome.Gone) return TypedResults.Problem(title: "There is no such ingredient.", statusCode: 404);
        if (outcome == ChangeOutcome.Conflict) return RowVersion.Conflict("this ingredient");
        if (RecipeStore.WithoutTheirShell(connection, id) is { Count: > 0 } names) return FieldProblems.Of(("pieces", ShellsMadeHere.Misfit(names)));
        transaction.Commit();
        feed.Publish("ingredients");
        return TypedResults.NoContent();
    }

    private static ValidationProblem? Taken(IEnumerable<Ingredient> known, Ingredient ingredient) =>
        known.FirstOrDefault(other => other.Id != ingredient.Id && other.Name.Equals(ingredient.Name, StringComparison.OrdinalIgnoreCase) && other.Formula?.How is not DoughMaking { Dough.IsMixed: false }) is { } taken
            ? FieldProblems.Of(("name", $"There is {(taken.IsDough ? "a dough" : "an ingredient")} \"{ingredient.Name}\" already."))
            : null;
}
