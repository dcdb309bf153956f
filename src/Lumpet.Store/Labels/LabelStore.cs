using Dapper;
using Lumpet.Core.Labels;
using Lumpet.Store.Stock;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Store.Labels;

/// <summary>Labels that were printed.</summary>
/// <param name="Number">Their number.</param>
/// <param name="At">When.</param>
/// <param name="Product">Id of the product.</param>
/// <param name="Pan">Id of the pan.</param>
/// <param name="Lot">The lot of the pies; null where none was said.</param>
/// <param name="Copies">How many.</param>
/// <param name="Text">All that stood on each, a line for each thing.</param>
public sealed record PrintedLabels(long Number, Instant At, string Product, string Pan, Guid? Lot, int Copies, string Text);

/// <summary>Keeps what is stated for labels, and what was printed.</summary>
public static class LabelStore
{
    /// <summary>How ingredients are called on labels, by id, with the version of each.</summary>
    public static IReadOnlyDictionary<string, (string Words, long RowVersion)> Words(SqliteConnection connection) =>
        connection.Query<(string Id, string Words, long RowVersion)>("SELECT ingredient_id, words, row_version FROM label_words").ToDictionary(row => row.Id, row => (row.Words, row.RowVersion));

    /// <summary>States how an ingredient is called; empty words take back what was stated.</summary>
    /// <param name="transaction">The change it is part of.</param>
    /// <param name="ingredient">Id of the ingredient; it is there.</param>
    /// <param name="words">The words.</param>
    /// <param name="rowVersion">The version that it was read with; 0 where nothing was stated.</param>
    public static ChangeOutcome Say(Transaction transaction, string ingredient, string words, long rowVersion)
    {
        var connection = transaction.Connection;
        var before = connection.QuerySingleOrDefault<long?>("SELECT row_version FROM label_words WHERE ingredient_id = @ingredient", new { ingredient }) ?? 0;
        if (before != rowVersion) return ChangeOutcome.Conflict;
        if (words.Length == 0) connection.Execute("DELETE FROM label_words WHERE ingredient_id = @ingredient", new { ingredient });
        else connection.Execute("INSERT INTO label_words (ingredient_id, words) VALUES (@ingredient, @words) ON CONFLICT (ingredient_id) DO UPDATE SET words = @words, row_version = row_version + 1", new { ingredient, words });
        return ChangeOutcome.Done;
    }

    /// <summary>What is stated of a product in a pan, with its version; null where nothing is.</summary>
    public static (LabelStatement Statement, long RowVersion)? Statement(SqliteConnection connection, string product, string pan) =>
        connection.QuerySingleOrDefault<StatementRow>("SELECT net_g AS netG, keeps_days AS keepsDays, is_use_by AS isUseBy, storage, row_version AS rowVersion FROM label_statement WHERE product_id = @product AND pan_id = @pan", new { product, pan }) is { } row
            ? (new LabelStatement((int?)row.NetG, (int)row.KeepsDays, row.IsUseBy != 0, row.Storage), row.RowVersion)
            : null;

    /// <summary>States something of a product in a pan.</summary>
    public static ChangeOutcome State(Transaction transaction, string product, string pan, LabelStatement statement, long rowVersion)
    {
        var connection = transaction.Connection;
        if ((Statement(connection, product, pan)?.RowVersion ?? 0) != rowVersion) return ChangeOutcome.Conflict;
        connection.Execute(
            """
            INSERT INTO label_statement (product_id, pan_id, net_g, keeps_days, is_use_by, storage) VALUES (@product, @pan, @grams, @days, @isUseBy, @storage)
            ON CONFLICT (product_id, pan_id) DO UPDATE SET net_g = @grams, keeps_days = @days, is_use_by = @isUseBy, storage = @storage, row_version = row_version + 1
            """,
            new { product, pan, grams = statement.NetGrams, days = statement.KeepsDays, isUseBy = statement.IsUseBy ? 1 : 0, storage = statement.Storage });
        return ChangeOutcome.Done;
    }

    /// <summary>Notes labels that are about to be printed.</summary>
    /// <returns>Their number.</returns>
    public static long Note(Transaction transaction, Instant at, string product, string pan, Guid? lot, int copies, string text)
    {
        Rows.Insert(transaction.Connection, "label_print", new { at_unix = at.ToUnixTimeSeconds(), product_id = product, pan_id = pan, lot_id = lot is { } of ? StockRows.Key(of) : null, copies, text });
        return transaction.Connection.QuerySingle<long>("SELECT last_insert_rowid()");
    }

    /// <summary>Notes that labels that were noted were not printed: the printer said so.</summary>
    public static void NoteNotPrinted(Transaction transaction, long number, string why) => Rows.Insert(transaction.Connection, "label_not_printed", new { print_id = number, why });

    /// <summary>What was printed last of a product in a pan, the latest first.</summary>
    public static IReadOnlyList<PrintedLabels> Latest(SqliteConnection connection, string product, string pan, int most) =>
        [.. connection.Query<PrintRow>($"{Columns} AND product_id = @product AND pan_id = @pan ORDER BY id DESC LIMIT @most", new { product, pan, most }).Select(Read)];

    /// <summary>What was printed for some lots of pies, in the order of the books.</summary>
    public static IReadOnlyList<PrintedLabels> Of(SqliteConnection connection, IEnumerable<Guid> lots) =>
        [.. connection.Query<PrintRow>($"{Columns} AND lot_id IN {StockRows.Among} ORDER BY id", new { some = StockRows.List(lots.Distinct().Select(StockRows.Key)) }).Select(Read)];

    private const string Columns = "SELECT id, at_unix AS at, product_id AS product, pan_id AS pan, lot_id AS lot, copies, text FROM label_print WHERE id NOT IN (SELECT print_id FROM label_not_printed)";

    private static PrintedLabels Read(PrintRow row) => new(row.Id, Instant.FromUnixTimeSeconds(row.At), row.Product, row.Pan, row.Lot is { } lot ? Guid.Parse(lot) : null, (int)row.Copies, row.Text);

    private sealed record StatementRow(long? NetG, long KeepsDays, long IsUseBy, string Storage, long RowVersion);

    private sealed record PrintRow(long Id, long At, string Product, string Pan, string? Lot, long Copies, string Text);
}
