using Lumpet.Core.Baking;

namespace Lumpet.PlanChecking;

/// <summary>What is put in and taken out, by whose hands and in which pans.</summary>
internal sealed partial class BakePlanCheck
{
    /// <summary>The minutes at which trays are put into an oven from the bench or from another oven; what began before the plan is inside.</summary>
    private IEnumerable<int> Entering(string ovenId) =>
        (from tray in plan.Trays
         from at in Enumerable.Range(0, tray.Stages.Count)
         where at >= BegunStages(tray) && tray.Stages[at].OvenId == ovenId && (at == 0 || tray.Stages[at - 1].OvenId != ovenId)
         select tray.Stages[at].StartMin).Concat(problem.Standing.Where(tray => tray.OvenId == ovenId && tray.StartMin >= 0).Select(tray => tray.StartMin));

    /// <summary>The minutes at which trays are taken out of an oven, but for what is in it when the plan starts, or was.</summary>
    private IEnumerable<int> Leaving(string ovenId) =>
        (from tray in plan.Trays
         from at in Enumerable.Range(0, tray.Stages.Count)
         where tray.Stages[at].OvenId == ovenId && (at + 1 == tray.Stages.Count || tray.Stages[at + 1].OvenId != ovenId)
             && !IsRunningIn(tray, at)
         select tray.Stages[at].EndMin).Concat(problem.Standing.Where(tray => tray.OvenId == ovenId && tray.StartMin >= 0).Select(tray => tray.EndMin));

    /// <summary>Whether a stage belongs to a stay that began before the plan.</summary>
    private bool IsRunningIn(BakedTray tray, int at)
    {
        while (at >= BegunStages(tray) && at > 0 && tray.Stages[at - 1].OvenId == tray.Stages[at].OvenId) at--;
        return at < BegunStages(tray);
    }

    /// <summary>One pair of hands is at one door at a time: what is put in and taken out of an oven in a minute keeps it so long for each tray.</summary>
    public void Hands()
    {
        var (oven, until) = (string.Empty, int.MinValue);
        foreach (var visit in Visits())
        {
            if (visit.From < until) Fault("hands", visit.Oven.Id, $"trays are handled at {visit.From}, while the hands are at {oven} until {until}");
            (oven, until) = (visit.Oven.Id, (int)Math.Min(int.MaxValue, Math.Max(until, visit.From + ((long)visit.Trays * visit.Oven.ActionMin))));
        }
    }

    /// <summary>When the hands are at a door, in order of time.</summary>
    public IEnumerable<(BakeOven Oven, int From, int Trays)> Visits() =>
        from one in problem.Ovens
        where one.ActionMin > 0
        from minute in Entering(one.Id).Concat(Leaving(one.Id)).GroupBy(minute => minute)
        orderby minute.Key
        select (one, minute.Key, minute.Count());

    /// <summary>No more pies are in pans of a size than there are. A pie that is baked again in the same pan is in it all along.</summary>
    public void Pans()
    {
        foreach (var pan in problem.Pans)
        {
            List<(int From, int To, int Pies)> stays = [.. problem.StandingPans.Where(hold => hold.PanId == pan.Id).Select(hold => (hold.FromMin, hold.ToMin, hold.Count))];
            BakedTray[] inThem = [.. plan.Trays.Where(tray => bakes[tray.BakeId].Pan?.PanId == pan.Id)];
            var seen = new HashSet<BakedTray>();
            foreach (var tray in inThem)
            {
                if (!seen.Add(tray)) continue;
                var together = new List<BakedTray> { tray };
                for (var at = 0; at < together.Count; at++)
                    together.AddRange(inThem.Where(other => other.Tray == tray.Tray && (Follows(other, together[at]) || Follows(together[at], other)) && seen.Add(other)));
                stays.Add((
                    together.Min(one => TakenFrom(bakes[one.BakeId].Pan!, one.StartMin)),
                    together.Max(one => TakenTo(bakes[one.BakeId].Pan!, one.EndMin)),
                    together.Max(one => bakes[one.BakeId].Trays[one.Tray - 1])));
            }

            // Most are in use when some begin to be.
            foreach (var from in stays.Select(stay => Math.Max(0, stay.From)).Distinct().Order())
                if (stays.Where(stay => stay.From <= from && stay.To > from).Sum(stay => (long)stay.Pies) is var used && used > pan.Count)
                {
                    Fault("pans", pan.Id, $"{used} are in use at {from}, and there are {pan.Count}");
                    break;
                }
        }
    }

    private static int TakenFrom(PanNeed need, int inMin) => need.Since.Where(step => step.ByMin >= inMin).Select(step => step.SinceMin).Append(inMin - need.BeforeMin).Min();

    private static int TakenTo(PanNeed need, int outMin) => need.Until.Where(step => step.FromMin <= outMin).Select(step => step.UntilMin).Append(outMin + need.AfterMin).Max();

    private bool Follows(BakedTray tray, BakedTray before) => bakes[tray.BakeId].After.Any(after => after.ByTray && after.BakeId == before.BakeId);
}
