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

    /// <summary>Parcels and batches that are let go, by their names.</summary>
    public IReadOnlySet<string> LetGo { get; init; } = new HashSet<string>();

    // What finds no hands or room is let go, and the rest is levelled once more without it: after so many times only built, not searched.
    private const int TriesWithSearch = 5;

    /// <summary>Levels a round; where nobody has said how many people are there, nor how much room, nothing moves.</summary>
    /// <param name="snapshot">What is asked.</param>
    /// <param name="calendar">Its shifts.</param>
    /// <param name="none">Everything timed without regard to hands.</param>
    /// <param name="effort">Changes tried.</param>
    /// <param name="cancellation">Ends the search for something better.</param>
    public static CrewLevelling Of(DaySnapshot snapshot, ShiftCalendar calendar, CrewLevelling none, int effort, CancellationToken cancellation)
    {
        if (!snapshot.Room.IsCounted && snapshot.Shifts.All(shift => shift.People is null)) return none;
        var letGo = new Dictionary<string, PlanText>();
        // Each time something more is let go, so that it ends.
        for (var tries = 0; ; tries++)
        {
            var work = new CrewWork(snapshot, calendar, none, letGo.Keys.ToHashSet());
            var found = Scheduler.Plan(work.Problem, tries < TriesWithSearch ? effort : 0, cancellation: cancellation);
            var without = work.WithoutPlace(found).ToArray();
            if (without.Length == 0) return new MovedWork(work, found).Of(none, letGo) with { LetGo = letGo.Keys.ToHashSet() };
            foreach (var (owner, why) in without) letGo.TryAdd(owner, why);
        }
    }
}
