using NodaTime;

namespace Lumpet.Core.Stock;

/// <summary>
/// First expired, first used (common practice, no source): of one thing the lot whose last day comes first; of two with the same day the one that lies
/// open, then the one that came first. What states no last day comes after what does. What is past its day is not taken.
/// </summary>
public static class FirstExpired
{
    /// <summary>Lots of one thing in the order in which they are used.</summary>
    public static IOrderedEnumerable<StockLot> Order(IEnumerable<StockLot> lots) => lots
        .OrderBy(lot => lot.UseBy ?? LocalDate.MaxIsoValue)
        .ThenByDescending(lot => lot.IsOpen)
        .ThenBy(lot => lot.Since)
        .ThenBy(lot => lot.Id);

    /// <summary>Takes so much of what is there.</summary>
    /// <param name="lots">All lots of the thing.</param>
    /// <param name="wanted">How much; at least nothing.</param>
    /// <param name="day">The day on which it is used.</param>
    /// <returns>What is taken of which lot, each above zero; and what is missing, zero where nothing is.</returns>
    public static (IReadOnlyList<TakenOfLot> Taken, StockAmount Missing) Take(IEnumerable<StockLot> lots, StockAmount wanted, LocalDate day)
    {
        var taken = new List<TakenOfLot>();
        // What is counted the other way cannot be compared, and is none of it.
        foreach (var lot in Order(lots.Where(lot => lot.Left.Unit == wanted.Unit && lot.Left.Count > 0 && !lot.IsPast(day))))
        {
            if (wanted.Count <= 0) break;
            var part = StockAmount.Least(lot.Left, wanted);
            taken.Add(new TakenOfLot(lot, part));
            wanted -= part;
        }

        return (taken, wanted);
    }
}

/// <summary>So much of a lot.</summary>
/// <param name="Lot">The lot.</param>
/// <param name="Amount">How much of it; above zero.</param>
public sealed record TakenOfLot(StockLot Lot, StockAmount Amount);
