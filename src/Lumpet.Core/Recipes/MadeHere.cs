using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;

namespace Lumpet.Core.Recipes;

/// <summary>How much of something that is made here scaled products take.</summary>
/// <param name="Ingredient">What is made; it has a formula.</param>
/// <param name="Wanted">How much, over all lines and all it goes into.</param>
public sealed record MadeHere(Ingredient Ingredient, Mass Wanted)
{
    /// <summary>Everything that is made first, what others are made of after them, so that reading upwards is the order of work.</summary>
    public static IReadOnlyList<MadeHere> In(params IEnumerable<ScaledProduct> scaled)
    {
        var wanted = new Dictionary<string, Mass>();
        var level = new Dictionary<string, (Ingredient Ingredient, int Depth)>();
        foreach (var line in scaled.SelectMany(one => one.AllLines))
        {
            if (line.Line.Ingredient.Formula is null) continue;
            Level(line.Line.Ingredient, level);
            Want(line.Line.Ingredient, line.ToBuy);
        }

        // From what holds others down to what they are made of: each is reckoned once, when all that takes it is known.
        var made = new List<MadeHere>();
        foreach (var (ingredient, _) in level.Values.OrderByDescending(one => one.Depth).ThenBy(one => one.Ingredient.Id, StringComparer.Ordinal).ToArray())
        {
            made.Add(new MadeHere(ingredient, wanted[ingredient.Id]));
            foreach (var line in ingredient.Formula!.For(wanted[ingredient.Id]).Where(line => line.Ingredient.Formula is not null)) Want(line.Ingredient, line.Yield.AsPurchased(line.Amount));
        }

        return made;

        void Want(Ingredient ingredient, Mass mass) => wanted[ingredient.Id] = wanted.GetValueOrDefault(ingredient.Id) + mass;
    }

    /// <summary>What the discs of scaled products take of each dough, by the dough's id; what else is made of it is not in it.</summary>
    public static IReadOnlyDictionary<string, Mass> InDiscs(IEnumerable<ScaledProduct> scaled) =>
        scaled.SelectMany(one => one.Pieces.Select(piece => (one.Product.DoughOf(piece).Id, Mass: piece.Disc * one.Count)))
            .GroupBy(disc => disc.Id, disc => disc.Mass)
            .ToDictionary(group => group.Key, group => Mass.FromGrams(group.Sum(mass => mass.Grams)));

    /// <summary>Levels of things made here within an ingredient, itself counted; noted for it and all in it.</summary>
    private static int Level(Ingredient ingredient, Dictionary<string, (Ingredient, int Depth)> level)
    {
        if (ingredient.Formula is not { } formula) return 0;
        if (level.TryGetValue(ingredient.Id, out var known)) return known.Depth;
        var depth = 1 + formula.Lines.Max(line => Level(line.Ingredient, level));
        level[ingredient.Id] = (ingredient, depth);
        return depth;
    }
}
