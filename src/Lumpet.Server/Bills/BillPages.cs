using Lumpet.Core.Bills;
using Lumpet.Core.Measures;
using Lumpet.Server.Bakery;
using Lumpet.Server.DayPlan;
using NodaTime;

namespace Lumpet.Server.Bills;

/// <summary>Writes bills out for the screen; exact figures are rounded here and only here, and so that each list adds up.</summary>
internal static class BillPages
{
    /// <summary>A row before it is rounded.</summary>
    private sealed record Row(string Id, string Pan, string Name, string Detail, int Pies, decimal Revenue, decimal Ingredients, decimal Hands, decimal Heat, bool IsSold, bool IsAtMost, decimal HandsMin = 0, decimal HotMin = 0)
    {
        public decimal Contribution => Revenue - Ingredients - Hands - Heat;
    }

    /// <summary>The bill of some days.</summary>
    /// <param name="days">The days that have orders, in order.</param>
    /// <param name="first">The first day asked for.</param>
    /// <param name="count">How many days were asked for.</param>
    /// <param name="currency">The bakery's currency.</param>
    /// <param name="handsAreCounted">Whether an hour of hands has a price.</param>
    /// <param name="customer">Whose orders alone are told; null for all.</param>
    /// <param name="entered">What was really taken; null where nothing is entered.</param>
    public static BillAnswer Of(IReadOnlyList<BilledDay> days, LocalDate first, int count, string currency, bool handsAreCounted, string? customer, EnteredCostAnswer? entered)
    {
        var coin = Money.SmallestCoin(currency);
        bool IsTold(OrderShare order) => customer is null || order.For == customer;
        OrderShare[] orders = [.. days.SelectMany(day => day.Orders).Where(IsTold)];
        Row[] shared = customer is not null ? [] : [.. Shared(days)];
        // Every list of the same orders comes to the same coins; what belongs to no order is rounded by itself.
        BillRowAnswer[] Written(IReadOnlyList<Row> rows)
        {
            decimal[] Column(Func<Row, decimal> of) => [.. SharedRounding.Round([.. rows.Select(of)], coin)];
            var (revenue, ingredients, hands, heat) = (Column(row => row.Revenue), Column(row => row.Ingredients), Column(row => row.Hands), Column(row => row.Heat));
            var (handsMin, hotMin) = (SharedRounding.Round([.. rows.Select(row => row.HandsMin)], 1m), SharedRounding.Round([.. rows.Select(row => row.HotMin)], 1m));
            return
            [
                .. rows.Select((row, at) => new BillRowAnswer(
                    row.Id,
                    row.Pan,
                    row.Name,
                    row.Detail,
                    row.Pies,
                    row.IsSold ? revenue[at] : null,
                    ingredients[at],
                    handsAreCounted ? hands[at] : null,
                    heat[at],
                    row.IsSold ? revenue[at] - ingredients[at] - hands[at] - heat[at] : null,
                    row.IsAtMost,
                    (int)handsMin[at],
                    (int)hotMin[at])),
            ];
        }

        Row[] products = [.. orders.GroupBy(order => (order.Product.Id, Pan: order.Pan.Id)).Select(same => Sum(same.Key.Id, same.Key.Pan, same.First().Product.Name, same.First().Pan.Name, [.. same])).OrderBy(row => row.IsSold).ThenBy(row => row.Contribution)];
        var (told, beside) = (Written(products), Written(shared));
        var totals = Total([.. told, .. beside], handsAreCounted);
        return new BillAnswer(
            Days.Iso(first),
            Days.Name(first),
            count,
            Days.Name(first.PlusDays(count - 1)),
            currency,
            customer,
            [.. days.SelectMany(day => day.Orders).Select(order => order.For).Where(name => name.Length > 0).Distinct().Order(StringComparer.OrdinalIgnoreCase)],
            Sentence(totals, told, first, count, currency, customer),
            handsAreCounted,
            totals,
            told,
            Written([.. ByOrder(days, IsTold)]),
            Written([.. days.Where(day => day.Bill is not null).Select(day => Sum(Days.Iso(day.Book.Day), string.Empty, Days.Name(day.Book.Day), string.Empty, [.. day.Orders.Where(IsTold)]))]),
            beside,
            [.. (customer is null ? days.SelectMany(day => day.Bill?.Missing ?? []) : orders.SelectMany(order => order.Missing)).Distinct()],
            [.. Notes(days, orders)],
            entered);
    }

    /// <summary>By whom; of one day by the pick-up too.</summary>
    private static IEnumerable<Row> ByOrder(IReadOnlyList<BilledDay> days, Func<OrderShare, bool> isTold) =>
        from day in days
        from order in day.Orders
        where isTold(order)
        let pickUp = days.Count == 1 ? order.PickUpMin : 0
        group (day, order) by (order.For, pickUp) into same
        orderby same.Key.pickUp, same.Key.For
        select Sum(string.Empty, string.Empty, same.Key.For.Length > 0 ? same.Key.For : "nobody named", days.Count == 1 ? $"for {same.First().day.Book.Clock.At(same.Key.pickUp).Clock}" : string.Empty, [.. same.Select(one => one.order)]);

