using System.Data;
using System.Globalization;
using Dapper;
using Lumpet.Core;
using Lumpet.Core.Orders;
using Microsoft.Data.Sqlite;
using NodaTime;
using NodaTime.Text;

namespace Lumpet.Store.Orders;

/// <summary>An order as it is kept.</summary>
/// <param name="Id">Its identity.</param>
/// <param name="RowVersion">Counts its changes, from 1.</param>
/// <param name="Line">What was ordered.</param>
/// <param name="PickUp">The pick-up as an instant.</param>
public sealed record StoredOrder(Guid Id, long RowVersion, OrderLine Line, Instant PickUp)
{
    /// <summary>The order that repeats and comes to this on its day; null of one by itself.</summary>
    public StoredStandingOrder? Repeats { get; init; }
}

/// <summary>Keeps orders.</summary>
public static class OrderStore
{
    private const string Columns =
        """
        SELECT id, product_id AS productId, pan_id AS panId, count, pick_up_local AS pickUpLocal, pick_up_unix AS pickUpUnix,
               for_whom AS forWhom, may_be_late_min AS mayBeLate, row_version AS rowVersion
        FROM order_line
        """;

    /// <summary>Orders picked up on a day, by time, then as they came, those that repeat last.</summary>
    public static IReadOnlyList<StoredOrder> OnDay(SqliteConnection connection, LocalDate day)
    {
        var byThemselves = connection.Query<Row>(
            $"{Columns} WHERE pick_up_local >= @from AND pick_up_local < @to ORDER BY pick_up_local, rowid",
            new { from = Day(day), to = Day(day.PlusDays(1)) }).Select(Read);
        return [.. byThemselves.Concat(StandingOrderStore.On(connection, day)).OrderBy(order => order.Line.PickUp)];
    }

    /// <summary>What is ordered for a day in all, but for one order.</summary>
    /// <param name="connection">An open connection.</param>
    /// <param name="day">The day.</param>
    /// <param name="without">The order that is left out, since it is about to be changed; null for none.</param>
    public static OrdersOfADay Total(SqliteConnection connection, LocalDate day, Guid? without = null)
    {
        var counts = connection.Query<long>(
            "SELECT count FROM order_line WHERE pick_up_local >= @from AND pick_up_local < @to AND id <> @without",
            new { from = Day(day), to = Day(day.PlusDays(1)), without = without is { } id ? Key(id) : string.Empty }).AsList();
        return StandingOrderStore.On(connection, day).Where(order => order.Id != without).Aggregate(new OrdersOfADay(counts.Count, counts.Sum()), (total, order) => total.With(order.Line));
    }

    /// <summary>One order, or null.</summary>
    public static StoredOrder? Find(SqliteConnection connection, Guid id) =>
        connection.QuerySingleOrDefault<Row>($"{Columns} WHERE id = @id", new { id = Key(id) }) is { } row ? Read(row) : null;

    /// <summary>
    /// Days with orders from a day on, with the pies of each, earliest first. Orders that repeat make days of them for two
    /// weeks, and are counted on every day that has others.
    /// </summary>
    public static IReadOnlyList<(LocalDate Day, int Pies)> Days(SqliteConnection connection, LocalDate from)
    {
        var byDay = ByThemselves(connection, from);
        var standing = StandingOrderStore.GoingOn(connection, from);
        if (standing.Count > 0)
            foreach (var day in byDay.Keys.Concat(Enumerable.Range(0, StandingOrder.DaysShown).Select(from.PlusDays)).Distinct().ToArray())
                foreach (var one in standing.Where(one => one.Order.IsOn(day) && !one.NotOn.Contains(day))) byDay[day] = byDay.GetValueOrDefault(day, Nothing).With(one.Order.On(day));
        return [.. byDay.OrderBy(day => day.Key).Select(day => (day.Key, (int)day.Value.Pies))];
    }

    /// <summary>The first day on which another order that repeats would be too much, with what is too much; null where there is none.</summary>
    /// <param name="connection">An open connection.</param>
    /// <param name="added">The order that is to come.</param>
    /// <param name="without">The one in whose place it comes; null for none.</param>
    public static (LocalDate Day, FieldFault Fault)? TooMuch(SqliteConnection connection, StandingOrder added, Guid? without = null)
    {
        var (byDay, standing) = (ByThemselves(connection, added.From), StandingOrderStore.GoingOn(connection, added.From).Where(one => one.Id != without).ToArray());
        // Beyond the last order by itself, and the last beginning, the weeks are alike.
        var last = byDay.Keys.Concat(standing.Select(one => one.Order.From)).Append(added.From).Max().PlusDays(DaysOfAWeek);
        for (var day = added.From; day <= last; day = day.PlusDays(1))
        {
            if (!added.IsOn(day)) continue;
            var total = standing.Where(one => one.Order.IsOn(day)).Aggregate(byDay.GetValueOrDefault(day, Nothing), (sum, one) => sum.With(one.Order.On(day))).With(added.On(day));
            if (total.Fault is { } fault) return (day, fault);
        }

        return null;
    }

