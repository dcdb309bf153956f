namespace Lumpet.Core.DayPlan;

/// <summary>Counts hands: how many people a plan needs at once, and for how long in all. They limit it where the shifts say how many are there.</summary>
/// <param name="AtOnce">The most people at work in the same minute; each task takes one.</param>
/// <param name="AtMin">The first minute at which that many are.</param>
/// <param name="WorkMin">Minutes of work in all.</param>
public sealed record HandsNeeded(int AtOnce, int AtMin, int WorkMin)
{
    /// <summary>Counts the hands of a plan.</summary>
    public static HandsNeeded In(PlannedDay day)
    {
        DayTask[] work = [.. day.AllTasks().Where(task => task.Kind == TaskKind.Hands)];
        var (now, most, at) = (0, 0, 0);
        var changes = work
            .SelectMany(task => new[] { (At: task.StartMin, Change: 1), (At: task.EndMin, Change: -1) })
            .OrderBy(change => change.At).ThenBy(change => change.Change);
        foreach (var (minute, change) in changes)
        {
            now += change;
            if (now > most) (most, at) = (now, minute);
        }

        return new HandsNeeded(most, at, work.Sum(task => task.EndMin - task.StartMin));
    }
}
