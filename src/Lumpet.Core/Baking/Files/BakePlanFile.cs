using System.Text.Json;
using System.Text.Json.Serialization;

namespace Lumpet.Core.Baking.Files;

/// <summary>Reads and writes bake plans of the format "lumpet.bake-plan/1", and writes problems.</summary>
public static class BakePlanFile
{
    /// <summary>The format's name and version.</summary>
    public const string Format = "lumpet.bake-plan/1";

    /// <summary>The place of a bake whose trays stand on the floor of an oven.</summary>
    internal const string Floor = "floor";

    private static readonly JsonSerializerOptions Layout =
        new() { WriteIndented = true, PropertyNamingPolicy = JsonNamingPolicy.CamelCase };

    // What is optional in a problem is left out where it says nothing; in a plan null means that an oven is off.
    private static readonly JsonSerializerOptions WithoutNulls = new(Layout) { DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull };

    /// <summary>Reads a plan from its JSON text. Its cost is read as stated, for the checker to compare.</summary>
    /// <exception cref="BakeFileException">Something is wrong; every fault names its field.</exception>
    public static StatedBakePlan Read(string text)
    {
        var written = BakeFileText.Open<WrittenPlan>(text);
        var checks = new BakeFileChecks();
        checks.Format(Format, written.Format);
        return checks.Passed(new StatedBakePlan(
            checks.Each("settings", written.Settings, setting => setting.Oven, (at, setting) =>
                new OvenSetting(checks.Text($"{at}.oven", setting.Oven), checks.Whole($"{at}.atMin", setting.AtMin), Celsius(checks, $"{at}.tempC", setting.TempC))),
            checks.Each("trays", written.Trays, tray => tray.Bake, (at, tray) => Tray(checks, at, tray)),
            checks.Each("unplaced", written.Unplaced, tray => tray.Bake, (at, tray) =>
                new UnplacedTray(checks.Text($"{at}.bake", tray.Bake), checks.Whole($"{at}.tray", tray.Tray), checks.Text($"{at}.reason", tray.Reason))),
            Figures(written.Cost),
            Figures(written.LowerBound)));
    }

    /// <summary>The JSON text of a plan.</summary>
    public static string Write(BakePlan plan) => JsonSerializer.Serialize(
        new
        {
            Format,
            Settings = plan.Settings.Select(setting => new { Oven = setting.OvenId, setting.AtMin, setting.TempC }),
            Trays = plan.Trays.Select(tray => new
            {
                Bake = tray.BakeId,
                tray.Tray,
                Stages = tray.Stages.Select(stage => new { Oven = stage.OvenId, stage.StartMin, stage.EndMin }),
            }),
            Unplaced = plan.Unplaced.Select(tray => new { Bake = tray.BakeId, tray.Tray, tray.Reason }),
            Cost = Stated(plan.Cost),
            plan.LowerBound,
        },
        Layout);

    /// <summary>What a plan costs, by name; doors only where the problem counts by weights of its own.</summary>
    private static Dictionary<string, decimal> Stated(BakePlanCost cost)
    {
        var figures = new Dictionary<string, decimal>
        {
            ["total"] = cost.Total,
            ["tardyPieMin"] = cost.TardyPieMin,
            ["ovenOnMin"] = cost.OvenOnMin,
            ["settingChanges"] = cost.SettingChanges,
            ["earlyPieMin"] = cost.EarlyPieMin,
            ["unplacedPies"] = cost.UnplacedPies,
        };
        if (cost.Weights == BakeWeights.Usual) return figures;
        figures["doorOpenings"] = cost.DoorOpenings;
        figures["doorClashes"] = cost.DoorClashes;
        return figures;
    }

