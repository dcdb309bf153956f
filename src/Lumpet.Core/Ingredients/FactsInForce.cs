namespace Lumpet.Core.Ingredients;

/// <summary>Which facts of an ingredient hold: the bakery's own, over those that ship, over what its name tells.</summary>
public static class FactsInForce
{
    /// <summary>The facts in force.</summary>
    /// <param name="own">The ingredient with what the bakery itself has stated.</param>
    public static IngredientFacts Of(Ingredient own) => (IngredientLibrary.Find(own.Id)?.Facts ?? IngredientGuess.From(own.Name)).With(own.Facts);
}
