using Lumpet.Core.Orders;
using Lumpet.Store.Orders;
using NodaTime;
using Xunit;

namespace Lumpet.Store.Tests.Orders;

public sealed class OrderStoreTests : IDisposable
{
    private static readonly DateTimeZone Zone = DateTimeZoneProviders.Tzdb["Europe/Lisbon"];
    private static readonly LocalDate Day = new(2026, 12, 5);
    private static readonly OrderLine Line = new("pear", "23", 12, Day.At(new LocalTime(9, 0)), "kiosk") { MayBeLateMin = 30 };

    private readonly TemporaryDatabase temporary = TemporaryDatabase.WithDemo();

    private Database Database => temporary.Database;

    public void Dispose() => temporary.Dispose();

    private StoredOrder Add() => Database.Write(transaction => OrderStore.Add(transaction, Line, Zone));

    [Fact]
    public void What_was_added_is_found_as_it_was()
    {
        var added = Add();
        using var connection = Database.Open();
        Assert.Equal(added, Assert.Single(OrderStore.OnDay(connection, Day)));
        Assert.Equal(Line, added.Line);
        Assert.Equal(1, added.RowVersion);
        // Lisbon is on UTC in December.
        Assert.Equal(Instant.FromUtc(2026, 12, 5, 9, 0), added.PickUp);
    }

    [Fact]
    public void A_second_writer_gets_a_conflict_and_not_a_loss()
    {
        var order = Add();
        Assert.Equal(ChangeOutcome.Done, Database.Write(transaction => OrderStore.Change(transaction, order.Id, 1, Line with { Count = 20 }, Zone)));
        Assert.Equal(ChangeOutcome.Conflict, Database.Write(transaction => OrderStore.Change(transaction, order.Id, 1, Line with { Count = 30 }, Zone)));
        Assert.Equal(ChangeOutcome.Conflict, Database.Write(transaction => OrderStore.Remove(transaction, order.Id, 1)));
        using var connection = Database.Open();
        Assert.Equal(20, OrderStore.Find(connection, order.Id)!.Line.Count);
    }

    [Fact]
    public void What_is_gone_is_said_to_be_gone()
    {
        var order = Add();
        Assert.Equal(ChangeOutcome.Done, Database.Write(transaction => OrderStore.Remove(transaction, order.Id, 1)));
        Assert.Equal(ChangeOutcome.Gone, Database.Write(transaction => OrderStore.Remove(transaction, order.Id, 1)));
        Assert.Equal(ChangeOutcome.Gone, Database.Write(transaction => OrderStore.Change(transaction, order.Id, 1, Line, Zone)));
    }

    [Fact]
    public void Writers_at_the_same_time_wait_for_each_other()
    {
        Parallel.For(0, 40, _ => Add());
        using var connection = Database.Open();
        Assert.Equal(40, OrderStore.OnDay(connection, Day).Count);
        Assert.Contains((Day, 480), OrderStore.Days(connection, Day));
    }

    [Fact]
    public void Of_an_hour_that_comes_twice_the_first_is_meant() =>
        // Lisbon puts its clocks back on 25 October 2026 at 02:00 summer time; the first 01:30 is 00:30 UTC.
        Assert.Equal(
            Instant.FromUtc(2026, 10, 25, 0, 30), OrderStore.InstantOf(new LocalDateTime(2026, 10, 25, 1, 30, 0), Zone));
}
