using Lumpet.Core.Ingredients;
using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Server.Orders;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Lumpet.Server.Ingredients;

/// <summary>Ingredients: what allergens they carry and what they cost.</summary>
internal static class IngredientEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/ingredients", List).WithName("GetIngredients").WithSummary("Every ingredient, with what is known of it.");
        routes.MapPut("/api/ingredients/{id}", Change).WithName("ChangeIngredient").WithSummary("States name and allergens of an ingredient, and adds a price where one is given; If-Match carries the version it was read with.");
    }

    private static Ok<IngredientsAnswer> List(Database database, BakeryClock clock)
    {
        using var connection = database.Open();
        var today = DateOnly.FromDateTime(BakeryStore.Find(connection) is { } bakery ? clock.LocalNow(bakery.Zone) : clock.Now.UtcDateTime);
        var prices = PriceList.On(today, IngredientStore.Prices(connection));
        var versions = IngredientStore.Versions(connection);
        return TypedResults.Ok(new IngredientsAnswer(
            [.. IngredientStore.All(connection).Values.Select(one => new IngredientAnswer(
                one.Id, versions[one.Id], one.Name, one.AllergensStated ? one.Allergens : null, prices.Find(one.Id) is { } price ? PriceWords.Of(price) : null))],
            MajorAllergens.All));
    }

    private static Results<NoContent, ValidationProblem, ProblemHttpResult> Change(
        string id, IngredientDraft draft, [FromHeader(Name = "If-Match")] string? ifMatch, Database database, BakeryClock clock, ChangeFeed feed)
    {
        if (RowVersion.Read(ifMatch) is not { } version) return RowVersion.Missing("ingredient");
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return OrderEndpoints.NoBakery();
        var (ingredient, price, faults) = IngredientReader.Read(id, draft, bakery.Currency, DateOnly.FromDateTime(clock.LocalNow(bakery.Zone)));
        if (ingredient is null) return FieldProblems.Of(faults);
        if (IngredientStore.All(connection).Values.Any(other => other.Id != id && other.Name.Equals(ingredient.Name, StringComparison.OrdinalIgnoreCase)))
            return FieldProblems.Of(("name", $"There is an ingredient \"{ingredient.Name}\" already."));
        var outcome = IngredientWriter.Change(database, ingredient, price, version);
        if (outcome == ChangeOutcome.Gone) return TypedResults.Problem(title: "There is no such ingredient.", statusCode: 404);
        if (outcome == ChangeOutcome.Conflict) return RowVersion.Conflict("this ingredient");
        feed.Publish("ingredients");
        return TypedResults.NoContent();
    }
}

/// <summary>The ingredients of the bakery.</summary>
/// <param name="Ingredients">By name.</param>
/// <param name="Allergens">What can be stated.</param>
public sealed record IngredientsAnswer(IReadOnlyList<IngredientAnswer> Ingredients, IReadOnlyList<string> Allergens);

/// <summary>An ingredient.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Version">Goes back in If-Match.</param>
/// <param name="Name">Its name.</param>
/// <param name="Allergens">What it carries; null while nobody has said.</param>
/// <param name="Price">The price in force, in words; null where none is known.</param>
public sealed record IngredientAnswer(string Id, long Version, string Name, IReadOnlyList<string>? Allergens, string? Price);
