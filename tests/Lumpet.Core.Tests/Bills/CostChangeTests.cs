using Lumpet.Core.Bills;
using Lumpet.Core.Costing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using NodaTime;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Bills;

/// <summary>Ways laid beside each other, and the cheapest change that brings a product under its aim.</summary>
public sealed class CostChangeTests
{
    private static readonly LocalDate Day = new(2026, 11, 26);
    private static readonly DoughFormula Lean = Flaky with { Id = "lean", Name = "Lean", Lines = [Line("flour", 600), Line("butter", 150), Line("water", 150)] };
    private static readonly DoughFormula Shell = Flaky with { Id = "shell", Name = "Shell", Lines = [new RecipeLine(Ingredient("shell") with { Facts = new IngredientFacts { StatedRole = IngredientRole.BoughtDough, Pieces = [new PieceWeight("one", Mass.FromGrams(250), "its box")] } }, "", Yield.Whole, Mass.FromGrams(250))] };

    private static Price Row(string ingredient, decimal perKilogram, string supplier = "A") => new(ingredient, supplier, 1000, PackUnit.Gram, new Money(perKilogram, "EUR"), new LocalDate(2026, 1, 1));

    private static readonly Price[] Rows = [Row("flour", 0.86m), Row("butter", 7.8m), Row("water", 0.004m), Row("pear", 2.4m), Row("sugar", 1.1m), Row("starch", 1.96m), Row("egg", 4.2m), new("box", "A", 100, PackUnit.Piece, new Money(38, "EUR"), new LocalDate(2026, 1, 1))];

    /// <summary>Usually everything comes from A.</summary>
    private static PriceBook Book(params Price[] others) => new([.. Rows, .. others], Rows.Select(row => new UsualSupplier(row.IngredientId, "A", new LocalDate(2026, 1, 1))));

    private static Channel Aim(decimal share) => Channel.Usual[0] with { FoodCostShare = share };

    private static decimal Cost(Product? product = null) => PieCost.Of(Scaling.Scale(product ?? Pear, Pan23, 1), Book().On(Day)).Total!.Value.Amount;

    private static IReadOnlyList<CostChange> Changes(decimal share, params Price[] others) => CostChange.Of(Pear, Pan23, CostWay.Of(Pear, Pan23, [Flaky, Lean, Shell], []), Book(others), Day, Aim(share));

    [Fact]
    public void Every_other_pan_dough_school_and_version_is_a_way_and_none_twice()
    {
        var ways = CostWay.Of(Pear, Pan23, [Flaky, Lean, Shell, Lean with { Id = "old", IsRetired = true }], [(1, Pear.Filled(Line("pear", 900))), (2, Pear with { Sizes = [Pear.Sizes[1]] })]);
        Assert.Equal((CostWayKind.AsItIs, "as it is"), (ways[0].Kind, ways[0].Name));
        Assert.Equal(["26 cm"], ways.Where(way => way.Kind == CostWayKind.Pan).Select(way => way.Name));
        Assert.Equal(["Lean"], ways.Where(way => way.Kind == CostWayKind.Dough).Select(way => way.Name));
        Assert.Equal(["version 1"], ways.Where(way => way.Kind == CostWayKind.Version).Select(way => way.Name));
        Assert.All(ways, way => Assert.NotNull(way.Product.SizeIn(way.Pan.Id)));
        Assert.Equal(ways.Count, ways.Select(way => (way.Kind, way.Name)).Distinct().Count());
        // A shell that comes by the piece is exchanged for no dough.
        Assert.DoesNotContain(CostWay.Of(Pear with { Dough = Shell }, Pan23, [Flaky, Lean], []), way => way.Kind == CostWayKind.Dough);
    }

    [Fact]
    public void Within_the_aim_nothing_has_to_change()
    {
        Assert.Empty(Changes((Cost() / 21m) + 0.0001m));
        Assert.Empty(CostChange.Of(Pear, Pan26, [], Book(), Day, Aim(0.01m)));
        Assert.Empty(CostChange.Of(Pear, Pan23, [], new PriceBook(Rows.Where(row => row.IngredientId != "butter"), []), Day, Aim(0.01m)));
    }

    /// <summary>Culinary arithmetic: price = cost / food-cost share, up to the next price point of 0.50.</summary>
    [Fact]
    public void A_price_always_helps_and_what_asks_nothing_of_the_buyer_comes_before_it()
    {
        var share = (Cost() / 21m) - 0.001m;
        var alone = CostChange.Of(Pear, Pan23, [], Book(), Day, Aim(share));
        Assert.Equal(CostChangeKind.Price, Assert.Single(alone).Kind);
        Assert.Equal(Math.Ceiling(Cost() / share / 0.5m) * 0.5m, alone[0].Price.Amount);
        var changes = Changes(share, Row("butter", 6.8m, "B"), Row("flour", 0.80m, "B"), Row("egg", 9m, "B"));
        Assert.All(changes.Where(one => one.Kind != CostChangeKind.Price), one => Assert.Equal(21m, one.Price.Amount));
        // Butter for a euro less reaches it, and changes less than everything together or another dough.
        Assert.Equal((CostChangeKind.Supplier, "butter", "B"), (changes[0].Kind, changes[0].What, changes[0].With));
        Assert.True(changes[0].Share <= share);
        Assert.DoesNotContain(changes, one => one.What == "egg");
        Assert.Contains(changes, one => one.Kind == CostChangeKind.AllSuppliers && one.Cost.Amount < changes[0].Cost.Amount);
        Assert.Equal(Cost(Pear with { Dough = Lean }), changes.Single(one => one.Kind == CostChangeKind.Dough).Cost.Amount, 12);
        // A price that reaches it stands before all that does not.
        Assert.True(changes.Select(one => one.Share <= share).SequenceEqual(changes.Select(one => one.Share <= share).OrderByDescending(reaches => reaches)));
    }

    [Fact]
    public void The_cost_then_is_what_it_costs_at_that_suppliers_price()
    {
        var cheaper = Changes(0.1m, Row("butter", 6.8m, "B")).Single(one => one.Kind == CostChangeKind.Supplier);
        var then = new PriceBook([.. Rows.Where(row => row.IngredientId != "butter"), Row("butter", 6.8m)], []);
        Assert.Equal(PieCost.Of(Scaling.Scale(Pear, Pan23, 1), then.On(Day)).Total!.Value.Amount, cheaper.Cost.Amount, 12);
    }
}
