using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;

namespace Lumpet.Core.Batches;

/// <summary>Something made here that is wanted at one minute.</summary>
/// <param name="Made">What; it has a formula, and says how it is made.</param>
/// <param name="Label">For what, as the crew says it: "Chocolate malt cream, 24 cm", "Sweet tart dough, batch 1".</param>
/// <param name="TaskId">The task that takes it.</param>
/// <param name="LotIds">The lots whose pies hold it in the end; at least one.</param>
/// <param name="Pies">How many pies those are, for what it costs when it is late.</param>
/// <param name="Wanted">How much.</param>
/// <param name="NeededMin">When it is taken.</param>
public sealed record PreparationDemand(
    Ingredient Made, string Label, string TaskId, IReadOnlyList<string> LotIds, int Pies, Mass Wanted, int NeededMin);
