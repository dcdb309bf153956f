namespace Lumpet.Core.Orders;

/// <summary>All orders of one day together. A plan grows with them, so that a slip of the finger must not ask for a million pies.</summary>
/// <param name="Lines">Order lines.</param>
/// <param name="Pies">Pies of all lines.</param>
public sealed record OrdersOfADay(int Lines, long Pies)
{
    /// <summary>The most lines of one day.</summary>
    public const int MostLines = 3000;

    /// <summary>The most pies of one day.</summary>
    public const int MostPies = 100_000;

    /// <summary>The day with another line.</summary>
    public OrdersOfADay With(OrderLine line) => new(Lines + 1, Pies + line.Count);

    /// <summary>What is too much, or null.</summary>
    public FieldFault? Fault =>
        Lines > MostLines ? new FieldFault("line", $"A day takes up to {MostLines} order lines.")
        : Pies > MostPies ? new FieldFault("count", $"A day takes up to {MostPies} pies; with this it would have {Pies}.")
        : null;
}
