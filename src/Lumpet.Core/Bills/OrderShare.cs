using Lumpet.Core.DayPlan;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.Bills;

/// <summary>What one order has of a day's bill, in the bakery's currency.</summary>
/// <param name="Product">What was ordered.</param>
/// <param name="Pan">In which pan.</param>
/// <param name="Count">Pies.</param>
/// <param name="For">Who it is for; empty where nobody is named, and of pies baked beyond what is ordered.</param>
/// <param name="PickUpMin">When, on the plan's clock.</param>
/// <param name="Ingredients">What its ingredients and boxes cost, as far as prices are known.</param>
/// <param name="Hands">What hands on it cost; 0 where they are not counted.</param>
/// <param name="Heat">What ovens for it cost.</param>
/// <param name="Revenue">What it brings; 0 where no price is set.</param>
/// <param name="IsPriced">Whether a price is set.</param>
/// <param name="Missing">Ingredients without a price.</param>
/// <param name="HandsMin">Minutes of hands on it.</param>
/// <param name="HotMin">Minutes of ovens for it.</param>
public sealed record OrderShare(
    Product Product, Pan Pan, int Count, string For, int PickUpMin, decimal Ingredients, decimal Hands, decimal Heat, decimal Revenue, bool IsPriced, IReadOnlyList<string> Missing, decimal HandsMin, decimal HotMin)
{
    /// <summary>
    /// The shares of a day's orders: of pies that are made together each order has as much as it has of the pies. They add up to the bill's lines exactly.
    /// Orders of which nothing is planned have none.
    /// </summary>
    /// <param name="bill">The bill.</param>
    /// <param name="orders">The orders that its plan was made for.</param>
    public static IReadOnlyList<OrderShare> Of(DayBill bill, IReadOnlyList<DayOrder> orders)
    {
        var lines = bill.Lines.ToLookup(line => (line.Lot.Product.Id, Pan: line.Lot.Pan.Id, line.Lot.PickUpMin, line.Lot.MayBeLateMin));
        return
        [
            .. orders.GroupBy(order => (order.Product.Id, Pan: order.Pan.Id, order.PickUpMin, order.MayBeLateMin)).SelectMany(same =>
            {
                BillLine[] held = [.. lines[same.Key]];
                DayOrder[] together = [.. same];
                if (held.Length == 0) return [];
                IReadOnlyList<decimal> Split(decimal whole) => InOrder(Shares.Of(whole, together.Select((order, at) => KeyValuePair.Create($"{at}", (decimal)order.Count))), together.Length);
                var (ingredients, hands, heat) = (Split(held.Sum(line => line.Known.Amount)), Split(held.Sum(line => line.Hands?.Amount ?? 0)), Split(held.Sum(line => line.Heat.Amount)));
                var revenue = Split(held.Sum(line => line.Revenue?.Amount ?? 0));
                var (handsMin, hotMin) = (Split(held.Sum(line => line.HandsMin)), Split(held.Sum(line => line.HotMin)));
                string[] missing = [.. held.SelectMany(line => line.Missing).Distinct()];
                return together.Select((order, at) => new OrderShare(
                    order.Product, order.Pan, order.Count, order.For, order.PickUpMin, ingredients[at], hands[at], heat[at], revenue[at], held.All(line => line.Revenue is not null), missing, handsMin[at], hotMin[at]));
            }),
        ];
    }

    private static decimal[] InOrder(IReadOnlyDictionary<string, decimal> shares, int count) => [.. Enumerable.Range(0, count).Select(at => shares.GetValueOrDefault($"{at}"))];
}
