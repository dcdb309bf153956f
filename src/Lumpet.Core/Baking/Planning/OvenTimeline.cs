namespace Lumpet.Core.Baking.Planning;

/// <summary>
/// One oven while a plan is built. Minutes at which a tray is inside are decided: they have a setting. Runs of decided
/// minutes are regions; between regions the oven is kept on or switched off and heated again, whichever is cheaper.
/// Every region begins with a tray entering, so its chamber is at its first setting there; what is inserted before a
/// region therefore never changes what happens in it.
/// </summary>
internal sealed partial class OvenTimeline
{
    /// <summary>A minute without a setting.</summary>
    public const int Undecided = int.MinValue;

    private const int RoomC = 25;

    private readonly int[] settings;
    private readonly int[] chamber;
    private readonly int[] trays;
    private readonly int[] onFloor;
    private readonly bool[] turns;
    private readonly int[] isOn;
    private readonly int[] fullFrom;
    private readonly int[] floorFullFrom;
    private readonly int[] onBefore;
    private readonly int[] changesBefore;
    private readonly OvenOpening?[] openings;
    private readonly List<int> events = [];
    private readonly List<OvenRegion> regions = [];
    // Cost of all regions before each, gaps included; one more entry than there are regions.
    private long[] costBefore = [0];

    private readonly BakeWeights weights;
    private readonly int openCPerTray;
    // Trays that are put in, by minute.
    private readonly int[] entering;
    // What other plans have put in for good.
    private readonly OvenStay[] standing;

    /// <summary>An empty oven of a problem over minutes 0 to <paramref name="horizonMin"/>.</summary>
    public OvenTimeline(BakeProblem problem, BakeOven oven, int horizonMin, OvenDoors doors)
    {
        (Oven, weights, Door, openCPerTray) = (oven, problem.Weights, doors.Of(oven), problem.OpenCPerTray);
        entering = new int[horizonMin + 1];
        OpenMin = Math.Max(0, oven.OpenMin);
        CloseMin = Math.Min(horizonMin, oven.CloseMin);
        settings = new int[horizonMin + 1];
        chamber = new int[horizonMin + 1];
        trays = new int[horizonMin + 1];
        onFloor = new int[horizonMin + 1];
        floorFullFrom = new int[horizonMin + 1];
        openings = new OvenOpening?[horizonMin + 1];
        foreach (var opening in oven.Openings)
            for (var minute = Math.Max(0, opening.FromMin); minute < Math.Min(horizonMin, opening.ToMin); minute++) openings[minute] = opening;
        turns = new bool[horizonMin + 1];
        isOn = new int[horizonMin + 1];
        isOwn = new bool[horizonMin + 1];
        isUnheld = new bool[horizonMin + 1];
        fullFrom = new int[horizonMin + 1];
        onBefore = new int[horizonMin + 2];
        changesBefore = new int[horizonMin + 1];
        Array.Fill(settings, Undecided);
        MarkFull(0, horizonMin);
        standing = [.. problem.Standing.Where(tray => tray.OvenId == oven.Id).Select(OvenStay.Of)];
        if (standing.Length > 0) Refill([], []);
    }

    private OvenTimeline(OvenTimeline other)
    {
        (Oven, weights, Door, OpenMin, CloseMin) = (other.Oven, other.weights, other.Door, other.OpenMin, other.CloseMin);
        (openCPerTray, entering, standing) = (other.openCPerTray, [.. other.entering], other.standing);
        (settings, chamber, trays, onFloor) = ([.. other.settings], [.. other.chamber], [.. other.trays], [.. other.onFloor]);
        (turns, isOn, fullFrom, floorFullFrom) = ([.. other.turns], [.. other.isOn], [.. other.fullFrom], [.. other.floorFullFrom]);
        (onBefore, changesBefore, openings) = ([.. other.onBefore], [.. other.changesBefore], other.openings);
        (isOwn, isUnheld) = (new bool[settings.Length], new bool[settings.Length]);
        (events, regions, costBefore) = ([.. other.events], [.. other.regions], [.. other.costBefore]);
    }

    /// <summary>The oven.</summary>
    public BakeOven Oven { get; }

    /// <summary>Its door.</summary>
    public OvenDoors.Door Door { get; }

    /// <summary>First minute at which it may be on.</summary>
    public int OpenMin { get; }

    /// <summary>Minute by which it is off.</summary>
    public int CloseMin { get; }

    /// <summary>Cost of oven time and setting changes so far; what is done at the door is not in it.</summary>
    public long Cost => costBefore[^1];

    /// <summary>Minutes at which something begins or ends here: a setting, a region, a tray's stay; or is reached by the chamber.</summary>
    public IReadOnlyList<int> Events => events;

