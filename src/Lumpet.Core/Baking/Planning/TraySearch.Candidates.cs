namespace Lumpet.Core.Baking.Planning;

/// <summary>The minutes at which it is worth having a tray go in.</summary>
internal sealed partial class TraySearch
{
    private readonly bool[] isCandidate;
    // Whether an oven does something at a minute, or when a tray that leaves at it could enter another.
    private readonly bool[] turns;
    private readonly List<int> candidates = [];
    private int filled;
    private int turnsOf = -1;
    private readonly List<int> offsets = [];
    private int breadth;

    // More would be a look at every minute there is.
    private const int MostBreadth = 5;

    /// <summary>The candidates in order of time, but for those at which every oven is closed or full before the first stage could end.</summary>
    private void Gather(int latest)
    {
        candidates.Clear();
        var least = bake.Stages[0].MinMin;
        for (var minute = window.StartFrom; minute <= latest; minute++)
            if (isCandidate[minute] && HasShelf(minute, least) && !(Sparse is { } one && one.Dice.In100(one.Skipped))) candidates.Add(minute);
    }

    private bool HasShelf(int minute, int minutes)
    {
        foreach (var timeline in ovens)
            if (minute >= timeline.OpenMin && minute < timeline.CloseMin && timeline.FullFrom(minute, bake.OnFloor) - minute >= minutes) return true;
        return false;
    }

    private void MarkTurns()
    {
        Array.Clear(turns);
        foreach (var timeline in ovens)
            for (var minute = timeline.OpenMin; minute <= timeline.CloseMin; minute++)
            {
                if (!timeline.TurnsAt(minute)) continue;
                turns[minute] = true;
                if (minute >= problem.TransferMin) turns[minute - problem.TransferMin] = true;
            }

        turnsOf = filled;
    }

    /// <summary>Says that a tray was put in: what was known of the ovens is known no longer.</summary>
    public void Filled() => filled++;

    /// <summary>
    /// Marks the minutes worth entering at. Between them cost goes evenly up or down with the minute, so that the best one
    /// is where the tray's way meets something: a bound of its window, or what ovens are already doing.
    /// </summary>
    private void MarkCandidates(int latest, int least)
    {
        Array.Clear(isCandidate);
        // While a door recovers, or the hands are busy, the best minute is a little beside what it would be.
        breadth = LooksClosely ? Math.Min(MostBreadth, ovens.Max(timeline => timeline.RecoveryMin + (2 * timeline.Door.ActionMin))) : 0;
        Offsets();
        Mark(window.StartFrom, latest);
        Mark(latest, latest);
        foreach (var bound in (ReadOnlySpan<int>)[window.Due, window.LatestForFollowers, window.EndFrom, window.EndTo])
        {
            Mark(bound - least, latest);
            Mark(bound - mostFrom[0], latest);
        }

        foreach (var (enter, leave) in window.Pans?.Edges() ?? [])
        {
            Mark(enter, latest);
            MarkAround(leave, latest);
        }

        foreach (var pause in window.NotIn)
        {
            Mark(pause.FromMin - 1, latest);
            Mark(pause.ToMin + 1, latest);
        }

        foreach (var pause in window.NotOut)
        {
            MarkAround(pause.FromMin - 1, latest);
            MarkAround(pause.ToMin + 1, latest);
        }

        foreach (var timeline in ovens)
        {
            foreach (var stage in bake.Stages)
                foreach (var first in timeline.FirstAt(stage.TempC)) MarkAround(first, latest);
            foreach (var opening in timeline.Oven.Openings) MarkAround(Math.Min(opening.ToMin, timeline.CloseMin), latest);
            foreach (var minute in timeline.Events)
            {
                MarkAround(minute, latest);
                // So that what its door loses is regained when another tray comes.
                if (problem.OpenCPerTray > 0) MarkAround(minute - timeline.RecoveryMin, latest);
                if (doors.HandsBind) MarkHands(timeline.Door, minute, latest);
                if (!doors.ClashesAreCounted) continue;
                // A minute beside another's, so that one pair of hands does both.
                MarkAround(minute - 1, latest);
                MarkAround(minute + 1, latest);
            }

            foreach (var region in timeline.Regions)
            {
                foreach (var stage in bake.Stages)
                {
                    // As soon after a region as the chamber is there, and as late before one as it still gets there.
                    MarkAround(region.End + timeline.MinutesBetween(region.ChamberAtEnd, stage.TempC), latest);
                    MarkAround(region.Start - timeline.MinutesBetween(stage.TempC, region.FirstSetting), latest);
                }
            }
        }
    }

    /// <summary>As soon as the hands have done what they do at a minute, and as late as they are through before it.</summary>
    private void MarkHands(OvenDoors.Door door, int minute, int latest)
    {
        MarkAround(door.HandsUntil(minute), latest);
        foreach (var timeline in ovens)
            if (timeline.Door.ActionMin > 0) MarkAround(minute - timeline.Door.ActionMin, latest);
    }

    /// <summary>From entering to each stage's end, and to each entry after a move: all stages at their least, or all at their most.</summary>
    private void Offsets()
    {
        offsets.Clear();
        offsets.Add(0);
        var (shortest, longest, moved) = (0, 0, 0);
        foreach (var stage in bake.Stages)
        {
            (shortest, longest) = (shortest + stage.MinMin, longest + stage.MaxMin);
            offsets.Add(shortest);
            if (longest != shortest) offsets.Add(longest);
            if (ovens.Length == 1) continue;
            moved += problem.TransferMin;
            offsets.Add(shortest + moved);
            if (longest != shortest) offsets.Add(longest + moved);
        }
    }

    private void MarkAround(int minute, int latest)
    {
        foreach (var offset in offsets)
            for (var beside = -breadth; beside <= breadth; beside++) Mark(minute - offset + beside, latest);
    }

    private void Mark(int minute, int latest)
    {
        if (minute >= window.StartFrom && minute <= latest) isCandidate[minute] = true;
    }
}
