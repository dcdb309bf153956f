namespace Lumpet.Core.Scheduling;

/// <summary>Schedules work on shared resources: built at once, then bettered by search for as long as it is given.</summary>
public static class Scheduler
{
    /// <summary>Changes tried where nothing else is asked for.</summary>
    public const int DefaultEffort = 400;

    // Beyond the last wish and limit there is room for all work one after another, but not for ever.
    private const int MostBeyond = 20_000;

    /// <summary>Schedules a problem. The same problem, effort and seed give the same schedule unless it is cut short.</summary>
    /// <param name="problem">The problem.</param>
    /// <param name="effort">Changes tried after the first schedule; at least 0.</param>
    /// <param name="seed">Seed of the search.</param>
    /// <param name="cancellation">Ends the search; the best so far is answered.</param>
    /// <returns>Starts that keep every limit, lag and capacity. What finds no such place has none, and binds nothing.</returns>
    /// <exception cref="ArgumentException">The problem does not hold together.</exception>
    /// <exception cref="ArgumentOutOfRangeException">The effort is below 0.</exception>
    public static Schedule Plan(ScheduleProblem problem, int effort = DefaultEffort, int seed = 1, CancellationToken cancellation = default)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(effort);
        problem.Check();
        if (problem.Activities.Count == 0) return new Schedule([], 0, 0);
        var search = new ScheduleSearch(problem, Horizon(problem), seed, cancellation);
        search.Build();
        search.Run(effort);
        var (leftOut, cost) = ScheduleSearch.Split(search.BestCost);
        return new Schedule(search.Best, leftOut, cost);
    }

    private static int Horizon(ScheduleProblem problem)
    {
        var latest = problem.Activities.Max(one => Math.Max(Math.Max(one.WishMin, one.EarliestMin), one.LatestMin >= ScheduleProblem.MostMinutes ? 0 : one.LatestMin) + one.Minutes);
        var work = problem.Activities.Sum(one => (long)one.Minutes) + problem.Lags.Sum(lag => (long)Math.Max(0, lag.LeastMin));
        var opens = problem.Resources.SelectMany(resource => resource.Steps).Select(step => step.AtMin).DefaultIfEmpty(0).Max();
        return (int)Math.Max(1, Math.Max(latest, opens) + Math.Min(MostBeyond, work));
    }
}
