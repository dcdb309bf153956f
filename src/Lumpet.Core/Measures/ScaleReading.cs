namespace Lumpet.Core.Measures;

/// <summary>What a kitchen scale can show: whole grams, and tenths for the few grams of a spice.</summary>
public static class ScaleReading
{
    // Below this the bakery reaches for the fine scale (common practice, no source).
    private const double FineBelowGrams = 20;
    private const double LeastShown = 0.001;

    /// <summary>A mass as it is weighed, in grams, to the step that the bakery weighs this ingredient to.</summary>
    /// <param name="mass">The exact mass.</param>
    /// <param name="step">Grams, above 0: 5, 0.5; null for what the scale shows.</param>
    public static double GramsOf(Mass mass, double? step) =>
        step is > 0 and { } grams && Math.Round(Math.Round(mass.Grams / grams, MidpointRounding.AwayFromZero) * grams, 6) is > 0 and { } read ? read : GramsOf(mass);

    /// <summary>A mass as it is weighed, in grams.</summary>
    /// <remarks>What is there is never shown as nothing: below what a fine scale shows, thousandths are written, and at least one.</remarks>
    public static double GramsOf(Mass mass) =>
        mass.Grams >= FineBelowGrams ? Math.Round(mass.Grams, MidpointRounding.AwayFromZero)
        : Math.Round(mass.Grams, 1, MidpointRounding.AwayFromZero) is > 0 and { } tenths ? tenths
        : mass.Grams > 0 ? Math.Max(LeastShown, Math.Round(mass.Grams, 3, MidpointRounding.AwayFromZero)) : 0;
}
