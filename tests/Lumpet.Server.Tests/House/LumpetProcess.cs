using System.Diagnostics;
using System.Net;
using System.Net.Sockets;

namespace Lumpet.Server.Tests.House;

/// <summary>The program as a person starts it: a process of its own, on a port of its own.</summary>
internal sealed class LumpetProcess : IAsyncDisposable
{
    private readonly Process process;
    private bool isGone;

    private LumpetProcess(Process process, int port) =>
        (this.process, Client) = (process, new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{port}"), Timeout = TimeSpan.FromSeconds(30) });

    public HttpClient Client { get; }

    public string Greeting { get; private set; } = string.Empty;

    /// <summary>Starts a server and waits until it says that it is there.</summary>
    public static async Task<LumpetProcess> Serve(string command, string folder, params string[] args)
    {
        var port = FreePort();
        var process = new LumpetProcess(Start(folder, [command, "--port", $"{port}", .. args]), port);
        process.Greeting = await process.process.StandardOutput.ReadLineAsync() ?? await process.process.StandardError.ReadToEndAsync();
        return process;
    }

    /// <summary>Starts a server and kills it after so many milliseconds, whatever it has come to by then.</summary>
    public static async Task Killed(string command, string folder, int afterMs, params string[] args)
    {
        using var process = Start(folder, [command, "--port", $"{FreePort()}", .. args]);
        await Task.Delay(afterMs);
        process.Kill();
        await process.WaitForExitAsync();
    }

    /// <summary>Runs a command to its end.</summary>
    public static async Task<(int Code, string Output, string Error)> Run(string folder, params string[] args)
    {
        using var process = Start(folder, args);
        var error = process.StandardError.ReadToEndAsync();
        var output = await process.StandardOutput.ReadToEndAsync();
        await process.WaitForExitAsync();
        return (process.ExitCode, output, await error);
    }

    public static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }

    /// <summary>SIGKILL: the process is gone without another instruction.</summary>
    public async ValueTask DisposeAsync()
    {
        if (isGone) return;
        isGone = true;
        Client.Dispose();
        process.Kill();
        await process.WaitForExitAsync();
        process.Dispose();
    }

    private static Process Start(string folder, string[] args)
    {
        var start = new ProcessStartInfo("dotnet") { RedirectStandardError = true, RedirectStandardOutput = true, WorkingDirectory = folder };
        start.ArgumentList.Add(typeof(Program).Assembly.Location);
        foreach (var arg in args) start.ArgumentList.Add(arg);
        return Process.Start(start)!;
    }
}
