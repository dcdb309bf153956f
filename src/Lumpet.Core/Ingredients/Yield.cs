using Lumpet.Core.Measures;

namespace Lumpet.Core.Ingredients;

/// <summary>How much of what was bought is left to use: edible portion (EP) over as purchased (AP), by weight.</summary>
public readonly record struct Yield
{
    private readonly double lost;

    private Yield(double share) => lost = 1 - share;

    /// <summary>Nothing is lost.</summary>
    public static Yield Whole => default;

    /// <summary>The share that is left, above 0 and at most 1.</summary>
    public double Share => 1 - lost;

    /// <summary>A yield of this share.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The share is not above 0, or above 1.</exception>
    public static Yield FromShare(double share) =>
        share is > 0 and <= 1 ? new Yield(share) : throw new ArgumentOutOfRangeException(nameof(share), share, "A yield lies above 0 and at most at 1.");

    /// <summary>What must be bought for an edible portion: AP = EP / yield.</summary>
    public Mass AsPurchased(Mass ediblePortion) => ediblePortion / Share;
}
