using Lumpet.Core.Measures;

namespace Lumpet.Core.Recipes;

/// <summary>The dough for one part of one pie.</summary>
/// <param name="Name">"base", "lid" or "lattice".</param>
/// <param name="Diameter">Of the round, or of the circle that the strips span.</param>
/// <param name="Strips">Lengths of the strips of a lattice, both ways; empty for a round.</param>
/// <param name="StripWidth">Width of each strip; 0 for a round.</param>
/// <param name="Area">Area of the piece, strips added up.</param>
/// <param name="Mass">What lies on the pie before the rim is crimped: area times thickness times density.</param>
/// <param name="Disc">What is portioned for it: piece / (1 - trim share).</param>
public sealed record DoughPiece(
    string Name, Length Diameter, IReadOnlyList<Length> Strips, Length StripWidth, Area Area, Mass Mass, Mass Disc)
{
    /// <summary>What comes back when the piece is cut from its disc.</summary>
    public Mass Trim => Disc - Mass;
}
