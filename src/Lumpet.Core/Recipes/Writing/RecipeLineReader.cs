using System.Globalization;
using System.Text.RegularExpressions;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;

namespace Lumpet.Core.Recipes.Writing;

/// <summary>A line of a formula as it was read.</summary>
/// <param name="Known">The ingredient, where the bakery has it.</param>
/// <param name="Name">Its name; of a new one as it was typed.</param>
/// <param name="Preparation">How it is prepared; empty if not at all.</param>
/// <param name="Amount">How much.</param>
public sealed record ReadLine(Ingredient? Known, string Name, string Preparation, Mass Amount);

/// <summary>
/// Reads lines such as "1010 g pears, firm, pared and cored" or "2 1/2 lb plums, pitted": an amount by weight, the
/// ingredient, and after a comma how it is prepared.
/// </summary>
public static partial class RecipeLineReader
{
    private const int LongestName = 80;
    private const double MostGrams = 1_000_000;

    private static readonly Dictionary<char, double> Fractions = new() { ['½'] = 0.5, ['¼'] = 0.25, ['¾'] = 0.75, ['⅓'] = 1 / 3.0, ['⅔'] = 2 / 3.0, ['⅛'] = 0.125 };

    /// <summary>Reads one line.</summary>
    /// <returns>The line, or what is wrong with it.</returns>
    public static (ReadLine? Line, string? Fault) Read(string text, IReadOnlyCollection<Ingredient> ingredients)
    {
        var match = Written().Match(text.Trim());
        if (!match.Success)
            return (null, $"\"{Shorten(text.Trim())}\" is not understood. Write the weight first: 450 g flour, or 2 lb 4 oz plums, pitted. Cups and spoons depend on the density: weigh them once.");
        if (Grams(match) is not { } grams || grams is not (> 0 and <= MostGrams)) return (null, $"\"{Shorten(text.Trim())}\": an amount lies above 0 and up to 1000 kg.");
        var rest = match.Groups["rest"].Value.Trim();
        if (rest.Length > LongestName * 2 || rest.Any(char.IsControl)) return (null, $"\"{Shorten(rest)}\" is too long for an ingredient.");
        return (Named(rest, ingredients) with { Amount = Mass.FromGrams(grams) }, null);
    }

    /// <summary>A line as it would be typed; reading it again gives the same line.</summary>
    public static string Write(RecipeLine line) => FormattableString.Invariant(
        $"{line.Amount.Grams:0.###} g {line.Ingredient.Name}{(line.Preparation.Length > 0 ? $", {line.Preparation}" : string.Empty)}");

    /// <summary>Names may hold commas, so the longest name that is known wins; a new name ends at the first comma.</summary>
    private static ReadLine Named(string rest, IReadOnlyCollection<Ingredient> ingredients)
    {
        for (var cut = rest.Length; cut > 0; cut = rest.LastIndexOf(',', cut - 1))
        {
            var name = rest[..cut].Trim();
            if (ingredients.FirstOrDefault(one => one.Name.Equals(name, StringComparison.OrdinalIgnoreCase) || one.Id.Equals(name, StringComparison.OrdinalIgnoreCase)) is { } known)
                return new ReadLine(known, known.Name, rest[cut..].TrimStart(',').Trim(), Mass.Zero);
        }

        var comma = rest.IndexOf(',', StringComparison.Ordinal);
        var (fresh, preparation) = comma < 0 ? (rest, string.Empty) : (rest[..comma].Trim(), rest[(comma + 1)..].Trim());
        return new ReadLine(null, fresh.Length == 0 ? fresh : char.ToUpperInvariant(fresh[0]) + fresh[1..], preparation, Mass.Zero);
    }

    private static double? Grams(Match match)
    {
        var (numbers, units) = (match.Groups["number"].Captures, match.Groups["unit"].Captures);
        double total = 0;
        for (var at = 0; at < numbers.Count; at++)
        {
            if (Number(numbers[at].Value) is not { } number) return null;
            total += units[at].Value.ToLowerInvariant() switch
            {
                "kg" => Mass.FromKilograms(number).Grams,
                "lb" or "lbs" => Mass.FromPounds(number).Grams,
                "oz" => Mass.FromOunces(number).Grams,
                _ => number,
            };
        }

        return total;
    }

    private static double? Number(string text)
    {
        var parts = text.Trim().Split(' ', StringSplitOptions.RemoveEmptyEntries);
        double total = 0;
        foreach (var part in parts)
        {
            var (whole, fraction) = part.Length > 0 && Fractions.TryGetValue(part[^1], out var last) ? (part[..^1], last) : (part, 0);
            total += fraction;
            if (whole.Length == 0) continue;
            if (whole.Split('/') is [var top, var bottom])
            {
                if (!double.TryParse(top, NumberStyles.None, CultureInfo.InvariantCulture, out var upper)
                    || !double.TryParse(bottom, NumberStyles.None, CultureInfo.InvariantCulture, out var lower) || lower == 0) return null;
                total += upper / lower;
            }
            else if (double.TryParse(whole.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var number)) total += number;
            else return null;
        }

        return total;
    }

    private static string Shorten(string text) => text.Length > 60 ? text[..60] + "…" : text;

    [GeneratedRegex(@"^(?:(?<number>[0-9½¼¾⅓⅔⅛][0-9½¼¾⅓⅔⅛.,/ ]{0,20}?)\s*(?<unit>kg|g|lbs?|oz)\b\.?\s*){1,2}(?:of\s+)?(?<rest>\S.*)$", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 1000)]
    private static partial Regex Written();
}
