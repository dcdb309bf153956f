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
public sealed record PanNeed(string PanId, int BeforeMin, int AfterMin);

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
}

/// <summary>A bake follows another.</summary>
/// <param name="BakeId">The bake it follows.</param>
/// <param name="MinLagMin">Least minutes from the end of the last tray of that bake to the start of any of this one.</param>
/// <param name="MaxLagMin">Most minutes from the end of the first tray of that bake; at least the least lag.</param>
/// <param name="ByTray">Whether tray n follows tray n, and not the whole bake.</param>
public sealed record BakeAfter(string BakeId, int MinLagMin, int MaxLagMin, bool ByTray);
