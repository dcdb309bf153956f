using System.CommandLine;
using System.Net;
using System.Net.Sockets;
using System.Text.RegularExpressions;
using Lumpet.Store;
using Microsoft.Data.Sqlite;

namespace Lumpet.Server.Commands;

/// <summary>The commands of the program.</summary>
internal static partial class CommandLine
{
    private const int DefaultPort = 4310;
    private const int LeastThreads = 16;

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
        var parsed = root.Parse(args);
        return parsed.Errors.Count > 0 ? Task.FromResult(Refuse($"{Plainly(parsed.Errors[0].Message)} ./lumpet help lists what there is.")) : parsed.InvokeAsync();
    }

    // The parser names types of the language where a person wants to know which word was not understood.
    private static string Plainly(string message) =>
        Unparsed().Match(message) is { Success: true } unparsed ? $"{unparsed.Groups["option"].Value} does not take \"{unparsed.Groups["value"].Value}\"." : message;

    [GeneratedRegex("^Cannot parse argument '(?<value>.*)' for option '(?<option>.*?)' as expected type")]
    private static partial Regex Unparsed();

    private static Command ServeCommand(string name, string description, bool demo)
    {
        var port = new Option<int>("--port") { Description = "Port to listen on.", DefaultValueFactory = _ => DefaultPort };
        var data = new Option<string?>("--data") { Description = "The bakery's database file; it is created where there is none." };
        var bind = new Option<string>("--bind") { Description = "Address to listen on. Anything but loopback lets others on the network in.", DefaultValueFactory = _ => "127.0.0.1" };
        var web = new Option<string?>("--web") { Description = "Folder of the built front end." };
        var host = new Option<string[]>("--host") { Description = "Another name under which this machine is called on the network; may be given more than once.", DefaultValueFactory = _ => [] };
        var command = new Command(name, description) { port, data, bind, web, host };
        command.SetAction((result, cancellation) =>
            ServeAsync(new Serving(demo, result.GetValue(port), result.GetValue(data) ?? DefaultData(demo), result.GetValue(bind)!, result.GetValue(web), result.GetValue(host)!), cancellation));
        return command;
    }

    private sealed record Serving(bool Demo, int Port, string Data, string Bind, string? Web, IReadOnlyList<string> Hosts);

    private static async Task<int> ServeAsync(Serving serving, CancellationToken cancellation)
    {
        var (port, data) = (serving.Port, serving.Data);
        if (port is < 1 or > 65535 || !IPAddress.TryParse(serving.Bind, out var address)) return Refuse("--port takes 1 to 65535, and --bind an address such as 127.0.0.1.");
        if (string.IsNullOrWhiteSpace(data)) return Refuse("--data takes the name of a file.");
        if (serving.Web is { Length: > 0 } web && !Directory.Exists(web)) return Refuse($"There is no folder {web}; --web names the built front end.");
        if (serving.Hosts.FirstOrDefault(name => Uri.CheckHostName(name) == UriHostNameType.Unknown) is { } odd) return Refuse($"--host takes a name such as kitchen.local, not \"{odd}\".");
        try
        {
            using var held = DataLock.Take(data);
            // A few answers that take a moment to be written must not keep everybody else waiting for a thread.
            ThreadPool.SetMinThreads(LeastThreads, LeastThreads);
            var url = new UriBuilder("http", address.AddressFamily == AddressFamily.InterNetworkV6 ? $"[{address}]" : $"{address}", port).Uri;
            await using var app = LumpetApplication.Build(
                [$"--Data={data}", $"--Demo={serving.Demo}", $"--Web={serving.Web}", $"--urls={url}", $"--AllowedHosts={string.Join(';', HostNames.Of(address, serving.Hosts))}"]);
            await app.StartAsync(cancellation);
            Console.WriteLine($"Lumpet is at {url}   (data: {data}; stop with Ctrl+C)");
            await app.WaitForShutdownAsync(cancellation);
            return 0;
        }
        catch (IOException exception) when (exception.InnerException is Microsoft.AspNetCore.Connections.AddressInUseException)
        {
            return Refuse($"Port {port} is taken. Stop what uses it, or choose another: --port {(port < 65535 ? port + 1 : DefaultPort)}");
        }
        catch (SocketException exception) when (exception.SocketErrorCode == SocketError.AddressNotAvailable)
        {
            return Refuse($"{serving.Bind} is no address of this machine; --bind takes one of its own.");
        }
        catch (SocketException exception) when (exception.SocketErrorCode == SocketError.AccessDenied)
        {
            return Refuse($"Port {port} is kept for the system's own services; choose one from 1024 on.");
        }
        catch (Exception exception) when (IsReadOnly(exception))
        {
            return Refuse($"Lumpet could not start with {data}: the file or its folder cannot be written. Check its permissions and its disk, or choose another place with --data.");
        }
        catch (Exception exception) when (exception is not OperationCanceledException)
        {
            // Whatever it is, it is told in a line: a stack trace helps nobody who wants to bake.
            return Refuse($"Lumpet could not start with {data}: {exception.Message.ReplaceLineEndings(" ")}");
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
