using Lumpet.Core.DayPlan;
using Lumpet.Core.Recipes;
using Lumpet.Server.Bakery;
using Lumpet.Server.DayPlan;
using Lumpet.Server.Faults;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Orders;
using Microsoft.AspNetCore.Http.HttpResults;
using NodaTime;

namespace Lumpet.Server.Ahead;

/// <summary>The days ahead: what is mixed and made for each of the next ones, and how full those beyond are.</summary>
internal static class AheadEndpoints
{
    private const int MostPlanned = 7;
    private const int MostDays = 31;
    private const double GramsPerKilogram = 1000;

    /// <summary>Adds the endpoint.</summary>
    public static void Map(IEndpointRouteBuilder routes) =>
        routes.MapGet("/api/ahead", Get).WithName("GetAhead").WithSummary("The days ahead that have orders: batches of the next ones by the clock, and of all the load against what there is.");

    private static async Task<Results<Ok<IReadOnlyList<AheadAnswer>>, ValidationProblem>> Get(int? days, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting)
    {
        if (days is < 0 or > MostPlanned) return FieldProblems.Of(("days", $"0 to {MostPlanned} days are planned ahead."));
        DayBook[] books;
        LocalDate today;
        using (var connection = database.Open())
        {
            if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
            today = clock.Today(bakery.Zone);
            books = [.. OrderStore.Days(connection, today).Where(day => day.Day <= today.PlusDays(MostDays)).Select(day => DayBook.Open(connection, day.Day, clock)!)];
        }

        var answers = new List<AheadAnswer>();
        // What has passed helps nobody.
        var last = clock.Now;
        foreach (var book in books)
        {
            var (load, overWhat) = LoadOf(book, book.Clock.MinuteOf(last));
            var (batches, stumbles) = book.Day > today.PlusDays(days ?? 0) ? ([], overWhat) : await BatchesAsync(book, shelf, waiting);
            answers.Add(new AheadAnswer(
                Days.Iso(book.Day), Days.Name(book.Day), book.Snapshot.Orders.Sum(order => order.Count), book.Day <= today.PlusDays(days ?? 0), batches, stumbles, Load(load)));
            last = book.Snapshot.Orders.Select(order => book.Clock.InstantAt(order.PickUpMin)).Append(last).Max();
        }

        return TypedResults.Ok<IReadOnlyList<AheadAnswer>>(answers);
    }

    /// <summary>The load of a day, or null and what it stumbles over: the others are told of all the same.</summary>
    private static (DayLoad? Load, string Stumbles) LoadOf(DayBook book, int fromMin)
    {
        try
        {
            return (DayLoad.Of(book.Snapshot, fromMin), string.Empty);
        }
        catch (PlanStumblesException exception)
        {
            return (null, exception.Message);
        }
    }

    private static async Task<(IReadOnlyList<AheadBatchAnswer> Batches, string Stumbles)> BatchesAsync(DayBook book, PlanShelf shelf, CancellationToken waiting)
    {
        try
        {
            var (plan, _) = await shelf.AtOnceAsync(book, waiting);
            return ([.. Batches(book, plan).OrderBy(batch => batch.Start.Min).ThenBy(batch => batch.Name, StringComparer.Ordinal)], string.Empty);
        }
        catch (Exception exception) when (exception is PlanStumblesException or UnsoundPlanException)
        {
            // The others are told of all the same.
            return ([], exception.Message);
        }
    }

    private static IEnumerable<AheadBatchAnswer> Batches(DayBook book, PlannedDay plan)
    {
        foreach (var batch in plan.Batches)
            yield return new AheadBatchAnswer("dough", batch.Dough.Name, batch.Number, batch.Of, Math.Round(batch.Mass.Kilograms, 2), book.Clock.At(batch.MixStartMin));
        foreach (var made in plan.Made)
            yield return new AheadBatchAnswer("made", made.Batch.Made.Name, made.Batch.Number, made.Batch.Of, Math.Round(made.Batch.Weighed.Kilograms, 2), book.Clock.At(made.StartMin));
        foreach (var product in plan.Lots.GroupBy(lot => lot.Product.Id))
        {
            if (FillingSteps.First(product.First().Product.Process) is not { } first) continue;
            // Those who pour one filling into several pans make it in one go; pies that are filled already need none.
            var tasks = plan.Tasks.Where(task => task.StepId == first.Id).ToLookup(task => task.LotId);
            Lot[] filled = [.. product.Where(lot => tasks.Contains(lot.Id))];
            int[] starts = [.. filled.SelectMany(lot => tasks[lot.Id]).Where(task => task.RightAfter is null).Select(task => task.StartMin).Distinct().Order()];
            var grams = filled.Sum(lot => Scaling.Scale(lot.Product, lot.Pan, lot.Count).FillingPerPie.Grams * lot.Count);
            if (starts.Length > 0) yield return new AheadBatchAnswer("filling", product.First().Product.Name, 1, starts.Length, Math.Round(grams / GramsPerKilogram, 2), book.Clock.At(starts[0]));
        }
    }

    private static LoadAnswer Load(DayLoad? load) => load is null ? new LoadAnswer("Work not known", "Trays in ovens not known", null, null) : new(
        Words("Work", load.WorkMin, load.HandsMin, "of hands"),
        Words("Trays in ovens", load.TrayMin, load.ShelfMin > 0 ? load.ShelfMin : null, "of shelves"),
        Percent(load.OfHands),
        Percent(load.OfOvens));

    private static string Words(string what, long asked, long? there, string of) =>
        there is { } has ? $"{what} {PlanSentence.Hours(asked)} against {PlanSentence.Hours(has)} {of}" : $"{what} {PlanSentence.Hours(asked)}; nobody has said how much there is";

    private static int? Percent(double? share) => share is { } part ? (int)Math.Min(999, Math.Round(100 * part, MidpointRounding.AwayFromZero)) : null;
}

/// <summary>A day ahead.</summary>
/// <param name="Day">The day.</param>
/// <param name="Name">In words.</param>
/// <param name="Pies">Pies ordered.</param>
/// <param name="IsPlanned">Whether it is near enough to be planned here.</param>
/// <param name="Batches">What is mixed and made for it, by the clock; empty of a day that is not planned.</param>
/// <param name="Stumbles">Why it cannot be planned; empty where it can.</param>
/// <param name="Load">How full it is.</param>
public sealed record AheadAnswer(string Day, string Name, int Pies, bool IsPlanned, IReadOnlyList<AheadBatchAnswer> Batches, string Stumbles, LoadAnswer Load);

/// <summary>A batch of a day ahead.</summary>
/// <param name="Kind">"dough", "made" of what else is made first, or "filling", of which the first start and the sum are told.</param>
/// <param name="Name">Of what.</param>
/// <param name="Number">From 1.</param>
/// <param name="Of">How many there are; of a filling how often it is made.</param>
/// <param name="Kilograms">How much.</param>
/// <param name="Start">When it is begun.</param>
public sealed record AheadBatchAnswer(string Kind, string Name, int Number, int Of, double Kilograms, Moment Start);

/// <summary>What a day asks for against what there is.</summary>
/// <param name="Hands">Of hands, in words.</param>
/// <param name="Ovens">Of ovens, in words.</param>
/// <param name="OfHandsPercent">What part of the hands; null where they are not counted.</param>
/// <param name="OfOvensPercent">What part of the ovens; null where nobody watches them.</param>
public sealed record LoadAnswer(string Hands, string Ovens, int? OfHandsPercent, int? OfOvensPercent);
