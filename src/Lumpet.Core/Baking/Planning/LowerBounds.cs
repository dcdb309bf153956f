namespace Lumpet.Core.Baking.Planning;

/// <summary>What no plan that places every pie can undercut, by arguments that hold for every such plan.</summary>
internal static class LowerBounds
{
    /// <summary>
    /// Bounds for plans that place all trays with pies. Oven time: temperatures further apart than twice the tolerance
    /// never share a minute, so the shelf-minutes of each group need their own oven minutes; and before the first tray
    /// enters, some oven must have come up to a temperature of the problem.
    /// </summary>
    public static BakePlanBound AllPlaced(BakeProblem problem)
    {
        Bake[] bakes = [.. problem.Bakes.Where(bake => bake.Trays.Any(pies => pies > 0))];
        if (bakes.Length == 0) return new BakePlanBound(0, 0);

        var shelves = Math.Max(1, problem.Ovens.Select(oven => oven.Shelves).DefaultIfEmpty(1).Max());
        var groups = Groups(problem, bakes).ToArray();
        var on = groups.Sum(shelfMinutes => (shelfMinutes + shelves - 1) / shelves) + HeatUp(problem);
        var changes = Math.Max(0, groups.Length - problem.Ovens.Count);
        var tardy = bakes.Sum(bake => Tardy(problem, bake));
        return new BakePlanBound(
            (BakePlanCost.PerOvenOnMin * (decimal)on) + (BakePlanCost.PerSettingChange * (decimal)changes)
            + (BakePlanCost.PerTardyPieMin * (decimal)tardy),
            on);
    }

    /// <summary>Shelf-minutes of each group of temperatures that could share a setting, directly or through others.</summary>
    private static IEnumerable<long> Groups(BakeProblem problem, Bake[] bakes)
    {
        var stages = bakes
            .SelectMany(bake => bake.Stages.Select(stage => (stage.TempC, Work: (long)stage.MinMin * bake.Trays.Count(pies => pies > 0))))
            .OrderBy(stage => stage.TempC);
        long work = 0;
        int? last = null;
        foreach (var stage in stages)
        {
            if (last is { } celsius && stage.TempC - celsius > 2 * problem.ToleranceC)
            {
                yield return work;
                work = 0;
            }

            work += stage.Work;
            last = stage.TempC;
        }

        yield return work;
    }

    // Every setting is the temperature of a stage, and the first tray enters a chamber that stands at one.
    private static long HeatUp(BakeProblem problem)
    {
        var lowest = problem.Bakes.SelectMany(bake => bake.Stages).Min(stage => stage.TempC);
        return problem.Ovens
            .Select(oven => Minutes(lowest - oven.StartC, oven.HeatCPerMin))
            .DefaultIfEmpty(0)
            .Min();
    }

    private static long Tardy(BakeProblem problem, Bake bake)
    {
        var shortest = bake.Stages.Sum(stage => stage.MinMin);
        var lowest = bake.Stages[0].TempC - problem.ToleranceC;
        var entry = problem.Ovens
            .Where(oven => bake.Ovens is null || bake.Ovens.Contains(oven.Id))
            .Select(oven => Math.Max(0, oven.OpenMin) + Minutes(lowest - oven.StartC, oven.HeatCPerMin))
            .DefaultIfEmpty(0)
            .Min();
        var late = Math.Max(Math.Max(entry, bake.ReleaseMin) + shortest, bake.EarliestOutMin ?? 0) - bake.DueMin;
        return Math.Max(0, late) * bake.Trays.Sum(pies => (long)pies);
    }

    private static long Minutes(int degrees, int rate) => degrees <= 0 ? 0 : (degrees + rate - 1) / rate;
}
