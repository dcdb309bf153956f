namespace Lumpet.Core.Baking.Planning;

/// <summary>An oven filled anew from the stays of a whole plan: it takes them only where they hold together.</summary>
internal sealed partial class OvenTimeline
{
    private readonly bool[] isOwn;
    private readonly bool[] isUnheld;
    private readonly List<(int Region, int From, int To, bool IsHeld)> runs = [];

    /// <summary>Takes everything out that may be moved and puts other stays in, all at once.</summary>
    /// <param name="stays">The stays, in any order, each with the temperature of its stages and whether it is on the floor.</param>
    /// <param name="unheld">Filled with the numbers of stays whose setting is no longer the temperature of anything baked while it is in force.</param>
    /// <returns>False where they do not hold together: the oven is empty then, and must be filled before it is used.</returns>
    public bool Refill(IReadOnlyList<OvenStay> stays, List<int> unheld)
    {
        Array.Fill(settings, Undecided);
        Array.Clear(trays);
        Array.Clear(onFloor);
        Array.Clear(entering);
        Array.Clear(isOwn);
        Array.Clear(turns);
        regions.Clear();
        Door.Clear();
        var holds = Fill(standing) && Fill(stays) && FindRegions() && BeginAsSet(standing) && BeginAsSet(stays);
        if (!holds) Empty();
        else
        {
            FindUnheld(stays, unheld);
            foreach (var (visit, _, _) in standing) Door.Put(visit);
            foreach (var (visit, _, _) in stays) Door.Put(visit);
        }

        Reckon();
        return holds;
    }

    private void Empty()
    {
        Array.Fill(settings, Undecided);
        Array.Clear(trays);
        Array.Clear(onFloor);
        Array.Clear(entering);
        regions.Clear();
    }

    private bool Fill(IReadOnlyList<OvenStay> stays)
    {
        foreach (var (visit, temperatures, floor) in stays)
        {
            if (visit.Start < OpenMin || visit.End > CloseMin || !IsOpenBetween(visit.Start, visit.End - 1)) return false;
            if (!visit.IsRunning) entering[visit.Start]++;
            var stage = 0;
            for (var offset = 0; offset < visit.Settings.Length; offset++)
            {
                var (minute, setting) = (visit.Start + offset, visit.Settings[offset]);
                if (minute >= visit.StageEnds[stage]) stage++;
                if (settings[minute] != Undecided && settings[minute] != setting) return false;
                settings[minute] = setting;
                // What is set when the horizon starts needs no reason any more.
                if (setting == temperatures[visit.FirstStage + stage] || (minute == 0 && setting == Oven.StartSettingC)) isOwn[minute] = true;
                if (Oven.TakesFloor(floor) ? ++onFloor[minute] > Oven.FloorPlaces : ++trays[minute] > Oven.Shelves) return false;
            }
        }

        return true;
    }

    /// <summary>Runs of decided minutes; false where a chamber cannot get to where one begins.</summary>
    private bool FindRegions()
    {
        OvenRegion? before = null;
        for (var minute = OpenMin; minute < CloseMin; minute++)
        {
            if (!IsBaking(minute)) continue;
            var (start, now, changes) = (minute, StartOf(minute, settings[minute]), 0);
            for (; minute < CloseMin && IsBaking(minute); minute++)
            {
                chamber[minute] = now;
                if (minute > start && settings[minute] != settings[minute - 1]) changes++;
                now = StepAt(minute, now, settings[minute]);
            }

            var region = new OvenRegion(start, minute, settings[start], settings[minute - 1], changes, now);
            if (GapOnMinutes(before, start, settings[start]) < 0) return false;
            regions.Add(region);
            before = region;
        }

        return true;
    }

    /// <summary>Whether the chamber is at its setting where trays are put in.</summary>
    private bool BeginAsSet(IReadOnlyList<OvenStay> stays)
    {
        foreach (var (visit, _, _) in stays)
            if (!visit.IsRunning && chamber[visit.Start] != settings[visit.Start]) return false;
        return true;
    }

    private bool IsBaking(int minute) => trays[minute] > 0 || onFloor[minute] > 0;

    /// <summary>
    /// Stays with a minute in a run of one setting that is the temperature of no stage in it. Where the same is set in the
    /// stretch before or after, and is somebody's there, the oven stays on between them: then it is one run.
    /// </summary>
    private void FindUnheld(IReadOnlyList<OvenStay> stays, List<int> unheld)
    {
        var held = true;
        runs.Clear();
        for (var at = 0; at < regions.Count; at++)
            for (var from = regions[at].Start; from < regions[at].End;)
            {
                var (to, isHeld) = (from, false);
                for (; to < regions[at].End && settings[to] == settings[from]; to++) isHeld |= isOwn[to];
                runs.Add((at, from, to, isHeld));
                from = to;
            }

        for (var run = 0; run < runs.Count; run++)
        {
            if (runs[run].IsHeld || IsKept(run, 1) || IsKept(run, -1)) continue;
            held = false;
            // Marked for those that lie in it.
            Array.Fill(isUnheld, true, runs[run].From, runs[run].To - runs[run].From);
        }

        if (held) return;
        for (var at = 0; at < stays.Count; at++)
            if (isUnheld.AsSpan(stays[at].Visit.Start, stays[at].Visit.Settings.Length).Contains(true)) unheld.Add(at);
        Array.Clear(isUnheld);
    }

    /// <summary>Keeps the oven on from a run to the nearest of the same setting, before or after it, that is held; false where there is none.</summary>
    private bool IsKept(int run, int way)
    {
        var other = run;
        while (true)
        {
            var (before, next) = way > 0 ? (other, other + 1) : (other - 1, other);
            if (before < 0 || next >= runs.Count || settings[runs[before].From] != settings[runs[next].From] || runs[before].Region == runs[next].Region
                || !IsOpenBetween(runs[before].To, runs[next].From)) return false;
            other += way;
            if (runs[other].IsHeld) break;
        }

        for (var at = Math.Min(run, other); at < Math.Max(run, other); at++)
            regions[runs[at].Region] = regions[runs[at].Region] with { StaysOn = true };
        return true;
    }
}
