using Lumpet.Core.Costing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using NodaTime;

namespace Lumpet.Core.Bills;

/// <summary>What is changed so that ingredients take less of the price.</summary>
public enum CostChangeKind
{
    /// <summary>An ingredient is bought from another supplier.</summary>
    Supplier,

    /// <summary>Everything is bought where it is cheapest.</summary>
    AllSuppliers,

    /// <summary>It is made of another dough.</summary>
    Dough,

    /// <summary>It is made as an earlier version wrote it.</summary>
    Version,

    /// <summary>It is sold for more.</summary>
    Price,
}

/// <summary>A change, and what it does.</summary>
/// <param name="Kind">What is changed.</param>
/// <param name="What">The ingredient, the dough, the version; empty of the price.</param>
/// <param name="With">From whom it is bought instead; empty where that is not the change.</param>
/// <param name="Cost">What a pie costs then, of its ingredients.</param>
/// <param name="Price">What it sells for then, before tax.</param>
public sealed record CostChange(CostChangeKind Kind, string What, string With, Money Cost, Money Price)
{
    /// <summary>Ingredients over price then.</summary>
    public decimal Share => Cost.Amount / Price.Amount;

    /// <summary>
    /// The changes that make ingredients take less of a pie's price, the cheapest that reaches the aim first: those that ask nothing of whoever buys it before a higher
    /// price, of those the one that changes least; then those that do not reach it, what helps most first.
    /// </summary>
    /// <param name="product">The product.</param>
    /// <param name="pan">Its pan, in which it has a price.</param>
    /// <param name="ways">Other ways of making it.</param>
    /// <param name="book">Every price.</param>
    /// <param name="day">The day.</param>
    /// <param name="channel">Where it is sold, what is aimed at and at which points prices stand there.</param>
    /// <returns>The changes; none where a price is missing, or where it is within the aim already.</returns>
    public static IReadOnlyList<CostChange> Of(Product product, Pan pan, IReadOnlyList<CostWay> ways, PriceBook book, LocalDate day, Channel channel)
    {
        var scaled = Scaling.Scale(product, pan, 1);
        var prices = book.On(day);
        if (PieCost.Of(scaled, prices) is not { Total: { } cost, SellingPrice: { Amount: > 0 } price } || price.Currency != cost.Currency || cost.Amount <= price.Amount * channel.FoodCostShare) return [];
        var suppliers = Suppliers(scaled, book, prices, day).Where(one => one.Saves.Currency == cost.Currency).ToArray();
        CostChange[] all =
        [
            .. suppliers.Select(one => new CostChange(CostChangeKind.Supplier, one.What, one.With, cost + (one.Saves * -1), price)),
            .. suppliers.Length > 1 ? [new CostChange(CostChangeKind.AllSuppliers, string.Empty, string.Empty, suppliers.Aggregate(cost, (left, one) => left + (one.Saves * -1)), price)] : Array.Empty<CostChange>(),
            .. ways.Where(way => way.Kind is CostWayKind.Dough or CostWayKind.Version)
                .Select(way => (way, PieCost.Of(Scaling.Scale(way.Product, way.Pan, 1), prices).Total))
                .Where(one => one.Total is { } other && other.Currency == cost.Currency && other.Amount < cost.Amount)
                .Select(one => new CostChange(one.way.Kind == CostWayKind.Dough ? CostChangeKind.Dough : CostChangeKind.Version, one.way.Name, string.Empty, one.Total!.Value, price)),
            new CostChange(CostChangeKind.Price, string.Empty, string.Empty, cost, channel.ToCharge(cost).Net),
        ];
        return [.. all.OrderByDescending(one => one.Share <= channel.FoodCostShare).ThenBy(one => one.Share <= channel.FoodCostShare ? one.Price.Amount - price.Amount : one.Share).ThenBy(one => cost.Amount - one.Cost.Amount)];
    }

    private static IEnumerable<(string What, string With, Money Saves)> Suppliers(ScaledProduct scaled, PriceBook book, PriceList prices, LocalDate day)
    {
        foreach (var bought in BoughtAmount.Of(scaled, prices))
        {
            if (bought.CostAt(prices) is not { } now) continue;
            var cheapest = book.BySupplier(bought.Ingredient.Id, day)
                .Select(row => (row.Supplier, Cost: bought.CostAt(new PriceList([row]))))
                .Where(one => one.Cost is { } cost && cost.Currency == now.Currency)
                .OrderBy(one => one.Cost!.Value.Amount).ThenBy(one => one.Supplier, StringComparer.OrdinalIgnoreCase).FirstOrDefault();
            if (cheapest.Cost is { } other && other.Amount < now.Amount) yield return (bought.Ingredient.Name, cheapest.Supplier, now with { Amount = now.Amount - other.Amount });
        }
    }
}
