namespace Lumpet.Core.DayPlan;

/// <summary>What takes room: what it is, what it does there and for how long it may.</summary>
/// <param name="Name">What it is, as the crew says it; empty of what is there already and no order of the day tells the name of.</param>
/// <param name="Doing">What it waits for: the name of the step.</param>
/// <param name="Pieces">How many pies, or discs of a dough; 0 where only its weight says how much.</param>
/// <param name="KeepsForMin">For how many minutes from when it comes there it may stay; null where nothing says.</param>
public sealed record RoomContent(string Name, string Doing, int Pieces, long? KeepsForMin)
{
    /// <summary>Name of the product whose pies they are; null of doughs and tubs.</summary>
    public string? Product { get; init; }

    /// <summary>What is made here that it is, by the ingredient's id; null of pies.</summary>
    public string? MadeId { get; init; }
}
