using Lumpet.Core.Bakery;
using Lumpet.Core.Bills;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using Lumpet.Core.Tests.DayPlan;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Bills;

/// <summary>Pies made by themselves: whole bowls, whole batches, their own hands and their own oven.</summary>
public sealed class RunCostTests
{
    private static RunCost Cost(Product product, int count, params string[] without) =>
        RunCost.Of(LoneRun.Of(product, Pan23, count, DayBillTests.Bakery().Mixer), DayBillTests.Prices([product], without), DayBillTests.Bakery());

    /// <summary>
    /// By hand: lining 8 + 3, preparing 10 + 3, filling 4 + 2, boxing 2 + 1 a pie and 30 for the bowl are 54 + 9 a pie. The finisher heats from 20 to 220 at
    /// 10 degrees a minute in 20 minutes and bakes 65 a load of four trays of four pies, at 3.60 an hour; the hearth would take 5 more at 4.20.
    /// </summary>
    [Theory]
    [InlineData(1, 63, 85)]
    [InlineData(16, 198, 85)]
    [InlineData(17, 207, 150)]
    public void Hands_and_heat_are_those_of_the_recipe(int count, int hands, int hot)
    {
        var cost = Cost(Pear, count);
        Assert.Equal((hands, hot, "finisher"), (cost.Run.AllHandsMin, cost.OvenMin, cost.Oven!.Id));
        Assert.Equal(17.50m * hands / 60, cost.Hands!.Value.Amount);
        Assert.Equal(3.60m * hot / 60, cost.Heat!.Value.Amount);
        Assert.Equal(cost.Ingredients!.Value.Amount + cost.Left!.Value.Amount + cost.Hands.Value.Amount + cost.Heat.Value.Amount, cost.Total!.Value.Amount);
    }

    /// <summary>By hand: 200 degrees at 30 a minute are there in the seventh minute, not before; at 40 in the fifth.</summary>
    [Theory]
    [InlineData(30, 72)]
    [InlineData(40, 70)]
    public void An_oven_is_heated_to_the_end_of_the_minute_in_which_it_is_hot(int perMinute, int hot)
    {
        var bakery = DayBillTests.Bakery();
        var quick = bakery with { Ovens = [.. bakery.Ovens.Select(oven => oven with { HeatCPerMin = perMinute })] };
        Assert.Equal(hot, RunCost.Of(LoneRun.Of(Pear, Pan23, 4, bakery.Mixer), DayBillTests.Prices([Pear]), quick).OvenMin);
    }

    /// <summary>Pears bake at 220 and then at 190: an oven that cannot go down to the one or up to the other bakes none, however cheap.</summary>
    [Fact]
    public void Only_an_oven_that_can_do_all_stages_is_counted_on()
    {
        var bakery = DayBillTests.Bakery();
        string? Chosen(Func<Oven, Oven> change) =>
            RunCost.Of(LoneRun.Of(Pear, Pan23, 4, bakery.Mixer), DayBillTests.Prices([Pear]), bakery with { Ovens = [.. bakery.Ovens.Select(oven => oven.Id == "finisher" ? change(oven) : oven)] }).Oven?.Id;
        Assert.Equal("finisher", Chosen(oven => oven));
        Assert.Equal("hearth", Chosen(oven => oven with { MinC = 205 }));
        Assert.Equal("hearth", Chosen(oven => oven with { MaxC = 205 }));
        Assert.Equal("hearth", Chosen(oven => oven with { HourPrice = null }));
    }

    /// <summary>Four turns of six minutes are 24 minutes of hands for each bowl, beside mixing it.</summary>
    [Fact]
    public void A_dough_that_is_turned_asks_for_hands_at_every_turn()
    {
        var turned = Pear with { Dough = Flaky with { Method = Flaky.Method with { Turns = 4, TurnMinutes = 6 } } };
        Assert.Equal(Cost(Pear, 4).Run.AllHandsMin + 24, Cost(turned, 4).Run.AllHandsMin);
    }

