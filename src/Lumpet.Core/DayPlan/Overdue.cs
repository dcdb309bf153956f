namespace Lumpet.Core.DayPlan;

/// <summary>Work that should have begun by now and of which nobody has recorded anything.</summary>
/// <param name="Tasks">How many tasks of hands or ovens.</param>
/// <param name="FirstMin">When the first of them was to begin.</param>
/// <param name="FirstName">What it is.</param>
/// <param name="FirstAbout">Of what.</param>
public sealed record Overdue(int Tasks, int FirstMin, string FirstName, string FirstAbout)
{
    /// <summary>What is overdue in a plan at a minute; null where nothing is, or where the last pick-up has passed.</summary>
    public static Overdue? At(PlannedDay day, int now)
    {
        if (day.Waves.Count == 0 || day.Waves[^1].PickUpMin <= now) return null;
        DayTask[] begun = [.. day.Tasks.Where(task => task.Kind != TaskKind.Wait && task.StartMin < now)];
        return begun.Length == 0 ? null : new Overdue(begun.Length, begun[0].StartMin, begun[0].Name, begun[0].About);
    }
}
