using Lumpet.Core.Labels;

namespace Lumpet.Server.Labels;

/// <summary>Stands in for a label printer: its roll runs out as a real one does, and what it prints is on screen and on the books.</summary>
internal sealed class StandInLabelPrinter : ILabelPrinter
{
    /// <summary>Labels on a new roll.</summary>
    public const int OnARoll = 500;

    private readonly Lock guard = new();
    private int left = OnARoll;

    /// <inheritdoc/>
    public bool IsStandIn => true;

    /// <inheritdoc/>
    public int? Left
    {
        get
        {
            lock (guard) return left;
        }
    }

    /// <inheritdoc/>
    public Task<string> PrintAsync(PieLabel label, int copies, CancellationToken cancellation)
    {
        lock (guard)
        {
            if (copies > left) return Task.FromResult($"The roll has {left} labels left. Put a new one in ({OnARoll}), or print fewer.");
            left -= copies;
            return Task.FromResult(string.Empty);
        }
    }

    /// <inheritdoc/>
    public void PutIn()
    {
        lock (guard) left = OnARoll;
    }
}
