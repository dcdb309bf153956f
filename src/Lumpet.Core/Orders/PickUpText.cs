using NodaTime;
using NodaTime.Text;

namespace Lumpet.Core.Orders;

/// <summary>A pick-up's local time as files, the contract and the database write it.</summary>
public static class PickUpText
{
    /// <summary>"2026-05-02T09:00" (ISO 8601, to the minute).</summary>
    public static LocalDateTimePattern Written { get; } = LocalDateTimePattern.CreateWithInvariantCulture("uuuu-MM-ddTHH:mm");

    /// <summary>"Sat 2 May 09:00", as a message says it.</summary>
    public static LocalDateTimePattern Said { get; } = LocalDateTimePattern.CreateWithInvariantCulture("ddd d MMM HH:mm");

    /// <summary>"09:00".</summary>
    public static LocalTimePattern Clock { get; } = LocalTimePattern.CreateWithInvariantCulture("HH:mm");

    /// <summary>"Sat 2 May".</summary>
    public static LocalDatePattern Day { get; } = LocalDatePattern.CreateWithInvariantCulture("ddd d MMM");

    /// <summary>The time that is written, or null where it is none.</summary>
    public static LocalDateTime? Read(string? text) => Written.Parse(text ?? string.Empty) is { Success: true } read ? read.Value : null;
}
