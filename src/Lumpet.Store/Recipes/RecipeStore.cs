using System.Globalization;
using Dapper;
using Lumpet.Core;
using Lumpet.Core.Baking;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Steps;
using Microsoft.Data.Sqlite;

namespace Lumpet.Store.Recipes;

/// <summary>Reads pans, doughs and products.</summary>
public static class RecipeStore
{
    /// <summary>Every product, in the order in which the bakery lists them.</summary>
    public static IReadOnlyList<Product> Products(SqliteConnection connection) => Read(connection, null);

    /// <summary>The products of these ids, in the order in which the bakery lists them; what is not there is left out.</summary>
    public static IReadOnlyList<Product> Products(SqliteConnection connection, IReadOnlyCollection<string> ids) => Read(connection, ids);

    /// <summary>One product, or null.</summary>
    public static Product? Find(SqliteConnection connection, string id) => Read(connection, [id]).FirstOrDefault();

    /// <summary>Every pan, in the order in which the bakery lists them.</summary>
    public static IReadOnlyList<Pan> Pans(SqliteConnection connection) =>
        [.. connection.Query<PanRow>(
            """
            SELECT id, name, family, material, top_cm AS top, bottom_cm AS bottom, top_width_cm AS topWidth, bottom_width_cm AS bottomWidth,
                   depth_cm AS depth, rim_cm AS rim, per_tray AS perTray, bought_as AS boughtAs, owned, retired
            FROM pan ORDER BY position
            """).Select(row => new Pan(
                row.Id,
                row.Name,
                Word<PanFamily>(row.Family),
                Word<PanMaterial>(row.Material),
                Outline(row.Top, row.TopWidth),
                Outline(row.Bottom, row.BottomWidth),
                Length.FromCentimetres(row.Depth),
                Length.FromCentimetres(row.Rim),
                (int)row.PerTray)
            {
                BoughtAs = row.BoughtAs,
                Owned = (int?)row.Owned,
                IsRetired = row.Retired == 1,
            })];

    /// <summary>Every dough, by name.</summary>
    public static IReadOnlyList<DoughFormula> Doughs(SqliteConnection connection) => Doughs(IngredientStore.All(connection).Values);

    /// <summary>The doughs among a bakery's ingredients, by name.</summary>
    public static IReadOnlyList<DoughFormula> Doughs(IEnumerable<Ingredient> ingredients) =>
        [.. ingredients.Select(one => one.Formula?.How).OfType<DoughMaking>().Select(making => making.Dough).OrderBy(dough => dough.Name, StringComparer.Ordinal)];

    /// <summary>Names of the products whose crust is a dough that cannot be it (any more): no shell where shells are taken, or shells where dough is rolled.</summary>
    /// <param name="connection">The bakery.</param>
    /// <param name="doughId">The dough.</param>
    public static IReadOnlyList<string> WithoutTheirCrust(SqliteConnection connection, string doughId)
    {
        string[] ids = [.. connection.Query<string>("SELECT id FROM product WHERE dough_id = @doughId", new { doughId })];
        return ids.Length == 0 ? [] : [.. Products(connection, ids).Where(product => !ShellsMadeHere.Fits(product.Crust.Lining, product.Dough)).Select(product => product.Name)];
    }

    /// <summary>The same of every dough that is nothing but one ingredient.</summary>
    /// <param name="connection">The bakery.</param>
    /// <param name="ingredientId">What their shells are.</param>
    public static IReadOnlyList<string> WithoutTheirShell(SqliteConnection connection, string ingredientId) =>
        [.. connection.Query<string>("SELECT dough_id FROM dough_line GROUP BY dough_id HAVING COUNT(*) = 1 AND MIN(ingredient_id) = @ingredientId", new { ingredientId }).SelectMany(dough => WithoutTheirCrust(connection, dough))];

