using CsCheck;
using Lumpet.Core.Batches;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Steps;
using Xunit;

namespace Lumpet.Core.Tests.Batches;

public sealed class PreparationBatchingTests
{
    private static Ingredient Jam(double least, double most, double kept = 1) => TestBakery.Ingredient("jam") with
    {
        Formula = new IngredientFormula([TestBakery.Line("plum", 600, 0.94), TestBakery.Line("sugar", 400)], kept)
        {
            How = new Making(
                PreparationKind.Jam,
                [new Step("boil", "Boil", Station.Pot, new Hands(20, 3), [], null, 105, false, "", "")],
                new BatchLimits(Mass.FromGrams(least), Mass.FromGrams(most), Mass.FromGrams(2000)),
                new Keeping(KeepPlace.Cold, new Span(0, 0, 10000), "")),
        },
    };

    private static PreparationDemand Demand(Ingredient made, double grams, int needed, string lot = "a") => new(made, lot, $"{lot}/1/fill", [lot], 4, Mass.FromGrams(grams), needed);

    [Fact]
    public void What_many_take_is_one_pot_while_it_holds_it()
    {
        var jam = Jam(0, 5000);
        var batch = Assert.Single(PreparationBatching.Divide([Demand(jam, 1200, 300, "late"), Demand(jam, 800, 200, "soon")]));
        Assert.Equal(2000, batch.Mass.Grams, 6);
        Assert.Equal(200, batch.NeededMin);
        Assert.Equal(["soon", "late"], batch.LotIds);
        Assert.Equal("made:jam/1", batch.Id);
        // 60 to 40, pitted plums at 0.94 of what is bought: the scale shows what goes in.
        Assert.Equal([1200, 800], batch.Lines.Select(line => line.WeighedGrams));
    }

    [Fact]
    public void What_is_more_than_a_pot_is_made_in_equal_pots_each_when_its_share_is_wanted()
    {
        var jam = Jam(0, 1000, kept: 0.8);
        var batches = PreparationBatching.Divide([Demand(jam, 1500, 200, "soon"), Demand(jam, 1500, 700, "late")]);
        Assert.Equal([1000, 1000, 1000], batches.Select(batch => Math.Round(batch.Mass.Grams, 6)));
        Assert.Equal([200, 200, 700], batches.Select(batch => batch.NeededMin));
        Assert.Equal([500, 500], batches[1].Uses.Select(use => Math.Round(use.Wanted.Grams, 6)));
        // A fifth boils away: 1250 g are weighed in for 1000 g.
        Assert.Equal(1250, batches[0].Weighed.Grams, 6);
        Assert.Equal(1250, batches[0].Lines.Sum(line => line.Exact.Grams), 6);
        Assert.Equal("jam, batch 2 of 3", batches[1].About);
    }

    /// <summary>A curd of 4 eggs (200 g) and 300 g more, of which whole eggs go into every batch: 125 g an egg.</summary>
    private static Ingredient Curd(double least, double most) => TestBakery.Ingredient("curd") with
    {
        Formula = new IngredientFormula([new RecipeLine(IngredientLibrary.Find("egg")!, "", Yield.Whole, Mass.FromGrams(200)), TestBakery.Line("sugar", 300)], 1)
        {
            How = Jam(least, most).Formula!.How! with { WholeOf = "egg" },
        },
    };

