using Lumpet.Core.Bakery;
using Lumpet.Core.Dough;

namespace Lumpet.Core.DayPlan;

/// <summary>Writes a round of planning out as a day's plan.</summary>
internal static class PlannedDays
{
    /// <summary>The plan of a round.</summary>
    public static PlannedDay From(
        IReadOnlyList<LotWork> works, IReadOnlyDictionary<string, Oven> ovens, IReadOnlyList<DayShift> stretches, DayAttempt attempt)
    {
        DoughBatch[] batches = [.. attempt.Mixed.Select(mixed => mixed.Batch)];
        DayTask[] tasks =
        [
            .. batches.SelectMany(DayTasks.Of)
                .Concat(attempt.Parcels.SelectMany(DayTasks.Of))
                .OrderBy(task => task.StartMin).ThenBy(task => task.EndMin).ThenBy(task => task.Id, StringComparer.Ordinal),
        ];
        return new PlannedDay(
            [.. works.Select(work => work.Lot)],
            attempt.Problem,
            attempt.Plan,
            ovens,
            Loads.From(works, attempt.Plan, ovens),
            tasks,
            batches,
            Waves(works, attempt.Parcels),
            Troubles.In(works, attempt),
            TaskReasons.Of(attempt, batches, stretches));
    }

    private static Wave[] Waves(IReadOnlyList<LotWork> works, IReadOnlyList<Parcel> parcels) =>
        [.. works.GroupBy(work => work.Lot.PickUpMin).OrderBy(group => group.Key).Select(group =>
        {
            Parcel[] boxed = [.. parcels.Where(parcel => parcel.Work.Lot.PickUpMin == group.Key)];
            var pies = group.Sum(work => work.Lot.Count);
            return new Wave(
                group.Key,
                pies,
                [.. group.SelectMany(work => work.Lot.For).Distinct()],
                boxed.Sum(parcel => parcel.Pies) == pies ? boxed.Max(parcel => parcel.DoneMin) : null);
        })];
}
