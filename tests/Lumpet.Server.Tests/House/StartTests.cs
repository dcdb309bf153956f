using System.Diagnostics;
using System.Net;
using System.Net.Sockets;
using Xunit;

namespace Lumpet.Server.Tests.House;

/// <summary>The program as a person starts it: a process of its own, on a port of its own.</summary>
public sealed class StartTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("lumpet-start-").FullName;

    public void Dispose() => Directory.Delete(folder, recursive: true);

    private Process Start(params string[] args)
    {
        var start = new ProcessStartInfo("dotnet") { RedirectStandardError = true, RedirectStandardOutput = true, WorkingDirectory = folder };
        start.ArgumentList.Add(typeof(Program).Assembly.Location);
        foreach (var arg in args) start.ArgumentList.Add(arg);
        return Process.Start(start)!;
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }

    [Fact]
    public async Task The_demo_prints_its_address_answers_there_and_serves_the_front_end()
    {
        var (port, web) = (FreePort(), Directory.CreateDirectory(Path.Combine(folder, "web")).FullName);
        await File.WriteAllTextAsync(Path.Combine(web, "index.html"), "<title>Lumpet</title>");
        using var process = Start("demo", "--port", $"{port}", "--data", "demo.db", "--web", web);
        try
        {
            Assert.Contains($"http://127.0.0.1:{port}/", await process.StandardOutput.ReadLineAsync(), StringComparison.Ordinal);
            using var client = new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{port}") };
            Assert.Equal("ok", await client.GetStringAsync(new Uri("/healthz", UriKind.Relative)));
            Assert.Contains("Tern Quay Bakehouse", await client.GetStringAsync(new Uri("/api/bakery", UriKind.Relative)), StringComparison.Ordinal);
            Assert.Equal("<title>Lumpet</title>", await client.GetStringAsync(new Uri("/", UriKind.Relative)));

            // A name that is not this machine's is refused: nobody else's page may talk to the bakery.
            using var foreign = new HttpRequestMessage(HttpMethod.Get, "/api/bakery");
            foreign.Headers.Host = "elsewhere.example";
            Assert.Equal(HttpStatusCode.BadRequest, (await client.SendAsync(foreign)).StatusCode);

            // The port is taken now, and the second start says the way out.
            using var second = Start("serve", "--port", $"{port}", "--data", "other.db");
            Assert.Contains($"Port {port} is taken", await second.StandardError.ReadToEndAsync(), StringComparison.Ordinal);
            await second.WaitForExitAsync();
            Assert.Equal(2, second.ExitCode);
        }
        finally
        {
            process.Kill(entireProcessTree: true);
            await process.WaitForExitAsync();
        }
    }

    [Theory]
    [InlineData("--port", "0", "--port takes")]
    [InlineData("--bind", "everywhere", "--bind an address")]
    public async Task A_start_that_cannot_work_says_why(string option, string value, string words)
    {
        using var process = Start("demo", option, value, "--data", "demo.db");
        Assert.Contains(words, await process.StandardError.ReadToEndAsync(), StringComparison.Ordinal);
        await process.WaitForExitAsync();
        Assert.Equal(2, process.ExitCode);
    }

    [Fact]
    public async Task A_file_that_is_no_database_is_left_alone()
    {
        var path = Path.Combine(folder, "notes.txt");
        await File.WriteAllTextAsync(path, new string('x', 5000));
        using var process = Start("serve", "--port", $"{FreePort()}", "--data", path);
        Assert.Contains("notes.txt", await process.StandardError.ReadToEndAsync(), StringComparison.Ordinal);
        await process.WaitForExitAsync();
        Assert.Equal(2, process.ExitCode);
        Assert.Equal(new string('x', 5000), await File.ReadAllTextAsync(path));
    }
}
