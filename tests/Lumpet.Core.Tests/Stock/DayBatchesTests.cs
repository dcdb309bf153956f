using Lumpet.Core.Costing;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;
using Lumpet.Core.Stock;
using Lumpet.Core.Tests.DayPlan;
using NodaTime;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Stock;

/// <summary>What the batches of a day take: all that the recipes ask for, each of it once.</summary>
public sealed class DayBatchesTests
{
    private const int Early = 1170;
    private const int Late = 1320;
    private static readonly LocalDate Day = new(2026, 11, 26);

    private static readonly DaySnapshot Fair = Snapshot(Order(Pear, 12, Early), Order(MadeFirstTests.CurdPie, 8, Early), Order(MadeFirstTests.PureePie, 4, Late), Order(Pear, 4, Late));

    private static IReadOnlyList<DayBatch> Batches(DaySnapshot day) => DayBatches.Of(DayPlanner.Plan(day));

    private static double Grams(IEnumerable<BatchTake> takes) => takes.Where(take => take.Amount.Unit == StockUnit.Milligram).Sum(take => take.Amount.Mass.Grams);

    /// <summary>Costing opens recipes down to what is bought by itself, without a plan: both must come to the same.</summary>
    [Fact]
    public void What_batches_take_of_what_is_bought_is_what_the_pies_cost()
    {
        var plan = DayPlanner.Plan(Fair);
        Assert.Empty(plan.Troubles);
        Assert.All(plan.Batches, batch => Assert.Equal(0, batch.Surplus.Grams, 6));
        var taken = DayBatches.Of(plan).SelectMany(batch => batch.Takes).Where(take => take.Batch is null).ToLookup(take => ((StockedGoods)take.Thing).Id);
        var bought = plan.Lots.SelectMany(lot => BoughtAmount.Of(Scaling.Scale(lot.Product, lot.Pan, lot.Count), new PriceList([])).Select(one => (one.Ingredient.Id, Grams: (double)one.Grams * lot.Count, Pieces: one.Pieces * lot.Count)))
            .ToLookup(one => one.Id);
        Assert.Equal(bought.Select(same => same.Key).Order(), taken.Select(same => same.Key).Order());
        var made = plan.Made.ToLookup(one => one.Batch.Made.Id, one => one.Batch.Surplus.Grams / one.Batch.Mass.Grams);
        foreach (var same in bought)
        {
            // Discs are rounded to the gram; a smallest batch makes more than is taken, and takes more.
            var (least, most) = (0.998, 1.002 + made.SelectMany(share => share).DefaultIfEmpty(0).Max());
            if (same.Sum(one => one.Grams) > 0) Assert.InRange(Grams(taken[same.Key]) / same.Sum(one => one.Grams), least, most);
            Assert.Equal(same.Sum(one => one.Pieces), taken[same.Key].Where(take => take.Amount.Unit == StockUnit.Piece).Sum(take => take.Amount.Count));
        }
    }

    [Fact]
    public void What_is_made_is_taken_and_no_more_of_it_than_there_is()
    {
        var batches = Batches(Fair);
        Assert.Equal(["curd", "puree", "dough:flaky"], batches.Where(batch => batch.Kind != DayBatchKind.Pies).Select(batch => ((StockedGoods)batch.Makes).Id).Distinct());
        foreach (var made in batches.Where(batch => batch.Kind != DayBatchKind.Pies))
        {
            var taken = batches.SelectMany(batch => batch.Takes).Where(take => take.Batch == made.Id).ToArray();
            Assert.NotEmpty(taken);
            Assert.All(taken, take => Assert.Equal(made.Makes, take.Thing));
            Assert.InRange(Grams(taken), made.Amount.Mass.Grams * 0.4, made.Amount.Mass.Grams + 0.01);
        }

        // The names by which they are taken are the names that they have.
        Assert.Equal(batches.Count, batches.Select(batch => batch.Id).Distinct().Count());
        Assert.Subset(batches.Select(batch => batch.Id).ToHashSet(), batches.SelectMany(batch => batch.Takes).Select(take => take.Batch).OfType<string>().ToHashSet());
        // Baked: the roots of the puree and all pies.
        Assert.All(batches, batch => Assert.Equal(batch.Kind == DayBatchKind.Pies || batch.Id.StartsWith("made:puree/", StringComparison.Ordinal), batch.Bakes.Count > 0));
        Assert.All(batches.SelectMany(batch => batch.Bakes.Select(bake => (batch, bake))), one => Assert.True(one.bake.StartMin < one.bake.EndMin && one.bake.EndMin <= one.batch.DoneMin));
    }

