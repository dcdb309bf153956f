using Lumpet.Core.Scheduling;

namespace Lumpet.Core.Baking.Planning;

/// <summary>Finds the cheapest way for one tray through ovens that already hold others.</summary>
internal sealed partial class TraySearch
{
    private readonly BakeProblem problem;
    // A tray that comes back to an oven finds there what it did itself before: a copy stands in for the oven meanwhile.
    private readonly OvenTimeline[] ovens;
    private readonly OvenDoors doors;
    private readonly CancellationToken cancellation;
    private readonly int[] settings;
    private Bake bake;
    private TrayWindow window;
    private TrayPath? best;
    private readonly bool[] isAllowed;
    // Minutes from the beginning of each stage to the end of the last: at least, and at most, with every move between ovens.
    private readonly int[] leastFrom;
    private readonly int[] mostFrom;
    // By oven and minute what the last stage costs there at least, as far as the way that is looked for now has met it.
    private readonly (int Number, long CostsAtLeast)[] looks;
    private int lookNumber;
    private readonly Dictionary<int, int[]> near;
    private readonly bool hasNear;
    private readonly List<(OvenDoors.Door Door, int Minute)> acts = [];

    /// <summary>What heat and changes count for beside being late or early, in tenths of what they cost: 10 as they are.</summary>
    public int HeatTenths { get; set; } = AsItCosts;

    /// <summary>Whether the first way out is wanted, whatever it costs.</summary>
    public bool Soonest { get; set; }

    /// <summary>Number of an oven that is not looked at; -1 for none.</summary>
    public int Barred { get; set; } = -1;

    /// <summary>Of a hundred minutes that are worth a look so many are passed over, by dice; null: none.</summary>
    public (Dice Dice, int Skipped)? Sparse { get; set; }

    /// <summary>Whether heat may be set for the sake of what is put in later; whoever asks looks at the whole plan then.</summary>
    public bool IsTrusting { get; set; }

    /// <summary>Whether temperatures of others are tried where nothing is set yet; it takes about twice the time.</summary>
    public bool LooksNear { get; set; }

    /// <summary>Whether every minute near what others do is tried, and every length of a stage, where doors or hands keep trays apart; it takes many times longer.</summary>
    public bool LooksClosely { get; set; }

    /// <summary>A way that costs as much, or more, is not wanted; the largest number where any is.</summary>
    public long CostsUpTo { get; set; } = long.MaxValue;

    /// <summary>For how many trays that go the same way the hands must be free; at least 1.</summary>
    public int Together { get; set; } = 1;

    /// <summary>Whether what is at a door makes a difference to when a tray goes in or out.</summary>
    public bool DoorsBind => doors.HandsBind || problem.OpenCPerTray > 0;

    private int[] Near(int celsius) => LooksNear ? near[celsius] : [];

    /// <summary>Whether some temperatures are so near one another that trays of different ones may share.</summary>
    public bool CanShare => hasNear;

    /// <summary>Heat and changes counted as they are.</summary>
    public const int AsItCosts = 10;

    /// <summary>A search over the ovens of a build.</summary>
    /// <param name="problem">The problem.</param>
    /// <param name="ovens">Its ovens, as far as they are filled.</param>
    /// <param name="doors">Their doors.</param>
    /// <param name="cancellation">Ends a search with the best way found so far.</param>
    public TraySearch(BakeProblem problem, IReadOnlyList<OvenTimeline> ovens, OvenDoors doors, CancellationToken cancellation)
    {
        (this.problem, this.ovens, this.doors, this.cancellation) = (problem, [.. ovens], doors, cancellation);
        settings = new int[ovens.Select(oven => oven.CloseMin).DefaultIfEmpty(0).Max() + 1];
        (isCandidate, turns) = (new bool[settings.Length], new bool[settings.Length]);
        isAllowed = new bool[this.ovens.Length];
        var most = problem.Bakes.Select(one => one.Stages.Count).DefaultIfEmpty(0).Max();
        (leastFrom, mostFrom) = (new int[most], new int[most]);
        looks = new (int, long)[this.ovens.Length * settings.Length];
        int[] all = [.. problem.Bakes.SelectMany(one => one.Stages).Select(stage => stage.TempC).Distinct()];
        near = all.ToDictionary(celsius => celsius, celsius => all.Where(other => other != celsius && Bears(other, celsius)).ToArray());
        hasNear = near.Values.Any(others => others.Length > 0);
        bake = null!;
        window = null!;
    }

