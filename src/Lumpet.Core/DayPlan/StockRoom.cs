using Lumpet.Core.Measures;

namespace Lumpet.Core.DayPlan;

/// <summary>The room that what is there already takes in the kitchen.</summary>
internal static class StockRoom
{
    private const string MadeAlready = "Made already";

    /// <summary>What of it stays where it is for as long as a plan looks: what nobody takes, and pies that are ready until they are handed over.</summary>
    /// <param name="snapshot">What is asked.</param>
    /// <param name="lots">What goes to the orders.</param>
    /// <param name="uses">What is taken of doughs and of what else is made first.</param>
    public static IReadOnlyList<RoomUse> Standing(DaySnapshot snapshot, DayLots lots, IReadOnlyList<StockUse> uses)
    {
        if (snapshot.Stock.IsNothing) return [];
        int Until(int minute) => Math.Clamp(minute, 0, snapshot.HorizonMin);
        var left = snapshot.Stock.Less([.. uses, .. lots.Ready.Select(one => one.Use), .. lots.Lots.Where(lot => lot.Begun is not null).Select(lot => new StockUse(lot.Begun!.Id, string.Empty, [], null, Mass.Zero, lot.Count, 0))]);
        RoomUse[] standing =
        [
            .. left.Masses.SelectMany(one => Lies(one, one.Mass, Until(one.UntilMin))),
            .. left.Pies.SelectMany(one => Stand(snapshot, one, one.Count, Until(one.UntilMin))),
            .. lots.Ready.SelectMany(one => Stand(snapshot, snapshot.Stock.Pies.First(there => there.Id == one.StockId), one.Lot.Count, Until(one.Lot.PickUpMin))),
        ];
        // What keeps no longer when the day begins is gone by then.
        return [.. standing.Where(use => use.ToMin > 0)];
    }

    /// <summary>Where so much of something lies until a minute.</summary>
    public static IEnumerable<RoomUse> Lies(StockedMass one, Mass mass, int untilMin) => RoomPlaces.OfTubs(one.Place) is { } place
        ? [new RoomUse(place, RoomOfDay.Grams(mass), 0, untilMin) { Content = new RoomContent(string.Empty, MadeAlready, 0, one.UntilMin) { MadeId = one.MadeId } }]
        : [];

    private static IEnumerable<RoomUse> Stand(DaySnapshot snapshot, StockedPies pies, int count, int untilMin)
    {
        // Of a pan that nobody ordered one is reckoned a tray.
        var pan = snapshot.Orders.FirstOrDefault(order => order.Pan.Id == pies.PanId)?.Pan;
        var each = pan?.PerTray ?? 1;
        var product = snapshot.Orders.FirstOrDefault(order => order.Product.Id == pies.ProductId)?.Product.Name;
        return RoomPlaces.OfTrays(pies.Place) is { } place
            ? [new RoomUse(place, (count + each - 1) / each, 0, untilMin) { Content = new RoomContent(product is null ? string.Empty : pan is null ? product : $"{product}, {pan.Name}", MadeAlready, count, pies.UntilMin) { Product = product } }]
            : [];
    }
}
