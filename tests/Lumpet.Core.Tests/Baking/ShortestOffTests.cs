using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Files;
using Lumpet.Core.Baking.Planning;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.Baking.Problems;

namespace Lumpet.Core.Tests.Baking;

/// <summary>An oven is not switched off for a moment, where its problem says how long a moment is.</summary>
public sealed class ShortestOffTests
{
    private static BakePlan Planned(BakeProblem problem)
    {
        var plan = BakePlanner.Plan(problem);
        Assert.Empty(BakePlanChecker.Check(problem, plan).Faults);
        Assert.Empty(plan.Unplaced);
        return plan;
    }

    private static BakeProblem Two(int shortest, int firstC) => Problem(
        [Oven() with { ShortestOffMin = shortest }],
        Bake("one", due: 60, earliestOut: 60, stages: [new BakeStage(firstC, 30, 30)]),
        Bake("two", release: 72, due: 102, stages: [new BakeStage(185, 30, 30)]));

    [Fact]
    public void It_stays_on_between_two_bakes_of_one_heat_and_counts_as_on()
    {
        var without = Planned(Two(0, 185));
        // Off at 60; 4 °C a minute down and 8 up: it is on again some minutes before 72.
        Assert.Contains(new OvenSetting("deck", 60, null), without.Settings);
        var with = Planned(Two(12, 185));
        Assert.Equal([185, null], with.Settings.Select(setting => setting.TempC));
        Assert.Equal(102 - 10, with.Cost.OvenOnMin);
        Assert.True(without.Cost.OvenOnMin < with.Cost.OvenOnMin);
        Assert.Contains(BakePlanChecker.Check(Two(12, 185), without).Faults, fault => fault.Message.StartsWith("off at 60 for", StringComparison.Ordinal));
    }

    [Fact]
    public void What_comes_next_is_set_at_once_and_a_longer_pause_stays()
    {
        var plan = Planned(Two(12, 220));
        Assert.Contains(new OvenSetting("deck", 60, 185), plan.Settings);
        var far = Two(12, 185);
        far = far with { Bakes = [far.Bakes[0], far.Bakes[1] with { ReleaseMin = 140, DueMin = 170 }] };
        Assert.Contains(new OvenSetting("deck", 60, null), Planned(far).Settings);
        // Closed in between it is off, however short that is.
        var shut = Two(12, 185) with { Ovens = [(Oven() with { ShortestOffMin = 12 }).OpenAt([new OvenOpening(0, 60), new OvenOpening(66, 400)])] };
        Assert.Contains(new OvenSetting("deck", 60, null), Planned(shut).Settings);
        Assert.Equal(12, BakeProblemFile.Read(BakePlanFile.Write(Two(12, 185))).Ovens[0].ShortestOffMin);
    }
}
