using Lumpet.Core.Stock;
using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.DayPlan;
using Lumpet.Server.Faults;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Stock;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Lumpet.Server.Stock;

/// <summary>What is made already: read with what a day's plan takes of it, add, change, remove.</summary>
internal static class StockEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/stock/{day}", Get).WithName("GetStock").WithSummary("What is made already, and what the plan of a day takes of it.");
        var made = routes.MapGroup("/api/made-already");
        made.MapPost("", Add).WithName("AddMadeAlready").WithSummary("Notes something that is made already.");
        made.MapPut("/{id:guid}", Change).WithName("ChangeMadeAlready").WithSummary("Changes what is noted; If-Match carries the version it was read with.");
        made.MapDelete("/{id:guid}", Remove).WithName("RemoveMadeAlready").WithSummary("Removes what is noted: it is used up, or gone. If-Match carries the version it was read with.");
    }

    private static async Task<Results<Ok<StockAnswer>, ValidationProblem>> Get(
        string day, string? from, string? given, Database database, PlanShelf shelf, BakeryClock clock, RecipeShelf recipes, CancellationToken waiting)
    {
        var (view, refused) = await PlanEndpoints.ViewAsync(day, from, given, database, shelf, clock, waiting);
        if (view is null) return refused!;
        using var connection = database.Open();
        return TypedResults.Ok(StockWords.Of(view, MadeAlreadyStore.All(connection, clock.Today(view.Book.Bakery.Zone)), IngredientStore.All(connection), recipes.Products(connection)));
    }

    private static Results<Created<MadeAnswered>, ValidationProblem> Add(
        MadeAlreadyDraft request, [FromHeader(Name = "Idempotency-Key")] string? key, Database database, BakeryClock clock, ChangeFeed feed, RecipeShelf recipes)
    {
        using var transaction = database.Begin();
        var once = OnceOnly.Of("made already", key, request);
        var (before, reused) = once.Answered<MadeAnswered>(transaction);
        if (reused is not null) return reused;
        if (before is not null) return TypedResults.Created($"/api/made-already/{before.Id}", before);
        if (MadeAlreadyStore.Count(transaction.Connection) >= MadeAlready.Most) return FieldProblems.Of(("made", $"At most {MadeAlready.Most} things are noted at once. Remove what is used up."));
        var (entry, refused) = Read(request, transaction, clock, recipes);
        if (entry is null) return refused!;
        var added = MadeAlreadyStore.Add(transaction, entry, clock.Now);
        var answer = new MadeAnswered(added.Id, added.RowVersion);
        once.Remember(transaction, answer, clock.Now);
        transaction.Commit();
        feed.Publish("stock");
        return TypedResults.Created($"/api/made-already/{answer.Id}", answer);
    }

    private static Results<Ok<MadeAnswered>, ValidationProblem, ProblemHttpResult> Change(
        Guid id, MadeAlreadyDraft request, [FromHeader(Name = "If-Match")] string? ifMatch, Database database, BakeryClock clock, ChangeFeed feed, RecipeShelf recipes)
    {
        if (RowVersion.Read(ifMatch) is not { } version) return RowVersion.Missing("note");
        using var transaction = database.Begin();
        var (entry, refused) = Read(request, transaction, clock, recipes);
        if (entry is null) return refused!;
        if (MadeAlreadyStore.Find(transaction.Connection, id) is { } before && !entry.IsOfTheSame(before.Entry))
            return FieldProblems.Of((entry is MadePies ? "product" : "made", "What a lot is does not change: remove it, and note the other."));
        var outcome = MadeAlreadyStore.Change(transaction, id, version, entry, clock.Now);
        if (outcome != ChangeOutcome.Done) return Refused(outcome);
        transaction.Commit();
        feed.Publish("stock");
        return TypedResults.Ok(new MadeAnswered(id, version + 1));
    }

    private static Results<NoContent, ProblemHttpResult> Remove(Guid id, [FromHeader(Name = "If-Match")] string? ifMatch, Database database, BakeryClock clock, ChangeFeed feed)
    {
        if (RowVersion.Read(ifMatch) is not { } version) return RowVersion.Missing("note");
        using var transaction = database.Begin();
        var outcome = MadeAlreadyStore.Remove(transaction, id, version, clock.Now);
        if (outcome != ChangeOutcome.Done) return Refused(outcome);
        transaction.Commit();
        feed.Publish("stock");
        return TypedResults.NoContent();
    }

    private static ProblemHttpResult Refused(ChangeOutcome outcome) => outcome == ChangeOutcome.Conflict ? RowVersion.Conflict("this note")
        : TypedResults.Problem(title: "This is noted no more: someone has removed it. Nothing was changed.", statusCode: StatusCodes.Status404NotFound);

    private static (MadeAlready? Entry, ValidationProblem? Refused) Read(MadeAlreadyDraft draft, Transaction transaction, BakeryClock clock, RecipeShelf recipes)
    {
        if (BakeryStore.Find(transaction.Connection) is not { } bakery) return (null, Days.NoBakery());
        var (entry, faults) = MadeAlreadyReader.Read(draft, IngredientStore.All(transaction.Connection), recipes.Products(transaction.Connection), clock.LocalNow(bakery.Zone));
        return faults.Count > 0 ? (null, FieldProblems.Of(faults)) : (entry, null);
    }
}

/// <summary>Something that is noted.</summary>
/// <param name="Id">Its identity.</param>
/// <param name="Version">Counts its changes, from 1.</param>
public sealed record MadeAnswered(Guid Id, long Version);
