using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;

namespace Lumpet.Core.Recipes;

/// <summary>What goes into the crust, as written for the reference pan.</summary>
/// <param name="Lines">What goes in.</param>
/// <param name="PackedDensity">Mass over the room it takes in the pan, air between slices included.</param>
/// <param name="BakeChange">How far its middle moves in the reference pan while it bakes: below 0 sinks, above 0 rises.</param>
public sealed record Filling(IReadOnlyList<RecipeLine> Lines, Density PackedDensity, Length BakeChange)
{
    /// <summary>What kind of filling it is.</summary>
    public FillingKind Kind { get; init; }

    /// <summary>
    /// What is left of the weighed amounts when the filling goes into the pan, above 0 and at most 1: boiling down loses
    /// water, not sugar; something stays in the pot.
    /// </summary>
    public double KeptShare { get; init; } = 1;

    /// <summary>The sum of the written amounts.</summary>
    public Mass Written => Mass.FromGrams(Lines.Sum(line => line.Amount.Grams));

    /// <summary>What of it goes into the reference pan.</summary>
    public Mass InPan => Written * KeptShare;
}
