using Lumpet.Core.Measures;
using Lumpet.Core.Pans;

namespace Lumpet.Core.Recipes;

/// <summary>Sizes the dough of one pie from its pan.</summary>
public static class DoughPieces
{
    /// <summary>
    /// The pieces of one pie: the base, then lid or lattice.
    /// The base covers floor, both walls, rim and overhang; a lid follows the mound from rim to rim.
    /// </summary>
    /// <param name="crust">How it is cut.</param>
    /// <param name="density">Of the dough.</param>
    /// <param name="pan">The pan it is cut for.</param>
    /// <param name="mound">Height of the filling above the rim; at least 0.</param>
    public static IReadOnlyList<DoughPiece> For(Crust crust, Density density, Pan pan, Length mound)
    {
        var basePiece = Round("base", BaseDiameter(crust, pan), crust, density);
        return crust.Top switch
        {
            Top.Lid => [basePiece, Round("lid", LidDiameter(crust, pan, mound), crust, density)],
            Top.Lattice => [basePiece, Lattice(crust, density, pan)],
            _ => [basePiece],
        };
    }

    /// <summary>Floor, up both walls, over the rim, plus the overhang on both sides.</summary>
    public static Length BaseDiameter(Crust crust, Pan pan) =>
        pan.BottomDiameter + (pan.SlantHeight * 2) + ((pan.RimWidth + crust.BaseOverhang) * 2);

    /// <summary>The way over the mound, plus rim and overhang on both sides.</summary>
    public static Length LidDiameter(Crust crust, Pan pan, Length mound) =>
        ParabolaArc(pan.TopDiameter, mound) + ((pan.RimWidth + crust.TopOverhang) * 2);

    /// <summary>
    /// Length of a parabola over a chord: with u = 4 height / chord,
    /// chord / 2 * (sqrt(1 + u^2) + asinh(u) / u) (calculus; closed form of the arc-length integral).
    /// </summary>
    public static Length ParabolaArc(Length chord, Length height)
    {
        var u = 4 * height.Centimetres / chord.Centimetres;
        if (u < 1e-9) return chord;
        return chord * ((Math.Sqrt(1 + (u * u)) + (Math.Asinh(u) / u)) / 2);
    }

    private static DoughPiece Round(string name, Length diameter, Crust crust, Density density) =>
        Piece(name, diameter, [], Length.Zero, Area.OfCircle(diameter), crust, density);

    /// <summary>
    /// As many strips as fit side by side across the rim's outer edge, set symmetrically, both ways; each as long as
    /// the circle is where it lies, plus the overhang at both ends.
    /// </summary>
    private static DoughPiece Lattice(Crust crust, Density density, Pan pan)
    {
        var span = (pan.TopDiameter + (pan.RimWidth * 2)).Centimetres;
        var pitch = (crust.StripWidth + crust.StripGap).Centimetres;
        var each = (int)Math.Floor((span + crust.StripGap.Centimetres) / pitch);
        var oneWay = Enumerable.Range(0, each).Select(index =>
        {
            var fromMiddle = (index - ((each - 1) / 2.0)) * pitch;
            var chord = 2 * Math.Sqrt(Math.Max(0, (span * span / 4) - (fromMiddle * fromMiddle)));
            return Length.FromCentimetres(chord) + (crust.TopOverhang * 2);
        }).ToArray();
        var strips = oneWay.Concat(oneWay).ToArray();
        var area = Area.FromSquareCentimetres(strips.Sum(strip => strip.Centimetres) * crust.StripWidth.Centimetres);
        return Piece("lattice", Length.FromCentimetres(span), strips, crust.StripWidth, area, crust, density);
    }

    private static DoughPiece Piece(
        string name, Length diameter, IReadOnlyList<Length> strips, Length width, Area area, Crust crust, Density density)
    {
        var mass = area * crust.Thickness * density;
        return new DoughPiece(name, diameter, strips, width, area, mass, mass / (1 - crust.TrimShare));
    }
}
