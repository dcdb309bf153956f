namespace Lumpet.Core.DayPlan;

/// <summary>Why a task is when it is.</summary>
/// <param name="Why">In words.</param>
/// <param name="WaitsFor">Tasks that come right before it.</param>
/// <param name="WaitedBy">Tasks that come right after it.</param>
/// <param name="SlipMin">By how many minutes it can end later while nothing else moves; below 0 where it is late already.</param>
/// <param name="SlipEnds">What then would be touched.</param>
public sealed record TaskReason(
    PlanText Why, IReadOnlyList<TaskLink> WaitsFor, IReadOnlyList<TaskLink> WaitedBy, int SlipMin, PlanText SlipEnds);

/// <summary>One task next to another.</summary>
/// <param name="TaskId">The other task.</param>
/// <param name="GapMin">Minutes between them.</param>
/// <param name="LeastMin">Minutes that must lie between them.</param>
public sealed record TaskLink(string TaskId, int GapMin, int LeastMin);
