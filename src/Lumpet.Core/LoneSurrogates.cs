using System.Globalization;

namespace Lumpet.Core;

/// <summary>
/// Finds halves of characters. UTF-16 writes a character beyond the first 65 536 as a pair; one half alone is no character,
/// can be kept by no database and read back by no program, and JSON readers stumble over it wherever they first look at it.
/// </summary>
public static class LoneSurrogates
{
    /// <summary>Whether a text holds half a character.</summary>
    public static bool AreIn(string text)
    {
        for (var at = 0; at < text.Length; at++)
        {
            if (!char.IsSurrogate(text[at])) continue;
            if (!char.IsHighSurrogate(text[at]) || at + 1 == text.Length || !char.IsLowSurrogate(text[at + 1])) return true;
            at++;
        }

        return false;
    }

    /// <summary>Whether a JSON text holds half a character, as it is or escaped (RFC 8259, section 7).</summary>
    public static bool AreInJson(string json)
    {
        if (AreIn(json)) return true;
        var open = false;
        for (var at = 0; at < json.Length; at++)
        {
            var unit = json[at] == '\\' ? Escaped(json, at) : json[at];
            // A first half wants a second right after it, and a second half a first right before it.
            if (open != char.IsLowSurrogate(unit)) return true;
            open = char.IsHighSurrogate(unit);
            if (json[at] == '\\') at += IsUnicode(json, at) ? 5 : 1;
        }

        return open;
    }

    private static bool IsUnicode(string json, int at) => at + 5 < json.Length && json[at + 1] == 'u';

    private static char Escaped(string json, int at) =>
        IsUnicode(json, at) && ushort.TryParse(json.AsSpan(at + 2, 4), NumberStyles.AllowHexSpecifier, CultureInfo.InvariantCulture, out var unit) ? (char)unit : '\\';
}
