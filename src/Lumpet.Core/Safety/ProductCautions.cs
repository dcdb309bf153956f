using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.Safety;

/// <summary>What can hurt about a product, beside what its steps say. Every one defers to local codes and licensed practice.</summary>
public static class ProductCautions
{
    /// <summary>Sentences for the screen and the sheet.</summary>
    public static IReadOnlyList<string> Of(Product product)
    {
        var said = new List<string>();
        string[] raw = [.. product.AllLines.Where(line => line.Ingredient.Facts.UnsafeRaw).Select(line => line.Ingredient.Name).Distinct()];
        if (raw.Length > 0) said.Add($"Do not taste raw: {string.Join(", ", raw)} can carry pathogens.");
        if (product.Filling.Lines.Concat(product.Topping).Any(line => line.Ingredient.Facts.Role == IngredientRole.Egg))
            said.Add("Egg fillings and toppings reach 71 C in the middle (USDA FSIS).");
        if (product.Alcohol.Count > 0) said.Add($"Contains alcohol: {string.Join(", ", product.Alcohol)}. Spirits are added off the flame; what of it bakes out is not all of it.");
        if (CoolingClasses.IsKeptCold(product.Cooling))
            said.Add("Cooled from 57 C to 21 C within 2 h and to 5 C within 6 h in all, then kept at 5 C or below (FDA Food Code 3-501.14 and 3-501.16).");
        if (said.Count > 0) said.Add("Local codes and licensed practice decide.");
        return said;
    }
}
