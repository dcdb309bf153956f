using System.Net;
using Lumpet.Server.Changes;
using Lumpet.Server.Commands;
using Xunit;

namespace Lumpet.Server.Tests.House;

/// <summary>What every answer carries, whatever became of the request.</summary>
public sealed class HeaderTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    [Theory]
    [InlineData("/api/bakery", 200)]
    [InlineData("/api/nothing", 404)]
    [InlineData("/api/orders/typed", 400)]
    public async Task Errors_are_as_guarded_as_pages(string path, int wanted)
    {
        using var client = server.CreateClient();
        using var content = new StringContent("{ not json", System.Text.Encoding.UTF8, "application/json");
        using var response = wanted == 400 ? await client.PostAsync(new Uri(path, UriKind.Relative), content) : await client.GetAsync(new Uri(path, UriKind.Relative));
        Assert.Equal(wanted, (int)response.StatusCode);
        Assert.Contains("default-src 'self'", response.Headers.GetValues("Content-Security-Policy").Single(), StringComparison.Ordinal);
        Assert.Equal("nosniff", response.Headers.GetValues("X-Content-Type-Options").Single());
        Assert.True(response.Headers.CacheControl!.NoStore);
    }

    [Fact]
    public async Task A_feed_beats_while_nothing_happens_and_lets_go_of_who_is_gone()
    {
        var feed = new ChangeFeed { Beat = TimeSpan.FromMilliseconds(20) };
        using var gone = new CancellationTokenSource();
        var heard = new List<string>();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(async () =>
        {
            await foreach (var change in feed.Listen(gone.Token))
            {
                heard.Add(change.What);
                Assert.Equal(1, feed.Listeners);
                if (heard.Count == 3) feed.Publish("orders");
                if (heard.Count == 5) await gone.CancelAsync();
            }
        });
        Assert.Equal(["hello", "beat", "beat", "orders", "beat"], heard);
        Assert.Equal(0, feed.Listeners);
    }

    [Fact]
    public void A_server_answers_to_names_of_its_own_wherever_it_listens()
    {
        Assert.Equal(["localhost", "127.0.0.1", "[::1]"], HostNames.Of(IPAddress.Loopback, []));
        var everywhere = HostNames.Of(IPAddress.Any, ["kitchen.example"]);
        Assert.DoesNotContain("*", everywhere);
        Assert.Contains("kitchen.example", everywhere);
        Assert.Contains(Dns.GetHostName(), everywhere);
        Assert.Contains("192.0.2.7", HostNames.Of(IPAddress.Parse("192.0.2.7"), []));
    }
}
