using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.Costing;

/// <summary>What is bought for one pie of one thing, through all that is made here.</summary>
/// <param name="Ingredient">What is bought.</param>
/// <param name="Grams">Grams as purchased; 0 where it is counted.</param>
/// <param name="Pieces">Pieces of packaging; 0 where it is weighed.</param>
public sealed record BoughtAmount(Ingredient Ingredient, decimal Grams, int Pieces)
{
    /// <summary>What it costs at given prices; null where that is not known.</summary>
    public Money? CostAt(PriceList prices) => Pieces > 0
        ? prices.Find(Ingredient.Id) is { PackUnit: PackUnit.Piece } piece ? piece.PerUnit * Pieces : null
        : prices.Find(Ingredient.Id)?.OfGram(Ingredient) is { } gram ? gram * Grams : null;

    /// <summary>
    /// Everything that is bought for one pie, each thing once, in the order in which the pie is made. What is made here is opened
    /// down to what is bought for it; what has a price of its own is bought.
    /// </summary>
    /// <param name="scaled">The product, scaled to its pan.</param>
    /// <param name="prices">They say what is bought.</param>
    public static IReadOnlyList<BoughtAmount> Of(ScaledProduct scaled, PriceList prices)
    {
        var order = new List<string>();
        var found = new Dictionary<string, BoughtAmount>();
        void Add(Ingredient ingredient, decimal grams, int pieces)
        {
            if (!found.TryGetValue(ingredient.Id, out var before))
            {
                order.Add(ingredient.Id);
                before = new BoughtAmount(ingredient, 0, 0);
            }

            found[ingredient.Id] = before with { Grams = before.Grams + grams, Pieces = before.Pieces + pieces };
        }

        // What is made here may go into much else that is: it is opened once, as what a gram of it takes.
        var opened = new Dictionary<string, (Ingredient Ingredient, decimal Grams)[]>();
        (Ingredient Ingredient, decimal Grams)[] InAGramOf(Ingredient ingredient)
        {
            if (ingredient.Formula is not { } formula || prices.Find(ingredient.Id)?.OfGram(ingredient) is not null) return [(ingredient, 1)];
            if (opened.TryGetValue(ingredient.Id, out var known)) return known;
            var made = (decimal)formula.Made.Grams;
            return opened[ingredient.Id] =
            [
                .. formula.Lines.SelectMany(line => InAGramOf(line.Ingredient).Select(one => (one.Ingredient, Grams: one.Grams * (decimal)line.Yield.AsPurchased(line.Amount).Grams / made)))
                    .GroupBy(one => one.Ingredient.Id).Select(group => (group.First().Ingredient, group.Sum(one => one.Grams))),
            ];
        }

        foreach (var line in scaled.Parts.SelectMany(part => part.Lines))
            foreach (var (ingredient, grams) in InAGramOf(line.Line.Ingredient)) Add(ingredient, grams * (decimal)line.Line.Yield.AsPurchased(line.PerPie).Grams, 0);
        foreach (var item in scaled.Packaging) Add(item, 0, 1);
        return [.. order.Select(id => found[id])];
    }
}
