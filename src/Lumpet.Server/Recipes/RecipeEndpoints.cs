using Lumpet.Core.Costing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes;
using Lumpet.Server.Bakery;
using Lumpet.Server.Faults;
using Lumpet.Server.Orders;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Recipes;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Recipes;

/// <summary>Recipes: the list, and one of them scaled and costed.</summary>
internal static class RecipeEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        var recipes = routes.MapGroup("/api/recipes");
        recipes.MapGet("", List).WithName("GetRecipes").WithSummary("Every product of the bakery.");
        recipes.MapPost("/{id}/scale", Scale).WithName("ScaleRecipe").WithSummary("A product scaled to a pan and a count, with its cost. Stores nothing.");
    }

    private static Ok<IReadOnlyList<RecipeListed>> List(Database database)
    {
        using var connection = database.Open();
        return TypedResults.Ok<IReadOnlyList<RecipeListed>>([.. RecipeStore.Products(connection).Select(product => new RecipeListed(
            product.Id,
            product.Name,
            product.Version,
            product.Dough.Name,
            product.Crust.Top.ToString().ToLowerInvariant(),
            string.Join("; ", product.Process.Steps.Where(step => step.IsBake).Select(StepWords.Bake)),
            [.. product.Sizes.Select(size => size.Pan.Name)],
            product.Allergens,
            product.WithoutStatedAllergens))]);
    }

    private static Results<Ok<ScaleAnswer>, ValidationProblem, ProblemHttpResult> Scale(
        string id, ScaleRequest request, Database database, BakeryClock clock)
    {
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return OrderEndpoints.NoBakery();
        if (RecipeStore.Products(connection).FirstOrDefault(product => product.Id == id) is not { } product)
            return TypedResults.Problem(title: "There is no such product.", statusCode: 404);
        var count = request.Count ?? 1;
        var size = product.SizeIn(request.Pan ?? product.ReferencePan.Id);
        var faults = new List<(string, string)>();
        if (count is < 1 or > Scaling.MostPies) faults.Add(("count", $"1 to {Scaling.MostPies} pies can be scaled at once."));
        if (size is null) faults.Add(("pan", $"{product.Name} is made in {string.Join(" or ", product.Sizes.Select(one => one.Pan.Id))}."));
        if (faults.Count > 0) return FieldProblems.Of(faults);

        var prices = PriceList.On(DateOnly.FromDateTime(clock.LocalNow(bakery.Zone)), IngredientStore.Prices(connection));
        var scaled = Scaling.Scale(product, size!.Pan, count);
        return TypedResults.Ok(ScaleAnswers.Of(scaled, PieCost.Of(scaled, prices), bakery.Currency));
    }
}
