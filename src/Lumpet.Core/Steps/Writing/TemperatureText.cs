using System.Globalization;
using System.Text.RegularExpressions;

namespace Lumpet.Core.Steps.Writing;

/// <summary>Reads an oven's temperature as a recipe gives it: "220", "425 °F", "200 °C fan", "gas" is none.</summary>
public static partial class TemperatureText
{
    /// <summary>By how many degrees Celsius a fan oven is set lower for the same bake (common practice, no source).</summary>
    public const int FanC = 20;

    /// <summary>
    /// The same in conventional degrees Celsius, to the nearest whole one: (F - 32) / 1.8 (NIST SP 811), and what a fan oven
    /// is set lower put back; null where the text is no temperature.
    /// </summary>
    public static int? Celsius(string text)
    {
        if (Written().Match(text) is not { Success: true } match) return null;
        var degrees = double.Parse(match.Groups["degrees"].ValueSpan, CultureInfo.InvariantCulture);
        var celsius = match.Groups["unit"].Value.Equals("F", StringComparison.OrdinalIgnoreCase) ? (degrees - 32) / 1.8 : degrees;
        return (int)Math.Round(celsius + (match.Groups["fan"].Success ? FanC : 0), MidpointRounding.AwayFromZero);
    }

    /// <summary>Whether a text says no more than whole degrees Celsius.</summary>
    public static bool IsPlain(string text) => Plain().IsMatch(text);

    [GeneratedRegex(@"^\s*(?<degrees>\d{1,3}(?:\.\d)?)\s*(?:°|º|degrees)?\s*(?<unit>[CF])?(?:elsius|ahrenheit)?\b,?\s*(?<fan>fan|fan oven|convection)?\s*$", RegexOptions.CultureInvariant | RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, matchTimeoutMilliseconds: 500)]
    private static partial Regex Written();

    [GeneratedRegex(@"^\s*\d{1,3}\s*(?:°?\s*C)?\s*$", RegexOptions.CultureInvariant | RegexOptions.IgnoreCase, matchTimeoutMilliseconds: 500)]
    private static partial Regex Plain();
}
