using System.Text;

namespace Lumpet.Core;

/// <summary>Makes the short names (ids) under which things are kept: small letters, digits and hyphens.</summary>
public static class ShortName
{
    private const int Longest = 40;

    /// <summary>A short name for a name, unlike those that are taken.</summary>
    public static string For(string name, IReadOnlyCollection<string> taken)
    {
        var letters = new StringBuilder();
        foreach (var letter in name.ToLowerInvariant())
        {
            if (char.IsAsciiLetterOrDigit(letter)) letters.Append(letter);
            else if (char.IsAscii(letter) && letters.Length > 0 && letters[^1] != '-') letters.Append('-');
        }

        var wanted = letters.ToString().Trim('-');
        if (wanted.Length > Longest) wanted = wanted[..Longest].Trim('-');
        if (wanted.Length == 0) wanted = "x";
        var unique = wanted;
        for (var number = 2; taken.Contains(unique); number++) unique = FormattableString.Invariant($"{wanted}-{number}");
        return unique;
    }
}
