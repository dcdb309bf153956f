using System.Data;
using System.Text.Json;
using Dapper;
using Lumpet.Core;
using Lumpet.Core.Ingredients;
using Lumpet.Store.Prices;
using Microsoft.Data.Sqlite;

namespace Lumpet.Store.Ingredients;

/// <summary>Writes ingredients and what is known of them.</summary>
public static class IngredientWriter
{
    /// <summary>Tables that hold what is known of an ingredient.</summary>
    internal static readonly string[] FactTables = ["ingredient_allergen", "ingredient_may_contain", "ingredient_piece", "ingredient_yield", "ingredient_line", .. PreparationStore.Tables];

    /// <summary>Adds the ingredients that ship and are not there yet. One whose id or name is taken is left as the bakery has it.</summary>
    /// <returns>How many were added; where it is none, nothing was written.</returns>
    public static int AddShipped(Database database)
    {
        using var connection = database.Open();
        return Missing(connection).Length == 0 ? 0 : database.Write(AddShipped);
    }

    /// <summary>Adds the ingredients that ship, as part of a transaction.</summary>
    internal static int AddShipped(Transaction transaction)
    {
        var missing = Missing(transaction.Connection);
        Add(transaction, missing);
        return missing.Length;
    }

    private static Ingredient[] Missing(SqliteConnection connection)
    {
        var taken = connection.Query<TakenRow>("SELECT id, name FROM ingredient")
            .SelectMany(row => new[] { row.Id, row.Name }).ToHashSet(StringComparer.OrdinalIgnoreCase);
        // Their facts stay in the library; a row holds only what a bakery sets itself.
        return [.. IngredientLibrary.All.Where(one => !taken.Contains(one.Id) && !taken.Contains(one.Name)).Select(one => one with { Facts = IngredientFacts.None })];
    }

    /// <summary>Adds ingredients that a recipe brought along; part of the recipe's transaction.</summary>
    internal static void Add(Transaction transaction, IEnumerable<Ingredient> fresh)
    {
        // Rows first: what is made here may be made of what comes later.
        var all = fresh.ToArray();
        foreach (var ingredient in all) Rows.Insert(transaction.Connection, "ingredient", new { id = ingredient.Id, name = ingredient.Name, row_version = 0 });
        foreach (var ingredient in all) State(transaction, ingredient);
    }

    /// <summary>Adds a new ingredient, with a price where one is given.</summary>
    /// <param name="transaction">The change it is part of.</param>
    /// <param name="ingredient">The ingredient with the bakery's own facts.</param>
    /// <param name="price">Its price; null for none.</param>
    public static void Add(Transaction transaction, Ingredient ingredient, Price? price)
    {
        Add(transaction, [ingredient]);
        if (price is not null) PriceWriter.Add(transaction, price, becomesUsual: true);
    }

    /// <summary>Changes an ingredient that still has the version it was read with, and adds a price row where one is given.</summary>
    /// <param name="transaction">The change it is part of.</param>
    /// <param name="ingredient">Its name, its allergens and the bakery's own facts.</param>
    /// <param name="price">A new price; null leaves the prices as they are.</param>
    /// <param name="version">The version it was read with.</param>
    public static ChangeOutcome Change(Transaction transaction, Ingredient ingredient, Price? price, long version)
    {
        var present = transaction.Connection.QuerySingleOrDefault<long?>("SELECT row_version FROM ingredient WHERE id = @Id AND dough_id IS NULL", new { ingredient.Id });
        if (present != version) return present is null ? ChangeOutcome.Gone : ChangeOutcome.Conflict;
        var (before, stamp) = Bought(transaction.Connection, ingredient.Id);
        State(transaction, ingredient);
        if (price is not null) PriceWriter.Add(transaction, price, becomesUsual: true);
        // What is paid for it changes no plan.
        if (before is not null && before == Bought(transaction.Connection, ingredient.Id).Stated)
            transaction.Connection.Execute("UPDATE item_stamp SET number = @stamp WHERE kind = 'ingredient' AND id = @Id", new { stamp, ingredient.Id });
        return ChangeOutcome.Done;
    }

    /// <summary>What is stated of a bought ingredient, and the number of its last change; nothing is told of what is made here, which has more to it than that.</summary>
    private static (string? Stated, long Stamp) Bought(SqliteConnection connection, string id) =>
        (IngredientStore.Own(connection)[id] is { Formula: null } bought ? JsonSerializer.Serialize(bought) : null,
            connection.QuerySingle<long>("SELECT number FROM item_stamp WHERE kind = 'ingredient' AND id = @id", new { id }));

    /// <summary>States what a bakery knows of an ingredient anew, as part of a transaction.</summary>
    internal static void State(Transaction transaction, Ingredient ingredient)
    {
        var connection = transaction.Connection;
        var facts = ingredient.Facts;
        connection.Execute(
            """
            UPDATE ingredient SET name = @name, allergens_stated = @stated, other_names = @names, role_stated = @role, density = @density,
              density_source = @source, alcohol_stated = @alcohol, unsafe_raw_stated = @raw, needs_control_stated = @needsControl, traces_stated = @traces, weighed_to = @weighedTo, kept_share = @kept, reduced_to = @reduced, water_percent = @water, row_version = row_version + 1
            WHERE id = @id
            """,
            new
            {
                id = ingredient.Id,
                name = ingredient.Name,
                stated = ingredient.AllergensStated ? 1 : 0,
                names = string.Join('\n', facts.OtherNames),
                role = facts.StatedRole is { } role ? Naming.Of(role) : null,
                density = facts.Density?.Value.GramsPerMillilitre,
                source = facts.Density?.Source,
                alcohol = facts.StatedAlcoholPercent,
                raw = facts.StatedUnsafeRaw,
                needsControl = facts.StatedNeedsControl,
                traces = facts.StatedMayContain is not null,
                weighedTo = facts.WeighedTo,
                kept = ingredient.Formula?.KeptShare ?? 1,
                reduced = ingredient.Formula?.ReducedTo ?? 1,
                water = facts.WaterPercent,
            });
        foreach (var table in FactTables)
            connection.Execute($"DELETE FROM {table} WHERE ingredient_id = @Id", new { ingredient.Id });
        foreach (var allergen in ingredient.Allergens) Rows.Insert(connection, "ingredient_allergen", new { ingredient_id = ingredient.Id, allergen });
        foreach (var allergen in facts.MayContain) Rows.Insert(connection, "ingredient_may_contain", new { ingredient_id = ingredient.Id, allergen });
        foreach (var piece in facts.Pieces)
            Rows.Insert(connection, "ingredient_piece", new { ingredient_id = ingredient.Id, piece = piece.Piece, grams = piece.Weight.Grams, source = piece.Source });
        foreach (var yield in facts.Yields)
            Rows.Insert(connection, "ingredient_yield", new { ingredient_id = ingredient.Id, preparation = yield.Preparation, share = yield.Yield.Share, source = yield.Source });
        foreach (var (line, position) in (ingredient.Formula?.Lines ?? []).Select((line, position) => (line, position)))
            Rows.Insert(connection, "ingredient_line", new { ingredient_id = ingredient.Id, position, part_id = line.Ingredient.Id, preparation = line.Preparation, grams = line.Amount.Grams, written = line.Written });
        if (ingredient.Formula?.How is { } how) PreparationStore.Insert(connection, ingredient.Id, how);
    }

    private sealed record TakenRow(string Id, string Name);
}
