using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Planning;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.Baking.Problems;

namespace Lumpet.Core.Tests.Baking;

/// <summary>For small problems exhaustive enumeration is the reference (<see cref="EveryPlan"/>): up to six trays in one oven, or two in two.</summary>
public sealed class EnumerationTests
{
    private const int Close = 26;
    private const int Problems = 40;

    private static readonly int[] Celsius = [140, 145, 180, 200];

    /// <summary>A problem by chance, the same for a seed: temperatures that share and that do not, two stages, lags, windows.</summary>
    private static BakeProblem Any(int seed)
    {
        var state = (ulong)(seed + 1) * 0x9E3779B97F4A7C15UL;
        int Next(int below)
        {
            state = unchecked((state * 6364136223846793005UL) + 1442695040888963407UL);
            return (int)((state >> 33) % (ulong)below);
        }

        BakeStage Stage()
        {
            var least = 1 + Next(4);
            return new BakeStage(Celsius[Next(4)], least, least + Next(3));
        }

        Bake One(string id, int trays)
        {
            var due = 8 + Next(Close - 7);
            return Bake(id, trays, due: due, release: Next(9), earliestOut: Next(4) == 0 ? due - 4 : null, stages: Next(3) == 0 ? [Stage(), Stage()] : [Stage()]);
        }

        // Quick ovens keep it small: 25 to 180 takes 4 minutes.
        var two = Next(3) == 0;
        BakeOven[] ovens = [Oven(shelves: 1 + Next(3), start: 100, close: Close, heat: 40, cool: 20), Oven("second", shelves: 1, start: 60, close: Close, heat: 40, cool: 40)];
        Bake[] bakes = two ? [One("one", 1), One("two", 1)] : [One("one", 1 + Next(2)), One("two", 1 + Next(2)), One("three", 1 + Next(2))];
        if (Next(4) == 0) bakes[1] = bakes[1] with { Trays = [5], After = [new BakeAfter("one", 2, 14, false)] };
        bakes = bakes[..(1 + Next(bakes.Length))];
        // Of a few trays now and then the floor has a place of its own, or the oven is closed for a while in the middle.
        var areFew = bakes.Sum(bake => bake.Trays.Count) <= 4;
        if (areFew && Next(3) == 0) (ovens[0], bakes[0]) = (ovens[0] with { FloorPlaces = Next(2) }, bakes[0] with { OnFloor = true });
        if (areFew && Next(3) == 0) ovens[0] = ovens[0].OpenAt([new OvenOpening(0, 12), new OvenOpening(17, Close)]);
        // Every third has doors that lose heat, slowly regained; every third a pair of hands that takes its time.
        if (Next(3) == 0) ovens[0] = ovens[0] with { HeatCPerMin = 20 };
        var lost = ovens[0].HeatCPerMin == 20 ? 10 + Next(40) : 0;
        if (Next(3) == 0) ovens = [.. ovens.Select(oven => oven with { ActionMin = 1 + Next(2) })];
        // And every third has pans for two trays at a time, some of which cool in them.
        PanStock[] pans = Next(3) == 0 ? [new PanStock("23", 12)] : [];
        if (pans.Length > 0) bakes = [.. bakes.Select((bake, at) => at == 1 ? bake : bake with { Pan = new PanNeed("23", 0, 4 * Next(3)) })];
        // Some bakes find nobody for the work before or after them, and some pans are not emptied before an hour.
        if (Next(3) == 0) bakes[0] = bakes[0] with { NotIn = [new DoorPause(6 + Next(4), 10 + Next(6))] };
        if (Next(3) == 0) bakes[^1] = bakes[^1] with { NotOut = [new DoorPause(14 + Next(4), 18 + Next(6))] };
        if (bakes[0].Pan is { } need && Next(2) == 0) bakes[0] = bakes[0] with { Pan = need with { Until = [new PansUntil(12 + Next(4), 20 + Next(6))] } };
        return Problem(two ? ovens : ovens[..1], bakes) with { OpenCPerTray = lost, Pans = pans };
    }

    [Fact]
    public void Of_small_problems_the_best_plan_is_found_nothing_is_left_out_without_need_and_no_bound_is_above_it()
    {
        var wrong = new List<string>();
        for (var seed = 0; seed < Problems; seed++)
        {
            var problem = Any(seed);
            var plan = BakePlanner.Plan(problem);
            Assert.Empty(BakePlanChecker.Check(problem, plan).Faults);
            // The planner's own plan is one of all.
            if (EveryPlan.Best(problem, Close, plan.Cost.UnplacedPies, (long)(plan.Cost.Total * 10)) is not var (left, tenths)) wrong.Add($"{seed}: no plan is as good as {plan.Cost}");
            else if (plan.Cost.UnplacedPies != left) wrong.Add($"{seed}: left out {plan.Cost.UnplacedPies}, needed {left}");
            else if (left == 0 && plan.LowerBound.Total * 10 > tenths) wrong.Add($"{seed}: bound {plan.LowerBound.Total}, best {tenths / 10m}");
            else if (plan.Cost.Total * 10 > tenths * 1.02m) wrong.Add($"{seed}: planned {plan.Cost.Total}, best {tenths / 10m}");
        }

        Assert.True(wrong.Count == 0, string.Join("; ", wrong));
    }
}
