namespace Lumpet.Store;

/// <summary>
/// Held by a running server beside its database, so that a second server, or a restore, does not work on the same file.
/// The system lets go of it when the process ends, however it ends.
/// </summary>
public sealed class DataLock : IDisposable
{
    // What Linux answers where another process holds a lock (EWOULDBLOCK, errno.h).
    private const int HeldElsewhere = 11;

    private readonly FileStream stream;

    private DataLock(FileStream stream) => this.stream = stream;

    /// <summary>Takes the lock of a database file.</summary>
    /// <exception cref="InvalidOperationException">Another process holds it.</exception>
    /// <exception cref="IOException">The disk cannot be written.</exception>
    public static DataLock Take(string databasePath)
    {
        Directory.CreateDirectory(Path.GetDirectoryName(Path.GetFullPath(databasePath))!);
        try
        {
            return new DataLock(new FileStream($"{databasePath}.lock", FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None));
        }
        catch (IOException exception) when (exception.HResult == HeldElsewhere)
        {
            throw new InvalidOperationException("Another Lumpet is running on this database. Stop it first, or choose another file with --data.", exception);
        }
    }

    /// <inheritdoc/>
    public void Dispose() => stream.Dispose();
}
