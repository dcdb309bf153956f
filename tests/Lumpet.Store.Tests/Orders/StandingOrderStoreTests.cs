using Dapper;
using Lumpet.Core.Orders;
using Lumpet.Store.Orders;
using Microsoft.Data.Sqlite;
using NodaTime;
using Xunit;

namespace Lumpet.Store.Tests.Orders;

/// <summary>Orders that repeat, as days, sums and recipes see them.</summary>
public sealed class StandingOrderStoreTests : IDisposable
{
    private static readonly DateTimeZone Zone = DateTimeZoneProviders.Tzdb["Europe/Lisbon"];

    // A Monday, long after all demo orders but those that repeat.
    private static readonly LocalDate Monday = new(2027, 3, 1);
    private static readonly StandingOrder Standing = new("chocolate", "20-straight", 5, [IsoDayOfWeek.Monday, IsoDayOfWeek.Thursday], new LocalTime(9, 0), "kiosk", Monday, null) { MayBeLateMin = 45 };

    private readonly TemporaryDatabase temporary = TemporaryDatabase.WithDemo();

    public StandingOrderStoreTests() => temporary.Database.Write(transaction =>
    {
        foreach (var one in StandingOrderStore.GoingOn(transaction.Connection, new LocalDate(2000, 1, 1))) StandingOrderStore.End(transaction, one.Id, one.RowVersion, new LocalDate(2000, 1, 1));
        return 0;
    });

    private Database Database => temporary.Database;

    public void Dispose() => temporary.Dispose();

    private StoredStandingOrder Add(StandingOrder? order = null) => Database.Write(transaction => StandingOrderStore.Add(transaction, order ?? Standing));

    private T Read<T>(Func<SqliteConnection, T> read)
    {
        using var connection = Database.Open();
        return read(connection);
    }

    private IReadOnlyList<StoredOrder> On(LocalDate day) => Read(connection => OrderStore.OnDay(connection, day));

    [Fact]
    public void A_day_has_it_as_an_order_like_any_other()
    {
        var added = Add();
        Assert.Equal(Standing with { Days = [] }, added.Order with { Days = [] });
        Assert.Equal(Standing.Days, added.Order.Days);
        var order = Assert.Single(On(Monday));
        Assert.Equal(Standing.On(Monday), order.Line);
        Assert.Equal(Instant.FromUtc(2027, 3, 1, 9, 0), order.PickUp);
        Assert.Equal(added.Id, order.Repeats!.Id);
        Assert.Empty(On(Monday.PlusDays(1)));
        Assert.Empty(On(Monday.PlusDays(-4)));
        // Each day has its own, and always the same.
        Assert.Equal(order.Id, Assert.Single(On(Monday)).Id);
        Assert.NotEqual(order.Id, Assert.Single(On(Monday.PlusDays(3))).Id);
        Assert.Equal(new OrdersOfADay(1, 5), Read(connection => OrderStore.Total(connection, Monday)));
        Assert.Equal(new OrdersOfADay(0, 0), Read(connection => OrderStore.Total(connection, Monday, without: order.Id)));
    }

    [Fact]
    public void It_makes_days_for_two_weeks_and_is_counted_wherever_there_are_others()
    {
        Add();
        var far = Monday.PlusDays(70);
        Database.Write(transaction => OrderStore.Add(transaction, new OrderLine("pear", "23", 12, far.At(new LocalTime(9, 0)), string.Empty), Zone));
        Assert.Equal(
            [(Monday, 5), (Monday.PlusDays(3), 5), (Monday.PlusDays(7), 5), (Monday.PlusDays(10), 5), (far, 17)],
            Read(connection => OrderStore.Days(connection, Monday)));
    }

