using CsCheck;
using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Planning;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.Baking.Problems;

namespace Lumpet.Core.Tests.Baking;

public sealed class BakePlannerTests
{
    private static readonly int[] Temperatures = [165, 170, 175, 190, 190, 195, 220];

    private static readonly Gen<BakeStage> Stage =
        Gen.Select(Gen.Int[0, Temperatures.Length - 1], Gen.Int[3, 40], Gen.Int[0, 12])
            .Select(stage => new BakeStage(Temperatures[stage.Item1], stage.Item2, stage.Item2 + stage.Item3));

    private static readonly Gen<BakeOven> AnyOven =
        Gen.Select(Gen.Int[0, 5], Gen.Int[1, 12], Gen.Int[1, 8], Gen.Int[0, 200], Gen.Int[0, 120], Gen.Int[200, 600])
            .Select(oven => new BakeOven("?", oven.Item1, 90, 230, oven.Item2, oven.Item3, oven.Item4, oven.Item5, oven.Item6) { FloorPlaces = oven.Item2 % 4 == 0 ? null : oven.Item2 % 4 - 1, ShortestOffMin = oven.Item3 % 2 * 10 })
            // Now and then it is closed in the middle, for as long as it takes to lose its heat or not.
            .Select(oven => oven.CoolCPerMin % 3 != 0 ? oven : oven.OpenAt([new OvenOpening(oven.OpenMin, oven.OpenMin + 70), new OvenOpening(oven.OpenMin + 72 + (oven.StartC / 2), oven.OpenMin + 72 + (oven.StartC / 2) + oven.CloseMin)]));

    private static readonly Gen<Bake> AnyBake =
        Gen.Select(Gen.Int[0, 4].Array[0, 5], Stage.Array[1, 3], Gen.Int[0, 200], Gen.Int[50, 500], Gen.Int[0, 300], Gen.Int[0, 5])
            .Select(bake => new Bake("?", bake.Item1, bake.Item2, bake.Item3, bake.Item4, bake.Item6 == 0 ? bake.Item5 : null, null, []) { OnFloor = bake.Item6 > 2 });

    private static readonly Gen<BakeProblem> AnyProblem =
        Gen.Select(AnyOven.Array[0, 3], AnyBake.Array[0, 6], Gen.Int[0, 9], Gen.Int[0, 60]).Select(parts =>
        {
            BakeOven[] ovens = [.. parts.Item1.Select((oven, index) => oven with { Id = $"o{index}" })];
            Bake[] bakes = [.. parts.Item2.Select((bake, index) => bake with { Id = $"b{index}" })];
            // Every third bake follows the one before it, some by tray, now and then the last closes a cycle.
            for (var index = 1; index < bakes.Length; index++)
            {
                if ((index + parts.Item3) % 3 != 0) continue;
                var byTray = bakes[index].Trays.Count == bakes[index - 1].Trays.Count;
                bakes[index] = bakes[index] with { After = [new BakeAfter(bakes[index - 1].Id, parts.Item4 / 2, parts.Item4 + 90, byTray)] };
            }

            if (parts.Item3 == 9 && bakes.Length > 2) bakes[0] = bakes[0] with { After = [new BakeAfter(bakes[^1].Id, 0, 500, false)] };
            // Every other problem counts by weights of its own.
            // Some doors lose heat, some ovens keep the hands for a while.
            if (parts.Item3 % 2 == 1) ovens = [.. ovens.Select((oven, at) => oven with { ActionMin = (parts.Item4 + at) % 4 })];
            PanStock[] pans = parts.Item4 % 4 == 1 ? [new PanStock("small", 3), new PanStock("large", 9)] : [];
            if (pans.Length > 0) bakes = [.. bakes.Select((bake, at) => at % 4 == 3 ? bake : bake with { Pan = new PanNeed(pans[at / 2 % 2].Id, parts.Item4, 40 * at) })];
            // Some are not put in or not taken out for a while, and some pans are in use for longer by the hour.
            if (parts.Item3 % 4 == 2)
                bakes =
                [
                    .. bakes.Select((bake, at) => bake with
                    {
                        NotIn = at % 2 == 0 ? [new DoorPause(60, 90 + (10 * parts.Item4)), new DoorPause(300, 330)] : [],
                        NotOut = at % 3 == 0 ? [new DoorPause(100 + parts.Item4, 160)] : [],
                        Pan = bake.Pan is null ? null : bake.Pan with { Since = [new PansSince(120, 20), new PansSince(240, 100 + parts.Item4)], Until = [new PansUntil(200, 260 + parts.Item4), new PansUntil(300, 420)] },
                    }),
                ];
            return new BakeProblem(5, 2, ovens, bakes)
            {
                Pans = pans,
                OpenCPerTray = parts.Item4 % 3 == 0 ? parts.Item4 : 0,
                Weights = parts.Item4 % 2 == 0 ? BakeWeights.Usual : new BakeWeights(parts.Item4, 200, parts.Item3, 10 * parts.Item4, 300),
            };
        });

