using Lumpet.Core.Baking;
using Lumpet.Core.DayPlan;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>When work before or after a bake finds nobody, the ovens are told so: at no other minute, and at each of those.</summary>
public sealed class DoorPauseTests
{
    private static LotWork Work(DaySnapshot snapshot) =>
        new(DayLots.Of(snapshot).Lots[0], new ShiftCalendar(snapshot.Shifts, snapshot.Midnights), 4, snapshot.SpareMin);

    // An afternoon, four hours of nobody, a night: what is lined at eight in the evening is not filled at nine.
    private static readonly DaySnapshot[] Days = [Snapshot(Order(Pear, 12, 1300)), Snapshot(Order(Custard, 8, 1300)), Snapshot(Order(Pear, 12, 1300)) with { Shifts = [new DayShift("Noon", 0, 250), new DayShift("Evening", 330, 600), new DayShift("Night", 800, 1320)] }];

    public static TheoryData<int> EveryDay => [.. Enumerable.Range(0, Days.Length)];

    [Theory]
    [MemberData(nameof(EveryDay))]
    public void They_are_the_minutes_between_two_that_fit_at_which_nothing_does(int at)
    {
        var (snapshot, work) = (Days[at], Work(Days[at]));
        foreach (var bake in work.Graph.Bakes) Same(minute => work.Timetable.BeforeOne(bake, work.PiesTogether, minute).Misfits.Count == 0, work.NotIn(bake, snapshot.HorizonMin), snapshot.HorizonMin);
        Same(minute => work.Timetable.AfterLast(work.PiesTogether, minute).Misfits.Count == 0, work.NotOut(snapshot.HorizonMin), snapshot.HorizonMin);
        Assert.NotEmpty(work.Graph.Bakes.SelectMany(bake => work.NotIn(bake, snapshot.HorizonMin)).Concat(work.NotOut(snapshot.HorizonMin)));
    }

    private static void Same(Func<int, bool> fits, IReadOnlyList<DoorPause> pauses, int untilMin)
    {
        int[] fitting = [.. Enumerable.Range(0, untilMin + 1).Where(fits)];
        // Of what fits again within less than that, ends may be overlooked.
        int[] barred = [.. fitting.Zip(fitting.Skip(1)).Where(pair => pair.Second - pair.First > 20).SelectMany(pair => Enumerable.Range(pair.First + 1, pair.Second - pair.First - 1))];
        Assert.Equal(barred, Enumerable.Range(0, untilMin + 1).Where(minute => pauses.Any(pause => pause.FromMin <= minute && minute <= pause.ToMin)));
    }

    [Fact]
    public void Pans_are_in_use_as_long_as_the_work_around_a_bake_needs_and_not_thought_to_be_for_longer_but_for_a_minute()
    {
        var snapshot = Snapshot(Order(Pear, 12, 1300, Pan23 with { Owned = 8 }));
        var work = Work(snapshot);
        var need = new PanNeed("23", 0, 0) { Since = work.PansSince(snapshot.HorizonMin), Until = work.PansUntil(snapshot.HorizonMin) };
        var (longest, first, last) = (0, work.Graph.Bakes[0], work.Graph.LastBake);
        var missing = new List<int>();
        for (var minute = 0; minute <= snapshot.HorizonMin; minute++)
        {
            if (work.Timetable.BeforeOne(first, work.PiesTogether, minute) is { Misfits.Count: 0 } before)
                missing.Add(need.InUseFrom(minute) - Enumerable.Range(0, first).Where(node => work.Graph.Nodes[node].UsesDough).Min(node => before.Start[node]));
            if (work.Timetable.AfterLast(work.PiesTogether, minute) is not { Misfits.Count: 0 } after) continue;
            missing.Add(after.End[last..].Max() - need.InUseUntil(minute));
            longest = Math.Max(longest, need.InUseUntil(minute) - minute);
        }

        Assert.True(missing.Count > 1000);
        Assert.All(missing, minutes => Assert.True(minutes >= -1, $"{minutes}"));
        // They are looked at every quarter of an hour: beside a night it may be overlooked for so long.
        Assert.InRange(missing.Count(minutes => minutes > 15), 0, 2 * 15);

        // Four hours of cooling at least; what is out in the evening is boxed at night.
        Assert.InRange(longest, 300, 660);
    }
}
