using Lumpet.Core.DayPlan;
using Lumpet.Core.Recipes;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>What is done to the crusts of two products alike is done in one go; what goes into them is each one's own.</summary>
public sealed class OneGoOfTwoProductsTests
{
    private static readonly Product Damson = Pear with { Id = "damson", Name = "Damson" };

    private static readonly Product OtherDough = Damson with { Dough = Damson.Dough with { Id = "rye", Name = "Rye" } };

    private static DaySnapshot Asked(Product other) => Crew(3, Snapshot(Order(Pear, 8, 1170), Order(other, 8, 1170)));

    /// <summary>Steps that go right on from the same of another product.</summary>
    private static string[] Shared(PlannedDay plan)
    {
        var byId = plan.Tasks.ToDictionary(task => task.Id);
        return [.. plan.Tasks.Where(task => task.RightAfter is { } before && plan.Lot(byId[before].LotId!).Product.Id != plan.Lot(task.LotId!).Product.Id).Select(task => task.StepId).Distinct().Order(StringComparer.Ordinal)];
    }

    [Fact]
    public void Pans_are_lined_with_one_dough_and_pies_boxed_in_one_go_and_fruit_is_prepared_for_each()
    {
        var plan = DayPlanner.Plan(Asked(Damson));
        Assert.Equal(["box", "line"], Shared(plan));
        Assert.Empty(DayPlanChecker.Check(Asked(Damson), plan));
        // What is laid out for any count is laid out once.
        var goesOn = plan.Tasks.Single(task => task is { StepId: "line", RightAfter: not null });
        var hands = Pear.Process.Steps.First(step => step.Id == "line").Hands!;
        Assert.Equal(Math.Ceiling(hands.PerPie * 8), goesOn.EndMin - goesOn.StartMin);
        Assert.True(hands.PerBatch > 0);
    }

    [Fact]
    public void Another_dough_is_rolled_by_itself()
    {
        var plan = DayPlanner.Plan(Asked(OtherDough));
        Assert.Equal(["box"], Shared(plan));
        Assert.Empty(DayPlanChecker.Check(Asked(OtherDough), plan));
    }

    [Fact]
    public void Other_words_are_other_work_but_capitals_are_not()
    {
        static Product Called(Func<string, string> name) => Damson with { Process = Damson.Process with { Steps = [.. Damson.Process.Steps.Select(step => step with { Name = name(step.Name) })] } };
        Assert.Equal(["box", "line"], Shared(DayPlanner.Plan(Asked(Called(name => $" {name.ToUpperInvariant()} ")))));
        Assert.Empty(Shared(DayPlanner.Plan(Asked(Called(name => $"{name} gently")))));
    }

    [Fact]
    public void Shells_of_two_custards_are_weighted_in_one_go_and_custards_poured_by_themselves()
    {
        var asked = Crew(3, Snapshot(Order(Custard, 8, 1170), Order(Custard with { Id = "malt", Name = "Malt custard" }, 8, 1170)));
        var plan = DayPlanner.Plan(asked);
        Assert.All(Shared(plan), step => Assert.Contains(step, (string[])["box", "line", "weight"]));
        Assert.Contains("weight", Shared(plan));
        Assert.Empty(DayPlanChecker.Check(asked, plan));
    }

    [Fact]
    public void What_goes_in_as_it_is_makes_filling_each_ones_own()
    {
        // No step of its own brings the fruit, so that it may go in wherever pans are filled, or as soon as they are lined.
        static Product Raw(Product product) => product with
        {
            Process = new([.. product.Process.Steps.Where(step => step.Id != "prepare")], [.. product.Process.Links.Where(link => link.Before != "prepare" && link.After != "prepare")]),
        };
        var asked = Crew(3, Snapshot(Order(Raw(Pear), 8, 1170), Order(Raw(Damson), 8, 1170)));
        Assert.Equal(["box"], Shared(DayPlanner.Plan(asked)));
    }

    public static TheoryData<string, bool> Wrong => new() { { "prepare", false }, { "line", true }, { "fill", false } };

    [Theory]
    [MemberData(nameof(Wrong))]
    public void The_checker_finds_what_is_not_the_same_work(string step, bool ofOtherDough)
    {
        var asked = Asked(ofOtherDough ? OtherDough : Damson);
        var plan = DayPlanner.Plan(asked);
        var (one, other) = (plan.Tasks.First(task => task.StepId == step && plan.Lot(task.LotId!).Product.Id == Pear.Id), plan.Tasks.First(task => task.StepId == step && plan.Lot(task.LotId!).Product.Id != Pear.Id));
        var wrong = plan with { Tasks = [.. plan.Tasks.Select(task => task.Id == other.Id ? task with { RightAfter = one.Id } : task)] };
        Assert.Contains(DayPlanChecker.Check(asked, wrong), found => found.Rule == "oneGo" && found.Message.EndsWith("which is no such work.", StringComparison.Ordinal));
    }
}
