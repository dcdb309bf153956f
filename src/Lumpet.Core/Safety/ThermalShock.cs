using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;

namespace Lumpet.Core.Safety;

/// <summary>Glass and earthenware that go from the freezer into a hot oven may crack (makers' general warning; common practice, no source).</summary>
public static class ThermalShock
{
    // From here on a pan counts as frozen, and a place as one in which it warms.
    private const int FrozenC = -5;

    /// <summary>The sizes of a product whose pans would go so; none where nothing comes from the freezer.</summary>
    public static IReadOnlyList<Pan> Pans(Product product) =>
        GoesIntoTheOvenFrozen(product.Process) ? [.. product.Sizes.Select(size => size.Pan).Where(pan => pan.MayCrack)] : [];

    /// <summary>Whether a bake follows the freezer with nothing in between in which a pan could warm.</summary>
    public static bool GoesIntoTheOvenFrozen(ProcessNetwork process)
    {
        var graph = new StepGraph(process);
        return graph.Edges.Any(edge => edge.Waits is [.., { Celsius: <= FrozenC }] && LeadsToHeat(graph, edge.To));
    }

    private static bool LeadsToHeat(StepGraph graph, int node) =>
        graph.Nodes[node].IsBake
        || graph.Out(node).Any(edge => edge.Carries && edge.Waits.Count == 0 && LeadsToHeat(graph, edge.To));
}
