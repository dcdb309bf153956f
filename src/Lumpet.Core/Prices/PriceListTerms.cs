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
        string? supplier, string? validFrom, IReadOnlyDictionary<string, string?>? articles, IReadOnlyDictionary<string, Ingredient> ingredients, LocalDate today)
    {
        var checks = new FieldChecks();
        var name = checks.Name("supplier", supplier, "A supplier");
        var from = PriceListReader.Day(checks, validFrom, today);
        if (articles?.Count > MostArticles) checks.Add("articles", $"Of at most {MostArticles} articles it can be said what they are.");
        else if ((articles ?? new Dictionary<string, string?>()).FirstOrDefault(said => said.Key.Length is 0 or > PriceListReader.LongestArticle || (said.Value is { } id && !ingredients.ContainsKey(id))) is { Key: not null } wrong)
            checks.Add("articles", wrong.Key.Length is 0 or > PriceListReader.LongestArticle ? $"An article has a name of at most {PriceListReader.LongestArticle} characters." : $"\"{wrong.Key}\" cannot be \"{wrong.Value}\": there is no such ingredient.");
        return checks.Faults.Count > 0 ? (null, checks.Faults) : (new PriceListTerms(name, from, articles ?? new Dictionary<string, string?>()), []);
    }
}
