using Lumpet.Core.Steps;

namespace Lumpet.Core.Recipes.Schools;

/// <summary>What a way of making takes, for so many pies made together; every figure follows from the steps as written.</summary>
/// <param name="WorkMin">Minutes of hands.</param>
/// <param name="OvenMin">Least minutes in the oven, of all bakes and of trays heated before them.</param>
/// <param name="ColdTrayMin">Trays times minutes in fridge or freezer, every wait as it is wanted.</param>
/// <param name="WayMin">Minutes from the first work to the box, the longest way, every wait as it is wanted.</param>
public sealed record SchoolEffect(int WorkMin, int OvenMin, int ColdTrayMin, int WayMin)
{
    private const int ColdC = 5;

    /// <summary>What a process takes.</summary>
    /// <param name="process">The steps.</param>
    /// <param name="pies">Pies made together; at least 1.</param>
    /// <param name="perTray">Pies on a tray; at least 1.</param>
    public static SchoolEffect Of(ProcessNetwork process, int pies, int perTray)
    {
        var trays = (pies + perTray - 1) / perTray;
        return new SchoolEffect(
            process.Steps.Sum(step => step.Hands?.For(pies) ?? 0),
            process.Steps.Where(step => step.IsBake).Sum(step => step.Stages.Sum(stage => stage.MinMin) + step.HeatedTrayMin),
            process.Steps.Where(step => step.Wait is not null && step.Celsius <= ColdC).Sum(step => step.Wait!.Aim) * trays,
            Longest(process, pies));
    }

    private static int Longest(ProcessNetwork process, int pies)
    {
        var graph = new StepGraph(process);
        var end = new int[graph.Nodes.Count];
        for (var node = 0; node < end.Length; node++)
            end[node] = graph.Into(node).Where(edge => edge.Carries).Select(edge => end[edge.From] + edge.Lag.Aim).DefaultIfEmpty(0).Max() + graph.Minutes(node, pies);
        return end.Max();
    }
}
