using System.Security.Cryptography;
using System.Text;
using Dapper;
using Lumpet.Core.Bakery;
using Lumpet.Core.Orders;
using Microsoft.Data.Sqlite;
using NodaTime;
using NodaTime.Text;

namespace Lumpet.Store.Orders;

/// <summary>An order that repeats, as it is kept.</summary>
/// <param name="Id">Its identity.</param>
/// <param name="RowVersion">Counts its changes, from 1.</param>
/// <param name="Order">The order.</param>
/// <param name="NotOn">Dates on which it does not come though they are its days, in order.</param>
public sealed record StoredStandingOrder(Guid Id, long RowVersion, StandingOrder Order, IReadOnlyList<LocalDate> NotOn)
{
    /// <summary>Its next pick-up from a day on; null where there is none.</summary>
    public LocalDate? Next(LocalDate from)
    {
        var next = Order.Next(from);
        while (next is { } day && NotOn.Contains(day)) next = Order.Next(day.PlusDays(1));
        return next;
    }
}

/// <summary>
/// Keeps orders that repeat. Days read them as orders like any other; a day on which one is to be otherwise has an order of
/// its own in its place. What lies before today is not changed any more: a changed order ends, and goes on changed.
/// </summary>
public static class StandingOrderStore
{
    private const string Columns =
        """
        SELECT id, row_version AS rowVersion, product_id AS productId, pan_id AS panId, count, weekdays, pick_up_minute AS pickUpMinute,
               for_whom AS forWhom, may_be_late_min AS mayBeLate, from_date AS fromDate, until_date AS untilDate
        FROM standing_order
        """;

    /// <summary>Those that have not ended before a day, by the time of day, then as they came.</summary>
    public static IReadOnlyList<StoredStandingOrder> GoingOn(SqliteConnection connection, LocalDate day)
    {
        var notOn = connection.Query<OutRow>("SELECT standing_order_id AS id, date FROM standing_order_out ORDER BY date").ToLookup(row => row.Id, row => Date(row.Date));
        return [.. connection.Query<Row>($"{Columns} WHERE until_date IS NULL OR until_date >= @day ORDER BY pick_up_minute, rowid", new { day = Iso(day) }).Select(row => Read(row, [.. notOn[row.Id]]))];
    }

    /// <summary>One of them, or null.</summary>
    public static StoredStandingOrder? Find(SqliteConnection connection, Guid id) => connection.QuerySingleOrDefault<Row>($"{Columns} WHERE id = @id", new { id = Key(id) }) is { } row
        ? Read(row, [.. connection.Query<string>("SELECT date FROM standing_order_out WHERE standing_order_id = @id ORDER BY date", new { id = Key(id) }).Select(Date)])
        : null;

    /// <summary>What they come to on a day, as orders of that day.</summary>
    public static IReadOnlyList<StoredOrder> On(SqliteConnection connection, LocalDate day)
    {
        StoredStandingOrder[] on = [.. Near(connection, day).Where(standing => standing.Order.IsOn(day) && !standing.NotOn.Contains(day))];
        if (on.Length == 0) return [];
        var zone = DateTimeZoneProviders.Tzdb[connection.QuerySingle<string>("SELECT zone FROM bakery")];
        return [.. on.Select(standing => new StoredOrder(IdOn(standing.Id, day), standing.RowVersion, standing.Order.On(day), OrderStore.InstantOf(day.At(standing.Order.At), zone)) { Repeats = standing })];
    }

    /// <summary>Those that would come on a day and are left out of it, with no order in their place.</summary>
    public static IReadOnlyList<StoredStandingOrder> LeftOut(SqliteConnection connection, LocalDate day) =>
    [
        .. connection.Query<Row>($"{Columns} WHERE id IN (SELECT standing_order_id FROM standing_order_out WHERE date = @day AND order_id IS NULL) ORDER BY pick_up_minute, rowid", new { day = Iso(day) })
            .Select(row => Read(row, [day])).Where(standing => standing.Order.IsOn(day)),
    ];

    /// <summary>Adds one.</summary>
    public static StoredStandingOrder Add(Transaction transaction, StandingOrder order)
    {
        var id = Guid.NewGuid();
        Insert(transaction.Connection, id, order);
        return Find(transaction.Connection, id)!;
    }

    /// <summary>Changes one that still has the version it was read with, from today on: what lies before stays as it was.</summary>
    /// <param name="transaction">The change it is part of.</param>
    /// <param name="id">Which.</param>
    /// <param name="rowVersion">The version it was read with.</param>
    /// <param name="order">What it is to be, from today or later.</param>
    /// <param name="today">Today.</param>
    public static ChangeOutcome Change(Transaction transaction, Guid id, long rowVersion, StandingOrder order, LocalDate today)
    {
        var connection = transaction.Connection;
        if (Find(connection, id) is not { } before || before.Order.Until < today) return ChangeOutcome.Gone;
        if (before.RowVersion != rowVersion) return ChangeOutcome.Conflict;
        if (before.Order.From < today)
        {
            var past = Guid.NewGuid();
            Insert(connection, past, before.Order with { Until = today.PlusDays(-1) });
            connection.Execute("UPDATE standing_order_out SET standing_order_id = @past WHERE standing_order_id = @id AND date < @today", new { past = Key(past), id = Key(id), today = Iso(today) });
        }

        connection.Execute(
            """
            UPDATE standing_order SET product_id = @product, pan_id = @pan, count = @count, weekdays = @weekdays, pick_up_minute = @minute, for_whom = @whom, may_be_late_min = @late,
                   from_date = @from, until_date = @until, row_version = row_version + 1
            WHERE id = @id
            """,
            Parameters(id, order));
        return ChangeOutcome.Done;
    }

