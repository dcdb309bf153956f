using System.Data;
using System.Globalization;
using Dapper;
using Lumpet.Core;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Steps;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Store.Recipes;

/// <summary>Writes doughs and products, each with everything that belongs to it in one transaction.</summary>
public static class RecipeWriter
{
    /// <summary>Tables that hold what belongs to a product, in the order in which rows can be deleted.</summary>
    internal static readonly string[] ProductTables =
        ["product_alias", "product_line", "product_layer", "product_packaging", "product_size_packaging", "product_size", "product_link", "product_stage", "product_step_takes", "product_step"];

    /// <summary>Saves a dough. One with version 1 is added; any other replaces the version before it.</summary>
    /// <param name="transaction">The change it is part of.</param>
    /// <param name="dough">The dough with its new version.</param>
    /// <param name="fresh">Ingredients that are new with it.</param>
    /// <param name="savedAt">The instant it is saved.</param>
    public static ChangeOutcome Save(Transaction transaction, DoughFormula dough, IEnumerable<Ingredient> fresh, Instant savedAt)
    {
        var connection = transaction.Connection;
        if (Blocked(connection, "dough", dough.Id, dough.Version) is { } outcome) return outcome;
        IngredientWriter.Add(transaction, fresh);
        connection.Execute("DELETE FROM dough_line WHERE dough_id = @Id", new { dough.Id });
        connection.Execute(
            """
                INSERT INTO dough (id, name, version, density, bowl_loss_share, mix_min, rest_least, rest_aim, rest_most, ready_when, caution,
                  family, held_back_percent, fat_size, turns, turn_min, turn_rest_min, thinnest_mm, thickest_mm, keeps_cold_days, keeps_frozen_days, cure)
                VALUES (@id, @name, @version, @density, @loss, @mix, @least, @aim, @most, @ready, @caution,
                  @family, @heldBack, @fatSize, @turns, @turnMin, @turnRest, @thinnest, @thickest, @keepsCold, @keepsFrozen, @cure)
                ON CONFLICT (id) DO UPDATE SET name = excluded.name, version = excluded.version, density = excluded.density,
                  bowl_loss_share = excluded.bowl_loss_share, mix_min = excluded.mix_min, rest_least = excluded.rest_least,
                  rest_aim = excluded.rest_aim, rest_most = excluded.rest_most, ready_when = excluded.ready_when, caution = excluded.caution,
                  family = excluded.family, held_back_percent = excluded.held_back_percent, fat_size = excluded.fat_size, turns = excluded.turns, turn_min = excluded.turn_min,
                  turn_rest_min = excluded.turn_rest_min, thinnest_mm = excluded.thinnest_mm, thickest_mm = excluded.thickest_mm,
                  keeps_cold_days = excluded.keeps_cold_days, keeps_frozen_days = excluded.keeps_frozen_days, cure = excluded.cure
                """,
            new
            {
                id = dough.Id,
                name = dough.Name,
                version = dough.Version,
                density = dough.Density.GramsPerMillilitre,
                loss = dough.BowlLossShare,
                mix = dough.MixMinutes,
                least = dough.Rest.Least,
                aim = dough.Rest.Aim,
                most = dough.Rest.Most,
                ready = dough.ReadyWhen,
                caution = dough.Caution,
                family = Naming.Of(dough.Method.Family),
                heldBack = dough.Method.HeldBackPercent,
                fatSize = dough.Method.FatSize,
                turns = dough.Method.Turns,
                turnMin = dough.Method.TurnMinutes,
                turnRest = dough.Method.TurnRestMinutes,
                thinnest = dough.Method.ThinnestMm,
                thickest = dough.Method.ThickestMm,
                keepsCold = dough.Method.KeepsColdDays,
                keepsFrozen = dough.Method.KeepsFrozenDays,
                cure = dough.Cure,
            });
        // By this row other things may be made of it.
        connection.Execute("INSERT INTO ingredient (id, name, dough_id) VALUES (@IngredientId, @IngredientId, @Id) ON CONFLICT (id) DO NOTHING", new { dough.Id, dough.IngredientId });
        foreach (var (line, position) in dough.Lines.Select((line, position) => (line, position)))
            Rows.Insert(connection, "dough_line", new { dough_id = dough.Id, position, ingredient_id = line.Ingredient.Id, preparation = line.Preparation, grams = line.Amount.Grams, written = line.Written });
        RecipeVersions.Keep(connection, dough, savedAt);
        return ChangeOutcome.Done;
    }