    /// <summary>Regions in order of time.</summary>
    public IReadOnlyList<OvenRegion> Regions => regions;

    /// <summary>The setting decided for a minute, or <see cref="Undecided"/>.</summary>
    public int SettingAt(int minute) => settings[minute];

    /// <summary>The chamber at a decided minute.</summary>
    public int ChamberAt(int minute) => chamber[minute];

    /// <summary>Whether the oven is open at a minute, and a shelf, or a place on the floor, is free.</summary>
    public bool HasRoomAt(int minute, bool floor) => openings[minute] is not null
        && (Oven.TakesFloor(floor) ? onFloor[minute] < Oven.FloorPlaces : trays[minute] < Oven.Shelves);

    /// <summary>The first minute from one on at which no shelf, or no place on the floor, is free or the oven is closed.</summary>
    public int FullFrom(int minute, bool floor) => floor ? floorFullFrom[minute] : fullFrom[minute];

    /// <summary>Whether something changes at a minute: a setting begins or ends, or the chamber arrives at it.</summary>
    public bool TurnsAt(int minute) => minute < turns.Length && turns[minute];

    /// <summary>For how many minutes of a stretch the oven is on already, heating up included.</summary>
    public int OnIn(int from, int to) =>
        onBefore[Math.Clamp(to, 0, onBefore.Length - 1)] - onBefore[Math.Clamp(from, 0, onBefore.Length - 1)];

    /// <summary>Whether a temperature can be set.</summary>
    public bool Reaches(int celsius) => celsius >= Oven.MinC && celsius <= Oven.MaxC;

    /// <summary>The chamber one minute on, under a setting.</summary>
    public int Step(int now, int setting) =>
        now < setting ? Math.Min(setting, now + Oven.HeatCPerMin) : Math.Max(setting, now - Oven.CoolCPerMin);

    /// <summary>The chamber so many minutes on, under a setting, where no door is opened meanwhile.</summary>
    public int Step(int now, int setting, int minutes) => (int)(now < setting ? Math.Min(setting, now + ((long)Oven.HeatCPerMin * minutes)) : Math.Max(setting, now - ((long)Oven.CoolCPerMin * minutes)));

    /// <summary>The minute up to which what is decided is the same as at another, at most a last.</summary>
    public int SameUntil(int minute, int last) =>
        settings.AsSpan(minute, last - minute).IndexOfAnyExcept(settings[minute]) is >= 0 and var other ? minute + other : last;

    /// <summary>The chamber one minute on, under a setting, with what is put in at the minute and so many trays more.</summary>
    public int StepAt(int minute, int now, int setting, int more = 0)
    {
        if (openCPerTray > 0 && entering[minute] + more is > 0 and var trays) now = BakeOven.Opened(now, trays, openCPerTray);
        return Step(now, setting);
    }

    /// <summary>Whether a door that is opened for a tray lets heat out.</summary>
    public bool DoorLosesHeat => openCPerTray > 0;

    /// <summary>Whether somebody's entering at a minute would be spoiled by another chamber than the setting.</summary>
    public bool Spoils(int minute, int chamber, int setting) => openCPerTray > 0 && chamber != setting && entering[minute] > 0;

    /// <summary>For how long the door that is opened for one tray keeps others out.</summary>
    public int RecoveryMin => (openCPerTray + Oven.HeatCPerMin - 1) / Oven.HeatCPerMin;

    /// <summary>Minutes that the chamber takes from one temperature to another.</summary>
    public int MinutesBetween(int from, int to)
    {
        var (degrees, rate) = from <= to ? (to - from, Oven.HeatCPerMin) : (from - to, Oven.CoolCPerMin);
        return (degrees + rate - 1) / rate;
    }

    /// <summary>The first minute from which the oven may stand at a temperature, in each stretch of time in which it is open.</summary>
    public IEnumerable<int> FirstAt(int celsius)
    {
        foreach (var opening in Oven.Openings)
        {
            if (opening.FromMin >= CloseMin) yield break;
            var from = Math.Max(0, opening.FromMin);
            var (end, left) = RegionBefore(from) is { } before ? (before.End, before.ChamberAtEnd) : (0, Oven.StartC);
            yield return from + MinutesBetween(Cooled(left, from - end), celsius);
        }
    }

    /// <summary>Whether the oven may stay on from one minute up to another: it is not closed in between.</summary>
    private bool IsOpenBetween(int from, int until) => openings[until] is { } opening && opening.FromMin <= from;

    private int Cooled(int celsius, int minutes) => (int)Math.Max(Math.Min(RoomC, celsius), celsius - ((long)Oven.CoolCPerMin * minutes));

