using Lumpet.Core.DayPlan;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Schools;
using Lumpet.Core.Steps;
using Lumpet.Core.Tests.Recipes;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>A day on which products are made by another school than their recipe says.</summary>
public sealed class DaySchoolTests
{
    private const int PickUp = 1320;

    private static readonly Product Lidded = Demonstration.Products.Single(product => product.Id == "fruit-lid");

    public static TheoryData<string> Products => [.. Demonstration.Products.Select(product => product.Id)];

    private static DayArrangement By(Product product, SchoolPlace place, string school) => DayArrangement.Usual with { Schools = [new DaySchool(product.Id, place, school)] };

    private static PlannedDay Sound(DaySnapshot day)
    {
        var plan = DayPlanner.Plan(day, effort: 1);
        Assert.Empty(DayPlanChecker.Check(day, plan));
        Assert.True(BakePlanChecker.Check(plan.Problem, plan.BakePlan).IsValid);
        return plan;
    }

    [Theory]
    [MemberData(nameof(Products))]
    public void Every_product_is_planned_by_every_school(string id)
    {
        var product = Demonstration.Products.Single(one => one.Id == id);
        var day = Snapshot(new DayOrder(product, product.ReferencePan, 6, PickUp, "kiosk"), Order(Pear, 4, PickUp));
        foreach (var (school, made) in AnotherSchool.All(product))
        {
            var arrangement = By(product, school.Place, school.Id);
            Assert.False(arrangement.IsUsual);
            var asked = arrangement.Applied(day);
            Assert.Equal(made.Process.Steps.Select(step => step.Id), asked.Orders[0].Product.Process.Steps.Select(step => step.Id));
            // Of no other product.
            Assert.Same(Pear, asked.Orders[1].Product);
            var plan = Sound(asked);
            var steps = plan.Tasks.Where(task => task.LotId is { } lot && plan.Lot(lot).Product.Id == id).Select(task => task.StepId).ToHashSet();
            Assert.Subset(made.Process.Steps.Select(step => step.Id).ToHashSet(), steps.OfType<string>().ToHashSet());
        }
    }

    [Fact]
    public void Lined_ahead_and_frozen_it_stands_in_the_freezer_for_two_hours_at_least()
    {
        var day = Snapshot(new DayOrder(Lidded, Lidded.ReferencePan, 6, PickUp, "kiosk"));
        int[] Frozen(PlannedDay plan) => [.. plan.Tasks.Where(task => task.Kind == TaskKind.Wait && task.Celsius < 0).Select(task => task.EndMin - task.StartMin)];
        var usual = Sound(day);
        Assert.All(Frozen(usual), wait => Assert.True(wait < 120));
        var plan = Sound(By(Lidded, SchoolPlace.Rest, "frozen").Applied(day));
        Assert.Contains(Frozen(plan), wait => wait >= 120);
        Assert.Equal(RoomLevels.Of(plan, Lumpet.Core.Bakery.KitchenRoom.Uncounted).Single(levels => levels.Place == RoomPlace.FreezerTrays).Most, DayFigures.Of(plan).FreezerTrays);
        Assert.True(DayFigures.Of(plan).FreezerTrays >= 2);
    }

    [Fact]
    public void Two_schools_of_one_product_are_taken_together_whichever_is_named_first()
    {
        DaySchool[] both = [new(Lidded.Id, SchoolPlace.Base, "partBlind"), new(Lidded.Id, SchoolPlace.Rest, "frozen")];
        var one = (DayArrangement.Usual with { Schools = both }).Applied(Lidded);
        var other = (DayArrangement.Usual with { Schools = [.. both.Reverse()] }).Applied(Lidded);
        Assert.Equal(one.Process.Steps.Select(step => step.Id), other.Process.Steps.Select(step => step.Id));
        Assert.Equal(2, one.Process.Steps.Count(step => step.IsBake));
        Assert.Contains(one.Process.Steps, step => step.Wait is not null && step.Celsius < 0);
        Assert.Equal(BaseTreatment.PartBlind, one.BaseTreatment);
    }

    [Fact]
    public void What_its_recipe_offers_no_more_changes_nothing()
    {
        Assert.Same(Lidded, By(Lidded, SchoolPlace.Rest, "cellar").Applied(Lidded));
        Assert.Same(Lidded, By(Lidded, SchoolPlace.Filling, "maceratedFruit").Applied(Lidded));
    }

    [Fact]
    public void Pies_that_were_begun_another_way_are_not_gone_on_with()
    {
        var partBaked = By(Lidded, SchoolPlace.Base, "partBlind");
        var way = partBaked.Applied(Lidded).Process;
        var blind = way.Steps.First(step => step.IsBake).Id;
        StockedPies Shells(ProcessNetwork network, string after, string id) => new(id, Lidded.Id, Lidded.ReferencePan.Id, 3, PartDone.By(network, after, -60), false, KeepPlace.Cold, 5000);
        var day = Snapshot(new DayOrder(Lidded, Lidded.ReferencePan, 6, PickUp, "kiosk")) with { Stock = new DayStock([], [Shells(way, blind, "baked"), Shells(Lidded.Process, "line", "lined")]) };
        Assert.Equal(["baked", "lined"], partBaked.Applied(day).Stock.Pies.Select(pies => pies.Id));
        Assert.Equal(["lined"], By(Lidded, SchoolPlace.Rest, "frozen").Applied(day).Stock.Pies.Select(pies => pies.Id));
        // Of what is made as its recipe says, nothing is looked into here.
        Assert.Equal(2, DayArrangement.Usual.Applied(day).Stock.Pies.Count);
    }
}
