using Lumpet.Core.Bakery;
using Lumpet.Core.Recipes.Schools;
using static Lumpet.Core.DayPlan.PlanText;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// Says what does not work out, and what would free it. Nothing is named that was not tried: each way out is planned, and
/// only one that helps is said, with what it does.
/// </summary>
internal static class Troubles
{
    // A way out is planned roughly: whether it helps shows at once.
    private const int EffortOfATry = 2;
    private const int RoundsOfATry = 4;

    // Changes tried where only the work around the ovens is levelled anew.
    private const int EffortOfALevelling = 300;

    // Beyond this many trays a try takes longer than someone waits.
    private const int MostTraysToTry = 160;

    // A later pick-up is tried lot by lot.
    private const int MostLatePickUpsTried = 3;

    private const int EarlierMin = 240;

    // Each is a whole day planned; a recipe may offer nine.
    private const int MostSchoolsTried = 4;

    // What may help, the least change of the pie first: its heat, where it waits, its base.
    private static readonly SchoolPlace[] SchoolsTried = [SchoolPlace.Heat, SchoolPlace.Rest, SchoolPlace.Base];

    // Each is a whole day planned.
    private const int MostLotsTried = 3;

    // A manager reads two or three, and pick-ups are moved by what a clock shows.
    private const int MostWaysOut = 3;
    private const int MovedToMin = 5;
    private const int MostLaterMin = 240;

    /// <summary>The troubles of a round, worst first, and what can be done about them, what helps most first.</summary>
    /// <param name="snapshot">What was asked.</param>
    /// <param name="round">What came of it.</param>
    /// <param name="patience">How long someone waits: when it runs out no more ways out are tried.</param>
    /// <param name="progress">Told what part of the ways out has been tried.</param>
    public static (IReadOnlyList<Trouble> Troubles, IReadOnlyList<WayOut> Ways) In(DaySnapshot snapshot, DayRound round, Patience patience, IProgress<double>? progress = null)
    {
        LotFate[] missed = [.. round.Fates.Where(fate => fate.Missed > 0).OrderByDescending(fate => fate.NotBaked + fate.Unfit).ThenByDescending(fate => fate.LateMin)];
        if (missed.Length == 0) return ([], []);
        var trays = round.Aims.Sum(aim => aim.Work.Lot.Trays.Count * aim.Work.Graph.Bakes.Count);
        // What may be late needs no way out.
        Way[] ways = trays > MostTraysToTry || missed.All(fate => fate.IsServed) ? [] : [.. WaysOut(snapshot)];
        Tried[] tried = [.. ways.TakeWhile(_ => !patience.IsOver).Select((way, at) =>
        {
            progress?.Report(at / (double)ways.Length);
            // The ovens may stay as they are: then that is tried first, and is enough where nothing is missed any more.
            var levelled = way.SparesOvens ? round.Relevelled(way.Snapshot, EffortOfALevelling, patience.Enough)?.Fates : null;
            if (levelled is not null && Served(levelled).Missed == 0) return new Tried(way, levelled);
            var planned = DayPlanner.Best(way.Snapshot, EffortOfATry, RoundsOfATry, patience).Fates;
            return new Tried(way, levelled is not null && Served(levelled).CompareTo(Served(planned)) < 0 ? levelled : planned);
        })];
        // What only takes from others what it gives is no way out: the whole day must be served better.
        var before = Served(round.Fates);
        Tried[] helping = [.. tried.Where(one => Served(one.Fates).CompareTo(before) < 0)];
        var untried = patience.IsOver && helping.Length == 0 ? Say($"what would free it has not been tried yet")
            : trays > MostTraysToTry ? Say($"what would free it is not tried on a day of this size; fewer pies, or another day for some of them")
            : null;
        var place = round.Fates.Select((fate, at) => (fate.Lot.Id, at)).ToDictionary(pair => pair.Id, pair => pair.at);
        Trouble[] troubles = [.. missed.SelectMany((fate, at) => Of(
            snapshot, fate, [.. helping.Select(one => (one.Way.Words, one.Fates[place[fate.Lot.Id]], Served(one.Fates).Missed))], [.. tried.Select(one => one.Way.Words)], untried, tryPickUp: at < MostLatePickUpsTried))];
        WayOut Found(WayOutKind kind, int amount, int? pickUp, IReadOnlyList<LotFate> after) => new(kind, amount, pickUp, DayServed.Of(round.Fates), DayServed.Of(after));
        (WayOut Way, (int, long) Served)[] open =
        [
            .. helping.Where(one => one.Way.Kind is not null).Select(one => (Found(one.Way.Kind!.Value, one.Way.Amount, null, one.Fates), Served(one.Fates))),
            .. ways.Length == 0 ? [] : OtherSchools(snapshot, missed, patience).Where(one => IsWorthIt(Served(one.Fates), before)).Select(one => (Found(WayOutKind.OtherSchool, 0, null, one.Fates) with { School = one.School }, Served(one.Fates))),
            .. ways.Length == 0 ? [] : LeavingOut(snapshot, round.Fates, patience)
                .Select(one => (Way: Found(WayOutKind.LeaveOut, 0, null, one.Fates).Without(one.Lot, one.Pies), Served: (Missed: one.Pies + Served(one.Fates).Missed, Served(one.Fates).LateMin)))
                .Where(one => one.Served.Missed < before.Missed).OrderBy(one => one.Served).Take(1),
            .. ways.Length == 0 ? [] : LaterPickUps(snapshot, round.Fates, patience).Where(one => Served(one.Fates).CompareTo(before) < 0).Select(one => (Found(WayOutKind.LaterPickUp, one.ByMin, one.PickUpMin, one.Fates), Served(one.Fates))),
        ];
        // Fewer are late, but more are not made at all: that is none, unless the manager says which.
        return (troubles, [.. open.Where(one => one.Way.Kind == WayOutKind.LeaveOut || one.Way.After.NotMade <= one.Way.Before.NotMade).OrderBy(one => one.Served).Take(MostWaysOut).Select(one => one.Way)]);
    }

