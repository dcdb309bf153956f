using CsCheck;
using Lumpet.Core.Baking;
using Lumpet.Core.Batches;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>What is made before the pies, as a day's plan makes it.</summary>
public sealed class MadeFirstTests
{
    private const int Early = 1170;
    private const int Late = 1320;

    internal static readonly Ingredient Curd = Made(
        "curd", 6000, new Span(0, 0, 5760), [Line("sugar", 400), Line("egg", 350), Line("butter", 250)], Work("cook", Station.Pot, 20, 5), Wait("cool", Station.Cold, 120, 180, 1440));

    internal static readonly Ingredient Puree = Made(
        "puree", 8000, new Span(0, 540, 4320), [Line("roots", 1000, 0.8)], Work("cut", Station.Bench, 5, 2), Roast, Wait("cool", Station.Rack, 30, 45, 120), Work("blend", Station.Bench, 8, 3));

    private static readonly Ingredient Praline = Made(
        "praline", 3000, new Span(0, 0, 20000), [Line("nuts", 500), Line("sugar", 500)], Work("caramel", Station.Pot, 15, 4), Wait("cool", Station.Rack, 30, 45, 600), Work("grind", Station.Bench, 5, 3));

    internal static readonly Product CurdPie = Filled("curdy", Of(Curd, 700), Line("milk", 279));

    internal static readonly Product PureePie = Filled("pureed", Of(Puree, 600), Line("egg", 150), Line("milk", 229));

    private static Step Roast => new("roast", "Roast", Station.Oven, null, [new BakeStage(180, 90, 110)], null, null, false, "soft", "") { Bakes = BakeOf.Preparation };

    private static Ingredient Made(string id, double most, Span hold, RecipeLine[] lines, params Step[] steps) => Ingredient(id) with
    {
        Formula = new IngredientFormula(lines, 1)
        {
            How = new Making(PreparationKind.Other, steps, new BatchLimits(Mass.Zero, Mass.FromGrams(most), Mass.FromGrams(2500)), new Keeping(KeepPlace.Cold, hold, "stir")),
        },
    };

    internal static RecipeLine Of(Ingredient made, double grams) => new(made, "", Yield.Whole, Mass.FromGrams(grams));

    internal static Product Filled(string id, params RecipeLine[] lines) => Custard.Filled(lines) with { Id = id, Name = id };

    [Fact]
    public void What_two_products_take_is_one_pot_made_before_the_first_of_them()
    {
        var plan = DayPlanner.Plan(Snapshot(Order(CurdPie, 4, Early), Order(CurdPie with { Id = "other", Name = "other" }, 4, Late)));
        Assert.Empty(plan.Troubles);
        var made = Assert.Single(plan.Made);
        Assert.Equal(8 * 700, made.Batch.Mass.Grams, 6);
        Assert.Equal(2, made.Batch.LotIds.Count);
        Assert.Equal(plan.Tasks.Where(task => task.StepId == "whisk").Min(task => task.StartMin), made.Batch.NeededMin);
        // 5.6 kg: 20 + 5 x 5.6 = 48 min at the pot.
        Assert.Equal(48, made.Steps[0].EndMin - made.Steps[0].StartMin);
        // 40, 35 and 25 in the hundred.
        Assert.Equal([2240, 1960, 1400], made.Batch.Lines.Select(line => line.WeighedGrams));
    }

    [Fact]
    public void What_is_roasted_first_is_in_the_oven_plan_as_itself_on_its_own_trays()
    {
        var plan = DayPlanner.Plan(Snapshot(Order(PureePie, 12, Late), Order(Pear, 8, Late)));
        Assert.Empty(plan.Troubles);
        Assert.Empty(BakePlanChecker.Check(plan.Problem, plan.BakePlan).Faults);
        var made = Assert.Single(plan.Made);
        // 12 x 600 g are 7.2 kg; 2.5 kg to a tray are three trays.
        var bake = plan.Problem.Bakes.Single(bake => bake.Id == "made:puree/1/roast");
        Assert.Equal(3, bake.Trays.Count);
        var visits = plan.Loads.SelectMany(load => load.Visits).Where(visit => visit.LotId == made.Batch.Id).ToArray();
        Assert.Equal(3, visits.Sum(visit => visit.Shelves.Count));
        Assert.All(visits, visit => Assert.Equal((made.Batch.About, "roast", null), (plan.Thing(visit).Name, plan.Thing(visit).Step.Id, plan.Thing(visit).Lot)));
        Assert.Contains(OvenSteps.Of(plan), step => step.Act == OvenAct.In && step.Visits.Any(visit => visit.LotId == made.Batch.Id));
    }

