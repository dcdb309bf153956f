using Lumpet.Core.Measures;

namespace Lumpet.Core.Pans;

/// <summary>The room inside a pan once it is lined with dough.</summary>
/// <param name="TopDiameter">Diameter between the dough walls, level with the pan's rim.</param>
/// <param name="BottomDiameter">Diameter between the dough walls, on the dough floor.</param>
/// <param name="Depth">From the dough floor to the level of the rim.</param>
public sealed record LinedPan(Length TopDiameter, Length BottomDiameter, Length Depth)
{
    /// <summary>Volume up to the level of the rim.</summary>
    public Volume LevelVolume => Frustum.Volume(TopDiameter, BottomDiameter, Depth);

    /// <summary>
    /// How high a volume stands: level below the rim while it fits, else level with the rim and mounded above it.
    /// The mound is a paraboloid on the top circle: volume is half of base area times height.
    /// </summary>
    /// <param name="filling">The volume of filling, as it packs; at least 0.</param>
    public FillLevel LevelOf(Volume filling)
    {
        var surplus = filling.Millilitres - LevelVolume.Millilitres;
        if (surplus >= 0)
        {
            var mound = 2 * surplus / Area.OfCircle(TopDiameter).SquareCentimetres;
            return new FillLevel(Depth, Length.FromCentimetres(mound));
        }

        // Volume grows with height; halving finds the height to far below a hair's breadth.
        var (low, high) = (0.0, Depth.Centimetres);
        for (var step = 0; step < 60; step++)
        {
            var middle = (low + high) / 2;
            if (VolumeTo(middle) < filling.Millilitres) low = middle;
            else high = middle;
        }

        return new FillLevel(Length.FromCentimetres(low), Length.Zero);
    }

    /// <summary>Volume of a mound of this height on the top circle.</summary>
    public Volume MoundVolume(Length height) =>
        Volume.FromMillilitres(Area.OfCircle(TopDiameter).SquareCentimetres * height.Centimetres / 2);

    private double VolumeTo(double height)
    {
        var share = height / Depth.Centimetres;
        var diameter = BottomDiameter + ((TopDiameter - BottomDiameter) * share);
        return Frustum.Volume(diameter, BottomDiameter, Length.FromCentimetres(height)).Millilitres;
    }
}

/// <summary>How high a filling stands in a lined pan.</summary>
/// <param name="Height">From the dough floor to the filling's edge; at most the lined depth.</param>
/// <param name="Mound">From the rim to the top of the mound; 0 where the filling lies level or below.</param>
public sealed record FillLevel(Length Height, Length Mound);
