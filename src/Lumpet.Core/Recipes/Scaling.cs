using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;

namespace Lumpet.Core.Recipes;

/// <summary>Scales a product to a pan and a count: layers by their laws, dough by the area of its pieces.</summary>
public static class Scaling
{
    /// <summary>The most pies that one calculation takes; more is a slip of the finger.</summary>
    public const int MostPies = 100_000;

    /// <summary>Scales a product.</summary>
    /// <param name="product">What to scale.</param>
    /// <param name="pan">To which pan.</param>
    /// <param name="count">To how many pies, 1 to <see cref="MostPies"/>.</param>
    /// <exception cref="ArgumentOutOfRangeException">The count is out of range.</exception>
    public static ScaledProduct Scale(Product product, Pan pan, int count)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(count);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(count, MostPies);

        var filling = FillingScale.For(product, pan);
        var pieces = PiecesIn(product, pan, filling);
        var discs = DiscsOf(pieces);
        var reference = DiscsOf(PiecesIn(product, product.ReferencePan, FillingScale.For(product, product.ReferencePan)));
        double Factor(RecipePart part) => part switch
        {
            { Dough: { } dough } => dough.BatchFor(DiscsOf(pieces.Where(piece => product.DoughOf(piece) == dough))) / dough.Written,
            { Layer.Law: LayerLaw.Room } => filling.RoomFactor,
            _ => LayerScale.Factor(part.Layer!, product, pan),
        };
        ScaledPart[] parts = [.. product.Parts.Select(part => Part(part, Factor(part), count))];
        return new ScaledProduct(
            product,
            pan,
            count,
            filling,
            Mass.FromGrams(parts.Where(part => part.Kind == PartKind.Filling).Sum(part => part.PerPie.Grams)),
            pieces,
            discs,
            discs / reference,
            parts,
            [.. product.Packaging.Concat(product.SizeIn(pan.Id)?.Beside ?? [])]);
    }

    private static IReadOnlyList<DoughPiece> PiecesIn(Product product, Pan pan, FillingScale filling) =>
        DoughPieces.For(product, pan, filling.Level.Mound);

    private static Mass DiscsOf(IEnumerable<DoughPiece> pieces) => Mass.FromGrams(pieces.Sum(piece => piece.Disc.Grams));

    private static ScaledPart Part(RecipePart part, double factor, int count) => new(part, factor, Lines(part.Lines, factor, count));

    private static ScaledLine[] Lines(IEnumerable<RecipeLine> lines, double factor, int count) =>
        [.. lines.Select(line =>
        {
            var perPie = line.Amount * factor;
            var total = perPie * count;
            return new ScaledLine(line, perPie, total, line.Yield.AsPurchased(total));
        })];
}
