using Lumpet.Core.Measures;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>What a day makes of its orders, once what is there already has gone to them.</summary>
/// <param name="Lots">What is made, earliest pick-up first; pies that have been brought as far as a step are lots of their own.</param>
/// <param name="Ready">What only has to be handed over.</param>
internal sealed record DayLots(IReadOnlyList<Lot> Lots, IReadOnlyList<ReadyPies> Ready)
{
    /// <summary>
    /// The lots of a day. Pies that are there go to the pick-ups that come first of those they are good for: what is ready before what is to be
    /// worked on, of that what is furthest, then what keeps for the shortest time.
    /// </summary>
    /// <param name="snapshot">What is asked.</param>
    public static DayLots Of(DaySnapshot snapshot)
    {
        var ordered = Lot.From(snapshot.Orders, snapshot.Room.PotLitres);
        if (snapshot.Stock.Pies.Count == 0) return new DayLots(ordered, []);
        var left = snapshot.Stock.Pies.ToDictionary(one => one.Id, one => one.Count);
        StockedPies[] there = [.. snapshot.Stock.Pies.OrderBy(one => !one.IsReady).ThenByDescending(one => one.Done.Count).ThenBy(one => one.UntilMin).ThenBy(one => one.Id, StringComparer.Ordinal)];
        var (lots, ready) = (new List<Lot>(), new List<ReadyPies>());
        foreach (var lot in ordered)
        {
            var open = lot.Count;
            foreach (var one in there.Where(one => one.ProductId == lot.Product.Id && one.PanId == lot.Pan.Id && one.DoneMin <= lot.PickUpMin && lot.PickUpMin <= one.UntilMin && CanGoOn(lot, one, snapshot.FirstMin)))
            {
                var taken = Math.Min(open, left[one.Id]);
                if (taken == 0) continue;
                left[one.Id] -= taken;
                open -= taken;
                if (one.IsReady) ready.Add(new ReadyPies(lot with { Count = taken, Trays = [] }, one.Id));
                else lots.Add(lot.Of(taken) with { Id = $"{lot.Id}~{one.Id}", Begun = one });
            }

            if (open > 0) lots.Add(lot.Of(open));
        }

        return new DayLots(lots, ready);
    }

    /// <summary>Whether someone is there before what is done on pies has waited too long.</summary>
    private static bool CanGoOn(Lot lot, StockedPies begun, int firstMin) =>
        PartDone.Next(lot.Product.ProcessIn(lot.Pan), begun.Done).All(next => next.UntilMin >= firstMin);
}

/// <summary>Pies of an order that are ready and only have to be handed over.</summary>
/// <param name="Lot">Those of an order that are; on no trays.</param>
/// <param name="StockId">What of that is there they are, by its name.</param>
public sealed record ReadyPies(Lot Lot, string StockId)
{
    /// <summary>What is taken of what is there.</summary>
    internal StockUse Use => new(StockId, $"{Lot.Product.Name}, {Lot.Pan.Name}", [], null, Mass.Zero, Lot.Count, Lot.PickUpMin);
}
