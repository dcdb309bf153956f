using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;

namespace Lumpet.Core.Recipes;

/// <summary>A product scaled to a pan and a count. Exact: nothing in it is rounded.</summary>
/// <param name="Product">What was scaled.</param>
/// <param name="Pan">To which pan.</param>
/// <param name="Count">To how many pies.</param>
/// <param name="FillingScale">How the filling came by its factor.</param>
/// <param name="FillingPerPie">What goes into one pie, what stays in the pot taken off.</param>
/// <param name="Pieces">Dough pieces of one pie.</param>
/// <param name="DoughPerPie">Discs of one pie, trim included.</param>
/// <param name="DoughFactor">Dough of this pan over dough of the reference pan.</param>
/// <param name="Parts">Every part of the product, scaled.</param>
/// <param name="Packaging">What is counted by the pie in this pan.</param>
public sealed record ScaledProduct(
    Product Product,
    Pan Pan,
    int Count,
    FillingScale FillingScale,
    Mass FillingPerPie,
    IReadOnlyList<DoughPiece> Pieces,
    Mass DoughPerPie,
    double DoughFactor,
    IReadOnlyList<ScaledPart> Parts,
    IReadOnlyList<Ingredient> Packaging)
{
    /// <summary>Every line of every part.</summary>
    public IEnumerable<ScaledLine> AllLines => Parts.SelectMany(part => part.Lines);

    /// <summary>Lines of the dough, with what stays in the bowl.</summary>
    public IReadOnlyList<ScaledLine> Dough => Part(PartKind.Dough).Lines;

    /// <summary>Lines of the filling.</summary>
    public IReadOnlyList<ScaledLine> Filling => Part(PartKind.Filling).Lines;

    /// <summary>One part.</summary>
    public ScaledPart Part(PartKind kind) => Parts.First(part => part.Kind == kind);
}

/// <summary>A part of a recipe, scaled.</summary>
/// <param name="Kind">Which.</param>
/// <param name="Factor">By which every written line is multiplied for one pie.</param>
/// <param name="Lines">Its lines.</param>
public sealed record ScaledPart(PartKind Kind, double Factor, IReadOnlyList<ScaledLine> Lines);

/// <summary>A line of a formula, scaled.</summary>
/// <param name="Line">As written.</param>
/// <param name="PerPie">For one pie in the chosen pan.</param>
/// <param name="Total">For all pies.</param>
/// <param name="ToBuy">The total as purchased: total / yield.</param>
public sealed record ScaledLine(RecipeLine Line, Mass PerPie, Mass Total, Mass ToBuy);
