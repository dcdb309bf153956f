using Lumpet.Core.Bakery;
using Lumpet.Core.Costing;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.Bills;

/// <summary>
/// What a day costs by its plan, and what it brings: every ingredient of every pie, every minute of hands, every hot minute of an oven, shared out
/// to the pies that they were for, and what is made and not taken. Its lines add up to it exactly.
/// </summary>
/// <param name="Lines">By pies of one product, pan and pick-up, in the order of the plan's lots, those that are ready last.</param>
/// <param name="Unused">What doughs and batches make beyond what is taken.</param>
/// <param name="OtherHandsMin">Minutes of hands for none of these pies: work that a plan before has begun.</param>
/// <param name="OtherHands">What those cost; null where hands are not counted.</param>
/// <param name="OtherHotMin">Hot minutes of ovens in which none of these pies were.</param>
/// <param name="OtherHeat">What those cost.</param>
/// <param name="OvensWithoutPrice">Names of ovens that were on and whose hours have no price.</param>
public sealed record DayBill(
    IReadOnlyList<BillLine> Lines,
    IReadOnlyList<LeftOver> Unused,
    decimal OtherHandsMin,
    Money? OtherHands,
    decimal OtherHotMin,
    Money OtherHeat,
    IReadOnlyList<string> OvensWithoutPrice)
{
    /// <summary>What is left over costs, as far as prices are known.</summary>
    public decimal Left => Unused.Sum(left => Shares.Kept(left.Cost?.Amount ?? 0));

    /// <summary>Everything that is counted.</summary>
    public decimal Cost => Lines.Sum(line => line.Known.Amount + (line.Hands?.Amount ?? 0) + line.Heat.Amount) + Left + (OtherHands?.Amount ?? 0) + OtherHeat.Amount;

    /// <summary>What all pies with a price bring.</summary>
    public decimal Revenue => Lines.Sum(line => line.Revenue?.Amount ?? 0);

    /// <summary>Ingredients without a price, each once.</summary>
    public IReadOnlyList<string> Missing => [.. Lines.SelectMany(line => line.Missing).Concat(Unused.Where(left => left.Cost is null).Select(left => left.Ingredient.Name)).Distinct()];

    /// <summary>The bill of a plan.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="prices">The prices of its day.</param>
    /// <param name="bakery">What hands and ovens cost.</param>
    /// <exception cref="InvalidOperationException">The prices are in more than one currency, or in another than the bakery's.</exception>
    public static DayBill Of(PlannedDay plan, PriceList prices, BakeryRecord bakery)
    {
        var work = new SharedWork(plan);
        var hands = Sum(work.Hands());
        var ovens = HotMinutes.Of(plan).Select(oven => (Oven: plan.Ovens[oven.Key], Minutes: (decimal)oven.Value, For: Shares.Of(oven.Value, work.InOven(oven.Key)))).ToArray();
        var hot = Sum(ovens.SelectMany(oven => oven.For));
        var heat = Sum(ovens.SelectMany(oven => Shares.Of(Price(oven.Oven, oven.Minutes), work.InOven(oven.Oven.Id))));
        Money Of(decimal amount) => new(amount, bakery.Currency);
        decimal? PriceOf(decimal minutes) => bakery.HandsHourPrice is { } hour ? Shares.Kept(hour * minutes / 60) : null;
        BillLine[] lines =
        [
            .. plan.Lots.Concat(plan.Ready.Select(one => one.Lot with { Id = $"{one.Lot.Id}~{one.StockId}" })).Select(lot =>
            {
                var cost = PieCost.Of(Scaling.Scale(lot.Product, lot.Pan, 1), prices);
                if (cost.Lines.Any(line => line.Cost is { } known && known.Currency != bakery.Currency)) throw new InvalidOperationException($"A price of {lot.Product.Name} is in another currency than {bakery.Currency}.");
                var minutes = hands.GetValueOrDefault(lot.Id);
                return new BillLine(
                    lot,
                    Of(Shares.Kept(cost.Lines.Sum(line => line.Cost?.Amount ?? 0) * lot.Count)),
                    cost.Missing,
                    minutes,
                    PriceOf(minutes) is { } price ? Of(price) : null,
                    hot.GetValueOrDefault(lot.Id),
                    Of(heat.GetValueOrDefault(lot.Id)),
                    cost.SellingPrice is { } selling && selling.Currency == bakery.Currency ? selling * lot.Count : null);
            }),
        ];
        var (otherHands, otherHot) = (work.AllHandsMin - lines.Sum(line => line.HandsMin), ovens.Sum(oven => oven.Minutes) - lines.Sum(line => line.HotMin));
        return new DayBill(
            lines,
            [.. work.Surplus().Select(one => LeftOver.Of(one.Made, one.Mass, prices))],
            otherHands,
            PriceOf(otherHands) is { } other ? Of(other) : null,
            otherHot,
            Of(ovens.Sum(oven => Price(oven.Oven, oven.Minutes)) - lines.Sum(line => line.Heat.Amount)),
            [.. ovens.Where(oven => oven.Oven.HourPrice is null && oven.Minutes > 0).Select(oven => oven.Oven.Name)]);
    }

    private static decimal Price(Oven oven, decimal minutes) => Shares.Kept((oven.HourPrice ?? 0) * minutes / 60);

    private static Dictionary<string, decimal> Sum(IEnumerable<KeyValuePair<string, decimal>> shares) =>
        shares.GroupBy(one => one.Key).ToDictionary(group => group.Key, group => group.Sum(one => one.Value));
}
