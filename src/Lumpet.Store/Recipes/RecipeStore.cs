using System.Globalization;
using Dapper;
using Lumpet.Core.Baking;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Store.Ingredients;
using Microsoft.Data.Sqlite;

namespace Lumpet.Store.Recipes;

/// <summary>Reads pans, doughs and products.</summary>
public static class RecipeStore
{
    /// <summary>Every product, in the order in which the bakery lists them.</summary>
    public static IReadOnlyList<Product> Products(SqliteConnection connection)
    {
        var pans = Pans(connection).ToDictionary(pan => pan.Id);
        var lines = new LineReader(IngredientStore.All(connection), IngredientStore.Yields(connection));
        var doughs = Doughs(connection, lines);
        var currency = connection.QueryFirstOrDefault<string>("SELECT currency FROM bakery") ?? "EUR";

        var aliases = connection.Query<AliasRow>("SELECT product_id AS productId, alias FROM product_alias ORDER BY alias").ToLookup(row => row.ProductId);
        var productLines = connection.Query<LineRow>(
                "SELECT product_id AS ownerId, part, ingredient_id AS ingredientId, preparation, grams FROM product_line ORDER BY position")
            .ToLookup(row => (row.OwnerId, row.Part));
        var packaging = connection.Query<PackagingRow>("SELECT product_id AS productId, ingredient_id AS ingredientId FROM product_packaging ORDER BY ingredient_id")
            .ToLookup(row => row.ProductId);
        var sizes = connection.Query<SizeRow>("SELECT product_id AS productId, pan_id AS panId, price FROM product_size ORDER BY position")
            .ToLookup(row => row.ProductId);
        var processes = Processes(connection);

        return [.. connection.Query<ProductRow>(
            """
            SELECT id, name, version, dough_id AS doughId, top, thickness_mm AS thickness, base_overhang_cm AS baseOverhang,
                   top_overhang_cm AS topOverhang, trim_share AS trim, strip_width_cm AS stripWidth, strip_gap_cm AS stripGap,
                   packed_density AS packed, bake_change_cm AS bakeChange, reference_pan_id AS panId, oldest_min AS oldest
            FROM product ORDER BY position
            """).Select(row => new Product(
                row.Id,
                row.Name,
                (int)row.Version,
                [.. aliases[row.Id].Select(alias => alias.Alias)],
                doughs[row.DoughId],
                new Crust(
                    Enum.Parse<Top>(row.Top, ignoreCase: true),
                    Length.FromMillimetres(row.Thickness),
                    Length.FromCentimetres(row.BaseOverhang),
                    Length.FromCentimetres(row.TopOverhang),
                    row.Trim,
                    Length.FromCentimetres(row.StripWidth),
                    Length.FromCentimetres(row.StripGap)),
                new Filling(
                    lines.Read(productLines[(row.Id, "filling")]),
                    Density.FromGramsPerMillilitre(row.Packed),
                    Length.FromCentimetres(row.BakeChange)),
                lines.Read(productLines[(row.Id, "finish")]),
                [.. packaging[row.Id].Select(item => lines.Ingredient(item.IngredientId))],
                pans[row.PanId],
                [.. sizes[row.Id].Select(size => new ProductSize(
                    pans[size.PanId],
                    size.Price is null ? null : new Money(decimal.Parse(size.Price, CultureInfo.InvariantCulture), currency)))],
                processes[row.Id],
                (int)row.Oldest))];
    }

    /// <summary>Every pan, in the order in which the bakery lists them.</summary>
    public static IReadOnlyList<Pan> Pans(SqliteConnection connection) =>
        [.. connection.Query<PanRow>(
            "SELECT id, name, top_cm AS top, bottom_cm AS bottom, depth_cm AS depth, rim_cm AS rim, per_tray AS perTray FROM pan ORDER BY position")
            .Select(row => new Pan(
                row.Id,
                row.Name,
                Length.FromCentimetres(row.Top),
                Length.FromCentimetres(row.Bottom),
                Length.FromCentimetres(row.Depth),
                Length.FromCentimetres(row.Rim),
                (int)row.PerTray))];

    /// <summary>Every dough, by name.</summary>
    public static IReadOnlyList<DoughFormula> Doughs(SqliteConnection connection) =>
        [.. Doughs(connection, new LineReader(IngredientStore.All(connection), IngredientStore.Yields(connection))).Values.OrderBy(dough => dough.Name, StringComparer.Ordinal)];

