using System.Text.Json;
using System.Text.Json.Nodes;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Steps.Writing;
using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Recipes;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Data.Sqlite;

namespace Lumpet.Server.Recipes;

/// <summary>Versions of products: listed, compared, gone back to; and variations.</summary>
internal static class VersionEndpoints
{
    private static readonly JsonSerializerOptions Format = new(JsonSerializerDefaults.Web);

    // Lines, layers and steps are compared one by one, not field by field.
    private static readonly string[] OneByOne = ["layers", "steps", "links"];

    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        var recipes = routes.MapGroup("/api/recipes");
        recipes.MapGet("/{id}/versions", List).WithName("GetVersions").WithSummary("Every version of a product, the latest first.");
        recipes.MapGet("/{id}/versions/{version:int}", One).WithName("GetVersion").WithSummary("A product as one version wrote it.");
        recipes.MapGet("/compare", Compare).WithName("CompareRecipes").WithSummary("Two recipes, or two versions of one, line by line; each is given as id or id:version.");
        recipes.MapPost("/{id}/versions/{version:int}/return", GoBack).WithName("GoBackToVersion")
            .WithSummary("Makes a new version that is written like an old one; If-Match carries the version in use.");
        recipes.MapPost("/{id}/variation", Vary).WithName("AddVariation").WithSummary("Writes a new product like this one, under another name.");
    }

    private static Results<Ok<VersionsAnswer>, ProblemHttpResult> List(string id, Database database)
    {
        using var connection = database.Open();
        return RecipeStore.Find(connection, id) is { } product
            ? TypedResults.Ok(new VersionsAnswer(
                product.Name, product.Version, [.. RecipeVersions.OfProduct(connection, id).Select(version => new VersionAnswer(version.Number, version.SavedAt.ToDateTimeOffset()))]))
            : NoProduct();
    }

    private static Results<Ok<WrittenRecipe>, ProblemHttpResult> One(string id, int version, Database database)
    {
        using var connection = database.Open();
        return RecipeVersions.FindProduct(connection, id, version) is { } kept ? TypedResults.Ok(new WrittenRecipe(id, version, kept.Draft)) : NoVersion();
    }

    private static Results<Ok<ComparisonAnswer>, ValidationProblem, ProblemHttpResult> Compare(string? one, string? other, Database database)
    {
        using var connection = database.Open();
        var (first, second) = (Read(connection, one), Read(connection, other));
        if (first is null) return FieldProblems.Of(("one", "There is no such recipe or version."));
        if (second is null) return FieldProblems.Of(("other", "There is no such recipe or version."));
        return TypedResults.Ok(new ComparisonAnswer(
            first.Value.Name,
            second.Value.Name,
            [.. RecipeComparison.Of(first.Value.Kept.Lines, second.Value.Kept.Lines).Select(row => new ComparedAnswer(
                Title(second.Value.Kept.Draft, row.Part) ?? Title(first.Value.Kept.Draft, row.Part) ?? row.Part, row.What, Grams(row.Old), Grams(row.New), row.ChangePercent is { } change && !row.IsSame ? Math.Round(change, 1) : null, row.IsSame))],
            [.. Differences(first.Value.Kept.Draft, second.Value.Kept.Draft), .. LayersThatDiffer(first.Value.Kept.Draft, second.Value.Kept.Draft)],
            [.. StepsThatDiffer(first.Value.Kept.Draft, second.Value.Kept.Draft)]));
    }

    private static Results<Ok<WrittenRecipe>, ValidationProblem, ProblemHttpResult> GoBack(
        string id, int version, [FromHeader(Name = "If-Match")] string? ifMatch, Database database, ChangeFeed feed, BakeryClock clock)
    {
        if (RowVersion.Read(ifMatch) is not (>= 0 and < int.MaxValue and { } present)) return RowVersion.Missing("recipe");
        using var transaction = database.Begin();
        var connection = transaction.Connection;
        if (BakeryStore.Find(connection) is null) return Days.NoBakery();
        if (RecipeVersions.FindProduct(connection, id, version) is not { } kept) return NoVersion();
        var (product, outcome, faults) = RecipeSaving.Change(transaction, id, kept.Draft, (int)present, clock);
        if (faults.Count > 0) return FieldProblems.Of(faults);
        if (product is null) return RecipeSaving.NotDone(outcome, "recipe");
        transaction.Commit();
        feed.Publish("recipes");
        return TypedResults.Ok(RecipeSaving.Answer(product));
    }

    private static Results<Created<WrittenRecipe>, ValidationProblem, ProblemHttpResult> Vary(string id, VariationRequest request, Database database, ChangeFeed feed, BakeryClock clock)
    {
        using var transaction = database.Begin();
        var connection = transaction.Connection;
        if (BakeryStore.Find(connection) is null) return Days.NoBakery();
        if (RecipeStore.Find(connection, id) is not { } product) return NoProduct();
        // Other words for it stay with the one they were given to, or an order line could mean either.
        var (added, faults) = RecipeSaving.Add(transaction, ProductReader.Write(product) with { Name = request.Name, Aliases = null }, clock);
        if (added is null) return faults.Count > 0 ? FieldProblems.Of(faults) : RowVersion.Conflict("the recipes");
        transaction.Commit();
        feed.Publish("recipes");
        return TypedResults.Created($"/api/recipes/{added.Id}", RecipeSaving.Answer(added));
    }

    private static (string Name, KeptProduct Kept)? Read(SqliteConnection connection, string? which)
    {
        var parts = (which ?? string.Empty).Split(':');
        if (parts.Length == 2)
        {
            return int.TryParse(parts[1], System.Globalization.NumberStyles.None, System.Globalization.CultureInfo.InvariantCulture, out var version)
                && RecipeVersions.FindProduct(connection, parts[0], version) is { } kept
                ? ($"{kept.Draft.Name}, version {parts[1]}", kept)
                : null;
        }

        return RecipeStore.Find(connection, parts[0]) is { } product
            ? ($"{product.Name}, version {product.Version}", new KeptProduct(ProductReader.Write(product), RecipeVersions.Lines(product)))
            : null;
    }

    private static IEnumerable<DifferenceAnswer> Differences(ProductDraft one, ProductDraft other)
    {
        var (first, second) = (JsonSerializer.SerializeToNode(one, Format)!.AsObject(), JsonSerializer.SerializeToNode(other, Format)!.AsObject());
        foreach (var (field, value) in second)
        {
            if (OneByOne.Contains(field) || JsonNode.DeepEquals(first[field], value)) continue;
            yield return new DifferenceAnswer(Spaced(field), Said(first[field]), Said(value));
        }
    }

    /// <summary>How layers that both have differ beside their lines: name, law, density and the like.</summary>
    private static IEnumerable<DifferenceAnswer> LayersThatDiffer(ProductDraft one, ProductDraft other)
    {
        var before = LayerDrafts.ById(one).ToDictionary(pair => pair.Id, pair => pair.Layer);
        foreach (var (id, layer) in LayerDrafts.ById(other).Where(pair => before.ContainsKey(pair.Id)))
        {
            var (first, second) = (Fields(before[id]), Fields(layer));
            foreach (var (field, value) in second.Where(pair => !JsonNode.DeepEquals(first[pair.Key], pair.Value)))
                yield return new DifferenceAnswer($"{Title(other, id)}, {Spaced(field)}", Said(first[field]), Said(value));
        }

        static JsonObject Fields(LayerDraft layer) => JsonSerializer.SerializeToNode(layer with { Lines = null }, Format)!.AsObject();
    }

    /// <summary>What a layer of a draft is called; null where it has none of this id.</summary>
    private static string? Title(ProductDraft draft, string id) =>
        LayerDrafts.ById(draft).Where(pair => pair.Id == id).Select(pair => pair.Layer.Name is { Length: > 0 } name ? name : id.Replace('-', ' ')).FirstOrDefault();

    private static IEnumerable<DifferenceAnswer> StepsThatDiffer(ProductDraft one, ProductDraft other)
    {
        var (first, second) = ((one.Steps ?? []).OfType<StepDraft>().ToArray(), (other.Steps ?? []).OfType<StepDraft>().ToArray());
        foreach (var id in second.Select(step => step.Id).Concat(first.Select(step => step.Id)).Distinct())
        {
            var (old, fresh) = (first.FirstOrDefault(step => step.Id == id), second.FirstOrDefault(step => step.Id == id));
            var (was, now) = (Said(old), Said(fresh));
            if (was != now) yield return new DifferenceAnswer((fresh ?? old)!.Name ?? string.Empty, was, now);
        }
    }

    private static string Said(StepDraft? step) => step is null ? "–"
        : step.Stages is { Count: > 0 } stages ? string.Join(", then ", stages.OfType<StageDraft>().Select(stage => $"{stage.TempC} °C {stage.Least} to {stage.Most} min"))
        : step.WaitLeast is not null ? $"{step.Celsius} °C, {step.WaitLeast} to {step.WaitMost} min, better {step.WaitAim}"
        : FormattableString.Invariant($"{step.PerBatch} min and {step.PerPie} min a pie");

    private static string Said(JsonNode? value) => value switch
    {
        null => "–",
        JsonValue one => one.ToString(),
        JsonArray list => string.Join("; ", list.Select(item => item is JsonObject row ? string.Join(" ", row.Select(pair => pair.Value?.ToString() ?? "–")) : Said(item))),
        _ => value.ToJsonString(),
    };

    private static string Spaced(string field) => string.Concat(field.Select(letter => char.IsUpper(letter) ? $" {char.ToLowerInvariant(letter)}" : letter.ToString()));

    private static double? Grams(double? grams) => grams is { } exact ? Math.Round(exact, 2) : null;

    private static ProblemHttpResult NoProduct() => TypedResults.Problem(title: "There is no such product.", statusCode: 404);

    private static ProblemHttpResult NoVersion() => TypedResults.Problem(title: "There is no such version.", statusCode: 404);
}

