namespace Lumpet.Core.Baking.Planning;

/// <summary>
/// One oven while a plan is built. Minutes at which a tray is inside are decided: they have a setting. Runs of decided
/// minutes are regions; between regions the oven is kept on or switched off and heated again, whichever is cheaper.
/// Every region begins with a tray entering, so its chamber is at its first setting there; what is inserted before a
/// region therefore never changes what happens in it.
/// </summary>
internal sealed class OvenTimeline
{
    /// <summary>A minute without a setting.</summary>
    public const int Undecided = int.MinValue;

    // Nobody switches an oven off to switch it on again within a few minutes (our own judgement: a quarter of an hour).
    private const int LeastOffMin = 15;
    private const int RoomC = 25;

    private readonly int[] settings;
    private readonly int[] chamber;
    private readonly int[] trays;
    private readonly bool[] turns;
    private readonly int[] onBefore;
    private List<OvenRegion> regions = [];

    /// <summary>An empty oven over minutes 0 to <paramref name="horizonMin"/>.</summary>
    public OvenTimeline(BakeOven oven, int horizonMin)
    {
        Oven = oven;
        OpenMin = Math.Max(0, oven.OpenMin);
        CloseMin = Math.Min(horizonMin, oven.CloseMin);
        settings = new int[horizonMin + 1];
        chamber = new int[horizonMin + 1];
        trays = new int[horizonMin + 1];
        turns = new bool[horizonMin + 1];
        onBefore = new int[horizonMin + 2];
        Array.Fill(settings, Undecided);
    }

    /// <summary>The oven.</summary>
    public BakeOven Oven { get; }

    /// <summary>First minute at which it may be on.</summary>
    public int OpenMin { get; }

    /// <summary>Minute by which it is off.</summary>
    public int CloseMin { get; }

    /// <summary>Cost of oven time and setting changes so far.</summary>
    public long Cost { get; private set; }

    /// <summary>Regions in order of time.</summary>
    public IReadOnlyList<OvenRegion> Regions => regions;

    /// <summary>The setting decided for a minute, or <see cref="Undecided"/>.</summary>
    public int SettingAt(int minute) => settings[minute];

    /// <summary>The chamber at a decided minute.</summary>
    public int ChamberAt(int minute) => chamber[minute];

    /// <summary>Whether a shelf is free at a minute.</summary>
    public bool HasRoomAt(int minute) => trays[minute] < Oven.Shelves;

    /// <summary>Whether nothing is decided near a stretch of minutes: near enough to share heat with it.</summary>
    public bool IsClearOf(int from, int to)
    {
        var reach = LeastOffMin + ((Oven.MaxC - Oven.MinC) / Math.Min(Oven.HeatCPerMin, Oven.CoolCPerMin));
        if (from < OpenMin + reach && to > OpenMin) return false;
        foreach (var region in regions)
            if (region.End + reach > from && region.Start - reach < to) return false;
        return true;
    }

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

    /// <summary>The region that ends at or before a minute and after which nothing is decided up to it, or null.</summary>
    public OvenRegion? RegionBefore(int minute)
    {
        OvenRegion? found = null;
        foreach (var region in regions)
        {
            if (region.End > minute) break;
            found = region;
        }

        return found;
    }

    /// <summary>Whether the oven can be at a temperature at a minute that nothing has decided yet.</summary>
    public bool CanBeAt(int celsius, int minute) => GapOnMinutes(RegionBefore(minute), minute, celsius) >= 0;

    /// <summary>The oven's cost with a visit put in, or -1 where what comes after it could not be reached in time.</summary>
    /// <param name="start">First minute of the visit.</param>
    /// <param name="visit">Setting of each of its minutes.</param>
    /// <param name="chamberAtEnd">The chamber when the tray leaves.</param>
    public long CostWith(int start, ReadOnlySpan<int> visit, int chamberAtEnd)
    {
        var end = start + visit.Length;
        // A region that begins as the tray leaves still begins with a tray entering.
        foreach (var region in regions)
            if (region.Start == end && region.FirstSetting != chamberAtEnd) return -1;
        return CostOf(Merge(start, visit, chamberAtEnd));
    }

    /// <summary>Puts a visit in.</summary>
    public void Put(int start, ReadOnlySpan<int> visit, int chamberAtEnd)
    {
        var merged = Merge(start, visit, chamberAtEnd);
        for (var offset = 0; offset < visit.Length; offset++)
        {
            settings[start + offset] = visit[offset];
            trays[start + offset]++;
        }

        regions = merged;
        Cost = CostOf(merged);
        foreach (var region in regions)
        {
            var now = region.FirstSetting;
            for (var minute = region.Start; minute < region.End; minute++)
            {
                chamber[minute] = now;
                now = Step(now, settings[minute]);
            }
        }

        CountOn();
        for (var minute = 1; minute < turns.Length; minute++)
            turns[minute] = settings[minute] != settings[minute - 1]
                || (settings[minute] != Undecided && chamber[minute] == settings[minute] && chamber[minute - 1] != settings[minute - 1]);
    }

