using Lumpet.Core.Ingredients;
using Lumpet.Core.Stock;
using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.DayPlan;
using Lumpet.Server.Faults;
using Lumpet.Server.Prices;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Prices;
using Lumpet.Store.Stock;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Stock;

/// <summary>The shelves as they are, with what is planned of them, and what is kept on the books at all.</summary>
internal static class ShelfEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/shelves/{day}", Get).WithName("GetShelves").WithSummary("What lies on the shelves, what plans until a day keep of it, and what they need that is not there.");
        routes.MapPut("/api/counted-goods/{ingredient}", SetCounted).WithName("SetCounted").WithSummary("Says whether an ingredient is kept on the books.");
    }

    private static async Task<Results<Ok<ShelvesAnswer>, ValidationProblem>> Get(
        string day, Database database, PlanShelf shelf, BakeryClock clock, RecipeShelf recipes, PriceShelf prices, CancellationToken waiting)
    {
        if (Days.Read(day) is not { } last) return Days.NoDay();
        var planned = await DayOfBatches.UntilAsync(last, database, shelf, clock, waiting);
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        var today = clock.Today(bakery.Zone);
        var store = Storeroom.Read(connection, recipes.Products(connection));
        var kept = store.Kept(planned);
        var words = new ShelfWords(store.Names, today);
        return TypedResults.Ok(new ShelvesAnswer(
            Days.Iso(last),
            Days.Name(last),
            Days.Iso(today),
            store.Lots.Count,
            store.Lots.Count(stored => words.Freshness(stored.Lot.UseBy) == "past"),
            store.Lots.Count(stored => words.Freshness(stored.Lot.UseBy) is "today" or "soon"),
            words.Missing(kept),
            words.Places(store.Lots, kept),
            DayOfBatches.NotSeen(planned, last, today),
            Goods(store, prices.Of(connection).On(today)),
            [.. PriceStore.Suppliers(connection).Select(supplier => supplier.Name)],
            bakery.Currency));
    }

    private static Results<NoContent, ValidationProblem> SetCounted(string ingredient, CountedRequest request, Database database, ChangeFeed feed)
    {
        if (request.IsCounted is not { } isCounted) return FieldProblems.Of(("isCounted", "Say whether it is kept on the books."));
        using var transaction = database.Begin();
        if (Ingredient.IsDoughId(ingredient) || !IngredientStore.All(transaction.Connection).ContainsKey(ingredient)) return FieldProblems.Of(("ingredient", "There is no such ingredient."));
        StockWriter.SetCounted(transaction, ingredient, isCounted);
        transaction.Commit();
        feed.Publish("stock");
        return TypedResults.NoContent();
    }

    private static IReadOnlyList<StoredGoodsAnswer> Goods(Storeroom store, PriceList prices) =>
    [
        .. store.Names.Ingredients.Values.Where(one => !one.IsRetired && !one.IsDough && (one.Formula?.How is not { IsPlanned: true }))
            .OrderBy(one => one.Name, StringComparer.OrdinalIgnoreCase)
            .Select(one => prices.Find(one.Id) is { } price
                ? new StoredGoodsAnswer(one.Id, one.Name, PriceWords.Pack(price), price.Supplier, store.IsCounted(new StockedGoods(one.Id)))
                : new StoredGoodsAnswer(one.Id, one.Name, string.Empty, string.Empty, store.IsCounted(new StockedGoods(one.Id)))),
    ];
}

/// <summary>Whether something is kept on the books.</summary>
/// <param name="IsCounted">Whether it is.</param>
public sealed record CountedRequest(bool? IsCounted);
