using Lumpet.Core.Baking;
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

/// <summary>Doughs as what other things are made of: crumbled over pies, baked as shells, rolled into other doughs.</summary>
public sealed class DoughTakenTests
{
    private const int Late = 1320;

    private static readonly Ingredient Dough = Flaky.AsIngredient();

    // 30 g of dough each, of which a tenth bakes away; 48 at once, 20 on a tray.
    private static readonly Ingredient Shells = Ingredient("shells") with
    {
        Name = "Shells",
        Facts = new IngredientFacts { Pieces = [new PieceWeight("one", Mass.FromGrams(27), "weighed here")] },
        Formula = new IngredientFormula([Of(Dough, 1000)], 1)
        {
            ReducedTo = 0.9,
            How = new Making(
                PreparationKind.Shells,
                [Work("line", Station.Bench, 5, 0.5), new Step("bake", "Bake blind", Station.Oven, null, [new BakeStage(180, 18, 22)], null, null, false, "golden", "") { Bakes = BakeOf.Preparation }, Wait("cool", Station.Rack, 30, 40, 240)],
                new BatchLimits(Mass.Zero, Mass.FromGrams(48 * 27), Mass.FromGrams(20 * 30)),
                new Keeping(KeepPlace.Room, new Span(0, 0, 4320), string.Empty))
            {
                Piece = Mass.FromGrams(27),
            },
        },
    };

    private static RecipeLine Of(Ingredient made, double grams) => new(made, "", Yield.Whole, Mass.FromGrams(grams));

    private static Product Filled(string id, params RecipeLine[] lines) => Custard.Filled(lines) with { Id = id, Name = id };

    /// <summary>Cold curd in shells that were baked before: no oven of its own.</summary>
    internal static Product Tartlet => Filled("tartlet", Line("egg", 979)) with
    {
        Dough = ShellsMadeHere.With([], [Shells]).Single(),
        Crust = Custard.Crust with { Lining = Lining.BoughtShell },
        Process = new ProcessNetwork(
            [
                Work("set-out", Station.Bench, 2, 0.1) with { UsesDough = true },
                Work("whip", Station.Pot, 10, 0.2),
                Work("fill", Station.Bench, 3, 0.3),
                Wait("set", Station.Cold, 60, 90, 1440),
                Work("box", Station.Box, 2, 0.2),
            ],
            [After("set-out", "fill"), After("whip", "fill"), After("fill", "set"), After("set", "box")]),
    };

    private static Link After(string before, string after) => new(before, after, Span.Between(0, after == "fill" ? 60 : 0));

    /// <summary>What is made of everything that is made first is what is taken of it: by pies, by doughs, by one another.</summary>
    private static void Balanced(PlannedDay plan)
    {
        var taken = new Dictionary<string, double>();
        void Take(IEnumerable<(Ingredient Of, double Grams)> lines)
        {
            foreach (var (of, grams) in lines.Where(line => line.Of.Formula is not null)) taken[of.Id] = taken.GetValueOrDefault(of.Id) + grams;
        }

        foreach (var lot in plan.Lots)
            Take(Scaling.Scale(lot.Product, lot.Pan, lot.Count).Parts.Where(part => part.Kind != PartKind.Dough).SelectMany(part => part.Lines).Select(line => (line.Line.Ingredient, line.ToBuy.Grams)));
        Take(plan.Made.SelectMany(made => made.Batch.Lines.Select(line => (line.Line.Ingredient, line.Line.Yield.AsPurchased(line.Exact).Grams))));
        Take(plan.Batches.SelectMany(batch => batch.Lines.Select(line => (line.Line.Ingredient, line.Line.Yield.AsPurchased(line.Exact).Grams))));
        var made = plan.Made.GroupBy(one => one.Batch.Made.Id).ToDictionary(group => group.Key, group => group.Sum(one => (one.Batch.Mass - one.Batch.Surplus).Grams));
        foreach (var dough in plan.Batches.SelectMany(batch => batch.Discs).Where(disc => disc.Piece is null).GroupBy(disc => disc.Dough.IngredientId))
            made[dough.Key] = dough.Sum(portion => portion.Disc.Grams * portion.Count);
        Assert.Equal(taken.Keys.Order(), made.Keys.Order());
        Assert.All(taken, pair => Assert.Equal(pair.Value, made[pair.Key], 0.01));
        // And nothing is taken before it is there.
        Assert.All(plan.Made, one => Assert.True(one.DoneMin + one.Batch.How.Keeping.Hold.Least <= one.Batch.NeededMin));
        Assert.All(plan.Batches, batch => Assert.InRange(batch.NeededMin - batch.RestStartMin, batch.Dough.Rest.Least, batch.Dough.Rest.Most));
        foreach (var portion in plan.Batches.SelectMany(batch => batch.Discs).Where(disc => disc.Piece is null))
            Assert.Equal(plan.Tasks.Single(task => task.Id == portion.TaskId).StartMin, portion.NeededMin);
    }

