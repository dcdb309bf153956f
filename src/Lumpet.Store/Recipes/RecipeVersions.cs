using System.Data;
using System.Text.Json;
using System.Text.Json.Serialization;
using Dapper;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Writing;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Store.Recipes;

/// <summary>A version of a dough or a product.</summary>
/// <param name="Number">Its number, from 1.</param>
/// <param name="SavedAt">When it was saved.</param>
public sealed record RecipeVersion(int Number, Instant SavedAt);

/// <summary>A product as one version wrote it, with the grams it was read as.</summary>
/// <param name="Draft">As written.</param>
/// <param name="Lines">Each line as written, and its grams.</param>
public sealed record KeptProduct(ProductDraft Draft, IReadOnlyList<KeptLine> Lines);

/// <summary>A dough as one version wrote it, with the grams it was read as.</summary>
/// <param name="Draft">As written.</param>
/// <param name="Lines">Each line as written, and its grams.</param>
public sealed record KeptDough(DoughDraft Draft, IReadOnlyList<KeptLine> Lines);

/// <summary>Every version of every dough and product, kept for good: a row is added with each version and never changed.</summary>
public static class RecipeVersions
{
    private static readonly JsonSerializerOptions Format = new(JsonSerializerDefaults.Web) { DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull };

    /// <summary>Versions of a product, the latest first.</summary>
    public static IReadOnlyList<RecipeVersion> OfProduct(SqliteConnection connection, string id) => Of(connection, "product", id);

    /// <summary>Versions of a dough, the latest first.</summary>
    public static IReadOnlyList<RecipeVersion> OfDough(SqliteConnection connection, string id) => Of(connection, "dough", id);

    /// <summary>One version of a product, or null.</summary>
    public static KeptProduct? FindProduct(SqliteConnection connection, string id, int version) =>
        Find(connection, "product", id, version) is { } written ? Read(written) : null;

    /// <summary>One version of a dough, or null.</summary>
    public static KeptDough? FindDough(SqliteConnection connection, string id, int version) =>
        Find(connection, "dough", id, version) is { } written ? JsonSerializer.Deserialize<KeptDough>(written, Format) : null;

    /// <summary>Keeps a version of a product; part of the transaction that saves it.</summary>
    internal static void Keep(SqliteConnection connection, Product product, Instant savedAt) =>
        Keep(connection, "product", product.Id, product.Version, savedAt, new KeptProduct(ProductReader.Write(product), Lines(product)));

    /// <summary>Keeps a version of a dough; part of the transaction that saves it.</summary>
    internal static void Keep(SqliteConnection connection, DoughFormula dough, Instant savedAt) =>
        Keep(connection, "dough", dough.Id, dough.Version, savedAt, new KeptDough(DoughReader.Write(dough), [.. dough.Lines.Select(line => Line("dough", line))]));

    private static KeptProduct Read(string written)
    {
        var kept = JsonSerializer.Deserialize<KeptProduct>(written, Format)!;
        return kept with { Draft = EarlierProduct.Upgraded(kept.Draft, JsonSerializer.Deserialize<KeptEarlier>(written, Format)!.Draft)! };
    }

    /// <summary>The lines of a product as they are kept.</summary>
    public static IReadOnlyList<KeptLine> Lines(Product product) =>
        // A dough has versions of its own.
        [.. product.Parts.Where(part => part.Kind != PartKind.Dough).SelectMany(part => part.Lines.Select(line => Line(part.Id, line)))];

    /// <summary>Keeps the versions in use that were saved before versions were kept.</summary>
    public static void KeepThoseInUse(Database database, Instant now)
    {
        using var connection = database.Open();
        var missing = connection.QuerySingle<long>(
            """
            SELECT (SELECT count(*) FROM product p WHERE NOT EXISTS (SELECT 1 FROM recipe_version v WHERE v.kind = 'product' AND v.id = p.id AND v.version = p.version))
                 + (SELECT count(*) FROM dough d WHERE NOT EXISTS (SELECT 1 FROM recipe_version v WHERE v.kind = 'dough' AND v.id = d.id AND v.version = d.version))
            """);
        if (missing == 0) return;
        var (products, doughs) = (RecipeStore.Products(connection), RecipeStore.Doughs(connection));
        database.Write(transaction =>
        {
            foreach (var product in products.Where(one => Find(connection, "product", one.Id, one.Version) is null)) Keep(transaction.Connection, product, now);
            foreach (var dough in doughs.Where(one => Find(connection, "dough", one.Id, one.Version) is null)) Keep(transaction.Connection, dough, now);
            return true;
        });
    }

    private static void Keep<T>(SqliteConnection connection, string kind, string id, int version, Instant savedAt, T kept) =>
        Rows.Insert(connection, "recipe_version", new { kind, id, version, saved_unix = savedAt.ToUnixTimeSeconds(), written = JsonSerializer.Serialize(kept, Format) });

    private static RecipeVersion[] Of(SqliteConnection connection, string kind, string id) =>
        [.. connection.Query<VersionRow>("SELECT version, saved_unix AS savedUnix FROM recipe_version WHERE kind = @kind AND id = @id ORDER BY version DESC", new { kind, id })
            .Select(row => new RecipeVersion((int)row.Version, Instant.FromUnixTimeSeconds(row.SavedUnix)))];

    private static string? Find(SqliteConnection connection, string kind, string id, int version) =>
        connection.QuerySingleOrDefault<string>("SELECT written FROM recipe_version WHERE kind = @kind AND id = @id AND version = @version", new { kind, id, version });

    private static KeptLine Line(string part, RecipeLine line) => new(part, line.Ingredient.Name, line.Preparation, line.Amount.Grams, line.Written);

    private sealed record KeptEarlier(EarlierProduct Draft);

    private sealed record VersionRow(long Version, long SavedUnix);
}
