using CsCheck;
using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Files;
using Lumpet.Core.Baking.Planning;
using Lumpet.Core.DayPlan;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.Baking.Problems;

namespace Lumpet.Core.Tests.Baking;

/// <summary>What an open door loses, the one pair of hands, and pans of which there are only so many; every figure reckoned by hand.</summary>
public sealed class OvenDoorTests
{
    // Two trays of 30 minutes at 190 °C: an oven of 190 °C loses 20 degrees for each tray, and gains 8 in a minute, so that it is back after 3.
    private static readonly BakeProblem Losing = Problem([Oven(start: 190)], Bake("pear", release: 100), Bake("damson", release: 101)) with { OpenCPerTray = 20 };

    private static readonly BakeProblem Handled = Problem([Oven(start: 190) with { ActionMin = 2 }], Bake("pear", trays: 2, release: 100), Bake("damson", release: 100));

    [Theory]
    [InlineData(2, false)]
    [InlineData(3, true)]
    public void A_tray_enters_when_the_oven_has_regained_what_the_last_one_lost(int later, bool isRight) =>
        Assert.Equal(isRight ? [] : ["entering"], Broken(Losing, Stays(("pear", 1, 100), ("damson", 1, 100 + later))));

    [Fact]
    public void Trays_of_one_load_go_in_together_and_what_all_of_them_lose_is_regained_before_the_next()
    {
        // Three trays lose 60 degrees: 8 minutes at 8 a minute, where one has its own back after 3.
        var problem = Losing with { Bakes = [Bake("pear", trays: 3), Bake("damson")] };
        Assert.Empty(Broken(problem, Stays(("pear", 1, 100), ("pear", 2, 100), ("pear", 3, 100), ("damson", 1, 108))));
        Assert.Equal(["entering"], Broken(problem, Stays(("pear", 1, 100), ("pear", 2, 100), ("pear", 3, 100), ("damson", 1, 107))));
    }

    [Fact]
    public void No_chamber_gets_colder_than_the_room_through_its_door()
    {
        Assert.Equal(25, BakeOven.Opened(190, 9, 100));
        Assert.Equal(20, BakeOven.Opened(20, 9, 100));
        Assert.Equal(150, BakeOven.Opened(190, 2, 20));
        Assert.Equal(25, BakeOven.Opened(190, int.MaxValue, int.MaxValue));
        // From 25 up to 190 at 8 a minute: 21 minutes.
        var wide = Losing with { OpenCPerTray = 500 };
        Assert.Empty(Broken(wide, Stays(("pear", 1, 100), ("damson", 1, 121))));
        Assert.Equal(["entering"], Broken(wide, Stays(("pear", 1, 100), ("damson", 1, 120))));
    }

    [Fact]
    public void What_is_lost_is_lost_to_what_is_baked_next()
    {
        // 190 °C less 20 is 170; set to 230 in that minute it takes 8 minutes to get there, and 5 without the loss.
        var problem = Losing with { Bakes = [Bake("pear", stages: [new BakeStage(190, 1, 1)], release: 100), Bake("hot", stages: [new BakeStage(230, 10, 10)])] };
        StatedBakePlan Hot(int at) => Plan([new("deck", 76, 190), new("deck", 101, 230), new("deck", at + 10, null)], [Stay("pear", 1, 100, 1), Stay("hot", 1, at, 10)]);
        Assert.Empty(Broken(problem, Hot(108)));
        Assert.Equal(["entering"], Broken(problem, Hot(107)));
        Assert.Empty(Broken(problem with { OpenCPerTray = 0 }, Hot(107)));
    }

    [Fact]
    public void The_planner_waits_for_the_door_or_puts_trays_in_together()
    {
        // Due one after the other within a minute, and no oven is on for nothing.
        var plan = BakePlanner.Plan(Losing with { Bakes = [Bake("pear", due: 130, earliestOut: 130), Bake("damson", due: 131, earliestOut: 131)] });
        Assert.Equal(plan.Trays[0].StartMin, plan.Trays[1].StartMin);
        var apart = Losing with { Bakes = [Bake("pear", due: 130, stages: [new BakeStage(190, 30, 30)]), Bake("damson", due: 131, release: 101, stages: [new BakeStage(190, 30, 30)])] };
        Assert.Equal([98, 101], BakePlanner.Plan(apart).Trays.Select(tray => tray.StartMin));
        Assert.Equal([100, 101], BakePlanner.Plan(apart with { OpenCPerTray = 0 }).Trays.Select(tray => tray.StartMin));
    }

