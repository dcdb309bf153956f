using CsCheck;
using Lumpet.Core.Buying;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Stock;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Buying;

/// <summary>What is bought, from whom and by when. The sums are worked out by hand; the days are those of the calendar of November 2026.</summary>
public sealed class BuyingListTests
{
    // A Wednesday.
    private static readonly LocalDateTime Now = new(2026, 11, 25, 9, 0);
    private static readonly StockedGoods Cream = new("cream");
    private static readonly StockedGoods Flour = new("flour");

    private static StockAmount Kilograms(double kilograms) => StockAmount.Of(Mass.FromKilograms(kilograms));

    private static PackOffer Offer(double kilograms, decimal paid, string supplier = "Dairy") => new(supplier, Kilograms(kilograms), $"{kilograms} kg", new Money(paid, "EUR"));

    private static Wanted Want(double kilograms, StockedGoods? thing = null, int inHours = 40) => new(thing ?? Cream, Kilograms(kilograms), Now.PlusHours(inHours), ["pies"]);

    private static UseOfGoods Use(double aDay = 0, double? keeps = null, double onShelves = 0) => new(Kilograms(onShelves), aDay * 1_000_000, keeps);

    private static BuyingList List(Wanted[] wanted, Func<StockedGoods, PackOffer[]> offers, UseOfGoods? use = null, SupplierTerms? terms = null) =>
        BuyingList.Of(wanted, thing => offers(thing), _ => use ?? Use(), supplier => terms ?? SupplierTerms.Usual(supplier), Now, Now.Date.PlusDays(2));

    [Fact]
    public void Whole_packs_are_bought_and_what_is_left_is_said()
    {
        var order = Assert.Single(List([Want(12.5)], _ => [Offer(5, 25.5m)], Use(onShelves: 0.3)).Orders);
        var line = Assert.Single(order.Lines);
        Assert.Equal((3, 76.5m, 2.8), (line.Packs, line.Cost.Amount, line.LeftOver.Mass.Kilograms));
        Assert.Equal(76.5m, order.Total.Amount);
        Assert.Equal(2, List([Want(10)], _ => [Offer(5, 25.5m)]).Orders[0].Lines[0].Packs);
        Assert.Equal(3, List([Want(10.001)], _ => [Offer(5, 25.5m)]).Orders[0].Lines[0].Packs);
    }

    [Fact]
    public void The_larger_pack_is_bought_where_what_is_left_keeps_until_it_is_used_and_the_smaller_where_it_would_spoil()
    {
        PackOffer[] offers = [Offer(5, 30m), Offer(1, 7m)];
        // 5 kg at 6 a kilogram beat 2 kg at 7, where the other 3 keep: 12 against 14.
        Assert.Equal(5, List([Want(2)], _ => offers, Use(aDay: 1, keeps: 30)).Orders[0].Lines[0].Offer.Pack.Mass.Kilograms);
        // Used at half a kilogram a day, 2 days after the 2 that are looked at: 1 of the 3 kg is used, 12 + 12 paid for what spoils.
        var line = List([Want(2)], _ => offers, Use(aDay: 0.5, keeps: 4)).Orders[0].Lines[0];
        Assert.Equal((1.0, 2, 0.0), (line.Offer.Pack.Mass.Kilograms, line.Packs, line.SpoiltShare));
        // Where only the large one is sold, what spoils is said.
        Assert.Equal(2 / 3.0, List([Want(2)], _ => [offers[0]], Use(aDay: 0.5, keeps: 4)).Orders[0].Lines[0].SpoiltShare, 9);
        // Nobody knows how long it keeps: it is not said to spoil.
        Assert.Equal(0, List([Want(2)], _ => [offers[0]], Use(aDay: 0.5)).Orders[0].Lines[0].SpoiltShare);
    }

    [Fact]
    public void It_is_bought_where_it_is_usually_bought_and_what_another_would_save_is_said()
    {
        var line = List([Want(6)], _ => [Offer(5, 30m), Offer(3, 15m, "Wholesale")], Use(aDay: 0, keeps: 3)).Orders[0].Lines[0];
        Assert.Equal(("Dairy", 2, 60m), (line.Offer.Supplier, line.Packs, line.Cost.Amount));
        Assert.Equal(("Wholesale", 2, 30m), (line.Instead!.Offer.Supplier, line.Instead.Packs, line.Instead.Saves.Amount));
        Assert.Null(List([Want(6)], _ => [Offer(3, 15m), Offer(5, 30m, "Wholesale")]).Orders[0].Lines[0].Instead);
        // Another currency is not compared.
        Assert.Null(List([Want(6)], _ => [Offer(5, 30m), Offer(3, 15m, "Wholesale") with { Paid = new Money(1, "USD") }]).Orders[0].Lines[0].Instead);
    }

