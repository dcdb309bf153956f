namespace Lumpet.Core.DayPlan;

/// <summary>When each node of a parcel is done. Minutes; index as in the graph.</summary>
/// <param name="Start">First minute of each node.</param>
/// <param name="End">Minute after the last of each node.</param>
/// <param name="Misfits">What does not fit, empty when all is well.</param>
internal sealed record ParcelTimes(int[] Start, int[] End, IReadOnlyList<Misfit> Misfits);

/// <summary>Work that cannot be done when a bake wants it.</summary>
/// <param name="Bake">Index of the bake that would have to come later.</param>
/// <param name="Node">Index of the work.</param>
/// <param name="Short">By how many minutes it does not fit, where that can be said; else 0.</param>
/// <param name="Why">What binds, in plain words.</param>
internal sealed record Misfit(int Bake, int Node, int Short, PlanText Why);
