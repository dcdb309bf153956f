namespace Lumpet.Core.Baking.Planning;

/// <summary>A running tray as the planner sees it: what is left of its bake, from minute 0 on.</summary>
/// <param name="Left">Its bake with the stages that are left, the one it is in shortened by what is over; of a tray that is done its last.</param>
/// <param name="Oven">Index of the oven it is in.</param>
/// <param name="Before">Its stages that are over.</param>
/// <param name="SinceMin">When the stage it is in began; at most 0.</param>
/// <param name="DoneMin">When it was done; null while it is in an oven.</param>
internal sealed record RunningNow(Bake Left, int Oven, IReadOnlyList<BakedStage> Before, int SinceMin, int? DoneMin)
{
    /// <summary>The running trays of a problem, by bake and number.</summary>
    public static IReadOnlyDictionary<(string Bake, int Tray), RunningNow> Of(BakeProblem problem)
    {
        var bakes = problem.Bakes.ToDictionary(bake => bake.Id);
        return problem.Running.ToDictionary(running => (running.BakeId, running.Tray), running => Of(problem, bakes[running.BakeId], running));
    }

    /// <summary>The way of a tray that is done.</summary>
    public TrayPath Done => new([], 0) { DoneMin = DoneMin ?? 0 };

    private static RunningNow Of(BakeProblem problem, Bake bake, RunningTray running)
    {
        var now = running.Stages[^1];
        BakedStage[] before = [.. running.Stages.SkipLast(1).Select(stage => new BakedStage(stage.OvenId, stage.StartMin, stage.EndMin!.Value))];
        var oven = problem.Ovens.Select((one, at) => (one.Id, at)).First(one => one.Id == now.OvenId).at;
        if (now.EndMin is <= 0 and { } done) return new RunningNow(bake, oven, [.. before, new BakedStage(now.OvenId, now.StartMin, done)], 0, done);
        var stage = bake.Stages[running.Stages.Count - 1];
        var left = now.EndMin is { } end
            ? stage with { MinMin = end, MaxMin = end }
            : stage with { MinMin = Math.Max(1, stage.MinMin + now.StartMin), MaxMin = Math.Max(1, stage.MaxMin + now.StartMin) };
        return new RunningNow(bake with { Stages = [left, .. bake.Stages.Skip(running.Stages.Count)] }, oven, before, now.StartMin, null);
    }
}
