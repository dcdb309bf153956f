using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using NodaTime;

namespace Lumpet.Core.Orders;

/// <summary>Orders of a day added up per product, pan and pick-up.</summary>
/// <param name="PickUps">The pick-ups, in order of time.</param>
/// <param name="Rows">A row for every product and pan.</param>
public sealed record OrderTotals(IReadOnlyList<LocalDateTime> PickUps, IReadOnlyList<OrderTotalRow> Rows)
{
    /// <summary>Pies of all rows.</summary>
    public int Total => Rows.Sum(row => row.Total);

    /// <summary>Adds orders up; each order's product and pan must be among the products.</summary>
    public static OrderTotals Of(IReadOnlyList<OrderLine> orders, IReadOnlyList<Product> products)
    {
        LocalDateTime[] pickUps = [.. orders.Select(order => order.PickUp).Distinct().Order()];
        var rows =
            from product in products
            from size in product.Sizes
            let mine = orders.Where(order => order.Product == product.Id && order.Pan == size.Pan.Id).ToArray()
            where mine.Length > 0
            select new OrderTotalRow(
                product, size.Pan, [.. pickUps.Select(pickUp => mine.Where(order => order.PickUp == pickUp).Sum(order => order.Count))]);
        return new OrderTotals(pickUps, [.. rows]);
    }
}

/// <summary>Pies of a product in a pan.</summary>
/// <param name="Product">The product.</param>
/// <param name="Pan">The pan.</param>
/// <param name="PerPickUp">Pies at each pick-up, in their order.</param>
public sealed record OrderTotalRow(Product Product, Pan Pan, IReadOnlyList<int> PerPickUp)
{
    /// <summary>Pies at all pick-ups.</summary>
    public int Total => PerPickUp.Sum();
}
