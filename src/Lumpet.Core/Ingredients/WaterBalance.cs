using Lumpet.Core.Measures;

namespace Lumpet.Core.Ingredients;

/// <summary>
/// What boiling down does to the lines of a formula: water and alcohol go, sugar, starch, fruit and fat stay, so that the
/// solids before are the solids after (mass balance).
/// </summary>
/// <param name="Before">All lines together.</param>
/// <param name="Water">What of them is known to be able to boil away.</param>
/// <param name="Unknown">Lines of which nobody has said how much water they hold.</param>
/// <param name="After">What is left of all.</param>
public sealed record WaterBalance(Mass Before, Mass Water, Mass Unknown, Mass After)
{
    /// <summary>What boils away.</summary>
    public Mass Boiled => Before - After;

    /// <summary>Whether there is so much water; where it is not known of every line, whether there could be.</summary>
    public bool IsPossible => Boiled.Grams <= (Water + Unknown).Grams + (Before.Grams * 1e-9);

    /// <summary>The least share that can be left, when all water is gone.</summary>
    public double LeastLeft => Before > Mass.Zero ? 1 - ((Water + Unknown) / Before) : 1;

    /// <summary>What does not boil away; null where it is not known of every line.</summary>
    public Mass? Solids => Unknown.Grams > 0 ? null : Before - Water;

    /// <summary>The balance of lines that are boiled down to a share of their weight.</summary>
    /// <param name="lines">The lines, as they are weighed in.</param>
    /// <param name="leftShare">What of their weight is left, above 0 and at most 1.</param>
    public static WaterBalance Of(IEnumerable<RecipeLine> lines, double leftShare)
    {
        var (before, water, unknown) = (0.0, 0.0, 0.0);
        foreach (var line in lines)
        {
            before += line.Amount.Grams;
            if (BoilingShare(line.Ingredient) is not { } share) unknown += line.Amount.Grams;
            // What was boiled down before it went in has lost that water already.
            else water += Math.Max(0, line.Amount.Grams - (line.Amount.Grams * (1 - share) / (Reduction.ShareLeft(line.Preparation) ?? 1)));
        }

        return new WaterBalance(Mass.FromGrams(before), Mass.FromGrams(water), Mass.FromGrams(unknown), Mass.FromGrams(before * leftShare));
    }

    /// <summary>Share of an ingredient that is water or alcohol, 0 to 1; null where nobody has said.</summary>
    public static double? BoilingShare(Ingredient ingredient)
    {
        if (ingredient.Facts.Role == IngredientRole.Spirit) return 1;
        if (ingredient.Facts.WaterPercent is { } percent) return percent / 100;
        if (ingredient.Formula is not { } formula) return null;
        var inner = Of(formula.Lines, formula.ReducedTo);
        return inner.Solids is { } solids && inner.After > Mass.Zero ? Math.Max(0, 1 - (solids / inner.After)) : null;
    }
}
