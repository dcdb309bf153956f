using Lumpet.Store.DemoData;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Store.Tests;

/// <summary>A real SQLite file that is gone after the test.</summary>
internal sealed class TemporaryDatabase : IDisposable
{
    public static readonly LocalDateTime Now = new(2026, 11, 25, 9, 0, 0);

    private readonly string folder = Directory.CreateTempSubdirectory("lumpet-test-").FullName;

    public TemporaryDatabase()
    {
        Database = new Database(Path.Combine(folder, "bakery.db"));
        IsNew = Database.Migrate();
    }

    public Database Database { get; }

    public bool IsNew { get; }

    public static TemporaryDatabase WithDemo()
    {
        var temporary = new TemporaryDatabase();
        DemoBakery.Fill(temporary.Database, DateTimeZoneProviders.Tzdb["Europe/Lisbon"], Now);
        return temporary;
    }

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }
}
