using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Files;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.Baking.Problems;

namespace Lumpet.Core.Tests.Baking;

/// <summary>Each rule of the bake plan, broken once in an otherwise valid plan.</summary>
public sealed class BakePlanCheckerTests
{
    private static readonly BakeStage[] TwoStages = [new(220, 20, 24), new(190, 40, 50)];

    // 25 to 220 at 8 a minute: 25 minutes, so on at 75 lets the tray in at 100; 220 to 190 at 4 a minute from the drop.
    private static readonly BakeProblem OneOven = Problem([Oven()], Bake("pear", release: 60, due: 200, earliestOut: 150, stages: TwoStages));

    private static readonly StatedBakePlan InPlace = Plan(
        [new("deck", 75, 220), new("deck", 120, 190), new("deck", 160, null)],
        [new("pear", 1, [new("deck", 100, 120), new("deck", 120, 160)])]);

    [Fact]
    public void The_example_plan_is_valid_and_costs_what_it_says()
    {
        var verdict = BakePlanChecker.Check(ExampleProblem.Problem, ExampleProblem.Plan);
        Assert.Empty(verdict.Faults);
        Assert.Equal(new BakePlanCost(36, 99, 1, 2709, 0) { DoorOpenings = 4 }, verdict.Cost);
        Assert.Equal(46370.9m, verdict.Cost.Total);
    }

    [Fact]
    public void A_drop_in_place_is_valid() => Assert.Empty(RulesBroken(OneOven, InPlace));

    [Fact]
    public void A_tray_enters_only_when_the_chamber_is_at_its_setting() =>
        Assert.Equal(["entering"], RulesBroken(OneOven, With(InPlace, [new("deck", 76, 220), new("deck", 120, 190), new("deck", 160, null)])));

    [Fact]
    public void A_stage_keeps_its_length() => Assert.Equal(
        ["stage"],
        RulesBroken(OneOven, With(InPlace, [new("deck", 75, 220), new("deck", 119, 190), new("deck", 160, null)], [new("pear", 1, [new("deck", 100, 119), new("deck", 119, 160)])])));

    [Fact]
    public void A_stage_keeps_its_temperature_within_the_tolerance() =>
        Assert.Equal(["stage"], RulesBroken(OneOven, With(InPlace, [new("deck", 75, 220), new("deck", 122, 190), new("deck", 160, null)])));

    [Fact]
    public void No_tray_is_in_an_oven_that_is_off() =>
        Assert.Equal(["stage"], RulesBroken(OneOven, With(InPlace, [new("deck", 75, 220), new("deck", 120, 190), new("deck", 159, null)])));

    [Fact]
    public void A_temperature_that_is_no_stages_own_is_no_setting()
    {
        var plan = With(InPlace, [new("deck", 75, 216), new("deck", 120, 190), new("deck", 160, null)]);
        Assert.Equal(["stage"], RulesBroken(OneOven, plan));
    }

    [Fact]
    public void The_next_stage_starts_at_the_drop() => Assert.Equal(
        ["drop"],
        RulesBroken(OneOven, With(InPlace, [new("deck", 75, 220), new("deck", 121, 190), new("deck", 161, null)], [new("pear", 1, [new("deck", 100, 120), new("deck", 121, 161)])])));

    [Theory]
    [InlineData(122, true)]
    [InlineData(123, false)]
    public void A_move_takes_exactly_the_transfer_time(int arrival, bool valid)
    {
        var problem = Problem([Oven(), Oven("second")], Bake("pear", release: 60, due: 200, stages: TwoStages));
        var plan = Plan(
            [new("deck", 75, 220), new("second", 100, 190), new("deck", 120, null), new("second", arrival + 40, null)],
            [new("pear", 1, [new("deck", 100, 120), new("second", arrival, arrival + 40)])]);
        Assert.Equal(valid ? [] : ["move"], RulesBroken(problem, plan));
    }

    [Fact]
    public void A_move_into_an_oven_that_is_still_heating_is_refused()
    {
        var problem = Problem([Oven(), Oven("second")], Bake("pear", release: 60, due: 200, stages: TwoStages));
        var plan = Plan(
            [new("deck", 75, 220), new("second", 102, 190), new("deck", 120, null), new("second", 162, null)],
            [new("pear", 1, [new("deck", 100, 120), new("second", 122, 162)])]);
        Assert.Equal(["entering"], RulesBroken(problem, plan));
    }