    [Fact]
    public void What_is_crumbled_over_one_pie_is_mixed_in_the_bowl_of_the_others()
    {
        var crumbled = Filled("crumbled", Line("egg", 879), Of(Dough, 100));
        var plan = DayPlanner.Plan(Snapshot(Order(Pear, 4, Late), Order(crumbled, 4, Late)));
        Assert.Empty(plan.Troubles);
        Balanced(plan);
        var bowl = plan.Batches.Single(batch => batch.Discs.Any(disc => disc.Piece is null));
        Assert.Contains(bowl.Discs, disc => disc.Piece is not null);
        var portion = bowl.Discs.Single(disc => disc.Piece is null);
        // 100 g for each of four pies, weighed off at once.
        Assert.Equal((400.0, 1), (portion.Disc.Grams, portion.Count));
        Assert.Contains(plan.Reasons[portion.TaskId!].WaitsFor, link => link.TaskId == $"flaky/{bowl.Number}/rest");
        Assert.Contains(plan.Reasons[$"flaky/{bowl.Number}/rest"].WaitedBy, link => link.TaskId == portion.TaskId);
        Assert.All(bowl.LotIds, id => Assert.Contains(plan.Lots, lot => lot.Id == id));
    }

    [Fact]
    public void Shells_are_baked_by_the_piece_on_their_own_trays_for_pies_that_see_no_oven()
    {
        var plan = DayPlanner.Plan(Snapshot(Order(Tartlet, 60, Late)));
        Assert.Empty(plan.Troubles);
        Balanced(plan);
        Assert.Empty(BakePlanChecker.Check(plan.Problem, plan.BakePlan).Faults);
        // 48 are made at once: two batches of thirty, each on two trays of twenty.
        Assert.Equal([30.0, 30.0], plan.Made.Select(made => made.Batch.Mass / Mass.FromGrams(27)).Select(pieces => Math.Round(pieces, 6)));
        // No batch makes half a shell: 51 in two batches are 26 and 26, and one is over.
        var odd = DayPlanner.Plan(Snapshot(Order(Tartlet, 51, Late)));
        Assert.Equal([26.0, 26.0], odd.Made.Select(made => Math.Round(made.Batch.Mass / Mass.FromGrams(27), 6)));
        Assert.Equal(27, odd.Made.Sum(made => made.Batch.Surplus.Grams), 0.001);
        Assert.Equal([2, 2], plan.Problem.Bakes.Select(bake => bake.Trays.Count));
        Assert.All(plan.Problem.Bakes, bake => Assert.StartsWith("made:shells/", bake.Id, StringComparison.Ordinal));
        // Half a minute a piece and 5 a batch: 20 minutes.
        Assert.All(plan.Made, made => Assert.Equal(20, made.Steps[0].EndMin - made.Steps[0].StartMin));
        // 30 g of dough each, and a hundredth stays in the bowl; the shells that are set out are no bowl of dough.
        Assert.Equal(60 * 30 / (1 - Flaky.BowlLossShare), plan.Batches.Where(batch => batch.Dough.Id == "flaky").Sum(batch => (batch.Mass - batch.Surplus).Grams), 0.5 + (plan.Batches.Sum(batch => batch.Surplus.Grams) * 0.02));
        Assert.Equal(60 * 27, plan.Batches.Where(batch => batch.Dough.Id == "shells").Sum(batch => batch.Mass.Grams), 0.01);
        var fate = Assert.Single(plan.Fates);
        Assert.Equal((60, 0, 0), (fate.InTime, fate.Late, fate.NotBaked));
        // As late as the pick-up allows.
        Assert.Equal(Late - Snapshot().SpareMin, plan.Tasks.Single(task => task.StepId == "box").EndMin);
        Assert.StartsWith("as late as its pick-up", plan.Reasons[plan.Tasks.Single(task => task.StepId == "box").Id].Why.With(minute => $"{minute}"), StringComparison.Ordinal);
    }