    /// <summary>Saves a product. One with version 1 is added; any other replaces the version before it.</summary>
    /// <param name="transaction">The change it is part of.</param>
    /// <param name="product">The product with its new version.</param>
    /// <param name="fresh">Ingredients that are new with it.</param>
    /// <param name="savedAt">The instant it is saved.</param>
    public static ChangeOutcome Save(Transaction transaction, Product product, IEnumerable<Ingredient> fresh, Instant savedAt)
    {
        var connection = transaction.Connection;
        if (Blocked(connection, "product", product.Id, product.Version) is { } outcome) return outcome;
        IngredientWriter.Add(transaction, fresh);
        foreach (var shell in product.Doughs.Where(dough => ShellsMadeHere.Is(dough) && !Exists(connection, dough)))
            if (Save(transaction, shell with { Version = LastVersion(connection, "dough", shell.Id) + 1 }, [], savedAt) is not ChangeOutcome.Done and var notDone) return notDone;
        var position = connection.QuerySingleOrDefault<long?>("SELECT position FROM product WHERE id = @Id", new { product.Id })
            ?? connection.QuerySingle<long>("SELECT coalesce(max(position), -1) + 1 FROM product");
        foreach (var table in ProductTables)
            connection.Execute($"DELETE FROM {table} WHERE product_id = @Id", new { product.Id });
        connection.Execute(
            """
                INSERT INTO product (id, position, name, version, dough_id, top_dough_id, top_thickness_mm, top, thickness_mm, base_overhang_cm, top_overhang_cm, trim_share,
                  strip_width_cm, strip_gap_cm, bake_change_cm, reference_pan_id, oldest_min, base_treatment, assessment, glass_from_freezer, lining,
                  cut_out_cm, cut_outs, cut_outs_from_trim, rerolls, review,
                  dough_per_pie_g, base_share, share_gives, strip_sheet_length_cm, strip_sheet_width_cm, strip_sheet_strips, sheet_length_cm, sheet_width_cm, overhang_from_wall)
                VALUES (@id, @position, @name, @version, @dough, @topDough, @topThickness, @top, @thickness, @baseOverhang, @topOverhang, @trim, @strip, @gap, @change, @pan, @oldest,
                  @treatment, @assessment, @glass, @lining, @cutOut, @cutOuts, @cutOutsFromTrim, @rerolls, @review,
                  @doughPerPie, @baseShare, @shareGives, @stripSheetLength, @stripSheetWidth, @stripSheetStrips, @sheetLength, @sheetWidth, @fromWall)
                ON CONFLICT (id) DO UPDATE SET name = excluded.name, version = excluded.version, dough_id = excluded.dough_id, top_dough_id = excluded.top_dough_id, top_thickness_mm = excluded.top_thickness_mm, top = excluded.top,
                  thickness_mm = excluded.thickness_mm, base_overhang_cm = excluded.base_overhang_cm, top_overhang_cm = excluded.top_overhang_cm,
                  trim_share = excluded.trim_share, strip_width_cm = excluded.strip_width_cm, strip_gap_cm = excluded.strip_gap_cm,
                  bake_change_cm = excluded.bake_change_cm,
                  reference_pan_id = excluded.reference_pan_id, oldest_min = excluded.oldest_min,
                  base_treatment = excluded.base_treatment,
                  assessment = excluded.assessment, glass_from_freezer = excluded.glass_from_freezer, lining = excluded.lining,
                  cut_out_cm = excluded.cut_out_cm, cut_outs = excluded.cut_outs, cut_outs_from_trim = excluded.cut_outs_from_trim,
                  rerolls = excluded.rerolls, review = excluded.review,
                  dough_per_pie_g = excluded.dough_per_pie_g, base_share = excluded.base_share, share_gives = excluded.share_gives,
                  strip_sheet_length_cm = excluded.strip_sheet_length_cm, strip_sheet_width_cm = excluded.strip_sheet_width_cm, strip_sheet_strips = excluded.strip_sheet_strips,
                  sheet_length_cm = excluded.sheet_length_cm, sheet_width_cm = excluded.sheet_width_cm, overhang_from_wall = excluded.overhang_from_wall
                """,
            new
            {
                id = product.Id,
                position,
                name = product.Name,
                version = product.Version,
                dough = product.Dough.Id,
                topDough = product.TopDough?.Id,
                topThickness = product.Crust.TopThickness?.Millimetres,
                top = Naming.Of(product.Crust.Top),
                thickness = product.Crust.Thickness.Millimetres,
                baseOverhang = product.Crust.BaseOverhang.Centimetres,
                topOverhang = product.Crust.TopOverhang.Centimetres,
                trim = product.Crust.TrimShare,
                strip = product.Crust.StripWidth.Centimetres,
                gap = product.Crust.StripGap.Centimetres,
                change = product.BakeChange.Centimetres,
                pan = product.ReferencePan.Id,
                oldest = product.OldestAtPickUp,
                treatment = Naming.Of(product.BaseTreatment),
                assessment = product.Assessment,
                glass = product.GlassFromFreezer ? 1 : 0,
                lining = Naming.Of(product.Crust.Lining),
                cutOut = product.Crust.CutOutDiameter.Centimetres,
                cutOuts = product.Crust.CutOuts,
                cutOutsFromTrim = product.Crust.CutOutsFromTrim ? 1 : 0,
                rerolls = product.Crust.Rerolls,
                review = string.Join('\n', product.Review),
                doughPerPie = product.Crust.Share?.PerPie.Grams,
                baseShare = product.Crust.Share?.Base,
                shareGives = Naming.Of(product.Crust.Share?.Gives ?? ShareGives.Thickness),
                stripSheetLength = product.Crust.StripSheet?.Length.Centimetres,
                stripSheetWidth = product.Crust.StripSheet?.Width.Centimetres,
                stripSheetStrips = product.Crust.StripSheet?.Strips,
                sheetLength = product.Crust.Sheet.Length.Centimetres,
                sheetWidth = product.Crust.Sheet.Width.Centimetres,
                fromWall = product.Crust.OverhangFromWall ? 1 : 0,
            });
        Parts(connection, product);
        Steps(connection, product);
        RecipeVersions.Keep(connection, product, savedAt);
        return ChangeOutcome.Done;
    }

