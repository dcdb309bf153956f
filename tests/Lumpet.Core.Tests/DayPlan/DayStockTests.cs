using CsCheck;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>What is made already is used before anything is made anew, while it keeps.</summary>
public sealed class DayStockTests
{
    private const int Early = 1170;
    private const int Late = 1320;

    private static StockedMass Dough(double grams, string id = "dough", int readyMin = -600, int untilMin = 5000) =>
        new(id, Flaky.IngredientId, Mass.FromGrams(grams), KeepPlace.Cold, readyMin, untilMin, 0);

    private static StockedMass Curd(double grams, int readyMin = -600, int untilMin = 5000, int thawMin = 0) =>
        new("curd-there", MadeFirstTests.Curd.Id, Mass.FromGrams(grams), thawMin > 0 ? KeepPlace.Frozen : KeepPlace.Cold, readyMin, untilMin, thawMin);

    private static StockedPies Pies(Product product, int count, string? after, int doneMin = -60, int untilMin = 5000, string id = "pies") =>
        new(id, product.Id, Pan23.Id, count, PartDone.By(product.Process, after ?? "box", doneMin), after is null, KeepPlace.Cold, untilMin);

    private static DaySnapshot With(DaySnapshot day, params StockedMass[] masses) => day with { Stock = new DayStock(masses, []) };

    private static DaySnapshot With(DaySnapshot day, params StockedPies[] pies) => day with { Stock = new DayStock([], pies) };

    private static PlannedDay Sound(DaySnapshot day, int effort = 3)
    {
        var plan = DayPlanner.Plan(day, effort);
        Assert.Empty(DayPlanChecker.Check(day, plan));
        Assert.True(BakePlanChecker.Check(plan.Problem, plan.BakePlan).IsValid);
        return plan;
    }

    /// <summary>Grams of dough that so many pear pies take: base and lid, each portioned to whole grams.</summary>
    private static double Discs(int pies) => Scaling.Scale(Pear, Pan23, pies).Pieces.Sum(piece => Math.Round(piece.Disc.Grams, MidpointRounding.AwayFromZero)) * pies;

    [Fact]
    public void Dough_that_is_there_is_rolled_and_none_is_mixed()
    {
        var plan = Sound(With(Snapshot(Order(Pear, 8, Early)), Dough(Discs(8) + 500)));
        Assert.Empty(plan.Troubles);
        Assert.Empty(plan.Batches);
        Assert.Equal(Discs(8), plan.FromStock.Sum(use => use.Taken.Grams), 6);
        var rolled = plan.Tasks.Where(task => task.StepId == "line").ToDictionary(task => task.Id, task => task.StartMin);
        Assert.All(plan.FromStock, use => Assert.Equal(rolled[use.TaskId!], use.AtMin));
        Assert.All(plan.FromStock, use => Assert.StartsWith("Pear and ginger, 23 cm, ", use.For, StringComparison.Ordinal));
    }

    [Fact]
    public void What_is_short_is_mixed_and_whole_discs_are_taken()
    {
        var one = Scaling.Scale(Pear, Pan23, 8).Pieces.Max(piece => Math.Round(piece.Disc.Grams, MidpointRounding.AwayFromZero));
        var plan = Sound(With(Snapshot(Order(Pear, 8, Early)), Dough(3.5 * one)));
        Assert.Empty(plan.Troubles);
        var there = plan.FromStock.Sum(use => use.Taken.Grams);
        Assert.InRange(there, 2 * one, 3.5 * one);
        Assert.Equal(Discs(8), there + plan.Batches.Sum(batch => batch.InDiscs.Grams), 6);
    }

    [Fact]
    public void With_dough_there_is_time_for_what_there_was_none_for()
    {
        // Half an hour to mix and half an hour to rest at least are more than what is left.
        var day = Snapshot(Order(Pear, 4, 420)) with { HorizonMin = 700 };
        var without = DayPlanner.Plan(day).Fates[0];
        var with = Sound(With(day, Dough(Discs(4)))).Fates[0];
        Assert.Equal((4, 0), (without.Missed, with.Missed));
    }

