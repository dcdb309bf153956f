using Lumpet.Core.Ingredients;

namespace Lumpet.Core.Prices;

/// <summary>What an offer would change.</summary>
/// <param name="Offer">The offer; it names its ingredient.</param>
/// <param name="Now">The row that it would become.</param>
/// <param name="Before">What the same supplier asked until then; null where nothing is known.</param>
/// <param name="IsInForce">Whether costs follow it: its supplier is the usual one on its day, or nobody is yet.</param>
public sealed record PriceChange(PriceOffer Offer, Price Now, Price? Before, bool IsInForce)
{
    // A change beyond this is looked at twice (our own choice, no source).
    private const decimal Surprising = 0.30m;

    /// <summary>Whether it says what is known already: then no row is added.</summary>
    public bool IsNoNews => Before is { } before && Now.SaysTheSameAs(before);

    /// <summary>By what share a gram, millilitre or piece gets dearer; null where the pack before counted in something else, cost nothing or is not known.</summary>
    public decimal? Share => Before is { } before && before.PackUnit == Now.PackUnit && before.PerUnit.Amount > 0
        ? (Now.PerUnit.Amount / before.PerUnit.Amount) - 1
        : null;

    /// <summary>Whether it changes by so much that a slip of the pen is likely: or from something to nothing.</summary>
    public bool IsSurprising => Share is { } share ? Math.Abs(share) > Surprising : Now.Paid.Amount == 0;

    /// <summary>What offers of a supplier would change, one for each ingredient and day, in their order.</summary>
    /// <param name="book">What is known.</param>
    /// <param name="offers">Offers; those without an ingredient are passed over.</param>
    /// <param name="supplier">Whose they are.</param>
    /// <param name="currency">The currency of the books.</param>
    /// <param name="origin">How they came.</param>
    public static IReadOnlyList<PriceChange> Of(PriceBook book, IEnumerable<PriceOffer> offers, string supplier, string currency, PriceOrigin origin) =>
    [
        .. offers.Where(offer => offer.IngredientId is not null).DistinctBy(offer => (offer.IngredientId, offer.ValidFrom)).Select(offer =>
        {
            var now = offer.AsPrice(supplier, currency, origin);
            var before = book.Find(now.IngredientId, supplier, now.ValidFrom);
            var usual = book.UsualOf(now.IngredientId, now.ValidFrom);
            return new PriceChange(offer, now, before, usual is null || usual == supplier);
        }),
    ];
}