    [Fact]
    public void What_is_wanted_the_day_before_is_made_then_and_nearer_where_it_must_be()
    {
        var ahead = Assert.Single(DayPlanner.Plan(Snapshot(Order(PureePie, 4, Late))).Made);
        Assert.True(ahead.Batch.NeededMin - ahead.DoneMin >= 540, $"{ahead.DoneMin} for {ahead.Batch.NeededMin}");
        Assert.InRange(ahead.DoneMin, 0, 480);
        // Nobody is there the day before: it is made in the night, and what it needs at least is kept.
        var night = Snapshot(Order(PureePie, 4, 2000)) with { Shifts = [new Core.DayPlan.DayShift("Night", 720, 1800)] };
        var plan = DayPlanner.Plan(night);
        Assert.Empty(plan.Troubles);
        Assert.True(Assert.Single(plan.Made).StartMin >= 720);
    }

    [Fact]
    public void What_is_frozen_is_thawed_before_it_is_used()
    {
        var how = Curd.Formula!.How! with { Keeping = new Keeping(KeepPlace.Frozen, new Span(60, 120, 5760), "stir") { ThawMin = 240, Elsewhere = [new KeptIn(KeepPlace.Cold, 0, 90)] } };
        var frozen = Curd with { Formula = Curd.Formula with { How = how } };
        var plan = DayPlanner.Plan(Snapshot(Order(Filled("frozen", Of(frozen, 700), Line("milk", 279)), 4, Late)));
        Assert.Empty(plan.Troubles);
        var made = Assert.Single(plan.Made);
        Assert.InRange(made.Batch.NeededMin - made.DoneMin, 120 + 240, 5760 + 240 + 90);
        var (keep, thaw) = (plan.Tasks.Single(task => task.StepId == Keeping.KeepId), plan.Tasks.Single(task => task.StepId == Keeping.ThawId));
        Assert.Equal((made.DoneMin, thaw.StartMin, made.Batch.NeededMin), (keep.StartMin, keep.EndMin, thaw.EndMin));
        // It thaws for what it needs, and in the fridge no longer than it keeps there; the freezer bears the rest.
        Assert.InRange(thaw.EndMin - thaw.StartMin, 240, 330);
        Assert.Equal((-18, 4), (keep.Celsius, thaw.Celsius));
        Assert.Equal(("", "before use: stir"), (keep.ReadyWhen, thaw.ReadyWhen));
        // The chain of what waits for what runs through both, from the last step to the pie.
        var reasons = plan.Reasons;
        Assert.Equal([keep.Id], reasons[DayTasks.Id(made.Batch, "cool")].WaitedBy.Select(link => link.TaskId));
        Assert.Equal([thaw.Id], reasons[keep.Id].WaitedBy.Select(link => link.TaskId));
        Assert.Equal([keep.Id], reasons[thaw.Id].WaitsFor.Select(link => link.TaskId));
        Assert.Contains(thaw.Id, reasons[plan.Tasks.First(task => task.StepId == "whisk").Id].WaitsFor.Select(link => link.TaskId));
        Assert.Equal(keep.EndMin - keep.StartMin - 60, reasons[keep.Id].SlipMin);
    }

    [Fact]
    public void A_wait_before_it_is_kept_leaves_its_keeping_the_least_that_it_needs()
    {
        // Cooked in 20 + 5 x 2.8 = 34 min, cooled for 120 to 180, and kept for 600 at least: wanted after 34 + 120 + 620 minutes, as the first shift opens at 0.
        var needs = Curd with { Formula = Curd.Formula! with { How = Curd.Formula.How! with { Keeping = new Keeping(KeepPlace.Cold, new Span(600, 600, 5760), "stir") } } };
        var plans = Enumerable.Range(0, 40).Select(at => DayPlanner.Plan(Snapshot(Order(Filled("kept", Of(needs, 700), Line("milk", 279)), 4, 1080 + (at * 5))))).ToArray();
        var made = plans.Where(plan => plan.Troubles.Count == 0).SelectMany(plan => plan.Made).ToArray();
        Assert.NotEmpty(made);
        Assert.All(made, one => Assert.InRange(one.Kept[0].EndMin - one.Kept[0].StartMin, 600, 5760));
        // Some of them are so close that they cool for less than is wanted.
        Assert.Contains(made, one => one.Steps[^1].EndMin - one.Steps[^1].StartMin < 180);
        Assert.All(made, one => Assert.InRange(one.Steps[^1].EndMin - one.Steps[^1].StartMin, 120, 180));
    }