    /// <summary>What a bowl takes less what its discs hold is what is left of it: nothing of what is bought goes missing.</summary>
    [Fact]
    public void What_is_bought_is_in_the_pies_or_left_over()
    {
        foreach (var count in new[] { 1, 2, 7, 30 })
        {
            var (cost, prices) = (Cost(Pear, count), DayBillTests.Prices([Pear]));
            var bowls = cost.Run.Batches.Sum(batch => (double)prices.OfGram(batch.Made)!.Value.Amount * batch.Mass.Grams);
            var rest = (double)Core.Costing.PieCost.Of(cost.Run.Scaled, prices).Lines.Where(line => line.Part.Kind != PartKind.Dough).Sum(line => line.Cost!.Value.Amount) * count;
            // A disc of dough weighs what the scale shows.
            Assert.Equal(bowls + rest, (double)(cost.Ingredients!.Value.Amount + cost.Unused.Where(left => left.Ingredient.IsDough).Sum(left => left.Cost!.Value.Amount)), 0.01 * count);
        }
    }

    [Fact]
    public void A_smallest_bowl_is_paid_by_the_few_and_forgotten_by_the_many()
    {
        Assert.Contains(Cost(Pear, 1).Unused, left => left.Ingredient.Id == "dough:flaky");
        Assert.DoesNotContain(Cost(Pear, 30).Unused, left => left.Ingredient.Id == "dough:flaky");
        Assert.True(Cost(Pear, 1).Total!.Value.Amount > Cost(Pear, 30).Total!.Value.Amount / 30 * 2);
    }

    [Fact]
    public void What_is_made_first_is_made_in_whole_batches_with_its_own_hands()
    {
        var cost = Cost(MadeFirstTests.CurdPie, 1);
        var curd = cost.Run.Batches.Single(batch => batch.Made.Id == "curd");
        Assert.True(curd.HandsMin > 0);
        Assert.Equal(cost.Run.HandsMin + cost.Run.Batches.Sum(batch => batch.HandsMin), cost.Run.AllHandsMin);
        Assert.Equal(curd.Surplus.Grams > 0.5, cost.Unused.Any(left => left.Ingredient.Id == "curd"));
    }

    [Fact]
    public void A_tin_that_is_opened_is_opened_whole()
    {
        var milk = Ingredient("milk") with { Facts = new IngredientFacts { Pieces = [new PieceWeight("tin", Mass.FromGrams(400), "a tin, our own")] } };
        var pie = Custard with { Layers = [Layered.Filling([new RecipeLine(milk, "", Yield.Whole, Mass.FromGrams(700))], 1.05)] };
        var left = Cost(pie, 1).Unused.Single(one => one.Ingredient.Id == "milk");
        Assert.Equal(100, left.Mass.Grams, 6);
        Assert.DoesNotContain(Cost(pie, 4).Unused, one => one.Ingredient.Id == "milk");
    }

    [Fact]
    public void A_batch_pays_from_the_first_count_that_earns_what_it_costs()
    {
        var runs = RunCost.UpTo(Pear, Pan23, 60, DayBillTests.Prices([Pear]), DayBillTests.Bakery());
        Assert.Equal(Enumerable.Range(1, 60), runs.Select(run => run.Count));
        int? From(decimal perPie) => RunCost.PaysFrom(runs, new Money(perPie, "EUR"));
        var count = From(14)!.Value;
        Assert.InRange(count, 2, 30);
        Assert.True(14m * count >= Cost(Pear, count).Total!.Value.Amount);
        Assert.True(14m * (count - 1) < Cost(Pear, count - 1).Total!.Value.Amount);
        Assert.Equal(count, From(Cost(Pear, count).Total!.Value.Amount / count));
        Assert.Null(From(2));
        Assert.Null(RunCost.PaysFrom([Cost(Pear, 4, "butter")], new Money(1000, "EUR")));
        Assert.Throws<InvalidOperationException>(() => RunCost.PaysFrom(runs, new Money(14, "GBP")));
    }

    [Fact]
    public void With_a_price_missing_nothing_is_said_to_be_the_whole()
    {
        var cost = Cost(Pear, 4, "butter");
        Assert.Null(cost.Ingredients);
        Assert.Null(cost.Total);
        Assert.NotNull(cost.Hands);
    }
}
