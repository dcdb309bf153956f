using Lumpet.Core.Bakery;
using Lumpet.Core.Baking;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>Groups baked trays into loads and gives each tray a shelf.</summary>
internal static class Loads
{
    /// <summary>The loads of a plan, in order of time.</summary>
    public static IReadOnlyList<Load> From(
        IReadOnlyList<LotWork> works, IReadOnlyList<MadeBatch> made, BakePlan plan, IReadOnlyDictionary<string, Oven> ovens, TakenTime taken)
    {
        var baked = plan.Trays.ToLookup(tray => tray.BakeId);
        var visits = works
            .SelectMany(work => work.Graph.Bakes.SelectMany(node => baked[work.BakeId(node)]
                .SelectMany(tray => VisitsOf(work.Lot.Id, work.Lot.Trays[tray.Tray - 1], work.Graph.Nodes[node], tray, ovens))))
            .Concat(made.SelectMany(one => one.Batch.How.Method.Where(step => step.IsBake).SelectMany(step => baked[DayMaking.BakeId(one.Batch, step.Id)]
                .SelectMany(tray => VisitsOf(one.Batch.Id, 0, step, tray, ovens)))))
            .ToArray();
        var shelves = Shelves(visits, taken);
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
                    group.First().LeftAtMin) { HeatedFromMin = group.First().FromMin })]))];
    }

    private sealed record TrayVisit(
        string LotId, string StepId, int Tray, int Pies, string OvenId, IReadOnlyList<VisitStage> Stages, string? FromOvenId, int LeftAtMin, bool IsOnFloor, Oven Oven)
    {
        public int StartMin => Stages[0].StartMin;

        /// <summary>From when on it holds its place: an empty tray may be heated before.</summary>
        public required int FromMin { get; init; }

        public int EndMin => Stages[^1].EndMin;

        public string Alike => $"{LotId}/{StepId}/{string.Join(' ', Stages)}/{FromOvenId}";
    }

    private static IEnumerable<TrayVisit> VisitsOf(
        string of, int pies, Step step, BakedTray tray, IReadOnlyDictionary<string, Oven> ovens)
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
                    .Select(at => new VisitStage(at + 1, stages[at].TempC, at == 0 ? HeatedTrays.PiesIn(step, tray) : tray.Stages[at].StartMin, tray.Stages[at].EndMin)),
            ];
            before = new TrayVisit(
                of,
                step.Id,
                tray.Tray,
                pies,
                tray.Stages[first].OvenId,
                stay,
                before?.OvenId,
                before?.EndMin ?? 0,
                step.Place == OvenPlace.Floor,
                ovens[tray.Stages[first].OvenId])
            { FromMin = tray.Stages[first].StartMin };
            yield return before;
        }
    }

    /// <summary>
    /// A place for each tray, in order of time: the topmost shelf that is free, or on the floor, whose places come after the
    /// shelves. Where an oven has no places of its own there, what bakes on the floor takes the lowest shelf. Trays of days before
    /// stay where they are, unless no tray would find one place for all its stay then: those are counted, and told, only by number.
    /// </summary>
    private static Dictionary<TrayVisit, int> Shelves(TrayVisit[] visits, TakenTime taken)
    {
        var shelves = new Dictionary<TrayVisit, int>();
        foreach (var inOven in visits.GroupBy(visit => visit.OvenId))
        {
            // One is always free, since the planner never puts in more trays than there are places.
            var oven = inOven.First().Oven;
            var freeFrom = new int[oven.Shelves + (oven.FloorPlaces ?? 0)];
            var others = taken.Loads.Where(load => load.OvenId == oven.Id).ToArray();
            bool IsTaken(int place, TrayVisit visit) => others.Any(load => load.Visit.Shelves.Contains(place + 1) && load.Visit.HeatedFromMin < visit.EndMin && load.Visit.EndMin > visit.FromMin);
            foreach (var visit in inOven.OrderBy(visit => visit.FromMin).ThenBy(visit => visit.IsOnFloor ? 0 : 1).ThenBy(visit => visit.Alike, StringComparer.Ordinal).ThenBy(visit => visit.Tray))
            {
                var apart = visit.IsOnFloor && oven.FloorPlaces is not null;
                var places = apart ? Enumerable.Range(oven.Shelves, oven.FloorPlaces!.Value) : visit.IsOnFloor ? Enumerable.Range(0, oven.Shelves).Reverse() : Enumerable.Range(0, oven.Shelves);
                int[] free = [.. places.Where(at => freeFrom[at] <= visit.FromMin)];
                var place = free.FirstOrDefault(at => !IsTaken(at, visit), free[0]);
                freeFrom[place] = visit.EndMin;
                shelves[visit] = place + 1;
            }
        }

        return shelves;
    }
}
