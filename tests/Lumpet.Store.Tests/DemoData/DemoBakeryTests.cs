using Lumpet.Core.Costing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes;
using Lumpet.Store.Bakery;
using Lumpet.Store.DemoData;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Orders;
using Lumpet.Store.Recipes;
using Xunit;

namespace Lumpet.Store.Tests.DemoData;

public sealed class DemoBakeryTests
{
    [Theory]
    [InlineData(9, "2026-11-26")]
    [InlineData(11, "2026-11-26")]
    [InlineData(12, "2026-11-27")]
    [InlineData(23, "2026-11-27")]
    public void The_fair_is_the_morning_after_the_next_whole_afternoon_shift(int hour, string day) =>
        Assert.Equal(DateOnly.Parse(day, System.Globalization.CultureInfo.InvariantCulture), DemoBakery.FairDay(new DateTime(2026, 11, 25, hour, 0, 0)));

    [Fact]
    public void The_demo_is_a_whole_bakery()
    {
        using var temporary = TemporaryDatabase.WithDemo();
        using var connection = temporary.Database.Open();
        var bakery = BakeryStore.Find(connection)!;
        Assert.Equal("Tern Quay Bakehouse", bakery.Name);
        Assert.Equal(2, bakery.Ovens.Count);
        Assert.Equal(2, bakery.Shifts.Count);
        var orders = OrderStore.OnDay(connection, new DateOnly(2026, 11, 26));
        Assert.Equal(62, orders.Sum(order => order.Line.Count));
        Assert.Equal(2, orders.Select(order => order.PickUp).Distinct().Count());
    }

    [Fact]
    public void Every_demo_product_scales_to_each_of_its_pans_and_costs_something_complete()
    {
        using var temporary = TemporaryDatabase.WithDemo();
        using var connection = temporary.Database.Open();
        var prices = PriceList.On(DateOnly.FromDateTime(TemporaryDatabase.Now), IngredientStore.Prices(connection));
        var products = RecipeStore.Products(connection);
        Assert.Equal(3, products.Count);
        Assert.All(products.SelectMany(product => product.Sizes.Select(size => (product, size))), pair =>
        {
            var cost = PieCost.Of(Scaling.Scale(pair.product, pair.size.Pan, 10), prices);
            Assert.Empty(cost.Missing);
            Assert.InRange(cost.FoodCostShare!.Value, 0.05m, 0.6m);
        });
    }

    [Fact]
    public void Yields_of_the_demo_are_the_published_ones()
    {
        // USDA Food Buying Guide and Agriculture Handbook 102, from memory: pears pared and cored 0.78, plums pitted 0.94.
        using var temporary = TemporaryDatabase.WithDemo();
        using var connection = temporary.Database.Open();
        var yields = IngredientStore.Yields(connection);
        Assert.Equal(0.78, yields[("pear", "pared and cored")].Share, 9);
        Assert.Equal(0.94, yields[("damson", "pitted")].Share, 9);
    }
}