    /// <summary>The pick-up of which most pies are late, at when the last of them is boxed; none where that is hours later or another day.</summary>
    private static IEnumerable<(int PickUpMin, int ByMin, IReadOnlyList<LotFate> Fates)> LaterPickUps(DaySnapshot snapshot, IReadOnlyList<LotFate> fates, Patience patience)
    {
        foreach (var wave in fates.Where(fate => fate.Late > 0).GroupBy(fate => fate.Lot.PickUpMin).OrderByDescending(wave => wave.Sum(fate => fate.Late)).Take(1))
        {
            var by = (wave.Max(fate => fate.LateMin) + MovedToMin - 1) / MovedToMin * MovedToMin;
            if (patience.IsOver || by > MostLaterMin || wave.Key + by >= snapshot.HorizonMin) continue;
            var moved = snapshot with { Orders = [.. snapshot.Orders.Select(order => order.PickUpMin == wave.Key ? order with { PickUpMin = wave.Key + by } : order)] };
            yield return (wave.Key, by, DayPlanner.Best(moved, EffortOfATry, RoundsOfATry, patience).Fates);
        }
    }

    /// <summary>The product of which most pies are missed, made by other schools.</summary>
    private static IEnumerable<(DaySchool School, IReadOnlyList<LotFate> Fates)> OtherSchools(DaySnapshot snapshot, LotFate[] missed, Patience patience)
    {
        var product = missed.GroupBy(fate => fate.Lot.Product.Id).OrderByDescending(same => same.Sum(fate => fate.Missed)).First().First().Lot.Product;
        foreach (var (school, _) in AnotherSchool.All(product).Where(one => SchoolsTried.Contains(one.School.Place)).OrderBy(one => Array.IndexOf(SchoolsTried, one.School.Place)).Take(MostSchoolsTried))
        {
            if (patience.IsOver) yield break;
            var taken = new DaySchool(product.Id, school.Place, school.Id);
            yield return (taken, DayPlanner.Best(taken.In(snapshot), EffortOfATry, RoundsOfATry, patience).Fates);
        }
    }

