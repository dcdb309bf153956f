using NodaTime;

namespace Lumpet.Core.Stock;

/// <summary>What a batch takes of which lots when it is made: what its plan has in mind, else what expires first.</summary>
/// <param name="Taken">So much of each lot, each once.</param>
/// <param name="Unknown">What no lot on the books holds; each above zero.</param>
public sealed record BatchTaking(IReadOnlyList<TakenOfLot> Taken, IReadOnlyList<BatchTake> Unknown)
{
    /// <summary>Takes what a batch needs.</summary>
    /// <param name="batch">The batch.</param>
    /// <param name="day">The day whose plan it is of.</param>
    /// <param name="lots">Everything that is there.</param>
    /// <param name="on">The day on which it is made.</param>
    /// <param name="isCounted">Whether a thing is kept on the books at all: what comes from the tap is not.</param>
    public static BatchTaking Of(DayBatch batch, LocalDate day, IEnumerable<StockLot> lots, LocalDate on, Func<StockThing, bool> isCounted)
    {
        var left = lots.ToDictionary(lot => lot.Id);
        var (taken, unknown) = (new List<TakenOfLot>(), new List<BatchTake>());
        foreach (var take in batch.Takes.Where(take => isCounted(take.Thing)))
        {
            var open = take.Amount;
            foreach (var choice in Choices(take, day, [.. left.Values]))
            {
                var (parts, missing) = FirstExpired.Take(choice.Select(lot => left[lot.Id]), open, on);
                taken.AddRange(parts);
                foreach (var (lot, amount) in parts) left[lot.Id] = left[lot.Id] with { Left = left[lot.Id].Left - amount };
                open = missing;
            }

            if (open.Count > 0) unknown.Add(take with { Amount = open });
        }

        return new BatchTaking(
            [.. taken.GroupBy(one => one.Lot.Id).Select(same => new TakenOfLot(same.First().Lot, StockAmount.Sum(same.Select(one => one.Amount), same.First().Amount.Unit)))],
            unknown);
    }

    /// <summary>Where it is looked for, one after the other: the lot that was chosen, the batch that is meant, whatever of it belongs to no other day.</summary>
    private static IEnumerable<IReadOnlyList<StockLot>> Choices(BatchTake take, LocalDate day, IReadOnlyList<StockLot> lots)
    {
        if (take.Lot is { } chosen) yield return [.. lots.Where(lot => lot.Id == chosen)];
        if (take.Batch is { } batch) yield return [.. lots.Where(lot => lot.ForDay == day && lot.Batch == batch && lot.Thing == take.Thing)];
        yield return [.. lots.Where(lot => lot.Thing == take.Thing && (lot.ForDay is null || lot.ForDay <= day))];
    }
}
