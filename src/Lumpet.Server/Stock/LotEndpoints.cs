using Lumpet.Core.Stock;
using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Stock;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using NodaTime;

namespace Lumpet.Server.Stock;

/// <summary>Lots: receive, look at, describe anew, and whatever else is done to one.</summary>
internal static class LotEndpoints
{
    // More lots at once nobody finds anything among.
    private const int MostLots = 5000;

    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        var lots = routes.MapGroup("/api/stock-lots");
        lots.MapPost("", Receive).WithName("ReceiveLot").WithSummary("Puts on the shelf what comes from outside.");
        lots.MapGet("/{id:guid}", Get).WithName("GetLot").WithSummary("A lot with everything that happened to it.");
        lots.MapPut("/{id:guid}", Describe).WithName("DescribeLot").WithSummary("Describes a lot anew; If-Match carries the version it was read with.");
        lots.MapPost("/{id:guid}/changes", Change).WithName("ChangeLot").WithSummary("Uses, counts, puts right, throws away, opens or moves some of a lot.");
    }

    private static Results<Created<LotEntered>, ValidationProblem> Receive(
        StockReceiptDraft request, [FromHeader(Name = "Idempotency-Key")] string? key, Database database, BakeryClock clock, ChangeFeed feed)
    {
        using var transaction = database.Begin();
        var once = OnceOnly.Of("received", key, request);
        var (before, reused) = once.Answered<LotEntered>(transaction);
        if (reused is not null) return reused;
        if (before is not null) return TypedResults.Created($"/api/stock-lots/{before.Lot}", before);
        if (BakeryStore.Find(transaction.Connection) is not { } bakery) return Days.NoBakery();
        if (StockStore.Count(transaction.Connection) >= MostLots) return FieldProblems.Of(("ingredient", $"At most {MostLots} lots lie on the shelves at once."));
        var (lot, faults) = StockReceiptReader.Read(request, Guid.NewGuid(), IngredientStore.All(transaction.Connection), bakery.Currency, clock.LocalNow(bakery.Zone));
        if (lot is null) return FieldProblems.Of(faults);
        var answer = new LotEntered(StockWriter.Add(transaction, lot, isMade: false, StockEntryKind.Received, clock.Now), lot.Id);
        once.Remember(transaction, answer, clock.Now);
        transaction.Commit();
        feed.Publish("stock");
        return TypedResults.Created($"/api/stock-lots/{answer.Lot}", answer);
    }

    private static Results<Ok<LotAnswer>, ProblemHttpResult> Get(Guid id, Database database, BakeryClock clock, RecipeShelf recipes)
    {
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery || StockStore.Find(connection, id) is not { } stored) return Gone();
        return TypedResults.Ok(LotWords.Of(stored, connection, new ThingNames(IngredientStore.All(connection), recipes.Products(connection)), bakery.Zone, clock.Today(bakery.Zone)));
    }

    private static Results<NoContent, ValidationProblem, ProblemHttpResult> Describe(
        Guid id, LotDescriptionDraft request, [FromHeader(Name = "If-Match")] string? ifMatch, Database database, ChangeFeed feed)
    {
        if (RowVersion.Read(ifMatch) is not { } version) return RowVersion.Missing("lot");
        using var transaction = database.Begin();
        if (StockStore.Find(transaction.Connection, id) is not { } stored) return Gone();
        var (lot, faults) = StockReceiptReader.Read(request, stored.Lot);
        if (lot is null) return FieldProblems.Of(faults);
        if (StockWriter.Describe(transaction, version, lot) == ChangeOutcome.Conflict) return RowVersion.Conflict("this lot");
        transaction.Commit();
        feed.Publish("stock");
        return TypedResults.NoContent();
    }

    private static Results<Ok<LotEntered>, ValidationProblem, ProblemHttpResult> Change(
        Guid id, LotChangeDraft request, [FromHeader(Name = "Idempotency-Key")] string? key, Database database, BakeryClock clock, ChangeFeed feed)
    {
        using var transaction = database.Begin();
        var once = OnceOnly.Of($"lot {id:D}", key, request);
        var (before, reused) = once.Answered<LotEntered>(transaction);
        if (reused is not null) return reused;
        if (before is not null) return TypedResults.Ok(before);
        if (BakeryStore.Find(transaction.Connection) is not { } bakery || StockStore.Find(transaction.Connection, id) is not { } stored) return Gone();
        var piece = stored.Lot.Thing is StockedGoods goods && IngredientStore.All(transaction.Connection).TryGetValue(goods.Id, out var made) ? MadeAlreadyReader.Piece(made) : null;
        var (change, faults) = LotChangeReader.Read(request, stored.Lot, piece, Guid.NewGuid(), clock.LocalNow(bakery.Zone));
        if (change is null) return FieldProblems.Of(faults);
        var answer = new LotEntered(Enter(transaction, stored, change, clock.Now), change.Parted?.Id ?? id);
        once.Remember(transaction, answer, clock.Now);
        transaction.Commit();
        feed.Publish("stock");
        return TypedResults.Ok(answer);
    }

    private static long Enter(Transaction transaction, StoredLot stored, LotChange change, Instant now)
    {
        if (change.Parted is { } parted) StockWriter.AddEmpty(transaction, parted, stored.IsMade);
        if (change.Described is { } described) StockWriter.Describe(transaction, stored.RowVersion, described);
        TracedMovement[] movements = [new(stored.Lot.Id, change.Change), .. change.Parted is { } part ? [new TracedMovement(part.Id, part.Left)] : Array.Empty<TracedMovement>()];
        return StockWriter.Enter(transaction, change.Kind, now, change.Reason, movements);
    }

    private static ProblemHttpResult Gone() => TypedResults.Problem(title: "There is no such lot.", statusCode: StatusCodes.Status404NotFound);
}

/// <summary>What was entered.</summary>
/// <param name="Entry">The number of the entry.</param>
/// <param name="Lot">The lot that it made more or less of; where some was parted, that.</param>
public sealed record LotEntered(long Entry, Guid Lot);
