using System.Globalization;
using System.Text;

namespace Lumpet.Core;

/// <summary>
/// Tells what a name shows. A name that shows nothing cannot be pointed at, and characters that hide in one make two names
/// look the same, or turn the words after them round.
/// </summary>
public static class VisibleText
{
    // Letters by their category that are drawn as nothing: fillers of Hangul and the blank of Braille (Unicode, from memory).
    private static readonly HashSet<int> DrawnAsNothing = [0x115F, 0x1160, 0x17B4, 0x17B5, 0x2800, 0x3164, 0xFFA0];

    // Joiners that some scripts, and pictures made of several, cannot do without.
    private static readonly HashSet<int> Joiners = [0x200C, 0x200D];

    /// <summary>Whether a text shows at least one character.</summary>
    public static bool Shows(string text) => text.EnumerateRunes().Any(rune => !DrawnAsNothing.Contains(rune.Value) && Rune.GetUnicodeCategory(rune) is not
        (UnicodeCategory.Control or UnicodeCategory.Format or UnicodeCategory.SpaceSeparator or UnicodeCategory.LineSeparator or UnicodeCategory.ParagraphSeparator
        or UnicodeCategory.NonSpacingMark or UnicodeCategory.EnclosingMark or UnicodeCategory.Surrogate or UnicodeCategory.PrivateUse or UnicodeCategory.OtherNotAssigned));

    /// <summary>Whether a text holds characters that cannot be seen in it and do not belong into one line: controls, marks of direction, half characters.</summary>
    public static bool Hides(string text) =>
        LoneSurrogates.AreIn(text) || text.EnumerateRunes().Any(rune => !Joiners.Contains(rune.Value) && Rune.GetUnicodeCategory(rune) is
            UnicodeCategory.Control or UnicodeCategory.Format or UnicodeCategory.LineSeparator or UnicodeCategory.ParagraphSeparator);
}
