using Lumpet.Core;
using Lumpet.Core.Measures;
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
        "shell" => "one shell as it comes",
        "lid" => Lid(piece, scaled),
        _ => scaled.Product.Crust.Lining == Lining.Pressed && !scaled.Pan.IsFreeForm ? Pressed(scaled) : Base(piece, scaled),
    };

    private static string Base(DoughPiece piece, ScaledProduct scaled)
    {
        var (pan, crust) = (scaled.Pan, scaled.Product.Crust);
        var (rim, over) = (pan.RimWidth.Centimetres, crust.BaseOverhang.Centimetres);
        if (pan.IsFreeForm) return Words($"filling {pan.Bottom.Width.Centimetres} + 2 × fold {over} = {Round(piece.Diameter.Centimetres)} cm; π/4 × {Round(piece.Diameter.Centimetres)}²");
        if (piece.Outline.IsRound)
            return Words($"floor {pan.Bottom.Width.Centimetres} + 2 × wall {pan.SlantHeight.Centimetres:0.00} + {Beyond("2 × ", rim, " + ", over, crust)} = {Round(piece.Diameter.Centimetres)} cm; π/4 × {Round(piece.Diameter.Centimetres)}²");
        return Words($"floor {Sides(pan.Bottom)} cm, and on each side wall {pan.SlantHeight.Centimetres:0.00} and {pan.SideSlantHeight.Centimetres:0.00}, {Beyond(string.Empty, rim, " and ", over, crust)}: {Sides(piece.Outline)}");
    }

    private static string Lid(DoughPiece piece, ScaledProduct scaled)
    {
        if (scaled.Pan.IsFreeForm) return FreeLid(piece, scaled);
        var crust = scaled.Product.Crust;
        var over = piece.Outline.Widened(crust.TopBeyond(scaled.Pan) * -1);
        var (rim, hang) = (scaled.Pan.RimWidth.Centimetres, crust.TopOverhang.Centimetres);
        return piece.Outline.IsRound
            ? Words($"over the mound {over.Width.Centimetres:0.00} + {Beyond("2 × ", rim, " + ", hang, crust)} = {Round(piece.Diameter.Centimetres)} cm; π/4 × {Round(piece.Diameter.Centimetres)}²")
            : Words($"over the mound {Sides(over)}, and on each side {Beyond(string.Empty, rim, " and ", hang, crust)}: {Sides(piece.Outline)}");
    }

    /// <summary>What lies beyond the wall: the rim and the overhang, or an overhang in which the rim is counted.</summary>
    private static string Beyond(string times, double rim, string and, double over, Crust crust) => crust.OverhangFromWall
        ? Words($"{times}overhang with the rim {over}")
        : Words($"{times}rim {rim}{and}{times}overhang beyond the rim {over}");

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

    /// <summary>How a piece that is no single round is cut: ", 8 + 8 strips 1.9 cm wide"; empty for a round.</summary>
    public static string Cut(DoughPiece piece) => piece.Name switch
    {
        "lattice" => Words($", {piece.Strips.Upright.Count} + {piece.Strips.Across.Count} strips {piece.StripWidth.Centimetres:0.#} cm wide"),
        "wall strips" => Words($", {piece.Count} × {piece.Strips.Across[0].Centimetres:0.#} cm, {piece.StripWidth.Centimetres:0.#} cm high"),
        "cut-outs" => Words($", {piece.Count} of {piece.Diameter.Centimetres:0.#} cm"),
        _ => string.Empty,
    };

    /// <summary>A piece in a few words: "base 312 g, 33 cm across", "lattice 96 g, 8 + 8 strips".</summary>
    public static string InShort(DoughPiece piece)
    {
        var size = piece.Name == "lattice" ? Words($"{piece.Strips.Upright.Count} + {piece.Strips.Across.Count} strips")
            : piece.Count > 1 ? Words($"{piece.Count} of them")
            : piece.Outline.IsRound ? Words($"{piece.Diameter.Centimetres:0.#} cm across")
            : Words($"{piece.Outline.Length.Centimetres:0.#} × {piece.Outline.Width.Centimetres:0.#} cm");
        return Words($"{piece.Name} {piece.Disc.Grams:0} g, {size}");
    }

    /// <summary>How the recipe divides its dough or cuts its sheet, and what follows; empty where it writes thicknesses and gaps.</summary>
    public static string Said(Product product)
    {
        var crust = product.Crust;
        var said = new List<string>();
        if (crust.Share is { } share)
        {
            var top = crust.Top is Top.Lid or Top.Lattice ? Words($", {Round(share.Base * 100)} % to the base and {Round((1 - share.Base) * 100)} % to the {Naming.Of(crust.Top)}") : string.Empty;
            said.Add(Words($"Of {Round(share.PerPie.Grams)} g of dough in the {product.ReferencePan.Name} pan{top}: the base is rolled to {Thick(crust.Thickness)} mm"));
            if (share.Gives == ShareGives.Strips) said.Add(Words($"as many strips of {Round(crust.StripWidth.Centimetres)} cm as come nearest to the rest, {Round(crust.StripGap.Centimetres)} cm apart"));
            else if (crust.TopThickness is { } onTop) said.Add(Words($"the {Naming.Of(crust.Top)} to {Thick(onTop)} mm"));
        }

        if (crust is { StripSheet: { } sheet, Top: Top.Lattice })
            said.Add(Words($"A sheet of {Round(sheet.Length.Centimetres)} × {Round(sheet.Width.Centimetres)} cm into {sheet.Strips} strips of {Round(sheet.StripWidth.Centimetres)} cm, {sheet.Strips / 2} each way, {Round(crust.StripGap.Centimetres)} cm apart{(sheet.Strips % 2 == 1 ? ", one left over" : string.Empty)}"));
        return string.Concat(said.Select((one, at) => at == 0 ? one : one.StartsWith("A sheet", StringComparison.Ordinal) ? $". {one}" : $"; {one}")) + (said.Count > 0 ? "." : string.Empty);
    }

    private static double Thick(Length thickness) => Math.Round(thickness.Millimetres, 1);

    private static string Sides(Outline outline) => Words($"{Round(outline.Length.Centimetres)} × {Round(outline.Width.Centimetres)}");

    private static double Round(double value) => Math.Round(value, 2);

    private static string Words(FormattableString text) => FormattableString.Invariant(text);
}
