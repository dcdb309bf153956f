using Dapper;
using Lumpet.Core;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Microsoft.Data.Sqlite;

namespace Lumpet.Store.Ingredients;

/// <summary>Reads ingredients and what is known of them.</summary>
public static class IngredientStore
{
    /// <summary>
    /// Every ingredient, by id, with the facts in force: the bakery's own over those that ship. Its doughs are among them,
    /// after all others: of two that are called the same, the ingredient is meant.
    /// </summary>
    public static IReadOnlyDictionary<string, Ingredient> All(SqliteConnection connection)
    {
        var own = Rows(connection);
        var doughs = DoughStore.All(connection);
        var lines = connection.Query<LineRow>("SELECT dough_id AS ingredientId, ingredient_id AS partId, preparation, grams, written FROM dough_line ORDER BY position")
            .ToLookup(row => Ingredient.DoughPrefix + row.IngredientId);
        var made = new Dictionary<string, Ingredient>();
        var making = new HashSet<string>();
        Ingredient Make(string id)
        {
            if (made.TryGetValue(id, out var ready)) return ready;
            var one = own[id] with { Facts = FactsInForce.Of(own[id]), Formula = null };
            // A circle is refused when it is stated; two people who close one at the same moment must not hang the program.
            if ((own[id].Formula is null && !doughs.ContainsKey(id)) || !making.Add(id)) return made[id] = one;
            one = doughs.TryGetValue(id, out var dough)
                ? (dough with { Lines = [.. lines[id].Select(row => Line(row, Make(row.PartId)))] }).AsIngredient()
                : (own[id].Formula! with { Lines = [.. own[id].Formula!.Lines.Select(line => line with { Ingredient = Make(line.Ingredient.Id) })] }).Make(one);
            making.Remove(id);
            return made[id] = one;
        }

        return own.Keys.ToDictionary(id => id, Make);
    }

    /// <summary>Every ingredient but doughs, by id, with the facts that the bakery itself has set.</summary>
    public static IReadOnlyDictionary<string, Ingredient> Own(SqliteConnection connection) =>
        Rows(connection).Where(pair => !Ingredient.IsDoughId(pair.Key)).ToDictionary();

    private static RecipeLine Line(LineRow row, Ingredient part) =>
        new(part, row.Preparation, part.Facts.YieldFor(row.Preparation), Mass.FromGrams(row.Grams)) { Written = row.Written };

