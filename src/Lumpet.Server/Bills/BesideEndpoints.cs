using Lumpet.Core;
using Lumpet.Core.Bakery;
using Lumpet.Core.Bills;
using Lumpet.Core.Costing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using Lumpet.Server.Bakery;
using Lumpet.Server.Costing;
using Lumpet.Server.Faults;
using Lumpet.Server.Prices;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Prices;
using Lumpet.Store.Recipes;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Data.Sqlite;

namespace Lumpet.Server.Bills;

/// <summary>Ways of making a product beside each other, and what brings it under its aim.</summary>
internal static class BesideEndpoints
{
    private const int MostPies = 500;
    private const int UsualPies = 12;
    private const int MostVersions = 5;

    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes) =>
        routes.MapGet("/api/costs/{product}/{pan}/beside", Get).WithName("GetCostsBeside").WithSummary("What a product costs as it is made, in its other pans, of other doughs, by other schools and earlier versions, side by side; and the cheapest change that brings it under its aim.");

    private static Results<Ok<BesideAnswer>, ValidationProblem, ProblemHttpResult> Get(
        string product, string pan, int? count, string? channel, Database database, BakeryClock clock, PriceShelf books, RecipeShelf recipes)
    {
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        if (count is < 1 or > MostPies) return FieldProblems.Of(("count", $"A run is of 1 to {MostPies} pies."));
        if (recipes.Products(connection).FirstOrDefault(one => one.Id == product) is not { } found || found.SizeIn(pan) is not { } size) return TypedResults.Problem(title: "There is no such product in such a pan.", statusCode: 404);
        var channels = ChannelStore.All(connection);
        if ((string.IsNullOrEmpty(channel) ? channels[0] : channels.FirstOrDefault(one => one.Id == channel)) is not { } sold) return FieldProblems.Of(("channel", "Nothing is sold in such a way."));
        var today = clock.Today(bakery.Zone);
        var book = books.Of(connection);
        var ways = CostWay.Of(found, size.Pan, Doughs(connection), Earlier(connection, found));
        var prices = book.On(today);
        var pies = count ?? UsualPies;
        CostWayAnswer[] rows = [.. ways.Select(way => Answer(way, pies, prices, bakery)).OfType<CostWayAnswer>()];
        rows = [.. rows.Select((row, at) => at == 0 || row.Kind == Naming.Of(CostWayKind.Pan) ? row : row with { More = row.Total - rows[0].Total })];
        var changes = CostChange.Of(found, size.Pan, ways, book, today, sold);
        var aim = sold.FoodCostShare * 100;
        return TypedResults.Ok(new BesideAnswer(
            pies,
            bakery.Currency,
            sold.Name,
            aim,
            Sentence(changes, PieCost.Of(Scaling.Scale(found, size.Pan, 1), prices), sold),
            rows,
            [.. changes.Select(one => new CostChangeAnswer(Naming.Of(one.Kind), Words(one), CostPages.Coins(one.Cost)!.Value, CostPages.Coins(one.Price)!.Value, Math.Round(one.Share * 100, 1), one.Share <= sold.FoodCostShare))]));
    }

    private static DoughFormula[] Doughs(SqliteConnection connection)
    {
        var ingredients = IngredientStore.All(connection).Values.ToArray();
        return [.. RecipeStore.Doughs(ingredients).OrderBy(dough => dough.Name, StringComparer.OrdinalIgnoreCase)];
    }

    /// <summary>Earlier versions as they would be made with what the bakery has now; those that cannot be read any more are left out.</summary>
    private static IEnumerable<(int Number, Product Product)> Earlier(SqliteConnection connection, Product product)
    {
        var read = new Lazy<Func<Core.Recipes.Writing.ProductDraft, (Product? Product, IReadOnlyList<FieldFault> Faults)>>(() => RecipeSaving.Reading(connection, product.Id));
        foreach (var version in RecipeVersions.OfProduct(connection, product.Id).Where(version => version.Number < product.Version).Take(MostVersions))
            if (RecipeVersions.FindProduct(connection, product.Id, version.Number) is { } kept && read.Value(kept.Draft).Product is { } made) yield return (version.Number, made with { Id = product.Id });
    }

    private static CostWayAnswer? Answer(CostWay way, int pies, PriceList prices, BakeryRecord bakery)
    {
        LoneRun run;
        try
        {
            run = LoneRun.Of(way.Product, way.Pan, pies, bakery.Mixer);
        }
        catch (ArgumentException)
        {
            // A pan that is too small for what the recipe puts into it is no way.
            return null;
        }

        var cost = RunCost.Of(run, prices, bakery);
        // Rounded together, so that what is shown adds up.
        var parts = SharedRounding.Round([PerPie(cost.Ingredients), PerPie(cost.Left), PerPie(cost.Hands), PerPie(cost.Heat)], Money.SmallestCoin(bakery.Currency));
        decimal PerPie(Money? money) => (money?.Amount ?? 0) / pies;
        var grams = (decimal)(run.Scaled.Pieces.Sum(piece => piece.Mass.Grams) + run.Scaled.Parts.Where(part => part.Kind != PartKind.Dough).Sum(part => part.PerPie.Grams));
        decimal? total = cost.Total is null ? null : parts.Sum();
        var selling = way.Product.SizeIn(way.Pan.Id)?.SellingPrice is { Amount: > 0 } price && price.Currency == bakery.Currency ? price : (Money?)null;
        return new CostWayAnswer(
            Naming.Of(way.Kind),
            way.Name,
            way.Pan.Id,
            cost.Ingredients is null ? null : parts[0],
            cost.Left is null ? null : parts[1],
            cost.Hands is null ? null : parts[2],
            cost.Heat is null ? null : parts[3],
            total,
            null,
            cost.Total is { } all && grams > 0 ? Math.Round(all.Amount / pies / grams * 1000, 2) : null,
            selling is { } sells && cost.Ingredients is { } food ? Math.Round(food.Amount / pies / sells.Amount * 100, 1) : null);
    }

    private static string Sentence(IReadOnlyList<CostChange> changes, PieCost cost, Channel sold)
    {
        var aim = FormattableString.Invariant($"the {sold.FoodCostShare * 100:0.#} % aimed at ({sold.Name})");
        if (cost.FoodCostShare is not { } share) return "While a price is missing nothing can be laid beside its aim.";
        if (changes.Count == 0) return FormattableString.Invariant($"Ingredients take {share * 100:0.0} % of the price, within {aim}: nothing has to change.");
        var best = changes[0];
        return FormattableString.Invariant($"Ingredients take {share * 100:0.0} % of the price, more than {aim}. The cheapest change: {Words(best)}, and they take {best.Share * 100:0.0} %.");
    }

    private static string Words(CostChange change) => change.Kind switch
    {
        CostChangeKind.Supplier => $"{change.What} from {change.With}",
        CostChangeKind.AllSuppliers => "everything from where it is cheapest",
        CostChangeKind.Dough => $"made of {change.What}",
        CostChangeKind.Version => $"made as in {change.What}",
        _ => FormattableString.Invariant($"sold for {CostPages.Coins(change.Price):0.00} before tax"),
    };
}

