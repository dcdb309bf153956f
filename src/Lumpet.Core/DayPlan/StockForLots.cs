namespace Lumpet.Core.DayPlan;

/// <summary>Which lots need not wait until something is made, since all that they take of it is there.</summary>
internal static class StockForLots
{
    /// <summary>The same lots, each with what is there for the whole of it and from when on.</summary>
    /// <param name="works">All lots, the first pick-up first: what is there goes to it first.</param>
    /// <param name="snapshot">What is asked.</param>
    public static IReadOnlyList<LotWork> Given(IReadOnlyList<LotWork> works, DaySnapshot snapshot)
    {
        if (snapshot.Stock.Masses.Count == 0) return works;
        string[] lots = [.. works.Select(work => work.Lot.Id)];
        var (left, given) = (snapshot.Stock, new List<LotWork>());
        foreach (var work in works)
        {
            var (there, uses) = For(work, left, snapshot.FirstMin, lots);
            left = left.Less(uses);
            given.Add(there.Count == 0 ? work : work.WithThere(there));
        }

        return given;
    }

    /// <summary>What is there for the whole of a lot, by the ingredient's id with the minute from which it can be had, and what is taken for it in all.</summary>
    private static (IReadOnlyDictionary<string, int> There, IReadOnlyList<StockUse> Uses) For(LotWork work, DayStock stock, int firstMin, IReadOnlyList<string> lots)
    {
        var lot = work.Lot;
        // When it is taken is not known yet; of what keeps until the pick-up it is sure that it keeps until then.
        var kept = stock with { Masses = [.. stock.Masses.Where(one => one.UntilMin >= lot.PickUpMin)] };
        int[] atPickUp = [.. work.Graph.Nodes.Select(_ => lot.PickUpMin)];
        var times = new ParcelTimes(atPickUp, atPickUp, []);
        var (there, uses) = (new Dictionary<string, int>(), new List<StockUse>());
        foreach (var discs in DiscDemands.Of(work, lot.Count, times).GroupBy(disc => disc.Dough.IngredientId)) Take(discs.Key, taking => taking.Left([.. discs]).Count == 0);
        foreach (var made in DayMaking.Demands(work, lot.Count, times, string.Empty).GroupBy(one => one.Made.Id)) Take(made.Key, taking => taking.Left([.. made]).Count == 0);
        return (there, uses);

        void Take(string id, Func<StockTaking, bool> takesAll)
        {
            var taking = new StockTaking(kept with { Masses = [.. kept.Masses.Where(one => one.MadeId == id)] }, firstMin, lots);
            if (takesAll(taking) && taking.FromMin is { } from) there[id] = from;
            uses.AddRange(taking.Uses);
        }
    }
}
