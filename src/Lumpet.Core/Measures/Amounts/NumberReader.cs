using System.Globalization;
using System.Text.RegularExpressions;

namespace Lumpet.Core.Measures.Amounts;

/// <summary>Reads the numbers of recipes: decimals, fractions, mixed numbers, unicode fractions, number words and ranges.</summary>
internal static partial class NumberReader
{
    private static readonly Dictionary<char, double> Fractions = new()
    {
        ['½'] = 1 / 2.0,
        ['⅓'] = 1 / 3.0,
        ['⅔'] = 2 / 3.0,
        ['¼'] = 1 / 4.0,
        ['¾'] = 3 / 4.0,
        ['⅕'] = 1 / 5.0,
        ['⅖'] = 2 / 5.0,
        ['⅗'] = 3 / 5.0,
        ['⅘'] = 4 / 5.0,
        ['⅙'] = 1 / 6.0,
        ['⅚'] = 5 / 6.0,
        ['⅛'] = 1 / 8.0,
        ['⅜'] = 3 / 8.0,
        ['⅝'] = 5 / 8.0,
        ['⅞'] = 7 / 8.0,
    };

    private static readonly Dictionary<string, double> Words = new(StringComparer.OrdinalIgnoreCase)
    {
        ["a"] = 1,
        ["an"] = 1,
        ["one"] = 1,
        ["two"] = 2,
        ["three"] = 3,
        ["four"] = 4,
        ["five"] = 5,
        ["six"] = 6,
        ["seven"] = 7,
        ["eight"] = 8,
        ["nine"] = 9,
        ["ten"] = 10,
        ["eleven"] = 11,
        ["twelve"] = 12,
        ["half"] = 0.5,
        ["half a"] = 0.5,
        ["half an"] = 0.5,
        ["a half"] = 0.5,
        ["one half"] = 0.5,
        ["a quarter"] = 0.25,
        ["quarter"] = 0.25,
        ["a dozen"] = 12,
        ["one and a half"] = 1.5,
        ["two and a half"] = 2.5,
    };

    /// <summary>Reads a number or a range at the start of a text.</summary>
    /// <returns>Both ends and how many characters they took; null where there is no number.</returns>
    public static (double Least, double Most, int Length)? Range(string text)
    {
        if (One(text) is not { } first) return null;
        var between = To().Match(text, first.Length, text.Length - first.Length);
        if (!between.Success) return (first.Value, first.Value, first.Length);
        var rest = text[(first.Length + between.Length)..];
        return One(rest) is { } second && second.Value > first.Value
            ? (first.Value, second.Value, first.Length + between.Length + second.Length)
            : (first.Value, first.Value, first.Length);
    }

    private static (double Value, int Length)? One(string text)
    {
        var match = Figures().Match(text);
        if (match.Success) return Value(match) is { } value ? (value, match.Length) : null;
        var words = Spelled().Match(text);
        return words.Success ? (Words[Blanks().Replace(words.Value, " ")], words.Length) : null;
    }

    private static double? Value(Match match)
    {
        double total = 0;
        if (match.Groups["whole"] is { Success: true } whole)
        {
            if (Decimal(whole.Value) is not { } number) return null;
            total = number;
        }

        if (match.Groups["vulgar"] is { Success: true } vulgar) total += Fractions[vulgar.Value[0]];
        if (match.Groups["top"] is { Success: true } top)
        {
            var bottom = double.Parse(match.Groups["bottom"].Value, CultureInfo.InvariantCulture);
            if (bottom == 0) return null;
            total += double.Parse(top.Value, CultureInfo.InvariantCulture) / bottom;
        }

        return double.IsFinite(total) ? total : null;
    }

    /// <summary>A comma before exactly three digits parts thousands; any other is a decimal comma.</summary>
    private static double? Decimal(string text) =>
        double.TryParse(
            Thousands().IsMatch(text) ? text.Replace(",", string.Empty, StringComparison.Ordinal) : text.Replace(',', '.'),
            NumberStyles.AllowDecimalPoint,
            CultureInfo.InvariantCulture,
            out var number)
            ? number
            : null;

    // "1 1/2" and "1-1/2", "1½" and "1 ½", "1/2", "½", "1.5", "1,5", "1,500" and ".5". A fraction slash may be U+2044.
    [GeneratedRegex(
        @"^(?:(?<whole>\d{1,20})(?:-|\s+)(?<top>\d{1,3})\s?[/⁄]\s?(?<bottom>\d{1,3})|(?<whole>\d{1,20})\s?(?<vulgar>[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞])|(?<top>\d{1,3})\s?[/⁄]\s?(?<bottom>\d{1,3})|(?<vulgar>[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞])|(?<whole>\d{1,20}(?:[.,]\d{1,20})*|\.\d{1,20}))(?!\d)",
        RegexOptions.CultureInvariant,
        matchTimeoutMilliseconds: 500)]
    private static partial Regex Figures();

    [GeneratedRegex(@"^(?:(?:one|two)\s+and\s+a\s+half|half\s+an?|(?:a|one)\s+half|a\s+quarter|a\s+dozen|half|quarter|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|an?(?!\s+(?:few|handful|little|bit|bunch|lot|knob|splash|drizzle|some)\b))(?=\s)", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Spelled();

    [GeneratedRegex(@"\G\s*(?:-|–|—|\bto\b|\bor\b)\s*", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex To();

    [GeneratedRegex(@"^\d{1,3}(?:,\d{3})+(?:\.\d+)?$", RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Thousands();

    [GeneratedRegex(@"\s+", RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Blanks();
}
