using Lumpet.Core.Ingredients;

namespace Lumpet.Core.Recipes;

/// <summary>
/// What comes whole (eggs, tins, sticks) in a scaled formula, and the three ways to deal with it: weigh it, take the
/// nearest whole, or make as many pies as need whole ones.
/// </summary>
/// <param name="Line">The scaled line.</param>
/// <param name="Piece">"egg", "tin", "stick": what comes whole.</param>
/// <param name="GramsOfOne">Weight of one, prepared as the line says.</param>
/// <param name="Exact">How many it takes exactly.</param>
/// <param name="Nearest">The nearest whole number, at least 1.</param>
/// <param name="MovedPercent">By how much taking that many moves this line.</param>
/// <param name="WholeAt">The count of pies nearest to the one asked for at which it comes out whole within 2 %; null where none is near.</param>
public sealed record WholePieces(ScaledLine Line, string Piece, double GramsOfOne, double Exact, int Nearest, double MovedPercent, int? WholeAt)
{
    private const double Close = 0.02;

    /// <summary>Every line of a scaled product that comes whole.</summary>
    public static IReadOnlyList<WholePieces> In(ScaledProduct scaled) =>
        [.. scaled.Dough.Concat(scaled.Filling).Concat(scaled.Topping).Select(line => Of(line, scaled.Count)).OfType<WholePieces>()];

    private static WholePieces? Of(ScaledLine line, int count)
    {
        var ingredient = line.Line.Ingredient;
        if (PieceOf(line.Line) is not { } piece || line.Total.Grams <= 0) return null;
        var one = piece.Weight.Grams * (ingredient.Facts.YieldOf(line.Line.Preparation)?.Yield.Share ?? 1);
        var exact = line.Total.Grams / one;
        var nearest = Math.Max(1, (int)Math.Min(int.MaxValue / 2, Math.Round(exact, MidpointRounding.AwayFromZero)));
        return new WholePieces(line, piece.Piece == "one" ? ingredient.Name : piece.Piece, one, exact, nearest, ((nearest / exact) - 1) * 100, NearestWhole(exact / count, count));
    }

    /// <summary>Eggs are counted, and so is what comes in tins; sticks, pods and leaves where the recipe counts them.</summary>
    private static PieceWeight? PieceOf(RecipeLine line)
    {
        var facts = line.Ingredient.Facts;
        if (facts.Role == IngredientRole.Egg) return facts.PieceOf("one");
        return facts.PieceOf("tin") ?? facts.Pieces.FirstOrDefault(piece => piece.Piece != "one" && line.Written.Contains(piece.Piece, StringComparison.OrdinalIgnoreCase) && facts.Role is not (IngredientRole.Fruit or IngredientRole.Vegetable or IngredientRole.Liquid));
    }

    private static int? NearestWhole(double perPie, int count)
    {
        for (var away = 0; away <= Math.Max(12, count / 4); away++)
        {
            if (IsWhole(perPie * (count + away))) return count + away;
            if (count - away >= 1 && IsWhole(perPie * (count - away))) return count - away;
        }

        return null;
    }

    private static bool IsWhole(double exact) => Math.Round(exact) is >= 1 and var whole && Math.Abs(exact - whole) / whole <= Close;
}
