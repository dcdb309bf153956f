using CsCheck;
using Lumpet.Core.Bakery;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>So much room is in the kitchen, and no plan takes more.</summary>
public sealed class RoomTests
{
    private static readonly Product Frozen = MadeFirstTests.Filled(
        "frozen", MadeFirstTests.Of(MadeFirstTests.Curd with { Id = "frozen-curd", Name = "frozen-curd", Formula = MadeFirstTests.Curd.Formula! with { How = MadeFirstTests.Curd.Formula.How! with { Keeping = new Keeping(KeepPlace.Frozen, new Span(60, 120, 5760), "") { ThawMin = 60 } } } }, 700), Line("milk", 279));

    // Pies that are chilled in a freezer before they are baked.
    private static readonly Product Firm = Pear with { Id = "firm", Process = Pear.Process with { Steps = [.. Pear.Process.Steps.Select(step => step.Id == "firm" ? step with { Celsius = -18 } : step)] } };

    // Nothing is done to it after it has cooled on the racks.
    private static readonly Ingredient Toast = MadeFirstTests.Puree with { Id = "toast", Name = "toast", Formula = MadeFirstTests.Puree.Formula! with { How = MadeFirstTests.Puree.Formula.How! with { Method = [.. MadeFirstTests.Puree.Formula.How!.Method.SkipLast(1)] } } };

    private static readonly Product Toasted = MadeFirstTests.Filled("toasted", MadeFirstTests.Of(Toast, 600), Line("milk", 379));

    private static readonly DaySnapshot Day = Crew(3, Snapshot(Order(Pear, 12, 1170), Order(Firm, 8, 1320), Order(MadeFirstTests.CurdPie, 8, 1170), Order(MadeFirstTests.PureePie, 8, 1320), Order(Frozen, 4, 1320)));

    private static readonly PlannedDay Free = DayPlanner.Plan(Day);

    private static KitchenRoom With(RoomPlace place, int count) => place switch
    {
        RoomPlace.Bench => new KitchenRoom { BenchPlaces = count },
        RoomPlace.Burners => new KitchenRoom { Burners = count },
        RoomPlace.Racks => new KitchenRoom { RackTrays = count },
        RoomPlace.FridgeTrays => new KitchenRoom { FridgeTrays = count },
        RoomPlace.FridgeTubs => new KitchenRoom { FridgeKilograms = count },
        RoomPlace.FreezerTrays => new KitchenRoom { FreezerTrays = count },
        _ => new KitchenRoom { FreezerKilograms = count },
    };

    /// <summary>The most of a place that is in use at a minute.</summary>
    private static int Most(PlannedDay plan, RoomPlace place) => plan.Room.Where(use => use.Place == place).Select(use => use.FromMin)
        .Select(minute => plan.Room.Where(use => use.Place == place && use.FromMin <= minute && minute < use.ToMin).Sum(use => use.Amount)).DefaultIfEmpty(0).Max();

    private static int Counted(int most, RoomPlace place) => place is RoomPlace.FridgeTubs or RoomPlace.FreezerTubs ? (most + 999) / 1000 : most;

    public static TheoryData<RoomPlace> Places => [.. Enum.GetValues<RoomPlace>()];

    [Theory]
    [MemberData(nameof(Places))]
    public void Room_that_suffices_changes_nothing_and_less_of_it_is_kept_to_or_told(RoomPlace place)
    {
        Assert.Empty(Free.Troubles);
        var most = Counted(Most(Free, place), place);
        Assert.InRange(most, 1, 60);
        Assert.Equal(Free.Tasks, DayPlanner.Plan(Day with { Room = With(place, most) }).Tasks);
        if (most == 1 && place == RoomPlace.FreezerTrays) return;
        Assert.NotEqual(1, most);
        var less = Day with { Room = With(place, most - 1) };
        // The checker finds it in the plan that knows nothing of it, at that place and no other.
        Assert.Equal([("room", place.ToString())], DayPlanChecker.Check(less, Free).Select(fault => (fault.Rule, fault.Where)));
        var plan = DayPlanner.Plan(less);
        Assert.Empty(DayPlanChecker.Check(less, plan));
        Assert.InRange(Counted(Most(plan, place), place), 0, most - 1);
        // Two kilograms do not hold the three of one tub; all else is only moved.
        Assert.Equal(place == RoomPlace.FreezerTubs ? 4 : 0, plan.Fates.Sum(fate => fate.Missed));
    }

