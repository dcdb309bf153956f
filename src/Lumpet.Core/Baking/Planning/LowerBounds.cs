namespace Lumpet.Core.Baking.Planning;

/// <summary>What no plan that places every pie can undercut, by arguments that hold for every such plan.</summary>
internal static class LowerBounds
{
    /// <summary>Bounds for plans that place all trays with pies.</summary>
    /// <remarks>
    /// Every setting is the temperature of a stage and within the tolerance of all that bake under it. So temperatures between
    /// which more than the tolerance lies, and nothing in between, never share a minute: each group of them needs oven minutes
    /// of its own, as many as its shelf-minutes take on the most shelves that may be used. Before anything enters an oven that
    /// serves the hottest group it has come up from its start; where no bake rises from one group to another, nothing is in it
    /// while it rises between groups, so those minutes are nobody's shelf-minutes.
    /// </remarks>
    /// <param name="problem">The problem; nothing of it has begun.</param>
    /// <param name="shared">What is proved of minutes with trays inside, lateness and waiting together; 0 for nothing.</param>
    public static BakePlanBound AllPlaced(BakeProblem problem, decimal shared = 0)
    {
        Bake[] bakes = [.. problem.Bakes.Where(bake => bake.Trays.Any(pies => pies > 0))];
        if (bakes.Length == 0) return new BakePlanBound(0, 0);

        var groups = Groups(problem, bakes);
        var (baking, empty) = (groups.Sum(group => ShelfMinutes(problem, bakes, group)), HeatUp(problem, bakes, groups));
        var changes = Math.Max(0, groups.Count - problem.Ovens.Count);
        var alone = (problem.Weights.PerOvenOnMin * (decimal)baking) + (BakeWeights.PerTardyPieMin * (decimal)bakes.Sum(bake => Tardy(problem, bake)));
        return new BakePlanBound(
            (problem.Weights.PerOvenOnMin * (decimal)empty) + (problem.Weights.PerSettingChange * (decimal)changes) + Math.Max(alone, decimal.Floor(shared * 10) / 10),
            baking + empty);
    }

    /// <summary>The temperatures of the problem, parted where more than the tolerance lies between two that follow one another; the coldest first.</summary>
    private static List<(int Low, int High)> Groups(BakeProblem problem, Bake[] bakes)
    {
        // Trays without pies may be baked or not, and lend their temperatures: they belong to the groups as well.
        var all = problem.Bakes.SelectMany(bake => bake.Stages).Select(stage => stage.TempC).Distinct().Order().ToArray();
        var groups = new List<(int Low, int High)>();
        foreach (var celsius in all)
            if (groups.Count > 0 && celsius - groups[^1].High <= problem.ToleranceC) groups[^1] = (groups[^1].Low, celsius);
            else groups.Add((celsius, celsius));
        return [.. groups.Where(group => bakes.Any(bake => bake.Stages.Any(stage => IsIn(stage, group))))];
    }

    private static bool IsIn(BakeStage stage, (int Low, int High) group) => stage.TempC >= group.Low && stage.TempC <= group.High;

    /// <summary>Oven minutes that the stages of a group need: each on the most shelves that its bake may use.</summary>
    private static long ShelfMinutes(BakeProblem problem, Bake[] bakes, (int Low, int High) group)
    {
        // Places on a floor are beside the shelves, so that what takes them and what takes shelves go on at the same time.
        var (onShelves, onFloors) = (0.0, 0.0);
        foreach (var bake in bakes)
        {
            var places = Allowed(problem, bake).Select(oven => oven.PlacesFor(bake)).DefaultIfEmpty(0).Max();
            if (places == 0) continue;
            var minutes = bake.Stages.Where(stage => IsIn(stage, group)).Sum(stage => (long)stage.MinMin) * bake.Trays.Count(pies => pies > 0) / (double)places;
            if (Allowed(problem, bake).Any(oven => oven.TakesFloor(bake.OnFloor))) onFloors += minutes;
            else onShelves += minutes;
        }

        return (long)Math.Ceiling(Math.Max(onShelves, onFloors) - 1e-9);
    }

    private static long HeatUp(BakeProblem problem, Bake[] bakes, List<(int Low, int High)> groups)
    {
        var rises = bakes.Concat(problem.Bakes).Any(bake => bake.Stages.Zip(bake.Stages.Skip(1)).Any(pair => pair.Second.TempC - pair.First.TempC > problem.ToleranceC));
        if (rises)
            return problem.Ovens.Select(oven => Minutes(groups[0].Low - oven.StartC, oven.HeatCPerMin)).DefaultIfEmpty(0).Min();
        // Whatever bakes in the hottest group enters there, since nothing rises to it.
        var reaching = problem.Ovens.Where(oven => oven.MaxC >= groups[^1].Low && oven.MinC <= groups[^1].High);
        return reaching.Select(oven => Minutes(EmptyDegrees(oven.StartC, groups), oven.HeatCPerMin)).DefaultIfEmpty(0).Min();
    }

    /// <summary>Degrees up to the hottest group through which no tray rises: all but those within a group.</summary>
    private static int EmptyDegrees(int from, List<(int Low, int High)> groups)
    {
        var degrees = 0;
        foreach (var (low, high) in groups)
        {
            degrees += Math.Max(0, low - from);
            from = Math.Max(from, high);
        }

        return degrees;
    }

    private static IEnumerable<BakeOven> Allowed(BakeProblem problem, Bake bake) => problem.Ovens.Where(oven => bake.Ovens?.Contains(oven.Id) != false);

    private static long Tardy(BakeProblem problem, Bake bake)
    {
        var shortest = bake.Stages.Sum(stage => stage.MinMin);
        // What is set is the temperature of a stage, within the tolerance.
        var lowest = problem.Bakes.SelectMany(other => other.Stages).Select(stage => stage.TempC).Where(celsius => Math.Abs(celsius - bake.Stages[0].TempC) <= problem.ToleranceC).Min();
        var entry = Allowed(problem, bake)
            .Select(oven => Math.Max(0, oven.OpenMin) + Minutes(lowest - oven.StartC, oven.HeatCPerMin))
            .DefaultIfEmpty(0)
            .Min();
        var late = Math.Max(Math.Max(entry, bake.ReleaseMin) + shortest, bake.EarliestOutMin ?? 0) - bake.DueMin;
        return Math.Max(0, late) * bake.Trays.Sum(pies => (long)pies);
    }

    private static long Minutes(int degrees, int rate) => degrees <= 0 ? 0 : (degrees + rate - 1) / rate;
}
