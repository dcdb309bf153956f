using Lumpet.Core.Bakery;
using Lumpet.Core.Dough;

namespace Lumpet.Core.DayPlan;

/// <summary>Writes a round of planning out as a day's plan.</summary>
internal static class PlannedDays
{
    /// <summary>The plan of a round, with its reasons: all of it from this round and no other.</summary>
    public static PlannedDay From(
        DayRound round, IReadOnlyDictionary<string, Oven> ovens, IReadOnlyList<DayShift> stretches, IReadOnlyList<Trouble> troubles)
    {
        DoughBatch[] batches = [.. round.Mixed.Select(mixed => mixed.Batch)];
        DayTask[] tasks =
        [
            .. batches.SelectMany(DayTasks.Of)
                .Concat(round.Made.SelectMany(DayTasks.Of))
                .Concat(round.Parcels.SelectMany(DayTasks.Of))
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
            PansInUse = PansOfDay.InUse(round.Parcels.Where(parcel => !round.PansShort.ContainsKey(parcel))),
            Room = RoomOfDay.InUse(
                [.. round.Parcels.Where(parcel => parcel.Times.Misfits.Count == 0 && !round.PansShort.ContainsKey(parcel))],
                [.. round.Mixed.Where(one => one.Short == 0 && !round.LetGo.Contains(CrewWork.Owner(one.Batch)))],
                [.. round.Made.Where(one => one.Short == 0 && !round.LetGo.Contains(one.Batch.Id))]),
        };
    }
}
