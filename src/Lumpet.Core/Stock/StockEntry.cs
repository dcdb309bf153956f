namespace Lumpet.Core.Stock;

/// <summary>What happened on the shelves.</summary>
public enum StockEntryKind
{
    /// <summary>It came from a supplier, or was put there by hand.</summary>
    Received,

    /// <summary>A batch was made: what went in left the shelves, what it made came to them.</summary>
    Made,

    /// <summary>Some was used.</summary>
    Used,

    /// <summary>Somebody counted, and the books follow what was found.</summary>
    Counted,

    /// <summary>The books were put right, with a reason.</summary>
    Adjusted,

    /// <summary>Some was thrown away, with a reason.</summary>
    Wasted,

    /// <summary>A pack was opened.</summary>
    Opened,

    /// <summary>Some or all was moved to another place.</summary>
    Moved,

    /// <summary>Pies were picked up.</summary>
    HandedOver,

    /// <summary>A batch was not made after all: everything is where it was before.</summary>
    TakenBack,
}

/// <summary>What is done to one lot.</summary>
/// <param name="Kind">What happens.</param>
/// <param name="Change">By how much the lot becomes more or, below zero, less.</param>
/// <param name="Reason">Why; may be empty where none is needed.</param>
public sealed record LotChange(StockEntryKind Kind, StockAmount Change, string Reason)
{
    /// <summary>What is parted from the lot and is one of its own from now on; null where nothing is. It has what <see cref="Change"/> takes away.</summary>
    public StockLot? Parted { get; init; }

    /// <summary>The lot as it is described afterwards, where all of it is moved or opened; null where that does not change.</summary>
    public StockLot? Described { get; init; }
}
