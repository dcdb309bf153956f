using Lumpet.Core.DayPlan;
using Lumpet.Core.Pans;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>Pans that are counted bind a day: a pie is in its own from its lining until it is boxed.</summary>
public sealed class PansOfDayTests
{
    // Half past seven and ten in the morning, minutes from noon. A pear pie is in its pan for six hours and more.
    private const int Early = 1170;
    private const int Late = 1320;

    private static Pan Counted(int owned) => Pan23 with { Owned = owned };

    // One night from midnight to ten: no pan is used twice in it.
    private static DaySnapshot Night(params DayOrder[] orders) => Snapshot(orders) with { Shifts = [new DayShift("Night", 720, 1320)] };

    private static PlannedDay TwoLots(int owned) => DayPlanner.Plan(Night(Order(Pear, 12, 1300, Counted(owned)), Order(Pear, 12, Late, Counted(owned))));

    [Fact]
    public void With_a_pan_for_every_pie_nothing_is_missed()
    {
        var plan = TwoLots(24);
        Assert.Empty(plan.Troubles);
        // Lined, chilled for 20 minutes at least, filled and firmed before it goes in; cooled for four hours at least and boxed after.
        Assert.All(plan.Problem.Bakes, bake => Assert.InRange(bake.Pan!.BeforeMin, 8 + 20 + 4 + 10, 240));
        Assert.All(plan.Problem.Bakes, bake => Assert.InRange(bake.Pan!.AfterMin, 240 + 2, 480));
    }

    [Fact]
    public void With_half_as_many_the_second_lot_finds_them_in_use_and_that_is_said_with_what_helps()
    {
        var plan = TwoLots(12);
        Assert.Empty(BakePlanChecker.Check(plan.Problem, plan.BakePlan).Faults);
        Assert.Equal(12, plan.Fates.Sum(fate => fate.InTime));
        var trouble = Assert.Single(plan.Troubles);
        Assert.Equal(12, trouble.Pies);
        Assert.Equal("with twice the pans they would all be boxed in time", trouble.Mend.With(minute => $"{minute}"));
    }

    [Fact]
    public void Pans_that_are_emptied_in_the_afternoon_are_used_again_at_night()
    {
        // Twelve pies baked and boxed before eight in the evening are fresh enough at half past seven.
        var plan = DayPlanner.Plan(Snapshot(Order(Pear, 12, Early, Counted(12)), Order(Pear, 12, Late, Counted(12))));
        Assert.Empty(plan.Troubles);
        var (lined, boxed) = (plan.Tasks.Where(task => task.StepId == "line"), plan.Tasks.Where(task => task.StepId == "box"));
        Assert.All(lined, task => Assert.True(boxed.Where(other => other.EndMin <= task.StartMin).Sum(other => other.Pies) >= lined.Where(other => other.StartMin <= task.StartMin).Sum(other => other.Pies) - 12));
    }

    [Fact]
    public void Pans_of_another_size_that_go_with_the_pie_or_that_nobody_counts_bind_nothing()
    {
        foreach (var pan in new[] { Pan23, Counted(12) with { BoughtAs = "foil" }, Counted(12) with { Family = PanFamily.FreeForm } })
        {
            var plan = DayPlanner.Plan(Night(Order(Pear, 12, 1300, pan), Order(Pear, 12, Late, pan)));
            Assert.Empty(plan.Troubles);
            Assert.Empty(plan.Problem.Pans);
        }

        Assert.Empty(DayPlanner.Plan(Night(Order(Pear, 12, 1300, Counted(12)), Order(Pear, 6, Late, Pan26 with { Owned = 6 }))).Troubles);
    }

    [Fact]
    public void What_helps_where_pans_are_few_is_more_pans_and_not_what_only_takes_them_from_another_lot()
    {
        // Three lots for one night and pans for one of them: whatever else is tried, one lot's pans are another's.
        var plan = DayPlanner.Plan(Night(Order(Pear, 12, 1290, Counted(12)), Order(Custard, 12, 1305, Counted(12)), Order(Pear, 12, Late, Counted(12))));
        Assert.True(plan.Troubles.Count >= 2);
        Assert.All(plan.Troubles, trouble => Assert.DoesNotContain("shelves", trouble.Mend.With(minute => $"{minute}").Replace("none of these", string.Empty, StringComparison.Ordinal).Split(':')[0], StringComparison.Ordinal));
        Assert.Contains(plan.Troubles, trouble => trouble.Mend.With(minute => $"{minute}").StartsWith("with twice the pans", StringComparison.Ordinal));
    }

    [Fact]
    public void Pies_of_two_products_share_the_pans_of_a_size()
    {
        var plan = DayPlanner.Plan(Night(Order(Pear, 8, Late, Counted(12)), Order(Custard, 8, Late, Counted(12))));
        Assert.Single(plan.Problem.Pans);
        Assert.True(plan.Fates.Sum(fate => fate.Missed) > 0);
        Assert.Empty(DayPlanner.Plan(Night(Order(Pear, 8, Late, Counted(16)), Order(Custard, 8, Late, Counted(16)))).Troubles);
    }

    [Fact]
    public void Hands_that_are_slow_at_the_ovens_are_named_where_they_bind()
    {
        // Six trays that all take ten minutes in and ten out, of pies that may be out for hours: two hours of hands are there.
        var day = Snapshot(Order(Pear, 40, 1060));
        Assert.Empty(DayPlanner.Plan(day).Troubles);
        var slow = DayPlanner.Plan(day with { Ovens = [.. day.Ovens.Select(oven => oven with { ActionMin = 10 })] });
        Assert.Empty(BakePlanChecker.Check(slow.Problem, slow.BakePlan).Faults);
        var visits = slow.BakePlan.Trays.SelectMany(tray => new[] { tray.StartMin, tray.EndMin }).GroupBy(minute => minute).OrderBy(one => one.Key).ToArray();
        Assert.All(visits.Zip(visits.Skip(1)), pair => Assert.True(pair.Second.Key >= pair.First.Key + (10 * pair.First.Count())));
    }
}
