using Lumpet.Core.DayPlan;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>Equal work for several pans and pick-ups is done in one go, by one pair of hands, and laid out once.</summary>
public sealed class InOneGoTests
{
    private static readonly DaySnapshot Asked = Crew(3, Snapshot(Order(Pear, 12, 1170), Order(Pear, 4, 1170, Pan26), Order(Custard, 8, 1170), Order(Custard, 6, 1170, Pan26)));

    private static readonly PlannedDay Plan = DayPlanner.Plan(Asked);

    private static readonly Dictionary<string, DayTask> Tasks = Plan.Tasks.ToDictionary(task => task.Id);

    private static DayTask[] GoingOn => [.. Plan.Tasks.Where(task => task.RightAfter is not null)];

    private static int Alone(DayTask task) => Plan.Lot(task.LotId!).ProcessLeft().Steps.First(step => step.Id == task.StepId).Hands!.For(task.Pies);

    [Fact]
    public void The_same_work_follows_on_and_takes_only_what_the_pies_take()
    {
        Assert.Contains(GoingOn, task => task.StepId == "prepare");
        foreach (var task in GoingOn)
        {
            var before = Tasks[task.RightAfter!];
            Assert.Equal((before.StepId, before.EndMin), (task.StepId, task.StartMin));
            var hands = Plan.Lot(task.LotId!).ProcessLeft().Steps.First(step => step.Id == task.StepId).Hands!;
            Assert.Equal(Math.Max(1, Math.Ceiling(Math.Round(hands.PerPie * task.Pies, 6))), task.EndMin - task.StartMin);
        }

        Assert.Empty(DayPlanChecker.Check(Asked, Plan));
    }

    [Fact]
    public void It_takes_less_work_than_apart_and_no_box_is_later_for_it()
    {
        var apart = DayPlanner.Best(Asked, DayPlanner.DefaultEffort, 8);
        var worked = apart.Parcels.Sum(parcel => Enumerable.Range(0, parcel.Work.Graph.Nodes.Count).Where(node => !parcel.Work.Graph.Nodes[node].IsBake).Sum(node => parcel.Times.End[node] - parcel.Times.Start[node]));
        DayTask[] onPies = [.. Plan.Tasks.Where(task => task is { Kind: TaskKind.Hands, LotId: not null })];
        Assert.Equal(worked, onPies.Sum(Alone));
        var saved = onPies.Sum(task => Alone(task) - (task.EndMin - task.StartMin));
        Assert.InRange(saved, GoingOn.Length, worked);
        foreach (var parcel in apart.Parcels)
            Assert.InRange(Plan.Tasks.Where(task => task.Id.StartsWith($"{parcel.Work.Lot.Id}/{parcel.Number}/", StringComparison.Ordinal)).Max(task => task.EndMin), 0, Math.Max(parcel.DoneMin, parcel.Work.Lot.PickUpMin - Asked.SpareMin));
    }

    [Fact]
    public void One_pair_of_hands_does_it_all()
    {
        foreach (var line in CrewRota.Of(Plan))
            foreach (var task in line.Tasks.Where(task => task.RightAfter is not null))
                Assert.Equal(task.RightAfter, line.Tasks.Last(other => other.StartMin < task.StartMin).Id);
    }

    [Fact]
    public void What_is_cooked_in_one_pot_is_poured_when_all_of_it_is_cooked()
    {
        var cooked = GoingOn.Where(task => task.StepId == "whisk").ToArray();
        Assert.NotEmpty(cooked);
        foreach (var last in cooked.Where(task => GoingOn.All(next => next.RightAfter != task.Id)))
            for (var one = last; one.RightAfter is { } before; one = Tasks[before])
                Assert.True(Tasks[before[..before.LastIndexOf('/')] + "/pour"].StartMin >= last.EndMin, $"{before} is poured before {last.Id} is ready.");
    }

