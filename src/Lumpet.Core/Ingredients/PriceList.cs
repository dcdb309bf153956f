using System.Collections.Concurrent;
using Lumpet.Core.Measures;
using NodaTime;

namespace Lumpet.Core.Ingredients;

/// <summary>The prices that hold on one day: for each ingredient the row that came into force last.</summary>
public sealed class PriceList
{
    private readonly Dictionary<string, Price> current;
    private readonly ConcurrentDictionary<IngredientFormula, Money?> made = new(ReferenceEqualityComparer.Instance as IEqualityComparer<IngredientFormula>);

    private PriceList(Dictionary<string, Price> current) => this.current = current;

    /// <summary>Picks from all rows those that hold on a day. Of rows from the same day the later one in the list wins.</summary>
    public static PriceList On(LocalDate day, IEnumerable<Price> rows) =>
        new(rows.Where(row => row.ValidFrom <= day)
            .GroupBy(row => row.IngredientId)
            .ToDictionary(group => group.Key, group => group.OrderBy(row => row.ValidFrom).Last()));

    /// <summary>What a gram of an ingredient costs as purchased: by its own price, by weight or by the piece where the weight of one is known, or by what it is made of; null where none is known.</summary>
    public Money? OfGram(Ingredient ingredient)
    {
        if (Find(ingredient.Id) is { } price)
        {
            if (price.PackUnit == PackUnit.Gram) return price.PerUnit;
            // Eggs by the dozen, tins, shells: by what one weighs, where that is known.
            if (ingredient.Facts.OnePiece is { } one) return price.PerUnit with { Amount = price.PerUnit.Amount / (decimal)one.Weight.Grams };
        }

        if (ingredient.Formula is not { } formula) return null;
        // What is made here may go into much else that is: it is reckoned once. The formula belongs to the key, since two
        // versions of one ingredient may be asked for.
        return made.GetOrAdd(formula, one => one.CostOfGram(this));
    }

    /// <summary>The row in force for an ingredient, or null where none is known.</summary>
    public Price? Find(string ingredientId) => current.GetValueOrDefault(ingredientId);
}
