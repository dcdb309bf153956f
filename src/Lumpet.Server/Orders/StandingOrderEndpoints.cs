using Lumpet.Core;
using Lumpet.Core.Orders;
using Lumpet.Core.Recipes;
using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Orders;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using NodaTime;

namespace Lumpet.Server.Orders;

/// <summary>Orders that repeat: read, add, change, end; and one day of one of them: otherwise, left out, back again.</summary>
internal static class StandingOrderEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        var standing = routes.MapGroup("/api/standing-orders");
        standing.MapGet("", All).WithName("GetStandingOrders").WithSummary("The orders that repeat and have not ended.");
        standing.MapPost("", Add).WithName("AddStandingOrder").WithSummary("Takes an order that repeats.");
        standing.MapPut("/{id:guid}", Change).WithName("ChangeStandingOrder").WithSummary("Changes an order that repeats, from today on; If-Match carries the version it was read with.")
            .Produces<StandingOrderConflict>(StatusCodes.Status412PreconditionFailed, "application/problem+json");
        standing.MapDelete("/{id:guid}", End).WithName("EndStandingOrder").WithSummary("Ends an order that repeats: from today on it comes no more. If-Match carries the version it was read with.")
            .Produces<StandingOrderConflict>(StatusCodes.Status412PreconditionFailed, "application/problem+json");
        standing.MapPut("/{id:guid}/days/{day}", Otherwise).WithName("ChangeStandingOrderDay").WithSummary("Puts an order by itself in its place on one of its days.");
        standing.MapDelete("/{id:guid}/days/{day}", LeaveOut).WithName("LeaveOutStandingOrderDay").WithSummary("Leaves it out of one of its days.");
        standing.MapPost("/{id:guid}/days/{day}", PutBack).WithName("PutBackStandingOrderDay").WithSummary("Lets it come on a day again that it was left out of.");
    }

    private static Results<Ok<StandingOrdersAnswer>, ValidationProblem> All(Database database, BakeryClock clock, RecipeShelf recipes)
    {
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        var (today, products) = (clock.Today(bakery.Zone), recipes.Products(connection));
        return TypedResults.Ok(new StandingOrdersAnswer(Days.Iso(today), [.. StandingOrderStore.GoingOn(connection, today).Select(one => Answer(one, products, today))], StandingOrder.Most));
    }

    private static Results<Created<StandingOrderAnswer>, ValidationProblem> Add(
        StandingOrderDraft request, [FromHeader(Name = "Idempotency-Key")] string? key, Database database, BakeryClock clock, ChangeFeed feed, RecipeShelf recipes)
    {
        using var transaction = database.Begin();
        var once = OnceOnly.Of("standing order", key, request);
        var (before, reused) = once.Answered<StandingOrderAnswer>(transaction);
        if (reused is not null) return reused;
        if (before is not null) return TypedResults.Created($"/api/standing-orders/{before.Id}", before);
        if (BakeryStore.Find(transaction.Connection) is not { } bakery) return Days.NoBakery();
        var (today, products) = (clock.Today(bakery.Zone), recipes.Products(transaction.Connection));
        var (order, faults) = Read(request, transaction, products, today, null);
        if (faults.Count > 0) return FieldProblems.Of(faults);
        var answer = Answer(StandingOrderStore.Add(transaction, order), products, today);
        once.Remember(transaction, answer, clock.Now);
        transaction.Commit();
        feed.Publish("orders");
        return TypedResults.Created($"/api/standing-orders/{answer.Id}", answer);
    }

    private static Results<Ok<StandingOrderAnswer>, ValidationProblem, ProblemHttpResult, JsonHttpResult<StandingOrderConflict>> Change(
        Guid id, StandingOrderDraft request, [FromHeader(Name = "If-Match")] string? ifMatch, Database database, BakeryClock clock, ChangeFeed feed, RecipeShelf recipes)
    {
        if (RowVersion.Read(ifMatch) is not { } version) return RowVersion.Missing("order");
        using var transaction = database.Begin();
        if (BakeryStore.Find(transaction.Connection) is not { } bakery) return Days.NoBakery();
        var (today, products) = (clock.Today(bakery.Zone), recipes.Products(transaction.Connection));
        var (order, faults) = Read(request, transaction, products, today, id);
        if (faults.Count > 0) return FieldProblems.Of(faults);
        var outcome = StandingOrderStore.Change(transaction, id, version, order, today);
        if (outcome == ChangeOutcome.Gone) return Gone();
        var present = Answer(StandingOrderStore.Find(transaction.Connection, id)!, products, today);
        if (outcome == ChangeOutcome.Conflict) return Conflict(present);
        transaction.Commit();
        feed.Publish("orders");
        return TypedResults.Ok(present);
    }

    private static Results<NoContent, ValidationProblem, ProblemHttpResult, JsonHttpResult<StandingOrderConflict>> End(
        Guid id, [FromHeader(Name = "If-Match")] string? ifMatch, Database database, BakeryClock clock, ChangeFeed feed, RecipeShelf recipes)
    {
        if (RowVersion.Read(ifMatch) is not { } version) return RowVersion.Missing("order");
        using var transaction = database.Begin();
        if (BakeryStore.Find(transaction.Connection) is not { } bakery) return Days.NoBakery();
        var today = clock.Today(bakery.Zone);
        var outcome = StandingOrderStore.End(transaction, id, version, today);
        if (outcome == ChangeOutcome.Gone) return Gone();
        if (outcome == ChangeOutcome.Conflict) return Conflict(Answer(StandingOrderStore.Find(transaction.Connection, id)!, recipes.Products(transaction.Connection), today));
        transaction.Commit();
        feed.Publish("orders");
        return TypedResults.NoContent();
    }

    private static Results<Ok<OrderAnswer>, ValidationProblem, ProblemHttpResult> Otherwise(
        Guid id, string day, OrderRequest request, Database database, BakeryClock clock, ChangeFeed feed, RecipeShelf recipes)
    {
        if (Days.Read(day) is not { } date) return Days.NoDay();
        using var transaction = database.Begin();
        var connection = transaction.Connection;
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        if (On(transaction, id, date) is not { } repeated) return NotOnDay();
        var (order, faults) = OrderEndpoints.Check(request, connection, bakery, clock, recipes);
        if (faults.Count > 0) return FieldProblems.Of(faults);
        if (OrderStore.Total(connection, order.PickUp.Date, without: repeated.Id).With(order).Fault is { } tooMuch) return FieldProblems.Of([tooMuch]);
        var answer = OrderEndpoints.Answer(OrderStore.Instead(transaction, id, date, order, bakery.Zone), recipes.Products(connection));
        transaction.Commit();
        feed.Publish("orders");
        return TypedResults.Ok(answer);
    }

    private static Results<NoContent, ValidationProblem, ProblemHttpResult> LeaveOut(Guid id, string day, Database database, ChangeFeed feed)
    {
        if (Days.Read(day) is not { } date) return Days.NoDay();
        using var transaction = database.Begin();
        if (On(transaction, id, date) is null) return NotOnDay();
        StandingOrderStore.LeaveOut(transaction, id, date, null);
        transaction.Commit();
        feed.Publish("orders", day);
        return TypedResults.NoContent();
    }

    private static Results<NoContent, ValidationProblem, ProblemHttpResult> PutBack(Guid id, string day, Database database, ChangeFeed feed)
    {
        if (Days.Read(day) is not { } date) return Days.NoDay();
        using var transaction = database.Begin();
        if (!StandingOrderStore.PutBack(transaction, id, date))
            return TypedResults.Problem(title: "This order was not left out of this day, or it has ended. Nothing was changed.", statusCode: StatusCodes.Status404NotFound);
        if (OrderStore.Total(transaction.Connection, date).Fault is { } tooMuch) return FieldProblems.Of([tooMuch]);
        transaction.Commit();
        feed.Publish("orders", day);
        return TypedResults.NoContent();
    }

    private static StoredOrder? On(Transaction transaction, Guid id, LocalDate date) =>
        StandingOrderStore.On(transaction.Connection, date).FirstOrDefault(order => order.Repeats!.Id == id);

    /// <summary>An order that repeats, with everything wrong with it, also with what else is ordered.</summary>
    private static (StandingOrder Order, IReadOnlyList<FieldFault> Faults) Read(
        StandingOrderDraft draft, Transaction transaction, IReadOnlyList<Product> products, LocalDate today, Guid? inPlaceOf)
    {
        var (order, faults) = StandingOrderReader.Read(draft, products, today);
        if (faults.Count > 0) return (order, faults);
        if (inPlaceOf is null && StandingOrderStore.GoingOn(transaction.Connection, today).Count >= StandingOrder.Most)
            return (order, [new FieldFault("order", $"There can be {StandingOrder.Most} orders that repeat. End one that comes no more.")]);
        return OrderStore.TooMuch(transaction.Connection, order, inPlaceOf) is { } tooMuch
            ? (order, [tooMuch.Fault with { Message = $"{Days.Name(tooMuch.Day)}: {tooMuch.Fault.Message}" }])
            : (order, []);
    }

    private static StandingOrderAnswer Answer(StoredStandingOrder stored, IReadOnlyList<Product> products, LocalDate today)
    {
        var (order, next) = (stored.Order, stored.Next(today));
        var product = products.First(product => product.Id == order.Product);
        return new StandingOrderAnswer(
            stored.Id,
            stored.RowVersion,
            StandingOrderReader.Write(order),
            product.Name,
            product.SizeIn(order.Pan)?.Pan.Name ?? order.Pan,
            order.DaysInWords,
            string.Join(", ", new[] { order.From > today ? $"from {Days.Name(order.From)}" : string.Empty, order.Until is { } until ? $"until {Days.Name(until)}" : string.Empty }.Where(words => words.Length > 0)),
            next is { } day ? Days.Iso(day) : null,
            next is { } named ? Days.Name(named) : null,
            [.. stored.NotOn.Where(date => date >= today).Select(Days.Name)],
            order.Count * order.Days.Count);
    }

    private static ProblemHttpResult Gone() =>
        TypedResults.Problem(title: "This order is not there any more: someone has ended it. Nothing was changed.", statusCode: StatusCodes.Status404NotFound);

    private static ProblemHttpResult NotOnDay() =>
        TypedResults.Problem(title: "This order does not come on this day: it has ended, was left out of it, or has an order in its place. Nothing was changed; look at the day again.", statusCode: StatusCodes.Status404NotFound);

    private static JsonHttpResult<StandingOrderConflict> Conflict(StandingOrderAnswer present) => TypedResults.Json(
        new StandingOrderConflict(present)
        {
            Title = "Someone else has changed this order since you opened it. Nothing was changed; look at theirs and decide again.",
            Status = StatusCodes.Status412PreconditionFailed,
        },
        contentType: "application/problem+json",
        statusCode: StatusCodes.Status412PreconditionFailed);
}
