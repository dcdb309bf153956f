using System.Reflection;
using Dapper;
using DbUp;
using DbUp.Sqlite.Helpers;
using Microsoft.Data.Sqlite;

namespace Lumpet.Store;

/// <summary>The bakery's SQLite file: opens connections, and brings the file up to the program's migrations.</summary>
public sealed class Database
{
    private readonly string connectionString;

    /// <summary>A database in a file, which is created when it is first migrated.</summary>
    public Database(string path)
    {
        Path = System.IO.Path.GetFullPath(path);
        // Waiting writers wait instead of failing: two people may save at once.
        connectionString = new SqliteConnectionStringBuilder { DataSource = Path, DefaultTimeout = 10, ForeignKeys = true }.ToString();
    }

    /// <summary>The file.</summary>
    public string Path { get; }

    /// <summary>A connection that reads one moment of the database: what others keep meanwhile is not seen through it.</summary>
    public SqliteConnection Open()
    {
        var connection = Connect();
        try
        {
            // Ends with the connection.
            _ = connection.BeginTransaction(deferred: true);
            return connection;
        }
        catch
        {
            connection.Dispose();
            throw;
        }
    }

    /// <summary>Begins a change; others that begin one wait until it is kept or left.</summary>
    public Transaction Begin()
    {
        var connection = Connect();
        try
        {
            return new Transaction(connection);
        }
        catch
        {
            connection.Dispose();
            throw;
        }
    }

    /// <summary>Runs work as one change; all of it is kept or none.</summary>
    public T Write<T>(Func<Transaction, T> work)
    {
        using var transaction = Begin();
        var result = work(transaction);
        transaction.Commit();
        return result;
    }

    private SqliteConnection Connect()
    {
        var connection = new SqliteConnection(connectionString);
        try
        {
            connection.Open();
            // Confirmed writes are on disk. 16 MB of pages stay at hand: a walk through a year's books comes by the same ones again and again.
            connection.Execute("PRAGMA synchronous = FULL; PRAGMA cache_size = -16000");
            return connection;
        }
        catch
        {
            connection.Dispose();
            throw;
        }
    }

    /// <summary>Creates the file or brings it up to date. Answers whether it was new.</summary>
    /// <exception cref="InvalidOperationException">A migration failed, or the file is newer than this program.</exception>
    public bool Migrate()
    {
        Directory.CreateDirectory(System.IO.Path.GetDirectoryName(Path)!);
        var isNew = !File.Exists(Path) || new FileInfo(Path).Length == 0;
        using var connection = Connect();
        // Outside any transaction, as SQLite asks.
        connection.Execute("PRAGMA journal_mode = WAL");
        if (!isNew) RefuseNewer(connection);
        using var shared = new SharedConnection(connection);
        var upgrade = DeployChanges.To
            .SqliteDatabase(shared)
            .WithScriptsEmbeddedInAssembly(Assembly.GetExecutingAssembly(), name => name.EndsWith(".sql", StringComparison.Ordinal));
        // A new file is made at once: nobody waits for every step of its history to reach the disk.
        var result = (isNew ? upgrade.WithTransaction() : upgrade.WithTransactionPerScript())
            .LogToNowhere()
            .Build()
            .PerformUpgrade();
        return result.Successful ? isNew : throw new InvalidOperationException($"The database {Path} could not be brought up to date: {result.Error.Message}", result.Error);
    }

    /// <summary>Makes sure that the file is a sound database of Lumpet, and not newer than this program. Changes nothing.</summary>
    /// <exception cref="InvalidOperationException">It is not; the message says why.</exception>
    public void RefuseForeign()
    {
        try
        {
            using var connection = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = Path, Mode = SqliteOpenMode.ReadWrite, Pooling = false }.ToString());
            connection.Open();
            if (!HasJournal(connection)) throw new InvalidOperationException($"{Path} is a database, but none of Lumpet's.");
            if (connection.ExecuteScalar<string>("PRAGMA integrity_check") != "ok") throw new InvalidOperationException($"{Path} is damaged.");
            RefuseNewer(connection);
        }
        catch (SqliteException exception)
        {
            throw new InvalidOperationException($"{Path} cannot be read as a database: {exception.Message}", exception);
        }
    }

    private static bool HasJournal(SqliteConnection connection) =>
        connection.ExecuteScalar<long>("SELECT count(*) FROM sqlite_master WHERE name = 'SchemaVersions'") > 0;

    private void RefuseNewer(SqliteConnection connection)
    {
        if (!HasJournal(connection)) return;
        var known = Assembly.GetExecutingAssembly().GetManifestResourceNames();
        var unknown = connection.Query<string>("SELECT ScriptName FROM SchemaVersions").Except(known).ToArray();
        if (unknown.Length > 0)
            throw new InvalidOperationException($"The database {Path} was written by a newer Lumpet; start that one, or choose another file with --data.");
    }
}
