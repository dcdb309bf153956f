using Lumpet.Core.Costing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes;
using Lumpet.Server.Bakery;
using Lumpet.Server.Faults;
using Lumpet.Server.Prices;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Prices;
using Microsoft.AspNetCore.Http.HttpResults;
using NodaTime;

namespace Lumpet.Server.Costing;

/// <summary>What pies cost, what moves that, and what moved it.</summary>
internal static class CostEndpoints
{
    // A season: as far back as costs are compared where nobody says.
    private const int UsualDaysBack = 90;
    private const int MostDaysBack = 3653;
    private const int MostDaysAhead = 366;
    private const int UsualSlices = 8;
    private const int MostSlices = 100;

    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/costs", List).WithName("GetCosts").WithSummary("What a pie of every product costs in its usual pan, what it sells for, and what changed since a day; the greatest share first.");
        routes.MapGet("/api/costs/{product}/{pan}", One).WithName("GetProductCost").WithSummary("What one pie costs by ingredient, what each ingredient's price does to it, and what it cost since a day.");
    }

    private static Results<Ok<CostsAnswer>, ValidationProblem> List(string? since, Database database, BakeryClock clock, PriceShelf books, RecipeShelf recipes)
    {
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        var today = clock.Today(bakery.Zone);
        if (Since(since, today) is not { } from) return NoSince();
        var book = books.Of(connection);
        var prices = book.On(today);
        var aim = ChannelStore.All(connection)[0].FoodCostShare;
        var ingredients = new Lazy<IReadOnlyDictionary<string, Ingredient>>(() => IngredientStore.All(connection));
        CostRowAnswer[] rows =
        [
            .. recipes.Products(connection).Where(product => !product.IsRetired)
                .Select(product => CostRow(product, book, prices, bakery.Currency, aim, from, today, ingredients))
                .OrderByDescending(row => row.SharePercent is not null).ThenByDescending(row => row.SharePercent).ThenBy(row => row.Name, StringComparer.OrdinalIgnoreCase),
        ];
        return TypedResults.Ok(new CostsAnswer(bakery.Currency, Days.Iso(from), PriceAnswers.DayName(from), CostPages.Sentence(rows, aim * 100, PriceAnswers.DayName(from)), aim * 100, rows));
    }

    private static Results<Ok<ProductCostAnswer>, ValidationProblem, ProblemHttpResult> One(string product, string pan, string? since, string? on, int? slices, Database database, BakeryClock clock, PriceShelf books, RecipeShelf recipes)
    {
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        var today = clock.Today(bakery.Zone);
        // A price may be known before it holds.
        if ((string.IsNullOrEmpty(on) ? today : Days.Read(on)) is not { } day || day > today.PlusDays(MostDaysAhead) || day < today.PlusDays(-MostDaysBack)) return FieldProblems.Of(("on", "A day is written 2026-05-02, at most ten years ago and at most a year ahead."));
        if (Since(since, day) is not { } from) return NoSince();
        if (slices is < 1 or > MostSlices) return FieldProblems.Of(("slices", $"A pie is cut into 1 to {MostSlices} slices."));
        if (recipes.Products(connection).FirstOrDefault(one => one.Id == product) is not { } found || found.SizeIn(pan) is not { } size) return TypedResults.Problem(title: "There is no such product in such a pan.", statusCode: 404);
        return TypedResults.Ok(CostPages.Of(Scaling.Scale(found, size.Pan, 1), books.Of(connection), from, day, today, bakery.Currency, ChannelStore.All(connection), slices ?? UsualSlices, IngredientStore.All(connection)));
    }

    private static CostRowAnswer CostRow(Product product, PriceBook book, PriceList prices, string currency, decimal aim, LocalDate from, LocalDate today, Lazy<IReadOnlyDictionary<string, Ingredient>> ingredients)
    {
        var scaled = Scaling.Scale(product, product.ReferencePan, 1);
        var cost = PieCost.Of(scaled, prices);
        var step = CostHistory.Between(scaled, book, from, today);
        return new CostRowAnswer(
            product.Id,
            product.Name,
            product.ReferencePan.Id,
            product.ReferencePan.Name,
            CostPages.Coins(cost.Total),
            cost.Missing,
            cost.Missing.Count == 0 ? string.Empty : CostPages.Between(CostRange.Of(scaled, book, prices, ingredients.Value, currency)),
            cost.SellingPrice?.Amount,
            cost.FoodCostShare is { } share ? Math.Round(share * 100, 1) : null,
            cost.FoodCostShare > aim,
            CostPages.Coins(step.Before),
            step is { Cost: { } now, Before: { } was } ? CostPages.Coins(now)!.Value - CostPages.Coins(was)!.Value : null,
            [.. step.Reasons.Take(3).Select(CostPages.Reason)]);
    }

    private static LocalDate? Since(string? text, LocalDate today) =>
        string.IsNullOrEmpty(text) ? today.PlusDays(-UsualDaysBack)
        : Days.Read(text) is { } day && day <= today && day >= today.PlusDays(-MostDaysBack) ? day : null;

    private static ValidationProblem NoSince() => FieldProblems.Of(("since", "A day is written 2026-05-02, not after today and at most ten years ago."));
}
