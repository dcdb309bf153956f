using Dapper;
using Lumpet.Core;
using Lumpet.Core.Baking;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Steps;
using Lumpet.Store.Steps;
using Microsoft.Data.Sqlite;

namespace Lumpet.Store.Ingredients;

/// <summary>Reads and writes how things that are made here are made.</summary>
internal static class PreparationStore
{
    /// <summary>Its tables, those that name others first.</summary>
    public static readonly string[] Tables = ["preparation_stage", "preparation_step", "preparation_kept_in", "preparation"];

    /// <summary>How each thing is made, by the ingredient's id; what nobody has said is left out.</summary>
    public static IReadOnlyDictionary<string, Making> All(SqliteConnection connection)
    {
        var stages = connection.Query<StageRow>("SELECT ingredient_id AS ingredientId, step_id AS stepId, temp_c AS tempC, min_min AS least, max_min AS most, written FROM preparation_stage ORDER BY number")
            .ToLookup(row => (row.IngredientId, row.StepId), row => (new BakeStage((int)row.TempC, (int)row.Least, (int)row.Most), row.Written));
        var steps = connection.Query<StepRow>(
                """
                SELECT ingredient_id AS ingredientId, id, name, station, hands_per_batch AS perBatch, hands_per_kg AS perKilogram, wait_least AS waitLeast, wait_aim AS waitAim,
                       wait_most AS waitMost, celsius, ready_when AS readyWhen, caution, place, heated_tray_min AS heatedTray, turned, handwork, cure
                FROM preparation_step ORDER BY ingredient_id, position
                """)
            .ToLookup(row => row.IngredientId, row => Step(row, stages));
        var elsewhere = connection.Query<KeptRow>("SELECT ingredient_id AS ingredientId, place, least_min AS least, most_min AS most FROM preparation_kept_in ORDER BY position")
            .ToLookup(row => row.IngredientId, row => new KeptIn(Naming.Known<KeepPlace>(row.Place), (int)row.Least, (int)row.Most));
        return connection.Query<Row>(
            """
            SELECT ingredient_id AS ingredientId, kind, batch_least_g AS least, batch_most_g AS most, tray_g AS tray, keeps_in AS keepsIn,
                   hold_least AS holdLeast, hold_aim AS holdAim, hold_most AS holdMost, before_use AS beforeUse, whole_of AS wholeOf, piece_g AS piece, thaw_min AS thaw
            FROM preparation
            """).ToDictionary(row => row.IngredientId, row => new Making(
                Naming.Known<PreparationKind>(row.Kind),
                [.. steps[row.IngredientId]],
                new BatchLimits(Mass.FromGrams(row.Least), Mass.FromGrams(row.Most), Mass.FromGrams(row.Tray)),
                new Keeping(Naming.Known<KeepPlace>(row.KeepsIn), new Span((int)row.HoldLeast, (int)row.HoldAim, (int)row.HoldMost), row.BeforeUse) { Elsewhere = [.. elsewhere[row.IngredientId]], ThawMin = (int)row.Thaw })
            {
                WholeOf = row.WholeOf,
                Piece = row.Piece is { } piece ? Mass.FromGrams(piece) : null,
            });
    }

    /// <summary>Writes how something is made; what was said of it before is gone by then.</summary>
    public static void Insert(SqliteConnection connection, string id, Making making)
    {
        Rows.Insert(connection, "preparation", new
        {
            ingredient_id = id,
            kind = Naming.Of(making.Kind),
            batch_least_g = making.Batches.Least.Grams,
            batch_most_g = making.Batches.Most.Grams,
            tray_g = making.Batches.Tray.Grams,
            keeps_in = Naming.Of(making.Keeping.Place),
            hold_least = making.Keeping.Hold.Least,
            hold_aim = making.Keeping.Hold.Aim,
            hold_most = making.Keeping.Hold.Most,
            before_use = making.Keeping.BeforeUse,
            whole_of = making.WholeOf,
            piece_g = making.Piece?.Grams,
            thaw_min = making.Keeping.ThawMin,
        });
        foreach (var (kept, position) in making.Keeping.Elsewhere.Select((kept, position) => (kept, position)))
            Rows.Insert(connection, "preparation_kept_in", new { ingredient_id = id, place = Naming.Of(kept.Place), position, least_min = kept.LeastMin, most_min = kept.MostMin });
        foreach (var (step, position) in making.Method.Select((step, position) => (step, position)))
        {
            Rows.Insert(connection, "preparation_step", new
            {
                ingredient_id = id,
                id = step.Id,
                position,
                name = step.Name,
                station = Naming.Of(step.Station),
                hands_per_batch = step.Hands?.PerBatch,
                hands_per_kg = step.Hands?.PerPie,
                wait_least = step.Wait?.Least,
                wait_aim = step.Wait?.Aim,
                wait_most = step.Wait?.Most,
                celsius = step.Celsius,
                ready_when = step.ReadyWhen,
                cure = step.Cure,
                caution = step.Caution,
                place = Naming.Of(step.Place),
                heated_tray_min = step.HeatedTrayMin,
                turned = step.Turned ? 1 : 0,
                handwork = HandworkRows.Write(step.Handwork),
            });
            foreach (var (stage, number) in step.Stages.Select((stage, at) => (stage, at + 1)))
                Rows.Insert(connection, "preparation_stage", new { ingredient_id = id, step_id = step.Id, number, temp_c = stage.TempC, min_min = stage.MinMin, max_min = stage.MaxMin, written = step.TemperaturesWritten.ElementAtOrDefault(number - 1) ?? string.Empty });
        }
    }

    private static Step Step(StepRow row, ILookup<(string, string), (BakeStage Stage, string Written)> stages) => new(
        row.Id,
        row.Name,
        Naming.Known<Station>(row.Station),
        row.PerBatch is { } perBatch ? new Hands((int)perBatch, row.PerKilogram ?? 0) : null,
        [.. stages[(row.IngredientId, row.Id)].Select(one => one.Stage)],
        row.WaitLeast is { } least ? new Span((int)least, (int)row.WaitAim!.Value, (int)row.WaitMost!.Value) : null,
        (int?)row.Celsius,
        UsesDough: false,
        row.ReadyWhen,
        row.Caution)
    {
        Bakes = BakeOf.Preparation,
        Place = Naming.Known<OvenPlace>(row.Place),
        HeatedTrayMin = (int)row.HeatedTray,
        Turned = row.Turned == 1,
        Cure = row.Cure,
        TemperaturesWritten = stages[(row.IngredientId, row.Id)].Any(one => one.Written.Length > 0) ? [.. stages[(row.IngredientId, row.Id)].Select(one => one.Written)] : [],
        Handwork = HandworkRows.Read(row.Handwork),
    };

    private sealed record Row(
        string IngredientId, string Kind, double Least, double Most, double Tray, string KeepsIn, long HoldLeast, long HoldAim, long HoldMost, string BeforeUse, string? WholeOf, double? Piece, long Thaw);

    private sealed record KeptRow(string IngredientId, string Place, long Least, long Most);

    private sealed record StepRow(
        string IngredientId, string Id, string Name, string Station, long? PerBatch, double? PerKilogram, long? WaitLeast, long? WaitAim, long? WaitMost, long? Celsius, string ReadyWhen, string Caution, string Place, long HeatedTray, long Turned, string Handwork, string Cure);

    private sealed record StageRow(string IngredientId, string StepId, long TempC, long Least, long Most, string Written);
}
