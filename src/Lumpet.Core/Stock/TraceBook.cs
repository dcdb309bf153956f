namespace Lumpet.Core.Stock;

/// <summary>
/// The ledger as ways go through it: from each lot to what took of it, and back to what made it. A lot of salt is in all that a year made, so a way of ten thousand
/// entries is walked here, where the next step is at hand, and only what is told of it is asked of the books.
/// </summary>
public sealed class TraceBook
{
    private readonly ILookup<Guid, TraceStep> took;
    private readonly ILookup<Guid, TraceStep> made;

    /// <summary>Opens it.</summary>
    /// <param name="steps">The entries of the ledger, in any order, each once.</param>
    /// <param name="takenBack">The numbers of those that were taken back: no way goes by them.</param>
    public TraceBook(IEnumerable<TraceStep> steps, IReadOnlySet<long> takenBack)
    {
        TraceStep[] leading = [.. steps.Where(step => TraceStep.IsLeading(step.Kind) && !takenBack.Contains(step.Number))];
        took = leading.SelectMany(step => step.From.Select(lot => (lot, step))).ToLookup(one => one.lot, one => one.step);
        made = leading.SelectMany(step => step.To.Select(lot => (lot, step))).ToLookup(one => one.lot, one => one.step);
    }

    /// <summary>Everything that a lot went into, however many hands it went through.</summary>
    public StockTrace Forward(Guid start) => Walk(start, took, step => step.To);

    /// <summary>Everything that went into a lot.</summary>
    public StockTrace Back(Guid start) => Walk(start, made, step => step.From);

    private static StockTrace Walk(Guid start, ILookup<Guid, TraceStep> from, Func<TraceStep, IEnumerable<Guid>> to)
    {
        var (lots, seen, steps) = (new List<Guid> { start }, new HashSet<Guid> { start }, new Dictionary<long, TraceStep>());
        // The list grows while it is gone through: what is come to stands behind what it was come to from.
        for (var at = 0; at < lots.Count; at++)
        {
            foreach (var step in from[lots[at]])
                if (steps.TryAdd(step.Number, step)) lots.AddRange(to(step).Where(seen.Add));
        }

        return new StockTrace(start, lots, [.. steps.Values.OrderBy(step => step.Number)]);
    }
}
