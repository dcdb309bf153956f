using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Changes;

public sealed class ChangeEndpointTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private static object Order(int count) => new { product = "pear", pan = "23", count, pickUp = "2026-11-26T09:00", @for = "test" };

    private static async Task<JsonElement> Next(StreamReader reader)
    {
        using var soon = new CancellationTokenSource(TimeSpan.FromSeconds(20));
        while (true)
            if (await reader.ReadLineAsync(soon.Token) is { } line && line.StartsWith("data: ", StringComparison.Ordinal))
                return JsonSerializer.Deserialize<JsonElement>(line[6..]);
    }

    [Fact]
    public async Task A_change_made_elsewhere_is_told_with_its_day_and_a_refused_one_is_not()
    {
        using var client = server.CreateClient();
        using var reader = new StreamReader(await client.GetStreamAsync(new Uri("/api/changes", UriKind.Relative)));
        Assert.Equal("hello", (await Next(reader)).GetProperty("what").GetString());

        await server.Send(HttpMethod.Post, "/api/orders", Order(count: 0));
        await server.Send(HttpMethod.Post, "/api/orders", Order(count: 3));
        var told = await Next(reader);
        Assert.Equal(("orders", TestServer.Fair, 1), (told.GetProperty("what").GetString(), told.GetProperty("day").GetString(), told.GetProperty("number").GetInt32()));
    }

    [Fact]
    public async Task Who_changes_what_another_has_changed_is_shown_theirs_and_nothing_is_lost()
    {
        var (_, added) = await server.Send(HttpMethod.Post, "/api/orders", Order(count: 3));
        var path = $"/api/orders/{added.GetProperty("id").GetString()}";
        Assert.Equal(200, (await server.Send(HttpMethod.Put, path, Order(count: 7), ("If-Match", "\"1\""))).Status);
        foreach (var method in new[] { HttpMethod.Put, HttpMethod.Delete })
        {
            var (status, problem) = await server.Send(method, path, Order(count: 5), ("If-Match", "\"1\""));
            Assert.Equal(412, status);
            Assert.Contains("Someone else has changed", problem.GetProperty("title").GetString(), StringComparison.Ordinal);
            Assert.Equal((7, 2), (problem.GetProperty("present").GetProperty("count").GetInt32(), problem.GetProperty("present").GetProperty("version").GetInt32()));
        }

        // Having seen theirs, the second may save over it with its version.
        Assert.Equal(200, (await server.Send(HttpMethod.Put, path, Order(count: 5), ("If-Match", "\"2\""))).Status);
    }
}
