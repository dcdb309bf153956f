namespace Lumpet.Core.Ingredients;

/// <summary>What is made of what, by id: nothing of itself, and not through more levels than anyone can follow.</summary>
internal sealed class MadeHereNesting
{
    /// <summary>The most levels of things made here within things made here: a praline in a paste in a cream is three.</summary>
    public const int MostLevels = 8;

    private readonly Dictionary<string, string[]> parts;

    /// <summary>The nesting of these ingredients.</summary>
    public MadeHereNesting(IEnumerable<Ingredient> ingredients) =>
        parts = ingredients.Where(one => one.Formula is not null).DistinctBy(one => one.Id).ToDictionary(one => one.Id, PartsOf);

    /// <summary>States anew what an ingredient is made of; nothing where it is bought.</summary>
    public void State(Ingredient ingredient)
    {
        if (ingredient.Formula is null) parts.Remove(ingredient.Id);
        else parts[ingredient.Id] = PartsOf(ingredient);
    }

    /// <summary>Whether something is made of itself, through whatever else.</summary>
    public bool IsInItself(string id) => Inside(id).Contains(id);

    /// <summary>What is wrong about what an ingredient is made of, or null.</summary>
    public string? Fault(Ingredient ingredient)
    {
        if (IsInItself(ingredient.Id)) return $"{ingredient.Name} is made of something that is made of it: a recipe cannot use itself.";
        return Longest() > MostLevels ? $"Things made here lie at most {MostLevels} deep in one another; with this they would lie {MostLevels + 1} deep." : null;
    }

    private static string[] PartsOf(Ingredient ingredient) => [.. ingredient.Formula!.Lines.Select(line => line.Ingredient.Id).Distinct()];

    private HashSet<string> Inside(string id)
    {
        var (seen, open) = (new HashSet<string>(), new Stack<string>(parts.GetValueOrDefault(id) ?? []));
        while (open.TryPop(out var part))
            if (seen.Add(part))
                foreach (var inner in parts.GetValueOrDefault(part) ?? []) open.Push(inner);
        return seen;
    }

    /// <summary>The most levels anywhere, as far as they are told apart: counting ends one beyond the most that are taken.</summary>
    private int Longest()
    {
        // Level by level from below: what is made of bought things only, then what is made of that.
        var level = new Dictionary<string, int>();
        for (var round = 1; round <= MostLevels + 1; round++)
        {
            string[] next = [.. parts.Where(one => round == 1 || one.Value.Any(part => level.GetValueOrDefault(part) == round - 1)).Select(one => one.Key)];
            if (next.Length == 0) return round - 1;
            foreach (var id in next) level[id] = round;
        }

        return MostLevels + 1;
    }
}
