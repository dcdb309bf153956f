using System.Data;
using Dapper;

namespace Lumpet.Store;

/// <summary>Writes rows whose columns are the properties of an object.</summary>
internal static class Rows
{
    /// <summary>Inserts a row.</summary>
    public static void Insert(IDbConnection connection, IDbTransaction transaction, string table, object row)
    {
        var columns = row.GetType().GetProperties().Select(property => property.Name).ToArray();
        connection.Execute(
            $"INSERT INTO {table} ({string.Join(", ", columns)}) VALUES ({string.Join(", ", columns.Select(column => $"@{column}"))})",
            row,
            transaction);
    }
}
