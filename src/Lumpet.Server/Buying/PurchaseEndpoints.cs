using Lumpet.Core;
using Lumpet.Core.Buying;
using Lumpet.Core.Stock;
using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Server.Prices;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Buying;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Stock;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Lumpet.Server.Buying;

/// <summary>Orders at suppliers: placed, come, or taken back.</summary>
internal static class PurchaseEndpoints
{
    private const int MostLines = 200;
    private const int MostPacks = 10_000;

    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        var purchases = routes.MapGroup("/api/purchases");
        purchases.MapPost("", Place).WithName("PlacePurchase").WithSummary("Notes what is ordered at a supplier: until it comes plans count on it from its delivery on.");
        purchases.MapPost("/{id:guid}/received", Receive).WithName("ReceivePurchase").WithSummary("Puts on the shelves what has come of an order, and ends it.");
        purchases.MapPost("/{id:guid}/taken-back", TakeBack).WithName("TakePurchaseBack").WithSummary("Takes an order back that is not to come.");
    }

    private static Results<Created<PurchasePlaced>, ValidationProblem> Place(
        PlacePurchaseRequest request, [FromHeader(Name = "Idempotency-Key")] string? key, Database database, BakeryClock clock, ChangeFeed feed, PriceShelf prices)
    {
        Core.Ingredients.PriceBook book;
        // Before a change begins only what is kept may be asked of a shelf.
        using (var reading = database.Open()) book = prices.Of(reading);
        using var transaction = database.Begin();
        var once = OnceOnly.Of("purchase", key, request);
        var (before, reused) = once.Answered<PurchasePlaced>(transaction);
        if (reused is not null) return reused;
        if (before is not null) return TypedResults.Created($"/api/purchases/{before.Id}", before);
        if (BakeryStore.Find(transaction.Connection) is not { } bakery) return Days.NoBakery();
        var today = clock.Today(bakery.Zone);
        var faults = new List<FieldFault>();
        var delivery = Days.Read(request.Delivery);
        if (delivery is null || delivery < today || delivery > today.PlusDays(90)) faults.Add(new FieldFault("delivery", "It comes today or within ninety days: 2026-12-24."));
        if (request.Lines is not { Count: > 0 and <= MostLines } lines || lines.Any(line => line is null)) return FieldProblems.Of(faults.Append(new FieldFault("lines", $"1 to {MostLines} things are ordered at once.")));
        var ingredients = IngredientStore.All(transaction.Connection);
        var ordered = new List<PurchaseLine>();
        foreach (var (line, at) in lines.Select((line, at) => (line!, at)))
        {
            var offer = line.Ingredient is { } id && ingredients.TryGetValue(id, out var ingredient)
                ? PackOffer.Of(ingredient, book, today).FirstOrDefault(offer => offer.Pack.Count == line.PackUnits && offer.Supplier.Equals(request.Supplier?.Trim(), StringComparison.OrdinalIgnoreCase))
                : null;
            if (offer is null) faults.Add(new FieldFault($"lines[{at}].ingredient", "This supplier does not sell it in that pack any more. Look at the list again."));
            if (line.Packs is not (>= 1 and <= MostPacks)) faults.Add(new FieldFault($"lines[{at}].packs", $"1 to {MostPacks} packs."));
            if (offer is not null && ordered.Any(other => other.Thing.Id == line.Ingredient && other.Offer.Pack == offer.Pack)) faults.Add(new FieldFault($"lines[{at}].ingredient", "It is in this order already."));
            if (offer is not null && line.Packs is { } packs) ordered.Add(new PurchaseLine(new StockedGoods(line.Ingredient!), offer, packs));
        }

        if (faults.Count > 0) return FieldProblems.Of(faults);
        var purchase = new Purchase(Guid.NewGuid(), ordered[0].Offer.Supplier, clock.Now, delivery!.Value, ordered);
        BuyingStore.Place(transaction, purchase);
        var answer = new PurchasePlaced(purchase.Id);
        once.Remember(transaction, answer, clock.Now);
        transaction.Commit();
        feed.Publish("stock");
        return TypedResults.Created($"/api/purchases/{answer.Id}", answer);
    }

    private static Results<NoContent, ValidationProblem, ProblemHttpResult> Receive(Guid id, ReceivePurchaseRequest request, Database database, BakeryClock clock, ChangeFeed feed)
    {
        using var transaction = database.Begin();
        if (BakeryStore.Find(transaction.Connection) is not { } bakery) return Days.NoBakery();
        if (BuyingStore.FindPlaced(transaction.Connection, id) is not { } purchase) return Gone();
        if (request.Lines is not { } lines || lines.Count != purchase.Lines.Count || lines.Any(line => line is null) || lines.DistinctBy(line => (line!.Ingredient, line.PackUnits)).Count() < lines.Count)
            return FieldProblems.Of(("lines", "Say of every line what has come of it, 0 packs where nothing has."));
        var ingredients = IngredientStore.All(transaction.Connection);
        var (lots, faults) = (new List<StockLot>(), new List<FieldFault>());
        foreach (var (line, at) in lines.Select((line, at) => (line!, at)))
        {
            if (purchase.Lines.FirstOrDefault(one => one.Thing.Id == line.Ingredient && one.Offer.Pack.Count == line.PackUnits) is not { } ordered)
            {
                faults.Add(new FieldFault($"lines[{at}].ingredient", "It is not in this order."));
                continue;
            }

            if (line.Packs == 0) continue;
            var (lot, wrong) = StockReceiptReader.Read(
                new StockReceiptDraft(line.Ingredient, "1 kg", line.Packs, purchase.Supplier, line.Code, line.UseBy, line.Place, line.Shelf), Guid.NewGuid(), ingredients, bakery.Currency, clock.LocalNow(bakery.Zone));
            faults.AddRange(wrong.Select(fault => fault with { Field = $"lines[{at}].{fault.Field}" }));
            // The pack is the one that was ordered, at the price that was asked then.
            if (lot is not null) lots.Add(lot with { Pack = ordered.Offer.Pack, PackSaid = ordered.Offer.Said, PaidForPack = ordered.Offer.Paid, Left = ordered.Offer.Pack * line.Packs!.Value });
        }

        if (faults.Count > 0) return FieldProblems.Of(faults);
        foreach (var lot in lots) StockWriter.Add(transaction, lot, isMade: false, StockEntryKind.Received, clock.Now, "as ordered");
        BuyingStore.End(transaction, id, hasCome: true);
        transaction.Commit();
        feed.Publish("stock");
        return TypedResults.NoContent();
    }

    private static Results<NoContent, ProblemHttpResult> TakeBack(Guid id, Database database, ChangeFeed feed)
    {
        using var transaction = database.Begin();
        if (BuyingStore.FindPlaced(transaction.Connection, id) is null) return Gone();
        BuyingStore.End(transaction, id, hasCome: false);
        transaction.Commit();
        feed.Publish("stock");
        return TypedResults.NoContent();
    }

    private static ProblemHttpResult Gone() => TypedResults.Problem(title: "No such order is open: it has come, or was taken back. Nothing was changed.", statusCode: StatusCodes.Status404NotFound);
}

