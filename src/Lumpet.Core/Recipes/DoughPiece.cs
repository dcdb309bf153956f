using Lumpet.Core.Measures;
using Lumpet.Core.Pans;

namespace Lumpet.Core.Recipes;

/// <summary>The dough for one part of one pie.</summary>
/// <param name="Name">"base", "floor", "wall strips", "lid", "lattice" or "cut-outs".</param>
/// <param name="Outline">Of the piece, or of what its strips span.</param>
/// <param name="Count">How many of it a pie takes; 1 but for cut-outs and strips of one length.</param>
/// <param name="Strips">Its strips; empty for a round.</param>
/// <param name="StripWidth">Width of each strip; 0 for a round.</param>
/// <param name="Area">Area of the piece, everything added up.</param>
/// <param name="Mass">What lies on the pie before the rim is crimped: area times thickness times density.</param>
/// <param name="Disc">What is portioned for it: what is cut from it / (1 - trim share).</param>
public sealed record DoughPiece(
    string Name, Outline Outline, int Count, Strips Strips, Length StripWidth, Area Area, Mass Mass, Mass Disc)
{
    /// <summary>Whether it lies on the filling: a lid, strips, cut-outs. They may be of another dough, rolled to another thickness.</summary>
    public bool IsOnTop { get; init; }

    /// <summary>How many of it are cut from the trim of the other pieces, rolled out once more.</summary>
    public int FromTrim { get; init; }

    /// <summary>What of it is cut from the trim of the other pieces.</summary>
    public Mass TakenFromTrim => Mass * ((double)FromTrim / Count);

    /// <summary>What comes back when the piece is cut from its disc.</summary>
    public Mass Trim => Disc + TakenFromTrim - Mass;

    /// <summary>
    /// What it is rolled to before it is trimmed: a disc has the piece's thickness, so its outline grows with the root of its
    /// mass; the piece itself where nothing is trimmed off it.
    /// </summary>
    public Outline Rolled => Mass > Mass.Zero && Disc > Mass
        ? Outline with { Length = Outline.Length * Math.Sqrt(Disc / Mass), Width = Outline.Width * Math.Sqrt(Disc / Mass) }
        : Outline;

    /// <summary>Across the piece, at its narrower side.</summary>
    public Length Diameter => Outline.Width;
}

/// <summary>Strips of dough, by the way they run.</summary>
/// <param name="Upright">Lengths of those that cross the pan's width, from left to right.</param>
/// <param name="Across">Lengths of those that run along the pan's length, from top to bottom.</param>
public sealed record Strips(IReadOnlyList<Length> Upright, IReadOnlyList<Length> Across)
{
    /// <summary>No strips.</summary>
    public static Strips None { get; } = new([], []);

    /// <summary>All of them.</summary>
    public IEnumerable<Length> All => Upright.Concat(Across);
}
