namespace Lumpet.Core.Scheduling;

/// <summary>Betters schedules, and may prove that there is none better. The core knows no solver; whoever starts it brings one.</summary>
public interface IScheduleSolver
{
    /// <summary>A schedule at least as good as another. The same problem, schedule, work and seed give the same answer, unless it is cut short.</summary>
    /// <param name="problem">The problem.</param>
    /// <param name="known">A schedule of it to begin with.</param>
    /// <param name="work">How much is tried, in seconds of a usual machine, counted in steps and not by the clock; above 0.</param>
    /// <param name="seed">Seed of the search.</param>
    /// <param name="cancellation">Ends the search; the best so far is answered.</param>
    /// <exception cref="ArgumentException">The problem does not hold together.</exception>
    SolvedSchedule Better(ScheduleProblem problem, Schedule known, double work, int seed = 1, CancellationToken cancellation = default);
}

/// <summary>What a solver found.</summary>
/// <param name="Schedule">The best schedule.</param>
/// <param name="IsProved">Whether none is better.</param>
public sealed record SolvedSchedule(Schedule Schedule, bool IsProved);
