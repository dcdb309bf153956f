using System.Net.Http.Json;
using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.House;

public sealed class BackupTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("lumpet-backup-").FullName;

    public void Dispose() => Directory.Delete(folder, recursive: true);

    private static async Task<int> Pies(HttpClient client) =>
        (await client.GetFromJsonAsync<JsonElement>("/api/bakery")).GetProperty("days")[0].GetProperty("pies").GetInt32();

    [Fact]
    public async Task A_copy_taken_while_orders_come_in_brings_back_that_moment()
    {
        await using (var server = await LumpetProcess.Serve("demo", folder, "--data", "bakery.db"))
        {
            var (code, output, error) = await LumpetProcess.Run(folder, "backup", "copy.db", "--data", "bakery.db");
            Assert.True(code == 0, error);
            Assert.Contains("copy.db", output, StringComparison.Ordinal);
            var day = (await server.Client.GetFromJsonAsync<JsonElement>("/api/bakery")).GetProperty("nextDay").GetString();
            await server.Client.PostAsJsonAsync("/api/orders", new { product = "pear", pan = "23", count = 9, pickUp = $"{day}T10:00", @for = "later" });
            Assert.Equal(71, await Pies(server.Client));

            // Neither a second copy over the first nor a restore under a running server.
            (code, _, error) = await LumpetProcess.Run(folder, "backup", "copy.db", "--data", "bakery.db");
            Assert.Equal(2, code);
            Assert.Contains("--replace", error, StringComparison.Ordinal);
            (code, _, error) = await LumpetProcess.Run(folder, "restore", "copy.db", "--data", "bakery.db");
            Assert.Equal(2, code);
            Assert.Contains("Stop it first", error, StringComparison.Ordinal);
        }

        var (restored, words, wrong) = await LumpetProcess.Run(folder, "restore", "copy.db", "--data", "bakery.db");
        Assert.True(restored == 0, wrong);
        Assert.Contains("What was there is kept in", words, StringComparison.Ordinal);
        await using (var server = await LumpetProcess.Serve("serve", folder, "--data", "bakery.db")) Assert.Equal(62, await Pies(server.Client));

        // What was there before is a whole database too.
        var kept = Directory.GetFiles(folder, "bakery.db.before-restore-*").Single();
        await using (var server = await LumpetProcess.Serve("serve", folder, "--data", kept)) Assert.Equal(71, await Pies(server.Client));
    }

    [Theory]
    [InlineData("no such file", null, "There is no file")]
    [InlineData("text", "certainly no database, and long enough to be read as one, page by page", "cannot be read as a database")]
    [InlineData("an empty file", "", "none of Lumpet's")]
    public async Task What_is_no_copy_is_not_put_back(string what, string? content, string words)
    {
        if (content is not null) await File.WriteAllTextAsync(Path.Combine(folder, "copy.db"), string.Concat(Enumerable.Repeat(content, 20)));
        await File.WriteAllTextAsync(Path.Combine(folder, "bakery.db"), "as it is");
        var (code, _, error) = await LumpetProcess.Run(folder, "restore", "copy.db", "--data", "bakery.db");
        Assert.True(code == 2, what);
        Assert.Contains(words, error, StringComparison.Ordinal);
        Assert.Equal("as it is", await File.ReadAllTextAsync(Path.Combine(folder, "bakery.db")));
    }

    [Fact]
    public async Task Where_there_is_nothing_to_copy_it_says_so()
    {
        var (code, _, error) = await LumpetProcess.Run(folder, "backup", "copy.db", "--data", "nowhere.db");
        Assert.Equal(2, code);
        Assert.Contains("There is no database", error, StringComparison.Ordinal);
        Assert.Empty(Directory.GetFiles(folder, "copy.db*"));
    }

    [Fact]
    public async Task A_file_is_known_by_itself_and_not_by_its_name()
    {
        await using (var server = await LumpetProcess.Serve("demo", folder, "--data", "bakery.db"))
        {
            Assert.Equal(0, (await LumpetProcess.Run(folder, "backup", "copy.db", "--data", "bakery.db")).Code);
            File.CreateSymbolicLink(Path.Combine(folder, "soft.db"), Path.Combine(folder, "bakery.db"));
            await Link("bakery.db", "hard.db");
            foreach (var name in new[] { "bakery.db", "soft.db", "hard.db" })
            {
                // Neither a copy of it onto itself, nor another server on it, nor a copy put in its place.
                await Refused("the database itself", "backup", name, "--data", "bakery.db", "--replace");
                await Refused("Another Lumpet is running on this database", "serve", "--port", $"{LumpetProcess.FreePort()}", "--data", name);
                await Refused("Another Lumpet is running on this database", "restore", "copy.db", "--data", name);
                await Refused("is a database that another Lumpet is running on", "backup", name, "--data", "copy.db", "--replace");
            }

            Assert.Equal(62, await Pies(server.Client));
        }
    }

    [Fact]
    public async Task Each_restore_keeps_what_was_there_and_only_files_are_replaced()
    {
        await using (await LumpetProcess.Serve("demo", folder, "--data", "bakery.db")) Assert.Equal(0, (await LumpetProcess.Run(folder, "backup", "copy.db", "--data", "bakery.db")).Code);
        for (var twice = 0; twice < 3; twice++) Assert.Equal(0, (await LumpetProcess.Run(folder, "restore", "copy.db", "--data", "bakery.db")).Code);
        Assert.Equal(3, Directory.GetFiles(folder, "bakery.db.before-restore-*").Length);
        await Refused("is no file that could be replaced", "backup", "/dev/null", "--data", "bakery.db", "--replace");
        await Refused("There is no folder", "backup", "nowhere/copy.db", "--data", "bakery.db");
        Assert.Equal(0, (await LumpetProcess.Run(folder, "backup", "copy.db", "--data", "bakery.db", "--replace")).Code);
        Assert.Empty(Directory.GetFiles(folder, "*.half-*"));
    }

    private async Task Refused(string words, params string[] args)
    {
        var (code, _, error) = await LumpetProcess.Run(folder, args);
        Assert.True(error.Contains(words, StringComparison.Ordinal), $"{string.Join(' ', args)}: {error}");
        Assert.Equal(2, code);
    }

    private async Task Link(string from, string to)
    {
        using var link = System.Diagnostics.Process.Start("ln", [Path.Combine(folder, from), Path.Combine(folder, to)]);
        await link.WaitForExitAsync();
    }
}
