namespace Lumpet.Core.Measures;

/// <summary>Keeps infinities and not-a-numbers out of the measures.</summary>
internal static class Finite
{
    /// <summary>The number itself, if it is finite.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The number is infinite or not a number.</exception>
    public static double Required(double number, string name) =>
        double.IsFinite(number) ? number : throw new ArgumentOutOfRangeException(name, number, "A measure must be a finite number.");
}