    /// <summary>The day without one of its lots: what may be late first, then what is missed already, the fewest pies first. One that has as many pies as are missed helps nothing.</summary>
    private static IEnumerable<(Lot Lot, int Pies, IReadOnlyList<LotFate> Fates)> LeavingOut(DaySnapshot snapshot, IReadOnlyList<LotFate> fates, Patience patience)
    {
        var missed = fates.Sum(fate => fate.Missed);
        var lots = fates.GroupBy(fate => (Product: fate.Lot.Product.Id, Pan: fate.Lot.Pan.Id, fate.Lot.PickUpMin))
            .Select(same => (Fates: same.ToArray(), Pies: same.Sum(fate => fate.Lot.Count)))
            .Where(lot => lot.Pies < missed)
            .OrderByDescending(lot => lot.Fates.All(fate => fate.Lot.MayBeLateMin > 0))
            .ThenByDescending(lot => lot.Fates.Any(fate => fate.Missed > 0))
            .ThenBy(lot => lot.Pies);
        foreach (var (same, pies) in lots.Take(MostLotsTried))
        {
            if (patience.IsOver) yield break;
            var lot = same[0].Lot;
            var without = snapshot with { Orders = [.. snapshot.Orders.Where(order => (order.Product.Id, order.Pan.Id, order.PickUpMin) != (lot.Product.Id, lot.Pan.Id, lot.PickUpMin))] };
            yield return (lot, pies, DayPlanner.Best(without, EffortOfATry, RoundsOfATry, patience).Fates);
        }
    }

    /// <summary>A pie is made another way only for something: fewer are missed, or they are late by much less.</summary>
    private static bool IsWorthIt((int Missed, long LateMin) after, (int Missed, long LateMin) before) =>
        after.Missed < before.Missed || (after.Missed == before.Missed && after.LateMin < before.LateMin && after.LateMin * 4 <= before.LateMin * 3);

    /// <summary>How badly a day is served: pies that are missed, and by how many minutes late ones are.</summary>
    private static (int Missed, long LateMin) Served(IReadOnlyList<LotFate> fates) => (fates.Sum(fate => fate.Missed), fates.Sum(fate => (long)fate.Late * fate.LateMin));

    private static IEnumerable<Trouble> Of(DaySnapshot snapshot, LotFate fate, (string Words, LotFate After, int Missed)[] helping, string[] tried, PlanText? untried, bool tryPickUp)
    {
        var mend = fate.IsServed ? Say($"they may be up to {Long(fate.Lot.MayBeLateMin)} late") : untried ?? Mend(snapshot, fate, helping, tried, tryPickUp);
        if (fate.NotBaked > 0) yield return new Trouble(fate.Lot.Id, TroubleKind.NotBaked, fate.NotBaked, 0, fate.WhyNotBaked, mend);
        if (fate.Unfit > 0) yield return new Trouble(fate.Lot.Id, TroubleKind.Unfit, fate.Unfit, 0, fate.WhyUnfit, mend);
        if (fate.Late > 0) yield return new Trouble(fate.Lot.Id, TroubleKind.Late, fate.Late, fate.LateMin, Say($"the last of them is boxed at {At(fate.Lot.PickUpMin + fate.LateMin)}"), mend);
    }

    /// <summary>The way out that helps most, and how far.</summary>
    private static PlanText Mend(DaySnapshot snapshot, LotFate fate, (string Words, LotFate After, int Missed)[] helping, string[] tried, bool tryPickUp)
    {
        var best = helping
            .Where(one => IsBetter(one.After, fate))
            .OrderBy(one => one.Missed).ThenBy(one => one.After.Missed).ThenBy(one => one.After.LateMin)
            .FirstOrDefault();
        if (best.Words is not null) return Said(best.Words, fate, best.After);
        if (tryPickUp && fate is { NotBaked: 0, Unfit: 0 } && LaterPickUp(snapshot, fate) is { } later) return later;
        return Say($"none of these frees it alone: {string.Join(", ", tried)}");
    }

