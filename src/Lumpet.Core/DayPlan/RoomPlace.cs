using Lumpet.Core.Bakery;
using Lumpet.Core.Preparations;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>A place of which a kitchen has only so much, besides ovens, pans and the mixer.</summary>
public enum RoomPlace
{
    /// <summary>Places of people at the bench.</summary>
    Bench,

    /// <summary>Pots on the fire.</summary>
    Burners,

    /// <summary>Trays on the cooling racks.</summary>
    Racks,

    /// <summary>Trays in the fridge.</summary>
    FridgeTrays,

    /// <summary>Grams of dough and tubs in the fridge.</summary>
    FridgeTubs,

    /// <summary>Trays in the freezer.</summary>
    FreezerTrays,

    /// <summary>Grams of dough and tubs in the freezer.</summary>
    FreezerTubs,
}

/// <summary>So much of a place in use.</summary>
/// <param name="Place">The place.</param>
/// <param name="Amount">People, pots or trays; grams of dough and tubs.</param>
/// <param name="FromMin">First minute.</param>
/// <param name="ToMin">Minute after the last.</param>
public sealed record RoomUse(RoomPlace Place, int Amount, int FromMin, int ToMin)
{
    /// <summary>What lies or stands there; null of people and pots.</summary>
    public RoomContent? Content { get; init; }
}

/// <summary>Which place work and waits take.</summary>
internal static class RoomPlaces
{
    private const int GramsPerKilogram = 1000;

    // Whatever freezes; a fridge stands above it.
    private const int FreezesC = 0;

    /// <summary>The place in which someone works at a station; null where it is not counted.</summary>
    public static RoomPlace? OfWork(Station station) => station switch
    {
        Station.Bench or Station.Finish => RoomPlace.Bench,
        Station.Pot => RoomPlace.Burners,
        _ => null,
    };

    /// <summary>Where trays wait; null where that is not counted.</summary>
    public static RoomPlace? OfTrays(Step wait) => wait.Station switch
    {
        Station.Rack => RoomPlace.Racks,
        Station.Cold => IsFrozen(wait) ? RoomPlace.FreezerTrays : RoomPlace.FridgeTrays,
        _ => null,
    };

    /// <summary>Where a tub waits; null where that is not counted.</summary>
    public static RoomPlace? OfTubs(Step wait) => wait.Station != Station.Cold ? null : IsFrozen(wait) ? RoomPlace.FreezerTubs : RoomPlace.FridgeTubs;

    /// <summary>Where a tub is that is kept in a place; null where that is not counted.</summary>
    public static RoomPlace? OfTubs(KeepPlace kept) => kept switch
    {
        KeepPlace.Cold => RoomPlace.FridgeTubs,
        KeepPlace.Frozen => RoomPlace.FreezerTubs,
        _ => null,
    };

    /// <summary>Where pies stand on trays that are kept in a place.</summary>
    public static RoomPlace? OfTrays(KeepPlace? kept) => kept switch
    {
        null => null,
        KeepPlace.Cold => RoomPlace.FridgeTrays,
        KeepPlace.Frozen => RoomPlace.FreezerTrays,
        _ => RoomPlace.Racks,
    };

    /// <summary>How much of a place there is, in the unit of its uses; null where nobody has counted it.</summary>
    public static int? In(this KitchenRoom room, RoomPlace place) => place switch
    {
        RoomPlace.Bench => room.BenchPlaces,
        RoomPlace.Burners => room.Burners,
        RoomPlace.Racks => room.RackTrays,
        RoomPlace.FridgeTrays => room.FridgeTrays,
        RoomPlace.FridgeTubs => room.FridgeKilograms * GramsPerKilogram,
        RoomPlace.FreezerTrays => room.FreezerTrays,
        RoomPlace.FreezerTubs => room.FreezerKilograms * GramsPerKilogram,
        _ => throw new ArgumentOutOfRangeException(nameof(place)),
    };

    private static bool IsFrozen(Step wait) => wait.Celsius < FreezesC;
}
