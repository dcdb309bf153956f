using Lumpet.Core.Ingredients;
using Lumpet.Store.Prices;
using Microsoft.Data.Sqlite;

namespace Lumpet.Server.Prices;

/// <summary>Keeps the books of prices as they were read last: they only grow, so their extent tells whether they are still the same.</summary>
internal sealed class PriceShelf
{
    private readonly Lock guard = new();
    private (string File, long Prices, long Usual) extent;
    private PriceBook? kept;

    /// <summary>Everything that is known of prices, as this connection sees it. Not to be asked in a transaction that has added to it: it may yet be left.</summary>
    public PriceBook Of(SqliteConnection connection)
    {
        var (prices, usual) = PriceStore.Extent(connection);
        var now = (connection.DataSource, prices, usual);
        lock (guard)
            if (kept is { } book && extent == now) return book;
        var read = PriceStore.Book(connection);
        lock (guard) (extent, kept) = (now, read);
        return read;
    }
}
