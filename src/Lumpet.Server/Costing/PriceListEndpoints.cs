using System.Text.Json;
using Lumpet.Core;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Prices;
using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Server.Prices;
using Lumpet.Server.Recipes;
using Lumpet.Server.Tables;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Prices;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using NodaTime;

namespace Lumpet.Server.Costing;

/// <summary>Many prices at once: a supplier's list as a file, or its service. They are looked at first; then all of them are taken or none.</summary>
internal static class PriceListEndpoints
{
    // A wholesaler's whole range, with pages of words about each article; of more than twenty thousand rows the reader says which is too many.
    private const int LargestFile = 64_000_000;
    private const int MostUnknownShown = 200;

    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapPost("/api/prices/list", ReadList).WithName("ReadPriceList").WithSummary("Reads a supplier's list and says what it would change; takes all of it or nothing, and only where asked.");
        routes.MapPost("/api/prices/feed", AskFeed).WithName("AskPriceFeed").WithSummary("Asks a supplier's service for its prices and says what they would change; takes all of them only where asked.");
    }

    private static Results<Ok<PriceListAnswer>, ValidationProblem> ReadList(
        PriceListRequest request, [FromHeader(Name = "Idempotency-Key")] string? key, Database database, BakeryClock clock, ChangeFeed feed, RecipeShelf recipes)
    {
        var (table, characterSet, unreadable) = Table(request);
        if (table is null) return FieldProblems.Of([unreadable!]);
        var once = OnceOnly.Of("price list", request.Keep ? key : null, request);
        using var transaction = database.Begin();
        var (answered, refused) = once.Answered<PriceListAnswer>(transaction);
        if (refused is not null) return refused;
        if (answered is not null) return TypedResults.Ok(answered);
        var connection = transaction.Connection;
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        var today = clock.Today(bakery.Zone);
        var ingredients = IngredientStore.All(connection).Where(pair => !pair.Value.IsDough).ToDictionary();
        var (terms, wrong) = PriceListTerms.Read(request.Supplier, request.ValidFrom, request.Articles, ingredients, today);
        if (terms is null) return FieldProblems.Of(wrong);
        var known = PriceStore.FindSupplier(connection, terms.Supplier);
        var supplier = known?.Name ?? terms.Supplier;
        var remembered = known?.ListColumns is { } kept ? JsonSerializer.Deserialize<PriceColumns>(kept) : null;
        var columns = request.Columns ?? (remembered?.Fit(table) == true ? remembered : PriceColumns.Guess(table));
        var sign = request.DecimalSign is null ? remembered?.Fit(table) == true ? known?.DecimalSign : null : request.DecimalSign.Length == 0 ? null : request.DecimalSign;
        var articles = new ArticleNames(PriceStore.Articles(connection, supplier), terms.Articles, new Pantry(ingredients.Values.Where(one => !one.IsRetired)));
        var (offers, faults) = PriceListReader.Read(table, columns, new PriceReading(bakery.Currency, today, terms.ValidFrom, sign, articles.Find));
        var book = PriceStore.Book(connection);
        var preview = Preview(book, offers, supplier, bakery.Currency, PriceOrigin.List, ingredients, recipes.Products(connection), today) with
        {
            CharacterSet = characterSet,
            Heading = [.. table.Heading.Where(name => name.Length > 0)],
            Columns = columns,
            DecimalSign = sign,
            Unknown = [.. offers.Where(offer => offer.IngredientId is null && !articles.IsPassedOver(offer.Article)).Select(offer => offer.Article).Distinct().Take(MostUnknownShown)],
            PassedOver = offers.Count(offer => offer.IngredientId is null),
            Faults = [.. faults.Take(MostUnknownShown).Select(one => new ListFaultAnswer(one.Field, one.Message))],
        };
        if (!request.Keep) return TypedResults.Ok(preview);
        if (faults.Count > 0) return FieldProblems.Of(faults.Take(MostUnknownShown));
        if (preview.Changes.Count == 0) return FieldProblems.Of(("file", "No article of the list is one of the ingredients: say which is which."));
        var taken = Take(transaction, book, offers, supplier, bakery.Currency, PriceOrigin.List);
        PriceWriter.Remember(transaction, supplier, JsonSerializer.Serialize(columns), sign, articles.Said);
        var answer = preview with { Taken = taken, IsKept = true };
        once.Remember(transaction, answer, clock.Now);
        transaction.Commit();
        feed.Publish("ingredients");
        return TypedResults.Ok(answer);
    }

    private static async Task<Results<Ok<PriceListAnswer>, ValidationProblem, ProblemHttpResult>> AskFeed(
        FeedRequest request, Database database, BakeryClock clock, ChangeFeed feed, RecipeShelf recipes, ISupplierFeed service, CancellationToken cancellation)
    {
        LocalDate today;
        string? supplier;
        using (var connection = database.Open())
        {
            if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
            today = clock.Today(bakery.Zone);
            supplier = PriceStore.FindSupplier(connection, request.Supplier?.Trim() ?? string.Empty)?.Name;
        }

        if (supplier is null) return FieldProblems.Of(("supplier", "There is no such supplier. A service is asked of one whose prices are known."));
        // Outside any change: a service may take its time.
        var offers = await service.OffersAsync(supplier, today, cancellation);
        using var transaction = database.Begin();
        if (BakeryStore.Find(transaction.Connection) is not { } present) return Days.NoBakery();
        var ingredients = IngredientStore.All(transaction.Connection);
        var book = PriceStore.Book(transaction.Connection);
        var answer = Preview(book, offers, supplier, present.Currency, PriceOrigin.Feed, ingredients, recipes.Products(transaction.Connection), today) with { IsMadeUp = service.IsStandIn };
        if (!request.Keep) return TypedResults.Ok(answer);
        var taken = Take(transaction, book, offers, supplier, present.Currency, PriceOrigin.Feed);
        transaction.Commit();
        feed.Publish("ingredients");
        return TypedResults.Ok(answer with { Taken = taken, IsKept = true });
    }

    private static int Take(Transaction transaction, PriceBook book, IEnumerable<PriceOffer> offers, string supplier, string currency, PriceOrigin origin)
    {
        Price[] news = [.. PriceChange.Of(book, offers, supplier, currency, origin).Where(change => !change.IsNoNews).Select(change => change.Now)];
        foreach (var price in news) PriceWriter.Add(transaction, price, becomesUsual: false);
        return news.Length;
    }

    private static PriceListAnswer Preview(
        PriceBook book, IReadOnlyList<PriceOffer> offers, string supplier, string currency, PriceOrigin origin, IReadOnlyDictionary<string, Ingredient> ingredients, IReadOnlyList<Core.Recipes.Product> products, LocalDate today)
    {
        var changes = PriceChange.Of(book, offers, supplier, currency, origin);
        return new PriceListAnswer(
            supplier,
            currency,
            [.. changes.Select(change => PriceAnswers.Change(change, ingredients)).OrderBy(change => change.IsNoNews).ThenByDescending(change => Math.Abs(change.ChangePercent ?? 1000))],
            PriceEffects.Of(book, [.. changes.Where(change => !change.IsNoNews).Select(change => change.Now)], products, today),
            CharacterSet: null,
            Heading: [],
            Columns: null,
            DecimalSign: null,
            Unknown: [],
            PassedOver: 0,
            Faults: [],
            IsMadeUp: false,
            Taken: 0,
            IsKept: false);
    }

    private static (PriceTable? Table, string? CharacterSet, FieldFault? Fault) Table(PriceListRequest request)
    {
        if (string.IsNullOrEmpty(request.File)) return (null, null, new FieldFault("file", "There is no file."));
        var bytes = new byte[request.File.Length];
        if (!Convert.TryFromBase64String(request.File, bytes, out var length)) return (null, null, new FieldFault("file", "The file has to be sent in base 64 (RFC 4648)."));
        if (length > LargestFile) return (null, null, new FieldFault("file", $"At most {LargestFile / 1_000_000} MB are read."));
        var text = TextOfFile.Read(bytes[..length]);
        if (text.Fault is { } unread) return (null, null, new FieldFault("file", unread));
        var (table, fault) = PriceListCsv.Read(text.Text);
        return (table, text.CharacterSet, fault);
    }
}
