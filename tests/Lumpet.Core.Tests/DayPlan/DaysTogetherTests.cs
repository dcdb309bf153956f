using CsCheck;
using Lumpet.Core.Baking;
using Lumpet.Core.DayPlan;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>A day is planned around those before it: never twice the same minute of a shelf, the mixer, a pan or a pair of hands.</summary>
public sealed class DaysTogetherTests
{
    private static readonly Gen<DayOrder[]> AnyOrders =
        Gen.Select(Gen.Int[0, 1], Gen.Int[1, 24], Gen.Int[80, 130], Gen.Bool).Select(order =>
            Order(order.Item1 == 0 ? Pear : Custard, order.Item2, order.Item3 * 10, order.Item4 ? Pan23 : Pan26)).Array[1, 3];

    private sealed record Days(DaySnapshot First, DaySnapshot Second, int LaterMin);

    // The second day's clock begins at the start of a shift of the first, or in a pause, when its ovens are off.
    private static readonly Gen<Days> AnyDays =
        Gen.Select(AnyOrders, AnyOrders, Gen.Int[0, 3], Gen.Int[0, 1000]).Select((first, second, from, dice) =>
        {
            DaySnapshot Day(DayOrder[] orders) => Snapshot(orders) with
            {
                Shifts = [new DayShift("Afternoon", 0, 480) { People = dice % 4 == 0 ? null : 2 + (dice % 3) }, new DayShift("Night", 720, 1320) { People = dice % 4 == 0 ? null : 2 }],
                OpenCPerTray = dice % 3 == 1 ? 6 : 0,
                Ovens = [.. Snapshot().Ovens.Select(oven => oven with { ActionMin = dice % 5 == 1 ? 1 : 0 })],
                Orders = [.. orders.Select(order => dice % 3 == 2 ? order with { Pan = order.Pan with { Owned = 18 } } : order)],
            };
            // The last lies in the middle of a shift, when trays of the first day are in its ovens.
            var later = from switch { 0 => 0, 1 => 600, 2 => 720, _ => 800 };
            // Where both days count on one shift it is the same people.
            var following = Day(second) with { Shifts = [.. from == 3 ? [new DayShift("Rest of the night", 0, 520) { People = Day(second).Shifts[1].People }] : Array.Empty<DayShift>(), .. from == 2 ? [new DayShift("Night", 0, 600) { People = Day(second).Shifts[1].People }] : Array.Empty<DayShift>(), .. Day(second).Shifts.Where(shift => from < 2 || shift.StartMin >= 720)] };
            return new Days(Day(first), following, later);
        });

    [Fact]
    public void Two_days_never_have_the_same_minute_of_anything() => AnyDays.SampleTheSame(Holds, iter: 20);

    private static void Holds(Days days)
    {
        var first = DayPlanner.Plan(days.First, effort: 3);
        var snapshot = days.Second with { Taken = TakenTime.Of([new EarlierDay("first", first, days.First, -days.LaterMin)]) };
        var second = DayPlanner.Plan(snapshot, effort: 3);
        Assert.Empty(BakePlanChecker.Check(second.Problem, second.BakePlan).Faults);
        Assert.Empty(DayPlanChecker.Check(snapshot, second));
        // And once more from the two plans alone, on the clock of the first.
        ShelvesHold(first, second, days.LaterMin);
        var bowls = Mixed(first, 0).Concat(Mixed(second, days.LaterMin)).OrderBy(bowl => bowl.From).ToArray();
        foreach (var (one, next) in bowls.Zip(bowls.Skip(1))) Assert.True(next.From >= one.To || one.Day == next.Day, $"mixer {one} {next}");
        HandsHold(days, first, second);
    }

    private static IEnumerable<(int Day, int From, int To)> Mixed(PlannedDay plan, int later)
    {
        var made = Made(plan);
        return plan.Batches.Where(batch => batch.Dough.IsMixed && batch.LotIds.All(made.Contains)).Select(batch => (later, batch.MixStartMin + later, batch.MixEndMin + later));
    }

    private static HashSet<string> Made(PlannedDay plan) => [.. plan.Fates.Where(fate => fate.Unfit == 0).Select(fate => fate.Lot.Id)];

    private static void ShelvesHold(PlannedDay first, PlannedDay second, int later)
    {
        int? SetAt(PlannedDay plan, string oven, int minute) => plan.BakePlan.Settings.LastOrDefault(setting => setting.OvenId == oven && setting.AtMin <= minute) is { } setting
            ? setting.TempC : plan.Problem.Ovens.First(one => one.Id == oven).StartSettingC;
        var stages = first.BakePlan.Trays.SelectMany(tray => tray.Stages).ToArray();
        var others = second.BakePlan.Trays.SelectMany(tray => tray.Stages).Select(stage => new BakedStage(stage.OvenId, stage.StartMin + later, stage.EndMin + later)).ToArray();
        foreach (var oven in first.Problem.Ovens)
            for (var minute = later; minute < 1500; minute++)
            {
                bool IsIn(BakedStage stage) => stage.OvenId == oven.Id && stage.StartMin <= minute && minute < stage.EndMin;
                Assert.True(stages.Count(IsIn) + others.Count(IsIn) <= oven.Shelves + (oven.FloorPlaces ?? 0), $"{oven.Id} at {minute}");
                if (stages.Any(IsIn)) Assert.Equal(SetAt(first, oven.Id, minute), SetAt(second, oven.Id, minute - later));
            }
    }

