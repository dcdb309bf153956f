using System.Globalization;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Serialization;
using CsvHelper;
using CsvHelper.Configuration;
using Lumpet.Core;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes.Exchange;
using Lumpet.Server.Tables;

namespace Lumpet.Server.Ingredients;

/// <summary>
/// Ingredients as comma-separated values (RFC 4180, UTF-8). What a bakery states itself; the last column shows the density
/// in force and is passed over when read. docs/formats/ingredient-csv.md has the columns.
/// </summary>
internal static class IngredientCsv
{
    /// <summary>The most rows of one file.</summary>
    public const int MostRows = 5000;

    private const string NotStated = "?";
    private const string Nothing = "none";

    private static readonly JsonSerializerOptions MakingFormat = new(JsonSerializerDefaults.Web)
    {
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
        NumberHandling = JsonNumberHandling.Strict,
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
        MaxDepth = 16,
    };

    private static readonly string[] Columns =
    [
        "id", "name", "role", "allergens", "may_contain", "grams_per_ml", "density_source", "pieces", "yields", "alcohol_percent", "unsafe_raw", "weighed_to", "other_names", "made_of", "kept_percent", "needs_control", "making", "reduced_percent", "water_percent",
    ];

    /// <summary>Writes ingredients.</summary>
    /// <param name="own">With the facts that the bakery has set.</param>
    /// <param name="all">With the facts in force.</param>
    public static string Write(IEnumerable<Ingredient> own, IReadOnlyDictionary<string, Ingredient> all)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using var csv = new CsvWriter(text, CultureInfo.InvariantCulture);
        foreach (var column in Columns.Append("grams_per_ml_in_force")) csv.WriteField(column);
        csv.NextRecord();
        foreach (var ingredient in own)
        {
            var stated = IngredientReader.Write(ingredient);
            csv.WriteField(ingredient.Id);
            csv.WriteField(CellGuard.Write(stated.Name));
            csv.WriteField(stated.Role);
            csv.WriteField(stated.Allergens is null ? NotStated : string.Join("; ", stated.Allergens));
            csv.WriteField(stated.MayContain is { Count: 0 } ? Nothing : string.Join("; ", stated.MayContain ?? []));
            csv.WriteField(stated.GramsPerMl);
            csv.WriteField(CellGuard.Write(stated.DensitySource));
            csv.WriteField(CellGuard.Write(string.Join("; ", (stated.Pieces ?? []).OfType<PieceDraft>().Select(piece => FormattableString.Invariant($"{piece.Piece} = {piece.Grams} | {piece.Source}")))));
            csv.WriteField(CellGuard.Write(string.Join("; ", (stated.Yields ?? []).OfType<YieldDraft>().Select(yield => FormattableString.Invariant($"{yield.Preparation} = {yield.Percent} | {yield.Source}")))));
            csv.WriteField(stated.AlcoholPercent);
            csv.WriteField(YesOrNo(stated.UnsafeRaw));
            csv.WriteField(stated.WeighedTo);
            csv.WriteField(CellGuard.Write(stated.OtherNames));
            csv.WriteField(CellGuard.Write(stated.MadeOf?.Replace("\n", "; ", StringComparison.Ordinal)));
            csv.WriteField(stated.KeptPercent);
            csv.WriteField(YesOrNo(stated.NeedsControl));
            // A way of making has steps within steps, which no table has: it stands in its cell as in a library file.
            csv.WriteField(stated.Making is null ? null : JsonSerializer.Serialize(stated.Making, MakingFormat));
            csv.WriteField(stated.ReducedPercent);
            csv.WriteField(stated.WaterPercent);
            csv.WriteField<double?>(all[ingredient.Id].Facts.Density is { } density ? Math.Round(density.Value.GramsPerMillilitre, 4) : null);
            csv.NextRecord();
        }

