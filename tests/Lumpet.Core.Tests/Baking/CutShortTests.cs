using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Planning;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.Baking.Problems;

namespace Lumpet.Core.Tests.Baking;

/// <summary>Plans that are cut short: whatever was come to is valid, and nothing is lost.</summary>
public sealed class CutShortTests
{
    [Theory]
    [InlineData(0)]
    [InlineData(5)]
    [InlineData(40)]
    public void Cut_at_once_it_answers_a_valid_plan_of_what_it_came_to(int afterMs)
    {
        var problem = Problem(
            [Oven(close: 20_000), Oven("second", close: 20_000)],
            [.. Enumerable.Range(0, 400).Select(at => Bake($"b{at}", trays: 3, due: 500 + (at * 40), after: at % 3 == 0 ? null : [new BakeAfter($"b{at - 1}", 5, 600, at % 2 == 0)]))]);
        using var cut = new CancellationTokenSource();
        if (afterMs == 0) cut.Cancel();
        else cut.CancelAfter(afterMs);
        var plan = BakePlanner.Plan(problem, cut: cut.Token);
        Assert.Empty(BakePlanChecker.Check(problem, plan).Faults);
        Assert.Equal(1200, plan.Trays.Count + plan.Unplaced.Count);
        if (afterMs == 0) Assert.All(plan.Unplaced, tray => Assert.Equal("there was no time left to look for a place", tray.Reason));
    }

    [Fact]
    public void A_tray_with_twenty_stages_is_cut_as_any()
    {
        using var cut = new CancellationTokenSource(300);
        var problem = Problem(
            [Oven(close: 2000), Oven("second", close: 2000), Oven("third", close: 2000)],
            Bake("many", due: 1000, stages: [.. Enumerable.Range(0, 20).Select(at => new BakeStage(150 + (at % 5 * 10), 10, 30))]));
        var plan = BakePlanner.Plan(problem, cut: cut.Token);
        Assert.Empty(BakePlanChecker.Check(problem, plan).Faults);
        Assert.Equal(1, plan.Trays.Count + plan.Unplaced.Count);
    }

    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void A_chain_longer_than_calls_can_nest_is_planned_either_way_round(bool backward)
    {
        const int Links = 40_000;
        using var cut = new CancellationTokenSource(400);
        var problem = Problem([Oven(close: 100_000)], [.. Enumerable.Range(0, Links).Select(at =>
            (backward ? at + 1 : at - 1) is var before && before is >= 0 and < Links
                ? Bake($"b{at}", due: 500, after: [new BakeAfter($"b{before}", 5, 50, false)])
                : Bake($"b{at}", due: 500))]);
        var plan = BakePlanner.Plan(problem, cut: cut.Token);
        Assert.Equal(Links, plan.Trays.Count + plan.Unplaced.Count);
    }
}
