using System.Text.Json;

namespace Lumpet.Core;

/// <summary>How the members of enumerations are written wherever they are text: in drafts, files, the database and the contract.</summary>
public static class Naming
{
    /// <summary>The word for a member: "freeForm". The contract's own writer uses the same policy.</summary>
    public static string Of<T>(T value)
        where T : struct, Enum => JsonNamingPolicy.CamelCase.ConvertName(value.ToString());

    /// <summary>Every word of an enumeration, in its order.</summary>
    public static IReadOnlyList<string> All<T>()
        where T : struct, Enum => [.. Enum.GetValues<T>().Select(Of)];

    /// <summary>The member that a word names, small and capital letters alike; null where it names none.</summary>
    public static T? Read<T>(string? word)
        where T : struct, Enum =>
        // Only the words: a number would name a member that is none.
        word is { Length: > 0 } && word.All(char.IsAsciiLetter) && Enum.TryParse<T>(word, ignoreCase: true, out var value) ? value : null;

    /// <summary>The member that a word of Lumpet's own writing names.</summary>
    /// <exception cref="FormatException">It names none.</exception>
    public static T Known<T>(string word)
        where T : struct, Enum => Read<T>(word) ?? throw new FormatException($"\"{word}\" is no {typeof(T).Name}.");
}
