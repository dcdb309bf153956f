using Lumpet.Core;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures.Amounts;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Steps.Writing;
using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Recipes;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Lumpet.Server.Recipes;

/// <summary>Doughs and products as a person writes them.</summary>
internal static class WritingEndpoints
{
    // As many pies as are made together where a way is drawn.
    private const int PiesDrawn = 12;

    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/writing/usual", Usual).WithName("GetUsual").WithSummary("The usual doughs and chains of steps, to begin with.");
        routes.MapPost("/api/writing/lines", Lines).WithName("ReadRecipeLines").WithSummary("What typed lines are understood as. Stores nothing.");
        routes.MapPost("/api/writing/steps", Steps).WithName("GetUsualSteps").WithSummary("The usual steps for a filling, a base treatment, a top and a lining. Stores nothing.");
        routes.MapPost("/api/writing/steps/edit", Edit).WithName("EditSteps").WithSummary("Steps as they are after one thing was done to them: added, taken out, moved, linked. Stores nothing.");
        routes.MapGet("/api/writing/temperature", Temperature).WithName("ReadTemperature").WithSummary("What an oven's temperature as a recipe gives it comes to. Stores nothing.");
        routes.MapPost("/api/writing/recipe", Check).WithName("CheckRecipe").WithSummary("What is still wrong about a recipe as it is written so far. Stores nothing.");
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
        var pantry = new Pantry(IngredientStore.All(connection).Values);
        var custom = BakeryStore.Find(connection)?.Cups ?? CupCustom.UnitedStates;
        return TypedResults.Ok<IReadOnlyList<ReadLineAnswer>>([.. lines.Select(line =>
        {
            if (string.IsNullOrWhiteSpace(line)) return new ReadLineAnswer(null, null, null, false, string.Empty, [], [], null);
            var (read, fault) = RecipeLineReader.Read(line, pantry, custom);
            return new ReadLineAnswer(
                read?.Name,
                read?.Preparation,
                read is null ? null : Math.Round(read.Amount.Grams, read.Amount.Grams < 20 ? 2 : 1),
                read is { Known: null },
                read?.How ?? string.Empty,
                read?.Doubts ?? [],
                read?.Known?.Allergens ?? [],
                fault);
        })]);
    }

    private static Results<Ok<TemperatureAnswer>, ValidationProblem> Temperature(string? text) => text is { Length: <= 40 }
        ? TypedResults.Ok(new TemperatureAnswer(TemperatureText.Celsius(text)))
        : FieldProblems.Of(("text", "Degrees take up to 40 characters."));

    private static Results<Ok<UsualSteps>, ValidationProblem> Steps(StepsRequest request)
    {
        var faults = new List<(string, string)>();
        T Word<T>(string field, string? word)
            where T : struct, Enum
        {
            if (Naming.Read<T>(word) is { } value) return value;
            faults.Add((field, $"This is one of {string.Join(", ", Naming.All<T>())}."));
            return default;
        }

        var (kind, treatment) = (Word<FillingKind>("fillingKind", request.FillingKind), Word<BaseTreatment>("baseTreatment", request.BaseTreatment));
        var (top, lining) = (Word<Top>("top", request.Top), Word<Lining>("lining", request.Lining));
        if (faults.Count > 0) return FieldProblems.Of(faults);
        var (steps, links) = UsualChains.For(kind, treatment, top, lining);
        return TypedResults.Ok(new UsualSteps(steps, links));
    }

    private static Results<Ok<UsualSteps>, ValidationProblem> Edit(StepEditRequest request)
    {
        const int MostSteps = 60;
        const int MostLinks = 200;
        if (Naming.Read<StepAct>(request.Act) is not { } act) return FieldProblems.Of(("act", $"This is one of {string.Join(", ", Naming.All<StepAct>())}."));
        if (request.Steps is not { Count: <= MostSteps } steps || steps.Any(step => step is null)) return FieldProblems.Of(("steps", $"At most {MostSteps} steps are taken, none of them empty."));
        if (request.Links is not { Count: <= MostLinks } links || links.Any(link => link is null)) return FieldProblems.Of(("links", $"At most {MostLinks} links are taken, none of them empty."));
        try
        {
            var way = StepEditing.Apply(new WrittenWay([.. steps.OfType<StepDraft>()], [.. links.OfType<LinkDraft>()]), act, request.Step ?? string.Empty, request.Other);
            return TypedResults.Ok(new UsualSteps(way.Steps, way.Links));
        }
        catch (ArgumentException exception)
        {
            return FieldProblems.Of(("step", exception.Message));
        }
    }

    private static Results<Ok<CheckAnswer>, ValidationProblem> Check(CheckRequest request, Database database)
    {
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is null) return Days.NoBakery();
        var draft = request.Draft ?? new ProductDraft();
        var (product, faults) = RecipeSaving.Check(connection, request.Id, draft);
        // A pie without a name yet can be shown all the same.
        if (product is null && string.IsNullOrWhiteSpace(draft.Name)) product = RecipeSaving.Check(connection, request.Id, draft with { Name = "\u2026" }).Product;
        return TypedResults.Ok(new CheckAnswer(
            faults.GroupBy(fault => fault.Field).ToDictionary(field => field.Key, field => field.Select(fault => fault.Message).ToArray()),
            product is null ? [] : [.. MadeFirst.In(product).Select(one => new TakesAnswer(one.Made.Name, one.Step.Id, one.IsSaid))],
            product is null ? null : Pie(product),
            product is null ? null : WayEndpoints.Answer(PieWay.Of(product, product.ReferencePan, PiesDrawn))));
    }

    private static PieAnswer Pie(Product product)
    {
        var scaled = Scaling.Scale(product, product.ReferencePan, 1);
        return new PieAnswer(
            ScaleAnswers.Pan(scaled.Pan),
            ScaleAnswers.Filling(scaled),
            ScaleAnswers.Layers(scaled),
            KindWords.Of(product.Crust),
            Math.Round(scaled.DoughPerPie.Grams),
            [.. scaled.Pieces.Select(PieceWords.InShort)],
            PieceWords.Said(product),
            [.. RoomWords.Of(scaled)]);
    }

    private static Results<Ok<WrittenRecipe>, ProblemHttpResult> Written(string id, Database database)
    {
        using var connection = database.Open();
        return RecipeStore.Find(connection, id) is { } product
            ? TypedResults.Ok(RecipeSaving.Answer(product))
            : TypedResults.Problem(title: "There is no such product.", statusCode: 404);
    }

    private static Results<Created<WrittenRecipe>, ValidationProblem, ProblemHttpResult> AddRecipe(ProductDraft draft, Database database, ChangeFeed feed, BakeryClock clock)
    {
        using var transaction = database.Begin();
        if (BakeryStore.Find(transaction.Connection) is null) return Days.NoBakery();
        var (product, faults) = RecipeSaving.Add(transaction, draft, clock);
        if (product is null) return faults.Count > 0 ? FieldProblems.Of(faults) : RowVersion.Conflict("the recipes");
        transaction.Commit();
        feed.Publish("recipes");
        return TypedResults.Created($"/api/recipes/{product.Id}", RecipeSaving.Answer(product));
    }

    private static Results<Ok<WrittenRecipe>, ValidationProblem, ProblemHttpResult> ChangeRecipe(
        string id, ProductDraft draft, [FromHeader(Name = "If-Match")] string? ifMatch, Database database, ChangeFeed feed, BakeryClock clock)
    {
        if (RowVersion.Read(ifMatch) is not (>= 0 and < int.MaxValue and { } version)) return RowVersion.Missing("recipe");
        using var transaction = database.Begin();
        if (BakeryStore.Find(transaction.Connection) is null) return Days.NoBakery();
        var (product, outcome, faults) = RecipeSaving.Change(transaction, id, draft, (int)version, clock);
        if (faults.Count > 0) return FieldProblems.Of(faults);
        if (product is null) return RecipeSaving.NotDone(outcome, "recipe");
        transaction.Commit();
        feed.Publish("recipes");
        return TypedResults.Ok(RecipeSaving.Answer(product));
    }
}