    [Fact]
    public void Batches_take_whole_eggs_and_what_that_makes_beyond_is_named()
    {
        // 1.1 kg take 8.8 eggs: nine, 1125 g.
        var batch = Assert.Single(PreparationBatching.Divide([Demand(Curd(0, 5000), 1100, 100)]));
        Assert.Equal((1125, 25), (Math.Round(batch.Mass.Grams, 6), Math.Round(batch.Surplus.Grams, 6)));
        Assert.Equal(450, batch.Lines[0].Exact.Grams, 6);
        // A pot of 600 g takes four eggs at most: nine are three pots of three, and not 2.25 each.
        var pots = PreparationBatching.Divide([Demand(Curd(0, 600), 1100, 100)]);
        Assert.Equal([375, 375, 375], pots.Select(pot => Math.Round(pot.Mass.Grams, 6)));
        Assert.Equal([0, 0, 25], pots.Select(pot => Math.Round(pot.Surplus.Grams, 6)));
        // The smallest pot of 300 g is three eggs; five eggs in pots of two are three pots, and a pot too small for one egg takes what it takes.
        Assert.Equal(375, Assert.Single(PreparationBatching.Divide([Demand(Curd(300, 5000), 60, 100)])).Mass.Grams, 6);
        Assert.Equal([250, 250, 250], PreparationBatching.Divide([Demand(Curd(0, 260), 601, 100)]).Select(pot => Math.Round(pot.Mass.Grams, 6)));
        Assert.Equal(100, PreparationBatching.Divide([Demand(Curd(0, 100), 200, 100)])[0].Mass.Grams, 6);
    }

    [Fact]
    public void However_much_is_wanted_every_batch_takes_whole_ones_and_all_of_it_is_made() =>
        Gen.Select(Gen.Double[1, 30_000], Gen.Double[126, 9000], Gen.Double[0, 125]).Sample(any =>
        {
            var (wanted, most, least) = any;
            var batches = PreparationBatching.Divide([Demand(Curd(least, most), wanted * 0.4, 100), Demand(Curd(least, most), wanted * 0.6, 200, "b")]);
            Assert.All(batches, batch =>
            {
                var eggs = batch.Lines[0].Exact.Grams / 50;
                Assert.Equal(Math.Round(eggs), eggs, 6);
                Assert.True(batch.Mass.Grams <= most + 1e-6 && batch.Uses.Count > 0 && batch.Surplus.Grams >= -1e-6);
            });
            Assert.Equal(wanted, batches.Sum(batch => batch.Uses.Sum(use => use.Wanted.Grams)), 1e-6 * wanted);
            Assert.Equal(batches.Sum(batch => batch.Mass.Grams), wanted + batches.Sum(batch => batch.Surplus.Grams), 1e-6 * wanted);
        });

    [Fact]
    public void Less_than_the_smallest_pot_is_one_with_its_surplus_named()
    {
        var batch = Assert.Single(PreparationBatching.Divide([Demand(Jam(900, 5000), 250, 100)]));
        Assert.Equal(900, batch.Mass.Grams, 6);
        Assert.Equal(650, batch.Surplus.Grams, 6);
        Assert.Equal(250, Assert.Single(batch.Uses).Wanted.Grams, 6);
    }

    [Fact]
    public void Grams_taken_are_grams_made_and_no_pot_runs_over() =>
        Gen.Select(Gen.Double[1, 5000].Array[1, 8], Gen.Double[50, 4000], Gen.Double[0.3, 1], Gen.Int[0, 900].Array[8]).Sample((wanted, most, kept, needed) =>
        {
            var jam = Jam(0, most, kept);
            var demands = wanted.Select((grams, at) => Demand(jam, grams, needed[at], $"lot{at}")).ToArray();
            var batches = PreparationBatching.Divide(demands);
            Assert.Equal(Math.Ceiling((wanted.Sum() / most) - 1e-9), batches.Count);
            Assert.All(batches, batch =>
            {
                Assert.True(batch.Mass.Grams <= most * (1 + 1e-9));
                Assert.Equal(batch.Mass.Grams, batch.Uses.Sum(use => use.Wanted.Grams), 6);
                Assert.Equal(batch.Mass.Grams, batch.Lines.Sum(line => line.Exact.Grams) * kept, 6);
                Assert.Equal(batch.Uses.Min(use => use.NeededMin), batch.NeededMin);
                Assert.Equal(batches.Count, batch.Of);
            });
            foreach (var demand in demands)
                Assert.Equal(demand.Wanted.Grams, batches.SelectMany(batch => batch.Uses).Where(use => use.TaskId == demand.TaskId).Sum(use => use.Wanted.Grams), 6);
            // In the order in which they are wanted: no later pot is wanted before an earlier one.
            Assert.Equal(batches.Select(batch => batch.NeededMin).Order(), batches.Select(batch => batch.NeededMin));
        });
}
