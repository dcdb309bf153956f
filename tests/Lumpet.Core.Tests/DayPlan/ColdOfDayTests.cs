using CsCheck;
using Lumpet.Core.Bakery;
using Lumpet.Core.DayPlan;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>What is in the cold and on the racks at any minute of a plan.</summary>
public sealed class ColdOfDayTests
{
    private static readonly RoomPlace[] OfTrays = [RoomPlace.Racks, RoomPlace.FridgeTrays, RoomPlace.FreezerTrays];

    private static readonly DaySnapshot Day = Crew(3, Snapshot(Order(Pear, 12, 1170), Order(Custard, 8, 1320), Order(MadeFirstTests.CurdPie, 8, 1170), Order(MadeFirstTests.PureePie, 8, 1320)));

    [Fact]
    public void What_is_there_adds_up_and_each_has_trays_of_its_own_at_every_minute() => AnyDayTests.AnyDay.SampleTheSame(day => Holds(DayPlanner.Plan(day, effort: 1)), iter: 30);

    [Fact]
    public void So_it_does_with_tubs_and_with_what_days_before_have_there()
    {
        var before = DayPlanner.Plan(Day);
        Holds(before);
        var day = Day with { Taken = TakenTime.Of([new EarlierDay("before", before, Day, -300)]) };
        var plan = DayPlanner.Plan(day);
        Holds(plan);
        var things = ColdOfDay.Of(plan, Day.Room).SelectMany(place => place.Things).ToArray();
        Assert.Contains(things, thing => !thing.IsOwn);
        Assert.Contains(things, thing => thing.IsOwn && thing.Use.Content is { MadeId: not null, Product: null });
        Assert.Contains(things, thing => thing.Use.Content is { Product: "Pear and ginger", Name: "Pear and ginger, 23 cm", Pieces: > 0 });
    }

    private static void Holds(PlannedDay plan)
    {
        if (plan.Tasks.Count == 0) return;
        var (from, to) = ColdOfDay.Window(plan);
        var cold = ColdOfDay.Of(plan, new KitchenRoom { FridgeTrays = 7 });
        // Everything that takes such room is told of.
        var all = plan.Room.Concat(plan.Taken.Room).Where(use => use.Place > RoomPlace.Burners && use.FromMin < to && use.ToMin > from).ToArray();
        Assert.All(all, use => Assert.NotNull(use.Content));
        Assert.Equal(all.Length, cold.Sum(place => place.Things.Count));
        foreach (var place in cold)
        {
            Assert.Equal(place.Levels.Place == RoomPlace.FridgeTrays ? 7 : null, place.Levels.Room);
            foreach (var minute in place.Things.SelectMany(thing => new[] { thing.Use.FromMin, thing.Use.ToMin }).Distinct())
            {
                ColdThing[] there = [.. place.Things.Where(thing => thing.Use.FromMin <= minute && minute < thing.Use.ToMin)];
                Assert.Equal(place.Levels.Levels.LastOrDefault(level => level.AtMin <= minute)?.Amount ?? 0, there.Sum(thing => thing.Use.Amount));
                int[] trays = [.. there.SelectMany(thing => thing.Trays)];
                Assert.Equal(trays.Length, trays.Distinct().Count());
                Assert.Equal(OfTrays.Contains(place.Levels.Place) ? there.Sum(thing => thing.Use.Amount) : 0, trays.Length);
                Assert.All(trays, tray => Assert.InRange(tray, 0, place.Levels.Most - 1));
                // What comes takes the first trays that are free in that minute.
                var standing = there.Where(thing => thing.Use.FromMin < minute).SelectMany(thing => thing.Trays).ToHashSet();
                int[] came = [.. there.Where(thing => thing.Use.FromMin == minute).SelectMany(thing => thing.Trays).Order()];
                if (came.Length > 0) Assert.Equal(Enumerable.Range(0, int.MaxValue).Where(tray => !standing.Contains(tray)).Take(came.Length), came);
            }

            // Nothing is told to keep for less than it is kept.
            Assert.All(place.Things.Where(thing => thing.IsOwn && thing.Use.Content!.KeepsForMin is not null), thing => Assert.True(thing.Use.ToMin - thing.Use.FromMin <= thing.Use.Content!.KeepsForMin, $"{thing.Use}"));
        }
    }

    [Fact]
    public void A_plan_without_work_has_nothing_there() => Assert.Empty(ColdOfDay.Of(DayPlanner.Plan(Snapshot()), Day.Room));
}
