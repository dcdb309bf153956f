using Lumpet.Core.Bakery;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Prices;
using Lumpet.Store.Recipes;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using NodaTime;

namespace Lumpet.Server.Bakery;

/// <summary>The bakery's description: read, and written whole.</summary>
internal static class BakeryDraftEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        var draft = routes.MapGroup("/api/bakery/description");
        draft.MapGet("", Get).WithName("GetBakeryDescription").WithSummary("The bakery as it is described; a suggestion while there is none.");
        draft.MapPut("", Put).WithName("DescribeBakery").WithSummary("Describes the bakery; If-Match carries the version it was read with, 0 for a new one.");
    }

    private static Ok<BakeryDescription> Get(Database database, BakeryClock clock)
    {
        using var connection = database.Open();
        var draft = BakeryStore.Find(connection) is { } bakery ? BakeryReader.Write(bakery, RecipeStore.Pans(connection)) : BakeryReader.Suggestion(clock.MachineZone.Id);
        return TypedResults.Ok(new BakeryDescription(BakeryWriter.Version(connection), draft, Zones));
    }

    // Names of places only: the rest of the list are abbreviations that nobody should choose.
    private static IReadOnlyList<string> Zones { get; } =
        [.. DateTimeZoneProviders.Tzdb.Ids.Where(id => id.Contains('/', StringComparison.Ordinal) && !id.StartsWith("Etc/", StringComparison.Ordinal)).Order(StringComparer.Ordinal)];

    private static Results<Ok<BakeryDescription>, ValidationProblem, ProblemHttpResult> Put(
        BakeryDraft draft, [FromHeader(Name = "If-Match")] string? ifMatch, Database database, ChangeFeed feed)
    {
        if (RowVersion.Read(ifMatch) is not { } version) return RowVersion.Missing("bakery");
        var (bakery, pans, faults) = BakeryReader.Read(draft);
        if (bakery is null) return FieldProblems.Of(faults);
        using var transaction = database.Begin();
        var connection = transaction.Connection;
        // Prices keep the currency they were paid in, and costs do not mix two.
        if (PriceStore.OtherCurrency(connection, bakery.Currency) is { } other)
            return FieldProblems.Of(("currency", $"Prices are kept in {other}, so the currency stays."));
        var known = IngredientStore.All(connection);
        foreach (var (pan, at) in pans.Select((pan, at) => (pan, at)))
            if (pan.BoughtAs is { } bought && !known.ContainsKey(bought)) return FieldProblems.Of(($"pans[{at}].boughtAs", $"\"{bought}\" is no ingredient here; state it under Ingredients first."));
        if (PanChanges.Faults(RecipeStore.Products(connection), pans) is { Count: > 0 } unmade) return FieldProblems.Of(unmade);
        var (outcome, inUse) = BakeryWriter.Save(transaction, bakery, pans, version);
        if (inUse.Count > 0) return FieldProblems.Of(("pans", $"{string.Join(", ", inUse)} cannot go: recipes or orders use {(inUse.Count == 1 ? "it" : "them")}."));
        if (outcome == ChangeOutcome.Conflict) return RowVersion.Conflict("the bakery's description");
        transaction.Commit();
        feed.Publish("bakery");
        return TypedResults.Ok(new BakeryDescription(version + 1, BakeryReader.Write(bakery, pans), Zones));
    }
}

/// <summary>The bakery's description.</summary>
/// <param name="Version">Goes back in If-Match; 0 while no bakery is set up, and the draft is a suggestion.</param>
/// <param name="Draft">The description.</param>
/// <param name="Zones">Time zones to choose from.</param>
public sealed record BakeryDescription(long Version, BakeryDraft Draft, IReadOnlyList<string> Zones);
