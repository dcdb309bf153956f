namespace Lumpet.Core.Steps;

/// <summary>Tells from a bake's place among the steps what it bakes, where nobody has said so.</summary>
internal static class BakedThings
{
    /// <summary>The same steps, each bake with what it bakes.</summary>
    /// <param name="network">The steps.</param>
    /// <param name="isFillingBaked">Whether the filling is baked in its crust.</param>
    /// <param name="said">What was said, by the step's id; null where nothing was.</param>
    public static ProcessNetwork Told(ProcessNetwork network, bool isFillingBaked, Func<string, BakeOf?> said)
    {
        var before = network.Links.Where(link => link.Kind != LinkKind.During).ToLookup(link => link.After, link => link.Before);
        var filled = new HashSet<string>();
        // Where two ways come together something is filled; what follows is filled too.
        foreach (var step in network.Steps)
            if (before[step.Id].Distinct().Count() > 1 || before[step.Id].Any(filled.Contains)) filled.Add(step.Id);
        var holdsDough = new HashSet<string>();
        foreach (var step in network.Steps)
            if (step.UsesDough || before[step.Id].Any(holdsDough.Contains)) holdsDough.Add(step.Id);
        var isBaked = !isFillingBaked;
        return network with
        {
            Steps = [.. network.Steps.Select(step =>
            {
                if (!step.IsBake) return step;
                var place = !holdsDough.Contains(step.Id) ? BakeOf.Preparation
                    : !filled.Contains(step.Id) ? BakeOf.Shell
                    : isBaked ? BakeOf.Top
                    : BakeOf.Pie;
                var bakes = said(step.Id) ?? place;
                isBaked |= bakes == BakeOf.Pie;
                return step with { Bakes = bakes };
            })],
        };
    }
}