    private static void HandsHold(Days days, PlannedDay first, PlannedDay second)
    {
        (int From, int To)[] Work(PlannedDay plan, int later) =>
            [.. plan.Tasks.Where(task => task.Kind == TaskKind.Hands && task.LotId is { } lot && Made(plan).Contains(lot)).Select(task => (task.StartMin + later, task.EndMin + later))];
        var (one, other) = (Work(first, 0), Work(second, days.LaterMin));
        for (var minute = 0; minute < 2000; minute++)
        {
            var shifts = days.First.Shifts.Concat(days.Second.Shifts.Select(shift => shift with { StartMin = shift.StartMin + days.LaterMin, EndMin = shift.EndMin + days.LaterMin }))
                .Where(shift => shift.StartMin <= minute && minute < shift.EndMin).Distinct().ToArray();
            if (shifts.Any(shift => shift.People is null)) continue;
            bool Is((int From, int To) work) => work.From <= minute && minute < work.To;
            Assert.True(one.Count(Is) + other.Count(Is) <= shifts.Sum(shift => shift.People), $"hands at {minute}: {one.Count(Is)} and {other.Count(Is)}");
        }
    }

    [Fact]
    public void With_nothing_taken_a_day_is_planned_as_alone()
    {
        var alone = Snapshot(Order(Pear, 12, 1200, Pan23));
        var longAgo = DayPlanner.Plan(Snapshot(Order(Custard, 12, 1200, Pan23)), effort: 2);
        var taken = TakenTime.Of([new EarlierDay("before", longAgo, alone, -3000)]);
        Assert.True(taken.IsNothing);
        Assert.Equal(DayPlanner.Plan(alone, effort: 3).Tasks, DayPlanner.Plan(alone with { Taken = taken }, effort: 3).Tasks);
    }

    [Fact]
    public void Trays_of_two_days_share_an_oven_and_its_heat()
    {
        // The same pies for the same minute: two trays of six, in ovens with shelves for all of them.
        var day = Snapshot(Order(Pear, 6, 1200, Pan23));
        var first = DayPlanner.Plan(day, effort: 4);
        var second = DayPlanner.Plan(day with { Taken = TakenTime.Of([new EarlierDay("first", first, day, 0)]) }, effort: 4);
        Assert.Empty(second.Troubles);
        Assert.Equal(first.BakePlan.Settings, second.BakePlan.Settings);
        Assert.Equal(first.BakePlan.Trays.Select(tray => tray.StartMin), second.BakePlan.Trays.Select(tray => tray.StartMin));
        // Each on a shelf of its own, and what is done at the ovens is told of both.
        var places = second.Loads.SelectMany(load => load.Visits.SelectMany(visit => visit.Shelves)).Concat(second.Taken.Loads.SelectMany(load => load.Visit.Shelves)).ToArray();
        Assert.Equal(places.Length, places.Distinct().Count());
        Assert.Contains(OvenSteps.Of(second), step => step is { Act: OvenAct.In, Load: 0 });
        Assert.Contains(OvenSteps.Of(second), step => step is { Act: OvenAct.In, Load: > 0 });
        Assert.Equal("Pear and ginger", second.Thing(second.Taken.Loads[0].Visit).Name);
    }

    [Fact]
    public void An_oven_that_was_hot_before_is_warm_still()
    {
        var day = Snapshot(Order(Pear, 6, 1200, Pan23));
        var first = DayPlanner.Plan(day, effort: 4);
        var off = first.BakePlan.Settings.Last(setting => setting.TempC is null);
        var hot = first.BakePlan.Settings.Last(setting => setting.OvenId == off.OvenId && setting.TempC is not null).TempC!.Value;
        var oven = first.Problem.Ovens.First(oven => oven.Id == off.OvenId);
        // By hand: ten minutes at the oven's rate.
        var warm = Assert.Single(TakenTime.Of([new EarlierDay("first", first, day, -off.AtMin - 10)]).Warm, one => one.OvenId == off.OvenId);
        Assert.Equal(hot - (10 * oven.CoolCPerMin), warm.Celsius);
        Assert.DoesNotContain(TakenTime.Of([new EarlierDay("first", first, day, -off.AtMin - 400)]).Warm, one => one.OvenId == off.OvenId);
        var second = DayPlanner.Plan(day with { Taken = TakenTime.Of([new EarlierDay("first", first, day, -off.AtMin - 10)]) }, effort: 2);
        Assert.Equal(warm.Celsius, second.Problem.Ovens.First(oven => oven.Id == off.OvenId).StartC);
    }

    [Fact]
    public void The_checker_finds_what_two_days_both_count_on()
    {
        var day = Snapshot(Order(Pear, 6, 1200, Pan23)) with { Shifts = [.. Snapshot().Shifts.Select(shift => shift with { People = 1 })] };
        var first = DayPlanner.Plan(day, effort: 4);
        var taken = TakenTime.Of([new EarlierDay("first", first, day, 0)]);
        // A plan that knows of nothing that is taken wants the same hands, the same bowl.
        var rules = DayPlanChecker.Check(day with { Taken = taken }, first).Select(fault => fault.Rule).ToHashSet();
        Assert.Superset(new HashSet<string> { "hands", "mixer", "standing" }, rules);
        var pans = taken with { Pans = [new StandingPans(Pan23.Id, 0, 1200, 1)] };
        var counted = day with { Orders = [.. day.Orders.Select(order => order with { Pan = order.Pan with { Owned = 6 } })] };
        Assert.Contains("pans", DayPlanChecker.Check(counted with { Taken = pans }, DayPlanner.Plan(counted, effort: 2)).Select(fault => fault.Rule));
    }
}
