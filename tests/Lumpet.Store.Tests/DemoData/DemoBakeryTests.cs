using Lumpet.Core.Costing;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Store.Bakery;
using Lumpet.Store.DemoData;
using Lumpet.Store.Orders;
using Lumpet.Store.Prices;
using Lumpet.Store.Recipes;
using NodaTime;
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
        Assert.Equal(NodaTime.Text.LocalDatePattern.Iso.Parse(day).Value, DemoBakery.FairDay(new LocalDateTime(2026, 11, 25, hour, 0, 0)));

    [Fact]
    public void The_demo_is_a_whole_bakery()
    {
        using var temporary = TemporaryDatabase.WithDemo();
        using var connection = temporary.Database.Open();
        var bakery = BakeryStore.Find(connection)!;
        Assert.Equal("Tern Quay Bakehouse", bakery.Name);
        Assert.Equal(2, bakery.Ovens.Count);
        Assert.Equal(2, bakery.Shifts.Count);
        var orders = OrderStore.OnDay(connection, new LocalDate(2026, 11, 26));
        Assert.Equal(62, orders.Sum(order => order.Line.Count));
        Assert.Equal(2, orders.Select(order => order.PickUp).Distinct().Count());
    }

    [Fact]
    public void Every_demo_product_scales_to_each_of_its_pans_and_costs_something_complete()
    {
        using var temporary = TemporaryDatabase.WithDemo();
        using var connection = temporary.Database.Open();
        var prices = PriceStore.Book(connection).On(TemporaryDatabase.Now.Date);
        var products = RecipeStore.Products(connection);
        Assert.True(products.Count >= 12);
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
        var products = RecipeStore.Products(connection);
        Assert.Equal(0.78, products.Single(product => product.Id == "pear").MainFilling.Lines[0].Yield.Share, 9);
        Assert.Equal(0.94, products.Single(product => product.Id == "damson").MainFilling.Lines[0].Yield.Share, 9);
    }

    [Fact]
    public void The_demo_has_every_family_kind_top_school_lining_and_family_of_pans()
    {
        using var temporary = TemporaryDatabase.WithDemo();
        using var connection = temporary.Database.Open();
        var products = RecipeStore.Products(connection);
        Assert.Equal(Enum.GetValues<DoughFamily>(), products.Select(product => product.Dough.Method.Family).Distinct().Order());
        Assert.Equal(Enum.GetValues<FillingKind>(), products.Select(product => product.MainFilling.Filling).Distinct().Order());
        Assert.Equal(Enum.GetValues<Top>(), products.Select(product => product.Crust.Top).Distinct().Order());
        Assert.Equal(Enum.GetValues<BaseTreatment>(), products.Select(product => product.BaseTreatment).Distinct().Order());
        Assert.Equal(Enum.GetValues<Lining>(), products.Select(product => product.Crust.Lining).Distinct().Order());
        Assert.All(products, product => Assert.NotEmpty(product.Process.Steps));
        // Whatever a step names must stand among the lines, or a label would miss it.
        Assert.All(products.Where(product => product.Process.Steps.Any(step => step.Name.Contains("egg", StringComparison.OrdinalIgnoreCase))), product => Assert.Contains("egg", product.Allergens));
        Assert.Equal(Enum.GetValues<PanFamily>().Except([PanFamily.Rectangular]), RecipeStore.Pans(connection).Select(pan => pan.Family).Distinct().Order());
    }
}
