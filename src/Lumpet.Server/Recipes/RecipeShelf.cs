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
    private long listedStamp;
    private Dictionary<string, RecipeListed> listed = [];

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

    /// <summary>Products as a list shows them, in the order of their ids: each is read once until a recipe, an ingredient or a pan changes.</summary>
    /// <param name="connection">The bakery; not in a transaction that has changed one.</param>
    /// <param name="ids">Which.</param>
    /// <param name="show">How a product is shown.</param>
    public IReadOnlyList<RecipeListed> Listed(SqliteConnection connection, IReadOnlyList<string> ids, Func<Product, RecipeListed> show)
    {
        var present = LibraryStore.Stamp(connection);
        Dictionary<string, RecipeListed> known;
        lock (guard)
        {
            if (present != listedStamp) (listedStamp, listed) = (present, []);
            known = ids.Where(listed.ContainsKey).ToDictionary(id => id, id => listed[id]);
        }

        string[] missing = [.. ids.Where(id => !known.ContainsKey(id))];
        foreach (var product in missing.Length == 0 ? [] : RecipeStore.Products(connection, missing)) known[product.Id] = show(product);
        lock (guard)
        {
            if (present == listedStamp)
                foreach (var (id, one) in known)
                    listed[id] = one;
        }

        return [.. ids.Where(known.ContainsKey).Select(id => known[id])];
    }
}
