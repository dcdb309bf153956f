using System.Globalization;
using System.Text.RegularExpressions;

namespace Lumpet.Core.Ingredients;

/// <summary>Reads how far something is boiled down from how it is prepared: "boiled down by half", "reduced to a third", "boiled down to 60 %".</summary>
public static partial class Reduction
{
    /// <summary>The share of the weight that is left, above 0 and under 1; null where nothing is boiled down.</summary>
    public static double? ShareLeft(string preparation)
    {
        if (Boiled().Match(preparation) is not { Success: true } match) return null;
        var named = match.Groups["percent"].Success
            ? double.Parse(match.Groups["percent"].ValueSpan, CultureInfo.InvariantCulture) / 100
            : Count(match.Groups["count"].Value) / Parts(match.Groups["part"].Value);
        var left = match.Groups["way"].Value.Equals("by", StringComparison.OrdinalIgnoreCase) ? 1 - named : named;
        return left is > 0 and < 1 ? left : null;
    }

    private static double Count(string word) => word.ToLowerInvariant() switch { "two" => 2, "three" => 3, "four" => 4, _ => 1 };

    private static double Parts(string word) => word.ToLowerInvariant()[..3] switch { "hal" => 2, "thi" => 3, "qua" => 4, _ => 5 };

    [GeneratedRegex(@"\b(?:boiled down|boiled|reduced)\s+(?<way>to|by)\s+(?:(?:(?<count>a|one|two|three|four)\s+)?(?<part>half|thirds?|quarters?|fifths?)|(?<percent>\d{1,2}(?:\.\d)?)\s?(?:%|per ?cent))", RegexOptions.CultureInvariant | RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, matchTimeoutMilliseconds: 500)]
    private static partial Regex Boiled();
}
