using Lumpet.Core.Buying;
using Lumpet.Core.Orders;
using Lumpet.Core.Stock;
using Lumpet.Server.Bakery;
using Lumpet.Server.Stock;
using Lumpet.Store.Buying;
using NodaTime;

namespace Lumpet.Server.Buying;

/// <summary>Tells what is to be bought and what is ordered.</summary>
/// <param name="names">Names of what lies on shelves.</param>
internal sealed class BuyingWords(ThingNames names)
{
    /// <summary>An order as it is to be placed.</summary>
    /// <param name="order">The order.</param>
    /// <param name="rowVersion">The version of the supplier's terms; 0 where nobody has said any.</param>
    public SupplierOrderAnswer Of(SupplierOrder order, long rowVersion) => new(
        order.Terms.Supplier,
        SupplierTermsReader.Write(order.Terms),
        rowVersion,
        order.Delivery is { } day ? Days.Iso(day) : null,
        order.Delivery is { } comes ? PickUpText.Day.Format(comes) : string.Empty,
        order.OrderUntil is { } until ? PickUpText.Said.Format(until) : string.Empty,
        order.IsInTime,
        order.Total.Amount,
        order.BelowBy,
        [.. order.Lines.Select(Of)]);

    /// <summary>What nobody sells, as far as prices are known.</summary>
    public UnsoldAnswer Of(Wanted wanted) => new(names.Of(wanted.Thing), names.Of(wanted.Thing, wanted.Amount), PickUpText.Said.Format(wanted.FirstNeeded));

    /// <summary>What is ordered.</summary>
    /// <param name="purchase">The order.</param>
    /// <param name="today">The day by the bakery's clock.</param>
    /// <param name="missing">What plans need that is not on the shelves.</param>
    /// <param name="lies">Where a thing lay last.</param>
    public PurchaseAnswer Of(Purchase purchase, LocalDate today, IReadOnlyList<Shortage> missing, Func<StockedGoods, (string Place, string Shelf)> lies) => new(
        purchase.Id,
        purchase.Supplier,
        PickUpText.Day.Format(purchase.Delivery),
        purchase.Delivery < today,
        [
            .. missing.Where(one => one.Need.At < SupplierTerms.ThereAt(purchase.Delivery) && purchase.Lines.Any(line => line.Thing == one.Need.Thing)).GroupBy(one => one.Need.Thing)
                .Select(same => $"{names.Of(same.Key)} is needed {PickUpText.Said.Format(same.Min(one => one.Need.At))}"),
        ],
        purchase.Lines.Sum(line => line.Offer.Cost(line.Packs).Amount),
        [
            .. purchase.Lines.Select(line => new PurchaseLineAnswer(
                line.Thing.Id, names.Of(line.Thing), line.Packs, Said(line.Thing, line.Offer), line.Offer.Pack.Count, line.Offer.Cost(line.Packs).Amount, lies(line.Thing).Place, lies(line.Thing).Shelf)),
        ]);

    private BuyingLineAnswer Of(BuyingLine line) => new(
        line.Wanted.Thing.Id,
        names.Of(line.Wanted.Thing),
        names.Of(line.Wanted.Thing, line.Wanted.Amount),
        PickUpText.Said.Format(line.Wanted.FirstNeeded),
        line.Wanted.For,
        line.Packs,
        Said(line.Wanted.Thing, line.Offer),
        line.Offer.Pack.Count,
        line.Cost.Amount,
        names.Of(line.Wanted.Thing, line.LeftOver),
        Math.Round(line.SpoiltShare * 100),
        line.Instead is { } other ? $"{other.Packs} × {Said(line.Wanted.Thing, other.Offer)} at {other.Offer.Supplier}" : string.Empty,
        line.Instead?.Saves.Amount ?? 0,
        line.Sooner is { } sooner
            ? FormattableString.Invariant($"{sooner.Offer.Supplier} comes in time, {PickUpText.Day.Format(sooner.Delivery)}, ordered until {PickUpText.Said.Format(sooner.OrderUntil)}: {sooner.Packs} × {Said(line.Wanted.Thing, sooner.Offer)} for {sooner.Cost.Amount:0.00}.")
            : string.Empty);

    private string Said(StockThing thing, PackOffer offer) => offer.Said.Length > 0 ? offer.Said : names.Of(thing, offer.Pack);
}

