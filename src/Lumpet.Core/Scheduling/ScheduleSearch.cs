namespace Lumpet.Core.Scheduling;

/// <summary>
/// Puts activities in one after another where each costs least, then takes some out and puts them back, again and again. The
/// best is kept; the same problem and seed take the same way.
/// </summary>
internal sealed class ScheduleSearch
{
    // Weights of what is left out stand above every cost.
    private const long PerWeight = 1_000_000_000_000;

    private const int LeastTaken = 2;
    private const int MostTaken = 24;

    // So many minutes from its wish an activity is tried at a venture, in powers of two.
    private const int FarthestPower = 5;

    private readonly ScheduleProblem problem;
    private readonly StartWindows windows;
    private readonly ResourceUse use;
    private readonly Dice dice;
    private readonly CancellationToken cancellation;
    private readonly int?[] starts;
    private readonly int count;
    private int?[] current;
    private long currentCost;
    private bool wanders;
    private Packing packing;

    /// <summary>A search; nothing has a place yet.</summary>
    public ScheduleSearch(ScheduleProblem problem, int horizonMin, int seed, CancellationToken cancellation)
    {
        (this.problem, this.cancellation, count) = (problem, cancellation, problem.Activities.Count);
        (windows, use, dice, starts) = (new StartWindows(problem, horizonMin), new ResourceUse(problem, horizonMin), new Dice(seed), new int?[count]);
        (current, Best) = ([.. starts], [.. starts]);
        (currentCost, BestCost) = (long.MaxValue, long.MaxValue);
    }

    /// <summary>Where something is left out, room may be made by putting all close together rather than each at its wish.</summary>
    private enum Packing
    {
        None,
        Front,
        Back,
    }

    private bool LeavesOut => currentCost is >= PerWeight and < long.MaxValue;

    /// <summary>The start of each in the best schedule; null where it has no place.</summary>
    public int?[] Best { get; private set; }

    /// <summary>What that costs, what is left out above all.</summary>
    public long BestCost { get; private set; }

    /// <summary>Splits a cost into the weights left out and what the others cost.</summary>
    public static (long LeftOut, long Cost) Split(long cost) => (cost / PerWeight, cost % PerWeight);

    /// <summary>Puts all in for the first time: the ones with the fewest minutes to choose from first, then by their wish, early or late.</summary>
    public void Build()
    {
        windows.Begin(starts);
        int[] slack = [.. Enumerable.Range(0, count).Select(at => windows.To[at] - windows.From[at])];
        int[] all = [.. Enumerable.Range(0, count)];
        foreach (var order in new[]
        {
            all.OrderBy(at => slack[at] == 0 ? 0 : 1).ThenBy(at => problem.Activities[at].WishMin).ThenBy(at => at),
            all.OrderBy(at => slack[at] == 0 ? 0 : 1).ThenByDescending(at => problem.Activities[at].WishMin).ThenBy(at => at),
            all.OrderBy(at => slack[at]).ThenBy(at => at),
        })
        {
            if (BestCost < long.MaxValue && cancellation.IsCancellationRequested) return;
            TakeOut(all);
            PutIn([.. order]);
            Judge(warmth: 0);
        }
    }

    /// <summary>Changes it so many times.</summary>
    public void Run(int steps)
    {
        for (var step = 0; step < steps && BestCost > 0 && !cancellation.IsCancellationRequested; step++)
        {
            wanders = dice.In100(30);
            packing = LeavesOut && dice.In100(40) ? dice.In100(50) ? Packing.Front : Packing.Back : Packing.None;
            if (dice.In100(20)) Reorder();
            else
            {
                var taken = Chosen();
                TakeOut(taken);
                if (dice.In100(50)) dice.Shuffle(taken);
                else
                {
                    windows.Begin(starts);
                    taken = [.. taken.OrderBy(at => windows.To[at] - windows.From[at]).ThenBy(at => at)];
                }

                PutIn(taken);
            }

            Judge(1 - (step / (double)steps));
        }
    }

    /// <summary>All of it once more in the order in which it is, but for a few that come sooner or later in it.</summary>
    private void Reorder()
    {
        var order = Enumerable.Range(0, count).OrderBy(at => current[at] ?? problem.Activities[at].WishMin).ThenBy(at => at).ToList();
        if (dice.In100(50)) order.Reverse();
        for (var moves = 1 + dice.Next(3); moves > 0 && count > 1; moves--)
        {
            var from = dice.Next(count);
            var one = order[from];
            order.RemoveAt(from);
            order.Insert(Math.Clamp(from - 8 + dice.Next(17), 0, count - 1), one);
        }

        TakeOut([.. order]);
        PutIn(order);
    }

