using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Faults;

/// <summary>Every row of docs/bad-input.md, sent to the real pipeline.</summary>
public sealed class BadInputTests(BadInputServer shared) : IClassFixture<BadInputServer>
{
    public static TheoryData<int, string> Rows => [.. BadInput.All.Select((row, at) => (at, $"{row.Where}: {row.What}"))];

    [Theory]
    [MemberData(nameof(Rows))]
    public async Task It_is_refused_with_a_reason_and_nothing_changes(int at, string name)
    {
        var row = BadInput.All[at];
        var before = await shared.Everything();
        var (status, problem) = await shared.Server.Send(new HttpMethod(row.Method), row.Path, row.Body, row.Headers);
        Assert.True(status == row.Status, $"{name}: {status} {problem.GetRawText()}");
        Assert.Contains(row.Said, string.Join('\n', Words(problem)), StringComparison.Ordinal);
        Assert.Equal(before, await shared.Everything());
    }

    [Fact]
    public void The_table_in_the_documents_is_this_one()
    {
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(folder!.FullName, "Lumpet.slnx"))) folder = folder.Parent;
        var path = Path.Combine(folder.FullName, "docs", "bad-input.md");
        var (written, table) = (File.ReadAllText(path), BadInput.Table());
        // LUMPET_WRITE_DOCS=1 writes the rows anew; the words above them are kept.
        if (Environment.GetEnvironmentVariable("LUMPET_WRITE_DOCS") == "1")
            File.WriteAllText(path, written[..(written.IndexOf("\n## ", StringComparison.Ordinal) is var at and >= 0 ? at : written.Length)] + table);
        else Assert.EndsWith(table, written, StringComparison.Ordinal);
    }

    private static IEnumerable<string> Words(JsonElement problem)
    {
        yield return problem.GetProperty("title").GetString()!;
        if (!problem.TryGetProperty("errors", out var errors)) yield break;
        foreach (var field in errors.EnumerateObject())
            foreach (var message in field.Value.EnumerateArray()) yield return $"{field.Name}: {message.GetString()}";
    }
}

/// <summary>One server for all rows: what is refused leaves it as it was.</summary>
public sealed class BadInputServer : IDisposable
{
    public TestServer Server { get; } = new();

    /// <summary>All that is kept, as one text.</summary>
    public async Task<string> Everything()
    {
        var parts = new List<string>();
        foreach (var path in (string[])["/api/bakery", "/api/bakery/description", $"/api/orders/{TestServer.Fair}", "/api/standing-orders", "/api/margins", "/api/recipes", "/api/recipes/pear/written", "/api/doughs", "/api/ingredients"])
            parts.Add((await Server.Get(path)).GetRawText());
        return string.Join('\n', parts);
    }

    public void Dispose() => Server.Dispose();
}
