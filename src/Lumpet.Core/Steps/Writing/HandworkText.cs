using System.Globalization;
using System.Text.RegularExpressions;

namespace Lumpet.Core.Steps.Writing;

/// <summary>Handwork at the oven as it is written: one thing a line, "20 min: shield the rim", or a sign and what is done then.</summary>
internal static partial class HandworkText
{
    private const int Most = 8;
    private const int Longest = 120;

    /// <summary>Reads the lines; a minute lies before the bake may end.</summary>
    public static IReadOnlyList<OvenHandwork> Read(FieldChecks checks, string field, string? text, int leastBakeMin)
    {
        string[] lines = [.. (text ?? string.Empty).ReplaceLineEndings("\n").Split('\n', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)];
        if (lines.Length > Most) checks.Add(field, $"At most {Most} lines are taken.");
        return [.. lines.Take(Most).Select(line => One(checks, field, line, leastBakeMin))];
    }

    /// <summary>The lines as they would be written; null where there are none.</summary>
    public static string? Write(IReadOnlyList<OvenHandwork> handwork) => handwork.Count == 0 ? null
        : string.Join('\n', handwork.Select(one => one.AfterMin is { } minute ? string.Create(CultureInfo.InvariantCulture, $"{minute} min: {one.Words}") : one.Words));

    private static OvenHandwork One(FieldChecks checks, string field, string line, int leastBakeMin)
    {
        if (AtMinute().Match(line) is not { Success: true } match) return new OvenHandwork(null, checks.Words(field, line, Longest));
        var minute = checks.Whole(field, int.Parse(match.Groups["minute"].ValueSpan, NumberStyles.None, CultureInfo.InvariantCulture), 1, Math.Max(1, leastBakeMin), "min, before the bake may end");
        return new OvenHandwork(minute, checks.Words(field, match.Groups["words"].Value, Longest));
    }

    [GeneratedRegex(@"^(?<minute>[0-9]{1,3}) ?min(utes)?[ :,]+(?<words>\S.*)$", RegexOptions.CultureInvariant | RegexOptions.IgnoreCase, matchTimeoutMilliseconds: 500)]
    private static partial Regex AtMinute();
}
