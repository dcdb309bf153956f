using Lumpet.Core.Costing;
using Lumpet.Core.Recipes;
using Lumpet.Server.Bakery;
using Lumpet.Server.Prices;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Prices;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Costing;

/// <summary>What the price of each ingredient does to all products.</summary>
internal static class DriverEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes) =>
        routes.MapGet("/api/costs/drivers", Get).WithName("GetCostDrivers").WithSummary("What every ingredient does to every product when it gets a tenth dearer; what does most first.");

    private static Results<Ok<DriversAnswer>, ValidationProblem> Get(Database database, BakeryClock clock, PriceShelf books, RecipeShelf recipes)
    {
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        var prices = books.Of(connection).On(clock.Today(bakery.Zone));
        var aim = ChannelStore.All(connection)[0].FoodCostShare;
        var moved =
            from product in recipes.Products(connection)
            where !product.IsRetired
            from driver in CostDrivers.Of(Scaling.Scale(product, product.ReferencePan, 1), prices)
            where driver.More is not null
            select (product, driver);
        IngredientDriverAnswer[] rows =
        [
            .. moved.GroupBy(one => one.driver.Bought.Ingredient.Id).Select(same => new IngredientDriverAnswer(
                same.Key,
                same.First().driver.Bought.Ingredient.Name,
                [.. same.OrderByDescending(one => one.driver.More!.Value.Amount).ThenBy(one => one.product.Name, StringComparer.OrdinalIgnoreCase).Select(one => new DrivenProductAnswer(
                    one.product.Id,
                    one.product.Name,
                    one.product.ReferencePan.Id,
                    Math.Round(one.driver.More!.Value.Amount, 3),
                    one.driver.FoodCostShareThen is { } then ? Math.Round(then * 100, 1) : null,
                    Crosses(one.product, one.driver, aim)))]))
                .OrderByDescending(row => row.Products.Sum(product => product.More)).ThenBy(row => row.Name, StringComparer.OrdinalIgnoreCase),
        ];
        return TypedResults.Ok(new DriversAnswer(bakery.Currency, CostDrivers.Step * 100, aim * 100, rows));
    }

    /// <summary>Whether a product is within its aim now, and over it once an ingredient is dearer.</summary>
    private static bool Crosses(Product product, CostDriver driver, decimal aim) =>
        driver is { FoodCostShareThen: { } then, More: { } more } && product.SizeIn(product.ReferencePan.Id)?.SellingPrice is { } price && then > aim && then - (more.Amount / price.Amount) <= aim;
}

/// <summary>What ingredients do to products.</summary>
/// <param name="Currency">ISO 4217 code.</param>
/// <param name="StepPercent">By how much each is made dearer.</param>
/// <param name="AimPercent">What ingredients are to take of the price at most, as the first channel says.</param>
/// <param name="Ingredients">What does most to all products together first; those without a price are not among them.</param>
public sealed record DriversAnswer(string Currency, decimal StepPercent, decimal AimPercent, IReadOnlyList<IngredientDriverAnswer> Ingredients);

/// <summary>What an ingredient does.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="Products">Every product that holds it, what it does most to first.</param>
public sealed record IngredientDriverAnswer(string Id, string Name, IReadOnlyList<DrivenProductAnswer> Products);

/// <summary>What it does to a product in its usual pan.</summary>
/// <param name="Id">Id of the product.</param>
/// <param name="Name">Its name.</param>
/// <param name="Pan">Id of the pan.</param>
/// <param name="More">What a pie costs more then.</param>
/// <param name="SharePercentThen">Ingredients over price then; null where either is not known.</param>
/// <param name="CrossesAim">Whether it is within its aim now and over it then.</param>
public sealed record DrivenProductAnswer(string Id, string Name, string Pan, decimal More, decimal? SharePercentThen, bool CrossesAim);
