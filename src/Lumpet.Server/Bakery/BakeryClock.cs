using NodaTime;
using NodaTime.Extensions;

namespace Lumpet.Server.Bakery;

/// <summary>The bakery's clock: now, in its own zone.</summary>
internal sealed class BakeryClock(TimeProvider time)
{
    /// <summary>Now, as an instant.</summary>
    public Instant Now => time.GetUtcNow().ToInstant();

    /// <summary>The zone of this machine; UTC where it names one that nobody else knows.</summary>
    public DateTimeZone MachineZone => DateTimeZoneProviders.Tzdb.GetZoneOrNull(time.LocalTimeZone.Id) ?? DateTimeZone.Utc;

    /// <summary>Now, on the wall of the bakery.</summary>
    public LocalDateTime LocalNow(DateTimeZone zone) => Now.InZone(zone).LocalDateTime;

    /// <summary>Today, on the wall of the bakery.</summary>
    public LocalDate Today(DateTimeZone zone) => LocalNow(zone).Date;
}
