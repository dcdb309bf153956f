using Lumpet.Core.Pans;

namespace Lumpet.Core.Bakery;

/// <summary>A bakery as a person describes it; anything may be missing or wrong until <see cref="BakeryReader"/> has read it.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Zone">Its time zone (IANA).</param>
/// <param name="Currency">Its currency (ISO 4217).</param>
/// <param name="ToleranceC">By how many degrees an oven may differ from what a bake asks for.</param>
/// <param name="TransferMin">Minutes a tray takes from one oven to another.</param>
/// <param name="SpareMin">By how many minutes boxes should be ready before their pick-up.</param>
/// <param name="MixerName">The mixer's name.</param>
/// <param name="SmallestBatchKg">Below this the dough does not mix well.</param>
/// <param name="LargestBatchKg">Above this the bowl runs over.</param>
/// <param name="Shifts">When people are there, by the days of the week.</param>
/// <param name="Ovens">The ovens.</param>
/// <param name="Pans">The pans.</param>
/// <param name="Handles">Allergens that this kitchen handles; null while nothing is stated.</param>
/// <param name="OpenCPerTray">Degrees that an oven loses through the open door for each tray put in; null or 0 where that is not counted.</param>
/// <param name="DaysAhead">How many days before the day of a pick-up work for it may begin; null for one.</param>
/// <param name="SpecialDates">Dates on which other shifts are worked, or none; null for none.</param>
/// <param name="Room">How much room it has besides its ovens; null where nothing is counted.</param>
/// <param name="HandsHourPrice">What an hour of one pair of hands costs; null where it is not counted.</param>
/// <param name="Cups">Which cup and spoons a recipe means that names no country: "unitedStates", "metric" or "australian".</param>
public sealed record BakeryDraft(
    string? Name,
    string? Zone,
    string? Currency,
    int? ToleranceC,
    int? TransferMin,
    int? SpareMin,
    string? MixerName,
    double? SmallestBatchKg,
    double? LargestBatchKg,
    IReadOnlyList<ShiftDraft?>? Shifts,
    IReadOnlyList<OvenDraft?>? Ovens,
    IReadOnlyList<PanDraft?>? Pans,
    string? Cups,
    IReadOnlyList<string?>? Handles = null,
    int? OpenCPerTray = null,
    int? DaysAhead = null,
    IReadOnlyList<SpecialDateDraft?>? SpecialDates = null,
    RoomDraft? Room = null,
    decimal? HandsHourPrice = null);

/// <summary>Room as described; what is null is not counted, and limits nothing.</summary>
/// <param name="BenchPlaces">How many people have a place at the bench at once.</param>
/// <param name="Burners">How many pots can be on the fire at once.</param>
/// <param name="RackTrays">Trays that the cooling racks hold.</param>
/// <param name="FridgeTrays">Trays that the fridge holds.</param>
/// <param name="FridgeKg">Kilograms of dough and tubs that the fridge holds beside its trays.</param>
/// <param name="FreezerTrays">Trays that the freezer holds.</param>
/// <param name="FreezerKg">Kilograms of dough and tubs that the freezer holds beside its trays.</param>
/// <param name="PotLitres">Litres of the largest pot.</param>
public sealed record RoomDraft(
    int? BenchPlaces = null, int? Burners = null, int? RackTrays = null, int? FridgeTrays = null, int? FridgeKg = null, int? FreezerTrays = null, int? FreezerKg = null, int? PotLitres = null);

/// <summary>A shift as described.</summary>
/// <param name="Name">The name shown.</param>
/// <param name="Start">Local clock time, "12:00".</param>
/// <param name="LengthMin">How long it lasts.</param>
/// <param name="People">How many people work in it; null where hands are not to limit the plan.</param>
/// <param name="Days">The days of the week on which it begins, "monday" to "sunday"; null for every day, and on a special date.</param>
/// <param name="Breaks">When nobody is at the bench; whoever watches the ovens takes turns. Null for none.</param>
public sealed record ShiftDraft(string? Name, string? Start, int? LengthMin, int? People = null, IReadOnlyList<string?>? Days = null, IReadOnlyList<BreakDraft?>? Breaks = null);

/// <summary>A break as described.</summary>
/// <param name="Start">Local clock time, "17:30".</param>
/// <param name="LengthMin">How long it lasts.</param>
public sealed record BreakDraft(string? Start, int? LengthMin);

/// <summary>A date on which other shifts are worked than on its day of the week.</summary>
/// <param name="Date">The date, "2026-12-24".</param>
/// <param name="Words">Why; may be empty.</param>
/// <param name="Shifts">The shifts that begin on it; empty where nobody works.</param>
public sealed record SpecialDateDraft(string? Date, string? Words, IReadOnlyList<ShiftDraft?>? Shifts);

/// <summary>An oven as described.</summary>
/// <param name="Name">The name shown.</param>
/// <param name="Shelves">Trays it holds.</param>
/// <param name="MinC">Lowest setting.</param>
/// <param name="MaxC">Highest setting.</param>
/// <param name="HeatCPerMin">Degrees it gains in a minute.</param>
/// <param name="CoolCPerMin">Degrees it loses in a minute.</param>
/// <param name="DialOffsetC">What the dial shows beyond the conventional temperature: about -20 for a fan oven.</param>
/// <param name="FloorPlaces">Places for trays on its floor, beside its shelves; null where it has none apart.</param>
/// <param name="ActionMin">Minutes of one pair of hands, which serves all ovens, for each tray put in or taken out; null or 0 where hands are not counted.</param>
/// <param name="HourPrice">What an hour of it costs while it is on; null where it is not counted.</param>
public sealed record OvenDraft(string? Name, int? Shelves, int? MinC, int? MaxC, int? HeatCPerMin, int? CoolCPerMin, int? DialOffsetC, int? FloorPlaces = null, decimal? HourPrice = null, int? ActionMin = null);
