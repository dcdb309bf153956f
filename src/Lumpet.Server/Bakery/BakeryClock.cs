using System.Globalization;
using Lumpet.Store.Orders;

namespace Lumpet.Server.Bakery;

/// <summary>The bakery's clock: now, in its own zone.</summary>
internal sealed class BakeryClock(TimeProvider time)
{
    /// <summary>Now, as an instant.</summary>
    public DateTimeOffset Now => time.GetUtcNow();

    /// <summary>Now, on the wall of the bakery.</summary>
    public DateTime LocalNow(TimeZoneInfo zone) => TimeZoneInfo.ConvertTime(Now, zone).DateTime;
}

/// <summary>Minutes of a plan as clock times.</summary>
internal sealed class PlanClock(DateTimeOffset start, TimeZoneInfo zone)
{
    /// <summary>Where the horizon begins.</summary>
    public DateTimeOffset Start => start;

    /// <summary>A minute as a clock time of the bakery.</summary>
    public Moment At(int minute)
    {
        var local = TimeZoneInfo.ConvertTime(start.AddMinutes(minute), zone);
        return new Moment(minute, local.ToString("HH:mm", CultureInfo.InvariantCulture), local.ToString("ddd", CultureInfo.InvariantCulture));
    }

    /// <summary>The minute of an instant, rounded down.</summary>
    public int MinuteOf(DateTimeOffset instant) => (int)Math.Floor((instant - start).TotalMinutes);

    /// <summary>The minute of a local time.</summary>
    public int MinuteOf(DateTime local) => MinuteOf(OrderStore.InstantOf(local, zone));

    /// <summary>Every full hour between two minutes.</summary>
    public IReadOnlyList<Moment> Hours(int from, int to)
    {
        var first = At(from);
        var past = int.Parse(first.Clock[3..], CultureInfo.InvariantCulture);
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
