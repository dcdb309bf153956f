using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Files;

namespace Lumpet.PlanChecking;

/// <summary>One run of the checker over one plan; the parts must be called in the order of <see cref="BakePlanChecker"/>.</summary>
internal sealed partial class BakePlanCheck
{
    private const int LatestMin = 5_256_000;

    private readonly BakeProblem problem;
    private readonly StatedBakePlan plan;
    private readonly Dictionary<string, Bake> bakes;
    private readonly Dictionary<string, BakeOven> ovens;
    private readonly Dictionary<string, OvenSimulation> simulations = [];
    private readonly Dictionary<(string, int), RunningTray> running;
    private readonly List<PlanFault> faults = [];

    public BakePlanCheck(BakeProblem problem, StatedBakePlan plan)
    {
        this.problem = problem;
        this.plan = plan;
        bakes = problem.Bakes.ToDictionary(bake => bake.Id);
        ovens = problem.Ovens.ToDictionary(oven => oven.Id);
        running = problem.Running.ToDictionary(tray => (tray.BakeId, tray.Tray));
    }

    public IReadOnlyList<PlanFault> Faults => faults;

    /// <summary>Every tray stands in the plan once, with as many stages as its bake; every oven exists.</summary>
    public void Names()
    {
        var seen = new HashSet<(string, int)>();
        foreach (var (bakeId, number) in plan.Trays.Select(tray => (tray.BakeId, tray.Tray))
                     .Concat(plan.Unplaced.Select(tray => (tray.BakeId, tray.Tray))))
        {
            if (!bakes.TryGetValue(bakeId, out var bake) || number < 1 || number > bake.Trays.Count)
                Fault("trays", Name(bakeId, number), "the problem has no such tray");
            else if (!seen.Add((bakeId, number))) Fault("trays", Name(bakeId, number), "the tray stands in the plan twice");
        }

        foreach (var bake in problem.Bakes)
            for (var number = 1; number <= bake.Trays.Count; number++)
                if (!seen.Contains((bake.Id, number))) Fault("trays", Name(bake.Id, number), "the tray is neither baked nor left out");

        foreach (var tray in plan.Trays)
        {
            if (bakes.TryGetValue(tray.BakeId, out var bake) && bake.Stages.Count != tray.Stages.Count)
                Fault("stages", Name(tray), $"{bake.Stages.Count} stages are needed, {tray.Stages.Count} are planned");
            foreach (var stage in tray.Stages)
            {
                if (!ovens.ContainsKey(stage.OvenId)) Fault("ovens", Name(tray), $"there is no oven \"{stage.OvenId}\"");
                if ((stage.StartMin < 0 && !running.ContainsKey((tray.BakeId, tray.Tray))) || stage.EndMin <= stage.StartMin || stage.EndMin > LatestMin)
                    Fault("stage", Name(tray), $"a stage cannot last from {stage.StartMin} to {stage.EndMin}");
            }
        }

        foreach (var begun in problem.Running) Begun(begun);
        foreach (var tray in plan.Unplaced.Where(tray => string.IsNullOrWhiteSpace(tray.Reason)))
            Fault("unplaced", Name(tray.BakeId, tray.Tray), "a reason is required");

        foreach (var setting in plan.Settings)
        {
            if (!ovens.ContainsKey(setting.OvenId)) Fault("settings", setting.OvenId, "there is no such oven");
            if (setting.AtMin is < 0 or > LatestMin) Fault("settings", setting.OvenId, $"minute {setting.AtMin} lies outside the horizon");
        }
    }

    /// <summary>What has begun is in the plan, and stands there as it was.</summary>
    private void Begun(RunningTray begun)
    {
        if (plan.Trays.FirstOrDefault(tray => tray.BakeId == begun.BakeId && tray.Tray == begun.Tray) is not { } tray) return;
        foreach (var (index, stage) in begun.Stages.Index())
            if (index >= tray.Stages.Count || tray.Stages[index].OvenId != stage.OvenId || tray.Stages[index].StartMin != stage.StartMin || (stage.EndMin is { } end && tray.Stages[index].EndMin != end)
                || tray.Stages[index].EndMin < (stage.EndMin ?? 1))
                Fault("running", Name(tray), $"stage {index + 1} has begun and is another in the plan");
    }

