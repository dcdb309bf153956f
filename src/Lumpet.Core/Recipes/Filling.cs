using Lumpet.Core.Measures;

namespace Lumpet.Core.Recipes;

/// <summary>What goes into the crust, as written for the reference pan.</summary>
/// <param name="Lines">What goes in.</param>
/// <param name="PackedDensity">Mass over the room it takes in the pan, air between slices included.</param>
/// <param name="BakeChange">How far its middle moves in the reference pan while it bakes: below 0 sinks, above 0 rises.</param>
public sealed record Filling(IReadOnlyList<RecipeLine> Lines, Density PackedDensity, Length BakeChange)
{
    /// <summary>The sum of the written amounts.</summary>
    public Mass Written => Mass.FromGrams(Lines.Sum(line => line.Amount.Grams));
}
