namespace Lumpet.Core.DayPlan;

/// <summary>How long someone waits for a plan. The clock is the caller's; here it is only asked whether it has run out.</summary>
/// <param name="Enough">The first whole plan will do from now on: nothing more is tried to better it.</param>
/// <param name="AtOnce">Whatever there is will do: what is being planned is left as it stands.</param>
public readonly record struct Patience(CancellationToken Enough, CancellationToken AtOnce)
{
    /// <summary>Whether a plan is to be answered as soon as there is one.</summary>
    public bool IsOver => Enough.IsCancellationRequested || AtOnce.IsCancellationRequested;
}
