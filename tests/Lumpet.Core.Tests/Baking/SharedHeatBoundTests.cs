using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Planning;
using Xunit;
using static Lumpet.Core.Tests.Baking.Problems;

namespace Lumpet.Core.Tests.Baking;

/// <summary>
/// What is proved of heat, lateness and waiting together, against sums by hand and against every order of small crowds. Against
/// every plan of small problems it is held by the enumeration tests.
/// </summary>
public sealed class SharedHeatBoundTests
{
    private static decimal Proved(BakeProblem problem)
    {
        var plan = BakePlanner.Plan(problem);
        return SharedHeatBound.Of(problem, new BakeChains(problem), plan.Cost.Total, plan.Trays.Max(tray => tray.EndMin));
    }

    private static void ProvesNearly(decimal most, decimal proved) => Assert.InRange(proved, most * 0.995m, most);

    [Fact]
    public void Trays_that_cannot_wait_for_each_other_pay_for_an_oven_each() =>
        // Two single trays of 30 minutes, out at 100 and at 400 and no sooner: 60 hot minutes however many shelves there are.
        ProvesNearly(6000, Proved(Problem([Oven()], Bake("first", due: 100) with { EarliestOutMin = 100 }, Bake("second", due: 400) with { EarliestOutMin = 400 })));

    [Fact]
    public void Trays_that_can_share_pay_for_one_together_and_for_their_waiting() =>
        // The second is released at 100 and both fit one load of 30 minutes: out at 130, six pies due at 300, at a tenth a minute.
        ProvesNearly(3000 + (6 * 170 / 10m), Proved(Problem([Oven()], Bake("first", due: 130), Bake("second", release: 100, due: 300))));

    [Theory]
    [InlineData(900)]
    [InlineData(2500)]
    public void Of_waiting_and_heat_the_cheaper_is_proved(int close) =>
        // A tray due at 100 and one at 2,000: to bake both at once would have six pies wait for 1,900 minutes, a tenth each; an oven of its own is 3,000.
        ProvesNearly(3000 + (6 * 1900 / 10m), Proved(Problem([Oven(close: close)], Bake("first", due: 100), Bake("second", due: 2000))));

    [Fact]
    public void Trays_that_bear_no_common_heat_share_no_minute()
    {
        // 190 and 220 degrees, tolerance 5: 30 and 10 minutes.
        ProvesNearly(4000, Proved(Problem([Oven()], Bake("mild", due: 200), Bake("hot", due: 200, stages: [new BakeStage(220, 10, 10)])) with { Weights = BakeWeights.Usual with { EarlyTenths = 0 } }));
        // 190 and 195: both bear either.
        ProvesNearly(3000, Proved(Problem([Oven()], Bake("mild", due: 200), Bake("near", due: 200, stages: [new BakeStage(195, 10, 10)])) with { Weights = BakeWeights.Usual with { EarlyTenths = 0 } }));
    }

    [Fact]
    public void More_trays_than_places_pay_for_more_minutes() =>
        // Nine trays of 30 minutes on four shelves: 67.5 minutes at least; nobody waits.
        ProvesNearly(6750, Proved(Problem([Oven()], Bake("many", trays: 9, due: 800)) with { Weights = BakeWeights.Usual with { EarlyTenths = 0 } }));

    [Fact]
    public void An_oven_that_is_closed_bakes_nothing() =>
        // Open to 100 and from 500: of 30 minutes, due at 300, that cannot be in before 90, all six pies are 230 late.
        ProvesNearly(3000 + (6 * 230 * 1000), Proved(Problem([Oven().OpenAt([new OvenOpening(0, 100), new OvenOpening(500, 900)])], Bake("late", release: 90, due: 300))));

    [Fact]
    public void A_drop_is_paid_under_both_settings_and_a_move_takes_its_minutes()
    {
        // 10 minutes at 220 and 20 at 190, out at 100 sharp: 30 hot minutes.
        var drop = Bake("drop", due: 100, stages: [new BakeStage(220, 10, 10), new BakeStage(190, 20, 20)]) with { EarliestOutMin = 100 };
        ProvesNearly(3000, Proved(Problem([Oven()], drop)));
        // What is released at 60 and cannot be done in less than 30 is late by nothing at 90, and six pies by a minute each at 89.
        ProvesNearly(3000 + 6000, Proved(Problem([Oven()], drop with { EarliestOutMin = null, ReleaseMin = 60, DueMin = 89 })));
    }

    private static BakeProblem Crowd(int shelves, params (int Minutes, int Due, int Pies)[] trays) => new(0, 0, [new BakeOven("o", shelves, 100, 250, 8, 4, 180, 0, 2000)],
        [.. trays.Select((tray, at) => new Bake($"b{at}", [tray.Pies], [new BakeStage(180, tray.Minutes, tray.Minutes)], 0, tray.Due, null, null, []))]);

    [Fact]
    public void Ten_trays_due_at_once_on_one_shelf_are_late_by_what_a_shelf_takes()
    {
        // By hand: ten trays of 30 minutes and one pie, all due at 30: the second is 30 late, the tenth 270: 1350 in all. Parts of
        // ways may be mixed in the relaxation, so that it proves less, but more than half of it.
        var problem = Crowd(1, [.. Enumerable.Repeat((30, 30, 1), 10)]);
        var plan = BakePlanner.Plan(problem);
        Assert.Equal(1350, plan.Cost.TardyPieMin);
        Assert.InRange(plan.LowerBound.Total / 1000, 1350 / 2, 1350 + ((decimal)plan.Cost.OvenOnMin / 10));
        // On ten shelves nothing is late, and nothing is proved to be.
        var wide = BakePlanner.Plan(Crowd(10, [.. Enumerable.Repeat((30, 30, 1), 10)]));
        Assert.Equal(0, wide.Cost.TardyPieMin);
        Assert.True(wide.LowerBound.Total <= wide.Cost.Total);
    }

    [Fact]
    public void The_bound_is_never_above_the_best_order_of_a_crowd()
    {
        // One shelf, no heat to wait for: every order of six trays is tried.
        var dice = new Random(3);
        for (var round = 0; round < 40; round++)
        {
            (int Minutes, int Due, int Pies)[] trays = [.. Enumerable.Range(0, 6).Select(_ => (5 + dice.Next(40), 10 + dice.Next(80), 1 + dice.Next(6)))];
            var problem = Crowd(1, trays);
            var best = Orders([0, 1, 2, 3, 4, 5]).Min(order => Late(trays, order));
            var bound = TardyBound(problem);
            Assert.True(bound <= best, $"{round}: bound {bound}, best {best}");
            if (best > 200) Assert.True(bound > 0, $"{round}: nothing is proved of {best}");
        }
    }

    // What is proved of lateness is what the total proves beyond heat and changes, at a thousand each.
    private static decimal TardyBound(BakeProblem problem)
    {
        var bound = BakePlanner.Plan(problem).LowerBound;
        return Math.Floor((bound.Total - (100 * bound.OvenOnMin)) / 1000);
    }

    private static long Late((int Minutes, int Due, int Pies)[] trays, int[] order)
    {
        var (minute, late) = (0, 0L);
        foreach (var at in order)
        {
            minute += trays[at].Minutes;
            late += Math.Max(0, minute - trays[at].Due) * trays[at].Pies;
        }

        return late;
    }

    private static IEnumerable<int[]> Orders(int[] all) => all.Length <= 1 ? [all] : all.SelectMany(first => Orders([.. all.Where(other => other != first)]).Select(rest => (int[])[first, .. rest]));
}
