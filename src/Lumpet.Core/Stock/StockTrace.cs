namespace Lumpet.Core.Stock;

/// <summary>An entry of the ledger, as a trace needs it.</summary>
/// <param name="Number">Its number; later entries have higher ones.</param>
/// <param name="Kind">What happened.</param>
/// <param name="Movements">What became more or less; none is zero.</param>
public sealed record TracedEntry(long Number, StockEntryKind Kind, IReadOnlyList<TracedMovement> Movements)
{
    /// <summary>Lots that lost something to it.</summary>
    public IEnumerable<Guid> From => Movements.Where(movement => movement.Amount.Count < 0).Select(movement => movement.Lot);

    /// <summary>Lots that came of it.</summary>
    public IEnumerable<Guid> To => Movements.Where(movement => movement.Amount.Count > 0).Select(movement => movement.Lot);

    /// <summary>Whether what came of it came of what was lost to it: a batch, or a part of a lot.</summary>
    public bool Leads => TraceStep.IsLeading(Kind);
}

/// <summary>So much of a lot.</summary>
/// <param name="Lot">The lot.</param>
/// <param name="Amount">By how much it became more or less.</param>
public sealed record TracedMovement(Guid Lot, StockAmount Amount);

/// <summary>An entry of the ledger as a way goes by it.</summary>
/// <param name="Number">Its number; later entries have higher ones.</param>
/// <param name="Kind">What happened.</param>
/// <param name="From">Lots that lost something to it.</param>
/// <param name="To">Lots that came of it, or became more by it.</param>
public sealed record TraceStep(long Number, StockEntryKind Kind, IReadOnlyList<Guid> From, IReadOnlyList<Guid> To)
{
    /// <summary>Whether what came of it came of what was lost to it. What is counted, thrown away or handed over leads nowhere.</summary>
    /// <param name="kind">What happened.</param>
    public static bool IsLeading(StockEntryKind kind) => kind is StockEntryKind.Made or StockEntryKind.Opened or StockEntryKind.Moved;
}

/// <summary>A way through the ledger, from one lot to all that it went into, or back to all that went into it.</summary>
/// <param name="Start">Where it begins.</param>
/// <param name="Lots">The lots on it, the start first, then as they were come to; each once.</param>
/// <param name="Steps">The entries on it, in the order of the books.</param>
public sealed record StockTrace(Guid Start, IReadOnlyList<Guid> Lots, IReadOnlyList<TraceStep> Steps);
