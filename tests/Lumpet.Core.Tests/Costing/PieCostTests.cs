using Lumpet.Core.Costing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using NodaTime;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Costing;

public sealed class PieCostTests
{
    private static readonly LocalDate Today = new(2026, 6, 1);

    private static readonly Price Box = new("box", "a supplier", 100, PackUnit.Piece, new Money(38, "EUR"), new LocalDate(2026, 1, 1));

    private static readonly Price[] Prices =
    [
        Price("flour", 25000, 21.5m), Price("butter", 10000, 78m), Price("water", 1000000, 4m), Price("pear", 1000, 2.40m),
        Price("sugar", 25000, 27.5m), Price("starch", 5000, 9.8m), Price("egg", 10000, 42m), Box,
    ];

    private static PieCost Cost(IEnumerable<Price> prices) => PieCost.Of(Scaling.Scale(Pear, Pan23, 1), PriceList.On(Today, prices));

    [Fact]
    public void Ten_kilograms_of_pared_fruit_need_12_82_bought()
    {
        // Culinary-arithmetic textbooks, worked form: AP = EP / yield; EP cost = AP cost / yield.
        Assert.Equal(12.82, Yield.FromShare(0.78).AsPurchased(Mass.FromKilograms(10)).Kilograms, 2);
        Assert.Equal(3.077, 2.40 / Yield.FromShare(0.78).Share, 3);
    }

    [Fact]
    public void An_ingredient_costs_its_portion_over_yield_at_the_price_of_a_gram()
    {
        var pears = Cost(Prices).Lines.Single(line => line.Ingredient.Id == "pear");
        Assert.Equal(1010m / 0.78m * 0.0024m, pears.Cost!.Value.Amount, 6);
    }

    [Fact]
    public void Parts_add_up_and_the_dough_counts_its_trim()
    {
        var cost = Cost(Prices);
        Assert.Equal(cost.Total!.Value.Amount, Enum.GetValues<PartKind>().Sum(part => cost.Of(part)?.Amount ?? 0), 9);
        var discs = Scaling.Scale(Pear, Pan23, 1).DoughPerPie.Grams / 0.99;
        var perGram = ((450m * 21.5m / 25000) + (300m * 78 / 10000) + (150m * 4 / 1000000)) / 900;
        Assert.Equal((decimal)discs * perGram, cost.Of(PartKind.Dough)!.Value.Amount, 6);
        Assert.Equal(0.38m, cost.Of(PartKind.Packaging)!.Value.Amount);
    }

    [Fact]
    public void Food_cost_is_a_share_of_the_selling_price()
    {
        var cost = Cost(Prices);
        Assert.Equal(cost.Total!.Value.Amount / 21m, cost.FoodCostShare!.Value);
        Assert.Null(PieCost.Of(Scaling.Scale(Pear, Pan26, 1), PriceList.On(Today, Prices)).FoodCostShare);
    }

    [Fact]
    public void A_missing_price_makes_the_cost_incomplete_not_lower()
    {
        var cost = Cost(Prices.Where(price => price.IngredientId != "starch"));
        Assert.Null(cost.Total);
        Assert.Null(cost.FoodCostShare);
        Assert.Null(cost.Of(PartKind.Filling));
        Assert.NotNull(cost.Of(PartKind.Dough));
        Assert.Equal(["starch"], cost.Missing);
    }

    [Fact]
    public void A_price_by_the_piece_is_no_price_for_a_weight() =>
        Assert.Equal(["pear"], Cost([.. Prices.Where(price => price.IngredientId != "pear"), Box with { IngredientId = "pear" }]).Missing);

    [Fact]
    public void The_price_in_force_is_the_last_one_that_has_begun()
    {
        Price[] rows = [Price("butter", 10000, 71m, 2025), Price("butter", 10000, 78m, 2026), Price("butter", 10000, 90m, 2027)];
        Assert.Equal(78m, PriceList.On(Today, rows).Find("butter")!.Paid.Amount);
        Assert.Null(PriceList.On(new LocalDate(2024, 1, 1), rows).Find("butter"));
    }

    [Fact]
    public void A_price_is_in_force_from_its_first_day_and_not_a_day_before()
    {
        var rows = new[] { Price("butter", 10000, 71m, 2025), Price("butter", 10000, 78m) with { ValidFrom = Today } };
        Assert.Equal(71m, PriceList.On(Today.PlusDays(-1), rows).Find("butter")!.Paid.Amount);
        Assert.Equal(78m, PriceList.On(Today, rows).Find("butter")!.Paid.Amount);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(-0.1)]
    [InlineData(1.01)]
    [InlineData(double.NaN)]
    public void A_yield_lies_above_zero_and_at_most_at_one(double share) =>
        Assert.Throws<ArgumentOutOfRangeException>(() => Yield.FromShare(share));

    [Fact]
    public void What_is_bought_by_the_piece_costs_by_what_one_weighs()
    {
        // A dozen eggs at 3.60: 0.30 for 50 g, so 184 g of egg are 1.104.
        Price[] prices =
        [
            new Price("egg", "a supplier", 12, PackUnit.Piece, new Money(3.6m, "EUR"), new LocalDate(2026, 1, 1)),
            Price("sugar", 1000, 1m),
            // Nobody has said what one of these weighs.
            new Price("starch", "a supplier", 12, PackUnit.Piece, new Money(3.6m, "EUR"), new LocalDate(2026, 1, 1)),
        ];
        var egg = new RecipeLine(IngredientLibrary.Find("egg")!, "", Yield.Whole, Mass.FromGrams(184));
        var cost = PieCost.Of(Scaling.Scale(Custard.Filled(egg, Line("sugar", 95), Line("starch", 5)), Pan23, 1), PriceList.On(new LocalDate(2026, 6, 1), prices));
        Assert.Equal(1.104, (double)cost.Lines.First(line => line.Ingredient.Id == "egg").Cost!.Value.Amount, 9);
        Assert.Equal(PackUnit.Piece, cost.Lines.First(line => line.Ingredient.Id == "egg").Price!.PackUnit);
        Assert.Contains("starch", cost.Missing);
        Assert.DoesNotContain("sugar", cost.Missing);
    }
}
