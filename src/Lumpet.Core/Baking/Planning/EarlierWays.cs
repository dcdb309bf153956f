namespace Lumpet.Core.Baking.Planning;

/// <summary>The ways of an earlier plan's trays, as far as a problem still has such trays and lets them be baked so.</summary>
internal sealed class EarlierWays
{
    private readonly BakeProblem problem;
    private readonly Dictionary<string, int> ovenOf;
    private readonly int?[][] settings;
    private readonly int[][] chambers;

    private EarlierWays(BakeProblem problem, EarlierPlan earlier, int horizonMin)
    {
        this.problem = problem;
        ovenOf = problem.Ovens.Select((oven, at) => (oven.Id, at)).ToDictionary(one => one.Id, one => one.at);
        settings = [.. problem.Ovens.Select(oven => Settings(oven, earlier, horizonMin))];
        chambers = [.. problem.Ovens.Select((oven, at) => Chamber(oven, settings[at], BakedTray.EnteringAll(problem, earlier.Trays, oven.Id)))];
    }

    /// <summary>The ways, by bake and number of the tray. Each is one that the tray could take alone; whether they hold together is not looked at.</summary>
    /// <param name="problem">The problem.</param>
    /// <param name="earlier">The earlier plan, valid or not.</param>
    /// <param name="horizonMin">What is out later is left out.</param>
    public static Dictionary<(string Bake, int Tray), TrayPath> Of(BakeProblem problem, EarlierPlan earlier, int horizonMin)
    {
        var all = new EarlierWays(problem, earlier, horizonMin);
        var bakes = problem.Bakes.ToDictionary(bake => bake.Id);
        var running = problem.Running.Select(tray => (tray.BakeId, tray.Tray)).ToHashSet();
        var ways = new Dictionary<(string Bake, int Tray), TrayPath>();
        foreach (var tray in earlier.Trays)
            if (bakes.TryGetValue(tray.BakeId, out var bake) && tray.Tray >= 1 && tray.Tray <= bake.Trays.Count && !running.Contains((tray.BakeId, tray.Tray))
                && all.Way(bake, tray, horizonMin) is { } way) ways.TryAdd((tray.BakeId, tray.Tray), way);
        return ways;
    }

    private TrayPath? Way(Bake bake, BakedTray tray, int horizonMin)
    {
        if (tray.Stages.Count != bake.Stages.Count || tray.Stages.Count == 0) return null;
        if (tray.StartMin < Math.Max(0, bake.ReleaseMin) || tray.EndMin < (bake.EarliestOutMin ?? 0) || bake.Pauses(tray.StartMin, tray.EndMin) || tray.EndMin > horizonMin) return null;
        for (var at = 0; at < tray.Stages.Count; at++)
            if ((at > 0 && !FollowsOn(tray.Stages[at - 1], tray.Stages[at])) || !IsBakedSo(bake, at, tray.Stages[at])) return null;
        var visits = new List<OvenVisit>();
        for (var first = 0; first < tray.Stages.Count;)
        {
            var last = first;
            while (last + 1 < tray.Stages.Count && tray.Stages[last + 1].OvenId == tray.Stages[first].OvenId) last++;
            var (oven, start, end) = (ovenOf[tray.Stages[first].OvenId], tray.Stages[first].StartMin, tray.Stages[last].EndMin);
            visits.Add(new OvenVisit(oven, start, [.. settings[oven][start..end].Select(celsius => celsius!.Value)], [.. tray.Stages.Skip(first).Take(last - first + 1).Select(stage => stage.EndMin)], chambers[oven][end], first));
            first = last + 1;
        }

        return new TrayPath(visits, 0);
    }

    private bool FollowsOn(BakedStage before, BakedStage stage) => (long)stage.StartMin - before.EndMin == (stage.OvenId == before.OvenId ? 0 : problem.TransferMin);

    private bool IsBakedSo(Bake bake, int number, BakedStage stage)
    {
        var (wanted, minutes) = (bake.Stages[number], (long)stage.EndMin - stage.StartMin);
        if (stage.StartMin < 0 || stage.EndMin >= settings[0].Length || minutes < wanted.MinMin || minutes > wanted.MaxMin || !ovenOf.TryGetValue(stage.OvenId, out var oven) || bake.Ovens?.Contains(stage.OvenId) == false) return false;
        for (var minute = stage.StartMin; minute < stage.EndMin; minute++)
            if (settings[oven][minute] is not { } celsius || Math.Abs(celsius - wanted.TempC) > problem.ToleranceC || celsius < problem.Ovens[oven].MinC || celsius > problem.Ovens[oven].MaxC) return false;
        return true;
    }

    private static int?[] Settings(BakeOven oven, EarlierPlan earlier, int horizonMin)
    {
        var all = new int?[horizonMin + 1];
        var (now, next) = (oven.StartSettingC, 0);
        OvenSetting[] changes = [.. earlier.Settings.Where(setting => setting.OvenId == oven.Id).OrderBy(setting => setting.AtMin)];
        for (var minute = 0; minute <= horizonMin; minute++)
        {
            for (; next < changes.Length && changes[next].AtMin <= minute; next++) now = changes[next].TempC;
            all[minute] = now;
        }

        return all;
    }

    private int[] Chamber(BakeOven oven, int?[] settings, IReadOnlyDictionary<int, int> entering)
    {
        var (all, now) = (new int[settings.Length], oven.StartC);
        for (var minute = 0; minute < settings.Length; minute++)
        {
            all[minute] = now;
            now = oven.After(now, settings[minute], entering.GetValueOrDefault(minute), problem.OpenCPerTray);
        }

        return all;
    }
}
