using Lumpet.Core.Measures;

namespace Lumpet.Core.Recipes;

/// <summary>What follows for lid or strips from their share of the dough.</summary>
public enum ShareGives
{
    /// <summary>How thick they are rolled.</summary>
    Thickness,

    /// <summary>How many strips are cut, at the thickness that is written; of a lattice only.</summary>
    Strips,
}

/// <summary>
/// The dough of a pie in the reference pan as bakers divide it: half and half, two thirds and a third, 40 to 60. Thickness or
/// number of strips follow; other pans keep them.
/// </summary>
/// <param name="PerPie">Dough portioned for one pie in the reference pan, trim included; above 0.</param>
/// <param name="Base">Share of it that goes to the base, above 0 and at most 1; the rest lies on top.</param>
/// <param name="Gives">What follows on top.</param>
public sealed record DoughShare(Mass PerPie, double Base, ShareGives Gives);

/// <summary>A sheet that is cut into strips of one width from edge to edge: "30 x 40 cm into 16".</summary>
/// <param name="Length">The longer side, along which the strips run.</param>
/// <param name="Width">The shorter side, which is divided.</param>
/// <param name="Strips">Into how many, at least 2.</param>
public sealed record StripSheet(Length Length, Length Width, int Strips)
{
    /// <summary>Width of each strip.</summary>
    public Length StripWidth => Width / Strips;
}
