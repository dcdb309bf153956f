using Dapper;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Recipes;
using Microsoft.Data.Sqlite;
using NodaTime;
using Xunit;

namespace Lumpet.Store.Tests;

/// <summary>A database from before recipes had kinds, versions and figures keeps all it held.</summary>
public sealed class MigrationTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("lumpet-migration-").FullName;

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }

    private Database OfVersionFive()
    {
        var path = Path.Combine(folder, "old.db");
        using var connection = new SqliteConnection($"Data Source={path}");
        connection.Open();
        // The journal as the migrator keeps it.
        connection.Execute("CREATE TABLE SchemaVersions (SchemaVersionID INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, ScriptName TEXT NOT NULL, Applied DATETIME NOT NULL)");
        var store = typeof(Database).Assembly;
        foreach (var name in store.GetManifestResourceNames().Where(name => name.EndsWith(".sql", StringComparison.Ordinal)).Order(StringComparer.Ordinal).Take(5))
        {
            using var script = new StreamReader(store.GetManifestResourceStream(name)!);
            connection.Execute(script.ReadToEnd());
            connection.Execute("INSERT INTO SchemaVersions (ScriptName, Applied) VALUES (@name, '2026-01-01')", new { name });
        }

        connection.Execute(
            """
            INSERT INTO bakery (id, name, zone, currency, tolerance_c, transfer_min, spare_min, mixer_name, mixer_smallest_g, mixer_largest_g) VALUES (1, 'Old', 'Europe/Lisbon', 'EUR', 5, 2, 30, 'Mixer', 0, 9000);
            INSERT INTO pan (id, position, name, top_cm, bottom_cm, depth_cm, rim_cm, per_tray) VALUES ('23', 0, '23 cm', 23, 19.5, 3.5, 1, 4);
            INSERT INTO ingredient (id, name) VALUES ('flour', 'Our flour'), ('sloe', 'Sloes'), ('own-butter', 'Butter, unsalted');
            INSERT INTO ingredient_allergen VALUES ('flour', 'wheat');
            INSERT INTO ingredient_yield VALUES ('sloe', 'pitted', 0.7, 'weighed once');
            INSERT INTO dough (id, name, version, density, bowl_loss_share, mix_min, rest_least, rest_aim, rest_most, ready_when, caution) VALUES ('d', 'Dough', 3, 1.2, 0, 30, 0, 0, 60, '', '');
            INSERT INTO dough_line (dough_id, position, ingredient_id, preparation, grams) VALUES ('d', 0, 'flour', '', 450);
            INSERT INTO product (id, position, name, version, dough_id, top, thickness_mm, base_overhang_cm, top_overhang_cm, trim_share, strip_width_cm, strip_gap_cm, packed_density, bake_change_cm, reference_pan_id, oldest_min)
              VALUES ('sloe', 0, 'Sloe lattice', 2, 'd', 'lattice', 3, 1, 1, 0.1, 2, 1, 0.8, 0, '23', 1440);
            INSERT INTO product_line (product_id, part, position, ingredient_id, preparation, grams) VALUES ('sloe', 'filling', 0, 'sloe', 'pitted', 900), ('sloe', 'finish', 0, 'flour', '', 5);
            INSERT INTO product_size (product_id, pan_id, position, price) VALUES ('sloe', '23', 0, '20');
            INSERT INTO product_step (product_id, id, position, name, station, hands_per_batch, hands_per_pie, celsius, uses_dough, ready_when, caution) VALUES ('sloe', 'line', 0, 'Line', 'bench', 5, 1, 20, 1, '', '');
            """);
        return new Database(path);
    }

    [Fact]
    public void What_was_there_is_there_afterwards()
    {
        var database = OfVersionFive();
        Assert.False(database.Migrate());
        IngredientWriter.AddShipped(database);
        RecipeVersions.KeepThoseInUse(database, NodaConstants.UnixEpoch);
        RecipeVersions.KeepThoseInUse(database, NodaConstants.UnixEpoch);
        using var connection = database.Open();
        var product = Assert.Single(RecipeStore.Products(connection));
        Assert.Equal(("Sloe lattice", Top.Lattice, 2), (product.Name, product.Crust.Top, product.Version));
        Assert.Equal((900.0, 0.7), (product.Filling.Lines[0].Amount.Grams, product.Filling.Lines[0].Yield.Share));
        Assert.Equal(5, product.Finish[0].Amount.Grams);
        Assert.Equal(PanFamily.Sloped, product.ReferencePan.Family);
        Assert.Equal(20, product.Sizes[0].SellingPrice!.Value.Amount);
        // A name or an id that the bakery has already is left as it has it; the figures that ship reach it by its id.
        var ingredients = IngredientStore.All(connection);
        Assert.Equal("Our flour", ingredients["flour"].Name);
        Assert.NotNull(ingredients["flour"].Facts.Density);
        Assert.False(ingredients.ContainsKey("butter"));
        Assert.Contains("molasses", ingredients.Keys);
        // The version in use is kept from now on, once.
        Assert.Equal([2], RecipeVersions.OfProduct(connection, "sloe").Select(version => version.Number));
        Assert.Equal([3], RecipeVersions.OfDough(connection, "d").Select(version => version.Number));
        Assert.Empty(connection.Query("PRAGMA foreign_key_check"));
        Assert.Equal("ok", connection.ExecuteScalar<string>("PRAGMA integrity_check"));
    }
}
