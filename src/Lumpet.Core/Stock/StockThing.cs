using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;

namespace Lumpet.Core.Stock;

/// <summary>What lies on a shelf: what is bought or made before the pies, or pies.</summary>
public abstract record StockThing;

/// <summary>An ingredient or a box as it is bought, a dough, or something else that is made before the pies.</summary>
/// <param name="Id">Id of the ingredient; of a dough the one by which it is taken like an ingredient.</param>
public sealed record StockedGoods(string Id) : StockThing
{
    /// <summary>So much of an ingredient as a ledger counts it: pieces whose weight is known by that weight, like anything weighed.</summary>
    /// <param name="ingredient">The ingredient.</param>
    /// <param name="amount">Grams, millilitres or pieces; above 0.</param>
    /// <param name="unit">Which of them.</param>
    /// <returns>The amount; null of a volume whose density nobody has said.</returns>
    public static StockAmount? Amount(Ingredient ingredient, decimal amount, PackUnit unit) => unit switch
    {
        PackUnit.Gram => Weighed(amount),
        PackUnit.Millilitre => ingredient.Facts.Density is { } density ? Weighed(amount * (decimal)density.Value.GramsPerMillilitre) : null,
        _ => ingredient.Facts.OnePiece is { } one ? Weighed(amount * (decimal)one.Weight.Grams) : StockAmount.Pieces((long)Math.Round(amount)),
    };

    private static StockAmount Weighed(decimal grams) => StockAmount.Of(Mass.FromGrams((double)grams));
}

/// <summary>Pies that are ready, or have been brought as far as a step.</summary>
/// <param name="Product">Id of the product.</param>
/// <param name="Pan">Id of the pan.</param>
/// <param name="After">Id of the last step that is done on them.</param>
public sealed record StockedPie(string Product, string Pan, string After) : StockThing;
