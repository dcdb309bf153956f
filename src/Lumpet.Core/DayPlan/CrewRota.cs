namespace Lumpet.Core.DayPlan;

/// <summary>Hands a plan's work out to pairs of hands, so that each does one thing at a time: who is who is the crew's own matter.</summary>
public static class CrewRota
{
    /// <summary>One line for each pair of hands that a plan needs at once, from 1; none where there is no work.</summary>
    /// <remarks>
    /// As many lines as tasks at once are enough: of those that are free when a task begins one takes it, if it can the one that
    /// worked on the same thing last. What is done in one go stays with whoever began it.
    /// </remarks>
    public static IReadOnlyList<CrewLine> Of(PlannedDay day) => Of(day.AllTasks());

    /// <summary>One line for each pair of hands that some work needs at once.</summary>
    /// <param name="tasks">The work; what takes no hands, or no time, is left out.</param>
    public static IReadOnlyList<CrewLine> Of(IEnumerable<DayTask> tasks)
    {
        var lines = new List<List<DayTask>>();
        foreach (var task in tasks.Where(task => task.Kind == TaskKind.Hands && task.EndMin > task.StartMin).OrderBy(task => task.StartMin).ThenBy(task => task.RightAfter is null).ThenBy(task => task.Id, StringComparer.Ordinal))
        {
            var free = lines.Where(line => line[^1].EndMin <= task.StartMin).ToArray();
            var line = free.FirstOrDefault(one => one[^1].Id == task.RightAfter) ?? free.FirstOrDefault(one => one[^1].About == task.About) ?? free.FirstOrDefault();
            if (line is null) lines.Add(line = []);
            line.Add(task);
        }

        return [.. lines.Select((line, at) => new CrewLine(at + 1, line))];
    }
}

/// <summary>What one pair of hands does.</summary>
/// <param name="Number">From 1.</param>
/// <param name="Tasks">In order of time; none begins before the one before it has ended.</param>
public sealed record CrewLine(int Number, IReadOnlyList<DayTask> Tasks)
{
    /// <summary>Minutes of work in all.</summary>
    public int WorkMin => Tasks.Sum(task => task.EndMin - task.StartMin);
}
