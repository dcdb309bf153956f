using System.Data;
using Dapper;
using Lumpet.Core.Ingredients;
using Lumpet.Store.Ingredients;
using Microsoft.Data.Sqlite;

namespace Lumpet.Store.Recipes;

/// <summary>What can be retired or removed.</summary>
public enum Shelved
{
    /// <summary>A product.</summary>
    Product,

    /// <summary>A dough.</summary>
    Dough,

    /// <summary>An ingredient.</summary>
    Ingredient,
}

/// <summary>What became of a wish to retire or remove something.</summary>
/// <param name="Outcome">Whether it was done.</param>
/// <param name="NeededBy">What needs it, in words; empty where nothing does.</param>
public sealed record ShelvingOutcome(ChangeOutcome Outcome, IReadOnlyList<string> NeededBy);

/// <summary>
/// Retires and removes what nothing needs. What is retired is kept for old orders and versions and offered no more; what is
/// removed is gone but for its versions, whose numbers and ids are never given again.
/// </summary>
public static class Shelving
{
    private const int MostNamed = 6;

    /// <summary>Retires something, or takes it back.</summary>
    /// <param name="transaction">The change it is part of.</param>
    /// <param name="kind">What.</param>
    /// <param name="id">Its id.</param>
    /// <param name="isRetired">Whether it is retired from now on.</param>
    /// <param name="fromLocal">The bakery's day, ISO 8601: orders from here on need their product.</param>
    public static ShelvingOutcome Retire(Transaction transaction, Shelved kind, string id, bool isRetired, string fromLocal)
    {
        var connection = transaction.Connection;
        if (!Exists(connection, kind, id)) return new ShelvingOutcome(ChangeOutcome.Gone, []);
        string[] needed = isRetired ? NeedsInUse(connection, kind, id, fromLocal) : [];
        if (needed.Length > 0) return new ShelvingOutcome(ChangeOutcome.Conflict, needed);
        connection.Execute($"UPDATE {Table(kind)} SET retired = @isRetired, row_version = row_version + 1 WHERE id = @id", new { id, isRetired = isRetired ? 1 : 0 });
        return new ShelvingOutcome(ChangeOutcome.Done, []);
    }

    /// <summary>Removes something that nothing refers to.</summary>
    public static ShelvingOutcome Remove(Transaction transaction, Shelved kind, string id)
    {
        var connection = transaction.Connection;
        if (!Exists(connection, kind, id)) return new ShelvingOutcome(ChangeOutcome.Gone, []);
        var needed = Refers(connection, kind, id);
        if (needed.Length > 0) return new ShelvingOutcome(ChangeOutcome.Conflict, needed);
        foreach (var (table, column) in Belongings(kind)) connection.Execute($"DELETE FROM {table} WHERE {column} = @id", new { id });
        connection.Execute($"DELETE FROM {Table(kind)} WHERE id = @id", new { id });
        return new ShelvingOutcome(ChangeOutcome.Done, []);
    }

    /// <summary>Ids of this kind that were given once: those in use, and those of versions of what was removed.</summary>
    public static IReadOnlyList<string> IdsEverGiven(SqliteConnection connection, Shelved kind) =>
        [.. connection.Query<string>($"SELECT id FROM {Table(kind)} UNION SELECT id FROM recipe_version WHERE kind = @kind", new { kind = Table(kind) })];

    private static bool Exists(SqliteConnection connection, Shelved kind, string id) =>
        connection.QuerySingle<long>($"SELECT count(*) FROM {Table(kind)} WHERE id = @id", new { id }) > 0 && !(kind == Shelved.Ingredient && Ingredient.IsDoughId(id));

    private static string Table(Shelved kind) => kind switch { Shelved.Product => "product", Shelved.Dough => "dough", _ => "ingredient" };

    /// <summary>What is in use and would miss it when it is offered no more.</summary>
    private static string[] NeedsInUse(SqliteConnection connection, Shelved kind, string id, string fromLocal) => Named(kind switch
    {
        Shelved.Product => connection.Query<string>(
            """
            SELECT what FROM (
              SELECT 'an order for ' || replace(pick_up_local, 'T', ' ') AS what, pick_up_local AS at FROM order_line WHERE product_id = @id AND pick_up_local >= @fromLocal
              UNION ALL
              SELECT 'an order that repeats' || CASE for_whom WHEN '' THEN '' ELSE ', for ' || for_whom END, from_date
              FROM standing_order WHERE product_id = @id AND (until_date IS NULL OR until_date >= substr(@fromLocal, 1, 10)))
            ORDER BY at
            """,
            new { id, fromLocal }),
        Shelved.Dough => connection.Query<string>(
            $"""
            SELECT name FROM product WHERE @id IN (dough_id, top_dough_id) AND retired = 0
            UNION {MadeOfInUse}
            ORDER BY 1
            """,
            new { id, part = Ingredient.DoughPrefix + id }),
        _ => connection.Query<string>(
            $"""
            SELECT p.name FROM product p WHERE p.retired = 0 AND (
              EXISTS (SELECT 1 FROM product_packaging l WHERE l.product_id = p.id AND l.ingredient_id = @id)
              OR EXISTS (SELECT 1 FROM product_size_packaging l WHERE l.product_id = p.id AND l.ingredient_id = @id))
            UNION {MadeOfInUse}
            UNION SELECT name FROM pan WHERE retired = 0 AND bought_as = @id
            ORDER BY 1
            """,
            new { id, part = id }),
    });

