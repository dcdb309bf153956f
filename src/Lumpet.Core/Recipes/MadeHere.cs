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
        var wanted = new Dictionary<string, MadeHere>();
        void Add(Ingredient ingredient, Mass mass)
        {
            if (ingredient.Formula is not { } formula) return;
            wanted[ingredient.Id] = wanted.TryGetValue(ingredient.Id, out var before) ? before with { Wanted = before.Wanted + mass } : new MadeHere(ingredient, mass);
            foreach (var line in formula.For(mass)) Add(line.Ingredient, line.Yield.AsPurchased(line.Amount));
        }

        foreach (var line in scaled.SelectMany(one => one.AllLines)) Add(line.Line.Ingredient, line.ToBuy);
        return [.. wanted.Values];
    }
}
