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
        PublishedTask[] begun = [.. publication.Work.Tasks.Where(task => task.Task.StartMin < now).OrderByDescending(task => task.Task.StartMin).ThenBy(task => task.Task.Id, StringComparer.Ordinal)];
        return new PublishedAnswer(
            publication.Number,
            $"{PlanSentence.Said(published)} this day's plan was published{(followed.IsSame ? ": what it has begun counts as done when its time has passed." : $". {Why(followed, view)}")}",
            followed.IsSame,
            followed.Anew is not null || view.Book.Begun is not null,
            [.. begun.Select(task => new BegunAnswer(task.Task.Id, task.Task.Name, task.Task.About, clock.At(task.Task.StartMin), clock.At(task.Task.EndMin), task.Task.EndMin <= now, !publication.NotDone.Contains(task.Task.Id)))]);
    }

    private static string Why(FollowedPlan followed, DayView view)
    {
        var why = followed.Publication.NotDone.Count switch
        {
            0 => "What the day asks for has changed since, or what is left was asked for",
            1 => "One task of it is not done",
            var tasks => $"{tasks} tasks of it are not done",
        };
        return view.Book.Begun is null ? $"{why}: this is the day as it would be planned now." : $"{why}: what it has begun stays, and the rest is planned anew from {PlanSentence.Said(view.Book.Clock.At(0))}. Publish this plan if the crew is to work by it.";
    }
}
