using Lumpet.Core.Measures;

namespace Lumpet.Core.Ingredients;

/// <summary>What is stated of an ingredient; anything may be missing or wrong until <see cref="IngredientReader"/> has read it.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Allergens">Allergens it carries; an empty list states that it carries none, null that nobody has said yet.</param>
/// <param name="Price">A new price; null leaves it as it is.</param>
public sealed record IngredientDraft(string? Name, IReadOnlyList<string?>? Allergens, PriceDraft? Price);

/// <summary>A price as stated.</summary>
/// <param name="Supplier">From whom.</param>
/// <param name="PackAmount">What a pack holds, in kilograms or pieces.</param>
/// <param name="PackUnit">"kg" or "piece".</param>
/// <param name="Paid">What a pack costs.</param>
public sealed record PriceDraft(string? Supplier, decimal? PackAmount, string? PackUnit, decimal? Paid);

/// <summary>Reads what is stated of an ingredient.</summary>
public static class IngredientReader
{
    /// <summary>Reads a draft.</summary>
    /// <param name="id">Id of the ingredient.</param>
    /// <param name="draft">What was stated.</param>
    /// <param name="currency">The bakery's currency.</param>
    /// <param name="today">First day of a new price.</param>
    /// <returns>The ingredient and its new price, or what is wrong.</returns>
    public static (Ingredient? Ingredient, Price? Price, IReadOnlyList<FieldFault> Faults) Read(string id, IngredientDraft draft, string currency, DateOnly today)
    {
        var checks = new FieldChecks();
        var name = checks.Name("name", draft.Name, "An ingredient");
        foreach (var unknown in (draft.Allergens ?? []).Where(allergen => allergen is null || !MajorAllergens.All.Contains(allergen)).Take(5))
            checks.Add("allergens", $"\"{unknown}\" is none of {string.Join(", ", MajorAllergens.All)}.");
        var price = draft.Price is { } stated ? Price(checks, id, stated, currency, today) : null;
        return checks.Faults.Count > 0
            ? (null, null, checks.Faults)
            : (new Ingredient(id, name, [.. (draft.Allergens ?? []).OfType<string>().Distinct()], draft.Allergens is not null), price, []);
    }

    private static Price Price(FieldChecks checks, string id, PriceDraft stated, string currency, DateOnly today)
    {
        var supplier = checks.Name("price.supplier", stated.Supplier, "A supplier");
        if (stated.PackUnit is not ("kg" or "piece")) checks.Add("price.packUnit", "A pack counts in kg or in pieces.");
        if (stated.PackAmount is not (> 0 and <= 100_000)) checks.Add("price.packAmount", "A pack holds more than 0 and up to 100000.");
        if (stated.Paid is not (>= 0 and <= 1_000_000)) checks.Add("price.paid", "A price lies between 0 and 1000000.");
        var amount = stated.PackAmount is > 0 and <= 100_000 and { } held ? held : 1;
        var isWeighed = stated.PackUnit == "kg";
        return new Price(id, supplier, isWeighed ? amount * 1000 : amount, isWeighed ? PackUnit.Gram : PackUnit.Piece, new Money(stated.Paid ?? 0, currency), today);
    }
}
