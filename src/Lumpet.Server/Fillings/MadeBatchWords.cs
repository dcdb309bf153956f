using Lumpet.Core;
using Lumpet.Core.Batches;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Measures;
using Lumpet.Core.Safety;
using Lumpet.Server.Bakery;
using Lumpet.Server.DayPlan;
using Lumpet.Server.Preparations;
using Lumpet.Server.Recipes;

namespace Lumpet.Server.Fillings;

/// <summary>Writes batches of what is made before the pies out as sheets.</summary>
internal static class MadeBatchWords
{
    /// <summary>The sheets of a day, in the order in which work on them begins.</summary>
    public static IReadOnlyList<MadeBatchAnswer> Of(DayBook book, PlannedDay plan) =>
        [.. plan.Made.OrderBy(made => made.StartMin).ThenBy(made => made.Batch.Id, StringComparer.Ordinal).Select(made => Of(book, made))];

    private static MadeBatchAnswer Of(DayBook book, MadeBatch made)
    {
        var (batch, clock) = (made.Batch, book.Clock);
        return new MadeBatchAnswer(
            batch.Id,
            batch.Made.Name,
            batch.About,
            ScaleReading.GramsOf(batch.Mass),
            Pieces(batch, batch.Mass),
            Math.Round(batch.Made.Formula!.LeftShare * 100, 1),
            [.. batch.Lines.Select(line => new MadeBatchLine(
                line.Line.Ingredient.Name,
                LineWords.Preparation(line.Line, line.Exact),
                line.WeighedGrams,
                line.Line.Yield.Share < 1 ? Math.Round(line.Line.Yield.AsPurchased(line.Exact).Grams) : null))],
            [.. made.Steps.Select(step => new MadeStepAnswer(
                step.Step.Name, Naming.Of(step.Step.Station), clock.At(step.StartMin), clock.At(step.EndMin), step.Step.IsBake ? StepWords.Bake(step.Step) : string.Empty, step.Step.Celsius ?? step.Step.Stages[0].TempC, step.Step.Sign, step.Step.Caution))],
            clock.At(batch.NeededMin),
            [.. batch.Uses.Select(use => new MadeUseAnswer(use.Label, ScaleReading.GramsOf(use.Wanted), Pieces(batch, use.Wanted), clock.At(use.NeededMin)))],
            PreparationWords.Keeps(batch.How.Keeping),
            batch.Surplus > Mass.Zero ? ScaleReading.GramsOf(batch.Surplus) : 0,
            made.Short > 0 ? PlanSentence.Filled(book, made.Why) : string.Empty,
            PreparationEndpoints.Cautions(batch.Made),
            LineWords.Reduced([.. batch.Lines.Select(line => line.Line with { Amount = line.Exact })], batch.Made.Formula.ReducedTo),
            CoolInTime.Needs(batch.Made) ? CoolingEndpoints.Deepest(batch.Mass) : string.Empty);
    }

    private static int? Pieces(PreparationBatch batch, Mass mass) => batch.How.Piece is { } one ? (int)Math.Round(mass / one) : null;
}

/// <summary>A batch of something that is made before the pies.</summary>
/// <param name="Id">Its id among the day's tasks.</param>
/// <param name="Name">What it is.</param>
/// <param name="About">Its name, with its number where there are several.</param>
/// <param name="Grams">How much is made.</param>
/// <param name="Pieces">How many pieces that is; null of what goes by weight.</param>
/// <param name="KeptPercent">What of what is weighed in is left.</param>
/// <param name="Lines">What is weighed in.</param>
/// <param name="Steps">What is done, by the clock.</param>
/// <param name="Needed">When the first of it is used.</param>
/// <param name="Uses">What it goes into.</param>
/// <param name="Keeps">How it keeps, in words.</param>
/// <param name="SurplusGrams">What is made beyond what is used; 0 for nothing.</param>
/// <param name="Trouble">What stands in the way; empty where nothing does.</param>
/// <param name="Caution">What is not to be tasted raw, and how long it may be kept where that is a matter of safety; empty where there is nothing.</param>
/// <param name="Reduced">What boiling down does to it, before and after; empty where nothing is boiled down.</param>
/// <param name="Cooling">How deep it may stand so that it is cold in time, and in how many pans that is; empty where it is no matter of safety.</param>
public sealed record MadeBatchAnswer(
    string Id,
    string Name,
    string About,
    double Grams,
    int? Pieces,
    double KeptPercent,
    IReadOnlyList<MadeBatchLine> Lines,
    IReadOnlyList<MadeStepAnswer> Steps,
    Moment Needed,
    IReadOnlyList<MadeUseAnswer> Uses,
    string Keeps,
    double SurplusGrams,
    string Trouble,
    string Caution,
    string Reduced,
    string Cooling);

/// <summary>What is weighed into a batch.</summary>
/// <param name="Name">The ingredient.</param>
/// <param name="Preparation">How it is prepared.</param>
/// <param name="Grams">What the scale is to show.</param>
/// <param name="ToBuyGrams">What to buy for it; null where nothing is lost.</param>
public sealed record MadeBatchLine(string Name, string Preparation, double Grams, double? ToBuyGrams);

/// <summary>A step of a batch.</summary>
/// <param name="Name">What is done.</param>
/// <param name="Station">Where.</param>
/// <param name="Start">When it begins.</param>
/// <param name="End">When it ends.</param>
/// <param name="Heat">Stages of a bake, in words; empty for other steps.</param>
/// <param name="Celsius">Temperature of the place.</param>
/// <param name="ReadyWhen">The sensory test.</param>
/// <param name="Caution">What can hurt.</param>
public sealed record MadeStepAnswer(string Name, string Station, Moment Start, Moment End, string Heat, int Celsius, string ReadyWhen, string Caution);

/// <summary>What a batch goes into.</summary>
/// <param name="For">A product and its pan, a dough, or another batch.</param>
/// <param name="Grams">How much of it.</param>
/// <param name="Pieces">How many pieces that is; null of what goes by weight.</param>
/// <param name="At">When.</param>
public sealed record MadeUseAnswer(string For, double Grams, int? Pieces, Moment At);