    private static IEnumerable<Row> Shared(IReadOnlyList<BilledDay> days)
    {
        DayBill[] bills = [.. days.Select(day => day.Bill).OfType<DayBill>()];
        foreach (var left in bills.SelectMany(bill => bill.Unused).GroupBy(left => left.Ingredient.Id))
            yield return new Row(string.Empty, string.Empty, left.First().Ingredient.Name, FormattableString.Invariant($"{left.Sum(one => one.Mass.Grams):0} g made and not taken"), 0, 0, left.Sum(one => one.Cost?.Amount ?? 0), 0, 0, false, left.Any(one => one.Cost is null));
        var (hands, heat) = (bills.Sum(bill => bill.OtherHands?.Amount ?? 0), bills.Sum(bill => bill.OtherHeat.Amount));
        if (bills.Sum(bill => bill.OtherHandsMin + bill.OtherHotMin) > 0)
            yield return new Row(string.Empty, string.Empty, "For none of these pies", FormattableString.Invariant($"{bills.Sum(bill => bill.OtherHandsMin):0} min of hands, {bills.Sum(bill => bill.OtherHotMin):0} min of ovens"), 0, 0, 0, hands, heat, false, false, bills.Sum(bill => bill.OtherHandsMin), bills.Sum(bill => bill.OtherHotMin));
    }

    private static Row Sum(string id, string pan, string name, string detail, IReadOnlyList<OrderShare> orders) => new(
        id,
        pan,
        name,
        detail,
        orders.Sum(order => order.Count),
        orders.Sum(order => order.Revenue),
        orders.Sum(order => order.Ingredients),
        orders.Sum(order => order.Hands),
        orders.Sum(order => order.Heat),
        orders.Any(order => order.IsPriced),
        orders.Any(order => order.Missing.Count > 0 || !order.IsPriced),
        orders.Sum(order => order.HandsMin),
        orders.Sum(order => order.HotMin));

    private static BillRowAnswer Total(IReadOnlyList<BillRowAnswer> rows, bool handsAreCounted)
    {
        var (revenue, ingredients, hands, heat) = (rows.Sum(row => row.Revenue ?? 0), rows.Sum(row => row.Ingredients), rows.Sum(row => row.Hands ?? 0), rows.Sum(row => row.Heat));
        return new BillRowAnswer(string.Empty, string.Empty, "Together", string.Empty, rows.Sum(row => row.Pies), revenue, ingredients, handsAreCounted ? hands : null, heat, revenue - ingredients - hands - heat, rows.Any(row => row.IsAtMost), rows.Sum(row => row.HandsMin), rows.Sum(row => row.HotMin));
    }

    private static string Sentence(BillRowAnswer totals, IReadOnlyList<BillRowAnswer> products, LocalDate first, int count, string currency, string? customer)
    {
        var when = count == 1 ? Days.Name(first) : $"{Days.Name(first)} to {Days.Name(first.PlusDays(count - 1))}";
        var who = customer is null ? string.Empty : $" for {customer}";
        if (totals.Pies == 0) return $"{when}{who}: nothing is ordered.";
        var said = FormattableString.Invariant($"{when}{who}: {PlanSentence.Count(totals.Pies, "pie")} bring {totals.Revenue:0.00} {currency}");
        var paid = totals.Hands is null ? "ingredients and ovens" : "ingredients, hands and ovens";
        var cost = totals.Revenue!.Value - totals.Contribution!.Value;
        said += FormattableString.Invariant($" and cost {cost:0.00} in {paid}: {(totals.IsAtMost ? "at most " : string.Empty)}{Math.Abs(totals.Contribution.Value):0.00} {(totals.Contribution < 0 ? "are lost" : "are left")}.");
        var losing = products.Where(row => row.Contribution < 0).ToArray();
        if (losing.Length > 0) said += FormattableString.Invariant($" {losing[0].Name}, {losing[0].Detail}, loses {-losing[0].Contribution!.Value:0.00}{(losing.Length > 1 ? $", and {PlanSentence.Count(losing.Length - 1, "other")} lose too" : string.Empty)}.");
        return said;
    }

    private static IEnumerable<string> Notes(IReadOnlyList<BilledDay> days, IReadOnlyList<OrderShare> orders)
    {
        foreach (var day in days.Where(day => day.Stumbles.Length > 0)) yield return $"{Days.Name(day.Book.Day)} cannot be planned, and is not in it: {day.Stumbles}";
        foreach (var day in days.Where(day => day.NotMade > 0)) yield return $"{Days.Name(day.Book.Day)}: {PlanSentence.Count(day.NotMade, "pie")} cannot be made as it is planned; they are in it as if they were.";
        foreach (var day in days.Where(day => day.Beyond > 0 && day.Bill is not null)) yield return $"{Days.Name(day.Book.Day)}: {PlanSentence.Count(day.Beyond, "pie")} baked beyond what is ordered {(day.Beyond == 1 ? "is in it as if it" : "are in it as if they")} were sold.";
        foreach (var day in days.Where(day => day.Book.LeftOut.Count > 0)) yield return $"{Days.Name(day.Book.Day)}: {PlanSentence.Count(day.Book.LeftOut.Sum(one => one.Order.Count), "pie")} left out of the plan are not in it.";
        if (days.SelectMany(day => day.Bill?.OvensWithoutPrice ?? []).Distinct().ToArray() is { Length: > 0 } ovens) yield return $"An hour of {string.Join(" and of ", ovens)} has no price: that heat is not in it.";
        if (orders.Where(order => !order.IsPriced).Select(order => $"{order.Product.Name}, {order.Pan.Name}").Distinct().ToArray() is { Length: > 0 } unpriced) yield return $"No price to sell it for is set of {string.Join("; ", unpriced)}: it brings nothing here.";
    }
}
