using Google.OrTools.Sat;
using Lumpet.Core.Scheduling;

namespace Lumpet.Solving;

/// <summary>Schedules by constraint programming: intervals, cumulative resources, least and most lags (Google OR-Tools CP-SAT).</summary>
public sealed class ConstraintScheduler : IScheduleSolver
{
    // As many ways of search, taken in turns on one thread, so that the answer does not hang on the machine.
    private const int Ways = 8;

    /// <inheritdoc/>
    public SolvedSchedule Better(ScheduleProblem problem, Schedule known, double work, int seed = 1, CancellationToken cancellation = default)
    {
        ArgumentOutOfRangeException.ThrowIfLessThanOrEqual(work, 0);
        problem.Check();
        if (problem.Activities.Count == 0 || cancellation.IsCancellationRequested) return new SolvedSchedule(known, IsProved: false);
        var model = new ScheduleModel(problem, known);
        using var solver = new CpSolver();
        solver.StringParameters = FormattableString.Invariant($"num_workers:{Ways} interleave_search:true max_deterministic_time:{work:0.###} random_seed:{seed}");
        using var stop = cancellation.Register(solver.StopSearch);
        var status = solver.Solve(model.Model);
        if (status is not (CpSolverStatus.Optimal or CpSolverStatus.Feasible)) return new SolvedSchedule(known, IsProved: false);
        var found = model.Read(solver);
        var isBetter = (found.LeftOut, found.Cost).CompareTo((known.LeftOut, known.Cost)) < 0;
        return new SolvedSchedule(isBetter ? found : known, status == CpSolverStatus.Optimal);
    }
}
