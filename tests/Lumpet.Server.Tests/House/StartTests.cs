using System.Net;
using Xunit;

namespace Lumpet.Server.Tests.House;

public sealed class StartTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("lumpet-start-").FullName;

    public void Dispose() => Directory.Delete(folder, recursive: true);

    [Fact]
    public async Task The_demo_prints_its_address_answers_there_and_serves_the_front_end()
    {
        var web = Directory.CreateDirectory(Path.Combine(folder, "web")).FullName;
        await File.WriteAllTextAsync(Path.Combine(web, "index.html"), "<title>Lumpet</title>");
        await using var server = await LumpetProcess.Serve("demo", folder, "--data", "demo.db", "--web", web);
        var client = server.Client;
        Assert.Contains(client.BaseAddress!.ToString(), server.Greeting, StringComparison.Ordinal);
        Assert.Equal("ok", await client.GetStringAsync(new Uri("/healthz", UriKind.Relative)));
        Assert.Contains("Tern Quay Bakehouse", await client.GetStringAsync(new Uri("/api/bakery", UriKind.Relative)), StringComparison.Ordinal);
        Assert.Equal("<title>Lumpet</title>", await client.GetStringAsync(new Uri("/", UriKind.Relative)));

        // A name that is not this machine's is refused: nobody else's page may talk to the bakery.
        using var foreign = new HttpRequestMessage(HttpMethod.Get, "/api/bakery");
        foreign.Headers.Host = "elsewhere.example";
        Assert.Equal(HttpStatusCode.BadRequest, (await client.SendAsync(foreign)).StatusCode);

        // The port is taken now, and the second start says the way out; so does one on the same database.
        var (code, _, words) = await LumpetProcess.Run(folder, "serve", "--port", $"{client.BaseAddress.Port}", "--data", "other.db");
        Assert.Equal(2, code);
        Assert.Contains($"Port {client.BaseAddress.Port} is taken", words, StringComparison.Ordinal);
        (code, _, words) = await LumpetProcess.Run(folder, "serve", "--port", $"{LumpetProcess.FreePort()}", "--data", "demo.db");
        Assert.Equal(2, code);
        Assert.Contains("Another Lumpet is running on this database", words, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("--port", "0", "--port takes")]
    [InlineData("--bind", "everywhere", "--bind an address")]
    [InlineData("--port", "x", "--port does not take \"x\"")]
    [InlineData("--port", "70000", "--port takes")]
    [InlineData("--bind", "192.0.2.1", "192.0.2.1 is no address of this machine")]
    [InlineData("--data", "", "--data takes the name of a file")]
    [InlineData("--data", "/", "is no file in which a database could be kept")]
    [InlineData("--data", "/dev/null", "is no file in which a database could be kept")]
    [InlineData("--web", "/nowhere", "There is no folder /nowhere")]
    [InlineData("--host", "two words", "--host takes a name")]
    [InlineData("--colour", "red", "./lumpet help lists what there is")]
    [InlineData("--data", "/proc/nowhere/bakery.db", "could not start with /proc/nowhere/bakery.db")]
    public async Task A_start_that_cannot_work_says_why(string option, string value, string words)
    {
        var (code, _, error) = await LumpetProcess.Run(folder, "demo", option, value);
        Assert.Contains(words, error, StringComparison.Ordinal);
        Assert.Equal(2, code);
        // In one line, without a trace of the program's insides.
        Assert.Single(error.Trim().Split('\n'));
    }

    [Fact]
    public async Task A_file_that_is_no_database_is_left_alone()
    {
        var path = Path.Combine(folder, "notes.txt");
        await File.WriteAllTextAsync(path, new string('x', 5000));
        var (code, _, error) = await LumpetProcess.Run(folder, "serve", "--port", $"{LumpetProcess.FreePort()}", "--data", path);
        Assert.Contains("notes.txt", error, StringComparison.Ordinal);
        Assert.Equal(2, code);
        Assert.Equal(new string('x', 5000), await File.ReadAllTextAsync(path));
    }
}
