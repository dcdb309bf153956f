using Lumpet.Core.DayPlan;
using Lumpet.Core.Steps;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>Whoever puts trays in and takes them out does nothing else meanwhile. Minutes a tray: common practice, no source; the bakery says them.</summary>
public sealed class WorkAtDoorsTests
{
    private static readonly DaySnapshot OneAlone = Crew(1, Snapshot(Order(Pear, 12, 1320), Order(Custard, 8, 1320)));

    private static DaySnapshot Slow(DaySnapshot day, int minutes) => day with { Ovens = [.. day.Ovens.Select(oven => oven with { ActionMin = minutes })] };

    /// <summary>When the crew is at a door, counted from the trays themselves.</summary>
    private static (int From, int To)[] Doors(PlannedDay plan, int minutes) =>
    [
        .. plan.BakePlan.Trays.SelectMany(tray => new[] { tray.StartMin, tray.EndMin }).GroupBy(at => at).Select(same => (same.Key, same.Key + (same.Count() * minutes))).Order(),
    ];

    [Fact]
    public void Who_is_alone_is_at_the_door_or_at_the_bench()
    {
        var day = Slow(OneAlone, 3);
        var plan = DayPlanner.Plan(day);
        Assert.All(plan.Fates, fate => Assert.Equal(0, fate.Missed));
        Assert.NotEmpty(plan.AtDoors);
        Assert.Equal(Doors(plan, 3), plan.AtDoors.Select(task => (task.StartMin, task.EndMin)).Order());
        var bench = plan.Tasks.Where(task => task.Kind == TaskKind.Hands).ToArray();
        Assert.DoesNotContain(bench, task => Doors(plan, 3).Any(visit => visit.From < task.EndMin && task.StartMin < visit.To));
        Assert.Equal(1, HandsNeeded.In(plan).AtOnce);
        Assert.Equal(bench.Sum(task => task.EndMin - task.StartMin) + (3 * 2 * plan.BakePlan.Trays.Count), HandsNeeded.In(plan).WorkMin);
        Assert.Empty(DayPlanChecker.Check(day, plan));
    }

    [Fact]
    public void It_is_on_the_lines_of_the_crew_and_on_sheets_and_says_what_goes_in_and_out()
    {
        var plan = DayPlanner.Plan(Slow(OneAlone, 2));
        var line = Assert.Single(CrewRota.Of(plan));
        Assert.Subset(line.Tasks.ToHashSet(), plan.AtDoors.ToHashSet());
        var sheet = Assert.Single(WorkSheets.ByStation(plan), sheet => sheet.Station == Station.Oven);
        Assert.Equal(plan.AtDoors, sheet.Tasks);
        Assert.Equal(plan.BakePlan.Trays.Count, plan.AtDoors.Where(task => task.Name.StartsWith("Put in", StringComparison.Ordinal)).Sum(In) + plan.AtDoors.Where(task => task.Name.StartsWith("Take out and", StringComparison.Ordinal)).Sum(In));
        Assert.All(plan.AtDoors, task => Assert.Contains(plan.Ovens.Values, oven => task.About.StartsWith($"{oven.Name}: ", StringComparison.Ordinal)));

        // "Hearth: 4 trays in", "Hearth: 2 trays out, 4 in".
        static int In(DayTask task) => int.Parse(task.About.Split(' ').Reverse().ElementAt(task.Name == "Put in" ? 2 : 1), System.Globalization.CultureInfo.InvariantCulture);
    }

    [Fact]
    public void Where_trays_take_no_minutes_or_nobody_counts_hands_nothing_moves_for_it()
    {
        Assert.Empty(DayPlanner.Plan(OneAlone).AtDoors);
        var uncounted = Snapshot(Order(Pear, 12, 1320), Order(Custard, 8, 1320));
        var plan = DayPlanner.Plan(Slow(uncounted, 3));
        Assert.NotEmpty(plan.AtDoors);
        Assert.Empty(DayPlanChecker.Check(Slow(uncounted, 3), plan));
    }

    [Fact]
    public void A_checker_finds_whoever_is_at_two_places()
    {
        var day = Slow(OneAlone, 3);
        var plan = DayPlanner.Plan(day);
        var (task, door) = (plan.Tasks.First(task => task.StepId == "line"), plan.AtDoors[0]);
        var there = plan with { Tasks = [.. plan.Tasks.Select(one => one == task ? one with { StartMin = door.StartMin, EndMin = door.StartMin + task.EndMin - task.StartMin } : one)] };
        Assert.Contains(DayPlanChecker.Check(day, there), fault => fault.Rule == "hands" && fault.ToString().Contains("1 at the ovens", StringComparison.Ordinal));
    }

    [Fact]
    public void What_the_day_before_takes_out_keeps_hands_from_the_next()
    {
        // The first day's last trays come out while the second is at work already.
        var first = Slow(Crew(1, Snapshot(Order(Pear, 16, 1000))), 4);
        var before = DayPlanner.Plan(first);
        var taken = TakenTime.Of([new EarlierDay("first", before, first, 0)]);
        var second = Slow(Crew(1, Snapshot(Order(Pear, 16, 1320))), 4) with { Taken = taken };
        var plan = DayPlanner.Plan(second);
        Assert.Empty(DayPlanChecker.Check(second, plan));
        var doors = before.AtDoors.Concat(plan.AtDoors).ToArray();
        foreach (var minute in doors.Select(task => task.StartMin))
        {
            bool IsOn(DayTask task) => task.StartMin <= minute && minute < task.EndMin;
            Assert.InRange(before.Tasks.Concat(plan.Tasks).Count(task => task.Kind == TaskKind.Hands && IsOn(task)) + (doors.Any(IsOn) ? 1 : 0), 0, 1);
        }

        Assert.All(plan.Fates, fate => Assert.Equal(0, fate.Missed));
        // The ovens are told at which minutes nobody is free to put trays in or to take them out.
        Assert.All(plan.Problem.Bakes, bake => Assert.All(taken.Work, work =>
        {
            Assert.Contains(bake.NotIn, pause => pause.FromMin <= work.FromMin && work.ToMin - 1 <= pause.ToMin);
            Assert.Contains(bake.NotOut, pause => pause.FromMin <= work.FromMin && work.ToMin - 1 <= pause.ToMin);
        }));
        Assert.Equal(plan.BakePlan.Trays.Count * 2 * 4, plan.AtDoors.Sum(task => task.EndMin - task.StartMin));
    }
}