    [Fact]
    public void Doughs_and_what_is_made_may_lie_in_one_another_as_deep_as_they_will()
    {
        // Crumbs of baked shells, in a dough of their own, baked as a base for a cream that is in another dough.
        var crumbs = Flaky with { Id = "crumbs", Name = "Crumbs", Lines = [Of(Shells, 300), Line("butter", 100)] };
        var cream = Ingredient("cream") with
        {
            Formula = new IngredientFormula([Line("milk", 500), Of(crumbs.AsIngredient(), 200)], 0.9)
            {
                How = new Making(PreparationKind.Cream, [Work("cook", Station.Pot, 10, 3)], new BatchLimits(Mass.Zero, Mass.FromGrams(4000), Mass.FromGrams(2500)), new Keeping(KeepPlace.Cold, new Span(0, 0, 2000), "")),
            },
        };
        var rich = Flaky with { Id = "rich", Name = "Rich", Lines = [Line("flour", 400), Of(cream, 100), Of(Dough, 50)] };
        var plan = DayPlanner.Plan(Snapshot(Order(Filled("deep", Line("egg", 979)) with { Dough = rich }, 6, Late), Order(Pear, 4, Late)));
        Assert.Empty(plan.Troubles);
        Balanced(plan);
        Assert.Equal(["crumbs", "flaky", "rich"], plan.Batches.Select(batch => batch.Dough.Id).Distinct().Order());
        Assert.Equal(["cream", "shells"], plan.Made.Select(made => made.Batch.Made.Id).Distinct().Order());
    }

    [Fact]
    public void What_is_more_than_the_mixer_takes_is_taken_in_portions()
    {
        var crumbled = Filled("crumbled", Line("egg", 579), Of(Dough, 400));
        var plan = DayPlanner.Plan(Snapshot(Order(crumbled, 12, Late)) with { Mixer = new Core.Bakery.Mixer("small", Mass.FromGrams(200), Mass.FromGrams(2000)) });
        Balanced(plan);
        // 4.8 kg, of which a bowl leaves 1.98 kg: three portions.
        var portions = plan.Batches.SelectMany(batch => batch.Discs).Where(disc => disc.Piece is null).ToArray();
        Assert.All(portions, portion => Assert.Equal(1600, portion.Disc.Grams, 0.001));
        Assert.Equal(3, portions.Sum(portion => portion.Count));
        Assert.All(plan.Batches, batch => Assert.True(batch.Mass.Grams <= 2000.001));
    }

    [Fact]
    public void What_cannot_be_there_in_time_is_late_or_said_and_nothing_is_taken_too_soon()
    {
        // Shells, dough and rest of the shells take about three hours: not before the first shift's third.
        var late = DayPlanner.Plan(Snapshot(Order(Tartlet, 20, 120)));
        var fate = Assert.Single(late.Fates);
        Assert.Equal((0, 20), (fate.InTime, fate.Late));
        Balanced(late);
        Assert.StartsWith("as soon as what goes in can be made", late.Reasons[late.Tasks.Single(task => task.StepId == "box").Id].Why.With(minute => $"{minute}"), StringComparison.Ordinal);
        // Nobody is there long enough.
        var none = DayPlanner.Plan(Snapshot(Order(Tartlet, 20, 480)) with { Shifts = [new Core.DayPlan.DayShift("Noon", 300, 420)] });
        Assert.Equal(20, Assert.Single(none.Fates).Unfit);
        Assert.Contains("Shells cannot be made by", Assert.Single(none.Fates).WhyUnfit.With(minute => $"{minute}"), StringComparison.Ordinal);
    }

    [Fact]
    public void Pies_without_an_oven_of_their_own_give_up_what_is_wanted_before_they_are_late()
    {
        var plans = Enumerable.Range(0, 60).Select(at => 180 + (at * 2)).Select(pickUp => (PickUp: pickUp, Plan: DayPlanner.Plan(Snapshot(Order(Tartlet, 20, pickUp))))).ToArray();
        var inTime = plans.SkipWhile(one => one.Plan.Fates[0].InTime < 20).ToArray();
        Assert.InRange(inTime.Length, 31, 59);
        // Once there is time there is time for every later pick-up.
        Assert.All(inTime, one => Assert.Equal(20, one.Plan.Fates[0].InTime));
        int Set(PlannedDay plan) => plan.Tasks.Where(task => task.StepId == "set").Select(task => task.EndMin - task.StartMin).Single();
        // At first they set for the least of 60 minutes, and from where it can be for the 90 that are wanted.
        Assert.InRange(Set(inTime[0].Plan), 60, 62);
        Assert.Equal(90, Set(inTime[^1].Plan));
        Assert.All(inTime, one => Assert.True(one.Plan.Tasks.Single(task => task.StepId == "box").EndMin <= one.PickUp));
    }

    [Fact]
    public void What_takes_a_portion_of_a_dough_that_the_mixer_cannot_have_ready_is_unfit()
    {
        // Its crust is bought in. Crumbs for 16 are 6.4 kg: seven bowls of 30 minutes, and they rest.
        var crumbled = Filled("crumbled", Line("egg", 579), Of(Dough, 400)) with { Dough = Flaky with { Id = "other", Name = "Other", MixMinutes = 1, Method = DoughMethod.Flaky with { Family = DoughFamily.BoughtIn } } };
        var (many, few) = (Afternoon(1000, Order(Pear, 4, 480), Order(crumbled, 16, 480)), Afternoon(1000, Order(Pear, 4, 480), Order(crumbled, 12, 480)));
        Assert.Equal((0, 16), (FateOf(many, "crumbled").InTime, FateOf(many, "crumbled").Unfit));
        Assert.StartsWith("the mixer cannot have Flaky mixed and rested by", FateOf(many, "crumbled").WhyUnfit.With(minute => $"{minute}"), StringComparison.Ordinal);
        Assert.Equal((12, 0), (FateOf(few, "crumbled").InTime, FateOf(few, "crumbled").Unfit));
    }

