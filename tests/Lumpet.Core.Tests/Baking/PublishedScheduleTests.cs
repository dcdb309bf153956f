using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Planning;
using Lumpet.PlanChecking;
using Xunit;

namespace Lumpet.Core.Tests.Baking;

/// <summary>Scheduling problems of the literature, told as bakes: ovens of one shelf that are always hot are machines, a bake that follows another the next operation of a job.</summary>
public sealed class PublishedScheduleTests
{
    // Fisher and Thompson 1963, six jobs on six machines: machine and minutes of each operation; the shortest makespan is 55 (proved in the literature).
    private static readonly (int Machine, int Minutes)[][] Ft06 =
    [
        [(2, 1), (0, 3), (1, 6), (3, 7), (5, 3), (4, 6)],
        [(1, 8), (2, 5), (4, 10), (5, 10), (0, 10), (3, 4)],
        [(2, 5), (3, 4), (5, 8), (0, 9), (1, 1), (4, 7)],
        [(1, 5), (0, 5), (2, 5), (3, 3), (4, 8), (5, 9)],
        [(2, 9), (1, 3), (4, 5), (5, 4), (0, 3), (3, 1)],
        [(1, 3), (3, 3), (5, 9), (0, 10), (4, 4), (2, 1)],
    ];

    private static BakeOven Machine(int number) => new($"m{number}", 1, 100, 250, 250, 250, 180, 0, 400);

    private static BakePlan Planned(BakeProblem problem, int effort, int seed = 1)
    {
        var plan = BakePlanner.Plan(problem, effort, seed);
        Assert.Empty(BakePlanChecker.Check(problem, plan).Faults);
        Assert.Empty(plan.Unplaced);
        return plan;
    }

    private static BakeProblem JobShop((int Machine, int Minutes)[][] jobs, int due) => new(0, 0, [.. Enumerable.Range(0, 6).Select(machine => Machine(machine))],
    [
        .. jobs.SelectMany((job, at) => job.Select((operation, step) => new Bake(
            $"{at}-{step}", [step == job.Length - 1 ? 1 : 0], [new BakeStage(180, operation.Minutes, operation.Minutes)], 0, step == job.Length - 1 ? due : 1, null, [$"m{operation.Machine}"],
            step == 0 ? [] : [new BakeAfter($"{at}-{step - 1}", 0, 400, true)]))),
    ]);

    [Fact]
    public void The_six_by_six_job_shop_is_done_in_its_fifty_five_minutes_and_no_sooner()
    {
        // Only the last operation of a job carries a pie: nothing else can be late. Some seeds need longer than this one.
        Assert.Equal(0, Planned(JobShop(Ft06, 55), 4000, seed: 2).Cost.TardyPieMin);
        Assert.True(Planned(JobShop(Ft06, 54), 60).Cost.TardyPieMin >= 1);
    }

    [Fact]
    public void On_one_shelf_total_tardiness_is_least_and_not_the_order_of_dues()
    {
        // Lengths 10 and 1, due 5 and 6: in due order 10 late in all (5 and 5), the other way round 6.
        var problem = new BakeProblem(0, 0, [Machine(0)],
        [
            new Bake("long", [1], [new BakeStage(180, 10, 10)], 0, 5, null, null, []),
            new Bake("short", [1], [new BakeStage(180, 1, 1)], 0, 6, null, null, []),
        ]);
        Assert.Equal(6, Planned(problem, 40).Cost.TardyPieMin);
    }
}
