using System.Text.Json;
using System.Text.RegularExpressions;

namespace Lumpet.Core.Baking.Files;

/// <summary>Opens the JSON of a bake file as what it is written as; what does not fit is named by its field.</summary>
internal static partial class BakeFileText
{
    private static readonly JsonSerializerOptions AsWritten = new() { PropertyNamingPolicy = JsonNamingPolicy.CamelCase, MaxDepth = 16 };

    private static readonly string[] Ids = ["id", "bake", "oven"];

    /// <summary>Opens a document. Unknown fields are ignored, and whatever is missing is null.</summary>
    /// <exception cref="BakeFileException">It is no JSON, or a field is of the wrong kind.</exception>
    public static T Open<T>(string text)
        where T : class
    {
        using var document = Parse(text);
        try
        {
            return document.RootElement.Deserialize<T>(AsWritten) ?? throw new BakeFileException([new FieldFault("file", "an object is required, not null")]);
        }
        catch (JsonException exception)
        {
            throw new BakeFileException([new FieldFault(Named(document.RootElement, exception.Path ?? string.Empty) is { Length: > 0 } field ? field : "file", "this is of the wrong kind: see docs/formats/bake-plan.md")]);
        }
    }

    /// <summary>A place in a list, with the id of what stands there: "bakes[1] (custard)".</summary>
    public static string Place(string list, int index, string? id) => string.IsNullOrEmpty(id) ? $"{list}[{index}]" : $"{list}[{index}] ({id})";

    private static JsonDocument Parse(string text)
    {
        if (LoneSurrogates.AreInJson(text)) throw new BakeFileException([new FieldFault("file", "it holds half a character (a lone surrogate such as \\ud800)")]);
        try
        {
            return JsonDocument.Parse(text, new JsonDocumentOptions { MaxDepth = AsWritten.MaxDepth });
        }
        catch (JsonException exception)
        {
            throw new BakeFileException([new FieldFault(
                $"line {(exception.LineNumber ?? 0) + 1}", "This is not JSON: " + exception.Message.Split(" LineNumber")[0])]);
        }
    }

    // The serializer says "$.bakes[1].dueMin"; a person looks for the custard.
    private static string Named(JsonElement at, string path)
    {
        var named = string.Empty;
        foreach (Match part in Parts().Matches(path))
        {
            var name = part.Groups["name"].Value;
            if (name.Length > 0)
            {
                named += named.Length == 0 ? name : $".{name}";
                if (at.ValueKind != JsonValueKind.Object || !at.TryGetProperty(name, out at)) return named;
                continue;
            }

            var index = int.Parse(part.Groups["index"].Value, System.Globalization.CultureInfo.InvariantCulture);
            if (at.ValueKind != JsonValueKind.Array || index >= at.GetArrayLength()) return Place(named, index, null);
            at = at[index];
            named = Place(named, index, Id(at));
        }

        return named;
    }

    private static string? Id(JsonElement item) => item.ValueKind != JsonValueKind.Object ? null : Ids
        .Select(name => item.TryGetProperty(name, out var id) && id.ValueKind == JsonValueKind.String ? id.GetString() : null)
        .FirstOrDefault(id => id is not null);

    [GeneratedRegex(@"\.(?<name>\w+)|\[(?<index>\d{1,9})\]", RegexOptions.ExplicitCapture | RegexOptions.CultureInvariant)]
    private static partial Regex Parts();
}
