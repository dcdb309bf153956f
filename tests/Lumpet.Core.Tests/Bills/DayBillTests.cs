using Lumpet.Core.Bakery;
using Lumpet.Core.Bills;
using Lumpet.Core.Costing;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Stock;
using Lumpet.Core.Tests.DayPlan;
using NodaTime;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Bills;

/// <summary>What a day costs, and to which pies that belongs.</summary>
public sealed class DayBillTests
{
    private const int Early = 1170;
    private const int Late = 1320;

    private static readonly DaySnapshot Fair = Snapshot(Order(Pear, 3, Early), Order(MadeFirstTests.CurdPie, 8, Early), Order(MadeFirstTests.PureePie, 4, Late), Order(Pear, 4, Late));
    private static readonly PlannedDay Plan = DayPlanner.Plan(Priced(Fair));

    private static DaySnapshot Priced(DaySnapshot day) => day with { Ovens = [.. day.Ovens.Select(oven => oven with { HourPrice = oven.Id == "hearth" ? 4.20m : 3.60m })] };

    internal static BakeryRecord Bakery(decimal? hands = 17.50m) =>
        new("Quay", DateTimeZone.Utc, "EUR", 5, 2, 30, Fair.Mixer, [], Priced(Fair).Ovens, default) { HandsHourPrice = hands };

    /// <summary>A price for everything that goes into some pies, each another one.</summary>
    internal static PriceList Prices(IEnumerable<Product> products, params string[] without)
    {
        Ingredient[] weighed = [.. products.SelectMany(product => product.AllLines).SelectMany(line => (line.Ingredient.Formula?.Everything ?? []).Append(line.Ingredient)).Where(one => one.Formula is null).DistinctBy(one => one.Id)];
        Ingredient[] counted = [.. products.SelectMany(product => product.AllPackaging).DistinctBy(one => one.Id)];
        return PriceList.On(new LocalDate(2026, 11, 26), weighed.Select((one, at) => Price(one.Id, 1000, 1.13m + (at * 0.7m)))
            .Concat(counted.Select(one => new Price(one.Id, "A", 100, PackUnit.Piece, new Money(38, "EUR"), new LocalDate(2026, 1, 1)))).Where(price => !without.Contains(price.IngredientId)));
    }

    private static PriceList All => Prices(Plan.Lots.Select(lot => lot.Product));

    [Fact]
    public void Its_lines_add_up_to_it_exactly_and_so_do_hands_and_hot_minutes()
    {
        var bill = DayBill.Of(Plan, All, Bakery());
        Assert.Empty(bill.Missing);
        Assert.Equal(HandsNeeded.In(Plan).WorkMin, bill.Lines.Sum(line => line.HandsMin) + bill.OtherHandsMin);
        Assert.Equal(0, bill.OtherHandsMin);
        Assert.Equal(DayFigures.Of(Plan).HotMin, bill.Lines.Sum(line => line.HotMin) + bill.OtherHotMin);
        Assert.Equal(0, bill.OtherHotMin);
        // Each line is priced to the twelfth decimal; all together they are the hours at their price.
        Assert.Equal(17.50m * HandsNeeded.In(Plan).WorkMin / 60, bill.Lines.Sum(line => line.Hands!.Value.Amount), 9);
        Assert.Equal(DayFigures.Of(Plan).HeatCost!.Value, bill.Lines.Sum(line => line.Heat.Amount) + bill.OtherHeat.Amount, 9);
        Assert.Equal(bill.Lines.Sum(line => line.Known.Amount + line.Hands!.Value.Amount + line.Heat.Amount) + bill.Left + bill.OtherHands!.Value.Amount + bill.OtherHeat.Amount, bill.Cost);
        Assert.Equal(bill.Revenue - bill.Cost, bill.Lines.Sum(line => line.Contribution!.Value.Amount) - bill.Left - bill.OtherHands!.Value.Amount - bill.OtherHeat.Amount);
    }

