using Lumpet.Core.DayPlan;
using Lumpet.Server.Bakery;

namespace Lumpet.Server.DayPlan;

/// <summary>Says which plan a crew works by, and what it has begun.</summary>
internal static class PublishedWords
{
    /// <summary>The plan that is followed; null where none is.</summary>
    public static PublishedAnswer? Of(DayView view)
    {
        if (view.Book.Followed is not { } followed) return null;
        var (publication, zone) = (followed.Publication, view.Book.Bakery.Zone);
        var published = new PlanClock(publication.PublishedAt, zone).At(0);
        var clock = new PlanClock(publication.Start, zone);
        var now = clock.MinuteOf(view.Book.Clock.InstantAt(view.Now));
        var work = publication.Work.Taking(publication.LongerMin);
        PublishedTask[] begun = [.. work.Tasks.Where(task => task.Task.StartMin < now).OrderByDescending(task => task.Task.StartMin).ThenBy(task => task.Task.Id, StringComparer.Ordinal)];
        return new PublishedAnswer(
            publication.Number,
            $"{PlanSentence.Said(published)} this day's plan was published{(followed.IsSame ? ": what it has begun counts as done when its time has passed." : $". {Why(followed, view)}")}",
            followed.IsSame,
            followed.Anew is not null || view.Book.Begun is not null,
            [.. begun.Select(task => new BegunAnswer(task.Task.Id, task.Task.Name, task.Task.About, clock.At(task.Task.StartMin), clock.At(task.Task.EndMin), task.Task.EndMin <= now, !publication.NotDone.Contains(task.Task.Id), publication.LongerMin.GetValueOrDefault(task.Task.Id), publication.Work.MayTakeLonger(task.Task.Id)))]);
    }

    private static string Why(FollowedPlan followed, DayView view)
    {
        var (undone, longer) = (followed.Publication.NotDone.Count, followed.Publication.LongerMin.Count);
        var of = undone switch { 0 => string.Empty, 1 => "One task of it is not done", _ => $"{undone} tasks of it are not done" };
        var takes = longer switch { 0 => string.Empty, 1 => "one takes longer", _ => $"{longer} take longer" };
        var why = (undone, longer) switch
        {
            (0, 0) => "What the day asks for has changed since, or what is left was asked for",
            (0, 1) => "One task of it takes longer",
            (0, _) => $"{longer} tasks of it take longer",
            (_, 0) => of,
            _ => $"{of}, {takes}",
        };
        return view.Book.Begun is null ? $"{why}: this is the day as it would be planned now." : $"{why}: what it has begun stays, and the rest is planned anew from {PlanSentence.Said(view.Book.Clock.At(0))}. Publish this plan if the crew is to work by it.";
    }
}
