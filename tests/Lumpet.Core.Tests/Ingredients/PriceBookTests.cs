using CsCheck;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Ingredients;

public sealed class PriceBookTests
{
    private static readonly LocalDate First = new(2026, 1, 1);

    private static Price Row(string supplier, decimal paid, int day, string ingredient = "butter") => new(ingredient, supplier, 1000, PackUnit.Gram, new Money(paid, "EUR"), First.PlusDays(day));

    private static UsualSupplier Usual(string supplier, int day) => new("butter", supplier, First.PlusDays(day));

    private static decimal? Paid(PriceBook book, int day) => book.Find("butter", First.PlusDays(day))?.Paid.Amount;

    [Fact]
    public void A_price_holds_from_its_day_until_the_next_and_is_corrected_by_a_later_row_of_the_same_day()
    {
        var book = new PriceBook([Row("A", 8, 10), Row("A", 9, 20), Row("A", 7, 10)], []);
        Assert.Equal([null, 7m, 7m, 9m], [Paid(book, 9), Paid(book, 10), Paid(book, 19), Paid(book, 20)]);
    }

    [Fact]
    public void Costs_follow_the_usual_supplier_and_not_whoever_wrote_last()
    {
        var book = new PriceBook([Row("A", 8, 0), Row("B", 5, 10), Row("A", 9, 20)], [Usual("A", 0), Usual("B", 15), Usual("A", 30)]);
        Assert.Equal([8m, 8m, 5m, 5m, 9m], [Paid(book, 0), Paid(book, 12), Paid(book, 15), Paid(book, 25), Paid(book, 30)]);
        Assert.Equal(["A", "B"], book.BySupplier("butter", First.PlusDays(25)).Select(row => row.Supplier));
        Assert.Equal(5m, book.Find("butter", "B", First.PlusDays(40))!.Paid.Amount);
    }

    [Fact]
    public void Where_the_usual_supplier_has_no_price_yet_the_last_of_any_holds_and_before_anything_was_said_the_first_said()
    {
        Assert.Equal(5m, Paid(new PriceBook([Row("B", 5, 0)], [Usual("A", 0)]), 3));
        // A price entered later for an earlier day, of the supplier that was named first.
        Assert.Equal(6m, Paid(new PriceBook([Row("A", 6, 0), Row("B", 5, 1)], [Usual("A", 10)]), 5));
    }

    [Fact]
    public void Steps_are_the_days_on_which_what_holds_changes()
    {
        var book = new PriceBook([Row("A", 8, 0), Row("B", 5, 10), Row("A", 9, 20)], [Usual("A", 0), Usual("B", 15)]);
        Assert.Equal([(First, 8m), (First.PlusDays(15), 5m)], book.Steps("butter").Select(step => (step.Day, step.Price.Paid.Amount)));
        Assert.Empty(book.Steps("lard"));
    }

    [Fact]
    public void Steps_and_lists_say_of_every_day_what_find_says() =>
        Gen.Select(Gen.Int[0, 40].Array[0, 8], Gen.Int[0, 40].Array[0, 4], Gen.Int[0, 2].Array[12]).Sample((rows, usual, names) =>
        {
            string Name(int at) => ((string[])["A", "B", "C"])[names[at % 12]];
            var book = new PriceBook(rows.Select((day, at) => Row(Name(at), at + 1, day)), usual.Select((day, at) => Usual(Name(at + 8), day)));
            var steps = book.Steps("butter");
            for (var day = 0; day <= 41; day++)
            {
                var date = First.PlusDays(day);
                var found = book.Find("butter", date);
                Assert.Equal(found, steps.LastOrDefault(step => step.Day <= date).Price);
                Assert.Equal(found, book.On(date).Find("butter"));
                if (found is null) Assert.True(rows.All(row => row > day));
                // What holds is the newest of its supplier, and of those of one day the last that was written.
                else Assert.Equal(found, book.Of("butter").Last(row => row.Supplier == found.Supplier && row.ValidFrom <= date));
            }
        });

    [Fact]
    public void With_more_rows_it_is_the_book_of_all_of_them()
    {
        var book = new PriceBook([Row("A", 8, 0)], [Usual("A", 0)]).With([Row("A", 9, 0), Row("A", 3, 1, "sugar")]);
        Assert.Equal((9m, 3m), (Paid(book, 0)!.Value, book.Find("sugar", First.PlusDays(1))!.Paid.Amount));
    }

    [Fact]
    public void A_gram_costs_by_weight_by_volume_or_by_the_piece_and_nothing_is_guessed()
    {
        var cream = new Ingredient("cream", "Cream", [], true);
        Price Of(decimal amount, PackUnit unit) => new("cream", "A", amount, unit, new Money(12, "EUR"), First);
        Assert.Equal(0.012m, Of(1000, PackUnit.Gram).OfGram(cream)!.Value.Amount);
        Assert.Null(Of(1000, PackUnit.Millilitre).OfGram(cream));
        Assert.Null(Of(30, PackUnit.Piece).OfGram(cream));
        // 1 l at 0.5 g/ml is 500 g; 30 pieces of 50 g are 1500 g.
        var known = cream with { Facts = new IngredientFacts { Density = new DensityFigure(Density.FromGramsPerMillilitre(0.5), "test"), Pieces = [new PieceWeight("one", Mass.FromGrams(50), "test")] } };
        Assert.Equal((0.024m, 0.008m), (Of(1000, PackUnit.Millilitre).OfGram(known)!.Value.Amount, Of(30, PackUnit.Piece).OfGram(known)!.Value.Amount));
        var list = new PriceBook([Of(1000, PackUnit.Millilitre)], []).On(First);
        Assert.Null(list.OfGram(cream));
        Assert.Contains("density", list.Lacks(cream), StringComparison.Ordinal);
    }
}
