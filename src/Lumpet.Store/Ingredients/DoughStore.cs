using Dapper;
using Lumpet.Core;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;
using Microsoft.Data.Sqlite;

namespace Lumpet.Store.Ingredients;

/// <summary>Reads doughs but for what they are made of: that is among the ingredients, as doughs themselves may be.</summary>
internal static class DoughStore
{
    /// <summary>Every dough without its lines, by the id by which it is taken like an ingredient.</summary>
    public static IReadOnlyDictionary<string, DoughFormula> All(SqliteConnection connection) => connection.Query<DoughRow>(
        """
        SELECT id, name, version, density, bowl_loss_share AS bowlLoss, mix_min AS mixMin, rest_least AS restLeast,
               rest_aim AS restAim, rest_most AS restMost, ready_when AS readyWhen, caution,
               family, held_back_percent AS heldBack, fat_size AS fatSize, turns, turn_min AS turnMin, turn_rest_min AS turnRest, thinnest_mm AS thinnest,
               thickest_mm AS thickest, keeps_cold_days AS keepsCold, keeps_frozen_days AS keepsFrozen, retired, cure
        FROM dough
        """).Select(row => new DoughFormula(
            row.Id,
            row.Name,
            (int)row.Version,
            [],
            Density.FromGramsPerMillilitre(row.Density),
            row.BowlLoss,
            (int)row.MixMin,
            new Span((int)row.RestLeast, (int)row.RestAim, (int)row.RestMost),
            row.ReadyWhen,
            row.Caution)
        {
            IsRetired = row.Retired == 1,
            Cure = row.Cure,
            Method = new DoughMethod(
                Naming.Known<DoughFamily>(row.Family), row.HeldBack, row.FatSize, (int)row.Turns, (int)row.TurnMin, (int)row.TurnRest, row.Thinnest, row.Thickest, (int)row.KeepsCold, (int)row.KeepsFrozen),
        }).ToDictionary(dough => dough.IngredientId);

    private sealed record DoughRow(
        string Id, string Name, long Version, double Density, double BowlLoss, long MixMin, long RestLeast, long RestAim, long RestMost, string ReadyWhen, string Caution,
        string Family, double HeldBack, string FatSize, long Turns, long TurnMin, long TurnRest, double Thinnest, double Thickest, long KeepsCold, long KeepsFrozen, long Retired, string Cure);
}
