using System.Collections.Concurrent;
using Lumpet.Core.Measures;
using NodaTime;

namespace Lumpet.Core.Ingredients;

/// <summary>The prices that hold on one day, one for each ingredient.</summary>
public sealed class PriceList
{
    private readonly Dictionary<string, Price> current;
    private readonly ConcurrentDictionary<IngredientFormula, Money?> made = new(ReferenceEqualityComparer.Instance as IEqualityComparer<IngredientFormula>);

    /// <summary>A list of prices, at most one for each ingredient.</summary>
    internal PriceList(IEnumerable<Price> inForce) => current = inForce.ToDictionary(row => row.IngredientId);

    /// <summary>Picks from all rows those that hold on a day, whoever sells it. Of rows from the same day the later one in the list wins.</summary>
    public static PriceList On(LocalDate day, IEnumerable<Price> rows) => new PriceBook(rows, []).On(day);

    /// <summary>What a gram of an ingredient costs as purchased: by its own price, by weight, or by volume or the piece where it is known what that weighs, or by what it is made of; null where none is known.</summary>
    public Money? OfGram(Ingredient ingredient)
    {
        if (Find(ingredient.Id)?.OfGram(ingredient) is { } gram) return gram;
        if (ingredient.Formula is not { } formula) return null;
        // What is made here may go into much else that is: it is reckoned once. The formula belongs to the key, since two
        // versions of one ingredient may be asked for.
        return made.GetOrAdd(formula, one => one.CostOfGram(this));
    }

    /// <summary>What is not known of an ingredient whose gram costs nobody knows what: "a price", or what its pack weighs.</summary>
    public string Lacks(Ingredient ingredient) => Find(ingredient.Id)?.PackUnit switch
    {
        PackUnit.Millilitre => "its price is by volume, and its density is not known",
        PackUnit.Piece => "its price is by the piece, and what one weighs is not known",
        PackUnit.Gram => "its price is by weight, and it is counted",
        _ => ingredient.Formula is { } made && made.Everything.Where(one => one.Formula is null && OfGram(one) is null).ToArray() is { Length: > 0 } lacking
            ? string.Join("; ", lacking.Select(one => $"{one.Name}: {Lacks(one)}"))
            : "no price is known",
    };

    /// <summary>The row in force for an ingredient, or null where none is known.</summary>
    public Price? Find(string ingredientId) => current.GetValueOrDefault(ingredientId);
}
