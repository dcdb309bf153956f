using Lumpet.Core.Bakery;
using Lumpet.Core.Costing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.Bills;

/// <summary>What so many pies of one product cost where they are made by themselves.</summary>
/// <param name="Run">What it takes.</param>
/// <param name="Ingredients">What goes into the pies, with boxes and labels; null while a price is missing.</param>
/// <param name="Unused">What is made or opened beyond that, and thrown away unless somebody has a use for it; empty where everything comes out even.</param>
/// <param name="Hands">What hands cost; null where they are not counted.</param>
/// <param name="Oven">The oven that bakes them for least; null where none does, or none has a price.</param>
/// <param name="OvenMin">Minutes for which that oven is on, its heating up among them; 0 without one.</param>
/// <param name="Heat">What that costs; null where it is not counted.</param>
public sealed record RunCost(LoneRun Run, Money? Ingredients, IReadOnlyList<LeftOver> Unused, Money? Hands, Oven? Oven, int OvenMin, Money? Heat)
{
    // Where an oven begins.
    private const int RoomC = 20;

    /// <summary>Pies.</summary>
    public int Count => Run.Scaled.Count;

    /// <summary>What of it nobody will eat costs; null while a price is missing.</summary>
    public Money? Left => Ingredients is not { } food || Unused.Any(left => left.Cost is null) ? null
        : food with { Amount = Unused.Sum(left => left.Cost!.Value.Amount) };

    /// <summary>Everything that is counted; null while a price is missing.</summary>
    public Money? Total => Ingredients is { } food && Left is { } left
        ? food with { Amount = food.Amount + left.Amount + (Hands?.Amount ?? 0) + (Heat?.Amount ?? 0) }
        : null;

    /// <summary>What a run costs.</summary>
    /// <param name="run">What it takes.</param>
    /// <param name="prices">The prices in force.</param>
    /// <param name="bakery">What hands and ovens cost there.</param>
    public static RunCost Of(LoneRun run, PriceList prices, BakeryRecord bakery)
    {
        var (oven, minutes) = Cheapest(run, bakery);
        return new RunCost(
            run,
            PieCost.Of(run.Scaled, prices).Total is { } one ? one * run.Scaled.Count : null,
            [.. Batches(run, prices).Concat(Opened(run.Scaled, prices))],
            bakery.HandsHourPrice is { } hour ? new Money(hour * run.AllHandsMin / 60, bakery.Currency) : null,
            oven,
            minutes,
            oven?.HourPrice is { } hot ? new Money(hot * minutes / 60, bakery.Currency) : null);
    }

    /// <summary>What it costs to make one pie, two, three and so on, each by themselves.</summary>
    /// <param name="product">The product.</param>
    /// <param name="pan">Its pan.</param>
    /// <param name="most">The most pies, at least 1.</param>
    /// <param name="prices">The prices in force.</param>
    /// <param name="bakery">Its mixer, and what hands and ovens cost there.</param>
    public static IReadOnlyList<RunCost> UpTo(Product product, Pan pan, int most, PriceList prices, BakeryRecord bakery) =>
        [.. Enumerable.Range(1, most).Select(count => Of(LoneRun.Of(product, pan, count, bakery.Mixer), prices, bakery))];

    /// <summary>The fewest pies that earn what making them costs; null where none of those looked at do, or a price is missing.</summary>
    /// <param name="runs">One pie, two, three and so on.</param>
    /// <param name="perPie">What a pie brings, tax and fees taken off.</param>
    /// <exception cref="InvalidOperationException">It is brought in another currency than it is paid in.</exception>
    public static int? PaysFrom(IEnumerable<RunCost> runs, Money perPie) =>
        runs.FirstOrDefault(run => run.Total is { } total && (total + (perPie * -run.Count)).Amount <= 0)?.Count;

    /// <summary>What bowls and batches make beyond what is taken of them.</summary>
    private static IEnumerable<LeftOver> Batches(LoneRun run, PriceList prices) =>
        from batch in run.Batches
        where batch.Surplus.Grams > LeftOver.Hair
        group batch by batch.Made.Id into same
        let mass = Mass.FromGrams(same.Sum(batch => batch.Surplus.Grams))
        select LeftOver.Of(same.First().Made, mass, prices);

    /// <summary>What is left of the last egg and the last tin that go straight into the pies; batches of doughs and preparations count their own.</summary>
    private static IEnumerable<LeftOver> Opened(ScaledProduct scaled, PriceList prices) =>
        from pieces in WholePieces.In(scaled)
        where scaled.Parts.Any(part => part.Kind != PartKind.Dough && part.Lines.Contains(pieces.Line)) && pieces.Line.Line.Ingredient.Formula is null
        let left = Math.Ceiling(pieces.Exact - 1e-9) - pieces.Exact
        where left > 1e-9
        let bought = pieces.Line.Line.Yield.AsPurchased(Mass.FromGrams(pieces.GramsOfOne * left))
        where bought.Grams > LeftOver.Hair
        select LeftOver.Of(pieces.Line.Line.Ingredient, bought, prices);

    private static (Oven? Oven, int Minutes) Cheapest(LoneRun run, BakeryRecord bakery)
    {
        LoneBake[] bakes = [.. run.AllBakes];
        if (bakes.Length == 0) return (null, 0);
        var (least, most) = (bakes.Min(bake => bake.Celsius.Least), bakes.Max(bake => bake.Celsius.Most));
        return bakery.Ovens.Where(oven => oven.HourPrice is not null && oven.MinC <= least + bakery.ToleranceC && oven.MaxC >= most - bakery.ToleranceC)
            .Select(oven => ((Oven?)oven, Minutes: OnMinutes(oven, bakes, most)))
            .OrderBy(one => one.Item1!.HourPrice * one.Minutes).FirstOrDefault();
    }

    /// <summary>Heating up once, then load after load.</summary>
    private static int OnMinutes(Oven oven, IReadOnlyList<LoneBake> bakes, int most) =>
        ((most - RoomC + oven.HeatCPerMin - 1) / oven.HeatCPerMin) + bakes.Sum(bake => (bake.Trays + oven.Shelves - 1) / oven.Shelves * bake.Minutes);
}

/// <summary>Something that is made or opened and not taken.</summary>
/// <param name="Ingredient">What.</param>
/// <param name="Mass">How much.</param>
/// <param name="Cost">What it has cost; null where a price is missing.</param>
public sealed record LeftOver(Ingredient Ingredient, Mass Mass, Money? Cost)
{
    /// <summary>Grams below which nothing is left: rounding.</summary>
    internal const double Hair = 0.5;

    /// <summary>What is left of something, at what it costs.</summary>
    internal static LeftOver Of(Ingredient ingredient, Mass mass, PriceList prices) =>
        new(ingredient, mass, prices.OfGram(ingredient) is { } gram ? gram * (decimal)mass.Grams : null);
}
