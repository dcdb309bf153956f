using Lumpet.Core.DayPlan;
using Lumpet.Core.Recipes.Schools;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>What can be done about a day was planned, helps, and does so when it is done.</summary>
public sealed class WayOutTests
{
    private static readonly DaySnapshot Short = Crew(1, Snapshot(Order(Pear, 24, 1170), Order(Custard, 24, 1170)));

    private static DayServed Served(PlannedDay plan) => DayServed.Of(plan.Fates);

    [Fact]
    public void Where_hands_are_short_more_of_them_help_as_is_said()
    {
        var plan = DayPlanner.Plan(Short);
        var way = Assert.Single(plan.WaysOut, way => way.Kind == WayOutKind.MoreHands);
        Assert.Equal((1, null, Served(plan)), (way.Amount, way.PickUpMin, way.Before));
        Assert.True(way.After.NotMade + way.After.Late < way.Before.NotMade + way.Before.Late);
        var with = Served(DayPlanner.Plan((DayArrangement.Usual with { MoreHands = 1 }).Applied(Short)));
        // It was planned roughly: done, it helps at least as far.
        Assert.InRange(with.NotMade + with.Late, 0, way.After.NotMade + way.After.Late);
    }

    [Fact]
    public void A_pick_up_that_is_missed_by_little_may_come_later()
    {
        var late = Enumerable.Range(40, 60).Select(step => Snapshot(Order(Pear, 8, 1170 - (10 * step)))).First(day => DayPlanner.Best(day, 4, 4).Fates.Sum(fate => fate.Late) > 0);
        var plan = DayPlanner.Plan(late);
        var way = Assert.Single(plan.WaysOut, way => way.Kind == WayOutKind.LaterPickUp);
        Assert.Equal((0, late.Orders[0].PickUpMin), (way.Amount % 5, way.PickUpMin));
        Assert.InRange(way.Amount, way.Before.LateMin, way.Before.LateMin + 4);
        Assert.Equal(new DayServed(0, 0, 0), way.After);
        Assert.Equal(way.After, Served(DayPlanner.Plan(late with { Orders = [.. late.Orders.Select(order => order with { PickUpMin = order.PickUpMin + way.Amount })] })));
    }

    [Fact]
    public void A_product_made_by_another_school_is_a_way_out_where_it_saves_much_and_does_so_when_it_is_taken()
    {
        // Nine minutes late: a quarter of an hour in the freezer does for the chilling.
        var late = Snapshot(Order(Custard, 4, 370));
        var plan = DayPlanner.Plan(late);
        var way = Assert.Single(plan.WaysOut, way => way.Kind == WayOutKind.OtherSchool);
        Assert.Equal((new DaySchool("custard", SchoolPlace.Rest, "freezer"), new DayServed(0, 0, 0), 9), (way.School, way.After, way.Before.LateMin));
        Assert.Equal(way.After, Served(DayPlanner.Plan((DayArrangement.Usual with { Schools = [way.School!] }).Applied(late))));
        // Ten minutes of two hours are not worth another pie.
        Assert.DoesNotContain(DayPlanner.Plan(Snapshot(Order(Pear, 4, 330))).WaysOut, way => way.Kind == WayOutKind.OtherSchool);
    }

    [Fact]
    public void Hands_between_the_shifts_are_a_way_out_and_make_what_they_were_said_to()
    {
        // A hundred minutes at noon, nobody until three at night, a hundred more.
        var day = Snapshot(Order(Pear, 8, 1320), Order(Custard, 8, 1320)) with { Shifts = [new DayShift("Short", 0, 100) { People = 2 }, new DayShift("Night", 900, 1000) { People = 3 }] };
        day = day with { OvensWatched = day.Shifts };
        var way = Assert.Single(DayPlanner.Plan(day).WaysOut, way => way.Kind == WayOutKind.Between);
        Assert.Equal((3, new DayServed(0, 0, 0)), (way.Amount, way.After));
        DayShift[] more = [new("Between", 100, 900) { People = 3 }, new("Between", 1000, 1320) { People = 3 }];
        Assert.Equal(way.After, Served(DayPlanner.Plan(day.With([.. day.Shifts, .. more]))));
        Assert.Equal([(100, 900), (1000, 1320)], ShiftCalendar.Pauses(day.Shifts, 1320));
        Assert.Equal([(100, 900)], ShiftCalendar.Pauses(day.Shifts.Reverse(), 1000));
        Assert.Empty(ShiftCalendar.Pauses([], 1000));
    }

