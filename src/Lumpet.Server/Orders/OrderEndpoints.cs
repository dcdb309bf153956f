using Lumpet.Core;
using Lumpet.Core.Bakery;
using Lumpet.Core.Orders;
using Lumpet.Core.Recipes;
using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.DayPlan;
using Lumpet.Store.Orders;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Server.Orders;

/// <summary>Orders: read, type, add, change, remove.</summary>
internal static class OrderEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        var orders = routes.MapGroup("/api/orders");
        orders.MapGet("/{day}", OnDay).WithName("GetOrders").WithSummary("The orders of a day, and their totals.");
        orders.MapPost("/read", Read).WithName("ReadOrderLine").WithSummary("What a typed line is understood as. Stores nothing.");
        orders.MapPost("/typed", AddTyped).WithName("AddTypedOrder").WithSummary("Takes a typed line.");
        orders.MapPost("", Add).WithName("AddOrder").WithSummary("Takes an order from the form.");
        orders.MapPut("/{id:guid}", Change).WithName("ChangeOrder").WithSummary("Changes an order; If-Match carries the version it was read with.")
            .Produces<OrderConflict>(StatusCodes.Status412PreconditionFailed, "application/problem+json");
        orders.MapDelete("/{id:guid}", Remove).WithName("RemoveOrder").WithSummary("Removes an order; If-Match carries the version it was read with.")
            .Produces<OrderConflict>(StatusCodes.Status412PreconditionFailed, "application/problem+json");
    }

    private static Results<Ok<OrdersAnswer>, ValidationProblem> OnDay(string day, Database database, RecipeShelf recipes)
    {
        if (Days.Read(day) is not { } date) return Days.NoDay();
        using var connection = database.Open();
        var products = recipes.Products(connection);
        var orders = OrderStore.OnDay(connection, date);
        OrderLine[] ordered = [.. orders.Select(order => order.Line)];
        // What is to bake is what the plan bakes.
        var leftOut = ArrangementStore.Of(connection, date).LeftOut;
        OrderLine[] planned = [.. ordered.Where(order => !leftOut.Any(lot => lot.Has(order)))];
        var beyond = MarginStore.All(connection).Beyond(planned);
        var totals = OrderTotals.Of([.. planned, .. beyond], products);
        return TypedResults.Ok(new OrdersAnswer(
            day,
            Days.Name(date),
            [.. orders.Select(order => Answer(order, products) with { IsLeftOut = leftOut.Any(lot => lot.Has(order.Line)) })],
            [.. totals.PickUps.Select(Clock)],
            [.. totals.Rows.Select(row => new TotalAnswer(row.Product.Name, row.Pan.Name, row.PerPickUp, row.Total))],
            ordered.Sum(order => order.Count),
            [.. StandingOrderStore.LeftOut(connection, date).Select(standing => Answer(new StoredOrder(standing.Id, standing.RowVersion, standing.Order.On(date), default) { Repeats = standing }, products))],
            beyond.Sum(line => line.Count),
            Days.Iso(date.PlusDays(-7))));
    }

    private static Results<Ok<UnderstoodAnswer>, ValidationProblem> Read(TypedLineRequest request, Database database, BakeryClock clock, RecipeShelf recipes)
    {
        using var connection = database.Open();
        return Understand(request, connection, clock, recipes) is { } understood
            ? TypedResults.Ok(new UnderstoodAnswer(
                [.. understood.Parts.Select(part => new UnderstoodPartAnswer(part.Field, part.Typed, part.Meaning))],
                [.. understood.Faults.Select(fault => new FaultAnswer(fault.Field, fault.Message))],
                understood.Order is not null))
            : Days.NoBakery();
    }

    private static Results<Created<OrderAnswer>, ValidationProblem> AddTyped(
        TypedLineRequest request, [FromHeader(Name = "Idempotency-Key")] string? key, Database database, BakeryClock clock, ChangeFeed feed, RecipeShelf recipes)
    {
        using var transaction = database.Begin();
        var once = OnceOnly.Of("typed order", key, request);
        if (Answered(transaction, once) is { } answered) return answered;
        if (Understand(request, transaction.Connection, clock, recipes) is not { } understood) return Days.NoBakery();
        return understood.Order is { } order ? Keep(transaction, order, once, clock, feed, recipes) : FieldProblems.Of(understood.Faults);
    }

    private static Results<Created<OrderAnswer>, ValidationProblem> Add(
        OrderRequest request, [FromHeader(Name = "Idempotency-Key")] string? key, Database database, BakeryClock clock, ChangeFeed feed, RecipeShelf recipes)
    {
        using var transaction = database.Begin();
        var once = OnceOnly.Of("order", key, request);
        if (Answered(transaction, once) is { } answered) return answered;
        if (BakeryStore.Find(transaction.Connection) is not { } bakery) return Days.NoBakery();
        var (order, faults) = Check(request, transaction.Connection, bakery, clock, recipes);
        return faults.Count == 0 ? Keep(transaction, order, once, clock, feed, recipes) : FieldProblems.Of(faults);
    }

    private static Results<Ok<OrderAnswer>, ValidationProblem, ProblemHttpResult, JsonHttpResult<OrderConflict>> Change(
        Guid id, OrderRequest request, [FromHeader(Name = "If-Match")] string? ifMatch, Database database, BakeryClock clock, ChangeFeed feed, RecipeShelf recipes)
    {
        if (RowVersion.Read(ifMatch) is not { } version) return RowVersion.Missing("order");
        using var transaction = database.Begin();
        var connection = transaction.Connection;
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        var (order, faults) = Check(request, connection, bakery, clock, recipes);
        if (faults.Count > 0) return FieldProblems.Of(faults);
        if (OrderStore.Total(connection, order.PickUp.Date, without: id).With(order).Fault is { } tooMuch) return FieldProblems.Of([tooMuch]);
        var outcome = OrderStore.Change(transaction, id, version, order, bakery.Zone);
        if (outcome == ChangeOutcome.Gone) return Gone();
        var present = Answer(OrderStore.Find(connection, id)!, recipes.Products(connection));
        if (outcome == ChangeOutcome.Conflict) return Conflict(present);
        transaction.Commit();
        // An order may have moved to another day, so no day is named.
        feed.Publish("orders");
        return TypedResults.Ok(present);
    }

    private static Results<NoContent, ProblemHttpResult, JsonHttpResult<OrderConflict>> Remove(
        Guid id, [FromHeader(Name = "If-Match")] string? ifMatch, Database database, ChangeFeed feed, RecipeShelf recipes)
    {
        if (RowVersion.Read(ifMatch) is not { } version) return RowVersion.Missing("order");
        using var transaction = database.Begin();
        var connection = transaction.Connection;
        var outcome = OrderStore.Remove(transaction, id, version);
        if (outcome == ChangeOutcome.Gone) return Gone();
        if (outcome == ChangeOutcome.Conflict) return Conflict(Answer(OrderStore.Find(connection, id)!, recipes.Products(connection)));
        transaction.Commit();
        feed.Publish("orders");
        return TypedResults.NoContent();
    }

    private static UnderstoodLine? Understand(TypedLineRequest request, SqliteConnection connection, BakeryClock clock, RecipeShelf recipes)
    {
        if (BakeryStore.Find(connection) is not { } bakery) return null;
        var now = clock.LocalNow(bakery.Zone);
        var day = Days.Read(request.Day) ?? now.Date.PlusDays(1);
        return OrderLineReader.Read(request.Line ?? string.Empty, [.. recipes.Products(connection).Where(product => !product.IsRetired)], day, now, bakery.Zone);
    }

    /// <summary>An order from the form, with everything wrong with it.</summary>
    internal static (OrderLine Order, IReadOnlyList<FieldFault> Faults) Check(
        OrderRequest request, SqliteConnection connection, BakeryRecord bakery, BakeryClock clock, RecipeShelf recipes)
    {
        var pickUp = PickUpText.Read(request.PickUp);
        var order = new OrderLine(request.Product ?? string.Empty, request.Pan ?? string.Empty, request.Count ?? 0, pickUp ?? default, request.For?.Trim() ?? string.Empty) { MayBeLateMin = request.MayBeLateMin ?? 0 };
        var faults = OrderRules.Faults(order, recipes.Products(connection), clock.LocalNow(bakery.Zone), bakery.Zone);
        return pickUp is not null
            ? (order, faults)
            : (order, [.. faults.Where(fault => fault.Field != "pickUp"), new FieldFault("pickUp", "A pick-up needs a date and a time, such as 2026-05-02T09:00.")]);
    }

    /// <summary>What was answered to the same request before, or why its key is refused; null where it is yet to do.</summary>
    private static Results<Created<OrderAnswer>, ValidationProblem>? Answered(Transaction transaction, OnceOnly once)
    {
        var (before, refused) = once.Answered<OrderAnswer>(transaction);
        if (before is not null) return TypedResults.Created($"/api/orders/{before.Id}", before);
        return refused is null ? null : (Results<Created<OrderAnswer>, ValidationProblem>)refused;
    }

    private static Results<Created<OrderAnswer>, ValidationProblem> Keep(
        Transaction transaction, OrderLine order, OnceOnly once, BakeryClock clock, ChangeFeed feed, RecipeShelf recipes)
    {
        if (OrderStore.Total(transaction.Connection, order.PickUp.Date).With(order).Fault is { } tooMuch) return FieldProblems.Of([tooMuch]);
        var kept = OrderStore.Add(transaction, order, BakeryStore.Find(transaction.Connection)!.Zone);
        var answer = Answer(kept, recipes.Products(transaction.Connection));
        once.Remember(transaction, answer, clock.Now);
        transaction.Commit();
        feed.Publish("orders", Days.Iso(kept.Line.PickUp.Date));
        return TypedResults.Created($"/api/orders/{kept.Id}", answer);
    }

    /// <summary>An order as it is answered.</summary>
    internal static OrderAnswer Answer(StoredOrder order, IReadOnlyList<Product> products)
    {
        var product = products.First(product => product.Id == order.Line.Product);
        return new OrderAnswer(
            order.Id,
            order.RowVersion,
            product.Id,
            product.Name,
            order.Line.Pan,
            product.SizeIn(order.Line.Pan)?.Pan.Name ?? order.Line.Pan,
            order.Line.Count,
            PickUpText.Written.Format(order.Line.PickUp),
            Clock(order.Line.PickUp),
            order.Line.For,
            order.Line.MayBeLateMin,
            order.Repeats is { } standing ? new RepeatsAnswer(standing.Id, standing.Order.DaysInWords) : null);
    }

    private static string Clock(LocalDateTime pickUp) => PickUpText.Clock.Format(pickUp.TimeOfDay);

    private static ProblemHttpResult Gone() =>
        TypedResults.Problem(title: "This order is not there any more: someone has removed it. Nothing was changed.", statusCode: 404);

    private static JsonHttpResult<OrderConflict> Conflict(OrderAnswer present) => TypedResults.Json(
        new OrderConflict(present)
        {
            Title = "Someone else has changed this order since you opened it. Nothing was changed; look at theirs and decide again.",
            Status = StatusCodes.Status412PreconditionFailed,
        },
        contentType: "application/problem+json",
        statusCode: StatusCodes.Status412PreconditionFailed);
}