    /// <summary>How many stages of a tray began before the plan, and stand as they are.</summary>
    private int BegunStages(BakedTray tray) => running.TryGetValue((tray.BakeId, tray.Tray), out var begun) ? begun.Stages.Count : 0;

    /// <summary>The settings are in order, each a change, within range and opening time, and none without a stage of its own.</summary>
    public void Settings()
    {
        for (var index = 1; index < plan.Settings.Count; index++)
            if (plan.Settings[index].AtMin < plan.Settings[index - 1].AtMin)
                Fault("settings", plan.Settings[index].OvenId, $"the setting at {plan.Settings[index].AtMin} stands after a later one");

        var last = plan.Trays.SelectMany(tray => tray.Stages).Select(stage => stage.EndMin)
            .Concat(problem.Standing.Select(tray => tray.EndMin))
            .Concat(plan.Settings.Select(setting => setting.AtMin)).DefaultIfEmpty(0).Max() + 1;
        foreach (var oven in problem.Ovens)
        {
            OvenSetting[] changes = [.. plan.Settings.Where(setting => setting.OvenId == oven.Id).OrderBy(setting => setting.AtMin)];
            simulations[oven.Id] = new OvenSimulation(oven, changes, Math.Max(0, last), Entering(oven.Id), problem.OpenCPerTray);
            SettingsOf(oven, changes);
            Standing(oven);
        }
    }

    private void SettingsOf(BakeOven oven, OvenSetting[] changes)
    {
        var before = oven.StartSettingC;
        for (var index = 0; index < changes.Length; index++)
        {
            var change = changes[index];
            if (index > 0 && changes[index - 1].AtMin == change.AtMin) Fault("settings", oven.Id, $"two settings at minute {change.AtMin}");
            if (change.TempC == before) Fault("settings", oven.Id, $"the setting at {change.AtMin} changes nothing");
            before = change.TempC;
            if (change.TempC is null && index + 1 < changes.Length && changes[index + 1].AtMin - change.AtMin < oven.ShortestOffMin
                && oven.Openings.Any(opening => opening.FromMin <= change.AtMin && changes[index + 1].AtMin <= opening.ToMin))
                Fault("settings", oven.Id, $"off at {change.AtMin} for {changes[index + 1].AtMin - change.AtMin} min, less than {oven.ShortestOffMin}");
            if (change.TempC is not { } celsius) continue;

            if (celsius < oven.MinC || celsius > oven.MaxC)
                Fault("window", oven.Id, $"{celsius} °C at {change.AtMin} lies outside {oven.MinC} to {oven.MaxC} °C");
            var until = index + 1 < changes.Length ? changes[index + 1].AtMin : int.MaxValue;
            Open(oven, change.AtMin, until);
            if (!BakedAt(oven.Id, celsius, change.AtMin, until))
                Fault("stage", oven.Id, $"{celsius} °C set at {change.AtMin} is the temperature of no stage baked while it is in force");
        }

        if (before is not null) Fault("settings", oven.Id, "the last setting is not off");
    }

    /// <summary>While an oven is on it is open: what is set at a minute is in force within one of its stretches of time.</summary>
    private void Open(BakeOven oven, int from, int until)
    {
        if (oven.Openings.LastOrDefault(opening => opening.FromMin <= from) is not { } opening)
            Fault("window", oven.Id, $"on at {from}, before it opens at {oven.OpenMin}");
        else if (from >= opening.ToMin || (until != int.MaxValue && until > opening.ToMin))
            Fault("window", oven.Id, $"on {(until == int.MaxValue ? $"from {from}" : $"until {until}")}, after it closes at {opening.ToMin}");
    }

