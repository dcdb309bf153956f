using Lumpet.Core;
using Lumpet.Core.Orders;
using NodaTime;

namespace Lumpet.Server.DayPlan;

/// <summary>Pick-ups moved to other times of their day.</summary>
internal static class PickUpMoves
{
    private const int Most = 40;

    /// <summary>The day as it would be with these moves; what is wrong with them, field by field.</summary>
    public static (DayBook Book, IReadOnlyList<FieldFault> Faults) Apply(DayBook book, IReadOnlyList<PickUpMove?> moves)
    {
        var faults = new List<FieldFault>();
        if (moves.Count > Most) return (book, [new FieldFault("moves", $"At most {Most} pick-ups are moved at once.")]);
        var to = new Dictionary<int, int>();
        foreach (var (move, at) in moves.Select((move, at) => (move, at)))
        {
            var (from, target) = (Time(book, move?.From), Time(book, move?.To));
            if (from is null || book.Snapshot.Orders.All(order => order.PickUpMin != from)) faults.Add(new FieldFault($"moves[{at}].from", "There is no pick-up at that time on this day."));
            if (target is null) faults.Add(new FieldFault($"moves[{at}].to", "A clock time is written 07:45, and is one that the clock shows on that day."));
            if (from is { } minute && target is { } later) to[minute] = later;
        }

        return faults.Count > 0
            ? (book, faults)
            : (book with { Snapshot = book.Snapshot with { Orders = [.. book.Snapshot.Orders.Select(order => order with { PickUpMin = to.GetValueOrDefault(order.PickUpMin, order.PickUpMin) })] } }, []);
    }

    /// <summary>A local time of the day, or null where there is none.</summary>
    public static LocalDateTime? Local(DayBook book, string? clock) =>
        PickUpText.Clock.Parse(clock ?? string.Empty) is { Success: true } time
        && book.Day.At(time.Value) is var local && book.Bakery.Zone.MapLocal(local).Count > 0 ? local : null;

    private static int? Time(DayBook book, string? clock) => Local(book, clock) is { } local ? book.Clock.MinuteOf(local) : null;
}
