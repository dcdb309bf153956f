using System.Security.Cryptography;
using System.Text.Json;
using Lumpet.Core.Bakery;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Orders;
using Lumpet.Core.Recipes;
using Lumpet.Server.Bakery;
using Lumpet.Store.Bakery;
using Lumpet.Store.DayPlan;
using Lumpet.Store.Orders;
using Lumpet.Store.Recipes;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Server.DayPlan;

/// <summary>What a day's plan follows from, gathered from the stores.</summary>
/// <param name="Day">The day of the pick-ups.</param>
/// <param name="Bakery">The bakery.</param>
/// <param name="Products">The products that are ordered for it.</param>
/// <param name="Snapshot">The snapshot.</param>
/// <param name="Clock">Minutes of the snapshot as clock times.</param>
/// <param name="Library">Stamps of the recipes that it takes, of what those are made of, of pans and bakery as they were read.</param>
internal sealed record DayBook(
    LocalDate Day, BakeryRecord Bakery, IReadOnlyList<Product> Products, DaySnapshot Snapshot, PlanClock Clock, IReadOnlyList<ItemStamp> Library)
{
    /// <summary>
    /// A fingerprint of the snapshot: the same fingerprint, the same plan. The library enters by the stamps of what the
    /// day takes, since a thousand orders name a handful of recipes a thousand times; other recipes, and prices, change nothing.
    /// </summary>
    public string Fingerprint => Convert.ToHexStringLower(SHA256.HashData(JsonSerializer.SerializeToUtf8Bytes(new
    {
        Day = Days.Iso(Day),
        Start = Clock.Start.ToUnixTimeSeconds(),
        Library,
        Snapshot.Shifts,
        Snapshot.OvensWatched,
        Snapshot.School,
        Ovens = Snapshot.Ovens.Select(oven => oven.Id),
        Arrangement.LongerBakes,
        Arrangement.Schools,
        Earlier = Earlier.Select(other => other.Fingerprint),
        Snapshot.Stock,
        Snapshot.Kept,
        GoingOn = Snapshot.GoingOn.Select(task => new { task.Id, task.StartMin, task.EndMin }),
        Orders = Snapshot.Orders.Select(order => new { Product = order.Product.Id, Pan = order.Pan.Id, order.Count, order.PickUpMin, order.For, order.MayBeLateMin }),
    })))[..16];

    /// <summary>What is arranged for the day; the snapshot has it already.</summary>
    public DayArrangement Arrangement { get; init; } = DayArrangement.Usual;

    /// <summary>Pies that are ordered and left out of the plan, by the pick-up.</summary>
    public IReadOnlyList<LeftOutPies> LeftOut { get; init; } = [];

    /// <summary>The plan that its crew works by; null where none is published.</summary>
    public FollowedPlan? Followed { get; init; }

    /// <summary>What a published plan has begun, on this clock; null where nothing is.</summary>
    public BegunWork? Begun { get; init; }

    /// <summary>What is left of the day at a minute, on a clock that begins then.</summary>
    /// <param name="minute">The minute.</param>
    /// <param name="begun">What was begun, on this day's clock.</param>
    /// <param name="made">What is made here, by the ingredient's id.</param>
    public DayBook At(int minute, BegunWork begun, IReadOnlyDictionary<string, Ingredient> made) => this with
    {
        Snapshot = Snapshot.From(minute, begun),
        Clock = new PlanClock(Clock.InstantAt(minute), Bakery.Zone),
        Begun = begun.From(minute),
        MadeThere = MadeThere.Concat(begun.Stock.Masses.Select(mass => KeyValuePair.Create(mass.MadeId, made[mass.MadeId]))).DistinctBy(one => one.Key).ToDictionary(),
    };

    /// <summary>What there is already of what is made before the pies, by the ingredient's id.</summary>
    public IReadOnlyDictionary<string, Ingredient> MadeThere { get; init; } = new Dictionary<string, Ingredient>();

    /// <summary>Days before whose work may reach into this one, earliest first: this day is planned around their plans.</summary>
    public IReadOnlyList<DayBook> Earlier { get; init; } = [];

    // Days from yesterday up to so many days ahead are planned one around the other; what lies beyond is planned by itself.
    private const int DaysAhead = 7;

    /// <summary>Gathers a day with those before it that it is planned around, or null while no bakery is set up.</summary>
    /// <param name="connection">Where it is read.</param>
    /// <param name="day">The day.</param>
    /// <param name="clock">The clock; null for the day by itself.</param>
    /// <param name="arranged">Its arrangement, where another than its own is asked about.</param>
    public static DayBook? Open(SqliteConnection connection, LocalDate day, BakeryClock? clock, DayArrangement? arranged = null)
    {
        if (BakeryStore.Find(connection) is not { } bakery) return null;
        var first = clock?.Today(bakery.Zone).PlusDays(-1);
        if (first is null) return Alone(connection, bakery, day, day, [], arranged);
        var before = new List<DayBook>();
        // What lies beyond, and what has passed, is planned by itself.
        for (var date = first.Value; date < day && day <= first.Value.PlusDays(DaysAhead + 1); date = date.PlusDays(1))
        {
            if (OrderStore.Total(connection, date).Lines > 0) before.Add(FollowedPlan.Of(connection, Alone(connection, bakery, date, first.Value.PlusDays(1), before, null), clock!.Now));
        }

        var asked = Alone(connection, bakery, day, first.Value.PlusDays(1), before, arranged);
        return arranged is null ? FollowedPlan.Of(connection, asked, clock!.Now) : asked;
    }

    /// <summary>A day, with what of the days before reaches into it.</summary>
    private static DayBook Alone(SqliteConnection connection, BakeryRecord bakery, LocalDate day, LocalDate today, IReadOnlyList<DayBook> before, DayArrangement? arranged)
    {
        var orders = OrderStore.OnDay(connection, day);
        var arrangement = arranged ?? ArrangementStore.Of(connection, day);
        var all = RecipeStore.Products(connection, [.. orders.Select(order => order.Line.Product).Distinct()]);
        var isLeftOut = orders.ToLookup(order => arrangement.LeftOut.Any(lot => lot.Has(order.Line)), order => order.Line);
        OrderLine[] ordered = [.. isLeftOut[false]];
        Product[] products = [.. all.Where(product => ordered.Any(line => line.Product == product.Id))];
        var lastPickUp = orders.Select(order => order.Line.PickUp).Select(pickUp => OrderStore.InstantOf(pickUp, bakery.Zone)).DefaultIfEmpty(Instant.MinValue).Max();
        var first = day.PlusDays(-bakery.DaysAhead);
        var worked = WithHandsBetween(BeginningEarlier(WorkedFor(bakery, day), arrangement.EarlierMin), arrangement.BetweenHands, lastPickUp, bakery.Zone).ToArray();
        var begins = worked.Select(one => one.Start).DefaultIfEmpty(OrderStore.InstantOf(first.AtMidnight(), bakery.Zone)).Min();
        DayBook[] earlier = [.. before.Where(other => other.LastsUntil > begins)];
        begins = BeginOfStretch(begins, earlier);
        var clock = new PlanClock(begins, bakery.Zone);
        DayShift Shift(ShiftRecord shift, Instant start, int from, int to) => new(shift.Name, clock.MinuteOf(start) + from, clock.MinuteOf(start) + to) { People = shift.People };
        var byId = products.ToDictionary(product => product.Id);
        DayOrder[] lines = [.. ordered.Concat(MarginStore.All(connection).Beyond(ordered)).Select(line =>
        {
            var product = byId[line.Product];
            return new DayOrder(product, product.SizeIn(line.Pan)!.Pan, line.Count, clock.MinuteOf(line.PickUp), line.For) { MayBeLateMin = line.MayBeLateMin };
        })];
        var (stock, there) = StockOfDay.Read(connection, clock, today, [day, .. earlier.Select(other => other.Day)]);
        var snapshot = new DaySnapshot(
            lines,
            [.. worked.SelectMany(one => one.Shift.AtTheBench().Select(bench => Shift(one.Shift, one.Start, bench.FromMin, bench.ToMin))).OrderBy(shift => shift.StartMin)],
            bakery.Ovens,
            bakery.Mixer,
            bakery.ToleranceC,
            bakery.TransferMin,
            bakery.SpareMin,
            clock.MinuteOf(day.PlusDays(1).AtMidnight()))
        {
            OpenCPerTray = bakery.OpenCPerTray,
            Stock = stock,
            Room = bakery.Room,
            OvensWatched = [.. worked.Select(one => Shift(one.Shift, one.Start, 0, one.Shift.LengthMin)).OrderBy(shift => shift.StartMin)],
            Midnights = [.. Midnights(begins.InZone(bakery.Zone).Date, day).Select(midnight => clock.MinuteOf(midnight))],
        };
        return new DayBook(day, bakery, products, arrangement.Applied(snapshot), clock, LibraryStamps.Of(connection, products, there.Values))
        {
            Arrangement = arrangement,
            Earlier = earlier,
            MadeThere = there,
            LeftOut = [.. isLeftOut[true].Select(line => LeftOutPies.Of(line, all.First(product => product.Id == line.Product)))],
        };
    }

    /// <summary>Until when its plan may have ovens on or someone at work: the end of its last shift.</summary>
    public Instant LastsUntil => Clock.InstantAt(Snapshot.OvensWatched.Select(shift => shift.EndMin).DefaultIfEmpty(0).Max());

    /// <summary>Where a day begins while people are there for days before, its clock begins with them: no tray is in an oven then.</summary>
    private static Instant BeginOfStretch(Instant begins, IReadOnlyList<DayBook> earlier)
    {
        var shifts = earlier.SelectMany(day => day.Snapshot.OvensWatched.Select(shift => (From: day.Clock.InstantAt(shift.StartMin), To: day.Clock.InstantAt(shift.EndMin)))).OrderByDescending(shift => shift.From);
        foreach (var (from, to) in shifts)
            if (from < begins && begins < to) begins = from;
        return begins;
    }

    /// <summary>What the plans of the days before have taken of this one.</summary>
    /// <param name="plans">Their plans, in the order of <see cref="Earlier"/>; null for one that has none.</param>
    public TakenTime Taken(IReadOnlyList<PlannedDay?> plans) => TakenTime.Of(
    [
        .. Earlier.Zip(plans).Where(one => one.Second is not null)
            .Select(one => new EarlierDay(Days.Iso(one.First.Day), one.Second!, one.First.Snapshot, Clock.MinuteOf(one.First.Clock.Start))),
    ]);

    /// <summary>The same day with nobody there before a minute.</summary>
    public DayBook From(int minute) => this with
    {
        Snapshot = Snapshot with
        {
            Shifts = From(Snapshot.Shifts, minute),
            OvensWatched = From(Snapshot.OvensWatched, minute),
        },
    };

    private static DayShift[] From(IReadOnlyList<DayShift> shifts, int minute) =>
        [.. shifts.Where(shift => shift.EndMin > minute).Select(shift => shift with { StartMin = Math.Max(shift.StartMin, minute) })];

    private static IEnumerable<LocalDateTime> Midnights(LocalDate first, LocalDate last)
    {
        for (var date = first; date <= last; date = date.PlusDays(1)) yield return date.PlusDays(1).AtMidnight();
    }

    /// <summary>The crew of the first shift is there earlier: in a shift of their own before it, so that days that share it count it once.</summary>
    private static IEnumerable<(ShiftRecord Shift, Instant Start)> BeginningEarlier(IEnumerable<(ShiftRecord Shift, Instant Start)> worked, int minutes)
    {
        var all = worked.ToArray();
        if (minutes == 0 || all.Length == 0) return all;
        var (first, start) = all.MinBy(one => one.Start);
        return all.Prepend((new ShiftRecord($"{first.Name}, earlier", first.StartMinute, minutes) { People = first.People }, start - Duration.FromMinutes(minutes)));
    }

    /// <summary>When nobody would be there between the shifts of a day, and from the last of them to the last pick-up; from and to.</summary>
    private static IEnumerable<(Instant From, Instant To)> Pauses(IReadOnlyList<(ShiftRecord Shift, Instant Start)> worked, Instant lastPickUp)
    {
        Instant? until = null;
        foreach (var (shift, start) in worked.OrderBy(one => one.Start))
        {
            if (until is { } over && over < start) yield return (over, start);
            var end = start + Duration.FromMinutes(shift.LengthMin);
            until = until is { } before && before > end ? before : end;
        }

        if (until is { } last && last < lastPickUp) yield return (last, lastPickUp);
    }

    /// <summary>Some hands are there while nobody else is, each time in a shift of their own.</summary>
    private static IEnumerable<(ShiftRecord Shift, Instant Start)> WithHandsBetween(IEnumerable<(ShiftRecord Shift, Instant Start)> worked, int hands, Instant lastPickUp, DateTimeZone zone)
    {
        var all = worked.ToArray();
        if (hands == 0) return all;
        // Where no shift says how many it has, neither does this one.
        int? people = all.All(one => one.Shift.People is null) ? null : hands;
        return all.Concat(Pauses(all, lastPickUp).Select(pause =>
        {
            var from = pause.From.InZone(zone).TimeOfDay;
            return (new ShiftRecord("Between shifts", (from.Hour * 60) + from.Minute, (int)(pause.To - pause.From).TotalMinutes) { People = people }, pause.From);
        }));
    }

    /// <summary>Whether there is a time at which nobody is there between the shifts of this day, or before its last pick-up.</summary>
    public bool IsEmptyBetween => Snapshot.Pauses.Count > 0;

    /// <summary>The shifts in which work for a day's pick-ups may be done: those that begin on it and on the days before on which it may.</summary>
    private static IEnumerable<(ShiftRecord Shift, Instant Start)> WorkedFor(BakeryRecord bakery, LocalDate day)
    {
        for (var date = day.PlusDays(-bakery.DaysAhead); date <= day; date = date.PlusDays(1))
            foreach (var shift in bakery.ShiftsOn(date)) yield return (shift, OrderStore.InstantOf(date.AtMidnight().PlusMinutes(shift.StartMinute), bakery.Zone));
    }
}
