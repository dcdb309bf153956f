namespace Lumpet.Core.Baking;

/// <summary>
/// What the oven planner is asked: ovens, and trays to be baked in them. Times are whole minutes from the start of the
/// horizon, temperatures whole degrees Celsius (docs/formats/bake-plan.md has the contract).
/// </summary>
/// <param name="ToleranceC">By how much an oven's setting may differ from a stage's temperature; at least 0.</param>
/// <param name="TransferMin">Minutes a tray takes from one oven to another; at least 0.</param>
/// <param name="Ovens">The ovens, with unique ids.</param>
/// <param name="Bakes">The bakes, with unique ids.</param>
public sealed record BakeProblem(
    int ToleranceC, int TransferMin, IReadOnlyList<BakeOven> Ovens, IReadOnlyList<Bake> Bakes)
{
    /// <summary>What counts for how much.</summary>
    public BakeWeights Weights { get; init; } = BakeWeights.Usual;

    /// <summary>Trays that are in an oven when the horizon starts, and those that were baked before; each tray at most once.</summary>
    public IReadOnlyList<RunningTray> Running { get; init; } = [];

    /// <summary>Degrees that a chamber loses through the open door for each tray that enters; at least 0, and 0 where that is not counted.</summary>
    public int OpenCPerTray { get; init; }

    /// <summary>Pans of which there are only so many, with unique ids; of others there are always enough.</summary>
    public IReadOnlyList<PanStock> Pans { get; init; } = [];

    /// <summary>Trays of other plans that are settled; what is planned here goes around them.</summary>
    public IReadOnlyList<StandingTray> Standing { get; init; } = [];

    /// <summary>Pans that other plans have in use.</summary>
    public IReadOnlyList<StandingPans> StandingPans { get; init; } = [];
}

/// <summary>Pans of a size.</summary>
/// <param name="Id">Unique name.</param>
/// <param name="Count">How many there are; at least 0.</param>
public sealed record PanStock(string Id, int Count);

/// <summary>The pans that a bake's pies are in, one for each pie.</summary>
/// <param name="PanId">Which.</param>
/// <param name="BeforeMin">For how many minutes they are in use before a tray goes in; at least 0.</param>
/// <param name="AfterMin">For how many minutes they stay in use after it is out; at least 0.</param>
public sealed record PanNeed(string PanId, int BeforeMin, int AfterMin)
{
    /// <summary>Since when they are in use at least, by when the tray goes in: over a night for longer than at noon. In order; neither minute is below that of the one before.</summary>
    public IReadOnlyList<PansSince> Since { get; init; } = [];

    /// <summary>Until when they stay in use at least, by when it is out. In order; neither minute is below that of the one before.</summary>
    public IReadOnlyList<PansUntil> Until { get; init; } = [];

    /// <summary>From when on they are in use for a tray that goes in at a minute.</summary>
    public int InUseFrom(int inMin)
    {
        var from = (int)Math.Max(int.MinValue, (long)inMin - BeforeMin);
        foreach (var step in Since)
            if (step.ByMin >= inMin) return Math.Min(from, step.SinceMin);
        return from;
    }

    /// <summary>Until when they are in use for a tray that is out at a minute.</summary>
    public int InUseUntil(int outMin)
    {
        var until = (int)Math.Min(int.MaxValue, (long)outMin + AfterMin);
        for (var at = Until.Count - 1; at >= 0; at--)
            if (Until[at].FromMin <= outMin) return Math.Max(until, Until[at].UntilMin);
        return until;
    }

    /// <summary>The first minute at which a tray may go in whose pans are free from a minute on.</summary>
    public int FirstIn(int freeMin)
    {
        var first = (int)Math.Min(int.MaxValue, (long)freeMin + BeforeMin);
        for (var at = Since.Count - 1; at >= 0; at--)
            if (Since[at].SinceMin < freeMin) return Math.Max(first, Since[at].ByMin + 1);
        return first;
    }

    /// <summary>The last minute at which a tray may be out whose pans must be free by a minute.</summary>
    public int LastOut(int freeMin)
    {
        var last = (int)Math.Max(int.MinValue, (long)freeMin - AfterMin);
        foreach (var step in Until)
            if (step.UntilMin > freeMin) return Math.Min(last, step.FromMin - 1);
        return last;
    }
}

/// <summary>Pans of trays that go in up to a minute are in use since another.</summary>
/// <param name="ByMin">Last minute at which such a tray goes in.</param>
/// <param name="SinceMin">Since when its pans are in use, at the latest; not after it.</param>
public sealed record PansSince(int ByMin, int SinceMin);

/// <summary>Pans of trays that are out from a minute on stay in use until another.</summary>
/// <param name="FromMin">First minute at which such a tray is out.</param>
/// <param name="UntilMin">Until when its pans are in use, at least; not before it.</param>
public sealed record PansUntil(int FromMin, int UntilMin);

