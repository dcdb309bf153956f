using System.Runtime.CompilerServices;
using System.Threading.Channels;

namespace Lumpet.Server.Changes;

/// <summary>Tells every open screen what was changed, the moment it is on disk.</summary>
internal sealed class ChangeFeed
{
    // A screen that does not read is behind by at most this many; it reloads everything when it comes back.
    private const int MostWaiting = 256;

    // Far more than a bakery has screens.
    private const int MostListeners = 200;

    private readonly Lock gate = new();
    private readonly HashSet<Channel<Change>> listeners = [];
    private long number;

    /// <summary>Says that something was changed. Returns at once, whoever listens.</summary>
    /// <param name="what">The area: "orders", "bakery", "recipes", "ingredients", "stock".</param>
    /// <param name="day">The day concerned (ISO date); null where it is not of one day.</param>
    public void Publish(string what, string? day = null)
    {
        lock (gate)
        {
            var change = new Change(++number, what, day);
            foreach (var listener in listeners) listener.Writer.TryWrite(change);
        }
    }

    /// <summary>How long nothing is said before a beat is: writing is how one hears that a listener has vanished.</summary>
    public TimeSpan Beat { get; init; } = TimeSpan.FromSeconds(20);

    /// <summary>Listeners there are.</summary>
    public int Listeners
    {
        get
        {
            lock (gate) return listeners.Count;
        }
    }

    /// <summary>Whether one more may listen.</summary>
    public bool HasRoom => Listeners < MostListeners;

    /// <summary>All changes from now on, until the listener goes.</summary>
    public async IAsyncEnumerable<Change> Listen([EnumeratorCancellation] CancellationToken cancellation)
    {
        var channel = Channel.CreateBounded<Change>(new BoundedChannelOptions(MostWaiting) { FullMode = BoundedChannelFullMode.DropOldest });
        lock (gate) listeners.Add(channel);
        try
        {
            // The first word tells the screen that it is connected.
            yield return new Change(0, "hello", null);
            while (true) yield return await Next(channel.Reader, cancellation) ?? new Change(0, "beat", null);
        }
        finally
        {
            lock (gate) listeners.Remove(channel);
        }
    }

    /// <summary>The next change, or null where a beat is due before there is one.</summary>
    private async Task<Change?> Next(ChannelReader<Change> reader, CancellationToken cancellation)
    {
        using var beat = CancellationTokenSource.CreateLinkedTokenSource(cancellation);
        beat.CancelAfter(Beat);
        try
        {
            return await reader.ReadAsync(beat.Token);
        }
        catch (OperationCanceledException) when (!cancellation.IsCancellationRequested)
        {
            return null;
        }
    }
}

/// <summary>Something was changed.</summary>
/// <param name="Number">Counts up while the server runs; 0 for the greeting and a beat.</param>
/// <param name="What">The area: "orders", "bakery", "recipes", "ingredients", "stock"; "hello" for the greeting, "beat" where nothing was changed for a while.</param>
/// <param name="Day">The day concerned (ISO date); null where it is not of one day.</param>
public sealed record Change(long Number, string What, string? Day);
