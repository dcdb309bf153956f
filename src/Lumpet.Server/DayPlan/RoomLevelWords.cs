using Lumpet.Core;
using Lumpet.Core.DayPlan;

namespace Lumpet.Server.DayPlan;

/// <summary>How full the kitchen is, as it is drawn and said.</summary>
internal static class RoomLevelWords
{
    private const double GramsPerKilogram = 1000;

    /// <summary>The places to draw: trays and tubs always, where people stand and pots on the fire where they are short.</summary>
    public static IReadOnlyList<RoomAnswer> Drawn(DayBook book, PlannedDay plan) =>
        [.. RoomLevels.Of(plan, book.Snapshot.Room).Where(levels => levels.Place > RoomPlace.Burners || levels.FullMin > 0).Select(levels => Of(book, levels))];

    /// <summary>A place as it is drawn and said.</summary>
    public static RoomAnswer Of(DayBook book, RoomLevels levels)
    {
        var (name, unit) = Named(levels.Place);
        return new RoomAnswer(
            Naming.Of(levels.Place),
            name,
            unit,
            levels.Room is { } room ? Shown(levels.Place, room) : null,
            Shown(levels.Place, levels.Most),
            book.Clock.At(levels.MostAtMin),
            [.. levels.Levels.Select(level => new RoomLevelAnswer(book.Clock.At(level.AtMin), Shown(levels.Place, level.Amount)))],
            levels.FullFromMin is { } from ? $"{Full(levels.Place)} for {PlanText.Long(levels.FullMin)}, first at {book.Clock.At(from).Day} {book.Clock.At(from).Clock}." : string.Empty);
    }

    private static (string Name, string Unit) Named(RoomPlace place) => place switch
    {
        RoomPlace.Bench => ("Bench", "people"),
        RoomPlace.Burners => ("Burners", "pots"),
        RoomPlace.Racks => ("Racks", "trays"),
        RoomPlace.FridgeTrays => ("Fridge", "trays"),
        RoomPlace.FridgeTubs => ("Fridge", "kg"),
        RoomPlace.FreezerTrays => ("Freezer", "trays"),
        _ => ("Freezer", "kg"),
    };

    private static string Full(RoomPlace place) => place switch
    {
        RoomPlace.Bench => "Every place at the bench is taken",
        RoomPlace.Burners => "Every burner is in use",
        RoomPlace.Racks => "The racks are full",
        RoomPlace.FridgeTrays => "The fridge has no shelf free",
        RoomPlace.FridgeTubs => "The fridge has no room for more dough and tubs",
        RoomPlace.FreezerTrays => "The freezer has no shelf free",
        _ => "The freezer has no room for more dough and tubs",
    };

    /// <summary>How much of a place, in the unit that is shown.</summary>
    public static double Shown(RoomPlace place, int amount) =>
        place is RoomPlace.FridgeTubs or RoomPlace.FreezerTubs ? Math.Round(amount / GramsPerKilogram, 1, MidpointRounding.AwayFromZero) : amount;
}
