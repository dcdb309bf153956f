using Lumpet.Core.Ingredients;
using Lumpet.Core.Labels;
using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Labels;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Lumpet.Server.Labels;

/// <summary>Labels of pies: shown, stated for, printed.</summary>
internal static class LabelEndpoints
{
    private const int MostCopies = 2000;
    private const int Shown = 5;

    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/labels/{product}/{pan}", Get).WithName("GetLabel").WithSummary("The label of a product in a pan, what stands in its way, and what was printed last.");
        routes.MapPut("/api/labels/{product}/{pan}", State).WithName("StateForLabel").WithSummary("States what a baked one weighs and how long it is good; If-Match carries the version it was read with, 0 where nothing was said.");
        routes.MapPost("/api/labels/{product}/{pan}/printed", PrintAsync).WithName("PrintLabels").WithSummary("Prints labels, all of them or none, and notes them; once under one Idempotency-Key.");
        routes.MapPut("/api/ingredients/{id}/label-words", Say).WithName("SayLabelWords").WithSummary("States how an ingredient is called on labels; If-Match carries the version it was read with, 0 where nothing was said.");
        routes.MapPost("/api/label-printer/roll", PutIn).WithName("PutRollIn").WithSummary("A new roll is in the label printer.");
    }

    private static Results<Ok<LabelAnswer>, ValidationProblem, ProblemHttpResult> Get(
        string product, string pan, string? manner, bool? isOneList, string? made, Guid? lot, Database database, BakeryClock clock, RecipeShelf recipes, ILabelPrinter printer)
    {
        using var connection = database.Open();
        var (page, refused, nothing) = LabelPage.Open(connection, product, pan, new PrintLabelsRequest(1, manner, isOneList, made, lot, null, null), clock, recipes.Products(connection));
        if (page is null) return nothing is not null ? nothing : refused!;
        return TypedResults.Ok(page.Answer(connection, printer, Shown));
    }

    private static Results<NoContent, ValidationProblem, ProblemHttpResult> State(
        string product, string pan, LabelStatementDraft request, [FromHeader(Name = "If-Match")] string? ifMatch, Database database, ChangeFeed feed, RecipeShelf recipes)
    {
        if (RowVersion.Read(ifMatch) is not { } version) return RowVersion.Missing("what is stated");
        var (stated, faults) = LabelStatementReader.Read(request);
        if (stated is null) return FieldProblems.Of(faults);
        using (var reading = database.Open())
            if (recipes.Products(reading).FirstOrDefault(one => one.Id == product)?.SizeIn(pan) is null) return LabelPage.Nothing();
        using var transaction = database.Begin();
        if (LabelStore.State(transaction, product, pan, stated, version) == ChangeOutcome.Conflict) return RowVersion.Conflict("what is stated for this label");
        transaction.Commit();
        feed.Publish("recipes");
        return TypedResults.NoContent();
    }

    private static Results<NoContent, ValidationProblem, ProblemHttpResult> Say(string id, LabelWordsRequest request, [FromHeader(Name = "If-Match")] string? ifMatch, Database database, ChangeFeed feed)
    {
        if (RowVersion.Read(ifMatch) is not { } version) return RowVersion.Missing("words for labels");
        var (words, faults) = LabelStatementReader.ReadWords(request.Words);
        if (words is null) return FieldProblems.Of(faults);
        using var transaction = database.Begin();
        if (!IngredientStore.All(transaction.Connection).ContainsKey(id) || Ingredient.IsDoughId(id)) return TypedResults.Problem(title: "There is no such ingredient.", statusCode: 404);
        if (LabelStore.Say(transaction, id, words, version) == ChangeOutcome.Conflict) return RowVersion.Conflict("these words");
        transaction.Commit();
        feed.Publish("ingredients");
        return TypedResults.NoContent();
    }

    private static async Task<Results<Ok<PrintedLabelAnswer>, ValidationProblem, ProblemHttpResult>> PrintAsync(
        string product, string pan, PrintLabelsRequest request, [FromHeader(Name = "Idempotency-Key")] string? key, LabelPrinting printing, CancellationToken waiting) =>
        request.Copies is >= 1 and <= MostCopies and { } copies
            ? await printing.PrintAsync(product, pan, request, copies, key, waiting)
            : FieldProblems.Of(("copies", $"1 to {MostCopies} labels are printed at once."));

    private static NoContent PutIn(ILabelPrinter printer)
    {
        printer.PutIn();
        return TypedResults.NoContent();
    }
}
