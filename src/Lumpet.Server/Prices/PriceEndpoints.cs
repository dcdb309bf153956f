using System.Globalization;
using CsvHelper;
using Lumpet.Core.Prices;
using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Server.Tables;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Prices;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Lumpet.Server.Prices;

/// <summary>What suppliers ask, now and before, and from whom things are usually bought.</summary>
internal static class PriceEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/prices", List).WithName("GetPrices").WithSummary("Of every ingredient the price in force, what other suppliers ask, and the suppliers.");
        routes.MapGet("/api/prices/{ingredient}", History).WithName("GetPriceHistory").WithSummary("Every price of an ingredient, and since when which of them counts.");
        routes.MapGet("/api/prices/prices.csv", Export).WithName("ExportPrices").WithSummary("The prices in force as comma-separated values.").Produces<string>(200, "text/csv");
        routes.MapPost("/api/prices", Add).WithName("AddPrice").WithSummary("Adds a price. What stood before stays; a slip is corrected by another price for the same day.");
        routes.MapPost("/api/prices/usual", MakeUsual).WithName("MakeSupplierUsual").WithSummary("Says from whom an ingredient is bought from a day on: costs follow that supplier's prices.");
    }

    private static Results<Ok<PricesAnswer>, ValidationProblem> List(Database database, BakeryClock clock, PriceShelf books)
    {
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        var (book, today, used) = (books.Of(connection), clock.Today(bakery.Zone), IngredientStore.UsedIn(connection));
        var list = book.On(today);
        return TypedResults.Ok(new PricesAnswer(
            bakery.Currency,
            Days.Iso(today),
            [
                .. IngredientStore.All(connection).Values.Where(one => !one.IsDough && !one.IsRetired && (one.Formula is null || book.Of(one.Id).Count > 0))
                    .OrderBy(one => one.Name, StringComparer.OrdinalIgnoreCase).Select(one => PriceAnswers.Priced(one, book, list, today, used.GetValueOrDefault(one.Id))),
            ],
            [.. PriceStore.Suppliers(connection).Select(one => one.Name)]));
    }

    private static Results<Ok<PriceHistoryAnswer>, ValidationProblem, ProblemHttpResult> History(string ingredient, Database database, BakeryClock clock, PriceShelf books)
    {
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        if (!IngredientStore.All(connection).TryGetValue(ingredient, out var one) || one.IsDough) return TypedResults.Problem(title: "There is no such ingredient.", statusCode: 404);
        return TypedResults.Ok(PriceAnswers.History(one, books.Of(connection), bakery.Currency, clock.Today(bakery.Zone)));
    }

    private static Results<ContentHttpResult, ValidationProblem> Export(Database database, BakeryClock clock, PriceShelf books)
    {
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        var (ingredients, prices) = (IngredientStore.All(connection), books.Of(connection).On(clock.Today(bakery.Zone)));
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using var csv = new CsvWriter(text, CultureInfo.InvariantCulture);
        foreach (var column in (string[])["article", "pack", "price", "currency", "valid from", "supplier"]) csv.WriteField(column);
        csv.NextRecord();
        foreach (var (one, price) in ingredients.Values.OrderBy(one => one.Name, StringComparer.OrdinalIgnoreCase).Select(one => (one, prices.Find(one.Id))))
        {
            if (price is null) continue;
            csv.WriteField(CellGuard.Write(one.Name));
            csv.WriteField(CellGuard.Write(PriceWords.Pack(price)));
            csv.WriteField(price.Paid.Amount);
            csv.WriteField(price.Paid.Currency);
            csv.WriteField(Days.Iso(price.ValidFrom));
            csv.WriteField(CellGuard.Write(price.Supplier));
            csv.NextRecord();
        }

        csv.Flush();
        return TypedResults.Text(text.ToString(), "text/csv", System.Text.Encoding.UTF8);
    }

    private static Results<NoContent, ValidationProblem> Add(
        TypedPrice request, [FromHeader(Name = "Idempotency-Key")] string? key, Database database, BakeryClock clock, ChangeFeed feed)
    {
        using var transaction = database.Begin();
        var once = OnceOnly.Of("price", key, request);
        var (before, refused) = once.Answered<Taken>(transaction);
        if (refused is not null) return refused;
        if (before is not null) return TypedResults.NoContent();
        var connection = transaction.Connection;
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        var (price, faults) = request.Read(IngredientStore.All(connection), bakery.Currency, clock.Today(bakery.Zone));
        if (price is null) return FieldProblems.Of(faults);
        PriceWriter.Add(transaction, price, request.IsUsual);
        once.Remember(transaction, new Taken(true), clock.Now);
        transaction.Commit();
        feed.Publish("ingredients");
        return TypedResults.NoContent();
    }

    private static Results<NoContent, ValidationProblem> MakeUsual(UsualSupplierRequest request, Database database, BakeryClock clock, ChangeFeed feed)
    {
        using var transaction = database.Begin();
        var connection = transaction.Connection;
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        var (usual, faults) = UsualSupplierReader.Read(request.Ingredient, request.Supplier, request.ValidFrom, PriceStore.Book(connection), clock.Today(bakery.Zone));
        if (usual is null) return FieldProblems.Of(faults);
        PriceWriter.MakeUsual(transaction, usual);
        transaction.Commit();
        feed.Publish("ingredients");
        return TypedResults.NoContent();
    }

    private sealed record Taken(bool IsTaken);
}

/// <summary>From whom an ingredient is bought.</summary>
/// <param name="Ingredient">Id of the ingredient.</param>
/// <param name="Supplier">Its name; it has asked a price for the ingredient.</param>
/// <param name="ValidFrom">From which day on (ISO date); null for today.</param>
public sealed record UsualSupplierRequest(string? Ingredient, string? Supplier, string? ValidFrom);
