using NodaTime;

namespace Lumpet.Core.Bakery;

/// <summary>A time in which people work.</summary>
/// <param name="Name">The name shown.</param>
/// <param name="StartMinute">Minute of the day at which it begins.</param>
/// <param name="LengthMin">How long it lasts; it may reach into the next day.</param>
public sealed record ShiftRecord(string Name, int StartMinute, int LengthMin)
{
    /// <summary>The most people that a shift can have.</summary>
    public const int MostPeople = 60;

    /// <summary>How many people work in it; null where nobody has said, and hands limit nothing.</summary>
    public int? People { get; init; }

    /// <summary>The days of the week on which it begins, in order; on a special date that date, whichever day it is.</summary>
    public IReadOnlyList<IsoDayOfWeek> Days { get; init; } = EveryDay;

    /// <summary>When nobody is at the bench, in order, none touching another.</summary>
    public IReadOnlyList<ShiftBreak> Breaks { get; init; } = [];

    /// <summary>All days of the week.</summary>
    public static IReadOnlyList<IsoDayOfWeek> EveryDay => WeekDays.All;

    /// <summary>The stretches in which somebody is at the bench, in minutes from its start: what its breaks leave.</summary>
    public IEnumerable<(int FromMin, int ToMin)> AtTheBench()
    {
        var from = 0;
        foreach (var pause in Breaks)
        {
            if (pause.AfterMin > from) yield return (from, pause.AfterMin);
            from = pause.AfterMin + pause.LengthMin;
        }

        if (from < LengthMin) yield return (from, LengthMin);
    }
}

/// <summary>A break.</summary>
/// <param name="AfterMin">Minutes from the start of its shift.</param>
/// <param name="LengthMin">How long it lasts.</param>
public sealed record ShiftBreak(int AfterMin, int LengthMin);

/// <summary>A date on which other shifts are worked than on its day of the week.</summary>
/// <param name="Date">The date.</param>
/// <param name="Words">Why; may be empty.</param>
/// <param name="Shifts">The shifts that begin on it; empty where nobody works.</param>
public sealed record SpecialDate(LocalDate Date, string Words, IReadOnlyList<ShiftRecord> Shifts);
