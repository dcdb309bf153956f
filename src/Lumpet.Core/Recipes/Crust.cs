using Lumpet.Core.Measures;
using Lumpet.Core.Pans;

namespace Lumpet.Core.Recipes;

/// <summary>What lies on top of the filling.</summary>
public enum Top
{
    /// <summary>Nothing: an open tart.</summary>
    Open,

    /// <summary>A full lid.</summary>
    Lid,

    /// <summary>Strips both ways; open or dense by the gaps between them.</summary>
    Lattice,

    /// <summary>Cut-outs laid on the filling.</summary>
    CutOuts,

    /// <summary>Crumble, strewn.</summary>
    Crumble,

    /// <summary>Meringue, sealed to the rim.</summary>
    Meringue,

    /// <summary>The base's own edge, folded over the filling.</summary>
    Fold,
}

/// <summary>How the base is laid into its pan.</summary>
public enum Lining
{
    /// <summary>One round over floor and wall.</summary>
    OnePiece,

    /// <summary>A floor cut with the pan's own base, and strips along the wall.</summary>
    FloorAndStrips,

    /// <summary>Pressed in by hand: no trim.</summary>
    Pressed,

    /// <summary>Small rounds cut side by side from a sheet.</summary>
    SmallRounds,

    /// <summary>A shell that comes by the piece, bought in or baked before: nothing is rolled and nothing trimmed.</summary>
    BoughtShell,
}

/// <summary>How the dough of a product is cut.</summary>
/// <param name="Top">What lies on the filling.</param>
/// <param name="Thickness">To which the dough of the base is rolled; commonly 2 to 5 mm.</param>
/// <param name="BaseOverhang">What the base hangs over, on one side; of a free-form pie the fold. From where it is counted, <see cref="OverhangFromWall"/> says.</param>
/// <param name="TopOverhang">What lid or strips hang over, on one side, counted likewise.</param>
/// <param name="TrimShare">Share of a disc that is trimmed off its piece, from 0 to under 1; small rounds are reckoned from their sheet instead.</param>
/// <param name="StripWidth">Width of a lattice strip; used with a lattice only.</param>
/// <param name="StripGap">Gap between lattice strips; used with a lattice only.</param>
public sealed record Crust(
    Top Top,
    Length Thickness,
    Length BaseOverhang,
    Length TopOverhang,
    double TrimShare,
    Length StripWidth,
    Length StripGap)
{
    /// <summary>To which lid, strips or cut-outs are rolled; null where they are as thick as the base.</summary>
    public Length? TopThickness { get; init; }

    /// <summary>How the base is laid in.</summary>
    public Lining Lining { get; init; }

    /// <summary>Across each cut-out; used with cut-outs only.</summary>
    public Length CutOutDiameter { get; init; }

    /// <summary>Cut-outs on a pie in the reference pan; other pans take as many as their top is larger. Used with cut-outs only.</summary>
    public int CutOuts { get; init; }

    /// <summary>Whether cut-outs are made from the trim of the base as far as it goes: the off-cuts are the decoration.</summary>
    public bool CutOutsFromTrim { get; init; } = true;

    /// <summary>How often the scraps of small rounds are rolled again, 0 to 2: more makes them tough.</summary>
    public int Rerolls { get; init; }

    /// <summary>The dough of a pie as it is divided between base and top; null where thicknesses are written.</summary>
    public DoughShare? Share { get; init; }

    /// <summary>The sheet that is cut into the strips of the lattice; null where strips and gaps are written.</summary>
    public StripSheet? StripSheet { get; init; }

    /// <summary>The sheet from which small rounds, wall strips and cut-outs are cut.</summary>
    public Outline Sheet { get; init; } = SheetLayout.Usual;

    /// <summary>Whether an overhang is counted from the inner edge of the wall, rim included; else from the rim's outer edge.</summary>
    public bool OverhangFromWall { get; init; }

    /// <summary>What the base reaches beyond the inner edge of a pan's wall, on one side.</summary>
    public Length BaseBeyond(Pan pan) => OverhangFromWall ? BaseOverhang : pan.RimWidth + BaseOverhang;

    /// <summary>What lid or strips reach beyond the inner edge of a pan's wall, on one side.</summary>
    public Length TopBeyond(Pan pan) => OverhangFromWall ? TopOverhang : pan.RimWidth + TopOverhang;

    /// <summary>Over what the strips of a lattice are laid side by side, before their ends hang over.</summary>
    public Outline StripSpan(Pan pan) => OverhangFromWall ? pan.Top : pan.Footprint;
}
