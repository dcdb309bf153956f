using Dapper;
using Lumpet.Core.Bakery;
using Lumpet.Core.Orders;
using Lumpet.Core.Pans;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Orders;
using Lumpet.Store.Recipes;
using Microsoft.Data.Sqlite;
using NodaTime;
using Xunit;

namespace Lumpet.Store.Tests;

/// <summary>What the schema itself refuses, whoever writes and whatever was checked before.</summary>
public sealed class WhatHoldsTests : IDisposable
{
    private const int Constraint = 19;

    private static readonly DateTimeZone Zone = DateTimeZoneProviders.Tzdb["Europe/Lisbon"];

    private readonly TemporaryDatabase temporary = TemporaryDatabase.WithDemo();

    private Database Database => temporary.Database;

    public void Dispose() => temporary.Dispose();

    private static OrderLine Line(string product = "pear", string pan = "23") => new(product, pan, 3, new LocalDateTime(2026, 12, 5, 9, 0), "kiosk");

    private void Refused(Action<Transaction> work)
    {
        var exception = Assert.Throws<SqliteException>(() => Database.Write(transaction =>
        {
            work(transaction);
            return true;
        }));
        Assert.Equal(Constraint, exception.SqliteErrorCode);
    }

    private void Run(string sql) => Database.Write(transaction => transaction.Connection.Execute(sql));

    [Fact]
    public void An_order_names_a_size_of_its_product()
    {
        Refused(transaction => OrderStore.Add(transaction, Line(pan: "34x24"), Zone));
        Database.Write(transaction => OrderStore.Add(transaction, Line(), Zone));
        Refused(transaction => transaction.Connection.Execute("DELETE FROM product_size_packaging WHERE product_id = 'pear'; DELETE FROM product_size WHERE product_id = 'pear' AND pan_id = '23'"));
    }

    [Fact]
    public void What_a_bakery_says_of_doors_hands_and_pans_is_kept()
    {
        using var connection = Database.Open();
        var (bakery, pans) = (BakeryStore.Find(connection)!, RecipeStore.Pans(connection));
        var told = bakery with { OpenCPerTray = 7, Ovens = [bakery.Ovens[0] with { ActionMin = 2 }, .. bakery.Ovens.Skip(1)] };
        Pan[] counted = [pans[0] with { Owned = 17 }, pans[1] with { Owned = null }, .. pans.Skip(2)];
        Assert.Equal(ChangeOutcome.Done, Database.Write(transaction => BakeryWriter.Save(transaction, told, counted, BakeryWriter.Version(transaction.Connection))).Outcome);
        using var after = Database.Open();
        var kept = BakeryStore.Find(after)!;
        Assert.Equal((7, 2, 0), (kept.OpenCPerTray, kept.Ovens[0].ActionMin, kept.Ovens[1].ActionMin));
        Assert.Equal([17, null], RecipeStore.Pans(after).Take(2).Select(pan => pan.Owned));
        Database.Write(transaction => BakeryWriter.Save(transaction, bakery, pans, BakeryWriter.Version(transaction.Connection)));
    }

    [Fact]
    public void The_week_its_breaks_and_its_special_dates_are_kept()
    {
        using var connection = Database.Open();
        var (bakery, pans) = (BakeryStore.Find(connection)!, RecipeStore.Pans(connection));
        var night = bakery.Shifts[0] with { Days = [IsoDayOfWeek.Monday, IsoDayOfWeek.Sunday], Breaks = [new ShiftBreak(60, 15), new ShiftBreak(240, 30)] };
        var told = bakery with
        {
            DaysAhead = 3,
            Shifts = [night, bakery.Shifts[1] with { People = null }],
            SpecialDates = [new SpecialDate(new LocalDate(2026, 12, 24), "Lantern Fair", [night with { Days = ShiftRecord.EveryDay }, bakery.Shifts[1]]), new SpecialDate(new LocalDate(2026, 12, 25), string.Empty, [])],
        };
        Assert.Equal(ChangeOutcome.Done, Database.Write(transaction => BakeryWriter.Save(transaction, told, pans, BakeryWriter.Version(transaction.Connection))).Outcome);
        using var after = Database.Open();
        Assert.Equivalent(BakeryReader.Write(told, pans), BakeryReader.Write(BakeryStore.Find(after)!, pans), strict: true);
        Database.Write(transaction => BakeryWriter.Save(transaction, bakery, pans, BakeryWriter.Version(transaction.Connection)));
        using var back = Database.Open();
        Assert.Empty(BakeryStore.Find(back)!.SpecialDates);
    }

