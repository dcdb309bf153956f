using Lumpet.Core;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Steps;
using Lumpet.Server.Bakery;
using Lumpet.Server.DayPlan;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Bench;

/// <summary>The work of a day at the bench, where pies are put together, finished and boxed: by the clock, with the weights that hands need.</summary>
internal static class BenchEndpoints
{
    private static readonly Station[] Stations = [Station.Bench, Station.Cold, Station.Rack, Station.Finish, Station.Box];

    /// <summary>Adds the endpoint.</summary>
    public static void Map(IEndpointRouteBuilder routes) =>
        routes.MapGet("/api/bench/{day}", Get).WithName("GetBench").WithSummary("The work of a day at the bench, with its weights.");

    private static async Task<Results<Ok<BenchAnswer>, ValidationProblem>> Get(string day, string? from, string? given, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting)
    {
        var (view, refused) = await PlanEndpoints.ViewAsync(day, from, given, database, shelf, clock, waiting);
        if (view is null) return refused!;
        var (book, plan) = (view.Book, view.Plan);
        var lots = plan.Lots.ToDictionary(lot => lot.Id);
        BenchTaskAnswer[] tasks = [.. plan.Tasks.Where(task => task.Kind == TaskKind.Hands && task.LotId is not null && Stations.Contains(task.Station)).Select(task => Task(book, plan, task, lots[task.LotId!]))];
        return TypedResults.Ok(new BenchAnswer(Days.Name(book.Day), tasks.Sum(task => task.Minutes), tasks));
    }

    private static BenchTaskAnswer Task(DayBook book, PlannedDay plan, DayTask task, Lot lot) => new(
        task.Id,
        book.Clock.At(task.StartMin),
        book.Clock.At(task.EndMin),
        task.EndMin - task.StartMin,
        task.Name,
        lot.Product.Name,
        lot.Pan.Name,
        task.Pies,
        Naming.Of(task.Station),
        task.Celsius ?? 20,
        [.. TaskWeights.Of(lot, task), .. TaskWeights.InOneGo(plan, task)],
        task.ReadyWhen,
        task.Caution,
        task.Station == Station.Box ? ProcessWords.Keeping(lot.Product) : string.Empty,
        book.Clock.At(lot.PickUpMin),
        OneGo.Words(book, plan, task),
        task.RightAfter is not null);
}

/// <summary>The work of a day at the bench.</summary>
/// <param name="DayName">The day.</param>
/// <param name="Minutes">Minutes of hands in all.</param>
/// <param name="Tasks">By the clock.</param>
public sealed record BenchAnswer(string DayName, int Minutes, IReadOnlyList<BenchTaskAnswer> Tasks);

/// <summary>A task at the bench.</summary>
/// <param name="Id">As in the plan.</param>
/// <param name="Start">When it begins.</param>
/// <param name="End">When it ends.</param>
/// <param name="Minutes">How long it takes.</param>
/// <param name="Name">What is done.</param>
/// <param name="Product">Of which product.</param>
/// <param name="Pan">In which pan.</param>
/// <param name="Pies">How many pies.</param>
/// <param name="Station">Where.</param>
/// <param name="Celsius">Temperature of the place.</param>
/// <param name="Weights">What it takes, one thing each, as the scale shows it.</param>
/// <param name="ReadyWhen">The sensory test, and what is done where it fails.</param>
/// <param name="Caution">What can hurt.</param>
/// <param name="Keeps">How the pie keeps, where it is boxed; empty elsewhere.</param>
/// <param name="PickUp">The pick-up that it is for.</param>
/// <param name="OneGo">What is done in one go with it, in words; empty where it is done by itself.</param>
/// <param name="GoesOn">Whether it goes right on from the same work before.</param>
public sealed record BenchTaskAnswer(
    string Id, Moment Start, Moment End, int Minutes, string Name, string Product, string Pan, int Pies, string Station, int Celsius, IReadOnlyList<string> Weights, string ReadyWhen, string Caution, string Keeps, Moment PickUp, string OneGo, bool GoesOn);
