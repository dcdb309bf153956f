using Lumpet.Core.Bakery;
using Lumpet.Core.Baking;
using Lumpet.Core.Dough;
using Lumpet.Core.Measures;

namespace Lumpet.Core.DayPlan;

/// <summary>Writes a round of planning out as a day's plan.</summary>
internal static class PlannedDays
{
    /// <summary>The plan of a round, with its reasons: all of it from this round and no other.</summary>
    public static PlannedDay From(
        DayRound round, IReadOnlyDictionary<string, Oven> ovens, IReadOnlyList<DayShift> stretches, IReadOnlyList<Trouble> troubles, DayStock stock)
    {
        var kept = stock.Masses.ToDictionary(one => one.Id);
        DoughBatch[] batches = [.. round.Mixed.Select(mixed => mixed.Batch)];
        DayTask[] tasks =
        [
            .. batches.SelectMany(DayTasks.Of)
                .Concat(round.Made.SelectMany(DayTasks.Of))
                .Concat(round.Parcels.SelectMany(DayTasks.Of).Select(task => round.RightAfter.TryGetValue(task.Id, out var before) ? task with { RightAfter = before } : task))
                .OrderBy(task => task.StartMin).ThenBy(task => task.EndMin).ThenBy(task => task.Id, StringComparer.Ordinal),
        ];
        LotWork[] works = [.. round.Aims.Select(aim => aim.Work)];
        return new PlannedDay(
            [.. works.Select(work => work.Lot)],
            round.Problem,
            round.Plan,
            ovens,
            Loads.From(works, round.Made, round.Plan, ovens, round.Taken),
            tasks,
            batches,
            round.Made,
            round.Fates,
            troubles,
            new TaskReasons(round, batches, stretches, tasks))
        {
            Taken = round.Taken,
            AtDoors = [.. DoorVisit.Of(round.Problem with { Standing = [] }, round.Plan).Select(visit => DayTasks.Of(visit, ovens[visit.OvenId]))],
            Stock = stock,
            Ready = round.Lots.Ready,
            FromStock =
            [
                .. round.FromStock.Concat(round.Parcels.Where(parcel => parcel.Work.Lot.Begun is not null).Select(GoneOnWith)).Concat(round.Lots.Ready.Select(one => one.Use))
                    .OrderBy(use => use.AtMin).ThenBy(use => use.StockId, StringComparer.Ordinal).ThenBy(use => use.For, StringComparer.Ordinal),
            ],
            PansInUse = PansOfDay.InUse(round.Parcels.Where(parcel => !round.PansShort.ContainsKey(parcel))),
            Room = [.. round.Standing.Concat(RoomOfDay.InUse(
                [.. round.Parcels.Where(parcel => parcel.Times.Misfits.Count == 0 && !round.PansShort.ContainsKey(parcel))],
                [.. round.Mixed.Where(one => one.Short == 0 && !round.LetGo.Contains(CrewWork.Owner(one.Batch)))],
                [.. round.Made.Where(one => one.Short == 0 && !round.LetGo.Contains(one.Batch.Id))],
                round.FromStock.Select(use => (use, kept[use.StockId])))).OrderBy(use => use.FromMin).ThenBy(use => use.ToMin).ThenBy(use => use.Place)],
        };
    }

    private static StockUse GoneOnWith(Parcel parcel)
    {
        var (lot, times) = (parcel.Work.Lot, parcel.Times);
        var first = Array.IndexOf(times.Start, times.Start.Min());
        return new StockUse(lot.Begun!.Id, $"{lot.Product.Name}, {lot.Pan.Name}", [lot.Id], DayTasks.Id(parcel, parcel.Work.Graph.Nodes[first].Id), Mass.Zero, parcel.Pies, times.Start[first]);
    }
}
