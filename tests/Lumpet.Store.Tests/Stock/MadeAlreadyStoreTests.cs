using Dapper;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Stock;
using Lumpet.Store.Recipes;
using Lumpet.Store.Stock;
using Microsoft.Data.Sqlite;
using NodaTime;
using Xunit;

namespace Lumpet.Store.Tests.Stock;

/// <summary>What is made already, as it is kept, and what it holds.</summary>
public sealed class MadeAlreadyStoreTests : IDisposable
{
    private static readonly LocalDateTime At = new(2026, 11, 25, 7, 30);

    private static readonly MadeMass Dough = new("dough:flaky", Mass.FromGrams(6100), KeepPlace.Cold, At, "two boxes");

    private static readonly MadePies Pies = new("pear", "23", 9, "fill", KeepPlace.Room, At.PlusMinutes(-1), string.Empty);

    private static readonly MadeMass Fewer = Dough with { Mass = Mass.FromGrams(4000), Place = KeepPlace.Frozen, Note = "one box" };

    private static readonly Instant Now = Instant.FromUtc(2026, 11, 25, 9, 0);

    private readonly TemporaryDatabase temporary = TemporaryDatabase.WithDemo();

    public void Dispose() => temporary.Dispose();

    private T Write<T>(Func<Transaction, T> write) => temporary.Database.Write(write);

    [Fact]
    public void It_is_kept_as_it_was_said_changed_and_removed()
    {
        var (dough, pies, curd) = Write(transaction => (
            MadeAlreadyStore.Add(transaction, Dough, Now), MadeAlreadyStore.Add(transaction, Pies, Now), MadeAlreadyStore.Add(transaction, Dough with { Made = "praline", Place = KeepPlace.Frozen }, Now)));
        Assert.Equal([Dough, Pies, Dough with { Made = "praline", Place = KeepPlace.Frozen }], new[] { dough, pies, curd }.Select(one => one.Entry));
        using (var connection = temporary.Database.Open())
        {
            // What was made first comes first; the demo has its own.
            Assert.Equal([pies.Id, dough.Id, curd.Id], MadeAlreadyStore.All(connection, At.Date).Select(one => one.Id).Where(id => id == dough.Id || id == pies.Id || id == curd.Id));
            Assert.Equal(MadeAlreadyStore.All(connection, At.Date).Count, MadeAlreadyStore.Count(connection));
        }

        Assert.Equal(ChangeOutcome.Conflict, Write(transaction => MadeAlreadyStore.Change(transaction, dough.Id, 2, Fewer, Now)));
        Assert.Equal(ChangeOutcome.Done, Write(transaction => MadeAlreadyStore.Change(transaction, dough.Id, 1, Fewer, Now)));
        Assert.Equal((2, Fewer), Write(transaction => (MadeAlreadyStore.Find(transaction.Connection, dough.Id)!.RowVersion, MadeAlreadyStore.Find(transaction.Connection, dough.Id)!.Entry)));
        Assert.Equal(ChangeOutcome.Conflict, Write(transaction => MadeAlreadyStore.Remove(transaction, dough.Id, 1, Now)));
        Assert.Equal(ChangeOutcome.Done, Write(transaction => MadeAlreadyStore.Remove(transaction, dough.Id, 2, Now)));
        Assert.Equal(ChangeOutcome.Gone, Write(transaction => MadeAlreadyStore.Remove(transaction, dough.Id, 2, Now)));
    }

    [Theory]
    [InlineData(Shelved.Dough, "flaky")]
    [InlineData(Shelved.Ingredient, "almond-paste")]
    [InlineData(Shelved.Product, "pear")]
    public void What_it_is_made_of_cannot_be_removed_under_it(Shelved kind, string id)
    {
        Write(transaction => (MadeAlreadyStore.Add(transaction, Dough, Now), MadeAlreadyStore.Add(transaction, Pies, Now)));
        var outcome = Write(transaction => Shelving.Remove(transaction, kind, id));
        Assert.Equal(ChangeOutcome.Conflict, outcome.Outcome);
        Assert.Contains(outcome.NeededBy, words => words.Contains("on the books of the shelves", StringComparison.Ordinal));
        var refused = Assert.Throws<SqliteException>(() => Write(transaction => transaction.Connection.Execute("PRAGMA defer_foreign_keys = ON; DELETE FROM product_size; DELETE FROM order_line; DELETE FROM product")));
        Assert.Equal(19, refused.SqliteErrorCode);
    }

    [Fact]
    public void What_a_batch_of_a_day_made_is_for_that_day_until_it_is_over_and_what_it_took_its_plan_still_sees()
    {
        var (paste, forDay) = (Guid.NewGuid(), At.Date.PlusDays(1));
        Write(transaction =>
        {
            StockWriter.Add(transaction, new StockLot(paste, new StockedGoods("almond-paste"), "1", StockAmount.Of(Mass.FromGrams(900)), KeepPlace.Cold) { Since = At }, true, StockEntryKind.Counted, Now);
            var tart = new StockLot(Guid.NewGuid(), new StockedGoods("praline"), "2", StockAmount.Of(Mass.FromGrams(500)), KeepPlace.Cold) { Since = At, ForDay = forDay, Batch = "made:praline/1" };
            StockWriter.AddEmpty(transaction, tart, true);
            return StockWriter.Enter(transaction, StockEntryKind.Made, Now, string.Empty, [new TracedMovement(paste, -StockAmount.Of(Mass.FromGrams(900))), new TracedMovement(tart.Id, tart.Left)], new BatchKey(forDay, 1, "made:praline/1"));
        });
        using var connection = temporary.Database.Open();
        string[] There(LocalDate today, params LocalDate[] days) => [.. MadeAlreadyStore.AsOf(connection, today, days).Select(one => one.Entry).OfType<MadeMass>().Where(mass => mass.MadeAt == At).Select(mass => $"{mass.Made} {mass.Mass.Grams}")];
        Assert.Empty(There(At.Date));
        Assert.Equal(["almond-paste 900"], There(At.Date, forDay));
        Assert.Empty(There(At.Date, forDay.PlusDays(1)));
        Assert.Equal(["praline 500"], There(forDay.PlusDays(1)));
    }
}
