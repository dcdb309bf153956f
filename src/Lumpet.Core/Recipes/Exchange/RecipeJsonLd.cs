using System.Globalization;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Steps;

namespace Lumpet.Core.Recipes.Exchange;

/// <summary>
/// Recipes as schema.org/Recipe in JSON-LD. What is written holds the whole recipe twice: in the words of schema.org for
/// any reader, and as Lumpet writes it, so that reading it again gives the same recipe.
/// </summary>
public static class RecipeJsonLd
{
    /// <summary>Where Lumpet's own writing stands in a recipe; other readers pass it over.</summary>
    public const string OwnPart = "lumpet";

    private static readonly JsonSerializerOptions Format = new(JsonSerializerDefaults.Web)
    {
        WriteIndented = true,
        // Kept apart from script tags by whoever embeds it; here it is a file.
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
        DefaultIgnoreCondition = System.Text.Json.Serialization.JsonIgnoreCondition.WhenWritingNull,
    };

    /// <summary>Writes one pie of a product in its reference pan.</summary>
    public static string Write(Product product)
    {
        var one = Scaling.Scale(product, product.ReferencePan, 1);
        var bakes = product.Process.Steps.Where(step => step.IsBake).Sum(step => step.Stages.Sum(stage => stage.MaxMin));
        var recipe = new JsonObject
        {
            ["@context"] = "https://schema.org",
            ["@type"] = "Recipe",
            ["name"] = product.Name,
            ["recipeCategory"] = "pie",
            ["keywords"] = string.Join(", ", product.Aliases),
            ["recipeYield"] = $"1 pie in the {product.ReferencePan.Name} pan",
            ["cookTime"] = System.Xml.XmlConvert.ToString(TimeSpan.FromMinutes(bakes)),
            ["recipeIngredient"] = Texts(
                one.Parts.SelectMany(part => part.Lines.Select(line => RecipeLineReader.Write(
                    // Of the dough, what one pie takes; everything else is written for one pie already.
                    part.Kind == PartKind.Dough ? line.Line with { Amount = line.PerPie, Written = string.Empty } : line.Line)))),
            ["recipeInstructions"] = new JsonArray([.. product.Process.Steps.Select(step => (JsonNode)new JsonObject
            {
                ["@type"] = "HowToStep",
                ["name"] = step.Name,
                ["text"] = StepText(step),
            })]),
            [OwnPart] = JsonSerializer.SerializeToNode(new OwnWriting(product.Id, ProductReader.Write(product), new NamedDough(product.Dough.Id, DoughReader.Write(product.Dough)), product.TopDough is { } top ? new NamedDough(top.Id, DoughReader.Write(top)) : null, MadeHere(product)), Format),
        };
        return recipe.ToJsonString(Format);
    }

    /// <summary>Reads recipes: one, a list of them, or a graph that holds some among other things.</summary>
    /// <returns>A library of what was read, and what a person should look at; or what is wrong.</returns>
    internal static (LibraryFile Library, IReadOnlyList<LibraryNote> Notes, IReadOnlyList<FieldFault> Faults) Read(JsonElement root, LibraryState state)
    {
        JsonElement[] recipes = [.. Recipes(root, 0).Take(LibraryReader.MostRecipes + 1)];
        if (recipes.Length == 0) return Refused("text", "There is no recipe in this file: neither a library of Lumpet's nor a schema.org Recipe.");
        if (recipes.Length > LibraryReader.MostRecipes) return Refused("text", $"At most {LibraryReader.MostRecipes} recipes are taken at once.");
        var reader = new ForeignRecipes(state);
        foreach (var (recipe, at) in recipes.Select((recipe, at) => (recipe, at))) reader.Read(recipe, at);
        return (reader.Library, reader.Notes, reader.Faults);
    }

    private static (LibraryFile, IReadOnlyList<LibraryNote>, IReadOnlyList<FieldFault>) Refused(string field, string message) =>
        (new LibraryFile(null, null, null, null, null), [], [new FieldFault(field, message)]);

    private static IEnumerable<JsonElement> Recipes(JsonElement element, int depth)
    {
        if (depth > 4) yield break;
        if (element.ValueKind == JsonValueKind.Array)
        {
            foreach (var inner in element.EnumerateArray().SelectMany(inner => Recipes(inner, depth + 1))) yield return inner;
        }
        else if (element.ValueKind == JsonValueKind.Object)
        {
            if (IsRecipe(element)) yield return element;
            else if (element.TryGetProperty("@graph", out var graph))
                foreach (var inner in Recipes(graph, depth + 1)) yield return inner;
        }
    }

    private static bool IsRecipe(JsonElement element) => element.TryGetProperty("@type", out var type) && type.ValueKind switch
    {
        JsonValueKind.String => type.GetString() is "Recipe" or "schema:Recipe" or "https://schema.org/Recipe" or "http://schema.org/Recipe",
        JsonValueKind.Array => type.EnumerateArray().Any(one => one.ValueKind == JsonValueKind.String && one.GetString() == "Recipe"),
        _ => false,
    };

    /// <summary>What is made here for a product, down to what is bought; what ships is known everywhere.</summary>
    private static NamedIngredient[]? MadeHere(Product product)
    {
        var made = product.AllLines.Select(line => line.Ingredient).Where(one => one.Formula is not null).SelectMany(one => one.Formula!.Everything.Append(one))
            .DistinctBy(one => one.Id).Where(one => one.Formula is not null || IngredientLibrary.Find(one.Id) is null).OrderBy(one => one.Id, StringComparer.Ordinal);
        NamedIngredient[] named = [.. made.Select(one => new NamedIngredient(one.Id, IngredientReader.Write(one)))];
        return named.Length == 0 ? null : named;
    }

    private static JsonArray Texts(IEnumerable<string> lines) => new([.. lines.Select(line => (JsonNode)JsonValue.Create(line))]);

    private static string StepText(Step step)
    {
        var parts = new List<string> { step.Name };
        if (step.IsBake) parts.Add(string.Join(", then ", step.Stages.Select(stage => $"{stage.TempC} °C for {stage.MinMin} to {stage.MaxMin} min")));
        if (step.Wait is { } wait) parts.Add(string.Create(CultureInfo.InvariantCulture, $"{wait.Least} min at least"));
        if (step.Sign.Length > 0) parts.Add($"ready when {step.Sign}");
        if (step.Caution.Length > 0) parts.Add(step.Caution);
        return string.Join(". ", parts);
    }

    /// <summary>A recipe as Lumpet writes it, within the words of schema.org.</summary>
    /// <param name="Id">Its id.</param>
    /// <param name="Product">As written.</param>
    /// <param name="Dough">Its dough.</param>
    /// <param name="TopDough">The dough of what lies on top, where it is another.</param>
    /// <param name="Ingredients">What is made here for it, and what that is made of, but for what ships; null where there is none.</param>
    internal sealed record OwnWriting(string? Id, ProductDraft? Product, NamedDough? Dough, NamedDough? TopDough = null, IReadOnlyList<NamedIngredient?>? Ingredients = null);

    /// <summary>The same as it was written before products had layers.</summary>
    /// <param name="Product">What it said of them then.</param>
    internal sealed record EarlierWriting(EarlierProduct? Product);
}