    [Fact]
    public void What_an_oven_lost_is_drawn_and_is_where_a_plan_goes_on_from()
    {
        var plan = BakePlanner.Plan(Losing with { Bakes = [Bake("pear", trays: 2, release: 100, due: 130, stages: [new BakeStage(190, 30, 30)])] });
        Assert.Equal(100, plan.Trays[0].StartMin);
        // 40 degrees down, of which 8 are back a minute later.
        Assert.Equal(158, Replanning.From(Losing with { Bakes = [Bake("pear", trays: 2)] }, plan, 101).Ovens[0].StartC);
        var curve = Assert.Single(HeatCurve.Of(Losing.Ovens[0], plan.Settings, BakedTray.EnteringAll(Losing, plan.Trays, "deck"), 20, 10));
        Assert.Contains(new HeatPoint(100, 190), curve);
        Assert.Contains(new HeatPoint(101, 158), curve);
        Assert.Contains(new HeatPoint(105, 190), curve);
    }

    [Fact]
    public void One_pair_of_hands_is_at_one_door_at_a_time()
    {
        // Two minutes a tray: three trays keep the hands for six.
        Assert.Empty(Broken(Handled, Stays(("pear", 1, 100), ("pear", 2, 100), ("damson", 1, 104))));
        Assert.Equal(["hands"], Broken(Handled, Stays(("pear", 1, 100), ("pear", 2, 100), ("damson", 1, 103))));
        // What comes out while something is put in is in the way as well, in another oven too.
        var two = Problem([Oven(start: 190) with { ActionMin = 2 }, Oven("other", start: 190) with { ActionMin = 1 }], Bake("pear"), Bake("damson"));
        Assert.Equal(["hands"], Broken(two, Other(131)));
        Assert.Empty(Broken(two, Other(132)));
        // An oven that says nothing of hands needs none.
        Assert.Empty(Broken(two with { Ovens = [two.Ovens[0], two.Ovens[1] with { ActionMin = 0 }] }, Other(131)));

        StatedBakePlan Other(int at) => Plan(
            [new("deck", 76, 190), new("other", 76, 190), new("deck", 130, null), new("other", at + 30, null)],
            [Stay("pear", 1, 100, 30), new BakedTray("damson", 1, [new BakedStage("other", at, at + 30)])]);
    }

    [Fact]
    public void The_planner_gives_the_hands_time()
    {
        // Three trays at 2 minutes, all to be out by 200: one by one, or together with their stay long enough for what goes in before what comes out.
        var problem = Handled with { Bakes = [Bake("pear", trays: 3, due: 200, stages: [new BakeStage(190, 4, 4)])] };
        var plan = BakePlanner.Plan(problem);
        Assert.Empty(plan.Unplaced);
        Assert.Empty(BakePlanChecker.Check(problem, plan).Faults);
        // Of a stay of four minutes no more than two trays are put in before the first must come out.
        Assert.All(plan.Trays.GroupBy(tray => tray.StartMin), load => Assert.InRange(load.Count(), 1, 2));
    }

    [Fact]
    public void A_pie_is_in_its_pan_from_before_it_goes_in_until_after_it_is_out()
    {
        // Twelve pans, six pies on a tray: two trays at a time. In use from 10 minutes before until 20 after 30 of baking.
        var pear = Bake("pear", trays: 3) with { Pan = new PanNeed("23", 10, 20) };
        var problem = Problem([Oven(start: 190)], pear) with { Pans = [new PanStock("23", 12)] };
        Assert.Empty(Broken(problem, Stays(("pear", 1, 100), ("pear", 2, 100), ("pear", 3, 160))));
        Assert.Equal(["pans"], Broken(problem, Stays(("pear", 1, 100), ("pear", 2, 100), ("pear", 3, 159))));
        var plan = BakePlanner.Plan(problem);
        Assert.Empty(plan.Unplaced);
        Assert.Equal(60, plan.Trays.Max(tray => tray.StartMin) - plan.Trays.Min(tray => tray.StartMin));
        Assert.Single(BakePlanner.Plan(problem with { Pans = [new PanStock("23", 18)] }).Trays.Select(tray => tray.StartMin).Distinct());
        Assert.All(BakePlanner.Plan(problem with { Pans = [new PanStock("23", 5)] }).Unplaced, tray => Assert.Equal("there are 5 pans 23, fewer than stand on a tray", tray.Reason));
    }

