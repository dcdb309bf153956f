using System.Collections.Concurrent;
using System.Data;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Lumpet.Store;

/// <summary>Writes rows whose columns are the properties of an object.</summary>
internal static class Rows
{
    private static readonly ConcurrentDictionary<(Type Row, string Table), string> Statements = new();

    /// <summary>Inserts a row.</summary>
    public static void Insert(SqliteConnection connection, string table, object row) =>
        connection.Execute(Statements.GetOrAdd((row.GetType(), table), Statement), row);

    private static string Statement((Type Row, string Table) key)
    {
        var columns = key.Row.GetProperties().Select(property => property.Name).ToArray();
        return $"INSERT INTO {key.Table} ({string.Join(", ", columns)}) VALUES ({string.Join(", ", columns.Select(column => $"@{column}"))})";
    }
}