        csv.Flush();
        return text.ToString();
    }

    private static string YesOrNo(bool? stated) => stated switch { true => "yes", false => "no", _ => string.Empty };

    /// <summary>Reads ingredients as a library of nothing else; or what is wrong with each bad row ("rows[3].grams_per_ml", counted from 1 below the heading).</summary>
    public static (LibraryFile? Library, IReadOnlyList<FieldFault> Faults) Read(string text)
    {
        var (ingredients, faults) = (new List<NamedIngredient?>(), new List<FieldFault>());
        var configuration = new CsvConfiguration(CultureInfo.InvariantCulture) { MissingFieldFound = null, BadDataFound = null, TrimOptions = TrimOptions.Trim };
        using var csv = new CsvReader(new StringReader(text.TrimStart('\uFEFF')), configuration);
        try
        {
            if (!csv.Read() || !csv.ReadHeader()) return (null, [new FieldFault("text", $"The file is empty. Its first row names the columns: {string.Join(',', Columns)}.")]);
            if (Columns.Take(2).Except(csv.HeaderRecord!.Select(name => name.Trim())).Any()) return (null, [new FieldFault("text", $"The first row lacks id or name. It names the columns: {string.Join(',', Columns)}.")]);
            for (var row = 1; csv.Read(); row++)
            {
                if (row > MostRows) return (null, [new FieldFault("text", $"At most {MostRows} rows are taken at once.")]);
                ingredients.Add(new Row(csv, $"rows[{row}]", faults).Ingredient());
                if (faults.Count > 50) break;
            }
        }
        catch (Exception exception) when (exception is CsvHelperException or ArgumentException)
        {
            return (null, [new FieldFault("text", "This cannot be read as comma-separated values.")]);
        }

        if (ingredients.Count == 0) faults.Add(new FieldFault("text", "There is no ingredient in the file."));
        return faults.Count > 0 ? (null, faults) : (new LibraryFile(LibraryFile.FormatName, ingredients, [], [], []), []);
    }

    private sealed class Row(CsvReader csv, string path, List<FieldFault> faults)
    {
        public NamedIngredient Ingredient() => new(Text("id"), new IngredientDraft(
            Text("name"),
            Text("allergens") == NotStated ? null : List("allergens"),
            Text("may_contain") is { Length: > 0 } traces ? traces == Nothing ? [] : List("may_contain") : null,
            Text("other_names"),
            Text("role"),
            Number("grams_per_ml"),
            Text("density_source"),
            [.. Figures("pieces").Select(one => new PieceDraft(one.Name, one.Value, one.Source))],
            [.. Figures("yields").Select(one => new YieldDraft(one.Name, one.Value, one.Source))],
            Number("alcohol_percent"),
            YesOrNo("unsafe_raw"),
            Number("weighed_to"),
            null,
            Text("made_of") is { Length: > 0 } madeOf ? string.Join('\n', madeOf.Split(';', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)) : null,
            Number("kept_percent"),
            YesOrNo("needs_control"),
            Making(),
            Number("reduced_percent"),
            Number("water_percent")));

        private MakingDraft? Making()
        {
            if (Text("making") is not { Length: > 0 } text) return null;
            try
            {
                return JsonSerializer.Deserialize<MakingDraft>(text, MakingFormat);
            }
            catch (JsonException)
            {
                faults.Add(new FieldFault($"{path}.making", "How it is made is written as in a library file; this cannot be read."));
                return null;
            }
        }

        private bool? YesOrNo(string column) => Text(column) switch { "yes" => true, "no" => false, _ => null };

        private string Text(string column) => csv.TryGetField<string>(column, out var text) ? CellGuard.Read(text?.Trim() ?? string.Empty) : string.Empty;

        private string[] List(string column) => Text(column).Split(';', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);

        private double? Number(string column)
        {
            var text = Text(column);
            if (text.Length == 0) return null;
            if (double.TryParse(text, NumberStyles.AllowDecimalPoint | NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var number)) return number;
            faults.Add(new FieldFault($"{path}.{column}", $"\"{(text.Length > 30 ? text[..30] : text)}\" is no number; decimals are written with a point."));
            return null;
        }

        private IEnumerable<(string Name, double? Value, string Source)> Figures(string column)
        {
            foreach (var entry in List(column))
            {
                var (named, source) = entry.Split('|', 2) is [var left, var right] ? (left, right.Trim()) : (entry, string.Empty);
                if (named.Split('=') is [var name, var value] && double.TryParse(value.Trim(), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var number))
                    yield return (name.Trim(), number, source);
                else faults.Add(new FieldFault($"{path}.{column}", "Figures are written name = number | source, with a semicolon between them."));
            }
        }
    }
}