    private static readonly OrdersOfADay Nothing = new(0, 0);

    private const int DaysOfAWeek = 7;

    // Added up here: of an empty answer SQLite cannot tell the types of computed columns.
    private static Dictionary<LocalDate, OrdersOfADay> ByThemselves(SqliteConnection connection, LocalDate from) =>
        connection.Query<DayRow>("SELECT pick_up_local AS pickUpLocal, count FROM order_line WHERE pick_up_local >= @from ORDER BY pick_up_local", new { from = Day(from) })
            .GroupBy(row => row.PickUpLocal[..10])
            .ToDictionary(day => LocalDatePattern.Iso.Parse(day.Key).Value, day => new OrdersOfADay(day.Count(), day.Sum(row => row.Count)));

    /// <summary>Pans in which a product is ordered, past days included.</summary>
    public static IReadOnlyList<string> PansOrdered(SqliteConnection connection, string product) => SizesOrdered(connection).GetValueOrDefault(product, []);

    /// <summary>Pans in which products are ordered, past days included, by the product's id.</summary>
    public static IReadOnlyDictionary<string, IReadOnlyList<string>> SizesOrdered(SqliteConnection connection) =>
        connection.Query<SizeRow>("SELECT DISTINCT product_id AS productId, pan_id AS panId FROM order_line").Select(row => (Product: row.ProductId, Pan: row.PanId))
            .Union(StandingOrderStore.Sizes(connection))
            .GroupBy(size => size.Product).ToDictionary(group => group.Key, IReadOnlyList<string> (group) => [.. group.Select(size => size.Pan).Order(StringComparer.Ordinal)]);

    /// <summary>Adds an order.</summary>
    public static StoredOrder Add(Transaction transaction, OrderLine line, DateTimeZone zone)
    {
        PlanFirstOfLot(transaction.Connection, line);
        var id = Guid.NewGuid();
        transaction.Connection.Execute(
            """
            INSERT INTO order_line (id, product_id, pan_id, count, pick_up_local, pick_up_zone, pick_up_unix, for_whom, may_be_late_min)
            VALUES (@id, @product, @pan, @count, @local, @zone, @unix, @whom, @late)
            """,
            Parameters(id, line, zone));
        return Find(transaction.Connection, id)!;
    }

    /// <summary>Adds an order that comes on a day in place of one that repeats.</summary>
    public static StoredOrder Instead(Transaction transaction, Guid standing, LocalDate day, OrderLine line, DateTimeZone zone)
    {
        var order = Add(transaction, line, zone);
        StandingOrderStore.LeaveOut(transaction, standing, day, order.Id);
        return order;
    }

    /// <summary>Changes an order that still has the version it was read with.</summary>
    public static ChangeOutcome Change(Transaction transaction, Guid id, long rowVersion, OrderLine line, DateTimeZone zone)
    {
        PlanFirstOfLot(transaction.Connection, line);
        return Outcome(transaction.Connection, id, transaction.Connection.Execute(
            $"""
            UPDATE order_line SET product_id = @product, pan_id = @pan, count = @count, pick_up_local = @local, pick_up_zone = @zone,
                   pick_up_unix = @unix, for_whom = @whom, may_be_late_min = @late, row_version = row_version + 1
            WHERE id = @id AND row_version = {rowVersion.ToString(CultureInfo.InvariantCulture)}
            """,
            Parameters(id, line, zone)));
    }

    /// <summary>
    /// What was said of a lot whose orders are all gone is not meant for a new one: where nothing of a lot that is left out of its day's plan is ordered, it is left out no longer.
    /// </summary>
    private static void PlanFirstOfLot(SqliteConnection connection, OrderLine line)
    {
        var lot = new LeftOutLot(line.Product, line.Pan, line.PickUp);
        var at = new { day = LocalDatePattern.Iso.Format(line.PickUp.Date), product = lot.Product, pan = lot.Pan, clock = PickUpText.Clock.Format(line.PickUp.TimeOfDay) };
        const string rows = "FROM day_left_out WHERE day = @day AND product_id = @product AND pan_id = @pan AND pick_up = @clock";
        if (connection.ExecuteScalar<long>($"SELECT count(*) {rows}", at) == 0 || OnDay(connection, line.PickUp.Date).Any(order => lot.Has(order.Line))) return;
        connection.Execute($"DELETE {rows}", at);
    }

