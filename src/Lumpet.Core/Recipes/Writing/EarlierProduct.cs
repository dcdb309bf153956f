namespace Lumpet.Core.Recipes.Writing;

/// <summary>
/// What a product said of its one filling, its topping and its finish before it had layers. Versions that were kept then,
/// library files of format 1 and recipes that were written out then still say it; each is read beside the rest of its draft
/// and becomes layers. Nothing of what was written is lost: docs/formats/library.md tells how.
/// </summary>
/// <param name="Filling">One ingredient a line.</param>
/// <param name="FillingKind">Kind of filling.</param>
/// <param name="PackedDensity">Grams per millilitre of the filling as packed.</param>
/// <param name="KeptPercent">What of the weighed filling goes into the pan.</param>
/// <param name="Topping">One ingredient a line.</param>
/// <param name="Finish">One ingredient a line.</param>
public sealed record EarlierProduct(string? Filling, string? FillingKind, double? PackedDensity, double? KeptPercent, string? Topping, string? Finish)
{
    /// <summary>A draft with its layers; as it is where it has some.</summary>
    public static ProductDraft? Upgraded(ProductDraft? draft, EarlierProduct? earlier) =>
        draft is null || earlier is null || draft.Layers is not null ? draft : draft with { Layers = [.. earlier.Layers()] };

    private IEnumerable<LayerDraft> Layers()
    {
        yield return new LayerDraft { Part = Naming.Of(PartKind.Filling), Law = Naming.Of(LayerLaw.Room), Lines = Filling, FillingKind = FillingKind, PackedDensity = PackedDensity, KeptPercent = KeptPercent };
        if (!string.IsNullOrWhiteSpace(Topping)) yield return Other(PartKind.Topping, Topping);
        if (!string.IsNullOrWhiteSpace(Finish)) yield return Other(PartKind.Finish, Finish);
    }

    private static LayerDraft Other(PartKind part, string lines) => new() { Part = Naming.Of(part), Law = Naming.Of(LayerLaw.Top), Lines = lines, KeptPercent = 100 };
}
