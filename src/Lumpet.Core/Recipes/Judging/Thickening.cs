using Lumpet.Core.Ingredients;

namespace Lumpet.Core.Recipes.Judging;

/// <summary>How a filling is thickened. All in grams of corn starch or what thickens like it.</summary>
/// <param name="CornStarchGrams">What its thickeners come to.</param>
/// <param name="PerKilogram">On a kilogram of fruit, or on a litre of liquid.</param>
/// <param name="Of">"fruit" or "liquid".</param>
/// <param name="Least">The least that is usual, per kilogram.</param>
/// <param name="Most">The most that is usual.</param>
/// <param name="Expect">What to expect where it lies outside; empty where it is usual.</param>
public sealed record Thickening(double CornStarchGrams, double PerKilogram, string Of, double Least, double Most, string Expect)
{
    // Flour thickens about half as well (common practice, no source).
    private const double FlourStrength = 0.5;

    /// <summary>The same thickening with another starch, in grams.</summary>
    public IReadOnlyList<(string Starch, double Grams)> Swaps =>
        [("corn starch", CornStarchGrams), ("flour", CornStarchGrams / FlourStrength), ("tapioca starch", CornStarchGrams)];

    /// <summary>
    /// How a filling is thickened; null where starch does not thicken it (egg sets custards, curds and pastes), where
    /// there is none in it, or no fruit or liquid to thicken.
    /// </summary>
    public static Thickening? For(Layer filling)
    {
        var isCream = filling.Filling == FillingKind.CookedCream;
        if (!isCream && filling.Filling is not (FillingKind.RawFruit or FillingKind.PrecookedFruit or FillingKind.MaceratedFruit or FillingKind.Berry)) return null;
        var thickened = filling.Lines.Where(line => isCream ? line.Ingredient.Facts.Role is IngredientRole.Liquid or IngredientRole.Acid : line.Ingredient.Facts.Role == IngredientRole.Fruit).Sum(line => line.Amount.Kilograms);
        if (thickened <= 0) return null;
        var starch = filling.Lines.Sum(line => line.Amount.Grams * line.Ingredient.Facts.StarchStrength);
        if (starch <= 0) return null;
        var perKilogram = starch / thickened;
        var (least, most) = Usual(filling.Filling);
        var expect = perKilogram < least ? "it may run when it is cut" : perKilogram > most ? "it may set stiff and dull" : string.Empty;
        return new Thickening(starch, perKilogram, isCream ? "liquid" : "fruit", least, most, expect);
    }

    /// <summary>
    /// Common practice, no source: 8 to 32 g of corn starch for 1 to 1.6 kg of fruit, so 5 to 32 g a kilogram; berries more;
    /// juice that was boiled down less; creams about 32 g on 650 ml, so about 50 g a litre.
    /// </summary>
    private static (double Least, double Most) Usual(FillingKind kind) => kind switch
    {
        FillingKind.CookedCream => (38, 62),
        FillingKind.Berry => (15, 60),
        FillingKind.MaceratedFruit => (4, 30),
        _ => (5, 40),
    };
}
