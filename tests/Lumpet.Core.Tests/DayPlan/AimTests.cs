using Lumpet.Core.DayPlan;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>Aims are kept while they can be, and given up before a pick-up is missed (docs/decisions/0004).</summary>
public sealed class AimTests
{
    private static int Minutes(PlannedDay plan, string step) =>
        plan.Tasks.Where(task => task.StepId == step).Select(task => task.EndMin - task.StartMin).Min();

    [Fact]
    public void A_quiet_day_cools_and_rests_as_long_as_it_should_and_is_boxed_early()
    {
        var plan = DayPlanner.Plan(Snapshot(Order(Pear, 4, 1320)));
        Assert.True(Minutes(plan, "cool") >= 360);
        Assert.True(Minutes(plan, "rest") >= 90);
        Assert.True(plan.Waves[0].SpareMin >= 30);
    }

    [Fact]
    public void A_pick_up_that_leaves_no_time_for_the_aim_still_gets_the_least()
    {
        // Seven in the evening of the day that begins at noon: mixed by 13:30 at best, baked by 15:00, four hours to cool.
        var soon = Enumerable.Range(0, 60).Select(step => 380 + (step * 5))
            .Select(pickUp => (pickUp, Plan: DayPlanner.Plan(Snapshot(Order(Pear, 4, pickUp)) with { Shifts = [new DayShift("Long", 0, 900)] })))
            .First(one => one.Plan.Troubles.Count == 0);
        Assert.InRange(Minutes(soon.Plan, "cool"), 240, 359);
        Assert.True(soon.Plan.Waves[0].SpareMin < 30);
    }

    [Fact]
    public void A_custard_leaves_the_rack_within_its_most_even_when_the_shift_ends()
    {
        var plan = DayPlanner.Plan(Snapshot(Order(Custard, 8, 1320)));
        Assert.Empty(plan.Troubles);
        Assert.InRange(Minutes(plan, "rack"), 30, 90);
        Assert.True(Minutes(plan, "set") >= 120);
    }

    [Fact]
    public void A_day_with_a_little_more_than_one_bowl_mixes_two_equal_ones_in_time()
    {
        var plan = DayPlanner.Plan(Snapshot(Order(Pear, 24, 1320)));
        Assert.Empty(plan.Troubles);
        Assert.Equal(2, plan.Batches.Count);
        Assert.Equal(plan.Batches[0].Mass.Grams, plan.Batches[1].Mass.Grams, 700.0);
    }
}
