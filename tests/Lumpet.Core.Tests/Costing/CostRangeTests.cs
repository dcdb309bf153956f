using Lumpet.Core.Costing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using NodaTime;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Costing;

/// <summary>While a price is missing a pie costs between two figures, each from something that is known.</summary>
public sealed class CostRangeTests
{
    private static readonly LocalDate Day = new(2026, 11, 26);
    private static readonly Ingredient Pears = Ingredient("pear") with { Facts = new IngredientFacts { StatedRole = IngredientRole.Fruit } };
    private static readonly Product Pie = Pear.Filled(new RecipeLine(Pears, "", Yield.FromShare(0.78), Mass.FromGrams(1010)), Line("sugar", 140), Line("starch", 26));

    private static Price Row(string ingredient, decimal perKilogram, int day = -30, string currency = "EUR", PackUnit unit = PackUnit.Gram) =>
        new(ingredient, "A", 1000, unit, new Money(perKilogram, currency), Day.PlusDays(day));

    private static readonly Price[] Others = [Row("flour", 0.86m), Row("butter", 7.8m), Row("water", 0.004m), Row("sugar", 1.1m), Row("starch", 1.96m), Row("egg", 4.2m), Row("box", 380, unit: PackUnit.Piece)];

    private static CostRange Range(params Price[] more) => Range(Pie, more);

    private static CostRange Range(Product pie, Price[] more, params Ingredient[] others)
    {
        var book = new PriceBook([.. Others, .. more], []);
        return CostRange.Of(Scaling.Scale(pie, Pan23, 1), book, book.On(Day), others.Append(Pears).ToDictionary(one => one.Id), "EUR");
    }

    private static decimal Known => BoughtAmount.Of(Scaling.Scale(Pie, Pan23, 1), PriceList.On(Day, Others)).Sum(one => one.CostAt(PriceList.On(Day, Others))?.Amount ?? 0);

    private const decimal Kilograms = 1.010m / 0.78m;

    [Fact]
    public void With_every_price_known_both_ends_are_what_it_costs()
    {
        var range = Range(Row("pear", 2.4m));
        Assert.Empty(range.Guessed);
        Assert.Equal(range.Low, range.High);
        Assert.Equal(PieCost.Of(Scaling.Scale(Pie, Pan23, 1), PriceList.On(Day, [.. Others, Row("pear", 2.4m)])).Total!.Value.Amount, range.Low.Amount, 12);
    }

    [Fact]
    public void A_price_that_holds_later_is_a_ground_to_guess_from()
    {
        var range = Range(Row("pear", 2.0m, day: 7), Row("pear", 2.6m, day: 14));
        Assert.Equal(GuessedFrom.OtherPrices, Assert.Single(range.Guessed).From);
        Assert.Equal(Known + (2.0m * Kilograms), range.Low.Amount, 9);
        Assert.Equal(Known + (2.6m * Kilograms), range.High!.Value.Amount, 9);
    }

    [Fact]
    public void A_price_by_volume_is_between_the_lightest_and_the_densest_of_foods()
    {
        var range = Range(Row("pear", 3.5m, unit: PackUnit.Millilitre));
        Assert.Equal(GuessedFrom.AnyDensity, Assert.Single(range.Guessed).From);
        Assert.Equal(Known + (3.5m / 1.45m * Kilograms), range.Low.Amount, 9);
        Assert.Equal(Known + (3.5m / 0.35m * Kilograms), range.High!.Value.Amount, 9);
    }

    [Fact]
    public void Others_of_its_kind_say_what_it_may_cost_and_other_kinds_do_not()
    {
        Ingredient Other(string id, IngredientRole role) => Ingredient(id) with { Facts = new IngredientFacts { StatedRole = role } };
        var range = Range(Pie, [Row("plum", 3m), Row("damson", 5m), Row("gold leaf", 900m), Row("free", 0m)], Other("plum", IngredientRole.Fruit), Other("damson", IngredientRole.Fruit), Other("gold leaf", IngredientRole.Spice), Other("free", IngredientRole.Fruit));
        Assert.Equal(GuessedFrom.ItsKind, Assert.Single(range.Guessed).From);
        Assert.Equal(Known + (3m * Kilograms), range.Low.Amount, 9);
        Assert.Equal(Known + (5m * Kilograms), range.High!.Value.Amount, 9);
    }

    [Fact]
    public void Where_nothing_is_known_it_may_cost_anything_and_never_nothing_at_most()
    {
        foreach (var range in new[] { Range(), Range(Row("pear", 2.4m, day: 3, currency: "GBP")) })
        {
            Assert.Equal(GuessedFrom.Nothing, Assert.Single(range.Guessed).From);
            Assert.Equal(Known, range.Low.Amount);
            Assert.Null(range.High);
        }
    }
}
