using Lumpet.Server.Bakery;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Orders;

namespace Lumpet.Server.DayPlan;

/// <summary>Plans the next days once after the start, so that the first person to look does not wait for them.</summary>
internal sealed class PlanWarmer(Database database, PlanShelf shelf, BakeryClock clock, ILogger<PlanWarmer> log) : BackgroundService
{
    // As far as one usually looks.
    private const int DaysAhead = 3;

    /// <inheritdoc/>
    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        // The server starts to listen first.
        await Task.Yield();
        try
        {
            using var connection = database.Open();
            if (BakeryStore.Find(connection) is not { } bakery) return;
            var days = OrderStore.Days(connection, clock.Today(bakery.Zone));
            foreach (var (day, _) in days.Take(DaysAhead))
                if (DayBook.Open(connection, day, clock) is { } book) await shelf.PlanAsync(book, PlanTime.Settled, stoppingToken);
        }
        catch (Exception exception)
        {
            // Whoever looks at the plan is told; here it is only a head start.
            log.LogWarning(exception, "The next day could not be planned ahead");
        }
    }
}
