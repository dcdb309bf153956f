using NodaTime;
using NodaTime.Text;

namespace Lumpet.Core.Bakery;

/// <summary>Reads when people are there: the week, and the dates that differ from it.</summary>
internal static class ShiftReader
{
    private const int MinutesOfADay = 1440;
    private const int MostShifts = 14;
    private const int MostBreaks = 4;
    private const int MostSpecialDates = 120;

    private static readonly LocalTimePattern OnTheWall = LocalTimePattern.CreateWithInvariantCulture("HH:mm");

    // A date in which anyone bakes.
    private const int FirstYear = 2000;
    private const int LastYear = 2200;

    /// <summary>Reads the shifts of the week.</summary>
    public static ShiftRecord[] Week(FieldChecks checks, IReadOnlyList<ShiftDraft?>? drafts) => Read(checks, "shifts", drafts, 1, ofTheWeek: true);

    /// <summary>Reads the dates that differ.</summary>
    public static SpecialDate[] Special(FieldChecks checks, IReadOnlyList<SpecialDateDraft?>? drafts)
    {
        var dates = new List<SpecialDate>();
        foreach (var (draft, at) in checks.List("specialDates", drafts ?? [], 0, MostSpecialDates, "special dates").Select((draft, at) => (draft, at)))
        {
            var path = $"specialDates[{at}]";
            var isDate = LocalDatePattern.Iso.Parse(draft.Date ?? string.Empty).TryGetValue(default, out var date) && date.Year is >= FirstYear and <= LastYear;
            if (!isDate) checks.Add($"{path}.date", "A date is written 2026-12-24.");
            else if (dates.Any(other => other.Date == date)) checks.Add($"{path}.date", "This date is there twice.");
            dates.Add(new SpecialDate(date, checks.Words($"{path}.words", draft.Words, 80), Read(checks, $"{path}.shifts", draft.Shifts ?? [], 0, ofTheWeek: false)));
        }

        return [.. dates.OrderBy(date => date.Date)];
    }

    /// <summary>Shifts as they would be described.</summary>
    /// <param name="shifts">The shifts.</param>
    /// <param name="withDays">Whether the days of the week are said.</param>
    public static IReadOnlyList<ShiftDraft?> Write(IEnumerable<ShiftRecord> shifts, bool withDays) =>
    [
        .. shifts.Select(shift => new ShiftDraft(
            shift.Name,
            Clock(shift.StartMinute),
            shift.LengthMin,
            shift.People,
            withDays && shift.Days.Count < ShiftRecord.EveryDay.Count ? [.. shift.Days.Select(WeekDays.Name)] : null,
            shift.Breaks.Count == 0 ? null : [.. shift.Breaks.Select(pause => new BreakDraft(Clock(shift.StartMinute + pause.AfterMin), pause.LengthMin))])),
    ];

    /// <summary>Special dates as they would be described; null where there is none.</summary>
    public static IReadOnlyList<SpecialDateDraft?>? Write(IReadOnlyList<SpecialDate> dates) =>
        dates.Count == 0 ? null : [.. dates.Select(date => new SpecialDateDraft(LocalDatePattern.Iso.Format(date.Date), date.Words, Write(date.Shifts, withDays: false)))];

    private static ShiftRecord[] Read(FieldChecks checks, string path, IReadOnlyList<ShiftDraft?>? drafts, int least, bool ofTheWeek)
    {
        ShiftRecord[] shifts = [.. checks.List(path, drafts, least, MostShifts, "shifts").Select((shift, at) => Shift(checks, shift, $"{path}[{at}]"))];
        // On a date a shift begins on that date, and nothing else can be said of its days.
        foreach (var (draft, at) in (drafts ?? []).Select((draft, at) => (draft, at)))
            if (!ofTheWeek && draft?.Days is not null) checks.Add($"{path}[{at}].days", "A shift of a date has no days of the week.");
        foreach (var (shift, at) in shifts.Select((shift, at) => (shift, at)))
            if (shifts.Take(at).Any(other => other.Name.Equals(shift.Name, StringComparison.OrdinalIgnoreCase) && other.Days.Intersect(shift.Days).Any()))
                checks.Add($"{path}[{at}].name", "Two shifts of one day have this name.");
        return shifts;
    }

    private static ShiftRecord Shift(FieldChecks checks, ShiftDraft draft, string path)
    {
        var start = Minute(checks, $"{path}.start", draft.Start);
        var length = checks.Whole($"{path}.lengthMin", draft.LengthMin, 15, MinutesOfADay, "min");
        return new ShiftRecord(checks.Name($"{path}.name", draft.Name, "A shift", 40), start, length)
        {
            People = draft.People is null ? null : checks.Whole($"{path}.people", draft.People, 1, ShiftRecord.MostPeople, "people"),
            Days = draft.Days is null ? ShiftRecord.EveryDay : WeekDays.Read(checks, $"{path}.days", draft.Days),
            Breaks = Breaks(checks, $"{path}.breaks", draft.Breaks ?? [], start, length),
        };
    }

    private static ShiftBreak[] Breaks(FieldChecks checks, string path, IReadOnlyList<BreakDraft?> drafts, int start, int length)
    {
        ShiftBreak[] breaks = [.. checks.List(path, drafts, 0, MostBreaks, "breaks").Select((draft, at) => new ShiftBreak(
            (Minute(checks, $"{path}[{at}].start", draft.Start) - start + MinutesOfADay) % MinutesOfADay,
            checks.Whole($"{path}[{at}].lengthMin", draft.LengthMin, 5, 240, "min")))];
        foreach (var (pause, at) in breaks.Select((pause, at) => (pause, at)))
        {
            if (pause.AfterMin + pause.LengthMin > length) checks.Add($"{path}[{at}].start", "The break lies outside its shift.");
            if (breaks.Take(at).Any(other => other.AfterMin < pause.AfterMin + pause.LengthMin && pause.AfterMin < other.AfterMin + other.LengthMin)) checks.Add($"{path}[{at}].start", "Two breaks overlap.");
        }

        if (breaks.Sum(pause => pause.LengthMin) >= length && breaks.Length > 0) checks.Add(path, "A shift is more than its breaks.");
        return [.. breaks.OrderBy(pause => pause.AfterMin)];
    }

    private static int Minute(FieldChecks checks, string path, string? clock)
    {
        if (OnTheWall.Parse(clock ?? string.Empty).TryGetValue(LocalTime.Midnight, out var time)) return (time.Hour * 60) + time.Minute;
        checks.Add(path, "A clock time is written 04:30.");
        return 0;
    }

    private static string Clock(int minute) => OnTheWall.Format(LocalTime.Midnight.PlusMinutes(minute));
}
