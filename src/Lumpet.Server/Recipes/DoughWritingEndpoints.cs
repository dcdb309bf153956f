using Lumpet.Core;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures.Amounts;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Writing;
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

/// <summary>Doughs as a person writes them.</summary>
internal static class DoughWritingEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/doughs", Doughs).WithName("GetDoughs").WithSummary("Every dough of the bakery, as written, and judged by its family.");
        routes.MapGet("/api/shells", Shells).WithName("GetShells").WithSummary("Shells made here by the piece that may be a crust and that no dough is called after yet.");
        routes.MapPost("/api/doughs", AddDough).WithName("AddDough").WithSummary("Writes a new dough.");
        routes.MapPut("/api/doughs/{id}", ChangeDough).WithName("ChangeDough").WithSummary("Writes a dough anew; If-Match carries the version it was read with.");
        routes.MapGet("/api/doughs/{id}/versions", Versions).WithName("GetDoughVersions").WithSummary("Every version of a dough as it was written, the latest first.");
        routes.MapPost("/api/writing/dough", Judge).WithName("JudgeDough").WithSummary("Proportions of a dough as far as it is written, judged by its family. Stores nothing.");
    }

    private static Ok<IReadOnlyList<WrittenDough>> Doughs(Database database)
    {
        using var connection = database.Open();
        return TypedResults.Ok<IReadOnlyList<WrittenDough>>([.. RecipeStore.Doughs(connection).Select(Answer)]);
    }

    private static Ok<IReadOnlyList<ShellAnswer>> Shells(Database database)
    {
        using var connection = database.Open();
        var known = IngredientStore.All(connection).Values.ToArray();
        var doughs = RecipeStore.Doughs(known);
        return TypedResults.Ok<IReadOnlyList<ShellAnswer>>([.. ShellsMadeHere.With(doughs, known).Skip(doughs.Count).Select(shell => new ShellAnswer(shell.Id, shell.Name))]);
    }

    private static Results<Ok<IReadOnlyList<DoughVersion>>, ProblemHttpResult> Versions(string id, Database database)
    {
        using var connection = database.Open();
        DoughVersion[] versions = [.. RecipeVersions.OfDough(connection, id).Select(version =>
            new DoughVersion(version.Number, version.SavedAt.ToDateTimeOffset(), RecipeVersions.FindDough(connection, id, version.Number)!.Draft))];
        return versions.Length == 0
            ? TypedResults.Problem(title: "There is no such dough.", statusCode: 404)
            : TypedResults.Ok<IReadOnlyList<DoughVersion>>(versions);
    }

    private static Results<Ok<DoughJudged>, ValidationProblem> Judge(DoughDraft draft, Database database)
    {
        using var connection = database.Open();
        var (dough, _, faults) = DoughReader.Read(draft with { Name = "dough" }, "dough", 1, IngredientStore.All(connection).Values, Cups(connection));
        return dough is null ? FieldProblems.Of(faults) : TypedResults.Ok(JudgeWords.Of(dough));
    }

    private static Results<Created<WrittenDough>, ValidationProblem, ProblemHttpResult> AddDough(DoughDraft draft, Database database, ChangeFeed feed, BakeryClock clock)
    {
        using var transaction = database.Begin();
        var connection = transaction.Connection;
        var known = IngredientStore.All(connection).Values.ToArray();
        var id = ShortName.For(draft.Name ?? string.Empty, Shelving.IdsEverGiven(connection, Shelved.Dough));
        var (dough, fresh, faults) = DoughReader.Read(draft, id, 1, known, Cups(connection));
        if (dough is null) return FieldProblems.Of(faults);
        if (Refused(dough, known) is { } refused) return refused;
        if (RecipeWriter.Save(transaction, dough, fresh, clock.Now) != ChangeOutcome.Done) return RowVersion.Conflict("the doughs");
        transaction.Commit();
        feed.Publish("recipes");
        return TypedResults.Created($"/api/doughs/{id}", Answer(dough));
    }

    private static Results<Ok<WrittenDough>, ValidationProblem, ProblemHttpResult> ChangeDough(
        string id, DoughDraft draft, [FromHeader(Name = "If-Match")] string? ifMatch, Database database, ChangeFeed feed, BakeryClock clock)
    {
        if (RowVersion.Read(ifMatch) is not (>= 0 and < int.MaxValue and { } version)) return RowVersion.Missing("dough");
        using var transaction = database.Begin();
        var connection = transaction.Connection;
        var known = IngredientStore.All(connection).Values.ToArray();
        var (dough, fresh, faults) = DoughReader.Read(draft, id, (int)version + 1, known, Cups(connection));
        if (dough is null) return FieldProblems.Of(faults);
        // What was removed is not brought back by changing it.
        if (version == 0 || known.All(other => other.Id != dough.IngredientId)) return RecipeSaving.NotDone(ChangeOutcome.Gone, "dough");
        if (Refused(dough, known) is { } refused) return refused;
        var outcome = RecipeWriter.Save(transaction, dough, fresh, clock.Now);
        if (outcome != ChangeOutcome.Done) return RecipeSaving.NotDone(outcome, "dough");
        if (RecipeStore.WithoutTheirCrust(connection, id) is { Count: > 0 } names) return FieldProblems.Of(("lines", ShellsMadeHere.Misfit(names)));
        transaction.Commit();
        feed.Publish("recipes");
        return TypedResults.Ok(Answer(dough));
    }

    /// <summary>What stands against a dough among everything else that is here: its name is another's, or it would be made of itself.</summary>
    private static ValidationProblem? Refused(DoughFormula dough, IReadOnlyList<Ingredient> known)
    {
        var taken = known.FirstOrDefault(other => other.Id != dough.IngredientId && (other.IsDough || dough.IsMixed) && other.Name.Equals(dough.Name, StringComparison.OrdinalIgnoreCase));
        return taken is not null ? FieldProblems.Of(("name", $"There is {(taken.IsDough ? "a dough" : "an ingredient")} \"{dough.Name}\" already."))
            : IngredientReader.Nesting(dough.AsIngredient(), known) is { } nested ? FieldProblems.Of([nested])
            : null;
    }

    private static CupCustom Cups(Microsoft.Data.Sqlite.SqliteConnection connection) => BakeryStore.Find(connection)?.Cups ?? CupCustom.UnitedStates;

    private static WrittenDough Answer(DoughFormula dough) => new(dough.Id, dough.Version, DoughReader.Write(dough), JudgeWords.Of(dough), dough.IsRetired);
}

/// <summary>A shell made here that a product may have for its crust.</summary>
/// <param name="Id">Stands where a dough's id stands.</param>
/// <param name="Name">Its name.</param>
public sealed record ShellAnswer(string Id, string Name);

/// <summary>A version of a dough.</summary>
/// <param name="Number">Its number.</param>
/// <param name="SavedAt">When it was saved.</param>
/// <param name="Draft">As written.</param>
public sealed record DoughVersion(int Number, DateTimeOffset SavedAt, DoughDraft Draft);

/// <summary>A dough as written.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Version">Goes back in If-Match.</param>
/// <param name="Draft">As written.</param>
/// <param name="Judged">Its proportions, judged by its family.</param>
/// <param name="IsRetired">Whether it is offered no more.</param>
public sealed record WrittenDough(string Id, int Version, DoughDraft Draft, DoughJudged Judged, bool IsRetired);
