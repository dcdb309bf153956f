namespace Lumpet.Core.Bakery;

/// <summary>An oven of the bakery.</summary>
/// <param name="Id">Short name.</param>
/// <param name="Name">The name shown.</param>
/// <param name="Shelves">Trays it holds.</param>
/// <param name="MinC">Lowest setting.</param>
/// <param name="MaxC">Highest setting.</param>
/// <param name="HeatCPerMin">Degrees it gains in a minute.</param>
/// <param name="CoolCPerMin">Degrees it loses in a minute.</param>
/// <param name="DialOffsetC">What the dial shows beyond the conventional temperature: about -20 for a fan oven.</param>
public sealed record Oven(
    string Id, string Name, int Shelves, int MinC, int MaxC, int HeatCPerMin, int CoolCPerMin, int DialOffsetC)
{
    /// <summary>Places for trays on its floor, beside its shelves; null where it has none apart: what bakes on a floor then takes a shelf, as in a deck oven, where every shelf is one.</summary>
    public int? FloorPlaces { get; init; }

    /// <summary>Minutes of one pair of hands for each tray put in or taken out; 0 where hands are not counted.</summary>
    public int ActionMin { get; init; }

    /// <summary>What an hour of it costs while it is on, in the bakery's currency; null where nobody has said.</summary>
    public decimal? HourPrice { get; init; }
}
