using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;

namespace Lumpet.Core.Batches;

/// <summary>One pot, bowl or tray-full of something that is made before it goes into pies.</summary>
/// <param name="Made">What is made.</param>
/// <param name="Number">Its number among the day's batches of this, from 1.</param>
/// <param name="Of">How many there are.</param>
/// <param name="Mass">How much is made, unrounded: what is taken, and surplus.</param>
/// <param name="Lines">What is weighed in, by ingredient.</param>
/// <param name="Uses">What it is for, in the order in which it is taken.</param>
/// <param name="Surplus">What is made beyond that, where the smallest batch is more than is needed.</param>
/// <param name="NeededMin">When the first of it is taken.</param>
public sealed record PreparationBatch(
    Ingredient Made, int Number, int Of, Mass Mass, IReadOnlyList<PreparationLine> Lines, IReadOnlyList<PreparationDemand> Uses, Mass Surplus, int NeededMin)
{
    /// <summary>"made:praline/1". No id of a lot or a dough holds a colon, so that none is taken for another.</summary>
    public string Id => FormattableString.Invariant($"made:{Made.Id}/{Number}");

    /// <summary>How it is made.</summary>
    public Making How => Made.Formula!.How!;

    /// <summary>What is weighed in.</summary>
    public Mass Weighed => Made.Formula!.WeighedFor(Mass);

    /// <summary>By what the hands' minutes count: kilograms weighed in, or pieces.</summary>
    public double Units => How.Piece is { } one ? Mass / one : Weighed.Kilograms;

    /// <summary>The lots that need it, each once.</summary>
    public IReadOnlyList<string> LotIds => [.. Uses.SelectMany(use => use.LotIds).Distinct()];

    /// <summary>Its name, with its number where there are several.</summary>
    public string About => Of == 1 ? Made.Name : FormattableString.Invariant($"{Made.Name}, batch {Number} of {Of}");
}

/// <summary>An ingredient of a batch.</summary>
/// <param name="Line">As written.</param>
/// <param name="Exact">Exact share of the batch, prepared.</param>
/// <param name="WeighedGrams">What the scale is to show.</param>
public sealed record PreparationLine(RecipeLine Line, Mass Exact, double WeighedGrams);
