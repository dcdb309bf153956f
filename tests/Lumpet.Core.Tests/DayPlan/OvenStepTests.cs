using Lumpet.Core.Baking;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

public sealed class OvenStepTests
{
    private static Core.Recipes.Product With(Core.Recipes.Product product, string bake, Func<Step, Step> change) =>
        product with { Process = product.Process with { Steps = [.. product.Process.Steps.Select(step => step.Id == bake ? change(step) : step)] } };

    private static (PlannedDay Plan, IReadOnlyList<OvenStep> Steps) Steps(params IReadOnlyList<DayOrder> orders)
    {
        var plan = DayPlanner.Plan(Snapshot(orders));
        return (plan, OvenSteps.Of(plan));
    }

    [Fact]
    public void Weights_come_out_so_many_minutes_into_the_bake()
    {
        var (plan, steps) = Steps(Order(With(Custard, "blind", step => step with { WeightsOutMin = 15 }), 8, 1320));
        var bake = plan.Tasks.First(task => task.StepId == "blind");
        var weights = Assert.Single(steps, step => step.Act == OvenAct.WeightsOut);
        Assert.Equal((bake.StartMin + 15, 190), (weights.AtMin, weights.TempC));
    }

    [Fact]
    public void Handwork_is_done_at_its_minute_and_what_has_a_sign_waits_for_it()
    {
        OvenHandwork[] handwork = [new(30, "shield the rim"), new(30, "brush with milk"), new(null, "when the middle is dark: shield it"), new(300, "never")];
        var (plan, steps) = Steps(Order(With(Pear, "bake", step => step with { Handwork = handwork }), 8, 1320));
        var bake = plan.Tasks.First(task => task.StepId == "bake");
        var done = steps.Where(step => step.Act == OvenAct.Handwork).ToArray();
        Assert.Equal(["brush with milk", "shield the rim"], done.Select(step => step.Words));
        Assert.All(done, step => Assert.Equal((bake.StartMin + 30, 190), (step.AtMin, step.TempC)));
        Assert.All(steps.Where(step => step.Act != OvenAct.Handwork), step => Assert.Empty(step.Words));
    }

    [Fact]
    public void Trays_are_turned_half_way_wherever_they_are_then()
    {
        var (plan, steps) = Steps(Order(With(Pear, "bake", step => step with { Turned = true }), 8, 1320));
        var bake = plan.Tasks.First(task => task.StepId == "bake");
        var turn = Assert.Single(steps, step => step.Act == OvenAct.Turn);
        Assert.Equal(bake.StartMin + ((bake.EndMin - bake.StartMin) / 2), turn.AtMin);
        // Half-way of 65 to 80 minutes lies after the drop, which comes after 20 to 25.
        Assert.Equal(190, turn.TempC);
    }

    [Fact]
    public void Empty_trays_are_heated_before_their_pies_and_hold_their_shelves()
    {
        var (plan, alone) = Steps(Order(With(Pear, "bake", step => step with { HeatedTrayMin = 15 }), 8, 1320));
        var heated = Assert.Single(alone, step => step.Act == OvenAct.HeatTrays);
        var put = Assert.Single(alone, step => step.Act == OvenAct.In);
        Assert.Equal((15, put.AtMin - 15), (heated.HeatedMin, heated.AtMin));
        // The pies are in for their own minutes; the oven is hot for both.
        var bake = plan.Tasks.First(task => task.StepId == "bake");
        Assert.Equal(put.AtMin, bake.StartMin);
        Assert.InRange(bake.EndMin - bake.StartMin, 65, 80);
        Assert.True(plan.BakePlan.Settings[0].AtMin < heated.AtMin);

        // On a day with more to bake than there are shelves for at a time, heated trays wait for theirs.
        var full = DayPlanner.Plan(Snapshot(Order(With(Pear, "bake", step => step with { HeatedTrayMin = 60 }), 16, 1320), Order(Custard, 32, 1320)));
        Assert.All(OvenSteps.Of(full).Where(step => step.Act == OvenAct.HeatTrays), step => Assert.Equal(60, step.HeatedMin));
        NobodyIsInAnothersPlace(full);
        Assert.Contains(full.Loads.SelectMany(load => load.Visits), visit => visit.HeatedFromMin == visit.Stages[0].StartMin - 60);
    }

    [Fact]
    public void On_no_day_two_trays_are_given_one_place()
    {
        for (var seed = 1; seed <= 12; seed++)
        {
            var dice = new Random(seed);
            Product Of(Product product) => dice.Next(2) == 0 ? product : With(product, "bake", step => step with { HeatedTrayMin = 10 + dice.Next(40) });
            NobodyIsInAnothersPlace(DayPlanner.Plan(Snapshot([.. Enumerable.Range(0, 4).Select(at => Order(Of(dice.Next(2) == 0 ? Pear : Custard) with { Id = $"p{at}" }, 2 + dice.Next(14), 1200 + dice.Next(120)))]), effort: 4));
        }
    }

