using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.Dough;

/// <summary>Discs that are wanted at the bench at one minute.</summary>
/// <param name="Dough">Of which dough.</param>
/// <param name="LotId">For which lot.</param>
/// <param name="Label">For what, as the crew says it: "Pear and ginger, 23 cm, base".</param>
/// <param name="Disc">Mass of each.</param>
/// <param name="Count">How many; at least 1.</param>
/// <param name="Piece">What is rolled from it.</param>
/// <param name="NeededMin">When rolling begins.</param>
public sealed record DoughDemand(DoughFormula Dough, string LotId, string Label, Mass Disc, int Count, DoughPiece Piece, int NeededMin);