    /// <summary>The cheapest way, or null where there is none.</summary>
    /// <param name="wanted">The bake of the tray.</param>
    /// <param name="when">When the tray may be baked.</param>
    /// <param name="firstLook">A minute that is likely good: where the tray before it went.</param>
    public TrayPath? Cheapest(Bake wanted, TrayWindow when, int? firstLook)
    {
        (bake, window, best) = (wanted, when, null);
        LookAround(Barred);
        var least = leastFrom[0];
        var latest = Math.Min(window.StartTo, settings.Length - 1 - least);
        if (latest < window.StartFrom) return null;
        if (!Soonest && firstLook is { } look && look >= window.StartFrom && look <= latest) EnterAt(look, least);
        MarkCandidates(latest, least);
        Gather(latest);
        // From the best minute outward, so that a good way is found early and most others need no second look.
        var middle = Soonest ? window.StartFrom : Math.Clamp(Math.Min(window.Due, window.LatestForFollowers) - least, window.StartFrom, latest);
        var after = candidates.BinarySearch(middle);
        after = after < 0 ? ~after : after;
        var before = after - 1;
        while ((before >= 0 || after < candidates.Count) && !(Soonest && best is not null))
        {
            var isEarlierNearer = before >= 0 && (after == candidates.Count || middle - candidates[before] <= candidates[after] - middle);
            EnterAt(isEarlierNearer ? candidates[before--] : candidates[after++], least);
        }

        return best;
    }

    /// <summary>The cheapest way on for a tray that is in an oven when the horizon starts, or null where the oven cannot go on baking it.</summary>
    /// <param name="running">What is left of it.</param>
    /// <param name="when">When it may come out.</param>
    public TrayPath? Continue(RunningNow running, TrayWindow when)
    {
        (bake, window, best) = (running.Left, when, null);
        LookAround(barred: -1);
        var timeline = ovens[running.Oven];
        if (!timeline.HasRoomAt(0, bake.OnFloor)) return null;
        var celsius = bake.Stages[0].TempC;
        int[] settings = timeline.SettingAt(0) is not OvenTimeline.Undecided and var decided ? [decided] : [timeline.Oven.StartSettingC ?? celsius, celsius, .. near[celsius]];
        foreach (var setting in settings.Distinct())
            if (Bears(setting, celsius) && (timeline.Reaches(setting) || setting == timeline.Oven.StartSettingC))
                Stay(Begin(running.Oven, 0, 0, 0, null, isRunning: true), 0, 0, timeline.Oven.StartC, setting);
        return best;
    }

    private void LookAround(int barred)
    {
        lookNumber++;
        for (var oven = 0; oven < ovens.Length; oven++) isAllowed[oven] = oven != barred && bake.Ovens?.Contains(ovens[oven].Oven.Id) != false;
        for (var stage = bake.Stages.Count - 1; stage >= 0; stage--)
        {
            leastFrom[stage] = bake.Stages[stage].MinMin + (stage + 1 < bake.Stages.Count ? leastFrom[stage + 1] : 0);
            mostFrom[stage] = bake.Stages[stage].MaxMin + (stage + 1 < bake.Stages.Count ? mostFrom[stage + 1] + problem.TransferMin : 0);
        }

        if (turnsOf != filled) MarkTurns();
    }

    /// <summary>The way of the tray before, once more: beside it on a free shelf; null where it does not fit.</summary>
    /// <param name="path">The way of the tray before.</param>
    /// <param name="when">When this tray may be baked.</param>
    /// <param name="floor">Whether it stands on the floor.</param>
    public TrayPath? Beside(TrayPath path, TrayWindow when, bool floor) =>
        !path.HasBegun && path.Start >= when.StartFrom && path.Start <= when.StartTo && path.End >= when.EndFrom && path.End <= when.EndTo
        && !DoorPause.Any(when.NotIn, path.Start) && !DoorPause.Any(when.NotOut, path.End)
        && when.Pans?.Fits(path.Start, path.End) != false
        && path.Visits.All(visit => ovens[visit.Oven].HasRoom(visit.Start, visit.End, floor))
            ? WithDoorsOpened(path)
            : null;

    /// <summary>The way for one tray more: what the doors lose, and the hands that are needed, let it be; null where they do not.</summary>
    private TrayPath? WithDoorsOpened(TrayPath path)
    {
        if (doors.HandsBind && !AreServed(path.Visits, 1)) return null;
        if (problem.OpenCPerTray == 0) return path;
        // Where it comes back to an oven, its own door comes before it.
        if (path.Visits.DistinctBy(visit => visit.Oven).Count() < path.Visits.Count) return null;
        OvenVisit?[] visits = [.. path.Visits.Select(visit => ovens[visit.Oven].Beside(visit))];
        return visits.Contains(null) ? null : path with { Visits = visits! };
    }