    [Fact]
    public void What_nobody_sells_or_sells_otherwise_is_named()
    {
        var list = List([Want(1), Want(2, Flour)], thing => thing == Flour ? [Offer(25, 20)] : [Offer(1, 1) with { Pack = StockAmount.Pieces(5) }]);
        Assert.Equal([Cream], list.NobodySells.Select(one => one.Thing));
        Assert.Equal([Flour], list.Orders.SelectMany(order => order.Lines).Select(line => line.Wanted.Thing));
    }

    private static readonly SupplierTerms TuesdayAndFriday = new("Dairy", 60, [IsoDayOfWeek.Tuesday, IsoDayOfWeek.Friday], 1, new LocalTime(12, 0));

    [Theory]
    // Needed Friday at 10: Friday's comes at 9, and is ordered on Thursday until noon.
    [InlineData(27, 10, 27, true)]
    // Needed Friday at 8: none comes in time; the first is Friday's.
    [InlineData(27, 8, 27, false)]
    // Needed the Tuesday after at noon: as late as is in time.
    [InlineData(31, 12, 31, true)]
    [InlineData(30, 12, 27, true)]
    public void It_comes_as_late_as_is_in_time(int day, int hour, int comes, bool isInTime)
    {
        var needed = new LocalDate(2026, 11, 1).PlusDays(day - 1).At(new LocalTime(hour, 0));
        Assert.Equal((new LocalDate(2026, 11, 1).PlusDays(comes - 1), isInTime), TuesdayAndFriday.Delivery(needed, Now));
    }

    [Fact]
    public void What_can_no_longer_be_ordered_does_not_come_and_an_order_below_the_minimum_says_by_how_much()
    {
        var thursdayNoon = new LocalDateTime(2026, 11, 26, 12, 1);
        Assert.Equal((new LocalDate(2026, 12, 1), false), TuesdayAndFriday.Delivery(new LocalDateTime(2026, 11, 27, 18, 0), thursdayNoon));
        Assert.Equal((new LocalDate(2026, 11, 27), true), TuesdayAndFriday.Delivery(new LocalDateTime(2026, 11, 27, 18, 0), thursdayNoon.PlusMinutes(-1)));
        var order = Assert.Single(List([Want(1, inHours: 60)], _ => [Offer(5, 25.5m)], terms: TuesdayAndFriday).Orders);
        Assert.Equal((34.5m, new LocalDate(2026, 11, 27), new LocalDateTime(2026, 11, 26, 12, 0), true), (order.BelowBy, order.Delivery!.Value, order.OrderUntil!.Value, order.IsInTime));
        Assert.Equal(0, List([Want(11)], _ => [Offer(5, 25.5m)], terms: TuesdayAndFriday).Orders[0].BelowBy);
    }

    private static Shortage Short(double kilograms, int inHours) => new(new StockNeed(Cream, Kilograms(kilograms), Now.PlusHours(inHours), $"batch in {inHours}", Now.Date), Kilograms(kilograms));

    [Fact]
    public void Where_the_usual_supplier_comes_too_late_the_cheapest_that_comes_in_time_is_named()
    {
        // Needed on Thursday at 11; the dairy comes on Fridays, the others as usual, the market on Mondays. On Wednesday at 9 Thursday can still be ordered until 14.
        SupplierTerms Terms(string supplier) => supplier switch
        {
            "Dairy" => SupplierTerms.Usual(supplier) with { Days = [IsoDayOfWeek.Friday] },
            "Market" => SupplierTerms.Usual(supplier) with { Days = [IsoDayOfWeek.Monday] },
            _ => SupplierTerms.Usual(supplier),
        };
        PackOffer[] offers = [Offer(5, 20m), Offer(5, 10m, "Market"), Offer(5, 31m, "Wholesale"), Offer(2, 14m, "Corner"), new PackOffer("Abroad", Kilograms(5), string.Empty, new Money(1m, "GBP"))];
        BuyingList List(int inHours, Func<string, SupplierTerms> terms) => BuyingList.Of([Want(4, inHours: inHours), Want(1, Flour, inHours: 200)], _ => offers, _ => Use(), terms, Now, Now.Date.PlusDays(9));
        var late = Assert.Single(List(26, Terms).Orders);
        Assert.False(late.IsInTime);
        // Twice 2 kg for 28 beat 5 kg for 31.
        Assert.Equal(
            new BuyingSooner(offers[3], 2, new Money(28m, "EUR"), new LocalDate(2026, 11, 26), new LocalDateTime(2026, 11, 25, 14, 0)),
            late.Lines[0].Sooner);
        // What the same order brings in time needs nobody else.
        Assert.Null(late.Lines[1].Sooner);
        Assert.Null(Assert.Single(List(49, Terms).Orders).Lines[0].Sooner);
        Assert.Null(Assert.Single(List(5, Terms).Orders).Lines[0].Sooner);
        Assert.Null(Assert.Single(List(26, SupplierTerms.Usual).Orders).Lines[0].Sooner);
    }