    [Fact]
    public void What_is_not_ready_yet_or_keeps_no_longer_is_not_used()
    {
        var day = Snapshot(Order(Pear, 8, Early));
        Assert.Empty(Sound(With(day, Dough(9000, readyMin: 2000))).FromStock);
        Assert.Empty(Sound(With(day, Dough(9000, untilMin: 10))).FromStock);
        Assert.Single(Sound(With(day, Dough(9000, untilMin: 10))).Batches);
    }

    [Fact]
    public void The_first_pick_up_has_it_and_what_keeps_for_less_goes_first()
    {
        var plan = Sound(With(Snapshot(Order(Custard, 8, Late), Order(Pear, 4, Early)), Dough(Discs(4) * 3, "new"), Dough((Discs(4) / 2) + 400, "old", untilMin: 2500)));
        var pears = plan.FromStock.Where(use => use.LotIds.Contains("pear/23/1170")).ToArray();
        Assert.Equal(Discs(4), pears.Sum(use => use.Taken.Grams), 6);
        Assert.True(pears.Where(use => use.StockId == "old").Sum(use => use.Taken.Grams) > Discs(4) / 2);
        Assert.All(plan.Batches.SelectMany(batch => batch.LotIds), lot => Assert.Equal("custard/23/1320", lot));
    }

    [Theory]
    [InlineData(0, 600)]
    [InlineData(300, 300)]
    public void A_tub_that_is_there_is_taken_first_after_it_has_thawed(int thawMin, int untilMin)
    {
        var day = Snapshot(Order(MadeFirstTests.CurdPie, 8, Late));
        var made = Assert.Single(DayPlanner.Plan(day).Made);
        var plan = Sound(With(day, Curd(3000, thawMin: thawMin, untilMin: made.Batch.NeededMin + untilMin)));
        var use = Assert.Single(plan.FromStock);
        Assert.Equal(("curdy, 23 cm", 3000), (use.For, use.Taken.Grams));
        Assert.True(use.AtMin >= thawMin);
        // 8 x 700 g are wanted.
        Assert.Equal(2600, Assert.Single(plan.Made).Batch.Mass.Grams, 6);
        // What would thaw until after it is wanted is of no use.
        Assert.Empty(Sound(With(day, Curd(3000, thawMin: 1400))).FromStock);
    }

    [Fact]
    public void A_pot_is_not_made_for_a_spoonful()
    {
        var day = Snapshot(Order(MadeFirstTests.CurdPie, 8, Late));
        Assert.Empty(Sound(With(day, Curd(5550))).Made);
        Assert.Single(Sound(With(day, Curd(5500))).Made);
    }

    [Fact]
    public void Pies_that_are_ready_are_handed_over()
    {
        var plan = Sound(With(Snapshot(Order(Pear, 8, Early), Order(Pear, 6, Late)), Pies(Pear, 10, null)));
        Assert.Equal([("pear/23/1320", 4)], plan.Lots.Select(lot => (lot.Id, lot.Count)));
        Assert.Equal([(8, 8, true), (6, 6, true)], plan.Waves.Select(wave => (wave.Pies, wave.InTime, wave.IsMet)));
        Assert.Equal(["kiosk"], plan.Waves[0].For);
        Assert.Null(plan.Waves[0].BoxedMin);
        Assert.Equal([8, 2], plan.FromStock.Select(use => use.Pies));
        // They are too old for the second pick-up.
        Assert.Equal(6, Sound(With(Snapshot(Order(Pear, 8, Early), Order(Pear, 6, Late)), Pies(Pear, 10, null, untilMin: 1200))).Lots.Sum(lot => lot.Count));
    }

    [Fact]
    public void Shells_that_are_baked_are_filled()
    {
        var plan = Sound(With(Snapshot(Order(Custard, 12, Late)), Pies(Custard, 8, "blind", doneMin: 100)), DayPlanner.DefaultEffort);
        Assert.Empty(plan.Troubles);
        Assert.Equal([("custard/23/1320~pies", 8), ("custard/23/1320", 4)], plan.Lots.Select(lot => (lot.Id, lot.Count)));
        var steps = plan.Tasks.Where(task => task.LotId == "custard/23/1320~pies").Select(task => task.StepId).ToHashSet();
        Assert.Equal(["bake", "box", "pour", "rack", "set", "to-fridge", "whisk"], steps.Order());
        // They cool for 20 minutes first.
        Assert.True(plan.Tasks.Where(task => task.LotId == "custard/23/1320~pies" && task.StepId == "pour").Min(task => task.StartMin) >= 120);
        Assert.Equal(4, plan.Batches.Sum(batch => batch.Discs.Sum(disc => disc.Count)));
        Assert.Equal(8, plan.FromStock.Sum(use => use.Pies));
    }