    private bool BakedAt(string ovenId, int celsius, int from, int until) => StandsAt(ovenId, celsius, from, until) || plan.Trays.Any(tray =>
        tray.Stages.Zip(bakes[tray.BakeId].Stages).Any(pair =>
            pair.First.OvenId == ovenId && pair.Second.TempC == celsius && pair.First.StartMin < until && pair.First.EndMin > from));

    /// <summary>Every stage of every tray: length, temperature, entering, drop, move, windows.</summary>
    public void Trays()
    {
        foreach (var tray in plan.Trays)
        {
            var bake = bakes[tray.BakeId];
            if (BegunStages(tray) == 0 && tray.StartMin < bake.ReleaseMin) Fault("window", Name(tray), $"enters at {tray.StartMin}, before its release at {bake.ReleaseMin}");
            if (BegunStages(tray) == 0 && bake.EarliestOutMin is { } earliest && tray.EndMin < earliest)
                Fault("window", Name(tray), $"comes out at {tray.EndMin}, before {earliest}: it would be too old");
            if (BegunStages(tray) == 0 && bake.NotIn.FirstOrDefault(pause => tray.StartMin >= pause.FromMin && tray.StartMin <= pause.ToMin) is { } closed)
                Fault("window", Name(tray), $"enters at {tray.StartMin}, and from {closed.FromMin} to {closed.ToMin} it may not");
            if (BegunStages(tray) == 0 && bake.NotOut.FirstOrDefault(pause => tray.EndMin >= pause.FromMin && tray.EndMin <= pause.ToMin) is { } away)
                Fault("window", Name(tray), $"comes out at {tray.EndMin}, and from {away.FromMin} to {away.ToMin} it may not");
            for (var index = 0; index < tray.Stages.Count; index++)
            {
                StageOf(tray, bake, index);
                if (index >= BegunStages(tray) && (index == 0 || tray.Stages[index - 1].OvenId != tray.Stages[index].OvenId)) Entering(tray, tray.Stages[index]);
                if (index > 0) Following(tray, tray.Stages[index - 1], tray.Stages[index]);
            }
        }
    }

    private void StageOf(BakedTray tray, Bake bake, int index)
    {
        var (stage, wanted) = (tray.Stages[index], bake.Stages[index]);
        Length(tray, index, stage.EndMin - stage.StartMin, wanted);
        if (bake.Ovens is { } allowed && !allowed.Contains(stage.OvenId)) Fault("window", Name(tray), $"may not use {stage.OvenId}");

        var simulation = simulations[stage.OvenId];
        for (var minute = Math.Max(0, stage.StartMin); minute < stage.EndMin; minute++)
        {
            var setting = simulation.Setting(minute);
            if (setting is { } celsius && Math.Abs(celsius - wanted.TempC) <= problem.ToleranceC) continue;
            var found = setting is null ? "is off" : $"is set to {setting} °C";
            Fault("stage", Name(tray), $"stage {index + 1} needs {wanted.TempC} °C, but at {minute} {stage.OvenId} {found}");
            return;
        }
    }

    /// <summary>How long a stage lasts. An end that was given stands; what is over its most when the plan starts comes out at once.</summary>
    private void Length(BakedTray tray, int index, int minutes, BakeStage wanted)
    {
        var given = running.GetValueOrDefault((tray.BakeId, tray.Tray))?.Stages.ElementAtOrDefault(index);
        if (given?.EndMin is not null) return;
        var most = given is null ? wanted.MaxMin : Math.Max(wanted.MaxMin, 1 - given.StartMin);
        if (minutes < wanted.MinMin || minutes > most) Fault("stage", Name(tray), $"stage {index + 1} lasts {minutes} min, not {wanted.MinMin} to {most}");
    }

