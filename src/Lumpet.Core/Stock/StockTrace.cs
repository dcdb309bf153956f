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
    public bool Leads => StockTrace.LeadingKinds.Contains(Kind);
}

/// <summary>So much of a lot.</summary>
/// <param name="Lot">The lot.</param>
/// <param name="Amount">By how much it became more or less.</param>
public sealed record TracedMovement(Guid Lot, StockAmount Amount);

/// <summary>One lot further on a way.</summary>
/// <param name="Entry">The number of the entry that leads there.</param>
/// <param name="Lot">The lot; null where the entry leads to none that the books know.</param>
public readonly record struct TraceHop(long Entry, Guid? Lot);

/// <summary>A way through the ledger, from one lot to all that it went into, or back to all that went into it.</summary>
/// <param name="Start">Where it begins.</param>
/// <param name="Lots">The lots on it, the start first, then as they were come to; each once.</param>
/// <param name="Entries">The numbers of the entries on it, in the order of the books.</param>
/// <remarks>Only numbers: a lot of salt is in all that a year made, and of ten thousand entries nobody wants to read more than who got the pies.</remarks>
public sealed record StockTrace(Guid Start, IReadOnlyList<Guid> Lots, IReadOnlyList<long> Entries)
{
    /// <summary>The kinds of entry whose lots come of what was lost to them. What is counted, thrown away or handed over leads nowhere.</summary>
    public static IReadOnlyList<StockEntryKind> LeadingKinds { get; } = [StockEntryKind.Made, StockEntryKind.Opened, StockEntryKind.Moved];

    /// <summary>Follows the books from a lot as far as they go.</summary>
    /// <param name="start">The lot.</param>
    /// <param name="onFrom">From some lots on: forward the entries that took of them, with each lot that came of those; back the entries that made them, with each lot that those took of.</param>
    public static StockTrace Of(Guid start, Func<IReadOnlyCollection<Guid>, IEnumerable<TraceHop>> onFrom)
    {
        var (lots, seen, entries) = (new List<Guid>(), new HashSet<Guid> { start }, new HashSet<long>());
        // A stretch at a time: the books are asked once for all lots that are as far on the way.
        for (List<Guid> stretch = [start]; stretch.Count > 0;)
        {
            lots.AddRange(stretch);
            var next = new List<Guid>();
            foreach (var (entry, lot) in onFrom(stretch))
            {
                entries.Add(entry);
                if (lot is { } further && seen.Add(further)) next.Add(further);
            }

            stretch = next;
        }

        return new StockTrace(start, lots, [.. entries.Order()]);
    }
}
