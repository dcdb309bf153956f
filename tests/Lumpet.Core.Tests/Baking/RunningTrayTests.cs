using CsCheck;
using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Files;
using Lumpet.Core.Baking.Planning;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.Baking.Problems;

namespace Lumpet.Core.Tests.Baking;

/// <summary>Trays that are in an oven when a plan starts stay in it, and a plan that was followed for a while is planned on from there.</summary>
public sealed class RunningTrayTests
{
    // In for ten minutes at 220 °C, with thirty at 185 °C to come.
    private static readonly Bake Fruit = Bake("fruit", 2, due: 60, stages: [new BakeStage(220, 12, 16), new BakeStage(185, 30, 36)]);

    private static readonly BakeProblem Inside = Problem([Oven(start: 220) with { StartSettingC = 220 }, Oven("second")], Fruit, Bake("tart", 2, due: 120, stages: [new BakeStage(185, 25, 30)])) with
    {
        Running = [new RunningTray("fruit", 1, [new RunningStage("deck", -10, null)]), new RunningTray("fruit", 2, [new RunningStage("deck", -10, null)])],
    };

    private static BakePlan Planned(BakeProblem problem)
    {
        var plan = BakePlanner.Plan(problem);
        Assert.Empty(BakePlanChecker.Check(problem, plan).Faults);
        return plan;
    }

    [Fact]
    public void What_is_inside_stays_as_it_is_and_goes_on_from_there()
    {
        var plan = Planned(Inside);
        Assert.Empty(plan.Unplaced);
        var fruit = plan.Trays.Where(tray => tray.BakeId == "fruit").ToArray();
        // By hand: two minutes more at 220 °C, then thirty from the drop.
        Assert.All(fruit, tray => Assert.Equal(new BakedStage("deck", -10, 2), tray.Stages[0]));
        Assert.All(fruit, tray => Assert.Equal(("deck", 2, 32), (tray.Stages[1].OvenId, tray.Stages[1].StartMin, tray.Stages[1].EndMin)));
        // It was on at minute 0: those minutes count, and the change to 185 °C is one.
        Assert.DoesNotContain(plan.Settings, setting => setting is { OvenId: "deck", AtMin: 0 });
        Assert.Contains(new OvenSetting("deck", 2, 185), plan.Settings);
        Assert.Equal(1, plan.Cost.SettingChanges);
    }

    [Fact]
    public void What_has_been_in_for_its_most_comes_out_at_once_and_what_is_done_lets_its_followers_begin()
    {
        var shells = Bake("shells", 1, due: 20, stages: [new BakeStage(200, 12, 16)]);
        var filled = Bake("filled", 1, due: 90, after: [new BakeAfter("shells", 20, 60, true)], stages: [new BakeStage(185, 30, 40)]);
        var problem = Problem([Oven(start: 200) with { StartSettingC = 200 }], shells, filled);
        var over = Planned(problem with { Running = [new RunningTray("shells", 1, [new RunningStage("deck", -18, null)])] });
        Assert.Equal(new BakedStage("deck", -18, 1), over.Trays.First(tray => tray.BakeId == "shells").Stages[0]);
        Assert.InRange(over.Trays.First(tray => tray.BakeId == "filled").StartMin, 21, 61);
        // Done ten minutes ago: the filling may go in at ten, and must by fifty.
        var done = Planned(problem with { Running = [new RunningTray("shells", 1, [new RunningStage("deck", -24, -10)])] });
        Assert.Equal(-10, done.Trays.First(tray => tray.BakeId == "shells").EndMin);
        Assert.InRange(done.Trays.First(tray => tray.BakeId == "filled").StartMin, 10, 50);
        // What came out before opens no door any more: the filled shell goes in and comes out.
        var of = problem with { Running = [new RunningTray("shells", 1, [new RunningStage("deck", -24, -10)])] };
        Assert.Equal((2, 2), (done.Cost.DoorOpenings, BakePlanChecker.Check(of, done).Cost.DoorOpenings));
        // An end that is said stands.
        var said = Planned(problem with { Running = [new RunningTray("shells", 1, [new RunningStage("deck", -5, 30)])] });
        Assert.Equal(30, said.Trays.First(tray => tray.BakeId == "shells").EndMin);
    }

    [Fact]
    public void What_was_begun_too_soon_after_what_it_follows_is_no_fault_of_the_plan()
    {
        // The filled shell went in five minutes after the shell came out, where twenty are asked for.
        var shells = Bake("shells", 1, due: 20, stages: [new BakeStage(185, 12, 16)]);
        var filled = Bake("filled", 1, due: 90, after: [new BakeAfter("shells", 20, 60, true)], stages: [new BakeStage(185, 30, 40)]);
        var plan = Planned(Problem([Oven(start: 185) with { StartSettingC = 185 }], shells, filled) with
        {
            Running = [new RunningTray("shells", 1, [new RunningStage("deck", -24, -10)]), new RunningTray("filled", 1, [new RunningStage("deck", -5, null)])],
        });
        Assert.Equal(2, plan.Trays.Count);
    }

    [Fact]
    public void An_oven_that_is_on_for_nothing_is_switched_off()
    {
        var plan = Planned(Problem([Oven(start: 220) with { StartSettingC = 220 }], Bake("tart", 1, due: 600, release: 500, stages: [new BakeStage(185, 25, 30)])));
        Assert.Equal(new OvenSetting("deck", 0, null), plan.Settings[0]);
        Assert.Equal(1, plan.Cost.SettingChanges);
        Assert.Equal(new OvenSetting("deck", 0, null), Assert.Single(Planned(Problem([Oven(start: 220) with { StartSettingC = 220 }])).Settings));
    }

