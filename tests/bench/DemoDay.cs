using Lumpet.Core.Costing;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.DemoData;
using Lumpet.Store.Orders;
using Lumpet.Store.Prices;
using Lumpet.Store.Recipes;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Bench;

/// <summary>The demo bakery's fair day as snapshots, of its own size and larger.</summary>
public sealed class DemoDay
{
    private readonly DaySnapshot day;

    private DemoDay(DaySnapshot day, Product product, PriceList prices) => (this.day, Product, Prices) = (day, product, prices);

    public Product Product { get; }

    public PriceList Prices { get; }

    public static DemoDay Read()
    {
        var folder = Directory.CreateTempSubdirectory("lumpet-bench-").FullName;
        try
        {
            var (database, now) = (new Database(Path.Combine(folder, "demo.db")), new LocalDateTime(2026, 11, 25, 9, 0, 0));
            database.Migrate();
            DemoBakery.Fill(database, DateTimeZone.Utc, now);
            using var connection = database.Open();
            var (bakery, products, fair) = (BakeryStore.Find(connection)!, RecipeStore.Products(connection), DemoBakery.FairDay(now));
            var noon = fair.PlusDays(-1).At(LocalTime.Noon);
            DayOrder[] orders = [.. OrderStore.OnDay(connection, fair).Select(order =>
            {
                var product = products.First(one => one.Id == order.Line.Product);
                return new DayOrder(product, product.SizeIn(order.Line.Pan)!.Pan, order.Line.Count, (int)Period.Between(noon, order.Line.PickUp, PeriodUnits.Minutes).Minutes, order.Line.For);
            })];
            // The afternoon before and the night: what the day needs.
            DayShift[] shifts = [.. new[] { fair.PlusDays(-1), fair }.SelectMany((date, day) => bakery.ShiftsOn(date).Select(shift => (Start: (day * 1440) - 720 + shift.StartMinute, Shift: shift)))
                .Where(one => one.Start is >= 0 and < 1440).OrderBy(one => one.Start).Select(one => new DayShift(one.Shift.Name, one.Start, one.Start + one.Shift.LengthMin))];
            var snapshot = new DaySnapshot(orders, shifts, bakery.Ovens, bakery.Mixer, bakery.ToleranceC, bakery.TransferMin, bakery.SpareMin, 36 * 60);
            return new DemoDay(snapshot, products[0], PriceStore.Book(connection).On(now.Date));
        }
        finally
        {
            SqliteConnection.ClearAllPools();
            Directory.Delete(folder, recursive: true);
        }
    }

    /// <summary>
    /// The day with so many times its orders, in a bakery grown with them: as many times the shelves, and a mixer for as
    /// much more dough. Pick-ups are spread over ten times of the day, so that there are as many more lots.
    /// </summary>
    public DaySnapshot Times(int factor) => day with
    {
        Orders = [.. Enumerable.Range(0, factor).SelectMany(copy => day.Orders.Select(order => order with { PickUpMin = order.PickUpMin + (copy % 5 * 30), For = $"{order.For} {copy}" }))],
        Ovens = [.. day.Ovens.Select(oven => oven with { Shelves = oven.Shelves * factor })],
        Mixer = day.Mixer with { LargestBatch = day.Mixer.LargestBatch * factor },
    };

    public decimal ScaleAndCost() => PieCost.Of(Scaling.Scale(Product, Product.ReferencePan, 24), Prices).Total!.Value.Amount;
}