    [Fact]
    public void Pans_are_in_use_for_longer_by_the_hour()
    {
        // What goes in by 190 was lined at 140, and what is out from 205 on is boxed at 280: one tray's pans at a time.
        var pear = Bake("pear", trays: 2, due: 600) with { Pan = new PanNeed("23", 10, 20) { Since = [new PansSince(190, 140)], Until = [new PansUntil(205, 280)] } };
        var problem = Problem([Oven(start: 190)], pear) with { Pans = [new PanStock("23", 6)] };
        Assert.Empty(Broken(problem, Stays(("pear", 1, 180), ("pear", 2, 290))));
        Assert.Equal(["pans"], Broken(problem, Stays(("pear", 1, 180), ("pear", 2, 289))));
        // Out at 130 they are free at 150, and what goes in at 191 is lined at 181: but at 190 it was lined at 140.
        Assert.Empty(Broken(problem, Stays(("pear", 1, 100), ("pear", 2, 191))));
        Assert.Equal(["pans"], Broken(problem, Stays(("pear", 1, 100), ("pear", 2, 190))));
        var plan = BakePlanner.Plan(problem);
        Assert.Empty(plan.Unplaced);
        Assert.Empty(BakePlanChecker.Check(problem, plan).Faults);
    }

    [Fact]
    public void When_pans_come_free_and_by_when_a_tray_must_be_out_are_the_same_question_backwards() =>
        Gen.Select(Gen.Int[0, 9], Gen.Int[0, 9], Gen.Int[0, 15].Array[0, 4], Gen.Int[0, 15].Array[0, 4]).SampleTheSame(parts =>
        {
            var (before, after, since, until) = parts;
            var (by, from) = (since.Order().Distinct().Select((gap, at) => new PansSince((10 * at) + gap, 5 * at)).ToArray(), until.Order().Distinct().Select((gap, at) => new PansUntil((10 * at) + gap, (10 * at) + gap + (5 * at))).ToArray());
            var need = new PanNeed("23", before, after) { Since = by, Until = from };
            for (var free = -5; free < 90; free++)
            {
                Assert.Equal(Enumerable.Range(-40, 200).Last(minute => need.InUseFrom(minute) < free) + 1, need.FirstIn(free));
                Assert.Equal(Enumerable.Range(-40, 200).First(minute => need.InUseUntil(minute) > free) - 1, need.LastOut(free));
            }
        }, iter: 200);

    [Fact]
    public void Nothing_goes_in_or_comes_out_while_the_work_around_it_finds_nobody()
    {
        var pear = Bake("pear", due: 150) with { NotIn = [new DoorPause(105, 112)], NotOut = [new DoorPause(146, 150)] };
        var problem = Problem([Oven()], pear);
        Assert.Empty(Broken(problem, Stays(("pear", 1, 104))));
        Assert.Equal(["window"], Broken(problem, Stays(("pear", 1, 105))));
        Assert.Equal(["window"], Broken(problem, Stays(("pear", 1, 112))));
        Assert.Empty(Broken(problem, Stays(("pear", 1, 113))));
        Assert.Equal(["window"], Broken(problem, Stays(("pear", 1, 116))));
        var plan = BakePlanner.Plan(problem);
        // As late as it may be: a minute later nobody takes it on.
        Assert.Equal(145, Assert.Single(plan.Trays).EndMin);
        // Minutes are counted from another: so are they.
        var later = Replanning.From(problem, plan, 10).Bakes[0];
        Assert.Equal((new DoorPause(95, 102), new DoorPause(136, 140)), (later.NotIn[0], later.NotOut[0]));
    }