/// <summary>One chamber with one setting at a time.</summary>
/// <param name="Id">Unique name.</param>
/// <param name="Shelves">Trays it holds; at least 0.</param>
/// <param name="MinC">Lowest setting.</param>
/// <param name="MaxC">Highest setting.</param>
/// <param name="HeatCPerMin">Degrees it gains in a minute; at least 1.</param>
/// <param name="CoolCPerMin">Degrees it loses in a minute; at least 1.</param>
/// <param name="StartC">Its temperature at minute 0.</param>
/// <param name="OpenMin">First minute at which it may be on.</param>
/// <param name="CloseMin">Minute by which it is off.</param>
public sealed record BakeOven(
    string Id, int Shelves, int MinC, int MaxC, int HeatCPerMin, int CoolCPerMin, int StartC, int OpenMin, int CloseMin)
{
    /// <summary>Places for trays on its floor, beside its shelves; at least 0. Null: what bakes on a floor takes a shelf like everything else.</summary>
    public int? FloorPlaces { get; init; }

    /// <summary>It is not switched off for less than so many minutes: what comes next is set at once instead; at least 0.</summary>
    public int ShortestOffMin { get; init; }

    /// <summary>Minutes that one pair of hands, which serves all ovens, needs for each tray put in or taken out; at least 0, and 0 where hands bind nothing.</summary>
    public int ActionMin { get; init; }

    /// <summary>What it is set to when the horizon starts; null where it is off then.</summary>
    public int? StartSettingC { get; init; }

    // An oven that is off cools toward the room.
    private const int RoomC = 25;

    /// <summary>Its chamber one minute on, under a setting or off.</summary>
    public int After(int now, int? setting) => setting is { } wanted && now < wanted
        ? Math.Min(wanted, now + HeatCPerMin)
        : Math.Max(setting ?? Math.Min(RoomC, now), now - CoolCPerMin);

    /// <summary>Its chamber one minute on, where so many trays were put in at the minute, each of which costs some degrees.</summary>
    public int After(int now, int? setting, int entering, int openCPerTray) => After(entering > 0 ? Opened(now, entering, openCPerTray) : now, setting);

    /// <summary>Its chamber after so many trays were put in through the open door, each of which costs some degrees; never below the room for that.</summary>
    public static int Opened(int now, int trays, int celsiusPerTray) => (int)Math.Max(Math.Min(RoomC, now), now - ((long)trays * celsiusPerTray));

    /// <summary>Minutes in which its chamber comes up from its start to a temperature; 0 where it is there already.</summary>
    public int MinutesTo(int celsius) => celsius <= StartC ? 0 : (celsius - StartC + HeatCPerMin - 1) / HeatCPerMin;

    /// <summary>How many trays of a bake it holds at a time.</summary>
    public int PlacesFor(Bake bake) => TakesFloor(bake.OnFloor) ? FloorPlaces!.Value : Shelves;

    /// <summary>Whether a tray that bakes on the floor, or does not, takes one of the places there and no shelf.</summary>
    public bool TakesFloor(bool onFloor) => onFloor && FloorPlaces is not null;

    /// <summary>
    /// The stretches of time within which it may be on, in order, none touching another; between them it is off and keeps what
    /// heat it keeps. By default the one from <see cref="OpenMin"/> to <see cref="CloseMin"/>, which are their first and last minute.
    /// </summary>
    public IReadOnlyList<OvenOpening> Openings => several ?? [new OvenOpening(OpenMin, CloseMin)];

    private IReadOnlyList<OvenOpening>? several;

    /// <summary>The same oven, open at other times.</summary>
    /// <param name="openings">Stretches of time in any order; those that overlap or touch are one.</param>
    public BakeOven OpenAt(IEnumerable<OvenOpening> openings)
    {
        var joined = new List<OvenOpening>();
        foreach (var opening in openings.OrderBy(opening => opening.FromMin))
            if (joined.Count > 0 && opening.FromMin <= joined[^1].ToMin) joined[^1] = joined[^1] with { ToMin = Math.Max(joined[^1].ToMin, opening.ToMin) };
            else joined.Add(opening);
        return this with
        {
            OpenMin = joined.Count > 0 ? joined[0].FromMin : 0,
            CloseMin = joined.Count > 0 ? joined[^1].ToMin : 0,
            several = joined.Count > 1 ? joined : null,
        };
    }
}

/// <summary>A stretch of time within which an oven may be on.</summary>
/// <param name="FromMin">First minute.</param>
/// <param name="ToMin">Minute by which it is off.</param>
public sealed record OvenOpening(int FromMin, int ToMin);

