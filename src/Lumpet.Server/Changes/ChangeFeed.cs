using System.Runtime.CompilerServices;
using System.Threading.Channels;

namespace Lumpet.Server.Changes;

/// <summary>Tells every open screen what was changed, the moment it is on disk.</summary>
internal sealed class ChangeFeed
{
    // A screen that does not read is behind by at most this many; it reloads everything when it comes back.
    private const int MostWaiting = 256;

    private readonly Lock gate = new();
    private readonly HashSet<Channel<Change>> listeners = [];
    private long number;

    /// <summary>Says that something was changed. Returns at once, whoever listens.</summary>
    /// <param name="what">The area: "orders", "bakery", "recipes", "ingredients".</param>
    /// <param name="day">The day concerned (ISO date); null where it is not of one day.</param>
    public void Publish(string what, string? day = null)
    {
        lock (gate)
        {
            var change = new Change(++number, what, day);
            foreach (var listener in listeners) listener.Writer.TryWrite(change);
        }
    }

    /// <summary>All changes from now on, until the listener goes.</summary>
    public async IAsyncEnumerable<Change> Listen([EnumeratorCancellation] CancellationToken cancellation)
    {
        var channel = Channel.CreateBounded<Change>(new BoundedChannelOptions(MostWaiting) { FullMode = BoundedChannelFullMode.DropOldest });
        lock (gate) listeners.Add(channel);
        try
        {
            // The first word tells the screen that it is connected.
            yield return new Change(0, "hello", null);
            await foreach (var change in channel.Reader.ReadAllAsync(cancellation)) yield return change;
        }
        finally
        {
            lock (gate) listeners.Remove(channel);
        }
    }
}

/// <summary>Something was changed.</summary>
/// <param name="Number">Counts up while the server runs; 0 for the greeting.</param>
/// <param name="What">The area: "orders", "bakery", "recipes", "ingredients"; "hello" for the greeting.</param>
/// <param name="Day">The day concerned (ISO date); null where it is not of one day.</param>
public sealed record Change(long Number, string What, string? Day);
