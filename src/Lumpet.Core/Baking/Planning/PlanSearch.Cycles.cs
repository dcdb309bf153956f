namespace Lumpet.Core.Baking.Planning;

/// <summary>
/// How a search goes about: in cycles, each from the plan that it is at home with. Where several cycles have found hardly anything
/// better there, it leaves for another plan, made from the best one with a large part of it put together anew: plans that are
/// good in another way are reached by no small change.
/// </summary>
internal sealed partial class PlanSearch
{
    private const int StepsInCycle = 400;

    // So many cycles without this much of the cost gained are enough; fewer where it is away from the best, for little is lost then.
    private const int DullCycles = 3;
    private const int DullCyclesAway = 1;
    private const long HardlyAnything = 1000;

    // A cycle goes on from plans that are worse by up to what so many trays cost at its beginning, and by nothing at its end;
    // measured as a share of the whole, and with bounds to it. The first cycle may be all there is time for: it wanders less.
    private const double WorseByTrays = 2;
    private const double LeastWorse = 0.02;
    private const double MostWorse = 0.08;

    // What is put together anew when it leaves, in per cent of all trays.
    private const int LeastAnew = 20;
    private const int MostAnew = 80;

    private TrayPath?[] home;
    private long homeCost;
    private long homeCostBefore = long.MaxValue;
    private int dull;

    /// <summary>Whether it is at home with another plan than the best, having left that.</summary>
    public bool IsAway { get; private set; }

    /// <summary>1 at the beginning of a cycle, down to 0 at its end.</summary>
    private double Warmth => 1 - (step % StepsInCycle / (double)StepsInCycle);

    private double WorseAtFirst => step < StepsInCycle ? LeastWorse : Math.Clamp(WorseByTrays / Math.Max(1, trays.All.Count), LeastWorse, MostWorse);

    /// <summary>Goes on from another plan, found elsewhere, where it is better than the best here; a search that has left for another way is not called back.</summary>
    public void GoOnFrom(PlanSearch other)
    {
        if (other.BestCost >= BestCost) return;
        (best, BestCost) = (other.best, other.BestCost);
        if (!IsAway) (home, homeCost, current, currentCost) = (best, BestCost, best, BestCost);
    }

    /// <summary>Begins a cycle.</summary>
    /// <returns>How many trays were put in for it.</returns>
    private int BeginCycle()
    {
        var work = 0;
        if (IsGain(homeCost, homeCostBefore)) (dull, homeCostBefore) = (0, homeCost);
        else if (++dull > (IsAway ? DullCyclesAway : DullCycles))
        {
            work = Leave();
            (dull, homeCostBefore) = (0, homeCost);
        }

        (current, currentCost) = (home, homeCost);
        return work;
    }

    /// <summary>Whether a plan leaves fewer pies out than another, or costs less by more than hardly anything.</summary>
    private static bool IsGain(long cost, long before)
    {
        var (pies, piesBefore) = (cost / PerUnplacedPie, before / PerUnplacedPie);
        return pies < piesBefore || (pies == piesBefore && before - cost > before % PerUnplacedPie / HardlyAnything);
    }

    /// <summary>Keeps a plan that is better than what is kept.</summary>
    private void Keep(TrayPath?[] plan, long cost)
    {
        if (cost < homeCost) (home, homeCost) = (plan, cost);
        if (cost >= BestCost) return;
        (best, BestCost) = (plan, cost);
        IsAway = false;
    }

    /// <summary>Is at home from now on with the best plan after a large part of it was put together anew, whatever that costs.</summary>
    /// <returns>How many trays were put in.</returns>
    private int Leave()
    {
        (home, homeCost, IsAway) = (best, BestCost, false);
        var next = (TrayPath?[])best.Clone();
        var open = LargePart(next);
        var work = Math.Max(1, open.Count);
        foreach (var index in open) next[index] = null;
        if (!FillWithout(next, open)) return work;
        bearable = long.MaxValue;
        PutBack(next, open);
        if (cancellation.IsCancellationRequested) return work;
        LeaveOutWhatMissesItsBefore(next);
        if (!Fill(next) || unheld.Count > 0) return work;
        (home, homeCost, IsAway) = (next, CostOf(next), true);
        Keep(home, homeCost);
        return work;
    }

    /// <summary>A stretch of the day, all of one oven, some of everywhere, or the whole, but for what runs when the horizon starts.</summary>
    private List<int> LargePart(TrayPath?[] plan)
    {
        int[] all = [.. trays.All.Where(tray => tray.Running is null).OrderBy(tray => plan[tray.Index]?.Start ?? 0).Select(tray => tray.Index)];
        if (all.Length == 0) return [];
        var (share, first, oven) = (LeastAnew + dice.Next(MostAnew - LeastAnew), dice.Next(all.Length), dice.Next(ovens.Length));
        return [.. dice.Next(4) switch
        {
            0 => all.Where((index, at) => plan[index] is null || (at >= first && at <= first + (all.Length * share / 100))),
            1 => all.Where(index => plan[index] is not { } path || path.Visits.Any(visit => visit.Oven == oven)),
            2 => all.Where(index => plan[index] is null || dice.In100(share)),
            _ => all,
        }];
    }
}
