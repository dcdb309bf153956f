using Lumpet.Core.Measures;

namespace Lumpet.Core.Recipes;

/// <summary>What lies on top of the filling.</summary>
public enum Top
{
    /// <summary>Nothing: an open tart.</summary>
    Open,

    /// <summary>A full lid.</summary>
    Lid,

    /// <summary>Strips both ways.</summary>
    Lattice,
}

/// <summary>How the dough of a product is cut.</summary>
/// <param name="Top">What lies on the filling.</param>
/// <param name="Thickness">To which the dough is rolled; commonly 2 to 5 mm.</param>
/// <param name="BaseOverhang">What the base hangs over the outer edge of the rim, on one side.</param>
/// <param name="TopOverhang">What lid or strips hang over the outer edge of the rim, on one side.</param>
/// <param name="TrimShare">Share of a disc that is trimmed off its piece, from 0 to under 1.</param>
/// <param name="StripWidth">Width of a lattice strip; used with a lattice only.</param>
/// <param name="StripGap">Gap between lattice strips; used with a lattice only.</param>
public sealed record Crust(
    Top Top,
    Length Thickness,
    Length BaseOverhang,
    Length TopOverhang,
    double TrimShare,
    Length StripWidth,
    Length StripGap);
