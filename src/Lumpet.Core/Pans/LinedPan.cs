using Lumpet.Core.Measures;

namespace Lumpet.Core.Pans;

/// <summary>The room inside a pan once it is lined with dough.</summary>
/// <param name="Top">Outline between the dough walls, level with the pan's rim.</param>
/// <param name="Bottom">Outline between the dough walls, on the dough floor.</param>
/// <param name="Depth">From the dough floor to the level of the rim.</param>
public sealed record LinedPan(Outline Top, Outline Bottom, Length Depth)
{
    // A mound on a circle is a paraboloid: half of base area times height. On a rectangle it is a parabola both ways,
    // h (1 - (2x/l)^2) (1 - (2y/w)^2), whose mean height is 2/3 times 2/3 (calculus).
    private double MoundShare => Top.IsRound ? 1 / 2.0 : 4 / 9.0;

    /// <summary>Volume up to the level of the rim.</summary>
    public Volume LevelVolume => Outline.VolumeBetween(Top, Bottom, Depth);

    /// <summary>How high a volume stands: level below the rim while it fits, else level with the rim and mounded above it.</summary>
    /// <param name="filling">The volume of filling, as it packs; at least 0.</param>
    public FillLevel LevelOf(Volume filling)
    {
        var surplus = filling.Millilitres - LevelVolume.Millilitres;
        if (surplus >= 0)
            return new FillLevel(Depth, Length.FromCentimetres(surplus / MoundShare / Top.Area.SquareCentimetres));

        // Volume grows with height; halving finds the height to far below a hair's breadth.
        var (low, high) = (0.0, 1.0);
        for (var step = 0; step < 60; step++)
        {
            var middle = (low + high) / 2;
            if (VolumeTo(middle).Millilitres < filling.Millilitres) low = middle;
            else high = middle;
        }

        return new FillLevel(Depth * low, Length.Zero);
    }

    /// <summary>Volume up to a height above the dough floor; at most the lined depth.</summary>
    public Volume VolumeUpTo(Length height) => VolumeTo(Math.Clamp(height / Depth, 0, 1));

    /// <summary>Volume of a mound of this height on the top.</summary>
    public Volume MoundVolume(Length height) => Top.Area * height * MoundShare;

    /// <summary>The outline at the level of a filling.</summary>
    public Outline At(Length height) => Bottom.Between(Top, height / Depth);

    private Volume VolumeTo(double share) => Outline.VolumeBetween(Bottom.Between(Top, share), Bottom, Depth * share);
}

/// <summary>How high a filling stands in a lined pan.</summary>
/// <param name="Height">From the dough floor to the filling's edge; at most the lined depth.</param>
/// <param name="Mound">From the rim to the top of the mound; 0 where the filling lies level or below.</param>
public sealed record FillLevel(Length Height, Length Mound);
