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
/// <param name="At">The count of pies nearest to the one asked for at which it comes out whole; null where none is near.</param>
public sealed record WholePieces(ScaledLine Line, string Piece, double GramsOfOne, double Exact, int Nearest, double MovedPercent, WholeAt? At)
{
    // Whole is what lies within a twentieth of one piece, however many there are: 2 g of an egg.
    private const double Close = 0.05;

    /// <summary>Every line of a scaled product that comes whole.</summary>
    public static IReadOnlyList<WholePieces> In(ScaledProduct scaled) =>
        [.. scaled.AllLines.Select(line => Of(line, scaled.Count)).OfType<WholePieces>()];

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
        if (facts.Role is IngredientRole.Egg or IngredientRole.BoughtDough) return facts.PieceOf("one");
        return facts.PieceOf("tin") ?? facts.Pieces.FirstOrDefault(piece => piece.Piece != "one" && line.Written.Contains(piece.Piece, StringComparison.OrdinalIgnoreCase) && facts.Role is not (IngredientRole.Fruit or IngredientRole.Vegetable or IngredientRole.Liquid or IngredientRole.Acid));
    }

    private static WholeAt? NearestWhole(double perPie, int count)
    {
        for (var away = 0; away <= Math.Max(12, count / 4); away++)
        {
            if (WholeFor(perPie, count + away) is { } more) return more;
            if (count - away >= 1 && WholeFor(perPie, count - away) is { } fewer) return fewer;
        }

        return null;
    }

    private static WholeAt? WholeFor(double perPie, int pies) =>
        perPie * pies is var exact && Math.Round(exact) is >= 1 and < int.MaxValue and var whole && Math.Abs(exact - whole) <= Close
            ? new WholeAt(pies, (int)whole, ((whole / exact) - 1) * 100)
            : null;
}

/// <summary>A count of pies at which something comes out whole.</summary>
/// <param name="Pies">Pies.</param>
/// <param name="Pieces">Whole pieces for them.</param>
/// <param name="MovedPercent">By how much taking so many still moves the line.</param>
public sealed record WholeAt(int Pies, int Pieces, double MovedPercent);
