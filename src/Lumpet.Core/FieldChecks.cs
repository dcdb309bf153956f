using System.Globalization;

namespace Lumpet.Core;

/// <summary>Checks fields one by one and gathers everything that is wrong, so that a person hears it all at once.</summary>
internal sealed class FieldChecks
{
    private readonly List<FieldFault> faults = [];

    /// <summary>What was found, in the order of the checks.</summary>
    public IReadOnlyList<FieldFault> Faults => faults;

    /// <summary>Adds a fault.</summary>
    public void Add(string field, string message) => faults.Add(new FieldFault(field, message));

    /// <summary>A text of one line and at least one character.</summary>
    public string Name(string field, string? text, string what, int longest = 80)
    {
        var trimmed = text?.Trim() ?? string.Empty;
        if (trimmed.Length == 0) Add(field, $"{what} needs a name.");
        else if (trimmed.Length > longest || trimmed.Any(char.IsControl)) Add(field, $"A name takes up to {longest} characters on one line.");
        else if (VisibleText.Hides(trimmed) || !VisibleText.Shows(trimmed)) Add(field, "A name takes only characters that can be seen.");
        else if (trimmed.AsSpan().ContainsAny('<', '>')) Add(field, "A name takes no markup: leave out < and >.");
        return trimmed;
    }

    /// <summary>A text of one line that may be empty.</summary>
    public string Words(string field, string? text, int longest = 300)
    {
        var trimmed = text?.Trim() ?? string.Empty;
        if (trimmed.Length > longest || trimmed.Any(char.IsControl)) Add(field, $"This takes up to {longest} characters on one line.");
        else if (VisibleText.Hides(trimmed)) Add(field, "This takes only characters that can be seen.");
        return trimmed;
    }

    /// <summary>A whole number within bounds; the lower bound where it is wrong.</summary>
    public int Whole(string field, int? value, int least, int most, string unit)
    {
        if (value is { } number && number >= least && number <= most) return number;
        Add(field, $"{(value is null ? "This is missing" : "This does not fit")}: {least} to {most}{Unit(unit)}.");
        return least;
    }

    /// <summary>A number within bounds; the lower bound where it is wrong.</summary>
    public double Number(string field, double? value, double least, double most, string unit)
    {
        if (value is { } number && number >= least && number <= most) return number;
        Add(field, string.Create(CultureInfo.InvariantCulture, $"{(value is null ? "This is missing" : "This does not fit")}: {least} to {most}{Unit(unit)}."));
        return least;
    }

    /// <summary>One of the names of an enumeration, in small letters at the start; the fallback where nothing is said.</summary>
    public T Word<T>(string field, string? text, T fallback)
        where T : struct, Enum
    {
        if (string.IsNullOrWhiteSpace(text)) return fallback;
        if (Naming.Read<T>(text) is { } value) return value;
        Add(field, $"This is one of {string.Join(", ", Naming.All<T>())}.");
        return fallback;
    }

    /// <summary>A list of bounded length; an empty one where it is missing. What is null in it is a fault.</summary>
    public IReadOnlyList<T> List<T>(string field, IReadOnlyList<T?>? list, int least, int most, string what)
        where T : class
    {
        var count = list?.Count ?? 0;
        if (count < least) Add(field, $"{least} or more {what} are needed.");
        if (count > most) Add(field, $"At most {most} {what} are taken.");
        if (list?.Any(item => item is null) == true) Add(field, $"There is an empty entry among the {what}.");
        return count > most || list is null ? [] : [.. list.OfType<T>()];
    }

    private static string Unit(string unit) => unit.Length == 0 ? string.Empty : $" {unit}";
}