    private static Product[] Read(SqliteConnection connection, IReadOnlyCollection<string>? ids)
    {
        // Only what is asked for is read: a what-if about one recipe must not wait for two thousand.
        var (where, of) = ids is null ? (string.Empty, string.Empty) : ("WHERE product_id IN @ids", "WHERE id IN @ids");
        IEnumerable<T> Rows<T>(string sql) => connection.Query<T>(sql, new { ids });
        var rows = Rows<ProductRow>(
            $"""
            SELECT id, name, version, dough_id AS doughId, top_dough_id AS topDoughId, top_thickness_mm AS topThickness, top, thickness_mm AS thickness, base_overhang_cm AS baseOverhang,
                   top_overhang_cm AS topOverhang, trim_share AS trim, strip_width_cm AS stripWidth, strip_gap_cm AS stripGap,
                   bake_change_cm AS bakeChange, reference_pan_id AS panId, oldest_min AS oldest, base_treatment AS treatment, assessment, glass_from_freezer AS glassFromFreezer, lining,
                   cut_out_cm AS cutOut, cut_outs AS cutOuts, cut_outs_from_trim AS cutOutsFromTrim, rerolls, review, retired,
                   dough_per_pie_g AS doughPerPie, base_share AS baseShare, share_gives AS shareGives, strip_sheet_length_cm AS stripSheetLength, strip_sheet_width_cm AS stripSheetWidth,
                   strip_sheet_strips AS stripSheetStrips, sheet_length_cm AS sheetLength, sheet_width_cm AS sheetWidth, overhang_from_wall AS overhangFromWall
            FROM product {of} ORDER BY position
            """).ToArray();
        if (rows.Length == 0) return [];

        var ingredients = IngredientStore.All(connection);
        var doughs = Doughs(ingredients.Values).ToDictionary(dough => dough.Id);
        var pans = Pans(connection).ToDictionary(pan => pan.Id);
        var currency = connection.QueryFirstOrDefault<string>("SELECT currency FROM bakery") ?? "EUR";
        var aliases = Rows<AliasRow>($"SELECT product_id AS productId, alias FROM product_alias {where} ORDER BY alias").ToLookup(row => row.ProductId);
        var lines = Rows<LineRow>(
                $"SELECT product_id AS ownerId, layer_id AS layerId, ingredient_id AS ingredientId, preparation, grams, written FROM product_line {where} ORDER BY position")
            .ToLookup(row => (row.OwnerId, row.LayerId));
        var layers = Rows<LayerRow>(
                $"""
                SELECT product_id AS productId, id, part, name, law, filling_kind AS filling, packed_density AS packed, kept_share AS kept, pieces, reduced_to AS reduced
                FROM product_layer {where} ORDER BY product_id, position
                """)
            .ToLookup(row => row.ProductId, row => Layer(row, Lines(lines[(row.ProductId, row.Id)], ingredients)));
        var packaging = Rows<PackagingRow>($"SELECT product_id AS productId, ingredient_id AS ingredientId FROM product_packaging {where} ORDER BY ingredient_id")
            .ToLookup(row => row.ProductId);
        var beside = Rows<SizePackagingRow>($"SELECT product_id AS productId, pan_id AS panId, ingredient_id AS ingredientId FROM product_size_packaging {where} ORDER BY ingredient_id")
            .ToLookup(row => (row.ProductId, row.PanId), row => row.IngredientId);
        var sizes = Rows<SizeRow>($"SELECT product_id AS productId, pan_id AS panId, price, bake_least AS bakeLeast, bake_most AS bakeMost FROM product_size {where} ORDER BY position")
            .ToLookup(row => row.ProductId);
        var stages = Rows<StageRow>($"SELECT product_id AS productId, step_id AS stepId, temp_c AS tempC, min_min AS least, max_min AS most, written FROM product_stage {where} ORDER BY number")
            .ToLookup(row => (row.ProductId, row.StepId), row => (new BakeStage((int)row.TempC, (int)row.Least, (int)row.Most), row.Written));
        var links = Rows<LinkRow>($"SELECT product_id AS productId, before, after, least, most, kind FROM product_link {where} ORDER BY rowid")
            .ToLookup(row => row.ProductId, row => new Link(row.Before, row.After, Span.Between((int)row.Least, (int)row.Most)) { Kind = Word<LinkKind>(row.Kind) });
        var takes = Rows<TakesRow>($"SELECT product_id AS productId, step_id AS stepId, ingredient_id AS ingredientId FROM product_step_takes {where} ORDER BY ingredient_id")
            .ToLookup(row => (row.ProductId, row.StepId), row => row.IngredientId);
        var steps = Rows<StepRow>(
                $"""
                SELECT product_id AS productId, id, name, station, hands_per_batch AS perBatch, hands_per_pie AS perPie,
                       wait_least AS waitLeast, wait_aim AS waitAim, wait_most AS waitMost, celsius, uses_dough AS usesDough,
                       ready_when AS readyWhen, caution, bakes, place, heated_tray_min AS heatedTray, weights_out_min AS weightsOut, turned, seals, handwork, cure
                FROM product_step {where} ORDER BY product_id, position
                """)
            .ToLookup(row => row.ProductId);

        return [.. rows.Select(row => new Product(
            row.Id,
            row.Name,
            (int)row.Version,
            [.. aliases[row.Id].Select(alias => alias.Alias)],
            doughs[row.DoughId],
            Crust(row),
            [.. layers[row.Id]],
            [.. packaging[row.Id].Select(item => ingredients[item.IngredientId])],
            pans[row.PanId],
            [.. sizes[row.Id].Select(size => new ProductSize(
                pans[size.PanId],
                size.Price is null ? null : new Money(decimal.Parse(size.Price, CultureInfo.InvariantCulture), currency))
            {
                Packaging = [.. beside[(row.Id, size.PanId)].Select(id => ingredients[id])],
                Bake = size.BakeLeast is { } least && size.BakeMost is { } most ? new SizeBake((int)least, (int)most) : null,
                PanBought = pans[size.PanId].BoughtAs is { } bought ? ingredients[bought] : null,
            })],
            new ProcessNetwork([.. steps[row.Id].Select(step => Step(step, stages) with { Takes = [.. takes[(row.Id, step.Id)]] })], [.. links[row.Id]]),
            (int)row.Oldest)
        {
            BaseTreatment = Word<BaseTreatment>(row.Treatment),
            Assessment = row.Assessment,
            IsRetired = row.Retired == 1,
            GlassFromFreezer = row.GlassFromFreezer == 1,
            TopDough = row.TopDoughId is { } top ? doughs[top] : null,
            BakeChange = Length.FromCentimetres(row.BakeChange),
            Review = row.Review.Split('\n', StringSplitOptions.RemoveEmptyEntries),
        })];
    }

