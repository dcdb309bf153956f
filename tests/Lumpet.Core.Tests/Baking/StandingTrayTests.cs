using CsCheck;
using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Files;
using Lumpet.Core.Baking.Planning;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.Baking.Problems;

namespace Lumpet.Core.Tests.Baking;

/// <summary>What another plan has put into the ovens stays there, and what is planned goes around it and beside it.</summary>
public sealed class StandingTrayTests
{
    // Half an hour at 190 °C from 100 on.
    private static readonly StandingTray Settled = new("deck", 100, 130, [new StandingSetting(100, 190)]);

    private static BakePlan Planned(BakeProblem problem, int effort = 12)
    {
        var plan = BakePlanner.Plan(problem, effort);
        Assert.Empty(BakePlanChecker.Check(problem, plan).Faults);
        return plan;
    }

    [Fact]
    public void A_tray_goes_in_beside_one_that_stands_and_shares_its_heat()
    {
        var plan = Planned(Problem([Oven(shelves: 2)], Bake("pear", due: 130)) with { Standing = [Settled] });
        Assert.Equal((100, 130), (plan.Trays[0].StartMin, plan.Trays[0].EndMin));
        // By hand: 165 degrees at 8 a minute take 21 minutes, and both bake for thirty.
        Assert.Equal([new OvenSetting("deck", 79, 190), new OvenSetting("deck", 130, null)], plan.Settings);
        Assert.Equal((51, 2), (plan.Cost.OvenOnMin, plan.Cost.DoorOpenings));
    }

    [Fact]
    public void Where_it_has_the_only_shelf_or_needs_another_heat_others_wait_for_it()
    {
        var one = Planned(Problem([Oven(shelves: 1)], Bake("pear", release: 95, due: 130)) with { Standing = [Settled] });
        Assert.Equal(130, one.Trays[0].StartMin);
        // Thirty degrees cooler, at 4 a minute: eight minutes after the other is out.
        var cool = Planned(Problem([Oven(shelves: 2)], Bake("custard", release: 95, due: 130, stages: [new BakeStage(160, 30, 35)])) with { Standing = [Settled] });
        Assert.Equal(138, cool.Trays[0].StartMin);
        // On the floor it takes no shelf.
        var below = Planned(Problem([Oven(shelves: 1) with { FloorPlaces = 1 }], Bake("pear", release: 95, due: 130)) with { Standing = [Settled with { OnFloor = true }] });
        Assert.Equal(100, below.Trays[0].StartMin);
    }

    [Fact]
    public void With_nothing_else_to_bake_the_oven_is_heated_for_it_all_the_same()
    {
        var plan = Planned(Problem([Oven()]) with { Standing = [Settled] });
        Assert.Equal([new OvenSetting("deck", 79, 190), new OvenSetting("deck", 130, null)], plan.Settings);
    }

    [Fact]
    public void Pans_in_use_elsewhere_are_no_pans()
    {
        var pear = Bake("pear", due: 130, stages: [new BakeStage(190, 30, 30)]) with { Pan = new PanNeed("23", 10, 20) };
        var problem = Problem([Oven()], pear) with { Pans = [new PanStock("23", 12)], StandingPans = [new StandingPans("23", 90, 180, 7)] };
        // From 90 on it would need six of five: its pans are free by then, twenty minutes after it is out.
        Assert.Equal(40, Planned(problem).Trays[0].StartMin);
        Assert.Equal(100, Planned(problem with { StandingPans = [new StandingPans("23", 90, 180, 6)] }).Trays[0].StartMin);
    }

    [Fact]
    public void One_pair_of_hands_serves_its_door_too()
    {
        // Two minutes at each door: the other oven's tray cannot go in at 99, 100 or 101.
        var problem = Problem([Oven() with { ActionMin = 2 }, Oven("second", start: 190) with { ActionMin = 2 }], Bake("pear", due: 131, release: 99, ovens: ["second"])) with { Standing = [Settled] };
        Assert.Equal(102, Planned(problem).Trays[0].StartMin);
    }

