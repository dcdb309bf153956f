using Lumpet.Core.DayPlan;
using Lumpet.Core.Measures;

namespace Lumpet.Core.Bills;

/// <summary>What pies of one product, pan and pick-up cost on a day, and bring.</summary>
/// <param name="Lot">The pies.</param>
/// <param name="Known">What their ingredients and boxes cost, as far as prices are known.</param>
/// <param name="Missing">Ingredients without a price; empty where the cost is complete.</param>
/// <param name="HandsMin">Minutes of hands on them, with their share of doughs and of what else is made first.</param>
/// <param name="Hands">What those cost; null where hands are not counted.</param>
/// <param name="HotMin">Minutes of ovens, theirs by the trays that they fill and for how long.</param>
/// <param name="Heat">What those cost, of ovens that have a price.</param>
/// <param name="Revenue">What they bring at the price that is set, before tax; null where none is set in the bakery's currency.</param>
public sealed record BillLine(Lot Lot, Money Known, IReadOnlyList<string> Missing, decimal HandsMin, Money? Hands, decimal HotMin, Money Heat, Money? Revenue)
{
    /// <summary>What is left of the revenue once everything that is counted is paid; null where no price is set. With a price missing it is at most that.</summary>
    public Money? Contribution => Revenue is { } revenue ? revenue with { Amount = revenue.Amount - Known.Amount - (Hands?.Amount ?? 0) - Heat.Amount } : null;
}
