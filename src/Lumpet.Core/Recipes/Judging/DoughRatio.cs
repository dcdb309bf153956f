using Lumpet.Core.Ingredients;

namespace Lumpet.Core.Recipes.Judging;

/// <summary>A dough's proportions, against its flour.</summary>
/// <param name="FlourGrams">Flour, ground nuts not counted.</param>
/// <param name="FatPercent">Fat on the flour.</param>
/// <param name="LiquidPercent">Water, milk and egg on the flour, and of a spirit its water: what wets it. Vinegar and lemon juice are not counted.</param>
/// <param name="SugarPercent">Sugar on the flour.</param>
/// <param name="NutPercent">Ground nuts on the flour.</param>
/// <param name="RaisingPercent">Baking powder and the like on the flour.</param>
public sealed record DoughRatio(double FlourGrams, double FatPercent, double LiquidPercent, double SugarPercent, double NutPercent, double RaisingPercent)
{
    /// <summary>The ratio of a dough; null where it has no flour, as one that is bought in.</summary>
    public static DoughRatio? Of(DoughFormula dough)
    {
        double Grams(params IngredientRole[] roles) => dough.Lines.Where(line => roles.Contains(line.Ingredient.Facts.Role)).Sum(line => line.Amount.Grams);
        var flour = Grams(IngredientRole.Flour);
        return flour <= 0
            ? null
            : new DoughRatio(
                flour,
                Grams(IngredientRole.Fat) / flour * 100,
                (Water(dough) + Grams(IngredientRole.Egg)) / flour * 100,
                Grams(IngredientRole.Sugar) / flour * 100,
                Grams(IngredientRole.Nut) / flour * 100,
                Grams(IngredientRole.Raising) / flour * 100);
    }

    /// <summary>Grams of water as written, that of a spirit included.</summary>
    public static double Water(DoughFormula dough) => dough.Lines.Sum(line => line.Amount.Grams * line.Ingredient.Facts.WaterShare);

    /// <summary>Flour : fat : water, with three of flour: "3 : 2 : 1".</summary>
    public string InWords => FormattableString.Invariant($"3 : {FatPercent * 3 / 100:0.#} : {LiquidPercent * 3 / 100:0.#}");
}