    [Fact]
    public void Where_pans_may_be_what_is_missing_they_are_named()
    {
        var pear = Bake("pear", trays: 4, due: 60, stages: [new BakeStage(190, 30, 30)]) with { Pan = new PanNeed("23", 0, 400) };
        var problem = Problem([Oven(start: 190, close: 100)], pear) with { Pans = [new PanStock("23", 12)] };
        Assert.All(BakePlanner.Plan(problem).Unplaced, tray => Assert.Equal("too few pans 23, or too few shelves, before the window ends", tray.Reason));
        Assert.Equal(2, BakePlanner.Plan(problem).Unplaced.Count);
        // Enough pans for all of them: then it is the shelves.
        var crowded = problem with { Ovens = [Oven(start: 190, close: 31, shelves: 2)], Pans = [new PanStock("23", 24)] };
        Assert.All(BakePlanner.Plan(crowded).Unplaced, tray => Assert.Equal("too few shelves before the window ends", tray.Reason));
    }

    [Fact]
    public void A_pie_that_is_baked_again_keeps_its_pan_in_between()
    {
        // One tray of shells, filled and baked an hour later: its six pans are not free for another tray in that hour.
        var shells = Bake("shells") with { Pan = new PanNeed("23", 0, 0) };
        var filled = Bake("filled", after: [new BakeAfter("shells", 60, 60, true)]) with { Pan = new PanNeed("23", 0, 0) };
        var problem = Problem([Oven(start: 190)], shells, filled, Bake("other") with { Pan = new PanNeed("23", 0, 0) }) with { Pans = [new PanStock("23", 6)] };
        Assert.Equal(["pans"], Broken(problem, Stays(("shells", 1, 100), ("filled", 1, 190), ("other", 1, 140))));
        Assert.Empty(Broken(problem, Stays(("shells", 1, 100), ("filled", 1, 190), ("other", 1, 220))));
        var apart = problem with { Bakes = [shells, filled with { Pan = null }, problem.Bakes[2]] };
        Assert.Empty(Broken(apart, Stays(("shells", 1, 100), ("filled", 1, 190), ("other", 1, 140))));
        var plan = BakePlanner.Plan(problem);
        Assert.Empty(plan.Unplaced);
        Assert.Empty(BakePlanChecker.Check(problem, plan).Faults);
    }

    [Fact]
    public void They_are_written_and_read_and_what_is_wrong_is_named()
    {
        var problem = Losing with { Ovens = [Oven() with { ActionMin = 2 }], Bakes = [Bake("pear") with { Pan = new PanNeed("23", 10, 20) }], Pans = [new PanStock("23", 12)] };
        var text = BakePlanFile.Write(problem);
        var read = BakeProblemFile.Read(text);
        Assert.Equal((20, 2, new PanNeed("23", 10, 20), new PanStock("23", 12)), (read.OpenCPerTray, read.Ovens[0].ActionMin, read.Bakes[0].Pan, Assert.Single(read.Pans)));
        AreNamed(text,
        [
            ("\"openCPerTray\": 20", "\"openCPerTray\": -1", "openCPerTray"),
            ("\"actionMin\": 2", "\"actionMin\": 1.5", "ovens[0] (deck).actionMin"),
            ("\"count\": 12", "\"count\": -12", "pans[0] (23).count"),
            ("\"afterMin\": 20", "\"afterMin\": \"20\"", "bakes[0] (pear).pan.afterMin"),
            ("\"id\": \"23\",\n        \"beforeMin\"", "\"id\": \"24\",\n        \"beforeMin\"", "bakes[0] (pear).pan"),
        ]);
    }

