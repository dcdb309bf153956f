using Lumpet.Core.Measures.Amounts;

namespace Lumpet.Core.Ingredients;

/// <summary>Finds the ingredient that a recipe means: by name, in any order of its words, singular or plural.</summary>
public sealed class Pantry
{
    /// <summary>Words before a name that say how it is prepared or which size it has, not what it is.</summary>
    private static readonly HashSet<string> Describing = new(StringComparer.OrdinalIgnoreCase)
    {
        "large", "medium", "small", "extra-large", "big", "ripe", "fresh", "cold", "very", "chilled", "ice-cold", "warm", "hot", "lukewarm", "soft", "softened", "melted", "browned", "cubed",
        "finely", "coarsely", "roughly", "freshly", "thinly", "lightly", "chopped", "diced", "sliced", "grated", "ground", "crushed", "minced", "mashed", "toasted", "roasted",
        "sifted", "unsifted", "spooned", "scooped", "packed", "peeled", "pared", "cored", "pitted", "stoned", "hulled", "trimmed", "halved", "quartered", "beaten", "whisked", "strained", "drained", "organic",
        "good", "quality", "whole", "cooked", "raw", "dried", "frozen", "thawed", "juicy", "firm", "squeezed",
    };

    private readonly List<Ingredient> all = [];
    private readonly Dictionary<string, Ingredient> byKey = [];

    /// <summary>A pantry of these ingredients.</summary>
    public Pantry(IEnumerable<Ingredient> ingredients)
    {
        foreach (var ingredient in ingredients) Add(ingredient);
    }

    /// <summary>Everything in it.</summary>
    public IReadOnlyList<Ingredient> All => all;

    /// <summary>Adds an ingredient. Of two that are called the same the first is kept.</summary>
    public void Add(Ingredient ingredient)
    {
        all.Add(ingredient);
        byKey.TryAdd(Key(ingredient.Name), ingredient);
        byKey.TryAdd(Key(ingredient.Id), ingredient);
        foreach (var name in ingredient.Facts.OtherNames) byKey.TryAdd(Key(name), ingredient);
    }

    /// <summary>The ingredient of exactly this name, or null.</summary>
    public Ingredient? Find(string name) => byKey.GetValueOrDefault(Key(name));

    /// <summary>
    /// Reads "firm pears, pared and cored": the longest run up to a comma that names an ingredient; words before it that
    /// only describe ("finely chopped walnuts") become part of the preparation.
    /// </summary>
    /// <returns>The ingredient if it is known, its name, and how it is prepared. A name that is not known ends at the first comma.</returns>
    public (Ingredient? Known, string Name, string Preparation) Read(string text)
    {
        for (var cut = text.Length; cut > 0; cut = text.LastIndexOf(',', cut - 1))
        {
            var (name, after) = (text[..cut].Trim(), text[cut..].TrimStart(',').Trim());
            if (name.Length == 0) break;
            if (Described(name) is { } found) return (found.Known, found.Known.Name, Joined(found.Described, after));
        }

        var comma = text.IndexOf(',', StringComparison.Ordinal);
        var (fresh, preparation) = comma < 0 ? (text.Trim(), string.Empty) : (text[..comma].Trim(), text[(comma + 1)..].Trim());
        return (null, fresh.Length == 0 ? fresh : char.ToUpperInvariant(fresh[0]) + fresh[1..], preparation);
    }

    private (Ingredient Known, string Described)? Described(string name)
    {
        var (plain, noted) = WithoutBrackets(name);
        var words = plain.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        for (var first = 0; first < words.Length; first++)
        {
            if (Find(string.Join(' ', words[first..])) is { } known) return (known, Joined(string.Join(' ', words[..first]), noted));
            if (!Describing.Contains(words[first].Trim(','))) return null;
        }

        return null;
    }

    private static (string Plain, string Noted) WithoutBrackets(string name)
    {
        var (open, close) = (name.IndexOf('(', StringComparison.Ordinal), name.LastIndexOf(')'));
        return open < 0 || close < open ? (name, string.Empty) : ((name[..open] + name[(close + 1)..]).Trim(), name[(open + 1)..close].Trim());
    }

    private static string Joined(string first, string second) =>
        first.Length == 0 ? second : second.Length == 0 ? first : $"{first}, {second}";

    /// <summary>The words of a name in the singular and in alphabetical order: "light brown sugar" is "Sugar, light brown".</summary>
    private static string Key(string name) => string.Join(' ', Singular.Key(name).Split(' ').Order(StringComparer.Ordinal));
}
