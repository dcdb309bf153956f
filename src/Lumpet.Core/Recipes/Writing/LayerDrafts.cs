namespace Lumpet.Core.Recipes.Writing;

/// <summary>Layers as they are written.</summary>
public static class LayerDrafts
{
    /// <summary>A draft in which the first layer of a part has these lines; it is added where there is none yet.</summary>
    /// <param name="draft">The draft.</param>
    /// <param name="part">Which part; neither dough nor packaging.</param>
    /// <param name="lines">One ingredient a line.</param>
    public static ProductDraft With(ProductDraft draft, PartKind part, string? lines)
    {
        var layers = (draft.Layers ?? []).ToList();
        var at = layers.FindIndex(layer => layer is not null && PartOf(layer) == part);
        if (at >= 0) layers[at] = layers[at]! with { Lines = lines };
        else layers.Add(new LayerDraft { Part = Naming.Of(part), Lines = lines });
        return draft with { Layers = layers };
    }

    /// <summary>Layers of a draft with the ids that they have when it is read, as long as none of them is empty.</summary>
    public static IEnumerable<(string Id, LayerDraft Layer)> ById(ProductDraft draft)
    {
        var counts = new Dictionary<PartKind, int>();
        foreach (var layer in (draft.Layers ?? []).OfType<LayerDraft>())
        {
            var part = PartOf(layer) ?? PartKind.Filling;
            var number = counts[part] = counts.GetValueOrDefault(part) + 1;
            yield return (Id(part, number), layer);
        }
    }

    /// <summary>The id of the first, second and so on of the layers of a part.</summary>
    internal static string Id(PartKind part, int number) => number == 1 ? Naming.Of(part) : $"{Naming.Of(part)}-{number}";

    /// <summary>Which part of the pie a layer is said to be; null where the word is none.</summary>
    public static PartKind? PartOf(LayerDraft layer) =>
        string.IsNullOrWhiteSpace(layer.Part) ? PartKind.Filling : Naming.Read<PartKind>(layer.Part) is { } part && IsLayer(part) ? part : null;

    /// <summary>Whether a part of a pie is written as a layer: neither its dough nor what is counted.</summary>
    public static bool IsLayer(PartKind part) => part is not (PartKind.Dough or PartKind.Packaging);
}
