using CsCheck;
using Lumpet.Core.Costing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using NodaTime;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Costing;

public sealed class CostHistoryTests
{
    private static readonly LocalDate First = new(2026, 1, 1);
    private static readonly string[] Weighed = ["flour", "butter", "water", "pear", "sugar", "starch", "egg"];
    private static readonly ScaledProduct Pie = Scaling.Scale(Pear, Pan23, 1);

    private static Price Row(string ingredient, decimal perKilogram, int day = 0, string supplier = "A") => new(ingredient, supplier, 1000, PackUnit.Gram, new Money(perKilogram, "EUR"), First.PlusDays(day));

    private static IEnumerable<Price> Base => Weighed.Select(id => Row(id, 2)).Append(new Price("box", "A", 1, PackUnit.Piece, new Money(0.38m, "EUR"), First));

    private static decimal? Cost(PriceBook book, LocalDate day) => PieCost.Of(Pie, book.On(day)).Total?.Amount;

    [Fact]
    public void Of_every_day_the_history_says_what_the_pie_cost_and_reasons_add_up() =>
        Gen.Select(Gen.Int[0, 6], Gen.Int[0, 90], Gen.Int[100, 900], Gen.Int[0, 1]).Array[0, 12].Sample(changes =>
        {
            var rows = changes.Select(change => Row(Weighed[change.Item1], change.Item3 / 100m, change.Item2, change.Item4 == 0 ? "A" : "B"));
            var book = new PriceBook(Base.Concat(rows), Weighed.Select(id => new UsualSupplier(id, "A", First)));
            var history = CostHistory.Of(Pie, book, First.PlusDays(10), First.PlusDays(80));
            Assert.All(history.Steps, step => Assert.InRange(step.Day, First.PlusDays(11), First.PlusDays(80)));
            Assert.Equal(history.Steps.Select(step => step.Day).Distinct().Order(), history.Steps.Select(step => step.Day));
            for (var day = 10; day <= 80; day++)
            {
                var said = history.Steps.LastOrDefault(step => step.Day <= First.PlusDays(day))?.Cost ?? history.Begin;
                Assert.Equal(Cost(book, First.PlusDays(day))!.Value, said!.Value.Amount, 12);
            }

            Assert.All(history.Steps, step => Assert.Equal(step.Cost!.Value.Amount - step.Before!.Value.Amount, step.Reasons.Sum(reason => reason.More!.Value.Amount), 12));
            var whole = CostHistory.Between(Pie, book, First.PlusDays(10), First.PlusDays(80));
            Assert.Equal(Cost(book, First.PlusDays(80))!.Value - Cost(book, First.PlusDays(10))!.Value, whole.Reasons.Sum(reason => reason.More!.Value.Amount), 12);
        });

    [Fact]
    public void The_strongest_reason_comes_first_and_says_from_what_to_what()
    {
        var book = new PriceBook([.. Base, Row("butter", 2.5m, 20), Row("water", 2.5m, 20)], []);
        var step = Assert.Single(CostHistory.Of(Pie, book, First, First.PlusDays(30)).Steps);
        Assert.Equal(["butter", "water"], step.Reasons.Select(reason => reason.Ingredient.Id));
        Assert.Equal((2m, 2.5m), (step.Reasons[0].From!.Paid.Amount, step.Reasons[0].To!.Paid.Amount));
    }

    [Fact]
    public void Before_all_prices_are_known_nothing_is_said_of_the_cost_and_a_first_price_is_named()
    {
        var book = new PriceBook([.. Base.Where(price => price.IngredientId != "butter"), Row("butter", 7, 20)], []);
        var history = CostHistory.Of(Pie, book, First, First.PlusDays(30));
        Assert.Null(history.Begin);
        var step = Assert.Single(history.Steps);
        Assert.NotNull(step.Cost);
        var reason = Assert.Single(step.Reasons);
        Assert.Equal(("butter", null, null), (reason.Ingredient.Id, reason.More, reason.From));
    }

    [Fact]
    public void A_price_that_is_written_again_is_no_step()
    {
        var book = new PriceBook([.. Base, Row("butter", 2, 20)], []);
        Assert.Empty(CostHistory.Of(Pie, book, First, First.PlusDays(30)).Steps);
    }
}