    /// <summary>Ends one that still has the version it was read with: from today on it comes no more.</summary>
    public static ChangeOutcome End(Transaction transaction, Guid id, long rowVersion, LocalDate today)
    {
        var connection = transaction.Connection;
        if (Find(connection, id) is not { } before || before.Order.Until < today) return ChangeOutcome.Gone;
        if (before.RowVersion != rowVersion) return ChangeOutcome.Conflict;
        if (before.Order.From < today)
            connection.Execute("UPDATE standing_order SET until_date = @yesterday, row_version = row_version + 1 WHERE id = @id", new { id = Key(id), yesterday = Iso(today.PlusDays(-1)) });
        else connection.Execute("DELETE FROM standing_order WHERE id = @id", new { id = Key(id) });
        return ChangeOutcome.Done;
    }

    /// <summary>Leaves it out of one of its days.</summary>
    /// <param name="transaction">The change it is part of.</param>
    /// <param name="id">Which.</param>
    /// <param name="day">The day.</param>
    /// <param name="instead">The order that comes in its place; null for none.</param>
    public static void LeaveOut(Transaction transaction, Guid id, LocalDate day, Guid? instead) => transaction.Connection.Execute(
        "INSERT INTO standing_order_out (standing_order_id, date, order_id) VALUES (@id, @day, @instead)",
        new { id = Key(id), day = Iso(day), instead = instead is { } order ? Key(order) : null });

    /// <summary>Lets it come on a day again; false where it was not left out, or an order came in its place.</summary>
    public static bool PutBack(Transaction transaction, Guid id, LocalDate day) => transaction.Connection.Execute(
        "DELETE FROM standing_order_out WHERE standing_order_id = @id AND date = @day AND order_id IS NULL", new { id = Key(id), day = Iso(day) }) == 1;

    /// <summary>Pans in which a product is ordered again and again, ended orders included, by the product's id.</summary>
    internal static IEnumerable<(string Product, string Pan)> Sizes(SqliteConnection connection) =>
        connection.Query<SizeRow>("SELECT DISTINCT product_id AS productId, pan_id AS panId FROM standing_order").Select(row => (row.ProductId, row.PanId));

    /// <summary>Identity of what it comes to on a day: the same each time, and no other's.</summary>
    private static Guid IdOn(Guid id, LocalDate day) => new(SHA256.HashData(Encoding.UTF8.GetBytes($"{Key(id)} {Iso(day)}")).AsSpan(0, 16));

    /// <summary>Those that may come on a day, with that day alone among what they are left out of.</summary>
    private static IEnumerable<StoredStandingOrder> Near(SqliteConnection connection, LocalDate day)
    {
        var iso = Iso(day);
        var rows = connection.Query<Row>(
            $"{Columns} WHERE from_date <= @iso AND (until_date IS NULL OR until_date >= @iso) AND weekdays & @bit <> 0 ORDER BY pick_up_minute, rowid",
            new { iso, bit = WeekDays.Bits([day.DayOfWeek]) }).AsList();
        if (rows.Count == 0) return [];
        var left = connection.Query<string>("SELECT standing_order_id FROM standing_order_out WHERE date = @iso", new { iso }).ToHashSet();
        return rows.Select(row => Read(row, left.Contains(row.Id) ? [day] : []));
    }

    private static void Insert(SqliteConnection connection, Guid id, StandingOrder order) => connection.Execute(
        """
        INSERT INTO standing_order (id, product_id, pan_id, count, weekdays, pick_up_minute, for_whom, may_be_late_min, from_date, until_date)
        VALUES (@id, @product, @pan, @count, @weekdays, @minute, @whom, @late, @from, @until)
        """,
        Parameters(id, order));

    private static object Parameters(Guid id, StandingOrder order) => new
    {
        id = Key(id),
        product = order.Product,
        pan = order.Pan,
        count = order.Count,
        weekdays = WeekDays.Bits(order.Days),
        minute = (order.At.Hour * 60) + order.At.Minute,
        whom = order.For,
        late = order.MayBeLateMin,
        from = Iso(order.From),
        until = order.Until is { } until ? Iso(until) : null,
    };

    private static StoredStandingOrder Read(Row row, IReadOnlyList<LocalDate> notOn) => new(
        Guid.Parse(row.Id),
        row.RowVersion,
        new StandingOrder(
            row.ProductId,
            row.PanId,
            (int)row.Count,
            WeekDays.OfBits(row.Weekdays),
            LocalTime.Midnight.PlusMinutes(row.PickUpMinute),
            row.ForWhom,
            Date(row.FromDate),
            row.UntilDate is { } until ? Date(until) : null)
        { MayBeLateMin = (int)row.MayBeLate },
        notOn);

    private static string Key(Guid id) => id.ToString("D");

    private static string Iso(LocalDate day) => LocalDatePattern.Iso.Format(day);

    private static LocalDate Date(string iso) => LocalDatePattern.Iso.Parse(iso).Value;

    private sealed record Row(string Id, long RowVersion, string ProductId, string PanId, long Count, long Weekdays, long PickUpMinute, string ForWhom, long MayBeLate, string FromDate, string? UntilDate);

    private sealed record OutRow(string Id, string Date);

    private sealed record SizeRow(string ProductId, string PanId);
}
