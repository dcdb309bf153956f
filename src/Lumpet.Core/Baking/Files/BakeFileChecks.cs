using System.Globalization;

namespace Lumpet.Core.Baking.Files;

/// <summary>Checks the fields of a bake file one by one and gathers everything that is wrong.</summary>
internal sealed class BakeFileChecks
{
    // A plan of ten years in minutes; anything beyond is a slip and would only exhaust the machine.
    private const int Largest = 5_256_000;

    private readonly List<FieldFault> faults = [];

    /// <summary>Whether anything is wrong so far.</summary>
    public bool HasAny => faults.Count > 0;

    /// <summary>Adds a fault.</summary>
    public void Add(string field, string message) => faults.Add(new FieldFault(field, message));

    /// <summary>What was read, where nothing is wrong with it.</summary>
    /// <exception cref="BakeFileException">Something is; every fault names its field.</exception>
    public T Passed<T>(T read) => faults.Count == 0 ? read : throw new BakeFileException(faults);

    /// <summary>The format's own name.</summary>
    public void Format(string wanted, string? format)
    {
        if (format != wanted) Add("format", $"\"{wanted}\" is required, not \"{format}\"");
    }

    /// <summary>A required text of at least one character.</summary>
    public string Text(string field, string? text)
    {
        if (string.IsNullOrEmpty(text)) Add(field, "a text is required");
        return text ?? string.Empty;
    }

    /// <summary>A required whole number; 5.0 is one too, however it is written.</summary>
    public int Whole(string field, decimal? value, int least = -Largest)
    {
        if (value is { } number && decimal.IsInteger(number) && number >= least && number <= Largest) return (int)number;
        var limits = least > -Largest ? string.Create(CultureInfo.InvariantCulture, $" from {least}") : string.Empty;
        Add(field, string.Create(CultureInfo.InvariantCulture, $"a whole number{limits} up to {Largest} is required{(value is { } wrong ? $", not {wrong}" : string.Empty)}"));
        return Math.Max(least, 0);
    }

    /// <summary>A whole number, or null where nothing is written.</summary>
    public int? WholeOrNull(string field, decimal? value) => value is null ? null : Whole(field, value);

    /// <summary>What is read from each entry of a required list.</summary>
    /// <param name="field">Where the list stands.</param>
    /// <param name="list">The entries as written.</param>
    /// <param name="id">What an entry is called; null for none.</param>
    /// <param name="read">Reads an entry at its place.</param>
    public T[] Each<TWritten, T>(string field, IReadOnlyList<TWritten?>? list, Func<TWritten, string?> id, Func<string, TWritten, T> read)
        where TWritten : class
    {
        if (list is null) Add(field, "a list is required");
        var found = new List<T>();
        foreach (var (index, entry) in (list ?? []).Index())
            if (entry is null) Add(BakeFileText.Place(field, index, null), "an entry is required, not null");
            else found.Add(read(BakeFileText.Place(field, index, id(entry)), entry));
        return [.. found];
    }
}
