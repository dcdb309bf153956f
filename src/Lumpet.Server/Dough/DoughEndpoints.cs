using Lumpet.Core.DayPlan;
using Lumpet.Core.Dough;
using Lumpet.Core.Safety;
using Lumpet.Server.Bakery;
using Lumpet.Server.DayPlan;
using Lumpet.Server.Faults;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Dough;

/// <summary>The day's dough batches.</summary>
internal static class DoughEndpoints
{
    /// <summary>Adds the endpoint.</summary>
    public static void Map(IEndpointRouteBuilder routes) =>
        routes.MapGet("/api/dough/{day}", Get).WithName("GetDough").WithSummary("The dough batches of a day, ready to be weighed.");

    private static async Task<Results<Ok<DoughAnswer>, ValidationProblem>> Get(
        string day, string? from, string? given, [AsParameters] MeasuredToday measured, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting)
    {
        var readings = measured.Readings;
        if (readings.Faults() is { Count: > 0 } faults) return FieldProblems.Of(faults);
        var (view, refused) = await PlanEndpoints.ViewAsync(day, from, given, database, shelf, clock, waiting);
        if (view is null) return refused!;
        var (book, plan) = (view.Book, view.Plan);
        var total = plan.Batches.Sum(batch => batch.Mass.Kilograms);
        var mixer = book.Bakery.Mixer;
        return TypedResults.Ok(new DoughAnswer(
            Days.Name(book.Day),
            plan.Batches.Count,
            Math.Round(total, 1),
            FormattableString.Invariant($"{mixer.Name}: {mixer.SmallestBatch.Kilograms} to {mixer.LargestBatch.Kilograms} kg a batch."),
            readings,
            StockUseWords.Of(book, plan, isDough: true),
            [.. plan.Batches.Select(batch => Batch(book, plan, batch, readings))]));
    }

    private static BatchAnswer Batch(DayBook book, PlannedDay plan, DoughBatch batch, DoughReadings readings) => new(
        batch.Dough.Id,
        batch.Dough.Name,
        batch.Number,
        batch.Of,
        Math.Round(batch.Lines.Sum(line => line.Weighed.Grams)),
        [.. batch.Lines.Select(line => new BatchLineAnswer(
            line.Line.Ingredient.Name,
            batch.Dough.BoughtShell is { } shell ? FormattableString.Invariant($"{Math.Round(line.Exact / shell)} pieces") : line.Line.Preparation,
            line.Weighed.Grams,
            Math.Round(line.Line.Amount / batch.Dough.Written * 100, 1)))],
        Discs(book, plan, batch),
        Math.Round(batch.InDiscs.Grams),
        Math.Round(batch.InBowl.Grams),
        Math.Round(batch.Surplus.Grams),
        book.Clock.At(batch.MixStartMin),
        book.Clock.At(batch.MixEndMin),
        book.Clock.At(batch.NeededMin),
        batch.NeededMin - batch.RestStartMin,
        batch.Dough.Rest.Least,
        [.. DoughWords.Making(batch.Dough, batch.Lines.Where(line => DoughWords.IsWater(line.Line)).Sum(line => line.Weighed.Grams))],
        [.. batch.Turns.Select(book.Clock.At)],
        batch.Dough.Sign,
        DoughCautions.Of(batch.Dough),
        DoughWords.Keeps(batch.Dough),
        batch.Dough.IsMixed ? DoughWaterWords.Of(DoughWater.For(batch, readings), readings) : null);

    /// <summary>Discs that are the same on the scale and at the pin are one line, with the orders that they are for.</summary>
    private static BatchDiscAnswer[] Discs(DayBook book, PlannedDay plan, DoughBatch batch) =>
        [.. batch.Discs.GroupBy(disc => (disc.Label, Grams: Math.Round(disc.Disc.Grams))).Select(same => new BatchDiscAnswer(
            same.Key.Label,
            same.Sum(disc => disc.Count),
            same.Key.Grams,
            same.First().Piece is { } piece ? PieceWords.Rolled(piece) : string.Empty,
            [.. same.SelectMany(disc => disc.LotIds.Select(lot => (Lot: lot, Disc: disc))).GroupBy(pair => pair.Lot, pair => pair.Disc).Select(lot =>
            {
                var order = plan.Lots.First(one => one.Id == lot.Key);
                return new DiscOrderAnswer(lot.Sum(disc => disc.Piece is null ? 0 : disc.Count), book.Clock.At(order.PickUpMin), string.Join(", ", order.For));
            }).OrderBy(order => order.PickUp.Min)]))];
}

