using Lumpet.Core.Baking.Planning;

namespace Lumpet.Core.Baking.Files;

/// <summary>Reads bake problems of the format "lumpet.bake-problem/1" (docs/formats/bake-plan.md).</summary>
public static class BakeProblemFile
{
    /// <summary>The format's name and version.</summary>
    public const string Format = "lumpet.bake-problem/1";

    // Ten ovens for a year: beyond, a plan minute by minute no longer fits the memory of a small machine.
    private const long MostOvenMinutes = 5_256_000;

    /// <summary>Reads a problem from its JSON text. Unknown fields are ignored.</summary>
    /// <exception cref="BakeFileException">Something is wrong; every fault names its field and id.</exception>
    public static BakeProblem Read(string text)
    {
        var written = BakeFileText.Open<WrittenProblem>(text);
        var checks = new BakeFileChecks();
        checks.Format(Format, written.Format);
        var ovens = checks.Each("ovens", written.Ovens, oven => oven.Id, (at, oven) => (At: at, Oven: Oven(checks, at, oven)));
        var bakes = checks.Each("bakes", written.Bakes, bake => bake.Id, (at, bake) => (At: at, Bake: ReadBake(checks, at, bake)));
        var pans = checks.Each("pans", written.Pans ?? [], pan => pan.Id, (at, pan) => (At: at, Pan: new PanStock(checks.Text($"{at}.id", pan.Id), checks.Whole($"{at}.count", pan.Count, 0))));
        var problem = new BakeProblem(
            checks.Whole("toleranceC", written.ToleranceC, 0),
            checks.Whole("transferMin", written.TransferMin, 0),
            [.. ovens.Select(one => one.Oven)],
            [.. bakes.Select(one => one.Bake)])
        {
            Weights = written.Weights is { } weights ? Weights(checks, weights) : BakeWeights.Usual,
            Running = written.Running is { } running ? checks.Each("running", running, tray => tray.Bake, (at, tray) => RunningTray(checks, at, tray)) : [],
            Pans = [.. pans.Select(one => one.Pan)],
            Standing = checks.Each("standing.trays", written.Standing?.Trays ?? [], tray => tray.Oven, (at, tray) => StandingTray(checks, at, tray)),
            StandingPans = checks.Each("standing.pans", written.Standing?.Pans ?? [], pans => pans.Id, (at, hold) => new StandingPans(
                checks.Text($"{at}.id", hold.Id), checks.Whole($"{at}.fromMin", hold.FromMin), checks.Whole($"{at}.toMin", hold.ToMin), checks.Whole($"{at}.count", hold.Count, 0))),
            OpenCPerTray = written.OpenCPerTray is null ? 0 : checks.Whole("openCPerTray", written.OpenCPerTray, 0),
        };

        Unique(checks, ovens.Select(one => (one.At, one.Oven.Id)));
        Unique(checks, pans.Select(one => (one.At, one.Pan.Id)));
        Unique(checks, bakes.Select(one => (one.At, one.Bake.Id)));
        var byId = problem.Bakes.DistinctBy(bake => bake.Id).ToDictionary(bake => bake.Id);
        foreach (var (at, bake) in bakes) CheckNames(checks, problem, byId, at, bake);
        checks.Passed(problem);
        RunningChecks.Check(checks, problem);
        StandingChecks.Check(checks, problem);
        if (BakePlanner.OvenMinutes(problem) is > MostOvenMinutes and var minutes)
            checks.Add("ovens", $"their time comes to {minutes / 1440} days between them; at most {MostOvenMinutes / 1440} are planned at once. Ask for a shorter stretch");
        return checks.Passed(problem);
    }

    // Heavier ones would only make numbers that nobody can read, and sums that no longer fit.
    private const int Heaviest = 10_000;

