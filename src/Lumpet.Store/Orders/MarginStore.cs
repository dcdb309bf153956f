using Dapper;
using Lumpet.Core.Orders;
using Microsoft.Data.Sqlite;

namespace Lumpet.Store.Orders;

/// <summary>Keeps what is baked beyond what is ordered, by product.</summary>
public static class MarginStore
{
    /// <summary>All of them.</summary>
    public static Margins All(SqliteConnection connection) =>
        new(connection.Query<Row>("SELECT product_id AS productId, percent FROM product_margin").ToDictionary(row => row.ProductId, row => (int)row.Percent));

    /// <summary>Sets the margin of a product that still has the one it was read with.</summary>
    /// <param name="transaction">The change it is part of.</param>
    /// <param name="product">Id of the product.</param>
    /// <param name="percent">Percent; 0 for none.</param>
    /// <param name="before">What it was when it was read; 0 for none.</param>
    public static ChangeOutcome Set(Transaction transaction, string product, int percent, int before)
    {
        var connection = transaction.Connection;
        if (connection.QuerySingle<long>("SELECT count(*) FROM product WHERE id = @product", new { product }) == 0) return ChangeOutcome.Gone;
        if (All(connection).ByProduct.GetValueOrDefault(product) != before) return ChangeOutcome.Conflict;
        connection.Execute("DELETE FROM product_margin WHERE product_id = @product", new { product });
        if (percent > 0) connection.Execute("INSERT INTO product_margin (product_id, percent) VALUES (@product, @percent)", new { product, percent });
        return ChangeOutcome.Done;
    }

    private sealed record Row(string ProductId, long Percent);
}
