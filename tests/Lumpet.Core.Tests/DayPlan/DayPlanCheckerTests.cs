using Lumpet.Core.DayPlan;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>The checker of days finds what is wrong with a plan, each fault put into one that is right.</summary>
public sealed class DayPlanCheckerTests
{
    private static readonly DaySnapshot Asked = Crew(3, Snapshot(Order(Pear, 12, 1170), Order(Custard, 8, 1170), Order(Pear, 12, 1320)));

    private static readonly PlannedDay Sound = DayPlanner.Plan(Asked);

    /// <summary>The plan with one of its tasks at other minutes.</summary>
    private static PlannedDay With(Func<DayTask, bool> which, Func<DayTask, DayTask> change)
    {
        var one = Sound.Tasks.First(which);
        return Sound with { Tasks = [.. Sound.Tasks.Select(task => task == one ? change(task) : task)] };
    }

    private static DayTask Moved(DayTask task, int by) => task with { StartMin = task.StartMin + by, EndMin = task.EndMin + by };

    public static TheoryData<string, string> Faults => new()
    {
        { "a pie is boxed after its pick-up and said to be in time", "inTime" },
        { "work takes a minute less than it does", "minutes" },
        { "a chill is cut short", "least" },
        { "a cooling lasts for a day", "most" },
        { "work comes long before what it is for", "most" },
        { "a step is left out", "missing" },
        { "a dough rests too little", "rest" },
        { "a disc is rolled at another minute than its batch says", "disc" },
        { "two batches are in the bowl", "mixer" },
        { "work is done while nobody is there", "shift" },
        { "one pair of hands less is there", "hands" },
        { "an order is forgotten", "orders" },
    };

    [Theory]
    [MemberData(nameof(Faults))]
    public void A_fault_is_found(string fault, string rule)
    {
        var (asked, plan) = fault switch
        {
            "a pie is boxed after its pick-up and said to be in time" => (Asked, With(task => task.StepId == "box", task => Moved(task, 600))),
            "work takes a minute less than it does" => (Asked, With(task => task.StepId == "line", task => task with { EndMin = task.EndMin - 1 })),
            "a chill is cut short" => (Asked, With(task => task.StepId == "chill", task => task with { EndMin = task.StartMin + 3 })),
            "a cooling lasts for a day" => (Asked, With(task => task.Kind == TaskKind.Wait && task.LotId is not null, task => task with { EndMin = task.EndMin + 1500 })),
            "work comes long before what it is for" => (Asked, With(task => task.StepId == "whisk", task => Moved(task, -200))),
            "a step is left out" => (Asked, Sound with { Tasks = [.. Sound.Tasks.Where(task => task.StepId != "pour")] }),
            "a dough rests too little" => (Asked, Sound with { Batches = [Sound.Batches[0] with { MixStartMin = Sound.Batches[0].NeededMin - 35 }, .. Sound.Batches.Skip(1)] }),
            "a disc is rolled at another minute than its batch says" => (Asked, With(task => task.StepId == "line", task => Moved(task, 1))),
            "two batches are in the bowl" => (Asked, Sound with { Batches = [.. Sound.Batches, Sound.Batches[0]] }),
            "work is done while nobody is there" => (Asked, With(task => task.StepId == "box", task => Moved(task, 600 - task.StartMin))),
            "one pair of hands less is there" => (Crew(HandsNeeded.In(Sound).AtOnce - 1, Asked), Sound),
            _ => (Asked with { Orders = [.. Asked.Orders, Order(Pear, 1, 1320)] }, Sound),
        };
        Assert.Contains(DayPlanChecker.Check(asked, plan), found => found.Rule == rule);
    }

    [Fact]
    public void A_plan_that_is_right_has_none() => Assert.Empty(DayPlanChecker.Check(Asked, Sound));

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(4)]
    public void Nobody_is_counted_for_what_is_only_made_for_pies_that_no_oven_takes(int people)
    {
        // Far more than the ovens take: curd is reckoned for all of them, and finds no hands for those that are left out.
        var day = Crew(people, Snapshot([.. Enumerable.Range(0, 30).Select(at => Order(MadeFirstTests.CurdPie, 12, 900 + (14 * at)))])) with { Ovens = [Snapshot().Ovens[0] with { Shelves = 2 }] };
        var plan = DayPlanner.Plan(day, effort: 1);
        Assert.Contains(plan.Fates, fate => fate.NotBaked == fate.Lot.Count);
        Assert.Empty(DayPlanChecker.Check(day, plan));
    }
}
