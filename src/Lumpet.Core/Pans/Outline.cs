using Lumpet.Core.Measures;

namespace Lumpet.Core.Pans;

/// <summary>A circle or a rectangle, as of a pan's floor, its rim or a piece of dough.</summary>
/// <param name="IsRound">Whether it is a circle.</param>
/// <param name="Length">The longer side, or the diameter.</param>
/// <param name="Width">The other side; the diameter again of a circle.</param>
public sealed record Outline(bool IsRound, Length Length, Length Width)
{
    /// <summary>A circle.</summary>
    public static Outline Circle(Length diameter) => new(true, diameter, diameter);

    /// <summary>A rectangle.</summary>
    public static Outline Rectangle(Length length, Length width) => new(false, length, width);

    /// <summary>Its area.</summary>
    public Area Area => IsRound ? Area.OfCircle(Width) : Area.FromSquareCentimetres(Length.Centimetres * Width.Centimetres);

    /// <summary>The way round it.</summary>
    public Length Perimeter => IsRound ? Width * Math.PI : (Length + Width) * 2;

    /// <summary>The outline with so much added on every side; less where it is below 0.</summary>
    public Outline Widened(Length each) => Widened(each, each);

    /// <summary>The outline with so much added at both ends of its length, and at both ends of its width.</summary>
    public Outline Widened(Length alongLength, Length alongWidth) => this with { Length = Length + (alongLength * 2), Width = Width + (alongWidth * 2) };

    /// <summary>The outline between this one (0) and another (1).</summary>
    public Outline Between(Outline other, double share) => this with
    {
        Length = Length + ((other.Length - Length) * share),
        Width = Width + ((other.Width - Width) * share),
    };

    /// <summary>
    /// Volume between two outlines, one above the other: h / 6 (A1 + 4 Am + A2), exact for a frustum of a cone, for which
    /// it is pi h / 12 (D^2 + D d + d^2), and for a box with sloped walls (prismoidal formula, geometry textbooks).
    /// </summary>
    public static Volume VolumeBetween(Outline top, Outline bottom, Length depth) => Volume.FromMillilitres(
        depth.Centimetres / 6 * (top.Area.SquareCentimetres + (4 * bottom.Between(top, 0.5).Area.SquareCentimetres) + bottom.Area.SquareCentimetres));
}