    private static Layer Layer(LayerRow row, IReadOnlyList<RecipeLine> lines) => new(row.Id, Word<PartKind>(row.Part), Word<LayerLaw>(row.Law), lines)
    {
        Name = row.Name,
        Filling = Word<FillingKind>(row.Filling),
        PackedDensity = Density.FromGramsPerMillilitre(row.Packed),
        KeptShare = row.Kept,
        ReducedTo = row.Reduced,
        Pieces = (int)row.Pieces,
    };

    private static Crust Crust(ProductRow row) => new(
        Word<Top>(row.Top),
        Length.FromMillimetres(row.Thickness),
        Length.FromCentimetres(row.BaseOverhang),
        Length.FromCentimetres(row.TopOverhang),
        row.Trim,
        Length.FromCentimetres(row.StripWidth),
        Length.FromCentimetres(row.StripGap))
    {
        TopThickness = row.TopThickness is { } onTop ? Length.FromMillimetres(onTop) : null,
        Lining = Word<Lining>(row.Lining),
        CutOutDiameter = Length.FromCentimetres(row.CutOut),
        CutOuts = (int)row.CutOuts,
        CutOutsFromTrim = row.CutOutsFromTrim == 1,
        Rerolls = (int)row.Rerolls,
        Share = row is { DoughPerPie: { } grams, BaseShare: { } toBase } ? new DoughShare(Mass.FromGrams(grams), toBase, Word<ShareGives>(row.ShareGives)) : null,
        StripSheet = row is { StripSheetLength: { } length, StripSheetWidth: { } width, StripSheetStrips: { } strips } ? new StripSheet(Length.FromCentimetres(length), Length.FromCentimetres(width), (int)strips) : null,
        Sheet = Outline(row.SheetLength, row.SheetWidth),
        OverhangFromWall = row.OverhangFromWall == 1,
    };