    [Fact]
    public void Every_plan_keeps_every_rule_and_states_its_true_cost() =>
        AnyProblem.SampleTheSame(
            problem =>
            {
                var verdict = BakePlanChecker.Check(problem, BakePlanner.Plan(problem, effort: 8));
                Assert.True(verdict.IsValid, string.Join("; ", verdict.Faults));
            },
            iter: 250);

    [Fact]
    public void No_more_trays_stand_on_a_floor_than_it_has_places()
    {
        // One oven of three shelves and one place on its floor: three trays of the floor follow one another, three others have the shelves.
        var oven = new BakeOven("o", 3, 90, 280, 20, 10, 25, 0, 900) { FloorPlaces = 1 };
        Bake Of(string id, bool onFloor) => new(id, [4, 4, 4], [new BakeStage(180, 40, 40)], 0, 800, null, null, []) { OnFloor = onFloor };
        var problem = new BakeProblem(5, 2, [oven], [Of("floor", true), Of("above", false)]);
        var plan = BakePlanner.Plan(problem);
        Assert.Empty(plan.Unplaced);
        Assert.True(BakePlanChecker.Check(problem, plan).IsValid);
        var floor = plan.Trays.Where(tray => tray.BakeId == "floor").OrderBy(tray => tray.StartMin).ToArray();
        Assert.All(floor.Skip(1).Zip(floor), pair => Assert.True(pair.First.StartMin >= pair.Second.EndMin));
        Assert.Single(plan.Trays.Where(tray => tray.BakeId == "above").Select(tray => tray.StartMin).Distinct());
        // With a place for each they go in together, and without one they are left out, which is said.
        var wide = problem with { Ovens = [oven with { FloorPlaces = 3 }] };
        Assert.Single(BakePlanner.Plan(wide).Trays.Where(tray => tray.BakeId == "floor").Select(tray => tray.StartMin).Distinct());
        Assert.False(BakePlanChecker.Check(problem, BakePlanner.Plan(wide)).IsValid);
        var none = BakePlanner.Plan(problem with { Ovens = [oven with { FloorPlaces = 0 }] });
        Assert.Equal(3, none.Unplaced.Count(tray => tray.BakeId == "floor" && tray.Reason == "no oven it may use has a place on its floor"));
    }

