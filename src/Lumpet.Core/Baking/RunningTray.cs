namespace Lumpet.Core.Baking;

/// <summary>A tray that is in an oven when the horizon starts, or that was baked before. What it has behind it stands as it is.</summary>
/// <param name="BakeId">Its bake.</param>
/// <param name="Tray">Its number in the bake, from 1.</param>
/// <param name="Stages">Its stages as far as they have begun, each at minute 0 or before.</param>
public sealed record RunningTray(string BakeId, int Tray, IReadOnlyList<RunningStage> Stages);

/// <summary>A stage that has begun.</summary>
/// <param name="OvenId">The oven.</param>
/// <param name="StartMin">When it began; at most 0.</param>
/// <param name="EndMin">When it ended or is to end; null in the last of them where the plan may still choose it.</param>
public sealed record RunningStage(string OvenId, int StartMin, int? EndMin);
