namespace Lumpet.Core.Measures;

/// <summary>A length. Held in centimetres.</summary>
public readonly record struct Length : IComparable<Length>
{
    private Length(double centimetres) => Centimetres = centimetres;

    /// <summary>No length.</summary>
    public static Length Zero => default;

    /// <summary>The length in centimetres.</summary>
    public double Centimetres { get; }

    /// <summary>The length in millimetres.</summary>
    public double Millimetres => Centimetres * 10;

    /// <summary>A length of so many centimetres.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The number is not finite.</exception>
    public static Length FromCentimetres(double centimetres) => new(Finite.Required(centimetres, nameof(centimetres)));

    /// <summary>A length of so many millimetres.</summary>
    public static Length FromMillimetres(double millimetres) => FromCentimetres(millimetres / 10);

    /// <summary>The sum of two lengths.</summary>
    public static Length operator +(Length left, Length right) => FromCentimetres(left.Centimetres + right.Centimetres);

    /// <summary>The difference of two lengths.</summary>
    public static Length operator -(Length left, Length right) => FromCentimetres(left.Centimetres - right.Centimetres);

    /// <summary>A length scaled by a factor.</summary>
    public static Length operator *(Length length, double factor) => FromCentimetres(length.Centimetres * factor);

    /// <summary>A part of a length.</summary>
    public static Length operator /(Length length, double divisor) => FromCentimetres(length.Centimetres / divisor);

    /// <summary>The area of a strip of this length and width.</summary>
    public static Area operator *(Length length, Length width) => Area.FromSquareCentimetres(length.Centimetres * width.Centimetres);

    /// <summary>How many times the right length goes into the left one.</summary>
    public static double operator /(Length left, Length right) => left.Centimetres / right.Centimetres;

    /// <inheritdoc/>
    public int CompareTo(Length other) => Centimetres.CompareTo(other.Centimetres);

    /// <summary>Whether the left length is the smaller one.</summary>
    public static bool operator <(Length left, Length right) => left.Centimetres < right.Centimetres;

    /// <summary>Whether the left length is the larger one.</summary>
    public static bool operator >(Length left, Length right) => left.Centimetres > right.Centimetres;

    /// <summary>Whether the left length is not larger.</summary>
    public static bool operator <=(Length left, Length right) => left.Centimetres <= right.Centimetres;

    /// <summary>Whether the left length is not smaller.</summary>
    public static bool operator >=(Length left, Length right) => left.Centimetres >= right.Centimetres;
}
