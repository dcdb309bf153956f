using Lumpet.Core;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Server.Orders;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Orders;
using Lumpet.Store.Recipes;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Lumpet.Server.Recipes;

/// <summary>Doughs and products as a person writes them.</summary>
internal static class WritingEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/writing/usual", Usual).WithName("GetUsual").WithSummary("The usual doughs and chains of steps, to begin with.");
        routes.MapPost("/api/writing/lines", Lines).WithName("ReadRecipeLines").WithSummary("What typed lines are understood as. Stores nothing.");
        routes.MapGet("/api/doughs", Doughs).WithName("GetDoughs").WithSummary("Every dough of the bakery, as written.");
        routes.MapPost("/api/doughs", AddDough).WithName("AddDough").WithSummary("Writes a new dough.");
        routes.MapPut("/api/doughs/{id}", ChangeDough).WithName("ChangeDough").WithSummary("Writes a dough anew; If-Match carries the version it was read with.");
        routes.MapGet("/api/recipes/{id}/written", Written).WithName("GetWrittenRecipe").WithSummary("A product as written.");
        routes.MapPost("/api/recipes", AddRecipe).WithName("AddRecipe").WithSummary("Writes a new product.");
        routes.MapPut("/api/recipes/{id}", ChangeRecipe).WithName("ChangeRecipe").WithSummary("Writes a product anew; If-Match carries the version it was read with.");
    }

    private static Ok<UsualAnswer> Usual() => TypedResults.Ok(new UsualAnswer(UsualDoughs.All, UsualProducts.All));

    private static Results<Ok<IReadOnlyList<ReadLineAnswer>>, ValidationProblem> Lines(TypedLinesRequest request, Database database)
    {
        var lines = (request.Text ?? string.Empty).ReplaceLineEndings("\n").Split('\n');
        if (lines.Length > 200) return FieldProblems.Of(("text", "At most 200 lines are read at once."));
        using var connection = database.Open();
        var known = IngredientStore.All(connection).Values.ToArray();
        return TypedResults.Ok<IReadOnlyList<ReadLineAnswer>>([.. lines.Select(line =>
        {
            if (string.IsNullOrWhiteSpace(line)) return new ReadLineAnswer(null, null, null, false, null);
            var (read, fault) = RecipeLineReader.Read(line, known);
            return new ReadLineAnswer(read?.Name, read?.Preparation, read is null ? null : Math.Round(read.Amount.Grams, 1), read is { Known: null }, fault);
        })]);
    }

    private static Ok<IReadOnlyList<WrittenDough>> Doughs(Database database)
    {
        using var connection = database.Open();
        return TypedResults.Ok<IReadOnlyList<WrittenDough>>([.. RecipeStore.Doughs(connection).Select(Answer)]);
    }

    private static Results<Created<WrittenDough>, ValidationProblem, ProblemHttpResult> AddDough(DoughDraft draft, Database database, ChangeFeed feed)
    {
        using var connection = database.Open();
        var doughs = RecipeStore.Doughs(connection);
        var id = ShortName.For(draft.Name ?? string.Empty, [.. doughs.Select(dough => dough.Id)]);
        var (dough, fresh, faults) = DoughReader.Read(draft, id, 1, IngredientStore.All(connection).Values);
        if (dough is not null && doughs.Any(other => other.Name.Equals(dough.Name, StringComparison.OrdinalIgnoreCase)))
            return FieldProblems.Of(("name", $"There is a dough \"{dough.Name}\" already."));
        if (dough is null) return FieldProblems.Of(faults);
        if (RecipeWriter.Save(database, dough, fresh) != ChangeOutcome.Done) return RowVersion.Conflict("the doughs");
        feed.Publish("recipes");
        return TypedResults.Created($"/api/doughs/{id}", Answer(dough));
    }

    private static Results<Ok<WrittenDough>, ValidationProblem, ProblemHttpResult> ChangeDough(
        string id, DoughDraft draft, [FromHeader(Name = "If-Match")] string? ifMatch, Database database, ChangeFeed feed)
    {
        if (RowVersion.Read(ifMatch) is not (>= 0 and < int.MaxValue and { } version)) return RowVersion.Missing("dough");
        using var connection = database.Open();
        var (dough, fresh, faults) = DoughReader.Read(draft, id, (int)version + 1, IngredientStore.All(connection).Values);
        if (dough is null) return FieldProblems.Of(faults);
        var outcome = version == 0 ? ChangeOutcome.Gone : RecipeWriter.Save(database, dough, fresh);
        if (outcome != ChangeOutcome.Done) return NotDone(outcome, "dough");
        feed.Publish("recipes");
        return TypedResults.Ok(Answer(dough));
    }

    private static Results<Ok<WrittenRecipe>, ProblemHttpResult> Written(string id, Database database)
    {
        using var connection = database.Open();
        return RecipeStore.Products(connection).FirstOrDefault(product => product.Id == id) is { } product
            ? TypedResults.Ok(Answer(product))
            : TypedResults.Problem(title: "There is no such product.", statusCode: 404);
    }

    private static Results<Created<WrittenRecipe>, ValidationProblem, ProblemHttpResult> AddRecipe(ProductDraft draft, Database database, ChangeFeed feed)
    {
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return OrderEndpoints.NoBakery();
        var products = RecipeStore.Products(connection);
        var id = ShortName.For(draft.Name ?? string.Empty, [.. products.Select(product => product.Id)]);
        var (product, fresh, faults) = ProductReader.Read(
            draft, id, 1, bakery.Currency, RecipeStore.Pans(connection), RecipeStore.Doughs(connection), IngredientStore.All(connection).Values, products);
        if (product is null) return FieldProblems.Of(faults);
        if (RecipeWriter.Save(database, product, fresh) != ChangeOutcome.Done) return RowVersion.Conflict("the recipes");
        feed.Publish("recipes");
        return TypedResults.Created($"/api/recipes/{id}", Answer(product));
    }

    private static Results<Ok<WrittenRecipe>, ValidationProblem, ProblemHttpResult> ChangeRecipe(
        string id, ProductDraft draft, [FromHeader(Name = "If-Match")] string? ifMatch, Database database, ChangeFeed feed)
    {
        if (RowVersion.Read(ifMatch) is not (>= 0 and < int.MaxValue and { } version)) return RowVersion.Missing("recipe");
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return OrderEndpoints.NoBakery();
        var products = RecipeStore.Products(connection);
        var (product, fresh, faults) = ProductReader.Read(
            draft,
            id,
            (int)version + 1,
            bakery.Currency,
            RecipeStore.Pans(connection),
            RecipeStore.Doughs(connection),
            IngredientStore.All(connection).Values,
            [.. products.Where(other => other.Id != id)]);
        if (product is null) return FieldProblems.Of(faults);
        var ordered = OrderStore.PansOrdered(connection, id).Except(product.Sizes.Select(size => size.Pan.Id)).ToArray();
        if (ordered.Length > 0) return FieldProblems.Of(("sizes", $"There are orders for it in {string.Join(", ", ordered)}; keep that size until they are picked up."));
        var outcome = version == 0 ? ChangeOutcome.Gone : RecipeWriter.Save(database, product, fresh);
        if (outcome != ChangeOutcome.Done) return NotDone(outcome, "recipe");
        feed.Publish("recipes");
        return TypedResults.Ok(Answer(product));
    }

    private static ProblemHttpResult NotDone(ChangeOutcome outcome, string what) => outcome == ChangeOutcome.Gone
        ? TypedResults.Problem(title: $"This {what} is not there.", statusCode: 404)
        : RowVersion.Conflict($"this {what}");

    private static WrittenDough Answer(DoughFormula dough) => new(dough.Id, dough.Version, DoughReader.Write(dough));

    private static WrittenRecipe Answer(Product product) => new(product.Id, product.Version, ProductReader.Write(product));
}

