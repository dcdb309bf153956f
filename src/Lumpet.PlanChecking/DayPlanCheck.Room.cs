using Lumpet.Core.DayPlan;
using Lumpet.Core.Preparations;
using Lumpet.Core.Steps;

namespace Lumpet.PlanChecking;

/// <summary>Benches, burners, racks and the cold, counted from the tasks of the crew's list and from what batches say is taken of them.</summary>
internal sealed partial class DayPlanCheck
{
    private const int FreezesC = 0;

    /// <summary>No more is in a place than there is room for.</summary>
    public void Room()
    {
        var room = snapshot.Room;
        DayTask[] counted = [.. plan.Tasks.Where(IsCounted)];
        DayTask[] work = [.. counted.Where(task => task.Kind == TaskKind.Hands)];
        DayTask[] waits = [.. counted.Where(task => task.Kind == TaskKind.Wait && task.LotId is not null)];
        Full(RoomPlace.Bench, room.BenchPlaces, work.Where(task => task.Station is Station.Bench or Station.Finish).Select(task => (1, task.StartMin, task.EndMin)));
        Full(RoomPlace.Burners, room.Burners, work.Where(task => task.Station == Station.Pot).Select(task => (1, task.StartMin, task.EndMin)));
        Full(RoomPlace.Racks, room.RackTrays, [.. waits.Where(task => task.Station == Station.Rack).Select(Trays), .. Baked()], PiesThere(KeepPlace.Room));
        DayTask[] cold = [.. waits.Where(task => task.Station == Station.Cold)];
        Full(RoomPlace.FridgeTrays, room.FridgeTrays, [.. cold.Where(task => task.Celsius >= FreezesC).Select(Trays)], PiesThere(KeepPlace.Cold));
        Full(RoomPlace.FreezerTrays, room.FreezerTrays, [.. cold.Where(task => task.Celsius < FreezesC).Select(Trays)], PiesThere(KeepPlace.Frozen));
        Full(RoomPlace.FridgeTubs, room.FridgeKilograms * 1000, [.. Doughs(), .. Tubs(isFrozen: false)], There(KeepPlace.Cold));
        Full(RoomPlace.FreezerTubs, room.FreezerKilograms * 1000, [.. Tubs(isFrozen: true)], There(KeepPlace.Frozen));
    }

    private (int, int, int) Trays(DayTask task)
    {
        var each = plan.Lot(task.LotId!).Pan.PerTray;
        return ((task.Pies + each - 1) / each, task.StartMin, task.EndMin);
    }

    /// <summary>Doughs lie in the cold from their mixing, or their last turn, until each portion is taken.</summary>
    private IEnumerable<(int, int, int)> Doughs() =>
        from batch in plan.Batches
        where AreMade(batch.LotIds)
        let since = batch.Turns.Count == 0 ? batch.MixEndMin : batch.Turns[^1] + batch.Dough.Method.TurnMinutes
        from disc in batch.Discs
        select ((int)Math.Floor(disc.Disc.Grams * disc.Count), since, disc.NeededMin);

    private IEnumerable<(int, int, int)> Baked() =>
        from one in plan.Made
        where AreMade(one.Batch.LotIds)
        from pair in one.Steps.Zip(one.Steps.Skip(1))
        where pair.First.Step.IsBake && pair.Second.Step is { Wait: not null, Station: Station.Rack }
        select (one.Batch.How.Batches.TraysFor(one.Batch.Weighed), pair.Second.StartMin, pair.Second.EndMin);

    /// <summary>What is made first lies where it is kept from its last step until each portion is taken.</summary>
    private IEnumerable<(int, int, int)> Tubs(bool isFrozen) =>
        from one in plan.Made
        where AreMade(one.Batch.LotIds)
        from kept in one.Kept.Take(1)
        where kept.Step.Station == Station.Cold && kept.Step.Celsius < FreezesC == isFrozen
        from use in one.Batch.Uses
        select ((int)Math.Floor(use.Wanted.Grams), kept.StartMin, use.NeededMin);

    private void Full(RoomPlace place, int? most, IEnumerable<(int Amount, int FromMin, int ToMin)> own, IEnumerable<(int Amount, int FromMin, int ToMin)>? there = null)
    {
        if (most is null) return;
        // What is there already may be more than there is room for, which is no fault of a plan; nothing more goes in beside it.
        (int Amount, int FromMin, int ToMin)[] mine = [.. own.Where(use => use.FromMin < use.ToMin)];
        (int Amount, int FromMin, int ToMin)[] all = [.. mine, .. (there ?? []).Where(use => use.FromMin < use.ToMin), .. snapshot.Taken.Room.Where(use => use.Place == place).Select(use => (use.Amount, use.FromMin, use.ToMin))];
        foreach (var minute in all.Select(use => use.FromMin).Distinct().Order())
        {
            var mineNow = mine.Any(use => use.FromMin <= minute && minute < use.ToMin);
            var used = all.Where(use => use.FromMin <= minute && minute < use.ToMin).Sum(use => (long)use.Amount);
            if (!mineNow || used <= most) continue;
            Say("room", place.ToString(), $"{used} are in use at {minute}, and there is room for {most}.");
            return;
        }
    }
}
