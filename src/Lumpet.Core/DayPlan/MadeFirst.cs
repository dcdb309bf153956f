using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>Something that a plan makes first, with the step of a pie that takes it.</summary>
/// <param name="Made">What is made.</param>
/// <param name="Step">The step.</param>
/// <param name="IsSaid">Whether a person says so; otherwise its part of the recipe tells.</param>
public sealed record MadeFirst(Ingredient Made, Step Step, bool IsSaid)
{
    /// <summary>What a plan makes first for a product, but for what is in its dough: that is taken when it is mixed.</summary>
    public static IReadOnlyList<MadeFirst> In(Product product)
    {
        var graph = new StepGraph(product.Process);
        return
        [
            .. from taken in PreparationTaking.Of(product, graph)
               from made in PreparationTaking.Planned(taken.Line.Ingredient)
               let step = graph.Nodes[taken.Node]
               select new MadeFirst(made, step, step.Takes.Contains(taken.Line.Ingredient.Id)),
        ];
    }
}
