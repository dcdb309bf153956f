using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;

namespace Lumpet.Core.Recipes;

/// <summary>What to look at when a recipe was scaled far, or when rounding moved its proportions.</summary>
public static class ScaleWarnings
{
    // From here on spices are better tasted than trusted (common practice, no source).
    private const double LargeFactor = 20;

    // What moves a line by more than this is said.
    private const double MovedShare = 0.02;

    /// <summary>Sentences, most important first; none where nothing is to be said.</summary>
    public static IReadOnlyList<string> Of(ScaledProduct scaled)
    {
        var said = new List<string>();
        var lines = scaled.AllLines.ToArray();
        if (scaled.FillingScale.Factor * scaled.Count >= LargeFactor)
        {
            string[] tasted = [.. lines.Where(line => line.Line.Ingredient.Facts.Role is IngredientRole.Spice or IngredientRole.Raising).Select(line => line.Line.Ingredient.Name).Distinct()];
            if (tasted.Length > 0) said.Add(FormattableString.Invariant($"Scaled {scaled.FillingScale.Factor * scaled.Count:0.#} times: {string.Join(", ", tasted)} as written; begin with less, look and taste what is safe to taste."));
        }

        foreach (var line in lines.Where(line => line.Total.Grams > 0))
        {
            var shown = ScaleReading.GramsOf(line.Total, line.Line.Ingredient.Facts.WeighedTo);
            var moved = (shown / line.Total.Grams) - 1;
            if (Math.Abs(moved) > MovedShare)
                said.Add(FormattableString.Invariant($"{line.Line.Ingredient.Name}: the scale shows {shown:0.##} g for {line.Total.Grams:0.###} g, {Math.Abs(moved) * 100:0} % {(moved > 0 ? "more" : "less")}."));
        }

        var balance = scaled.FillingScale.Factor / scaled.DoughFactor;
        if (balance is > 1.12 or < 0.88)
            said.Add(FormattableString.Invariant($"In this pan there is {Math.Abs(balance - 1) * 100:0} % {(balance > 1 ? "more" : "less")} filling to the crust than in the {scaled.Product.ReferencePan.Name} pan."));
        return said;
    }
}
