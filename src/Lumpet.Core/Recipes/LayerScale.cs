using Lumpet.Core.Pans;

namespace Lumpet.Core.Recipes;

/// <summary>By how much the layers of a product are multiplied in another pan.</summary>
public static class LayerScale
{
    /// <summary>By how much every line of a layer is multiplied for one pie; not for a layer that fills the room, which depends on all others.</summary>
    /// <param name="layer">The layer.</param>
    /// <param name="product">Its product.</param>
    /// <param name="pan">The pan.</param>
    /// <exception cref="InvalidOperationException">The layer fills the room.</exception>
    public static double Factor(Layer layer, Product product, Pan pan) => layer.Law switch
    {
        LayerLaw.Floor => pan.Lined(product.Crust.Thickness).Bottom.Area / product.ReferencePan.Lined(product.Crust.Thickness).Bottom.Area,
        LayerLaw.Top => TopLikeness(product, pan),
        LayerLaw.Weight => 1,
        LayerLaw.Count => Pieces(layer, product, pan) / (double)layer.Pieces,
        _ => throw new InvalidOperationException($"The layer {layer.Id} fills the room that others leave."),
    };

    /// <summary>Whole pieces of a layer on one pie; 0 where it does not go by the piece.</summary>
    public static int Pieces(Layer layer, Product product, Pan pan) =>
        layer.Law == LayerLaw.Count ? Math.Max(1, (int)Math.Round(layer.Pieces * TopLikeness(product, pan), MidpointRounding.AwayFromZero)) : 0;

    private static double TopLikeness(Product product, Pan pan) => pan.Footprint.Area / product.ReferencePan.Footprint.Area;
}
