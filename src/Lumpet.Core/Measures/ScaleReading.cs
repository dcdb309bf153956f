namespace Lumpet.Core.Measures;

/// <summary>What a kitchen scale can show: whole grams, and tenths for the few grams of a spice.</summary>
public static class ScaleReading
{
    // Below this the bakery reaches for the fine scale (common practice, no source).
    private const double FineBelowGrams = 20;

    /// <summary>A mass as it is weighed, in grams.</summary>
    public static double GramsOf(Mass mass) =>
        mass.Grams < FineBelowGrams
            ? Math.Round(mass.Grams, 1, MidpointRounding.AwayFromZero)
            : Math.Round(mass.Grams, MidpointRounding.AwayFromZero);
}
