namespace Lumpet.Core.Measures.Amounts;

/// <summary>Turns the last word of a name into its singular, well enough for the words of a pantry.</summary>
internal static class Singular
{
    /// <summary>"berries" to "berry", "peaches" to "peach", "lemons" to "lemon"; anything else stays.</summary>
    public static string Of(string name)
    {
        var word = name.Trim().ToLowerInvariant();
        return word switch
        {
            _ when word.EndsWith("ies", StringComparison.Ordinal) && word.Length > 4 => word[..^3] + "y",
            _ when word.EndsWith("oes", StringComparison.Ordinal) || word.EndsWith("ches", StringComparison.Ordinal) || word.EndsWith("shes", StringComparison.Ordinal) || word.EndsWith("xes", StringComparison.Ordinal) => word[..^2],
            _ when word.EndsWith("leaves", StringComparison.Ordinal) => word[..^3] + "f",
            _ when word.EndsWith('s') && !word.EndsWith("ss", StringComparison.Ordinal) && !word.EndsWith("us", StringComparison.Ordinal) && word.Length > 3 => word[..^1],
            _ => word,
        };
    }

    /// <summary>Each word of a name in the singular, commas and hyphens away: the key by which names are told apart.</summary>
    public static string Key(string name) =>
        string.Join(' ', name.Split([' ', ',', '-', '\''], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries).Select(Of));
}