/// <summary>Ways of making a product side by side.</summary>
/// <param name="Count">How many pies each is reckoned for, made by themselves.</param>
/// <param name="Currency">ISO 4217 code.</param>
/// <param name="Channel">Where it is sold.</param>
/// <param name="AimPercent">What ingredients are to take of the price there at most.</param>
/// <param name="Sentence">Whether it is within its aim, and the cheapest change where it is not.</param>
/// <param name="Ways">As it is first, then every other way.</param>
/// <param name="Changes">What makes ingredients take less of the price, the cheapest that reaches the aim first; empty where it is within it.</param>
public sealed record BesideAnswer(int Count, string Currency, string Channel, decimal AimPercent, string Sentence, IReadOnlyList<CostWayAnswer> Ways, IReadOnlyList<CostChangeAnswer> Changes);

/// <summary>A way of making it; figures are of one pie.</summary>
/// <param name="Kind">"asItIs", "pan", "dough", "school" or "version".</param>
/// <param name="Name">What is other.</param>
/// <param name="Pan">Id of the pan.</param>
/// <param name="Ingredients">What goes into it; null while a price is missing.</param>
/// <param name="Left">What is left over; null while a price is missing.</param>
/// <param name="Hands">Hands; null where they are not counted.</param>
/// <param name="Heat">Heat; null where it is not counted.</param>
/// <param name="Total">Everything that is counted; null while a price is missing.</param>
/// <param name="More">What that is more than as it is made now; null of another pan, and where either is not known.</param>
/// <param name="PerKilogram">That by the kilogram of what goes into the pie, so that pans can be compared.</param>
/// <param name="SharePercent">Ingredients over the price that is set for that pan; null where none is.</param>
public sealed record CostWayAnswer(string Kind, string Name, string Pan, decimal? Ingredients, decimal? Left, decimal? Hands, decimal? Heat, decimal? Total, decimal? More, decimal? PerKilogram, decimal? SharePercent);

/// <summary>A change that makes ingredients take less of the price.</summary>
/// <param name="Kind">"supplier", "allSuppliers", "dough", "version" or "price".</param>
/// <param name="Words">What is changed.</param>
/// <param name="Cost">What the ingredients of a pie cost then.</param>
/// <param name="Price">What it sells for then, before tax.</param>
/// <param name="SharePercent">Ingredients over price then.</param>
/// <param name="Reaches">Whether that is within the aim.</param>
public sealed record CostChangeAnswer(string Kind, string Words, decimal Cost, decimal Price, decimal SharePercent, bool Reaches);
