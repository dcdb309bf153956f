namespace Lumpet.Core.Baking.Planning;

/// <summary>What a plan costs, and from what on the one that is being made is too dear to be gone on with.</summary>
internal sealed partial class PlanSearch
{
    /// <summary>Times an unplaced pie more than anything that pies can cost: none is left out to save heat.</summary>
    private const long PerUnplacedPie = 100_000_000_000;

    // Up to what cost the plan that is being made is gone on from, what its trays come to so far, and whether that is too much already.
    private long bearable;
    private long costOfTrays;
    private bool isTooDear;

    /// <summary>Says up to what cost the next plan is gone on from: a little more than the present one's, while a cycle is warm.</summary>
    private void Bear(double warmth) =>
        bearable = currentCost == long.MaxValue ? long.MaxValue : currentCost + (long)((currentCost % PerUnplacedPie) * WorseAtFirst * warmth * warmth * dice.Next(1000) / 1000);

    private long CostOf(TrayPath?[] plan)
    {
        var cost = CostOfOvens;
        foreach (var tray in trays.All) cost += plan[tray.Index] is { } path ? CostOf(tray, path) : CostOfNone(tray);
        return cost;
    }

    private static long CostOfNone(PlanTray tray) => PerUnplacedPie * tray.Pies;

    private long CostOfOvens
    {
        get
        {
            var cost = 10 * doors.Cost;
            foreach (var oven in ovens) cost += 10 * oven.Cost;
            return cost;
        }
    }

    private long CostOf(PlanTray tray, TrayPath path)
    {
        var late = (long)path.End - tray.Bake.DueMin;
        return late > 0 ? 10L * BakeWeights.PerTardyPieMin * tray.Pies * late : -late * tray.Pies * problem.Weights.EarlyTenths;
    }

    /// <summary>What the next tray may not come to, weighed as the search weighs it: more than that is too dear for all of them together.</summary>
    private long CostsUpTo => search.Soonest || bearable == long.MaxValue ? long.MaxValue : ((bearable - CostOfOvens - costOfTrays) * Math.Max(TraySearch.AsItCosts, search.HeatTenths) / TraySearch.AsItCosts) + 1;
}