    private static Dictionary<string, Ingredient> Rows(SqliteConnection connection)
    {
        var allergens = connection.Query<AllergenRow>("SELECT ingredient_id AS ingredientId, allergen FROM ingredient_allergen ORDER BY allergen")
            .ToLookup(row => row.IngredientId, row => row.Allergen);
        var mayContain = connection.Query<AllergenRow>("SELECT ingredient_id AS ingredientId, allergen FROM ingredient_may_contain ORDER BY allergen")
            .ToLookup(row => row.IngredientId, row => row.Allergen);
        var pieces = connection.Query<PieceRow>("SELECT ingredient_id AS ingredientId, piece, grams, source FROM ingredient_piece ORDER BY piece")
            .ToLookup(row => row.IngredientId, row => new PieceWeight(row.Piece, Mass.FromGrams(row.Grams), row.Source));
        var yields = connection.Query<YieldRow>("SELECT ingredient_id AS ingredientId, preparation, share, source FROM ingredient_yield ORDER BY preparation")
            .ToLookup(row => row.IngredientId, row => new PreparationYield(row.Preparation, Yield.FromShare(row.Share), row.Source));
        var lines = connection.Query<LineRow>("SELECT ingredient_id AS ingredientId, part_id AS partId, preparation, grams, written FROM ingredient_line ORDER BY position")
            .ToLookup(row => row.IngredientId);
        var making = PreparationStore.All(connection);
        var all = connection.Query<IngredientRow>(
            """
            SELECT i.id, coalesce(d.name, i.name) AS name, allergens_stated AS allergensStated, other_names AS otherNames, role_stated AS role, i.density, density_source AS densitySource,
                   alcohol_stated AS alcohol, unsafe_raw_stated AS unsafeRaw, needs_control_stated AS needsControl, traces_stated AS tracesStated, weighed_to AS weighedTo, kept_share AS kept, i.retired, reduced_to AS reduced, water_percent AS water
            FROM ingredient i LEFT JOIN dough d ON d.id = i.dough_id ORDER BY i.dough_id IS NOT NULL, i.name COLLATE NOCASE
            """).ToDictionary(row => row.Id, row => new Ingredient(row.Id, row.Name, [.. allergens[row.Id]], row.AllergensStated == 1)
            {
                Facts = new IngredientFacts
                {
                    OtherNames = row.OtherNames.Split('\n', StringSplitOptions.RemoveEmptyEntries),
                    StatedRole = row.Role is null ? null : Naming.Known<IngredientRole>(row.Role),
                    Density = row.Density is { } density ? new DensityFigure(Density.FromGramsPerMillilitre(density), row.DensitySource ?? string.Empty) : null,
                    Pieces = [.. pieces[row.Id]],
                    Yields = [.. yields[row.Id]],
                    StatedMayContain = row.TracesStated == 1 ? [.. mayContain[row.Id]] : null,
                    StatedAlcoholPercent = row.Alcohol,
                    StatedUnsafeRaw = row.UnsafeRaw is { } raw ? raw == 1 : null,
                    StatedNeedsControl = row.NeedsControl is { } needs ? needs == 1 : null,
                    WeighedTo = row.WeighedTo,
                    WaterPercent = row.Water,
                },
                IsRetired = row.Retired == 1,
                Formula = lines[row.Id].Any() ? new IngredientFormula([], row.Kept) { ReducedTo = row.Reduced, How = making.GetValueOrDefault(row.Id) } : null,
            });
        foreach (var (id, made) in all.Where(pair => pair.Value.Formula is not null).ToArray())
            all[id] = made with
            {
                Formula = made.Formula! with
                {
                    Lines = [.. lines[id].Select(row => Line(row, all[row.PartId]) with { Ingredient = all[row.PartId] with { Formula = null }, Yield = FactsInForce.Of(all[row.PartId]).YieldFor(row.Preparation) })],
                },
            };
        return all;
    }

    /// <summary>Versions of the ingredients, by id.</summary>
    public static IReadOnlyDictionary<string, long> Versions(SqliteConnection connection) =>
        connection.Query<VersionRow>("SELECT id, row_version AS rowVersion FROM ingredient").ToDictionary(row => row.Id, row => row.RowVersion);

    /// <summary>In how many products each ingredient is used, by id; what is used in none is left out.</summary>
    public static IReadOnlyDictionary<string, int> UsedIn(SqliteConnection connection) =>
        connection.Query<UsedRow>(
            """
            SELECT id, CAST(count(*) AS INTEGER) AS products FROM (
              SELECT ingredient_id AS id, product_id FROM product_line
              UNION SELECT ingredient_id, product_id FROM product_packaging
              UNION SELECT ingredient_id, product_id FROM product_size_packaging
              UNION SELECT l.ingredient_id, p.id FROM dough_line l JOIN product p ON l.dough_id IN (p.dough_id, p.top_dough_id))
            GROUP BY id
            """).ToDictionary(row => row.Id, row => (int)row.Products);

    private sealed record IngredientRow(
        string Id, string Name, long AllergensStated, string OtherNames, string? Role, double? Density, string? DensitySource, double? Alcohol, long? UnsafeRaw, long? NeedsControl, long TracesStated, double? WeighedTo, double Kept, long Retired, double Reduced, double? Water);

    private sealed record LineRow(string IngredientId, string PartId, string Preparation, double Grams, string Written);

    private sealed class UsedRow
    {
        public string Id { get; init; } = string.Empty;

        public long Products { get; init; }
    }

    private sealed record VersionRow(string Id, long RowVersion);

    private sealed record AllergenRow(string IngredientId, string Allergen);

    private sealed record PieceRow(string IngredientId, string Piece, double Grams, string Source);

    private sealed record YieldRow(string IngredientId, string Preparation, double Share, string Source);

}
