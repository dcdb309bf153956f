using System.Globalization;
using Lumpet.Core.Orders;
using NodaTime;

namespace Lumpet.Server.Bakery;

/// <summary>Minutes of a plan as clock times.</summary>
internal sealed class PlanClock(Instant start, DateTimeZone zone)
{
    /// <summary>Where the horizon begins.</summary>
    public Instant Start => start;

    /// <summary>A minute as an instant.</summary>
    public Instant InstantAt(int minute) => start + Duration.FromMinutes(minute);

    /// <summary>Local date and time of a minute.</summary>
    public LocalDateTime LocalAt(int minute) => InstantAt(minute).InZone(zone).LocalDateTime;

    /// <summary>A minute as a clock time of the bakery.</summary>
    public Moment At(int minute)
    {
        var local = InstantAt(minute).InZone(zone);
        return new Moment(minute, PickUpText.Clock.Format(local.TimeOfDay), local.ToString("ddd", CultureInfo.InvariantCulture));
    }

    /// <summary>The minute of an instant, rounded down.</summary>
    public int MinuteOf(Instant instant) => (int)Math.Floor((instant - start).TotalMinutes);

    /// <summary>The minute of a local time.</summary>
    public int MinuteOf(LocalDateTime local) => MinuteOf(local.InZoneLeniently(zone).ToInstant());

    /// <summary>Every full hour between two minutes.</summary>
    public IReadOnlyList<Moment> Hours(int from, int to)
    {
        var past = InstantAt(from).InZone(zone).Minute;
        var hours = new List<Moment>();
        for (var minute = past == 0 ? from : from + 60 - past; minute <= to; minute += 60) hours.Add(At(minute));
        return hours;
    }
}

/// <summary>A minute of a plan, and what the bakery's clock shows then.</summary>
/// <param name="Min">Minutes from the start of the horizon.</param>
/// <param name="Clock">For example "04:40".</param>
/// <param name="Day">For example "Sat".</param>
public sealed record Moment(int Min, string Clock, string Day);
