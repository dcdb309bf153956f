using System.Collections.Concurrent;
using Lumpet.Core.DayPlan;

namespace Lumpet.Server.DayPlan;

/// <summary>Keeps the plans that were looked at last: a plan follows from its snapshot, so it is made once.</summary>
internal sealed class PlanShelf
{
    private const int Most = 32;

    private readonly ConcurrentDictionary<string, Lazy<PlannedDay>> plans = new();

    /// <summary>The plan of a day as it stands.</summary>
    public PlannedDay Plan(DayBook book)
    {
        if (plans.Count > Most) plans.Clear();
        return plans.GetOrAdd(book.Fingerprint, _ => new Lazy<PlannedDay>(() => DayPlanner.Plan(book.Snapshot))).Value;
    }
}
