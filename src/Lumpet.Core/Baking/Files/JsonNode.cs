using System.Text.Json;

namespace Lumpet.Core.Baking.Files;

/// <summary>A place in a JSON document that knows its path and notes what is wrong with it.</summary>
internal sealed class JsonNode(JsonElement element, string path, List<BakeFileFault> faults)
{
    // A plan of ten years in minutes; anything beyond is a slip and would only exhaust the machine.
    private const long Largest = 5_256_000;

    /// <summary>Opens a document; a text that is no JSON object is a fault at the line where it breaks.</summary>
    public static JsonNode Open(string text, List<BakeFileFault> faults)
    {
        try
        {
            using var document = JsonDocument.Parse(text, new JsonDocumentOptions { MaxDepth = 16 });
            return new JsonNode(document.RootElement.Clone(), string.Empty, faults);
        }
        catch (JsonException exception)
        {
            throw new BakeFileException([new BakeFileFault(
                $"line {(exception.LineNumber ?? 0) + 1}", "This is not JSON: " + exception.Message.Split(" LineNumber")[0])]);
        }
    }

    /// <summary>Notes a fault at a field of this object, or at this place itself.</summary>
    public void Fault(string field, string message) => faults.Add(new BakeFileFault(Join(field), message));

    /// <summary>A required text.</summary>
    public string Text(string field)
    {
        if (Value(field) is { ValueKind: JsonValueKind.String } value) return value.GetString()!;
        Fault(field, "a text is required");
        return string.Empty;
    }

    /// <summary>A required whole number within limits.</summary>
    public int Whole(string field, long least = -Largest, long most = Largest)
    {
        if (Value(field) is { } value) return WholeOf(value, Join(field), least, most);
        Fault(field, "a whole number is required");
        return 0;
    }

    /// <summary>A whole number, or null where the field is absent or null.</summary>
    public int? WholeOrNull(string field) =>
        Value(field) is { ValueKind: not JsonValueKind.Null } value ? WholeOf(value, Join(field), -Largest, Largest) : null;

    /// <summary>True, false, or false where the field is absent.</summary>
    public bool Flag(string field)
    {
        switch (Value(field)?.ValueKind)
        {
            case null or JsonValueKind.False: return false;
            case JsonValueKind.True: return true;
            default:
                Fault(field, "true or false is required");
                return false;
        }
    }

    /// <summary>The places of a required list.</summary>
    public IReadOnlyList<JsonNode> List(string field) => ListOrNull(field) ?? Missing(field);

    /// <summary>The places of a list, or null where the field is absent or null.</summary>
    public IReadOnlyList<JsonNode>? ListOrNull(string field)
    {
        if (Value(field) is not { ValueKind: not JsonValueKind.Null } value) return null;
        if (value.ValueKind == JsonValueKind.Array)
            return [.. value.EnumerateArray().Select((item, index) => new JsonNode(item, $"{Join(field)}[{index}]{Label(item)}", faults))];
        Fault(field, "a list is required");
        return [];
    }

    /// <summary>This place as a whole number.</summary>
    public int AsWhole(long least) => WholeOf(element, path, least, Largest);

    /// <summary>This place as a text.</summary>
    public string AsText()
    {
        if (element.ValueKind == JsonValueKind.String) return element.GetString()!;
        Fault(string.Empty, "a text is required");
        return string.Empty;
    }

    private static string Label(JsonElement item)
    {
        foreach (var name in (ReadOnlySpan<string>)["id", "bake", "oven"])
            if (item.ValueKind == JsonValueKind.Object && item.TryGetProperty(name, out var id) && id.ValueKind == JsonValueKind.String)
                return $" ({id.GetString()})";
        return string.Empty;
    }

    private IReadOnlyList<JsonNode> Missing(string field)
    {
        Fault(field, "a list is required");
        return [];
    }

    private JsonElement? Value(string field) =>
        element.ValueKind == JsonValueKind.Object && element.TryGetProperty(field, out var value) ? value : null;

    private string Join(string field) => field.Length == 0 ? path : path.Length == 0 ? field : $"{path}.{field}";

    private int WholeOf(JsonElement value, string where, long least, long most)
    {
        // 5.0 is a whole number too, however it is written.
        if (value.ValueKind == JsonValueKind.Number && value.TryGetDecimal(out var number) && decimal.IsInteger(number) && number >= least && number <= most)
            return (int)number;
        var limits = least > -Largest && most < Largest ? $" from {least} to {most}"
            : least > -Largest ? $" of at least {least}" : string.Empty;
        faults.Add(new BakeFileFault(where, $"a whole number{limits} is required, not {Shorten(value.GetRawText())}"));
        return (int)Math.Max(least, 0);
    }

    private static string Shorten(string text) => text.Length > 40 ? text[..40] + "…" : text;
}
