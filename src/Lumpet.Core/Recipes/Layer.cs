using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;

namespace Lumpet.Core.Recipes;

/// <summary>How much of a layer goes into a pie when the pan is another.</summary>
public enum LayerLaw
{
    /// <summary>It fills the room that is left in the crust, in the share and with the mound that the reference pan has.</summary>
    Room,

    /// <summary>By the area of the floor inside the dough: a paste that is spread.</summary>
    Floor,

    /// <summary>By the area of the top, rim included: crumble, cream, what is brushed on.</summary>
    Top,

    /// <summary>The same weight in every pan.</summary>
    Weight,

    /// <summary>By the piece: as many whole ones as the top is larger, at least one.</summary>
    Count,
}

/// <summary>One layer of a pie, as written for the reference pan: a filling, what lies on it, what is brushed on, or what is served beside.</summary>
/// <param name="Id">Unique in its product, and the same while its place among its kind is: "filling", "filling-2", "topping".</param>
/// <param name="Kind">Which part of the pie it belongs to; neither dough nor packaging.</param>
/// <param name="Law">How it follows the pan. Only a filling fills the room.</param>
/// <param name="Lines">What it is made of.</param>
public sealed record Layer(string Id, PartKind Kind, LayerLaw Law, IReadOnlyList<RecipeLine> Lines)
{
    /// <summary>What the bakery calls it: "nut paste"; empty where its kind says enough.</summary>
    public string Name { get; init; } = string.Empty;

    /// <summary>What kind of filling it is; says nothing of other layers.</summary>
    public FillingKind Filling { get; init; }

    /// <summary>Mass over the room it takes in the pan, air between slices included; used of fillings only.</summary>
    public Density PackedDensity { get; init; } = Density.FromGramsPerMillilitre(1);

    /// <summary>
    /// What of it goes into the pan, above 0 and at most 1: something stays in the pot.
    /// </summary>
    public double KeptShare { get; init; } = 1;

    /// <summary>What boiling down leaves of the weighed amounts, above 0 and at most 1: it takes water, never sugar or starch.</summary>
    public double ReducedTo { get; init; } = 1;

    /// <summary>What of the weighed amounts goes into the pan.</summary>
    public double LeftShare => ReducedTo * KeptShare;

    /// <summary>Pieces on a pie in the reference pan, of which the lines are the sum; 0 where it does not go by the piece.</summary>
    public int Pieces { get; init; }

    /// <summary>The sum of the written amounts.</summary>
    public Mass Written => Mass.FromGrams(Lines.Sum(line => line.Amount.Grams));

    /// <summary>What of it goes into the reference pan.</summary>
    public Mass InPan => Written * LeftShare;

    /// <summary>The room it takes in the reference pan, as it packs.</summary>
    public Volume Room => InPan / PackedDensity;

    /// <summary>The law that is usual for a part of a pie.</summary>
    public static LayerLaw UsualLaw(PartKind kind) => kind == PartKind.Filling ? LayerLaw.Room : LayerLaw.Top;
}
