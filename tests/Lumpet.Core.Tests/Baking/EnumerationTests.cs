using CsCheck;
using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Files;
using Lumpet.Core.Baking.Planning;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.Baking.Problems;

namespace Lumpet.Core.Tests.Baking;

/// <summary>For small instances exhaustive enumeration is the reference: every plan of two trays in one oven, each checked.</summary>
public sealed class EnumerationTests
{
    private const int Close = 40;

    // A shelf, a hot start and quick rates keep the enumeration small: 25 to 180 takes 8 minutes.
    private static readonly BakeOven Small = Oven(shelves: 1, start: 100, close: Close, heat: 20, cool: 20);

    private static readonly Gen<BakeProblem> AnySmall =
        Gen.Select(Gen.Int[3, 9], Gen.Int[3, 9], Gen.Bool, Gen.Int[5, Close], Gen.Int[5, Close], Gen.Int[0, 15]).Select(draw => Problem(
            [Small],
            Bake("one", due: draw.Item4, stages: [new BakeStage(140, draw.Item1, draw.Item1)]),
            Bake("two", due: draw.Item5, release: draw.Item6, stages: [new BakeStage(draw.Item3 ? 140 : 180, draw.Item2, draw.Item2)])));

    [Fact]
    public void No_bound_is_above_the_best_of_all_plans_and_the_planner_finds_it() => AnySmall.Sample(
        problem =>
        {
            var best = Best(problem);
            var plan = BakePlanner.Plan(problem);
            Assert.Empty(plan.Unplaced);
            Assert.True(plan.LowerBound.Total <= best, $"bound {plan.LowerBound.Total}, best {best}");
            Assert.True(plan.Cost.Total >= best, $"planned {plan.Cost.Total}, best {best}");
            // Short pauses with the oven off are not planned (docs/decisions/0001), so a plan may cost a few minutes more.
            Assert.True(plan.Cost.Total <= best + 600, $"planned {plan.Cost.Total}, best {best}");
        },
        iter: 12);

    private static decimal Best(BakeProblem problem)
    {
        var best = decimal.MaxValue;
        foreach (var (first, second) in new[] { (0, 1), (1, 0) })
        {
            var (one, two) = (problem.Bakes[first], problem.Bakes[second]);
            for (var start = one.ReleaseMin; start + one.Stages[0].MinMin <= Close; start++)
                for (var next = Math.Max(two.ReleaseMin, start + one.Stages[0].MinMin); next + two.Stages[0].MinMin <= Close; next++)
                    foreach (var settings in Settings(one, start, two, next))
                        best = Math.Min(best, CostOf(problem, settings, [Baked(one, start), Baked(two, next)]));
        }

        return best;
    }

    /// <summary>Every way to heat for two trays: on just in time for the first; in between straight on, or off and on again at any minute.</summary>
    private static IEnumerable<OvenSetting[]> Settings(Bake one, int start, Bake two, int next)
    {
        var (hot, then, end) = (one.Stages[0].TempC, two.Stages[0].TempC, start + one.Stages[0].MinMin);
        var last = next + two.Stages[0].MinMin;
        for (var on = Math.Max(0, start - 8); on <= start; on++)
        {
            if (hot == then) yield return [new("deck", on, hot), new("deck", last, null)];
            else
                for (var change = end; change <= next; change++)
                    yield return [new("deck", on, hot), new("deck", change, then), new("deck", last, null)];
            for (var again = end + 1; again <= next; again++)
                yield return [new("deck", on, hot), new("deck", end, null), new("deck", again, then), new("deck", last, null)];
        }
    }

    private static BakedTray Baked(Bake bake, int start) => new(bake.Id, 1, [new("deck", start, start + bake.Stages[0].MinMin)]);

    private static decimal CostOf(BakeProblem problem, OvenSetting[] settings, BakedTray[] trays)
    {
        var verdict = BakePlanChecker.Check(problem, new StatedBakePlan(settings, trays, [], new Dictionary<string, decimal>(), new Dictionary<string, decimal>()));
        // The figures are not stated here; every other fault makes the plan no plan.
        return verdict.Faults.All(fault => fault.Rule is "cost" or "bound") ? verdict.Cost.Total : decimal.MaxValue;
    }
}