    [Fact]
    public void Hours_of_doors_and_pans_are_written_and_read_and_what_is_out_of_order_is_named()
    {
        var pan = new PanNeed("23", 10, 20) { Since = [new PansSince(100, 40), new PansSince(200, 60)], Until = [new PansUntil(120, 300), new PansUntil(310, 400)] };
        var bake = Bake("pear") with { Pan = pan, NotIn = [new DoorPause(50, 70), new DoorPause(72, 72)], NotOut = [new DoorPause(-5, 12)] };
        var text = BakePlanFile.Write(Problem([Oven()], bake) with { Pans = [new PanStock("23", 12)] });
        var read = BakeProblemFile.Read(text).Bakes[0];
        Assert.Equal((pan.Since, pan.Until), (read.Pan!.Since, read.Pan.Until), (one, other) => one.Item1.SequenceEqual(other.Item1) && one.Item2.SequenceEqual(other.Item2));
        Assert.Equal(bake.NotIn, read.NotIn);
        Assert.Equal(bake.NotOut, read.NotOut);
        AreNamed(text,
        [
            ("\"fromMin\": 72", "\"fromMin\": 70", "bakes[0] (pear).notIn[1].fromMin"),
            ("\"toMin\": 12", "\"toMin\": -6", "bakes[0] (pear).notOut[0].toMin"),
            ("\"byMin\": 200", "\"byMin\": 100", "bakes[0] (pear).pan.since[1].byMin"),
            ("\"sinceMin\": 60", "\"sinceMin\": 39", "bakes[0] (pear).pan.since[1].sinceMin"),
            ("\"sinceMin\": 40", "\"sinceMin\": 101", "bakes[0] (pear).pan.since[0].byMin"),
            ("\"untilMin\": 400", "\"untilMin\": 299", "bakes[0] (pear).pan.until[1].untilMin"),
            ("\"untilMin\": 300", "\"untilMin\": 119", "bakes[0] (pear).pan.until[0].untilMin"),
            ("\"untilMin\": 300", "\"untilMin\": \"late\"", "bakes[0] (pear).pan.until[0].untilMin"),
        ]);
    }

    private static void AreNamed(string text, IReadOnlyList<(string Right, string Wrong, string Field)> spoilt)
    {
        foreach (var (right, wrong, field) in spoilt)
        {
            var spoiled = text.Replace(right, wrong, StringComparison.Ordinal);
            Assert.NotEqual(text, spoiled);
            Assert.Contains(field, Assert.Throws<BakeFileException>(() => BakeProblemFile.Read(spoiled)).Faults.Select(fault => fault.Field));
        }
    }

    [Fact]
    public void What_runs_is_in_pans_that_there_are_and_is_taken_out_whenever_it_is_done()
    {
        var bake = Bake("pear", trays: 2) with { Pan = new PanNeed("23", 0, 20) };
        RunningTray Running(int tray) => new("pear", tray, [new RunningStage("deck", -10, null)]);
        var problem = Problem([Oven(start: 190) with { StartSettingC = 190, ActionMin = 3 }], bake) with { Pans = [new PanStock("23", 12)], Running = [Running(1), Running(2)] };
        // Both come out at one minute, which no hands could do if they were asked.
        var plan = BakePlanner.Plan(BakeProblemFile.Read(BakePlanFile.Write(problem)));
        Assert.Empty(plan.Unplaced);
        Assert.Empty(BakePlanChecker.Check(problem, plan).Faults);
        // In two ovens as well: what is over its time comes out at once at both.
        RunningTray Over(string bake, string oven) => new(bake, 1, [new RunningStage(oven, -40, null)]);
        BakeOven On(string id) => Oven(id, start: 190) with { StartSettingC = 190, ActionMin = 3 };
        var two = Problem([On("deck"), On("other")], Bake("pear"), Bake("damson")) with { Running = [Over("pear", "deck"), Over("damson", "other")] };
        var both = BakePlanner.Plan(two);
        Assert.Equal([1, 1], both.Trays.Select(tray => tray.EndMin));
        Assert.Empty(BakePlanChecker.Check(two, both).Faults);
        var few = problem with { Pans = [new PanStock("23", 11)] };
        Assert.Contains("pans[0] (23).count", Assert.Throws<BakeFileException>(() => BakeProblemFile.Read(BakePlanFile.Write(few))).Faults.Select(fault => fault.Field));
    }

    private static BakedTray Stay(string bake, int number, int start, int minutes) => new(bake, number, [new BakedStage("deck", start, start + minutes)]);

    private static StatedBakePlan Stays(params (string Bake, int Tray, int Start)[] trays) =>
        Plan([new("deck", 76, 190), new("deck", trays.Max(tray => tray.Start) + 30, null)], [.. trays.Select(tray => Stay(tray.Bake, tray.Tray, tray.Start, 30))]);

    private static StatedBakePlan Plan(OvenSetting[] settings, BakedTray[] trays) => new(settings, trays, [], new Dictionary<string, decimal>(), new Dictionary<string, decimal>());

    // What a plan costs is not what is asked here.
    private static string[] Broken(BakeProblem problem, StatedBakePlan plan) =>
        [.. BakePlanChecker.Check(problem, plan).Faults.Select(fault => fault.Rule).Where(rule => rule is not ("cost" or "bound")).Distinct()];
}
