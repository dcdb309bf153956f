using Lumpet.Core.Bakery;
using NodaTime;

namespace Lumpet.Core.Orders;

/// <summary>An order that repeats: the same every week on the same days, until it ends.</summary>
/// <param name="Product">Id of the product.</param>
/// <param name="Pan">Id of the pan.</param>
/// <param name="Count">Pies each time; 1 to <see cref="OrderLine.MostPies"/>.</param>
/// <param name="Days">The days of the week on which it is picked up, in order; at least one.</param>
/// <param name="At">Local time of the pick-up.</param>
/// <param name="For">Who it is for; may be empty.</param>
/// <param name="From">The first day on which it may be picked up.</param>
/// <param name="Until">The last; null while nobody has said.</param>
public sealed record StandingOrder(string Product, string Pan, int Count, IReadOnlyList<IsoDayOfWeek> Days, LocalTime At, string For, LocalDate From, LocalDate? Until)
{
    /// <summary>By how many minutes it may be late, where another order would be; 0 where it must not be.</summary>
    public int MayBeLateMin { get; init; }

    /// <summary>The most orders that repeat and have not ended.</summary>
    public const int Most = 1000;

    /// <summary>So many days ahead an order that repeats makes a day one with orders; a day that is asked for by name has it however far ahead it lies.</summary>
    public const int DaysShown = 14;

    private const int DaysOfAWeek = 7;

    /// <summary>Whether it is picked up on a date, but for what is said of that date alone.</summary>
    public bool IsOn(LocalDate date) => date >= From && !(date > Until) && Days.Contains(date.DayOfWeek);

    /// <summary>Whether it has a pick-up on or after a date.</summary>
    public bool GoesOn(LocalDate date) => Next(date) is not null;

    /// <summary>Its first pick-up on or after a date; null where it has ended.</summary>
    public LocalDate? Next(LocalDate date)
    {
        var first = LocalDate.Max(date, From);
        for (var ahead = 0; ahead < DaysOfAWeek; ahead++)
            if (IsOn(first.PlusDays(ahead))) return first.PlusDays(ahead);
        return null;
    }

    /// <summary>What is ordered on a date.</summary>
    public OrderLine On(LocalDate date) => new(Product, Pan, Count, date.At(At), For) { MayBeLateMin = MayBeLateMin };

    /// <summary>Its days as they are said: "every day", "Mon, Wed and Sat".</summary>
    public string DaysInWords => WeekDays.InWords(Days);
}

/// <summary>An order that repeats, as it is described.</summary>
/// <param name="Product">Id of the product.</param>
/// <param name="Pan">Id of the pan.</param>
/// <param name="Count">Pies each time.</param>
/// <param name="Days">Days of the week, "monday" to "sunday".</param>
/// <param name="At">Clock time of the pick-up, "09:00".</param>
/// <param name="For">Who it is for.</param>
/// <param name="From">The first day (ISO date); null for today.</param>
/// <param name="Until">The last day (ISO date); null while nobody has said.</param>
/// <param name="MayBeLateMin">By how many minutes it may be late; null where it must not be.</param>
public sealed record StandingOrderDraft(string? Product, string? Pan, int? Count, IReadOnlyList<string?>? Days, string? At, string? For, string? From = null, string? Until = null, int? MayBeLateMin = null);
