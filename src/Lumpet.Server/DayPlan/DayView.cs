using Lumpet.Core.DayPlan;
using Lumpet.Store;
using NodaTime;

namespace Lumpet.Server.DayPlan;

/// <summary>What a screen of a day is told from: the day, the plan that is shown, what is late, what neighbouring days want too.</summary>
/// <param name="Book">The day; with its shifts cut off at now where the plan begins now.</param>
/// <param name="Plan">The plan that is shown.</param>
/// <param name="Now">Minute of now.</param>
/// <param name="Late">What should have begun by now; null where nothing is late.</param>
/// <param name="Shared">What a neighbouring day wants at the same time.</param>
internal sealed record DayView(
    DayBook Book, PlannedDay Plan, int Now, LateAnswer? Late, IReadOnlyList<(DayBook Other, SharedTime Shared)> Shared)
{
    // A plan from now is made anew every so many minutes, so that it can be kept meanwhile.
    private const int NowStepMin = 5;

    /// <summary>The view of a day.</summary>
    /// <param name="book">The day as its orders have it, or as a question moves them.</param>
    /// <param name="database">Where neighbouring days are read.</param>
    /// <param name="shelf">Keeps plans.</param>
    /// <param name="now">Now.</param>
    /// <param name="fromNow">Whether a plan is wanted that begins now.</param>
    public static DayView Of(DayBook book, Database database, PlanShelf shelf, Instant now, bool fromNow)
    {
        var minute = book.Clock.MinuteOf(now);
        var plan = shelf.Plan(book);
        var overdue = Overdue.At(plan, minute);
        var shown = (Book: book, Plan: plan);
        LateAnswer? late = null;
        if (overdue is not null)
        {
            var from = book.From((minute + NowStepMin - 1) / NowStepMin * NowStepMin);
            var still = shelf.Plan(from);
            if (fromNow) shown = (from, still);
            late = PlanSentence.Late(book, overdue, minute, still, fromNow);
        }

        return new DayView(shown.Book, shown.Plan, minute, late, Neighbours(shown.Book, shown.Plan, database, shelf));
    }

    private static (DayBook, SharedTime)[] Neighbours(DayBook book, PlannedDay plan, Database database, PlanShelf shelf)
    {
        if (plan.Tasks.Count == 0) return [];
        using var connection = database.Open();
        return
        [
            .. from day in new[] { book.Day.PlusDays(-1), book.Day.PlusDays(1) }
               let other = DayBook.Open(connection, day)
               where other is { Snapshot.Orders.Count: > 0 }
               from shared in SharedTime.Between(plan, shelf.Plan(other), book.Clock.MinuteOf(other.Clock.Start), book.Bakery.Mixer.Name)
               select (other, shared),
        ];
    }
}
