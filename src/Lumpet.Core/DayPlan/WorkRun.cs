namespace Lumpet.Core.DayPlan;

/// <summary>Tasks that are done in one go.</summary>
internal static class WorkRun
{
    /// <summary>The runs among some tasks, each in order of time, by each of its tasks' ids; what is done by itself is in none.</summary>
    /// <param name="tasks">The tasks.</param>
    public static IReadOnlyDictionary<string, IReadOnlyList<DayTask>> In(IReadOnlyList<DayTask> tasks)
    {
        // Ids of what a published plan does may come again.
        var byId = tasks.Where(task => task.Kind == TaskKind.Hands).GroupBy(task => task.Id).ToDictionary(same => same.Key, same => same.First());
        var runs = new Dictionary<string, IReadOnlyList<DayTask>>();
        foreach (var run in byId.Values.Where(task => task.RightAfter is not null).GroupBy(task => First(task, byId).Id))
        {
            IReadOnlyList<DayTask> whole = [byId[run.Key], .. run.Where(task => task.Id != run.Key).OrderBy(task => task.StartMin)];
            foreach (var task in whole) runs[task.Id] = whole;
        }

        return runs;
    }

    private static DayTask First(DayTask task, Dictionary<string, DayTask> byId) =>
        task.RightAfter is { } before && byId.TryGetValue(before, out var found) && found.StartMin < task.StartMin ? First(found, byId) : task;
}
