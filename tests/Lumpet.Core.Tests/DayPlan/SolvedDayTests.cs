using Lumpet.Core.DayPlan;
using Lumpet.PlanChecking;
using Lumpet.Solving;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>Days whose work a solver levels are sound, the same every time, and no worse.</summary>
public sealed class SolvedDayTests
{
    private static readonly ConstraintScheduler Solver = new();

    public static TheoryData<int, int> Days => new() { { 1, 4 }, { 2, 12 }, { 2, 24 } };

    private static DaySnapshot Day(int people, int pies) =>
        Crew(people, Snapshot(Order(Pear, pies, 1170), Order(Custard, pies / 2, 1170), Order(Pear, pies / 2, 1170, Pan26), Order(Custard, pies / 2, 1320, Pan26)));

    [Theory]
    [MemberData(nameof(Days))]
    public void A_solver_makes_no_day_worse(int people, int pies)
    {
        var day = Day(people, pies);
        var (without, with) = (DayPlanner.Plan(day), DayPlanner.Plan(day, solver: Solver));
        Assert.Empty(DayPlanChecker.Check(day, with));
        Assert.InRange(with.Fates.Sum(fate => fate.Missed), 0, without.Fates.Sum(fate => fate.Missed));
        Assert.Equal(with.Tasks, DayPlanner.Plan(day, solver: Solver).Tasks);
    }

    [Fact]
    public void Work_is_nearer_to_where_it_is_wished()
    {
        var day = Day(2, 12);
        var round = DayPlanner.Best(day, DayPlanner.DefaultEffort, 8);
        var solved = round.Solved(day, new ShiftCalendar(day.Shifts, day.Midnights), 720, Solver, default);
        Assert.True(round.Cost > 0);
        Assert.InRange(solved.Cost, 0, round.Cost - 1);
        Assert.Equal(round.Fates.Sum(fate => fate.Missed), solved.Fates.Sum(fate => fate.Missed));
    }
}
