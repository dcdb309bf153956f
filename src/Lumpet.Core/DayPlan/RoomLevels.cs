using Lumpet.Core.Bakery;

namespace Lumpet.Core.DayPlan;

/// <summary>How full a place of the kitchen is over time, with what days before have in it.</summary>
/// <param name="Place">The place.</param>
/// <param name="Room">How much of it there is; null where nobody has counted it.</param>
/// <param name="Levels">How much is in use from each minute on; the last is 0.</param>
public sealed record RoomLevels(RoomPlace Place, int? Room, IReadOnlyList<RoomLevel> Levels)
{
    /// <summary>The most in use at once.</summary>
    public int Most => Levels.Max(level => level.Amount);

    /// <summary>When that is first.</summary>
    public int MostAtMin => Levels.MaxBy(level => level.Amount)!.AtMin;

    /// <summary>For how many minutes nothing more goes in; 0 where it is not counted.</summary>
    public int FullMin => Room is null ? 0 : Levels.Zip(Levels.Skip(1)).Where(pair => pair.First.Amount >= Room).Sum(pair => pair.Second.AtMin - pair.First.AtMin);

    /// <summary>When it is first full; null where it never is.</summary>
    public int? FullFromMin => Room is null ? null : Levels.FirstOrDefault(level => level.Amount >= Room)?.AtMin;

    /// <summary>The levels of every place that a plan uses.</summary>
    /// <param name="day">The plan.</param>
    /// <param name="room">How much room there is.</param>
    public static IReadOnlyList<RoomLevels> Of(PlannedDay day, KitchenRoom room)
    {
        var own = day.Room.Select(use => use.Place).ToHashSet();
        return
        [
            .. day.Room.Concat(day.Taken.Room).Where(use => own.Contains(use.Place)).GroupBy(use => use.Place).OrderBy(group => group.Key)
                .Select(group => Of(group.Key, room.In(group.Key), group)),
        ];
    }

    /// <summary>The levels of a place.</summary>
    /// <param name="place">The place.</param>
    /// <param name="room">How much of it there is; null where nobody has counted it.</param>
    /// <param name="uses">What is in use there; at least one.</param>
    public static RoomLevels Of(RoomPlace place, int? room, IEnumerable<RoomUse> uses) => new(place, room, [.. Levelled(uses)]);

    private static IEnumerable<RoomLevel> Levelled(IEnumerable<RoomUse> uses)
    {
        var amount = 0;
        foreach (var minute in uses.SelectMany(use => new[] { (At: use.FromMin, use.Amount), (At: use.ToMin, Amount: -use.Amount) }).GroupBy(change => change.At).OrderBy(group => group.Key))
        {
            if (minute.Sum(change => change.Amount) is var change && change == 0) continue;
            amount += change;
            yield return new RoomLevel(minute.Key, amount);
        }
    }
}

/// <summary>So much is in use from a minute on.</summary>
/// <param name="AtMin">The minute.</param>
/// <param name="Amount">People, pots or trays; grams of dough and tubs.</param>
public sealed record RoomLevel(int AtMin, int Amount);
