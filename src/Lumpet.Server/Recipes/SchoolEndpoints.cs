using Lumpet.Core;
using Lumpet.Core.Costing;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Schools;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Steps.Writing;
using Lumpet.Server.Bakery;
using Lumpet.Server.Faults;
using Lumpet.Server.Prices;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Recipes;

/// <summary>The schools by which a recipe may be made: what each would take, and its exchange. Stores nothing.</summary>
internal static class SchoolEndpoints
{
    // As many pies as are made together for the comparison: a small bakery's tray or three.
    private const int Pies = 12;

    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapPost("/api/writing/schools", Offer).WithName("OfferSchools").WithSummary("The schools by which a recipe may be made, and what each would take. Stores nothing.");
        routes.MapPost("/api/writing/schools/take", Take).WithName("TakeSchool").WithSummary("A recipe with another school at a place, and what stood there, which puts it back. Stores nothing.");
    }

    private static Results<Ok<SchoolsAnswer>, ValidationProblem> Offer(CheckRequest request, Database database, BakeryClock clock, PriceShelf books)
    {
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        var draft = Named(request.Draft ?? new ProductDraft());
        if (TooMuch(draft) is { } refused) return refused;
        var read = RecipeSaving.Reading(connection, request.Id);
        var prices = books.Of(connection).On(clock.Today(bakery.Zone));
        SchoolEffectAnswer? Effect(ProductDraft of, out IReadOnlyList<string> faults)
        {
            var (product, found) = read(of);
            faults = [.. found.Select(fault => fault.Message)];
            if (product is null) return null;
            var effect = SchoolEffect.Of(product.Process, Pies, product.ReferencePan.PerTray);
            var cost = PieCost.Of(Scaling.Scale(product, product.ReferencePan, 1), prices);
            return new SchoolEffectAnswer(effect.WorkMin, effect.OvenMin, effect.ColdTrayMin, effect.WayMin, cost.Total is { } total ? Math.Round(total.Amount, 3) : null);
        }

        var now = Effect(draft, out var wrong);
        return TypedResults.Ok(new SchoolsAnswer(
            Pies,
            bakery.Currency,
            now,
            now is null ? wrong : [],
            now is null ? [] : [.. OfferedSchools.For(draft).Select(school =>
            {
                var other = SchoolExchange.Exchanged(draft, school.Place, school.Set).Draft;
                var effect = Effect(other, out var faults);
                return new SchoolAnswer(Naming.Of(school.Place), Title(school.Place), school.Id, school.Name, school.Why, SchoolExchange.IsSame(draft, other), effect, faults);
            })]));
    }

    private static Results<Ok<SchoolTaken>, ValidationProblem> Take(TakeSchoolRequest request)
    {
        if (Naming.Read<SchoolPlace>(request.Place) is not { } place) return FieldProblems.Of(("place", $"This is one of {string.Join(", ", Naming.All<SchoolPlace>())}."));
        var draft = Named(request.Draft ?? new ProductDraft());
        if (TooMuch(draft) is { } refused) return refused;
        if (request.Set is { } given && (given.Steps is null || given.Links is null || given.Steps.Any(step => step?.Step is null || step.At < 0) || given.Links.Any(link => link?.Link is null || link.At < 0)))
            return FieldProblems.Of(("set", "A set has steps and links, each with its place."));
        var set = request.Set ?? OfferedSchools.For(draft).FirstOrDefault(school => school.Place == place && school.Id == request.School)?.Set;
        if (set is null) return FieldProblems.Of(("school", "There is no such school for this recipe."));
        var (other, before) = SchoolExchange.Exchanged(draft, place, set);
        return before is null
            ? FieldProblems.Of(("place", "This recipe's steps have no such place."))
            : TypedResults.Ok(new SchoolTaken(other.Steps ?? [], other.Links ?? [], other.Layers ?? [], other.BaseTreatment, before));
    }

    /// <summary>A recipe without a name yet can be compared all the same.</summary>
    private static ProductDraft Named(ProductDraft draft) => string.IsNullOrWhiteSpace(draft.Name) ? draft with { Name = "\u2026" } : draft;

    private static ValidationProblem? TooMuch(ProductDraft draft)
    {
        const int MostSteps = 60;
        const int MostLinks = 200;
        if (draft.Steps?.Count > MostSteps || draft.Steps?.Any(step => step?.Id is null) == true) return FieldProblems.Of(("draft.steps", $"At most {MostSteps} steps are taken, each with its id."));
        if (draft.Links?.Count > MostLinks || draft.Links?.Any(link => link is null) == true) return FieldProblems.Of(("draft.links", $"At most {MostLinks} links are taken, none of them empty."));
        return null;
    }

    private static string Title(SchoolPlace place) => place switch
    {
        SchoolPlace.Filling => "The filling",
        SchoolPlace.Rest => "What is shaped",
        SchoolPlace.Base => "The base, before it is filled",
        SchoolPlace.Tray => "In the oven it stands",
        _ => "It bakes by",
    };
}

