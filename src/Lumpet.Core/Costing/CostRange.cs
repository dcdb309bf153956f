using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.Costing;

/// <summary>From what it is guessed what something without a price may cost.</summary>
public enum GuessedFrom
{
    /// <summary>Other prices of it: of other days, or of suppliers where it is not usually bought.</summary>
    OtherPrices,

    /// <summary>Its price by volume, and how dense foods are.</summary>
    AnyDensity,

    /// <summary>What others of its kind cost the bakery.</summary>
    ItsKind,

    /// <summary>Nothing: it may cost anything.</summary>
    Nothing,
}

/// <summary>What an ingredient without a price may cost in one pie.</summary>
/// <param name="Bought">What is bought of it.</param>
/// <param name="Low">At least; 0 where nothing is known.</param>
/// <param name="High">At most; null where nothing is known.</param>
/// <param name="From">What that is guessed from.</param>
public sealed record GuessedCost(BoughtAmount Bought, Money Low, Money? High, GuessedFrom From);

/// <summary>Between what a pie costs while a price is missing: never less than what is known, and never as if it cost nothing.</summary>
/// <param name="Low">At least: what is known, with the least of what is guessed.</param>
/// <param name="High">At most; null where of something nothing is known.</param>
/// <param name="Guessed">What is guessed; empty where everything has a price.</param>
public sealed record CostRange(Money Low, Money? High, IReadOnlyList<GuessedCost> Guessed)
{
    // Grams a millilitre, from cocoa as it falls into a cup to honey and syrup (USDA FoodData Central portion weights, from memory).
    private const decimal LightestFood = 0.35m;
    private const decimal DensestFood = 1.45m;

    /// <summary>The range of one pie.</summary>
    /// <param name="scaled">The product, scaled to its pan.</param>
    /// <param name="book">Every price.</param>
    /// <param name="prices">Those of it that hold.</param>
    /// <param name="ingredients">All ingredients by id: what others of a kind cost is known of them.</param>
    /// <param name="currency">The bakery's currency; prices in another say nothing here.</param>
    public static CostRange Of(ScaledProduct scaled, PriceBook book, PriceList prices, IReadOnlyDictionary<string, Ingredient> ingredients, string currency)
    {
        var bought = BoughtAmount.Of(scaled, prices);
        var known = bought.Select(one => one.CostAt(prices)).OfType<Money>().Sum(cost => cost.Amount);
        GuessedCost[] guessed = [.. bought.Where(one => one.CostAt(prices) is null).Select(one => Guess(one, book, prices, ingredients, currency))];
        return new CostRange(
            new Money(known + guessed.Sum(one => one.Low.Amount), currency),
            guessed.Any(one => one.High is null) ? null : new Money(known + guessed.Sum(one => one.High!.Value.Amount), currency),
            guessed);
    }

    private static GuessedCost Guess(BoughtAmount bought, PriceBook book, PriceList prices, IReadOnlyDictionary<string, Ingredient> ingredients, string currency)
    {
        GuessedCost At(IReadOnlyList<decimal> units, GuessedFrom from)
        {
            var much = bought.Pieces > 0 ? bought.Pieces : bought.Grams;
            return new GuessedCost(bought, new Money(units.Min() * much, currency), new Money(units.Max() * much, currency), from);
        }

        decimal[] others = [.. book.Of(bought.Ingredient.Id).Select(row => UnitOf(bought, bought.Ingredient, row, currency)).OfType<decimal>()];
        if (others.Length > 0) return At(others, GuessedFrom.OtherPrices);
        decimal[] volumes = [.. book.Of(bought.Ingredient.Id).Where(row => row.PackUnit == PackUnit.Millilitre && row.Paid.Currency == currency).Select(row => row.PerUnit.Amount)];
        if (bought.Pieces == 0 && volumes.Length > 0) return At([volumes.Min() / DensestFood, volumes.Max() / LightestFood], GuessedFrom.AnyDensity);
        // Water from the tap is priced among liquids, and says nothing of cream: what costs nothing is left out.
        decimal[] kind =
        [
            .. ingredients.Values.Where(other => other.Facts.Role == bought.Ingredient.Facts.Role && other.Id != bought.Ingredient.Id && (bought.Pieces > 0 || other.Facts.Role != IngredientRole.Other))
                .Select(other => prices.Find(other.Id) is { } row ? UnitOf(bought, other, row, currency) : null).OfType<decimal>().Where(unit => unit > 0),
        ];
        return kind.Length > 0 ? At(kind, GuessedFrom.ItsKind) : new GuessedCost(bought, new Money(0, currency), null, GuessedFrom.Nothing);
    }

    private static decimal? UnitOf(BoughtAmount bought, Ingredient ingredient, Price row, string currency) =>
        row.Paid.Currency != currency ? null
        : bought.Pieces > 0 ? row.PackUnit == PackUnit.Piece ? row.PerUnit.Amount : null
        : row.OfGram(ingredient)?.Amount;
}
