namespace Lumpet.Core.Baking.Planning;

/// <summary>Says why a tray is left out: the first thing that binds, from the plainest to the subtlest.</summary>
internal static class UnplacedReasons
{
    /// <summary>The reason for a tray of a bake.</summary>
    /// <param name="problem">The problem.</param>
    /// <param name="chains">Its chains.</param>
    /// <param name="bake">The bake.</param>
    /// <param name="incomplete">Bakes of which a tray is left out.</param>
    /// <param name="tried">Bakes for whose trays a place was looked for.</param>
    public static string For(BakeProblem problem, BakeChains chains, Bake bake, IReadOnlySet<string> incomplete, IReadOnlySet<string> tried)
    {
        if (problem.Running.Any(running => running.BakeId == bake.Id && running.Stages[^1].EndMin is null)) return "what of it is in an oven cannot go on there: no setting bears it, or it is closed";
        if (chains.FollowsItself(bake)) return "it follows itself, directly or through others";
        if (!tried.Contains(bake.Id) && !chains.InCycle(bake)) return "there was no time left to look for a place";
        if (bake.After.FirstOrDefault(after => incomplete.Contains(after.BakeId)) is { } missing)
            return $"it follows {missing.BakeId}, which is not all baked";
        BakeOven[] allowed = [.. problem.Ovens.Where(oven => bake.Ovens is null || bake.Ovens.Contains(oven.Id))];
        if (allowed.Length == 0) return "no oven may be used for it";
        if (allowed.All(oven => oven.Shelves == 0)) return "no oven it may use has a shelf";
        if (allowed.All(oven => oven.PlacesFor(bake) == 0)) return "no oven it may use has a place on its floor";
        foreach (var stage in bake.Stages)
        {
            // Every temperature set is the temperature of a stage, so a tolerance helps only where another stage has it.
            var reachable = problem.Bakes.SelectMany(other => other.Stages).Select(other => other.TempC)
                .Where(celsius => Math.Abs(celsius - stage.TempC) <= problem.ToleranceC).ToArray();
            if (!allowed.Any(oven => reachable.Any(celsius => celsius >= oven.MinC && celsius <= oven.MaxC)))
                return $"no oven it may use can be set to {stage.TempC} °C";
        }

        var shortest = bake.Stages.Sum(stage => stage.MinMin);
        var window = allowed.SelectMany(oven => oven.Openings.Select(opening => opening.ToMin - Math.Max(EarliestEntry(oven, opening, bake.Stages[0].TempC - problem.ToleranceC), chains.Release(bake)))).DefaultIfEmpty(0).Max();
        if (window < shortest)
            return $"the window is too short: it takes {shortest} min, and {Math.Max(0, window)} are left between heat-up or release and closing";
        if (bake.EarliestOutMin is { } earliest && allowed.All(oven => oven.CloseMin < earliest))
            return $"the window closes before minute {earliest}, the first at which it may come out";
        if (bake.Pan is { } need && problem.Pans.First(pan => pan.Id == need.PanId).Count is var count && bake.Trays.Min() > count) return $"there are {count} pans {need.PanId}, fewer than stand on a tray";
        if (bake.After.Count > 0) return $"no place within the lag after {bake.After[0].BakeId}";
        if (bake.Pan is { } pan && problem.Bakes.Where(other => other.Pan?.PanId == pan.PanId).Sum(other => other.Trays.Sum(pies => (long)pies)) > problem.Pans.First(stock => stock.Id == pan.PanId).Count)
            return $"too few pans {pan.PanId}, or too few shelves, before the window ends";
        return bake.OnFloor ? "too few places on the floor before the window ends" : "too few shelves before the window ends";
    }

    // In a later opening there may be heat left, which only the plan knows.
    private static int EarliestEntry(BakeOven oven, OvenOpening opening, int celsius) => Math.Max(0, opening.FromMin)
        + (opening == oven.Openings[0] ? Math.Max(0, (celsius - oven.StartC + oven.HeatCPerMin - 1) / oven.HeatCPerMin) : 0);
}
