using System.Reflection;
using Dapper;
using Lumpet.Store.Stock;
using Microsoft.Data.Sqlite;
using Xunit;

namespace Lumpet.Store.Tests.Stock;

/// <summary>What was noted as made already, before there were shelves, is on them afterwards.</summary>
public sealed class ShelvesMigrationTests
{
    [Fact]
    public void Notes_become_lots_with_as_much_in_them()
    {
        using var connection = new SqliteConnection("Data Source=:memory:");
        connection.Open();
        // References are not what is looked at.
        connection.Execute("PRAGMA foreign_keys = OFF");
        var assembly = Assembly.GetAssembly(typeof(StockStore))!;
        string[] scripts = [.. assembly.GetManifestResourceNames().Where(name => name.EndsWith(".sql", StringComparison.Ordinal)).Order(StringComparer.Ordinal)];
        var at = Array.FindIndex(scripts, name => name.Contains("0039-shelves", StringComparison.Ordinal));
        void Run(string script)
        {
            using var text = new StreamReader(assembly.GetManifestResourceStream(script)!);
            connection.Execute(text.ReadToEnd());
        }

        foreach (var script in scripts[..at]) Run(script);
        connection.Execute(
            """
            INSERT INTO made_already (id, dough_id, ingredient_id, grams, product_id, pan_id, pies, after_step, place, made_at, note, row_version) VALUES
            ('6f9619ff-8b86-d011-b42d-00cf4fc964ff', 'flaky', NULL, 6100.25, NULL, NULL, NULL, NULL, 'cold', '2026-11-25T07:30', 'two boxes', 3),
            ('7f9619ff-8b86-d011-b42d-00cf4fc964ff', NULL, 'praline', 0.0001, NULL, NULL, NULL, NULL, 'frozen', '2026-11-24T07:30', '', 1),
            ('8f9619ff-8b86-d011-b42d-00cf4fc964ff', NULL, NULL, NULL, 'pear', '23', 9, 'fill', 'room', '2026-11-25T08:00', '', 1)
            """);
        Run(scripts[at]);
        var lots = connection.Query<(string Id, string Unit, long Amount, string Place, string Since, string Note, long Version)>("SELECT id, unit, amount, place, since, note, row_version FROM stock_lot ORDER BY id").ToArray();
        Assert.Equal(
            [
                ("6f9619ff-8b86-d011-b42d-00cf4fc964ff", "milligram", 6_100_250, "cold", "2026-11-25T07:30", "two boxes", 3),
                // What was there stays there, however little it was.
                ("7f9619ff-8b86-d011-b42d-00cf4fc964ff", "milligram", 1, "frozen", "2026-11-24T07:30", "", 1),
                ("8f9619ff-8b86-d011-b42d-00cf4fc964ff", "piece", 9, "room", "2026-11-25T08:00", "", 1),
            ],
            lots);
        Assert.Equal(1, connection.QuerySingle<long>("SELECT count(*) FROM stock_entry WHERE kind = 'counted'"));
        Assert.Equal(3, connection.QuerySingle<long>("SELECT count(*) FROM stock_movement"));
        Assert.Empty(connection.Query("SELECT 1 FROM sqlite_master WHERE name = 'made_already'"));
    }
}
