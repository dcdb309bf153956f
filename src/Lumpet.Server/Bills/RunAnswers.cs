namespace Lumpet.Server.Bills;

/// <summary>What so many pies of a product cost where they are made by themselves: ingredients, what is left over, hands and heat are the total.</summary>
/// <param name="Count">Pies.</param>
/// <param name="Currency">ISO 4217 code.</param>
/// <param name="Sentence">What a tired manager reads first.</param>
/// <param name="Ingredients">What goes into the pies, with boxes; null while a price is missing.</param>
/// <param name="Left">What is made or opened and not taken; null while a price is missing.</param>
/// <param name="HandsMin">Minutes of hands, by the recipe.</param>
/// <param name="Hands">What they cost; null where an hour of hands has no price.</param>
/// <param name="Oven">The oven that bakes them for least; null where none with a price does.</param>
/// <param name="OvenMin">Minutes for which it is on, its heating up among them.</param>
/// <param name="Heat">What that costs; null without such an oven.</param>
/// <param name="Total">Everything that is counted; null while a price is missing.</param>
/// <param name="PerPie">Of one pie; null while a price is missing.</param>
/// <param name="Unused">What is left over.</param>
/// <param name="Batches">Bowls and batches: "Flaky 3-2-1: 1 bowl, 2.00 kg".</param>
/// <param name="Pays">From how many pies on it pays, by channel.</param>
/// <param name="Ladder">What a pie costs, by how many are made.</param>
public sealed record RunCostAnswer(
    int Count,
    string Currency,
    string Sentence,
    decimal? Ingredients,
    decimal? Left,
    int HandsMin,
    decimal? Hands,
    string? Oven,
    int OvenMin,
    decimal? Heat,
    decimal? Total,
    decimal? PerPie,
    IReadOnlyList<UnusedAnswer> Unused,
    IReadOnlyList<string> Batches,
    IReadOnlyList<RunPaysAnswer> Pays,
    IReadOnlyList<RunStepAnswer> Ladder);

/// <summary>Something that is left over.</summary>
/// <param name="Name">What.</param>
/// <param name="Weight">How much: "320 g".</param>
/// <param name="Cost">What it has cost; null where a price is missing.</param>
public sealed record UnusedAnswer(string Name, string Weight, decimal? Cost);

/// <summary>From how many pies on a channel pays for them.</summary>
/// <param name="Channel">Its name.</param>
/// <param name="PerPie">What a pie brings there, tax and fees taken off.</param>
/// <param name="IsSet">Whether at the price that is set; else at the least price that keeps to the channel's aim.</param>
/// <param name="From">The fewest pies that pay; null where none of those looked at do.</param>
/// <param name="Most">How many are looked at.</param>
public sealed record RunPaysAnswer(string Channel, decimal PerPie, bool IsSet, int? From, int Most);

/// <summary>What a pie costs where so many are made.</summary>
/// <param name="Count">Pies.</param>
/// <param name="PerPie">Everything that is counted, of one; null while a price is missing.</param>
/// <param name="Ingredients">Of that the ingredients of the pie itself.</param>
public sealed record RunStepAnswer(int Count, decimal? PerPie, decimal? Ingredients);