    /// <summary>The region that ends at or before a minute and after which nothing is decided up to it, or null.</summary>
    public OvenRegion? RegionBefore(int minute)
    {
        var (ended, rest) = (0, regions.Count);
        while (ended < rest)
        {
            var middle = (ended + rest) / 2;
            if (regions[middle].End <= minute) ended = middle + 1;
            else rest = middle;
        }

        return ended > 0 ? regions[ended - 1] : null;
    }

    /// <summary>Whether the oven can be at a temperature at a minute that nothing has decided yet.</summary>
    public bool CanBeAt(int celsius, int minute) => (minute > 0 || Oven.StartC == celsius) && IsReached(RegionBefore(minute), minute, celsius);

    /// <summary>The oven's cost with a visit put in, or -1 where what comes after it could not be reached in time.</summary>
    /// <param name="start">First minute of the visit.</param>
    /// <param name="visit">Setting of each of its minutes.</param>
    /// <param name="chamberAtEnd">The chamber when the tray leaves.</param>
    public long CostWith(int start, ReadOnlySpan<int> visit, int chamberAtEnd)
    {
        var (first, after) = Touched(start, start + visit.Length);
        // A region that begins as the tray leaves still begins with a tray entering.
        if (after > first && regions[after - 1].Start == start + visit.Length && regions[after - 1].FirstSetting != chamberAtEnd) return -1;
        OvenRegion? before = first > 0 ? regions[first - 1] : null;
        if (after > first && Settled(regions[after - 1], start + visit.Length, chamberAtEnd) is null) return -1;
        var merged = Merge(first, after, start, visit, chamberAtEnd);
        var ofMerged = CostOf(before, merged);
        if (ofMerged < 0) return -1;
        if (after == regions.Count) return costBefore[first] + ofMerged;
        var ofNext = CostOf(merged, regions[after]);
        return ofNext < 0 ? -1 : costBefore[first] + ofMerged + ofNext + Cost - costBefore[after + 1];
    }

    /// <summary>Puts a visit in.</summary>
    public void Put(OvenVisit visit, bool floor)
    {
        Lay(visit, floor);
        Door.Put(visit);
    }

    /// <summary>The same oven with one more visit, beside this one; its door stays as it is.</summary>
    public OvenTimeline With(OvenVisit visit, bool floor)
    {
        var other = new OvenTimeline(this);
        other.Lay(visit, floor);
        return other;
    }

    private void Lay(OvenVisit visit, bool floor)
    {
        var (first, after) = Touched(visit.Start, visit.End);
        var merged = Merge(first, after, visit.Start, visit.Settings, visit.ChamberAtEnd);
        regions.RemoveRange(first, after - first);
        regions.Insert(first, merged);
        if (!visit.IsRunning) entering[visit.Start]++;
        for (var offset = 0; offset < visit.Settings.Length; offset++)
        {
            settings[visit.Start + offset] = visit.Settings[offset];
            (Oven.TakesFloor(floor) ? onFloor : trays)[visit.Start + offset]++;
        }

        ReckonAround(merged);
    }

    /// <summary>Whether a tray may go exactly where another went: a shelf, or a place on the floor, is free for the whole stay.</summary>
    public bool HasRoom(int start, int end, bool floor) => FullFrom(start, floor) >= end;

    private void Reckon()
    {
        foreach (var region in regions) ReckonRegion(region);
        MarkFull(0, fullFrom.Length - 1);
        ReckonRest();
    }

    /// <summary>Reckons anew what one region and what lies around it has changed.</summary>
    private void ReckonAround(OvenRegion region)
    {
        ReckonRegion(region);
        MarkFull(region.Start, region.End - 1);
        ReckonRest();
    }

    private void ReckonRegion(OvenRegion region)
    {
        var (now, changes) = (StartOf(region.Start, region.FirstSetting), 0);
        for (var minute = region.Start; minute < region.End; minute++)
        {
            chamber[minute] = now;
            var setting = settings[minute];
            if (minute > region.Start)
            {
                if (setting != settings[minute - 1]) changes++;
                turns[minute] = setting != settings[minute - 1] || (now == setting && chamber[minute - 1] != settings[minute - 1]);
            }

            // Only differences within a region are asked for.
            changesBefore[minute] = changes;
            now = StepAt(minute, now, setting);
        }

        turns[region.Start] = true;
        if (region.End < turns.Length) turns[region.End] = true;
    }

    /// <summary>The chamber where a region begins: at its first setting, but with trays inside at minute 0 wherever it is.</summary>
    private int StartOf(int start, int setting) => start == 0 ? Oven.StartC : setting;