/// <summary>The dough batches of a day.</summary>
/// <param name="DayName">The day.</param>
/// <param name="Count">Batches in all.</param>
/// <param name="Kilograms">Dough in all.</param>
/// <param name="Mixer">The mixer and its limits.</param>
/// <param name="Readings">What was measured, or what is usual where it was not.</param>
/// <param name="Already">What is there already and is rolled first, one sentence each.</param>
/// <param name="Batches">In order of mixing.</param>
public sealed record DoughAnswer(string DayName, int Count, double Kilograms, string Mixer, DoughReadings Readings, IReadOnlyList<string> Already, IReadOnlyList<BatchAnswer> Batches);

/// <summary>A batch.</summary>
/// <param name="Dough">Id of the dough.</param>
/// <param name="Name">Name of the dough.</param>
/// <param name="Number">From 1.</param>
/// <param name="Of">How many there are of this dough.</param>
/// <param name="Grams">What is weighed in.</param>
/// <param name="Lines">By ingredient; they add up to the batch.</param>
/// <param name="Discs">What it is divided into.</param>
/// <param name="InDiscs">Grams of all discs.</param>
/// <param name="InBowl">Grams that stay in the bowl.</param>
/// <param name="Surplus">Grams beyond that.</param>
/// <param name="MixStart">When mixing begins.</param>
/// <param name="MixEnd">When the bowl is free.</param>
/// <param name="Needed">When the first disc is rolled.</param>
/// <param name="RestMin">How long it rests until then.</param>
/// <param name="RestLeast">How long it must.</param>
/// <param name="Making">What the hands at the mixer have to know, one sentence each.</param>
/// <param name="Turns">When each turn begins; empty where it has none.</param>
/// <param name="ReadyWhen">The sign that mixing is done.</param>
/// <param name="Caution">What can hurt.</param>
/// <param name="Keeps">How it keeps, in words.</param>
/// <param name="Water">What its water has to be; null of what is bought in.</param>
public sealed record BatchAnswer(
    string Dough,
    string Name,
    int Number,
    int Of,
    double Grams,
    IReadOnlyList<BatchLineAnswer> Lines,
    IReadOnlyList<BatchDiscAnswer> Discs,
    double InDiscs,
    double InBowl,
    double Surplus,
    Moment MixStart,
    Moment MixEnd,
    Moment Needed,
    int RestMin,
    int RestLeast,
    IReadOnlyList<string> Making,
    IReadOnlyList<Moment> Turns,
    string ReadyWhen,
    string Caution,
    string Keeps,
    DoughWaterAnswer? Water);

/// <summary>An ingredient of a batch.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Preparation">How it is prepared.</param>
/// <param name="Grams">Whole grams to weigh.</param>
/// <param name="Percent">Its share of the formula.</param>
public sealed record BatchLineAnswer(string Name, string Preparation, double Grams, double Percent);

/// <summary>Discs of one kind.</summary>
/// <param name="Label">For what.</param>
/// <param name="Count">How many.</param>
/// <param name="Grams">Weight of each.</param>
/// <param name="Rolled">What it is rolled to, and what it is trimmed to; empty where it is cut from a sheet.</param>
/// <param name="Orders">The orders they are for, in order of their pick-ups.</param>
public sealed record BatchDiscAnswer(string Label, int Count, double Grams, string Rolled, IReadOnlyList<DiscOrderAnswer> Orders);

/// <summary>Orders that some discs are for.</summary>
/// <param name="Count">Discs; 0 where it is weighed off for something else that goes into them.</param>
/// <param name="PickUp">The pick-up.</param>
/// <param name="For">Who for; may be empty.</param>
public sealed record DiscOrderAnswer(int Count, Moment PickUp, string For);
