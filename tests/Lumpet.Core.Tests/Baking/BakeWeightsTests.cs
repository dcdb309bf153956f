using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Files;
using Lumpet.Core.Baking.Planning;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.Baking.Problems;

namespace Lumpet.Core.Tests.Baking;

/// <summary>What counts for how much is the problem's own: the planner plans by it, the checker counts by it, files carry it.</summary>
public sealed class BakeWeightsTests
{
    private static readonly BakeWeights ByTheDoor = new(10, 0, 0, 300, 500);

    private static BakePlan Planned(BakeProblem problem)
    {
        var plan = BakePlanner.Plan(problem);
        Assert.Empty(BakePlanChecker.Check(problem, plan).Faults);
        Assert.Empty(plan.Unplaced);
        return plan;
    }

    [Fact]
    public void Doors_are_counted_by_oven_and_minute_and_two_at_once_by_the_second()
    {
        // By hand: two trays go in and come out together (2), a third goes in as they come out (no more) and moves to the other oven.
        var problem = Problem(
            [Oven(close: 600), Oven("second", close: 600)],
            Bake("pair", 2, due: 60, stages: [new BakeStage(185, 30, 30)]),
            Bake("mover", 1, due: 200, stages: [new BakeStage(185, 20, 20), new BakeStage(185, 40, 40)]));
        OvenSetting[] settings = [new("deck", 10, 185), new("second", 30, 185), new("deck", 80, null), new("second", 122, null)];
        BakedTray[] trays =
        [
            new("pair", 1, [new("deck", 30, 60)]), new("pair", 2, [new("deck", 30, 60)]),
            new("mover", 1, [new("deck", 60, 80), new("second", 82, 122)]),
        ];
        var plan = new BakePlan(settings, trays, [], new BakePlanCost(0, 162, 0, 0, 0), new BakePlanBound(0, 0));
        var cost = BakePlanChecker.Check(problem, plan).Cost;
        // Deck at 30, 60, 80; second at 82, 122.
        Assert.Equal((5, 0), (cost.DoorOpenings, cost.DoorClashes));
        // With nothing lost on the way both doors are open at 80.
        var atOnce = plan with { Trays = [.. trays[..2], new BakedTray("mover", 1, [new("deck", 60, 80), new("second", 80, 120)])] };
        cost = BakePlanChecker.Check(problem with { TransferMin = 0 }, atOnce).Cost;
        Assert.Equal((5, 1), (cost.DoorOpenings, cost.DoorClashes));
    }

    [Fact]
    public void By_the_door_trays_go_in_together_that_freshness_would_part()
    {
        Bake[] bakes = [.. Enumerable.Range(0, 4).Select(at => Bake($"b{at}", 1, due: 120 + (11 * at), stages: [new BakeStage(185, 30, 45)]))];
        var byHeat = Problem([Oven(close: 600)], bakes);
        var byDoor = Planned(byHeat with { Weights = ByTheDoor });
        var fresh = Planned(byHeat with { Weights = BakeWeights.Usual with { PerOvenOnMin = 0, EarlyTenths = 30 } });
        Assert.Equal(2, byDoor.Cost.DoorOpenings);
        Assert.Equal(0, fresh.Cost.EarlyPieMin);
        Assert.True(fresh.Cost.DoorOpenings > 2);
    }

    [Fact]
    public void Two_ovens_are_not_opened_in_one_minute_where_that_costs()
    {
        // Both must be out by 100, one in each oven; a minute earlier costs next to nothing.
        Bake Of(string id, string oven) => Bake(id, 1, due: 100, ovens: [oven], stages: [new BakeStage(185, 30, 30)]);
        var problem = Problem([Oven(close: 600), Oven("second", close: 600)], Of("one", "deck"), Of("two", "second"));
        Assert.Equal(2, Planned(problem).Cost.DoorClashes);
        var steady = Planned(problem with { Weights = BakeWeights.Usual with { PerDoorClash = 500 } });
        Assert.Equal((0, 0), (steady.Cost.DoorClashes, steady.Cost.TardyPieMin));
        // A tray of six pies is out one minute early.
        Assert.Equal(6, steady.Cost.EarlyPieMin);
    }

    [Fact]
    public void The_total_is_counted_by_the_weights_and_files_carry_them()
    {
        var cost = new BakePlanCost(1, 10, 3, 25, 7) { DoorOpenings = 4, DoorClashes = 2, Weights = new BakeWeights(10, 20, 5, 300, 500) };
        Assert.Equal(1000 + 100 + 60 + 12.5m + 1200 + 1000, cost.Total);
        Assert.Equal(1000 + 1000 + 600 + 2.5m, (cost with { Weights = BakeWeights.Usual }).Total);
        var problem = ExampleProblem.Problem with { Weights = new BakeWeights(90, 210, 3, 30, 0) };
        var text = BakePlanFile.Write(problem);
        Assert.Equal(problem.Weights, BakeProblemFile.Read(text).Weights);
        Assert.Equal(BakeWeights.Usual, BakeProblemFile.Read(ExampleProblem.ProblemText).Weights);
        // What is not said is as usual.
        Assert.Equal(BakeWeights.Usual with { PerDoorOpening = 7 }, BakeProblemFile.Read(ExampleProblem.ProblemText.Replace("\"toleranceC\"", "\"weights\": { \"doorOpening\": 7 }, \"toleranceC\"", StringComparison.Ordinal)).Weights);
        foreach (var wrong in new[] { "\"ovenOnMin\": -1", "\"doorClash\": 20000", "\"earlyPieMin\": 0.05" })
            Assert.Contains("weights." + wrong[1..wrong.IndexOf('"', 1)], Assert.Throws<BakeFileException>(() => BakeProblemFile.Read(ExampleProblem.ProblemText.Replace("\"toleranceC\"", $"\"weights\": {{ {wrong} }}, \"toleranceC\"", StringComparison.Ordinal))).Message, StringComparison.Ordinal);
        // A plan by weights of its own states its doors, and the checker compares them.
        var plan = BakePlanner.Plan(problem);
        var stated = BakePlanFile.Read(BakePlanFile.Write(plan));
        Assert.Equal(plan.Cost.DoorOpenings, stated.Cost["doorOpenings"]);
        Assert.Empty(BakePlanChecker.Check(problem, stated).Faults);
        Assert.Contains(BakePlanChecker.Check(problem, stated with { Cost = new Dictionary<string, decimal>(stated.Cost) { ["doorOpenings"] = 99 } }).Faults, fault => fault.Where == "doorOpenings");
    }
}
