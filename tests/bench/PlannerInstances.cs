using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Planning;
using Lumpet.Core.DayPlan;

namespace Lumpet.Bench;

/// <summary>Oven problems of our own to measure the planner by: the same ones every time.</summary>
internal static class PlannerInstances
{
    /// <summary>What is measured: a name, the seconds that are allowed, and the problem.</summary>
    public static IReadOnlyList<(string Name, int Seconds, BakeProblem Problem)> All { get; } =
    [
        ("small, one oven", 2, Day(11, 8, [Oven("deck", 4)], 420)),
        ("small, two ovens", 2, Day(12, 10, [Oven("deck", 3), Oven("convection", 3, heat: 10, cool: 5)], 420)),
        ("day of 29", 2, Day(21, 29, [Oven("deck", 6), Oven("convection", 5, heat: 10, cool: 5)], 600)),
        ("day of 31", 2, Day(22, 31, [Oven("deck", 8)], 720)),
        ("day of 33, three ovens", 2, Day(23, 33, [Oven("deck", 4), Oven("second", 4), Oven("convection", 5, heat: 10, cool: 5)], 600)),
        ("day with a floor", 2, Floor(Day(24, 30, [Oven("deck", 6) with { FloorPlaces = 3 }, Oven("second", 4)], 660))),
        ("day in two shifts", 2, Shifts(Day(25, 28, [Oven("deck", 6), Oven("second", 4)], 900))),
        ("day that goes on", 2, GoingOn(Day(21, 29, [Oven("deck", 6), Oven("convection", 5, heat: 10, cool: 5)], 600), 400)),
        ("steadiest day", 2, Day(21, 29, [Oven("deck", 6), Oven("convection", 5, heat: 10, cool: 5)], 600) with { Weights = OvenSchool.Steadiest.Weights() }),
        ("day of doors, hands and pans", 2, Handled(Day(21, 29, [Oven("deck", 6), Oven("convection", 5, heat: 10, cool: 5)], 600))),
        ("tight day", 5, Day(31, 27, [Oven("deck", 4), Oven("second", 4)], 230, rush: true)),
        ("tight day, one oven", 5, Day(32, 24, [Oven("deck", 6)], 220, rush: true)),
        ("moves between two ovens", 5, Moves(41, 46)),
        ("moves, tight", 5, Moves(42, 40, rush: true)),
        ("feast of 122", 10, Day(51, 122, [Oven("deck", 8), Oven("second", 8), Oven("convection", 6, heat: 10, cool: 5)], 900)),
        ("feast of 125, four ovens", 10, Day(52, 125, [Oven("deck", 6), Oven("second", 6), Oven("third", 6), Oven("convection", 8, heat: 10, cool: 5)], 780)),
        ("feast of 150", 10, Day(53, 150, [Oven("deck", 10), Oven("second", 10)], 1200)),
    ];

    /// <summary>The same with doors that lose heat, hands that need a minute for a tray, and half as many pans as pies.</summary>
    private static BakeProblem Handled(BakeProblem problem) => problem with
    {
        OpenCPerTray = 3,
        Ovens = [.. problem.Ovens.Select(oven => oven with { ActionMin = 1 })],
        Pans = [new PanStock("23", problem.Bakes.Where(bake => bake.After.Count == 0).Sum(bake => bake.Trays.Sum()) / 2)],
        Bakes = [.. problem.Bakes.Select(bake => bake with { Pan = new PanNeed("23", 40, 60) })],
    };

    private static BakeOven Oven(string id, int shelves, int heat = 8, int cool = 4) => new(id, shelves, 90, 280, heat, cool, 25, 0, 1440);

