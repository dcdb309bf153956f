using Lumpet.Core.Bakery;
using Lumpet.Core.Bills;
using Lumpet.Core.Costing;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using Lumpet.Server.Bakery;
using Lumpet.Server.Costing;
using Lumpet.Server.DayPlan;
using Lumpet.Server.Faults;
using Lumpet.Server.Prices;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Prices;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Bills;

/// <summary>What a run of one product costs by itself, and from how many pies on it pays.</summary>
internal static class RunEndpoints
{
    private const int MostPies = 500;
    private const int LookedAt = 120;
    private static readonly int[] Steps = [1, 2, 3, 4, 6, 8, 10, 12, 16, 20, 24, 30, 36, 48, 60, 80, 100, 120];

    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes) =>
        routes.MapGet("/api/costs/{product}/{pan}/run", Get).WithName("GetRunCost").WithSummary("What so many pies of a product cost where they are made by themselves: whole bowls and batches, hands and an oven of their own.");

    private static Results<Ok<RunCostAnswer>, ValidationProblem, ProblemHttpResult> Get(string product, string pan, int? count, Database database, BakeryClock clock, PriceShelf books, RecipeShelf recipes)
    {
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        if (count is < 1 or > MostPies) return FieldProblems.Of(("count", $"A run is of 1 to {MostPies} pies."));
        if (recipes.Products(connection).FirstOrDefault(one => one.Id == product) is not { } found || found.SizeIn(pan) is not { } size) return TypedResults.Problem(title: "There is no such product in such a pan.", statusCode: 404);
        var prices = books.Of(connection).On(clock.Today(bakery.Zone));
        var runs = RunCost.UpTo(found, size.Pan, LookedAt, prices, bakery);
        var wanted = count ?? bakery.Ovens.Max(oven => oven.Shelves) * size.Pan.PerTray;
        return TypedResults.Ok(Answer(wanted <= runs.Count ? runs[wanted - 1] : RunCost.Of(LoneRun.Of(found, size.Pan, wanted, bakery.Mixer), prices, bakery), runs, size, bakery, ChannelStore.All(connection)));
    }

    private static RunCostAnswer Answer(RunCost run, IReadOnlyList<RunCost> runs, ProductSize size, BakeryRecord bakery, IReadOnlyList<Channel> channels)
    {
        var coin = Money.SmallestCoin(bakery.Currency);
        // Rounded together, so that what is shown adds up.
        var parts = SharedRounding.Round([run.Ingredients?.Amount ?? 0, run.Left?.Amount ?? 0, run.Hands?.Amount ?? 0, run.Heat?.Amount ?? 0], coin);
        decimal? total = run.Total is null ? null : parts.Sum();
        RunPaysAnswer[] pays = run.Ingredients is { } food ? [.. channels.Select(channel => Pays(channel, food * (1m / run.Count), size.SellingPrice, runs))] : [];
        return new RunCostAnswer(
            run.Count,
            bakery.Currency,
            Sentence(run, total, pays, bakery),
            run.Ingredients is null ? null : parts[0],
            run.Left is null ? null : parts[1],
            run.Run.AllHandsMin,
            run.Hands is null ? null : parts[2],
            run.Oven?.Name,
            run.OvenMin,
            run.Heat is null ? null : parts[3],
            total,
            run.Total is { } whole ? CostPages.Coins(whole * (1m / run.Count)) : null,
            [.. run.Unused.Select(left => new UnusedAnswer(left.Ingredient.Name, FormattableString.Invariant($"{left.Mass.Grams:0} g"), CostPages.Coins(left.Cost)))],
            [.. run.Run.Batches.GroupBy(batch => batch.Made.Id).Select(Words)],
            pays,
            [.. Steps.Where(step => step <= runs.Count).Select(step => runs[step - 1]).Select(one => new RunStepAnswer(one.Count, CostPages.Coins(one.Total is { } all ? all * (1m / one.Count) : null), CostPages.Coins(one.Ingredients is { } pie ? pie * (1m / one.Count) : null)))]);
    }

    private static RunPaysAnswer Pays(Channel channel, Money cost, Money? set, IReadOnlyList<RunCost> runs)
    {
        var isSet = set is { } price && price.Currency == cost.Currency;
        var charged = isSet ? channel.AtNet(cost, set!.Value) : channel.ToCharge(cost);
        var perPie = cost with { Amount = charged.Net.Amount - charged.Fee.Amount };
        return new RunPaysAnswer(channel.Name, CostPages.Coins(perPie)!.Value, isSet, RunCost.PaysFrom(runs, perPie), runs.Count);
    }

    private static string Sentence(RunCost run, decimal? total, RunPaysAnswer[] pays, BakeryRecord bakery)
    {
        if (total is not { } whole) return "While a price is missing nothing can be said of a whole run.";
        var counted = string.Join(", ", new[] { "ingredients", "what is left over", run.Hands is null ? null : "hands", run.Heat is null ? null : "heat" }.OfType<string>());
        var said = FormattableString.Invariant($"{PlanSentence.Count(run.Count, "pie")} made by themselves cost {whole:0.00} {bakery.Currency} in {counted}: {whole / run.Count:0.00} a pie.");
        if (pays.Length == 0) return said;
        var first = pays[0];
        return first.From is { } from
            ? FormattableString.Invariant($"{said} {first.Channel} pays from {PlanSentence.Count(from, "pie")} on.")
            : FormattableString.Invariant($"{said} {first.Channel} pays for none of up to {first.Most} at {first.PerPie:0.00}.");
    }

    private static string Words(IGrouping<string, LoneBatch> same)
    {
        var (made, count) = (same.First().Made, same.Count());
        var batches = made.IsDough ? PlanSentence.Count(count, "bowl") : count == 1 ? "1 batch" : $"{count} batches";
        return FormattableString.Invariant($"{made.Name}: {batches}, {same.Sum(batch => batch.Mass.Grams) / 1000:0.00} kg");
    }
}
