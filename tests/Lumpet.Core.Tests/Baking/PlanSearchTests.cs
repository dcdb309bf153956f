using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Planning;
using Xunit;
using static Lumpet.Core.Tests.Baking.Problems;

namespace Lumpet.Core.Tests.Baking;

/// <summary>How a search goes on for long: it leaves what it betters no more, and never gives up what it has.</summary>
public sealed class PlanSearchTests
{
    private static readonly BakeProblem Day = Problem(
        [Oven(shelves: 3), Oven("second", shelves: 3, heat: 10, cool: 5)],
        Bake("shells", trays: 4, due: 300, stages: [new BakeStage(200, 14, 18)]),
        Bake("custard", trays: 4, due: 480, stages: [new BakeStage(165, 40, 50)], after: [new BakeAfter("shells", 20, 200, true)]),
        Bake("pear", trays: 5, due: 420, stages: [new BakeStage(220, 10, 15), new BakeStage(185, 30, 40)]),
        Bake("damson", trays: 3, due: 500, stages: [new BakeStage(215, 12, 18), new BakeStage(180, 25, 35)]),
        Bake("minis", trays: 4, due: 390, stages: [new BakeStage(200, 15, 20)]));

    private static PlanSearch Search(BakeProblem problem, int seed) => new(problem, new BakeChains(problem), 600, new Dictionary<(string Bake, int Tray), TrayPath>(), seed, CancellationToken.None);

    [Fact]
    public void The_best_plan_is_kept_however_far_a_search_wanders()
    {
        for (var seed = 1; seed <= 2; seed++)
        {
            var search = Search(Day, seed);
            var before = search.BestCost;
            for (var turn = 0; turn < 6; turn++)
            {
                search.Run(2000);
                Assert.True(search.BestCost <= before, $"seed {seed}, turn {turn}: {search.BestCost} after {before}");
                before = search.BestCost;
                // What is told as the best costs what is told: the ovens filled with it, and every tray at its pick-up.
                var ofOvens = search.FilledOvens().Sum(oven => 10 * oven.Cost);
                var early = search.Best.Sum(one => 6L * (Day.Bakes.First(bake => bake.Id == one.Key.Bake).DueMin - one.Value.End));
                Assert.Equal(20, search.Best.Count);
                Assert.Equal(before, ofOvens + early);
            }
        }
    }

    [Fact]
    public void A_search_that_finds_nothing_better_leaves_for_another_plan()
    {
        // Nothing is ever better than one tray at its pick-up: what is at home costs more only where a search has left.
        var problem = Problem([Oven(close: 700), Oven("second", close: 700)], Bake("pear", trays: 3), Bake("damson", trays: 2, due: 420, stages: [new BakeStage(170, 30, 40)]), Bake("plum", due: 500, stages: [new BakeStage(230, 12, 12)]));
        var search = Search(problem, 1);
        var left = 0;
        for (var turn = 0; turn < 40; turn++)
        {
            search.Run(400);
            if (search.IsAway) left++;
        }

        Assert.InRange(left, 1, 39);
    }

    [Fact]
    public void What_another_search_found_calls_back_only_one_that_is_at_home()
    {
        var (far, found) = (Search(Day, 1), Search(Day, 2));
        found.Run(4000);
        var known = found.BestCost;
        Assert.True(far.BestCost > known);
        far.GoOnFrom(found);
        Assert.Equal(known, far.BestCost);
        far.GoOnFrom(Search(Day, 3));
        Assert.Equal(known, far.BestCost);
    }

