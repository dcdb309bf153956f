using Lumpet.Core.Scheduling;

namespace Lumpet.Core.Baking.Planning;

/// <summary>Chooses which trays of a plan are taken out together: those that lie near one another in some way.</summary>
internal sealed class PlanRemoval(PlanTrays trays, Dice dice)
{
    // Few are put back well; many find a new order. Small problems are taken apart as a whole.
    private const int LeastTrays = 2;
    private const int MostTrays = 24;

    // How often each way of choosing is taken where mostly wholes are; they add up to 100.
    private static readonly int[] OftenOf100 = [36, 36, 6, 8, 4, 6, 3, 1];

    // More loads take longer to put in again than the whole is worth; one that moves further rarely finds a better place.
    private const int MostRows = 40;
    private const int MostPlaces = 5;

    /// <summary>
    /// In which way trays are chosen. Whole loads and whole bakes win most for the time they take on feasts on which all is baked in
    /// time; the others open what these do not, and find better places for what has none or is late.
    /// </summary>
    private int Way(bool ofWholes)
    {
        if (!ofWholes) return dice.Next(OftenOf100.Length);
        var (way, at) = (0, dice.Next(100));
        while ((at -= OftenOf100[way]) >= 0) way++;
        return way;
    }

    /// <summary>The trays to take out, with all that have no place yet; each once.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="ofWholes">Whether mostly whole loads and whole bakes are taken.</param>
    public List<int> Choose(TrayPath?[] plan, bool ofWholes)
    {
        var chosen = new HashSet<int>(trays.All.Where(tray => plan[tray.Index] is null).Select(tray => tray.Index));
        int[] placed = Placed(plan);
        if (placed.Length > 0)
        {
            var first = placed[dice.Next(placed.Length)];
            var most = LeastTrays + dice.Next(Math.Max(1, Math.Min(MostTrays, placed.Length)));
            var found = Way(ofWholes) switch
            {
                0 => Loads(plan, placed, first, 1 + dice.Next(4)),
                1 => Bakes(first, placed, 1 + dice.Next(3)),
                2 => Near(plan, placed, first, most, sameOven: true),
                3 => Near(plan, placed, first, most, sameOven: false),
                4 => Stretch(plan, first),
                5 => Costly(plan, placed, most),
                6 => Alike(placed, first, most),
                _ => Any(placed, most),
            };
            chosen.UnionWith(found.Take(2 * MostTrays));
        }

        // Half the time whole chains: what was put in for a follower need not stay where it is.
        if (dice.In100(50))
            foreach (var index in chosen.ToArray())
            {
                foreach (var link in trays.All[index].Before) chosen.UnionWith(link.Trays);
                foreach (var link in trays.All[index].Behind) chosen.UnionWith(link.Trays);
            }

        return [.. chosen.Where(index => plan[index]?.Visits.Count != 0).Order()];
    }

    /// <summary>
    /// The loads from some point of time on, in order, a few of them elsewhere in it, and what has no place yet; by bake within a
    /// load, and nothing before what it follows. What runs when the horizon starts is left alone.
    /// </summary>
    public IReadOnlyList<List<int>> Row(TrayPath?[] plan)
    {
        var rows = trays.All.Where(tray => tray.Running is null && plan[tray.Index] is not null)
            .GroupBy(tray => (plan[tray.Index]!.Start, plan[tray.Index]!.Visits[0].Oven, tray.Bake.Id))
            .OrderBy(group => group.Key.Start).ThenBy(group => group.Key.Oven).ThenBy(group => group.Min(tray => tray.Index))
            .Select(group => group.Select(tray => tray.Index).ToList()).ToList();
        rows = [.. rows.Skip(dice.In100(20) ? 0 : dice.Next(Math.Max(1, rows.Count))).Take(MostRows)];
        foreach (var tray in trays.All.Where(tray => tray.Running is null && plan[tray.Index] is null)) rows.Insert(dice.Next(rows.Count + 1), [tray.Index]);
        for (var moves = dice.In100(15) ? 0 : 1 + dice.Next(2); moves > 0 && rows.Count > 1; moves--)
        {
            var from = dice.Next(rows.Count);
            var row = rows[from];
            rows.RemoveAt(from);
            rows.Insert(Math.Clamp(from - MostPlaces + dice.Next((2 * MostPlaces) + 1), 0, rows.Count), row);
        }

        return InChains(rows);
    }

