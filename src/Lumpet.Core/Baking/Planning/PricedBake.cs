namespace Lumpet.Core.Baking.Planning;

/// <summary>A bake that buys the minutes of ovens: where its trays would go at given prices, and what they pay there.</summary>
internal sealed class PricedBake
{
    /// <summary>Sorts of places: shelves, and floors beside them.</summary>
    public const int PlaceKinds = 2;

    private const double Never = 1e15;

    private readonly int transferMin;
    private readonly double sharers;
    private readonly double places;
    private readonly int earliestOut;
    private readonly int kind;
    private readonly bool moves;
    private readonly bool mayBeLater;
    private readonly bool[] enters;
    private readonly bool[] isOpen;
    private readonly int[] slotOf;
    private readonly (int Min, int Max, int[] Settings)[] stages;
    private readonly (int Pies, int Count)[] classes;
    private readonly double[] lateness;

    private readonly double[][] prices;
    private readonly double[][] needs;
    private readonly double[][] presence;

    // By stage and minute at which it is over: the least cost up to there, when the stage began, and by minute under which setting.
    private readonly double[][] cost;
    private readonly int[][] began;
    private readonly byte[][] chosen;
    private readonly double[] paid;
    private readonly double[] gained;
    private readonly int[] beginnings;

    /// <summary>A bake without prices.</summary>
    /// <param name="problem">Its problem.</param>
    /// <param name="chains">Its chains.</param>
    /// <param name="bake">The bake, with a tray that has pies.</param>
    /// <param name="settings">All temperatures that are set, in order.</param>
    /// <param name="minutes">Minutes that are looked at.</param>
    public PricedBake(BakeProblem problem, BakeChains chains, Bake bake, int[] settings, int minutes)
    {
        BakeOven[] ovens = [.. problem.Ovens.Where(oven => bake.Ovens?.Contains(oven.Id) != false && oven.PlacesFor(bake) > 0)];
        kind = ovens.Any(oven => oven.TakesFloor(bake.OnFloor)) ? 1 : 0;
        (transferMin, moves, mayBeLater) = (problem.TransferMin, ovens.Length > 1, ovens.Any(oven => oven.CloseMin > minutes));
        earliestOut = Math.Max(0, chains.EarliestOut(bake));
        classes = [.. bake.Trays.Where(pies => pies > 0).GroupBy(pies => pies).Select(group => (group.Key, group.Count()))];
        places = ovens.Select(oven => oven.PlacesFor(bake)).DefaultIfEmpty(1).Max();
        sharers = Math.Min(places, classes.Sum(one => one.Count));
        int[] usable = [.. settings.Where(celsius => bake.Stages.Any(stage => Bears(celsius, stage)))];
        slotOf = [.. settings.Select(celsius => Array.IndexOf(usable, celsius))];
        stages = [.. bake.Stages.Select(stage => (stage.MinMin, stage.MaxMin, Enumerable.Range(0, settings.Length).Where(at => Bears(settings[at], stage)).ToArray()))];
        (enters, isOpen) = (new bool[minutes + 1], new bool[minutes + 1]);
        var release = Math.Max(0, chains.Release(bake));
        foreach (var oven in ovens)
        {
            // What is first put in comes into an oven that has come up from its start.
            var hot = Math.Max(release, Math.Max(0, oven.OpenMin) + oven.MinutesTo(settings[stages[0].Settings[0]]));
            foreach (var opening in oven.Openings)
                for (var minute = Math.Max(0, opening.FromMin); minute < Math.Min(minutes, opening.ToMin); minute++) (isOpen[minute], enters[minute]) = (true, enters[minute] || minute >= hot);
        }

        (prices, needs, presence) = (Lines(usable.Length, minutes), Lines(usable.Length, minutes), Lines(usable.Length, minutes));
        (cost, paid, gained, beginnings) = (Lines(stages.Length, minutes + 1), new double[minutes + 1], new double[minutes + 1], new int[minutes + 1]);
        began = [.. stages.Select(_ => new int[minutes + 1])];
        chosen = [.. stages.Select(_ => new byte[minutes])];
        lateness = [.. Enumerable.Range(0, minutes + 1).Select(minute => minute > bake.DueMin ? (minute - bake.DueMin) * (double)BakeWeights.PerTardyPieMin : (bake.DueMin - minute) * problem.Weights.EarlyTenths / 10.0)];

        bool Bears(int celsius, BakeStage stage) => Math.Abs(celsius - stage.TempC) <= problem.ToleranceC;
    }

    /// <summary>What it pays for a minute under a setting, by minute, where it fills an oven as far as it can; null where it is not baked under it.</summary>
    public double[]? PricesUnder(int setting) => slotOf[setting] < 0 ? null : prices[slotOf[setting]];

