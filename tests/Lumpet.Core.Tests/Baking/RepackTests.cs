using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Planning;
using Lumpet.Core.Scheduling;
using Xunit;
using static Lumpet.Core.Tests.Baking.Problems;

namespace Lumpet.Core.Tests.Baking;

/// <summary>Loads that are put in again one after another where a day is late.</summary>
public sealed class RepackTests
{
    private static readonly BakeProblem Chained = Problem(
        [Oven()], Bake("shells", trays: 3), Bake("filled", trays: 3, after: [new BakeAfter("shells", 10, 600, true)]), Bake("pear", trays: 2), Bake("damson"));

    [Fact]
    public void Every_tray_of_a_row_stands_in_it_once_by_bake_and_behind_what_it_follows()
    {
        var trays = new PlanTrays(Chained, new BakeChains(Chained));
        // Shells in two loads, filled in one, a pear pie without a place.
        int[] starts = [0, 0, 100, 200, 200, 200, 300, -1, 400];
        TrayPath?[] plan = [.. starts.Select(start => start < 0 ? null : new TrayPath([new OvenVisit(0, start, [.. Enumerable.Repeat(190, 30)], [start + 30], 190, 0)], 0))];
        var lengths = new HashSet<int>();
        for (var seed = 0; seed < 200; seed++)
        {
            var rows = new PlanRemoval(trays, new Dice(seed)).Row(plan);
            int[] all = [.. rows.SelectMany(row => row)];
            Assert.Equal(all.Distinct().Count(), all.Length);
            // What has no place is always among them.
            Assert.Contains(7, all);
            Assert.All(rows, row => Assert.Single(row.Select(index => trays.All[index].Bake.Id).Distinct()));
            foreach (var tray in all)
                foreach (var before in trays.All[tray].Before.SelectMany(link => link.Trays).Where(all.Contains))
                    Assert.True(Array.IndexOf(all, before) < Array.IndexOf(all, tray));
            lengths.Add(all.Length);
        }

        // Sometimes all of it, sometimes the last of it.
        Assert.Contains(9, lengths);
        Assert.True(lengths.Min() <= 4);
    }

    [Fact]
    public void A_day_that_is_late_is_packed_as_tightly_as_it_can_be()
    {
        // One tray at a time, no heat to change, all due at once: the sum of what comes out late is least in order of pies by minute
        // (weighted shortest processing time, Smith's rule, from memory), which is worked out here.
        int[] minutes = [31, 12, 45, 27, 18, 39, 22, 16, 33, 25];
        int[] pies = [4, 6, 5, 3, 6, 2, 5, 4, 6, 3];
        var problem = Problem([Oven(shelves: 1, start: 190, close: 2000)], [.. minutes.Select((minute, at) => Bake($"b{at}", pies: pies[at], due: 0, stages: [new BakeStage(190, minute, minute)]))]);
        var (end, least) = (0, 0L);
        foreach (var (minute, count) in minutes.Zip(pies).OrderByDescending(pair => (double)pair.Second / pair.First)) least += count * (end += minute);
        Assert.Equal(least, BakePlanner.Plan(problem, effort: 800, proves: false).Cost.TardyPieMin);
    }
}
