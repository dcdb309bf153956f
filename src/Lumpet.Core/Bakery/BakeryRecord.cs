using Lumpet.Core.Measures.Amounts;
using NodaTime;

namespace Lumpet.Core.Bakery;

/// <summary>The bakery itself: its zone, currency, shifts, ovens and mixer.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Zone">Its time zone (IANA).</param>
/// <param name="Currency">Its currency (ISO 4217).</param>
/// <param name="ToleranceC">By how much an oven's setting may differ from what a bake asks for.</param>
/// <param name="TransferMin">Minutes a tray takes from one oven to another.</param>
/// <param name="SpareMin">By how many minutes boxes should be ready before their pick-up.</param>
/// <param name="Mixer">Its mixer.</param>
/// <param name="Shifts">Its shifts, by the days of the week.</param>
/// <param name="Ovens">Its ovens.</param>
/// <param name="Cups">Which cup and spoons its recipes mean.</param>
public sealed record BakeryRecord(
    string Name,
    DateTimeZone Zone,
    string Currency,
    int ToleranceC,
    int TransferMin,
    int SpareMin,
    Mixer Mixer,
    IReadOnlyList<ShiftRecord> Shifts,
    IReadOnlyList<Oven> Ovens,
    CupCustom Cups)
{
    /// <summary>Degrees that an oven loses through the open door for each tray put in; 0 where that is not counted.</summary>
    public int OpenCPerTray { get; init; }

    /// <summary>What an hour of one pair of hands costs, in the bakery's currency, with all that goes with it; null where hands are not counted.</summary>
    public decimal? HandsHourPrice { get; init; }

    /// <summary>How much room it has besides its ovens.</summary>
    public KitchenRoom Room { get; init; } = KitchenRoom.Uncounted;

    /// <summary>How many days before the day of a pick-up work for it may begin.</summary>
    public int DaysAhead { get; init; } = UsualDaysAhead;

    /// <summary>What <see cref="DaysAhead"/> is where nobody has said.</summary>
    public const int UsualDaysAhead = 1;

    /// <summary>Dates on which other shifts are worked, in order, each once.</summary>
    public IReadOnlyList<SpecialDate> SpecialDates { get; init; } = [];

    /// <summary>The shifts that begin on a date.</summary>
    public IReadOnlyList<ShiftRecord> ShiftsOn(LocalDate date) =>
        SpecialDates.FirstOrDefault(special => special.Date == date)?.Shifts ?? [.. Shifts.Where(shift => shift.Days.Contains(date.DayOfWeek))];

    /// <summary>
    /// Allergens that this kitchen handles, and so may leave in traces anywhere: the bakery's own statement; null while it
    /// has made none.
    /// </summary>
    public IReadOnlyList<string>? Handles { get; init; }
}
