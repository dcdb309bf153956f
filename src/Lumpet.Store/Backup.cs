using Dapper;
using Microsoft.Data.Sqlite;

namespace Lumpet.Store;

/// <summary>Copies a database while it is in use, and puts a copy back.</summary>
public static class Backup
{
    private static readonly TimeSpan LeftOver = TimeSpan.FromHours(1);

    /// <summary>Writes a copy of a database that may be in use. The file appears whole or not at all.</summary>
    /// <param name="database">The database.</param>
    /// <param name="file">Where the copy goes; a file that is there already is only replaced when asked.</param>
    /// <param name="replace">Whether to replace a file that is there.</param>
    /// <exception cref="InvalidOperationException">There is nothing to copy, the copy has no place, or it is not sound.</exception>
    public static void Write(Database database, string file, bool replace = false)
    {
        if (!File.Exists(database.Path)) throw new InvalidOperationException($"There is no database {database.Path}; name it with --data.");
        var place = FileIdentity.RealPath(file);
        if (!Directory.Exists(Path.GetDirectoryName(place))) throw new InvalidOperationException($"There is no folder {Path.GetDirectoryName(place)}.");
        if (FileIdentity.Of(place) is { } there)
        {
            if (there == FileIdentity.Of(database.Path)) throw new InvalidOperationException($"{file} is the database itself. Choose another name for its copy.");
            if (!there.IsRegular) throw new InvalidOperationException($"{file} is no file that could be replaced. Choose another name.");
            if (!replace) throw new InvalidOperationException($"{file} is there already. Choose another name, or add --replace.");
            if (DataLock.IsHeld(place)) throw new InvalidOperationException($"{file} is a database that another Lumpet is running on. Choose another name.");
        }

        CopyWhole(database.Path, place, overwrite: replace);
    }

    /// <summary>Puts a copy in the place of a database that no server uses. What was there is kept beside it.</summary>
    /// <param name="database">The database.</param>
    /// <param name="file">The copy.</param>
    /// <param name="stamp">Goes into the name under which the present file is kept.</param>
    /// <returns>Where the present file is kept now; null where there was none.</returns>
    /// <exception cref="InvalidOperationException">The copy is not a sound Lumpet database of this program's time, or a server is running.</exception>
    public static string? Restore(Database database, string file, string stamp)
    {
        if (!File.Exists(file)) throw new InvalidOperationException($"There is no file {file}.");
        new Database(file).RefuseForeign();
        var place = FileIdentity.RealPath(database.Path);
        if (FileIdentity.Of(place) is { } there && there == FileIdentity.Of(file)) throw new InvalidOperationException($"{file} is the database itself; there is nothing to put back.");
        var isThere = FileIdentity.Of(place) is not null && new FileInfo(place).Length > 0;
        using var held = DataLock.Take(place);
        var kept = isThere ? Keep(place, stamp) : null;
        CopyWhole(file, place, overwrite: true);
        return kept;
    }

    /// <summary>Copies the present file to a name that nothing has yet.</summary>
    private static string Keep(string place, string stamp)
    {
        for (var number = 1; ; number++)
        {
            var kept = $"{place}.before-restore-{stamp}{(number == 1 ? string.Empty : $"-{number}")}";
            if (File.Exists(kept)) continue;
            try
            {
                CopyWhole(place, kept, overwrite: false);
                return kept;
            }
            catch (IOException) when (File.Exists(kept))
            {
                // Another took the name at the same moment.
            }
        }
    }

    private static void CopyWhole(string from, string to, bool overwrite)
    {
        foreach (var rest in Directory.EnumerateFiles(Path.GetDirectoryName(to)!, $"{Path.GetFileName(to)}.half-*").Where(rest => File.GetLastWriteTimeUtc(rest) < DateTime.UtcNow - LeftOver)) File.Delete(rest);
        var half = $"{to}.half-{Guid.NewGuid():N}";
        try
        {
            using (var source = Connect(from))
            using (var target = Connect(half, SqliteOpenMode.ReadWriteCreate))
            {
                source.BackupDatabase(target);
                // A copy is one file: no journal beside it.
                target.Execute("PRAGMA journal_mode = DELETE");
                if (target.ExecuteScalar<string>("PRAGMA integrity_check") != "ok")
                    throw new InvalidOperationException($"The copy of {from} is not sound; nothing was written.");
            }

            using (var handle = File.OpenHandle(half, FileMode.Open, FileAccess.ReadWrite)) RandomAccess.FlushToDisk(handle);
            FoldJournalIn(to);
            File.Move(half, to, overwrite);
        }
        finally
        {
            File.Delete(half);
        }
    }

    /// <summary>
    /// The journal of a file that is replaced would be taken for that of the new one. It is not thrown away but folded into
    /// its own file first: should the replacing be cut short here, nothing is lost.
    /// </summary>
    private static void FoldJournalIn(string path)
    {
        if (!File.Exists($"{path}-wal")) return;
        using (var connection = Connect(path)) connection.Execute("PRAGMA journal_mode = DELETE");
        if (File.Exists($"{path}-wal")) throw new InvalidOperationException($"{path} is a database in use. Stop what uses it, or choose another name.");
    }

    private static SqliteConnection Connect(string path, SqliteOpenMode mode = SqliteOpenMode.ReadWrite)
    {
        var connection = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = path, Mode = mode, Pooling = false }.ToString());
        try
        {
            connection.Open();
            return connection;
        }
        catch
        {
            connection.Dispose();
            throw;
        }
    }
}
