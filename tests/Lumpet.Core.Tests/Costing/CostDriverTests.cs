using Lumpet.Core.Costing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using NodaTime;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Costing;

public sealed class CostDriverTests
{
    private static readonly LocalDate First = new(2026, 1, 1);

    private static Price Row(string ingredient, decimal perKilogram, int day = 0) => new(ingredient, "A", 1000, PackUnit.Gram, new Money(perKilogram, "EUR"), First.PlusDays(day));

    private static readonly Price Box = new("box", "A", 100, PackUnit.Piece, new Money(38, "EUR"), First);

    private static readonly Price[] Prices = [Row("flour", 0.86m), Row("butter", 7.8m), Row("water", 0.004m), Row("pear", 2.4m), Row("sugar", 1.1m), Row("starch", 1.96m), Row("egg", 4.2m), Box];

    private static ScaledProduct Pie => Scaling.Scale(Pear, Pan23, 1);

    private static Ingredient Made(string id, params (Ingredient Part, double Grams)[] parts) =>
        new IngredientFormula([.. parts.Select(part => new RecipeLine(part.Part, "", Yield.Whole, Mass.FromGrams(part.Grams)))], 0.9).Make(new Ingredient(id, id, [], true));

    private static decimal Cost(IEnumerable<Price> rows, ScaledProduct? pie = null) => PieCost.Of(pie ?? Pie, PriceList.On(First.PlusDays(400), rows)).Total!.Value.Amount;

    [Fact]
    public void What_is_bought_costs_together_what_the_pie_costs_and_nothing_is_left_out()
    {
        var prices = PriceList.On(First, Prices);
        var bought = BoughtAmount.Of(Pie, prices);
        Assert.Equal(Cost(Prices), bought.Sum(one => one.CostAt(prices)!.Value.Amount), 15);
        Assert.Equal(Prices.Select(price => price.IngredientId).Order(), bought.Select(one => one.Ingredient.Id).Order());
        // The worked form of culinary arithmetic (AP = EP / yield): pears pared at 0.78.
        Assert.Equal(1010m / 0.78m, bought.Single(one => one.Ingredient.Id == "pear").Grams, 6);
    }

    [Fact]
    public void A_tenth_dearer_is_what_the_pie_costs_when_that_price_is_written_a_tenth_higher()
    {
        var drivers = CostDrivers.Of(Pie, PriceList.On(First, Prices));
        Assert.Equal(1m, drivers.Sum(driver => driver.Share!.Value), 12);
        Assert.Equal(drivers.OrderByDescending(driver => driver.Cost!.Value.Amount), drivers);
        Assert.All(drivers, driver =>
        {
            var dearer = Prices.Select(price => price.IngredientId == driver.Bought.Ingredient.Id ? price with { Paid = price.Paid * 1.1m } : price);
            Assert.Equal(Cost(dearer) - Cost(Prices), driver.More!.Value.Amount, 12);
            Assert.Equal(Cost(dearer) / 21m, driver.FoodCostShareThen!.Value, 12);
        });
    }

    [Fact]
    public void Two_boxes_are_paid_twice_and_bought_once()
    {
        var pie = Scaling.Scale(Pear with { Packaging = [Ingredient("box"), Ingredient("box")] }, Pan23, 1);
        var prices = PriceList.On(First, Prices);
        var boxes = BoughtAmount.Of(pie, prices).Single(one => one.Ingredient.Id == "box");
        Assert.Equal((2, 0.76m), (boxes.Pieces, boxes.CostAt(prices)!.Value.Amount));
        Assert.Equal(Cost(Prices) + 0.38m, Cost(Prices, pie));
    }

    [Fact]
    public void What_has_no_price_has_no_cost_and_makes_no_share_of_the_rest()
    {
        var drivers = CostDrivers.Of(Pie, PriceList.On(First, Prices.Where(price => price.IngredientId != "sugar")));
        Assert.Equal("sugar", drivers[^1].Bought.Ingredient.Id);
        Assert.Null(drivers[^1].Cost);
        Assert.All(drivers, driver => Assert.Null(driver.Share));
        Assert.All(drivers, driver => Assert.Null(driver.FoodCostShareThen));
        Assert.NotNull(drivers[0].More);
    }

    [Fact]
    public void What_is_made_here_is_opened_at_any_depth_once_and_bought_where_it_has_a_price()
    {
        var sugar = Ingredient("sugar");
        // Twelve storeys, each of two of the one below: opened by ways it would be four thousand, opened once it is twelve.
        var made = Made("syrup-0", (sugar, 100));
        for (var storey = 1; storey <= 12; storey++) made = Made($"syrup-{storey}", (made, 50), (made, 50));
        var pie = Scaling.Scale(Pear with { Layers = [Layered.Filling([Line("pear", 1010), new RecipeLine(made, "", Yield.Whole, Mass.FromGrams(100))], 1)] }, Pan23, 1);
        var prices = PriceList.On(First, Prices);
        var bought = BoughtAmount.Of(pie, prices);
        Assert.Equal(100 / Math.Pow(0.9, 13), (double)bought.Single(one => one.Ingredient.Id == "sugar").Grams, 6);
        Assert.Equal(PieCost.Of(pie, prices).Total!.Value.Amount, bought.Sum(one => one.CostAt(prices)!.Value.Amount), 12);

        var bottled = PriceList.On(First, Prices.Append(Row("syrup-12", 3m)));
        Assert.Equal(100m, BoughtAmount.Of(pie, bottled).Single(one => one.Ingredient.Id == "syrup-12").Grams);
        Assert.DoesNotContain(BoughtAmount.Of(pie, bottled), one => one.Ingredient.Id == "sugar");
    }
}
