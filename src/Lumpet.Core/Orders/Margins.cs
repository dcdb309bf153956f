using NodaTime;

namespace Lumpet.Core.Orders;

/// <summary>What a bakery bakes beyond what is ordered of a product, for what breaks and for the counter.</summary>
/// <param name="ByProduct">Percent of what is ordered, 1 to <see cref="MostPercent"/>, by the product's id; a product that is not there has none.</param>
public sealed record Margins(IReadOnlyDictionary<string, int> ByProduct)
{
    /// <summary>The most that anyone bakes at a venture; more is an order for the counter.</summary>
    public const int MostPercent = 50;

    /// <summary>
    /// What is baked beyond some orders of one day: of each product and pan its percent, rounded up to whole pies, ready for the first of
    /// its pick-ups. Where something else would be late they give way until the last of them.
    /// </summary>
    /// <param name="orders">Orders of one day.</param>
    public IReadOnlyList<OrderLine> Beyond(IEnumerable<OrderLine> orders) =>
    [
        .. from order in orders
           where ByProduct.ContainsKey(order.Product)
           group order by (order.Product, order.Pan) into same
           let first = same.Min(order => order.PickUp)
           let pies = (int)(((same.Sum(order => (long)order.Count) * ByProduct[same.Key.Product]) + 99) / 100)
           select new OrderLine(same.Key.Product, same.Key.Pan, pies, first, string.Empty)
           {
               MayBeLateMin = (int)Math.Min(OrderLine.MostLateMin, Period.Between(first, same.Max(order => order.PickUp), PeriodUnits.Minutes).Minutes),
           },
    ];
}