    [Fact]
    public void What_comes_too_late_is_kept_for_what_is_left()
    {
        var how = Curd.Formula!.How! with { Keeping = new Keeping(KeepPlace.Frozen, new Span(600, 600, 5760), "stir") { ThawMin = 720 } };
        var frozen = Curd with { Formula = Curd.Formula with { How = how } };
        var plan = DayPlanner.Plan(Snapshot(Order(Filled("frozen", Of(frozen, 700), Line("milk", 279)), 4, Early)));
        Assert.NotEmpty(plan.Troubles);
        Assert.All(plan.Made.SelectMany(made => made.Kept), kept => Assert.True(kept.StartMin < kept.EndMin));
        Assert.All(plan.Made.Where(made => made.Kept.Count > 0), made => Assert.Equal(made.Batch.NeededMin, made.Kept[^1].EndMin));
    }

    [Fact]
    public void What_is_made_of_something_made_waits_for_it()
    {
        var cream = Made("cream", 5000, new Span(0, 0, 2000), [Line("milk", 800), Of(Praline, 200)], Work("cook", Station.Pot, 20, 4), Wait("cool", Station.Cold, 120, 240, 1440));
        var plan = DayPlanner.Plan(Snapshot(Order(Filled("creamy", Of(cream, 979)), 10, Late)));
        Assert.Empty(plan.Troubles);
        Assert.Equal(["cream", "cream", "praline"], plan.Made.Select(made => made.Batch.Made.Id));
        // 9.79 kg in two pots; a fifth of each is praline, taken when the pot is begun.
        var praline = plan.Made[2];
        Assert.Equal(1958, praline.Batch.Mass.Grams, 6);
        Assert.Equal(plan.Made.Take(2).Min(made => made.StartMin), praline.Batch.NeededMin);
        Assert.True(praline.DoneMin <= praline.Batch.NeededMin);
    }

    [Fact]
    public void What_goes_into_pies_and_into_something_made_is_one_pot_for_both()
    {
        var cream = Made("cream", 9000, new Span(0, 0, 2000), [Line("milk", 800), Of(Praline, 200)], Work("cook", Station.Pot, 20, 4));
        var plan = DayPlanner.Plan(Snapshot(Order(Filled("both", Of(Praline, 100), Of(cream, 879)), 4, Late)));
        Assert.Empty(plan.Troubles);
        Assert.Equal(["cream", "praline"], plan.Made.Select(made => made.Batch.Made.Id));
        // 4 x 100 g in the pies, and a fifth of 4 x 879 g.
        Assert.Equal((4 * 100) + (4 * 879 / 5.0), plan.Made[1].Batch.Mass.Grams, 6);
    }

    // People are there from 0 to 480 and from 720 to 1320; roots are cut, roasted, cooled 30 to 120 better 45, and blended.
    private static MadeBatch Timed(int needed, Span hold, (int Start, int End)? roasted)
    {
        var puree = Made("puree", 8000, hold, [Line("roots", 1000)], Work("cut", Station.Bench, 5, 2), Roast, Wait("cool", Station.Rack, 30, 45, 120), Work("blend", Station.Bench, 8, 3));
        var batch = Assert.Single(PreparationBatching.Divide([new PreparationDemand(puree, "pie", "pie/1/fill", ["pie"], 4, Mass.FromGrams(2000), needed)]));
        var calendar = new ShiftCalendar([new DayShift("Afternoon", 0, 480), new DayShift("Night", 720, 1320)]);
        return new MakingTimetable(calendar).Around(batch, roasted is { } times ? new Dictionary<string, (int, int)> { ["roast"] = times } : []);
    }

    private static string Said(MadeBatch made) => string.Join(" ", made.Steps.Select(step => $"{step.Step.Id} {step.StartMin}-{step.EndMin}"));