    // A pot can be cooked sooner, so that a burner is never all that is short.
    public static TheoryData<RoomPlace> Short => [.. Enum.GetValues<RoomPlace>().Where(place => place != RoomPlace.Burners)];

    [Theory]
    [MemberData(nameof(Short))]
    public void Where_room_is_short_it_is_said_which_and_more_of_it_is_tried(RoomPlace place)
    {
        var (count, orders) = place switch
        {
            RoomPlace.Bench => (1, new[] { Order(Pear, 24, 1000), Order(Firm, 12, 1000) }),
            RoomPlace.FreezerTrays => (2, [Order(Firm, 12, 1170)]),
            RoomPlace.FreezerTubs => (1, [Order(Frozen, 2, 1170)]),
            RoomPlace.FridgeTubs => (1, [Order(Pear, 4, 1170)]),
            _ => (2, [Order(Pear, 12, 1170)]),
        };
        var day = Crew(6, Snapshot(orders)) with { Room = With(place, count) };
        var plan = DayPlanner.Plan(day);
        Assert.Empty(DayPlanChecker.Check(day, plan));
        Assert.InRange(plan.Fates.Sum(fate => fate.Missed), 1, 100);
        var (lacking, more) = place switch
        {
            RoomPlace.Bench => ("the one place at the bench is taken", "one more place at the bench"),
            RoomPlace.Racks => ("the racks are full (2 trays)", "twice the racks"),
            RoomPlace.FridgeTrays => ("the fridge is full (2 trays)", "a second fridge"),
            RoomPlace.FridgeTubs => ("the fridge has no room for more dough and tubs (1 kg)", "a second fridge"),
            RoomPlace.FreezerTrays => ("the freezer is full (2 trays)", "a second freezer"),
            _ => ("the freezer has no room for more dough and tubs (1 kg)", "a second freezer"),
        };
        Assert.Contains(plan.Troubles, trouble => trouble.What.With(minute => $"{minute}").Contains(lacking, StringComparison.Ordinal));
        Assert.Contains(plan.Troubles, trouble => trouble.Mend.With(minute => $"{minute}").Contains(more, StringComparison.Ordinal));
    }

    [Fact]
    public void The_levels_say_what_is_in_use_at_every_minute_and_for_how_long_a_place_is_full()
    {
        var most = Most(Free, RoomPlace.Racks);
        var levels = RoomLevels.Of(Free, new KitchenRoom { RackTrays = most });
        Assert.Equal(Enum.GetValues<RoomPlace>(), levels.Select(one => one.Place));
        foreach (var one in levels)
        {
            Assert.Equal(0, one.Levels[^1].Amount);
            Assert.Equal(Most(Free, one.Place), one.Most);
            Assert.All(one.Levels, level => Assert.Equal(Free.Room.Where(use => use.Place == one.Place && use.FromMin <= level.AtMin && level.AtMin < use.ToMin).Sum(use => use.Amount), level.Amount));
            Assert.Equal(one.Place == RoomPlace.Racks ? most : null, one.Room);
        }

        // In trays: of every minute's trays on the racks as the list of tasks has them.
        int OnRacks(int minute) => Free.Tasks.Where(task => task is { Kind: TaskKind.Wait, Station: Station.Rack, LotId: not null } && task.StartMin <= minute && minute < task.EndMin).Sum(task => (task.Pies + 3) / 4)
            + (Free.Tasks.Any(task => task is { IsMadeFirst: true, Kind: TaskKind.Wait, Station: Station.Rack, StepId: "cool" } && task.StartMin <= minute && minute < task.EndMin) ? 2 : 0);
        var racks = levels.Single(one => one.Place == RoomPlace.Racks);
        var minutes = Enumerable.Range(0, 1500).Where(minute => OnRacks(minute) == most).ToArray();
        Assert.Equal((minutes.Length, minutes[0], minutes[0]), (racks.FullMin, racks.FullFromMin, racks.MostAtMin));
        Assert.Equal((0, null), (levels[0].FullMin, levels[0].FullFromMin));
    }

