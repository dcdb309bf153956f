using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;

namespace Lumpet.Core.Recipes;

/// <summary>A product scaled to a pan and a count. Exact: nothing in it is rounded.</summary>
/// <param name="Product">What was scaled.</param>
/// <param name="Pan">To which pan.</param>
/// <param name="Count">To how many pies.</param>
/// <param name="FillingScale">How the filling came by its factor.</param>
/// <param name="Filling">Lines of the filling.</param>
/// <param name="FillingPerPie">What goes into one pie, what stays in the pot taken off.</param>
/// <param name="Pieces">Dough pieces of one pie.</param>
/// <param name="DoughPerPie">Discs of one pie, trim included.</param>
/// <param name="DoughFactor">Dough of this pan over dough of the reference pan.</param>
/// <param name="Dough">Lines of the dough, with what stays in the bowl.</param>
/// <param name="FinishFactor">Area of the top over that of the reference pan.</param>
/// <param name="Finish">Lines of the finish.</param>
public sealed record ScaledProduct(
    Product Product,
    Pan Pan,
    int Count,
    FillingScale FillingScale,
    IReadOnlyList<ScaledLine> Filling,
    Mass FillingPerPie,
    IReadOnlyList<DoughPiece> Pieces,
    Mass DoughPerPie,
    double DoughFactor,
    IReadOnlyList<ScaledLine> Dough,
    double FinishFactor,
    IReadOnlyList<ScaledLine> Finish)
{
    /// <summary>Lines of the topping.</summary>
    public IReadOnlyList<ScaledLine> Topping { get; init; } = [];
}

/// <summary>A line of a formula, scaled.</summary>
/// <param name="Line">As written.</param>
/// <param name="PerPie">For one pie in the chosen pan.</param>
/// <param name="Total">For all pies.</param>
/// <param name="ToBuy">The total as purchased: total / yield.</param>
public sealed record ScaledLine(RecipeLine Line, Mass PerPie, Mass Total, Mass ToBuy);
