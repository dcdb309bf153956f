using Lumpet.Core.Ingredients;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;

namespace Lumpet.Core.Safety;

/// <summary>A step that leaves the cold for longer than the rule allows.</summary>
/// <param name="StepId">Id of the step.</param>
/// <param name="Words">What it does, and which rule says what.</param>
public sealed record LeftTheCold(string StepId, string Words);

/// <summary>
/// Time and temperature control for safety: which products need it follows from what is in them, and whether they get it
/// from what their steps do. The rules are those of the FDA Food Code 2022, from memory; local codes and licensed practice
/// decide. Only a written assessment of the manager's lets a product leave them.
/// </summary>
public static class TimeAndTemperature
{
    /// <summary>The rule, as screens and sheets say it.</summary>
    public const string Rule = "Cooled from 57 °C to 21 °C within 2 h and to 5 °C within 6 h in all, then kept at 5 °C or below (FDA Food Code 3-501.14 and 3-501.16).";

    // 3-501.14: from 57 °C to 21 °C within two hours. A pie comes out hotter than 57 °C, so two hours from the door are on the safe side.
    private const int MostAfterHeatMin = 120;

    // 3-501.19: time alone as the control, four hours at most, before the filling is heated.
    private const int MostBeforeHeatMin = 240;

    // Boxing and finishing take something out of the cold for a while (common practice, no source; far within 3-501.19).
    private const int MostAfterColdMin = 60;

    private const int ColdC = 5;
    private const int HotC = 57;

    // As many pies as are worked on together, for the minutes that hands take.
    private const int PiesTogether = 12;

    /// <summary>
    /// Names of the ingredients for which a product needs control: of its filling and topping every egg, milk, cooked
    /// vegetable and the like; of its finish what is not brushed on before a bake. Dough bakes dry and is not counted.
    /// </summary>
    public static IReadOnlyList<string> Needs(Product product) =>
        [.. product.Parts.SelectMany(part => part.Kind switch
        {
            PartKind.Filling or PartKind.Topping => part.Lines.Where(line => line.Ingredient.Facts.NeedsControl),
            PartKind.Finish => part.Lines.Where(line => line.Ingredient.Facts.NeedsControl && !IsBrushedOn(line)),
            _ => [],
        }).Select(line => line.Ingredient.Name).Distinct()];

    /// <summary>Where the steps of a product that needs control leave the cold for too long; none where they keep to the rule.</summary>
    public static IReadOnlyList<LeftTheCold> Left(Product product) => Needs(product).Count == 0 ? [] : [.. Before(product), .. After(product)];

    /// <summary>Egg or milk to be brushed on, by itself or as something made here that holds nothing else of the kind.</summary>
    private static bool IsBrushedOn(RecipeLine line) =>
        line.Ingredient.Facts.Role == IngredientRole.Egg
        || line.Preparation.Contains("wash", StringComparison.OrdinalIgnoreCase)
        || (line.Ingredient.Formula is { } formula && (formula.How?.Kind == PreparationKind.Wash || formula.Lines.Where(inner => inner.Ingredient.Facts.NeedsControl).All(IsBrushedOn)));

    /// <summary>Raw or cooked filling that stands at room temperature before it is baked or poured.</summary>
    private static IEnumerable<LeftTheCold> Before(Product product)
    {
        var graph = new StepGraph(product.Process);
        var end = LastHeat(graph);
        return graph.Edges
            .Where(edge => edge.Carries && edge.To <= end && !graph.HoldsDough(edge.From))
            .Select(edge => edge.Waits.Where(wait => wait.Celsius is > ColdC and < HotC).ToArray())
            .Where(warm => warm.Sum(wait => wait.Wait!.Most) > MostBeforeHeatMin)
            .Select(warm => new LeftTheCold(
                warm[0].Id,
                $"\"{warm[0].Name}\" keeps its filling at {warm[0].Celsius} °C for up to {Long(warm.Sum(wait => wait.Wait!.Most))}; time alone may be the control for 4 h at most (FDA Food Code 3-501.19)"));
    }

    private static List<LeftTheCold> After(Product product)
    {
        var graph = new StepGraph(product.Process);
        var (warm, isCold, since) = (0, false, graph.Nodes[LastHeat(graph)]);
        var said = new List<LeftTheCold>();
        foreach (var (step, minutes) in Path(graph, LastHeat(graph)))
        {
            if (step.Celsius is <= ColdC or >= HotC)
            {
                isCold = true;
                warm = 0;
                continue;
            }

            warm += minutes;
            if (said.Any(one => one.StepId == step.Id)) continue;
            if (!isCold && warm > MostAfterHeatMin)
            {
                said.Add(new LeftTheCold(step.Id, $"\"{step.Name}\" leaves it out of the cold for up to {Long(warm)} after \"{since.Name}\"; from 57 °C to 21 °C it may take 2 h at most (FDA Food Code 3-501.14)"));
                break;
            }

            if (!isCold || warm <= MostAfterColdMin) continue;
            said.Add(new LeftTheCold(step.Id, $"\"{step.Name}\" keeps it at {step.Celsius} °C for up to {Long(warm)}; it is held at 5 °C or below (FDA Food Code 3-501.16)"));
            break;
        }

        var last = graph.Nodes[^1];
        if (said.Count == 0 && (!isCold || last.Celsius is > ColdC and < HotC))
            said.Add(new LeftTheCold(last.Id, $"after \"{last.Name}\" it waits for its pick-up out of the cold; it is held at 5 °C or below (FDA Food Code 3-501.16)"));
        return said;
    }

    /// <summary>The last bake of what is filled, or where nothing filled is baked the step that fills.</summary>
    private static int LastHeat(StepGraph graph)
    {
        var baked = graph.Bakes.Where(node => graph.Nodes[node].Bakes is BakeOf.Pie or BakeOf.Top).DefaultIfEmpty(-1).Max();
        if (baked >= 0) return baked;
        return Enumerable.Range(0, graph.Nodes.Count).Where(node => graph.Into(node).Where(edge => edge.Carries).Select(edge => edge.From).Distinct().Count() > 1).DefaultIfEmpty(graph.Nodes.Count - 1).First();
    }

    /// <summary>What comes after a node on the way to the box, with the most minutes that each takes.</summary>
    private static IEnumerable<(Step Step, int Minutes)> Path(StepGraph graph, int from)
    {
        for (var node = from; graph.Out(node).Where(edge => edge.Carries).MaxBy(edge => edge.Lag.Most) is { } edge; node = edge.To)
        {
            var next = graph.Nodes[edge.To];
            foreach (var wait in edge.Waits) yield return (wait, wait.Wait!.Most);
            if (edge.Waits.Count == 0) yield return (next with { Celsius = next.Celsius ?? 20 }, edge.Lag.Most);
            yield return (next, graph.Minutes(edge.To, PiesTogether));
        }
    }

    private static string Long(int minutes) => minutes < 120 ? $"{minutes} min" : FormattableString.Invariant($"{minutes / 60.0:0.#} h");
}
