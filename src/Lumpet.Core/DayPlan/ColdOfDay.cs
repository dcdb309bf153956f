using Lumpet.Core.Bakery;

namespace Lumpet.Core.DayPlan;

/// <summary>What stands and lies in the cold and on the racks over a day, each thing in a place of its own for as long as it is there.</summary>
/// <param name="Levels">How full the place is over time.</param>
/// <param name="Things">What is there, the first that comes first.</param>
public sealed record ColdOfDay(RoomLevels Levels, IReadOnlyList<ColdThing> Things)
{
    /// <summary>Every place in which anything stands or lies between a plan's first work and its last pick-up, things of days before among it.</summary>
    /// <param name="day">The plan.</param>
    /// <param name="room">How much room there is.</param>
    public static IReadOnlyList<ColdOfDay> Of(PlannedDay day, KitchenRoom room)
    {
        if (day.Tasks.Count == 0) return [];
        var (from, to) = Window(day);
        return
        [
            .. day.Room.Select(use => (Use: use, IsOwn: true)).Concat(day.Taken.Room.Select(use => (Use: use, IsOwn: false)))
                .Where(one => one.Use.Content is not null && one.Use.FromMin < to && one.Use.ToMin > from)
                .GroupBy(one => one.Use.Place).OrderBy(place => place.Key)
                .Select(place => new ColdOfDay(RoomLevels.Of(place.Key, room.In(place.Key), place.Select(one => one.Use)), Placed(place))),
        ];
    }

    /// <summary>From a plan's first work to its last pick-up.</summary>
    /// <exception cref="InvalidOperationException">Nothing is done.</exception>
    public static (int FromMin, int ToMin) Window(PlannedDay day) =>
        (day.Tasks.Min(task => task.StartMin), day.Waves.Select(wave => wave.PickUpMin).Append(day.Tasks.Max(task => task.EndMin)).Max());

    /// <summary>Each thing on the first trays that are free when it comes, and it stays there: never more trays are asked than stand there at once.</summary>
    private static ColdThing[] Placed(IEnumerable<(RoomUse Use, bool IsOwn)> uses)
    {
        var placed = new List<ColdThing>();
        var freeFrom = new List<int>();
        foreach (var (use, isOwn) in uses.OrderBy(one => one.Use.FromMin).ThenBy(one => one.Use.ToMin).ThenBy(one => one.Use.Content!.Name, StringComparer.Ordinal))
        {
            // Tubs are drawn by weight, and stand nowhere in particular.
            int[] trays = IsOfTrays(use.Place) ? [.. Enumerable.Range(0, freeFrom.Count + use.Amount).Where(tray => tray >= freeFrom.Count || freeFrom[tray] <= use.FromMin).Take(use.Amount)] : [];
            foreach (var tray in trays)
            {
                if (tray < freeFrom.Count) freeFrom[tray] = use.ToMin;
                else freeFrom.Add(use.ToMin);
            }

            placed.Add(new ColdThing(use, trays, isOwn));
        }

        return [.. placed];
    }

    private static bool IsOfTrays(RoomPlace place) => place is RoomPlace.Racks or RoomPlace.FridgeTrays or RoomPlace.FreezerTrays;
}

/// <summary>A thing in the cold or on the racks.</summary>
/// <param name="Use">What it is, how much room it takes and for how long.</param>
/// <param name="Trays">The trays of the place on which it stands, from 0; none of tubs.</param>
/// <param name="IsOwn">Whether it is of this day; of a day before otherwise.</param>
public sealed record ColdThing(RoomUse Use, IReadOnlyList<int> Trays, bool IsOwn);
