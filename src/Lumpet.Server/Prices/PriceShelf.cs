using Lumpet.Core.Ingredients;
using Lumpet.Store.Prices;
using Microsoft.Data.Sqlite;

namespace Lumpet.Server.Prices;

/// <summary>Keeps the books of prices as they were read last: they only grow, so their extent tells whether they are still the same, and what has been added since is all that is read.</summary>
internal sealed class PriceShelf
{
    private readonly Lock guard = new();
    private (string File, PriceBook Book, (long Prices, long Usual) Extent)? kept;

    /// <summary>Everything that is known of prices, as this connection sees it. Not to be asked in a transaction that has added to it: it may yet be left.</summary>
    public PriceBook Of(SqliteConnection connection)
    {
        var extent = PriceStore.Extent(connection);
        (string File, PriceBook Book, (long Prices, long Usual) Extent)? before;
        lock (guard) before = kept;
        if (before is { } known && known.File == connection.DataSource)
        {
            if (known.Extent == extent) return known.Book;
            // A connection that began earlier sees less than is kept: it reads for itself.
            if (known.Extent.Prices > extent.Prices || known.Extent.Usual > extent.Usual) return PriceStore.Book(connection);
        }
        else
        {
            before = null;
        }

        var read = before is { } shorter ? PriceStore.Grown(connection, shorter.Book, shorter.Extent) : PriceStore.Book(connection);
        lock (guard) kept = (connection.DataSource, read, extent);
        return read;
    }
}
