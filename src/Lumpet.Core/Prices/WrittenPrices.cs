using System.Globalization;
using System.Text.RegularExpressions;

namespace Lumpet.Core.Prices;

/// <summary>
/// Reads the prices of a column. Whether "1.234" is one or a thousand is decided by the column as a whole; where no cell tells,
/// it is asked, never guessed: a price a thousand times too low is worse than none.
/// </summary>
public static partial class WrittenPrices
{
    private const decimal Most = 1_000_000m;

    private static readonly Dictionary<char, string[]> Signs = new()
    {
        ['€'] = ["EUR"],
        ['£'] = ["GBP"],
        ['$'] = ["USD", "CAD", "AUD", "NZD", "SGD", "HKD"],
        ['¥'] = ["JPY", "CNY"],
    };

    /// <summary>Reads prices.</summary>
    /// <param name="cells">What is written, in order.</param>
    /// <param name="currency">The currency they have to be in (ISO 4217).</param>
    /// <param name="decimalSign">"." or ","; null where the column is to tell.</param>
    /// <returns>For each cell the price, or in words what is wrong with it; and whether it is left open which sign parts decimals.</returns>
    public static (IReadOnlyList<(decimal? Paid, string Fault)> Prices, bool IsOpen) Read(IReadOnlyList<string> cells, string currency, string? decimalSign)
    {
        (string Number, string Fault)[] bare = [.. cells.Select(cell => Bare(cell, currency))];
        string?[] told = [.. bare.Select(cell => cell.Fault.Length > 0 ? null : DecimalSign(cell.Number))];
        var sign = decimalSign ?? told.FirstOrDefault(one => one is not null);
        var isOpen = sign is null && bare.Any(cell => cell.Fault.Length == 0 && Thousand().IsMatch(cell.Number));
        return ([.. bare.Zip(told, (cell, own) => One(cell.Number, cell.Fault, own, sign, isOpen))], isOpen);
    }

    private static (decimal? Paid, string Fault) One(string number, string fault, string? own, string? sign, bool isOpen)
    {
        if (fault.Length > 0) return (null, fault);
        if (own is not null && own != sign) return (null, $"\"{number}\" parts its decimals with {own}, where the others have {sign}.");
        if (isOpen && Thousand().IsMatch(number)) return (null, $"\"{number}\" may be one or a thousand: say which sign parts decimals.");
        var plain = (sign == "," ? number.Replace(".", string.Empty, StringComparison.Ordinal) : number.Replace(",", string.Empty, StringComparison.Ordinal)).Replace(',', '.');
        return decimal.TryParse(plain, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var paid) && paid is >= 0 and <= Most
            ? (paid, string.Empty)
            : (null, $"A price lies between 0 and {Most:0}.");
    }

    /// <summary>Which sign parts decimals, as far as one number tells; null where it does not.</summary>
    private static string? DecimalSign(string number)
    {
        var (dots, commas) = (number.Count(one => one == '.'), number.Count(one => one == ','));
        if (dots > 0 && commas > 0) return number.LastIndexOf('.') > number.LastIndexOf(',') ? "." : ",";
        if (dots + commas == 0) return null;
        var (here, other) = dots > 0 ? (".", ",") : (",", ".");
        // Twice the same parts thousands; so does nothing else than three figures, except after a nought.
        if (dots + commas > 1) return other;
        return Thousand().IsMatch(number) ? null : here;
    }

    private static (string Number, string Fault) Bare(string cell, string currency)
    {
        var text = cell.Trim();
        if (text.Length == 0) return (string.Empty, "There is no price.");
        foreach (var (sign, currencies) in Signs)
        {
            if (!text.Contains(sign)) continue;
            if (!currencies.Contains(currency)) return (string.Empty, $"\"{text}\" is in {currencies[0]}, the books are in {currency}.");
            text = text.Replace(sign.ToString(), string.Empty, StringComparison.Ordinal);
        }

        if (Code().Match(text) is { Success: true } code)
        {
            if (!code.Value.Equals(currency, StringComparison.OrdinalIgnoreCase)) return (string.Empty, $"\"{cell.Trim()}\" is in {code.Value}, the books are in {currency}.");
            text = Code().Replace(text, string.Empty);
        }

        var number = Gaps().Replace(text, string.Empty);
        return Figures().IsMatch(number) ? (number, string.Empty) : (string.Empty, $"\"{cell.Trim()}\" is no price.");
    }

    [GeneratedRegex(@"^[1-9]\d{0,2}[.,]\d{3}$", RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Thousand();

    [GeneratedRegex(@"\b[A-Za-z]{3}\b", RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Code();

    // Blanks of every width and apostrophes part thousands in some countries.
    [GeneratedRegex(@"[\s\u00A0\u202F'’]", RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Gaps();

    [GeneratedRegex(@"^(?:\d+|\d{1,3}(?:[.]\d{3})+|\d{1,3}(?:,\d{3})+|\d*[.,]\d+|\d{1,3}(?:[.]\d{3})+,\d+|\d{1,3}(?:,\d{3})+[.]\d+)$", RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Figures();
}