    /// <summary>What is taken out together: without a place, near in time on one resource, hanging together, or anything.</summary>
    private List<int> Chosen()
    {
        var chosen = new HashSet<int>(Enumerable.Range(0, count).Where(at => current[at] is null));
        var (first, most) = (dice.Next(count), LeastTaken + dice.Next(Math.Min(MostTaken, count)));
        var near = current[first] ?? problem.Activities[first].WishMin;
        chosen.UnionWith(dice.Next(3) switch
        {
            0 => Enumerable.Range(0, count).OrderBy(at => Math.Abs((current[at] ?? problem.Activities[at].WishMin) - near)).ThenBy(at => at).Take(most),
            1 => Together(first, most),
            _ => Enumerable.Range(0, most).Select(_ => dice.Next(count)),
        });
        // What needs nothing only marks a minute for others: it goes with them.
        foreach (var at in chosen.ToArray())
            foreach (var lag in windows.LagsOf(at))
                if ((lag.From == at ? lag.To : lag.From) is var other && problem.Activities[other].Needs.Count == 0) chosen.Add(other);
        return [.. chosen.Order()];
    }

    private HashSet<int> Together(int first, int most)
    {
        var (found, open) = (new HashSet<int> { first }, new Queue<int>([first]));
        while (found.Count < most && open.TryDequeue(out var at))
            foreach (var lag in windows.LagsOf(at))
                if ((lag.From == at ? lag.To : lag.From) is var other && found.Count < most && found.Add(other)) open.Enqueue(other);
        return found;
    }

    private void TakeOut(IEnumerable<int> taken)
    {
        foreach (var at in taken)
        {
            if (starts[at] is null) continue;
            use.GiveBack(starts, at);
            starts[at] = null;
        }
    }

    private void PutIn(List<int> order)
    {
        windows.Begin(starts);
        // One that always finds a place may hold up more than it weighs: now and then it is asked last and binds nothing before.
        int? last = LeavesOut && dice.In100(20) ? order[dice.Next(order.Count)] : null;
        if (last is { } spared) windows.GiveUp(starts, spared);
        foreach (var at in order)
            if (at != last && !PutIn(at)) windows.GiveUp(starts, at);
        if (last is null) return;
        windows.Begin(starts);
        PutIn(last.Value);
    }

    private bool PutIn(int activity)
    {
        if (Place(activity) is not { } start) return false;
        starts[activity] = start;
        use.Take(starts, activity);
        windows.Place(starts, activity);
        return true;
    }

    private int Somewhere()
    {
        var far = 1 << dice.Next(FarthestPower + 1);
        return dice.Next((2 * far) + 1) - far;
    }

    /// <summary>The start that costs least; null where there is none.</summary>
    private int? Place(int activity)
    {
        var (from, to) = use.Within(starts, activity, windows.From[activity], windows.To[activity]);
        if (from > to) return null;
        var one = problem.Activities[activity];
        // What is put where it costs least alone may stand in the way of more: now and then it goes elsewhere. What costs nothing is only soon.
        var wish = packing switch
        {
            Packing.Front => from,
            Packing.Back => to,
            _ => Math.Clamp(one.WishMin + (wanders && one.PerMinLater > 0 && dice.In100(25) ? Somewhere() : 0), from, to),
        };
        var (later, sooner) = (use.FirstFrom(starts, activity, wish, to), use.LastUpTo(starts, activity, wish, from));
        if (later is null || sooner is null) return later ?? sooner;
        return problem.CostOf(activity, later.Value) <= problem.CostOf(activity, sooner.Value) ? later : sooner;
    }

    /// <summary>Keeps what came of it where it is better, or hardly worse while it is warm; goes back where it is not.</summary>
    private void Judge(double warmth)
    {
        var cost = 0L;
        for (var at = 0; at < count; at++) cost += starts[at] is { } start ? problem.CostOf(at, start) : problem.Activities[at].Weight * PerWeight;
        if (cost < BestCost) (Best, BestCost) = ([.. starts], cost);
        if (currentCost == long.MaxValue || cost <= currentCost + (long)(currentCost % PerWeight * 0.03 * warmth * warmth * dice.Next(1000) / 1000))
        {
            (current, currentCost) = ([.. starts], cost);
            return;
        }

        for (var at = 0; at < count; at++)
        {
            if (starts[at] == current[at] || starts[at] is null) continue;
            use.GiveBack(starts, at);
            starts[at] = null;
        }

        for (var at = 0; at < count; at++)
        {
            if (starts[at] == current[at]) continue;
            starts[at] = current[at];
            use.Take(starts, at);
        }
    }
}
