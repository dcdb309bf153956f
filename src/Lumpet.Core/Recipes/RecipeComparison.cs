namespace Lumpet.Core.Recipes;

/// <summary>A line as a version keeps it.</summary>
/// <param name="Part">Id of the part: "dough", "filling", "filling-2", "topping" and so on.</param>
/// <param name="Ingredient">Name of the ingredient.</param>
/// <param name="Preparation">How it is prepared.</param>
/// <param name="Grams">What it was read as.</param>
/// <param name="Written">The amount as written; empty for grams.</param>
public sealed record KeptLine(string Part, string Ingredient, string Preparation, double Grams, string Written);

/// <summary>One row of a comparison: a line that is in either or both.</summary>
/// <param name="Part">Id of the part of the recipe.</param>
/// <param name="What">The ingredient and how it is prepared.</param>
/// <param name="Old">Grams in the first; null where it is not in it.</param>
/// <param name="New">Grams in the second; null where it is not in it.</param>
public sealed record ComparedLine(string Part, string What, double? Old, double? New)
{
    // Amounts are kept to a thousandth of a gram.
    private const double Hair = 0.0005;

    /// <summary>Whether both hold the same.</summary>
    public bool IsSame => Old is { } one && New is { } other && Math.Abs(one - other) < Hair;

    /// <summary>By how many per cent the second differs from the first; null where either is missing or nothing.</summary>
    public double? ChangePercent => Old is > 0 and { } one && New is { } other ? ((other / one) - 1) * 100 : null;
}

/// <summary>Compares two recipes, or two versions of one, line by line.</summary>
public static class RecipeComparison
{
    /// <summary>
    /// Rows in the order of the second, what was left out of it after each part's own lines. Lines are the same where part,
    /// ingredient and preparation are; of several alike the first goes with the first. Only what has no such partner is
    /// paired by its ingredient alone, so that no line takes the partner of another.
    /// </summary>
    public static IReadOnlyList<ComparedLine> Of(IReadOnlyList<KeptLine> old, IReadOnlyList<KeptLine> fresh)
    {
        var left = old.ToList();
        // By reference: two lines of a recipe may be alike.
        var partners = new Dictionary<KeptLine, KeptLine>(ReferenceEqualityComparer.Instance);
        void Pair(Func<KeptLine, KeptLine, bool> areSame)
        {
            foreach (var line in fresh.Where(line => !partners.ContainsKey(line)))
                if (left.FindIndex(other => areSame(other, line)) is >= 0 and var at)
                {
                    partners[line] = left[at];
                    left.RemoveAt(at);
                }
        }

        Pair((one, other) => Key(one) == Key(other));
        Pair((one, other) => one.Part == other.Part && one.Ingredient == other.Ingredient);
        return
        [
            .. fresh.Concat(old).Select(line => line.Part).Distinct().SelectMany(part => fresh.Where(line => line.Part == part)
                .Select(line => new ComparedLine(part, What(line), partners.GetValueOrDefault(line)?.Grams, line.Grams))
                .Concat(left.Where(line => line.Part == part).Select(line => new ComparedLine(part, What(line), line.Grams, null)))),
        ];
    }

    private static (string, string, string) Key(KeptLine line) => (line.Part, line.Ingredient, line.Preparation);

    private static string What(KeptLine line) => line.Preparation.Length == 0 ? line.Ingredient : $"{line.Ingredient}, {line.Preparation}";
}
