using CsCheck;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>A plan that is published has begun by a minute what should have begun by then; the rest is planned around that.</summary>
public sealed class BegunWorkTests
{
    /// <summary>The recipes as they are when a plan is followed.</summary>
    internal static readonly RecipesThere Library = new(
        new[] { Pear, Custard, MadeFirstTests.CurdPie, MadeFirstTests.PureePie }.ToDictionary(product => product.Id),
        new[] { MadeFirstTests.Curd, MadeFirstTests.Puree, Flaky.AsIngredient() }.ToDictionary(one => one.Id));

    private static PublishedPlan Published(DaySnapshot day, PlannedDay plan) => Publishing.Of(plan, day.OvensWatched, task => $"{task.About}, published", null);

    private static BegunWork Begun(PublishedPlan published, int minute, params string[] notDone) => BegunWork.At(published, minute, notDone.ToHashSet(), Library, ("b1", "published"));

    private static PlannedDay Sound(DaySnapshot day, int effort = 3)
    {
        var plan = DayPlanner.Plan(day, effort);
        Assert.Empty(BakePlanChecker.Check(plan.Problem, plan.BakePlan).Faults);
        Assert.Empty(DayPlanChecker.Check(day, plan));
        return plan;
    }

    /// <summary>A day with things that are made first.</summary>
    internal static readonly DaySnapshot Day = Crew(3, Snapshot(Order(Pear, 12, 1170), Order(Custard, 8, 1170), Order(MadeFirstTests.CurdPie, 4, 1320), Order(MadeFirstTests.PureePie, 4, 1320)));

    /// <summary>Its plan.</summary>
    internal static readonly PlannedDay Plan = DayPlanner.Plan(Day);

    public static TheoryData<int> Minutes => [1, 120, 480, 760, 900, 1000, 1169, 1171, 1300];

    [Theory]
    [MemberData(nameof(Minutes))]
    public void What_is_left_at_any_minute_is_planned_and_nothing_that_was_made_is_lost(int minute)
    {
        Assert.Empty(Plan.Troubles);
        var published = Published(Day, Plan);
        var left = Day.From(minute, Begun(published, minute));
        var plan = Sound(left);
        Assert.Empty(plan.Troubles);
        Assert.Equal(Day.Orders.Where(order => order.PickUpMin > minute).Sum(order => order.Count), plan.Waves.Sum(wave => wave.Pies));
        // Nothing is mixed, cooked or rolled twice.
        double Rolled(PlannedDay day) => day.Tasks.Where(task => task.StepId == "line").Sum(task => task.Pies);
        var begun = Plan.Tasks.Where(task => task.StepId == "line" && task.StartMin < minute).Sum(task => task.Pies);
        Assert.Equal(Rolled(Plan) - begun, Rolled(plan));
        // What is left of a bowl may be less than a disc.
        Assert.True(plan.Batches.Sum(batch => batch.InDiscs.Grams) < Plan.Batches.Where(batch => batch.MixStartMin >= minute).Sum(batch => batch.InDiscs.Grams) + 400);
        Assert.True(plan.Made.Sum(one => one.Batch.Mass.Grams) <= Plan.Made.Where(one => one.StartMin >= minute).Sum(one => one.Batch.Mass.Grams) + 1);
        Assert.All(plan.Tasks, task => Assert.True(task.StartMin >= 0 || task.Kind == TaskKind.Wait, task.ToString()));
        // What is under way is told, and ends when it was to.
        DayTask[] underWay = [.. Plan.Tasks.Where(task => task.Kind != TaskKind.Wait && task.StartMin < minute && task.EndMin > minute)];
        Assert.All(underWay, task => Assert.Contains(plan.GoingOn, other => other.Id == task.Id && other.EndMin == task.EndMin - minute && other.About == $"{task.About}, published"));
        Assert.All(plan.GoingOn, task => Assert.Null(task.LotId));
    }

    [Fact]
    public void What_is_under_way_takes_its_hands_and_ovens_are_as_warm_as_they_are_then()
    {
        var published = Published(Day, Plan);
        var work = Plan.Tasks.First(task => task.Kind == TaskKind.Hands && task.EndMin - task.StartMin > 2);
        Assert.Contains(new TakenMinutes(work.StartMin, work.EndMin), Begun(published, work.StartMin + 1).Taken.Work);
        Assert.DoesNotContain(new TakenMinutes(work.StartMin, work.EndMin), Begun(published, work.EndMin).Taken.Work);
        var load = Plan.Loads[0];
        var warm = Assert.Single(Begun(published, load.StartMin + 5).Taken.Warm, oven => oven.OvenId == load.OvenId);
        Assert.Equal((double)load.Visits[0].Stages[0].TempC, (double)warm.SettingC!.Value, Day.ToleranceC);
        Assert.Equal((double)load.Visits[0].Stages[0].TempC, (double)warm.Celsius, Day.ToleranceC);
        Assert.Empty(Begun(published, 0).Taken.Warm);
    }

