using System.Text;
using Lumpet.Core.Baking.Files;
using Lumpet.Core.DayPlan;
using Lumpet.Server.Bakery;
using Lumpet.Server.Faults;
using Lumpet.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Data.Sqlite;

namespace Lumpet.Server.DayPlan;

/// <summary>The day's plan, and the oven problem and plan it holds as files.</summary>
internal static class PlanEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        var plan = routes.MapGroup("/api/plan/{day}");
        plan.MapGet("", Get).WithName("GetPlan").WithSummary("The plan of a day as it follows from its orders now.");
        plan.MapPost("/what-if", WhatIf).WithName("AskWhatIf").WithSummary("The plan as it would be with pick-ups moved. Stores nothing.");
        plan.MapGet("/reason", Reason).WithName("GetReason").WithSummary("Why a task is when it is, what it waits for, what waits for it, how much it can slip.");
        plan.MapGet("/oven-steps", OvenSteps).WithName("GetOvenSteps").WithSummary("What is done at the ovens, by the clock.");
        plan.MapGet("/calendar.ics", Calendar).WithName("GetCalendar").WithSummary("The plan as iCalendar.").Produces<string>(200, "text/calendar");
        plan.MapGet("/bake-problem.json", Problem).WithName("GetBakeProblem").WithSummary("What the ovens are asked, as lumpet.bake-problem/1.")
            .Produces<string>(200, "application/json");
        plan.MapGet("/bake-plan.json", Plan).WithName("GetBakePlan").WithSummary("What they answer, as lumpet.bake-plan/1.")
            .Produces<string>(200, "application/json");
    }

    private static async Task<Results<Ok<PlanAnswer>, ValidationProblem>> Get(string day, string? from, bool? settled, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting)
    {
        var (view, refused) = await ViewAsync(day, from, settled, database, shelf, clock, waiting);
        return view is null ? refused! : TypedResults.Ok(PlanWriting.Of(view));
    }

    private static async Task<Results<Ok<PlanAnswer>, ValidationProblem>> WhatIf(string day, WhatIfRequest request, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting)
    {
        var (book, refused) = Open(day, database);
        if (book is null) return refused!;
        var (moved, faults) = PickUpMoves.Apply(book, request.Moves ?? []);
        if (faults.Count > 0) return FieldProblems.Of(faults);
        return TypedResults.Ok(PlanWriting.Of(await DayView.OfAsync(moved, database, shelf, clock.Now, new Wish(request.FromNow, PlanTime.Soon), waiting)));
    }

    private static async Task<Results<Ok<ReasonAnswer>, ValidationProblem, ProblemHttpResult>> Reason(
        string day, string? task, string? from, bool? settled, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting)
    {
        var (view, refused) = await ViewAsync(day, from, settled, database, shelf, clock, waiting);
        if (view is null) return refused!;
        return PlanWriting.Reason(view.Book, view.Plan, task ?? string.Empty) is { } reason
            ? TypedResults.Ok(reason)
            : TypedResults.Problem(title: "There is no such task in the plan as it is now; it may have been planned anew.", statusCode: 404);
    }

    private static async Task<Results<Ok<IReadOnlyList<OvenStepAnswer>>, ValidationProblem>> OvenSteps(
        string day, string? from, bool? settled, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting)
    {
        var (view, refused) = await ViewAsync(day, from, settled, database, shelf, clock, waiting);
        return view is null ? refused! : TypedResults.Ok(OvenStepWords.Of(view.Book, view.Plan));
    }

    private static Task<Results<ContentHttpResult, ValidationProblem>> Calendar(string day, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting) =>
        FileAsync(day, database, shelf, (book, plan) => TypedResults.Text(PlanCalendar.Of(book, plan, clock.Now), "text/calendar", Encoding.UTF8), waiting);

    private static Task<Results<ContentHttpResult, ValidationProblem>> Problem(string day, Database database, PlanShelf shelf, CancellationToken waiting) =>
        FileAsync(day, database, shelf, (_, plan) => TypedResults.Text(BakePlanFile.Write(plan.Problem), "application/json", Encoding.UTF8), waiting);

    private static Task<Results<ContentHttpResult, ValidationProblem>> Plan(string day, Database database, PlanShelf shelf, CancellationToken waiting) =>
        FileAsync(day, database, shelf, (_, plan) => TypedResults.Text(BakePlanFile.Write(plan.BakePlan), "application/json", Encoding.UTF8), waiting);

    private static async Task<Results<ContentHttpResult, ValidationProblem>> FileAsync(
        string day, Database database, PlanShelf shelf, Func<DayBook, PlannedDay, ContentHttpResult> write, CancellationToken waiting)
    {
        var (book, refused) = Open(day, database);
        return book is null ? refused! : write(book, await shelf.PlanAsync(book, PlanTime.Soon, waiting));
    }

    /// <summary>The view of a day, or why there is none. "from=now" asks for the plan that begins now, "settled" for one that is given the time it takes.</summary>
    internal static async Task<(DayView? View, ValidationProblem? Refused)> ViewAsync(
        string day, string? from, bool? settled, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting)
    {
        if (from is not (null or "" or "now")) return (null, FieldProblems.Of(("from", "A plan begins as it should, or \"now\".")));
        var (book, refused) = Open(day, database);
        if (book is null) return (null, refused);
        return (await DayView.OfAsync(book, database, shelf, clock.Now, new Wish(from == "now", settled == true ? PlanTime.Settled : PlanTime.Soon), waiting), null);
    }

    /// <summary>Opens a day, or answers why not.</summary>
    internal static (DayBook? Book, ValidationProblem? Refused) Open(string day, Database database)
    {
        using var connection = database.Open();
        return Open(day, connection);
    }

    /// <summary>Opens a day as a connection sees it, or answers why not.</summary>
    internal static (DayBook? Book, ValidationProblem? Refused) Open(string day, SqliteConnection connection)
    {
        if (Days.Read(day) is not { } date) return (null, Days.NoDay());
        return DayBook.Open(connection, date) is { } book ? (book, null) : (null, Days.NoBakery());
    }
}