    /// <summary>Why a version cannot be saved, or null where it can: it must follow the one that is there, or the last of what was removed.</summary>
    private static ChangeOutcome? Blocked(SqliteConnection connection, string table, string id, int version)
    {
        var present = connection.QuerySingleOrDefault<long?>($"SELECT version FROM {table} WHERE id = @id", new { id });
        var last = present ?? LastVersion(connection, table, id);
        return last == version - 1 ? null
            : present is null && version > 1 ? ChangeOutcome.Gone
            : ChangeOutcome.Conflict;
    }

    private static bool Exists(SqliteConnection connection, DoughFormula dough) => connection.QuerySingle<long>("SELECT count(*) FROM dough WHERE id = @Id", new { dough.Id }) > 0;

    private static int LastVersion(SqliteConnection connection, string kind, string id) =>
        (int)(connection.QuerySingleOrDefault<long?>("SELECT max(version) FROM recipe_version WHERE kind = @kind AND id = @id", new { kind, id }) ?? 0);

    private static void Parts(SqliteConnection connection, Product product)
    {
        foreach (var alias in product.Aliases) Rows.Insert(connection, "product_alias", new { product_id = product.Id, alias });
        foreach (var (layer, position) in product.Layers.Select((layer, position) => (layer, position)))
        {
            Rows.Insert(connection, "product_layer", new
            {
                product_id = product.Id,
                id = layer.Id,
                position,
                part = Naming.Of(layer.Kind),
                name = layer.Name,
                law = Naming.Of(layer.Law),
                filling_kind = Naming.Of(layer.Filling),
                packed_density = layer.PackedDensity.GramsPerMillilitre,
                kept_share = layer.KeptShare,
                reduced_to = layer.ReducedTo,
                pieces = layer.Pieces,
            });
            foreach (var (line, at) in layer.Lines.Select((line, at) => (line, at)))
                Rows.Insert(connection, "product_line", new { product_id = product.Id, layer_id = layer.Id, position = at, ingredient_id = line.Ingredient.Id, preparation = line.Preparation, grams = line.Amount.Grams, written = line.Written });
        }

        foreach (var item in product.Packaging) Rows.Insert(connection, "product_packaging", new { product_id = product.Id, ingredient_id = item.Id });
        foreach (var (size, position) in product.Sizes.Select((size, position) => (size, position)))
            Rows.Insert(connection, "product_size", new { product_id = product.Id, pan_id = size.Pan.Id, position, price = size.SellingPrice?.Amount.ToString(CultureInfo.InvariantCulture), bake_least = size.Bake?.Least, bake_most = size.Bake?.Most });
        foreach (var (size, item) in product.Sizes.SelectMany(size => size.Packaging.Select(item => (size, item))))
            Rows.Insert(connection, "product_size_packaging", new { product_id = product.Id, pan_id = size.Pan.Id, ingredient_id = item.Id });
    }

