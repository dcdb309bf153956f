using System.Text;
using Lumpet.Core.Baking.Files;
using Lumpet.Core.DayPlan;
using Lumpet.Server.Bakery;
using Lumpet.Server.Orders;
using Lumpet.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.DayPlan;

/// <summary>The day's plan, and the oven problem and plan it holds as files.</summary>
internal static class PlanEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        var plan = routes.MapGroup("/api/plan/{day}");
        plan.MapGet("", Get).WithName("GetPlan").WithSummary("The plan of a day as it follows from its orders now.");
        plan.MapGet("/bake-problem.json", Problem).WithName("GetBakeProblem").WithSummary("What the ovens are asked, as lumpet.bake-problem/1.")
            .Produces<string>(200, "application/json");
        plan.MapGet("/bake-plan.json", Plan).WithName("GetBakePlan").WithSummary("What they answer, as lumpet.bake-plan/1.")
            .Produces<string>(200, "application/json");
    }

    private static Results<Ok<PlanAnswer>, ValidationProblem> Get(string day, Database database, PlanShelf shelf, BakeryClock clock)
    {
        var (book, refused) = Open(day, database);
        if (book is null) return refused!;
        var plan = shelf.Plan(book);
        var now = book.Clock.MinuteOf(clock.Now);
        var (from, to) = (plan.Tasks.Select(task => task.StartMin).DefaultIfEmpty(0).Min(), plan.Waves.Select(wave => wave.PickUpMin).DefaultIfEmpty(0).Max());
        var hands = HandsNeeded.In(plan);
        return TypedResults.Ok(new PlanAnswer(
            day,
            BakeryEndpoints.Name(book.Day),
            book.Fingerprint,
            PlanSentence.Of(book, plan),
            PlanSentence.Note(book, plan, now),
            [.. plan.Troubles.Select(trouble => PlanSentence.Trouble(book, plan, trouble))],
            plan.Pies,
            [.. plan.Waves.Select(wave => new WaveAnswer(
                book.Clock.At(wave.PickUpMin), wave.Pies, string.Join(", ", wave.For), wave.BoxedMin is { } boxed ? book.Clock.At(boxed) : null, wave.SpareMin))],
            [.. book.Snapshot.Shifts.Select(shift => new ShiftAnswer(shift.Name, book.Clock.At(shift.StartMin), book.Clock.At(shift.EndMin)))],
            [.. DayRibbon.Of(plan).Select(stretch => new RibbonAnswer(stretch.Phase, book.Clock.At(stretch.StartMin), book.Clock.At(stretch.EndMin), stretch.Celsius))],
            now >= from && now <= to ? book.Clock.At(now) : null,
            OvenDrawing.Of(book, plan),
            [.. plan.Tasks.Select(task => Task(book, plan, task))],
            plan.Tasks.Count == 0 ? null : new HandsAnswer(hands.AtOnce, book.Clock.At(hands.AtMin), hands.WorkMin)));
    }

    private static TaskAnswer Task(DayBook book, PlannedDay plan, DayTask task) =>
        Task(book, task, plan.Lots.FirstOrDefault(lot => lot.Id == task.LotId));

    private static TaskAnswer Task(DayBook book, DayTask task, Lot? lot) => new(
        task.Id,
        task.Name,
        lot is null ? task.About : $"{task.About}, for {book.Clock.At(lot.PickUpMin).Clock}",
        Word(task.Station),
        Word(task.Kind),
        book.Clock.At(task.StartMin),
        book.Clock.At(task.EndMin),
        task.EndMin - task.StartMin,
        task.Pies,
        task.Celsius ?? lot!.Product.Process.Steps.First(step => step.Id == task.StepId).Stages[0].TempC,
        task.ReadyWhen,
        task.Caution);

    private static Results<ContentHttpResult, ValidationProblem> Problem(string day, Database database, PlanShelf shelf)
    {
        var (book, refused) = Open(day, database);
        return book is null ? refused! : TypedResults.Text(BakePlanFile.Write(shelf.Plan(book).Problem), "application/json", Encoding.UTF8);
    }

    private static Results<ContentHttpResult, ValidationProblem> Plan(string day, Database database, PlanShelf shelf)
    {
        var (book, refused) = Open(day, database);
        return book is null ? refused! : TypedResults.Text(BakePlanFile.Write(shelf.Plan(book).BakePlan), "application/json", Encoding.UTF8);
    }

    /// <summary>Opens a day, or answers why not.</summary>
    internal static (DayBook? Book, ValidationProblem? Refused) Open(string day, Database database)
    {
        if (OrderEndpoints.ReadDay(day) is not { } date || date.Year is < 2000 or > 2200) return (null, OrderEndpoints.NoDay());
        using var connection = database.Open();
        return DayBook.Open(connection, date) is { } book ? (book, null) : (null, OrderEndpoints.NoBakery());
    }

    private static string Word<T>(T value)
        where T : struct, Enum => value.ToString().ToLowerInvariant();
}
