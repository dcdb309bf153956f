using Lumpet.Core.DayPlan;
using Lumpet.Core.Orders;

namespace Lumpet.Server.DayPlan;

/// <summary>The lots that are ordered for a day, of which some may be left out of the plan.</summary>
internal static class LotsOfDay
{
    /// <summary>Every lot, by the pick-up.</summary>
    public static IReadOnlyList<LotOfDayAnswer> Of(DayBook book) =>
    [
        .. book.Snapshot.Orders.Select(order => (Lot: new LeftOutLot(order.Product.Id, order.Pan.Id, book.Clock.LocalAt(order.PickUpMin)), Name: $"{order.Product.Name}, {order.Pan.Name}", order.Count, IsLeftOut: false))
            .Concat(book.LeftOut.Select(pies => (Lot: pies.Lot, pies.Name, pies.Order.Count, IsLeftOut: true)))
            .GroupBy(one => one.Lot)
            .OrderBy(lot => lot.Key.PickUp).ThenBy(lot => lot.First().Name, StringComparer.Ordinal)
            .Select(lot =>
            {
                var clock = PickUpText.Clock.Format(lot.Key.PickUp.TimeOfDay);
                return new LotOfDayAnswer(lot.Key.Product, lot.Key.Pan, clock, $"{lot.Sum(one => one.Count)} {lot.First().Name}, for {clock}", lot.First().IsLeftOut);
            }),
    ];

    /// <summary>All lots that are left out, and one more.</summary>
    public static IReadOnlyList<LeftOutRequest> With(DayBook book, Lot lot) =>
    [
        .. book.LeftOut.Select(pies => pies.Lot).Append(new LeftOutLot(lot.Product.Id, lot.Pan.Id, book.Clock.LocalAt(lot.PickUpMin))).Distinct()
            .Select(one => new LeftOutRequest(one.Product, one.Pan, PickUpText.Clock.Format(one.PickUp.TimeOfDay))),
    ];
}