    private static BakeWeights Weights(BakeFileChecks checks, WrittenWeights written)
    {
        int Weight(string name, decimal? value, int usual)
        {
            var weight = value is null ? usual : checks.Whole($"weights.{name}", value, 0);
            if (weight > Heaviest) checks.Add($"weights.{name}", $"at most {Heaviest} is possible, not {weight}");
            return weight;
        }

        var usual = BakeWeights.Usual;
        return new BakeWeights(
            Weight("ovenOnMin", written.OvenOnMin, usual.PerOvenOnMin),
            Weight("settingChange", written.SettingChange, usual.PerSettingChange),
            Weight("earlyPieMin", written.EarlyPieMin * 10, usual.EarlyTenths),
            Weight("doorOpening", written.DoorOpening, usual.PerDoorOpening),
            Weight("doorClash", written.DoorClash, usual.PerDoorClash));
    }

    private static BakeOven Oven(BakeFileChecks checks, string at, WrittenOven written)
    {
        var oven = new BakeOven(
            checks.Text($"{at}.id", written.Id),
            checks.Whole($"{at}.shelves", written.Shelves, 0),
            checks.Whole($"{at}.minC", written.MinC),
            checks.Whole($"{at}.maxC", written.MaxC),
            checks.Whole($"{at}.heatCPerMin", written.HeatCPerMin, 1),
            checks.Whole($"{at}.coolCPerMin", written.CoolCPerMin, 1),
            checks.Whole($"{at}.startC", written.StartC),
            written.Openings is null ? checks.Whole($"{at}.openMin", written.OpenMin) : 0,
            written.Openings is null ? checks.Whole($"{at}.closeMin", written.CloseMin) : 0)
        {
            FloorPlaces = written.FloorPlaces is null ? null : checks.Whole($"{at}.floorPlaces", written.FloorPlaces, 0),
            ShortestOffMin = written.ShortestOffMin is null ? 0 : checks.Whole($"{at}.shortestOffMin", written.ShortestOffMin, 0),
            ActionMin = written.ActionMin is null ? 0 : checks.Whole($"{at}.actionMin", written.ActionMin, 0),
            StartSettingC = checks.WholeOrNull($"{at}.startSettingC", written.StartSettingC),
        };
        AtLeast(checks, $"{at}.maxC", oven.MaxC, "minC", oven.MinC);
        AtLeast(checks, $"{at}.closeMin", oven.CloseMin, "openMin", oven.OpenMin);
        return written.Openings is { } openings ? oven.OpenAt(Openings(checks, at, written, openings)) : oven;
    }

    private static OvenOpening[] Openings(BakeFileChecks checks, string at, WrittenOven oven, IReadOnlyList<WrittenOpening?> written)
    {
        if (oven.OpenMin is not null || oven.CloseMin is not null) checks.Add($"{at}.openings", "they take the place of openMin and closeMin: leave those out");
        var openings = checks.Each($"{at}.openings", written, _ => null, (place, opening) => Opening(checks, place, opening));
        for (var index = 1; index < openings.Length; index++)
            if (openings[index].FromMin < openings[index - 1].ToMin)
                checks.Add($"{BakeFileText.Place($"{at}.openings", index, null)}.fromMin", $"it begins at {openings[index].FromMin}, before the one ahead of it ends at {openings[index - 1].ToMin}");
        return openings;
    }

    private static OvenOpening Opening(BakeFileChecks checks, string at, WrittenOpening written)
    {
        var opening = new OvenOpening(checks.Whole($"{at}.fromMin", written.FromMin), checks.Whole($"{at}.toMin", written.ToMin));
        AtLeast(checks, $"{at}.toMin", opening.ToMin, "fromMin", opening.FromMin);
        return opening;
    }

