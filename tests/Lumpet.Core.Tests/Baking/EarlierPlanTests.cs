using CsCheck;
using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Planning;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.Baking.Problems;

namespace Lumpet.Core.Tests.Baking;

/// <summary>A plan that is gone on from: what holds of it is kept, what does not is mended, and it can do no harm.</summary>
public sealed class EarlierPlanTests
{
    private static (long Out, decimal Total) Rank(BakePlan plan) => (plan.Cost.UnplacedPies, plan.Cost.Total);

    [Fact]
    public void Of_the_same_problem_nothing_is_lost()
    {
        foreach (var seed in Enumerable.Range(1, 15))
        {
            var problem = ApprovedBakeTests.Made(seed);
            var earlier = BakePlanner.Plan(problem, 40, seed, proves: false);
            var again = BakePlanner.Plan(problem, 1, proves: false, near: EarlierPlan.Of(earlier));
            Assert.Empty(BakePlanChecker.Check(problem, again).Faults);
            Assert.True(Rank(again).CompareTo(Rank(earlier)) <= 0, $"{seed}: {again.Cost} after {earlier.Cost}");
        }
    }

    [Fact]
    public void What_the_change_does_not_touch_stays_where_it_was()
    {
        // Two loads hours apart; the second is due an hour sooner: the first has no reason to move, and the second comes sooner.
        var problem = Problem([Oven()], Bake("early", trays: 3, due: 200), Bake("late", trays: 2, due: 600, earliestOut: 420));
        var earlier = BakePlanner.Plan(problem, 60);
        var changed = problem with { Bakes = [problem.Bakes[0], problem.Bakes[1] with { DueMin = 540 }] };
        var plan = BakePlanner.Plan(changed, 1, proves: false, near: EarlierPlan.Of(earlier));
        Assert.Equal(earlier.Trays.Where(tray => tray.BakeId == "early").Select(tray => tray.StartMin), plan.Trays.Where(tray => tray.BakeId == "early").Select(tray => tray.StartMin));
        Assert.Equal(0, plan.Cost.TardyPieMin);
    }

    [Fact]
    public void A_lag_that_is_no_longer_allowed_is_not_kept()
    {
        // The shells waited 25 minutes before; now 40 are asked for.
        var problem = Problem([Oven()], Bake("shells", due: 200), Bake("filled", due: 260, earliestOut: 255, after: [new BakeAfter("shells", 20, 25, true)]));
        var earlier = BakePlanner.Plan(problem, 20);
        var changed = problem with { Bakes = [problem.Bakes[0], problem.Bakes[1] with { After = [new BakeAfter("shells", 40, 60, true)] }] };
        var plan = BakePlanner.Plan(changed, 1, near: EarlierPlan.Of(earlier));
        Assert.Empty(BakePlanChecker.Check(changed, plan).Faults);
        Assert.Equal(2, plan.Trays.Count);
    }

    [Fact]
    public void A_changed_problem_is_planned_no_worse_than_from_nothing_and_validly() => Gen.Int[1, 100_000].SampleTheSame(
        seed =>
        {
            var (problem, dice) = (ApprovedBakeTests.Made(seed), new Random(seed));
            var earlier = BakePlanner.Plan(problem, 30, seed, proves: false);
            var changed = Changed(problem, dice);
            var plan = BakePlanner.Plan(changed, 1, proves: false, near: EarlierPlan.Of(earlier));
            Assert.Empty(BakePlanChecker.Check(changed, plan).Faults);
            Assert.True(Rank(plan).CompareTo(Rank(BakePlanner.Plan(changed, 1, proves: false))) <= 0, $"{seed}");
        },
        iter: 60);