    [Fact]
    public void What_is_ordered_is_not_bought_again_though_it_come_too_late()
    {
        (StockedGoods, StockAmount, LocalDateTime)[] coming = [(Cream, Kilograms(4), Now.PlusHours(24)), (Cream, Kilograms(1), Now.PlusHours(2)), (Flour, Kilograms(50), Now)];
        var wanted = Assert.Single(BuyingList.WantedOf([Short(2, 48), Short(1.5, 12), Short(4, 72)], coming));
        // 7.5 kg less 5: of the last need nobody brings the rest.
        Assert.Equal((2.5, Now.PlusHours(72)), (wanted.Amount.Mass.Kilograms, wanted.FirstNeeded));
        Assert.Equal(["batch in 72"], wanted.For);
        Assert.Empty(BuyingList.WantedOf([Short(5, 1)], coming));
        Assert.Equal(2, BuyingList.WantedOf([Short(5, 48), Short(2, 1)], coming).Single().Amount.Mass.Kilograms);
    }

    [Fact]
    public void What_is_bought_is_enough_and_one_pack_less_would_not_be() =>
        Gen.Select(Gen.Long[1, 5_000_000], Gen.Long[1, 900_000], Gen.Int[1, 5000]).Sample((wanted, pack, cents) =>
        {
            var want = new Wanted(Cream, new StockAmount(wanted, StockUnit.Milligram), Now.PlusDays(2), []);
            var order = Assert.Single(List([want], _ => [new PackOffer("Dairy", new StockAmount(pack, StockUnit.Milligram), "", new Money(cents / 100m, "EUR"))]).Orders);
            var line = Assert.Single(order.Lines);
            Assert.InRange((pack * line.Packs) - wanted, 0, pack - 1);
            Assert.Equal((pack * line.Packs) - wanted, line.LeftOver.Count);
            Assert.Equal((cents / 100m * line.Packs, line.Cost.Amount), (line.Cost.Amount, order.Total.Amount));
        });

    [Fact]
    public void Packs_are_those_that_are_sold_now_the_usual_supplier_first()
    {
        Price Row(string supplier, decimal grams, decimal paid, int daysAgo) => new("cream", supplier, grams, PackUnit.Gram, new Money(paid, "EUR"), Now.Date.PlusDays(-daysAgo)) { PackSaid = $"{grams} g" };
        var book = new PriceBook(
            [Row("Dairy", 5000, 25, 200), Row("Dairy", 2000, 11, 100), Row("Dairy", 5000, 26, 5), Row("Dairy", 1000, 6, 20), Row("Abbey", 5000, 20, 300), Row("Dairy", 5000, 99, -3)],
            [new UsualSupplier("cream", "Dairy", Now.Date.PlusDays(-100))]);
        var offers = PackOffer.Of(IngredientLibrary.Find("cream")!, book, Now.Date);
        Assert.Equal([("Dairy", 5.0, 26m), ("Dairy", 1.0, 6m), ("Abbey", 5.0, 20m)], offers.Select(offer => (offer.Supplier, offer.Pack.Mass.Kilograms, offer.Paid.Amount)));
    }

    [Fact]
    public void Terms_are_read_as_they_are_said()
    {
        var (terms, faults) = SupplierTermsReader.Read(new SupplierTermsDraft(40, ["friday", "monday", "friday"], 2, "11:30"), "Dairy");
        Assert.Empty(faults);
        Assert.Equal((40m, 2, new LocalTime(11, 30)), (terms!.Minimum, terms.LeadDays, terms.Until));
        Assert.Equal([IsoDayOfWeek.Monday, IsoDayOfWeek.Friday], terms.Days);
        var said = SupplierTermsReader.Write(terms);
        Assert.Equal((40m, 2, "11:30"), (said.Minimum, said.LeadDays, said.Until));
        Assert.Equal(["minimum", "days", "leadDays", "until"], SupplierTermsReader.Read(new SupplierTermsDraft(-1, ["funday"], 31, "noon"), "Dairy").Faults.Select(fault => fault.Field));
        Assert.Equal(["days", "leadDays", "until"], SupplierTermsReader.Read(new SupplierTermsDraft(null, [], null, null), "Dairy").Faults.Select(fault => fault.Field));
    }
}