    private static RecipeLine[] Lines(IEnumerable<LineRow> rows, IReadOnlyDictionary<string, Ingredient> ingredients) =>
        [.. rows.Select(row => new RecipeLine(
            ingredients[row.IngredientId],
            row.Preparation,
            ingredients[row.IngredientId].Facts.YieldFor(row.Preparation),
            Mass.FromGrams(row.Grams))
        {
            Written = row.Written,
        })];

    private static Outline Outline(double length, double? width) => width is { } other
        ? Core.Pans.Outline.Rectangle(Length.FromCentimetres(length), Length.FromCentimetres(other))
        : Core.Pans.Outline.Circle(Length.FromCentimetres(length));

    private static T Word<T>(string word)
        where T : struct, Enum => Naming.Known<T>(word);

    private static Step Step(StepRow row, ILookup<(string, string), (BakeStage Stage, string Written)> stages) => new(
        row.Id,
        row.Name,
        Naming.Known<Station>(row.Station),
        row.PerBatch is { } perBatch ? new Hands((int)perBatch, row.PerPie ?? 0) : null,
        [.. stages[(row.ProductId, row.Id)].Select(one => one.Stage)],
        row.WaitLeast is { } least ? new Span((int)least, (int)row.WaitAim!.Value, (int)row.WaitMost!.Value) : null,
        (int?)row.Celsius,
        row.UsesDough == 1,
        row.ReadyWhen,
        row.Caution)
    {
        Bakes = row.Bakes is null ? BakeOf.Pie : Naming.Known<BakeOf>(row.Bakes),
        Place = Naming.Known<OvenPlace>(row.Place),
        HeatedTrayMin = (int)row.HeatedTray,
        WeightsOutMin = (int?)row.WeightsOut,
        Turned = row.Turned == 1,
        Seals = row.Seals == 1,
        Cure = row.Cure,
        TemperaturesWritten = stages[(row.ProductId, row.Id)].Any(one => one.Written.Length > 0) ? [.. stages[(row.ProductId, row.Id)].Select(one => one.Written)] : [],
        Handwork = HandworkRows.Read(row.Handwork),
    };

    private sealed record ProductRow(
        string Id, string Name, long Version, string DoughId, string? TopDoughId, double? TopThickness, string Top, double Thickness, double BaseOverhang, double TopOverhang, double Trim, double StripWidth, double StripGap, double BakeChange, string PanId, long Oldest,
        string Treatment, string Assessment, long GlassFromFreezer, string Lining, double CutOut, long CutOuts, long CutOutsFromTrim, long Rerolls, string Review, long Retired,
        double? DoughPerPie, double? BaseShare, string ShareGives, double? StripSheetLength, double? StripSheetWidth, long? StripSheetStrips, double SheetLength, double SheetWidth, long OverhangFromWall);

    private sealed record StepRow(
        string ProductId, string Id, string Name, string Station, long? PerBatch, double? PerPie, long? WaitLeast, long? WaitAim, long? WaitMost, long? Celsius, long UsesDough, string ReadyWhen, string Caution,
        string? Bakes, string Place, long HeatedTray, long? WeightsOut, long Turned, long Seals, string Handwork, string Cure);

    private sealed record PanRow(
        string Id, string Name, string Family, string Material, double Top, double Bottom, double? TopWidth, double? BottomWidth, double Depth, double Rim, long PerTray, string? BoughtAs, long? Owned, long Retired);

    private sealed record LineRow(string OwnerId, string LayerId, string IngredientId, string Preparation, double Grams, string Written);

    private sealed record LayerRow(string ProductId, string Id, string Part, string Name, string Law, string Filling, double Packed, double Kept, long Pieces, double Reduced);

    private sealed record AliasRow(string ProductId, string Alias);

    private sealed record PackagingRow(string ProductId, string IngredientId);

    private sealed record SizePackagingRow(string ProductId, string PanId, string IngredientId);

    private sealed record SizeRow(string ProductId, string PanId, string? Price, long? BakeLeast, long? BakeMost);

    private sealed record TakesRow(string ProductId, string StepId, string IngredientId);

    private sealed record StageRow(string ProductId, string StepId, long TempC, long Least, long Most, string Written);

    private sealed record LinkRow(string ProductId, string Before, string After, long Least, long Most, string Kind);
}
