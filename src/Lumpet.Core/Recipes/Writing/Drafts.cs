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
/// <param name="Family">One of the names of <see cref="DoughFamily"/>; null for flaky.</param>
/// <param name="HeldBackPercent">Share of the water that is held back.</param>
/// <param name="FatSize">Size of the fat to look for.</param>
/// <param name="Turns">How often it is rolled and folded or stacked.</param>
/// <param name="TurnRestMin">Minutes of cold rest after each turn.</param>
/// <param name="ThinnestMm">Thinnest it is rolled to.</param>
/// <param name="ThickestMm">Thickest it is rolled to.</param>
/// <param name="KeepsColdDays">Days it keeps in the fridge.</param>
/// <param name="KeepsFrozenDays">Days it keeps frozen.</param>
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
    string? Caution,
    string? Family = null,
    double? HeldBackPercent = null,
    string? FatSize = null,
    int? Turns = null,
    int? TurnRestMin = null,
    double? ThinnestMm = null,
    double? ThickestMm = null,
    int? KeepsColdDays = null,
    int? KeepsFrozenDays = null);

/// <summary>A product as a person writes it; anything may be missing or wrong until <see cref="ProductReader"/> has read it.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Aliases">Other words for it, separated by commas.</param>
/// <param name="Dough">Id of its dough.</param>
/// <param name="Top">One of the names of <see cref="Recipes.Top"/>.</param>
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
/// <param name="FillingKind">One of the names of <see cref="Recipes.FillingKind"/>; null for raw fruit.</param>
/// <param name="BaseTreatment">One of the names of <see cref="Recipes.BaseTreatment"/>; null for plain.</param>
/// <param name="Cooling">One of the names of <see cref="CoolingClass"/>; null for what is usual for the filling.</param>
/// <param name="KeptPercent">What of the weighed filling goes into the pan, after boiling down and what stays in the pot; null for all of it.</param>
/// <param name="Topping">Crumble, meringue or cream of one pie in the reference pan, one ingredient a line.</param>
/// <param name="Lining">One of the names of <see cref="Recipes.Lining"/>; null for one piece.</param>
/// <param name="CutOutCm">Across a cut-out.</param>
/// <param name="CutOuts">Cut-outs on a pie in the reference pan.</param>
/// <param name="Rerolls">How often the scraps of small rounds are rolled again.</param>
/// <param name="Review">What a person should still look at, one thing a line: doubtful lines of a recipe that was taken in from elsewhere.</param>
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
    IReadOnlyList<LinkDraft?>? Links,
    string? FillingKind = null,
    string? BaseTreatment = null,
    string? Cooling = null,
    double? KeptPercent = null,
    string? Topping = null,
    string? Lining = null,
    double? CutOutCm = null,
    int? CutOuts = null,
    int? Rerolls = null,
    string? Review = null);

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