    /// <summary>How many ovens it keeps on under a setting, by minute, on average of its trays' ways so far; null where it is not baked under it.</summary>
    public double[]? NeedsUnder(int setting) => slotOf[setting] < 0 ? null : needs[slotOf[setting]];

    /// <summary>What its trays cost at least, and where they would go for it.</summary>
    /// <param name="filled">What is paid for an oven's places, all of them, by sort of place, setting and minute.</param>
    /// <param name="crowd">What is paid for a place in any oven, by minute.</param>
    public double Cheapest(double[,][] filled, double[] crowd)
    {
        foreach (var line in presence) Array.Clear(line);
        for (var stage = 0; stage < stages.Length; stage++) Reckon(stage, filled, crowd);
        var ends = cost[^1];
        var total = 0.0;
        foreach (var (pies, count) in classes)
        {
            // Whatever comes out after all that is looked at is as late as that at least.
            var (best, at) = (mayBeLater ? pies * lateness[^1] : Never, -1);
            for (var minute = earliestOut; minute < ends.Length; minute++)
                if (ends[minute] + (pies * lateness[minute]) is var whole && whole < best) (best, at) = (whole, minute);
            if (best < Never) total += count * best;
            if (at >= 0) Note(at, count);
        }

        return total;
    }

    /// <summary>Takes its newest ways into the average, and adds what that fills.</summary>
    /// <param name="weight">What the newest count for, 0 to 1.</param>
    /// <param name="fills">Ovens filled, by sort of place, setting and minute.</param>
    /// <param name="crowds">Places filled, by minute.</param>
    public void Average(double weight, double[,][] fills, double[] crowds)
    {
        for (var setting = 0; setting < slotOf.Length; setting++)
        {
            if (slotOf[setting] is not (>= 0 and var slot)) continue;
            var (average, now, fill) = (needs[slot], presence[slot], fills[kind, setting]);
            for (var minute = 0; minute < now.Length; minute++)
            {
                average[minute] += weight * ((now[minute] / sharers) - average[minute]);
                fill[minute] += average[minute] * sharers / places;
                crowds[minute] += average[minute] * sharers;
            }
        }
    }

    private static double[][] Lines(int count, int length) => [.. Enumerable.Range(0, count).Select(_ => new double[length])];

    private void Reckon(int stage, double[,][] filled, double[] crowd)
    {
        var (min, max, settings) = stages[stage];
        var (line, choice, start) = (cost[stage], chosen[stage], began[stage]);
        paid[0] = 0;
        for (var minute = 0; minute + 1 < paid.Length; minute++)
        {
            var (least, by) = (double.PositiveInfinity, 0);
            foreach (var setting in settings)
                if ((prices[slotOf[setting]][minute] / sharers) + (filled[kind, setting][minute] / places) is var price && price < least) (least, by) = (price, setting);
            choice[minute] = (byte)by;
            paid[minute + 1] = paid[minute] + least + crowd[minute];
        }

        // The least of what came before less what was paid up to there, over the minutes at which the stage may have begun.
        var (head, tail, shut) = (0, 0, -1);
        for (var end = 0; end < paid.Length; end++)
        {
            if (end > 0 && !isOpen[end - 1]) (head, tail, shut) = (0, 0, end - 1);
            if (end - min is var from && from > shut)
            {
                var here = Before(stage, from) - paid[from];
                while (tail > head && gained[beginnings[tail - 1]] >= here) tail--;
                (gained[from], beginnings[tail++]) = (here, from);
            }

            while (tail > head && beginnings[head] < end - max) head++;
            (line[end], start[end]) = tail > head && gained[beginnings[head]] + paid[end] is var value and < Never / 2 ? (value, beginnings[head]) : (Never, -1);
        }
    }

    /// <summary>The least cost with which a stage can begin at a minute.</summary>
    private double Before(int stage, int minute)
    {
        if (stage == 0) return enters[minute] ? 0 : Never;
        var stays = cost[stage - 1][minute];
        return moves && minute >= transferMin ? Math.Min(stays, cost[stage - 1][minute - transferMin]) : stays;
    }

    private void Note(int end, int count)
    {
        for (var stage = stages.Length - 1; stage >= 0; stage--)
        {
            var from = began[stage][end];
            for (var minute = from; minute < end; minute++) presence[slotOf[chosen[stage][minute]]][minute] += count;
            end = stage > 0 && moves && from >= transferMin && cost[stage - 1][from - transferMin] < cost[stage - 1][from] ? from - transferMin : from;
        }
    }
}