/// <summary>Typed lines of a formula.</summary>
/// <param name="Text">One ingredient a line.</param>
public sealed record TypedLinesRequest(string? Text);

/// <summary>What a typed line was understood as; all null for an empty line.</summary>
/// <param name="Name">The ingredient.</param>
/// <param name="Preparation">How it is prepared.</param>
/// <param name="Grams">How much.</param>
/// <param name="IsNew">Whether the ingredient is new to the bakery.</param>
/// <param name="Fault">What is wrong; null where it was understood.</param>
public sealed record ReadLineAnswer(string? Name, string? Preparation, double? Grams, bool IsNew, string? Fault);

/// <summary>What to begin with.</summary>
/// <param name="Doughs">Usual doughs.</param>
/// <param name="Products">Usual chains of steps.</param>
public sealed record UsualAnswer(IReadOnlyList<DoughDraft> Doughs, IReadOnlyList<UsualProduct> Products);

/// <summary>A dough as written.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Version">Goes back in If-Match.</param>
/// <param name="Draft">As written.</param>
public sealed record WrittenDough(string Id, int Version, DoughDraft Draft);

/// <summary>A product as written.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Version">Goes back in If-Match.</param>
/// <param name="Draft">As written.</param>
public sealed record WrittenRecipe(string Id, int Version, ProductDraft Draft);
