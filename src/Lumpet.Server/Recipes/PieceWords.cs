using Lumpet.Core.Recipes;

namespace Lumpet.Server.Recipes;

/// <summary>Says how the size of a dough piece follows from its pan.</summary>
internal static class PieceWords
{
    /// <summary>The reckoning of a piece, in centimetres.</summary>
    public static string Of(DoughPiece piece, ScaledProduct scaled)
    {
        var (pan, crust) = (scaled.Pan, scaled.Product.Crust);
        var rim = pan.RimWidth.Centimetres;
        if (piece.Strips.Count > 0)
        {
            var oneWay = piece.Strips.Take(piece.Strips.Count / 2).Select(strip => FormattableString.Invariant($"{strip.Centimetres:0.0#}"));
            return FormattableString.Invariant($"({string.Join(" + ", oneWay)}) cm both ways × {piece.StripWidth.Centimetres} cm");
        }

        if (piece.Name == "base")
            return FormattableString.Invariant(
                $"floor {pan.BottomDiameter.Centimetres} + 2 × wall {pan.SlantHeight.Centimetres:0.00} + 2 × rim {rim} + 2 × overhang {crust.BaseOverhang.Centimetres}");
        var over = piece.Diameter.Centimetres - (2 * (rim + crust.TopOverhang.Centimetres));
        return FormattableString.Invariant($"over the mound {over:0.00} + 2 × rim {rim} + 2 × overhang {crust.TopOverhang.Centimetres}");
    }
}
