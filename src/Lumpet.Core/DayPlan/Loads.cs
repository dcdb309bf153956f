using Lumpet.Core.Bakery;
using Lumpet.Core.Baking;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>Groups baked trays into loads and gives each tray a shelf.</summary>
internal static class Loads
{
    /// <summary>The loads of a plan, in order of time.</summary>
    public static IReadOnlyList<Load> From(
        IReadOnlyList<LotWork> works, IReadOnlyList<MadeBatch> made, BakePlan plan, IReadOnlyDictionary<string, Oven> stretches)
    {
        var baked = plan.Trays.ToLookup(tray => tray.BakeId);
        var visits = works
            .SelectMany(work => work.Graph.Bakes.SelectMany(node => baked[work.BakeId(node)]
                .SelectMany(tray => VisitsOf(work.Lot.Id, work.Lot.Trays[tray.Tray - 1], work.Graph.Nodes[node], tray, stretches))))
            .Concat(made.SelectMany(one => one.Batch.How.Method.Where(step => step.IsBake).SelectMany(step => baked[DayMaking.BakeId(one.Batch, step.Id)]
                .SelectMany(tray => VisitsOf(one.Batch.Id, 0, step, tray, stretches)))))
            .ToArray();
        var shelves = Shelves(visits);
        return [.. visits
            .GroupBy(visit => (visit.StartMin, visit.OvenId))
            .OrderBy(load => load.Key.StartMin).ThenBy(load => load.Key.OvenId, StringComparer.Ordinal)
            .Select((load, index) => new Load(
                index + 1,
                load.Key.OvenId,
                load.Key.StartMin,
                [.. load.GroupBy(visit => visit.Alike).Select(group => new LoadVisit(
                    group.First().LotId,
                    group.First().StepId,
                    group.Sum(visit => visit.Pies),
                    group.First().Stages,
                    [.. group.Select(visit => shelves[visit]).Order()],
                    [.. group.OrderBy(visit => shelves[visit]).Select(visit => visit.Pies)],
                    group.First().FromOvenId,
                    group.First().LeftAtMin))]))];
    }

    private sealed record TrayVisit(
        string LotId, string StepId, int Tray, int Pies, string OvenId, IReadOnlyList<VisitStage> Stages, string? FromOvenId, int LeftAtMin, bool IsOnFloor, int Shelves)
    {
        public int StartMin => Stages[0].StartMin;

        public int EndMin => Stages[^1].EndMin;

        public string Alike => $"{LotId}/{StepId}/{string.Join(' ', Stages)}/{FromOvenId}";
    }

    private static IEnumerable<TrayVisit> VisitsOf(
        string of, int pies, Step step, BakedTray tray, IReadOnlyDictionary<string, Oven> stretches)
    {
        var stages = step.Stages;
        var index = 0;
        TrayVisit? before = null;
        while (index < tray.Stages.Count)
        {
            var first = index;
            while (index < tray.Stages.Count && tray.Stages[index].OvenId == tray.Stages[first].OvenId) index++;
            VisitStage[] stay =
            [
                .. Enumerable.Range(first, index - first)
                    .Select(at => new VisitStage(at + 1, stages[at].TempC, tray.Stages[at].StartMin, tray.Stages[at].EndMin)),
            ];
            before = new TrayVisit(
                of,
                step.Id,
                tray.Tray,
                pies,
                stretches[tray.Stages[first].OvenId].Id,
                stay,
                before?.OvenId,
                before?.EndMin ?? 0,
                step.Place == OvenPlace.Floor,
                stretches[tray.Stages[first].OvenId].Shelves);
            yield return before;
        }
    }

    /// <summary>
    /// What bakes on the floor takes the lowest shelves, of which the planner counts the places; every other tray the topmost
    /// shelf that is free, if it can one that nothing on the floor wants meanwhile. Where trays stand so that the floor is
    /// taken all the same, the oven's lines say it.
    /// </summary>
    private static Dictionary<TrayVisit, int> Shelves(TrayVisit[] visits)
    {
        var shelves = new Dictionary<TrayVisit, int>();
        foreach (var oven in visits.GroupBy(visit => visit.OvenId))
        {
            // In order of time one is always free, since the planner never puts in more trays than there are shelves.
            var freeFrom = new int[oven.First().Shelves];
            var kept = OnTheFloor(oven, freeFrom.Length);
            foreach (var visit in oven.OrderBy(visit => visit.StartMin).ThenBy(visit => visit.IsOnFloor ? 0 : 1).ThenBy(visit => visit.Alike, StringComparer.Ordinal).ThenBy(visit => visit.Tray))
            {
                bool IsFree(int at) => freeFrom[at] <= visit.StartMin;
                var free = Enumerable.Range(0, freeFrom.Length).Where(IsFree).ToArray();
                var shelf = visit.IsOnFloor
                    ? IsFree(kept[visit]) ? kept[visit] : free[^1]
                    : free.Where(at => !kept.Any(floor => floor.Value == at && floor.Key.StartMin < visit.EndMin && floor.Key.EndMin > visit.StartMin)).DefaultIfEmpty(free[0]).First();
                freeFrom[shelf] = visit.EndMin;
                shelves[visit] = shelf + 1;
            }
        }

        return shelves;
    }

    /// <summary>The shelf of each tray that stands on the floor: the lowest that is free, in order of time.</summary>
    private static Dictionary<TrayVisit, int> OnTheFloor(IEnumerable<TrayVisit> visits, int shelves)
    {
        var (kept, freeFrom) = (new Dictionary<TrayVisit, int>(), new int[shelves]);
        foreach (var visit in visits.Where(visit => visit.IsOnFloor).OrderBy(visit => visit.StartMin).ThenBy(visit => visit.Alike, StringComparer.Ordinal).ThenBy(visit => visit.Tray))
        {
            kept[visit] = Array.FindLastIndex(freeFrom, minute => minute <= visit.StartMin);
            freeFrom[kept[visit]] = visit.EndMin;
        }

        return kept;
    }
}
