using Dapper;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Store.Prices;
using Microsoft.Data.Sqlite;
using NodaTime;
using Xunit;

namespace Lumpet.Store.Tests.Prices;

public sealed class PriceBooksTests
{
    private static readonly LocalDate Day = new(2026, 11, 25);

    [Fact]
    public void What_is_written_is_read_and_a_supplier_has_one_name()
    {
        using var temporary = TemporaryDatabase.WithDemo();
        var price = new Price("butter", "HEADLAND dairy", 6000, PackUnit.Millilitre, new Money(12.345m, "EUR"), Day) { PackSaid = "case of 6 x 1 l", Origin = PriceOrigin.List };
        using (var transaction = temporary.Database.Begin())
        {
            PriceWriter.Add(transaction, price, becomesUsual: false);
            transaction.Commit();
        }

        using var connection = temporary.Database.Open();
        Assert.Equal(price with { Supplier = "Headland Dairy" }, PriceStore.Book(connection).Of("butter").Last(row => row.ValidFrom == Day));
    }

    [Theory]
    [InlineData("UPDATE price SET paid = '1'")]
    [InlineData("DELETE FROM price")]
    [InlineData("UPDATE usual_supplier SET valid_from = '2026-01-01'")]
    [InlineData("DELETE FROM usual_supplier")]
    [InlineData("DELETE FROM supplier")]
    [InlineData("INSERT INTO price (ingredient_id, supplier, pack_amount, pack_unit, paid, currency, valid_from) VALUES ('moon', 'Headland Dairy', '1', 'g', '1', 'EUR', '2026-01-01')")]
    [InlineData("INSERT INTO price (ingredient_id, supplier, pack_amount, pack_unit, paid, currency, valid_from) VALUES ('butter', 'Nobody', '1', 'g', '1', 'EUR', '2026-01-01')")]
    [InlineData("INSERT INTO price (ingredient_id, supplier, pack_amount, pack_unit, paid, currency, valid_from) VALUES ('butter', 'Headland Dairy', '0', 'g', '1', 'EUR', '2026-01-01')")]
    [InlineData("INSERT INTO price (ingredient_id, supplier, pack_amount, pack_unit, paid, currency, valid_from) VALUES ('butter', 'Headland Dairy', '1', 'g', '-1', 'EUR', '2026-01-01')")]
    public void The_books_only_grow_whoever_writes(string statement)
    {
        using var temporary = TemporaryDatabase.WithDemo();
        using var transaction = temporary.Database.Begin();
        Assert.Throws<SqliteException>(() => transaction.Connection.Execute(statement));
    }

    [Fact]
    public void The_first_price_makes_its_supplier_the_usual_one_and_another_does_not()
    {
        using var temporary = TemporaryDatabase.WithDemo();
        using var transaction = temporary.Database.Begin();
        var known = PriceStore.Book(transaction.Connection);
        var fresh = transaction.Connection.QueryFirst<string>("SELECT id FROM ingredient WHERE dough_id IS NULL AND id NOT IN (SELECT ingredient_id FROM price)");
        Assert.Empty(known.Of(fresh));
        PriceWriter.Add(transaction, new Price(fresh, "First", 1000, PackUnit.Gram, new Money(1, "EUR"), Day), becomesUsual: false);
        PriceWriter.Add(transaction, new Price(fresh, "Second", 1000, PackUnit.Gram, new Money(2, "EUR"), Day), becomesUsual: false);
        Assert.Equal("First", PriceStore.Book(transaction.Connection).UsualOf(fresh, Day));
        PriceWriter.Add(transaction, new Price(fresh, "Second", 1000, PackUnit.Gram, new Money(3, "EUR"), Day.PlusDays(1)), becomesUsual: true);
        var book = PriceStore.Book(transaction.Connection);
        Assert.Equal(("First", "Second"), (book.UsualOf(fresh, Day), book.UsualOf(fresh, Day.PlusDays(1))));
    }

    [Fact]
    public void A_list_is_remembered_by_supplier_and_the_last_word_on_an_article_holds()
    {
        using var temporary = TemporaryDatabase.WithDemo();
        using var transaction = temporary.Database.Begin();
        PriceWriter.Remember(transaction, "Tide Market", "{}", ",", new Dictionary<string, string?> { ["Gold"] = "butter", ["Sand"] = null });
        PriceWriter.Remember(transaction, "TIDE market", "{\"a\":1}", null, new Dictionary<string, string?> { ["Gold"] = null });
        Assert.Equal(new Supplier("Tide Market", "{\"a\":1}", null), PriceStore.FindSupplier(transaction.Connection, "tide market"));
        var articles = PriceStore.Articles(transaction.Connection, "Tide Market");
        Assert.Equal([("Gold", null), ("Sand", null)], articles.OrderBy(one => one.Key).Select(one => (one.Key, one.Value)));
    }
}
