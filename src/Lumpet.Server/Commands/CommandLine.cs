using System.CommandLine;
using System.Net;
using System.Net.Sockets;
using Lumpet.Store;
using Microsoft.Data.Sqlite;

namespace Lumpet.Server.Commands;

/// <summary>The commands of the program.</summary>
internal static class CommandLine
{
    private const int DefaultPort = 4310;

    /// <summary>Runs a command; answers the exit code.</summary>
    public static Task<int> RunAsync(string[] args)
    {
        var root = new RootCommand("Lumpet plans the day of a pie bakery.")
        {
            ServeCommand("demo", "Start with the demo bakery.", demo: true),
            ServeCommand("serve", "Start with your own bakery.", demo: false),
            BakeCommands.Plan(),
            BakeCommands.Check(),
            BackupCommands.Backup(),
            BackupCommands.Restore(),
        };
        return root.Parse(args).InvokeAsync();
    }

    private static Command ServeCommand(string name, string description, bool demo)
    {
        var port = new Option<int>("--port") { Description = "Port to listen on.", DefaultValueFactory = _ => DefaultPort };
        var data = new Option<string?>("--data") { Description = "The bakery's database file; it is created where there is none." };
        var bind = new Option<string>("--bind") { Description = "Address to listen on. Anything but loopback lets others on the network in.", DefaultValueFactory = _ => "127.0.0.1" };
        var web = new Option<string?>("--web") { Description = "Folder of the built front end." };
        var command = new Command(name, description) { port, data, bind, web };
        command.SetAction((result, cancellation) => ServeAsync(
            demo, result.GetValue(port), result.GetValue(data), result.GetValue(bind)!, result.GetValue(web), cancellation));
        return command;
    }

    private static async Task<int> ServeAsync(
        bool demo, int port, string? data, string bind, string? web, CancellationToken cancellation)
    {
        if (port is < 1 or > 65535 || !IPAddress.TryParse(bind, out var address))
            return Refuse("--port takes 1 to 65535, and --bind an address such as 127.0.0.1.");
        var path = data ?? DefaultData(demo);
        try
        {
            using var held = DataLock.Take(path);
            var url = new UriBuilder("http", address.AddressFamily == AddressFamily.InterNetworkV6 ? $"[{bind}]" : bind, port).Uri;
            await using var app = LumpetApplication.Build(
                [$"--Data={path}", $"--Demo={demo}", $"--Web={web}", $"--urls={url}", $"--AllowedHosts={(IPAddress.IsLoopback(address) ? "localhost;127.0.0.1;[::1]" : "*")}"]);
            await app.StartAsync(cancellation);
            Console.WriteLine($"Lumpet is at {url}   (data: {path}; stop with Ctrl+C)");
            await app.WaitForShutdownAsync(cancellation);
            return 0;
        }
        catch (IOException exception) when (exception.InnerException is Microsoft.AspNetCore.Connections.AddressInUseException)
        {
            return Refuse($"Port {port} is taken. Stop what uses it, or choose another: --port {port + 1}");
        }
        catch (Exception exception) when (IsReadOnly(exception))
        {
            return Refuse($"Lumpet could not start with {path}: the file or its folder cannot be written. Check its permissions and its disk, or choose another place with --data.");
        }
        catch (Exception exception) when (exception is InvalidOperationException or SqliteException or UnauthorizedAccessException or IOException)
        {
            return Refuse($"Lumpet could not start with {path}: {exception.Message}");
        }
    }

    // What Linux answers on a disk that only reads (EROFS, errno.h), and SQLite on a file (SQLITE_READONLY).
    private static bool IsReadOnly(Exception exception) =>
        exception is UnauthorizedAccessException or IOException { HResult: 30 } or SqliteException { SqliteErrorCode: 8 };

    /// <summary>A demo's dates are relative to its first start, so that each day has its own file.</summary>
    internal static string DefaultData(bool demo) =>
        Path.Combine(
            Environment.GetEnvironmentVariable("LUMPET_HOME") ?? Path.Combine(Environment.CurrentDirectory, ".lumpet"),
            demo ? FormattableString.Invariant($"demo-{DateTime.Now:yyyy-MM-dd}.db") : "bakery.db");

    /// <summary>Says what is wrong, on the error stream.</summary>
    internal static int Refuse(string message)
    {
        Console.Error.WriteLine(message);
        return 2;
    }
}
