using Lumpet.Core.Baking;
using Lumpet.PlanChecking;

namespace Lumpet.Bench;

/// <summary>
/// Plans ovens as one does on a sheet of paper, from the last pick-up back: loads of one bake each, every one out as near its due
/// as an oven is free, an oven kept on where the next load comes within the hour. What the planner is worth is measured by it.
/// </summary>
internal sealed class ByHand
{
    private const int KeptOnMin = 60;

    private readonly BakeProblem problem;
    private readonly Dictionary<string, List<Load>> loads;
    private readonly Dictionary<(string Bake, int Tray), int> inAt = [];

    private ByHand(BakeProblem problem) => (this.problem, loads) = (problem, problem.Ovens.ToDictionary(oven => oven.Id, _ => new List<Load>()));

    private sealed record Load(Bake Bake, int First, int Count, int Start, int End);

    /// <summary>The plan; null where something has begun, an oven closes for a while, or a load finds no place so.</summary>
    public static BakePlan? Plan(BakeProblem problem)
    {
        if (problem.Running.Count > 0 || problem.Ovens.Any(oven => oven.Openings.Count > 1)) return null;
        var byHand = new ByHand(problem);
        foreach (var bake in problem.Bakes.OrderByDescending(bake => bake.DueMin))
            for (var first = 1; first <= bake.Trays.Count;)
            {
                if (byHand.Put(bake, first) is not (> 0 and var put)) return null;
                first += put;
            }

        OvenSetting[] settings = [.. problem.Ovens.SelectMany(byHand.Settings).OrderBy(setting => setting.AtMin)];
        var trays = byHand.loads.SelectMany(oven => oven.Value.SelectMany(load => Enumerable.Range(load.First, load.Count).Select(tray => new BakedTray(load.Bake.Id, tray, Stages(oven.Key, load)))));
        // What it costs the checker reckons.
        var plan = new BakePlan(settings, [.. trays], [], new BakePlanCost(0, 0, 0, 0, 0), new BakePlanBound(0, 0));
        var verdict = BakePlanChecker.Check(problem, plan);
        return verdict.Faults.Any(fault => fault.Rule is not ("cost" or "bound")) ? null : plan with { Cost = verdict.Cost };
    }

    private static BakedStage[] Stages(string oven, Load load)
    {
        var at = load.Start;
        return [.. load.Bake.Stages.Select(stage => new BakedStage(oven, at, at += stage.MinMin))];
    }

    /// <summary>Puts a load in before all that stand there; answers how many trays it holds, 0 where there is no place.</summary>
    private int Put(Bake bake, int first)
    {
        var minutes = bake.Stages.Sum(stage => stage.MinMin);
        var chosen = problem.Ovens
            .Where(oven => bake.Ovens?.Contains(oven.Id) != false && oven.PlacesFor(bake) > 0 && bake.Stages.All(stage => stage.TempC >= oven.MinC && stage.TempC <= oven.MaxC))
            .Select(oven => (Oven: oven, Count: Math.Min(oven.PlacesFor(bake), bake.Trays.Count - first + 1)))
            .Select(one => (one.Oven, one.Count, End: End(one.Oven, bake, first, one.Count)))
            .Where(one => one.End - minutes >= Math.Max(bake.ReleaseMin, one.Oven.OpenMin + Between(one.Oven, one.Oven.StartC, bake.Stages[0].TempC)))
            .OrderByDescending(one => one.End).ThenByDescending(one => one.Count)
            .FirstOrDefault();
        if (chosen.Oven is null) return 0;
        loads[chosen.Oven.Id].Insert(0, new Load(bake, first, chosen.Count, chosen.End - minutes, chosen.End));
        for (var tray = first; tray < first + chosen.Count; tray++) inAt[(bake.Id, tray)] = chosen.End - minutes;
        return chosen.Count;
    }

    /// <summary>When a load comes out: at its due, or before what follows it, or before the oven is wanted hotter or colder for the next.</summary>
    private int End(BakeOven oven, Bake bake, int first, int count)
    {
        var end = Math.Min(bake.DueMin, oven.CloseMin);
        foreach (var follower in problem.Bakes)
            foreach (var after in follower.After.Where(after => after.BakeId == bake.Id))
                for (var tray = 1; tray <= follower.Trays.Count; tray++)
                    if ((!after.ByTray || (tray >= first && tray < first + count)) && inAt.TryGetValue((follower.Id, tray), out var start)) end = Math.Min(end, start - after.MinLagMin);
        if (loads[oven.Id].Count == 0) return end;
        var next = loads[oven.Id][0];
        return Math.Min(end, next.Start - Between(oven, Leaves(oven, bake), next.Bake.Stages[0].TempC));
    }

    /// <summary>The chamber when a load of a bake leaves.</summary>
    private static int Leaves(BakeOven oven, Bake bake)
    {
        var chamber = bake.Stages[0].TempC;
        foreach (var stage in bake.Stages)
            for (var minute = 0; minute < stage.MinMin; minute++) chamber = oven.After(chamber, stage.TempC);
        return chamber;
    }

    private static int Between(BakeOven oven, int from, int to) => from <= to ? (to - from + oven.HeatCPerMin - 1) / oven.HeatCPerMin : (from - to + oven.CoolCPerMin - 1) / oven.CoolCPerMin;

    private IEnumerable<OvenSetting> Settings(BakeOven oven)
    {
        int? now = null;
        var (free, chamber) = (oven.OpenMin, oven.StartC);
        foreach (var load in loads[oven.Id])
        {
            var wanted = load.Bake.Stages[0].TempC;
            var on = now is not null && load.Start - free <= KeptOnMin ? free : LastOn(oven, free, chamber, load.Start, wanted);
            if (now is not null && on > free) yield return new OvenSetting(oven.Id, free, now = null);
            if (now != wanted) yield return new OvenSetting(oven.Id, on, now = wanted);
            var at = load.Start;
            foreach (var stage in load.Bake.Stages)
            {
                if (now != stage.TempC) yield return new OvenSetting(oven.Id, at, now = stage.TempC);
                at += stage.MinMin;
            }

            (free, chamber) = (load.End, Leaves(oven, load.Bake));
        }

        if (now is not null) yield return new OvenSetting(oven.Id, free, null);
    }

    /// <summary>The last minute at which an oven that is off may be put on so that it is hot in time.</summary>
    private static int LastOn(BakeOven oven, int free, int chamber, int start, int wanted)
    {
        for (var on = start; on > free; on--)
        {
            var now = chamber;
            for (var at = free; at < on; at++) now = oven.After(now, null);
            for (var at = on; at < start; at++) now = oven.After(now, wanted);
            if (now == wanted) return on;
        }

        return free;
    }
}