    [Fact]
    public void Two_plans_one_around_the_other_are_one_plan_of_all() =>
        Gen.Int[0, 100_000].SampleTheSame(
            seed =>
            {
                var problem = Some(seed);
                Bake[] before = [.. problem.Bakes.Take(problem.Bakes.Count / 2)], after = [.. problem.Bakes.Skip(before.Length)];
                var first = Planned(problem with { Bakes = before });
                var around = problem with
                {
                    Bakes = after,
                    Standing = [.. StandingTrays.Of(first, before)],
                    StandingPans = [.. from tray in first.Trays
                                       let bake = before.First(bake => bake.Id == tray.BakeId)
                                       where bake.Pan is not null
                                       select new StandingPans(bake.Pan!.PanId, tray.StartMin - bake.Pan.BeforeMin, tray.EndMin + bake.Pan.AfterMin, bake.Trays[tray.Tray - 1])],
                };
                Assert.Equal(BakePlanFile.Write(around), BakePlanFile.Write(BakeProblemFile.Read(BakePlanFile.Write(around))));
                var second = Planned(around);
                // Told as one plan of the whole problem it breaks no rule, by a checker that knows of nothing that stands.
                var whole = new BakePlan(second.Settings, [.. first.Trays, .. second.Trays], [.. first.Unplaced, .. second.Unplaced], second.Cost, new BakePlanBound(0, 0));
                Assert.DoesNotContain(BakePlanChecker.Check(problem, whole).Faults, fault => fault.Rule != "cost");
                Assert.Equal((second.Cost.OvenOnMin, second.Cost.SettingChanges, second.Cost.DoorOpenings), BakePlanChecker.Check(problem, whole).Cost is var cost ? (cost.OvenOnMin, cost.SettingChanges, cost.DoorOpenings) : default);
            },
            iter: 25);

    [Fact]
    public void A_minute_later_what_stands_still_stands() =>
        Gen.Select(Gen.Int[0, 1000], Gen.Int[60, 200]).SampleTheSame(
            any =>
            {
                var (seed, minute) = any;
                var problem = Some(seed);
                var first = Planned(problem);
                var around = new BakeProblem(problem.ToleranceC, problem.TransferMin, problem.Ovens, [Bake("late", 2, due: 500, release: 200)]) { OpenCPerTray = problem.OpenCPerTray, Standing = [.. StandingTrays.Of(first, problem.Bakes)] };
                var plan = Planned(around);
                var rest = Replanning.From(around, plan, Math.Min(minute, plan.Trays.Min(tray => tray.StartMin)));
                Assert.Equal(BakePlanFile.Write(rest), BakePlanFile.Write(BakeProblemFile.Read(BakePlanFile.Write(rest))));
                Assert.Empty(Planned(rest).Unplaced);
            },
            iter: 12);

    [Fact]
    public void The_checker_sees_what_would_be_disturbed()
    {
        var problem = Problem([Oven(shelves: 2)], Bake("pear", due: 130)) with { Standing = [Settled] };
        var plan = Planned(problem);
        string[] Broken(BakeProblem of, BakePlan by) => [.. BakePlanChecker.Check(of, by).Faults.Select(fault => fault.Rule).Except(["cost"])];
        // Another setting, off too soon, too late to be hot, no shelf.
        Assert.Contains("standing", Broken(problem, plan with { Settings = [new OvenSetting("deck", 79, 190), new OvenSetting("deck", 120, 186), new OvenSetting("deck", 130, null)] }));
        Assert.Equal(["standing"], Broken(problem with { Bakes = [] }, new BakePlan([new OvenSetting("deck", 79, 190), new OvenSetting("deck", 129, null)], [], [], plan.Cost, new BakePlanBound(0, 0))));
        Assert.Equal(["standing"], Broken(problem with { Bakes = [] }, new BakePlan([new OvenSetting("deck", 80, 190), new OvenSetting("deck", 130, null)], [], [], plan.Cost, new BakePlanBound(0, 0))));
        Assert.Equal(["sharing"], Broken(problem with { Ovens = [Oven(shelves: 1)] }, plan));
        var pans = problem with { Pans = [new PanStock("23", 12)], Bakes = [Bake("pear", due: 130) with { Pan = new PanNeed("23", 0, 0) }] };
        Assert.Equal(["pans"], Broken(pans with { StandingPans = [new StandingPans("23", 129, 140, 7)] }, plan));
        Assert.Empty(Broken(pans with { StandingPans = [new StandingPans("23", 130, 140, 7)] }, plan));
    }

