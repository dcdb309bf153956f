using Lumpet.Core.Measures;

namespace Lumpet.Core.Stock;

/// <summary>In what a lot is counted.</summary>
public enum StockUnit
{
    /// <summary>By weight, in whole milligrams.</summary>
    Milligram,

    /// <summary>By the piece: boxes, labels, pies.</summary>
    Piece,
}

/// <summary>
/// How much there is, exactly: a ledger adds whole milligrams or whole pieces, so that a sum never depends on the order in which it was
/// made. It may be below zero for what is taken away.
/// </summary>
/// <param name="Count">Milligrams, or pieces.</param>
/// <param name="Unit">Which of the two.</param>
public readonly record struct StockAmount(long Count, StockUnit Unit)
{
    private const double MilligramsInAGram = 1000;

    /// <summary>A weight, to the milligram.</summary>
    public static StockAmount Of(Mass mass) => new((long)Math.Round(mass.Grams * MilligramsInAGram, MidpointRounding.AwayFromZero), StockUnit.Milligram);

    /// <summary>So many pieces.</summary>
    public static StockAmount Pieces(long count) => new(count, StockUnit.Piece);

    /// <summary>Nothing, counted in a unit.</summary>
    public static StockAmount Zero(StockUnit unit) => new(0, unit);

    /// <summary>Whether it is nothing.</summary>
    public bool IsNothing => Count == 0;

    /// <summary>The weight.</summary>
    /// <exception cref="InvalidOperationException">It is counted by the piece.</exception>
    public Mass Mass => Unit == StockUnit.Milligram ? Mass.FromGrams(Count / MilligramsInAGram) : throw new InvalidOperationException("Pieces are no weight.");

    /// <summary>The sum.</summary>
    /// <exception cref="InvalidOperationException">One is a weight, the other pieces.</exception>
    public static StockAmount operator +(StockAmount left, StockAmount right) => new(checked(left.Count + Same(left, right).Count), left.Unit);

    /// <summary>The difference.</summary>
    /// <exception cref="InvalidOperationException">One is a weight, the other pieces.</exception>
    public static StockAmount operator -(StockAmount left, StockAmount right) => new(checked(left.Count - Same(left, right).Count), left.Unit);

    /// <summary>As much taken away as was there, or the other way round.</summary>
    public static StockAmount operator -(StockAmount amount) => new(-amount.Count, amount.Unit);

    /// <summary>So many times as much.</summary>
    public static StockAmount operator *(StockAmount amount, long times) => new(checked(amount.Count * times), amount.Unit);

    /// <summary>Whether the left one is less.</summary>
    /// <exception cref="InvalidOperationException">One is a weight, the other pieces.</exception>
    public static bool operator <(StockAmount left, StockAmount right) => left.Count < Same(left, right).Count;

    /// <summary>Whether the left one is more.</summary>
    /// <exception cref="InvalidOperationException">One is a weight, the other pieces.</exception>
    public static bool operator >(StockAmount left, StockAmount right) => left.Count > Same(left, right).Count;

    /// <summary>The lesser of two.</summary>
    /// <exception cref="InvalidOperationException">One is a weight, the other pieces.</exception>
    public static StockAmount Least(StockAmount left, StockAmount right) => right < left ? right : left;

    /// <summary>All of them together; nothing where there are none.</summary>
    /// <param name="amounts">All in the unit.</param>
    /// <param name="unit">The unit.</param>
    /// <exception cref="InvalidOperationException">One of them is in the other unit.</exception>
    public static StockAmount Sum(IEnumerable<StockAmount> amounts, StockUnit unit) => amounts.Aggregate(Zero(unit), (sum, one) => sum + one);

    private static StockAmount Same(StockAmount left, StockAmount right) =>
        left.Unit == right.Unit ? right : throw new InvalidOperationException("A weight and pieces do not add up.");
}