    [Fact]
    public void A_batch_is_timed_backwards_from_its_use_by_what_is_wanted()
    {
        // Two kilograms: cut 9, roast 90, blend 14. Used at 1000 after 540 in the cold: done by 460, blended from 446, out by 401.
        var made = Timed(1000, new Span(0, 540, 4320), null);
        Assert.Equal("cut 302-311 roast 311-401 cool 401-446 blend 446-460", Said(made));
        Assert.Equal((0, false), (made.Short, made.Breaks));
        // Nothing is wanted of its keeping: as late as it can be.
        Assert.Equal("cut 842-851 roast 851-941 cool 941-986 blend 986-1000", Said(Timed(1000, new Span(0, 0, 4320), null)));
    }

    [Fact]
    public void What_the_ovens_have_set_is_followed_soon_where_it_should_lie_ready_longer()
    {
        // Out at 355: it cannot lie ready the 600 that are wanted before 959, so it is blended as soon as it is cool.
        var made = Timed(959, new Span(0, 600, 4320), (265, 355));
        Assert.Equal("cut 256-265 roast 265-355 cool 355-400 blend 400-414", Said(made));
        Assert.Equal(0, made.Short);
        // Nothing is wanted of its keeping, but it may stand 120 on its trays: then it is blended at the end of that.
        Assert.Equal("cut 256-265 roast 265-355 cool 355-466 blend 466-480", Said(Timed(959, new Span(0, 0, 4320), (265, 355))));
    }

    [Fact]
    public void What_comes_out_too_late_or_waits_too_long_says_by_how_much()
    {
        // Out at 941, 30 to cool, 14 to blend: ready at 985 for a use at 959.
        var late = Timed(959, new Span(0, 0, 4320), (851, 941));
        Assert.Equal((26, false), (late.Short, late.Breaks));
        Assert.Contains("\"Roast\" ends at 941, and \"blend\" begins at 945, where 30 min lie between", late.Why.With(minute => $"{minute}"), StringComparison.Ordinal);
        // Out at 400 with nobody there from 480 to 720: it can be blended in time, but not kept longer than 300 before 1000.
        var old = Timed(1000, new Span(0, 0, 300), (310, 400));
        Assert.True(old.Breaks);
        Assert.Contains("where 5 h is the most", old.Why.With(minute => $"{minute}").Replace("300 min", "5 h", StringComparison.Ordinal), StringComparison.Ordinal);
        // Needed before anybody can have made it.
        Assert.True(Timed(60, new Span(0, 0, 300), null).Short > 0);
    }

    [Fact]
    public void What_nobody_says_how_to_make_is_looked_through_to_what_is_made()
    {
        var filled = Ingredient("mixture") with { Formula = new IngredientFormula([Line("milk", 500), Of(Praline, 500)], 0.5) };
        var made = Assert.Single(DayPlanner.Plan(Snapshot(Order(Filled("mixed", Of(filled, 100), Line("milk", 879)), 10, Late))).Made);
        // 100 g of the mixture take 200 g weighed in, half of it praline.
        Assert.Equal(1000, made.Batch.Mass.Grams, 6);
    }

    [Fact]
    public void What_goes_into_the_dough_is_made_before_it_is_mixed()
    {
        var browned = Made("browned", 4000, new Span(60, 60, 5000), [Line("butter", 1000)], Work("brown", Station.Pot, 15, 2));
        var dough = Flaky with { Lines = [Line("flour", 450), Of(browned, 300), Line("water", 150)] };
        var plan = DayPlanner.Plan(Snapshot(Order(Pear with { Dough = dough }, 8, Late)));
        Assert.Empty(plan.Troubles);
        var made = Assert.Single(plan.Made);
        Assert.Equal(plan.Batches.Min(batch => batch.MixStartMin), made.Batch.NeededMin);
        Assert.Equal(plan.Batches.Sum(batch => batch.Mass.Grams) / 3, made.Batch.Mass.Grams, 6);
        Assert.True(made.Batch.NeededMin - made.DoneMin >= 60);
        Assert.All(made.Batch.Uses, use => Assert.Equal("Flaky", use.Label));
    }