    [Fact]
    public void Room_is_kept_and_what_is_not_counted_stays_so()
    {
        using var connection = Database.Open();
        var (bakery, pans) = (BakeryStore.Find(connection)!, RecipeStore.Pans(connection));
        foreach (var room in new[] { new KitchenRoom { BenchPlaces = 1, Burners = 2, PotLitres = 30, RackTrays = 3, FridgeTrays = 4, FridgeKilograms = 5, FreezerTrays = 6, FreezerKilograms = 7 }, KitchenRoom.Uncounted, bakery.Room })
        {
            Assert.Equal(ChangeOutcome.Done, Database.Write(transaction => BakeryWriter.Save(transaction, bakery with { Room = room }, pans, BakeryWriter.Version(transaction.Connection))).Outcome);
            using var after = Database.Open();
            Assert.Equal(room, BakeryStore.Find(after)!.Room);
        }

        Refused(transaction => transaction.Connection.Execute("UPDATE bakery SET rack_trays = 0"));
    }

    [Fact]
    public void A_recipe_is_written_anew_while_orders_name_its_sizes()
    {
        using var connection = Database.Open();
        var pear = RecipeStore.Find(connection, "pear")!;
        Assert.Equal(ChangeOutcome.Done, Database.Write(transaction => RecipeWriter.Save(transaction, pear with { Version = pear.Version + 1 }, [], Instant.FromUnixTimeSeconds(0))));
        // Without a size that is ordered the whole save is refused.
        Refused(transaction => RecipeWriter.Save(transaction, pear with { Version = pear.Version + 2, Sizes = [pear.Sizes[^1]] }, [], Instant.FromUnixTimeSeconds(0)));
        using var after = Database.Open();
        Assert.Equal(pear.Sizes.Count, RecipeStore.Find(after, "pear")!.Sizes.Count);
        Assert.Equal(pear.Version + 1, RecipeStore.Find(after, "pear")!.Version);
    }

    [Fact]
    public void A_retired_product_takes_no_orders()
    {
        var order = Database.Write(transaction => OrderStore.Add(transaction, Line(), Zone));
        Run("UPDATE product SET retired = 1 WHERE id = 'damson'");
        Refused(transaction => OrderStore.Add(transaction, Line("damson"), Zone));
        Refused(transaction => OrderStore.Change(transaction, order.Id, 1, Line("damson"), Zone));
    }

    [Fact]
    public void Nothing_is_made_of_itself_through_however_many_others()
    {
        Run(
            """
            INSERT INTO ingredient (id, name) VALUES ('one', 'One'), ('two', 'Two'), ('three', 'Three');
            INSERT INTO ingredient_line VALUES ('one', 0, 'two', '', 1, ''), ('two', 0, 'three', '', 1, '');
            """);
        Refused(transaction => transaction.Connection.Execute("INSERT INTO ingredient_line VALUES ('three', 0, 'one', '', 1, '')"));
        Refused(transaction => transaction.Connection.Execute("INSERT INTO ingredient_line VALUES ('three', 0, 'three', '', 1, '')"));
        Run("INSERT INTO ingredient_line VALUES ('three', 0, 'sugar', '', 1, '')");
    }

    [Theory]
    [InlineData("UPDATE ingredient SET name = 'CANE SUGAR' WHERE id = 'butter'")]
    [InlineData("UPDATE product SET name = (SELECT upper(name) FROM product WHERE id = 'pear') WHERE id = 'damson'")]
    [InlineData("UPDATE dough SET name = (SELECT name FROM dough ORDER BY id LIMIT 1)")]
    public void Two_things_of_a_kind_have_two_names(string sql)
    {
        Run("UPDATE ingredient SET name = 'Cane sugar' WHERE id = 'sugar'");
        Refused(transaction => transaction.Connection.Execute(sql));
    }

