using System.Globalization;
using System.Text.RegularExpressions;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;

namespace Lumpet.Core.Recipes.Writing;

/// <summary>Reads sheets of dough as they are written: "60 x 40", "30 x 40 cm into 16".</summary>
internal static partial class SheetText
{
    private const double LeastCm = 5;
    private const double MostCm = 150;
    private const int MostStrips = 80;

    /// <summary>The sides of a sheet, the longer one first; null where the text is none.</summary>
    public static Outline? Sides(string text) => Sheet().Match(text) is { Success: true } match && !match.Groups["strips"].Success ? Sides(match) : null;

    /// <summary>A sheet and the strips that it is cut into; null where the text is none.</summary>
    public static StripSheet? Strips(string text)
    {
        if (Sheet().Match(text) is not { Success: true } match || !match.Groups["strips"].Success || Sides(match) is not { } sides) return null;
        var sheet = new StripSheet(sides.Length, sides.Width, int.Parse(match.Groups["strips"].ValueSpan, CultureInfo.InvariantCulture));
        return sheet.Strips is >= 2 and <= MostStrips && sheet.StripWidth.Centimetres is >= 0.3 and <= 10 ? sheet : null;
    }

    private static Outline? Sides(Match match)
    {
        var (one, other) = (Number(match.Groups["one"]), Number(match.Groups["other"]));
        return one is < LeastCm or > MostCm || other is < LeastCm or > MostCm
            ? null
            : Outline.Rectangle(Length.FromCentimetres(Math.Max(one, other)), Length.FromCentimetres(Math.Min(one, other)));
    }

    private static double Number(Group group) => double.Parse(group.ValueSpan, CultureInfo.InvariantCulture);

    [GeneratedRegex(@"^\s*(?<one>\d{1,3}(?:\.\d{1,6})?)\s*(?:cm)?\s*[x×]\s*(?<other>\d{1,3}(?:\.\d{1,6})?)\s*(?:cm)?(?:,?\s*into\s*(?<strips>\d{1,3})(?:\s*strips)?)?\s*$", RegexOptions.CultureInvariant | RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, matchTimeoutMilliseconds: 500)]
    private static partial Regex Sheet();
}