    private void CountOn()
    {
        var on = new bool[settings.Length];
        OvenRegion? before = null;
        foreach (var region in regions)
        {
            var from = region.Start - GapOnMinutes(before, region.Start, region.FirstSetting);
            Array.Fill(on, true, from, region.End - from);
            before = region;
        }

        for (var minute = 0; minute < on.Length; minute++) onBefore[minute + 1] = onBefore[minute] + (on[minute] ? 1 : 0);
    }

    /// <summary>The changes of setting that make this timeline, gaps resolved.</summary>
    public IEnumerable<OvenSetting> Settings()
    {
        int? now = null;
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
        foreach (var region in regions)
        {
            var on = GapOnMinutes(before, region.Start, region.FirstSetting);
            if (before is not null && on < region.Start - before.End) yield return new OvenSetting(Oven.Id, before.End, null);
            yield return new OvenSetting(Oven.Id, region.Start - on, region.FirstSetting);
            for (var minute = region.Start; minute < region.End; minute++) yield return new OvenSetting(Oven.Id, minute, settings[minute]);
            before = region;
        }

        if (before is not null) yield return new OvenSetting(Oven.Id, before.End, null);
    }

    private List<OvenRegion> Merge(int start, ReadOnlySpan<int> visit, int chamberAtEnd)
    {
        var end = start + visit.Length;
        var merged = new List<OvenRegion>(regions.Count + 1);
        var (from, to, leaving) = (start, end, chamberAtEnd);
        foreach (var region in regions)
        {
            if (region.End < start) merged.Add(region);
            if (region.End < start || region.Start > end) continue;
            from = Math.Min(from, region.Start);
            if (region.End <= end) continue;
            (to, leaving) = (region.End, region.ChamberAtEnd);
        }

        var changes = 0;
        for (var minute = from + 1; minute < to; minute++)
            if (Planned(minute, start, visit) != Planned(minute - 1, start, visit)) changes++;
        merged.Add(new OvenRegion(from, to, Planned(from, start, visit), Planned(to - 1, start, visit), changes, leaving));
        foreach (var region in regions)
            if (region.Start > end) merged.Add(region);
        return merged;
    }

    private int Planned(int minute, int start, ReadOnlySpan<int> visit) =>
        minute >= start && minute < start + visit.Length ? visit[minute - start] : settings[minute];

    private long CostOf(List<OvenRegion> sequence)
    {
        long cost = 0;
        OvenRegion? before = null;
        foreach (var region in sequence)
        {
            var gap = GapOnMinutes(before, region.Start, region.FirstSetting);
            if (gap < 0) return -1;
            cost += (long)BakePlanCost.PerOvenOnMin * (gap + region.End - region.Start);
            cost += (long)BakePlanCost.PerSettingChange * region.Changes;
            if (before is not null && before.LastSetting != region.FirstSetting) cost += BakePlanCost.PerSettingChange;
            before = region;
        }

        return cost;
    }

    /// <summary>
    /// Minutes for which the oven is on between a region and the next, or before the first: as few as let the chamber
    /// stand at the wanted temperature when the next begins. -1 where the time is too short.
    /// </summary>
    private int GapOnMinutes(OvenRegion? before, int until, int wanted)
    {
        var from = before?.End ?? 0;
        var temperature = before?.ChamberAtEnd ?? Oven.StartC;
        var earliestOn = Math.Max(from, OpenMin);
        if (earliestOn > until || !Arrives(temperature, from, earliestOn, until, wanted)) return -1;

        var on = until;
        while (!Arrives(temperature, from, on, until, wanted)) on--;
        var off = on - from;
        return before is not null && off < LeastOffMin ? until - from : until - on;
    }

    /// <summary>Whether the chamber stands at the wanted temperature at <paramref name="until"/> when it is set at <paramref name="on"/>.</summary>
    private bool Arrives(int temperature, int from, int on, int until, int wanted)
    {
        var cooled = Math.Max(Math.Min(RoomC, temperature), temperature - (Oven.CoolCPerMin * (on - from)));
        return cooled <= wanted
            ? cooled + ((long)Oven.HeatCPerMin * (until - on)) >= wanted
            : cooled - ((long)Oven.CoolCPerMin * (until - on)) <= wanted;
    }
}

/// <summary>A run of minutes at each of which a tray is in the oven.</summary>
/// <param name="Start">First minute.</param>
/// <param name="End">Minute after the last.</param>
/// <param name="FirstSetting">Setting of the first minute; the chamber is at it.</param>
/// <param name="LastSetting">Setting of the last minute.</param>
/// <param name="Changes">Changes of setting inside.</param>
/// <param name="ChamberAtEnd">The chamber at its end.</param>
internal sealed record OvenRegion(int Start, int End, int FirstSetting, int LastSetting, int Changes, int ChamberAtEnd);
