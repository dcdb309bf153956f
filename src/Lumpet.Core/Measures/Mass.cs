namespace Lumpet.Core.Measures;

/// <summary>A mass. Held in grams, unrounded; rounding is for the scale and for the eye, and comes last.</summary>
public readonly record struct Mass : IComparable<Mass>
{
    private Mass(double grams) => Grams = grams;

    /// <summary>No mass at all.</summary>
    public static Mass Zero => default;

    /// <summary>The mass in grams.</summary>
    public double Grams { get; }

    /// <summary>The mass in kilograms.</summary>
    public double Kilograms => Grams / 1000;

    /// <summary>A mass of so many grams.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The number is not finite.</exception>
    public static Mass FromGrams(double grams) => new(Finite.Required(grams, nameof(grams)));

    /// <summary>A mass of so many kilograms (1000 g).</summary>
    public static Mass FromKilograms(double kilograms) => FromGrams(kilograms * 1000);

    /// <summary>The sum of two masses.</summary>
    public static Mass operator +(Mass left, Mass right) => FromGrams(left.Grams + right.Grams);

    /// <summary>The difference of two masses; it may be below zero, for what is missing.</summary>
    public static Mass operator -(Mass left, Mass right) => FromGrams(left.Grams - right.Grams);

    /// <summary>A mass scaled by a factor.</summary>
    public static Mass operator *(Mass mass, double factor) => FromGrams(mass.Grams * factor);

    /// <summary>A mass divided by a divisor other than zero.</summary>
    public static Mass operator /(Mass mass, double divisor) => FromGrams(mass.Grams / divisor);

    /// <summary>How many times the right mass goes into the left one.</summary>
    public static double operator /(Mass left, Mass right) => left.Grams / right.Grams;

    /// <summary>Whether the left mass is the smaller one.</summary>
    public static bool operator <(Mass left, Mass right) => left.Grams < right.Grams;

    /// <summary>Whether the left mass is the larger one.</summary>
    public static bool operator >(Mass left, Mass right) => left.Grams > right.Grams;

    /// <summary>Whether the left mass is not larger.</summary>
    public static bool operator <=(Mass left, Mass right) => left.Grams <= right.Grams;

    /// <summary>Whether the left mass is not smaller.</summary>
    public static bool operator >=(Mass left, Mass right) => left.Grams >= right.Grams;

    /// <inheritdoc/>
    public int CompareTo(Mass other) => Grams.CompareTo(other.Grams);
}