    [Theory]
    [InlineData(null, 2, true)] // No places of its own: the floor is a shelf.
    [InlineData(1, 2, false)]
    [InlineData(2, 2, true)]
    [InlineData(2, 0, true)] // The floor's places are beside the shelves.
    public void No_more_trays_stand_on_the_floor_than_have_a_place_there(int? places, int shelves, bool valid)
    {
        var problem = Problem([Oven(shelves: shelves) with { FloorPlaces = places }], Bake("pear", trays: 2, release: 0) with { OnFloor = true });
        BakedTray[] trays = [new("pear", 1, [new("deck", 30, 60)]), new("pear", 2, [new("deck", 30, 60)])];
        Assert.Equal(valid ? [] : ["sharing"], RulesBroken(problem, Plan([new("deck", 0, 190), new("deck", 60, null)], trays)));
    }

    [Fact]
    public void No_oven_holds_more_trays_than_shelves()
    {
        var problem = Problem([Oven(shelves: 1)], Bake("pear", trays: 2, release: 0));
        BakedTray[] trays = [new("pear", 1, [new("deck", 30, 60)]), new("pear", 2, [new("deck", 59, 89)])];
        Assert.Equal(["sharing"], RulesBroken(problem, Plan([new("deck", 0, 190), new("deck", 89, null)], trays)));
    }

    [Theory]
    [InlineData(101, null, 0, 900, null, "window")]
    [InlineData(60, 161, 0, 900, null, "window")]
    [InlineData(60, null, 76, 900, null, "window")]
    [InlineData(60, null, 0, 159, null, "window")]
    [InlineData(60, null, 0, 900, "other", "window")]
    public void Windows_are_kept(int release, int? earliestOut, int open, int close, string? oven, string rule)
    {
        var problem = Problem(
            [Oven(open: open, close: close), Oven("other")],
            Bake("pear", release: release, due: 200, earliestOut: earliestOut, stages: TwoStages, ovens: oven is null ? null : [oven]));
        Assert.Equal([rule], RulesBroken(problem, InPlace).Distinct());
    }

    [Fact]
    public void A_setting_lies_within_the_ovens_range() =>
        Assert.Equal(["window"], RulesBroken(OneOven with { Ovens = [Oven() with { MaxC = 210 }] }, InPlace));

    [Fact]
    public void A_bake_whose_predecessor_is_left_out_is_left_out()
    {
        var problem = Problem([Oven()], Bake("shells"), Bake("custard", after: [new("shells", 0, 60, true)]));
        var plan = Plan([new("deck", 0, 190), new("deck", 60, null)], [new("custard", 1, [new("deck", 30, 60)])], [new("shells", 1, "no place")]);
        Assert.Equal(["after"], RulesBroken(problem, plan));
    }

    [Theory]
    [InlineData(20, 40, true)]
    [InlineData(31, 40, false)]
    [InlineData(10, 29, false)]
    public void Lags_count_from_the_end_of_the_bake_before(int least, int most, bool valid)
    {
        var problem = Problem([Oven()], Bake("shells"), Bake("custard", after: [new("shells", least, most, false)]));
        BakedTray[] trays = [new("shells", 1, [new("deck", 30, 60)]), new("custard", 1, [new("deck", 90, 120)])];
        Assert.Equal(valid ? [] : ["after"], RulesBroken(problem, Plan([new("deck", 0, 190), new("deck", 120, null)], trays)));
    }

    [Theory]
    [InlineData(195, true)]
    [InlineData(185, true)]
    [InlineData(196, false)]
    [InlineData(184, false)]
    public void A_load_is_shared_within_the_tolerance_and_not_a_degree_beyond(int celsius, bool valid)
    {
        // 25 to 196 at 8 a minute: 22 minutes. The setting is the other bake's own temperature.
        var problem = Problem([Oven()], Bake("pear"), Bake("other", stages: [new BakeStage(celsius, 30, 30)]));
        BakedTray[] trays = [new("pear", 1, [new("deck", 30, 60)]), new("other", 1, [new("deck", 30, 60)])];
        Assert.Equal(valid ? [] : ["stage"], RulesBroken(problem, Plan([new("deck", 0, celsius), new("deck", 60, null)], trays)));
    }