    [Fact]
    public void A_pick_up_that_is_sooner_takes_what_is_baked_before_it_along()
    {
        BakeProblem DueAt(int due) => Problem(
            [Oven(shelves: 2, close: 900)],
            Bake("pear", trays: 8, due: due, stages: [new BakeStage(200, 30, 30)]),
            Bake("plum", trays: 2, due: 700, stages: [new BakeStage(200, 30, 30)]));
        var found = Search(DueAt(400), 1);
        found.Run(2000);
        Assert.Equal(10, found.Best.Count);
        var search = Search(DueAt(340), 1);
        search.StartFrom(found.Best);
        foreach (var ((bake, number), way) in found.Best)
            Assert.Equal((bake == "pear" ? way.Start - 60 : way.Start, bake == "pear" ? way.End - 60 : way.End), (search.Best[(bake, number)].Start, search.Best[(bake, number)].End));
    }

    [Fact]
    public void A_tray_that_is_out_in_time_only_because_it_is_carried_finds_its_way()
    {
        // The hearth must be empty by 47 and the finisher holds for 22 min at most: 47 and 5 on the way and 22 make the 74 that is asked for.
        var problem = new BakeProblem(
            0, 5, [new BakeOven("hearth", 2, 200, 280, 8, 4, 25, 0, 47), new BakeOven("finisher", 2, 90, 199, 8, 4, 25, 0, 300)],
            [new Bake("pear", [6], [new BakeStage(220, 10, 12), new BakeStage(180, 20, 22)], 0, 120, 74, null, [])]);
        var plan = BakePlanner.Plan(problem, effort: 40);
        Assert.Empty(plan.Unplaced);
        Assert.Equal(74, Assert.Single(plan.Trays).EndMin);
        // A minute more is asked for, and there is none.
        Assert.Single(BakePlanner.Plan(problem with { Bakes = [problem.Bakes[0] with { EarliestOutMin = 75 }] }, effort: 40).Unplaced);
    }

    [Fact]
    public void An_oven_is_switched_on_as_late_as_lets_it_arrive_and_not_a_minute_sooner()
    {
        // Against the chamber's law minute by minute, for every pause between two loads, hot and less hot.
        var compared = 0;
        foreach (var (heat, cool) in new[] { (8, 4), (10, 5), (3, 7), (1, 1), (40, 2) })
            foreach (var (first, second) in new[] { (200, 200), (220, 180), (180, 230), (90, 280), (280, 90) })
                for (var pause = 20; pause < 260; pause += 7)
                {
                    var problem = Problem([Oven(heat: heat, cool: cool, start: first)], Bake("a"));
                    var oven = new OvenTimeline(problem, problem.Ovens[0], 900, new OvenDoors(problem, 900));
                    oven.Put(new OvenVisit(0, 0, [.. Enumerable.Repeat(first, 20)], [20], first, 0), floor: false);
                    if (!oven.CanBeAt(second, 20 + pause)) continue;
                    oven.Put(new OvenVisit(0, 20 + pause, [.. Enumerable.Repeat(second, 20)], [20], second, 0), floor: false);
                    var settings = oven.Settings().ToArray();
                    var on = settings.Last(setting => setting.TempC == second).AtMin;
                    Assert.Equal(second, Chamber(settings, on));
                    compared += on > 20 && on < 20 + pause ? 1 : 0;
                    // It is not switched off for a moment only, and what cools by itself is not switched on before the load.
                    if (on > 20 && on < 20 + pause) Assert.NotEqual(second, Chamber([.. settings.Where(setting => setting.AtMin != on), new OvenSetting("deck", on + 1, second)], on + 1));

                    int Chamber(IReadOnlyList<OvenSetting> all, int from)
                    {
                        var now = first;
                        for (var minute = 0; minute < 20 + pause; minute++)
                        {
                            var celsius = minute >= from ? second : all.Where(setting => setting.AtMin <= minute && setting.AtMin != from).Select(setting => setting.TempC).LastOrDefault();
                            now = celsius is { } set
                                ? now < set ? Math.Min(set, now + heat) : Math.Max(set, now - cool)
                                : Math.Max(Math.Min(25, now), now - cool);
                        }

                        return now;
                    }
                }
        Assert.True(compared > 300, $"{compared}");
    }
}