/// <summary>What is to be bought.</summary>
/// <param name="Day">Until which day plans are looked at (ISO date).</param>
/// <param name="DayName">The day.</param>
/// <param name="Currency">The currency of the books.</param>
/// <param name="Total">What all orders come to.</param>
/// <param name="Orders">By supplier, what is to be ordered first first.</param>
/// <param name="NobodySells">What no supplier's price is known of.</param>
/// <param name="Placed">What is ordered and has not come.</param>
/// <param name="Stumbles">Days that cannot be planned, with what stands in the way, and from when on none is looked at.</param>
public sealed record BuyingAnswer(
    string Day,
    string DayName,
    string Currency,
    decimal Total,
    IReadOnlyList<SupplierOrderAnswer> Orders,
    IReadOnlyList<UnsoldAnswer> NobodySells,
    IReadOnlyList<PurchaseAnswer> Placed,
    IReadOnlyList<string> Stumbles);

/// <summary>An order at a supplier, as it is to be placed.</summary>
/// <param name="Supplier">At whom.</param>
/// <param name="Terms">When it delivers and from how much on.</param>
/// <param name="TermsVersion">Their version; 0 where nobody has said any, and the usual ones are meant.</param>
/// <param name="Delivery">The delivery's day (ISO date); null where none comes.</param>
/// <param name="DeliveryName">The day, in words; empty where none comes.</param>
/// <param name="OrderUntil">Until when it is ordered, in words.</param>
/// <param name="IsInTime">Whether it is there when the first of it is needed.</param>
/// <param name="Total">What it comes to.</param>
/// <param name="BelowBy">By how much it is below what the supplier asks for at least; 0 where it is not.</param>
/// <param name="Lines">What is ordered, what is needed first first.</param>
public sealed record SupplierOrderAnswer(
    string Supplier,
    SupplierTermsDraft Terms,
    long TermsVersion,
    string? Delivery,
    string DeliveryName,
    string OrderUntil,
    bool IsInTime,
    decimal Total,
    decimal BelowBy,
    IReadOnlyList<BuyingLineAnswer> Lines);

/// <summary>A line of an order.</summary>
/// <param name="Ingredient">Id of the ingredient.</param>
/// <param name="Name">Its name.</param>
/// <param name="Missing">How much plans need that is not there, in words.</param>
/// <param name="Needed">When the first of it is needed, in words.</param>
/// <param name="For">For what.</param>
/// <param name="Packs">How many packs.</param>
/// <param name="Pack">The pack, in words.</param>
/// <param name="PackUnits">What it holds, in milligrams or pieces: an order says which pack it means.</param>
/// <param name="Cost">What they cost.</param>
/// <param name="LeftOver">What will be left when all that is planned is made, in words.</param>
/// <param name="SpoiltPercent">What of that would be past its day before it is used, in percent, as far as the books tell.</param>
/// <param name="Instead">Another offer that would cost less; empty where none does.</param>
/// <param name="Saves">By how much; 0 where none does.</param>
/// <param name="Sooner">Who would bring it in time where this order does not; empty where it does, or nobody would.</param>
public sealed record BuyingLineAnswer(
    string Ingredient,
    string Name,
    string Missing,
    string Needed,
    IReadOnlyList<string> For,
    int Packs,
    string Pack,
    long PackUnits,
    decimal Cost,
    string LeftOver,
    double SpoiltPercent,
    string Instead,
    decimal Saves,
    string Sooner);

/// <summary>Something that nobody sells, as far as prices are known.</summary>
/// <param name="Name">What.</param>
/// <param name="Missing">How much of it plans need, in words.</param>
/// <param name="Needed">When, in words.</param>
public sealed record UnsoldAnswer(string Name, string Missing, string Needed);

/// <summary>Something that is ordered and has not come.</summary>
/// <param name="Id">Its identity.</param>
/// <param name="Supplier">At whom.</param>
/// <param name="Delivery">When it is to come, in words.</param>
/// <param name="IsLate">Whether that day has passed.</param>
/// <param name="TooLateFor">What plans need before it comes, in words; empty where nothing.</param>
/// <param name="Total">What it comes to.</param>
/// <param name="Lines">What is ordered.</param>
public sealed record PurchaseAnswer(Guid Id, string Supplier, string Delivery, bool IsLate, IReadOnlyList<string> TooLateFor, decimal Total, IReadOnlyList<PurchaseLineAnswer> Lines);

/// <summary>A line of what is ordered.</summary>
/// <param name="Ingredient">Id of the ingredient.</param>
/// <param name="Name">Its name.</param>
/// <param name="Packs">How many packs.</param>
/// <param name="Pack">The pack, in words.</param>
/// <param name="PackUnits">What it holds, in milligrams or pieces.</param>
/// <param name="Cost">What they cost.</param>
/// <param name="Place">Where the last of it lay.</param>
/// <param name="Shelf">On which shelf.</param>
public sealed record PurchaseLineAnswer(string Ingredient, string Name, int Packs, string Pack, long PackUnits, decimal Cost, string Place, string Shelf);
