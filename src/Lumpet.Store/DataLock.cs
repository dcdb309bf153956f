namespace Lumpet.Store;

/// <summary>
/// Held by a running server on its database, so that a second server, or a restore, does not work on the same file. It
/// belongs to the file: another name for it, a link of either kind, meets the same lock. The system lets go of it when the
/// process ends, however it ends.
/// </summary>
public sealed class DataLock : IDisposable
{
    // What Linux answers where another process holds a lock (EWOULDBLOCK, errno.h).
    private const int HeldElsewhere = 11;

    // The one beside the database lasts while a restore puts another file in its place; the one on it holds for every name.
    private readonly FileStream[] held;

    private DataLock(params FileStream[] held) => this.held = held;

    /// <summary>Takes the lock of a database file, which is created where there is none.</summary>
    /// <exception cref="InvalidOperationException">Another process holds it, or it is no file.</exception>
    /// <exception cref="IOException">The disk cannot be written.</exception>
    public static DataLock Take(string databasePath)
    {
        var path = FileIdentity.RealPath(databasePath);
        if (FileIdentity.Of(path) is { IsRegular: false }) throw new InvalidOperationException($"{path} is no file in which a database could be kept.");
        Directory.CreateDirectory(Path.GetDirectoryName(path)!);
        var beside = Hold($"{path}.lock");
        try
        {
            return new DataLock(beside, Hold(path));
        }
        catch
        {
            beside.Dispose();
            throw;
        }
    }

    /// <summary>Whether a process holds the lock of a file.</summary>
    internal static bool IsHeld(string path)
    {
        if (!File.Exists(path)) return false;
        try
        {
            Hold(path).Dispose();
            return false;
        }
        catch (InvalidOperationException)
        {
            return true;
        }
    }

    /// <inheritdoc/>
    public void Dispose()
    {
        foreach (var stream in held) stream.Dispose();
    }

    private static FileStream Hold(string path)
    {
        try
        {
            // An advisory lock on the whole file (flock), which those of SQLite do not meet.
            return new FileStream(path, FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None);
        }
        catch (IOException exception) when (exception.HResult == HeldElsewhere)
        {
            throw new InvalidOperationException("Another Lumpet is running on this database. Stop it first, or choose another file with --data.", exception);
        }
    }
}