    [Theory]
    [InlineData(30, true)]
    [InlineData(35, true)]
    [InlineData(29, false)]
    [InlineData(36, false)]
    public void A_stage_lasts_from_its_least_to_its_most(int minutes, bool valid) => Assert.Equal(
        valid ? [] : ["stage"],
        RulesBroken(Problem([Oven()], Bake("pear")), Plan([new("deck", 0, 190), new("deck", 30 + minutes, null)], [new("pear", 1, [new("deck", 30, 30 + minutes)])])));

    [Theory]
    [InlineData(true, 29, 31, true)]
    [InlineData(true, 31, 60, false)]
    [InlineData(true, 0, 29, false)]
    [InlineData(false, 0, 100, false)]
    public void By_tray_a_tray_waits_for_its_own_and_otherwise_for_the_last(bool byTray, int least, int most, bool valid)
    {
        // Shells out at 60 and at 130; the first custard goes in at 90, the second at 160: 30 after its own shell, and 40 before the last.
        var problem = Problem([Oven()], Bake("shells", trays: 2), Bake("custard", trays: 2, after: [new("shells", least, most, byTray)]));
        BakedTray[] trays = [new("shells", 1, [new("deck", 30, 60)]), new("shells", 2, [new("deck", 100, 130)]), new("custard", 1, [new("deck", 90, 120)]), new("custard", 2, [new("deck", 160, 190)])];
        var broken = RulesBroken(problem, Plan([new("deck", 0, 190), new("deck", 190, null)], trays));
        Assert.Equal(valid, broken.Length == 0);
        Assert.All(broken, rule => Assert.Equal("after", rule));
    }

    [Theory]
    [InlineData("twice")]
    [InlineData("missing")]
    [InlineData("unknown")]
    public void Every_tray_stands_in_the_plan_once(string which)
    {
        IReadOnlyList<BakedTray> trays = which switch
        {
            "twice" => [.. InPlace.Trays, .. InPlace.Trays],
            "missing" => [],
            _ => [.. InPlace.Trays, InPlace.Trays[0] with { Tray = 2 }],
        };
        Assert.Contains("trays", RulesBroken(OneOven, InPlace with { Trays = trays }));
    }

    [Fact]
    public void The_last_setting_is_off_and_each_is_a_change()
    {
        Assert.Equal(["settings"], RulesBroken(OneOven, With(InPlace, [new("deck", 75, 220), new("deck", 120, 190)])));
        Assert.Contains("settings", RulesBroken(OneOven, With(InPlace, [new("deck", 75, 220), new("deck", 90, 220), new("deck", 120, 190), new("deck", 160, null)])));
    }

    [Fact]
    public void Figures_that_are_not_true_are_named()
    {
        var stated = ExampleProblem.Plan;
        var cost = stated.Cost.ToDictionary(figure => figure.Key, figure => figure.Value);
        cost["ovenOnMin"] = 98;
        Assert.Equal("ovenOnMin", Assert.Single(BakePlanChecker.Check(ExampleProblem.Problem, stated with { Cost = cost }).Faults).Where);
        var bound = new Dictionary<string, decimal> { ["total"] = 46371m, ["ovenOnMin"] = 0 };
        Assert.Equal("bound", Assert.Single(BakePlanChecker.Check(ExampleProblem.Problem, stated with { LowerBound = bound }).Faults).Rule);
    }

    // The figures of these small plans are not stated; only the rules are looked at.
    private static string[] RulesBroken(BakeProblem problem, StatedBakePlan plan) =>
        [.. BakePlanChecker.Check(problem, plan).Faults.Select(fault => fault.Rule).Where(rule => rule is not "cost" and not "bound")];

    private static StatedBakePlan Plan(
        IReadOnlyList<OvenSetting> settings, IReadOnlyList<BakedTray> trays, IReadOnlyList<UnplacedTray>? unplaced = null) =>
        new(settings, trays, unplaced ?? [], new Dictionary<string, decimal>(), new Dictionary<string, decimal>());

    private static StatedBakePlan With(
        StatedBakePlan plan, IReadOnlyList<OvenSetting> settings, IReadOnlyList<BakedTray>? trays = null) =>
        plan with { Settings = settings, Trays = trays ?? plan.Trays };
}