/// <summary>Versions of a product.</summary>
/// <param name="Name">Its name now.</param>
/// <param name="Present">Number of the version in use.</param>
/// <param name="Versions">The latest first.</param>
public sealed record VersionsAnswer(string Name, int Present, IReadOnlyList<VersionAnswer> Versions);

/// <summary>A version.</summary>
/// <param name="Number">Its number.</param>
/// <param name="SavedAt">When it was saved.</param>
public sealed record VersionAnswer(int Number, DateTimeOffset SavedAt);

/// <summary>A new name for a variation.</summary>
/// <param name="Name">The name.</param>
public sealed record VariationRequest(string? Name);

/// <summary>Two recipes side by side.</summary>
/// <param name="One">The first, in words.</param>
/// <param name="Other">The second, in words.</param>
/// <param name="Lines">Line by line, the same ones too.</param>
/// <param name="Differences">Where they differ otherwise.</param>
/// <param name="Steps">Where their steps differ.</param>
public sealed record ComparisonAnswer(
    string One, string Other, IReadOnlyList<ComparedAnswer> Lines, IReadOnlyList<DifferenceAnswer> Differences, IReadOnlyList<DifferenceAnswer> Steps);

/// <summary>A line of either.</summary>
/// <param name="Part">Part of the recipe, as it is called.</param>
/// <param name="What">The ingredient and how it is prepared.</param>
/// <param name="OneGrams">In the first; null where it is not in it.</param>
/// <param name="OtherGrams">In the second; null where it is not in it.</param>
/// <param name="ChangePercent">By how much the second differs; null where either is missing or nothing changed.</param>
/// <param name="IsSame">Whether both are the same.</param>
public sealed record ComparedAnswer(string Part, string What, double? OneGrams, double? OtherGrams, double? ChangePercent, bool IsSame);

/// <summary>Something that differs.</summary>
/// <param name="What">What.</param>
/// <param name="One">In the first.</param>
/// <param name="Other">In the second.</param>
public sealed record DifferenceAnswer(string What, string One, string Other);