    [Fact]
    public void Every_pie_is_on_it_with_its_ingredients_and_its_price()
    {
        var bill = DayBill.Of(Plan, All, Bakery());
        Assert.Equal(Plan.Lots, bill.Lines.Select(line => line.Lot));
        Assert.All(bill.Lines, line =>
        {
            Assert.Equal(PieCost.Of(Scaling.Scale(line.Lot.Product, line.Lot.Pan, 1), All).Total!.Value.Amount * line.Lot.Count, line.Known.Amount, 10);
            Assert.Equal(21m * line.Lot.Count, line.Revenue!.Value.Amount);
            Assert.True(line.HandsMin > 0 && line.HotMin > 0 && line.Heat.Amount > 0);
        });
    }

    [Fact]
    public void Orders_of_the_same_pies_share_them_by_their_count_and_add_up_to_the_bill()
    {
        var day = Priced(Snapshot(Order(Pear, 3, Early), Order(Pear, 5, Early), Order(MadeFirstTests.CurdPie, 8, Early), Order(Pear, 4, Late)));
        var bill = DayBill.Of(DayPlanner.Plan(day), Prices(day.Orders.Select(order => order.Product)), Bakery());
        var shares = OrderShare.Of(bill, day.Orders);
        Assert.Equal(day.Orders.Select(order => (order.Product.Id, order.Count, order.PickUpMin)).Order(), shares.Select(share => (share.Product.Id, share.Count, share.PickUpMin)).Order());
        Assert.Equal(bill.Lines.Sum(line => line.Known.Amount), shares.Sum(share => share.Ingredients));
        Assert.Equal(bill.Lines.Sum(line => line.Hands!.Value.Amount), shares.Sum(share => share.Hands));
        Assert.Equal(bill.Lines.Sum(line => line.Heat.Amount), shares.Sum(share => share.Heat));
        Assert.Equal(bill.Lines.Sum(line => line.HandsMin), shares.Sum(share => share.HandsMin));
        Assert.Equal(bill.Lines.Sum(line => line.HotMin), shares.Sum(share => share.HotMin));
        Assert.Equal(bill.Revenue, shares.Sum(share => share.Revenue));
        var (three, five) = (shares.Single(share => share.Count == 3), shares.Single(share => share.Count == 5));
        Assert.Equal(three.Ingredients / 3, five.Ingredients / 5, 9);
        Assert.Equal(three.Hands / 3, five.Hands / 5, 9);
    }

    [Fact]
    public void What_was_taken_is_paid_as_its_pack_was_or_as_the_day_asks()
    {
        var prices = PriceList.On(new LocalDate(2026, 11, 26), [Price("butter", 1000, 8m)]);
        StockLot Lot(decimal? paid, string? batch = null) => new(Guid.NewGuid(), new StockedGoods("butter"), "", StockAmount.Of(Mass.FromGrams(500)), KeepPlace.Cold)
        {
            Pack = StockAmount.Of(Mass.FromGrams(5000)),
            PaidForPack = paid is { } amount ? new Money(amount, "EUR") : null,
            Batch = batch,
        };
        TakenCost Cost(params (StockThing Thing, StockAmount Amount, StockLot? Lot)[] takings) => TakenCost.Of(takings, id => id == "gold" ? null : Ingredient(id), prices, "EUR");
        (StockThing Thing, StockAmount Amount, StockLot? Lot) Taken(StockLot? lot, string id = "butter") => (new StockedGoods(id), StockAmount.Of(Mass.FromGrams(250)), lot);
        // A quarter of a kilogram: at 31 for 5 kg, at 8 a kilogram, and of no known lot.
        Assert.Equal(1.55m, Cost(Taken(Lot(31))).Amount);
        Assert.Equal(2.00m, Cost(Taken(Lot(null))).Amount);
        Assert.Equal(2.00m, Cost(Taken(null)).Amount);
        // What was made here was paid when its ingredients were taken.
        Assert.Equal(0, Cost(Taken(Lot(31, "dough:flaky/1"))).Amount);
        Assert.Equal([new StockedGoods("gold")], Cost(Taken(null, "gold"), Taken(Lot(31))).Missing);
    }