    [Fact]
    public void A_lot_is_left_out_where_fewer_are_missed_then_and_they_are_when_it_is()
    {
        // All 56 would be late; without the pears none is.
        var day = Crew(2, Snapshot(Order(Pear, 32, 680), Order(Custard, 16, 680), Order(Custard, 8, 660) with { MayBeLateMin = 60 }));
        var plan = DayPlanner.Plan(day);
        var way = Assert.Single(plan.WaysOut, way => way.Kind == WayOutKind.LeaveOut);
        var without = day with { Orders = [.. day.Orders.Where(order => order.Product.Id != way.LeftOut!.Product.Id)] };
        Assert.Equal(Served(plan), way.Before);
        Assert.Equal(way.LeftOut!.Count, way.After.LeftOut);
        Assert.True(way.After.NotMade + way.After.Late < way.Before.NotMade + way.Before.Late);
        var done = Served(DayPlanner.Plan(without));
        Assert.InRange(done.NotMade + done.Late + way.LeftOut.Count, way.LeftOut.Count, way.After.NotMade + way.After.Late);
        // Leaving out as many as are missed frees nothing.
        Assert.DoesNotContain(DayPlanner.Plan(Snapshot(Order(Pear, 4, 330))).WaysOut, way => way.Kind == WayOutKind.LeaveOut);
    }

    [Fact]
    public void None_is_said_where_all_is_well_and_few_where_not_and_none_that_makes_fewer_pies()
    {
        Assert.Empty(DayPlanner.Plan(Snapshot(Order(Pear, 4, 1170))).WaysOut);
        foreach (var day in new[] { Short, Snapshot(Order(Pear, 80, 900)) })
        {
            var plan = DayPlanner.Plan(day);
            Assert.InRange(plan.WaysOut.Count, 0, 3);
            Assert.All(plan.WaysOut, way => Assert.InRange(way.After.NotMade - way.After.LeftOut, 0, way.Before.NotMade));
            Assert.All(plan.WaysOut, way => Assert.Equal(Served(plan), way.Before));
            // Each saves something: pies, or minutes by which they are late.
            Assert.All(plan.WaysOut, way => Assert.True((way.After.NotMade + way.After.Late, way.After.LateMin).CompareTo((way.Before.NotMade + way.Before.Late, way.Before.LateMin)) < 0, way.ToString()));
        }
    }

    [Fact]
    public void More_hands_are_in_every_shift_that_says_how_many_it_has()
    {
        var day = Crew(2, Snapshot(Order(Pear, 4, 1170)));
        var arranged = (DayArrangement.Usual with { MoreHands = 2 }).Applied(day);
        Assert.All(arranged.Shifts.Concat(arranged.OvensWatched), shift => Assert.Equal(4, shift.People));
        Assert.All((DayArrangement.Usual with { MoreHands = 2 }).Applied(Snapshot(Order(Pear, 4, 1170))).Shifts, shift => Assert.Null(shift.People));
        Assert.False((DayArrangement.Usual with { MoreHands = 1 }).IsUsual);
        Assert.False((DayArrangement.Usual with { BetweenHands = 1 }).IsUsual);
        Assert.False((DayArrangement.Usual with { EarlierMin = 1 }).IsUsual);
    }
}
