using Lumpet.Core;
using Lumpet.Core.Costing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Server.Bakery;
using Lumpet.Server.Faults;
using Lumpet.Server.Prices;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Recipes;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Recipes;

/// <summary>Recipes: found in a list, and one of them scaled and costed.</summary>
internal static class RecipeEndpoints
{
    // More than a person reads down; the rest is found by another word.
    private const int MostListed = 60;
    private const int LongestQuestion = 200;
    private const double LeastThicknessMm = 1;
    private const double MostThicknessMm = 15;

    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        var recipes = routes.MapGroup("/api/recipes");
        recipes.MapGet("", Find).WithName("FindRecipes").WithSummary("Products whose name, dough or ingredients hold every word, of a kind of filling, without an allergen.");
        recipes.MapPost("/{id}/scale", Scale).WithName("ScaleRecipe")
            .WithSummary("A product scaled to a pan and a count, or to what is on hand, with its cost. Stores nothing.");
    }

    private static Results<Ok<RecipesFound>, ValidationProblem> Find(string? q, string? kind, string? without, Database database, RecipeShelf recipes)
    {
        if (q?.Length > LongestQuestion) return FieldProblems.Of(("q", $"A question takes up to {LongestQuestion} characters."));
        if (!string.IsNullOrEmpty(kind) && Naming.Read<FillingKind>(kind) is null) return FieldProblems.Of(("kind", "There is no such kind of filling."));
        if (!string.IsNullOrEmpty(without) && !MajorAllergens.All.Contains(without))
            return FieldProblems.Of(("without", $"An allergen is one of {string.Join(", ", MajorAllergens.All)}."));
        using var connection = database.Open();
        var ids = RecipeFinder.Find(connection, new RecipeQuestion(q ?? string.Empty, kind ?? string.Empty, without ?? string.Empty));
        return TypedResults.Ok(new RecipesFound(
            RecipeFinder.Count(connection),
            ids.Count,
            recipes.Listed(connection, [.. ids.Take(MostListed)], Listed),
            [.. RecipeFinder.Kinds(connection).Select(word => Naming.Known<FillingKind>(word)).Distinct()
                .Select(found => new WordChoice(Naming.Of(found), KindWords.Of(found)))]));
    }

    private static RecipeListed Listed(Product product) => new(
        product.Id,
        product.Name,
        product.Version,
        string.Join(" and ", product.Doughs.Select(dough => dough.Name)),
        LayerWords.Fillings(product),
        KindWords.Of(product.Crust),
        ProcessWords.Base(product),
        string.Join("; ", product.Process.Steps.Where(step => step.IsBake).Select(StepWords.Bake)),
        [.. product.Sizes.Select(size => size.Pan.Name)],
        product.Allergens,
        product.MayContain,
        product.Alcohol.Count > 0,
        product.WithoutStatedAllergens,
        product.IsRetired,
        product.Review.Count);

    private static Results<Ok<ScaleAnswer>, ValidationProblem, ProblemHttpResult> Scale(
        string id, ScaleRequest request, Database database, BakeryClock clock, PriceShelf books)
    {
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        if (RecipeStore.Find(connection, id) is not { } written) return TypedResults.Problem(title: "There is no such product.", statusCode: 404);
        var product = request.ThicknessMm is { } thickness and >= LeastThicknessMm and <= MostThicknessMm
            ? written with { Crust = written.Crust with { Thickness = Length.FromMillimetres(thickness) } }
            : written;
        var count = request.Count ?? 1;
        var size = product.SizeIn(request.Pan ?? product.ReferencePan.Id);
        var faults = new List<(string, string)>();
        if (count is < 1 or > Scaling.MostPies) faults.Add(("count", $"1 to {Scaling.MostPies} pies can be scaled at once."));
        if (size is null) faults.Add(("pan", $"{product.Name} is made in {string.Join(" or ", product.Sizes.Select(one => one.Pan.Id))}."));
        if (request.Have?.Length > LongestQuestion) faults.Add(("have", $"This takes up to {LongestQuestion} characters."));
        if (request.ThicknessMm is { } asked and not (>= LeastThicknessMm and <= MostThicknessMm))
            faults.Add(("thicknessMm", FormattableString.Invariant($"{asked} mm does not fit: dough is rolled to {LeastThicknessMm} to {MostThicknessMm} mm.")));
        else if (size is not null && Unmade(product, size.Pan) is { } reason) faults.Add(("thicknessMm", reason));
        if (faults.Count > 0) return FieldProblems.Of(faults);

        OnHand? onHand = null;
        if (!string.IsNullOrWhiteSpace(request.Have))
        {
            var (answer, fault) = OnHand.Read(request.Have, Scaling.Scale(product, size!.Pan, 1));
            if (fault is not null) return FieldProblems.Of(("have", fault));
            onHand = answer!;
            if (onHand.Pies == 0)
                return FieldProblems.Of(("have", FormattableString.Invariant($"That is not enough for one: a pie in the {size.Pan.Name} pan takes {onHand.PerPie.Grams:0} g of {onHand.What}.")));
            count = onHand.Pies;
        }

        var prices = books.Of(connection).On(clock.Today(bakery.Zone));
        var scaled = Scaling.Scale(product, size!.Pan, count);
        return TypedResults.Ok(ScaleAnswers.Of(scaled, PieCost.Of(scaled, prices), bakery.Currency, bakery.Handles, onHand, written));
    }

    /// <summary>Why a product cannot be made in a pan; null where it can.</summary>
    private static string? Unmade(Product product, Pan pan)
    {
        try
        {
            _ = Scaling.Scale(product, pan, 1);
            return null;
        }
        catch (ArgumentException exception)
        {
            return exception.Message.Split(" (Parameter", StringSplitOptions.None)[0];
        }
    }
}
