using Lumpet.Core.Bakery;
using Lumpet.Core.Baking;

namespace Lumpet.Core.DayPlan;

/// <summary>What one plan of a day comes to, so that two can be laid beside each other.</summary>
/// <param name="Pies">Pies ordered.</param>
/// <param name="NotMade">Pies that cannot be made.</param>
/// <param name="Late">Pies boxed after their pick-up.</param>
/// <param name="MostLateMin">By how many minutes the latest of them; 0 where none is.</param>
/// <param name="LeastSpareMin">Minutes from the last box to the pick-up, at the pick-up where that is least; null where some are never boxed.</param>
/// <param name="HotMin">Minutes for which ovens are on, all ovens together; where a day before has them on anyway, the minutes that this day adds.</param>
/// <param name="HeatCost">What those cost; null where some oven that is on has no price.</param>
/// <param name="SettingChanges">Changes of setting.</param>
/// <param name="DoorOpenings">Minutes at which a door is opened for trays, counted for each oven.</param>
/// <param name="DoorClashes">Doors that are opened in the minute of another oven's.</param>
/// <param name="Loads">Loads.</param>
/// <param name="WaitMin">Minutes from an oven to the pick-up, the average over all pies that are baked; null where none is.</param>
/// <param name="MostHands">The most people at work in one minute.</param>
/// <param name="WorkMin">Minutes of hands in all.</param>
/// <param name="FridgeTrays">The most trays in the fridge at once, with what days before have in it.</param>
/// <param name="FreezerTrays">The most trays in the freezer at once, likewise.</param>
/// <param name="FirstMin">When work begins; null where there is none.</param>
public sealed record DayFigures(
    int Pies,
    int NotMade,
    int Late,
    int MostLateMin,
    int? LeastSpareMin,
    long HotMin,
    decimal? HeatCost,
    long SettingChanges,
    long DoorOpenings,
    long DoorClashes,
    int Loads,
    int? WaitMin,
    int MostHands,
    int WorkMin,
    int FridgeTrays,
    int FreezerTrays,
    int? FirstMin)
{
    /// <summary>The figures of a plan.</summary>
    public static DayFigures Of(PlannedDay plan)
    {
        var (cost, others) = (plan.BakePlan.Cost, plan.Taken.Settings);
        var waits = Waits(plan).ToArray();
        var hands = plan.Tasks.Count == 0 ? new HandsNeeded(0, 0, 0) : HandsNeeded.In(plan);
        var room = RoomLevels.Of(plan, KitchenRoom.Uncounted);
        var pies = waits.Sum(wait => (long)wait.Pies);
        return new DayFigures(
            plan.Pies,
            plan.Waves.Sum(wave => wave.NotMade),
            plan.Fates.Sum(fate => fate.Late),
            plan.Fates.Select(fate => fate.LateMin).DefaultIfEmpty(0).Max(),
            plan.Waves.Any(wave => wave.SpareMin is null) ? null : plan.Waves.Select(wave => wave.SpareMin).DefaultIfEmpty(null).Min(),
            cost.OvenOnMin - HotMinutes.In(others),
            Heat(plan),
            cost.SettingChanges - Changes(others),
            cost.DoorOpenings - plan.Taken.Trays.SelectMany(tray => new[] { (tray.OvenId, tray.StartMin), (tray.OvenId, tray.EndMin) }).Where(door => door.Item2 >= 0).Distinct().Count(),
            cost.DoorClashes,
            plan.Loads.Count,
            pies == 0 ? null : (int)Math.Round(waits.Sum(wait => (double)wait.Pies * wait.Minutes) / pies),
            hands.AtOnce,
            hands.WorkMin,
            MostIn(RoomPlace.FridgeTrays),
            MostIn(RoomPlace.FreezerTrays),
            plan.Tasks.Count == 0 ? null : plan.Tasks.Min(task => task.StartMin));

        int MostIn(RoomPlace place) => room.FirstOrDefault(levels => levels.Place == place)?.Most ?? 0;
    }

    /// <summary>Of every pie that is baked the minutes from its last oven to its pick-up.</summary>
    private static IEnumerable<(int Pies, int Minutes)> Waits(PlannedDay plan)
    {
        var visits = plan.Loads.SelectMany(load => load.Visits).Where(visit => plan.Thing(visit).Lot is not null).ToLookup(visit => visit.LotId);
        foreach (var lot in plan.Lots)
        {
            // Each of its trays leaves an oven for the last time in the last stage of its last bake.
            var last = lot.ProcessLeft().Steps.LastOrDefault(step => step.IsBake);
            if (last is null) continue;
            foreach (var visit in visits[lot.Id].Where(visit => visit.StepId == last.Id && visit.Stages[^1].Number == last.Stages.Count))
                yield return (visit.Pies, lot.PickUpMin - visit.EndMin);
        }
    }

    private static decimal? Heat(PlannedDay plan)
    {
        var sum = 0m;
        foreach (var (oven, minutes) in HotMinutes.Of(plan))
        {
            if (plan.Ovens[oven].HourPrice is not { } price) return null;
            sum += price * minutes / 60;
        }

        return sum;
    }

    private static long Changes(IEnumerable<OvenSetting> settings) => settings.Where(setting => setting.TempC is not null).GroupBy(setting => setting.OvenId)
        .Sum(oven => oven.Zip(oven.Skip(1)).LongCount(pair => pair.First.TempC != pair.Second.TempC));
}
