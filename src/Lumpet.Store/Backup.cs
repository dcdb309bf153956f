using Dapper;
using Microsoft.Data.Sqlite;

namespace Lumpet.Store;

/// <summary>Copies a database while it is in use, and puts a copy back.</summary>
public static class Backup
{
    /// <summary>Writes a copy of a database that may be in use. The file appears whole or not at all.</summary>
    /// <param name="database">The database.</param>
    /// <param name="file">Where the copy goes; a file that is there already is only replaced when asked.</param>
    /// <param name="replace">Whether to replace a file that is there.</param>
    /// <exception cref="InvalidOperationException">There is nothing to copy, the file is there already, or the copy is not sound.</exception>
    public static void Write(Database database, string file, bool replace = false)
    {
        if (!File.Exists(database.Path)) throw new InvalidOperationException($"There is no database {database.Path}; name it with --data.");
        if (File.Exists(file) && !replace) throw new InvalidOperationException($"{file} is there already. Choose another name, or add --replace.");
        CopyWhole(database.Path, file);
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
        using var held = DataLock.Take(database.Path);
        string? kept = null;
        if (File.Exists(database.Path))
        {
            kept = $"{database.Path}.before-restore-{stamp}";
            CopyWhole(database.Path, kept);
        }

        CopyWhole(file, database.Path);
        return kept;
    }

    private static void CopyWhole(string from, string to)
    {
        var half = $"{to}.half";
        File.Delete(half);
        try
        {
            using (var source = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = from, Mode = SqliteOpenMode.ReadWrite, Pooling = false }.ToString()))
            using (var target = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = half, Pooling = false }.ToString()))
            {
                source.Open();
                target.Open();
                source.BackupDatabase(target);
                // A copy is one file: no journal beside it.
                target.Execute("PRAGMA journal_mode = DELETE");
                if (target.ExecuteScalar<string>("PRAGMA integrity_check") != "ok")
                    throw new InvalidOperationException($"The copy of {from} is not sound; nothing was written.");
            }

            using (var handle = File.OpenHandle(half, FileMode.Open, FileAccess.ReadWrite)) RandomAccess.FlushToDisk(handle);
            // Journals of a file that is replaced would be taken for those of the new one.
            foreach (var rest in (string[])[$"{to}-wal", $"{to}-shm"]) File.Delete(rest);
            File.Move(half, to, overwrite: true);
        }
        finally
        {
            File.Delete(half);
        }
    }
}
