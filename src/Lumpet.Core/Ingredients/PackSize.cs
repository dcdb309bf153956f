using System.Globalization;
using System.Text.RegularExpressions;
using Lumpet.Core.Measures.Amounts;

namespace Lumpet.Core.Ingredients;

/// <summary>What one pack holds, as suppliers say it: "25 kg sack", "case of 6 x 1 l", "tray of 30 eggs", "tin of 820 g, drained 460 g".</summary>
/// <param name="Amount">Grams, millilitres or pieces in the whole pack; above 0. Of what is sold in liquor, what is left of it drained.</param>
/// <param name="Unit">What it counts in.</param>
/// <param name="Said">As it was said.</param>
public sealed partial record PackSize(decimal Amount, PackUnit Unit, string Said)
{
    private const decimal Least = 0.01m;
    private const decimal Most = 100_000_000m;
    private const int LongestText = 60;

    /// <summary>Reads a pack.</summary>
    /// <param name="text">What was said, of at most 60 characters.</param>
    /// <returns>The pack, or in words why it cannot be read.</returns>
    public static (PackSize? Pack, string Fault) Read(string? text)
    {
        var said = Blanks().Replace(text ?? string.Empty, " ").Trim();
        if (said.Length == 0) return (null, "A pack says what it holds: 25 kg, 6 x 1 l, tray of 30.");
        if (said.Length > LongestText) return (null, $"A pack is said in at most {LongestText} characters.");
        var match = Whole().Match(said);
        if (!match.Success || Number(match.Groups["number"].Value) is not { } number) return (null, $"\"{said}\" is no pack: say 25 kg, 6 x 1 l, tray of 30.");
        if (UnitOf(match.Groups["unit"].Value.Trim(), match.Groups["holder"].Length > 0 || match.Groups["times"].Captures.Count > 0) is not { } unit) return (null, $"\"{said}\": a pack is said in weight, volume or pieces.");
        var one = number * unit.Size;
        if (match.Groups["drained"].Length > 0)
        {
            if (Number(match.Groups["drained"].Value) is not { } drained || UnitOf(match.Groups["drainedUnit"].Value, isCounted: false) is not { Unit: PackUnit.Gram } left || unit.Unit != PackUnit.Gram || drained * left.Size > one)
                return (null, $"\"{said}\": a drained weight is a weight, and no more than that of the whole.");
            one = drained * left.Size;
        }

        var amount = match.Groups["times"].Captures.Aggregate(one, (all, times) => all * int.Parse(times.Value, CultureInfo.InvariantCulture));
        return amount is >= Least and <= Most ? (new PackSize(amount, unit.Unit, said), string.Empty) : (null, $"\"{said}\": a pack holds more than nothing and at most 100 t.");
    }

    /// <summary>A unit that packs are sold in; what is not known by name is pieces, "30 eggs".</summary>
    private static (PackUnit Unit, decimal Size)? UnitOf(string words, bool isCounted)
    {
        // "25 kg sack": the last word may be what holds it.
        var known = Known(words) ?? (words.LastIndexOf(' ') is > 0 and var last ? Known(words[..last]) : null);
        if (known is { Kind: UnitKind.Mass or UnitKind.Volume } unit)
            return Spoons.IsMatch(unit.Name) ? null : (unit.Kind == UnitKind.Mass ? PackUnit.Gram : PackUnit.Millilitre, (decimal)unit.Size);
        if (words.StartsWith("dozen", StringComparison.OrdinalIgnoreCase)) return (PackUnit.Piece, 12);
        return words.Length > 0 || isCounted ? (PackUnit.Piece, 1) : null;
    }

    private static AmountUnit? Known(string words) => words.Length == 0 ? null : UnitWords.Find(words.TrimEnd('.'), CupCustom.Metric);

    // Nobody sells by the spoon, and "t" would be one where a supplier means a tonne.
    private static Regex Spoons => Spoon();

    /// <summary>A comma before exactly three digits parts thousands; any other is a decimal comma, as in recipes.</summary>
    private static decimal? Number(string text) =>
        decimal.TryParse(
            Thousands().IsMatch(text) ? text.Replace(",", string.Empty, StringComparison.Ordinal) : text.Replace(',', '.'),
            NumberStyles.AllowDecimalPoint,
            CultureInfo.InvariantCulture,
            out var number) && number > 0
            ? number
            : null;

    [GeneratedRegex(@"^(?:(?<holder>\p{L}[\p{L}-]*)(?: of)? )?(?:(?<times>[1-9]\d{0,4}) ?[x×*] ?){0,3}(?<number>\d{1,9}(?:[.,]\d{1,9})*) ?(?<unit>\p{L}[\p{L}. -]*?)?(?:,? \(?drained(?: weight)? (?<drained>\d{1,9}(?:[.,]\d{1,9})*) ?(?<drainedUnit>\p{L}{1,12})\)?)?$", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Whole();

    [GeneratedRegex(@"cup|tbsp|tsp|pinch|dash", RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Spoon();

    [GeneratedRegex(@"^\d{1,3}(?:,\d{3})+(?:\.\d+)?$", RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Thousands();

    [GeneratedRegex(@"\s+", RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Blanks();
}