    private void Entering(BakedTray tray, BakedStage stage)
    {
        var simulation = simulations[stage.OvenId];
        var chamber = simulation.Chamber(stage.StartMin);
        if (simulation.Setting(stage.StartMin) is { } setting && setting != chamber)
            Fault("entering", Name(tray), $"enters {stage.OvenId} at {stage.StartMin}, where the chamber is at {chamber} °C and set to {setting} °C");
    }

    private void Following(BakedTray tray, BakedStage before, BakedStage stage)
    {
        var (rule, gap) = before.OvenId == stage.OvenId ? ("drop", 0) : ("move", problem.TransferMin);
        if (stage.StartMin != before.EndMin + gap)
            Fault(rule, Name(tray), $"the next stage starts at {stage.StartMin}, not at {before.EndMin + gap}");
    }

    /// <summary>No oven holds more trays than it has shelves, nor more on its floor than have a place there.</summary>
    public void Shelves()
    {
        foreach (var oven in problem.Ovens)
        {
            AtMost(oven, plan.Trays.Where(tray => oven.FloorPlaces is null || !bakes[tray.BakeId].OnFloor), StandingIn(oven, floor: false), oven.Shelves, "shelves");
            if (oven.FloorPlaces is { } places) AtMost(oven, plan.Trays.Where(tray => bakes[tray.BakeId].OnFloor), StandingIn(oven, floor: true), places, "places on the floor");
        }
    }

    private void AtMost(BakeOven oven, IEnumerable<BakedTray> counted, IEnumerable<BakedStage> standing, int most, string of)
    {
        var trays = 0;
        var events = counted.SelectMany(tray => tray.Stages).Where(stage => stage.OvenId == oven.Id).Concat(standing)
            .SelectMany(stage => new[] { (At: stage.StartMin, Change: 1), (At: stage.EndMin, Change: -1) })
            .OrderBy(change => change.At).ThenBy(change => change.Change);
        foreach (var (at, change) in events)
        {
            trays += change;
            if (trays <= most) continue;
            Fault("sharing", oven.Id, $"{trays} trays at {at}, for {most} {of}");
            return;
        }
    }

    /// <summary>Bakes that follow others keep their lags.</summary>
    public void After()
    {
        var placed = plan.Trays.ToLookup(tray => tray.BakeId);
        foreach (var tray in plan.Trays)
            foreach (var after in bakes[tray.BakeId].After.Where(_ => BegunStages(tray) == 0))
            {
                var needed = after.ByTray ? 1 : bakes[after.BakeId].Trays.Count;
                BakedTray[] before = [.. placed[after.BakeId].Where(other => !after.ByTray || other.Tray == tray.Tray)];
                if (needed == 0) continue;
                if (before.Length < needed)
                {
                    Fault("after", Name(tray), $"follows {after.BakeId}, which is not baked");
                    continue;
                }

                var sinceLast = tray.StartMin - before.Max(other => other.EndMin);
                var sinceFirst = tray.StartMin - before.Min(other => other.EndMin);
                if (sinceLast < after.MinLagMin) Fault("after", Name(tray), $"starts {sinceLast} min after {after.BakeId}, not {after.MinLagMin}");
                if (sinceFirst > after.MaxLagMin) Fault("after", Name(tray), $"starts {sinceFirst} min after {after.BakeId}, over {after.MaxLagMin}");
            }
    }

