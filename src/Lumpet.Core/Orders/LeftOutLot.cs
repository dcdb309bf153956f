using NodaTime;

namespace Lumpet.Core.Orders;

/// <summary>Pies that a manager leaves out of a day's plan: all of a product in a pan for one pick-up. Their orders stay.</summary>
/// <param name="Product">Id of the product.</param>
/// <param name="Pan">Id of the pan.</param>
/// <param name="PickUp">Local date and time of the pick-up.</param>
public sealed record LeftOutLot(string Product, string Pan, LocalDateTime PickUp)
{
    /// <summary>The most lots that are left out of one day.</summary>
    public const int Most = 60;

    /// <summary>Whether an order is for these pies.</summary>
    public bool Has(OrderLine order) => (order.Product, order.Pan, order.PickUp) == (Product, Pan, PickUp);
}
