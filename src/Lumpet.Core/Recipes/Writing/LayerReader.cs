using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;

namespace Lumpet.Core.Recipes.Writing;

/// <summary>Reads the layers of a written product.</summary>
internal static class LayerReader
{
    private const int MostLayers = 12;
    private const int MostPieces = 200;

    /// <summary>Reads layers; what is wrong is a fault at "layers", or at a field of "layers[3]".</summary>
    /// <param name="checks">Takes the faults.</param>
    /// <param name="names">What the bakery knows.</param>
    /// <param name="drafts">As written. One of which nothing is written is passed over, unless it is the only filling.</param>
    /// <param name="top">What lies on the filling; crumble and meringue are layers of their own.</param>
    public static IReadOnlyList<Layer> Read(FieldChecks checks, IngredientNames names, IReadOnlyList<LayerDraft?>? drafts, Top top)
    {
        var layers = new List<Layer>();
        foreach (var (draft, at) in checks.List("layers", drafts, 1, MostLayers, "layers").Select((draft, at) => (draft, at)))
            if (Read(checks, names, draft, $"layers[{at}]", layers, drafts!) is { } layer)
                layers.Add(layer);

        if (layers.All(layer => layer.Kind != PartKind.Filling) && checks.Faults.All(fault => !fault.Field.StartsWith("layers", StringComparison.Ordinal)))
            checks.Add("layers", "A filling is missing.");
        if (top is Top.Crumble or Top.Meringue && layers.All(layer => layer.Kind != PartKind.Topping))
            checks.Add("layers", $"Under {(top == Top.Crumble ? "crumble" : "meringue")} a topping is needed, with its lines.");
        return layers;
    }

    /// <summary>A layer as it would be written.</summary>
    public static LayerDraft Write(Layer layer) => new()
    {
        Part = Naming.Of(layer.Kind),
        Name = layer.Name.Length == 0 ? null : layer.Name,
        Law = Naming.Of(layer.Law),
        Lines = string.Join('\n', layer.Lines.Select(RecipeLineReader.Write)),
        FillingKind = layer.Kind == PartKind.Filling ? Naming.Of(layer.Filling) : null,
        PackedDensity = layer.Kind == PartKind.Filling ? layer.PackedDensity.GramsPerMillilitre : null,
        KeptPercent = Math.Round(layer.KeptShare * 100, 6),
        ReducedPercent = layer.ReducedTo < 1 ? Math.Round(layer.ReducedTo * 100, 6) : null,
        Pieces = layer.Law == LayerLaw.Count ? layer.Pieces : null,
    };

    private static Layer? Read(FieldChecks checks, IngredientNames names, LayerDraft draft, string path, List<Layer> before, IReadOnlyList<LayerDraft?> all)
    {
        if (LayerDrafts.PartOf(draft) is not { } part)
        {
            checks.Add($"{path}.part", $"This is one of {string.Join(", ", Enum.GetValues<PartKind>().Where(LayerDrafts.IsLayer).Select(Naming.Of))}.");
            return null;
        }

        var isOnlyFilling = part == PartKind.Filling && all.OfType<LayerDraft>().Count(other => LayerDrafts.PartOf(other) == PartKind.Filling) == 1;
        if (string.IsNullOrWhiteSpace(draft.Lines) && string.IsNullOrWhiteSpace(draft.Name) && !isOnlyFilling) return null;

        var isFilling = part == PartKind.Filling;
        var law = checks.Word($"{path}.law", draft.Law, Layer.UsualLaw(part));
        if (law == LayerLaw.Room && !isFilling) checks.Add($"{path}.law", "Only a filling fills the room in the crust.");
        if (law == LayerLaw.Floor && part is PartKind.Beside) checks.Add($"{path}.law", "What is served beside lies on no floor.");
        var number = before.Count(layer => layer.Kind == part) + 1;
        var lines = names.Lines(checks, $"{path}.lines", draft.Lines, least: 1);
        var reducedTo = checks.Number($"{path}.reducedPercent", draft.ReducedPercent ?? 100, 10, 100, "%") / 100;
        IngredientReader.CanBoilAway(checks, $"{path}.reducedPercent", lines, reducedTo);
        return new Layer(LayerDrafts.Id(part, number), part, law, lines)
        {
            ReducedTo = reducedTo,
            Name = checks.Words($"{path}.name", draft.Name, 60),
            Filling = isFilling ? checks.Word($"{path}.fillingKind", draft.FillingKind, FillingKind.RawFruit) : default,
            PackedDensity = Density.FromGramsPerMillilitre(isFilling ? checks.Number($"{path}.packedDensity", draft.PackedDensity, 0.2, 1.6, "g/ml") : 1),
            KeptShare = checks.Number($"{path}.keptPercent", draft.KeptPercent ?? 100, 10, 100, "%") / 100,
            Pieces = law == LayerLaw.Count ? checks.Whole($"{path}.pieces", draft.Pieces, 1, MostPieces, "pieces") : 0,
        };
    }
}
