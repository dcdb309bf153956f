using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.Labels;

/// <summary>An ingredient of a pie as a label lists it.</summary>
/// <param name="Ingredient">What it is.</param>
/// <param name="Mass">How much of it goes into one pie: prepared, at the time of its use, before anything boils or bakes away.</param>
/// <param name="Inside">What it is made of here, in descending order; empty of what is bought.</param>
public sealed record LabelIngredient(Ingredient Ingredient, Mass Mass, IReadOnlyList<LabelIngredient> Inside)
{
    /// <summary>Everything in it that is bought, itself where it is.</summary>
    public IEnumerable<LabelIngredient> Bought => Inside.Count == 0 ? [this] : Inside.SelectMany(inner => inner.Bought);

    /// <summary>
    /// The ingredients of one pie in descending order of weight, every line of every part among them (EU Regulation 1169/2011, Article 18: in descending order of weight,
    /// as recorded at the time of their use; US 21 CFR 101.4(a): in descending order of predominance by weight; both from memory). Of a dough so much is in it as lies on
    /// the pie: what stays in the bowl, and what is trimmed off, is not.
    /// </summary>
    /// <param name="pie">The product, scaled to its pan.</param>
    /// <param name="isOneList">Whether all that is bought stands in one list, each once; else doughs and preparations stand as such, with what is in them behind.</param>
    public static IReadOnlyList<LabelIngredient> Of(ScaledProduct pie, bool isOneList)
    {
        var whole = pie.Parts.SelectMany(part => part.Kind == PartKind.Dough ? [Dough(pie, part)] : part.Lines.Select(line => Opened(line.Line.Ingredient, line.PerPie * (part.Layer?.KeptShare ?? 1)))).Where(one => one.Mass > Mass.Zero);
        return Together(isOneList ? whole.SelectMany(one => one.Bought) : whole);
    }

    private static LabelIngredient Dough(ScaledProduct pie, ScaledPart part)
    {
        var made = part.Part.Dough!;
        var onThePie = Mass.FromGrams(pie.Pieces.Where(piece => pie.Product.DoughOf(piece).Id == made.Id).Sum(piece => piece.Mass.Grams));
        var written = made.Written;
        return new LabelIngredient(made.AsIngredient(), onThePie, Together(part.Lines.Select(line => Opened(line.Line.Ingredient, onThePie * (line.Line.Amount / written)))));
    }

    private static LabelIngredient Opened(Ingredient ingredient, Mass mass) => new(
        ingredient,
        mass,
        ingredient.Formula is { } formula ? Together(formula.For(mass).Select(line => Opened(line.Ingredient, line.Amount * formula.KeptShare))) : []);

    /// <summary>Each thing once, what weighs most first; of the same weight by name.</summary>
    private static LabelIngredient[] Together(IEnumerable<LabelIngredient> all) =>
    [
        .. all.GroupBy(one => one.Ingredient.Id)
            .Select(same => same.Count() == 1 ? same.First() : new LabelIngredient(same.First().Ingredient, Mass.FromGrams(same.Sum(one => one.Mass.Grams)), Together(same.SelectMany(one => one.Inside))))
            .OrderByDescending(one => one.Mass.Grams).ThenBy(one => one.Ingredient.Name, StringComparer.OrdinalIgnoreCase),
    ];
}