    [Fact]
    public void Heat_that_is_left_when_an_oven_was_closed_counts()
    {
        // 185 °C at minute 40, closed until 50: ten minutes down at 4 a minute leave 145, and five at 8 a minute bring it back.
        var bake = Bake("one", 1, due: 40, stages: [new BakeStage(185, 15, 15)]);
        var problem = Problem([Oven().OpenAt([new OvenOpening(0, 40), new OvenOpening(50, 400)])], [bake, bake with { Id = "two", ReleaseMin = 50, DueMin = 70 }]);
        var plan = BakePlanner.Plan(problem);
        Assert.True(BakePlanChecker.Check(problem, plan).IsValid);
        Assert.Equal([40, 70], plan.Trays.Select(tray => tray.EndMin));
        Assert.Contains(new OvenSetting("deck", 50, 185), plan.Settings);
        Assert.Contains(new OvenSetting("deck", 40, null), plan.Settings);
        // Nothing is in an oven that is closed: what takes longer than either stretch is left out, with the reason.
        var tooLong = Problem([Oven().OpenAt([new OvenOpening(0, 60), new OvenOpening(70, 130)])], Bake("long", 1, due: 120, stages: [new BakeStage(185, 61, 70)]));
        Assert.StartsWith("the window is too short", Assert.Single(BakePlanner.Plan(tooLong).Unplaced).Reason, StringComparison.Ordinal);
        // And the checker sees an oven that stays on over its closing.
        var open = Problem([Oven()], [.. problem.Bakes]);
        var stayedOn = BakePlanner.Plan(open with { Bakes = [bake, bake with { Id = "two", ReleaseMin = 41, DueMin = 57, EarliestOutMin = 56 }] });
        Assert.Contains(BakePlanChecker.Check(problem with { Bakes = [bake, bake with { Id = "two", ReleaseMin = 41, DueMin = 57 }] }, stayedOn).Faults, fault => fault.Rule == "window");
    }

    [Fact]
    public void The_same_problem_effort_and_seed_give_the_same_plan()
    {
        var problem = ExampleProblem.Problem;
        Assert.Equal(
            Core.Baking.Files.BakePlanFile.Write(BakePlanner.Plan(problem, 20, 7)),
            Core.Baking.Files.BakePlanFile.Write(BakePlanner.Plan(problem, 20, 7)));
    }

    [Fact]
    public void The_example_is_planned_no_worse_than_the_plan_beside_it()
    {
        var plan = BakePlanner.Plan(ExampleProblem.Problem);
        Assert.Empty(plan.Unplaced);
        Assert.True(plan.Cost.Total <= 46370.9m, $"{plan.Cost}");
    }

    [Fact]
    public void A_load_is_filled_before_another_is_begun()
    {
        var plan = BakePlanner.Plan(Problem([Oven()], Bake("pear", trays: 4)));
        Assert.Single(plan.Trays.Select(tray => tray.StartMin).Distinct());
        // Heat-up from 25 to 190 at 8 a minute takes 21 minutes, the bake 30.
        Assert.Equal(51, plan.Cost.OvenOnMin);
    }

    [Fact]
    public void Bakes_of_like_heat_share_a_load()
    {
        var plan = BakePlanner.Plan(Problem(
            [Oven()], Bake("pear", trays: 2), Bake("damson", trays: 2, stages: [new BakeStage(195, 30, 34)])));
        Assert.Single(plan.Trays.Select(tray => tray.StartMin).Distinct());
        Assert.Equal(0, plan.Cost.SettingChanges);
    }

    [Fact]
    public void A_one_stage_bake_joins_after_the_drop_of_another()
    {
        var pear = Bake("pear", trays: 2, stages: [new BakeStage(220, 20, 20), new BakeStage(190, 50, 50)]);
        var shells = Bake("shells", trays: 2, stages: [new BakeStage(190, 25, 30)]);
        var plan = BakePlanner.Plan(Problem([Oven()], pear, shells));
        var first = plan.Trays.First(tray => tray.BakeId == "pear");
        Assert.All(plan.Trays.Where(tray => tray.BakeId == "shells"), tray =>
        {
            Assert.True(tray.StartMin >= first.Stages[1].StartMin);
            Assert.True(tray.EndMin <= first.EndMin);
        });
    }

