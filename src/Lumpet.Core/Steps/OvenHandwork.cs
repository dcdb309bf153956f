namespace Lumpet.Core.Steps;

/// <summary>Work on a bake while it is in the oven: shielded, brushed, shaken, tested; at its minute, or at its sign.</summary>
/// <param name="AfterMin">Minutes into the bake; null where the words say by which sign.</param>
/// <param name="Words">What is done: "shield the rim", or "when the rim is dark: shield it".</param>
public sealed record OvenHandwork(int? AfterMin, string Words);