    private static Dictionary<string, DoughFormula> Doughs(SqliteConnection connection, LineReader lines)
    {
        var doughLines = connection.Query<DoughLineRow>(
                "SELECT dough_id AS doughId, ingredient_id AS ingredientId, preparation, grams FROM dough_line ORDER BY position")
            .ToLookup(row => row.DoughId, row => new LineRow(row.DoughId, string.Empty, row.IngredientId, row.Preparation, row.Grams));
        return connection.Query<DoughRow>(
            """
            SELECT id, name, version, density, bowl_loss_share AS bowlLoss, mix_min AS mixMin, rest_least AS restLeast,
                   rest_aim AS restAim, rest_most AS restMost, ready_when AS readyWhen, caution
            FROM dough
            """).ToDictionary(row => row.Id, row => new DoughFormula(
                row.Id,
                row.Name,
                (int)row.Version,
                lines.Read(doughLines[row.Id]),
                Density.FromGramsPerMillilitre(row.Density),
                row.BowlLoss,
                (int)row.MixMin,
                new Span((int)row.RestLeast, (int)row.RestAim, (int)row.RestMost),
                row.ReadyWhen,
                row.Caution));
    }

    private static Dictionary<string, ProcessNetwork> Processes(SqliteConnection connection)
    {
        var stages = connection.Query<StageRow>(
                "SELECT product_id AS productId, step_id AS stepId, temp_c AS tempC, min_min AS least, max_min AS most FROM product_stage ORDER BY number")
            .ToLookup(row => (row.ProductId, row.StepId), row => new BakeStage((int)row.TempC, (int)row.Least, (int)row.Most));
        var links = connection.Query<LinkRow>("SELECT product_id AS productId, before, after, least, most FROM product_link")
            .ToLookup(row => row.ProductId, row => new Link(row.Before, row.After, Span.Between((int)row.Least, (int)row.Most)));
        return connection.Query<StepRow>(
            """
            SELECT product_id AS productId, id, name, station, hands_per_batch AS perBatch, hands_per_pie AS perPie,
                   wait_least AS waitLeast, wait_aim AS waitAim, wait_most AS waitMost, celsius, uses_dough AS usesDough,
                   ready_when AS readyWhen, caution
            FROM product_step ORDER BY product_id, position
            """)
            .GroupBy(row => row.ProductId)
            .ToDictionary(group => group.Key, group => new ProcessNetwork([.. group.Select(row => Step(row, stages))], [.. links[group.Key]]));
    }

    private static Step Step(StepRow row, ILookup<(string, string), BakeStage> stages) => new(
        row.Id,
        row.Name,
        Enum.Parse<Station>(row.Station, ignoreCase: true),
        row.PerBatch is { } perBatch ? new Hands((int)perBatch, row.PerPie ?? 0) : null,
        [.. stages[(row.ProductId, row.Id)]],
        row.WaitLeast is { } least ? new Span((int)least, (int)row.WaitAim!.Value, (int)row.WaitMost!.Value) : null,
        (int?)row.Celsius,
        row.UsesDough == 1,
        row.ReadyWhen,
        row.Caution);

    private sealed class LineReader(
        IReadOnlyDictionary<string, Ingredient> ingredients,
        IReadOnlyDictionary<(string IngredientId, string Preparation), Yield> yields)
    {
        public Ingredient Ingredient(string id) => ingredients[id];

        public IReadOnlyList<RecipeLine> Read(IEnumerable<LineRow> rows) =>
            [.. rows.Select(row => new RecipeLine(
                ingredients[row.IngredientId],
                row.Preparation,
                yields.GetValueOrDefault((row.IngredientId, row.Preparation), Yield.Whole),
                Mass.FromGrams(row.Grams)))];
    }

    private sealed record ProductRow(
        string Id, string Name, long Version, string DoughId, string Top, double Thickness, double BaseOverhang, double TopOverhang, double Trim, double StripWidth, double StripGap, double Packed, double BakeChange, string PanId, long Oldest);

    private sealed record DoughRow(
        string Id, string Name, long Version, double Density, double BowlLoss, long MixMin, long RestLeast, long RestAim, long RestMost, string ReadyWhen, string Caution);

    private sealed record StepRow(
        string ProductId, string Id, string Name, string Station, long? PerBatch, double? PerPie, long? WaitLeast, long? WaitAim, long? WaitMost, long? Celsius, long UsesDough, string ReadyWhen, string Caution);

    private sealed record PanRow(string Id, string Name, double Top, double Bottom, double Depth, double Rim, long PerTray);

    private sealed record LineRow(string OwnerId, string Part, string IngredientId, string Preparation, double Grams);

    private sealed record DoughLineRow(string DoughId, string IngredientId, string Preparation, double Grams);

    private sealed record AliasRow(string ProductId, string Alias);

    private sealed record PackagingRow(string ProductId, string IngredientId);

    private sealed record SizeRow(string ProductId, string PanId, string? Price);

    private sealed record StageRow(string ProductId, string StepId, long TempC, long Least, long Most);

    private sealed record LinkRow(string ProductId, string Before, string After, long Least, long Most);
}