    [Fact]
    public void Baked_parts_that_stand_on_the_racks_are_asked_whether_they_fit()
    {
        // 4 x 900 g are 3.6 kg: two trays, where the pies themselves are one. Nothing is done to them after the racks.
        var day = Crew(4, Snapshot(Order(MadeFirstTests.Filled("full", MadeFirstTests.Of(Toast, 900), Line("milk", 79)), 4, 1320)));
        Assert.Empty(DayPlanner.Plan(day with { Room = new KitchenRoom { RackTrays = 2 } }).Troubles);
        var tooFew = day with { Room = new KitchenRoom { RackTrays = 1 } };
        var plan = DayPlanner.Plan(tooFew);
        Assert.Empty(DayPlanChecker.Check(tooFew, plan));
        Assert.Equal(4, plan.Fates.Sum(fate => fate.Unfit));
        Assert.Contains("the racks are full (1 tray)", plan.Troubles[0].What.With(minute => $"{minute}"), StringComparison.Ordinal);
    }

    private static readonly Gen<DaySnapshot> AnyDay = Gen.Select(
        Gen.Select(Gen.Int[0, 5], Gen.Int[1, 20], Gen.Int[80, 130]).Array[1, 3],
        Gen.Int[0, 4],
        Gen.Select(Gen.Int[0, 4], Gen.Int[0, 3], Gen.Int[0, 12], Gen.Int[0, 10], Gen.Int[0, 16], Gen.Int[0, 4])).Select((orders, people, room) =>
        {
            static int? Some(int count) => count == 0 ? null : count;
            return Crew(people == 0 ? null : people + 1, Snapshot([.. orders.Select(one => Order(new[] { Pear, Custard, Firm, MadeFirstTests.CurdPie, MadeFirstTests.PureePie, Toasted }[one.Item1], one.Item2, one.Item3 * 10))])) with
            {
                Room = new KitchenRoom { BenchPlaces = Some(room.Item1), Burners = Some(room.Item2), RackTrays = Some(room.Item3), FridgeTrays = Some(room.Item4), FridgeKilograms = Some(room.Item5), FreezerTrays = Some(room.Item6) },
            };
        });

    [Fact]
    public void No_day_takes_more_room_than_there_is() => AnyDay.SampleTheSame(Holds, iter: 10);

    private static void Holds(DaySnapshot day)
    {
        var plan = DayPlanner.Plan(day, effort: 3);
        Assert.Empty(DayPlanChecker.Check(day, plan));
        // What cannot be made is told; the rest is all there.
        Assert.Equal(day.Orders.Sum(order => order.Count), plan.Fates.Sum(fate => fate.InTime + fate.Late + fate.Unfit + fate.NotBaked));
        // And from the list of tasks, minute by minute.
        var made = plan.Fates.Where(fate => fate.Unfit == 0).Select(fate => fate.Lot.Id).ToHashSet();
        foreach (var minute in plan.Tasks.Select(task => task.StartMin).Distinct())
        {
            var now = plan.Tasks.Where(task => task.LotId is { } lot && made.Contains(lot) && task.StartMin <= minute && minute < task.EndMin).ToArray();
            int Trays(Station station, bool frozen) => now.Where(task => task.Kind == TaskKind.Wait && task.Station == station && task.Celsius < 0 == frozen).Sum(task => (task.Pies + 3) / 4);
            Assert.True(now.Count(task => task.Station == Station.Bench && task.Kind == TaskKind.Hands) <= (day.Room.BenchPlaces ?? int.MaxValue));
            Assert.True(Trays(Station.Rack, false) <= (day.Room.RackTrays ?? int.MaxValue));
            Assert.True(Trays(Station.Cold, false) <= (day.Room.FridgeTrays ?? int.MaxValue));
            Assert.True(Trays(Station.Cold, true) <= (day.Room.FreezerTrays ?? int.MaxValue));
        }
    }

    [Fact]
    public void Racks_that_a_day_before_fills_are_not_there_for_the_next()
    {
        var first = Crew(4, Snapshot(Order(Pear, 16, 1170)));
        var before = DayPlanner.Plan(first);
        var taken = TakenTime.Of([new EarlierDay("first", before, first, 0)]);
        Assert.Equal(before.Room.Where(use => use.Place == RoomPlace.Racks), taken.Room.Where(use => use.Place == RoomPlace.Racks));
        var both = Most(before, RoomPlace.Racks) + 2;
        var next = Crew(8, Snapshot(Order(Custard, 16, 1170))) with { Taken = taken };
        var free = DayPlanner.Plan(next);
        var counted = next with { Room = new KitchenRoom { RackTrays = both } };
        Assert.Contains(DayPlanChecker.Check(counted, free), fault => fault.Where == nameof(RoomPlace.Racks));
        var plan = DayPlanner.Plan(counted);
        Assert.Empty(DayPlanChecker.Check(counted, plan));
    }
}
