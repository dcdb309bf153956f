using System.Text;
using Lumpet.Core.Baking.Files;
using Lumpet.Core.DayPlan;
using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Store;
using Lumpet.Store.DayPlan;
using Lumpet.Store.Orders;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
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
        plan.MapGet("/progress", Progress).WithName("GetProgress").WithSummary("How far the settled plan of a day is; no percent where none is being made.");
        plan.MapPost("/what-if", WhatIf).WithName("AskWhatIf").WithSummary("The plan as it would be with pick-ups moved. Stores nothing.");
        plan.MapPost("/take", Take).WithName("TakeWhatIf").WithSummary("Makes a day as it was asked about: pick-ups moved, orders added, the day arranged, all at once or nothing.");
        plan.MapGet("/choices", Choices).WithName("GetChoices").WithSummary("What may be chosen for a day, other than as it is.");
        plan.MapPost("/compare", Compare).WithName("ComparePlan").WithSummary("The day planned with a change, and what it comes to beside the day as it is. Stores nothing.");
        plan.MapGet("/reason", Reason).WithName("GetReason").WithSummary("Why a task is when it is, what it waits for, what waits for it, how much it can slip.");
        plan.MapGet("/oven-steps", OvenSteps).WithName("GetOvenSteps").WithSummary("What is done at the ovens, by the clock.");
        plan.MapGet("/calendar.ics", Calendar).WithName("GetCalendar").WithSummary("The plan as iCalendar.").Produces<string>(200, "text/calendar");
        plan.MapGet("/bake-problem.json", Problem).WithName("GetBakeProblem").WithSummary("What the ovens are asked, as lumpet.bake-problem/1.")
            .Produces<string>(200, "application/json");
        plan.MapGet("/bake-plan.json", Plan).WithName("GetBakePlan").WithSummary("What they answer, as lumpet.bake-plan/1.")
            .Produces<string>(200, "application/json");
    }

    private static async Task<Results<Ok<PlanAnswer>, ValidationProblem>> Get(string day, string? from, string? given, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting)
    {
        var (view, refused) = await ViewAsync(day, from, given, database, shelf, clock, waiting);
        return view is null ? refused! : TypedResults.Ok(PlanWriting.Of(view));
    }

    private static Results<Ok<PlanProgressAnswer>, ValidationProblem> Progress(string day, Database database, PlanShelf shelf, BakeryClock clock)
    {
        var (book, refused) = Open(day, database, clock);
        return book is null ? refused! : TypedResults.Ok(new PlanProgressAnswer(shelf.Settling(book) is { } done ? (int)(100 * Math.Clamp(done, 0, 1)) : null));
    }

    private static async Task<Results<Ok<PlanAnswer>, ValidationProblem>> WhatIf(string day, WhatIfRequest request, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting)
    {
        var (book, refused) = Open(day, database, clock);
        if (book is null) return refused!;
        DayQuestion question;
        using (var connection = database.Open()) question = DayQuestion.Of(connection, book, request, clock);
        if (question.Faults.Count > 0) return FieldProblems.Of(question.Faults);
        // A pick-up that is stepped is followed at once; whoever asks more waits a moment longer for a plan that is settled.
        var time = request.IsOnlyMoves ? PlanTime.Stepped : PlanTime.Compared;
        var view = await DayView.OfAsync(question.Book, database, shelf, clock, new Wish(request.FromNow, time), waiting);
        var asItIs = await shelf.PlanAsync(book, time, waiting);
        return TypedResults.Ok(PlanWriting.Of(view) with { Differences = PlanComparison.Between((book, asItIs), (view.Book, view.Plan)) });
    }

    private static Results<Ok<TakenAnswer>, ValidationProblem> Take(
        string day, WhatIfRequest request, [FromHeader(Name = "Idempotency-Key")] string? key, Database database, BakeryClock clock, ChangeFeed feed)
    {
        using var transaction = database.Begin();
        var once = OnceOnly.Of($"day {day}", key, request);
        var (before, reused) = once.Answered<TakenAnswer>(transaction);
        if (reused is not null) return reused;
        if (before is not null) return TypedResults.Ok(before);
        var (book, refused) = Open(day, transaction.Connection, clock);
        if (book is null) return refused!;
        var question = DayQuestion.Of(transaction.Connection, book, request, clock);
        var now = clock.LocalNow(book.Bakery.Zone);
        if (question.Faults.Count > 0) return FieldProblems.Of(question.Faults);
        if (question.Moves.Values.Any(to => to <= now)) return FieldProblems.Of(("moves", "A pick-up cannot be moved to a time that has passed."));
        if (question.More.Aggregate(OrderStore.Total(transaction.Connection, book.Day), (total, order) => total.With(order)).Fault is { } tooMuch) return FieldProblems.Of([tooMuch]);
        var moved = OrderStore.Move(transaction, question.Moves, book.Bakery.Zone);
        foreach (var order in question.More) OrderStore.Add(transaction, order, book.Bakery.Zone);
        ArrangementStore.Save(transaction, book.Day, question.Arrangement);
        var answer = new TakenAnswer(moved, question.More.Count);
        once.Remember(transaction, answer, clock.Now);
        transaction.Commit();
        feed.Publish("orders", day);
        return TypedResults.Ok(answer);
    }

    private static Results<Ok<IReadOnlyList<ChoiceAnswer>>, ValidationProblem> Choices(string day, Database database, BakeryClock clock)
    {
        var (book, refused) = Open(day, database, clock);
        return book is null ? refused! : TypedResults.Ok(DayChoices.Of(book));
    }

    private static async Task<Results<Ok<ChoiceOutcomeAnswer>, ValidationProblem>> Compare(string day, WhatIfRequest request, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting)
    {
        var (book, refused) = Open(day, database, clock);
        if (book is null) return refused!;
        DayQuestion question;
        using (var connection = database.Open()) question = DayQuestion.Of(connection, book, request, clock);
        if (question.Faults.Count > 0) return FieldProblems.Of(question.Faults);
        var asItIs = await shelf.PlanAsync(book, PlanTime.Compared, waiting);
        var plan = request.IsEmpty ? asItIs : await shelf.PlanAsync(question.Book, PlanTime.Compared, waiting);
        return TypedResults.Ok(new ChoiceOutcomeAnswer(PlanWriting.Served(DayServed.Of(plan.Fates)), PlanComparison.Beside((book, asItIs), (request.IsEmpty ? book : question.Book, plan))));
    }

    private static async Task<Results<Ok<ReasonAnswer>, ValidationProblem, ProblemHttpResult>> Reason(
        string day, string? task, string? from, string? given, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting)
    {
        var (view, refused) = await ViewAsync(day, from, given, database, shelf, clock, waiting);
        if (view is null) return refused!;
        return PlanWriting.Reason(view.Book, view.Plan, task ?? string.Empty) is { } reason
            ? TypedResults.Ok(reason)
            : TypedResults.Problem(title: "There is no such task in the plan as it is now; it may have been planned anew.", statusCode: 404);
    }

    private static async Task<Results<Ok<IReadOnlyList<OvenStepAnswer>>, ValidationProblem>> OvenSteps(
        string day, string? from, string? given, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting)
    {
        var (view, refused) = await ViewAsync(day, from, given, database, shelf, clock, waiting);
        return view is null ? refused! : TypedResults.Ok(OvenStepWords.Of(view.Book, view.Plan));
    }

    private static Task<Results<ContentHttpResult, ValidationProblem>> Calendar(string day, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting) =>
        FileAsync(day, database, shelf, clock, (book, plan) => TypedResults.Text(PlanCalendar.Of(book, plan, clock.Now), "text/calendar", Encoding.UTF8), waiting);

    private static Task<Results<ContentHttpResult, ValidationProblem>> Problem(string day, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting) =>
        FileAsync(day, database, shelf, clock, (_, plan) => TypedResults.Text(BakePlanFile.Write(plan.Problem), "application/json", Encoding.UTF8), waiting);

    private static Task<Results<ContentHttpResult, ValidationProblem>> Plan(string day, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting) =>
        FileAsync(day, database, shelf, clock, (_, plan) => TypedResults.Text(BakePlanFile.Write(plan.BakePlan), "application/json", Encoding.UTF8), waiting);

    private static async Task<Results<ContentHttpResult, ValidationProblem>> FileAsync(
        string day, Database database, PlanShelf shelf, BakeryClock clock, Func<DayBook, PlannedDay, ContentHttpResult> write, CancellationToken waiting)
    {
        var (book, refused) = Open(day, database, clock);
        return book is null ? refused! : write(book, await shelf.PlanAsync(book, PlanTime.Soon, waiting));
    }

    /// <summary>The view of a day, or why there is none. "from=now" asks for the plan that begins now, "given" says how much time: "first", "soon" (where nothing is said) or "settled"; "atOnce" asks for the best that is there already.</summary>
    internal static async Task<(DayView? View, ValidationProblem? Refused)> ViewAsync(
        string day, string? from, string? given, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting)
    {
        if (given != Wish.AtOnceName && PlanTime.Of(given) is null) return (null, FieldProblems.Of(("given", "A plan is given the time \"first\", \"soon\" or \"settled\", or wanted \"atOnce\".")));
        if (from is not (null or "" or "now")) return (null, FieldProblems.Of(("from", "A plan begins as it should, or \"now\".")));
        var (book, refused) = Open(day, database, clock);
        if (book is null) return (null, refused);
        return (await DayView.OfAsync(book, database, shelf, clock, new Wish(from == "now", given == Wish.AtOnceName ? null : PlanTime.Of(given)), waiting), null);
    }

    /// <summary>Opens a day, or answers why not.</summary>
    internal static (DayBook? Book, ValidationProblem? Refused) Open(string day, Database database, BakeryClock clock)
    {
        using var connection = database.Open();
        return Open(day, connection, clock);
    }

    /// <summary>Opens a day as a connection sees it, or answers why not; without a clock the day by itself.</summary>
    internal static (DayBook? Book, ValidationProblem? Refused) Open(string day, SqliteConnection connection, BakeryClock? clock)
    {
        if (Days.Read(day) is not { } date) return (null, Days.NoDay());
        return DayBook.Open(connection, date, clock) is { } book ? (book, null) : (null, Days.NoBakery());
    }
}