    [Fact]
    public void Lengths_9_8_7_5_3_2_on_two_shelves_need_no_more_than_list_scheduling_allows()
    {
        // Graham 1969: longest-processing-time needs at most 4/3 - 1/(3m) of the optimum; the optimum here is 17 (9 + 8, 7 + 5 + 3 + 2).
        int[] lengths = [9, 8, 7, 5, 3, 2];
        Bake[] bakes = [.. lengths.Select(length => Bake($"b{length}", stages: [new BakeStage(190, length, length)]))];
        var plan = BakePlanner.Plan(Problem([Oven(shelves: 2, start: 190)], bakes));
        var makespan = plan.Trays.Max(tray => tray.EndMin) - plan.Trays.Min(tray => tray.StartMin);
        Assert.InRange(makespan, 17, 17 * ((4.0 / 3) - (1.0 / 6)));
        // Closed loads of two need 9 + 7 + 3 = 19 (Lee, Uzsoy and Martin-Vega, Operations Research 40(4), 1992, from memory).
        Assert.True(makespan <= 19);
    }

    [Fact]
    public void Where_due_order_is_late_nowhere_the_plan_is_late_nowhere() =>
        // Jackson 1955: on one machine earliest due date first minimises the maximum lateness.
        Gen.Select(Gen.Int[5, 40], Gen.Int[0, 60]).Array[1, 8].SampleTheSame(
            jobs =>
            {
                // Dues that due order just keeps, with some slack; the oven is hot at the start.
                var (clock, bakes) = (0, new List<Bake>());
                foreach (var (length, slack) in jobs)
                {
                    clock += length;
                    bakes.Add(Bake($"b{bakes.Count}", due: clock + slack, stages: [new BakeStage(190, length, length)]));
                }

                var inDueOrder = bakes.OrderBy(bake => bake.DueMin).ToArray();
                var end = 0;
                if (inDueOrder.Any(bake => (end += bake.Stages[0].MinMin) > bake.DueMin)) return;
                Assert.Equal(0, BakePlanner.Plan(Problem([Oven(shelves: 1, start: 190)], bakes)).Cost.TardyPieMin);
            },
            iter: 100);

    [Fact]
    public void A_tray_moves_to_the_moderate_oven_rather_than_wait_for_the_hot_one_to_cool()
    {
        // Two full loads due together: dropping in place would keep the second out of the hot oven until the first is done.
        BakeStage[] stages = [new(220, 20, 24), new(190, 40, 50)];
        BakeOven[] ovens = [Oven("hearth", shelves: 2, cool: 1), Oven("finisher", shelves: 4, cool: 1)];
        var plan = BakePlanner.Plan(Problem(ovens, Bake("pear", trays: 2, due: 118, stages: stages), Bake("gooseberry", trays: 2, due: 118, stages: stages)));
        Assert.Equal(0, plan.Cost.TardyPieMin);
    }

    [Theory]
    [InlineData("cold", "no oven it may use can be set to 300 °C")]
    [InlineData("cycle", "it follows itself, directly or through others")]
    [InlineData("window", "the window is too short")]
    [InlineData("none", "no oven may be used for it")]
    public void What_cannot_be_placed_says_what_binds(string which, string reason)
    {
        var bake = which switch
        {
            "cold" => Bake("b", stages: [new BakeStage(300, 10, 10)]),
            "cycle" => Bake("b", after: [new BakeAfter("b", 0, 10, false)]),
            "window" => Bake("b", release: 880),
            _ => Bake("b", ovens: []),
        };
        var plan = BakePlanner.Plan(Problem([Oven()], bake));
        Assert.StartsWith(reason, Assert.Single(plan.Unplaced).Reason, StringComparison.Ordinal);
        Assert.Equal(6, plan.Cost.UnplacedPies);
    }

    [Fact]
    public void What_follows_something_left_out_is_left_out_and_says_so()
    {
        var plan = BakePlanner.Plan(Problem(
            [Oven()], Bake("shells", stages: [new BakeStage(300, 10, 10)]), Bake("custard", after: [new BakeAfter("shells", 0, 60, false)])));
        Assert.Equal(2, plan.Unplaced.Count);
        Assert.Equal("it follows shells, which is not all baked", plan.Unplaced.Single(tray => tray.BakeId == "custard").Reason);
        Assert.Equal(0, plan.LowerBound.Total);
    }

