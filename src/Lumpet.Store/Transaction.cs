using Microsoft.Data.Sqlite;

namespace Lumpet.Store;

/// <summary>
/// One change under way. It holds the write lock from the start, so that what is read through it cannot change before it
/// is kept: a rule that is checked here holds. Whatever leaves without <see cref="Commit"/> has changed nothing.
/// </summary>
public sealed class Transaction : IDisposable
{
    private readonly SqliteTransaction transaction;

    internal Transaction(SqliteConnection connection)
    {
        Connection = connection;
        // Taken at once: a change that began by reading could otherwise meet another in the middle.
        transaction = connection.BeginTransaction(deferred: false);
    }

    /// <summary>Reads and writes as part of the change.</summary>
    public SqliteConnection Connection { get; }

    /// <summary>Keeps all of it; it is on disk when this returns.</summary>
    /// <exception cref="SqliteException">The disk is full or gone, or what is kept would not hold together; nothing is kept.</exception>
    public void Commit() => transaction.Commit();

    /// <inheritdoc/>
    public void Dispose()
    {
        transaction.Dispose();
        Connection.Dispose();
    }
}
