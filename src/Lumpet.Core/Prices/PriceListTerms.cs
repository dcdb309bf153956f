using Lumpet.Core.Ingredients;
using NodaTime;

namespace Lumpet.Core.Prices;

/// <summary>What is said of a list beside what stands in it.</summary>
/// <param name="Supplier">Whose it is.</param>
/// <param name="ValidFrom">From when prices hold that say nothing of it.</param>
/// <param name="Articles">By article the id of its ingredient, or null for one that is passed over.</param>
public sealed record PriceListTerms(string Supplier, LocalDate ValidFrom, IReadOnlyDictionary<string, string?> Articles)
{
    private const int MostArticles = 5000;

    /// <summary>Reads them.</summary>
    /// <param name="supplier">Whose the list is.</param>
    /// <param name="validFrom">From when prices hold (ISO date); null for today.</param>
    /// <param name="articles">What articles are; null for nothing said.</param>
    /// <param name="ingredients">What there is.</param>
    /// <param name="today">The day on which it is read.</param>
    /// <returns>What was said, or what is wrong with it.</returns>
    public static (PriceListTerms? Terms, IReadOnlyList<FieldFault> Faults) Read(
        string? supplier, string? validFrom, IReadOnlyList<SaidArticle?>? articles, IReadOnlyDictionary<string, Ingredient> ingredients, LocalDate today)
    {
        var checks = new FieldChecks();
        var name = checks.Name("supplier", supplier, "A supplier");
        var from = PriceListReader.Day(checks, validFrom, today);
        if (articles?.Count > MostArticles) checks.Add("articles", $"Of at most {MostArticles} articles it can be said what they are.");
        var said = new Dictionary<string, string?>();
        foreach (var (one, at) in (articles ?? []).Take(MostArticles).Select((one, at) => (one, at)))
        {
            var article = one?.Article?.Trim() ?? string.Empty;
            if (article.Length is 0 or > PriceListReader.LongestArticle) checks.Add($"articles[{at}].article", $"An article has a name of at most {PriceListReader.LongestArticle} characters.");
            else if (one!.Ingredient is { } id && !ingredients.ContainsKey(id)) checks.Add($"articles[{at}].ingredient", "There is no such ingredient.");
            else if (!said.TryAdd(article, one.Ingredient)) checks.Add($"articles[{at}].article", "It was said before what this article is.");
        }

        return checks.Faults.Count > 0 ? (null, checks.Faults) : (new PriceListTerms(name, from, said), []);
    }
}

/// <summary>What an article of a supplier is.</summary>
/// <param name="Article">What the supplier calls it.</param>
/// <param name="Ingredient">Id of the ingredient; null for an article that is passed over.</param>
public sealed record SaidArticle(string? Article, string? Ingredient);