    /// <summary>Moves every order of these pick-ups to other times, all at once; answers how many were moved.</summary>
    /// <param name="transaction">The change it is part of.</param>
    /// <param name="moves">From which local time to which; two may change places.</param>
    /// <param name="zone">The bakery's zone.</param>
    public static int Move(Transaction transaction, IReadOnlyDictionary<LocalDateTime, LocalDateTime> moves, DateTimeZone zone)
    {
        var orders = transaction.Connection.Query<PlaceRow>(
            "SELECT id, pick_up_local AS pickUpLocal FROM order_line WHERE pick_up_local IN @from",
            new { from = moves.Keys.Select(Local) }).AsList();
        // One that repeats is moved on this day alone: an order by itself takes its place.
        StoredOrder[] repeated = [.. moves.Keys.Select(from => from.Date).Distinct().SelectMany(day => StandingOrderStore.On(transaction.Connection, day)).Where(order => moves.ContainsKey(order.Line.PickUp))];
        foreach (var order in orders) Place(transaction.Connection, order.Id, moves[ReadLocal(order.PickUpLocal)], zone);
        foreach (var order in repeated) Instead(transaction, order.Repeats!.Id, order.Line.PickUp.Date, order.Line with { PickUp = moves[order.Line.PickUp] }, zone);
        return orders.Count + repeated.Length;
    }

    /// <summary>Reckons the instants of all pick-ups anew after the bakery's zone was changed: the time on the wall is what was promised.</summary>
    internal static void ChangeZone(Transaction transaction, DateTimeZone zone)
    {
        var connection = transaction.Connection;
        foreach (var order in connection.Query<PlaceRow>("SELECT id, pick_up_local AS pickUpLocal FROM order_line WHERE pick_up_zone <> @zone", new { zone = zone.Id }).AsList())
            Place(connection, order.Id, ReadLocal(order.PickUpLocal), zone);
    }

    private static void Place(SqliteConnection connection, string id, LocalDateTime local, DateTimeZone zone) =>
        connection.Execute(
            "UPDATE order_line SET pick_up_local = @local, pick_up_zone = @zone, pick_up_unix = @unix, row_version = row_version + 1 WHERE id = @id",
            new { id, local = Local(local), zone = zone.Id, unix = InstantOf(local, zone).ToUnixTimeSeconds() });

    /// <summary>Removes an order that still has the version it was read with.</summary>
    public static ChangeOutcome Remove(Transaction transaction, Guid id, long rowVersion) => Outcome(
        transaction.Connection,
        id,
        transaction.Connection.Execute("DELETE FROM order_line WHERE id = @id AND row_version = @rowVersion", new { id = Key(id), rowVersion }));

    private static ChangeOutcome Outcome(SqliteConnection connection, Guid id, int rows) =>
        rows == 1 ? ChangeOutcome.Done : Find(connection, id) is null ? ChangeOutcome.Gone : ChangeOutcome.Conflict;

    private static object Parameters(Guid id, OrderLine line, DateTimeZone zone) => new
    {
        id = Key(id),
        product = line.Product,
        pan = line.Pan,
        count = line.Count,
        local = Local(line.PickUp),
        zone = zone.Id,
        unix = InstantOf(line.PickUp, zone).ToUnixTimeSeconds(),
        whom = line.For,
        late = line.MayBeLateMin,
    };

    /// <summary>The instant of a local time; of an hour that a change of the clock repeats, the first; of one that it skips, as much later.</summary>
    public static Instant InstantOf(LocalDateTime local, DateTimeZone zone) =>
        local.InZoneLeniently(zone).ToInstant();

    private static StoredOrder Read(Row row) => new(
        Guid.Parse(row.Id),
        row.RowVersion,
        new OrderLine(
            row.ProductId,
            row.PanId,
            (int)row.Count,
            ReadLocal(row.PickUpLocal),
            row.ForWhom)
        { MayBeLateMin = (int)row.MayBeLate },
        Instant.FromUnixTimeSeconds(row.PickUpUnix));

    private static string Local(LocalDateTime local) => PickUpText.Written.Format(local);

    private static LocalDateTime ReadLocal(string local) => PickUpText.Written.Parse(local).Value;

    private static string Key(Guid id) => id.ToString("D");

    private static string Day(LocalDate day) => LocalDatePattern.Iso.Format(day);

    private sealed record Row(
        string Id, string ProductId, string PanId, long Count, string PickUpLocal, long PickUpUnix, string ForWhom, long MayBeLate, long RowVersion);

    private sealed record SizeRow(string ProductId, string PanId);

    private sealed record PlaceRow(string Id, string PickUpLocal);

    private sealed record DayRow(string PickUpLocal, long Count);
}