    private List<List<int>> InChains(List<List<int>> rows)
    {
        var rowOf = rows.SelectMany(row => row.Select(index => (index, row))).ToDictionary(one => one.index, one => one.row);
        var (result, seen) = (new List<List<int>>(), new HashSet<List<int>>(ReferenceEqualityComparer.Instance));
        void Visit(List<int> row)
        {
            if (!seen.Add(row)) return;
            foreach (var before in row.SelectMany(index => trays.All[index].Before).SelectMany(link => link.Trays))
                if (rowOf.TryGetValue(before, out var other)) Visit(other);
            result.Add(row);
        }

        foreach (var row in rows) Visit(row);
        return result;
    }

    /// <summary>Trays that are in an oven at some time; what was done before the horizon started is left alone.</summary>
    private int[] Placed(TrayPath?[] plan) => [.. trays.All.Where(tray => plan[tray.Index]?.Visits.Count > 0).Select(tray => tray.Index)];

    /// <summary>All trays that share a stretch of oven time, with those they share others with; empty for none.</summary>
    public List<int> Stretch(TrayPath?[] plan)
    {
        var placed = Placed(plan);
        return placed.Length == 0 ? [] : Stretch(plan, placed[dice.Next(placed.Length)]);
    }

    private List<int> Stretch(TrayPath?[] plan, int first)
    {
        var (group, open) = (new HashSet<int> { first }, new Stack<int>([first]));
        while (open.TryPop(out var index))
            foreach (var tray in trays.All)
                if (!group.Contains(tray.Index) && plan[tray.Index] is { } other && Touch(plan[index]!, other))
                {
                    group.Add(tray.Index);
                    open.Push(tray.Index);
                }

        return [.. group.Order()];
    }

    private static bool Touch(TrayPath one, TrayPath other) =>
        one.Visits.Any(visit => other.Visits.Any(with => with.Oven == visit.Oven && with.Start <= visit.End && with.End >= visit.Start));

    private List<int> Loads(TrayPath?[] plan, int[] placed, int first, int count)
    {
        var loads = placed.GroupBy(index => (plan[index]!.Visits[0].Oven, plan[index]!.Start)).ToArray();
        var (oven, start) = (plan[first]!.Visits[0].Oven, plan[first]!.Start);
        var sameOven = dice.In100(50);
        return [.. loads.Where(load => !sameOven || load.Key.Oven == oven).OrderBy(load => Math.Abs(load.Key.Start - start)).ThenBy(load => load.Key.Oven).Take(count).SelectMany(load => load)];
    }

    private List<int> Bakes(int first, int[] placed, int count)
    {
        var wanted = new HashSet<string> { trays.All[first].Bake.Id };
        while (--count > 0) wanted.Add(trays.All[placed[dice.Next(placed.Length)]].Bake.Id);
        return [.. placed.Where(index => wanted.Contains(trays.All[index].Bake.Id))];
    }

    private List<int> Near(TrayPath?[] plan, int[] placed, int first, int most, bool sameOven)
    {
        var path = plan[first]!;
        var visit = path.Visits[dice.Next(path.Visits.Count)];
        return [.. placed
            .Select(index => (Index: index, Far: plan[index]!.Visits.Where(other => !sameOven || other.Oven == visit.Oven).Select(other => Math.Abs(other.Start - visit.Start)).DefaultIfEmpty(int.MaxValue).Min()))
            .Where(one => one.Far < int.MaxValue).OrderBy(one => one.Far).ThenBy(one => one.Index).Take(most).Select(one => one.Index)];
    }

    /// <summary>Those that cost most by being late or early, and what lies around the minute at which they should be out.</summary>
    private List<int> Costly(TrayPath?[] plan, int[] placed, int most)
    {
        long Cost(int index)
        {
            var (tray, late) = (trays.All[index], (long)plan[index]!.End - trays.All[index].Bake.DueMin);
            return tray.Pies * (late > 0 ? late * 10_000 : -late);
        }

        var worst = placed.OrderByDescending(Cost).ThenBy(index => index).ElementAt(dice.Next(Math.Min(placed.Length, 6)));
        var due = trays.All[worst].Bake.DueMin;
        return [worst, .. placed.Where(index => index != worst).OrderBy(index => Math.Abs(plan[index]!.End - due)).ThenBy(index => index).Take(most)];
    }

    /// <summary>Those that need about the same heat.</summary>
    private List<int> Alike(int[] placed, int first, int most)
    {
        var celsius = trays.All[first].Temperatures[0];
        int[] order = [.. placed];
        dice.Shuffle(order);
        return [.. order.OrderBy(index => Math.Abs(trays.All[index].Temperatures[0] - celsius)).Take(most)];
    }

    private List<int> Any(int[] placed, int most)
    {
        int[] order = [.. placed];
        dice.Shuffle(order);
        return [.. order.Take(Math.Max(LeastTrays, most / 2))];
    }
}
