using NodaTime;

namespace Lumpet.Core.Buying;

/// <summary>When a supplier delivers, and from how much on.</summary>
/// <param name="Supplier">Who.</param>
/// <param name="Minimum">What an order comes to at least, in the currency of the books; 0 for any.</param>
/// <param name="Days">Days of the week on which it delivers; at least one.</param>
/// <param name="LeadDays">How many days before a delivery it is ordered; 0 for the same day.</param>
/// <param name="Until">Until when on that day, by the bakery's clock.</param>
public sealed record SupplierTerms(string Supplier, decimal Minimum, IReadOnlyList<IsoDayOfWeek> Days, int LeadDays, LocalTime Until)
{
    // What comes in the morning is there for the work from then on (common practice, no source).
    private static readonly LocalTime There = new(9, 0);
    private const int MostDaysAhead = 60;

    /// <summary>Any weekday but Sunday, ordered the day before until two in the afternoon, where nobody has said otherwise (common practice, no source).</summary>
    public static SupplierTerms Usual(string supplier) =>
        new(supplier, 0, [IsoDayOfWeek.Monday, IsoDayOfWeek.Tuesday, IsoDayOfWeek.Wednesday, IsoDayOfWeek.Thursday, IsoDayOfWeek.Friday, IsoDayOfWeek.Saturday], 1, new LocalTime(14, 0));

    /// <summary>Until when something has to be ordered so that it comes on a day.</summary>
    public LocalDateTime OrderUntil(LocalDate delivery) => delivery.PlusDays(-LeadDays).At(Until);

    /// <summary>From when on what is delivered on a day can be used.</summary>
    public static LocalDateTime ThereAt(LocalDate delivery) => delivery.At(There);

    /// <summary>
    /// The latest delivery that is there in time and can still be ordered: the later it comes the fresher it is; the first that can be ordered where none is in time.
    /// </summary>
    /// <param name="needed">When the first of it is needed.</param>
    /// <param name="now">The bakery's clock.</param>
    /// <returns>The delivery's day, and whether it is in time; null where none comes within sixty days.</returns>
    public (LocalDate Day, bool IsInTime)? Delivery(LocalDateTime needed, LocalDateTime now)
    {
        LocalDate[] possible =
        [
            .. Enumerable.Range(0, MostDaysAhead).Select(now.Date.PlusDays).Where(day => Days.Contains(day.DayOfWeek) && OrderUntil(day) >= now && (day > now.Date || ThereAt(day) > now)),
        ];
        if (possible.Length == 0) return null;
        LocalDate[] inTime = [.. possible.Where(day => ThereAt(day) <= needed)];
        return inTime.Length > 0 ? (inTime[^1], true) : (possible[0], false);
    }
}