    /// <summary>A day of several pick-ups: fruit pies that drop, custards in shells baked before, one-stage tarts, minis.</summary>
    private static BakeProblem Day(int seed, int trays, BakeOven[] ovens, int lastDue, bool rush = false)
    {
        var (next, bakes, left, number) = (Numbers(seed), new List<Bake>(), trays, 0);
        while (left > 0)
        {
            number++;
            var due = lastDue - (next(4) * lastDue / 8) - next(20);
            var release = rush ? next(60) : Math.Max(0, due - 240 - next(120));
            var count = Math.Min(left, 1 + next(5));
            int[] pies = [.. Enumerable.Range(0, count).Select(_ => 4 + next(3))];
            var kind = next(5);
            var (id, earliest) = ($"{(kind switch { 0 or 1 => "fruit", 2 => "custard", 3 => "tart", _ => "mini" })}-{number}", rush ? (int?)null : due - 200);
            if (kind == 2 && left >= 2)
            {
                count = Math.Max(1, Math.Min(count, left / 2));
                pies = pies[..count];
                bakes.Add(new Bake($"shell-{number}", pies, [new BakeStage(200, 12, 16)], release, due - 90, null, null, []));
                bakes.Add(new Bake(id, pies, [new BakeStage(165 + (5 * next(2)), 40, 50)], release, due, earliest, null, [new BakeAfter($"shell-{number}", 20, 240, true)]));
                left -= 2 * count;
                continue;
            }

            BakeStage[] stages = kind switch
            {
                0 => [new BakeStage(220, 10, 15), new BakeStage(190, 30, 40)],
                1 => [new BakeStage(215, 12, 18), new BakeStage(180, 25, 35)],
                3 => [new BakeStage(180, 28, 36)],
                4 => [new BakeStage(200, 15, 20)],
                _ => [new BakeStage(175, 35, 45)],
            };
            bakes.Add(new Bake(id, pies, stages, release, due, earliest, null, []));
            left -= count;
        }

        return new BakeProblem(5, 2, ovens, bakes);
    }

    /// <summary>A hot hearth and a finisher: every pie moves from the one to the other.</summary>
    private static BakeProblem Moves(int seed, int trays, bool rush = false)
    {
        var (next, bakes, left, number) = (Numbers(seed), new List<Bake>(), trays, 0);
        while (left > 0)
        {
            var due = (rush ? 190 : 420) - (next(3) * 60) - next(15);
            var count = Math.Min(left, 2 + next(5));
            left -= count;
            number++;
            bakes.Add(new Bake($"pie-{number}", [.. Enumerable.Range(0, count).Select(_ => 5 + next(2))], [new BakeStage(next(2) == 0 ? 230 : 220, 10, 14), new BakeStage(next(2) == 0 ? 180 : 175, 25, 40)], next(40), due, null, null, []));
        }

        return new BakeProblem(5, 2, [new BakeOven("hearth", 6, 200, 280, 8, 3, 25, 0, 1440), new BakeOven("finisher", 10, 90, 200, 8, 4, 25, 0, 1440)], bakes);
    }

    /// <summary>Nobody is there for two hours about noon.</summary>
    private static BakeProblem Shifts(BakeProblem problem) =>
        problem with { Ovens = [.. problem.Ovens.Select(oven => oven.OpenAt([new OvenOpening(0, 480), new OvenOpening(600, 1440)]))] };

    /// <summary>What is left of a day that is followed, with trays in the ovens: of the first plan that is built, so that no better search makes it another problem.</summary>
    private static BakeProblem GoingOn(BakeProblem problem, int minute)
    {
        var plan = BakePlanner.Plan(problem, 1, proves: false);
        while (true)
            try
            {
                return Replanning.From(problem, plan, minute);
            }
            catch (ArgumentException)
            {
                // A tray is on its way just then.
                minute++;
            }
    }

    /// <summary>The same problem with one pick-up an hour sooner and two trays more for another.</summary>
    public static BakeProblem Changed(BakeProblem problem)
    {
        Bake[] bakes = [.. problem.Bakes];
        var alone = Array.FindIndex(bakes, bake => bake.After.Count == 0 && !problem.Bakes.Any(other => other.After.Any(after => after.BakeId == bake.Id)));
        bakes[alone] = bakes[alone] with { Trays = [.. bakes[alone].Trays, 6, 6] };
        bakes[^1] = bakes[^1] with { DueMin = bakes[^1].DueMin - 60, EarliestOutMin = bakes[^1].EarliestOutMin - 60 };
        return problem with { Bakes = bakes };
    }

    private static BakeProblem Floor(BakeProblem problem) =>
        problem with { Bakes = [.. problem.Bakes.Select((bake, at) => at % 3 == 0 ? bake with { OnFloor = true } : bake)] };

    private static Func<int, int> Numbers(int seed)
    {
        var state = (ulong)seed * 0x9E3779B97F4A7C15UL;
        return below =>
        {
            state = unchecked((state * 6364136223846793005UL) + 1442695040888963407UL);
            return (int)((state >> 33) % (ulong)below);
        };
    }
}
