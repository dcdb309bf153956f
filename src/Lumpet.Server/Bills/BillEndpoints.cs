using System.Globalization;
using System.Text;
using CsvHelper;
using Lumpet.Server.Bakery;
using Lumpet.Server.DayPlan;
using Lumpet.Server.Faults;
using Lumpet.Server.Prices;
using Lumpet.Server.Recipes;
using Lumpet.Server.Stock;
using Lumpet.Server.Tables;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Bills;

/// <summary>What days cost by their plans, and bring.</summary>
internal static class BillEndpoints
{
    // A week is planned while someone waits; more is no bill but a report.
    private const int MostDays = 7;

    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/bills/{day}", Get).WithName("GetBill").WithSummary("What a day, or several from a day on, cost by their plans and bring: by product, by customer and by day, with what was really taken.");
        routes.MapGet("/api/bills/{day}/bill.csv", Csv).WithName("GetBillCsv").WithSummary("The same by product as comma-separated values.");
    }

    private static async Task<Results<Ok<BillAnswer>, ValidationProblem>> Get(
        string day, int? days, string? @for, Database database, PlanShelf shelf, BakeryClock clock, PriceShelf books, RecipeShelf recipes, CancellationToken waiting)
    {
        var (answer, refused) = await OfAsync(day, days, @for, database, shelf, clock, books, recipes, waiting);
        return answer is not null ? TypedResults.Ok(answer) : refused!;
    }

    private static async Task<Results<ContentHttpResult, ValidationProblem>> Csv(
        string day, int? days, string? @for, Database database, PlanShelf shelf, BakeryClock clock, PriceShelf books, RecipeShelf recipes, CancellationToken waiting)
    {
        var (answer, refused) = await OfAsync(day, days, @for, database, shelf, clock, books, recipes, waiting);
        if (answer is null) return refused!;
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using var csv = new CsvWriter(text, CultureInfo.InvariantCulture);
        foreach (var column in new[] { "product", "detail", "pies", "revenue", "ingredients", "hands", "ovens", "left", "currency" }) csv.WriteField(column);
        csv.NextRecord();
        foreach (var row in answer.Products.Concat(answer.Shared).Append(answer.Totals))
        {
            csv.WriteField(CellGuard.Write(row.Name));
            csv.WriteField(CellGuard.Write(row.Detail));
            csv.WriteField(row.Pies);
            foreach (var amount in new[] { row.Revenue, row.Ingredients, row.Hands, row.Heat, row.Contribution }) csv.WriteField(amount);
            csv.WriteField(CellGuard.Write(answer.Currency));
            csv.NextRecord();
        }

        csv.Flush();
        return TypedResults.Text(text.ToString(), "text/csv", Encoding.UTF8);
    }

    private static async Task<(BillAnswer? Answer, ValidationProblem? Refused)> OfAsync(
        string day, int? days, string? customer, Database database, PlanShelf shelf, BakeryClock clock, PriceShelf books, RecipeShelf recipes, CancellationToken waiting)
    {
        if (Days.Read(day) is not { } first) return (null, Days.NoDay());
        if (days is < 1 or > MostDays) return (null, FieldProblems.Of(("days", $"A bill is of 1 to {MostDays} days.")));
        if (customer is { Length: > Core.Orders.OrderLine.LongestFor }) return (null, FieldProblems.Of(("for", "Nobody with so long a name has ordered.")));
        var (count, who) = (days ?? 1, string.IsNullOrEmpty(customer) ? null : customer);
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return (null, Days.NoBakery());
        var (billed, batches) = (new List<BilledDay>(), new List<DayOfBatches>());
        for (var at = 0; at < count; at++)
        {
            if (await BilledDay.OfAsync(first.PlusDays(at), database, shelf, clock, books, waiting) is not { } one) continue;
            billed.Add(one);
            // What is entered is told by the plan that is followed, also where the bill is of all the day.
            if (who is null && one.Bill is not null && DayBook.Open(connection, one.Book.Day, clock) is { } followed) batches.Add(await DayOfBatches.OfAsync(followed, shelf, connection, waiting));
        }

        var entered = batches.Count == 0 ? null : EnteredCosts.Of(batches, connection, Storeroom.Read(connection, recipes.Products(connection)).Names, books);
        return (BillPages.Of(billed, first, count, bakery.Currency, bakery.HandsHourPrice is not null, who, entered), null);
    }
}
