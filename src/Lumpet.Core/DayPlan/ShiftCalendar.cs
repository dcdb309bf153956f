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

    /// <summary>Whether work lies within one stretch.</summary>
    public bool Holds(int start, int end) => stretches.Any(stretch => start >= stretch.StartMin && end <= stretch.EndMin);
}