    private static BakeProblem Changed(BakeProblem problem, Random dice)
    {
        var at = dice.Next(problem.Bakes.Count);
        BakeProblem With(Func<Bake, Bake> change) => problem with { Bakes = [.. problem.Bakes.Select((bake, number) => number == at ? change(bake) : bake)] };
        return dice.Next(6) switch
        {
            0 => With(bake => bake with { DueMin = bake.DueMin - 60 }),
            1 => With(bake => bake with { ReleaseMin = bake.ReleaseMin + 90 }),
            2 => With(bake => bake with { Stages = [.. bake.Stages.Select(stage => new BakeStage(stage.TempC, stage.MinMin + 5, stage.MaxMin + 5))] }),
            3 => problem with { Ovens = [.. problem.Ovens.SkipLast(1), problem.Ovens[^1] with { Shelves = 1 }] },
            4 => problem with { Ovens = [.. problem.Ovens.SkipLast(1), problem.Ovens[^1].OpenAt([new OvenOpening(0, 150), new OvenOpening(260, 800)])] },
            _ => problem with { ToleranceC = 0 },
        };
    }

    [Fact]
    public void Whatever_is_told_of_an_earlier_plan_does_no_harm() => Gen.Int[1, 100_000].SampleTheSame(
        seed =>
        {
            var (problem, dice) = (ApprovedBakeTests.Made(seed), new Random(seed));
            int Minute() => dice.Next(8) switch { 0 => int.MinValue, 1 => int.MaxValue, 2 => -dice.Next(50), _ => dice.Next(900) };
            var trays = problem.Bakes.SelectMany(bake => Enumerable.Range(0, bake.Trays.Count + 2).Select(number => new BakedTray(
                bake.Id, number, [.. Enumerable.Range(0, bake.Stages.Count + (dice.Next(5) == 0 ? 1 : 0) - (dice.Next(5) == 0 ? 1 : 0)).Select(_ => Minute()).Select(start => new BakedStage($"o{dice.Next(4)}", start, dice.Next(3) == 0 ? Minute() : unchecked(start + 30)))])));
            OvenSetting[] settings = [.. Enumerable.Range(0, 20).Select(_ => new OvenSetting($"o{dice.Next(4)}", Minute(), dice.Next(4) == 0 ? null : 165 + (5 * dice.Next(12))))];
            var plan = BakePlanner.Plan(problem, 1, proves: false, near: new EarlierPlan(settings, [.. trays]));
            Assert.Empty(BakePlanChecker.Check(problem, plan).Faults);
        },
        iter: 300);

    [Fact]
    public void What_was_baked_in_an_oven_that_does_not_reach_its_heat_is_not_gone_on_from()
    {
        // The first oven was replaced by one that ends at 200 °C; what stood in it at 220 stands in the other now.
        var problem = Problem([Oven("low", start: 200) with { MaxC = 200 }, Oven("high", start: 220)], Bake("pear", due: 130, release: 100, stages: [new BakeStage(220, 30, 30)]));
        var earlier = new EarlierPlan([new OvenSetting("low", 90, 220), new OvenSetting("low", 130, null)], [new BakedTray("pear", 1, [new BakedStage("low", 100, 130)])]);
        var plan = BakePlanner.Plan(problem, 1, proves: false, near: earlier);
        Assert.Empty(BakePlanChecker.Check(problem, plan).Faults);
        Assert.Equal("high", Assert.Single(plan.Trays).Stages[0].OvenId);
    }

    [Fact]
    public void What_is_in_the_ovens_goes_on_beside_what_was_planned()
    {
        var problem = Problem([Oven()], Bake("first", trays: 2, due: 100), Bake("second", trays: 2, due: 300));
        var earlier = BakePlanner.Plan(problem, 20);
        var minute = earlier.Trays.First(tray => tray.BakeId == "first").StartMin + 5;
        var rest = Replanning.From(problem, earlier, minute);
        var shifted = new EarlierPlan(
            [.. earlier.Settings.Select(setting => setting with { AtMin = setting.AtMin - minute })],
            [.. earlier.Trays.Select(tray => tray with { Stages = [.. tray.Stages.Select(stage => stage with { StartMin = stage.StartMin - minute, EndMin = stage.EndMin - minute })] })]);
        var plan = BakePlanner.Plan(rest, 1, near: shifted);
        Assert.Empty(BakePlanChecker.Check(rest, plan).Faults);
        Assert.Equal(4, plan.Trays.Count);
        Assert.Equal(earlier.Trays.Where(tray => tray.BakeId == "second").Select(tray => tray.EndMin - minute), plan.Trays.Where(tray => tray.BakeId == "second").Select(tray => tray.EndMin));
    }
}