    [Theory]
    [InlineData("{ \"trays\": [{ \"oven\": \"none\", \"startMin\": 100, \"endMin\": 130, \"settings\": [{ \"atMin\": 100, \"tempC\": 190 }] }] }", "standing.trays[0] (none).oven")]
    [InlineData("{ \"trays\": [{ \"oven\": \"deck\", \"startMin\": 130, \"endMin\": 130, \"settings\": [{ \"atMin\": 130, \"tempC\": 190 }] }] }", "endMin")]
    [InlineData("{ \"trays\": [{ \"oven\": \"deck\", \"startMin\": 100, \"endMin\": 90000, \"settings\": [{ \"atMin\": 100, \"tempC\": 190 }] }] }", "not open")]
    [InlineData("{ \"trays\": [{ \"oven\": \"deck\", \"startMin\": -5, \"endMin\": 130, \"settings\": [{ \"atMin\": -5, \"tempC\": 190 }] }] }", "startMin")]
    [InlineData("{ \"trays\": [{ \"oven\": \"deck\", \"startMin\": -9000, \"endMin\": 130, \"settings\": [{ \"atMin\": -9000, \"tempC\": 190 }] }] }", "24 hours")]
    [InlineData("{ \"trays\": [{ \"oven\": \"deck\", \"startMin\": 100, \"endMin\": 130, \"settings\": [{ \"atMin\": 101, \"tempC\": 190 }] }] }", "the first setting")]
    [InlineData("{ \"trays\": [{ \"oven\": \"deck\", \"startMin\": 100, \"endMin\": 130, \"settings\": [] }] }", "the first setting")]
    [InlineData("{ \"trays\": [{ \"oven\": \"deck\", \"startMin\": 100, \"endMin\": 130, \"settings\": [{ \"atMin\": 100, \"tempC\": 990 }] }] }", "tempC")]
    [InlineData("{ \"trays\": [{ \"oven\": \"deck\", \"startMin\": 100, \"endMin\": 130, \"settings\": [{ \"atMin\": 100, \"tempC\": 190 }, { \"atMin\": 130, \"tempC\": 200 }] }] }", "out by then")]
    [InlineData("{ \"trays\": [{ \"oven\": \"deck\", \"startMin\": 100, \"endMin\": 130, \"place\": \"door\", \"settings\": [{ \"atMin\": 100, \"tempC\": 190 }] }] }", "place")]
    [InlineData("{ \"pans\": [{ \"id\": \"none\", \"fromMin\": 1, \"toMin\": 2, \"count\": 1 }] }", "there is no pan")]
    public void What_cannot_stand_is_refused_by_name(string standing, string field)
    {
        var text = ExampleProblem.ProblemText.Replace("\"toleranceC\"", $"\"standing\": {standing}, \"toleranceC\"", StringComparison.Ordinal);
        Assert.Contains(field, Assert.Throws<BakeFileException>(() => BakeProblemFile.Read(text)).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void Trays_that_could_not_stand_together_are_refused()
    {
        static string Refused(BakeProblem problem) => Assert.Throws<BakeFileException>(() => BakeProblemFile.Read(BakePlanFile.Write(problem))).Message;
        Assert.Contains("for 1 shelves", Refused(Problem([Oven(shelves: 1)]) with { Standing = [Settled, Settled with { StartMin = 129, EndMin = 140, Settings = [new StandingSetting(129, 190)] }] }), StringComparison.Ordinal);
        Assert.Contains("set to 190 and to 200 °C at 129", Refused(Problem([Oven()]) with { Standing = [Settled, new StandingTray("deck", 129, 140, [new StandingSetting(129, 200)])] }), StringComparison.Ordinal);
        Assert.Contains("there are 12", Refused(Problem([Oven()]) with { Pans = [new PanStock("23", 12)], StandingPans = [new StandingPans("23", 1, 9, 7), new StandingPans("23", 8, 12, 6)] }), StringComparison.Ordinal);
    }

    private static BakeProblem Some(int seed)
    {
        var dice = new Random(seed);
        Bake Of(int at)
        {
            BakeStage[] stages = dice.Next(3) switch
            {
                0 => [new BakeStage(220, 10, 14), new BakeStage(185, 25, 35)],
                1 => [new BakeStage(185, 25, 35)],
                _ => [new BakeStage(202, 12, 16)],
            };
            var bake = Bake($"b{at}", 1 + dice.Next(3), due: 150 + dice.Next(250), release: dice.Next(60), stages: stages);
            return bake with { Pan = dice.Next(3) == 0 ? new PanNeed("23", 10 + dice.Next(20), dice.Next(60)) : null, OnFloor = dice.Next(4) == 0 };
        }

        var action = dice.Next(2);
        var floor = dice.Next(2) == 0 ? (int?)null : 2;
        return Problem([Oven(shelves: 2) with { ActionMin = action, FloorPlaces = floor }, Oven("second", shelves: 3) with { ActionMin = action }], [.. Enumerable.Range(0, 6).Select(Of)]) with
        {
            OpenCPerTray = 5 * dice.Next(3),
            Pans = [new PanStock("23", 18)],
            Weights = dice.Next(2) == 0 ? BakeWeights.Usual : BakeWeights.Usual with { PerDoorOpening = 10, PerDoorClash = 40 },
        };
    }
}
