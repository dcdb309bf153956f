using Lumpet.Core.Orders;
using NodaTime;

namespace Lumpet.Core.Buying;

/// <summary>When a supplier delivers and from how much on, as it is said.</summary>
/// <param name="Minimum">What an order comes to at least; null for any.</param>
/// <param name="Days">Days of the week: "monday" to "sunday".</param>
/// <param name="LeadDays">How many days before a delivery it is ordered.</param>
/// <param name="Until">Until when on that day: "14:00".</param>
public sealed record SupplierTermsDraft(decimal? Minimum, IReadOnlyList<string?>? Days, int? LeadDays, string? Until);

/// <summary>Reads when suppliers deliver.</summary>
public static class SupplierTermsReader
{
    private const decimal MostMinimum = 100_000m;
    private const int MostLeadDays = 30;

    /// <summary>Reads a draft.</summary>
    /// <param name="draft">What is said.</param>
    /// <param name="supplier">Of whom.</param>
    /// <returns>The terms; or everything that is wrong with them, field by field.</returns>
    public static (SupplierTerms? Terms, IReadOnlyList<FieldFault> Faults) Read(SupplierTermsDraft draft, string supplier)
    {
        var checks = new FieldChecks();
        if (draft.Minimum is < 0 or > MostMinimum) checks.Add("minimum", "A minimum lies between 0 and 100000.");
        var days = new List<IsoDayOfWeek>();
        foreach (var word in checks.List("days", draft.Days, 1, 7, "days"))
        {
            if (Naming.Read<IsoDayOfWeek>(word) is { } day and not IsoDayOfWeek.None) days.Add(day);
            else checks.Add("days", "A day is one of monday, tuesday, wednesday, thursday, friday, saturday, sunday.");
        }

        var lead = checks.Whole("leadDays", draft.LeadDays, 0, MostLeadDays, "days");
        var until = PickUpText.Clock.Parse(draft.Until ?? string.Empty);
        if (!until.Success) checks.Add("until", "A clock time is needed: 14:00.");
        return checks.Faults.Count > 0 ? (null, checks.Faults) : (new SupplierTerms(supplier, draft.Minimum ?? 0, [.. days.Distinct().Order()], lead, until.Value), []);
    }

    /// <summary>The terms as they would be said.</summary>
    public static SupplierTermsDraft Write(SupplierTerms terms) => new(terms.Minimum, [.. terms.Days.Select(day => Naming.Of(day))], terms.LeadDays, PickUpText.Clock.Format(terms.Until));
}
