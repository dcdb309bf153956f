namespace Lumpet.Core.Baking.Planning;

/// <summary>A tray's stay in one oven: consecutive stages, minute by minute.</summary>
/// <param name="Oven">Index of the oven.</param>
/// <param name="Start">First minute.</param>
/// <param name="Settings">Setting of each minute.</param>
/// <param name="StageEnds">End of each stage spent here.</param>
/// <param name="ChamberAtEnd">The chamber when the tray leaves.</param>
/// <param name="FirstStage">Number of the first stage spent here, from 0.</param>
internal sealed record OvenVisit(int Oven, int Start, int[] Settings, int[] StageEnds, int ChamberAtEnd, int FirstStage)
{
    /// <summary>Whether the tray is inside when the horizon starts, wherever the chamber is then.</summary>
    public bool IsRunning { get; init; }

    /// <summary>Minute after the last.</summary>
    public int End => Start + Settings.Length;

    /// <summary>The same stay, so many minutes later; below 0 for earlier.</summary>
    public OvenVisit Later(int minutes) => this with { Start = Start + minutes, StageEnds = [.. StageEnds.Select(end => end + minutes)] };
}

/// <summary>A way for a tray through its stages, and what it adds to the cost.</summary>
/// <param name="Visits">Its stays, in order.</param>
/// <param name="Cost">Tenths of a cost unit: oven time, changes, and being early or late.</param>
internal sealed record TrayPath(IReadOnlyList<OvenVisit> Visits, long Cost)
{
    /// <summary>The minute it enters its first oven.</summary>
    public int Start => Visits.Count > 0 ? Visits[0].Start : DoneMin;

    /// <summary>The minute it leaves its last oven.</summary>
    public int End => Visits.Count > 0 ? Visits[^1].End : DoneMin;

    /// <summary>When a tray without visits was done, before the horizon started.</summary>
    public int DoneMin { get; init; }

    /// <summary>Whether the tray is inside when the horizon starts, or done: nobody can go beside it.</summary>
    public bool HasBegun => Visits.Count == 0 || Visits[0].IsRunning;

    /// <summary>The same way, so many minutes later; below 0 for earlier. Its cost is not reckoned anew.</summary>
    public TrayPath Later(int minutes) => this with { Visits = [.. Visits.Select(visit => visit.Later(minutes))] };
}

/// <summary>When a tray may be baked, and when it should be.</summary>
/// <param name="StartFrom">First minute at which it may enter.</param>
/// <param name="StartTo">Last minute at which it may enter.</param>
/// <param name="EndFrom">First minute at which it may come out.</param>
/// <param name="EndTo">Last minute at which it may come out.</param>
/// <param name="Due">Minute by which it should be out.</param>
/// <param name="LatestForFollowers">Minute by which it must be out for what follows it to be in time.</param>
/// <param name="Pies">Pies on the tray.</param>
/// <param name="EarlyTenths">What a pie costs that is out a minute before it is due, in tenths.</param>
internal sealed record TrayWindow(
    int StartFrom, int StartTo, int EndFrom, int EndTo, int Due, int LatestForFollowers, int Pies, int EarlyTenths)
{
    /// <summary>What pans ask of it; null where they ask nothing.</summary>
    public PansInUse.PanWindow? Pans { get; init; }

    /// <summary>When it may not enter.</summary>
    public IReadOnlyList<DoorPause> NotIn { get; init; } = [];

    /// <summary>When it may not come out.</summary>
    public IReadOnlyList<DoorPause> NotOut { get; init; } = [];

    /// <summary>Cost, in tenths, of coming out at a minute.</summary>
    public long CostOfEnd(int end)
    {
        var late = Math.Max(0L, end - Math.Min(Due, LatestForFollowers));
        var early = Math.Max(0L, Due - end);
        return (BakeWeights.PerTardyPieMin * 10L * Pies * late) + (EarlyTenths * Pies * early);
    }
}
