using Lumpet.Core.Steps.Writing;

namespace Lumpet.Core.Preparations;

/// <summary>How something is made as a person writes it; anything may be missing or wrong until <see cref="MakingReader"/> has read it.</summary>
public sealed record MakingDraft
{
    /// <summary>One of the names of <see cref="PreparationKind"/>.</summary>
    public string? Kind { get; init; }

    /// <summary>Its steps in order; none where no plan makes it.</summary>
    public IReadOnlyList<StepDraft?>? Steps { get; init; }

    /// <summary>The smallest sensible batch in kilograms made; null for any.</summary>
    public double? BatchLeastKg { get; init; }

    /// <summary>What pot, bowl or bench takes, in kilograms made.</summary>
    public double? BatchMostKg { get; init; }

    /// <summary>Name of the ingredient of which every batch takes whole ones: eggs, tins; null where batches are simply equal.</summary>
    public string? WholeOf { get; init; }

    /// <summary>Kilograms weighed in on one tray where it is baked; null where it is not.</summary>
    public double? TrayKg { get; init; }

    /// <summary>The smallest sensible batch in pieces; null for any, and of what goes by weight.</summary>
    public int? BatchLeastPieces { get; init; }

    /// <summary>The largest batch in pieces; null of what goes by weight. Where it is stated, all of it is counted by the piece.</summary>
    public int? BatchMostPieces { get; init; }

    /// <summary>Pieces on one tray where it is baked; null where it is not, and of what goes by weight.</summary>
    public int? TrayPieces { get; init; }

    /// <summary>One of the names of <see cref="KeepPlace"/>.</summary>
    public string? KeepsIn { get; init; }

    /// <summary>Least minutes that it needs there before it is used.</summary>
    public int? HoldLeast { get; init; }

    /// <summary>Minutes there that a plan aims for: 720 for the day before.</summary>
    public int? HoldAim { get; init; }

    /// <summary>Most minutes that it keeps there.</summary>
    public int? HoldMost { get; init; }

    /// <summary>The other places in which it keeps; null or empty for none.</summary>
    public IReadOnlyList<KeptInDraft?>? Elsewhere { get; init; }

    /// <summary>Minutes in the fridge out of the freezer, before it is used; null where it is used frozen or never frozen.</summary>
    public int? ThawMin { get; init; }

    /// <summary>What is done to it again before it is used.</summary>
    public string? BeforeUse { get; init; }
}

/// <summary>How long something keeps in a place where no plan keeps it.</summary>
/// <param name="In">One of the names of <see cref="KeepPlace"/>.</param>
/// <param name="Least">Least minutes that it needs there; null for none.</param>
/// <param name="Most">Most minutes that it keeps there.</param>
public sealed record KeptInDraft(string? In, int? Least, int? Most);
