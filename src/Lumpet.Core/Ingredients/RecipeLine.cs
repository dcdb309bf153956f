using Lumpet.Core.Measures;

namespace Lumpet.Core.Ingredients;

/// <summary>One line of a formula: so much of an ingredient, weighed as it goes in.</summary>
/// <param name="Ingredient">What goes in.</param>
/// <param name="Preparation">How it was prepared before weighing ("pared and cored"); empty if not at all.</param>
/// <param name="Yield">What that preparation leaves of the weight bought.</param>
/// <param name="Amount">Edible-portion weight, for the recipe's own yield; at least 0.</param>
public sealed record RecipeLine(Ingredient Ingredient, string Preparation, Yield Yield, Mass Amount)
{
    /// <summary>The amount as it was written ("2 cups", "juice of 1 lemon"); empty for a weight in grams.</summary>
    public string Written { get; init; } = string.Empty;
}