    /// <summary>What the plan costs, from its trays and the simulated ovens.</summary>
    public BakePlanCost Cost()
    {
        long tardy = 0;
        long early = 0;
        foreach (var tray in plan.Trays)
        {
            long pies = bakes[tray.BakeId].Trays[tray.Tray - 1];
            var late = (long)tray.EndMin - bakes[tray.BakeId].DueMin;
            tardy += pies * Math.Max(0, late);
            early += pies * Math.Max(0, -late);
        }

        long changes = 0;
        foreach (var oven in problem.Ovens)
        {
            int[] temperatures = [.. oven.StartSettingC is { } set ? new[] { set } : [], .. plan.Settings.Where(setting => setting.OvenId == oven.Id).OrderBy(setting => setting.AtMin)
                .Where(setting => setting.TempC is not null).Select(setting => setting.TempC!.Value)];
            for (var index = 1; index < temperatures.Length; index++)
                if (temperatures[index] != temperatures[index - 1]) changes++;
        }

        var unplaced = plan.Unplaced.Sum(tray => (long)bakes[tray.BakeId].Trays[tray.Tray - 1]);
        var (openings, clashes) = Doors();
        return new BakePlanCost(tardy, simulations.Values.Sum(simulation => (long)simulation.OnMinutes), changes, early, unplaced)
        {
            DoorOpenings = openings,
            DoorClashes = clashes,
            Weights = problem.Weights,
        };
    }

    /// <summary>Minutes at which a door is opened: at each oven those at which the trays inside are others than the minute before.</summary>
    private (long Openings, long Clashes) Doors()
    {
        var openAt = new SortedDictionary<int, int>();
        foreach (var oven in problem.Ovens)
        {
            var minutes = new HashSet<int>();
            foreach (var tray in plan.Trays)
            {
                var begun = BegunStages(tray);
                (BakedStage Stage, int Index)[] here = [.. tray.Stages.Select((stage, index) => (stage, index)).Where(one => one.stage.OvenId == oven.Id)];
                // A drop opens no door: it is an end and a start of the same tray at one minute.
                int[] starts = [.. here.Select(one => one.Stage.StartMin)];
                int[] ends = [.. here.Select(one => one.Stage.EndMin)];
                // What is over when the plan starts opens no door any more.
                minutes.UnionWith(here.Where(one => one.Index >= begun).Select(one => one.Stage.StartMin).Except(ends).Concat(ends.Except(starts).Where(minute => begun == 0 || minute > 0)));
            }

            foreach (var tray in problem.Standing.Where(tray => tray.OvenId == oven.Id)) minutes.UnionWith(new[] { tray.StartMin, tray.EndMin }.Where(minute => minute >= 0));
            foreach (var minute in minutes) openAt[minute] = openAt.GetValueOrDefault(minute) + 1;
        }

        return (openAt.Values.Sum(ovens => (long)ovens), openAt.Values.Sum(ovens => (long)ovens - 1));
    }

    /// <summary>The figures that the plan states are those counted here, and no bound is above them.</summary>
    public void Figures(BakePlanCost cost)
    {
        Figure("total", cost.Total);
        Figure("tardyPieMin", cost.TardyPieMin);
        Figure("ovenOnMin", cost.OvenOnMin);
        Figure("settingChanges", cost.SettingChanges);
        Figure("earlyPieMin", cost.EarlyPieMin);
        Figure("unplacedPies", cost.UnplacedPies);
        if (problem.Weights != BakeWeights.Usual)
        {
            Figure("doorOpenings", cost.DoorOpenings);
            Figure("doorClashes", cost.DoorClashes);
        }

        Bound("total", cost.Total);
        Bound("ovenOnMin", cost.OvenOnMin);
    }

    private void Figure(string name, decimal counted)
    {
        if (!plan.Cost.TryGetValue(name, out var stated)) Fault("cost", name, "the figure is missing");
        else if (stated != counted) Fault("cost", name, FormattableString.Invariant($"the plan says {stated}, it costs {counted}"));
    }

    private void Bound(string name, decimal counted)
    {
        if (!plan.LowerBound.TryGetValue(name, out var bound)) Fault("bound", name, "the figure is missing");
        else if (bound > counted) Fault("bound", name, FormattableString.Invariant($"{bound} is no lower bound: this plan needs {counted}"));
    }

    private static string Name(BakedTray tray) => Name(tray.BakeId, tray.Tray);

    private static string Name(string bakeId, int number) => $"{bakeId} tray {number}";

    private void Fault(string rule, string where, string message) => faults.Add(new PlanFault(rule, where, message));
}
