namespace Lumpet.Server.Bills;

/// <summary>What one day or several cost by their plans, and bring. Each list of rows adds up to the totals, to the coin.</summary>
/// <param name="Day">The first day (ISO date).</param>
/// <param name="DayName">The same in words.</param>
/// <param name="Days">How many days, from the first on.</param>
/// <param name="UntilName">The last day in words; the first where it is one.</param>
/// <param name="Currency">ISO 4217 code.</param>
/// <param name="For">The customer whose orders alone are told; null where all are.</param>
/// <param name="Customers">Everyone who has ordered for these days, in alphabetical order.</param>
/// <param name="Sentence">What a tired manager reads first.</param>
/// <param name="HandsAreCounted">Whether an hour of hands has a price.</param>
/// <param name="Totals">Everything together.</param>
/// <param name="Products">By product and pan, what is left of it least first.</param>
/// <param name="Orders">By customer; of one day by pick-up too.</param>
/// <param name="ByDay">By day.</param>
/// <param name="Shared">What belongs to no order: dough and batches beyond what is taken, work and heat for none of these pies. Empty where one customer is told.</param>
/// <param name="Missing">Ingredients without a price: with them it costs more.</param>
/// <param name="Notes">What else is to be known: ovens without a price, products without one, days that cannot be planned.</param>
/// <param name="Entered">What was really taken, beside what was planned; null where no batch of these days is entered yet, and of one customer.</param>
public sealed record BillAnswer(
    string Day,
    string DayName,
    int Days,
    string UntilName,
    string Currency,
    string? For,
    IReadOnlyList<string> Customers,
    string Sentence,
    bool HandsAreCounted,
    BillRowAnswer Totals,
    IReadOnlyList<BillRowAnswer> Products,
    IReadOnlyList<BillRowAnswer> Orders,
    IReadOnlyList<BillRowAnswer> ByDay,
    IReadOnlyList<BillRowAnswer> Shared,
    IReadOnlyList<string> Missing,
    IReadOnlyList<string> Notes,
    EnteredCostAnswer? Entered);

/// <summary>A row of a bill: revenue less ingredients, hands and heat is what is left.</summary>
/// <param name="Id">What it is of: a product, a day; empty where there is nothing to follow.</param>
/// <param name="Pan">Id of the pan of a product; empty else.</param>
/// <param name="Name">Its name.</param>
/// <param name="Detail">What else tells it apart: the pan, the pick-up; may be empty.</param>
/// <param name="Pies">How many pies; 0 of what belongs to no order.</param>
/// <param name="Revenue">What they bring at the price that is set, before tax; null where none is set of any.</param>
/// <param name="Ingredients">Ingredients and boxes, as far as prices are known.</param>
/// <param name="Hands">Hands; null where they are not counted.</param>
/// <param name="Heat">Ovens.</param>
/// <param name="Contribution">What is left; null where no price is set of any.</param>
/// <param name="IsAtMost">Whether an ingredient or a selling price is missing, so that what is left is not the whole of it.</param>
/// <param name="HandsMin">Minutes of hands, whole ones that add up.</param>
/// <param name="HotMin">Minutes of ovens, likewise.</param>
public sealed record BillRowAnswer(
    string Id, string Pan, string Name, string Detail, int Pies, decimal? Revenue, decimal Ingredients, decimal? Hands, decimal Heat, decimal? Contribution, bool IsAtMost, int HandsMin, int HotMin);

/// <summary>What was really taken for the batches that are entered, beside what their plans take.</summary>
/// <param name="Batches">Batches that are entered.</param>
/// <param name="Of">Batches in all.</param>
/// <param name="Planned">What those that are entered take by their plan, at the prices of the day.</param>
/// <param name="Taken">What was taken, at what was paid for it, or the prices of the day where that is not known.</param>
/// <param name="More">What was taken more than was planned; below 0 for less.</param>
/// <param name="ThrownAway">What was thrown away on these days, likewise.</param>
/// <param name="Missing">Things of which nobody knows what they cost.</param>
public sealed record EnteredCostAnswer(int Batches, int Of, decimal Planned, decimal Taken, decimal More, decimal ThrownAway, IReadOnlyList<string> Missing);
