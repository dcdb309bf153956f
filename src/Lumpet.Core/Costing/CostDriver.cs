using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.Costing;

/// <summary>What an ingredient does to what a pie costs.</summary>
/// <param name="Bought">What is bought of it for one pie.</param>
/// <param name="Cost">What that costs; null where no price is known.</param>
/// <param name="Share">Of what the ingredients cost, 0 to 1; null while a price is missing.</param>
/// <param name="More">What the pie costs more when it gets dearer by <see cref="CostDrivers.Step"/>; null where no price is known.</param>
/// <param name="FoodCostShareThen">Food cost over selling price then; null where either is not known.</param>
public sealed record CostDriver(BoughtAmount Bought, Money? Cost, decimal? Share, Money? More, decimal? FoodCostShareThen);

/// <summary>What moves the cost of a pie.</summary>
public static class CostDrivers
{
    /// <summary>By how much each ingredient is made dearer to see what that does: a tenth.</summary>
    public const decimal Step = 0.10m;

    /// <summary>Everything that is bought for one pie, what costs most first, what nobody knows the price of last.</summary>
    public static IReadOnlyList<CostDriver> Of(ScaledProduct scaled, PriceList prices)
    {
        var bought = BoughtAmount.Of(scaled, prices).Select(one => (Bought: one, Cost: one.CostAt(prices))).ToArray();
        var whole = bought.All(one => one.Cost is not null) ? bought.Sum(one => one.Cost!.Value.Amount) : (decimal?)null;
        var selling = scaled.Product.SizeIn(scaled.Pan.Id)?.SellingPrice;
        return
        [
            .. bought.Select(one => new CostDriver(
                one.Bought,
                one.Cost,
                one.Cost is { } cost && whole is > 0 ? cost.Amount / whole : null,
                one.Cost is { } dear ? dear * Step : null,
                one.Cost is { } step && whole is { } total && selling is { Amount: > 0 } price && price.Currency == step.Currency ? (total + (step.Amount * Step)) / price.Amount : null))
                .OrderByDescending(one => one.Cost?.Amount ?? -1),
        ];
    }
}