    [Fact]
    public void It_says_so_at_the_task_and_how_much_it_saves()
    {
        foreach (var task in GoingOn)
        {
            var (saved, says) = (Alone(task) - (task.EndMin - task.StartMin), Plan.Reasons[task.Id].Why.With(minute => $"{minute}"));
            Assert.StartsWith($"in one go with the same for {Tasks[task.RightAfter!].About}: ", says, StringComparison.Ordinal);
            Assert.EndsWith(saved > 0 ? $"which saves {saved} min" : "one pair of hands does both", says, StringComparison.Ordinal);
        }
    }

    [Fact]
    public void Nothing_goes_on_for_hours_and_nothing_is_fetched_from_far()
    {
        var day = Crew(4, Snapshot([.. Enumerable.Range(0, 6).Select(at => Order(Pear, 20, 1170 + (20 * at)))]));
        var plan = DayPlanner.Plan(day);
        var byId = plan.Tasks.ToDictionary(task => task.Id);
        DayTask First(DayTask task) => task.RightAfter is { } before ? First(byId[before]) : task;
        DayTask[] goOn = [.. plan.Tasks.Where(task => task.RightAfter is not null)];
        Assert.NotEmpty(goOn);
        Assert.All(goOn, task => Assert.InRange(task.EndMin - First(task).StartMin, 1, WorkRuns.LongestMin));
        // Before it was joined each began within the hour after the end of the one before it.
        var apart = DayPlanner.Best(day, DayPlanner.DefaultEffort, 8);
        var was = apart.Parcels.SelectMany(parcel => Enumerable.Range(0, parcel.Work.Graph.Nodes.Count).Select(node => (Id: $"{parcel.Work.Lot.Id}/{parcel.Number}/{parcel.Work.Graph.Nodes[node].Id}", Start: parcel.Times.Start[node], End: parcel.Times.End[node]))).ToDictionary(one => one.Id);
        Assert.All(goOn.Where(task => !apart.RightAfter.ContainsKey(task.Id)), task => Assert.InRange(was[task.Id].Start - was[task.RightAfter!].End, int.MinValue, 60));
        Assert.Empty(DayPlanChecker.Check(day, plan));
    }

    [Fact]
    public void What_begins_more_than_an_hour_later_is_not_fetched_however_long_it_would_keep()
    {
        // Lined pans may lie in the cold for sixteen hours; pies that must be this fresh are not baked together.
        var fresh = Pear with { OldestAtPickUp = 400 };
        var apart = 0;
        for (var later = 100; later <= 600; later += 100)
        {
            var day = Snapshot(Order(fresh, 4, 900), Order(fresh, 4, 900 + later));
            DayTask[] lined = [.. DayPlanner.Plan(day).Tasks.Where(task => task.StepId == "line").OrderBy(task => task.StartMin)];
            var round = DayPlanner.Best(day, DayPlanner.DefaultEffort, 8);
            int[] starts = [.. round.Parcels.Select(parcel => parcel.Times.Start[0]).Order()];
            if (starts.Length != 2 || starts[1] - starts[0] <= 100) continue;
            apart++;
            Assert.All(lined, task => Assert.Null(task.RightAfter));
        }

        Assert.InRange(apart, 1, 6);
    }

    [Fact]
    public void Where_hands_are_short_what_is_done_in_one_go_lets_more_be_made()
    {
        // Fruit takes 20 minutes to lay out, and one pair of hands is there: two lots are only made if it is laid out once.
        var slow = Pear with { Process = Pear.Process with { Steps = [.. Pear.Process.Steps.Select(step => step.Id == "box" ? step with { Hands = step.Hands! with { PerBatch = 60 } } : step)] } };
        var day = Crew(1, Snapshot(Order(slow, 4, 1170), Order(slow, 4, 1170, Pan26)));
        var plan = DayPlanner.Plan(day);
        Assert.Empty(DayPlanChecker.Check(day, plan));
        Assert.Single(plan.Tasks, task => task.StepId == "box" && task.RightAfter is not null);
    }