/// <summary>What is ordered at a supplier.</summary>
/// <param name="Supplier">At whom.</param>
/// <param name="Delivery">When it is to come (ISO date).</param>
/// <param name="Lines">What.</param>
public sealed record PlacePurchaseRequest(string? Supplier, string? Delivery, IReadOnlyList<PurchaseLineDraft?>? Lines);

/// <summary>A line of it.</summary>
/// <param name="Ingredient">Id of the ingredient.</param>
/// <param name="PackUnits">The pack, by what it holds in milligrams or pieces.</param>
/// <param name="Packs">How many.</param>
public sealed record PurchaseLineDraft(string? Ingredient, long? PackUnits, int? Packs);

/// <summary>What has come of an order.</summary>
/// <param name="Lines">Every line of it.</param>
public sealed record ReceivePurchaseRequest(IReadOnlyList<ReceivedLineDraft?>? Lines);

/// <summary>What has come of a line.</summary>
/// <param name="Ingredient">Id of the ingredient.</param>
/// <param name="PackUnits">The pack, by what it holds in milligrams or pieces.</param>
/// <param name="Packs">How many have come; 0 for none.</param>
/// <param name="Code">The lot number.</param>
/// <param name="UseBy">The last day (ISO date); null where none is stated.</param>
/// <param name="Place">Where it lies: "room", "cold" or "frozen".</param>
/// <param name="Shelf">On which shelf.</param>
public sealed record ReceivedLineDraft(string? Ingredient, long? PackUnits, int? Packs, string? Code, string? UseBy, string? Place, string? Shelf);

/// <summary>An order that is placed.</summary>
/// <param name="Id">Its identity.</param>
public sealed record PurchasePlaced(Guid Id);
