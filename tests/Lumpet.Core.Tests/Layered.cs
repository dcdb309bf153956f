using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Writing;

namespace Lumpet.Core.Tests;

/// <summary>Products and drafts with other layers.</summary>
internal static class Layered
{
    /// <summary>A filling that fills the room.</summary>
    public static Layer Filling(RecipeLine[] lines, double density, FillingKind kind = FillingKind.RawFruit) =>
        new("filling", PartKind.Filling, LayerLaw.Room, lines) { PackedDensity = Density.FromGramsPerMillilitre(density), Filling = kind };

    /// <summary>A product whose one filling has these lines.</summary>
    public static Product Filled(this Product product, params RecipeLine[] lines) => product.Filling(filling => filling with { Lines = lines });

    /// <summary>A product whose one filling is another.</summary>
    public static Product Filling(this Product product, Func<Layer, Layer> change) =>
        product with { Layers = [.. product.Layers.Select(layer => layer.Kind == PartKind.Filling ? change(layer) : layer)] };

    /// <summary>A product with this topping, or none.</summary>
    public static Product Topped(this Product product, params RecipeLine[] lines) => product.Of(PartKind.Topping, lines);

    /// <summary>A product with this finish, or none.</summary>
    public static Product Finished(this Product product, params RecipeLine[] lines) => product.Of(PartKind.Finish, lines);

    /// <summary>A product with this layer in place of the others of its part.</summary>
    public static Product Of(this Product product, PartKind part, RecipeLine[] lines) => product with
    {
        Layers = [.. product.Layers.Where(layer => layer.Kind != part), .. lines.Length == 0 ? Array.Empty<Layer>() : [new Layer(Naming.Of(part), part, LayerLaw.Top, lines)]],
    };

    /// <summary>A draft whose filling has these lines.</summary>
    public static ProductDraft Filled(this ProductDraft draft, string? lines) => LayerDrafts.With(draft, PartKind.Filling, lines);

    /// <summary>A draft whose topping has these lines.</summary>
    public static ProductDraft Topped(this ProductDraft draft, string? lines) => LayerDrafts.With(draft, PartKind.Topping, lines);

    /// <summary>A draft whose finish has these lines.</summary>
    public static ProductDraft Finished(this ProductDraft draft, string? lines) => LayerDrafts.With(draft, PartKind.Finish, lines);

    /// <summary>A draft whose first layer is changed.</summary>
    public static ProductDraft First(this ProductDraft draft, Func<LayerDraft, LayerDraft> change) => draft with { Layers = [change(draft.Layers![0]!), .. draft.Layers.Skip(1)] };
}
