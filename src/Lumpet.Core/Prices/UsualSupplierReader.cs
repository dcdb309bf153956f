using Lumpet.Core.Ingredients;
using NodaTime;

namespace Lumpet.Core.Prices;

/// <summary>Reads from whom an ingredient is bought from a day on.</summary>
public static class UsualSupplierReader
{
    /// <summary>Reads it.</summary>
    /// <param name="ingredient">Id of the ingredient.</param>
    /// <param name="supplier">The supplier's name, in letters of any size.</param>
    /// <param name="validFrom">From which day on (ISO date); null for today.</param>
    /// <param name="book">Every price: a supplier without one for the ingredient cannot be its usual one.</param>
    /// <param name="today">The day on which it is said.</param>
    /// <returns>What was said, or what is wrong with it.</returns>
    public static (UsualSupplier? Usual, IReadOnlyList<FieldFault> Faults) Read(string? ingredient, string? supplier, string? validFrom, PriceBook book, LocalDate today)
    {
        var checks = new FieldChecks();
        var rows = book.Of(ingredient ?? string.Empty);
        if (rows.Count == 0) checks.Add("ingredient", "No price is known of such an ingredient.");
        var theirs = rows.FirstOrDefault(row => row.Supplier.Equals(supplier?.Trim(), StringComparison.OrdinalIgnoreCase));
        if (rows.Count > 0 && theirs is null) checks.Add("supplier", "This supplier has never asked a price for it. Add one first.");
        var from = PriceListReader.Day(checks, validFrom, today);
        return checks.Faults.Count > 0 ? (null, checks.Faults) : (new UsualSupplier(ingredient!, theirs!.Supplier, from), []);
    }
}
