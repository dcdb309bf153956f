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

    /// <summary>The same entry, with what another account of it knows that moved.</summary>
    internal TracedEntry With(TracedEntry other) => this with { Movements = [.. Movements.UnionBy(other.Movements, movement => movement.Lot)] };

    /// <summary>Whether what came of it came of what was lost to it: a batch, or a part of a lot.</summary>
    public bool Leads => Kind is StockEntryKind.Made or StockEntryKind.Opened or StockEntryKind.Moved;
}

/// <summary>So much of a lot.</summary>
/// <param name="Lot">The lot.</param>
/// <param name="Amount">By how much it became more or less.</param>
public sealed record TracedMovement(Guid Lot, StockAmount Amount);

/// <summary>A way through the ledger, from one lot to all that it went into, or back to all that went into it.</summary>
/// <param name="Start">Where it begins.</param>
/// <param name="Lots">The lots on it, the start first, then as they were come to; each once.</param>
/// <param name="Steps">The entries on it, in the order of the books.</param>
public sealed record StockTrace(Guid Start, IReadOnlyList<Guid> Lots, IReadOnlyList<TracedEntry> Steps)
{
    /// <summary>Everything that a lot went into, however many hands it went through.</summary>
    /// <param name="start">The lot.</param>
    /// <param name="entriesOf">The entries that take of some lots, with what they make of it at least; the lots are those of one stretch of the way.</param>
    public static StockTrace Forward(Guid start, Func<IReadOnlyCollection<Guid>, IEnumerable<TracedEntry>> entriesOf) => Of(start, entriesOf, entry => entry.From, entry => entry.To);

    /// <summary>Everything that went into a lot.</summary>
    /// <param name="start">The lot.</param>
    /// <param name="entriesOf">The entries that make some lots, with what they take for it.</param>
    public static StockTrace Back(Guid start, Func<IReadOnlyCollection<Guid>, IEnumerable<TracedEntry>> entriesOf) => Of(start, entriesOf, entry => entry.To, entry => entry.From);

    private static StockTrace Of(
        Guid start, Func<IReadOnlyCollection<Guid>, IEnumerable<TracedEntry>> entriesOf, Func<TracedEntry, IEnumerable<Guid>> here, Func<TracedEntry, IEnumerable<Guid>> there)
    {
        var (lots, seen, entries) = (new List<Guid>(), new HashSet<Guid> { start }, new Dictionary<long, TracedEntry>());
        // A stretch at a time: the books are asked once for all lots that are as far on the way.
        for (List<Guid> stretch = [start]; stretch.Count > 0;)
        {
            lots.AddRange(stretch);
            var (among, next) = (stretch.ToHashSet(), new List<Guid>());
            foreach (var entry in entriesOf(stretch).Where(entry => entry.Leads && here(entry).Any(among.Contains)))
            {
                entries[entry.Number] = entries.TryGetValue(entry.Number, out var before) ? before.With(entry) : entry;
                next.AddRange(there(entry).Where(seen.Add));
            }

            stretch = next;
        }

        return new StockTrace(start, lots, [.. entries.Values.OrderBy(entry => entry.Number)]);
    }
}
