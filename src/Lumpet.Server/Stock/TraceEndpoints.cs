using Lumpet.Server.Faults;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Stock;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Data.Sqlite;

namespace Lumpet.Server.Stock;

/// <summary>Where a lot went, and where what is in an order came from.</summary>
internal static class TraceEndpoints
{
    private const int MostFound = 40;
    private const int LongestText = 60;

    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/trace", Find).WithName("FindTraces").WithSummary("Lots and orders on the books whose number, name or customer holds a text.");
        routes.MapGet("/api/trace/lots/{id:guid}", OfLot).WithName("TraceLot").WithSummary("All that a lot went into, to the orders, and all that went into it.");
        routes.MapGet("/api/trace/orders/{id:guid}", OfOrder).WithName("TraceOrder").WithSummary("All lots that went into the pies of an order.");
    }

    private static Results<Ok<IReadOnlyList<TraceFoundAnswer>>, ValidationProblem> Find(string? text, Database database, RecipeShelf recipes)
    {
        var wanted = text?.Trim() ?? string.Empty;
        if (wanted.Length > LongestText) return FieldProblems.Of(("text", $"At most {LongestText} characters are looked for."));
        using var connection = database.Open();
        var names = Names(connection, recipes);
        var named = names.Ingredients.Values.Where(one => one.Name.Contains(wanted, StringComparison.OrdinalIgnoreCase)).Select(one => one.Id).ToArray();
        return TypedResults.Ok<IReadOnlyList<TraceFoundAnswer>>(
        [
            .. StockStore.Found(connection, wanted, named, [.. recipes.Products(connection).Where(one => one.Name.Contains(wanted, StringComparison.OrdinalIgnoreCase)).Select(one => one.Id)], MostFound)
                .Select(stored => new TraceFoundAnswer(stored.Lot.Id, null, names.Of(stored.Lot.Thing), stored.Lot.Code, Core.Orders.PickUpText.Said.Format(stored.Lot.Since), stored.Lot.Supplier ?? string.Empty)),
            .. StockStore.OrdersFound(connection, wanted, MostFound)
                .Select(order => new TraceFoundAnswer(null, order.OrderId, order.ForWhom.Length > 0 ? order.ForWhom : "counter", string.Empty, Core.Orders.PickUpText.Said.Format(order.PickUp), $"{order.Pies} pies")),
        ]);
    }

    private static Results<Ok<TraceAnswer>, ProblemHttpResult> OfLot(Guid id, Database database, RecipeShelf recipes, TraceShelf traces)
    {
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery || StockStore.Find(connection, id) is not { } stored)
            return TypedResults.Problem(title: "There is no such lot.", statusCode: StatusCodes.Status404NotFound);
        var names = Names(connection, recipes);
        return TypedResults.Ok(new TraceWords(connection, traces.Of(connection), names, bakery.Zone).OfLot(stored));
    }

    private static Results<Ok<TraceAnswer>, ProblemHttpResult> OfOrder(Guid id, Database database, RecipeShelf recipes, TraceShelf traces)
    {
        using var connection = database.Open();
        var made = StockStore.OfOrder(connection, id);
        if (BakeryStore.Find(connection) is not { } bakery || made.Count == 0)
            return TypedResults.Problem(title: "No pies of this order are on the books: enter them when they are made.", statusCode: StatusCodes.Status404NotFound);
        return TypedResults.Ok(new TraceWords(connection, traces.Of(connection), Names(connection, recipes), bakery.Zone).OfOrder(made));
    }

    private static ThingNames Names(SqliteConnection connection, RecipeShelf recipes) => new(IngredientStore.All(connection), recipes.Products(connection));
}

/// <summary>Something that can be traced.</summary>
/// <param name="Lot">The lot; null of an order.</param>
/// <param name="Order">The order; null of a lot.</param>
/// <param name="Name">What it is, or who it is for.</param>
/// <param name="Code">The lot's number; empty where nobody knows.</param>
/// <param name="At">When the lot came or was made; of an order its pick-up.</param>
/// <param name="More">From whom the lot came; of an order how many pies.</param>
public sealed record TraceFoundAnswer(Guid? Lot, Guid? Order, string Name, string Code, string At, string More);