    private static Bake ReadBake(BakeFileChecks checks, string at, WrittenBake written)
    {
        var stages = checks.Each($"{at}.stages", written.Stages, _ => null, (place, stage) => Stage(checks, place, stage));
        if (stages.Length == 0) checks.Add($"{at}.stages", "at least one stage is required");
        if (written.Place is not (null or BakePlanFile.Floor)) checks.Add($"{at}.place", $"\"{BakePlanFile.Floor}\" is the one place known");
        if (written.Trays is null) checks.Add($"{at}.trays", "a list is required");
        return new Bake(
            checks.Text($"{at}.id", written.Id),
            [.. (written.Trays ?? []).Select((pies, index) => checks.Whole(BakeFileText.Place($"{at}.trays", index, null), pies, 0))],
            stages,
            checks.Whole($"{at}.releaseMin", written.ReleaseMin),
            checks.Whole($"{at}.dueMin", written.DueMin),
            checks.WholeOrNull($"{at}.earliestOutMin", written.EarliestOutMin),
            written.Ovens is { } names ? checks.Each($"{at}.ovens", names, _ => null, checks.Text) : null,
            checks.Each($"{at}.after", written.After ?? [], after => after.Bake, (place, after) => After(checks, place, after)))
        {
            OnFloor = written.OnFloor ?? written.Place is not null,
            Pan = written.Pan is not { } pan ? null : new PanNeed(
                checks.Text($"{at}.pan.id", pan.Id),
                pan.BeforeMin is null ? 0 : checks.Whole($"{at}.pan.beforeMin", pan.BeforeMin, 0),
                pan.AfterMin is null ? 0 : checks.Whole($"{at}.pan.afterMin", pan.AfterMin, 0))
            {
                Since = pan.Since is null ? [] : Since(checks, $"{at}.pan.since", pan.Since),
                Until = pan.Until is null ? [] : Until(checks, $"{at}.pan.until", pan.Until),
            },
            NotIn = Pauses(checks, $"{at}.notIn", written.NotIn ?? []),
            NotOut = Pauses(checks, $"{at}.notOut", written.NotOut ?? []),
        };
    }

    private static DoorPause[] Pauses(BakeFileChecks checks, string at, IReadOnlyList<WrittenOpening?> written)
    {
        var pauses = Pairs(checks, at, written, "fromMin", "toMin", pause => (pause.FromMin, pause.ToMin));
        InOrder(checks, at, "fromMin", pauses);
        return [.. pauses.Select(pause => new DoorPause(pause.Low, pause.High))];
    }

    private static PansSince[] Since(BakeFileChecks checks, string at, IReadOnlyList<WrittenPansSince?> written)
    {
        var steps = Pairs(checks, at, written, "sinceMin", "byMin", step => (step.SinceMin, step.ByMin));
        InOrder(checks, at, "byMin", [.. steps.Select(step => (step.High, step.High))]);
        NotBefore(checks, at, "sinceMin", [.. steps.Select(step => step.Low)]);
        return [.. steps.Select(step => new PansSince(step.High, step.Low))];
    }

    private static PansUntil[] Until(BakeFileChecks checks, string at, IReadOnlyList<WrittenPansUntil?> written)
    {
        var steps = Pairs(checks, at, written, "fromMin", "untilMin", step => (step.FromMin, step.UntilMin));
        InOrder(checks, at, "fromMin", [.. steps.Select(step => (step.Low, step.Low))]);
        NotBefore(checks, at, "untilMin", [.. steps.Select(step => step.High)]);
        return [.. steps.Select(step => new PansUntil(step.Low, step.High))];
    }

    /// <summary>Pairs of minutes, the second of which is not before the first.</summary>
    private static (int Low, int High)[] Pairs<T>(BakeFileChecks checks, string at, IReadOnlyList<T?> written, string low, string high, Func<T, (decimal? Low, decimal? High)> of)
        where T : class => checks.Each(at, written, _ => null, (place, one) =>
    {
        var pair = (Low: checks.Whole($"{place}.{low}", of(one).Low), High: checks.Whole($"{place}.{high}", of(one).High));
        AtLeast(checks, $"{place}.{high}", pair.High, low, pair.Low);
        return pair;
    });

    private static void InOrder(BakeFileChecks checks, string at, string field, (int Low, int High)[] stretches)
    {
        for (var index = 1; index < stretches.Length; index++)
            if (stretches[index].Low <= stretches[index - 1].High)
                checks.Add($"{BakeFileText.Place(at, index, null)}.{field}", $"{stretches[index].Low} does not come after {stretches[index - 1].High}, where the one ahead of it ends");
    }

