using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using NodaTime;

namespace Lumpet.Core.Stock;

/// <summary>
/// A lot: so much of one thing that came, or was made, at once and lies in one place. What is opened or moved away from it is a lot of its
/// own that knows where it came from.
/// </summary>
/// <param name="Id">Its identity.</param>
/// <param name="Thing">What it is.</param>
/// <param name="Code">The lot number: its supplier's, or the bakery's own; may be empty where nobody knows.</param>
/// <param name="Left">How much of it is there, never below zero: the sum of its movements.</param>
/// <param name="Place">Where it lies.</param>
public sealed record StockLot(Guid Id, StockThing Thing, string Code, StockAmount Left, KeepPlace Place)
{
    /// <summary>Most of what is noted of one lot at once: as much weight, or as many pieces, as anyone stores.</summary>
    public const double MostKilograms = 100_000;

    /// <summary>Most pieces of one lot.</summary>
    public const int MostPieces = 1_000_000;

    /// <summary>Which shelf, in the bakery's words; may be empty.</summary>
    public string Shelf { get; init; } = string.Empty;

    /// <summary>Last day on which it may be used; null where none is stated.</summary>
    public LocalDate? UseBy { get; init; }

    /// <summary>When it came, was made, or was opened, by the bakery's clock.</summary>
    public LocalDateTime Since { get; init; }

    /// <summary>From whom it was bought; null of what was made here, or of what nobody said it of.</summary>
    public string? Supplier { get; init; }

    /// <summary>What one pack of it holds; null of what lies open, and of what came in no packs.</summary>
    public StockAmount? Pack { get; init; }

    /// <summary>The pack as it was said: "case of 6 x 1 l".</summary>
    public string PackSaid { get; init; } = string.Empty;

    /// <summary>What was paid for a pack; null where nobody has said.</summary>
    public Money? PaidForPack { get; init; }

    /// <summary>The lot that it was parted from; null where it came as it is.</summary>
    public Guid? PartOf { get; init; }

    /// <summary>Whether it lies open.</summary>
    public bool IsOpen { get; init; }

    /// <summary>The day whose plan it was made for: until that is over no other plan counts on it. Null of what came, and of what was noted by hand.</summary>
    public LocalDate? ForDay { get; init; }

    /// <summary>The batch of that day's plan that it is; null where none.</summary>
    public string? Batch { get; init; }

    /// <summary>What a person says of it; may be empty.</summary>
    public string Note { get; init; } = string.Empty;

    /// <summary>Whether it is past its last day.</summary>
    /// <param name="day">The day on which it would be used.</param>
    public bool IsPast(LocalDate day) => UseBy < day;
}
