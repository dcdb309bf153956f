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
        "cut-outs" => Words($"{piece.Count} × π/4 × {piece.Diameter.Centimetres}²{(piece.FromTrim > 0 ? $", {piece.FromTrim} of them from the base's trim" : string.Empty)}"),
        "floor" => piece.Outline.IsRound ? Words($"the pan's own floor, {piece.Diameter.Centimetres} cm across: π/4 × {piece.Diameter.Centimetres}²") : Words($"the pan's own floor: {Sides(piece.Outline)}"),
        "lid" => Lid(piece, scaled),
        _ => scaled.Product.Crust.Lining == Lining.Pressed && !scaled.Pan.IsFreeForm ? Pressed(scaled) : Base(piece, scaled),
    };

    private static string Base(DoughPiece piece, ScaledProduct scaled)
    {
        var (pan, crust) = (scaled.Pan, scaled.Product.Crust);
        var (rim, over) = (pan.RimWidth.Centimetres, crust.BaseOverhang.Centimetres);
        if (pan.IsFreeForm) return Words($"filling {pan.Bottom.Width.Centimetres} + 2 × fold {over} = {Round(piece.Diameter.Centimetres)} cm; π/4 × {Round(piece.Diameter.Centimetres)}²");
        if (piece.Outline.IsRound)
            return Words($"floor {pan.Bottom.Width.Centimetres} + 2 × wall {pan.SlantHeight.Centimetres:0.00} + 2 × rim {rim} + 2 × overhang beyond the rim {over} = {Round(piece.Diameter.Centimetres)} cm; π/4 × {Round(piece.Diameter.Centimetres)}²");
        return Words($"floor {Sides(pan.Bottom)} cm, and on each side wall {pan.SlantHeight.Centimetres:0.00} and {pan.SideSlantHeight.Centimetres:0.00}, rim {rim} and overhang beyond the rim {over}: {Sides(piece.Outline)}");
    }

    private static string Lid(DoughPiece piece, ScaledProduct scaled)
    {
        if (scaled.Pan.IsFreeForm) return FreeLid(piece, scaled);
        var beyond = scaled.Pan.RimWidth + scaled.Product.Crust.TopOverhang;
        var over = piece.Outline.Widened(beyond * -1);
        var (rim, hang) = (scaled.Pan.RimWidth.Centimetres, scaled.Product.Crust.TopOverhang.Centimetres);
        return piece.Outline.IsRound
            ? Words($"over the mound {over.Width.Centimetres:0.00} + 2 × rim {rim} + 2 × overhang beyond the rim {hang} = {Round(piece.Diameter.Centimetres)} cm; π/4 × {Round(piece.Diameter.Centimetres)}²")
            : Words($"over the mound {Sides(over)}, and on each side rim {rim} and overhang beyond the rim {hang}: {Sides(piece.Outline)}");
    }

    private static string FreeLid(DoughPiece piece, ScaledProduct scaled)
    {
        var (side, hang) = (scaled.Pan.SlantHeight.Centimetres, scaled.Product.Crust.TopOverhang.Centimetres);
        var over = piece.Outline.Width.Centimetres - (2 * (side + hang));
        return Words($"over the mound {over:0.00} + 2 × side of the filling {side:0.00} + 2 × overhang {hang} = {Round(piece.Diameter.Centimetres)} cm; π/4 × {Round(piece.Diameter.Centimetres)}²");
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

    private static string Pressed(ScaledProduct scaled) => Words(
        $"pan {scaled.Pan.BrimfulVolume.Millilitres:0} ml less the room left in it {scaled.FillingScale.Lined.LevelVolume.Millilitres:0} ml, over {scaled.Product.Crust.Thickness.Centimetres} cm, pressed in");

    /// <summary>"rolled to 35.2 cm, trimmed to 33 cm": what a round is rolled to is more than what stays of it; empty for what is cut from a sheet.</summary>
    public static string Rolled(DoughPiece piece)
    {
        if (piece.Strips.All.Any() || piece.Count > 1 || piece.Trim.Grams < 0.5) return string.Empty;
        return piece.Outline.IsRound
            ? Words($"rolled to {piece.Rolled.Width.Centimetres:0.#} cm, trimmed to {piece.Outline.Width.Centimetres:0.#} cm")
            : Words($"rolled to {piece.Rolled.Length.Centimetres:0.#} × {piece.Rolled.Width.Centimetres:0.#} cm, trimmed to {piece.Outline.Length.Centimetres:0.#} × {piece.Outline.Width.Centimetres:0.#} cm");
    }

    private static string Sides(Outline outline) => Words($"{Round(outline.Length.Centimetres)} × {Round(outline.Width.Centimetres)}");

    private static double Round(double value) => Math.Round(value, 2);

    private static string Words(FormattableString text) => FormattableString.Invariant(text);
}
