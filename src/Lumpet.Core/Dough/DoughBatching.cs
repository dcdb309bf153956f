using Lumpet.Core.Bakery;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.Dough;

/// <summary>Divides the day's discs of one dough into batches for the mixer.</summary>
public static class DoughBatching
{
    /// <summary>
    /// Batches of near equal size, as few as the mixer's largest batch allows, in the order in which discs are wanted.
    /// Discs stay whole. A day that needs less than the smallest batch gets one, and the surplus is named.
    /// Mixing times are not set yet.
    /// </summary>
    /// <param name="demands">Discs of one dough; at least one.</param>
    /// <param name="mixer">The mixer.</param>
    /// <returns>The batches. Where a single disc is more than the mixer takes, some are larger than its largest batch.</returns>
    public static IReadOnlyList<DoughBatch> Divide(IReadOnlyList<DoughDemand> demands, Mixer mixer)
    {
        var dough = demands[0].Dough;
        // What is bought in goes into no bowl: so much is set out.
        if (!dough.IsMixed) mixer = mixer with { SmallestBatch = Mass.Zero, LargestBatch = Mass.FromGrams(double.MaxValue) };
        DoughDemand[] inOrder = [.. demands.OrderBy(demand => demand.NeededMin).ThenBy(demand => demand.Label, StringComparer.Ordinal)];
        // A disc stays whole, so the largest one is the least that a batch can be; what exceeds the mixer is reported by the day's plan.
        var most = inOrder.Select(demand => dough.BatchFor(demand.Disc)).Append(mixer.LargestBatch).Max();
        var total = Mass.FromGrams(inOrder.Sum(demand => demand.Disc.Grams * demand.Count));
        var fewest = Math.Max(1, (int)Math.Ceiling((dough.BatchFor(total) / most) - 1e-9));
        for (var count = fewest; ; count++)
        {
            var shares = Shares(inOrder, total, count);
            if (shares.Any(share => dough.BatchFor(InDiscs(share)) > most)) continue;
            return [.. shares.Select((share, index) => Batch(dough, share, index + 1, shares.Count, mixer))];
        }
    }

    /// <summary>Hands discs out in order: a batch is full when its discs reach its equal share of the total.</summary>
    private static List<List<DoughDemand>> Shares(DoughDemand[] demands, Mass total, int count)
    {
        var shares = new List<List<DoughDemand>> { new() };
        var given = 0.0;
        foreach (var demand in demands)
            for (var left = demand.Count; left > 0;)
            {
                // A disc belongs where its middle falls; those whose middles fall into the same share are counted together.
                var each = demand.Disc.Grams;
                var share = Math.Min(count - 1, (int)((given + (each / 2)) * count / total.Grams));
                while (shares.Count <= share) shares.Add([]);
                var room = share == count - 1 ? left : (int)Math.Clamp(Math.Ceiling((((share + 1) * total.Grams / count) - given - (each / 2)) / each), 1, left);
                shares[share].Add(demand with { Count = room });
                given += each * room;
                left -= room;
            }

        return [.. shares.Where(share => share.Count > 0)];
    }

    private static DoughBatch Batch(DoughFormula dough, List<DoughDemand> share, int number, int of, Mixer mixer)
    {
        var needed = dough.BatchFor(InDiscs(share));
        var mass = needed < mixer.SmallestBatch ? mixer.SmallestBatch : needed;
        var exact = dough.Lines.Select(line => line.Amount * (mass / dough.Written)).ToArray();
        var weighed = SharedRounding.Round([.. exact.Select(line => line.Grams)], 1);
        return new DoughBatch(
            dough,
            number,
            of,
            mass,
            [.. dough.Lines.Select((line, index) => new BatchLine(line, exact[index], Mass.FromGrams(weighed[index])))],
            [.. share],
            (mass - needed) * (1 - dough.BowlLossShare),
            share.Min(demand => demand.NeededMin),
            MixStartMin: 0,
            Turns: []);
    }

    private static Mass InDiscs(IEnumerable<DoughDemand> share) =>
        Mass.FromGrams(share.Sum(demand => demand.Disc.Grams * demand.Count));
}
