using System.Net.ServerSentEvents;
using System.Runtime.CompilerServices;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Changes;

/// <summary>Live changes, as server-sent events.</summary>
internal static class ChangeEndpoints
{
    private static readonly TimeSpan Retry = TimeSpan.FromSeconds(1);

    /// <summary>Adds the endpoint.</summary>
    public static void Map(IEndpointRouteBuilder routes) =>
        routes.MapGet("/api/changes", Listen).WithName("GetChanges").WithSummary("What is changed, as it happens (server-sent events; each one's data is a Change).")
            .Produces<Change>(200, "text/event-stream");

    private static Results<ServerSentEventsResult<Change>, ProblemHttpResult> Listen(ChangeFeed feed, IHostApplicationLifetime lifetime, CancellationToken cancellation) => feed.HasRoom
        ? TypedResults.ServerSentEvents(Events(feed, lifetime.ApplicationStopping, cancellation))
        : TypedResults.Problem(title: "More screens listen here than a bakery has. Close some, and load this one again.", statusCode: 503);

    private static async IAsyncEnumerable<SseItem<Change>> Events(
        ChangeFeed feed, CancellationToken stopping, [EnumeratorCancellation] CancellationToken cancellation)
    {
        // A server that is told to stop does not wait for its listeners.
        using var ends = CancellationTokenSource.CreateLinkedTokenSource(stopping, cancellation);
        var changes = feed.Listen(ends.Token).GetAsyncEnumerator(ends.Token);
        await using (changes)
        {
            while (await Next(changes))
                yield return new SseItem<Change>(changes.Current) { EventId = $"{changes.Current.Number}", ReconnectionInterval = Retry };
        }
    }

    private static async Task<bool> Next(IAsyncEnumerator<Change> changes)
    {
        try
        {
            return await changes.MoveNextAsync();
        }
        catch (OperationCanceledException)
        {
            return false;
        }
    }
}