    private static PlanText Said(string way, LotFate before, LotFate after) => after.Missed == 0
        ? Say($"with {way} they would all be boxed in time")
        : after.Missed < before.Missed ? Say($"with {way}, {before.Missed - after.Missed} of the {before.Missed} would be boxed in time")
        : Say($"with {way} the last of them would be {Long(after.LateMin)} late, not {Long(before.LateMin)}");

    private static bool IsBetter(LotFate after, LotFate before) =>
        after.Missed < before.Missed || (after.Missed == before.Missed && after.Late == before.Late && after.LateMin < before.LateMin - 4);

    private static PlanText? LaterPickUp(DaySnapshot snapshot, LotFate fate)
    {
        var pickUp = fate.Lot.PickUpMin + fate.LateMin;
        var moved = snapshot with
        {
            Orders = [.. snapshot.Orders.Select(order => order.Product.Id == fate.Lot.Product.Id && order.Pan.Id == fate.Lot.Pan.Id && order.PickUpMin == fate.Lot.PickUpMin ? order with { PickUpMin = pickUp } : order)],
            HorizonMin = Math.Max(snapshot.HorizonMin, pickUp),
        };
        var after = DayPlanner.Best(moved, EffortOfATry, RoundsOfATry).Fates.Where(other => other.Lot.Product.Id == fate.Lot.Product.Id && other.Lot.Pan.Id == fate.Lot.Pan.Id && other.Lot.PickUpMin == pickUp);
        return after.Sum(other => other.Missed) == 0 ? Say($"a pick-up at {At(pickUp)} would be met") : null;
    }

    /// <summary>Each thing that may bind, taken away: what is tried.</summary>
    private static IEnumerable<Way> WaysOut(DaySnapshot snapshot)
    {
        if (snapshot.Shifts.Count == 0) yield break;
        // Of ways that help alike the first is said: what is had soonest comes first.
        if (snapshot.Shifts.Any(shift => shift.People is not null))
            yield return new Way("one more pair of hands in every shift", snapshot with { Shifts = [.. snapshot.Shifts.Select(shift => shift with { People = shift.People + 1 })] }, WayOutKind.MoreHands, SparesOvens: true);
        yield return new Way("twice the shelves in every oven", snapshot with { Ovens = [.. snapshot.Ovens.Select(oven => oven with { Shelves = oven.Shelves * 2, FloorPlaces = oven.FloorPlaces * 2 })] }, null);
        if (snapshot.Orders.Any(order => order.Pan.AtOnce is not null))
            yield return new Way("twice the pans", snapshot with { Orders = [.. snapshot.Orders.Select(order => order with { Pan = order.Pan with { Owned = order.Pan.Owned * 2 } })] }, null);
        if (snapshot.Ovens.Any(oven => oven.ActionMin > 0))
            yield return new Way("hands at every oven at any time", snapshot with { Ovens = [.. snapshot.Ovens.Select(oven => oven with { ActionMin = 0 })] }, null);
        foreach (var (words, roomier) in Roomier(snapshot)) yield return new Way(words, roomier, null, SparesOvens: true);
        yield return new Way("a second oven of each kind", snapshot with { Ovens = [.. snapshot.Ovens, .. snapshot.Ovens.Select(oven => oven with { Id = $"{oven.Id}/second" })] }, null);
        if (Between(snapshot) is { } between) yield return between;
        yield return new Way("a mixer of twice the size", snapshot with { Mixer = new Mixer(snapshot.Mixer.Name, snapshot.Mixer.SmallestBatch, snapshot.Mixer.LargestBatch * 2) }, null);
        yield return new Way($"work begun {Long(EarlierMin)} earlier", Earlier(snapshot), WayOutKind.Earlier) { Amount = EarlierMin };
    }