    private bool AreServed(IReadOnlyList<OvenVisit> visits, int times)
    {
        acts.Clear();
        foreach (var visit in visits.Where(visit => !visit.IsRunning))
            for (var tray = 0; tray < times; tray++)
            {
                acts.Add((ovens[visit.Oven].Door, visit.Start));
                acts.Add((ovens[visit.Oven].Door, visit.End));
            }

        return doors.Serve(acts);
    }

    /// <summary>At least this must be paid for oven minutes: those of the tray at which no oven is on yet.</summary>
    private long LeastForHeat(int minute, int longest, int least)
    {
        if (Soonest) return 0;
        var on = 0;
        foreach (var oven in ovens) on += oven.OnIn(minute, minute + longest);
        return (long)HeatTenths * problem.Weights.PerOvenOnMin * Math.Max(0, least - on);
    }

    /// <summary>Whether a tray whose stage begins between two minutes may come out in time, and for less than the best way so far.</summary>
    private bool MayEnd(long costSoFar, int from, int to, int stage)
    {
        var (first, last) = (Math.Max(from + leastFrom[stage], window.EndFrom), Math.Min(to + mostFrom[stage], window.EndTo));
        return first <= last && (Soonest || Promising(costSoFar + window.CostOfEnd(Math.Clamp(Math.Min(window.Due, window.LatestForFollowers), first, last))));
    }

    private bool Promising(long cost) => cost < (best is null ? CostsUpTo : best.Cost);

    private void EnterAt(int minute, int least)
    {
        if (cancellation.IsCancellationRequested || DoorPause.Any(window.NotIn, minute)) return;
        // The best end within reach of this start bounds what any way from here can cost.
        if (!Promising(window.CostOfEnd(Math.Clamp(Math.Min(window.Due, window.LatestForFollowers), minute + least, minute + mostFrom[0])) + LeastForHeat(minute, mostFrom[0], least)) || window.Pans?.Fits(minute, minute + least) == false) return;
        for (var oven = 0; oven < ovens.Length; oven++) Enter(oven, minute, 0, 0, null);
    }

    /// <summary>Enters an oven in which the tray was before.</summary>
    private void EnterAgain(int oven, int minute, int stage, long costSoFar, Visiting? before)
    {
        var without = ovens[oven];
        foreach (var visit in Visits(before))
            if (visit.Oven == oven) ovens[oven] = ovens[oven].With(visit, bake.OnFloor);
        MarkTurns();
        Enter(oven, minute, stage, costSoFar, before);
        ovens[oven] = without;
        MarkTurns();
    }

    /// <summary>Enters an oven at a minute for a stage, by every setting that lets the tray in.</summary>
    private void Enter(int oven, int minute, int stage, long costSoFar, Visiting? before)
    {
        var timeline = ovens[oven];
        if (minute < timeline.OpenMin || minute >= timeline.CloseMin) return;
        // Whatever it is set to, the stage must find a shelf for its least.
        if (timeline.FullFrom(minute, bake.OnFloor) - minute < bake.Stages[stage].MinMin) return;
        if (!isAllowed[oven] || !timeline.Door.Serves(minute, Together)) return;
        var celsius = bake.Stages[stage].TempC;
        var decided = timeline.SettingAt(minute);
        if (decided != OvenTimeline.Undecided)
        {
            if (Bears(decided, celsius) && timeline.ChamberAt(minute) == decided)
                Stay(Begin(oven, minute, stage, costSoFar, before), stage, minute, decided, decided);
            return;
        }

        var previous = timeline.RegionBefore(minute);
        if (previous is { } region && region.End == minute && Bears(region.LastSetting, celsius)
            && region.ChamberAtEnd == region.LastSetting)
            Stay(Begin(oven, minute, stage, costSoFar, before), stage, minute, region.LastSetting, region.LastSetting);
        else if (timeline.Reaches(celsius) && timeline.CanBeAt(celsius, minute))
            Stay(Begin(oven, minute, stage, costSoFar, before), stage, minute, celsius, celsius);
        // Heat that is meant for a later stage, or for a neighbour who is not in yet, lets it in as well.
        foreach (var other in Near(celsius))
            if (timeline.Reaches(other) && timeline.CanBeAt(other, minute)) Stay(Begin(oven, minute, stage, costSoFar, before), stage, minute, other, other);
    }

