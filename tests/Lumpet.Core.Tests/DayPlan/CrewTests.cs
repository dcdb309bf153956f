using Lumpet.Core.DayPlan;
using Lumpet.Core.Recipes;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>So many people are there, and no more are at work.</summary>
public sealed class CrewTests
{
    private static readonly DaySnapshot Fair = Snapshot(Order(Pear, 12, 1170), Order(Custard, 8, 1170), Order(Pear, 4, 1170, Pan26), Order(Pear, 12, 1320), Order(Custard, 6, 1320, Pan26));

    private static PlannedDay Planned(int? people, DaySnapshot? day = null) => DayPlanner.Plan(Crew(people, day ?? Fair));

    [Fact]
    public void Work_is_levelled_to_the_people_who_are_there()
    {
        var unlimited = HandsNeeded.In(Planned(null)).AtOnce;
        Assert.InRange(unlimited, 3, 20);
        for (var people = 2; people < unlimited; people++)
        {
            var plan = Planned(people);
            Assert.Equal(0, plan.Fates.Sum(fate => fate.Missed));
            Assert.InRange(HandsNeeded.In(plan).AtOnce, 1, people);
            Assert.InRange(CrewRota.Of(plan).Count, 1, people);
        }
    }

    [Fact]
    public void As_many_as_are_wanted_change_nothing()
    {
        // Nobody ever wants as many: work that is done in one go takes fewer than it took before.
        Assert.Equal(Planned(null).Tasks, Planned(20).Tasks);
    }

    [Fact]
    public void A_task_that_was_moved_says_so()
    {
        // One parcel of each product, and other words for what is done to each: nothing is done in one go.
        static Product Called(Product product, string how) => product with { Process = product.Process with { Steps = [.. product.Process.Steps.Select(step => step with { Name = $"{step.Name} {how}" })] } };
        var day = Snapshot(Order(Pear, 4, 1170), Order(Called(Custard, "slowly"), 4, 1170), Order(Called(Pear with { Id = "other" }, "gently"), 4, 1170));
        var free = Planned(null, day);
        var was = free.Tasks.ToDictionary(task => task.Id, task => task.StartMin);
        // The ovens are planned alike, so what is elsewhere was moved for hands.
        var two = Enumerable.Range(1, 5).Select(people => Planned(people, day)).First(plan => plan.BakePlan.Trays.SelectMany(tray => tray.Stages).SequenceEqual(free.BakePlan.Trays.SelectMany(tray => tray.Stages)));
        var moved = two.Tasks.Where(task => task.Kind == TaskKind.Hands && was[task.Id] != task.StartMin).ToArray();
        Assert.NotEmpty(moved);
        foreach (var task in moved)
        {
            var (by, says) = (task.StartMin - was[task.Id], two.Reasons[task.Id].Why.With(minute => $"{minute}"));
            Assert.StartsWith($"{PlanText.Long(Math.Abs(by))} {(by < 0 ? "sooner" : "later")} than", says, StringComparison.Ordinal);
        }
    }

    [Fact]
    public void Where_hands_are_short_it_is_said_at_which_work_and_one_more_pair_is_tried()
    {
        var day = Crew(1, Snapshot(Order(Pear, 24, 1170), Order(Custard, 24, 1170)));
        var plan = DayPlanner.Plan(day);
        Assert.InRange(plan.Fates.Sum(fate => fate.Unfit), 1, 47);
        var trouble = plan.Troubles.First(one => one.Kind == TroubleKind.Unfit && one.What.With(minute => $"{minute}").Contains("finds no free hands", StringComparison.Ordinal));
        Assert.Contains("one pair is there", trouble.What.With(minute => $"{minute}"), StringComparison.Ordinal);
        Assert.Contains(plan.Troubles, one => one.Mend.With(minute => $"{minute}").Contains("one more pair of hands in every shift", StringComparison.Ordinal));
        // It was tried: with two there are fewer that are missed.
        Assert.True(Planned(2, day).Fates.Sum(fate => fate.Missed) < plan.Fates.Sum(fate => fate.Missed));
    }

    [Fact]
    public void Bowls_of_several_doughs_are_mixed_one_after_another_however_many_hands_there_are()
    {
        // Three doughs that are wanted at nearly the same time: moved for hands, they still share one mixer.
        var (second, third) = (Pear with { Id = "second", Dough = Flaky with { Id = "second" } }, Pear with { Id = "third", Dough = Flaky with { Id = "third" } });
        for (var count = 4; count <= 16; count += 4)
        {
            var day = Crew(2, Snapshot(Order(Pear, count, 1170), Order(second, count, 1170), Order(third, count, 1170)));
            Assert.Empty(DayPlanChecker.Check(day, DayPlanner.Plan(day)));
        }
    }

    [Fact]
    public void Every_pair_of_hands_does_one_thing_at_a_time_and_all_of_the_work_is_done()
    {
        var plan = Planned(3);
        var lines = CrewRota.Of(plan);
        foreach (var line in lines)
            Assert.All(line.Tasks.Zip(line.Tasks.Skip(1)), pair => Assert.True(pair.First.EndMin <= pair.Second.StartMin, $"{line.Number}: {pair}"));
        Assert.Equal(plan.Tasks.Where(task => task.Kind == TaskKind.Hands).Select(task => task.Id).Order(), lines.SelectMany(line => line.Tasks).Select(task => task.Id).Order());
        Assert.Equal(HandsNeeded.In(plan).AtOnce, lines.Count);
        Assert.Equal(HandsNeeded.In(plan).WorkMin, lines.Sum(line => line.WorkMin));
    }

    [Fact]
    public void The_axis_holds_all_that_is_done()
    {
        var plan = Planned(3);
        var axis = DayAxis.Of(plan);
        Assert.All(plan.Tasks.Where(task => task.Kind != TaskKind.Wait), task => Assert.Single(axis.Blocks, block => block.FromMin <= task.StartMin && task.EndMin <= block.ToMin));
        Assert.All(axis.Blocks.Zip(axis.Blocks.Skip(1)), pair => Assert.True(pair.Second.FromMin - pair.First.ToMin > 90));
    }
}