    /// <summary>The three pear pies share a bowl with fifteen others: its minutes go by the dough that each takes.</summary>
    [Fact]
    public void A_bowl_is_shared_by_what_each_takes_of_it()
    {
        var bowl = Assert.Single(Plan.Batches);
        var own = Plan.Tasks.Where(task => task.Kind == TaskKind.Hands && task.LotId is not null).ToLookup(task => task.LotId!, task => task.EndMin - task.StartMin);
        var first = DayBill.Of(Plan, All, Bakery()).Lines.First(line => line.Lot.Product.Id == Pear.Id);
        var share = bowl.Discs.Where(disc => disc.LotIds.Contains(first.Lot.Id)).Sum(disc => disc.Disc.Grams * disc.Count) / bowl.InDiscs.Grams;
        Assert.Equal(own[first.Lot.Id].Sum() + (decimal)(bowl.Dough.MixMinutes * share), first.HandsMin, 6);
    }

    /// <summary>One tray beside three in the same oven for the same time: a quarter of its minutes.</summary>
    [Fact]
    public void An_oven_is_shared_by_trays_and_minutes()
    {
        var plum = Pear with { Id = "plum", Name = "Plum", Aliases = ["plum"] };
        var plan = DayPlanner.Plan(Priced(Snapshot(Order(Pear, 4, Early), Order(plum, 12, Early))));
        var load = Assert.Single(plan.Loads);
        Assert.Equal([1, 3], load.Visits.GroupBy(visit => visit.LotId).Select(own => own.Sum(visit => visit.Shelves.Count)).Order());
        var bill = DayBill.Of(plan, Prices([Pear, plum]), Bakery());
        decimal Hot(Product product) => bill.Lines.Single(line => line.Lot.Product.Id == product.Id).HotMin;
        Assert.Equal(DayFigures.Of(plan).HotMin, Hot(Pear) + Hot(plum));
        Assert.Equal(Hot(plum), 3 * Hot(Pear), 9);
    }

    [Fact]
    public void What_a_bowl_makes_beyond_what_is_taken_is_told_and_paid()
    {
        var plan = DayPlanner.Plan(Priced(Snapshot(Order(Pear, 1, Early))));
        var bill = DayBill.Of(plan, Prices([Pear]), Bakery());
        var left = Assert.Single(bill.Unused);
        Assert.Equal("dough:flaky", left.Ingredient.Id);
        Assert.Equal(plan.Batches.Sum(batch => batch.Surplus.Grams), left.Mass.Grams, 6);
        Assert.Equal((decimal)left.Mass.Grams * Prices([Pear]).OfGram(Flaky.AsIngredient())!.Value.Amount, bill.Left, 9);
        Assert.True(bill.Left > 0);
    }

    [Fact]
    public void What_has_no_price_is_named_and_what_is_not_counted_is_no_zero()
    {
        var bill = DayBill.Of(Plan, Prices(Plan.Lots.Select(lot => lot.Product), "butter"), Bakery(hands: null));
        Assert.Contains("butter", bill.Missing);
        Assert.All(bill.Lines, line => Assert.Null(line.Hands));
        Assert.Null(bill.OtherHands);
        Assert.All(bill.Lines.Where(line => line.Lot.Product.Id == Pear.Id), line => Assert.Equal(["butter"], line.Missing));
        var plan = DayPlanner.Plan(Fair);
        var cold = DayBill.Of(plan, All, Bakery());
        Assert.Equal(plan.Loads.Select(load => plan.Ovens[load.OvenId].Name).Distinct().Order(), cold.OvensWithoutPrice.Order());
        Assert.Equal(0, cold.Lines.Sum(line => line.Heat.Amount));
        Assert.Equal(DayFigures.Of(plan).HotMin, cold.Lines.Sum(line => line.HotMin));
    }

    [Fact]
    public void Shares_add_up_whatever_the_weights()
    {
        foreach (var seed in Enumerable.Range(1, 200))
        {
            var dice = new Random(seed);
            var weights = Enumerable.Range(0, dice.Next(1, 40)).Select(who => KeyValuePair.Create($"{who % 30}", (decimal)dice.NextDouble() * dice.Next(0, 1000))).ToArray();
            var whole = Shares.Kept((decimal)dice.NextDouble() * 10_000);
            var shares = Shares.Of(whole, weights);
            if (weights.All(one => one.Value == 0)) Assert.Empty(shares);
            else Assert.Equal(whole, shares.Values.Sum());
            var all = weights.Sum(one => one.Value);
            Assert.All(shares, share => Assert.InRange(share.Value - (whole * weights.Where(one => one.Key == share.Key).Sum(one => one.Value) / all), -1e-10m, 1e-10m));
        }
    }
}
