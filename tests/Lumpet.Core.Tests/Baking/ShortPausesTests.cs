using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Planning;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.Baking.Problems;

namespace Lumpet.Core.Tests.Baking;

public sealed class ShortPausesTests
{
    [Fact]
    public void An_oven_is_not_switched_off_for_a_few_minutes_and_the_plan_holds_without()
    {
        // Five minutes between two tarts: off at 60, on again at 62 so that it is hot at 65.
        var problem = Problem([Oven()], Bake("one", due: 60, stages: [new BakeStage(185, 30, 30)]), Bake("two", release: 65, due: 95, stages: [new BakeStage(185, 30, 30)]));
        var plan = BakePlanner.Plan(problem);
        Assert.Equal(3, plan.Settings.Count(setting => setting.AtMin >= 60));
        var closed = ShortPauses.Closed(problem, plan, 10);
        Assert.Empty(BakePlanChecker.Check(problem, closed).Faults);
        Assert.Equal(plan.Trays, closed.Trays);
        Assert.Equal([185, null], closed.Settings.Select(setting => setting.TempC));
        var off = plan.Settings.First(setting => setting.AtMin >= 60 && setting.TempC is null).AtMin;
        var on = plan.Settings.First(setting => setting.AtMin > off && setting.TempC is not null).AtMin;
        Assert.Equal(plan.Cost.OvenOnMin + on - off, closed.Cost.OvenOnMin);
        // A pause that is longer than said stays, and so does one in which the oven is closed.
        Assert.Equal(plan.Settings, ShortPauses.Closed(problem, plan, on - off - 1).Settings);
        var shut = problem with { Ovens = [problem.Ovens[0].OpenAt([new OvenOpening(0, 60), new OvenOpening(62, 400)])] };
        var over = BakePlanner.Plan(shut);
        Assert.Equal(over.Settings, ShortPauses.Closed(shut, over, 10).Settings);
    }

    [Fact]
    public void What_follows_a_short_pause_is_set_at_once()
    {
        var problem = Problem([Oven()], Bake("hot", due: 60, stages: [new BakeStage(220, 30, 30)]), Bake("mild", release: 72, due: 102, stages: [new BakeStage(185, 30, 30)]));
        var plan = BakePlanner.Plan(problem);
        var closed = ShortPauses.Closed(problem, plan, 10);
        Assert.Empty(BakePlanChecker.Check(problem, closed).Faults);
        Assert.Contains(new OvenSetting("deck", 60, 185), closed.Settings);
        Assert.Equal(plan.Cost.SettingChanges, closed.Cost.SettingChanges);
    }
}
