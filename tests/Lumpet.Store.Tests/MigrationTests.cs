using Dapper;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Pans;
using Lumpet.Core.Preparations;
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

    private const string AfterFive =
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
        """;

    private Database OfVersion(int scripts, string more)
    {
        var path = Path.Combine(folder, "old.db");
        using var connection = new SqliteConnection($"Data Source={path}");
        connection.Open();
        // The journal as the migrator keeps it.
        connection.Execute("CREATE TABLE SchemaVersions (SchemaVersionID INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, ScriptName TEXT NOT NULL, Applied DATETIME NOT NULL)");
        var store = typeof(Database).Assembly;
        foreach (var name in store.GetManifestResourceNames().Where(name => name.EndsWith(".sql", StringComparison.Ordinal)).Order(StringComparer.Ordinal).Take(scripts))
        {
            using var script = new StreamReader(store.GetManifestResourceStream(name)!);
            connection.Execute(script.ReadToEnd());
            connection.Execute("INSERT INTO SchemaVersions (ScriptName, Applied) VALUES (@name, '2026-01-01')", new { name });
            if (name.Contains("0005", StringComparison.Ordinal)) connection.Execute(AfterFive);
        }

        if (more.Length > 0) connection.Execute(more);
        return new Database(path);
    }

    [Fact]
    public void What_was_there_is_there_afterwards()
    {
        var database = OfVersion(5, string.Empty);
        Assert.False(database.Migrate());
        IngredientWriter.AddShipped(database);
        RecipeVersions.KeepThoseInUse(database, NodaConstants.UnixEpoch);
        RecipeVersions.KeepThoseInUse(database, NodaConstants.UnixEpoch);
        using var connection = database.Open();
        var product = Assert.Single(RecipeStore.Products(connection));
        Assert.Equal(("Sloe lattice", Top.Lattice, 2), (product.Name, product.Crust.Top, product.Version));
        Assert.Equal((900.0, 0.7), (product.MainFilling.Lines[0].Amount.Grams, product.MainFilling.Lines[0].Yield.Share));
        Assert.Equal(5, product.Layers[1].Lines[0].Amount.Grams);
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

    [Fact]
    public void One_filling_a_topping_and_a_finish_become_layers_and_kept_versions_are_read_with_them()
    {
        var database = OfVersion(
            13,
            """
            UPDATE product SET filling_kind = 'berry', kept_share = 0.9, packed_density = 0.75 WHERE id = 'sloe';
            INSERT INTO product_line (product_id, part, position, ingredient_id, preparation, grams, written) VALUES ('sloe', 'topping', 0, 'flour', '', 90, '90 g'), ('sloe', 'topping', 1, 'own-butter', 'cold', 60, '');
            INSERT INTO product (id, position, name, version, dough_id, top, thickness_mm, base_overhang_cm, top_overhang_cm, trim_share, strip_width_cm, strip_gap_cm, packed_density, bake_change_cm, reference_pan_id, oldest_min)
              VALUES ('bare', 1, 'Bare', 1, 'd', 'open', 3, 1, 1, 0.1, 2, 1, 0.8, 0, '23', 1440);
            INSERT INTO product_line (product_id, part, position, ingredient_id, preparation, grams, written) VALUES ('bare', 'filling', 0, 'sloe', '', 700, '');
            INSERT INTO recipe_version (kind, id, version, saved_unix, written) VALUES ('product', 'sloe', 1, 0,
              '{"draft":{"name":"Sloe","packedDensity":0.8,"filling":"800 g Sloes, pitted","topping":"","finish":"5 g Flour","fillingKind":"rawFruit","keptPercent":95},"lines":[{"part":"filling","ingredient":"Sloes","preparation":"pitted","grams":800,"written":""}]}');
            """);
        database.Migrate();
        using var connection = database.Open();
        var products = RecipeStore.Products(connection);
        Assert.Equal([("filling", 1), ("topping", 2), ("finish", 1)], products[0].Layers.Select(layer => (layer.Id, layer.Lines.Count)));
        var filling = products[0].MainFilling;
        Assert.Equal((LayerLaw.Room, FillingKind.Berry, 0.9, 0.75), (filling.Law, filling.Filling, filling.KeptShare, filling.PackedDensity.GramsPerMillilitre));
        Assert.Equal((LayerLaw.Top, "90 g"), (products[0].Layers[1].Law, products[0].Layers[1].Lines[0].Written));
        Assert.Equal("filling", Assert.Single(products[1].Layers).Id);
        var kept = RecipeVersions.FindProduct(connection, "sloe", 1)!;
        Assert.Equal([("filling", "800 g Sloes, pitted", 95.0), ("finish", "5 g Flour", 100.0)], kept.Draft.Layers!.Select(layer => (layer!.Part!, layer.Lines!, layer.KeptPercent!.Value)));
        Assert.Equal("filling", Assert.Single(kept.Lines).Part);
        Assert.Empty(connection.Query("PRAGMA foreign_key_check"));
        Assert.Equal("ok", connection.ExecuteScalar<string>("PRAGMA integrity_check"));
    }

    [Fact]
    public void What_the_names_of_steps_and_figures_meant_is_written_down()
    {
        var database = OfVersion(
            8,
            """
            INSERT INTO pan (id, position, name, top_cm, bottom_cm, depth_cm, rim_cm, per_tray, family, material) VALUES ('foil', 1, 'Foil', 22, 18, 3, 0.5, 4, 'Foil', 'Foil');
            INSERT INTO ingredient (id, name, role, alcohol_percent, unsafe_raw) VALUES ('foil-pan', 'Foil pan', 'Packaging', 0, 0), ('wine', 'Plum wine', 'Spirit', 14, 0), ('egg', 'Egg, whole', 'Egg', 0, 1);
            UPDATE product SET base_treatment = 'PartBlind', filling_kind = 'BakedCustard' WHERE id = 'sloe';
            INSERT INTO product_size (product_id, pan_id, position, price) VALUES ('sloe', 'foil', 1, '20');
            INSERT INTO product_packaging (product_id, ingredient_id) VALUES ('sloe', 'foil-pan');
            INSERT INTO product_step (product_id, id, position, name, station, wait_least, wait_aim, wait_most, celsius, uses_dough, ready_when, caution) VALUES ('sloe', 'chill', 1, 'Chill', 'cold', 20, 30, 60, 4, 0, '', '');
            INSERT INTO product_step (product_id, id, position, name, station, hands_per_batch, hands_per_pie, celsius, uses_dough, ready_when, caution) VALUES ('sloe', 'weight', 2, 'Weight', 'bench', 5, 1, 20, 0, '', '');
            INSERT INTO product_step (product_id, id, position, name, station, celsius, uses_dough, ready_when, caution) VALUES ('sloe', 'blind', 3, 'Blind bake', 'oven', 190, 0, '', ''), ('sloe', 'bake', 4, 'Bake', 'oven', 170, 0, '', '');
            INSERT INTO product_stage (product_id, step_id, number, temp_c, min_min, max_min) VALUES ('sloe', 'blind', 1, 190, 23, 28), ('sloe', 'bake', 1, 170, 40, 50);
            """);
        database.Migrate();
        using var connection = database.Open();
        Assert.Equal(
            ["bake pie ", "blind shell 15"],
            connection.Query<string>("SELECT id || ' ' || bakes || ' ' || ifnull(weights_out_min, '') FROM product_step WHERE bakes IS NOT NULL ORDER BY id"));
        Assert.Equal("foil-pan", connection.ExecuteScalar<string>("SELECT bought_as FROM pan WHERE id = 'foil'"));
        Assert.Equal(0, connection.ExecuteScalar<int>("SELECT count(*) FROM product_packaging WHERE ingredient_id = 'foil-pan'"));
        Assert.Equal("partBlind bakedCustard", connection.ExecuteScalar<string>("SELECT p.base_treatment || ' ' || l.filling_kind FROM product p JOIN product_layer l ON l.product_id = p.id AND l.id = 'filling'"));
        var ingredients = IngredientStore.All(connection);
        Assert.Equal((IngredientRole.Spirit, 14.0), (ingredients["wine"].Facts.Role, ingredients["wine"].Facts.AlcoholPercent));
        Assert.True(ingredients["egg"].Facts.UnsafeRaw);
        Assert.Empty(connection.Query("PRAGMA foreign_key_check"));
    }

    [Fact]
    public void What_was_kept_in_one_place_is_kept_there_still_and_each_place_is_said_once()
    {
        var database = OfVersion(
            19,
            """
            INSERT INTO ingredient_line (ingredient_id, position, part_id, preparation, grams, written) VALUES ('sloe', 0, 'flour', '', 100, '100 g');
            INSERT INTO preparation (ingredient_id, kind, batch_least_g, batch_most_g, tray_g, keeps_in, hold_least, hold_aim, hold_most, before_use) VALUES ('sloe', 'jam', 0, 5000, 2500, 'frozen', 60, 720, 5760, 'stir');
            """);
        database.Migrate();
        using var connection = database.Open();
        var keeping = IngredientStore.All(connection)["sloe"].Formula!.How!.Keeping;
        Assert.Equal([new KeptIn(KeepPlace.Frozen, 60, 5760)], keeping.Places);
        Assert.Equal((720, 0, "stir"), (keeping.ToUse.Aim, keeping.ThawMin, keeping.BeforeUse));
        const string Keep = "INSERT INTO preparation_kept_in (ingredient_id, place, position, least_min, most_min) VALUES ('sloe', @place, 0, 0, @most)";
        connection.Execute(Keep, new { place = "cold", most = 90 });
        foreach (var (place, most) in (ReadOnlySpan<(string, int)>)[("cold", 90), ("frozen", 90), ("cellar", 90), ("room", 0)])
            Assert.ThrowsAny<Microsoft.Data.Sqlite.SqliteException>(() => connection.Execute(Keep, new { place, most }));
        Assert.Equal(new KeptIn(KeepPlace.Cold, 0, 90), IngredientStore.All(connection)["sloe"].Formula!.How!.Keeping.Places[0]);
    }

    [Fact]
    public void A_dough_may_be_taken_by_lines_from_then_on_and_never_by_itself()
    {
        var database = OfVersion(18, string.Empty);
        database.Migrate();
        using var connection = database.Open();
        var dough = IngredientStore.All(connection)["dough:d"];
        Assert.Equal(RecipeStore.Doughs(connection).Single().Name, dough.Name);
        Assert.Equal(RecipeStore.Doughs(connection).Single().Lines.Select(line => line.Ingredient.Id), dough.Formula!.Lines.Select(line => line.Ingredient.Id));
        Assert.DoesNotContain("dough:d", IngredientStore.Own(connection).Keys);
        connection.Execute("INSERT INTO ingredient_line (ingredient_id, position, part_id, preparation, grams, written) VALUES ('sloe', 0, 'dough:d', '', 100, '100 g')");
        Assert.ThrowsAny<Microsoft.Data.Sqlite.SqliteException>(() => connection.Execute("INSERT INTO dough_line (dough_id, position, ingredient_id, preparation, grams, written) VALUES ('d', 9, 'sloe', '', 100, '')"));
        Assert.ThrowsAny<Microsoft.Data.Sqlite.SqliteException>(() => connection.Execute("INSERT INTO dough_line (dough_id, position, ingredient_id, preparation, grams, written) VALUES ('d', 9, 'dough:d', '', 100, '')"));
        // What lines are made of cannot go, and neither can a dough without its row.
        Assert.ThrowsAny<Microsoft.Data.Sqlite.SqliteException>(() => connection.Execute("DELETE FROM ingredient WHERE id = 'dough:d'"));
        Assert.Empty(connection.Query("PRAGMA foreign_key_check"));
    }

    [Fact]
    public void Places_on_a_floor_that_were_some_of_the_shelves_are_beside_them_now_and_an_oven_holds_what_it_held()
    {
        var database = OfVersion(
            20,
            """
            INSERT INTO oven (id, position, name, shelves, min_c, max_c, heat_c_per_min, cool_c_per_min, dial_offset_c, floor_places)
            VALUES ('some', 0, 'Some', 4, 90, 280, 8, 4, 0, 3), ('all', 1, 'All', 4, 90, 280, 8, 4, 0, 4), ('any', 2, 'Any', 4, 90, 280, 8, 4, 0, NULL), ('no', 3, 'No', 4, 90, 280, 8, 4, 0, 0);
            """);
        database.Migrate();
        using var connection = database.Open();
        Assert.Equal(
            [("some", 1, 3), ("all", 4, null), ("any", 4, null), ("no", 4, 0)],
            Store.Bakery.BakeryStore.Find(connection)!.Ovens.Select(oven => (oven.Id, oven.Shelves, oven.FloorPlaces)));
    }

    [Fact]
    public void Shifts_for_a_day_of_pick_ups_are_those_of_every_day_now_and_work_may_begin_as_long_before()
    {
        var database = OfVersion(
            24,
            """
            INSERT INTO shift (name, day_offset, start_minute, length_min, people) VALUES ('Dough', -2, 600, 240, NULL), ('Night', -1, 1320, 480, 3), ('night', 0, 420, 180, 2);
            """);
        database.Migrate();
        using var connection = database.Open();
        var bakery = Store.Bakery.BakeryStore.Find(connection)!;
        Assert.Equal(2, bakery.DaysAhead);
        Assert.Empty(bakery.SpecialDates);
        Assert.Equal([("night 2", 420, 180, 2), ("Dough", 600, 240, null), ("Night 1", 1320, 480, 3)], bakery.Shifts.Select(shift => (shift.Name, shift.StartMinute, shift.LengthMin, shift.People)));
        Assert.All(bakery.Shifts, shift => Assert.Equal(7, shift.Days.Count));
        // What is read can be described anew as it is.
        Assert.DoesNotContain(Core.Bakery.BakeryReader.Read(Core.Bakery.BakeryReader.Write(bakery, RecipeStore.Pans(connection))).Faults, fault => fault.Field.StartsWith("shifts", StringComparison.Ordinal));
        Assert.ThrowsAny<SqliteException>(() => connection.Execute("INSERT INTO work_shift (position, name, start_minute, length_min) VALUES (9, 'x', 0, 60)"));
        Assert.ThrowsAny<SqliteException>(() => connection.Execute("INSERT INTO work_shift (date, position, name, start_minute, length_min) VALUES ('2026-12-24', 9, 'x', 0, 60)"));
    }

    [Fact]
    public void What_an_order_names_and_its_recipe_lost_is_put_back_and_two_of_a_name_are_told_apart()
    {
        var database = OfVersion(
            10,
            """
            INSERT INTO pan (id, position, name, top_cm, bottom_cm, depth_cm, rim_cm, per_tray) VALUES ('26', 1, '26 cm', 26, 22, 4, 1, 4);
            INSERT INTO order_line VALUES ('11111111-1111-1111-1111-111111111111', 'sloe', '26', 4, '2026-05-02T09:00', 'Europe/Lisbon', 1777708800, 'kiosk', 'key', 3);
            INSERT INTO ingredient (id, name) VALUES ('sloes', 'SLOES');
            """);
        database.Migrate();
        using var connection = database.Open();
        Assert.Equal(["23", "26"], Assert.Single(RecipeStore.Products(connection)).Sizes.Select(size => size.Pan.Id));
        var order = Assert.Single(Store.Orders.OrderStore.OnDay(connection, new LocalDate(2026, 5, 2)));
        Assert.Equal(("26", 4, "kiosk", 3), (order.Line.Pan, order.Line.Count, order.Line.For, order.RowVersion));
        Assert.Equal(["Sloes", "SLOES (sloes)"], connection.Query<string>("SELECT name FROM ingredient WHERE id IN ('sloe', 'sloes') ORDER BY rowid"));
        Assert.Empty(connection.Query("PRAGMA foreign_key_check"));
    }
}