    /// <summary>Stays for a stage from a minute on, with the chamber and the setting there.</summary>
    private void Stay(Visiting visiting, int stage, int from, int chamber, int setting)
    {
        var timeline = ovens[visiting.Oven];
        var wanted = bake.Stages[stage];
        var (now, set) = (chamber, setting);
        var last = Math.Min(from + wanted.MaxMin, Math.Min(timeline.CloseMin, timeline.FullFrom(from, bake.OnFloor)));
        for (var minute = from; minute < last;)
        {
            var decided = timeline.SettingAt(minute);
            // What begins here begins with a tray entering, so the chamber must already be where it was promised.
            var joins = decided != OvenTimeline.Undecided && minute > visiting.Start
                && timeline.SettingAt(minute - 1) == OvenTimeline.Undecided;
            if (joins && now != decided) return;
            if (decided != OvenTimeline.Undecided) set = decided;
            if (!Bears(set, wanted.TempC)) return;
            var enters = minute == visiting.Start && !visiting.IsRunning;
            if (!enters && timeline.Spoils(minute, now, set)) return;
            // Up to where the stage may end, minutes of one setting are gone through at once; where doors lose heat, each may be different.
            var next = timeline.DoorLosesHeat ? minute + 1 : Math.Max(minute + 1, Math.Min(from + wanted.MinMin, timeline.SameUntil(minute, last)));
            settings.AsSpan(minute, next - minute).Fill(set);
            now = timeline.DoorLosesHeat ? timeline.StepAt(minute, now, set, enters ? 1 : 0) : timeline.Step(now, set, next - minute);
            minute = next;
            if (minute - from < wanted.MinMin) continue;
            if (stage == bake.Stages.Count - 1)
            {
                Finish(visiting, minute, now);
                // As short as may be, unless the tray must not come out yet, or nobody is there to take it out.
                if (minute >= window.EndFrom && !LooksClosely && (visiting.IsRunning || timeline.Door.Serves(minute, Together))) return;
            }
            else if (minute - from == wanted.MinMin || minute - from == wanted.MaxMin || LooksClosely || SomethingTurns(minute)) GoOn(visiting, stage + 1, minute, now, set);
        }
    }

    // A stage longer than its least pays only to meet what others have decided, here or in the oven that follows.
    private bool SomethingTurns(int minute) => turns[minute];

    private void GoOn(Visiting visiting, int stage, int minute, int chamber, int setting)
    {
        if (cancellation.IsCancellationRequested) return;
        // It begins here, or in another oven after a move.
        if (!MayEnd(visiting.CostSoFar, minute, minute + problem.TransferMin, stage)) return;

        visiting.StageEnds.Add(minute);
        DropAt(visiting, stage, minute, chamber, setting);
        MoveAt(visiting, stage, minute, chamber);
        visiting.StageEnds.RemoveAt(visiting.StageEnds.Count - 1);
    }

    private void DropAt(Visiting visiting, int stage, int minute, int chamber, int setting)
    {
        var timeline = ovens[visiting.Oven];
        if (minute >= timeline.CloseMin) return;
        var celsius = bake.Stages[stage].TempC;
        var decided = timeline.SettingAt(minute);
        var next = decided != OvenTimeline.Undecided ? decided : Bears(setting, celsius) ? setting : celsius;
        if (decided == OvenTimeline.Undecided && next != setting && !timeline.Reaches(next)) return;
        Stay(visiting, stage, minute, chamber, next);
        if (decided != OvenTimeline.Undecided) return;
        foreach (var other in Near(celsius))
            if (other != next && timeline.Reaches(other)) Stay(visiting, stage, minute, chamber, other);
        if (next != celsius && Near(celsius).Length > 0 && timeline.Reaches(celsius)) Stay(visiting, stage, minute, chamber, celsius);
    }

