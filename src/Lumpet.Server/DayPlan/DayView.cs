using Lumpet.Core.DayPlan;
using Lumpet.Server.Bakery;
using Lumpet.Store;

namespace Lumpet.Server.DayPlan;

/// <summary>What kind of plan is wanted.</summary>
/// <param name="FromNow">Whether one that begins now.</param>
/// <param name="Time">How much time it is given; null for the best that is there already, or else a first one.</param>
internal sealed record Wish(bool FromNow, PlanTime? Time)
{
    /// <summary>How a question names a wish without a time.</summary>
    public const string AtOnceName = "atOnce";
}

/// <summary>What a screen of a day is told from: the day, the plan that is shown, what is late, what other days have to do with it.</summary>
/// <param name="Book">The day; with its shifts cut off at now where the plan begins now.</param>
/// <param name="Plan">The plan that is shown.</param>
/// <param name="Now">Minute of now.</param>
/// <param name="Late">What should have begun by now; null where nothing is late.</param>
/// <param name="Others">What other days have to do with it.</param>
/// <param name="Given">Name of the time that the plan was given, by which its sheets are found.</param>
internal sealed record DayView(
    DayBook Book, PlannedDay Plan, int Now, LateAnswer? Late, OtherDays Others, string Given)
{
    // A plan from now is made anew every so many minutes, so that it can be kept meanwhile.
    private const int NowStepMin = 5;

    /// <summary>The view of a day.</summary>
    /// <param name="book">The day as its orders have it, or as a question moves them.</param>
    /// <param name="database">Where neighbouring days are read.</param>
    /// <param name="shelf">Keeps plans.</param>
    /// <param name="clock">The bakery's clock.</param>
    /// <param name="wish">What kind of plan is wanted.</param>
    /// <param name="waiting">Ends when whoever asks is gone.</param>
    public static async Task<DayView> OfAsync(DayBook book, Database database, PlanShelf shelf, BakeryClock clock, Wish wish, CancellationToken waiting)
    {
        if (wish.FromNow && book.Followed?.Anew is { } left) book = left;
        var (plan, given) = await PlanAsync(book, wish, shelf, waiting);
        if (book.Followed is { IsSame: true } followed && !followed.Publication.Work.IsOf(plan))
        {
            // It cannot be made again as it was published: what it has begun stays, the rest is planned anew.
            book = followed.Anew ?? book with { Followed = followed with { IsSame = false } };
            (plan, given) = await PlanAsync(book, wish, shelf, waiting);
        }

        var minute = book.Clock.MinuteOf(clock.Now);
        // What a published plan has begun counts as begun.
        var overdue = book.Followed is null ? Overdue.At(plan, minute) : null;
        var shown = (Book: book, Plan: plan);
        LateAnswer? late = null;
        if (overdue is not null)
        {
            var from = book.From((minute + NowStepMin - 1) / NowStepMin * NowStepMin);
            var (still, givenStill) = await PlanAsync(from, wish, shelf, waiting);
            if (wish.FromNow) (shown, given) = ((from, still), givenStill);
            late = PlanSentence.Late(book, overdue, minute, still, wish.FromNow);
        }

        var others = await OtherDays.OfAsync(
            shown.Book, shown.Plan, day => PlanAsync(day, wish with { Time = wish.Time is null ? null : PlanTime.Soon }, shelf, waiting), database, clock);
        return new DayView(shown.Book, shown.Plan, minute, late, others, given);
    }

    private static async Task<KeptPlan> PlanAsync(DayBook book, Wish wish, PlanShelf shelf, CancellationToken waiting) => wish.Time is { } time
        ? new KeptPlan(await shelf.PlanAsync(book, time, waiting), time.Name)
        : await shelf.AtOnceAsync(book, waiting);
}
