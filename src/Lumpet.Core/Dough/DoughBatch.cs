using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.Dough;

/// <summary>One bowl of dough.</summary>
/// <param name="Dough">Which dough.</param>
/// <param name="Number">Its number among the day's batches of this dough, from 1.</param>
/// <param name="Of">How many there are.</param>
/// <param name="Mass">What is weighed in, unrounded: discs, what stays in the bowl, and surplus.</param>
/// <param name="Lines">What is weighed in, by ingredient.</param>
/// <param name="Discs">What it is divided into.</param>
/// <param name="Surplus">Dough beyond the discs, where the mixer's smallest batch is more than is needed.</param>
/// <param name="NeededMin">When the first of it is taken.</param>
/// <param name="MixStartMin">When mixing begins; below 0 where it would have to begin before the horizon.</param>
/// <param name="Turns">When each of its turns begins; empty where it has none.</param>
public sealed record DoughBatch(
    DoughFormula Dough,
    int Number,
    int Of,
    Mass Mass,
    IReadOnlyList<BatchLine> Lines,
    IReadOnlyList<DoughDemand> Discs,
    Mass Surplus,
    int NeededMin,
    int MixStartMin,
    IReadOnlyList<int> Turns)
{
    /// <summary>When mixing is done and the bowl is free.</summary>
    public int MixEndMin => MixStartMin + Dough.MixMinutes;

    /// <summary>When its rest begins: after mixing, or after the cold that follows its last turn.</summary>
    public int RestStartMin => Turns.Count == 0 ? MixEndMin : Turns[^1] + Dough.Method.TurnMinutes + Dough.Method.TurnRestMinutes;

    /// <summary>The sum of its discs.</summary>
    public Mass InDiscs => Mass.FromGrams(Discs.Sum(disc => disc.Disc.Grams * disc.Count));

    /// <summary>The lots that need it, each once.</summary>
    public IReadOnlyList<string> LotIds => [.. Discs.SelectMany(disc => disc.LotIds).Distinct()];

    /// <summary>What stays in the bowl.</summary>
    public Mass InBowl => Mass - InDiscs - Surplus;
}

/// <summary>An ingredient of a batch.</summary>
/// <param name="Line">As written in the formula.</param>
/// <param name="Exact">Exact share of the batch.</param>
/// <param name="Weighed">What the scale is to show: whole grams that add up to the rounded batch.</param>
public sealed record BatchLine(RecipeLine Line, Mass Exact, Mass Weighed);
