using Lumpet.Core.Measures;
using Lumpet.Core.Pans;

namespace Lumpet.Core.Recipes;

/// <summary>
/// How the filling of one pan follows from that of the reference pan. The written amount says how full the reference
/// pan is: the share of the lined pan it fills and the mound above it. Other pans keep that share, and a mound whose
/// height goes with the pan's diameter, or its shorter side.
/// </summary>
/// <param name="LevelShare">Share of the lined pan that is filled below the rim, from 0 to 1.</param>
/// <param name="Written">Room the written amount takes in the reference pan.</param>
/// <param name="Room">Room the filling takes in the chosen pan.</param>
/// <param name="Lined">The chosen pan, lined.</param>
/// <param name="Level">How high the filling stands in the chosen pan.</param>
/// <param name="Moved">How far its middle moves in the bake: the reference pan's change, in step with the diameter.</param>
public sealed record FillingScale(
    double LevelShare, Volume Written, Volume Room, LinedPan Lined, FillLevel Level, Length Moved)
{
    /// <summary>By how much every line of the filling is multiplied for one pie.</summary>
    public double Factor => Room / Written;

    /// <summary>Scales a filling from the product's reference pan to another.</summary>
    public static FillingScale For(Product product, Pan pan)
    {
        var reference = product.ReferencePan.Lined(product.Crust.Thickness);
        var written = product.Filling.InPan / product.Filling.PackedDensity;
        var mound = reference.LevelOf(written).Mound;
        var levelShare = Math.Min(1, written / reference.LevelVolume);

        var lined = pan.Lined(product.Crust.Thickness);
        var likeness = lined.Top.Width / reference.Top.Width;
        var room = (lined.LevelVolume * levelShare) + lined.MoundVolume(mound * likeness);
        return new FillingScale(
            levelShare, written, room, lined, lined.LevelOf(room), product.Filling.BakeChange * likeness);
    }
}
