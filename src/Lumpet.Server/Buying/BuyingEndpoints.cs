using System.Globalization;
using System.Text;
using CsvHelper;
using Lumpet.Core;
using Lumpet.Core.Buying;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Stock;
using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.DayPlan;
using Lumpet.Server.Faults;
using Lumpet.Server.Prices;
using Lumpet.Server.Recipes;
using Lumpet.Server.Stock;
using Lumpet.Server.Tables;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Buying;
using Lumpet.Store.Prices;
using Lumpet.Store.Stock;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Server.Buying;

/// <summary>What is to be bought, from whom and by when; and when suppliers deliver.</summary>
internal static class BuyingEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/buying/{day}", Get).WithName("GetBuying").WithSummary("What plans until a day need that is not on the shelves, in whole packs, by supplier.");
        routes.MapGet("/api/buying/{day}/list.csv", Csv).WithName("GetBuyingCsv").WithSummary("The same as comma-separated values.");
        routes.MapPut("/api/suppliers/{supplier}/terms", State).WithName("StateSupplierTerms").WithSummary("States when a supplier delivers and from how much on; If-Match carries the version it was read with, 0 where nothing was said.");
    }

    private static async Task<Results<Ok<BuyingAnswer>, ValidationProblem>> Get(
        string day, Database database, PlanShelf shelf, BakeryClock clock, RecipeShelf recipes, PriceShelf prices, CancellationToken waiting)
    {
        if (Days.Read(day) is not { } last) return Days.NoDay();
        var planned = await DayOfBatches.UntilAsync(last, database, shelf, clock, waiting);
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        var (list, store, missing) = ListOf(planned, last, clock.LocalNow(bakery.Zone), connection, recipes, prices);
        var words = new BuyingWords(store.Names);
        var versions = BuyingStore.Terms(connection);
        return TypedResults.Ok(new BuyingAnswer(
            Days.Iso(last),
            Days.Name(last),
            bakery.Currency,
            list.Orders.Sum(order => order.Total.Amount),
            [.. list.Orders.Select(order => words.Of(order, versions.TryGetValue(order.Terms.Supplier, out var stated) ? stated.RowVersion : 0))],
            [.. list.NobodySells.Select(words.Of)],
            [.. BuyingStore.Placed(connection).Select(purchase => words.Of(purchase, clock.Today(bakery.Zone), missing, thing => Lies(store, thing)))],
            DayOfBatches.NotSeen(planned, last, clock.Today(bakery.Zone))));
    }

    private static async Task<Results<ContentHttpResult, ValidationProblem>> Csv(
        string day, Database database, PlanShelf shelf, BakeryClock clock, RecipeShelf recipes, PriceShelf prices, CancellationToken waiting)
    {
        if (Days.Read(day) is not { } last) return Days.NoDay();
        var planned = await DayOfBatches.UntilAsync(last, database, shelf, clock, waiting);
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        var (list, store, _) = ListOf(planned, last, clock.LocalNow(bakery.Zone), connection, recipes, prices);
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using var csv = new CsvWriter(text, CultureInfo.InvariantCulture);
        foreach (var column in new[] { "supplier", "delivery", "item", "packs", "pack", "cost", "currency", "missing", "first_needed" }) csv.WriteField(column);
        csv.NextRecord();
        var words = new BuyingWords(store.Names);
        foreach (var order in list.Orders.Select(order => words.Of(order, 0)))
            foreach (var line in order.Lines)
            {
                foreach (var cell in new[] { order.Supplier, order.Delivery ?? string.Empty, line.Name }) csv.WriteField(CellGuard.Write(cell));
                csv.WriteField(line.Packs);
                csv.WriteField(CellGuard.Write(line.Pack));
                csv.WriteField(line.Cost);
                foreach (var cell in new[] { bakery.Currency, line.Missing, line.Needed }) csv.WriteField(CellGuard.Write(cell));
                csv.NextRecord();
            }

        csv.Flush();
        return TypedResults.Text(text.ToString(), "text/csv", Encoding.UTF8);
    }

    private static Results<NoContent, ValidationProblem, ProblemHttpResult> State(
        string supplier, SupplierTermsDraft request, [FromHeader(Name = "If-Match")] string? ifMatch, Database database, ChangeFeed feed)
    {
        if (RowVersion.Read(ifMatch) is not { } version) return RowVersion.Missing("supplier's terms");
        using var transaction = database.Begin();
        if (PriceStore.FindSupplier(transaction.Connection, supplier) is not { } known) return FieldProblems.Of(("supplier", "There is no such supplier: a price of theirs, or something received from them, comes first."));
        var (terms, faults) = SupplierTermsReader.Read(request, known.Name);
        if (terms is null) return FieldProblems.Of(faults);
        if (BuyingStore.State(transaction, terms, version) == ChangeOutcome.Conflict) return RowVersion.Conflict("these terms");
        transaction.Commit();
        feed.Publish("stock");
        return TypedResults.NoContent();
    }

    private static (BuyingList List, Storeroom Store, IReadOnlyList<Shortage> Missing) ListOf(
        IReadOnlyList<DayOfBatches> planned, LocalDate last, LocalDateTime now, SqliteConnection connection, RecipeShelf recipes, PriceShelf prices)
    {
        var store = Storeroom.Read(connection, recipes.Products(connection));
        var kept = store.Kept(planned);
        var coming = BuyingStore.Placed(connection).SelectMany(purchase => purchase.Lines.Select(line => (line.Thing, line.Offer.Pack * line.Packs, SupplierTerms.ThereAt(purchase.Delivery))));
        var (book, terms, keeps) = (prices.Of(connection), BuyingStore.Terms(connection), StockStore.KeepsDays(connection));
        var lots = store.Lots.Select(stored => stored.Lot).ToArray();
        var taken = kept.Kept.ToLookup(one => one.Lot.Id, one => one.Amount.Count);
        var needed = planned.SelectMany(day => day.Needs(store.IsCounted, lots)).ToLookup(need => need.Thing, need => need.Amount.Count);
        var days = Math.Max(1, Period.DaysBetween(now.Date, last) + 1);
        UseOfGoods UseOf(StockedGoods thing, StockUnit unit) => new(
            new StockAmount(lots.Where(lot => lot.Thing == thing && lot.Left.Unit == unit && !lot.IsPast(now.Date)).Sum(lot => lot.Left.Count - taken[lot.Id].Sum()), unit),
            (double)needed[thing].Sum() / days,
            keeps.TryGetValue(thing.Id, out var keepsDays) ? keepsDays : null);
        var wanted = BuyingList.WantedOf(kept.Missing, coming);
        return (BuyingList.Of(
            [.. wanted.Where(one => store.Names.Ingredients.ContainsKey(one.Thing.Id) && !Ingredient.IsDoughId(one.Thing.Id))],
            thing => PackOffer.Of(store.Names.Ingredients[thing.Id], book, now.Date),
            thing => UseOf(thing, wanted.First(one => one.Thing == thing).Amount.Unit),
            supplier => terms.TryGetValue(supplier, out var stated) ? stated.Terms : SupplierTerms.Usual(supplier),
            now,
            last), store, kept.Missing);
    }

    /// <summary>Where the latest of something lies; in the room where none does.</summary>
    private static (string Place, string Shelf) Lies(Storeroom store, StockedGoods thing) =>
        store.Lots.Select(stored => stored.Lot).LastOrDefault(lot => lot.Thing == thing) is { } lot ? (Naming.Of(lot.Place), lot.Shelf) : ("room", string.Empty);
}
