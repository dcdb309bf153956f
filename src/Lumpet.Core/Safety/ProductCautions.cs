using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.Safety;

/// <summary>What can hurt about a product, beside what its steps say. Every one defers to local codes and licensed practice.</summary>
public static class ProductCautions
{
    /// <summary>What stands beside every rule of safety.</summary>
    public const string Decide = "Local codes and licensed practice decide.";

    /// <summary>Sentences for the screen and the sheet.</summary>
    public static IReadOnlyList<string> Of(Product product)
    {
        var said = new List<string>();
        if (Raw(product.AllLines) is { } raw) said.Add(raw);
        if (HasEgg(product)) said.Add("Egg fillings and toppings reach 71 °C in the middle (USDA FSIS).");
        if (product.Alcohol.Count > 0) said.Add($"Contains alcohol: {string.Join("; ", product.Alcohol)}. Spirits are added off the flame; what of it bakes out is not all of it.");
        if (TimeAndTemperature.Needs(product) is { Count: > 0 } needs)
            said.Add($"Needs time and temperature control for its {string.Join("; ", needs)}. {(TimeAndTemperature.Left(product).Count == 0 ? TimeAndTemperature.Rule : Assessed(product))}");
        said.AddRange(product.Layers.Where(layer => layer.Kind == PartKind.Beside).SelectMany(Beside));
        if (ThermalShock.Pans(product) is { Count: > 0 } pans) said.Add($"{string.Join("; ", pans.Select(pan => pan.Name))}: glass or earthenware may crack when it goes from the freezer into a hot oven; this bakery has accepted that.");
        if (said.Count > 0) said.Add(Decide);
        return said;
    }

    /// <summary>Whether its filling or topping holds egg.</summary>
    internal static bool HasEgg(Product product) =>
        product.Parts.Where(part => part.Kind is PartKind.Filling or PartKind.Topping).SelectMany(part => part.Lines).Any(line => IsEgg(line.Ingredient));

    /// <summary>Whether an ingredient is egg, or is made of some.</summary>
    internal static bool IsEgg(Ingredient ingredient) => ingredient.Facts.Role == IngredientRole.Egg || ingredient.Formula?.Everything.Any(inner => inner.Facts.Role == IngredientRole.Egg) == true;

    /// <summary>What of some lines is not to be tasted raw; null where there is nothing.</summary>
    public static string? Raw(IEnumerable<RecipeLine> lines)
    {
        string[] raw = [.. lines.Where(line => line.Ingredient.Facts.UnsafeRaw).Select(line => line.Ingredient.Name).Distinct()];
        return raw.Length == 0 ? null : $"Do not taste raw: {string.Join("; ", raw)} can carry pathogens.";
    }

    /// <summary>What is served beside is never baked with the pie, and waits for the hand-over by itself.</summary>
    private static IEnumerable<string> Beside(Layer layer)
    {
        var name = layer.Name.Length > 0 ? layer.Name : "What is served beside it";
        if (layer.Lines.Any(line => IsEgg(line.Ingredient))) yield return $"{name}: its egg reaches 71 °C (USDA FSIS) on the stove.";
        if (layer.Lines.Any(line => line.Ingredient.Facts.NeedsControl)) yield return $"{name}: kept at 5 °C or below until it is handed over (FDA Food Code 3-501.16).";
    }

    private static string Assessed(Product product) => product.Assessment.Length > 0
        ? $"Its steps leave the cold by this bakery's own assessment: {product.Assessment.TrimEnd('.')}."
        : $"Its steps leave the cold and nothing was assessed. {TimeAndTemperature.Rule}";
}
