using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.Costing;

/// <summary>What one ingredient of one pie costs.</summary>
/// <param name="Part">The part it belongs to; packaging is one of its own.</param>
/// <param name="Ingredient">What is paid for.</param>
/// <param name="EdiblePortion">Grams that go in, unrounded; pieces for packaging.</param>
/// <param name="Yield">What preparation leaves of the weight bought.</param>
/// <param name="Price">The price row used; null where none is known, or where it is made here and costs what its parts cost.</param>
/// <param name="Cost">EP / yield times the price of a gram; null where no price is known.</param>
public sealed record CostLine(
    RecipePart Part, Ingredient Ingredient, double EdiblePortion, Yield Yield, Price? Price, Money? Cost);

/// <summary>What one pie costs, by ingredient.</summary>
/// <param name="Lines">Every ingredient of every part.</param>
/// <param name="Total">The sum, or null while a price is missing.</param>
/// <param name="Missing">Names of the ingredients without a price; empty when the cost is complete.</param>
/// <param name="SellingPrice">What the pie sells for, or null where no price is set.</param>
public sealed record PieCost(
    IReadOnlyList<CostLine> Lines, Money? Total, IReadOnlyList<string> Missing, Money? SellingPrice)
{
    private static readonly RecipePart Packaging = new(PartKind.Packaging, "packaging", null, []);

    /// <summary>Food cost over selling price, or null where either is unknown.</summary>
    public decimal? FoodCostShare =>
        Total is { } total && SellingPrice is { Amount: > 0 } price && price.Currency == total.Currency
            ? total.Amount / price.Amount
            : null;

    /// <summary>The cost of all parts of a kind, or null while one of their prices is missing.</summary>
    public Money? Of(PartKind part)
    {
        var lines = Lines.Where(line => line.Part.Kind == part).ToArray();
        return lines.Any(line => line.Cost is null) ? null : Sum([.. lines.Select(line => line.Cost!.Value)]);
    }

    /// <summary>Costs one pie of a scaled product.</summary>
    /// <param name="scaled">The product, scaled to its pan.</param>
    /// <param name="prices">The prices in force.</param>
    /// <exception cref="InvalidOperationException">The prices are in more than one currency.</exception>
    public static PieCost Of(ScaledProduct scaled, PriceList prices)
    {
        CostLine[] lines =
        [
            .. scaled.Parts.SelectMany(part => part.Lines.Select(line => ByWeight(part.Part, line, prices))),
            .. scaled.Packaging.Select(item => ByPiece(item, prices)),
        ];
        string[] missing = [.. lines.Where(line => line.Cost is null).Select(line => line.Ingredient.Name).Distinct()];
        var total = missing.Length == 0 ? Sum([.. lines.Select(line => line.Cost!.Value)]) : null;
        return new PieCost(lines, total, missing, scaled.Product.SizeIn(scaled.Pan.Id)?.SellingPrice);
    }

    private static CostLine ByWeight(RecipePart part, ScaledLine line, PriceList prices)
    {
        var price = prices.Find(line.Line.Ingredient.Id) is { } row && row.OfGram(line.Line.Ingredient) is not null ? row : null;
        var bought = (decimal)line.Line.Yield.AsPurchased(line.PerPie).Grams;
        return new CostLine(part, line.Line.Ingredient, line.PerPie.Grams, line.Line.Yield, price, prices.OfGram(line.Line.Ingredient) is { } gram ? gram * bought : null);
    }

    private static CostLine ByPiece(Ingredient item, PriceList prices)
    {
        var price = Usable(prices.Find(item.Id), PackUnit.Piece);
        return new CostLine(Packaging, item, 1, Yield.Whole, price, price?.PerUnit);
    }

    // A price by weight says nothing of a box, so it counts as missing.
    private static Price? Usable(Price? price, PackUnit unit) => price?.PackUnit == unit ? price : null;

    private static Money? Sum(IReadOnlyList<Money> costs) =>
        costs.Count == 0 ? null : costs.Aggregate((left, right) => left + right);
}
