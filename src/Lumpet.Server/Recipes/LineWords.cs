using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;

namespace Lumpet.Server.Recipes;

/// <summary>Says how a line is prepared, and what boiling down does to lines.</summary>
internal static class LineWords
{
    /// <summary>How a line is prepared; of what is boiled down also what is weighed before: "boiled down by half, 500 g before".</summary>
    /// <param name="line">The line.</param>
    /// <param name="goesIn">What of it goes in.</param>
    public static string Preparation(RecipeLine line, Mass goesIn) => Reduction.ShareLeft(line.Preparation) is { } left
        ? FormattableString.Invariant($"{line.Preparation}, {ScaleReading.GramsOf(goesIn / left, line.Ingredient.Facts.WeighedTo):0.##} g before")
        : line.Preparation;

    /// <summary>
    /// What stands before and after: "Boiled down to 85 %, from 1000 g to 850 g: of 850 g of water 150 g go; sugar, starch and the
    /// rest are 15 % before and 17.6 % after." Empty where nothing is boiled down.
    /// </summary>
    /// <param name="lines">The lines as they are weighed in.</param>
    /// <param name="reducedTo">What boiling down leaves.</param>
    public static string Reduced(IReadOnlyList<RecipeLine> lines, double reducedTo)
    {
        if (reducedTo >= 1) return string.Empty;
        var balance = WaterBalance.Of(lines, reducedTo);
        var (before, after) = (balance.Before.Grams, balance.After.Grams);
        var said = FormattableString.Invariant($"Boiled down to {reducedTo * 100:0.#} %, from {before:0} g to {after:0} g");
        return balance.Solids is { } solids
            ? FormattableString.Invariant($"{said}: of {balance.Water.Grams:0} g of water {balance.Boiled.Grams:0} g go; sugar, starch and all else are {solids.Grams / before * 100:0.#} % before and {solids.Grams / after * 100:0.#} % after.")
            : FormattableString.Invariant($"{said}: {balance.Boiled.Grams:0} g of water go; how much {string.Join(" and ", lines.Where(line => WaterBalance.BoilingShare(line.Ingredient) is null).Select(line => line.Ingredient.Name.ToLowerInvariant()).Distinct().Take(3))} hold is not known.");
    }
}
