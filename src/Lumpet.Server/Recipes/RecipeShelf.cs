using Dapper;
using Lumpet.Core.Recipes;
using Lumpet.Store.Recipes;
using Microsoft.Data.Sqlite;

namespace Lumpet.Server.Recipes;

/// <summary>Every product, kept in memory until a recipe, an ingredient or a pan changes: an order line is read against all of them at each key.</summary>
internal sealed class RecipeShelf
{
    private readonly Lock guard = new();
    private string stamp = string.Empty;
    private IReadOnlyList<Product> products = [];

    /// <summary>Every product as it is in the database now.</summary>
    public IReadOnlyList<Product> Products(SqliteConnection connection)
    {
        // Every save of a recipe adds a version; pans are part of the bakery.
        var present = connection.QuerySingle<string>(
            """
            SELECT (SELECT count(*) FROM recipe_version) || ' ' || (SELECT total(row_version) FROM ingredient) || ' ' || (SELECT count(*) FROM ingredient)
              || ' ' || (SELECT total(row_version) FROM bakery) || ' ' || (SELECT total(row_version) FROM product) || ' ' || (SELECT count(*) FROM product)
            """);
        lock (guard)
        {
            if (present == stamp) return products;
        }

        var read = RecipeStore.Products(connection);
        lock (guard) (stamp, products) = (present, read);
        return read;
    }
}