    [Fact]
    public void A_pot_is_filled_to_two_thirds_and_what_is_more_takes_another()
    {
        // 979 g of custard a pie at 1.05 g/ml is 0.932 l; two thirds of 10 l hold 7 of those. 8 are two potfuls: twice 20 minutes, and one a pie.
        var day = Crew(4, Snapshot(Order(Custard, 8, 1170)) with { Room = new Lumpet.Core.Bakery.KitchenRoom { PotLitres = 10 } });
        var plan = DayPlanner.Plan(day);
        var lot = Assert.Single(plan.Lots);
        Assert.Equal(7, lot.PiesInPot);
        var cooked = plan.Tasks.Where(task => task.StepId == "whisk").ToArray();
        Assert.Equal(8, cooked.Sum(task => task.Pies));
        Assert.All(cooked, task => Assert.Equal((task.Pies > 7 ? 40 : 20) + task.Pies, task.EndMin - task.StartMin));
        Assert.Empty(DayPlanChecker.Check(day, plan));
    }

    [Fact]
    public void What_is_cooked_in_one_go_fits_into_one_pot()
    {
        foreach (var (litres, together) in new[] { (30, true), (4, false) })
        {
            var day = Asked with { Room = new Lumpet.Core.Bakery.KitchenRoom { PotLitres = litres } };
            var plan = DayPlanner.Plan(day);
            var byId = plan.Tasks.ToDictionary(task => task.Id);
            Assert.Empty(DayPlanChecker.Check(day, plan));
            Assert.Equal(together, plan.Tasks.Any(task => task.StepId == "whisk" && task.RightAfter is not null));
            foreach (var run in plan.Tasks.Where(task => task.StepId == "whisk").Select(plan.InOneGoWith))
                Assert.True(run.Count == 1 || run.Sum(task => task.Pies / (double)plan.Lot(task.LotId!).PiesInPot!) <= 1);
        }
    }

    public static TheoryData<string> Faults => ["the next begins later", "it goes on from other work", "two go on from one", "the pot is poured too soon", "it is shorter and goes on from nothing"];

    [Theory]
    [MemberData(nameof(Faults))]
    public void The_checker_finds(string fault)
    {
        PlannedDay With(DayTask one, Func<DayTask, DayTask> change) => Plan with { Tasks = [.. Plan.Tasks.Select(task => task == one ? change(task) : task)] };
        static DayTask Moved(DayTask task, int by) => task with { StartMin = task.StartMin + by, EndMin = task.EndMin + by };
        var (any, cooked) = (GoingOn.First(task => Alone(task) > task.EndMin - task.StartMin), GoingOn.First(task => task.StepId == "whisk"));
        // The third of a run, said to go on from the first as the second does.
        var third = GoingOn.First(task => Tasks[task.RightAfter!].RightAfter is not null);
        var pour = Tasks[cooked.RightAfter![..cooked.RightAfter!.LastIndexOf('/')] + "/pour"];
        var plan = fault switch
        {
            "the next begins later" => With(any, task => Moved(task, 1)),
            "it goes on from other work" => With(any, task => task with { RightAfter = Plan.Tasks.First(other => other.StepId != any.StepId && other.Kind == TaskKind.Hands).Id }),
            "two go on from one" => With(third, task => task with { RightAfter = Tasks[third.RightAfter!].RightAfter }),
            "the pot is poured too soon" => With(pour, task => Moved(task, cooked.EndMin - 1 - pour.StartMin)),
            _ => With(any, task => task with { RightAfter = null }),
        };
        Assert.Contains(DayPlanChecker.Check(Asked, plan), found => fault switch
        {
            "it is shorter and goes on from nothing" => found.Rule == "minutes",
            "two go on from one" => found.Rule == "oneGo" && found.Message == "2 tasks are said to go on from it.",
            _ => found.Rule == "oneGo",
        });
    }
}
