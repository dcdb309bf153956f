using Lumpet.Core.Orders;
using Lumpet.Core.Recipes;

namespace Lumpet.Server.DayPlan;

/// <summary>An order that a manager leaves out of a day's plan.</summary>
/// <param name="Order">The order.</param>
/// <param name="Name">"Damson lattice, 23 cm".</param>
internal sealed record LeftOutPies(OrderLine Order, string Name)
{
    /// <summary>The lot that it is of.</summary>
    public LeftOutLot Lot => new(Order.Product, Order.Pan, Order.PickUp);

    /// <summary>An order of a product.</summary>
    public static LeftOutPies Of(OrderLine order, Product product) => new(order, $"{product.Name}, {product.SizeIn(order.Pan)?.Pan.Name ?? order.Pan}");

    /// <summary>What is left out, one line for each lot: "6 Damson lattice, 23 cm, for 07:30 (Harbour Inn)".</summary>
    public static IReadOnlyList<string> Words(IReadOnlyList<LeftOutPies> pies) =>
    [
        .. pies.GroupBy(one => one.Lot).OrderBy(lot => lot.Key.PickUp).ThenBy(lot => lot.First().Name, StringComparer.Ordinal).Select(lot =>
        {
            var whom = string.Join(", ", lot.Select(one => one.Order.For).Where(name => name.Length > 0).Distinct());
            return $"{lot.Sum(one => one.Order.Count)} {lot.First().Name}, for {PickUpText.Clock.Format(lot.Key.PickUp.TimeOfDay)}{(whom.Length > 0 ? $" ({whom})" : string.Empty)}";
        }),
    ];
}
