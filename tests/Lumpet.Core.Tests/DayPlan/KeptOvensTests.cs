using Lumpet.Core.DayPlan;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>A plan that is made anew leaves trays where a crew has read that they are, unless that costs too much or serves worse.</summary>
public sealed class KeptOvensTests
{
    private static readonly DaySnapshot Day = Crew(3, Snapshot(Order(Pear, 24, 1170), Order(Custard, 16, 1170), Order(Pear, 12, 1320), Order(Custard, 8, 1320)));
    private static readonly PlannedDay Plan = DayPlanner.Plan(Day);
    private static readonly PublishedPlan Published = Publishing.Of(Plan, Day.OvensWatched, task => task.About, null);

    /// <summary>The day from a minute on, with more ordered than when its plan was published.</summary>
    private static DaySnapshot Left(int minute, params DayOrder[] more)
    {
        var begun = BegunWork.At(Published, minute, new HashSet<string>(), BegunWorkTests.Library, ("b1", "published"));
        return (Day with { Orders = [.. Day.Orders, .. more] }).From(minute, begun);
    }

    /// <summary>How many stays of trays in ovens of the published plan a plan has too; minutes are the plan's own.</summary>
    private static (int Same, int Of) Same(PlannedDay plan, int minute)
    {
        (string OvenId, int Start, int End)[] Stays(PlannedDay one, int later) => [.. one.BakePlan.Trays.Select(tray => (tray.Stages[0].OvenId, tray.StartMin + later, tray.EndMin + later))];
        var wanted = Stays(Plan, 0).Where(stay => stay.Start >= minute).CountBy(stay => stay).ToArray();
        var there = Stays(plan, minute).CountBy(stay => stay).ToDictionary();
        return (wanted.Sum(one => Math.Min(one.Value, there.GetValueOrDefault(one.Key))), wanted.Sum(one => one.Value));
    }

    [Theory]
    [InlineData(60, 4)]
    [InlineData(480, -4)]
    [InlineData(840, 4)]
    public void A_few_pies_more_or_less_leave_most_trays_where_they_were(int minute, int more)
    {
        var begun = BegunWork.At(Published, minute, new HashSet<string>(), BegunWorkTests.Library, ("b1", "published"));
        var last = Day.Orders[^1];
        var left = (Day with { Orders = [.. Day.Orders.SkipLast(1), last with { Count = last.Count + more }] }).From(minute, begun);
        var plan = DayPlanner.Plan(left);
        Assert.Empty(plan.Troubles);
        Assert.Empty(BakePlanChecker.Check(plan.Problem, plan.BakePlan).Faults);
        Assert.Empty(DayPlanChecker.Check(left, plan));
        var (same, of) = Same(plan, minute);
        Assert.True(same * 10 >= of * 8, $"{same} of {of} are where they were.");
    }

    [Fact]
    public void It_keeps_more_than_a_plan_that_knows_nothing_of_the_published_one_and_serves_as_well()
    {
        var (kept, anew) = (0, 0);
        foreach (var (minute, more) in new[] { (60, Order(Pear, 4, 1170)), (480, Order(Custard, 8, 1320)), (700, Order(Pear, 8, 1320)) })
        {
            var left = Left(minute, more);
            var (with, without) = (DayPlanner.Plan(left, effort: 4), DayPlanner.Plan(left with { Kept = KeptOvens.None }, effort: 4));
            Assert.InRange(with.Fates.Sum(fate => fate.Missed), 0, without.Fates.Sum(fate => fate.Missed));
            kept += Same(with, minute).Same;
            anew += Same(without, minute).Same;
        }

        Assert.True(kept > anew, $"{kept} and {anew}");
    }

    [Fact]
    public void What_holds_no_more_is_not_kept_and_pick_ups_come_before_it()
    {
        // The second wave is wanted hours sooner: where its trays were they would be too late.
        var begun = BegunWork.At(Published, 60, new HashSet<string>(), BegunWorkTests.Library, ("b1", "published"));
        var sooner = (Day with { Orders = [.. Day.Orders.Select(order => order.PickUpMin == 1320 ? order with { PickUpMin = 1000 } : order)] }).From(60, begun);
        var plan = DayPlanner.Plan(sooner);
        Assert.InRange(plan.Fates.Sum(fate => fate.Missed), 0, DayPlanner.Plan(sooner with { Kept = KeptOvens.None }).Fates.Sum(fate => fate.Missed));
        Assert.Empty(DayPlanChecker.Check(sooner, plan));
    }

    [Fact]
    public void Trays_that_were_put_in_are_not_among_those_that_are_kept_and_minutes_move_with_the_clock()
    {
        var minute = Plan.BakePlan.Trays.Select(tray => tray.StartMin).Order().ElementAt(Plan.BakePlan.Trays.Count / 2);
        var kept = Left(minute).Kept;
        var left = Plan.BakePlan.Trays.Where(tray => tray.StartMin >= minute).Select(tray => (tray.Stages[0].OvenId, Start: tray.StartMin - minute, End: tray.EndMin - minute)).Order();
        Assert.Equal(left, kept.Trays.Select(tray => (tray.Stages[0].OvenId, tray.Stages[0].StartMin, tray.Stages[^1].EndMin)).Order());
        Assert.All(kept.Trays, tray => Assert.Contains(tray.PickUpMin, new[] { 1170 - minute, 1320 - minute }));
        Assert.Empty(Day.Kept.Trays);
    }
}
