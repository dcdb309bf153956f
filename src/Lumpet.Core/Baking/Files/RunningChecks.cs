namespace Lumpet.Core.Baking.Files;

/// <summary>Checks what a problem says is running: that there is such a tray, that its past could have been, and that its oven is on.</summary>
internal static class RunningChecks
{
    /// <summary>Adds what is wrong; the problem is whole otherwise.</summary>
    public static void Check(BakeFileChecks checks, BakeProblem problem)
    {
        var bakes = problem.Bakes.ToDictionary(bake => bake.Id);
        var ovens = problem.Ovens.ToDictionary(oven => oven.Id);
        var seen = new HashSet<(string, int)>();
        foreach (var (index, tray) in problem.Running.Index())
        {
            var at = BakeFileText.Place("running", index, tray.BakeId);
            if (!bakes.TryGetValue(tray.BakeId, out var bake) || tray.Tray > bake.Trays.Count) checks.Add(at, "there is no such tray");
            else if (!seen.Add((tray.BakeId, tray.Tray))) checks.Add(at, "the tray is named twice");
            else Check(checks, at, problem, ovens, bake, tray);
        }

        CheckPans(checks, problem, bakes);
        foreach (var oven in problem.Ovens)
        {
            var place = BakeFileText.Place("ovens", problem.Ovens.ToList().IndexOf(oven), oven.Id);
            if (oven.StartSettingC is not null && !oven.Openings.Any(opening => opening.FromMin <= 0 && opening.ToMin > 0))
                checks.Add($"{place}.startSettingC", "it is not open at minute 0, and so not on");
            RunningTray[] inside = [.. problem.Running.Where(tray => IsInside(tray) && tray.Stages[^1].OvenId == oven.Id && bakes.ContainsKey(tray.BakeId))];
            if (inside.Length == 0) continue;
            if (oven.StartSettingC is null) checks.Add($"{place}.startSettingC", "trays are running in it, so it is on: what is it set to?");
            if (inside.Count(tray => !oven.TakesFloor(bakes[tray.BakeId].OnFloor)) > oven.Shelves || inside.Count(tray => oven.TakesFloor(bakes[tray.BakeId].OnFloor)) > (oven.FloorPlaces ?? 0))
                checks.Add($"{place}.shelves", $"{inside.Length} trays are running in it, more than it has places for");
        }
    }

    /// <summary>What runs is in pans that there are; of what is out, in those that are still in use.</summary>
    private static void CheckPans(BakeFileChecks checks, BakeProblem problem, Dictionary<string, Bake> bakes)
    {
        foreach (var (index, pan) in problem.Pans.Index())
        {
            var held = problem.Running
                .Where(tray => bakes.TryGetValue(tray.BakeId, out var bake) && bake.Pan?.PanId == pan.Id && tray.Tray <= bake.Trays.Count && tray.Stages.Count > 0
                    && (tray.Stages[^1].EndMin is not { } end || bake.Pan.InUseUntil(end) > 0))
                .Sum(tray => (long)bakes[tray.BakeId].Trays[tray.Tray - 1]);
            if (held > pan.Count) checks.Add($"{BakeFileText.Place("pans", index, pan.Id)}.count", $"{held} of them are in use by what is running, more than there are");
        }
    }

    private static bool IsInside(RunningTray tray) => tray.Stages.Count > 0 && tray.Stages[^1].EndMin is null or > 0;

    private static void Check(BakeFileChecks checks, string at, BakeProblem problem, Dictionary<string, BakeOven> ovens, Bake bake, RunningTray tray)
    {
        if (tray.Stages.Count == 0 || tray.Stages.Count > bake.Stages.Count)
        {
            checks.Add($"{at}.stages", $"1 to {bake.Stages.Count} stages have begun, not {tray.Stages.Count}");
            return;
        }

        for (var index = 0; index < tray.Stages.Count; index++)
        {
            var (stage, place, isLast) = (tray.Stages[index], BakeFileText.Place($"{at}.stages", index, tray.Stages[index].OvenId), index == tray.Stages.Count - 1);
            if (!ovens.ContainsKey(stage.OvenId)) checks.Add($"{place}.oven", $"there is no oven \"{stage.OvenId}\"");
            if (stage.StartMin > 0) checks.Add($"{place}.startMin", "what runs has begun by minute 0");
            if (stage.EndMin is null && !isLast) checks.Add($"{place}.endMin", "only the last stage that has begun may be without an end");
            if (stage.EndMin <= stage.StartMin) checks.Add($"{place}.endMin", "it ends before it begins");
            if (index == 0 || tray.Stages[index - 1].EndMin is not { } end) continue;
            var gap = tray.Stages[index - 1].OvenId == stage.OvenId ? 0 : problem.TransferMin;
            if (stage.StartMin != end + gap) checks.Add($"{place}.startMin", $"it starts {gap} min after the one before ended, at {end + gap}");
        }

        if (tray.Stages[^1].EndMin is <= 0 && tray.Stages.Count < bake.Stages.Count)
            checks.Add($"{at}.stages", "a tray on its way between ovens is no beginning: take a minute at which it is in one");
    }
}