    private static void NobodyIsInAnothersPlace(PlannedDay plan)
    {
        (string Oven, int Shelf, int From, int To)[] held = [.. from load in plan.Loads from visit in load.Visits from shelf in visit.Shelves select (load.OvenId, shelf, visit.HeatedFromMin, visit.EndMin)];
        for (var one = 0; one < held.Length; one++)
            Assert.DoesNotContain(held.Skip(one + 1), other => (other.Oven, other.Shelf) == (held[one].Oven, held[one].Shelf) && other.From < held[one].To && held[one].From < other.To);
    }

    [Theory]
    [InlineData(0, 20, 60)]
    [InlineData(15, 5, 45)]
    [InlineData(30, 0, 30)] // No tray goes in before what its pies follow is out.
    public void Trays_heat_while_what_comes_before_is_still_waited_for(int heated, int least, int most)
    {
        var bake = Pear.Process.Steps.First(step => step.IsBake) with { HeatedTrayMin = heated };
        Assert.Equal(new BakeAfter("shells", least, most, true), HeatedTrays.After(bake, new BakeAfter("shells", 20, 60, true)));
    }

    [Fact]
    public void What_is_on_the_floor_is_in_nobodys_way_on_the_shelves()
    {
        // One shelf and one place on the floor beside it; the pies on the floor take twice as long.
        var oven = new BakeOven("deck", 1, 90, 280, 8, 4, 25, 0, 900) { FloorPlaces = 1 };
        Bake Of(string id, int minutes) => new(id, [6], [new BakeStage(190, minutes, minutes + 5)], 0, 600, null, null, []);
        var problem = new BakeProblem(5, 2, [oven], [Of("shelf", 30), Of("floor", 60) with { OnFloor = true }]);
        BakedTray Tray(string id, int minutes) => new(id, 1, [new BakedStage("deck", 100, 100 + minutes)]);
        var plan = new BakePlan([new OvenSetting("deck", 70, 190), new OvenSetting("deck", 160, null)], [Tray("shelf", 30), Tray("floor", 60)], [], new BakePlanCost(0, 0, 0, 0, 0), new BakePlanBound(0, 0));
        Assert.Equal(5, new StaysInOven(problem, plan).Longer("shelf", [1], 0).Minutes);
    }

    [Fact]
    public void One_action_at_one_minute_is_one_line_and_what_comes_out_has_the_heat_of_its_last_stage()
    {
        var (plan, steps) = Steps(Order(Pear, 8, 1170), Order(Pear, 4, 1170, Pan26), Order(Custard, 8, 1170));
        Assert.All(steps.GroupBy(step => (step.AtMin, step.Act, step.OvenId, step.Load, step.TempC)), same => Assert.Single(same));
        foreach (var step in steps.Where(step => step.Act == OvenAct.Out))
            Assert.All(step.Visits, visit => Assert.Equal(visit.Stages[^1].TempC, step.TempC));
        Assert.Contains(steps, step => step.Act == OvenAct.Out && step.TempC == 190);
        // A load of two products goes in by one line.
        var mixed = plan.Loads.FirstOrDefault(load => load.Visits.Count > 1);
        if (mixed is not null) Assert.Equal(mixed.Visits.Sum(visit => visit.Pies), steps.Where(step => step.Act == OvenAct.In && step.Load == mixed.Number).Sum(step => step.Visits.Sum(visit => visit.Pies)));
    }

    [Fact]
    public void Of_a_floor_with_one_place_each_tray_has_it_in_its_turn()
    {
        // Twelve pies on three trays, and two ovens with a place each.
        var snapshot = Snapshot(Order(With(Pear, "bake", step => step with { Place = OvenPlace.Floor }), 12, 1320), Order(Custard, 4, 1320));
        var plan = DayPlanner.Plan(snapshot with { Ovens = [.. snapshot.Ovens.Select(oven => oven with { FloorPlaces = 1 })] });
        Assert.Empty(plan.Troubles);
        var pears = plan.Loads.SelectMany(load => load.Visits.Select(visit => (load.OvenId, Visit: visit))).Where(one => one.Visit.StepId == "bake" && one.Visit.LotId.StartsWith("pear", StringComparison.Ordinal)).ToArray();
        Assert.Equal(3, pears.Sum(one => one.Visit.Shelves.Count));
        // Under four shelves the floor is the fifth place.
        Assert.All(pears, one => Assert.Equal([5], one.Visit.Shelves));
        Assert.All(plan.Loads.SelectMany(load => load.Visits).Where(visit => visit.LotId.StartsWith("custard", StringComparison.Ordinal)), visit => Assert.All(visit.Shelves, shelf => Assert.InRange(shelf, 1, 4)));
    }

    [Fact]
    public void What_bakes_on_the_floor_takes_the_lowest_place()
    {
        var (plan, _) = Steps(Order(With(Pear, "bake", step => step with { Place = OvenPlace.Floor }), 4, 1320), Order(Custard, 4, 1320));
        Assert.All(plan.Loads.SelectMany(load => load.Visits).Where(visit => visit.LotId.StartsWith("pear", StringComparison.Ordinal)), visit => Assert.Equal([4], visit.Shelves));
        Assert.All(plan.Loads.SelectMany(load => load.Visits).Where(visit => visit.LotId.StartsWith("custard", StringComparison.Ordinal)), visit => Assert.Equal([1], visit.Shelves));
    }
}
