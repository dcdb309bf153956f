using Dapper;
using Lumpet.Core;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Orders;
using Lumpet.Core.Preparations;
using Lumpet.Core.Stock;
using Microsoft.Data.Sqlite;

namespace Lumpet.Store.Stock;

/// <summary>Something that is made already, as it is kept.</summary>
/// <param name="Id">Its identity.</param>
/// <param name="RowVersion">Counts its changes, from 1.</param>
/// <param name="Entry">What it is.</param>
public sealed record StoredMade(Guid Id, long RowVersion, MadeAlready Entry);

/// <summary>Keeps what is made already.</summary>
public static class MadeAlreadyStore
{
    private const string Columns =
        """
        SELECT id, row_version AS rowVersion, dough_id AS doughId, ingredient_id AS ingredientId, grams, product_id AS productId, pan_id AS panId, pies,
               after_step AS afterStep, place, made_at AS madeAt, note
        FROM made_already
        """;

    /// <summary>All of it, what was made first before what was made later.</summary>
    public static IReadOnlyList<StoredMade> All(SqliteConnection connection) => [.. connection.Query<Row>($"{Columns} ORDER BY made_at, rowid").Select(Read)];

    /// <summary>One of it, or null.</summary>
    public static StoredMade? Find(SqliteConnection connection, Guid id) => connection.QuerySingleOrDefault<Row>($"{Columns} WHERE id = @id", new { id = Key(id) }) is { } row ? Read(row) : null;

    /// <summary>How much is noted.</summary>
    public static int Count(SqliteConnection connection) => connection.QuerySingle<int>("SELECT count(*) FROM made_already");

    /// <summary>Adds something.</summary>
    public static StoredMade Add(Transaction transaction, MadeAlready entry)
    {
        var id = Guid.NewGuid();
        transaction.Connection.Execute(
            """
            INSERT INTO made_already (id, dough_id, ingredient_id, grams, product_id, pan_id, pies, after_step, place, made_at, note)
            VALUES (@id, @dough, @ingredient, @grams, @product, @pan, @pies, @after, @place, @at, @note)
            """,
            Parameters(id, entry));
        return Find(transaction.Connection, id)!;
    }

    /// <summary>Changes something that still has the version it was read with.</summary>
    public static ChangeOutcome Change(Transaction transaction, Guid id, long rowVersion, MadeAlready entry) => Checked(transaction, id, rowVersion, () => transaction.Connection.Execute(
        """
        UPDATE made_already SET dough_id = @dough, ingredient_id = @ingredient, grams = @grams, product_id = @product, pan_id = @pan, pies = @pies, after_step = @after,
               place = @place, made_at = @at, note = @note, row_version = row_version + 1
        WHERE id = @id
        """,
        Parameters(id, entry)));

    /// <summary>Removes something that still has the version it was read with.</summary>
    public static ChangeOutcome Remove(Transaction transaction, Guid id, long rowVersion) =>
        Checked(transaction, id, rowVersion, () => transaction.Connection.Execute("DELETE FROM made_already WHERE id = @id", new { id = Key(id) }));

    private static ChangeOutcome Checked(Transaction transaction, Guid id, long rowVersion, Action change)
    {
        if (Find(transaction.Connection, id) is not { } before) return ChangeOutcome.Gone;
        if (before.RowVersion != rowVersion) return ChangeOutcome.Conflict;
        change();
        return ChangeOutcome.Done;
    }

    private static object Parameters(Guid id, MadeAlready entry)
    {
        var (mass, pies) = (entry as MadeMass, entry as MadePies);
        var isDough = mass is not null && Ingredient.IsDoughId(mass.Made);
        return new
        {
            id = Key(id),
            dough = isDough ? mass!.Made[Ingredient.DoughPrefix.Length..] : null,
            ingredient = isDough ? null : mass?.Made,
            grams = mass?.Mass.Grams,
            product = pies?.Product,
            pan = pies?.Pan,
            pies = pies?.Count,
            after = pies?.After,
            place = Naming.Of(entry.Place),
            at = PickUpText.Written.Format(entry.MadeAt),
            note = entry.Note,
        };
    }

    private static StoredMade Read(Row row)
    {
        var (place, at) = (Naming.Known<KeepPlace>(row.Place), PickUpText.Read(row.MadeAt)!.Value);
        return new StoredMade(Guid.Parse(row.Id), row.RowVersion, row.ProductId is { } product
            ? new MadePies(product, row.PanId!, (int)row.Pies!, row.AfterStep!, place, at, row.Note)
            : new MadeMass(row.DoughId is { } dough ? Ingredient.DoughPrefix + dough : row.IngredientId!, Mass.FromGrams(row.Grams!.Value), place, at, row.Note));
    }

    private static string Key(Guid id) => id.ToString("D");

    private sealed record Row(
        string Id, long RowVersion, string? DoughId, string? IngredientId, double? Grams, string? ProductId, string? PanId, long? Pies, string? AfterStep, string Place, string MadeAt, string Note);
}