    [Fact]
    public void A_day_that_it_is_left_out_of_has_it_not_until_it_is_put_back()
    {
        var added = Add();
        Database.Write(transaction => { StandingOrderStore.LeaveOut(transaction, added.Id, Monday, null); return 0; });
        Assert.Empty(On(Monday));
        Assert.Single(On(Monday.PlusDays(3)));
        Assert.DoesNotContain(Monday, Read(connection => OrderStore.Days(connection, Monday)).Select(day => day.Day));
        Assert.Equal(added.Id, Assert.Single(Read(connection => StandingOrderStore.LeftOut(connection, Monday))).Id);
        Assert.Equal(Monday.PlusDays(3), Read(connection => StandingOrderStore.Find(connection, added.Id))!.Next(Monday));
        Assert.True(Database.Write(transaction => StandingOrderStore.PutBack(transaction, added.Id, Monday)));
        Assert.False(Database.Write(transaction => StandingOrderStore.PutBack(transaction, added.Id, Monday)));
        Assert.Single(On(Monday));
    }

    [Fact]
    public void An_order_that_comes_in_its_place_is_its_own_and_may_be_removed()
    {
        var added = Add();
        var instead = Database.Write(transaction => OrderStore.Instead(transaction, added.Id, Monday, Standing.On(Monday) with { Count = 9 }, Zone));
        Assert.Equal(9, Assert.Single(On(Monday)).Line.Count);
        // While it has one, it is not among what is left out, and nothing is put back beside it.
        Assert.Empty(Read(connection => StandingOrderStore.LeftOut(connection, Monday)));
        Assert.False(Database.Write(transaction => StandingOrderStore.PutBack(transaction, added.Id, Monday)));
        Assert.Equal(ChangeOutcome.Done, Database.Write(transaction => OrderStore.Remove(transaction, instead.Id, 1)));
        Assert.Empty(On(Monday));
        Assert.Single(Read(connection => StandingOrderStore.LeftOut(connection, Monday)));
    }

    [Fact]
    public void A_pick_up_that_is_moved_is_moved_on_that_day_alone()
    {
        Add();
        var nine = Monday.At(new LocalTime(9, 0));
        Database.Write(transaction => OrderStore.Add(transaction, new OrderLine("pear", "23", 12, nine, string.Empty), Zone));
        Assert.Equal(2, Database.Write(transaction => OrderStore.Move(transaction, new Dictionary<LocalDateTime, LocalDateTime> { [nine] = nine.PlusMinutes(15) }, Zone)));
        Assert.All(On(Monday), order => Assert.Equal((nine.PlusMinutes(15), (StoredStandingOrder?)null), (order.Line.PickUp, order.Repeats)));
        Assert.Equal(2, On(Monday).Count);
        Assert.Equal(new LocalTime(9, 0), Assert.Single(On(Monday.PlusDays(3))).Line.PickUp.TimeOfDay);
    }

    [Fact]
    public void A_change_leaves_the_past_as_it_was()
    {
        var (added, today) = (Add(), Monday.PlusDays(8));
        Database.Write(transaction => { StandingOrderStore.LeaveOut(transaction, added.Id, Monday.PlusDays(7), null); StandingOrderStore.LeaveOut(transaction, added.Id, Monday.PlusDays(10), null); return 0; });
        var changed = Standing with { Count = 8, Days = [IsoDayOfWeek.Thursday, IsoDayOfWeek.Friday], From = today };
        Assert.Equal(ChangeOutcome.Done, Database.Write(transaction => StandingOrderStore.Change(transaction, added.Id, 1, changed, today)));
        (int Day, int Count)[] days = [.. Enumerable.Range(0, 20).SelectMany(ahead => On(Monday.PlusDays(ahead)).Select(order => (ahead, order.Line.Count)))];
        Assert.Equal([(0, 5), (3, 5), (11, 8), (17, 8), (18, 8)], days);
        var now = Assert.Single(Read(connection => StandingOrderStore.GoingOn(connection, today)));
        Assert.Equal((added.Id, 2), (now.Id, now.RowVersion));
        Assert.Equal(ChangeOutcome.Conflict, Database.Write(transaction => StandingOrderStore.Change(transaction, added.Id, 1, changed, today)));
        Assert.Equal(ChangeOutcome.Conflict, Database.Write(transaction => StandingOrderStore.End(transaction, added.Id, 1, today)));
        // One that has not begun is simply another.
        var fresh = Add();
        Assert.Equal(ChangeOutcome.Done, Database.Write(transaction => StandingOrderStore.Change(transaction, fresh.Id, 1, Standing with { Count = 1 }, Monday)));
        Assert.Equal([1], On(Monday).Where(order => order.Repeats!.Id == fresh.Id).Select(order => order.Line.Count));
    }

