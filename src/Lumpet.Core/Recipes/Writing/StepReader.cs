using Lumpet.Core.Steps;
using Lumpet.Core.Steps.Writing;

namespace Lumpet.Core.Recipes.Writing;

/// <summary>Reads the steps of a written product, and how they follow one another.</summary>
internal static class StepReader
{
    private const int MostMinutes = SingleStepReader.MostMinutes;

    /// <summary>Reads steps and links; what does not hold together is a fault at "steps".</summary>
    public static ProcessNetwork Read(FieldChecks checks, ProductDraft draft, bool isFillingBaked)
    {
        Step[] steps = [.. checks.List("steps", draft.Steps, 2, 40, "steps").Select((step, at) => SingleStepReader.Read(checks, step, $"steps[{at}]"))];
        foreach (var twice in steps.GroupBy(step => step.Id).Where(group => group.Count() > 1)) checks.Add("steps", $"Two steps have the id \"{twice.Key}\".");
        Link[] links = [.. checks.List("links", draft.Links, 1, 80, "links").Select((link, at) => Read(checks, link, $"links[{at}]"))];
        foreach (var twice in links.GroupBy(link => (link.Before, link.After)).Where(group => group.Count() > 1)) checks.Add("links", $"The link from \"{twice.Key.Before}\" to \"{twice.Key.After}\" is there twice.");
        var network = new ProcessNetwork(steps, links);
        if (checks.Faults.Count == 0) Together(checks, network);
        return checks.Faults.Count == 0 ? BakedThings.Told(network, isFillingBaked, Said(draft)) : network;
    }

    private static Func<string, BakeOf?> Said(ProductDraft draft)
    {
        var said = (draft.Steps ?? []).OfType<StepDraft>().ToDictionary(step => (step.Id ?? string.Empty).Trim(), step => Naming.Read<BakeOf>(step.Bakes));
        return said.GetValueOrDefault;
    }

    /// <summary>Steps as they would be written.</summary>
    public static IReadOnlyList<StepDraft> Write(ProcessNetwork network) =>
        [.. network.Steps.Select(SingleStepReader.Write)];

    private static void Together(FieldChecks checks, ProcessNetwork network)
    {
        var ids = network.Steps.Select(step => step.Id).ToHashSet();
        foreach (var link in network.Links.Where(link => !ids.Contains(link.Before) || !ids.Contains(link.After)))
            checks.Add("links", $"There is no step for the link from \"{link.Before}\" to \"{link.After}\".");
        if (!network.Steps.Any(step => step.UsesDough)) checks.Add("steps", "One step must take the dough.");
        if (checks.Faults.Count > 0) return;
        try
        {
            var graph = new StepGraph(network);
            var ends = Enumerable.Range(0, graph.Nodes.Count).Count(graph.IsLast);
            if (ends != 1) checks.Add("steps", $"The steps must run together into one last step; here are {ends}.");
        }
        catch (ArgumentException exception)
        {
            checks.Add("steps", exception.Message);
        }
    }

    private static Link Read(FieldChecks checks, LinkDraft link, string path)
    {
        var (least, most) = (checks.Whole($"{path}.least", link.Least ?? 0, 0, MostMinutes, "min"), checks.Whole($"{path}.most", link.Most ?? 0, 0, MostMinutes, "min"));
        if (least > most) checks.Add($"{path}.most", "The most is under the least.");
        return new Link(link.From ?? string.Empty, link.To ?? string.Empty, Span.Between(least, Math.Max(least, most))) { Kind = checks.Word($"{path}.kind", link.Kind, LinkKind.After) };
    }
}
