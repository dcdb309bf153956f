using Lumpet.Core.Recipes;
using Lumpet.Server.Bakery;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Orders;
using Microsoft.AspNetCore.Http.HttpResults;
using NodaTime;

namespace Lumpet.Server.Orders;

/// <summary>The bakery, and the days that have orders.</summary>
internal static class OverviewEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes) =>
        routes.MapGet("/api/bakery", Get).WithName("GetBakery").WithSummary("The bakery, its products, and the days that have orders.");

    private static Ok<BakeryAnswer> Get(Database database, BakeryClock clock, RecipeShelf recipes)
    {
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery)
            return TypedResults.Ok(new BakeryAnswer(false, string.Empty, string.Empty, Days.Iso(clock.Today(DateTimeZone.Utc)), [], []));
        var today = clock.Today(bakery.Zone);
        var days = OrderStore.Days(connection, today);
        var products = recipes.Products(connection);
        var marks = VentMarks.Of(products.Select(product => product.Name).Take(VentMarks.Most));
        return TypedResults.Ok(new BakeryAnswer(
            true,
            bakery.Name,
            bakery.Currency,
            Days.Iso(days.Count > 0 ? days[0].Day : today.PlusDays(1)),
            [.. days.Select(day => new DayAnswer(Days.Iso(day.Day), Days.Name(day.Day), day.Pies))],
            [.. products.Where(product => !product.IsRetired).Select(product => new ProductChoice(
                product.Id, product.Name, product.ReferencePan.Id, [.. product.Sizes.Select(size => new PanChoice(size.Pan.Id, size.Pan.Name))], marks.GetValueOrDefault(product.Name) ?? []))]));
    }
}

/// <summary>The bakery as every screen needs it.</summary>
/// <param name="IsSetUp">Whether a bakery has been set up in this database.</param>
/// <param name="Name">Its name.</param>
/// <param name="Currency">ISO 4217 code.</param>
/// <param name="NextDay">The next day with orders, or tomorrow.</param>
/// <param name="Days">Days from today on that have orders.</param>
/// <param name="Products">What is made, in which pans.</param>
public sealed record BakeryAnswer(
    bool IsSetUp, string Name, string Currency, string NextDay, IReadOnlyList<DayAnswer> Days, IReadOnlyList<ProductChoice> Products);

/// <summary>A day with orders.</summary>
/// <param name="Day">ISO date.</param>
/// <param name="Name">As people say it.</param>
/// <param name="Pies">Pies ordered for it.</param>
public sealed record DayAnswer(string Day, string Name, int Pies);

/// <summary>A product that can be ordered.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="ReferencePan">The pan for which it is written.</param>
/// <param name="Pans">Its pans.</param>
/// <param name="Mark">Its vent mark: strokes in a circle of radius 1.</param>
public sealed record ProductChoice(string Id, string Name, string ReferencePan, IReadOnlyList<PanChoice> Pans, IReadOnlyList<VentStroke> Mark);

/// <summary>A pan that can be chosen.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
public sealed record PanChoice(string Id, string Name);
