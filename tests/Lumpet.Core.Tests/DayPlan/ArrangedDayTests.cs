using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Planning;
using Lumpet.Core.DayPlan;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>One day under several arrangements: schools, an oven out, a bake that takes longer.</summary>
public sealed class ArrangedDayTests
{
    private const int Early = 1170;
    private const int Late = 1320;

    private static readonly DaySnapshot Day = Snapshot(Order(Pear, 12, Early), Order(Custard, 8, Early), Order(Pear, 12, Late), Order(Custard, 6, Late, Pan26));

    private static PlannedDay Planned(DayArrangement arrangement)
    {
        var plan = DayPlanner.Plan(arrangement.Applied(Day), effort: BakePlanner.DefaultEffort);
        Assert.Empty(BakePlanChecker.Check(plan.Problem, plan.BakePlan).Faults);
        Assert.Empty(plan.Troubles);
        return plan;
    }

    [Fact]
    public void Each_school_is_the_best_of_the_three_at_what_it_is_for()
    {
        var figures = OvenSchools.All.ToDictionary(school => school, school => DayFigures.Of(Planned(DayArrangement.Usual with { School = school })));
        Assert.All(figures.Values, one => Assert.Equal((38, 0, 0, 0), (one.Pies, one.NotMade, one.Late, one.MostLateMin)));
        // Two schools may come to the same.
        var (fewest, freshest, steadiest) = (figures[OvenSchool.FewestHotHours], figures[OvenSchool.Freshest], figures[OvenSchool.Steadiest]);
        Assert.All(figures.Values, other => Assert.True(fewest.HotMin <= other.HotMin));
        Assert.All(figures.Values, other => Assert.True(freshest.WaitMin <= other.WaitMin));
        Assert.All(figures.Values, other => Assert.True(steadiest.DoorOpenings + steadiest.DoorClashes <= other.DoorOpenings + other.DoorClashes));
        Assert.True(freshest.WaitMin < fewest.WaitMin);
        Assert.Equal(0, figures[OvenSchool.Steadiest].DoorClashes);
    }

    [Fact]
    public void An_oven_that_is_out_is_not_asked_and_the_usual_day_is_as_it_was()
    {
        Assert.True(DayArrangement.Usual.IsUsual);
        var usual = DayArrangement.Usual.Applied(Day);
        Assert.Equal(Day.Ovens, usual.Ovens);
        Assert.All(usual.Orders.Zip(Day.Orders), pair => Assert.Same(pair.Second.Product, pair.First.Product));
        var gone = DayArrangement.Usual with { OvensOut = [Day.Ovens[1].Id] };
        Assert.False(gone.IsUsual);
        Assert.Equal([Day.Ovens[0].Id], gone.Applied(Day).Ovens.Select(oven => oven.Id));
        Assert.All(Planned(gone).BakePlan.Settings, setting => Assert.Equal(Day.Ovens[0].Id, setting.OvenId));
    }

    [Fact]
    public void A_longer_bake_is_longer_at_its_end_in_every_size_and_of_no_other_product()
    {
        var longer = DayArrangement.Usual with { LongerBakes = new Dictionary<string, int> { ["pear"] = 7 } };
        Assert.False(longer.IsUsual);
        var orders = longer.Applied(Day).Orders;
        IReadOnlyList<BakeStage> Stages(DayOrder order) => order.Product.ProcessIn(order.Pan).Steps.Last(step => step.IsBake).Stages;
        foreach (var (was, now) in Day.Orders.Zip(orders))
        {
            var by = was.Product.Id == "pear" ? 7 : 0;
            Assert.Equal(Stages(was).SkipLast(1), Stages(now).SkipLast(1));
            Assert.Equal((Stages(was)[^1].MinMin + by, Stages(was)[^1].MaxMin + by), (Stages(now)[^1].MinMin, Stages(now)[^1].MaxMin));
        }

        // A size that has minutes of its own has seven more of them.
        var sized = Pear with { Sizes = [.. Pear.Sizes.Select(size => size with { Bake = new Lumpet.Core.Recipes.SizeBake(50, 60) })] };
        var applied = longer.Applied(Snapshot(Order(sized, 4, Late))).Orders[0];
        Assert.Equal((57, 67), (Stages(applied).Sum(stage => stage.MinMin), Stages(applied).Sum(stage => stage.MaxMin)));
    }

    [Fact]
    public void Figures_are_those_of_the_plan_counted_by_hand()
    {
        var priced = Day with { Ovens = [.. Day.Ovens.Select(oven => oven with { HourPrice = 6 })] };
        var plan = DayPlanner.Plan(priced);
        var figures = DayFigures.Of(plan);
        // An hour at 6 is a tenth a minute.
        Assert.Equal(plan.BakePlan.Cost.OvenOnMin / 10m, figures.HeatCost);
        Assert.Null(DayFigures.Of(DayPlanner.Plan(Day)).HeatCost);
        // Each pie waits from its tray's last minute in an oven to its pick-up.
        var waits = plan.BakePlan.Trays.Where(tray => tray.BakeId.EndsWith("/bake", StringComparison.Ordinal)).Select(tray =>
        {
            var bake = plan.Problem.Bakes.First(one => one.Id == tray.BakeId);
            var lot = plan.Lots.First(one => tray.BakeId.StartsWith(one.Id + "/", StringComparison.Ordinal));
            return (Pies: bake.Trays[tray.Tray - 1], Minutes: lot.PickUpMin - tray.EndMin);
        }).ToArray();
        Assert.Equal(38, waits.Sum(wait => wait.Pies));
        Assert.Equal((int)Math.Round(waits.Sum(wait => (double)wait.Pies * wait.Minutes) / 38), figures.WaitMin);
        Assert.Equal(plan.Waves.Min(wave => wave.SpareMin), figures.LeastSpareMin);
        Assert.Equal(plan.Tasks.Min(task => task.StartMin), figures.FirstMin);
        Assert.Equal(plan.Loads.Count, figures.Loads);
        var none = DayFigures.Of(DayPlanner.Plan(Snapshot()));
        Assert.Equal((0, null, null, 0, 0L), (none.Pies, none.WaitMin, none.FirstMin, none.MostHands, none.HotMin));
    }
}
