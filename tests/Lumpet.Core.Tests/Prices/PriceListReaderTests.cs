using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Prices;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Prices;

public sealed class PriceListReaderTests
{
    private static readonly LocalDate Today = new(2026, 6, 1);

    private static PriceTable Table(string heading, params string[] rows) =>
        new(heading.Split('|'), [.. rows.Select((row, at) => new PriceTableRow(at + 2, row.Split('|')))]);

    private static PriceReading Reading(string? sign = null) =>
        new("EUR", Today, Today, sign, article => article.ToLowerInvariant() switch { "butter 82 %" or "butter" => "butter", "plain flour" => "flour", _ => null });

    private static (IReadOnlyList<PriceOffer> Offers, IReadOnlyList<FieldFault> Faults) Read(PriceTable table) => PriceListReader.Read(table, PriceColumns.Guess(table), Reading());

    [Fact]
    public void Columns_are_found_by_what_stands_above_them()
    {
        Assert.Equal(new PriceColumns("Article", "Pack", null, "Price", null, null), PriceColumns.Guess(Table("No|Article|Pack|Price")));
        Assert.Equal(new PriceColumns("Bezeichnung", "Inhalt", "Einheit", "Nettopreis", "Währung", "gültig ab"), PriceColumns.Guess(Table("Bezeichnung|Inhalt|Einheit|Nettopreis|Währung|gültig ab")));
        var strange = PriceColumns.Guess(Table("a|b|c"));
        Assert.Equal(new PriceColumns(null, null, null, null, null, null), strange);
        var (_, faults) = PriceListReader.Read(Table("a|b|c", "Butter|1 kg|8.00"), strange, Reading());
        Assert.Equal(["columns.article", "columns.pack", "columns.paid"], faults.Select(fault => fault.Field));
    }

    [Fact]
    public void A_row_becomes_an_offer_with_its_pack_in_one_column_or_two()
    {
        var (offers, faults) = Read(Table("Article|Size|Unit|Price|Valid from", "Butter 82 %|10|kg|78.00|2026-07-01", "Plain flour|25|kg|21.50|1.7.2026", "Plain flour of old|25|kg|20.00"));
        Assert.Empty(faults);
        Assert.Equal(
            [("butter", 10000m, 78m, new LocalDate(2026, 7, 1)), ("flour", 25000m, 21.5m, new LocalDate(2026, 7, 1)), (null, 25000m, 20m, Today)],
            offers.Select(offer => (offer.IngredientId, offer.Pack.Amount, offer.Paid, offer.ValidFrom)));
    }

    [Fact]
    public void What_is_wrong_is_named_by_row_and_field_and_only_of_what_is_bought()
    {
        var (_, faults) = Read(Table("Article|Pack|Price|Currency|Date", "DAIRY||", "Butter|a lot|8.00|EUR", "Plain flour|25 kg|on request|GBP|soon", "Lobster|each|by weight"));
        Assert.Equal(["rows[3].pack", "rows[4].paid", "rows[4].currency", "rows[4].validFrom"], faults.Select(fault => fault.Field));
    }

    [Fact]
    public void The_same_ingredient_at_two_prices_is_asked_about_and_at_one_is_not()
    {
        Assert.Empty(Read(Table("Article|Pack|Price", "Butter|1 kg|8.00", "Butter 82 %|1 kg|8.00")).Faults);
        var (_, faults) = Read(Table("Article|Pack|Price", "Butter|1 kg|8.00", "Butter 82 %|10 kg|78.00"));
        Assert.Equal("rows[3].article", Assert.Single(faults).Field);
    }

    [Theory]
    [InlineData("1999-12-31", false)]
    [InlineData("2000-01-01", true)]
    [InlineData("2028-06-01", true)]
    [InlineData("2028-06-02", false)]
    [InlineData("02/03/2026", false)]
    public void A_day_lies_within_what_anybody_remembers_or_promises(string day, bool isTaken) =>
        Assert.Equal(isTaken, Read(Table("Article|Pack|Price|Date", $"Butter|1 kg|8.00|{day}")).Faults.Count == 0);

    [Fact]
    public void What_was_said_of_an_article_goes_before_its_name()
    {
        var names = new ArticleNames(
            new Dictionary<string, string?> { ["Butter"] = null, ["Gold block"] = "butter" },
            new Dictionary<string, string?> { ["Silver block"] = "lard", ["Gold block"] = null },
            new Pantry([new Ingredient("butter", "Butter", [], true), new Ingredient("lard", "Lard", [], true)]));
        Assert.Equal([null, null, "lard", "lard", null], new[] { "Butter", "Gold block", "Silver block", "Lard", "Butter biscuits" }.Select(names.Find));
        Assert.Equal([true, true, false, false], new[] { "Butter", "Gold block", "Silver block", "Butter biscuits" }.Select(names.IsPassedOver));
    }

    [Fact]
    public void A_change_is_told_from_the_same_suppliers_price_and_by_unit()
    {
        var book = new PriceBook(
            [new Price("butter", "A", 10000, PackUnit.Gram, new Money(80, "EUR"), Today.PlusDays(-9)), new Price("flour", "B", 25000, PackUnit.Gram, new Money(20, "EUR"), Today.PlusDays(-9))],
            [new UsualSupplier("butter", "A", Today.PlusDays(-9)), new UsualSupplier("flour", "B", Today.PlusDays(-9))]);
        PriceOffer Offer(string ingredient, decimal grams, decimal paid) => new(1, ingredient, new PackSize(grams, PackUnit.Gram, $"{grams} g"), paid, Today) { IngredientId = ingredient };
        var changes = PriceChange.Of(book, [Offer("butter", 5000, 44), Offer("flour", 25000, 10), Offer("egg", 1000, 0)], "A", "EUR", PriceOrigin.List);
        // 8.00 a kg becomes 8.80; flour was never asked by A, and is bought at B; an egg for nothing is looked at twice.
        Assert.Equal([(0.1m, false, true, false), (null, false, false, false), (null, false, true, true)], changes.Select(change => (change.Share, change.IsNoNews, change.IsInForce, change.IsSurprising)));
        Assert.Equal(PriceOrigin.List, changes[0].Now.Origin);
        Assert.True(PriceChange.Of(book, [Offer("butter", 10000, 80)], "A", "EUR", PriceOrigin.List)[0].IsNoNews);
        Assert.False(PriceChange.Of(book, [Offer("butter", 5000, 40)], "A", "EUR", PriceOrigin.List)[0].IsNoNews);
        Assert.True(PriceChange.Of(book, [Offer("butter", 10000, 105)], "A", "EUR", PriceOrigin.List)[0].IsSurprising);
    }
}
