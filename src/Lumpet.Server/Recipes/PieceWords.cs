using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;

namespace Lumpet.Server.Recipes;

/// <summary>Says how the size of a dough piece follows from its pan.</summary>
internal static class PieceWords
{
    /// <summary>The reckoning of a piece, in centimetres, up to its area.</summary>
    public static string Of(DoughPiece piece, ScaledProduct scaled) => piece.Name switch
    {
        "lattice" => Lattice(piece),
        "wall strips" => WallStrips(piece, scaled),
        "cut-outs" => Words($"{piece.Count} × π/4 × {piece.Diameter.Centimetres}²"),
        "floor" => piece.Outline.IsRound ? Words($"the pan's own floor, {piece.Diameter.Centimetres} cm across: π/4 × {piece.Diameter.Centimetres}²") : Words($"the pan's own floor: {Sides(piece.Outline)}"),
        "lid" => Lid(piece, scaled),
        _ => scaled.Product.Crust.Lining == Lining.Pressed && !scaled.Pan.IsFreeForm ? Pressed(scaled.Pan) : Base(piece, scaled),
    };

    private static string Base(DoughPiece piece, ScaledProduct scaled)
    {
        var (pan, crust) = (scaled.Pan, scaled.Product.Crust);
        var (rim, over) = (pan.RimWidth.Centimetres, crust.BaseOverhang.Centimetres);
        if (pan.IsFreeForm) return Words($"filling {pan.Bottom.Width.Centimetres} + 2 × fold {over} = {Round(piece.Diameter.Centimetres)} cm; π/4 × {Round(piece.Diameter.Centimetres)}²");
        if (piece.Outline.IsRound)
            return Words($"floor {pan.Bottom.Width.Centimetres} + 2 × wall {pan.SlantHeight.Centimetres:0.00} + 2 × rim {rim} + 2 × overhang {over} = {Round(piece.Diameter.Centimetres)} cm; π/4 × {Round(piece.Diameter.Centimetres)}²");
        return Words($"floor {Sides(pan.Bottom)} cm, and on each side wall {pan.SlantHeight.Centimetres:0.00} and {pan.SideSlantHeight.Centimetres:0.00}, rim {rim} and overhang {over}: {Sides(piece.Outline)}");
    }

    private static string Lid(DoughPiece piece, ScaledProduct scaled)
    {
        var beyond = scaled.Pan.RimWidth + scaled.Product.Crust.TopOverhang;
        var over = piece.Outline.Widened(beyond * -1);
        var (rim, hang) = (scaled.Pan.RimWidth.Centimetres, scaled.Product.Crust.TopOverhang.Centimetres);
        return piece.Outline.IsRound
            ? Words($"over the mound {over.Width.Centimetres:0.00} + 2 × rim {rim} + 2 × overhang {hang} = {Round(piece.Diameter.Centimetres)} cm; π/4 × {Round(piece.Diameter.Centimetres)}²")
            : Words($"over the mound {Sides(over)}, and on each side rim {rim} and overhang {hang}: {Sides(piece.Outline)}");
    }

    private static string Lattice(DoughPiece piece)
    {
        var (upright, across) = (piece.Strips.Upright, piece.Strips.Across);
        var width = piece.StripWidth.Centimetres;
        if (!piece.Outline.IsRound) return Words($"({upright.Count} strips of {upright[0].Centimetres:0.0#} + {across.Count} of {across[0].Centimetres:0.0#}) cm × {width} cm");
        return Words($"({string.Join(" + ", upright.Select(strip => Words($"{strip.Centimetres:0.0#}")))}) cm both ways × {width} cm");
    }

    private static string WallStrips(DoughPiece piece, ScaledProduct scaled) => Words(
        $"{piece.Count} × {piece.Strips.Across[0].Centimetres:0.0#} cm round the wall with 1 cm to lap, × (wall {scaled.Pan.SlantHeight.Centimetres:0.00} + overhang {scaled.Product.Crust.BaseOverhang.Centimetres}) cm");

    private static string Pressed(Pan pan) => Words($"floor {pan.Bottom.Area.SquareCentimetres:0.#} cm² + wall {pan.WallArea.SquareCentimetres:0.#} cm², pressed in");

    private static string Sides(Outline outline) => Words($"{Round(outline.Length.Centimetres)} × {Round(outline.Width.Centimetres)}");

    private static double Round(double value) => Math.Round(value, 2);

    private static string Words(FormattableString text) => FormattableString.Invariant(text);
}
