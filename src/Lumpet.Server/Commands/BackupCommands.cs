using System.CommandLine;
using System.Globalization;
using Lumpet.Store;
using Microsoft.Data.Sqlite;

namespace Lumpet.Server.Commands;

/// <summary>"backup" and "restore": a copy of the bakery's file, taken while it is in use, and put back.</summary>
internal static class BackupCommands
{
    /// <summary>lumpet backup FILE [--data FILE] [--replace].</summary>
    public static Command Backup()
    {
        var file = new Argument<string>("file") { Description = "Where the copy goes." };
        var data = Data();
        var replace = new Option<bool>("--replace") { Description = "Replace a file that is there already." };
        var command = new Command("backup", "Copy the bakery's database, also while Lumpet runs.") { file, data, replace };
        command.SetAction(result => Doing(result.GetValue(data), result.GetValue(file)!, database =>
        {
            Store.Backup.Write(database, result.GetValue(file)!, result.GetValue(replace));
            Console.WriteLine($"{database.Path} is copied to {Path.GetFullPath(result.GetValue(file)!)}.");
        }));
        return command;
    }

    /// <summary>lumpet restore FILE [--data FILE].</summary>
    public static Command Restore()
    {
        var file = new Argument<string>("file") { Description = "The copy to put back." };
        var data = Data();
        var command = new Command("restore", "Put a copy back. Lumpet must not be running; what is there now is kept beside it.") { file, data };
        command.SetAction(result => Doing(result.GetValue(data), result.GetValue(file)!, database =>
        {
            var kept = Store.Backup.Restore(database, result.GetValue(file)!, DateTime.Now.ToString("yyyyMMdd-HHmmss", CultureInfo.InvariantCulture));
            Console.WriteLine($"{database.Path} is now as in {Path.GetFullPath(result.GetValue(file)!)}.{(kept is null ? string.Empty : $" What was there is kept in {kept}.")}");
        }));
        return command;
    }

    private static Option<string?> Data() => new("--data") { Description = "The bakery's database file." };

    private static int Doing(string? data, string file, Action<Database> work)
    {
        if (string.IsNullOrWhiteSpace(file) || data is not null && string.IsNullOrWhiteSpace(data)) return CommandLine.Refuse("A file needs a name.");
        try
        {
            work(new Database(data ?? CommandLine.DefaultData(demo: false)));
            return 0;
        }
        catch (Exception exception) when (exception is InvalidOperationException or SqliteException or IOException or UnauthorizedAccessException or ArgumentException)
        {
            return CommandLine.Refuse(exception.Message.ReplaceLineEndings(" "));
        }
    }
}
