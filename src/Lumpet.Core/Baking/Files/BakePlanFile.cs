using System.Text.Json;
using System.Text.Json.Serialization;

namespace Lumpet.Core.Baking.Files;

/// <summary>Reads and writes bake plans of the format "lumpet.bake-plan/1", and writes problems.</summary>
public static class BakePlanFile
{
    /// <summary>The format's name and version.</summary>
    public const string Format = "lumpet.bake-plan/1";

    private static readonly JsonSerializerOptions Layout =
        new() { WriteIndented = true, PropertyNamingPolicy = JsonNamingPolicy.CamelCase };

    // What is optional in a problem is left out where it says nothing; in a plan null means that an oven is off.
    private static readonly JsonSerializerOptions WithoutNulls = new(Layout) { DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull };

    /// <summary>Reads a plan from its JSON text. Its cost is read as stated, for the checker to compare.</summary>
    /// <exception cref="BakeFileException">Something is wrong; every fault names its field.</exception>
    public static StatedBakePlan Read(string text)
    {
        var faults = new List<BakeFileFault>();
        var root = JsonNode.Open(text, faults);
        if (root.Text("format") is not Format and var format) root.Fault("format", $"\"{Format}\" is required, not \"{format}\"");

        OvenSetting[] settings =
            [.. root.List("settings").Select(node => new OvenSetting(node.Text("oven"), node.Whole("atMin"), node.WholeOrNull("tempC")))];
        BakedTray[] trays = [.. root.List("trays").Select(Tray)];
        UnplacedTray[] unplaced =
            [.. root.List("unplaced").Select(node => new UnplacedTray(node.Text("bake"), node.Whole("tray"), node.Text("reason")))];
        var stated = new StatedBakePlan(settings, trays, unplaced, ReadFigures(text, "cost"), ReadFigures(text, "lowerBound"));
        return faults.Count == 0 ? stated : throw new BakeFileException(faults);
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
            Cost = new
            {
                plan.Cost.Total,
                plan.Cost.TardyPieMin,
                plan.Cost.OvenOnMin,
                plan.Cost.SettingChanges,
                plan.Cost.EarlyPieMin,
                plan.Cost.UnplacedPies,
            },
            plan.LowerBound,
        },
        Layout);

    /// <summary>The JSON text of a problem.</summary>
    public static string Write(BakeProblem problem) => JsonSerializer.Serialize(
        new
        {
            BakeProblemFile.Format,
            problem.ToleranceC,
            problem.TransferMin,
            problem.Ovens,
            Bakes = problem.Bakes.Select(bake => new
            {
                bake.Id,
                bake.Trays,
                bake.Stages,
                bake.ReleaseMin,
                bake.DueMin,
                bake.EarliestOutMin,
                bake.Ovens,
                After = bake.After.Select(after => new { Bake = after.BakeId, after.MinLagMin, after.MaxLagMin, after.ByTray }),
            }),
        },
        WithoutNulls);

    private static BakedTray Tray(JsonNode node) => new(
        node.Text("bake"),
        node.Whole("tray"),
        [.. node.List("stages").Select(stage => new BakedStage(stage.Text("oven"), stage.Whole("startMin"), stage.Whole("endMin")))]);

    // A plan without figures is read all the same; the checker says which are missing.
    private static Dictionary<string, decimal> ReadFigures(string text, string field)
    {
        using var document = JsonDocument.Parse(text);
        var figures = new Dictionary<string, decimal>(StringComparer.Ordinal);
        if (!document.RootElement.TryGetProperty(field, out var group) || group.ValueKind != JsonValueKind.Object) return figures;
        foreach (var figure in group.EnumerateObject())
            if (figure.Value.ValueKind == JsonValueKind.Number && figure.Value.TryGetDecimal(out var value)) figures[figure.Name] = value;
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