    [Fact]
    public void What_is_in_a_bowl_with_pies_that_cannot_be_made_is_made_all_the_same()
    {
        // The pears would have had to be begun before anybody was there; the crumbs from their bowl are wanted hours later.
        var crumbled = Filled("crumbled", Line("egg", 579), Of(Dough, 400)) with { Dough = Flaky with { Id = "other", Name = "Other" } };
        var plan = Afternoon(4000, Order(Pear, 12, 480), Order(crumbled, 4, 480));
        Assert.Equal(12, FateOf(plan, "pear").Unfit);
        Assert.Contains(plan.Batches, batch => batch.Discs.Any(disc => disc.Piece is null) && batch.Discs.Any(disc => disc.Piece is not null));
        Assert.Equal((4, 0), (FateOf(plan, "crumbled").InTime, FateOf(plan, "crumbled").Unfit));
    }

    private static PlannedDay Afternoon(double mixerGrams, params DayOrder[] orders) =>
        DayPlanner.Plan(Snapshot(orders) with { Shifts = [new Core.DayPlan.DayShift("Afternoon", 0, 480)], Mixer = new Core.Bakery.Mixer("small", Mass.FromGrams(200), Mass.FromGrams(mixerGrams)) });

    private static LotFate FateOf(PlannedDay plan, string product) => plan.Fates.Single(fate => fate.Lot.Product.Id == product);

    [Fact]
    public void A_dough_is_a_preparation_with_its_own_steps()
    {
        var turned = Flaky with { Method = DoughMethod.Flaky with { Turns = 2, TurnMinutes = 5, TurnRestMinutes = 30 } };
        var how = Assert.IsType<DoughMaking>(turned.AsIngredient().Formula!.How);
        Assert.Equal(["mix", "turn-1", "cold-1", "turn-2", "cold-2"], how.Method.Select(step => step.Id));
        Assert.Equal(turned.MadeInMinutes, how.Method.Sum(step => Making.Minutes(step, 3)));
        Assert.Equal(turned.Rest, how.Keeping.Hold);
        Assert.Equal((PreparationKind.Dough, KeepPlace.Cold, true), (how.Kind, how.Keeping.Place, how.IsPlanned));
        // Nine hundred and ninety grams are taken of what a kilogram of ingredients makes.
        Assert.Equal(1000, turned.AsIngredient().Formula!.WeighedFor(Mass.FromGrams(990)).Grams, 0.001);
        Assert.Equal(["milk", "wheat"], turned.AsIngredient().Allergens);
        Assert.Equal("Flaky dough", Assert.Single(turned.AsIngredient().Facts.OtherNames));
        Assert.Equal("Set out", new DoughMaking(Flaky with { Method = DoughMethod.Flaky with { Family = DoughFamily.BoughtIn } }).Method[0].Name);
    }

    [Fact]
    public void The_way_of_a_pie_draws_the_dough_that_something_in_it_takes()
    {
        var way = PieWay.Of(Filled("crumbled", Line("egg", 879), Of(Dough, 100)), Pan23, 4);
        var line = way.Lines.Single(line => line.Name == Flaky.Name);
        Assert.Equal([":mix", ":rest"], line.Pieces.Select(piece => piece.Step.Id));
        Assert.Equal(line.JoinsMin, line.Pieces[^1].EndMin);
        Assert.Equal(way.Lines[line.JoinsLine].Pieces.First(piece => piece.Step.Id == "whisk").StartMin, line.JoinsMin);
        // Pies that see no oven are drawn back from their box.
        var unbaked = PieWay.Of(Tartlet, Pan23, 20);
        Assert.Equal("box", unbaked.Lines[0].Pieces[^1].Step.Id);
        Assert.Contains(unbaked.Lines[0].Pieces, piece => piece.Step.Id == "set-out");
        // The shells run into where they are set out, and their dough into where they are lined.
        var shells = unbaked.Lines.Single(line => line.Name == "Shells");
        Assert.Equal((0, unbaked.Lines[0].Pieces[0].StartMin), (shells.JoinsLine, shells.JoinsMin));
        var dough = unbaked.Lines.Single(line => line.Name == Flaky.Name);
        Assert.Equal(("Shells", shells.Pieces[0].StartMin), (unbaked.Lines[dough.JoinsLine].Name, dough.JoinsMin));
    }
}
