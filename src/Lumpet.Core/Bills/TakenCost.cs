using Lumpet.Core.Ingredients;
using Lumpet.Core.Stock;

namespace Lumpet.Core.Bills;

/// <summary>What was really taken off the shelves, at what was paid for it.</summary>
/// <param name="Amount">What it cost, as far as that is known, in the bakery's currency.</param>
/// <param name="Missing">Things of which neither what was paid nor a price is known; each once.</param>
public sealed record TakenCost(decimal Amount, IReadOnlyList<StockThing> Missing)
{
    /// <summary>
    /// What some takings cost: what was paid for the pack that they come from, or else what their ingredient costs that day. What the bakery made itself was paid
    /// when its ingredients were taken, and pies are no cost.
    /// </summary>
    /// <param name="takings">What was taken, each amount above zero, and of which lot; null where no lot held it.</param>
    /// <param name="find">The ingredient of an id; null where there is none.</param>
    /// <param name="prices">The prices of that day.</param>
    /// <param name="currency">The bakery's currency; what was paid in another counts as not known.</param>
    public static TakenCost Of(IEnumerable<(StockThing Thing, StockAmount Amount, StockLot? Lot)> takings, Func<string, Ingredient?> find, PriceList prices, string currency)
    {
        var (sum, missing) = (0m, new List<StockThing>());
        foreach (var (thing, amount, lot) in takings)
        {
            if (thing is not StockedGoods goods || lot?.Batch is not null) continue;
            if (PerUnit(goods, amount.Unit, lot, find, prices, currency) is { } unit) sum += Shares.Kept(unit * amount.Count);
            else if (!missing.Contains(thing)) missing.Add(thing);
        }

        return new TakenCost(sum, missing);
    }

    private static decimal? PerUnit(StockedGoods goods, StockUnit unit, StockLot? lot, Func<string, Ingredient?> find, PriceList prices, string currency)
    {
        if (lot is { PaidForPack: { } paid, Pack: { Count: > 0 } pack } && pack.Unit == unit && paid.Currency == currency) return paid.Amount / pack.Count;
        if (find(goods.Id) is not { } ingredient) return null;
        if (unit == StockUnit.Piece) return prices.Find(goods.Id) is { PackUnit: PackUnit.Piece } piece && piece.PerUnit.Currency == currency ? piece.PerUnit.Amount : null;
        return prices.OfGram(ingredient) is { } gram && gram.Currency == currency ? gram.Amount / 1000 : null;
    }
}
