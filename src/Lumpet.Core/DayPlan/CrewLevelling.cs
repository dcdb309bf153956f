using Lumpet.Core.Baking;
using Lumpet.Core.Dough;
using Lumpet.Core.Scheduling;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// Moves work so that no more hands, pans and room are wanted at a minute than are there. The ovens stay as they are planned; work around them
/// gives way by as few minutes as can be, within what its lags, its keeping, the mixer and the shifts allow. Pies whose work finds
/// no hands or no room stay where they were and take none, so that they hold up nobody else.
/// </summary>
/// <param name="Parcels">The parcels, moved.</param>
/// <param name="Mixed">Dough batches, moved.</param>
/// <param name="Made">What is made before the pies, moved.</param>
/// <param name="MovedMin">By how many minutes each task that is moved is, by its id; below 0 where it comes sooner.</param>
internal sealed record CrewLevelling(
    IReadOnlyList<Parcel> Parcels, IReadOnlyList<MixedBatch> Mixed, IReadOnlyList<MadeBatch> Made, IReadOnlyDictionary<string, int> MovedMin)
{
    /// <summary>What is taken of what is there already, moved with what takes it.</summary>
    public IReadOnlyList<StockUse> FromStock { get; init; } = [];

    /// <summary>Tasks that are done right after another by the same hands, with nothing laid out again, each with that other; by their ids.</summary>
    public IReadOnlyDictionary<string, string> RightAfter { get; init; } = new Dictionary<string, string>();

    /// <summary>Lots of which some pies are known not to be made, by their ids.</summary>
    public IReadOnlySet<string> NotMade { get; init; } = new HashSet<string>();

    /// <summary>Parcels and batches that are let go, by their names.</summary>
    public IReadOnlySet<string> LetGo { get; init; } = new HashSet<string>();

    /// <summary>When a pair of hands is at an oven's door.</summary>
    public IReadOnlyList<DoorVisit> AtDoors { get; init; } = [];

    // What finds no hands or room is let go, and the rest is levelled once more without it: after so many times only built, not searched.
    private const int TriesWithSearch = 5;

    // Of a usual day a solver proves the search's own answer within so much, or betters it; ten times as much by the clock.
    private const double SolverWork = 0.02;
    private const int TriesWithSolver = 1;

    // Of 36 to 75 pieces of work it betters some in that time; of 31 days with 84 to 192 it bettered seven by a little, and held up each by half a second.
    private const int MostPiecesSolved = 80;

    // While ovens are still being planned, equal work is joined in one way or not at all.
    private const int TriesWhereLacking = 1;

    /// <summary>Levels a round; where nobody has said how many people are there, nor how much room, nothing moves.</summary>
    /// <param name="snapshot">What is asked.</param>
    /// <param name="calendar">Its shifts.</param>
    /// <param name="none">Everything timed without regard to hands.</param>
    /// <param name="effort">Changes tried.</param>
    /// <param name="joins">Whether equal work may be done in one go where hands or room lack.</param>
    /// <param name="solver">Betters what was found; null where nothing does.</param>
    /// <param name="cancellation">Ends the search for something better.</param>
    public static CrewLevelling Of(DaySnapshot snapshot, ShiftCalendar calendar, CrewLevelling none, int effort, bool joins, IScheduleSolver? solver, CancellationToken cancellation)
    {
        if (!snapshot.Room.IsCounted && snapshot.Shifts.All(shift => shift.People is null)) return none;
        var letGo = new Dictionary<string, PlanText>();
        // Each time something more is let go, so that it ends.
        for (var tries = 0; ; tries++)
        {
            var work = new CrewWork(snapshot, calendar, none, letGo.Keys.ToHashSet());
            var found = Scheduler.Plan(work.Problem, tries < TriesWithSearch ? effort : 0, cancellation: cancellation);
            if (solver is not null && tries < TriesWithSolver) found = solver.Better(work.Problem, found, SolverWork, cancellation: cancellation).Schedule;
            IReadOnlyDictionary<string, string> rightAfter = none.RightAfter;
            // What is done in one go takes fewer hands.
            if (joins && tries == 0 && work.Lacking(found) > 0 && WorkRuns.Joined(work, found, effort, TriesWhereLacking, cancellation) is var joined && work.Lacking(joined.Found) == 0) (found, rightAfter) = joined;
            var without = work.WithoutPlace(found).ToArray();
            if (without.Length == 0) return new MovedWork(work, found, rightAfter).Of(none, letGo) with { LetGo = letGo.Keys.ToHashSet(), Cost = found.Cost };
            foreach (var (owner, why) in without) letGo.TryAdd(owner, why);
        }
    }

    /// <summary>Whether it is small enough for a solver to better it in the time that it is given.</summary>
    public bool IsForSolver => Parcels.Sum(parcel => parcel.Times.Start.Length) + Mixed.Count + Made.Sum(made => made.Steps.Count) <= MostPiecesSolved;

    /// <summary>The same with equal work done in one go, wherever that holds up nothing.</summary>
    /// <param name="snapshot">What is asked.</param>
    /// <param name="calendar">Its shifts.</param>
    /// <param name="effort">Changes tried.</param>
    /// <param name="cancellation">Ends the search for something better.</param>
    public CrewLevelling InOneGo(DaySnapshot snapshot, ShiftCalendar calendar, int effort, CancellationToken cancellation)
    {
        var work = new CrewWork(snapshot, calendar, this, LetGo, isToStay: true);
        // Everything has its place where it is.
        var here = new Schedule([.. work.Problem.Activities.Select(one => (int?)one.WishMin)], 0, 0);
        var (found, rightAfter) = WorkRuns.Joined(work, here, effort, WorkRuns.ManyTries, cancellation);
        if (ReferenceEquals(found, here)) return this;
        var moved = new MovedWork(work, found, rightAfter).Of(this, new Dictionary<string, PlanText>());
        return moved with { LetGo = LetGo, MovedMin = MovedMin, MovedInOneGo = moved.MovedMin };
    }

    /// <summary>What its work costs by being earlier or later than wished, in pie-minutes.</summary>
    public long Cost { get; init; }

    /// <summary>By how many minutes tasks were moved once more so that equal work is done in one go, by their ids.</summary>
    public IReadOnlyDictionary<string, int> MovedInOneGo { get; init; } = new Dictionary<string, int>();
}