    [Fact]
    public void Every_change_of_the_library_counts_its_stamp_on()
    {
        using var connection = Database.Open();
        var (pear, dough) = (RecipeStore.Find(connection, "pear")!, RecipeStore.Doughs(connection)[0]);
        var sugar = IngredientStore.Own(connection)["sugar"];
        var (bakery, pans, at) = (BakeryStore.Find(connection)!, RecipeStore.Pans(connection), Instant.FromUnixTimeSeconds(0));
        Action<Transaction>[] changes =
        [
            transaction => RecipeWriter.Save(transaction, pear with { Version = pear.Version + 1 }, [], at),
            transaction => RecipeWriter.Save(transaction, dough with { Version = dough.Version + 1 }, [], at),
            transaction => IngredientWriter.Change(transaction, sugar, null, IngredientStore.Versions(transaction.Connection)["sugar"]),
            transaction => IngredientWriter.Add(transaction, sugar with { Id = "quinces", Name = "Quinces, ours" }, null),
            transaction => Shelving.Remove(transaction, Shelved.Ingredient, "quinces"),
            transaction => Shelving.Retire(transaction, Shelved.Dough, dough.Id, false, "2026-11-25"),
            transaction => Shelving.Retire(transaction, Shelved.Product, "pear", false, "2026-11-25"),
            transaction => BakeryWriter.Save(transaction, bakery, pans, BakeryWriter.Version(transaction.Connection)),
        ];
        foreach (var change in changes)
        {
            var before = LibraryStore.Stamp(Database.Open());
            Database.Write(transaction =>
            {
                change(transaction);
                return true;
            });
            Assert.True(LibraryStore.Stamp(Database.Open()) > before, $"change {Array.IndexOf(changes, change)}");
        }

        // Orders are no part of it: each of them would read every recipe anew.
        var stamp = LibraryStore.Stamp(Database.Open());
        Database.Write(transaction => OrderStore.Add(transaction, Line(), Zone));
        Assert.Equal(stamp, LibraryStore.Stamp(Database.Open()));
    }

    [Fact]
    public void What_is_read_through_one_connection_is_of_one_moment()
    {
        using var connection = Database.Open();
        var before = OrderStore.OnDay(connection, new LocalDate(2026, 12, 5)).Count;
        Database.Write(transaction => OrderStore.Add(transaction, Line(), Zone));
        Assert.Equal(before, OrderStore.OnDay(connection, new LocalDate(2026, 12, 5)).Count);
        using var after = Database.Open();
        Assert.Equal(before + 1, OrderStore.OnDay(after, new LocalDate(2026, 12, 5)).Count);
    }

    [Fact]
    public void A_change_that_is_left_has_changed_nothing_and_holds_up_nobody()
    {
        using (var transaction = Database.Begin()) OrderStore.Add(transaction, Line(), Zone);
        using var connection = Database.Open();
        Assert.Empty(OrderStore.OnDay(connection, new LocalDate(2026, 12, 5)));
        Database.Write(transaction => OrderStore.Add(transaction, Line(), Zone));
    }

    [Fact]
    public void What_was_confirmed_under_a_key_is_remembered_for_a_month()
    {
        var now = Instant.FromUtc(2026, 11, 25, 9, 0);
        bool Keep(string kind, string key, Instant at) => Database.Write(transaction =>
        {
            ConfirmedRequests.Keep(transaction, kind, key, new ConfirmedRequest("sent", "answer"), at);
            return true;
        });
        Keep("order", "key", now);
        Keep("order file", "key", now + Duration.FromDays(29));
        Assert.NotNull(Database.Write(transaction => ConfirmedRequests.Find(transaction, "order", "key") ?? new ConfirmedRequest(string.Empty, string.Empty)));
        Keep("order", "another", now + Duration.FromDays(31));
        using var transaction = Database.Begin();
        Assert.Null(ConfirmedRequests.Find(transaction, "order", "key"));
        Assert.Equal(new ConfirmedRequest("sent", "answer"), ConfirmedRequests.Find(transaction, "order file", "key"));
    }
}
