using Lumpet.Core.Measures;

namespace Lumpet.Core.Pans;

/// <summary>A round pan with sloped or straight walls: a frustum, wider at the top or equal.</summary>
/// <param name="Id">Short name used in order lines, for example "23".</param>
/// <param name="Name">The name shown, for example "23 cm pie pan".</param>
/// <param name="TopDiameter">Inner diameter at the upper edge of the wall, without the rim.</param>
/// <param name="BottomDiameter">Inner diameter of the floor; not above the top diameter.</param>
/// <param name="Depth">Inner height from floor to rim.</param>
/// <param name="RimWidth">Width of the flat rim on one side.</param>
/// <param name="PerTray">How many of these pans stand on one tray, measured by their outer footprint; at least 1.</param>
public sealed record Pan(
    string Id, string Name, Length TopDiameter, Length BottomDiameter, Length Depth, Length RimWidth, int PerTray)
{
    /// <summary>Brimful volume of the empty pan: pi h / 12 (D^2 + D d + d^2).</summary>
    public Volume BrimfulVolume => Frustum.Volume(TopDiameter, BottomDiameter, Depth);

    /// <summary>Height of the wall along its slope.</summary>
    public Length SlantHeight
    {
        get
        {
            var run = (TopDiameter.Centimetres - BottomDiameter.Centimetres) / 2;
            return Length.FromCentimetres(Math.Sqrt((Depth.Centimetres * Depth.Centimetres) + (run * run)));
        }
    }

    /// <summary>The space left inside a lining of dough of even thickness, measured square to floor and wall.</summary>
    /// <param name="thickness">Thickness of the rolled dough; at least 0.</param>
    /// <exception cref="ArgumentOutOfRangeException">The dough would fill the pan.</exception>
    public LinedPan Lined(Length thickness)
    {
        var slope = (TopDiameter.Centimetres - BottomDiameter.Centimetres) / 2 / Depth.Centimetres;
        var sideways = thickness.Centimetres * Math.Sqrt(1 + (slope * slope));
        var bottom = BottomDiameter.Centimetres + (2 * ((slope * thickness.Centimetres) - sideways));
        var top = TopDiameter.Centimetres - (2 * sideways);
        var depth = Depth.Centimetres - thickness.Centimetres;
        if (thickness < Length.Zero || bottom <= 0 || depth <= 0)
            throw new ArgumentOutOfRangeException(nameof(thickness), thickness.Centimetres, "The lining leaves no room in the pan.");
        return new LinedPan(Length.FromCentimetres(top), Length.FromCentimetres(bottom), Length.FromCentimetres(depth));
    }
}
