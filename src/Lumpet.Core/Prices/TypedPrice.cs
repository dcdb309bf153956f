using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using NodaTime;

namespace Lumpet.Core.Prices;

/// <summary>A price as someone states it.</summary>
/// <param name="Ingredient">Id of the ingredient.</param>
/// <param name="Supplier">From whom.</param>
/// <param name="Pack">What a pack holds: "25 kg", "case of 6 x 1 l", "tray of 30 eggs".</param>
/// <param name="Paid">What a pack costs, in the currency of the books.</param>
/// <param name="ValidFrom">From which day on (ISO date); null for today.</param>
/// <param name="IsUsual">Whether it is bought there from that day on.</param>
public sealed record TypedPrice(string? Ingredient, string? Supplier, string? Pack, decimal? Paid, string? ValidFrom, bool IsUsual)
{
    private const decimal Most = 1_000_000m;

    /// <summary>The row that it is, or what is wrong with it.</summary>
    /// <param name="ingredients">What there is.</param>
    /// <param name="currency">The currency of the books.</param>
    /// <param name="today">The day on which it is stated.</param>
    public (Price? Price, IReadOnlyList<FieldFault> Faults) Read(IReadOnlyDictionary<string, Ingredient> ingredients, string currency, LocalDate today)
    {
        var checks = new FieldChecks();
        if (Ingredient is null || !ingredients.TryGetValue(Ingredient, out var ingredient) || ingredient.IsDough) checks.Add("ingredient", "There is no such ingredient.");
        var supplier = checks.Name("supplier", Supplier, "A supplier");
        var (pack, fault) = PackSize.Read(Pack);
        if (pack is null) checks.Add("pack", fault);
        if (Paid is not (>= 0 and <= Most)) checks.Add("paid", "A price lies between 0 and 1000000.");
        var from = PriceListReader.Day(checks, ValidFrom, today);
        return checks.Faults.Count > 0 ? (null, checks.Faults) : (new Price(Ingredient!, supplier, pack!.Amount, pack.Unit, new Money(Paid!.Value, currency), from) { PackSaid = pack.Said }, []);
    }
}
