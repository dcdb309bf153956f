using Lumpet.Core.Bills;
using Lumpet.Core.Measures;
using Lumpet.Core.Stock;
using Lumpet.Server.Costing;
using Lumpet.Server.Prices;
using Lumpet.Server.Stock;
using Lumpet.Store.Stock;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Server.Bills;

/// <summary>What was really taken off the shelves for a day, beside what its plan takes.</summary>
internal static class EnteredCosts
{
    /// <summary>What some days took.</summary>
    /// <param name="days">The days, each with its batches.</param>
    /// <param name="connection">Where it is read.</param>
    /// <param name="names">What things are.</param>
    /// <param name="books">Keeps prices.</param>
    /// <returns>What was taken; null where no batch is entered.</returns>
    public static EnteredCostAnswer? Of(IReadOnlyList<DayOfBatches> days, SqliteConnection connection, ThingNames names, PriceShelf books)
    {
        if (days.All(day => day.Batches.All(batch => batch.Entered is null))) return null;
        var currency = days[0].Book.Bakery.Currency;
        var book = books.Of(connection);
        TakenCost Cost(IEnumerable<(StockThing Thing, StockAmount Amount, StockLot? Lot)> takings, LocalDate day) => TakenCost.Of(takings, id => names.Ingredients.GetValueOrDefault(id), book.On(day), currency);
        TakenCost[] planned = [.. days.Select(day => Cost(Entered(day).SelectMany(batch => batch.Batch.Takes).Where(take => take.Batch is null).Select(take => (take.Thing, take.Amount, (StockLot?)null)), day.Book.Day))];
        TakenCost[] taken = [.. days.Select(day => Cost(Taken(day, connection), day.Book.Day))];
        TakenCost[] thrown = [.. days.Select(day => Cost(Moved(StockStore.ThrownAway(connection, At(day, 0), At(day, 1)), connection), day.Book.Day))];
        decimal Sum(IEnumerable<TakenCost> costs) => CostPages.Coins(new Money(costs.Sum(cost => cost.Amount), currency))!.Value;
        var (plan, actual) = (Sum(planned), Sum(taken));
        return new EnteredCostAnswer(
            days.Sum(day => Entered(day).Count()),
            days.Sum(day => day.Batches.Count),
            plan,
            actual,
            actual - plan,
            Sum(thrown),
            [.. planned.Concat(taken).Concat(thrown).SelectMany(cost => cost.Missing).Distinct().Select(names.Of)]);
    }

    private static IEnumerable<ListedBatch> Entered(DayOfBatches day) => day.Batches.Where(batch => batch.Entered is not null);

    private static IEnumerable<(StockThing Thing, StockAmount Amount, StockLot? Lot)> Taken(DayOfBatches day, SqliteConnection connection)
    {
        StoredEntry[] entries = [.. Entered(day).Select(batch => batch.Entered!)];
        return Moved(entries, connection).Concat(StockStore.Unknown(connection, entries.Select(entry => entry.Traced.Number)).Select(take => ((StockThing)take.Thing, take.Amount, (StockLot?)null)));
    }

    /// <summary>What left the shelves by some entries.</summary>
    private static IEnumerable<(StockThing Thing, StockAmount Amount, StockLot? Lot)> Moved(IReadOnlyList<StoredEntry> entries, SqliteConnection connection)
    {
        TracedMovement[] movements = [.. entries.SelectMany(entry => entry.Traced.Movements).Where(movement => movement.Amount.Count < 0)];
        var lots = StockStore.Find(connection, movements.Select(movement => movement.Lot).Distinct());
        return movements.Select(movement => (lots[movement.Lot].Lot.Thing, -movement.Amount, (StockLot?)lots[movement.Lot].Lot));
    }

    private static Instant At(DayOfBatches day, int daysLater) => day.Book.Day.PlusDays(daysLater).AtStartOfDayInZone(day.Book.Bakery.Zone).ToInstant();
}
