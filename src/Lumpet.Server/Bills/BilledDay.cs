using Lumpet.Core.Bills;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Server.Bakery;
using Lumpet.Server.DayPlan;
using Lumpet.Server.Faults;
using Lumpet.Server.Prices;
using Lumpet.Store;
using Lumpet.Store.Orders;
using NodaTime;

namespace Lumpet.Server.Bills;

/// <summary>A day with its bill.</summary>
/// <param name="Book">The day.</param>
/// <param name="Bill">Its bill; null where it cannot be planned.</param>
/// <param name="Orders">What each of its orders has of it.</param>
/// <param name="NotMade">Pies on it that its plan cannot make.</param>
/// <param name="Beyond">Pies on it that are baked beyond what is ordered.</param>
/// <param name="Stumbles">Why it cannot be planned; empty where it can.</param>
internal sealed record BilledDay(DayBook Book, DayBill? Bill, IReadOnlyList<OrderShare> Orders, int NotMade, int Beyond, string Stumbles)
{
    /// <summary>The bill of a day's plan: of the plan that is shown, or of all of the day where that one has been gone on with amid it.</summary>
    /// <param name="day">The day.</param>
    /// <param name="database">Where it is read.</param>
    /// <param name="shelf">Keeps plans.</param>
    /// <param name="clock">The bakery's clock.</param>
    /// <param name="books">Keeps prices.</param>
    /// <param name="waiting">Ends when whoever asks is gone.</param>
    /// <returns>The day; null where no bakery is set up, or nothing is ordered.</returns>
    public static async Task<BilledDay?> OfAsync(LocalDate day, Database database, PlanShelf shelf, BakeryClock clock, PriceShelf books, CancellationToken waiting)
    {
        DayBook? book;
        PriceList prices;
        int beyond;
        using (var connection = database.Open())
        {
            book = DayBook.Open(connection, day, clock);
            if (book?.Begun is not null) book = DayBook.Open(connection, day, null);
            beyond = book is null ? 0 : (int)(book.Snapshot.Orders.Sum(order => order.Count) + book.LeftOut.Sum(one => one.Order.Count) - OrderStore.Total(connection, day).Pies);
            prices = books.Of(connection).On(day);
        }

        if (book is null || book.Snapshot.Orders.Count == 0) return null;
        try
        {
            var (plan, _) = await shelf.AtOnceAsync(book, waiting);
            var bill = DayBill.Of(plan, prices, book.Bakery);
            return new BilledDay(book, bill, OrderShare.Of(bill, book.Snapshot.Orders), plan.Waves.Sum(wave => wave.NotMade), beyond, string.Empty);
        }
        catch (Exception exception) when (exception is PlanStumblesException or UnsoundPlanException)
        {
            return new BilledDay(book, null, [], 0, beyond, exception.Message);
        }
    }
}
