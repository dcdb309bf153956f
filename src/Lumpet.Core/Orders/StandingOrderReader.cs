using Lumpet.Core.Bakery;
using Lumpet.Core.Recipes;
using NodaTime;
using NodaTime.Text;

namespace Lumpet.Core.Orders;

/// <summary>Reads an order that repeats.</summary>
public static class StandingOrderReader
{
    /// <summary>Reads a draft.</summary>
    /// <param name="draft">What is described.</param>
    /// <param name="products">The bakery's products.</param>
    /// <param name="today">Today: what has passed is not ordered.</param>
    /// <returns>The order, and everything wrong with it, field by field; it is to be taken only where nothing is.</returns>
    public static (StandingOrder Order, IReadOnlyList<FieldFault> Faults) Read(StandingOrderDraft draft, IReadOnlyList<Product> products, LocalDate today)
    {
        var checks = new FieldChecks();
        var order = new StandingOrder(
            draft.Product ?? string.Empty,
            draft.Pan ?? string.Empty,
            draft.Count ?? 0,
            WeekDays.Read(checks, "days", draft.Days ?? []),
            Time(checks, draft.At),
            draft.For?.Trim() ?? string.Empty,
            Date(checks, "from", draft.From) is { } from ? LocalDate.Max(from, today) : today,
            Date(checks, "until", draft.Until))
        {
            MayBeLateMin = draft.MayBeLateMin ?? 0,
        };
        foreach (var fault in OrderRules.WhatFaults(order.Product, order.Pan, order.Count, products).Concat(OrderRules.ForFaults(order.For)).Concat(OrderRules.LateFaults(order.MayBeLateMin))) checks.Add(fault.Field, fault.Message);
        if (order.From > today.PlusDays(OrderLine.MostDaysAhead)) checks.Add("from", $"A first pick-up lies at most {OrderLine.MostDaysAhead} days ahead.");
        if (order.Until < order.From) checks.Add("until", $"It would end before it begins on {PickUpText.Day.Format(order.From)}.");
        else if (order.Until is not null && order.Days.Count > 0 && !order.GoesOn(order.From)) checks.Add("until", "There is none of its days until then.");
        return (order, checks.Faults);
    }

    /// <summary>The order as it would be described.</summary>
    public static StandingOrderDraft Write(StandingOrder order) => new(
        order.Product,
        order.Pan,
        order.Count,
        [.. order.Days.Select(WeekDays.Name)],
        PickUpText.Clock.Format(order.At),
        order.For,
        LocalDatePattern.Iso.Format(order.From),
        order.Until is { } until ? LocalDatePattern.Iso.Format(until) : null,
        order.MayBeLateMin > 0 ? order.MayBeLateMin : null);

    private static LocalTime Time(FieldChecks checks, string? text)
    {
        if (PickUpText.Clock.Parse(text ?? string.Empty) is { Success: true } read) return read.Value;
        checks.Add("at", "A clock time is written 09:00.");
        return LocalTime.Midnight;
    }

    private static LocalDate? Date(FieldChecks checks, string field, string? text)
    {
        if (string.IsNullOrEmpty(text)) return null;
        if (LocalDatePattern.Iso.Parse(text) is { Success: true, Value: { Year: >= 2000 and <= 2200 } date }) return date;
        checks.Add(field, "A date is written 2026-12-24.");
        return null;
    }
}
