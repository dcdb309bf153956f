using Lumpet.Core.Orders;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Lumpet.Store.Orders;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Orders;

/// <summary>What is baked beyond what is ordered.</summary>
internal static class MarginEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/margins", All).WithName("GetMargins").WithSummary("What is baked beyond what is ordered, of every product.");
        routes.MapPut("/api/margins/{product}", Set).WithName("SetMargin").WithSummary("Sets what is baked of a product beyond what is ordered, where it is still what it was when it was read.");
    }

    private static Ok<IReadOnlyList<MarginAnswer>> All(Database database, RecipeShelf recipes)
    {
        using var connection = database.Open();
        var margins = MarginStore.All(connection).ByProduct;
        return TypedResults.Ok<IReadOnlyList<MarginAnswer>>([.. recipes.Products(connection).Where(product => !product.IsRetired).Select(product => new MarginAnswer(product.Id, product.Name, margins.GetValueOrDefault(product.Id)))]);
    }

    private static Results<NoContent, ValidationProblem, ProblemHttpResult> Set(string product, MarginRequest request, Database database, ChangeFeed feed)
    {
        if (request.Percent is not (>= 0 and <= Margins.MostPercent)) return FieldProblems.Of(("percent", $"A margin is 0 to {Margins.MostPercent} %; more is an order for the counter."));
        if (request.Before is null) return FieldProblems.Of(("before", "What it was when it was read is needed."));
        using var transaction = database.Begin();
        var outcome = MarginStore.Set(transaction, product, request.Percent.Value, request.Before.Value);
        if (outcome == ChangeOutcome.Gone) return TypedResults.Problem(title: "There is no such product. Nothing was changed.", statusCode: StatusCodes.Status404NotFound);
        if (outcome == ChangeOutcome.Conflict) return RowVersion.Conflict("this margin");
        transaction.Commit();
        feed.Publish("orders");
        return TypedResults.NoContent();
    }
}

/// <summary>What is baked of a product beyond what is ordered.</summary>
/// <param name="Product">Id of the product.</param>
/// <param name="Name">Its name.</param>
/// <param name="Percent">Percent of what is ordered; 0 for nothing.</param>
public sealed record MarginAnswer(string Product, string Name, int Percent);

/// <summary>A margin that is to be set.</summary>
/// <param name="Percent">Percent of what is ordered, 0 to 50.</param>
/// <param name="Before">What it was when it was read.</param>
public sealed record MarginRequest(int? Percent, int? Before);
