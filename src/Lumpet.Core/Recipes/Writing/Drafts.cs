namespace Lumpet.Core.Recipes.Writing;

/// <summary>A dough as a person writes it; anything may be missing or wrong until <see cref="DoughReader"/> has read it.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Lines">One ingredient a line, amounts by weight; they give the proportions.</param>
/// <param name="Density">Grams per millilitre when rolled.</param>
/// <param name="BowlLossPercent">Share of a batch that stays in the bowl.</param>
/// <param name="MixMin">Minutes to scale, mix and divide a batch.</param>
/// <param name="RestLeast">Least minutes of rest, cold.</param>
/// <param name="RestAim">Minutes of rest that are aimed for.</param>
/// <param name="RestMost">Most minutes of rest.</param>
/// <param name="ReadyWhen">The sign that mixing is done.</param>
/// <param name="Caution">What can hurt.</param>
public sealed record DoughDraft(
    string? Name,
    string? Lines,
    double? Density,
    double? BowlLossPercent,
    int? MixMin,
    int? RestLeast,
    int? RestAim,
    int? RestMost,
    string? ReadyWhen,
    string? Caution);

/// <summary>A product as a person writes it; anything may be missing or wrong until <see cref="ProductReader"/> has read it.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Aliases">Other words for it, separated by commas.</param>
/// <param name="Dough">Id of its dough.</param>
/// <param name="Top">"open", "lid" or "lattice".</param>
/// <param name="ThicknessMm">To which the dough is rolled.</param>
/// <param name="BaseOverhangCm">Overhang of the base beyond the rim, on one side.</param>
/// <param name="TopOverhangCm">Overhang of lid or strips, on one side.</param>
/// <param name="TrimPercent">Share of a disc that is trimmed off.</param>
/// <param name="StripWidthCm">Width of a lattice strip.</param>
/// <param name="StripGapCm">Gap between strips.</param>
/// <param name="PackedDensity">Grams per millilitre of the filling as packed.</param>
/// <param name="BakeChangeCm">How far its middle moves in the bake; below 0 sinks.</param>
/// <param name="ReferencePan">Id of the pan for which it is written.</param>
/// <param name="OldestMin">Minutes from the last bake to the pick-up, at most.</param>
/// <param name="Filling">One ingredient a line, for one pie in the reference pan.</param>
/// <param name="Finish">One ingredient a line, for one pie in the reference pan.</param>
/// <param name="Packaging">What is counted by the pie, one thing a line: box, label.</param>
/// <param name="Sizes">The pans it is made in, and its price in each.</param>
/// <param name="Steps">How it is made.</param>
/// <param name="Links">Which step follows which.</param>
public sealed record ProductDraft(
    string? Name,
    string? Aliases,
    string? Dough,
    string? Top,
    double? ThicknessMm,
    double? BaseOverhangCm,
    double? TopOverhangCm,
    double? TrimPercent,
    double? StripWidthCm,
    double? StripGapCm,
    double? PackedDensity,
    double? BakeChangeCm,
    string? ReferencePan,
    int? OldestMin,
    string? Filling,
    string? Finish,
    string? Packaging,
    IReadOnlyList<SizeDraft?>? Sizes,
    IReadOnlyList<StepDraft?>? Steps,
    IReadOnlyList<LinkDraft?>? Links);

/// <summary>A size as written.</summary>
/// <param name="Pan">Id of the pan.</param>
/// <param name="Price">Selling price; null where none is set.</param>
public sealed record SizeDraft(string? Pan, decimal? Price);

/// <summary>A step as written: hands, stages or a wait.</summary>
/// <param name="Id">Short name, unique in the product.</param>
/// <param name="Name">What is done.</param>
/// <param name="Station">"dough", "pot", "bench", "cold", "oven", "rack", "finish" or "box".</param>
/// <param name="PerBatch">Minutes of hands whatever the count.</param>
/// <param name="PerPie">Minutes of hands a pie.</param>
/// <param name="WaitLeast">Least minutes of a wait.</param>
/// <param name="WaitAim">Minutes of a wait that are aimed for.</param>
/// <param name="WaitMost">Most minutes of a wait.</param>
/// <param name="Celsius">Temperature of the place; null for a bake.</param>
/// <param name="Stages">Stages of a bake.</param>
/// <param name="UsesDough">Whether it takes the rested discs.</param>
/// <param name="ReadyWhen">The sensory test.</param>
/// <param name="Caution">What can hurt.</param>
public sealed record StepDraft(
    string? Id,
    string? Name,
    string? Station,
    int? PerBatch,
    double? PerPie,
    int? WaitLeast,
    int? WaitAim,
    int? WaitMost,
    int? Celsius,
    IReadOnlyList<StageDraft?>? Stages,
    bool UsesDough,
    string? ReadyWhen,
    string? Caution);

/// <summary>A stage as written.</summary>
/// <param name="TempC">Its temperature.</param>
/// <param name="Least">Least minutes.</param>
/// <param name="Most">Most minutes.</param>
public sealed record StageDraft(int? TempC, int? Least, int? Most);

/// <summary>A link as written.</summary>
/// <param name="From">Id of the earlier step.</param>
/// <param name="To">Id of the later step.</param>
/// <param name="Least">Least minutes between; 0 where a wait stands between.</param>
/// <param name="Most">Most minutes between; 0 where a wait stands between.</param>
public sealed record LinkDraft(string? From, string? To, int? Least, int? Most);