    [Fact]
    public void An_end_leaves_the_past_as_it_was()
    {
        var (added, today) = (Add(), Monday.PlusDays(3));
        Assert.Equal(ChangeOutcome.Done, Database.Write(transaction => StandingOrderStore.End(transaction, added.Id, 1, today)));
        Assert.Single(On(Monday));
        Assert.Empty(On(today));
        Assert.Empty(Read(connection => StandingOrderStore.GoingOn(connection, today)));
        Assert.Equal(ChangeOutcome.Gone, Database.Write(transaction => StandingOrderStore.End(transaction, added.Id, 2, today)));
        Assert.Equal(ChangeOutcome.Gone, Database.Write(transaction => StandingOrderStore.Change(transaction, added.Id, 2, Standing with { From = today }, today)));
        // One that never came is gone altogether.
        var fresh = Add();
        Assert.Equal(ChangeOutcome.Done, Database.Write(transaction => StandingOrderStore.End(transaction, fresh.Id, 1, Monday)));
        Assert.Null(Read(connection => StandingOrderStore.Find(connection, fresh.Id)));
    }

    [Fact]
    public void Too_much_for_a_day_is_found_wherever_it_comes()
    {
        for (var at = 0; at < 49; at++) Add(Standing with { Count = 2000 });
        var one = Standing with { Count = 1500, Days = [IsoDayOfWeek.Thursday] };
        Assert.Null(Read(connection => OrderStore.TooMuch(connection, one)));
        var far = Monday.PlusDays(7 * 20 + 3);
        Database.Write(transaction => OrderStore.Add(transaction, new OrderLine("pear", "23", 501, far.At(new LocalTime(9, 0)), string.Empty), Zone));
        var tooMuch = Read(connection => OrderStore.TooMuch(connection, one));
        Assert.Equal(far, tooMuch!.Value.Day);
        Assert.Contains("it would have 100001", tooMuch.Value.Fault.Message, StringComparison.Ordinal);
        Assert.Null(Read(connection => OrderStore.TooMuch(connection, one with { Until = far.PlusDays(-1) })));
        var begun = Add(Standing with { Count = 501, From = far.PlusDays(7), Until = far.PlusDays(7) });
        Assert.Equal(far.PlusDays(7), Read(connection => OrderStore.TooMuch(connection, one with { From = far.PlusDays(1) }))!.Value.Day);
        Assert.Null(Read(connection => OrderStore.TooMuch(connection, one with { From = far.PlusDays(1) }, without: begun.Id)));
    }

    [Fact]
    public void What_it_names_is_held()
    {
        Add();
        Assert.Contains("20-straight", Read(connection => OrderStore.PansOrdered(connection, "chocolate")));
        Assert.Contains("20-straight", Read(connection => OrderStore.SizesOrdered(connection))["chocolate"]);
        Assert.Throws<SqliteException>(() => Add(Standing with { Pan = "34x24" }));
        Run("UPDATE product SET retired = 1 WHERE id = 'gooseberry'");
        Assert.Throws<SqliteException>(() => Add(Standing with { Product = "gooseberry", Pan = "23" }));
        var other = Add();
        Assert.Throws<SqliteException>(() => Database.Write(transaction => StandingOrderStore.Change(transaction, other.Id, 1, Standing with { Product = "gooseberry", Pan = "23" }, Monday)));
        foreach (var wrong in (string[])["count = 0", "weekdays = 0", "weekdays = 128", "pick_up_minute = 1440", "until_date = '2026-01-01'", "from_date = 'soon'"])
            Assert.Throws<SqliteException>(() => Run($"UPDATE standing_order SET {wrong}"));
        Assert.Throws<SqliteException>(() => Run("INSERT INTO product_margin (product_id, percent) VALUES ('pear', 51)"));
        Assert.Throws<SqliteException>(() => Run("INSERT INTO product_margin (product_id, percent) VALUES ('mango', 5)"));
    }

    private void Run(string sql) => Database.Write(transaction => transaction.Connection.Execute(sql));
}
