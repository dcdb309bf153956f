using Lumpet.Core.DayPlan;
using Lumpet.Server.Bakery;
using Lumpet.Store;

namespace Lumpet.Server.DayPlan;

/// <summary>What other days have to do with the plan of a day.</summary>
/// <param name="Before">Days before that it is planned around, where they take anything of it, with until when their trays are in ovens of it.</param>
/// <param name="After">When trays of the day after are in an oven of this one: it is planned around this day, and has its own settings.</param>
/// <param name="Shared">What a day that is planned by itself counts on at the same time.</param>
internal sealed record OtherDays(
    IReadOnlyList<(DayBook Other, int? OvensUntilMin)> Before, IReadOnlyList<(DayBook Other, SharedTime Shared)> After, IReadOnlyList<(DayBook Other, SharedTime Shared)> Shared)
{
    /// <summary>What the days around a day have to do with it.</summary>
    /// <param name="book">The day.</param>
    /// <param name="plan">Its plan.</param>
    /// <param name="planOf">The plan of another day.</param>
    /// <param name="database">Where days are read.</param>
    /// <param name="clock">The bakery's clock.</param>
    public static async Task<OtherDays> OfAsync(DayBook book, PlannedDay plan, Func<DayBook, Task<KeptPlan>> planOf, Database database, BakeryClock clock)
    {
        var (after, shared) = (new List<(DayBook, SharedTime)>(), new List<(DayBook, SharedTime)>());
        if (plan.Tasks.Count == 0) return new OtherDays([], after, shared);
        foreach (var other in Around(book, database, clock))
        {
            var isAround = other.Earlier.Any(day => day.Day == book.Day);
            if (book.Earlier.Any(day => day.Day == other.Day) || (!isAround && !MayMeet(book, other))) continue;
            try
            {
                var (theirs, _) = await planOf(other);
                var offset = book.Clock.MinuteOf(other.Clock.Start);
                if (isAround) after.AddRange(SharedTime.Baked(plan, theirs, offset).Select(one => (other, one)));
                else shared.AddRange(SharedTime.Between(plan, theirs, offset, book.Bakery.Mixer.Name).Select(one => (other, one)));
            }
            catch (PlanStumblesException)
            {
                // That day says so itself when it is looked at; this one is not held up by it.
            }
        }

        return new OtherDays([.. Taking(book, plan)], after, shared);
    }

    private static IEnumerable<(DayBook, int?)> Taking(DayBook book, PlannedDay plan)
    {
        foreach (var other in book.Earlier)
        {
            var loads = plan.Taken.Loads.Where(load => load.Day == Days.Iso(other.Day)).ToArray();
            if (loads.Length > 0) yield return (other, loads.Max(load => load.Visit.EndMin));
            else if (!plan.Taken.IsNothing) yield return (other, null);
        }
    }

    /// <summary>Whether two days may have anything to do with each other at all.</summary>
    private static bool MayMeet(DayBook one, DayBook other) => one.Clock.Start < other.LastsUntil && other.Clock.Start < one.LastsUntil;

    /// <summary>The days before and after that have orders.</summary>
    private static DayBook[] Around(DayBook book, Database database, BakeryClock clock)
    {
        using var connection = database.Open();
        return [.. new[] { book.Day.PlusDays(-1), book.Day.PlusDays(1) }.Select(day => DayBook.Open(connection, day, clock)).OfType<DayBook>().Where(other => other.Snapshot.Orders.Count > 0)];
    }
}
