using Lumpet.Core.Bakery;
using Lumpet.Core.Baking;
using Lumpet.Core.Batches;
using Lumpet.Core.Dough;
using Lumpet.Core.Scheduling;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// One round of planning: what was aimed at, and what came of it. It never changes, so that a plan and everything that is
/// said of it come from the same round.
/// </summary>
/// <param name="Aims">What was aimed at, lot by lot.</param>
/// <param name="Problem">What the ovens were asked.</param>
/// <param name="Plan">What they answered.</param>
/// <param name="Parcels">Everything around the bakes.</param>
/// <param name="Mixed">Dough batches, timed.</param>
/// <param name="Made">Batches of what is made before the pies, timed.</param>
/// <param name="Mixer">The mixer.</param>
/// <param name="PansShort">Parcels that find their pans in use.</param>
internal sealed record DayRound(
    IReadOnlyList<LotAim> Aims, BakeProblem Problem, BakePlan Plan, IReadOnlyList<Parcel> Parcels, IReadOnlyList<MixedBatch> Mixed, IReadOnlyList<MadeBatch> Made, Mixer Mixer, IReadOnlyDictionary<Parcel, PanShort> PansShort)
{
    /// <summary>What days before have taken.</summary>
    public TakenTime Taken { get; init; } = TakenTime.None;

    /// <summary>What is made of the orders, and what of what is there only has to be handed over.</summary>
    public DayLots Lots { get; init; } = new([], []);

    /// <summary>What is taken of it.</summary>
    public IReadOnlyList<StockUse> FromStock { get; init; } = [];

    /// <summary>The room of what is there and stays where it is.</summary>
    public IReadOnlyList<RoomUse> Standing { get; init; } = [];

    /// <summary>What pies and doughs take of it.</summary>
    public IReadOnlyList<PreparationDemand> Demands { get; init; } = [];

    /// <summary>By when the ovens were asked for what is made before the pies, by its batch: as it was expected before they answered.</summary>
    public IReadOnlyDictionary<string, int> AskedFor { get; init; } = new Dictionary<string, int>();

    /// <summary>Batches that the round before has found asked for too late: what was asked for again and is late once more holds up its pies, or it would be asked for sooner and sooner.</summary>
    public IReadOnlySet<string> AskedForAgain { get; init; } = new HashSet<string>();

    /// <summary>Whether a batch that comes too late is baked, and the ovens were asked for it later than it is needed now: asked for in time it may not be late.</summary>
    public bool IsAskedTooLate(MadeBatch made) =>
        made.Short > 0 && made.Batch.How.Method.Any(step => step.IsBake) && !AskedForAgain.Contains(made.Batch.Id)
        && AskedFor.TryGetValue(made.Batch.Id, out var askedMin) && askedMin > made.Batch.NeededMin;

    /// <summary>Whether that is so of any.</summary>
    public bool AsksTooLate => Made.Any(IsAskedTooLate);

    /// <summary>Parcels and batches that find no hands or no room, by their names.</summary>
    public IReadOnlySet<string> LetGo { get; init; } = new HashSet<string>();

    /// <summary>By how many minutes a task was moved so that hands and room suffice, by its id; below 0 where it comes sooner. Tasks that were not moved are not there.</summary>
    public IReadOnlyDictionary<string, int> MovedMin { get; init; } = new Dictionary<string, int>();

    /// <summary>By how many minutes a task was moved once more so that equal work is done in one go, by its id.</summary>
    public IReadOnlyDictionary<string, int> MovedInOneGo { get; init; } = new Dictionary<string, int>();

    /// <summary>Tasks that are done right after another by the same hands, with nothing laid out again, each with that other; by their ids.</summary>
    public IReadOnlyDictionary<string, string> RightAfter { get; init; } = new Dictionary<string, string>();

    /// <summary>Everything timed without regard to hands, of which this was levelled.</summary>
    public CrewLevelling? Apart { get; init; }

    /// <summary>What its work costs by being earlier or later than wished, in pie-minutes.</summary>
    public long Cost { get; init; }

    /// <summary>The same, levelled by a solver, where that serves the day better or costs less.</summary>
    /// <param name="snapshot">What is asked.</param>
    /// <param name="calendar">Its shifts.</param>
    /// <param name="effort">Changes tried before it.</param>
    /// <param name="solver">The solver.</param>
    /// <param name="cancellation">Ends the search for something better.</param>
    public DayRound Solved(DaySnapshot snapshot, ShiftCalendar calendar, int effort, IScheduleSolver solver, CancellationToken cancellation)
    {
        // Nothing is to be gained where all is where it is wished.
        if (Apart is not { IsForSolver: true } || (LetGo.Count == 0 && Cost == 0)) return this;
        var level = CrewLevelling.Of(snapshot, calendar, Apart, effort, joins: false, solver, cancellation);
        var solved = With(snapshot, level) with { Cost = level.Cost };
        return solved.IsBetterThan(this) || (solved.ServesAsWellAs(this) && RightAfter.Count == 0 && solved.Cost < Cost) ? solved : this;
    }

    /// <summary>The same ovens, with the work around them levelled for a day that has more hands or more room; null where it is not known how that work lay before.</summary>
    /// <param name="snapshot">The day as it would be.</param>
    /// <param name="effort">Changes tried.</param>
    /// <param name="cancellation">Ends the search for something better.</param>
    public DayRound? Relevelled(DaySnapshot snapshot, int effort, CancellationToken cancellation) => Apart is null ? null
        : With(snapshot, CrewLevelling.Of(snapshot, new ShiftCalendar(snapshot.Shifts, snapshot.Midnights), Apart, effort, joins: true, solver: null, cancellation));

    /// <summary>The same ovens, with the work around them levelled otherwise.</summary>
    private DayRound With(DaySnapshot snapshot, CrewLevelling level) => new(Aims, Problem, Plan, level.Parcels, level.Mixed, level.Made, Mixer, PansOfDay.Short(level.Parcels, Taken.Pans))
    {
        Taken = Taken,
        Lots = Lots,
        FromStock = level.FromStock,
        Standing = StockRoom.Standing(snapshot, Lots, level.FromStock),
        Demands = Demands,
        AskedFor = AskedFor,
        AskedForAgain = AskedForAgain,
        LetGo = level.LetGo,
        MovedMin = level.MovedMin,
        MovedInOneGo = level.MovedInOneGo,
        RightAfter = level.RightAfter,
        Apart = Apart,
        Cost = Cost,
    };

    /// <summary>The same with equal work done in one go, wherever that holds up nothing.</summary>
    /// <param name="snapshot">What is asked.</param>
    /// <param name="calendar">Its shifts.</param>
    /// <param name="effort">Changes tried.</param>
    /// <param name="cancellation">Ends the search for something better.</param>
    public DayRound InOneGo(DaySnapshot snapshot, ShiftCalendar calendar, int effort, CancellationToken cancellation)
    {
        var now = new CrewLevelling(Parcels, Mixed, Made, MovedMin) { FromStock = FromStock, RightAfter = RightAfter, LetGo = LetGo, AtDoors = AtDoors, NotMade = Fates.Where(fate => fate.Unfit > 0).Select(fate => fate.Lot.Id).ToHashSet() };
        var joined = now.InOneGo(snapshot, calendar, effort, cancellation);
        if (ReferenceEquals(now, joined)) return this;
        var round = With(snapshot, joined);
        return round.ServesAsWellAs(this) ? round : this;
    }

    /// <summary>When a pair of hands is at an oven's door.</summary>
    private IReadOnlyList<DoorVisit> AtDoors => Apart?.AtDoors ?? [];

    /// <summary>What becomes of every lot.</summary>
    public IReadOnlyList<LotFate> Fates { get; } = LotFate.Of(Aims, Plan, Parcels, Mixed, Made, Mixer, PansShort);

    /// <summary>Ids of bakes of which a tray has no place in an oven.</summary>
    public IReadOnlySet<string> BakesLeftOut { get; } = Plan.Unplaced.Select(tray => tray.BakeId).ToHashSet();

    /// <summary>When the last tray of each bake is out, by the bake's id.</summary>
    public IReadOnlyDictionary<string, int> LastOut { get; } = Plan.Trays.GroupBy(tray => tray.BakeId).ToDictionary(group => group.Key, group => group.Max(tray => tray.EndMin));

    /// <summary>The parcels of each lot, by the lot's id.</summary>
    public ILookup<string, Parcel> ParcelsOf { get; } = Parcels.ToLookup(parcel => parcel.Work.Lot.Id);

    /// <summary>Whether all work fits around its bakes.</summary>
    public bool Fits => Fates.All(fate => fate.Unfit == 0);

    /// <summary>Whether every pie that must not be late is in time, and every other as late as it may be at most.</summary>
    public bool ServesWhatMust => Fates.All(fate => fate.IsServed);

    /// <summary>The aim of a lot.</summary>
    public LotAim AimOf(LotWork work) => Aims.First(aim => aim.Work == work);

    // Pies that cannot be made weigh more than late ones: a plan that nobody can follow is none. What the ovens cost comes last, and with it
    // what is not ready as long before its use as it should be.
    private (int, int, long, long, decimal) Rank => (
        Fates.Sum(fate => fate.NotBaked),
        Fates.Sum(fate => fate.Unfit),
        // An order that may be late gives way to one that must not be.
        Parcels.Sum(parcel => (long)parcel.Pies * Math.Max(0, parcel.DoneMin - parcel.Work.Lot.PickUpMin - parcel.Work.Lot.MayBeLateMin)),
        Parcels.Sum(parcel => (long)parcel.Pies * Math.Max(0, parcel.DoneMin - parcel.Work.Lot.PickUpMin)),
        Plan.Cost.Total + (PerWaitNotHad * NotWaited));

    // A batch that does not wait at all, where it should, is worth an hour of a hot oven; one that waits half as long half of it (our own choice, no source).
    private static readonly decimal PerWaitNotHad = 60 * BakeWeights.Usual.PerOvenOnMin;

    /// <summary>What part of their waits before they are used batches do not have, all together: 1 for one that has none of what it should.</summary>
    private decimal NotWaited => Made.Sum(made => made.Batch.How.Keeping.ToUse.Aim is > 0 and var aim ? Math.Clamp((aim - (made.Batch.NeededMin - made.DoneMin)) / (decimal)aim, 0, 1) : 0);

    /// <summary>Whether as many pies are made and in time, and what is made before them waits as it should; what the ovens cost for it is another matter.</summary>
    public bool ServesAsWellAs(DayRound other)
    {
        var (mine, theirs) = (Rank, other.Rank);
        return (mine.Item1, mine.Item2, mine.Item3, mine.Item4, NotWaited).CompareTo((theirs.Item1, theirs.Item2, theirs.Item3, theirs.Item4, other.NotWaited)) <= 0;
    }

    /// <summary>Whether this round serves the day better than another.</summary>
    public bool IsBetterThan(DayRound other) => Rank.CompareTo(other.Rank) < 0;
}
