using Lumpet.Core.Measures;

namespace Lumpet.Core.Bakery;

/// <summary>A mixer; one batch at a time.</summary>
/// <param name="Name">The name shown.</param>
/// <param name="SmallestBatch">Below this the dough does not mix well.</param>
/// <param name="LargestBatch">Above this the bowl runs over.</param>
public sealed record Mixer(string Name, Mass SmallestBatch, Mass LargestBatch);
