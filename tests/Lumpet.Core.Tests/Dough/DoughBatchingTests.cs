using CsCheck;
using Lumpet.Core.Bakery;
using Lumpet.Core.Dough;
using Lumpet.Core.Measures;
using Xunit;

namespace Lumpet.Core.Tests.Dough;

public sealed class DoughBatchingTests
{
    private static readonly Mixer Mixer = new("Mixer", Mass.FromGrams(2000), Mass.FromGrams(12000));

    private static readonly Core.Recipes.DoughPiece Piece = Core.Recipes.Scaling.Scale(TestBakery.Pear, TestBakery.Pan23, 1).Pieces[0];

    private static DoughDemand Demand(double disc, int count, int needed = 600) =>
        new(TestBakery.Flaky, ["lot"], $"{disc}", Mass.FromGrams(disc), count, Piece, needed);

    [Fact]
    public void Batches_keep_the_mixers_limits_and_lose_no_disc() =>
        Gen.Select(Gen.Double[150, 600], Gen.Int[1, 40], Gen.Int[0, 900]).Array[1, 8].Sample(raw =>
        {
            DoughDemand[] demands = [.. raw.Select(one => Demand(Math.Round(one.Item1), one.Item2, one.Item3))];
            var batches = DoughBatching.Divide(demands, Mixer);
            Assert.All(batches, batch => Assert.InRange(batch.Mass.Grams, 2000 - 1e-6, 12000 + 1e-6));
            Assert.Equal(demands.Sum(demand => demand.Count), batches.Sum(batch => batch.Discs.Sum(disc => disc.Count)));
            Assert.All(batches, batch => Assert.Equal(Math.Round(batch.Mass.Grams), batch.Lines.Sum(line => line.Weighed.Grams), 6));
        });

    [Fact]
    public void Equal_batches_beat_one_big_and_one_scrap()
    {
        // 40 discs of 330 g and 1 % in the bowl: 13.33 kg, over one bowl of 12 kg by little.
        var batches = DoughBatching.Divide([Demand(330, 40)], Mixer);
        Assert.Equal([20, 20], batches.Select(batch => batch.Discs.Sum(disc => disc.Count)));
        Assert.Equal(6600 / 0.99, batches[0].Mass.Grams, 6);
    }

    [Fact]
    public void Ingredients_are_weighed_by_the_formula()
    {
        var batch = Assert.Single(DoughBatching.Divide([Demand(350, 20)], Mixer));
        // 7000 g of discs / 0.99 = 7070.7 g; 450 of 900 parts are flour.
        Assert.Equal(7070.707, batch.Mass.Grams, 3);
        Assert.Equal([3535, 2357, 1179], batch.Lines.Select(line => line.Weighed.Grams));
        Assert.Equal(70.707, batch.InBowl.Grams, 3);
    }

    [Fact]
    public void Less_than_the_smallest_batch_is_mixed_whole_and_the_surplus_named()
    {
        var batch = Assert.Single(DoughBatching.Divide([Demand(300, 2)], Mixer));
        Assert.Equal(2000, batch.Mass.Grams);
        Assert.Equal((2000 * 0.99) - 600, batch.Surplus.Grams, 6);
        Assert.Equal(20, batch.InBowl.Grams, 6);
    }

    [Fact]
    public void What_is_wanted_first_is_in_the_first_batch()
    {
        var batches = DoughBatching.Divide([Demand(400, 20, 900), Demand(350, 20, 300)], Mixer);
        Assert.Equal([300, 900], batches.Select(batch => batch.NeededMin));
    }

    [Fact]
    public void A_disc_larger_than_the_bowl_makes_a_batch_of_its_own_that_is_larger_too()
    {
        var batches = DoughBatching.Divide([Demand(20_000, 2)], Mixer);
        Assert.Equal(2, batches.Count);
        Assert.All(batches, batch => Assert.True(batch.Mass > Mixer.LargestBatch));
    }
}
