using CsCheck;
using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Planning;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.Baking.Problems;

namespace Lumpet.Core.Tests.Baking;

/// <summary>Trays that go on in another oven and come back.</summary>
public sealed class ComingBackTests
{
    // Hot, cool and hot again, where one oven is never cool and the other never hot.
    private static readonly BakeStage[] HotCoolHot = [new(230, 10, 14), new(150, 20, 40), new(230, 8, 10)];

    private static BakeProblem Between(int shelves, params Bake[] bakes) =>
        Problem([Oven("hearth", shelves) with { MinC = 200 }, Oven("warmer", shelves) with { MaxC = 160 }], bakes);

    [Fact]
    public void A_tray_comes_back_where_no_other_oven_can_finish_it()
    {
        var problem = Between(2, Bake("glazed", stages: HotCoolHot, due: 300));
        var plan = BakePlanner.Plan(problem);
        Assert.Empty(BakePlanChecker.Check(problem, plan).Faults);
        var tray = Assert.Single(plan.Trays);
        Assert.Equal(["hearth", "warmer", "hearth"], tray.Stages.Select(stage => stage.OvenId));
        // By hand: 26 minutes up to 230 and 10 in the hearth; it stays hot or is heated anew for the 24 and more until it comes
        // back: off for all but as many as bring 4 a minute back at 8; 8 minutes more. The warmer is up to 150 in 16, and on for 20.
        var away = 2 + 20 + 2;
        Assert.Equal(26 + 10 + (away / 3) + 8 + 16 + 20, plan.Cost.OvenOnMin);
    }

    [Fact]
    public void What_it_did_itself_takes_its_shelf_like_anything_else()
    {
        // One shelf each: two trays take turns, and neither is ever where the other is.
        var problem = Between(1, Bake("one", stages: HotCoolHot, due: 400), Bake("two", stages: HotCoolHot, due: 400));
        var plan = BakePlanner.Plan(problem);
        Assert.Empty(BakePlanChecker.Check(problem, plan).Faults);
        Assert.Equal(2, plan.Trays.Count);
    }

    [Fact]
    public void Plans_of_many_stages_are_valid_and_gone_on_from() => Gen.Int[1, 100_000].SampleTheSame(
        seed =>
        {
            var dice = new Random(seed);
            int[] heats = [150, 155, 230, 235, 190];
            Bake Of(int at) => Bake($"b{at}", 1 + dice.Next(2), due: 200 + dice.Next(200), stages: [.. Enumerable.Range(0, 3).Select(_ => 5 + dice.Next(15)).Select(least => new BakeStage(heats[dice.Next(heats.Length)], least, least + dice.Next(10)))]);
            var problem = Problem([Oven("hearth", 2) with { MinC = 160 }, Oven("warmer", 2) with { MaxC = 200 }], [.. Enumerable.Range(0, 3).Select(Of)]);
            var plan = BakePlanner.Plan(problem, 12, seed, proves: false);
            Assert.Empty(BakePlanChecker.Check(problem, plan).Faults);
            Assert.Empty(plan.Unplaced);
            var again = BakePlanner.Plan(problem, 1, proves: false, near: EarlierPlan.Of(plan));
            Assert.True(again.Cost.Total <= plan.Cost.Total, $"{seed}: {again.Cost.Total} after {plan.Cost.Total}");
        },
        iter: 15);
}
