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
/// <param name="Shifts">Its shifts.</param>
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

    /// <summary>
    /// Allergens that this kitchen handles, and so may leave in traces anywhere: the bakery's own statement; null while it
    /// has made none.
    /// </summary>
    public IReadOnlyList<string>? Handles { get; init; }
}

/// <summary>A shift, relative to the day of the pick-ups it works for.</summary>
/// <param name="Name">The name shown.</param>
/// <param name="DayOffset">0 for that day, -1 for the day before.</param>
/// <param name="StartMinute">Minute of the day at which it begins.</param>
/// <param name="LengthMin">How long it lasts.</param>
public sealed record ShiftRecord(string Name, int DayOffset, int StartMinute, int LengthMin)
{
    /// <summary>The most people that a shift can have.</summary>
    public const int MostPeople = 60;

    /// <summary>How many people work in it; null where nobody has said, and hands limit nothing.</summary>
    public int? People { get; init; }
}
