using System.Text;

namespace Lumpet.Server.Tables;

/// <summary>The text of a file whose character set nobody has said.</summary>
/// <param name="Text">Its text.</param>
/// <param name="CharacterSet">What it was read as: "UTF-8", "UTF-16" or "Windows-1252".</param>
/// <param name="Fault">Why it cannot be read, with row and column; null where it can.</param>
internal sealed record TextOfFile(string Text, string CharacterSet, string? Fault)
{
    // Bytes that Windows-1252 gives to no sign (WHATWG Encoding Standard, from memory: there they are controls).
    private static readonly byte[] NoSigns = [0x81, 0x8D, 0x8F, 0x90, 0x9D];

    // Signs of 0x80 to 0x9F; the others are those of Latin-1.
    private const string UpperSigns = "€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008DŽ\u008F\u0090‘’“”•–—˜™š›œ\u009DžŸ";

    /// <summary>
    /// Reads a file: by its byte-order mark where it has one, else as UTF-8, else as Windows-1252, which is what spreadsheet
    /// programs in Western Europe write. What is none of these is refused rather than guessed.
    /// </summary>
    public static TextOfFile Read(byte[] file)
    {
        if (Begins(file, 0xFF, 0xFE)) return Utf16(Encoding.Unicode, file);
        if (Begins(file, 0xFE, 0xFF)) return Utf16(Encoding.BigEndianUnicode, file);
        var from = Begins(file, 0xEF, 0xBB, 0xBF) ? 3 : 0;
        if (Array.FindIndex(file, one => one == 0) is >= 0 and var nothing) return Refused(file, nothing, "there is a byte that no text has: this is no text, or one in another character set. Save it as UTF-8.");
        try
        {
            return new TextOfFile(new UTF8Encoding(false, throwOnInvalidBytes: true).GetString(file, from, file.Length - from), "UTF-8", null);
        }
        catch (DecoderFallbackException exception)
        {
            if (from > 0) return Refused(file, Math.Max(0, exception.Index), "this is not UTF-8, though the file says so.");
        }

        if (Array.FindIndex(file, one => NoSigns.Contains(one)) is >= 0 and var none) return Refused(file, none, "this is neither UTF-8 nor Windows-1252. Save the file as UTF-8.");
        return new TextOfFile(string.Create(file.Length, file, (text, bytes) =>
        {
            for (var at = 0; at < bytes.Length; at++) text[at] = bytes[at] is >= 0x80 and < 0xA0 ? UpperSigns[bytes[at] - 0x80] : (char)bytes[at];
        }), "Windows-1252", null);
    }

    private static TextOfFile Utf16(Encoding encoding, byte[] file)
    {
        if (file.Length % 2 == 1) return Refused(file, file.Length - 1, "half a sign of UTF-16.");
        var text = encoding.GetString(file, 2, file.Length - 2);
        var at = text.IndexOfAny(['\0', '\uFFFD']);
        return at < 0
            ? new TextOfFile(text, "UTF-16", null)
            : new TextOfFile(string.Empty, "UTF-16", $"Row {text.AsSpan(0, at).Count('\n') + 1}, column {at - text.LastIndexOf('\n', at)}: this is no text in UTF-16, though the file says so.");
    }

    private static TextOfFile Refused(byte[] file, int at, string why)
    {
        var row = file.Take(at).Count(one => one == '\n') + 1;
        var column = at - Array.LastIndexOf(file, (byte)'\n', Math.Max(0, at - 1));
        return new TextOfFile(string.Empty, string.Empty, $"Row {row}, column {column}: {why}");
    }

    private static bool Begins(byte[] file, params byte[] mark) => file.AsSpan().StartsWith(mark);
}
