using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Stock;
using NodaTime;

namespace Lumpet.Core.Buying;

/// <summary>A pack that a supplier sells, as the shelves count it.</summary>
/// <param name="Supplier">Who.</param>
/// <param name="Pack">What it holds; above zero.</param>
/// <param name="Said">As it is said; empty where only its amount is known.</param>
/// <param name="Paid">What it costs.</param>
public sealed record PackOffer(string Supplier, StockAmount Pack, string Said, Money Paid)
{
    // A pack of another size that was still quoted so shortly before the latest is still sold.
    private const int StillSoldDays = 31;

    /// <summary>How many whole packs hold an amount.</summary>
    public int PacksFor(StockAmount wanted) => (int)Math.Min(int.MaxValue, (wanted.Count + Pack.Count - 1) / Pack.Count);

    /// <summary>What so many cost.</summary>
    public Money Cost(int packs) => Paid * packs;

    /// <summary>
    /// Every pack in which an ingredient is sold on a day, of each supplier each size once, that of the usual supplier first. What nobody has said the weight of
    /// cannot be put on a shelf, and is left out.
    /// </summary>
    /// <param name="ingredient">The ingredient.</param>
    /// <param name="book">What suppliers ask.</param>
    /// <param name="day">The day.</param>
    public static IReadOnlyList<PackOffer> Of(Ingredient ingredient, PriceBook book, LocalDate day)
    {
        var usual = book.UsualOf(ingredient.Id, day);
        var rows = book.Of(ingredient.Id).Where(row => row.ValidFrom <= day).ToLookup(row => row.Supplier, StringComparer.OrdinalIgnoreCase);
        return
        [
            .. from supplier in rows
               let latest = supplier.Max(row => row.ValidFrom)
               from size in supplier.Where(row => row.ValidFrom >= latest.PlusDays(-StillSoldDays)).GroupBy(row => (row.PackAmount, row.PackUnit))
               let row = size.Last()
               let pack = StockedGoods.Amount(ingredient, row.PackAmount, row.PackUnit)
               where pack is { Count: > 0 }
               orderby !supplier.Key.Equals(usual, StringComparison.OrdinalIgnoreCase), supplier.Key, row.ValidFrom descending
               select new PackOffer(row.Supplier, pack.Value, row.PackSaid, row.Paid),
        ];
    }
}
