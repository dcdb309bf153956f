using Lumpet.Core.Dough;
using Lumpet.Server.Bakery;
using Lumpet.Server.DayPlan;
using Lumpet.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Dough;

/// <summary>The day's dough batches.</summary>
internal static class DoughEndpoints
{
    /// <summary>Adds the endpoint.</summary>
    public static void Map(IEndpointRouteBuilder routes) =>
        routes.MapGet("/api/dough/{day}", Get).WithName("GetDough").WithSummary("The dough batches of a day, ready to be weighed.");

    private static Results<Ok<DoughAnswer>, ValidationProblem> Get(string day, Database database, PlanShelf shelf)
    {
        var (book, refused) = PlanEndpoints.Open(day, database);
        if (book is null) return refused!;
        var plan = shelf.Plan(book);
        var total = plan.Batches.Sum(batch => batch.Mass.Kilograms);
        var mixer = book.Bakery.Mixer;
        return TypedResults.Ok(new DoughAnswer(
            Days.Name(book.Day),
            plan.Batches.Count,
            Math.Round(total, 1),
            FormattableString.Invariant($"{mixer.Name}: {mixer.SmallestBatch.Kilograms} to {mixer.LargestBatch.Kilograms} kg a batch."),
            [.. plan.Batches.Select(batch => Batch(book, batch))]));
    }

    private static BatchAnswer Batch(DayBook book, DoughBatch batch) => new(
        batch.Dough.Id,
        batch.Dough.Name,
        batch.Number,
        batch.Of,
        Math.Round(batch.Lines.Sum(line => line.Weighed.Grams)),
        [.. batch.Lines.Select(line => new BatchLineAnswer(
            line.Line.Ingredient.Name, line.Line.Preparation, line.Weighed.Grams, Math.Round(line.Line.Amount / batch.Dough.Written * 100, 1)))],
        [.. batch.Discs.Select(disc => new BatchDiscAnswer(disc.Label, disc.Count, Math.Round(disc.Disc.Grams)))],
        Math.Round(batch.InDiscs.Grams),
        Math.Round(batch.InBowl.Grams),
        Math.Round(batch.Surplus.Grams),
        book.Clock.At(batch.MixStartMin),
        book.Clock.At(batch.MixEndMin),
        book.Clock.At(batch.NeededMin),
        batch.NeededMin - batch.MixEndMin,
        batch.Dough.Rest.Least,
        batch.Dough.ReadyWhen,
        batch.Dough.Caution);
}

/// <summary>The dough batches of a day.</summary>
/// <param name="DayName">The day.</param>
/// <param name="Count">Batches in all.</param>
/// <param name="Kilograms">Dough in all.</param>
/// <param name="Mixer">The mixer and its limits.</param>
/// <param name="Batches">In order of mixing.</param>
public sealed record DoughAnswer(string DayName, int Count, double Kilograms, string Mixer, IReadOnlyList<BatchAnswer> Batches);

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
/// <param name="MixEnd">When it goes into the cold.</param>
/// <param name="Needed">When the first disc is rolled.</param>
/// <param name="RestMin">How long it rests until then.</param>
/// <param name="RestLeast">How long it must.</param>
/// <param name="ReadyWhen">The sign that mixing is done.</param>
/// <param name="Caution">What can hurt.</param>
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
    string ReadyWhen,
    string Caution);

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
public sealed record BatchDiscAnswer(string Label, int Count, double Grams);