    [Fact]
    public void What_follows_a_cycle_without_being_in_it_names_what_it_follows()
    {
        var plan = BakePlanner.Plan(Problem(
            [Oven()],
            Bake("one", after: [new BakeAfter("two", 0, 60, false)]),
            Bake("two", after: [new BakeAfter("one", 0, 60, false)]),
            Bake("three", after: [new BakeAfter("two", 0, 60, false)])));
        Assert.Equal(
            ["it follows itself, directly or through others", "it follows itself, directly or through others", "it follows two, which is not all baked"],
            plan.Unplaced.Select(tray => tray.Reason));
    }

    [Fact]
    public void No_plan_found_undercuts_the_lower_bound_and_the_bound_is_tight_for_one_full_load()
    {
        var plan = BakePlanner.Plan(Problem([Oven()], Bake("pear", trays: 4, due: 51)));
        Assert.Equal(plan.LowerBound.OvenOnMin, plan.Cost.OvenOnMin);
        Assert.Equal(plan.LowerBound.Total, plan.Cost.Total);
    }

    [Fact]
    public void Cut_short_it_still_answers_with_its_first_plan()
    {
        using var cut = new CancellationTokenSource();
        cut.Cancel();
        var first = BakePlanner.Plan(ExampleProblem.Problem, effort: 1);
        Assert.Equal(first.Cost, BakePlanner.Plan(ExampleProblem.Problem, effort: 50, enough: cut.Token).Cost);
    }

    [Fact]
    public void More_effort_never_makes_a_worse_plan()
    {
        var problem = Problem(
            [Oven(shelves: 2), Oven("second", shelves: 3)],
            Bake("pear", trays: 3, due: 300, stages: [new BakeStage(220, 20, 25), new BakeStage(190, 45, 55)]),
            Bake("damson", trays: 3, due: 320, stages: [new BakeStage(205, 15, 20), new BakeStage(175, 35, 45)]),
            Bake("shells", trays: 2, due: 200, stages: [new BakeStage(190, 23, 28)]),
            Bake("custard", trays: 2, due: 340, stages: [new BakeStage(170, 40, 50)], after: [new BakeAfter("shells", 40, 300, true)]));
        var totals = new[] { 1, 6, 24, 60 }.Select(effort => BakePlanner.Plan(problem, effort).Cost.Total).ToArray();
        Assert.Equal(totals.OrderDescending(), totals);
    }

    [Fact]
    public void An_oven_is_heated_for_a_neighbour_before_the_neighbour_is_in()
    {
        // One shelf; 145 first and 140 after it: set to 140 all the way, no setting changes, and the cooler heat is there sooner.
        var problem = Problem(
            [Oven(shelves: 1, start: 60, heat: 10, cool: 10)],
            Bake("one", due: 20, stages: [new BakeStage(145, 10, 10)]),
            Bake("two", due: 30, release: 12, stages: [new BakeStage(140, 10, 10)]));
        var plan = BakePlanner.Plan(problem);
        Assert.Equal([140, null], plan.Settings.Select(setting => setting.TempC));
        Assert.Equal((0, 0), (plan.Cost.SettingChanges, plan.Cost.TardyPieMin));
        Assert.Empty(BakePlanChecker.Check(problem, plan).Faults);
    }

    [Fact]
    public void An_oven_is_off_for_a_minute_where_that_saves_one()
    {
        // Eight minutes lie between what may not come out sooner and what may not go in sooner: off for four of them it cools by 40 and is up again in four.
        var problem = Problem(
            [Oven(shelves: 1, start: 180, heat: 10, cool: 10)],
            Bake("one", due: 10, stages: [new BakeStage(180, 10, 10)]),
            Bake("two", due: 28, release: 18, stages: [new BakeStage(180, 10, 10)]));
        Assert.Equal(10 + 10 + 4, BakePlanner.Plan(problem).Cost.OvenOnMin);
    }