    /// <summary>The JSON text of a problem.</summary>
    public static string Write(BakeProblem problem) => JsonSerializer.Serialize(
        new
        {
            BakeProblemFile.Format,
            problem.ToleranceC,
            problem.TransferMin,
            OpenCPerTray = problem.OpenCPerTray == 0 ? (int?)null : problem.OpenCPerTray,
            Pans = problem.Pans.Count == 0 ? null : problem.Pans,
            Weights = problem.Weights == BakeWeights.Usual ? null : new
            {
                OvenOnMin = problem.Weights.PerOvenOnMin,
                SettingChange = problem.Weights.PerSettingChange,
                EarlyPieMin = problem.Weights.EarlyTenths / 10m,
                DoorOpening = problem.Weights.PerDoorOpening,
                DoorClash = problem.Weights.PerDoorClash,
            },
            Ovens = problem.Ovens.Select(oven => new
            {
                oven.Id,
                oven.Shelves,
                oven.FloorPlaces,
                oven.MinC,
                oven.MaxC,
                oven.HeatCPerMin,
                oven.CoolCPerMin,
                oven.StartC,
                oven.StartSettingC,
                ActionMin = oven.ActionMin == 0 ? (int?)null : oven.ActionMin,
                ShortestOffMin = oven.ShortestOffMin == 0 ? (int?)null : oven.ShortestOffMin,
                OpenMin = oven.Openings.Count == 1 ? oven.OpenMin : (int?)null,
                CloseMin = oven.Openings.Count == 1 ? oven.CloseMin : (int?)null,
                Openings = oven.Openings.Count == 1 ? null : oven.Openings,
            }),
            Bakes = problem.Bakes.Select(bake => new
            {
                bake.Id,
                bake.Trays,
                bake.Stages,
                bake.ReleaseMin,
                bake.DueMin,
                bake.EarliestOutMin,
                bake.Ovens,
                Place = bake.OnFloor ? Floor : null,
                Pan = bake.Pan is { } need ? new { Id = need.PanId, need.BeforeMin, need.AfterMin, Since = need.Since.Count == 0 ? null : need.Since, Until = need.Until.Count == 0 ? null : need.Until } : null,
                NotIn = bake.NotIn.Count == 0 ? null : bake.NotIn,
                NotOut = bake.NotOut.Count == 0 ? null : bake.NotOut,
                After = bake.After.Select(after => new { Bake = after.BakeId, after.MinLagMin, after.MaxLagMin, after.ByTray }),
            }),
            Running = problem.Running.Count == 0 ? null : problem.Running.Select(tray => new
            {
                Bake = tray.BakeId,
                tray.Tray,
                Stages = tray.Stages.Select(stage => new { Oven = stage.OvenId, stage.StartMin, stage.EndMin }),
            }),
            Standing = problem.Standing.Count + problem.StandingPans.Count == 0 ? null : new
            {
                Trays = problem.Standing.Select(tray => new { Oven = tray.OvenId, tray.StartMin, tray.EndMin, tray.Settings, Place = tray.OnFloor ? Floor : null }),
                Pans = problem.StandingPans.Select(hold => new { Id = hold.PanId, hold.FromMin, hold.ToMin, hold.Count }),
            },
        },
        WithoutNulls);

    /// <summary>A temperature, or null that is written: an oven is off only where somebody says so.</summary>
    private static int? Celsius(BakeFileChecks checks, string field, JsonElement written)
    {
        switch (written.ValueKind)
        {
            case JsonValueKind.Null: return null;
            case JsonValueKind.Number when written.TryGetDecimal(out var celsius): return checks.Whole(field, celsius);
            default:
                checks.Add(field, "a whole number is required, or null for off");
                return null;
        }
    }

    private static BakedTray Tray(BakeFileChecks checks, string at, WrittenTray written) => new(
        checks.Text($"{at}.bake", written.Bake),
        checks.Whole($"{at}.tray", written.Tray),
        checks.Each($"{at}.stages", written.Stages, stage => stage.Oven, (place, stage) => new BakedStage(
            checks.Text($"{place}.oven", stage.Oven), checks.Whole($"{place}.startMin", stage.StartMin), checks.Whole($"{place}.endMin", stage.EndMin))));

    // A plan without figures is read all the same; the checker says which are missing.
    private static Dictionary<string, decimal> Figures(IReadOnlyDictionary<string, JsonElement>? stated)
    {
        var figures = new Dictionary<string, decimal>(StringComparer.Ordinal);
        foreach (var (name, figure) in stated ?? new Dictionary<string, JsonElement>())
            if (figure.ValueKind == JsonValueKind.Number && figure.TryGetDecimal(out var value)) figures[name] = value;
        return figures;
    }
}

/// <summary>A plan as it stands in a file, with the figures it claims.</summary>
/// <param name="Settings">Every change of an oven's setting.</param>
/// <param name="Trays">Every tray that is baked.</param>
/// <param name="Unplaced">Every tray that is not.</param>
/// <param name="Cost">Figures claimed under "cost", by name.</param>
/// <param name="LowerBound">Figures claimed under "lowerBound", by name.</param>
public sealed record StatedBakePlan(
    IReadOnlyList<OvenSetting> Settings,
    IReadOnlyList<BakedTray> Trays,
    IReadOnlyList<UnplacedTray> Unplaced,
    IReadOnlyDictionary<string, decimal> Cost,
    IReadOnlyDictionary<string, decimal> LowerBound);
