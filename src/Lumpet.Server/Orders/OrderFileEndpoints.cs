using Lumpet.Core.Orders;
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

/// <summary>Many orders at once: as a file in and out, and a day copied to another.</summary>
internal static class OrderFileEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/orders/{day}/orders.csv", Export).WithName("ExportOrders").WithSummary("The orders of a day as comma-separated values.").Produces<string>(200, "text/csv");
        routes.MapPost("/api/orders/import", Import).WithName("ImportOrders").WithSummary("Reads orders from comma-separated values; keeps all of them or none, and only where asked.");
        routes.MapPost("/api/orders/{day}/copy", Copy).WithName("CopyOrders").WithSummary("Copies the orders of another day to this one, at the same times; all of them or none, and only where asked.");
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

    private static Results<Ok<CopiedAnswer>, ValidationProblem> Copy(
        string day, CopyRequest request, [FromHeader(Name = "Idempotency-Key")] string? key, Database database, BakeryClock clock, ChangeFeed feed, RecipeShelf recipes)
    {
        if (Days.Read(day) is not { } date) return Days.NoDay();
        using var transaction = database.Begin();
        var once = OnceOnly.Of($"copy to {day}", request.Keep ? key : null, request);
        var (before, refused) = once.Answered<CopiedAnswer>(transaction);
        if (refused is not null) return refused;
        if (before is not null) return TypedResults.Ok(before);
        var connection = transaction.Connection;
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        if (Days.Read(request.From) is not { } from || from == date) return FieldProblems.Of(("from", "Another day is needed, written 2026-05-02."));
        var there = OrderStore.OnDay(connection, from);
        if (there.Count == 0 && request.Keep) return FieldProblems.Of(("from", $"Nothing is ordered for {Days.Name(from)}."));
        // What repeats and would come anyway, though it was left out, is not copied.
        StoredOrder[] taken = [.. there.Where(order => order.Repeats?.Order.IsOn(date) != true)];
        OrderLine[] lines = [.. taken.Select(order => order.Line with { PickUp = date.At(order.Line.PickUp.TimeOfDay) })];
        var products = recipes.Products(connection);
        var faults = lines.SelectMany(line => OrderRules.Faults(line, products, clock.LocalNow(bakery.Zone), bakery.Zone)).DistinctBy(fault => fault.Message).ToArray();
        if (faults.Length > 0) return FieldProblems.Of([.. faults.Select(fault => fault with { Field = "from" })]);
        if (lines.Aggregate(OrderStore.Total(connection, date), (total, line) => total.With(line)).Fault is { } tooMuch) return FieldProblems.Of(("from", tooMuch.Message));
        var answer = new CopiedAnswer(lines.Length, lines.Sum(line => line.Count), Days.Name(from), there.Count - taken.Length, request.Keep);
        if (!request.Keep) return TypedResults.Ok(answer);
        foreach (var line in lines) OrderStore.Add(transaction, line, bakery.Zone);
        once.Remember(transaction, answer, clock.Now);
        transaction.Commit();
        feed.Publish("orders", day);
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
