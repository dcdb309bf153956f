using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;

namespace Lumpet.Core.Recipes;

/// <summary>A product scaled to a pan and a count. Exact: nothing in it is rounded.</summary>
/// <param name="Product">What was scaled.</param>
/// <param name="Pan">To which pan.</param>
/// <param name="Count">To how many pies.</param>
/// <param name="FillingScale">How the filling came by its factor.</param>
/// <param name="FillingPerPie">All fillings of one pie, what stays in the pot taken off.</param>
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

    /// <summary>Its doughs with what stays in the bowl, that of the base first.</summary>
    public IEnumerable<ScaledPart> Doughs => Parts.Where(part => part.Kind == PartKind.Dough);

    /// <summary>How its fillings pack together: that of the one filling, or the mean of several by their room.</summary>
    public Density FillingDensity => Density.Of(FillingPerPie, FillingScale.Room);

    /// <summary>Its fillings, from the floor up.</summary>
    public IEnumerable<ScaledPart> Fillings => Parts.Where(part => part.Kind == PartKind.Filling);

    /// <summary>The first part of a kind.</summary>
    public ScaledPart Part(PartKind kind) => Parts.First(part => part.Kind == kind);
}

/// <summary>A part of a recipe, scaled.</summary>
/// <param name="Part">As written.</param>
/// <param name="Factor">By which every written line is multiplied for one pie.</param>
/// <param name="Lines">Its lines.</param>
public sealed record ScaledPart(RecipePart Part, double Factor, IReadOnlyList<ScaledLine> Lines)
{
    /// <summary>Which.</summary>
    public PartKind Kind => Part.Kind;

    /// <summary>The layer that it is; null for the dough.</summary>
    public Layer? Layer => Part.Layer;

    /// <summary>What of it goes into one pie, what boils away or stays in the pot taken off.</summary>
    public Mass PerPie => Mass.FromGrams(Lines.Sum(line => line.PerPie.Grams)) * (Layer?.LeftShare ?? 1);
}

/// <summary>A line of a formula, scaled.</summary>
/// <param name="Line">As written.</param>
/// <param name="PerPie">For one pie in the chosen pan.</param>
/// <param name="Total">For all pies.</param>
/// <param name="ToBuy">The total as purchased: total / yield.</param>
public sealed record ScaledLine(RecipeLine Line, Mass PerPie, Mass Total, Mass ToBuy);
