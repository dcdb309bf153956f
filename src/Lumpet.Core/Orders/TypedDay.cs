using System.Globalization;
using System.Text.RegularExpressions;
using NodaTime;
using NodaTime.Text;

namespace Lumpet.Core.Orders;

/// <summary>
/// A day as people type it in an order: "today", "sat", "2026-11-27", "27 nov", "nov 27", "27.11." or "27/11". The day of
/// the month comes before the month wherever both are numbers; a day without a year is the next such day.
/// </summary>
/// <param name="Day">The day.</param>
/// <param name="Words">How many of the words it took.</param>
internal sealed partial record TypedDay(LocalDate Day, int Words)
{
    private static readonly string[] Months = [.. CultureInfo.InvariantCulture.DateTimeFormat.MonthNames.Where(name => name.Length > 0)];

    /// <summary>The day at the start of some words, or null where they begin with none.</summary>
    /// <param name="words">What was typed after the pan.</param>
    /// <param name="today">Today; weekdays and days without a year are looked for from here on, today included.</param>
    public static TypedDay? Find(IReadOnlyList<string> words, LocalDate today)
    {
        if (words.Count == 0) return null;
        if (One(words[0], today) is { } day) return new TypedDay(day, 1);
        return words.Count > 1 && Two(words[0], words[1], today) is { } named ? new TypedDay(named, 2) : null;
    }

    private static LocalDate? One(string word, LocalDate today)
    {
        if (word.Equals("today", StringComparison.OrdinalIgnoreCase)) return today;
        if (word.Equals("tomorrow", StringComparison.OrdinalIgnoreCase)) return today.PlusDays(1);
        if (LocalDatePattern.Iso.Parse(word) is { Success: true } iso) return iso.Value;
        for (var ahead = 0; word.Length >= 3 && ahead < 7; ahead++)
            if (today.PlusDays(ahead).DayOfWeek.ToString().StartsWith(word, StringComparison.OrdinalIgnoreCase)) return today.PlusDays(ahead);
        var figures = Figures().Match(word);
        if (!figures.Success) return null;
        var (dayOfMonth, month) = (Number(figures.Groups["day"]), Number(figures.Groups["month"]));
        return figures.Groups["year"].Success ? Dated(Number(figures.Groups["year"]), month, dayOfMonth) : Next(month, dayOfMonth, today);
    }

    /// <summary>"27 nov", "27th november" or "nov 27".</summary>
    private static LocalDate? Two(string first, string second, LocalDate today)
    {
        var (name, figure) = char.IsLetter(first[0]) ? (first, second) : (second, first);
        var month = name.Length < 3 ? -1 : Array.FindIndex(Months, month => month.StartsWith(name.TrimEnd('.', ','), StringComparison.OrdinalIgnoreCase));
        var number = DayOfMonth().Match(figure);
        return month >= 0 && number.Success ? Next(month + 1, Number(number.Groups["day"]), today) : null;
    }

    /// <summary>The next such day; one that comes only in leap years is looked for over eight years, since 2100 is none.</summary>
    private static LocalDate? Next(int month, int dayOfMonth, LocalDate today)
    {
        for (var year = today.Year; year <= today.Year + 8; year++)
            if (Dated(year, month, dayOfMonth) is { } day && day >= today) return day;
        return null;
    }

    private static LocalDate? Dated(int year, int month, int dayOfMonth) =>
        month is >= 1 and <= 12 && year is > 1900 and < 2200 && dayOfMonth >= 1 && dayOfMonth <= CalendarSystem.Iso.GetDaysInMonth(year, month)
            ? new LocalDate(year, month, dayOfMonth)
            : null;

    private static int Number(Group group) => int.Parse(group.ValueSpan, NumberStyles.None, CultureInfo.InvariantCulture);

    // "27.11." keeps its last dot, or it could be a time: 12.11 is eleven past twelve.
    [GeneratedRegex(@"^(?:(?<day>\d{1,2})/(?<month>\d{1,2})(?:/(?<year>\d{4}))?|(?<day>\d{1,2})\.(?<month>\d{1,2})\.(?<year>\d{4})?)$", RegexOptions.CultureInvariant)]
    private static partial Regex Figures();

    [GeneratedRegex(@"^(?<day>\d{1,2})(?:st|nd|rd|th)?[.,]?$", RegexOptions.CultureInvariant | RegexOptions.IgnoreCase)]
    private static partial Regex DayOfMonth();
}
