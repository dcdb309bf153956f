using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Planning;
using Xunit;

namespace Lumpet.Core.Tests.Baking;

public sealed class TardyBoundTests
{
    private static BakeProblem Crowd(int shelves, params (int Minutes, int Due, int Pies)[] trays) => new(0, 0, [new BakeOven("o", shelves, 100, 250, 8, 4, 180, 0, 2000)],
        [.. trays.Select((tray, at) => new Bake($"b{at}", [tray.Pies], [new BakeStage(180, tray.Minutes, tray.Minutes)], 0, tray.Due, null, null, []))]);

    [Fact]
    public void Ten_trays_due_at_once_on_one_shelf_are_late_by_what_a_shelf_takes()
    {
        // By hand: ten trays of 30 minutes and one pie, all due at 30: the second is 30 late, the tenth 270: 1350 in all. The pieces of
        // a tray may lie apart in the relaxation, so that it proves less, but more than half of it.
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