    [Fact]
    public void Pies_take_the_curd_that_was_there_of_the_lot_that_the_plan_chose()
    {
        var there = Guid.NewGuid();
        var stock = new DayStock([new StockedMass(there.ToString("N"), "curd", Mass.FromGrams(2000), KeepPlace.Cold, 0, 4000, 0)], []);
        var batches = Batches(Snapshot(Order(MadeFirstTests.CurdPie, 8, Early)) with { Stock = stock });
        var curd = batches.Single(batch => batch.Kind == DayBatchKind.Pies).Takes.Where(take => take.Thing == new StockedGoods("curd")).ToArray();
        Assert.Equal([there], curd.Select(take => take.Lot).OfType<Guid>());
        Assert.Equal(2000, Grams(curd.Where(take => take.Lot is not null)), 1);
        Assert.Equal(8 * 700, Grams(curd), 1);
        Assert.Equal(3600, batches.Single(batch => batch.Kind == DayBatchKind.Made).Amount.Mass.Grams, 1);
    }

    private static StockLot Lot(string id, double kilograms, string? batch = null, LocalDate? day = null) =>
        new(Guid.NewGuid(), new StockedGoods(id), id, StockAmount.Of(Mass.FromKilograms(kilograms)), KeepPlace.Cold) { ForDay = day, Batch = batch };

    [Fact]
    public void A_batch_takes_what_was_made_for_it_then_what_belongs_to_no_other_day_and_says_what_is_not_there()
    {
        var batch = new DayBatch(
            "pies", DayBatchKind.Pies, "pies", new StockedPie("p", "23", "box"), StockAmount.Pieces(4), KeepPlace.Room, 0, 10, 100, [],
            [new BatchTake(new StockedGoods("dough:flaky"), StockAmount.Of(Mass.FromKilograms(5)), "dough:flaky/2"), new BatchTake(new StockedGoods("water"), StockAmount.Of(Mass.FromKilograms(1)))],
            []);
        StockLot[] lots = [Lot("dough:flaky", 2, "dough:flaky/2", Day), Lot("dough:flaky", 1, "dough:flaky/1", Day.PlusDays(-1)), Lot("dough:flaky", 9, "dough:flaky/1", Day.PlusDays(1)), Lot("dough:flaky", 0.5)];
        bool IsCounted(StockThing thing) => thing != new StockedGoods("water");
        var taking = BatchTaking.Of(batch, Day, lots, Day, IsCounted);
        Assert.Equal([(lots[0].Id, 2.0), (lots[1].Id, 1.0), (lots[3].Id, 0.5)], taking.Taken.Select(one => (one.Lot.Id, one.Amount.Mass.Kilograms)).OrderByDescending(one => one.Kilograms));
        Assert.Equal(1.5, taking.Unknown.Single().Amount.Mass.Kilograms, 9);
        Assert.Equal(["dough:flaky", "water"], BatchTaking.Of(batch, Day, [], Day, _ => true).Unknown.Select(take => ((StockedGoods)take.Thing).Id));
    }

    [Fact]
    public void Pies_that_were_begun_take_themselves_and_what_goes_in_at_the_steps_that_are_left()
    {
        var whole = Batches(Snapshot(Order(Pear, 6, Early))).Single(batch => batch.Kind == DayBatchKind.Pies);
        var id = Guid.NewGuid();
        var done = PartDone.By(Pear.Process, Pear.Process.Steps.Last(step => step.IsBake).Id, 400);
        var begun = new StockedPies(id.ToString("N"), Pear.Id, Pear.Sizes[0].Pan.Id, 6, done, false, KeepPlace.Room, 3000);
        var batch = Batches(Snapshot(Order(Pear, 6, Early)) with { Stock = new DayStock([], [begun]) }).Single(one => one.Kind == DayBatchKind.Pies);
        Assert.Equal([id], batch.Takes.Select(take => take.Lot).OfType<Guid>());
        Assert.Equal(StockAmount.Pieces(6), batch.Takes.Single(take => take.Lot == id).Amount);
        Assert.DoesNotContain(batch.Takes, take => take.Thing == new StockedGoods("dough:flaky"));
        Assert.True(batch.Takes.Count < whole.Takes.Count);
    }
}