    [Fact]
    public void The_checker_sees_a_past_that_was_changed()
    {
        var plan = Planned(Inside);
        foreach (var stages in new BakedStage[][] { [new("deck", -9, 2), new("deck", 2, 32)], [new("second", -10, 2), new("deck", 4, 34)], [new("deck", -10, 0), new("deck", 0, 30)] })
        {
            var changed = plan with { Trays = [.. plan.Trays.Where(tray => tray is not { BakeId: "fruit", Tray: 1 }), new BakedTray("fruit", 1, stages)] };
            Assert.Contains(BakePlanChecker.Check(Inside, changed).Faults, fault => fault.Rule == "running");
        }

        // An end that was said is kept to the minute.
        var said = Inside with { Running = [.. Inside.Running.Select(tray => tray with { Stages = [new RunningStage("deck", -10, 3)] })] };
        var kept = Planned(said);
        foreach (var end in new[] { 2, 4 })
            Assert.Contains(
                BakePlanChecker.Check(said, kept with { Trays = [.. kept.Trays.Select(tray => tray.BakeId == "fruit" ? tray with { Stages = [new BakedStage("deck", -10, end), new BakedStage("deck", end, end + 30)] } : tray)] }).Faults,
                fault => fault.Rule == "running");

        // What has not begun still enters by the rules.
        var early = plan with { Trays = [.. plan.Trays.Where(tray => tray.BakeId == "fruit"), .. plan.Trays.Where(tray => tray.BakeId == "tart").Select(tray => tray with { Stages = [new BakedStage("deck", -5, 25)] })] };
        Assert.NotEmpty(BakePlanChecker.Check(Inside, early).Faults);
    }

    [Fact]
    public void A_plan_that_was_followed_for_a_while_is_planned_on_and_no_worse() =>
        Gen.Select(Gen.Int[0, 400], Gen.Int[0, 300]).SampleTheSame(
            any =>
            {
                var (seed, minute) = any;
                var problem = Some(seed);
                var plan = BakePlanner.Plan(problem, 12, seed);
                // At a minute at which no tray is between ovens.
                while (plan.Trays.Any(tray => tray.Stages.Zip(tray.Stages.Skip(1)).Any(pair => pair.First.EndMin <= minute && pair.Second.StartMin >= minute && pair.First.OvenId != pair.Second.OvenId))) minute++;
                var rest = Replanning.From(problem, plan, minute);
                Assert.Equal(BakePlanFile.Write(rest), BakePlanFile.Write(BakeProblemFile.Read(BakePlanFile.Write(rest))));
                var after = BakePlanner.Plan(rest, 12, seed);
                Assert.Empty(BakePlanChecker.Check(rest, after).Faults);
                Assert.True(after.Cost.UnplacedPies <= plan.Cost.UnplacedPies, $"{seed} at {minute}: {after.Cost} after {plan.Cost}");
                // What was begun is as it was.
                foreach (var tray in plan.Trays.Where(tray => tray.StartMin < minute))
                    Assert.Equal(tray.StartMin - minute, after.Trays.First(other => other.BakeId == tray.BakeId && other.Tray == tray.Tray).StartMin);
            },
            iter: 40);

    private static BakeProblem Some(int seed)
    {
        var dice = new Random(seed);
        Bake Of(int at) => dice.Next(3) switch
        {
            0 => Bake($"b{at}", 1 + dice.Next(3), due: 150 + dice.Next(150), release: dice.Next(40), stages: [new BakeStage(220, 10, 14), new BakeStage(185, 25, 35)]),
            1 => Bake($"b{at}", 1 + dice.Next(3), due: 150 + dice.Next(150), release: dice.Next(40), stages: [new BakeStage(185, 25, 35)]),
            _ => Bake($"b{at}", 1 + dice.Next(3), due: 150 + dice.Next(150), release: dice.Next(40), stages: [new BakeStage(200, 12, 16)]),
        };
        return Problem([Oven(shelves: 3), Oven("second", shelves: 3)], [.. Enumerable.Range(0, 5).Select(Of)]);
    }

    [Theory]
    [InlineData("[{ \"bake\": \"none\", \"tray\": 1, \"stages\": [{ \"oven\": \"deck\", \"startMin\": -5 }] }]", "running[0] (none)")]
    [InlineData("[{ \"bake\": \"shells\", \"tray\": 9, \"stages\": [{ \"oven\": \"deck\", \"startMin\": -5 }] }]", "running[0] (shells)")]
    [InlineData("[{ \"bake\": \"shells\", \"tray\": 1, \"stages\": [] }]", "stages")]
    [InlineData("[{ \"bake\": \"shells\", \"tray\": 1, \"stages\": [{ \"oven\": \"deck\", \"startMin\": 5 }] }]", "startMin")]
    [InlineData("[{ \"bake\": \"shells\", \"tray\": 1, \"stages\": [{ \"oven\": \"none\", \"startMin\": -5 }] }]", "oven")]
    [InlineData("[{ \"bake\": \"shells\", \"tray\": 1, \"stages\": [{ \"oven\": \"deck\", \"startMin\": -5, \"endMin\": -6 }] }]", "endMin")]
    [InlineData("[{ \"bake\": \"shells\", \"tray\": 1, \"stages\": [{ \"oven\": \"deck\", \"startMin\": -5 }] }]", "startSettingC")]
    public void What_could_not_have_been_is_refused_by_name(string running, string field)
    {
        var text = ExampleProblem.ProblemText.Replace("\"toleranceC\"", $"\"running\": {running}, \"toleranceC\"", StringComparison.Ordinal);
        Assert.Contains(field, Assert.Throws<BakeFileException>(() => BakeProblemFile.Read(text)).Message, StringComparison.Ordinal);
    }
}
