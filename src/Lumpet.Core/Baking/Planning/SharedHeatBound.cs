namespace Lumpet.Core.Baking.Planning;

/// <summary>What minutes with trays inside, lateness and waiting must cost together in every plan that places all pies.</summary>
/// <remarks>
/// <para>
/// A relaxation of the whole problem: an oven with trays inside is on, under one setting that all of them bear, and holds no
/// more than it has places; no more ovens are on than there are; every tray takes its stages, released and while an oven is
/// open. What has to do with empty ovens, with the chamber between settings and with the order of chains is left out.
/// </para>
/// <para>
/// The bound is Lagrange's (Geoffrion 1974, from memory), as it is used to place depots: the cost of every hot minute is divided
/// among those who could share it, and each tray alone takes its cheapest way at those prices; a tray with nobody to share with
/// pays the whole. Since the parts of a minute come to no more than what it costs, and what ovens or places that are not there
/// would earn is taken off again, all ways together are never dearer than any plan. The parts are bettered in steps as long as
/// Polyak proposes (1969, from memory), toward the average of the ways so far (Barahona and Anbil 2000, from memory).
/// </para>
/// </remarks>
internal static class SharedHeatBound
{
    // Work is minutes of bakes, in stages and settings: about half a second's at most.
    private const long MostWork = 60_000_000;
    private const int MostSteps = 300;
    private const int LeastSteps = 20;
    private const int StepsWithoutGain = 12;
    private const double LessBold = 0.6;
    private const double LeastBold = 0.03;
    private const double LeastGain = 1e-4;
    private const double WeightOfNewest = 0.12;

    // Far above what rounding can add to a sum of so many numbers.
    private const double Rounding = 1e-7;

    /// <summary>The bound; 0 where the problem is too large to look at.</summary>
    /// <param name="problem">The problem; nothing of it has begun.</param>
    /// <param name="chains">Its chains.</param>
    /// <param name="known">What some plan costs that places all pies.</param>
    /// <param name="lastOut">When the last tray of that plan is out.</param>
    public static decimal Of(BakeProblem problem, BakeChains chains, decimal known, int lastOut)
    {
        int[] settings = [.. problem.Bakes.SelectMany(bake => bake.Stages).Select(stage => stage.TempC).Distinct().Order()];
        Bake[] asked = [.. problem.Bakes.Where(bake => !chains.InCycle(bake) && bake.Trays.Any(pies => pies > 0))];
        var minutes = Math.Min(problem.Ovens.Select(oven => oven.CloseMin).DefaultIfEmpty(0).Max(), Math.Max(lastOut, asked.Select(bake => bake.DueMin).DefaultIfEmpty(0).Max()) + 1);
        var work = minutes * asked.Sum(bake => (long)bake.Stages.Count + settings.Length);
        if (work <= 0 || settings.Length > byte.MaxValue || work > MostWork / LeastSteps) return 0;
        var prices = new PricedMinutes(
            [.. asked.Select(bake => new PricedBake(problem, chains, bake, settings, minutes))],
            settings.Length,
            problem.Weights.PerOvenOnMin,
            ByMinute(_ => 1),
            ByMinute(oven => oven.Shelves + (oven.FloorPlaces ?? 0)));
        var best = Best(prices, (double)known, (int)Math.Min(MostSteps, MostWork / work));
        return (decimal)Math.Max(0, best - (Rounding * best));

        int[] ByMinute(Func<BakeOven, int> counted)
        {
            var all = new int[minutes];
            foreach (var oven in problem.Ovens)
                foreach (var opening in oven.Openings)
                    for (var minute = Math.Max(0, opening.FromMin); minute < Math.Min(minutes, opening.ToMin); minute++) all[minute] += counted(oven);
            return all;
        }
    }

    private static double Best(PricedMinutes prices, double known, int steps)
    {
        var (best, boldness, since) = (0.0, 1.0, 0);
        for (var step = 0; step < steps; step++)
        {
            var bound = prices.Bound();
            since = bound > best + (LeastGain * known) ? 0 : since + 1;
            best = Math.Max(best, bound);
            if (known - best <= Rounding * known) break;
            if (since >= StepsWithoutGain) (boldness, since) = (boldness * LessBold, 0);
            if (boldness < LeastBold) break;
            prices.Move(known - bound, boldness, step == 0 ? 1 : WeightOfNewest);
        }

        return best;
    }
}
