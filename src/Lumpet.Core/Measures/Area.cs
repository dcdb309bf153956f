namespace Lumpet.Core.Measures;

/// <summary>An area, in square centimetres.</summary>
public readonly record struct Area
{
    private Area(double squareCentimetres) => SquareCentimetres = squareCentimetres;

    /// <summary>The area in square centimetres.</summary>
    public double SquareCentimetres { get; }

    /// <summary>An area of so many square centimetres.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The number is not finite.</exception>
    public static Area FromSquareCentimetres(double squareCentimetres) =>
        new(Finite.Required(squareCentimetres, nameof(squareCentimetres)));

    /// <summary>The area of a circle of this diameter.</summary>
    public static Area OfCircle(Length diameter) =>
        FromSquareCentimetres(Math.PI / 4 * diameter.Centimetres * diameter.Centimetres);

    /// <summary>The volume of a sheet of this area and thickness.</summary>
    public static Volume operator *(Area area, Length thickness) =>
        Volume.FromMillilitres(area.SquareCentimetres * thickness.Centimetres);

    /// <summary>The sum of two areas.</summary>
    public static Area operator +(Area left, Area right) => FromSquareCentimetres(left.SquareCentimetres + right.SquareCentimetres);

    /// <summary>So many times an area.</summary>
    public static Area operator *(Area area, double times) => FromSquareCentimetres(area.SquareCentimetres * times);

    /// <summary>How many times the right area goes into the left one.</summary>
    public static double operator /(Area left, Area right) => left.SquareCentimetres / right.SquareCentimetres;
}