    private void ReckonRest()
    {
        CountOn();
        events.Clear();
        foreach (var region in regions)
        {
            for (var minute = Math.Max(1, region.Start); minute < region.End; minute++)
                if (turns[minute] || trays[minute] != trays[minute - 1] || onFloor[minute] != onFloor[minute - 1] || (openCPerTray > 0 && entering[minute] > 0)) events.Add(minute);
            if (region.End < turns.Length) events.Add(region.End);
        }

        costBefore = new long[regions.Count + 1];
        for (var index = 0; index < regions.Count; index++)
            costBefore[index + 1] = costBefore[index] + CostOf(index > 0 ? regions[index - 1] : null, regions[index]);
    }

    /// <summary>Marks from a minute down to another how long there is room, and below it as far as that changes.</summary>
    private void MarkFull(int from, int to)
    {
        var (next, nextOnFloor) = to + 1 < fullFrom.Length ? (fullFrom[to + 1], floorFullFrom[to + 1]) : (CloseMin, CloseMin);
        for (var minute = to; minute >= 0; minute--)
        {
            if (!HasRoomAt(minute, floor: false)) next = minute;
            if (!HasRoomAt(minute, floor: true)) nextOnFloor = minute;
            if (minute < from && fullFrom[minute] == next && floorFullFrom[minute] == nextOnFloor) return;
            (fullFrom[minute], floorFullFrom[minute]) = (next, nextOnFloor);
        }
    }

    private void CountOn()
    {
        Array.Clear(isOn);
        OvenRegion? before = null;
        foreach (var region in regions)
        {
            var (kept, from) = Gap(before, region.Start, region.FirstSetting) ?? (0, region.Start);
            if (before is { } done) Array.Fill(isOn, 1, done.End, kept);
            Array.Fill(isOn, 1, from, region.End - from);
            before = region;
        }

        var sum = 0;
        for (var minute = 0; minute < isOn.Length; minute++)
        {
            sum += isOn[minute];
            onBefore[minute + 1] = sum;
        }
    }

    /// <summary>The changes of setting that make this timeline, gaps resolved.</summary>
    public IEnumerable<OvenSetting> Settings()
    {
        var now = Oven.StartSettingC;
        foreach (var change in EachSetting())
        {
            if (change.TempC == now) continue;
            now = change.TempC;
            yield return change;
        }
    }

    private IEnumerable<OvenSetting> EachSetting()
    {
        OvenRegion? before = null;
        // It is on already, and for nothing where nothing is baked soon.
        if (Oven.StartSettingC is not null && (regions.Count == 0 || GapOnMinutes(null, regions[0].Start, regions[0].FirstSetting) < regions[0].Start)) yield return new OvenSetting(Oven.Id, 0, null);
        foreach (var region in regions)
        {
            var (kept, from) = Gap(before, region.Start, region.FirstSetting) ?? (0, region.Start);
            if (before is { } done && done.End + kept < from) yield return new OvenSetting(Oven.Id, done.End + kept, null);
            yield return new OvenSetting(Oven.Id, from, region.FirstSetting);
            for (var minute = region.Start; minute < region.End; minute++) yield return new OvenSetting(Oven.Id, minute, settings[minute]);
            before = region;
        }

        if (before is { } last) yield return new OvenSetting(Oven.Id, last.End, null);
    }

    /// <summary>The regions that a stay overlaps or touches: the first of them, and the first after them.</summary>
    private (int First, int After) Touched(int start, int end)
    {
        var first = 0;
        while (first < regions.Count && regions[first].End < start) first++;
        var after = first;
        while (after < regions.Count && regions[after].Start <= end) after++;
        return (first, after);
    }

    /// <summary>One region of a visit and all that it overlaps or touches.</summary>
    private OvenRegion Merge(int first, int after, int start, ReadOnlySpan<int> visit, int chamberAtEnd)
    {
        var end = start + visit.Length;
        var (from, to, leaving) = (start, end, chamberAtEnd);
        var (entered, left, staysOn) = (visit[0], visit[^1], false);
        var changes = 0;
        for (var minute = 1; minute < visit.Length; minute++)
            if (visit[minute] != visit[minute - 1]) changes++;
        if (after > first && regions[first].Start < start)
        {
            (from, entered) = (regions[first].Start, regions[first].FirstSetting);
            changes += changesBefore[start - 1] - changesBefore[from] + (visit[0] != settings[start - 1] ? 1 : 0);
        }

        if (after > first && regions[after - 1].End > end)
        {
            (to, left, leaving, staysOn) = (regions[after - 1].End, regions[after - 1].LastSetting, Settled(regions[after - 1], end, chamberAtEnd) ?? regions[after - 1].ChamberAtEnd, regions[after - 1].StaysOn);
            changes += changesBefore[to - 1] - changesBefore[end] + (visit[^1] != settings[end] ? 1 : 0);
        }

        return new OvenRegion(from, to, entered, left, changes, leaving) { StaysOn = staysOn };
    }
}
