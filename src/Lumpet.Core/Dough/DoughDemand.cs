using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.Dough;

/// <summary>Portions of a dough that are wanted at one minute: discs at the bench, or what goes into something made before the pies.</summary>
/// <param name="Dough">Of which dough.</param>
/// <param name="LotIds">The lots whose pies hold it in the end; at least one.</param>
/// <param name="Label">For what, as the crew says it: "Pear and ginger, 23 cm, base".</param>
/// <param name="Disc">Mass of each.</param>
/// <param name="Count">How many; at least 1.</param>
/// <param name="Piece">What is rolled from it; null where it goes into something else as it is.</param>
/// <param name="NeededMin">When it is taken.</param>
public sealed record DoughDemand(DoughFormula Dough, IReadOnlyList<string> LotIds, string Label, Mass Disc, int Count, DoughPiece? Piece, int NeededMin)
{
    /// <summary>The task that takes it; null while no task is planned.</summary>
    public string? TaskId { get; init; }

    /// <summary>Whether it is a disc of pies of this lot.</summary>
    public bool IsDiscOf(string lotId) => Piece is not null && LotIds.Contains(lotId);
}
