using Lumpet.Core.DayPlan;
using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Store;
using Lumpet.Store.DayPlan;
using NodaTime;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.DayPlan;

/// <summary>Publishes a day's plan, takes it back, and hears what of it is not done.</summary>
internal static class PublishEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        var plan = routes.MapGroup("/api/plan/{day}");
        plan.MapPost("/publish", Publish).WithName("PublishPlan").WithSummary("Publishes the plan that is shown: from now on what it has begun counts as done when its time has passed.");
        plan.MapDelete("/publish", TakeBack).WithName("TakeBackPlan").WithSummary("Takes the published plan back: nothing counts as begun any more.");
        plan.MapPut("/not-done", NotDone).WithName("SayNotDone").WithSummary("Says of a task that the published plan has begun whether it is done.");
        plan.MapPut("/takes-longer", TakesLonger).WithName("SayTakesLonger").WithSummary("Says of work that the published plan has begun by how much it takes longer; 0 for as long as it was to.");
    }

    private static async Task<Results<NoContent, ValidationProblem, ProblemHttpResult>> Publish(
        string day, PublishRequest request, Database database, PlanShelf shelf, BakeryClock clock, ChangeFeed feed, CancellationToken waiting)
    {
        var (view, refused) = await PlanEndpoints.ViewAsync(day, request.From, request.Given, database, shelf, clock, waiting);
        if (view is null) return refused!;
        var (book, plan) = (view.Book, view.Plan);
        if (book.Fingerprint != request.Fingerprint) return Problem("Something has changed since you looked at this plan. Nothing was published; look at it again.", StatusCodes.Status409Conflict);
        if (!plan.IsSettled) return Problem("This plan has not settled yet. Nothing was published; wait until it has.", StatusCodes.Status409Conflict);
        if (plan.Tasks.Count == 0) return FieldProblems.Of(("fingerprint", "There is nothing to do in this plan, so nothing to publish."));
        if (book.Followed is { IsSame: true }) return Problem("This plan is published already.", StatusCodes.Status409Conflict);
        using var transaction = database.Begin();
        // What it follows from is what it is published for; another change in between is seen by its fingerprint.
        var (now, refusedNow) = PlanEndpoints.Open(day, transaction.Connection, clock);
        if (now is null) return refusedNow!;
        if ((now.Followed?.Publication.Number ?? 0) != (book.Followed?.Publication.Number ?? 0)) return Problem("Someone else has published a plan meanwhile. Nothing was published; look at theirs.", StatusCodes.Status409Conflict);
        var from = book.Begun is null ? null : new GoneOnFrom(book.Followed!.Publication.Number, book.Clock.Start, [.. book.Followed.Publication.NotDone.Order(StringComparer.Ordinal)], book.Followed.Publication.LongerMin);
        PublishedPlanStore.Publish(transaction, book.Day, new StoredPublication(
            0, clock.Now, book.Clock.Start, book.Fingerprint, view.Given, from, Publishing.Of(plan, book.Snapshot.OvensWatched, task => PlanWriting.About(book, plan, task), book.Begun)));
        transaction.Commit();
        feed.Publish("orders", Days.Iso(book.Day));
        return TypedResults.NoContent();
    }

    private static Results<NoContent, ValidationProblem, ProblemHttpResult> TakeBack(string day, Database database, ChangeFeed feed)
    {
        if (Days.Read(day) is not { } date) return Days.NoDay();
        using var transaction = database.Begin();
        if (!PublishedPlanStore.TakeBack(transaction, date)) return Problem("No plan of this day is published.", StatusCodes.Status404NotFound);
        transaction.Commit();
        feed.Publish("orders", day);
        return TypedResults.NoContent();
    }

    private static Results<NoContent, ValidationProblem, ProblemHttpResult> NotDone(string day, NotDoneRequest request, Database database, BakeryClock clock, ChangeFeed feed)
    {
        if (Days.Read(day) is not { } date) return Days.NoDay();
        if (request.IsDone is not { } isDone) return FieldProblems.Of(("isDone", "Say whether it is done."));
        return Say(date, request.Number, request.Task, database, feed, (transaction, publication, task) =>
        {
            if (!isDone && Begins(publication, task) > clock.Now) return ("task", "It has not begun yet: until it has, nobody takes it for done.");
            PublishedPlanStore.Say(transaction, date, publication.Number, task, isDone);
            return null;
        });
    }

    private static Results<NoContent, ValidationProblem, ProblemHttpResult> TakesLonger(string day, TakesLongerRequest request, Database database, BakeryClock clock, ChangeFeed feed)
    {
        if (Days.Read(day) is not { } date) return Days.NoDay();
        if (request.Minutes is not (>= 0 and <= PublishedPlan.MostLongerMin and var minutes)) return FieldProblems.Of(("minutes", $"Work takes 0 to {PublishedPlan.MostLongerMin} min longer; what takes longer still is not done."));
        return Say(date, request.Number, request.Task, database, feed, (transaction, publication, task) =>
        {
            if (!publication.Work.MayTakeLonger(task)) return ("task", "This is said of work alone that the plan itself has begun, and whose batch goes into no oven after it. Say that it is not done where it is not.");
            if (minutes > 0 && Begins(publication, task) > clock.Now) return ("task", "It has not begun yet. Say so when it has; until then change how long its step takes in its recipe.");
            PublishedPlanStore.Lengthen(transaction, date, publication.Number, task, minutes);
            return null;
        });
    }

    /// <summary>When a task of a published plan begins.</summary>
    private static Instant Begins(StoredPublication publication, string task) => publication.Start + Duration.FromMinutes(publication.Work.Tasks.First(one => one.Task.Id == task).Task.StartMin);

    /// <summary>Says something of a task of the plan that is followed.</summary>
    private static Results<NoContent, ValidationProblem, ProblemHttpResult> Say(
        LocalDate date, int? number, string? task, Database database, ChangeFeed feed, Func<Transaction, StoredPublication, string, (string Field, string Message)?> say)
    {
        using var transaction = database.Begin();
        if (PublishedPlanStore.Followed(transaction.Connection, date) is not { } publication || publication.Number != number)
            return Problem("Another plan is published by now. Nothing was changed; look at it.", StatusCodes.Status409Conflict);
        if (task is null || publication.Work.Tasks.All(one => one.Task.Id != task)) return FieldProblems.Of(("task", "There is no such task in the plan that is published."));
        if (say(transaction, publication, task) is { } fault) return FieldProblems.Of(fault);
        transaction.Commit();
        feed.Publish("orders", Days.Iso(date));
        return TypedResults.NoContent();
    }

    private static ProblemHttpResult Problem(string title, int status) => TypedResults.Problem(title: title, statusCode: status);
}

/// <summary>Which plan is to be published.</summary>
/// <param name="Fingerprint">Of what it was made for, as its answer says it.</param>
/// <param name="Given">The time that it was given, as its answer says it.</param>
/// <param name="From">"now" where what is left was asked for.</param>
public sealed record PublishRequest(string? Fingerprint, string? Given, string? From = null);

/// <summary>What someone says of a task.</summary>
/// <param name="Number">The plan, by its number.</param>
/// <param name="Task">Id of the task.</param>
/// <param name="IsDone">Whether it is done.</param>
public sealed record NotDoneRequest(int? Number, string? Task, bool? IsDone);

/// <summary>By how much someone says that work takes longer.</summary>
/// <param name="Number">The plan, by its number.</param>
/// <param name="Task">Id of the task.</param>
/// <param name="Minutes">Minutes beyond those planned, 0 to 240; 0 where it takes as long as it was to.</param>
public sealed record TakesLongerRequest(int? Number, string? Task, int? Minutes);
