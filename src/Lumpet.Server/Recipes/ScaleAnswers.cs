using Lumpet.Core.Costing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;

namespace Lumpet.Server.Recipes;

/// <summary>
/// Writes a scaled product out for the screen. Exact figures are rounded here and only here, and so that parts shown
/// beside a total add up to it.
/// </summary>
internal static class ScaleAnswers
{
    /// <summary>The answer.</summary>
    public static ScaleAnswer Of(ScaledProduct scaled, PieCost cost, string currency)
    {
        var (product, filling, dough) = (scaled.Product, scaled.FillingScale, scaled.Product.Dough);
        var lines = Lines(scaled.Filling);
        var doughLines = Lines(scaled.Dough);
        return new ScaleAnswer(
            product.Id,
            product.Name,
            product.Version,
            product.Allergens,
            product.WithoutStatedAllergens,
            scaled.Count,
            Pan(scaled.Pan),
            Pan(product.ReferencePan),
            [.. product.Sizes.Select(size => Pan(size.Pan))],
            Math.Round(lines.Sum(line => line.TotalGrams) / 1000, 2),
            Math.Round(doughLines.Sum(line => line.TotalGrams) / 1000, 2),
            new FillingScaleAnswer(
                Math.Round(filling.Factor, 4),
                Math.Round(filling.Written.Millilitres, 1),
                Math.Round(filling.Room.Millilitres, 1),
                Math.Round(filling.Lined.LevelVolume.Millilitres, 1),
                Math.Round(filling.LevelShare * 100),
                product.Filling.PackedDensity.GramsPerMillilitre,
                Math.Round(scaled.FillingPerPie.Grams),
                Centimetres(filling.Lined.TopDiameter),
                Centimetres(filling.Lined.BottomDiameter),
                Centimetres(filling.Lined.Depth),
                Centimetres(filling.Level.Height),
                Centimetres(filling.Level.Mound),
                Centimetres(filling.Level.Height + filling.Level.Mound + filling.Moved),
                Centimetres(filling.Moved),
                product.Crust.Thickness.Centimetres),
            lines,
            new DoughScaleAnswer(
                dough.Name,
                Math.Round(scaled.DoughFactor, 4),
                Math.Round(scaled.DoughPerPie.Grams, 1),
                dough.Density.GramsPerMillilitre,
                product.Crust.Thickness.Millimetres,
                Math.Round(product.Crust.TrimShare * 100, 1),
                Math.Round(dough.BowlLossShare * 100, 1),
                [.. scaled.Pieces.Select(piece => Piece(piece, PieceWords.Of(piece, scaled)))],
                doughLines),
            Lines(scaled.Finish),
            Math.Round(scaled.FinishFactor, 4),
            Cost(cost, currency),
            [.. product.Process.Steps.Select(StepWords.Of)]);
    }

    private static PanAnswer Pan(Pan pan) => new(
        pan.Id,
        pan.Name,
        pan.TopDiameter.Centimetres,
        pan.BottomDiameter.Centimetres,
        pan.Depth.Centimetres,
        pan.RimWidth.Centimetres,
        pan.PerTray,
        Math.Round(pan.BrimfulVolume.Millilitres));

    private static LineAnswer[] Lines(IReadOnlyList<ScaledLine> lines)
    {
        var perPie = SharedRounding.Round([.. lines.Select(line => line.PerPie.Grams)], 0.1);
        return [.. lines.Select((line, index) => new LineAnswer(
            line.Line.Ingredient.Name,
            line.Line.Preparation,
            line.Line.Amount.Grams,
            perPie[index],
            ScaleReading.GramsOf(line.Total),
            line.Line.Yield.Share < 1 ? Math.Round(line.ToBuy.Grams) : null,
            Percent(line.Line.Yield)))];
    }

    private static PieceAnswer Piece(DoughPiece piece, string reckoning)
    {
        var grams = SharedRounding.Round([piece.Mass.Grams, piece.Trim.Grams], 0.1);
        return new PieceAnswer(
            piece.Name,
            Centimetres(piece.Diameter),
            // A disc has the piece's thickness, so its area is in step with its mass.
            Math.Round(piece.Diameter.Centimetres * Math.Sqrt(piece.Disc / piece.Mass), 1),
            [.. piece.Strips.Take(piece.Strips.Count / 2).Select(Centimetres)],
            piece.StripWidth.Centimetres,
            reckoning,
            Math.Round(piece.Area.SquareCentimetres, 1),
            grams[0],
            Math.Round(grams[0] + grams[1], 1),
            grams[1]);
    }

    private static CostAnswer Cost(PieCost cost, string currency)
    {
        var priced = cost.Lines.Where(line => line.Cost is not null).ToArray();
        // Cents that are shown add up: lines to parts, parts to the total.
        var cents = priced.Length == 0 ? [] : SharedRounding.Round([.. priced.Select(line => (double)line.Cost!.Value.Amount)], 0.001);
        // By reference: two lines of a formula may be alike.
        var shown = new Dictionary<CostLine, double>(ReferenceEqualityComparer.Instance);
        foreach (var (line, paid) in priced.Zip(cents)) shown[line] = paid;
        var complete = cost.Total is not null;
        return new CostAnswer(
            complete,
            currency,
            complete ? Math.Round(cents.Sum(), 3) : null,
            (double?)cost.SellingPrice?.Amount,
            cost.FoodCostShare is { } share ? Math.Round((double)share * 100, 1) : null,
            [.. cost.Lines.GroupBy(line => line.Part).Select(part => new CostPartAnswer(
                Word(part.Key), cost.Of(part.Key) is null ? null : Math.Round(part.Sum(line => shown[line]), 3)))],
            [.. cost.Lines.Select(line => new CostLineAnswer(
                Word(line.Part),
                line.Ingredient.Name,
                Math.Round(line.EdiblePortion, 1),
                line.Part == CostPart.Packaging ? "piece" : "g",
                Percent(line.Yield),
                line.Price is { } price ? PriceWords.Of(price) : null,
                shown.TryGetValue(line, out var part) ? part : null))],
            cost.Missing);
    }

    private static double? Percent(Yield yield) => yield.Share < 1 ? Math.Round(yield.Share * 100, 1) : null;

    private static double Centimetres(Length length) => Math.Round(length.Centimetres, 2);

    private static string Word(CostPart part) => part.ToString().ToLowerInvariant();
}
