using Lumpet.Core.DayPlan;
using Lumpet.Core.Pans;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>Which order is late where one has to be is the manager's word.</summary>
public sealed class MayBeLateTests
{
    /// <summary>Two lots for one pick-up and one oven of two trays: one of them is late, whatever is done.</summary>
    private static PlannedDay Planned(int small, int large, int pickUp = 450, int count = 8)
    {
        var day = Snapshot(Order(Custard, count, pickUp, Pan26) with { MayBeLateMin = large }, Order(Custard, count, pickUp) with { MayBeLateMin = small });
        day = day with { Ovens = [day.Ovens[0] with { Shelves = 2 }], Shifts = [new DayShift("All", 0, 1320)] };
        var plan = DayPlanner.Plan(day);
        Assert.Empty(DayPlanChecker.Check(day, plan));
        return plan;
    }

    private static LotFate Fate(PlannedDay plan, Pan pan) => plan.Fates.Single(fate => fate.Lot.Pan == pan);

    [Fact]
    public void The_one_that_may_be_is_late_and_the_other_is_in_time()
    {
        var (small, large) = (Planned(small: 180, large: 0), Planned(small: 0, large: 180));
        Assert.Equal((8, 0), (Fate(small, Pan26).InTime, Fate(small, Pan23).InTime));
        Assert.Equal((0, 8), (Fate(large, Pan26).InTime, Fate(large, Pan23).InTime));
        Assert.InRange(Fate(large, Pan26).LateMin, 1, 180);
        Assert.InRange(Fate(small, Pan23).LateMin, 1, 180);
    }

    [Fact]
    public void It_is_not_later_than_it_may_be_where_that_can_be()
    {
        // Where it must not be late at all it is later than that: nothing is aimed at then.
        Assert.InRange(Fate(Planned(small: 0, large: 0, pickUp: 520, count: 16), Pan26).LateMin, 181, 400);
        Assert.InRange(Fate(Planned(small: 0, large: 180, pickUp: 520, count: 16), Pan26).LateMin, 1, 180);
    }

    [Fact]
    public void It_is_told_as_late_with_what_it_may_be()
    {
        var trouble = Assert.Single(Planned(small: 0, large: 180).Troubles);
        Assert.Equal((TroubleKind.Late, 8), (trouble.Kind, trouble.Pies));
        Assert.Equal("they may be up to 3 h late", trouble.Mend.With(minute => $"{minute}"));
    }

    [Fact]
    public void Where_all_can_be_in_time_nothing_is_late() => Assert.Empty(Planned(small: 180, large: 180, pickUp: 560).Troubles);

    [Fact]
    public void Orders_that_may_be_late_have_a_lot_of_their_own()
    {
        var lots = Lot.From([Order(Pear, 4, 600), Order(Pear, 5, 600), Order(Pear, 6, 600) with { MayBeLateMin = 60 }]);
        Assert.Equal([("pear/23/600", 9, 0), ("pear/23/600/60", 6, 60)], lots.Select(lot => (lot.Id, lot.Count, lot.MayBeLateMin)));
    }
}
