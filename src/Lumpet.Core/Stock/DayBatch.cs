using Lumpet.Core.Preparations;

namespace Lumpet.Core.Stock;

/// <summary>What kind of batch it is.</summary>
public enum DayBatchKind
{
    /// <summary>A bowl of dough.</summary>
    Dough,

    /// <summary>Something else that is made before the pies.</summary>
    Made,

    /// <summary>Pies of one order line's product, pan and pick-up, boxed.</summary>
    Pies,
}

/// <summary>Something that a day's plan makes: what it takes off the shelves, and what it puts there.</summary>
/// <param name="Id">Its name among the day's batches: "dough:flaky/1", "made:praline/1", or that of the lot of pies.</param>
/// <param name="Kind">What kind.</param>
/// <param name="About">What it is, as the crew says it.</param>
/// <param name="Makes">What it makes.</param>
/// <param name="Amount">How much.</param>
/// <param name="Place">Where that is kept.</param>
/// <param name="StartMin">When work on it begins: what goes in is taken then. A minute of the plan's clock.</param>
/// <param name="DoneMin">When it is done.</param>
/// <param name="PickUpMin">Of pies their pick-up; null of all else.</param>
/// <param name="For">Of pies who they are for, each once.</param>
/// <param name="Takes">What it takes, each thing of each batch once.</param>
/// <param name="Bakes">When it is in which oven, in order of time; empty of what is not baked.</param>
public sealed record DayBatch(
    string Id,
    DayBatchKind Kind,
    string About,
    StockThing Makes,
    StockAmount Amount,
    KeepPlace Place,
    int StartMin,
    int DoneMin,
    int? PickUpMin,
    IReadOnlyList<string> For,
    IReadOnlyList<BatchTake> Takes,
    IReadOnlyList<BatchBake> Bakes);

/// <summary>Trays of a batch in an oven.</summary>
/// <param name="Oven">Name of the oven.</param>
/// <param name="Bake">Name of the bake.</param>
/// <param name="StartMin">When they go in; a minute of the plan's clock.</param>
/// <param name="EndMin">When they come out.</param>
public sealed record BatchBake(string Oven, string Bake, int StartMin, int EndMin);

/// <summary>Something that a batch takes.</summary>
/// <param name="Thing">What.</param>
/// <param name="Amount">How much, as it lies on the shelf: with what paring and pitting take away.</param>
/// <param name="Batch">The batch of the same day that makes it; null where it is on the shelf before.</param>
/// <param name="Lot">The lot that the plan has chosen among what is made already; null where any will do.</param>
public sealed record BatchTake(StockThing Thing, StockAmount Amount, string? Batch = null, Guid? Lot = null);
