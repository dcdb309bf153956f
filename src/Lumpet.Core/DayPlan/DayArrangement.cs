using Lumpet.Core.Baking;
using Lumpet.Core.Orders;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.DayPlan;

/// <summary>What the manager arranges for one day: the school of its ovens, ovens that are out, bakes that take longer, hands, and products made by another school.</summary>
/// <param name="School">What the ovens are planned for.</param>
/// <param name="OvensOut">Ids of ovens that are not used, each once.</param>
/// <param name="LongerBakes">Minutes by which the last bake of a product takes longer, by the product's id; each at least 1.</param>
public sealed record DayArrangement(OvenSchool School, IReadOnlyList<string> OvensOut, IReadOnlyDictionary<string, int> LongerBakes)
{
    /// <summary>Pairs of hands that are there beside those of the week, in every shift that says how many it has.</summary>
    public int MoreHands { get; init; }

    /// <summary>The most pairs of hands more.</summary>
    public const int MostMoreHands = 6;

    /// <summary>By how many minutes the crew of the first shift begins earlier.</summary>
    public int EarlierMin { get; init; }

    /// <summary>The most minutes earlier.</summary>
    public const int EarliestMin = 480;

    /// <summary>Pairs of hands that are there between the shifts of the day, and from the last of them to the last pick-up, when nobody would be.</summary>
    public int BetweenHands { get; init; }

    /// <summary>The most pairs of hands between the shifts.</summary>
    public const int MostBetweenHands = 6;

    /// <summary>The most minutes by which a bake may be said to take longer.</summary>
    public const int LongestMin = 60;

    /// <summary>Products made by another school than their recipe says; of one product at most one at a place.</summary>
    public IReadOnlyList<DaySchool> Schools { get; init; } = [];

    /// <summary>Pies that are ordered for the day and are not planned; whoever gathers the day takes their orders out.</summary>
    public IReadOnlyList<LeftOutLot> LeftOut { get; init; } = [];

    /// <summary>A day like any other.</summary>
    public static DayArrangement Usual { get; } = new(OvenSchool.FewestHotHours, [], new Dictionary<string, int>());

    /// <summary>Whether nothing is arranged.</summary>
    public bool IsUsual => School == OvenSchool.FewestHotHours && OvensOut.Count == 0 && LongerBakes.Count == 0 && MoreHands == 0 && EarlierMin == 0 && BetweenHands == 0 && Schools.Count == 0 && LeftOut.Count == 0;

    /// <summary>A day's snapshot under this arrangement; it begins as early as it should already.</summary>
    public DaySnapshot Applied(DaySnapshot snapshot)
    {
        var products = snapshot.Orders.Select(order => order.Product).DistinctBy(product => product.Id).ToDictionary(product => product.Id, Applied);
        return snapshot with
        {
            Stock = DaySchool.Fitting(snapshot.Stock, products, Schools),
            School = School,
            Shifts = WithMore(snapshot.Shifts),
            OvensWatched = WithMore(snapshot.OvensWatched),
            Ovens = [.. snapshot.Ovens.Where(oven => !OvensOut.Contains(oven.Id))],
            Orders = [.. snapshot.Orders.Select(order => order with { Product = products[order.Product.Id] })],
        };
    }

    /// <summary>A product as it is made on this day: what its recipe does not offer any more changes nothing.</summary>
    public Product Applied(Product product) => Longer(DaySchool.MadeBy(product, Schools));

    private IReadOnlyList<DayShift> WithMore(IReadOnlyList<DayShift> shifts) => MoreHands == 0 ? shifts : [.. shifts.Select(shift => shift with { People = shift.People + MoreHands })];

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
