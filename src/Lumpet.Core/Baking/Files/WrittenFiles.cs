using System.Text.Json;

namespace Lumpet.Core.Baking.Files;

// Bake files as they are written, before anything is checked: every member may be missing, and a number may be any.
internal sealed record WrittenProblem(string? Format, decimal? ToleranceC, decimal? TransferMin, IReadOnlyList<WrittenOven?>? Ovens, IReadOnlyList<WrittenBake?>? Bakes, WrittenWeights? Weights, IReadOnlyList<WrittenTray?>? Running, decimal? OpenCPerTray, IReadOnlyList<WrittenPanStock?>? Pans, WrittenStanding? Standing);

internal sealed record WrittenStanding(IReadOnlyList<WrittenStandingTray?>? Trays, IReadOnlyList<WrittenStandingPans?>? Pans);

internal sealed record WrittenStandingTray(string? Oven, decimal? StartMin, decimal? EndMin, IReadOnlyList<WrittenStandingSetting?>? Settings, string? Place);

internal sealed record WrittenStandingSetting(decimal? AtMin, decimal? TempC);

internal sealed record WrittenStandingPans(string? Id, decimal? FromMin, decimal? ToMin, decimal? Count);

internal sealed record WrittenPanStock(string? Id, decimal? Count);

internal sealed record WrittenWeights(decimal? OvenOnMin, decimal? SettingChange, decimal? EarlyPieMin, decimal? DoorOpening, decimal? DoorClash);

internal sealed record WrittenOven(
    string? Id, decimal? Shelves, decimal? MinC, decimal? MaxC, decimal? HeatCPerMin, decimal? CoolCPerMin, decimal? StartC, decimal? OpenMin, decimal? CloseMin, IReadOnlyList<WrittenOpening?>? Openings, decimal? FloorPlaces, decimal? StartSettingC, decimal? ShortestOffMin, decimal? ActionMin);

internal sealed record WrittenOpening(decimal? FromMin, decimal? ToMin);

internal sealed record WrittenBake(
    string? Id,
    IReadOnlyList<decimal?>? Trays,
    IReadOnlyList<WrittenStage?>? Stages,
    decimal? ReleaseMin,
    decimal? DueMin,
    decimal? EarliestOutMin,
    IReadOnlyList<string?>? Ovens,
    IReadOnlyList<WrittenAfter?>? After,
    bool? OnFloor,
    string? Place,
    WrittenPan? Pan,
    IReadOnlyList<WrittenOpening?>? NotIn,
    IReadOnlyList<WrittenOpening?>? NotOut);

internal sealed record WrittenPan(string? Id, decimal? BeforeMin, decimal? AfterMin, IReadOnlyList<WrittenPansSince?>? Since, IReadOnlyList<WrittenPansUntil?>? Until);

internal sealed record WrittenPansSince(decimal? ByMin, decimal? SinceMin);

internal sealed record WrittenPansUntil(decimal? FromMin, decimal? UntilMin);

internal sealed record WrittenStage(decimal? TempC, decimal? MinMin, decimal? MaxMin);

internal sealed record WrittenAfter(string? Bake, decimal? MinLagMin, decimal? MaxLagMin, bool? ByTray);

internal sealed record WrittenPlan(
    string? Format,
    IReadOnlyList<WrittenSetting?>? Settings,
    IReadOnlyList<WrittenTray?>? Trays,
    IReadOnlyList<WrittenUnplaced?>? Unplaced,
    IReadOnlyDictionary<string, JsonElement>? Cost,
    IReadOnlyDictionary<string, JsonElement>? LowerBound);

// What is not written is no null: off is said in so many words.
internal sealed record WrittenSetting(string? Oven, decimal? AtMin, JsonElement TempC);

internal sealed record WrittenTray(string? Bake, decimal? Tray, IReadOnlyList<WrittenBaked?>? Stages);

internal sealed record WrittenBaked(string? Oven, decimal? StartMin, decimal? EndMin);

internal sealed record WrittenUnplaced(string? Bake, decimal? Tray, string? Reason);
