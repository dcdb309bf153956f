using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Steps;

namespace Lumpet.Core.Recipes;

/// <summary>A recipe that can be made in one or more pans, each at a price.</summary>
/// <param name="Id">Short name, unique in the bakery.</param>
/// <param name="Name">The name shown, for example "Pear and ginger".</param>
/// <param name="Version">Number of this version, from 1.</param>
/// <param name="Aliases">Other words by which an order line may call it.</param>
/// <param name="Dough">The dough of its crust.</param>
/// <param name="Crust">How that dough is cut.</param>
/// <param name="Filling">What goes in, for the reference pan.</param>
/// <param name="Finish">Wash, sugar and the like, for the reference pan; scaled by the area of the top.</param>
/// <param name="Packaging">What is counted by the pie: box, label.</param>
/// <param name="ReferencePan">The pan for which it is written.</param>
/// <param name="Sizes">The pans it may be made in, with the selling price of each; holds the reference pan.</param>
/// <param name="Process">Its steps.</param>
/// <param name="OldestAtPickUp">Minutes from the end of its last bake to pick-up, at most.</param>
public sealed record Product(
    string Id,
    string Name,
    int Version,
    IReadOnlyList<string> Aliases,
    DoughFormula Dough,
    Crust Crust,
    Filling Filling,
    IReadOnlyList<RecipeLine> Finish,
    IReadOnlyList<Ingredient> Packaging,
    Pan ReferencePan,
    IReadOnlyList<ProductSize> Sizes,
    ProcessNetwork Process,
    int OldestAtPickUp)
{
    /// <summary>How its base is kept crisp.</summary>
    public BaseTreatment BaseTreatment { get; init; }

    /// <summary>How it cools.</summary>
    public CoolingClass Cooling { get; init; }

    /// <summary>Crumble, meringue, cream and the like, for the reference pan; scaled by the area of the top.</summary>
    public IReadOnlyList<RecipeLine> Topping { get; init; } = [];

    /// <summary>What a person should still look at, as in a recipe that was taken in from elsewhere.</summary>
    public IReadOnlyList<string> Review { get; init; } = [];

    /// <summary>Every line of dough, filling, topping and finish.</summary>
    public IEnumerable<RecipeLine> AllLines => Dough.Lines.Concat(Filling.Lines).Concat(Topping).Concat(Finish);

    /// <summary>The size in this pan, or null where the product is not made in it.</summary>
    public ProductSize? SizeIn(string panId) => Sizes.FirstOrDefault(size => size.Pan.Id == panId);

    /// <summary>Ingredients of which nobody has said yet what allergens they carry; their names, each once.</summary>
    public IReadOnlyList<string> WithoutStatedAllergens =>
        [.. AllLines
            .Where(line => !line.Ingredient.AllergensStated).Select(line => line.Ingredient.Name).Distinct().Order(StringComparer.Ordinal)];

    /// <summary>Every allergen of every line, each once, in alphabetical order.</summary>
    public IReadOnlyList<string> Allergens =>
        [.. AllLines
            .SelectMany(line => line.Ingredient.Allergens).Distinct().Order(StringComparer.Ordinal)];

    /// <summary>What it may carry in traces beyond those, as its suppliers say.</summary>
    public IReadOnlyList<string> MayContain =>
        [.. AllLines.SelectMany(line => line.Ingredient.Facts.MayContain).Distinct().Except(Allergens).Order(StringComparer.Ordinal)];

    /// <summary>Names of its ingredients that carry alcohol.</summary>
    public IReadOnlyList<string> Alcohol => [.. AllLines.Where(line => line.Ingredient.Facts.AlcoholPercent > 0).Select(line => line.Ingredient.Name).Distinct()];
}

/// <summary>A product in one pan.</summary>
/// <param name="Pan">The pan.</param>
/// <param name="SellingPrice">What one pie sells for, or null where no price is set.</param>
public sealed record ProductSize(Pan Pan, Money? SellingPrice);
