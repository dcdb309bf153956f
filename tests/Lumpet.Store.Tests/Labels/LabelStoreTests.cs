using Dapper;
using Lumpet.Core.Preparations;
using Lumpet.Core.Stock;
using Lumpet.Store.Labels;
using Lumpet.Store.Stock;
using Microsoft.Data.Sqlite;
using NodaTime;
using Xunit;

namespace Lumpet.Store.Tests.Labels;

/// <summary>Labels on the books: as they were printed, and none that the printer refused.</summary>
public sealed class LabelStoreTests : IDisposable
{
    private static readonly Instant Now = Instant.FromUtc(2026, 11, 25, 9, 0);

    private readonly TemporaryDatabase temporary = TemporaryDatabase.WithDemo();

    public void Dispose() => temporary.Dispose();

    [Fact]
    public void What_was_printed_stays_as_it_was_and_what_was_refused_was_not_printed()
    {
        var lot = new StockLot(Guid.NewGuid(), new StockedPie("oat-custard", "23", "box"), "261125-9", new StockAmount(12, StockUnit.Piece), KeepPlace.Cold) { Since = new LocalDateTime(2026, 11, 25, 9, 0) };
        var (first, second) = temporary.Database.Write(transaction =>
        {
            StockWriter.Add(transaction, lot, true, StockEntryKind.Counted, Now);
            var numbers = (LabelStore.Note(transaction, Now, "oat-custard", "23", lot.Id, 12, "Oat custard\nLot 261125-9"), LabelStore.Note(transaction, Now, "oat-custard", "23", lot.Id, 3, "Oat custard"));
            LabelStore.NoteNotPrinted(transaction, numbers.Item2, "The roll is at its end.");
            return numbers;
        });
        using (var connection = temporary.Database.Open())
        {
            foreach (var printed in new[] { LabelStore.Latest(connection, "oat-custard", "23", 10), LabelStore.Of(connection, [lot.Id]) })
                Assert.Equal((first, 12, "Oat custard\nLot 261125-9"), (Assert.Single(printed).Number, printed[0].Copies, printed[0].Text));
            Assert.Empty(LabelStore.Of(connection, [Guid.NewGuid()]));
        }

        foreach (var (statement, says) in new[]
        {
            ("UPDATE label_print SET copies = 1", "stays as it was printed"),
            ("DELETE FROM label_print", "stays on the books"),
            ("UPDATE label_not_printed SET why = 'x'", "stays so"),
            ("DELETE FROM label_not_printed", "stays on the books"),
            ($"INSERT INTO label_not_printed (print_id, why) VALUES ({second}, 'again')", "UNIQUE"),
        })
        {
            var refused = Assert.Throws<SqliteException>(() => temporary.Database.Write(transaction => transaction.Connection.Execute(statement)));
            Assert.Contains(says, refused.Message, StringComparison.Ordinal);
        }
    }
}