    private static void NotBefore(BakeFileChecks checks, string at, string field, int[] minutes)
    {
        for (var index = 1; index < minutes.Length; index++)
            if (minutes[index] < minutes[index - 1]) checks.Add($"{BakeFileText.Place(at, index, null)}.{field}", $"{minutes[index]} comes before {minutes[index - 1]} of the one ahead of it");
    }

    private static RunningTray RunningTray(BakeFileChecks checks, string at, WrittenTray written) => new(
        checks.Text($"{at}.bake", written.Bake),
        checks.Whole($"{at}.tray", written.Tray, 1),
        checks.Each($"{at}.stages", written.Stages, stage => stage.Oven, (place, stage) => new RunningStage(
            checks.Text($"{place}.oven", stage.Oven), checks.Whole($"{place}.startMin", stage.StartMin), checks.WholeOrNull($"{place}.endMin", stage.EndMin))));

    private static StandingTray StandingTray(BakeFileChecks checks, string at, WrittenStandingTray written)
    {
        if (written.Place is not (null or BakePlanFile.Floor)) checks.Add($"{at}.place", $"\"{BakePlanFile.Floor}\" is the one place known");
        return new StandingTray(
            checks.Text($"{at}.oven", written.Oven),
            checks.Whole($"{at}.startMin", written.StartMin),
            checks.Whole($"{at}.endMin", written.EndMin),
            checks.Each($"{at}.settings", written.Settings, _ => null, (place, setting) => new StandingSetting(checks.Whole($"{place}.atMin", setting.AtMin), checks.Whole($"{place}.tempC", setting.TempC))))
        { OnFloor = written.Place is not null };
    }

    private static BakeStage Stage(BakeFileChecks checks, string at, WrittenStage written)
    {
        var stage = new BakeStage(checks.Whole($"{at}.tempC", written.TempC), checks.Whole($"{at}.minMin", written.MinMin, 1), checks.Whole($"{at}.maxMin", written.MaxMin, 1));
        AtLeast(checks, $"{at}.maxMin", stage.MaxMin, "minMin", stage.MinMin);
        return stage;
    }

    private static BakeAfter After(BakeFileChecks checks, string at, WrittenAfter written)
    {
        var after = new BakeAfter(
            checks.Text($"{at}.bake", written.Bake),
            checks.Whole($"{at}.minLagMin", written.MinLagMin, 0),
            checks.Whole($"{at}.maxLagMin", written.MaxLagMin, 0),
            written.ByTray ?? false);
        AtLeast(checks, $"{at}.maxLagMin", after.MaxLagMin, "minLagMin", after.MinLagMin);
        return after;
    }

    private static void AtLeast(BakeFileChecks checks, string field, int value, string other, int least)
    {
        if (value < least) checks.Add(field, $"at least {other} ({least}) is required, not {value}");
    }

    private static void Unique(BakeFileChecks checks, IEnumerable<(string At, string Id)> named)
    {
        var seen = new HashSet<string>(StringComparer.Ordinal);
        foreach (var (at, id) in named)
            if (id.Length > 0 && !seen.Add(id)) checks.Add($"{at}.id", $"\"{id}\" is used twice");
    }

    private static void CheckNames(BakeFileChecks checks, BakeProblem problem, Dictionary<string, Bake> byId, string at, Bake bake)
    {
        foreach (var name in bake.Ovens ?? [])
            if (problem.Ovens.All(oven => oven.Id != name)) checks.Add($"{at}.ovens", $"there is no oven \"{name}\"");
        if (bake.Pan is { PanId.Length: > 0 } need && problem.Pans.All(pan => pan.Id != need.PanId)) checks.Add($"{at}.pan", $"there is no pan \"{need.PanId}\"");
        foreach (var after in bake.After)
        {
            if (!byId.TryGetValue(after.BakeId, out var before)) checks.Add($"{at}.after", $"there is no bake \"{after.BakeId}\"");
            else if (after.ByTray && before.Trays.Count != bake.Trays.Count)
                checks.Add($"{at}.after", $"by tray needs as many trays as \"{before.Id}\" has: {before.Trays.Count}, not {bake.Trays.Count}");
        }
    }
}
