using Lumpet.Core.Scheduling;
using Lumpet.PlanChecking;
using Lumpet.Solving;
using Xunit;

namespace Lumpet.Core.Tests.Scheduling;

/// <summary>The solver finds the best schedule, proves it, and keeps every rule.</summary>
public sealed class ConstraintSchedulerTests
{
    private static readonly ConstraintScheduler Solver = new();

    private static SolvedSchedule Solved(ScheduleProblem problem, double work, int seed = 1)
    {
        var known = Scheduler.Plan(problem, 50);
        var solved = Solver.Better(problem, known, work, seed);
        Assert.Empty(ScheduleChecker.Check(problem, solved.Schedule));
        Assert.True((solved.Schedule.LeftOut, solved.Schedule.Cost).CompareTo((known.LeftOut, known.Cost)) <= 0);
        return solved;
    }

    // Fisher and Thompson 1963, Lawrence 1984: the lengths are proved in the literature.
    [Fact]
    public void The_published_job_shop_of_six_is_proved_at_55() => Assert.Equal((55, true), Told(JobShops.Ft06, 20));

    [Fact]
    public void The_published_job_shop_of_ten_jobs_on_five_machines_is_proved_at_666() => Assert.Equal((666, true), Told(JobShops.La01, 40));

    [Fact]
    public void The_published_job_shop_of_ten_by_ten_is_done_in_930() => Assert.Equal(930, Told(JobShops.Ft10, 20).Cost);

    private static (long Cost, bool IsProved) Told(ScheduleProblem problem, double work) => Solved(problem, work) is var solved ? (solved.Schedule.Cost, solved.IsProved) : default;

    [Fact]
    public void Of_a_few_activities_it_is_as_good_as_the_best_of_all_starts_and_says_that_it_is()
    {
        void Same(ScheduleProblem problem)
        {
            // No start after 11 is looked at, as where all are tried.
            var solved = Solved(problem, 2);
            Assert.Equal((SchedulerTests.Best(problem), true), ((solved.Schedule.LeftOut, solved.Schedule.Cost), solved.IsProved));
        }

        SchedulerTests.Small.SampleTheSame(Same, iter: 40, threads: 1, test: "small for a solver");
        SchedulerTests.WithRoom.SampleTheSame(Same, iter: 40, threads: 1, test: "with room for a solver");
    }

    [Fact]
    public void The_same_problem_work_and_seed_give_the_same_schedule() =>
        Assert.Equal(Solved(JobShops.La01, 1, 3).Schedule.Starts, Solved(JobShops.La01, 1, 3).Schedule.Starts);

    [Fact]
    public void What_is_cut_short_before_it_begins_is_what_was_known()
    {
        using var cut = new CancellationTokenSource();
        cut.Cancel();
        var known = Scheduler.Plan(JobShops.La01, 0);
        Assert.Equal(new SolvedSchedule(known, false), Solver.Better(JobShops.La01, known, 10, cancellation: cut.Token));
        Assert.Throws<ArgumentOutOfRangeException>(() => Solver.Better(JobShops.La01, known, 0));
    }

    [Fact]
    public void Least_and_most_lags_bind_as_in_project_scheduling()
    {
        // By hand: a and b on one resource of one; c at least 2 and at most 3 after a, and right after b. b, then a would leave c too late: a 0..4, b 4..6, c 6.
        var problem = new ScheduleProblem(
            [new Activity("a", 4, 0, [new Need(0, 1)]), new Activity("b", 2, 0, [new Need(0, 1)]), new Activity("c", 1, 0, [])],
            [new Lag(0, 2, 2, 3), new Lag(1, 2, 0, 0)],
            [Resource.Always("one", 1)]);
        var solved = Solved(problem, 2);
        Assert.True(solved.IsProved);
        Assert.Equal([0, 4, 6], solved.Schedule.Starts);
    }
}
