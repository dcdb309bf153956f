using Lumpet.Core.Scheduling;
using Lumpet.PlanChecking;
using Xunit;

namespace Lumpet.Core.Tests.Scheduling;

/// <summary>Schedules keep every rule, and are near the best where that is known.</summary>
public sealed class SchedulerTests
{
    private static Schedule Sound(ScheduleProblem problem, int effort = Scheduler.DefaultEffort, int seed = 1)
    {
        var schedule = Scheduler.Plan(problem, effort, seed);
        Assert.Empty(ScheduleChecker.Check(problem, schedule));
        return schedule;
    }

    [Fact]
    public void Look()
    {
        for (var seed = 1; seed < 4; seed++)
        {
            var w = System.Diagnostics.Stopwatch.StartNew();
            Console.WriteLine($"ft06 {Sound(JobShops.Ft06, 2000, seed).Cost} la01 {Sound(JobShops.La01, 4000, seed).Cost} ft10 {Sound(JobShops.Ft10, 10000, seed).Cost} {w.ElapsedMilliseconds}");
        }
    }
}
