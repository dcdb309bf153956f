using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;

namespace Lumpet.Core.Recipes;

/// <summary>One line of a formula: so much of an ingredient, weighed as it goes in.</summary>
/// <param name="Ingredient">What goes in.</param>
/// <param name="Preparation">How it was prepared before weighing ("pared and cored"); empty if not at all.</param>
/// <param name="Yield">What that preparation leaves of the weight bought.</param>
/// <param name="Amount">Edible-portion weight as written, for the recipe's own yield; at least 0.</param>
public sealed record RecipeLine(Ingredient Ingredient, string Preparation, Yield Yield, Mass Amount);
