using System.Text.RegularExpressions;

namespace Lumpet.Core.Labels;

/// <summary>A piece of a label's text.</summary>
/// <param name="Text">The text.</param>
/// <param name="IsAllergen">Whether it names an allergen, and is to stand out.</param>
public sealed record LabelWord(string Text, bool IsAllergen);

/// <summary>
/// By which words a text names an allergen. Nuts, fish and cereals are named one by one: both EU Regulation 1169/2011, Annex II, and US FALCPA ask for the nut, the fish
/// and the cereal (from memory).
/// </summary>
public static class AllergenWords
{
    private static readonly Dictionary<string, string[]> Words = new()
    {
        ["wheat"] = ["wheat", "spelt", "durum", "emmer"],
        ["gluten (oats)"] = ["oat", "oatmeal"],
        ["gluten (rye, barley)"] = ["rye", "barley"],
        ["crustaceans"] = ["crustacean", "prawn", "shrimp", "crab", "lobster", "crayfish"],
        ["egg"] = ["egg"],
        ["fish"] = ["fish", "anchovy", "cod", "haddock", "salmon", "tuna", "trout", "herring", "mackerel"],
        ["peanut"] = ["peanut"],
        ["soy"] = ["soy", "soya", "soybean"],
        ["milk"] = ["milk"],
        ["nuts"] = Nuts,
        ["celery"] = ["celery", "celeriac"],
        ["mustard"] = ["mustard"],
        ["sesame"] = ["sesame"],
        ["sulphites"] = ["sulphite", "sulfite", "sulphur dioxide", "sulfur dioxide"],
        ["lupin"] = ["lupin"],
        ["molluscs"] = ["mollusc", "mussel", "clam", "oyster", "squid", "scallop"],
    };

    /// <summary>The nuts that both lists name.</summary>
    private static string[] Nuts => ["almond", "hazelnut", "walnut", "cashew", "pecan", "brazil nut", "pistachio", "macadamia"];

    /// <summary>Cuts a text where it names one of some allergens.</summary>
    /// <param name="text">The text.</param>
    /// <param name="allergens">Those that it may name, by the names of <see cref="Ingredients.MajorAllergens"/>.</param>
    /// <returns>The text in pieces, together the same; and the allergens that it does not name.</returns>
    public static (IReadOnlyList<LabelWord> Words, IReadOnlyList<string> NotNamed) Cut(string text, IReadOnlyList<string> allergens)
    {
        var (cuts, missing) = (new SortedDictionary<int, int>(), new List<string>());
        foreach (var allergen in allergens)
        {
            Match[] found = [.. WordsOf(allergen).SelectMany(word => Regex.Matches(text, $@"\b{Regex.Escape(word)}(?:s|es)?\b", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, Patience))];
            if (found.Length == 0) missing.Add(allergen);
            foreach (var match in found) cuts[match.Index] = Math.Max(cuts.GetValueOrDefault(match.Index), match.Length);
        }

        var (words, at) = (new List<LabelWord>(), 0);
        foreach (var (start, length) in cuts.Where(cut => cut.Key >= 0))
        {
            if (start < at) continue;
            if (start > at) words.Add(new LabelWord(text[at..start], false));
            words.Add(new LabelWord(text.Substring(start, length), true));
            at = start + length;
        }

        if (at < text.Length) words.Add(new LabelWord(text[at..], false));
        return (words, missing);
    }

    /// <summary>How an allergen is named where a text does not name it.</summary>
    public static string Plain(string allergen) => allergen switch
    {
        "gluten (oats)" => "oats",
        "gluten (rye, barley)" => "rye or barley",
        _ => allergen,
    };

    /// <summary>Whether an allergen has to be named more closely than by its own name, and by which words: the nut, the fish.</summary>
    internal static bool IsNamedOneByOne(string allergen) => allergen is "nuts" or "fish" or "gluten (rye, barley)";

    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(1);

    private static string[] WordsOf(string allergen) => Words.TryGetValue(allergen, out var words) ? words : [allergen];
}
