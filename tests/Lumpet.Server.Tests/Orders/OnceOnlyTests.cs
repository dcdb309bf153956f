using System.Net;
using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Orders;

/// <summary>An addition with a key is done once, and nothing else is ever answered as if it had been.</summary>
public sealed class OnceOnlyTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private static object Order(int count) => new { product = "pear", pan = "23", count, pickUp = $"{TestServer.Fair}T09:00", @for = "test" };

    private static object File(int count, bool keep = true) => new { text = $"count,product,pan,pick_up,for\n{count},pear,23,{TestServer.Fair}T09:00,file\n", keep };

    private async Task<int> Pies() => (await server.Get($"/api/orders/{TestServer.Fair}")).GetProperty("pies").GetInt32();

    private Task<(int Status, JsonElement Body)> Send(string path, object body, string key) => server.Send(HttpMethod.Post, path, body, ("Idempotency-Key", key));

    [Fact]
    public async Task The_same_under_one_key_is_answered_the_same_even_when_it_is_gone_by_then()
    {
        var (_, first) = await Send("/api/orders", Order(3), "a");
        var (status, second) = await Send("/api/orders", Order(3), "a");
        Assert.Equal((201, first.GetRawText()), (status, second.GetRawText()));
        await server.Send(HttpMethod.Delete, $"/api/orders/{first.GetProperty("id").GetString()}", null, ("If-Match", "\"1\""));
        Assert.Equal(first.GetRawText(), (await Send("/api/orders", Order(3), "a")).Body.GetRawText());
        Assert.Equal(62, await Pies());
    }

    [Fact]
    public async Task Another_body_under_the_same_key_is_refused_and_not_confirmed()
    {
        foreach (var (path, one, other) in new[]
        {
            ("/api/orders", Order(3), Order(5)),
            ("/api/orders/import", File(3), File(5)),
            ("/api/orders/typed", new { line = "3 pear @ 23 9:00", day = TestServer.Fair }, (object)new { line = "5 pear @ 23 9:00", day = TestServer.Fair }),
        })
        {
            var before = await Pies();
            Assert.InRange((await Send(path, one, "b")).Status, 200, 201);
            var (status, problem) = await Send(path, other, "b");
            Assert.Equal(400, status);
            Assert.Contains("Something else was sent under this key", problem.GetProperty("errors").GetProperty("Idempotency-Key")[0].GetString(), StringComparison.Ordinal);
            Assert.Equal(before + 3, await Pies());
        }
    }

    [Fact]
    public async Task Keys_of_different_kinds_never_meet_and_empty_ones_are_none()
    {
        await Send("/api/orders", Order(3), "c");
        Assert.Equal(200, (await Send("/api/orders/import", File(3), "c")).Status);
        Assert.Equal(201, (await Send("/api/orders/typed", new { line = "3 pear @ 23 9:00", day = TestServer.Fair }, "c")).Status);
        // What an import would have made of its key for its first row.
        Assert.Equal(201, (await Send("/api/orders", Order(4), "c/0")).Status);
        foreach (var empty in new[] { string.Empty, " " })
            for (var twice = 0; twice < 2; twice++) Assert.Equal(201, (await Send("/api/orders", Order(1), empty)).Status);
        Assert.Equal(62 + 3 + 3 + 3 + 4 + 4, await Pies());
    }

    [Fact]
    public async Task A_file_that_is_only_read_uses_no_key_up()
    {
        Assert.Equal(200, (await Send("/api/orders/import", File(3, keep: false), "d")).Status);
        Assert.Equal(200, (await Send("/api/orders/import", File(3), "d")).Status);
        var (_, again) = await Send("/api/orders/import", File(3), "d");
        Assert.Equal((true, 3), (again.GetProperty("isKept").GetBoolean(), again.GetProperty("pies").GetInt32()));
        Assert.Equal(65, await Pies());
    }

    [Fact]
    public async Task Many_at_the_same_moment_add_one()
    {
        var answers = await Task.WhenAll(Enumerable.Range(0, 12).Select(_ => Send("/api/orders", Order(2), "e")));
        Assert.All(answers, answer => Assert.Equal((int)HttpStatusCode.Created, answer.Status));
        Assert.Single(answers.Select(answer => answer.Body.GetProperty("id").GetString()).Distinct());
        Assert.Equal(64, await Pies());
    }
}