    [Fact]
    public void Pies_that_are_baked_only_cool_and_are_boxed()
    {
        var plan = Sound(With(Snapshot(Order(Pear, 8, Early)), Pies(Pear, 8, "bake", doneMin: 700)));
        Assert.Empty(plan.Troubles);
        Assert.Empty(plan.Loads);
        // 240 min of cooling at least.
        Assert.True(Assert.Single(plan.Tasks).StartMin >= 940, plan.Tasks[0].ToString());
    }

    [Fact]
    public void Pies_that_were_begun_are_in_their_pans()
    {
        var day = With(Snapshot(Order(Pear, 8, Early, Pan23 with { Owned = 12 })), Pies(Pear, 8, "bake", doneMin: 700));
        var hold = Assert.Single(Sound(day).PansInUse);
        Assert.Equal((0, 8), (hold.FromMin, hold.Count));
    }

    [Fact]
    public void What_is_there_takes_its_room_until_it_is_taken()
    {
        var day = Crew(3, Snapshot(Order(Pear, 8, Early)));
        var there = With(day, Dough(Discs(8) + 700));
        var plan = Sound(there with { Room = new() { FridgeKilograms = 8 } });
        int At(int minute) => plan.Room.Where(use => use.Place == RoomPlace.FridgeTubs && use.FromMin <= minute && minute < use.ToMin).Sum(use => use.Amount);
        Assert.Equal(Discs(8) + 700, At(0), 1.0);
        Assert.Equal(700, At(plan.FromStock.Max(use => use.AtMin)));
        // A fridge that is full of it takes nothing else.
        var full = With(Crew(3, Snapshot(Order(MadeFirstTests.CurdPie, 8, Late))), Dough(10_000)) with { Room = new() { FridgeKilograms = 10 } };
        Assert.Equal(8, Sound(full).Fates.Sum(fate => fate.Missed));
        var shells = With(day, Pies(Pear, 40, "line", untilMin: 100)) with { Room = new() { FridgeTrays = 10 } };
        Assert.Equal(8, Sound(shells with { HorizonMin = 1400, Stock = shells.Stock with { Pies = [shells.Stock.Pies[0] with { ProductId = "other", UntilMin = 5000 }] } }).Fates.Sum(fate => fate.Missed));
        Assert.Equal(0, Sound(shells).Fates.Sum(fate => fate.Missed));
    }

    [Fact]
    public void What_keeps_no_longer_when_a_day_begins_takes_no_room_on_it()
    {
        foreach (var orders in new DayOrder[][] { [Order(Pear, 4, Early)], [] })
        {
            var plan = Sound(With(Snapshot(orders), Dough(5000, untilMin: 0)));
            Assert.DoesNotContain(plan.Room, use => use.FromMin >= use.ToMin);
            Assert.All(RoomLevels.Of(plan, new()), levels => Assert.True(levels.Most > 0));
        }
    }

    [Fact]
    public void What_others_have_taken_is_not_there_any_more()
    {
        var stock = new DayStock([Dough(1000)], [Pies(Pear, 4, "bake")]);
        StockUse Use(string id, double grams, int pies) => new(id, string.Empty, [], null, Mass.FromGrams(grams), pies, 0);
        var left = stock.Less([Use("dough", 400, 0), Use("pies", 0, 3), Use("dough", 100, 0)]);
        Assert.Equal((500, 1), (left.Masses[0].Mass.Grams, left.Pies[0].Count));
        Assert.True(stock.Less([Use("dough", 1200, 0), Use("pies", 0, 4)]).IsNothing);
    }