/// <summary>The schools by which a recipe may be made.</summary>
/// <param name="Pies">For how many pies made together the figures are.</param>
/// <param name="Currency">Of the costs.</param>
/// <param name="Now">What it takes as it is written; null while something is wrong.</param>
/// <param name="Faults">What is wrong; empty where it holds together.</param>
/// <param name="Schools">Place by place.</param>
public sealed record SchoolsAnswer(int Pies, string Currency, SchoolEffectAnswer? Now, IReadOnlyList<string> Faults, IReadOnlyList<SchoolAnswer> Schools);

/// <summary>A school.</summary>
/// <param name="Place">Its place.</param>
/// <param name="Title">The place in words.</param>
/// <param name="Id">Unique at its place.</param>
/// <param name="Name">The name shown.</param>
/// <param name="Why">What speaks for it.</param>
/// <param name="IsNow">Whether the recipe is made so already.</param>
/// <param name="Effect">What the recipe would take with it; null where it would not hold together.</param>
/// <param name="Faults">Why it would not.</param>
public sealed record SchoolAnswer(string Place, string Title, string Id, string Name, string Why, bool IsNow, SchoolEffectAnswer? Effect, IReadOnlyList<string> Faults);

/// <summary>What a way of making takes.</summary>
/// <param name="WorkMin">Minutes of hands.</param>
/// <param name="OvenMin">Least minutes in the oven, trays heated before counted in.</param>
/// <param name="ColdTrayMin">Trays times minutes in fridge or freezer.</param>
/// <param name="WayMin">Minutes from the first work to the box.</param>
/// <param name="Cost">What a pie costs in ingredients and packaging; null while a price is missing.</param>
public sealed record SchoolEffectAnswer(int WorkMin, int OvenMin, int ColdTrayMin, int WayMin, decimal? Cost);

/// <summary>A school to take, or a set of steps to put back.</summary>
/// <param name="Draft">The recipe as it is written.</param>
/// <param name="Place">The place.</param>
/// <param name="School">Id of the school; null where a set is put back.</param>
/// <param name="Set">The set; null where a school is taken.</param>
public sealed record TakeSchoolRequest(ProductDraft? Draft, string? Place, string? School, StepSet? Set);

/// <summary>A recipe with another set at a place.</summary>
/// <param name="Steps">Its steps.</param>
/// <param name="Links">How they follow one another.</param>
/// <param name="Layers">Its layers.</param>
/// <param name="BaseTreatment">The school of its base.</param>
/// <param name="Before">What stood there.</param>
public sealed record SchoolTaken(IReadOnlyList<StepDraft?> Steps, IReadOnlyList<LinkDraft?> Links, IReadOnlyList<LayerDraft?> Layers, string? BaseTreatment, StepSet Before);