    /// <summary>As many hands between the shifts, and up to the last pick-up, as in the largest of them; null where people are there all along.</summary>
    private static Way? Between(DaySnapshot snapshot)
    {
        var pauses = snapshot.Pauses;
        if (pauses.Count == 0) return null;
        int? people = snapshot.Shifts.Any(shift => shift.People is null) ? null : Math.Min(DayArrangement.MostBetweenHands, snapshot.Shifts.Max(shift => shift.People!.Value));
        DayShift[] more = [.. pauses.Select(pause => new DayShift("Between shifts", pause.FromMin, pause.ToMin) { People = people })];
        return new Way("people there between the shifts, and up to the last pick-up", snapshot with { Shifts = [.. snapshot.Shifts, .. more], OvensWatched = [.. snapshot.OvensWatched, .. more] }, WayOutKind.Between) { Amount = people ?? 1 };
    }

    /// <summary>More of each kind of room that is counted.</summary>
    private static IEnumerable<(string Words, DaySnapshot Snapshot)> Roomier(DaySnapshot snapshot)
    {
        var room = snapshot.Room;
        if (room.BenchPlaces is { } places) yield return ("one more place at the bench", snapshot with { Room = room with { BenchPlaces = places + 1 } });
        if (room.Burners is { } burners) yield return ("one more burner", snapshot with { Room = room with { Burners = burners + 1 } });
        if (room.RackTrays is { } racks) yield return ("twice the racks", snapshot with { Room = room with { RackTrays = racks * 2 } });
        if (room.FridgeTrays is not null || room.FridgeKilograms is not null)
            yield return ("a second fridge", snapshot with { Room = room with { FridgeTrays = room.FridgeTrays * 2, FridgeKilograms = room.FridgeKilograms * 2 } });
        if (room.FreezerTrays is not null || room.FreezerKilograms is not null)
            yield return ("a second freezer", snapshot with { Room = room with { FreezerTrays = room.FreezerTrays * 2, FreezerKilograms = room.FreezerKilograms * 2 } });
    }

    /// <summary>The same day with a first shift that begins earlier; minutes count from there.</summary>
    private static DaySnapshot Earlier(DaySnapshot snapshot)
    {
        var first = snapshot.Shifts.MinBy(shift => shift.StartMin);
        IReadOnlyList<DayShift> Later(IEnumerable<DayShift> shifts) => [.. shifts.Select(shift => shift.StartMin == first!.StartMin
            ? shift with { EndMin = shift.EndMin + EarlierMin }
            : shift with { StartMin = shift.StartMin + EarlierMin, EndMin = shift.EndMin + EarlierMin })];
        return snapshot with
        {
            Taken = snapshot.Taken.Later(EarlierMin),
            Stock = snapshot.Stock.Later(EarlierMin),
            Midnights = [.. snapshot.Midnights.Select(midnight => midnight + EarlierMin)],
            OvensWatched = Later(snapshot.OvensWatched),
            Orders = [.. snapshot.Orders.Select(order => order with { PickUpMin = order.PickUpMin + EarlierMin })],
            Shifts = Later(snapshot.Shifts),
            HorizonMin = snapshot.HorizonMin + EarlierMin,
        };
    }

    /// <summary>A way out that is tried.</summary>
    /// <param name="Words">What it is, after "with".</param>
    /// <param name="Snapshot">The day with it.</param>
    /// <param name="Kind">What a manager does for it; null of what cannot be had in a day.</param>
    /// <param name="SparesOvens">Whether nothing about the ovens need be other than it is.</param>
    private sealed record Way(string Words, DaySnapshot Snapshot, WayOutKind? Kind, bool SparesOvens = false)
    {
        /// <summary>How many hands, or by how many minutes.</summary>
        public int Amount { get; init; } = 1;
    }

    /// <summary>A way out that was planned.</summary>
    /// <param name="Way">Which.</param>
    /// <param name="Fates">What then becomes of the lots, in the order of the round.</param>
    private sealed record Tried(Way Way, IReadOnlyList<LotFate> Fates);
}
