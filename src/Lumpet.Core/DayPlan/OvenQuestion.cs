using Lumpet.Core.Bakery;
using Lumpet.Core.Baking;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>Turns lots into what the oven planner is asked.</summary>
internal sealed class OvenQuestion
{
    // Nobody has looked at the ovens when a day begins; they are at room temperature then, unless a day before has left them warm.
    private const int RoomC = 25;

    // Nobody switches an oven off for less (common practice, no source).
    private const int ShortestOffMin = 10;

    private readonly DaySnapshot snapshot;
    private readonly IReadOnlyList<BakeOven> ovens;
    private readonly IReadOnlyList<DoorPause> allAtWork;

    /// <summary>A question about the ovens of a snapshot, on while somebody watches them; what heat is left from one shift helps the next.</summary>
    public OvenQuestion(DaySnapshot snapshot)
    {
        this.snapshot = snapshot;
        // Where another day's crew is there, its ovens are on and are served.
        OvenOpening[] openings = [.. new ShiftCalendar(snapshot.OvensWatched).Stretches.Concat(snapshot.Taken.Trays.Count > 0 ? snapshot.Taken.OvensWatched : []).Select(stretch => new OvenOpening(stretch.StartMin, stretch.EndMin))];
        allAtWork = AllAtWork(snapshot);
        ovens = [.. snapshot.Ovens.Select(oven => OffWhereNobodyIs(AsAsked(oven).OpenAt(openings)))];
    }

    /// <summary>The problem, with the releases and dues that a round aims at.</summary>
    /// <param name="aims">The lots.</param>
    /// <param name="before">Bakes of what is made before the pies.</param>
    public BakeProblem Problem(IReadOnlyList<LotAim> aims, IEnumerable<Bake> before)
    {
        var shared = PansOfDay.Shared(aims.Select(aim => aim.Work.Lot), snapshot.Taken.Pans);
        return Problem(aims, [.. before.Select(bake => bake with { NotIn = DoorPause.Joined(allAtWork, bake.NotIn), NotOut = DoorPause.Joined(allAtWork, bake.NotOut) }), .. aims.SelectMany(aim => aim.Work.Graph.Bakes.Select(node => BakeOf(aim, node, shared)))]);
    }

    private BakeProblem Problem(IReadOnlyList<LotAim> aims, IReadOnlyList<Bake> bakes) => new(snapshot.ToleranceC, snapshot.TransferMin, ovens, bakes)
    {
        Weights = snapshot.School.Weights(),
        OpenCPerTray = snapshot.OpenCPerTray,
        Pans = PansOfDay.Stocks(aims.Select(aim => aim.Work.Lot)),
        Standing = [.. snapshot.Taken.Trays.Where(tray => ovens.Any(oven => oven.Id == tray.OvenId))],
        StandingPans = [.. snapshot.Taken.Pans.Where(hold => aims.Any(aim => aim.Work.Lot.Pan is { AtOnce: not null } pan && pan.Id == hold.PanId))],
    };

    /// <summary>
    /// When all who are there are at work for days before, where trays take minutes of hands at every oven: nobody is free for a door then. Of several
    /// trays only the first minutes are looked at; the others may keep someone from that work for as long as they take.
    /// </summary>
    private static DoorPause[] AllAtWork(DaySnapshot snapshot)
    {
        var actionMin = snapshot.Ovens.Select(oven => oven.ActionMin).DefaultIfEmpty(0).Min();
        if (actionMin == 0 || snapshot.Taken.Work.Count == 0) return [];
        bool IsAtWork(int minute) => snapshot.Shifts.Any(shift => shift.StartMin <= minute && minute < shift.EndMin && shift.People > 0) && snapshot.HandsFreeAt(minute) == 0;
        int[] turns = [.. snapshot.Taken.Work.SelectMany(work => new[] { work.FromMin, work.ToMin }).Concat(snapshot.Shifts.SelectMany(shift => new[] { shift.StartMin, shift.EndMin })).Distinct().Order()];
        return [.. DoorPause.Joined([.. turns.Zip(turns.Skip(1)).Where(stretch => IsAtWork(stretch.First)).Select(stretch => new DoorPause(Math.Max(0, stretch.First - actionMin + 1), stretch.Second - 1))], [])];
    }

    private BakeOven AsAsked(Oven oven) => snapshot.Taken.Warm.FirstOrDefault(warm => warm.OvenId == oven.Id) is { } left
        ? Cold(oven) with { StartC = left.Celsius, StartSettingC = left.SettingC }
        : Cold(oven);

    /// <summary>Where nobody is there when the clock begins, it has been switched off by then.</summary>
    private static BakeOven OffWhereNobodyIs(BakeOven oven) => oven.Openings.Any(opening => opening.FromMin <= 0 && opening.ToMin > 0) ? oven : oven with { StartSettingC = null };

    private static BakeOven Cold(Oven oven) =>
        new(oven.Id, oven.Shelves, oven.MinC, oven.MaxC, oven.HeatCPerMin, oven.CoolCPerMin, RoomC, 0, 0) { FloorPlaces = oven.FloorPlaces, ShortestOffMin = ShortestOffMin, ActionMin = oven.ActionMin };

    private Bake BakeOf(LotAim aim, int node, IReadOnlySet<string> shared) => new(
        aim.Work.BakeId(node),
        aim.Work.Lot.Trays,
        HeatedTrays.Stages(aim.Work.Graph.Nodes[node]),
        HeatedTrays.Release(aim.Work.Graph.Nodes[node], aim.Release[node]),
        aim.Due(node),
        node == aim.Work.Graph.LastBake ? aim.Work.Lot.PickUpMin - aim.Work.Lot.Product.OldestAtPickUp : null,
        null,
        After(aim, node))
    {
        Pan = PansOfDay.Need(aim, node, shared.Contains(aim.Work.Lot.Pan.Id) ? snapshot.HorizonMin : null),
        OnFloor = aim.Work.Graph.Nodes[node].Place == OvenPlace.Floor,
        NotIn = DoorPause.Joined(allAtWork, aim.IsAtAnyHour ? [] : aim.Work.NotIn(node, snapshot.HorizonMin)),
        NotOut = DoorPause.Joined(allAtWork, node == aim.Work.Graph.LastBake && !aim.IsAtAnyHour ? aim.Work.NotOut(snapshot.HorizonMin) : []),
    };

    /// <summary>A bake follows the one before it, tray by tray, by what lies between them.</summary>
    private static IReadOnlyList<BakeAfter> After(LotAim aim, int node)
    {
        var before = aim.Work.Graph.Bakes.LastOrDefault(other => other < node, -1);
        if (before < 0 || aim.Between(before, node) is not { } lag) return [];
        return [HeatedTrays.After(aim.Work.Graph.Nodes[node], new BakeAfter(aim.Work.BakeId(before), lag.Least, lag.Most, true))];
    }
}
