using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>Finds times inside the shifts.</summary>
internal sealed class ShiftCalendar
{
    private readonly DayShift[] stretches;

    private readonly IReadOnlyList<int> midnights;

    /// <summary>A calendar of these shifts; shifts that touch make one stretch.</summary>
    /// <param name="shifts">The shifts.</param>
    /// <param name="midnights">Minutes at which a day ends, in order; null where none matters.</param>
    public ShiftCalendar(IEnumerable<DayShift> shifts, IReadOnlyList<int>? midnights = null)
    {
        this.midnights = midnights ?? [];
        var merged = new List<DayShift>();
        foreach (var shift in shifts.OrderBy(shift => shift.StartMin))
        {
            if (merged.Count > 0 && merged[^1].EndMin >= shift.StartMin)
                merged[^1] = merged[^1] with { EndMin = Math.Max(merged[^1].EndMin, shift.EndMin) };
            else merged.Add(shift);
        }

        stretches = [.. merged];
    }

    /// <summary>When nobody is there between shifts, and from the last of them to a minute, in order.</summary>
    /// <param name="shifts">The shifts.</param>
    /// <param name="untilMin">The minute.</param>
    public static IReadOnlyList<(int FromMin, int ToMin)> Pauses(IEnumerable<DayShift> shifts, int untilMin)
    {
        var stretches = new ShiftCalendar(shifts).Stretches;
        return
        [
            .. stretches.Zip(stretches.Skip(1), (before, next) => (before.EndMin, next.StartMin)),
            .. stretches.Count > 0 && stretches[^1].EndMin < untilMin ? [(stretches[^1].EndMin, untilMin)] : Array.Empty<(int, int)>(),
        ];
    }

    /// <summary>Stretches of time in which people are there, in order.</summary>
    public IReadOnlyList<DayShift> Stretches => stretches;

    /// <summary>The latest start of work of this length that ends by a minute, within one stretch; null where there is none.</summary>
    public int? LatestStart(int length, int endBy)
    {
        for (var index = stretches.Length - 1; index >= 0; index--)
        {
            var start = Math.Min(endBy, stretches[index].EndMin) - length;
            if (start >= stretches[index].StartMin) return start;
        }

        return null;
    }

    /// <summary>The earliest start of work of this length from a minute on, within one stretch; null where there is none.</summary>
    public int? EarliestStart(int length, int from)
    {
        foreach (var stretch in stretches)
        {
            var start = Math.Max(from, stretch.StartMin);
            if (start + length <= stretch.EndMin) return start;
        }

        return null;
    }

    /// <summary>The minute by which work must end to be on a day before a minute; the least of all numbers where no earlier day is known.</summary>
    public int DayBefore(int minute) => midnights.LastOrDefault(midnight => midnight <= minute, int.MinValue / 2);

    /// <summary>The first minute of the day after a minute; the greatest of all numbers where no later day is known.</summary>
    public int DayAfter(int minute) => midnights.FirstOrDefault(midnight => midnight >= minute, int.MaxValue / 2);

    /// <summary>The minute by which what comes first must end so that what follows may start at a minute.</summary>
    /// <param name="edge">How it follows.</param>
    /// <param name="startMin">When it starts.</param>
    /// <param name="aim">Whether what is wanted between them is kept, or only the least.</param>
    public int EndBy(StepEdge edge, int startMin, bool aim)
    {
        var end = startMin - (aim ? edge.Lag.Aim : edge.Lag.Least);
        return edge.Kind == LinkKind.DayBefore ? Math.Min(end, DayBefore(startMin)) : end;
    }

    /// <summary>The first minute at which what follows may start, once what comes first is timed.</summary>
    /// <param name="edge">How it follows.</param>
    /// <param name="startMin">When what comes first starts.</param>
    /// <param name="endMin">When it ends.</param>
    /// <param name="aim">Whether what is wanted between them is kept, or only the least.</param>
    public int From(StepEdge edge, int startMin, int endMin, bool aim)
    {
        var lag = aim ? edge.Lag.Aim : edge.Lag.Least;
        return edge.Kind switch
        {
            LinkKind.During => startMin + lag,
            LinkKind.DayBefore => Math.Max(endMin + lag, DayAfter(endMin)),
            _ => endMin + lag,
        };
    }

    /// <summary>Whether work lies within one stretch.</summary>
    public bool Holds(int start, int end) => stretches.Any(stretch => start >= stretch.StartMin && end <= stretch.EndMin);
}
