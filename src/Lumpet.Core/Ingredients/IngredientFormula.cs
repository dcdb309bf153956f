using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;

namespace Lumpet.Core.Ingredients;

/// <summary>What an ingredient is made of that the bakery makes itself: a curd, a praline, a roasted puree. It may use others of its kind, but never itself.</summary>
/// <param name="Lines">What goes in; at least one line.</param>
/// <param name="KeptShare">What does not stay in the pot, above 0 and at most 1.</param>
public sealed record IngredientFormula(IReadOnlyList<RecipeLine> Lines, double KeptShare)
{
    /// <summary>How it is made, in which batches, and how it keeps; null while nobody has said.</summary>
    public Making? How { get; init; }

    /// <summary>What boiling down leaves of the weight, above 0 and at most 1: water goes, nothing else.</summary>
    public double ReducedTo { get; init; } = 1;

    /// <summary>What of the lines is left in the end.</summary>
    public double LeftShare => ReducedTo * KeptShare;

    /// <summary>What the lines make.</summary>
    public Mass Made => Mass.FromGrams(Lines.Sum(line => line.Amount.Grams)) * LeftShare;

    /// <summary>Every ingredient in it, down to those that are bought, each once, however many ways lead to it.</summary>
    public IReadOnlyCollection<Ingredient> Everything
    {
        get
        {
            var found = new Dictionary<string, Ingredient>();
            var open = new Stack<RecipeLine>(Lines);
            while (open.TryPop(out var line))
                if (found.TryAdd(line.Ingredient.Id, line.Ingredient))
                    foreach (var inner in line.Ingredient.Formula?.Lines ?? []) open.Push(inner);
            return found.Values;
        }
    }

    /// <summary>What is weighed in for so much of it.</summary>
    public Mass WeighedFor(Mass wanted) => wanted / LeftShare;

    /// <summary>How much one whole egg, tin or the like makes, of that of which batches take whole ones; null where they do not.</summary>
    public Mass? MadeOfOne => How?.WholeOf is { } id && Lines.FirstOrDefault(line => line.Ingredient.Id == id) is { Ingredient.Facts.OnePiece: { } one } line && line.Amount > Mass.Zero
        ? Made * (one.Weight * line.Yield.Share / line.Amount)
        : null;

    /// <summary>In what batches are counted whole: what one egg or tin makes, or one piece of what is made; null where any weight will do.</summary>
    public Mass? BatchUnit => MadeOfOne ?? How?.Piece;

    /// <summary>The lines that make so much of it.</summary>
    public IReadOnlyList<RecipeLine> For(Mass wanted) => [.. Lines.Select(line => line with { Amount = line.Amount * (wanted / Made) })];

    /// <summary>
    /// An ingredient with this formula: it carries what its parts carry, traces, alcohol and raw egg included, beside what is
    /// stated of itself; it counts as stated only where all of them are.
    /// </summary>
    public Ingredient Make(Ingredient ingredient) => ingredient with
    {
        Formula = this,
        Allergens = [.. ingredient.Allergens.Concat(Lines.SelectMany(line => line.Ingredient.Allergens)).Distinct().Order(StringComparer.Ordinal)],
        AllergensStated = Lines.All(line => line.Ingredient.AllergensStated),
        Facts = ingredient.Facts with
        {
            StatedMayContain = [.. ingredient.Facts.MayContain.Concat(Lines.SelectMany(line => line.Ingredient.Facts.MayContain)).Distinct()],
            StatedAlcoholPercent = Math.Max(ingredient.Facts.AlcoholPercent, Lines.Max(line => line.Ingredient.Facts.AlcoholPercent)),
            StatedUnsafeRaw = ingredient.Facts.UnsafeRaw || Lines.Any(line => line.Ingredient.Facts.UnsafeRaw),
            StatedNeedsControl = ingredient.Facts.NeedsControl || Lines.Any(line => line.Ingredient.Facts.NeedsControl),
        },
    };

    /// <summary>What a gram of it costs; null while a price is missing.</summary>
    /// <param name="prices">The prices in force.</param>
    public Money? CostOfGram(PriceList prices)
    {
        Money? sum = null;
        foreach (var line in Lines)
        {
            if (prices.OfGram(line.Ingredient) is not { } gram) return null;
            var cost = gram * (decimal)line.Yield.AsPurchased(line.Amount).Grams;
            sum = sum is { } before ? before + cost : cost;
        }

        return sum is { } all ? all with { Amount = all.Amount / (decimal)Made.Grams } : null;
    }
}