    /// <summary>
    /// Whether everything set for a visit is the temperature of something baked while it is in force: of a stage of its own,
    /// or of what is there already, before it, beside it or after it.
    /// </summary>
    private bool IsHeld(Visiting visiting, int end)
    {
        if (!hasNear || IsTrusting) return true;
        var (timeline, stage) = (ovens[visiting.Oven], 0);
        for (var from = visiting.Start; from < end;)
        {
            var (to, isHeld) = (from, from == visiting.Start && (from > 0 ? timeline.SettingAt(from - 1) == settings[from] : visiting.IsRunning && settings[0] == timeline.Oven.StartSettingC));
            for (; to < end && settings[to] == settings[from]; to++)
            {
                if (to >= visiting.StageEnds[stage]) stage++;
                isHeld |= timeline.SettingAt(to) != OvenTimeline.Undecided || bake.Stages[visiting.FirstStage + stage].TempC == settings[to];
            }

            if (!isHeld && !(to == end && timeline.SettingAt(end) == settings[from])) return false;
            from = to;
        }

        return true;
    }

    private void MoveAt(Visiting visiting, int stage, int end, int chamber)
    {
        if (ovens.Length == 1 || !visiting.IsRunning && !ovens[visiting.Oven].Door.Serves(end, Together)) return;
        var cost = CostWith(visiting, end, chamber);
        if (cost < 0) return;
        var costSoFar = visiting.CostSoFar + (HeatTenths * (cost - ovens[visiting.Oven].Cost));
        if (!MayEnd(costSoFar, end + problem.TransferMin, end + problem.TransferMin, stage) || !IsHeld(visiting, end)) return;
        (visiting.End, visiting.ChamberAtEnd) = (end, chamber);
        for (var oven = 0; oven < ovens.Length; oven++)
            if (oven != visiting.Oven && isAllowed[oven])
            {
                // A tray comes back only where it cannot be baked on where it is: more would be many ways for a gain that is hardly ever there.
                if (!WasIn(oven, visiting.Before)) MoveTo(oven, end + problem.TransferMin, stage, costSoFar, visiting);
                else if (!ovens[visiting.Oven].Reaches(bake.Stages[stage].TempC)) EnterAgain(oven, end + problem.TransferMin, stage, costSoFar, visiting);
            }
    }

    /// <summary>Enters another oven, unless an earlier look there showed that it costs too much from here on.</summary>
    private void MoveTo(int oven, int minute, int stage, long costSoFar, Visiting? before)
    {
        if (minute >= settings.Length) return;
        // What the last stage costs asks for nothing of how the tray came, but for hands and pans, which see the whole way.
        if (stage < bake.Stages.Count - 1 || doors.HandsBind || window.Pans is not null)
        {
            Enter(oven, minute, stage, costSoFar, before);
            return;
        }

        ref var look = ref looks[(oven * settings.Length) + minute];
        if (look.Number == lookNumber && (look.CostsAtLeast == long.MaxValue || !Promising(costSoFar + look.CostsAtLeast))) return;
        Enter(oven, minute, stage, costSoFar, before);
        look = (lookNumber, best is not null ? best.Cost - costSoFar : CostsUpTo == long.MaxValue ? long.MaxValue : CostsUpTo - costSoFar);
    }

    private void Finish(Visiting visiting, int end, int chamber)
    {
        if (end < window.EndFrom || end > window.EndTo || DoorPause.Any(window.NotOut, end)) return;
        visiting.StageEnds.Add(end);
        Weigh(visiting, end, chamber);
        visiting.StageEnds.RemoveAt(visiting.StageEnds.Count - 1);
    }

    private void Weigh(Visiting visiting, int end, int chamber)
    {
        var ofEnd = Soonest ? end * 1_000_000L : window.CostOfEnd(end);
        if (!Promising(visiting.CostSoFar + ofEnd)) return;
        var cost = CostWith(visiting, end, chamber);
        if (cost < 0) return;
        var total = visiting.CostSoFar + ofEnd + (HeatTenths * (cost - ovens[visiting.Oven].Cost));
        if (!Promising(total) || !IsHeld(visiting, end) || (!visiting.IsRunning && !ovens[visiting.Oven].Door.Serves(end, Together))) return;
        (visiting.End, visiting.ChamberAtEnd) = (end, chamber);
        var visits = Visits(visiting);
        if (window.Pans?.Fits(visits[0].Start, end) == false) return;
        if (!doors.HandsBind || AreServed(visits, Together)) best = new TrayPath(visits, total);
    }

    private long CostWith(Visiting visiting, int end, int chamber)
    {
        var timeline = ovens[visiting.Oven];
        var cost = timeline.CostWith(visiting.Start, settings.AsSpan(visiting.Start, end - visiting.Start), chamber);
        return cost < 0 ? cost : cost + timeline.Door.CostWith(visiting.Start, end);
    }

    private bool Bears(int setting, int celsius) => Math.Abs(setting - celsius) <= problem.ToleranceC;
}