/// <summary>Typed lines of a formula.</summary>
/// <param name="Text">One ingredient a line.</param>
public sealed record TypedLinesRequest(string? Text);

/// <summary>What a typed line was understood as; all null for an empty line.</summary>
/// <param name="Name">The ingredient.</param>
/// <param name="Preparation">How it is prepared.</param>
/// <param name="Grams">How much.</param>
/// <param name="IsNew">Whether the ingredient is new to the bakery.</param>
/// <param name="How">By which figures a volume or a count was weighed; empty for weights.</param>
/// <param name="Doubts">What a person should look at.</param>
/// <param name="Allergens">What the ingredient carries.</param>
/// <param name="Fault">What is wrong; null where it was understood.</param>
public sealed record ReadLineAnswer(
    string? Name, string? Preparation, double? Grams, bool IsNew, string How, IReadOnlyList<string> Doubts, IReadOnlyList<string> Allergens, string? Fault);

/// <summary>A temperature.</summary>
/// <param name="Celsius">Conventional degrees Celsius; null where the text is no temperature.</param>
public sealed record TemperatureAnswer(int? Celsius);

/// <summary>What the steps are asked for.</summary>
/// <param name="FillingKind">Kind of filling.</param>
/// <param name="BaseTreatment">How the base is kept crisp.</param>
/// <param name="Top">What lies on it.</param>
/// <param name="Lining">How the base is laid in.</param>
public sealed record StepsRequest(string? FillingKind, string? BaseTreatment, string? Top, string? Lining);