    [Fact]
    public void A_topping_is_taken_where_it_goes_on_and_a_finish_when_the_pie_is_cold()
    {
        var plan = DayPlanner.Plan(Snapshot(Order(Custard.Finished(Of(Praline, 20)), 4, Late), Order(Pear.Topped(Of(Curd, 30)), 4, Late)));
        Assert.Equal("box", Taker(plan, "praline").StepId);
        Assert.Equal("fill", Taker(plan, "curd").StepId);
        Assert.Equal("fill", Taker(DayPlanner.Plan(Snapshot(Order(Pear.Finished(Of(Praline, 20)), 4, Late))), "praline").StepId);
    }

    private static DayTask Taker(PlannedDay plan, string id)
    {
        var use = Assert.Single(Assert.Single(plan.Made, made => made.Batch.Made.Id == id).Batch.Uses);
        return plan.Tasks.Single(task => task.Id == use.TaskId);
    }

    [Fact]
    public void What_cannot_be_made_in_time_is_said_of_the_pies_that_wait_for_it()
    {
        var slow = Made("slow", 6000, new Span(3000, 3000, 9000), [Line("sugar", 1000)], Work("cook", Station.Pot, 20, 5));
        var trouble = Assert.Single(DayPlanner.Plan(Snapshot(Order(Filled("slow-pie", Of(slow, 700)), 4, Early), Order(Pear, 4, Early))).Troubles);
        Assert.Equal(4, trouble.Pies);
        Assert.Contains("slow", trouble.What.With(minute => $"{minute}"), StringComparison.Ordinal);
        var huge = Made("huge", 6000, new Span(0, 0, 9000), [Line("roots", 1000)], Roast with { Stages = [new BakeStage(300, 60, 60)] });
        var plan = DayPlanner.Plan(Snapshot(Order(Filled("huge-pie", Of(huge, 700)), 4, Late)));
        var noOven = Assert.Single(plan.Troubles);
        // Its roast is a task with a trouble; the strip of the day shows no oven at work for it.
        Assert.Contains(plan.Tasks, task => task.IsMadeFirst && task.Kind == TaskKind.Bake);
        Assert.Contains(DayRibbon.Of(plan), stretch => stretch.Phase == "bake");
        Assert.DoesNotContain(DayRibbon.Of(plan), stretch => stretch.Celsius == 300);
        Assert.Contains("no oven takes it", noOven.What.With(minute => $"{minute}"), StringComparison.Ordinal);
    }

    [Fact]
    public void Where_nobody_is_there_at_all_that_is_said_and_nothing_breaks()
    {
        var plan = DayPlanner.Plan(Snapshot(Order(PureePie, 4, Late)) with { Shifts = [] });
        Assert.Equal(4, plan.Troubles.Sum(trouble => trouble.Pies));
    }

    [Fact]
    public void Every_task_of_it_has_its_reason_and_its_neighbours()
    {
        var plan = DayPlanner.Plan(Snapshot(Order(PureePie.Finished(Of(Praline, 20)), 12, Late), Order(CurdPie, 8, Early)));
        var tasks = plan.Tasks.ToDictionary(task => task.Id);
        Assert.Equal(3, plan.Made.Count);
        foreach (var (id, reason) in plan.Reasons)
        {
            Assert.NotEmpty(reason.Why.Parts);
            foreach (var link in reason.WaitsFor)
            {
                Assert.Equal(tasks[id].StartMin, tasks[link.TaskId].EndMin + link.GapMin);
                if (tasks[id].IsMadeFirst || tasks[link.TaskId].IsMadeFirst) Assert.Contains(plan.Reasons[link.TaskId].WaitedBy, back => back.TaskId == id);
            }

            if (tasks[id].IsMadeFirst) Assert.NotEmpty(reason.WaitedBy);
        }
    }

    [Fact]
    public void Of_any_day_it_is_made_in_time_for_all_that_takes_it_or_that_is_said() =>
        Gen.Select(Gen.Int[0, 4].Array[1, 5], Gen.Int[1, 20].Array[5], Gen.Int[60, 140].Array[5], Gen.Int[0, 480]).SampleTheSame(
            any =>
            {
                var (kinds, counts, pickUps, pause) = any;
                Product[] products = [CurdPie, PureePie, Pear.Finished(Of(Praline, 20)), Filled("both", Of(Curd, 300), Of(Puree, 679)), Custard];
                var snapshot = Snapshot([.. kinds.Select((kind, at) => Order(products[kind], counts[at], pickUps[at] * 10))]) with
                {
                    Shifts = [new DayShift("Afternoon", 0, 480), new DayShift("Night", 480 + pause, 1320)],
                };
                Holds(DayPlanner.Plan(snapshot, effort: 3));
            },
            iter: 40);

