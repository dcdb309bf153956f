using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Orders;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Lumpet.Server.Orders;

/// <summary>Many orders at once: as a file in and out, and a whole pick-up moved.</summary>
internal static class OrderFileEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/orders/{day}/orders.csv", Export).WithName("ExportOrders").WithSummary("The orders of a day as comma-separated values.").Produces<string>(200, "text/csv");
        routes.MapPost("/api/orders/import", Import).WithName("ImportOrders").WithSummary("Reads orders from comma-separated values; keeps all of them or none, and only where asked.");
    }

    private static Results<ContentHttpResult, ValidationProblem> Export(string day, Database database)
    {
        if (Days.Read(day) is not { } date) return Days.NoDay();
        using var connection = database.Open();
        return TypedResults.Text(OrderCsv.Write(OrderStore.OnDay(connection, date).Select(order => order.Line)), "text/csv", System.Text.Encoding.UTF8);
    }

    private static Results<Ok<ImportAnswer>, ValidationProblem> Import(
        ImportRequest request, [FromHeader(Name = "Idempotency-Key")] string? key, Database database, BakeryClock clock, ChangeFeed feed, RecipeShelf recipes)
    {
        using var transaction = database.Begin();
        var once = OnceOnly.Of("order file", request.Keep ? key : null, request);
        var (before, refused) = once.Answered<ImportAnswer>(transaction);
        if (refused is not null) return refused;
        if (before is not null) return TypedResults.Ok(before);
        if (BakeryStore.Find(transaction.Connection) is not { } bakery) return Days.NoBakery();
        var (orders, faults) = OrderCsv.Read(request.Text ?? string.Empty, recipes.Products(transaction.Connection), clock.LocalNow(bakery.Zone), bakery.Zone);
        if (faults.Count > 0) return FieldProblems.Of(faults);
        foreach (var day in orders.GroupBy(order => order.PickUp.Date))
            if (day.Aggregate(OrderStore.Total(transaction.Connection, day.Key), (total, order) => total.With(order)).Fault is { } tooMuch)
                return FieldProblems.Of(("file", $"{Days.Name(day.Key)}: {tooMuch.Message}"));
        var answer = new ImportAnswer(
            orders.Count,
            orders.Sum(order => order.Count),
            [.. orders.GroupBy(order => order.PickUp.Date).OrderBy(group => group.Key).Select(group => new DayAnswer(Days.Iso(group.Key), Days.Name(group.Key), group.Sum(order => order.Count)))],
            request.Keep);
        if (!request.Keep) return TypedResults.Ok(answer);
        foreach (var order in orders) OrderStore.Add(transaction, order, bakery.Zone);
        once.Remember(transaction, answer, clock.Now);
        transaction.Commit();
        feed.Publish("orders");
        return TypedResults.Ok(answer);
    }
}

/// <summary>A file of orders.</summary>
/// <param name="Text">Its content.</param>
/// <param name="Keep">Whether to keep them; otherwise they are only read.</param>
public sealed record ImportRequest(string? Text, bool Keep);

/// <summary>What a file of orders holds.</summary>
/// <param name="Orders">Order lines.</param>
/// <param name="Pies">Pies of all lines.</param>
/// <param name="Days">Pies by day.</param>
/// <param name="IsKept">Whether they are kept now.</param>
public sealed record ImportAnswer(int Orders, int Pies, IReadOnlyList<DayAnswer> Days, bool IsKept);
