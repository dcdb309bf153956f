namespace Lumpet.Core.Baking;

/// <summary>
/// What counts for how much in a plan's cost. Being late always counts the same; the rest is a matter of school: fewest hot
/// hours, freshest pies, steadiest work.
/// </summary>
/// <param name="PerOvenOnMin">A minute of a hot oven; at least 0.</param>
/// <param name="PerSettingChange">A changed setting; at least 0.</param>
/// <param name="EarlyTenths">Tenths of a cost unit for a pie that is out a minute before it is due; at least 0.</param>
/// <param name="PerDoorOpening">A minute at which an oven's door is opened for trays in or out; at least 0.</param>
/// <param name="PerDoorClash">A door that is opened in the minute of another oven's, which takes a second pair of hands; at least 0.</param>
public sealed record BakeWeights(int PerOvenOnMin, int PerSettingChange, int EarlyTenths, int PerDoorOpening, int PerDoorClash)
{
    /// <summary>What one pie-minute too late costs, in every school.</summary>
    public const int PerTardyPieMin = 1000;

    /// <summary>A hot minute as much as a thousand pie-minutes of waiting: what a problem counts by that names no weights.</summary>
    public static BakeWeights Usual { get; } = new(100, 200, 1, 0, 0);
}
