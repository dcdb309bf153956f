using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Recipes;
using Microsoft.AspNetCore.Http.HttpResults;
using NodaTime;

namespace Lumpet.Server.Recipes;

/// <summary>Retires and removes recipes, doughs and ingredients that nothing needs.</summary>
internal static class ShelvingEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        foreach (var (path, kind, feed) in new[] { ("recipes", Shelved.Product, "recipes"), ("doughs", Shelved.Dough, "recipes"), ("ingredients", Shelved.Ingredient, "ingredients") })
        {
            routes.MapPost($"/api/{path}/{{id}}/retired", (string id, RetireRequest request, Database database, BakeryClock clock, ChangeFeed changes) => Retire(id, request, kind, feed, database, clock, changes))
                .WithName($"Retire{kind}").WithSummary("Retires it, or takes it back. What is in use is kept as it is.");
            routes.MapDelete($"/api/{path}/{{id}}", (string id, Database database, ChangeFeed changes) => Remove(id, kind, feed, database, changes))
                .WithName($"Remove{kind}").WithSummary("Removes it, where nothing refers to it; its versions are kept.");
        }
    }

    private static Results<NoContent, ValidationProblem, ProblemHttpResult> Retire(string id, RetireRequest request, Shelved kind, string feed, Database database, BakeryClock clock, ChangeFeed changes)
    {
        if (request.Retired is not { } retired) return FieldProblems.Of(("retired", "Say true to retire it, false to take it back."));
        using var transaction = database.Begin();
        var today = clock.Today(BakeryStore.Find(transaction.Connection)?.Zone ?? DateTimeZone.Utc);
        return Told(transaction, Shelving.Retire(transaction, kind, id, retired, Days.Iso(today)), "cannot be retired", feed, changes);
    }

    private static Results<NoContent, ValidationProblem, ProblemHttpResult> Remove(string id, Shelved kind, string feed, Database database, ChangeFeed changes)
    {
        using var transaction = database.Begin();
        return Told(transaction, Shelving.Remove(transaction, kind, id), "cannot be removed", feed, changes);
    }

    private static Results<NoContent, ValidationProblem, ProblemHttpResult> Told(Transaction transaction, ShelvingOutcome outcome, string cannot, string feed, ChangeFeed changes)
    {
        if (outcome.Outcome == ChangeOutcome.Gone) return TypedResults.Problem(title: "This is not there any more.", statusCode: 404);
        if (outcome.NeededBy.Count > 0) return FieldProblems.Of(("id", $"It {cannot}: {string.Join(", ", outcome.NeededBy)} {(outcome.NeededBy.Count == 1 ? "needs" : "need")} it."));
        transaction.Commit();
        changes.Publish(feed);
        return TypedResults.NoContent();
    }
}

/// <summary>Whether something is retired.</summary>
/// <param name="Retired">True retires it, false takes it back; refused where it is missing.</param>
public sealed record RetireRequest(bool? Retired);
