using Lumpet.Core.Ingredients;
using Lumpet.Core.Prices;
using Lumpet.Store;
using Lumpet.Store.Ingredients;
using NodaTime;

namespace Lumpet.Server.Prices;

/// <summary>Stands in for the service of a supplier: it makes its prices up, from the last that was really asked.</summary>
internal sealed class StandInFeed(Database database, PriceShelf books) : ISupplierFeed
{
    /// <inheritdoc/>
    public bool IsStandIn => true;

    /// <inheritdoc/>
    public Task<IReadOnlyList<PriceOffer>> OffersAsync(string supplier, LocalDate day, CancellationToken cancellation)
    {
        using var connection = database.Open();
        var (book, ingredients) = (books.Of(connection), IngredientStore.All(connection));
        IReadOnlyList<PriceOffer> offers =
        [
            .. book.Ingredients.Where(ingredients.ContainsKey).Select(id => ingredients[id]).OrderBy(one => one.Name, StringComparer.OrdinalIgnoreCase)
                .Select(one => (Ingredient: one, Known: LastReal(book, one.Id, supplier, day)))
                .Where(one => one.Known is not null)
                .Select((one, at) => new PriceOffer(
                    at + 1,
                    one.Ingredient.Name,
                    new PackSize(one.Known!.PackAmount, one.Known.PackUnit, PriceWords.Pack(one.Known)),
                    MarketPrices.On(one.Known, one.Ingredient.Facts.Role, day).Amount,
                    day) { IngredientId = one.Ingredient.Id }),
        ];
        return Task.FromResult(offers);
    }

    // What it has made up itself is no ground to stand on: prices would drift away from those that were asked.
    private static Price? LastReal(PriceBook book, string ingredientId, string supplier, LocalDate day) =>
        book.Of(ingredientId).LastOrDefault(row => row.Supplier == supplier && row.ValidFrom <= day && row.Origin != PriceOrigin.Feed);
}
