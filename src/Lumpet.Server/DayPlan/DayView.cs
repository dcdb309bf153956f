using Lumpet.Core.DayPlan;
using Lumpet.Store;
using NodaTime;

namespace Lumpet.Server.DayPlan;

/// <summary>What kind of plan is wanted.</summary>
/// <param name="FromNow">Whether one that begins now.</param>
/// <param name="Time">How much time it is given; null for the best that is there already, or else a first one.</param>
internal sealed record Wish(bool FromNow, PlanTime? Time)
{
    /// <summary>How a question names a wish without a time.</summary>
    public const string AtOnceName = "atOnce";
}

/// <summary>What a screen of a day is told from: the day, the plan that is shown, what is late, what neighbouring days want too.</summary>
/// <param name="Book">The day; with its shifts cut off at now where the plan begins now.</param>
/// <param name="Plan">The plan that is shown.</param>
/// <param name="Now">Minute of now.</param>
/// <param name="Late">What should have begun by now; null where nothing is late.</param>
/// <param name="Shared">What a neighbouring day wants at the same time.</param>
/// <param name="Given">Name of the time that the plan was given, by which its sheets are found.</param>
internal sealed record DayView(
    DayBook Book, PlannedDay Plan, int Now, LateAnswer? Late, IReadOnlyList<(DayBook Other, SharedTime Shared)> Shared, string Given)
{
    // A plan from now is made anew every so many minutes, so that it can be kept meanwhile.
    private const int NowStepMin = 5;

    /// <summary>The view of a day.</summary>
    /// <param name="book">The day as its orders have it, or as a question moves them.</param>
    /// <param name="database">Where neighbouring days are read.</param>
    /// <param name="shelf">Keeps plans.</param>
    /// <param name="now">Now.</param>
    /// <param name="wish">What kind of plan is wanted.</param>
    /// <param name="waiting">Ends when whoever asks is gone.</param>
    public static async Task<DayView> OfAsync(DayBook book, Database database, PlanShelf shelf, Instant now, Wish wish, CancellationToken waiting)
    {
        var minute = book.Clock.MinuteOf(now);
        var (plan, given) = await PlanAsync(book, wish, shelf, waiting);
        var overdue = Overdue.At(plan, minute);
        var shown = (Book: book, Plan: plan);
        LateAnswer? late = null;
        if (overdue is not null)
        {
            var from = book.From((minute + NowStepMin - 1) / NowStepMin * NowStepMin);
            var (still, givenStill) = await PlanAsync(from, wish, shelf, waiting);
            if (wish.FromNow) (shown, given) = ((from, still), givenStill);
            late = PlanSentence.Late(book, overdue, minute, still, wish.FromNow);
        }

        return new DayView(shown.Book, shown.Plan, minute, late, await NeighboursAsync(shown.Book, shown.Plan, wish, database, shelf, waiting), given);
    }

    private static async Task<KeptPlan> PlanAsync(DayBook book, Wish wish, PlanShelf shelf, CancellationToken waiting) => wish.Time is { } time
        ? new KeptPlan(await shelf.PlanAsync(book, time, waiting), time.Name)
        : await shelf.AtOnceAsync(book, waiting);

    private static async Task<IReadOnlyList<(DayBook, SharedTime)>> NeighboursAsync(DayBook book, PlannedDay plan, Wish wish, Database database, PlanShelf shelf, CancellationToken waiting)
    {
        var found = new List<(DayBook, SharedTime)>();
        if (plan.Tasks.Count == 0) return found;
        foreach (var other in Around(book, database))
        {
            try
            {
                // Whatever is known soon will do: it is a warning about another day.
                var (theirs, _) = await PlanAsync(other, wish with { Time = wish.Time is null ? null : PlanTime.Soon }, shelf, waiting);
                found.AddRange(SharedTime.Between(plan, theirs, book.Clock.MinuteOf(other.Clock.Start), book.Bakery.Mixer.Name).Select(shared => (other, shared)));
            }
            catch (PlanStumblesException)
            {
                // That day says so itself when it is looked at; this one is not held up by it.
            }
        }

        return found;
    }

    /// <summary>The days before and after that have orders.</summary>
    private static DayBook[] Around(DayBook book, Database database)
    {
        using var connection = database.Open();
        return [.. new[] { book.Day.PlusDays(-1), book.Day.PlusDays(1) }.Select(day => DayBook.Open(connection, day)).OfType<DayBook>().Where(other => other.Snapshot.Orders.Count > 0)];
    }
}