    private static readonly Gen<DayStock> AnyStock = Gen.Select(Gen.Int[0, 9000], Gen.Int[-900, 600], Gen.Int[0, 2400], Gen.Int[0, 14], Gen.Int[0, 6], Gen.Int[-200, 500]).Select(any =>
    {
        var (grams, ready, keeps, pies, after, done) = any;
        string?[] steps = [null, "bake", "line", "fill", "pour", "blind", "rest"];
        var product = steps[after] is "pour" or "blind" ? Custard : Pear;
        return new DayStock(
            grams < 500 ? [] : [Dough(grams, untilMin: ready + keeps, readyMin: ready), Dough(grams / 3, "second")],
            pies == 0 || steps[after] == "rest" ? [] : [Pies(product, pies, steps[after], done, done + keeps)]);
    });

    [Fact]
    public void Whatever_is_there_a_plan_is_sound() => Gen.Select(AnyDayTests.AnyDay, AnyStock).SampleTheSame(
        any =>
        {
            var snapshot = any.Item1 with { Stock = any.Item2 };
            var plan = DayPlanner.Plan(snapshot, effort: 2);
            Assert.Empty(BakePlanChecker.Check(plan.Problem, plan.BakePlan).Faults);
            Assert.Empty(DayPlanChecker.Check(snapshot, plan));
        },
        iter: 25);

    public static TheoryData<string, string> Faults => new()
    {
        { "more is taken than there is", "stock" },
        { "it is taken before it is ready", "stock" },
        { "it is taken when it keeps no longer", "stock" },
        { "it is taken at another minute than by its task", "stock" },
        { "it is taken before it has thawed", "stock" },
        { "a disc has no dough", "discs" },
        { "more pies are counted on than there are", "stock" },
        { "pies are too old for their pick-up", "stock" },
        { "pies go on too soon", "stock" },
        { "pies that are ready are counted twice", "orders" },
    };

    private static readonly DaySnapshot Asked = Crew(3, Snapshot(Order(Pear, 8, Early), Order(Custard, 8, Late), Order(MadeFirstTests.CurdPie, 4, Late))) with
    {
        Stock = new DayStock([Dough(4000), Curd(1500)], [Pies(Custard, 4, "blind", doneMin: 100), Pies(Pear, 3, null, id: "ready")]),
    };

    private static readonly PlannedDay Planned = DayPlanner.Plan(Asked);

    [Theory]
    [MemberData(nameof(Faults))]
    public void A_fault_is_found(string fault, string rule)
    {
        Assert.Empty(DayPlanChecker.Check(Asked, Planned));
        DaySnapshot Of(Func<StockedMass, StockedMass> mass) => Asked with { Stock = Asked.Stock with { Masses = [.. Asked.Stock.Masses.Select(mass)] } };
        DaySnapshot OfPies(Func<StockedPies, StockedPies> pies) => Asked with { Stock = Asked.Stock with { Pies = [.. Asked.Stock.Pies.Select(pies)] } };
        var first = Planned.FromStock.First(use => use.StockId == "dough");
        var (asked, plan) = fault switch
        {
            "more is taken than there is" => (Of(one => one with { Mass = one.Mass * 0.4 }), Planned),
            "it is taken before it is ready" => (Of(one => one with { ReadyMin = first.AtMin + 1 }), Planned),
            "it is taken when it keeps no longer" => (Of(one => one with { UntilMin = first.AtMin - 1 }), Planned),
            "it is taken at another minute than by its task" => (Asked, Planned with { FromStock = [first with { AtMin = first.AtMin + 1 }, .. Planned.FromStock.Where(use => use != first)] }),
            "it is taken before it has thawed" => (Of(one => one with { ThawMin = 1000 }), Planned),
            "a disc has no dough" => (Asked, Planned with { FromStock = [.. Planned.FromStock.Where(use => use.StockId != "dough")] }),
            "more pies are counted on than there are" => (OfPies(one => one with { Count = 3 }), Planned),
            "pies are too old for their pick-up" => (OfPies(one => one with { UntilMin = 1000 }), Planned),
            "pies go on too soon" => (OfPies(one => one with { Done = one.Done.ToDictionary(step => step.Key, _ => 1200) }), Planned),
            _ => (Asked, Planned with { Ready = [.. Planned.Ready, .. Planned.Ready] }),
        };
        Assert.Contains(DayPlanChecker.Check(asked, plan), found => found.Rule == rule);
    }
}
