using Lumpet.Core.Measures;

namespace Lumpet.Core.Costing;

/// <summary>A way in which pies are sold: over the counter, wholesale, at a stall.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">What it is called.</param>
/// <param name="FoodCostShare">What ingredients are to take of the price before tax, above 0 and below 1: gross margin is what is left.</param>
/// <param name="TaxShare">Tax on top of the price, 0 to 1. Local law says how much.</param>
/// <param name="ShowsTax">Whether the price that is shown holds the tax.</param>
/// <param name="FeeShare">What whoever sells it keeps of the price before tax, 0 to below 1: a market's share, a shop's commission.</param>
/// <param name="Step">Prices are shown in steps of this, above 0: 0.50.</param>
/// <param name="Under">And by so much below a step, 0 to below a step: 0.05 makes 9.95 of 10.</param>
public sealed record Channel(string Id, string Name, decimal FoodCostShare, decimal TaxShare, bool ShowsTax, decimal FeeShare, decimal Step, decimal Under)
{
    /// <summary>Channels where nobody has said any: figures to begin with, our own (common practice, no source); no tax until someone says which.</summary>
    public static IReadOnlyList<Channel> Usual { get; } =
    [
        new("counter", "Counter", 0.30m, 0, true, 0, 0.50m, 0),
        new("wholesale", "Wholesale", 0.45m, 0, false, 0, 0.10m, 0),
        new("stall", "Market stall", 0.30m, 0, true, 0.10m, 0.50m, 0),
    ];

    /// <summary>What is to be charged for something, so that ingredients take no more than they are to.</summary>
    /// <param name="cost">What its ingredients cost; not below 0.</param>
    /// <returns>The least price that can be shown: food cost over share (culinary arithmetic: selling price = cost / food-cost share), with tax where it is shown, up to the next step.</returns>
    public ChargedPrice ToCharge(Money cost) => At(cost, PointFrom(Shown(cost.Amount / FoodCostShare)));

    /// <summary>What something earns at a price before tax.</summary>
    /// <param name="cost">What its ingredients cost.</param>
    /// <param name="net">The price before tax.</param>
    public ChargedPrice AtNet(Money cost, Money net) => At(cost, Shown(net.Amount));

    /// <summary>The least price at a step that is no lower than this.</summary>
    internal decimal PointFrom(decimal shown)
    {
        var steps = Math.Max(1, Math.Ceiling(((shown + Under) / Step) - Hair));
        return (steps * Step) - Under;
    }

    // A third is rounded at its 28th figure: what is a step but for that is that step.
    private const decimal Hair = 1e-12m;

    private decimal Shown(decimal net) => ShowsTax ? net * (1 + TaxShare) : net;

    private ChargedPrice At(Money cost, decimal shown)
    {
        var net = ShowsTax ? shown / (1 + TaxShare) : shown;
        return new ChargedPrice(cost with { Amount = shown }, cost with { Amount = net }, cost with { Amount = net * TaxShare }, cost with { Amount = net * FeeShare }, cost);
    }
}

/// <summary>A price, and where it goes.</summary>
/// <param name="Shown">What is shown to whoever buys.</param>
/// <param name="Net">Before tax.</param>
/// <param name="Tax">The tax on it.</param>
/// <param name="Fee">What whoever sells it keeps.</param>
/// <param name="Cost">What ingredients cost.</param>
public sealed record ChargedPrice(Money Shown, Money Net, Money Tax, Money Fee, Money Cost)
{
    /// <summary>What is left for hands, ovens, rent and gain; below 0 where it costs more than it brings.</summary>
    public Money Earned => Net with { Amount = Net.Amount - Fee.Amount - Cost.Amount };

    /// <summary>Food cost over the price before tax; null where it is given away.</summary>
    public decimal? FoodCostShare => Net.Amount > 0 ? Cost.Amount / Net.Amount : null;
}