    private static void Steps(SqliteConnection connection, Product product)
    {
        foreach (var (step, position) in product.Process.Steps.Select((step, position) => (step, position)))
        {
            Rows.Insert(connection, "product_step", new
            {
                product_id = product.Id,
                id = step.Id,
                position,
                name = step.Name,
                station = Naming.Of(step.Station),
                hands_per_batch = step.Hands?.PerBatch,
                hands_per_pie = step.Hands?.PerPie,
                wait_least = step.Wait?.Least,
                wait_aim = step.Wait?.Aim,
                wait_most = step.Wait?.Most,
                celsius = step.Celsius,
                uses_dough = step.UsesDough ? 1 : 0,
                ready_when = step.ReadyWhen,
                cure = step.Cure,
                caution = step.Caution,
                bakes = step.IsBake ? Naming.Of(step.Bakes) : null,
                place = Naming.Of(step.Place),
                heated_tray_min = step.HeatedTrayMin,
                weights_out_min = step.WeightsOutMin,
                turned = step.Turned ? 1 : 0,
                handwork = HandworkRows.Write(step.Handwork),
                seals = step.Seals ? 1 : 0,
            });
            foreach (var taken in step.Takes) Rows.Insert(connection, "product_step_takes", new { product_id = product.Id, step_id = step.Id, ingredient_id = taken });
            foreach (var (stage, number) in step.Stages.Select((stage, at) => (stage, at + 1)))
                Rows.Insert(connection, "product_stage", new { product_id = product.Id, step_id = step.Id, number, temp_c = stage.TempC, min_min = stage.MinMin, max_min = stage.MaxMin, written = step.TemperaturesWritten.ElementAtOrDefault(number - 1) ?? string.Empty });
        }

        foreach (var link in product.Process.Links)
            Rows.Insert(connection, "product_link", new { product_id = product.Id, before = link.Before, after = link.After, least = link.Lag.Least, most = link.Lag.Most, kind = Naming.Of(link.Kind) });
    }
}