    [Fact]
    public void A_chain_is_not_begun_so_soon_that_what_follows_could_not_wait_for_its_time()
    {
        // The custard may not be out before 500 and waits 60 min at most for 40 min of bake: its shell is out at 400 or later.
        var plan = BakePlanner.Plan(Problem(
            [Oven()],
            Bake("shells", due: 100, stages: [new BakeStage(200, 12, 12)]),
            Bake("custard", due: 520, earliestOut: 500, stages: [new BakeStage(170, 40, 40)], after: [new BakeAfter("shells", 20, 60, true)])), effort: 1);
        Assert.Empty(plan.Unplaced);
        Assert.InRange(plan.Trays.Single(tray => tray.BakeId == "shells").EndMin, 400, 440);
    }

    [Fact]
    public void The_search_betters_the_plan_that_is_built()
    {
        // What is built puts in one tray after another; a load that goes in later is never weighed. Twelve random days, none the worse.
        var saved = Enumerable.Range(1, 12).Select(seed =>
        {
            var problem = Problem(
                [Oven(shelves: 3), Oven("second", shelves: 2, heat: 10, cool: 6)],
                [.. Enumerable.Range(0, 7).Select(at => Bake($"bake-{at}", trays: 1 + ((seed + at) % 3), release: 10 * ((seed * at) % 7), due: 150 + (30 * ((seed + (3 * at)) % 9)), stages: [new BakeStage(160 + (20 * ((seed + at) % 4)), 20 + (at * 3), 30 + (at * 3))]))]);
            var (built, searched) = (BakePlanner.Plan(problem, 6), BakePlanner.Plan(problem, 60));
            Assert.Empty(BakePlanChecker.Check(problem, searched).Faults);
            Assert.True(searched.Cost.Total <= built.Cost.Total);
            return searched.Cost.Total / built.Cost.Total;
        }).ToArray();
        Assert.True(saved.Average() < 0.95m, $"{saved.Average()}");
    }

    [Theory]
    [InlineData(2001, 0)]
    [InlineData(500, 500)]
    public void What_no_bakery_bakes_is_built_and_not_searched(int trays, int followers)
    {
        var problem = Problem([Oven(shelves: 3000)], Bake("many", trays), Bake("then", followers, due: 700, after: [new BakeAfter("many", 0, 600, false)]));
        var (built, more) = (BakePlanner.Plan(problem, 6), BakePlanner.Plan(problem, 500));
        Assert.Empty(more.Unplaced);
        Assert.Equal(built.Cost, more.Cost);
    }

    [Fact]
    public void Trays_that_follow_tray_by_tray_need_not_wait_for_the_whole_bake()
    {
        // One shelf for shells: the second comes half an hour after the first, and its custard may too.
        var shells = Bake("shells", trays: 2, due: 900);
        BakeProblem Following(bool byTray) => Problem([Oven(shelves: 1)], shells, Bake("custard", trays: 2, due: 140, after: [new BakeAfter("shells", 0, 200, byTray)]));
        Assert.True(BakePlanner.Plan(Following(true)).Cost.TardyPieMin <= BakePlanner.Plan(Following(false)).Cost.TardyPieMin);
    }

    [Fact]
    public void A_pie_does_not_come_out_before_its_earliest_minute()
    {
        var plan = BakePlanner.Plan(Problem([Oven()], Bake("pear", trays: 2, due: 100, earliestOut: 400)));
        Assert.All(plan.Trays, tray => Assert.True(tray.EndMin >= 400));
    }

    [Fact]
    public void An_empty_problem_has_an_empty_plan()
    {
        var plan = BakePlanner.Plan(Problem([]));
        Assert.Empty(plan.Settings);
        Assert.Equal(0, plan.Cost.Total);
    }
}
