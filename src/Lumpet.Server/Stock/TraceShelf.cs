using Lumpet.Core.Stock;
using Lumpet.Store.Stock;
using Microsoft.Data.Sqlite;

namespace Lumpet.Server.Stock;

/// <summary>The ledger as ways go through it, with who the pies were for.</summary>
/// <param name="Book">The ways.</param>
/// <param name="Orders">The orders, each with its pies, by the entry of the pies.</param>
internal sealed record KeptTraces(TraceBook Book, ILookup<long, (EnteredOrder Order, StockedPie Pies)> Orders);

/// <summary>Keeps the ledger of the shelves as it was read last for traces: it only grows, so its last entry tells whether it is still the same, and what came since is all that is read.</summary>
internal sealed class TraceShelf
{
    private readonly Lock guard = new();
    private Kept? kept;

    private sealed record Kept(string File, long Last, IReadOnlyList<TraceStep> Steps, IReadOnlyList<(EnteredOrder Order, StockedPie Pies)> Orders, KeptTraces Traces);

    /// <summary>All ways through the ledger, as this connection sees it. Not to be asked in a transaction that has added to it: it may yet be left.</summary>
    public KeptTraces Of(SqliteConnection connection)
    {
        var last = StockStore.Last(connection);
        Kept? before;
        lock (guard) before = kept;
        if (before?.File != connection.DataSource) before = null;
        if (before?.Last == last) return before.Traces;
        // A connection that began earlier sees less than is kept: it reads for itself.
        var isEarlier = before?.Last > last;
        var read = Read(connection, isEarlier ? null : before, last);
        if (!isEarlier)
            lock (guard) kept = read;
        return read.Traces;
    }

    private static Kept Read(SqliteConnection connection, Kept? before, long last)
    {
        IReadOnlyList<TraceStep> steps = [.. before?.Steps ?? [], .. StockStore.Steps(connection, before?.Last ?? 0)];
        IReadOnlyList<(EnteredOrder Order, StockedPie Pies)> orders = [.. before?.Orders ?? [], .. StockStore.OrdersAfter(connection, before?.Last ?? 0)];
        return new Kept(connection.DataSource, last, steps, orders, new KeptTraces(new TraceBook(steps, StockStore.TakenBack(connection)), orders.ToLookup(one => one.Order.Entry)));
    }
}