/// <summary>One temperature of a bake.</summary>
/// <param name="TempC">The temperature.</param>
/// <param name="MinMin">Least minutes; at least 1.</param>
/// <param name="MaxMin">Most minutes; at least <paramref name="MinMin"/>.</param>
public sealed record BakeStage(int TempC, int MinMin, int MaxMin);

/// <summary>Trays that need the same stages in the same order.</summary>
/// <param name="Id">Unique name.</param>
/// <param name="Trays">Pies on each tray; may be empty.</param>
/// <param name="Stages">Its stages; at least one.</param>
/// <param name="ReleaseMin">First minute at which a tray may enter an oven.</param>
/// <param name="DueMin">Minute by which its trays should be out.</param>
/// <param name="EarliestOutMin">First minute at which a tray may come out; null: any.</param>
/// <param name="Ovens">Ids of the ovens it may use; null: any.</param>
/// <param name="After">Bakes it follows; may be empty.</param>
public sealed record Bake(
    string Id,
    IReadOnlyList<int> Trays,
    IReadOnlyList<BakeStage> Stages,
    int ReleaseMin,
    int DueMin,
    int? EarliestOutMin,
    IReadOnlyList<string>? Ovens,
    IReadOnlyList<BakeAfter> After)
{
    /// <summary>Whether its trays stand on the floor of an oven, for heat from below.</summary>
    public bool OnFloor { get; init; }

    /// <summary>The pans that its pies are in; null where they do not matter. What follows by tray in the same pans is in them all along.</summary>
    public PanNeed? Pan { get; init; }

    /// <summary>Stretches of time in which no tray is put in, since what must be done before it cannot be done by then; in order.</summary>
    public IReadOnlyList<DoorPause> NotIn { get; init; } = [];

    /// <summary>Stretches of time in which no tray may be done, since what must be done after it cannot be done then; in order. What is in an oven when the horizon starts does not ask.</summary>
    public IReadOnlyList<DoorPause> NotOut { get; init; } = [];

    /// <summary>The same bake, its minutes counted from another.</summary>
    internal Bake CountedFrom(int minute) => this with
    {
        ReleaseMin = ReleaseMin - minute,
        DueMin = DueMin - minute,
        EarliestOutMin = EarliestOutMin - minute,
        NotIn = [.. NotIn.Select(pause => new DoorPause(pause.FromMin - minute, pause.ToMin - minute))],
        NotOut = [.. NotOut.Select(pause => new DoorPause(pause.FromMin - minute, pause.ToMin - minute))],
        Pan = Pan is null ? null : Pan with
        {
            Since = [.. Pan.Since.Select(step => new PansSince(step.ByMin - minute, step.SinceMin - minute))],
            Until = [.. Pan.Until.Select(step => new PansUntil(step.FromMin - minute, step.UntilMin - minute))],
        },
    };

    /// <summary>Whether a tray that is put in at a minute and done at another meets a pause.</summary>
    public bool Pauses(int inMin, int outMin) => DoorPause.Any(NotIn, inMin) || DoorPause.Any(NotOut, outMin);
}

/// <summary>A stretch of time in which trays of a bake are not put in, or not taken out.</summary>
/// <param name="FromMin">First minute.</param>
/// <param name="ToMin">Last minute; at least the first.</param>
public sealed record DoorPause(int FromMin, int ToMin)
{
    /// <summary>Two lists of pauses as one: in order, none touching another.</summary>
    internal static IReadOnlyList<DoorPause> Joined(IReadOnlyList<DoorPause> pauses, IReadOnlyList<DoorPause> others)
    {
        if (pauses.Count == 0) return others;
        var joined = new List<DoorPause>();
        foreach (var pause in pauses.Concat(others).OrderBy(pause => pause.FromMin))
        {
            if (joined.Count > 0 && pause.FromMin <= joined[^1].ToMin + 1) joined[^1] = joined[^1] with { ToMin = Math.Max(joined[^1].ToMin, pause.ToMin) };
            else joined.Add(pause);
        }

        return joined;
    }

    /// <summary>Whether a minute lies in any of some pauses.</summary>
    internal static bool Any(IReadOnlyList<DoorPause> pauses, int minute)
    {
        for (var at = 0; at < pauses.Count; at++)
            if (minute <= pauses[at].ToMin) return minute >= pauses[at].FromMin;
        return false;
    }
}

/// <summary>A bake follows another.</summary>
/// <param name="BakeId">The bake it follows.</param>
/// <param name="MinLagMin">Least minutes from the end of the last tray of that bake to the start of any of this one.</param>
/// <param name="MaxLagMin">Most minutes from the end of the first tray of that bake; at least the least lag.</param>
/// <param name="ByTray">Whether tray n follows tray n, and not the whole bake.</param>
public sealed record BakeAfter(string BakeId, int MinLagMin, int MaxLagMin, bool ByTray);
