using Lumpet.Core.Batches;
using Lumpet.Core.Dough;
using Lumpet.Core.Measures;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// Gives what is there to those that want it: pick-ups that come sooner first, and of what is there what keeps for the shortest time.
/// It is used up as it is asked, so that each reckoning has one of its own.
/// </summary>
/// <param name="stock">What is there.</param>
/// <param name="firstMin">The first minute at which anyone is there.</param>
/// <param name="lots">All lots, the first pick-up first.</param>
internal sealed class StockTaking(DayStock stock, int firstMin, IEnumerable<string> lots)
{
    private readonly Dictionary<string, Mass> left = stock.Masses.ToDictionary(one => one.Id, one => one.Mass);
    private readonly ILookup<string, StockedMass> byMade = stock.Masses.OrderBy(one => one.UntilMin).ThenBy(one => one.Id, StringComparer.Ordinal).ToLookup(one => one.MadeId);
    private readonly Dictionary<string, int> turns = lots.Select((lot, at) => (lot, at)).ToDictionary(one => one.lot, one => one.at);
    private readonly List<StockUse> uses = [];

    /// <summary>What was taken so far.</summary>
    public IReadOnlyList<StockUse> Uses => uses;

    /// <summary>What of some demands is to be made anew.</summary>
    public IReadOnlyList<PreparationDemand> Left(IReadOnlyList<PreparationDemand> demands) => stock.Masses.Count == 0 ? demands :
    [
        .. demands.OrderBy(demand => Turn(demand.LotIds)).ThenBy(demand => demand.NeededMin).ThenBy(demand => demand.TaskId, StringComparer.Ordinal)
            .Select(demand =>
            {
                var unit = demand.Made.Formula?.How?.Piece;
                var taken = Take(demand.Made.Id, demand.Label, demand.LotIds, demand.TaskId, demand.Wanted, unit, demand.NeededMin);
                return demand with { Wanted = demand.Wanted - taken };
            })
            .Where(demand => demand.Wanted > Mass.Zero),
    ];

    /// <summary>What of some portions of doughs is to be mixed.</summary>
    public IReadOnlyList<DoughDemand> Left(IReadOnlyList<DoughDemand> demands) => stock.Masses.Count == 0 ? demands :
    [
        .. demands.OrderBy(demand => Turn(demand.LotIds)).ThenBy(demand => demand.NeededMin).ThenBy(demand => demand.TaskId, StringComparer.Ordinal).ThenBy(demand => demand.Label, StringComparer.Ordinal)
            .Select(demand =>
            {
                var taken = Take(demand.Dough.IngredientId, demand.Label, demand.LotIds, demand.TaskId, demand.Disc * demand.Count, demand.Disc, demand.NeededMin);
                return demand with { Count = demand.Count - (int)Math.Round(taken / demand.Disc) };
            })
            .Where(demand => demand.Count > 0),
    ];

    /// <summary>From when on all that was taken can be had; null where nothing was.</summary>
    public int? FromMin => uses.Count == 0 ? null : uses.Max(use => stock.Masses.First(one => one.Id == use.StockId).FromMin(firstMin));

    private int Turn(IReadOnlyList<string> lotIds) => lotIds.Min(lot => turns.GetValueOrDefault(lot, int.MaxValue));

    /// <summary>Takes as much as there is, in whole pieces where it goes by the piece.</summary>
    private Mass Take(string madeId, string label, IReadOnlyList<string> lotIds, string? taskId, Mass wanted, Mass? piece, int neededMin)
    {
        var open = wanted;
        foreach (var one in byMade[madeId])
        {
            if (neededMin < one.FromMin(firstMin) || neededMin > one.UntilMin) continue;
            var there = left[one.Id];
            var taken = there < open ? there : open;
            if (piece is { } each) taken = each * Math.Floor((taken / each) + StockedMass.Enough);
            else if (open - taken < wanted * StockedMass.Enough) open = taken;
            if (taken <= Mass.Zero) continue;
            // A last piece that weighs a little less takes no more than is there.
            left[one.Id] = taken > there ? Mass.Zero : there - taken;
            uses.Add(new StockUse(one.Id, label, lotIds, taskId, taken < there ? taken : there, 0, neededMin));
            open -= taken;
            if (open <= Mass.Zero) break;
        }

        return open <= Mass.Zero ? wanted : wanted - open;
    }
}
