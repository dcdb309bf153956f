using Lumpet.Core.Recipes;
using Lumpet.Store.Recipes;
using Microsoft.Data.Sqlite;

namespace Lumpet.Server.Recipes;

/// <summary>Every product, kept in memory until a recipe, an ingredient or a pan changes: an order line is read against all of them at each key.</summary>
internal sealed class RecipeShelf
{
    private readonly Lock guard = new();
    private long stamp;
    private IReadOnlyList<Product> products = [];

    /// <summary>Every product as the connection sees it. Not to be asked in a transaction that has changed one: it may yet be left.</summary>
    public IReadOnlyList<Product> Products(SqliteConnection connection)
    {
        var present = LibraryStore.Stamp(connection);
        lock (guard)
        {
            if (present == stamp) return products;
        }

        var read = RecipeStore.Products(connection);
        lock (guard) (stamp, products) = (present, read);
        return read;
    }
}