    /// <summary>Whatever refers to it, retired or past as well: the database would not let it go.</summary>
    private static string[] Refers(SqliteConnection connection, Shelved kind, string id) => Named(kind switch
    {
        Shelved.Product => connection.Query<string>(
            """
            SELECT what FROM (
              SELECT 'an order for ' || replace(pick_up_local, 'T', ' ') AS what, pick_up_local AS at FROM order_line WHERE product_id = @id
              UNION ALL
              SELECT 'an order that repeats' || CASE for_whom WHEN '' THEN '' ELSE ', for ' || for_whom END, from_date FROM standing_order WHERE product_id = @id
              UNION ALL
              SELECT 'a lot of ' || replace(since, 'T', ' ') || ' on the books of the shelves', since FROM stock_lot WHERE product_id = @id
              UNION ALL
              SELECT 'labels printed on ' || date(at_unix, 'unixepoch'), date(at_unix, 'unixepoch') FROM label_print WHERE product_id = @id)
            ORDER BY at DESC
            """,
            new { id }),
        Shelved.Dough => connection.Query<string>(
            $"""
            SELECT name FROM product WHERE @id IN (dough_id, top_dough_id)
            UNION SELECT 'a lot of ' || replace(since, 'T', ' ') || ' on the books of the shelves' FROM stock_lot WHERE dough_id = @id
            UNION SELECT 'a batch on the books of the shelves' FROM stock_unknown WHERE dough_id = @id
            UNION {MadeOf}
            ORDER BY 1
            """,
            new { id, part = Ingredient.DoughPrefix + id }),
        _ => connection.Query<string>(
            $"""
            SELECT p.name FROM product p JOIN product_packaging l ON l.product_id = p.id WHERE l.ingredient_id = @id
            UNION SELECT p.name FROM product p JOIN product_size_packaging l ON l.product_id = p.id WHERE l.ingredient_id = @id
            UNION {MadeOf}
            UNION SELECT name FROM pan WHERE bought_as = @id
            UNION SELECT 'a lot of ' || replace(since, 'T', ' ') || ' on the books of the shelves' FROM stock_lot WHERE ingredient_id = @id
            UNION SELECT 'a batch on the books of the shelves' FROM stock_unknown WHERE ingredient_id = @id
            UNION SELECT 'an order at a supplier' FROM purchase_line WHERE ingredient_id = @id
            UNION SELECT 'a price of ' || valid_from FROM price WHERE ingredient_id = @id
            ORDER BY 1
            """,
            new { id, part = id }),
    });

    /// <summary>Whatever has it among its lines.</summary>
    private const string MadeOf =
        """
        SELECT p.name FROM product p JOIN product_line l ON l.product_id = p.id WHERE l.ingredient_id = @part
        UNION SELECT d.name FROM dough d JOIN dough_line l ON l.dough_id = d.id WHERE l.ingredient_id = @part
        UNION SELECT i.name FROM ingredient i JOIN ingredient_line l ON l.ingredient_id = i.id WHERE l.part_id = @part
        """;

    /// <summary>The same, of what is still offered.</summary>
    private const string MadeOfInUse =
        """
        SELECT p.name FROM product p JOIN product_line l ON l.product_id = p.id WHERE p.retired = 0 AND l.ingredient_id = @part
        UNION SELECT d.name FROM dough d JOIN dough_line l ON l.dough_id = d.id WHERE d.retired = 0 AND l.ingredient_id = @part
        UNION SELECT i.name FROM ingredient i JOIN ingredient_line l ON l.ingredient_id = i.id WHERE i.retired = 0 AND l.part_id = @part
        """;

    private static string[] Named(IEnumerable<string> all)
    {
        string[] list = [.. all];
        return list.Length <= MostNamed ? list : [.. list.Take(MostNamed), $"{list.Length - MostNamed} more"];
    }

    private static (string Table, string Column)[] Belongings(Shelved kind) => kind switch
    {
        Shelved.Product => [.. RecipeWriter.ProductTables.Select(table => (table, "product_id"))],
        Shelved.Dough => [("dough_line", "dough_id"), ("ingredient", "dough_id")],
        _ => [.. IngredientWriter.FactTables.Select(table => (table, "ingredient_id"))],
    };
}