/// <summary>One thing that is done to steps.</summary>
/// <param name="Steps">The steps as they are.</param>
/// <param name="Links">How they follow one another.</param>
/// <param name="Act">"addWork", "addWait", "addBake", "takeOut", "earlier", "later", "follow", "unfollow", "followAfter", "followDuring", "followNextDay" or "followAtPickUp".</param>
/// <param name="Step">Id of the step to which it is done.</param>
/// <param name="Other">Id of the step that is followed; null for other acts.</param>
public sealed record StepEditRequest(IReadOnlyList<StepDraft?>? Steps, IReadOnlyList<LinkDraft?>? Links, string? Act, string? Step, string? Other);

/// <summary>A recipe as it is written so far.</summary>
/// <param name="Id">Its id; null of a new one.</param>
/// <param name="Draft">What is written.</param>
public sealed record CheckRequest(string? Id, ProductDraft? Draft);

/// <summary>What is still wrong about a recipe.</summary>
/// <param name="Fields">Messages by field; empty where it can be saved.</param>
/// <param name="Takes">Which step takes what is made first; empty while something is wrong.</param>
/// <param name="Pie">One pie as it is written, in the pan for which it is; null while something but its name is wrong.</param>
/// <param name="Way">Its way along time, for a dozen pies; null likewise.</param>
public sealed record CheckAnswer(IReadOnlyDictionary<string, string[]> Fields, IReadOnlyList<TakesAnswer> Takes, PieAnswer? Pie, WayAnswer? Way);

/// <summary>One pie in the pan for which it is written.</summary>
/// <param name="Pan">The pan.</param>
/// <param name="Filling">How its fillings stand in it.</param>
/// <param name="Layers">Its layers.</param>
/// <param name="Top">What lies on it, in words.</param>
/// <param name="DoughGrams">Discs of one pie, trim included.</param>
/// <param name="Pieces">Its pieces in a few words each: "base 312 g, 2.7 mm".</param>
/// <param name="Said">How the recipe divides its dough or cuts its sheet, and what follows; empty where it writes thicknesses and gaps.</param>
/// <param name="Room">What does not stay where it is put, in words.</param>
public sealed record PieAnswer(PanAnswer Pan, FillingScaleAnswer Filling, IReadOnlyList<PieLayerAnswer> Layers, string Top, double DoughGrams, IReadOnlyList<string> Pieces, string Said, IReadOnlyList<string> Room);

/// <summary>A step that takes something that is made first.</summary>
/// <param name="Name">What is made.</param>
/// <param name="Step">Id of the step.</param>
/// <param name="IsSaid">Whether a person says so; otherwise its part of the recipe tells.</param>
public sealed record TakesAnswer(string Name, string Step, bool IsSaid);

/// <summary>The usual steps.</summary>
/// <param name="Steps">In order.</param>
/// <param name="Links">How they follow one another.</param>
public sealed record UsualSteps(IReadOnlyList<StepDraft> Steps, IReadOnlyList<LinkDraft> Links);

/// <summary>What to begin with.</summary>
/// <param name="Doughs">Usual doughs.</param>
/// <param name="Products">Usual chains of steps.</param>
public sealed record UsualAnswer(IReadOnlyList<DoughDraft> Doughs, IReadOnlyList<UsualProduct> Products);

/// <summary>A product as written.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Version">Goes back in If-Match.</param>
/// <param name="Draft">As written.</param>
public sealed record WrittenRecipe(string Id, int Version, ProductDraft Draft);
