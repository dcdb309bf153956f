using Lumpet.Core.Measures;
using Lumpet.Core.Pans;

namespace Lumpet.Core.Recipes;

/// <summary>
/// How the fillings of one pan follow from those of the reference pan. The written amounts say how full the reference pan
/// is: the share of the lined pan they fill and the mound above it. Other pans keep that share, and a mound whose height
/// goes with the pan's diameter, or its shorter side. Layers with a law of their own take their room first; those that fill
/// the room share what is left in the proportions in which they are written.
/// </summary>
/// <param name="LevelShare">Share of the lined pan that is filled below the rim, from 0 to 1.</param>
/// <param name="Written">Room the written amounts take in the reference pan.</param>
/// <param name="Room">Room the fillings take in the chosen pan.</param>
/// <param name="RoomFactor">By how much every line of a filling that fills the room is multiplied for one pie.</param>
/// <param name="Lined">The chosen pan, lined.</param>
/// <param name="Level">How high the uppermost filling stands in the chosen pan.</param>
/// <param name="Moved">How far its middle moves in the bake: the reference pan's change, in step with the diameter.</param>
public sealed record FillingScale(
    double LevelShare, Volume Written, Volume Room, double RoomFactor, LinedPan Lined, FillLevel Level, Length Moved)
{
    /// <summary>Filling of one pie over the filling of one in the reference pan, by room.</summary>
    public double Factor => Room / Written;

    /// <summary>Scales the fillings from the product's reference pan to another.</summary>
    /// <exception cref="ArgumentException">What does not fill the room takes all of it in this pan.</exception>
    public static FillingScale For(Product product, Pan pan)
    {
        var (reference, lined) = (product.ReferencePan.Lined(product.Crust.Thickness), pan.Lined(product.Crust.Thickness));
        Layer[] fillings = [.. product.Fillings];
        var written = Volume.FromMillilitres(fillings.Sum(layer => layer.Room.Millilitres));
        var levelShare = Math.Min(1, written / reference.LevelVolume);
        var likeness = lined.Top.Width / reference.Top.Width;

        double Taken(Pan into) => fillings.Where(layer => layer.Law != LayerLaw.Room).Sum(layer => layer.Room.Millilitres * LayerScale.Factor(layer, product, into));
        var filling = fillings.Where(layer => layer.Law == LayerLaw.Room).Sum(layer => layer.Room.Millilitres);
        var kept = (lined.LevelVolume * levelShare) + lined.MoundVolume(reference.LevelOf(written).Mound * likeness);
        var taken = Taken(pan);
        if (filling > 0 && taken >= kept.Millilitres)
            throw new ArgumentException(FormattableString.Invariant($"its other layers take {taken:0} ml, and filled as in the {product.ReferencePan.Name} pan it holds {kept.Millilitres:0} ml"));
        var room = filling > 0 ? kept : Volume.FromMillilitres(taken);
        return new FillingScale(
            levelShare, written, room, filling > 0 ? (kept.Millilitres - taken) / filling : 1, lined, lined.LevelOf(room), product.BakeChange * likeness);
    }
}
