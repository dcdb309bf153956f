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

    private readonly TemporaryDatabase temporary = TemporaryDatabase.WithDemo();

    public void Dispose() => temporary.Dispose();

    private T Write<T>(Func<Transaction, T> write) => temporary.Database.Write(write);

    [Fact]
    public void It_is_kept_as_it_was_said_changed_and_removed()
    {
        var (dough, pies, curd) = Write(transaction => (
            MadeAlreadyStore.Add(transaction, Dough), MadeAlreadyStore.Add(transaction, Pies), MadeAlreadyStore.Add(transaction, Dough with { Made = "praline", Place = KeepPlace.Frozen })));
        Assert.Equal([Dough, Pies, Dough with { Made = "praline", Place = KeepPlace.Frozen }], new[] { dough, pies, curd }.Select(one => one.Entry));
        using (var connection = temporary.Database.Open())
        {
            // What was made first comes first; the demo has its own.
            Assert.Equal([pies.Id, dough.Id, curd.Id], MadeAlreadyStore.All(connection).Select(one => one.Id).Where(id => id == dough.Id || id == pies.Id || id == curd.Id));
            Assert.Equal(MadeAlreadyStore.All(connection).Count, MadeAlreadyStore.Count(connection));
        }

        Assert.Equal(ChangeOutcome.Conflict, Write(transaction => MadeAlreadyStore.Change(transaction, dough.Id, 2, Pies)));
        Assert.Equal(ChangeOutcome.Done, Write(transaction => MadeAlreadyStore.Change(transaction, dough.Id, 1, Pies)));
        Assert.Equal((2, Pies), Write(transaction => (MadeAlreadyStore.Find(transaction.Connection, dough.Id)!.RowVersion, MadeAlreadyStore.Find(transaction.Connection, dough.Id)!.Entry)));
        Assert.Equal(ChangeOutcome.Conflict, Write(transaction => MadeAlreadyStore.Remove(transaction, dough.Id, 1)));
        Assert.Equal(ChangeOutcome.Done, Write(transaction => MadeAlreadyStore.Remove(transaction, dough.Id, 2)));
        Assert.Equal(ChangeOutcome.Gone, Write(transaction => MadeAlreadyStore.Remove(transaction, dough.Id, 2)));
    }

    [Theory]
    [InlineData(Shelved.Dough, "flaky")]
    [InlineData(Shelved.Ingredient, "almond-paste")]
    [InlineData(Shelved.Product, "pear")]
    public void What_it_is_made_of_cannot_be_removed_under_it(Shelved kind, string id)
    {
        Write(transaction => (MadeAlreadyStore.Add(transaction, Dough), MadeAlreadyStore.Add(transaction, Pies)));
        var outcome = Write(transaction => Shelving.Remove(transaction, kind, id));
        Assert.Equal(ChangeOutcome.Conflict, outcome.Outcome);
        Assert.Contains(outcome.NeededBy, words => words.Contains("made already", StringComparison.Ordinal));
        var refused = Assert.Throws<SqliteException>(() => Write(transaction => transaction.Connection.Execute("PRAGMA defer_foreign_keys = ON; DELETE FROM made_already WHERE 0; DELETE FROM product_size; DELETE FROM order_line; DELETE FROM product")));
        Assert.Equal(19, refused.SqliteErrorCode);
    }

    [Fact]
    public void The_schema_takes_one_of_the_three_and_no_other()
    {
        void Refused(string columns, string values) => Assert.Throws<SqliteException>(() => Write(transaction => transaction.Connection.Execute(
            $"INSERT INTO made_already (id, place, made_at, note, {columns}) VALUES ('x', 'cold', '2026-11-25T07:30', '', {values})")));
        Refused("dough_id, ingredient_id, grams", "'flaky', 'praline', 100");
        Refused("dough_id", "'flaky'");
        Refused("dough_id, grams", "'flaky', 0");
        Refused("dough_id, grams", "'none', 10");
        Refused("product_id, pan_id, pies", "'pear', '23', 3");
        Refused("product_id, pan_id, pies, after_step, grams", "'pear', '23', 3, 'fill', 3");
        Refused("product_id, pan_id, pies, after_step", "'pear', '23', 0, 'fill'");
    }
}
