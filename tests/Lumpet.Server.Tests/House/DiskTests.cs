using System.Diagnostics;
using System.Net.Http.Json;
using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.House;

/// <summary>A small disk of its own, that can be filled and locked. Where the system allows no mounts, these are skipped.</summary>
public sealed class DiskTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("lumpet-disk-").FullName;
    private readonly bool isMounted;

    public DiskTests() => isMounted = Mount("-t", "tmpfs", "-o", "size=4m", "tmpfs", folder);

    public void Dispose()
    {
        if (isMounted) Call("umount", "--lazy", folder);
        Directory.Delete(folder);
    }

    private static bool Mount(params string[] args) => Call("mount", args);

    private static bool Call(string program, params string[] args)
    {
        using var process = Process.Start(new ProcessStartInfo(program, args) { RedirectStandardError = true })!;
        process.WaitForExit();
        return process.ExitCode == 0;
    }

    [Fact]
    public async Task A_full_disk_is_said_and_nothing_is_lost()
    {
        Assert.SkipUnless(isMounted, "this system allows no mounts");
        await using var server = await LumpetProcess.Serve("demo", folder, "--data", "bakery.db");
        var bakery = await server.Client.GetFromJsonAsync<JsonElement>("/api/bakery");
        var day = bakery.GetProperty("nextDay").GetString();
        var before = await server.Client.GetStringAsync(new Uri($"/api/orders/{day}", UriKind.Relative));
        var filler = Path.Combine(folder, "filler");
        await using (var stream = File.Create(filler))
        {
            var block = new byte[4096];
            try
            {
                while (true) stream.Write(block);
            }
            catch (IOException)
            {
                // Now it is full.
            }
        }

        // The journal has room for a few changes; then the disk is asked for more.
        HttpResponseMessage refused;
        var taken = 0;
        while ((refused = await server.Client.PostAsJsonAsync("/api/orders", new { product = "pear", pan = "23", count = 1, pickUp = $"{day}T10:00", @for = "full" })).IsSuccessStatusCode) taken++;
        var problem = await refused.Content.ReadFromJsonAsync<JsonElement>();
        Assert.True((int)refused.StatusCode is 507 or 503, problem.GetRawText());
        Assert.Contains("Nothing was changed", problem.GetProperty("title").GetString(), StringComparison.Ordinal);
        Assert.Contains("full", problem.GetProperty("title").GetString(), StringComparison.Ordinal);

        File.Delete(filler);
        var after = await server.Client.GetFromJsonAsync<JsonElement>($"/api/orders/{day}");
        Assert.Equal(JsonSerializer.Deserialize<JsonElement>(before).GetProperty("pies").GetInt32() + taken, after.GetProperty("pies").GetInt32());
    }

    [Fact]
    public async Task A_disk_that_cannot_be_written_is_said_at_the_start()
    {
        Assert.SkipUnless(isMounted, "this system allows no mounts");
        await using (var server = await LumpetProcess.Serve("demo", folder, "--data", "bakery.db")) Assert.Contains("Lumpet is at", server.Greeting, StringComparison.Ordinal);
        Assert.True(Mount("-o", "remount,ro", folder));
        var (code, _, error) = await LumpetProcess.Run(Path.GetTempPath(), "serve", "--port", $"{LumpetProcess.FreePort()}", "--data", Path.Combine(folder, "bakery.db"));
        Assert.Equal(2, code);
        Assert.Contains("cannot be written", error, StringComparison.Ordinal);
    }
}