    [Fact]
    public void Days_with_what_is_made_first_are_planned_as_approved()
    {
        var cream = Made("cream", 5000, new Span(0, 0, 2000), [Line("milk", 800), Of(Praline, 200)], Work("cook", Station.Pot, 20, 4), Wait("cool", Station.Cold, 120, 240, 1440));
        var slow = Made("slow", 6000, new Span(3000, 3000, 9000), [Line("sugar", 1000)], Work("cook", Station.Pot, 20, 5));
        var twice = Made("twice", 6000, new Span(30, 60, 9000), [Line("oats", 1000)], Work("spread", Station.Bench, 3, 1), Roast with { Id = "dry" }, Work("stir", Station.Bench, 4, 1), Roast);
        DaySnapshot[] days =
        [
            Snapshot(Order(PureePie.Finished(Of(Praline, 20)), 12, Late), Order(CurdPie, 8, Early), Order(CurdPie with { Id = "other" }, 12, Late)),
            Snapshot(Order(Filled("creamy", Of(cream, 979)), 10, Late), Order(Filled("slow-pie", Of(slow, 700)), 4, Early)),
            Snapshot(Order(Pear.Topped(Of(twice, 60)), 30, Late), Order(PureePie, 40, Early)) with { Shifts = [new DayShift("Night", 600, 1320)] },
        ];
        Approved.Matches("DayPlan/made-first", days.SelectMany(day =>
        {
            var plan = DayPlanner.Plan(day, effort: 8);
            return (string[])
            [
                "== day", .. Told.Each(plan.Made), .. Told.Each(plan.Problem.Bakes), .. Told.Each(plan.Loads), .. Told.Each(plan.Fates), .. Told.Each(plan.Troubles),
                .. plan.Tasks.Where(task => task.IsMadeFirst).Select(task => $"{Told.Of(task)} {Told.Of(plan.Reasons[task.Id])}"),
            ];
        }));
    }

    private static void Holds(PlannedDay plan)
    {
        Assert.All(DayRibbon.Of(plan), stretch => Assert.True(stretch.StartMin < stretch.EndMin));
        Assert.Empty(BakePlanChecker.Check(plan.Problem, plan.BakePlan).Faults);
        var tasks = plan.Tasks.ToDictionary(task => task.Id);
        var troubled = plan.Troubles.Select(trouble => trouble.LotId).ToHashSet();
        foreach (var made in plan.Made)
        {
            if (made.Batch.LotIds.All(troubled.Contains)) continue;
            var how = made.Batch.How;
            Assert.InRange(made.Batch.NeededMin - made.DoneMin, how.Keeping.Hold.Least, how.Keeping.Hold.Most);
            foreach (var use in made.Batch.Uses.Where(use => tasks.ContainsKey(use.TaskId))) Assert.Equal(use.NeededMin, tasks[use.TaskId].StartMin);
            foreach (var (before, after) in made.Steps.Zip(made.Steps.Skip(1))) Assert.InRange(after.StartMin - before.EndMin, 0, Making.MostBetweenMin);
            foreach (var wait in made.Steps.Where(step => step.Step.Wait is not null)) Assert.InRange(wait.EndMin - wait.StartMin, wait.Step.Wait!.Least, wait.Step.Wait.Most);
            Assert.All(made.Steps.Where(step => step.Step.Hands is not null), step => Assert.Equal(step.Step.Hands!.For(made.Batch.Weighed.Kilograms), step.EndMin - step.StartMin));
        }

        // Grams in are grams out: what all pies take is what is made.
        foreach (var group in plan.Made.GroupBy(made => made.Batch.Made.Id))
        {
            var wanted = plan.Lots.Sum(lot => Scaling.Scale(lot.Product, lot.Pan, lot.Count).AllLines.Where(line => line.Line.Ingredient.Id == group.Key).Sum(line => line.ToBuy.Grams));
            Assert.Equal(wanted, group.Sum(made => made.Batch.Mass.Grams), 3);
        }
    }
}
