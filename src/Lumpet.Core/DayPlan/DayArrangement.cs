using Lumpet.Core.Baking;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.DayPlan;

/// <summary>What the manager arranges for one day: the school of its ovens, ovens that are out, bakes that take longer.</summary>
/// <param name="School">What the ovens are planned for.</param>
/// <param name="OvensOut">Ids of ovens that are not used, each once.</param>
/// <param name="LongerBakes">Minutes by which the last bake of a product takes longer, by the product's id; each at least 1.</param>
public sealed record DayArrangement(OvenSchool School, IReadOnlyList<string> OvensOut, IReadOnlyDictionary<string, int> LongerBakes)
{
    /// <summary>The most minutes by which a bake may be said to take longer.</summary>
    public const int LongestMin = 60;

    /// <summary>A day like any other.</summary>
    public static DayArrangement Usual { get; } = new(OvenSchool.FewestHotHours, [], new Dictionary<string, int>());

    /// <summary>Whether nothing is arranged.</summary>
    public bool IsUsual => School == OvenSchool.FewestHotHours && OvensOut.Count == 0 && LongerBakes.Count == 0;

    /// <summary>A day's snapshot under this arrangement.</summary>
    public DaySnapshot Applied(DaySnapshot snapshot)
    {
        var products = snapshot.Orders.Select(order => order.Product).DistinctBy(product => product.Id).ToDictionary(product => product.Id, Longer);
        return snapshot with
        {
            School = School,
            Ovens = [.. snapshot.Ovens.Where(oven => !OvensOut.Contains(oven.Id))],
            Orders = [.. snapshot.Orders.Select(order => order with { Product = products[order.Product.Id] })],
        };
    }

    private Product Longer(Product product)
    {
        if (!LongerBakes.TryGetValue(product.Id, out var minutes)) return product;
        // A size that has a time of its own has it for the pie's bake.
        var bake = SizeBake.Of(product.Process) ?? product.Process.Steps.LastOrDefault(step => step.IsBake);
        if (bake is null) return product;
        return product with
        {
            Process = product.Process with { Steps = [.. product.Process.Steps.Select(step => step.Id == bake.Id ? step with { Stages = Longer(step.Stages, minutes) } : step)] },
            Sizes = [.. product.Sizes.Select(size => size.Bake is { } own ? size with { Bake = new SizeBake(own.Least + minutes, own.Most + minutes) } : size)],
        };
    }

    /// <summary>The last stage takes longer, whose end is what one waits for.</summary>
    private static IReadOnlyList<BakeStage> Longer(IReadOnlyList<BakeStage> stages, int minutes) =>
        [.. stages.SkipLast(1), stages[^1] with { MinMin = stages[^1].MinMin + minutes, MaxMin = stages[^1].MaxMin + minutes }];
}