    [Fact]
    public void A_plan_knows_whether_it_is_the_one_that_was_published()
    {
        var published = Published(Day, Plan);
        Assert.True(published.IsOf(DayPlanner.Plan(Day)));
        Assert.False(published.IsOf(DayPlanner.Plan(Day with { Orders = [.. Day.Orders, Order(Pear, 4, 1320)] })));
    }

    [Fact]
    public void What_someone_says_is_not_done_is_done_again_with_all_that_follows_it()
    {
        var published = Published(Day, Plan);
        var line = Plan.Tasks.Last(task => task.StepId == "line" && task.LotId == "pear/23/1170");
        var minute = Plan.Tasks.Where(task => task.LotId == line.LotId && task.StepId == "bake").Max(task => task.EndMin);
        var (all, without) = (Begun(published, minute), Begun(published, minute, line.Id));
        int Pears(BegunWork begun) => begun.Stock.Pies.Where(pies => pies.ProductId == "pear").Sum(pies => pies.Count);
        Assert.Equal(12, Pears(all));
        Assert.Equal(12 - line.Pies, Pears(without));
        // Its dough is there again.
        Assert.True(without.Stock.Masses.Sum(mass => mass.Mass.Grams) > all.Stock.Masses.Sum(mass => mass.Mass.Grams));
        Assert.Equal(line.Pies, Sound(Day.From(minute, without)).Tasks.Where(task => task.StepId == "line" && task.LotId!.StartsWith("pear", StringComparison.Ordinal)).Sum(task => task.Pies));
    }

    [Fact]
    public void It_is_published_again_and_again()
    {
        var (plan, published) = (Plan, Published(Day, Plan));
        for (var hour = 0; hour < 18; hour += 2)
        {
            // Each is kept on the clock that it was made by; the day has its own.
            var begun = BegunWork.At(published, 120, new HashSet<string>(), Library, ($"b{hour}", "published")).From(-60 * hour);
            var day = Day.From(60 * (hour + 2), begun);
            plan = Sound(day, effort: 3);
            Assert.Equal(0, plan.Fates.Sum(fate => fate.Missed));
            published = Publishing.Of(plan, day.OvensWatched, task => task.About, begun.From(60 * (hour + 2)));
        }

        // 18 hours later no dough is mixed any more.
        Assert.Equal([1170 - 1080, 1320 - 1080], plan.Waves.Select(wave => wave.PickUpMin));
        Assert.Empty(plan.Batches);
    }

    [Fact]
    public void What_was_noted_and_taken_is_not_there_any_more()
    {
        var day = Day with { Stock = new DayStock([new StockedMass("noted", Flaky.IngredientId, Mass.FromGrams(3000), KeepPlace.Cold, -600, 3000, 0)], []) };
        var plan = DayPlanner.Plan(day);
        var first = plan.FromStock.Where(use => use.StockId == "noted").MinBy(use => use.AtMin)!;
        double Left(int minute) => day.From(minute, Begun(Published(day, plan), minute)).Stock.Masses.Where(mass => mass.Id == "noted").Sum(mass => mass.Mass.Grams);
        Assert.Equal(3000, Left(first.AtMin));
        Assert.Equal(3000 - plan.FromStock.Where(use => use.StockId == "noted" && use.AtMin == first.AtMin).Sum(use => use.Taken.Grams), Left(first.AtMin + 1), 6);
    }

    [Fact]
    public void Recipes_that_are_gone_are_lost_and_break_nothing()
    {
        var published = Published(Day, Plan);
        var begun = BegunWork.At(published, 900, new HashSet<string>(), new RecipesThere(new Dictionary<string, Product>(), new Dictionary<string, Ingredient>()), ("b1", "published"));
        Assert.True(begun.Stock.IsNothing);
        Assert.Empty(begun.Taken.Loads);
        Sound(Day.From(900, begun), effort: 3);
    }

    [Fact]
    public void At_any_minute_of_any_day_what_is_left_is_planned_soundly() => Gen.Select(AnyDayTests.AnyDay, Gen.Int[1, 1300]).SampleTheSame(
        any =>
        {
            var plan = DayPlanner.Plan(any.Item1, effort: 1);
            Sound(any.Item1.From(any.Item2, Begun(Published(any.Item1, plan), any.Item2)), effort: 1);
        },
        iter: 25);
}
