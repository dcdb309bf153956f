using NodaTime;

namespace Lumpet.Core.Bakery;

/// <summary>Days of the week as drafts write them, "monday" to "sunday", and as people say them.</summary>
public static class WeekDays
{
    /// <summary>All of them, Monday first.</summary>
    public static IReadOnlyList<IsoDayOfWeek> All { get; } = [.. Enumerable.Range(1, 7).Select(day => (IsoDayOfWeek)day)];

    /// <summary>The name in a draft.</summary>
    public static string Name(IsoDayOfWeek day) => day.ToString().ToLowerInvariant();

    /// <summary>Days as they are said: "every day", "Mon to Fri", "Mon, Wed and Sat".</summary>
    /// <param name="days">One or more, in order.</param>
    public static string InWords(IReadOnlyList<IsoDayOfWeek> days)
    {
        if (days.Count == All.Count) return "every day";
        string[] names = [.. days.Select(day => day.ToString()[..3])];
        if (days.Count > 2 && days[^1] - days[0] == days.Count - 1) return $"{names[0]} to {names[^1]}";
        return names.Length == 1 ? $"every {days[0]}" : $"{string.Join(", ", names[..^1])} and {names[^1]}";
    }

    /// <summary>Days as bits, Monday the lowest: how the database keeps them.</summary>
    public static long Bits(IEnumerable<IsoDayOfWeek> days) => days.Distinct().Sum(day => 1L << ((int)day - 1));

    /// <summary>The days of some bits, in the order of the week.</summary>
    public static IReadOnlyList<IsoDayOfWeek> OfBits(long bits) => [.. All.Where(day => (bits & Bits([day])) != 0)];

    /// <summary>Reads the days of a draft, in the order of the week.</summary>
    internal static IReadOnlyList<IsoDayOfWeek> Read(FieldChecks checks, string path, IReadOnlyList<string?> names)
    {
        IsoDayOfWeek[] days = [.. All.Where(day => names.Contains(Name(day)))];
        if (days.Length == 0 || names.Any(name => All.All(day => Name(day) != name))) checks.Add(path, $"One or more of {string.Join(", ", All.Select(Name))} are needed.");
        return days;
    }
}
