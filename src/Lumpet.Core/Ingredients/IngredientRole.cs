namespace Lumpet.Core.Ingredients;

/// <summary>What an ingredient does in a formula; ratios and cautions are judged by it.</summary>
public enum IngredientRole
{
    /// <summary>None of the others.</summary>
    Other,

    /// <summary>Flour of any grain.</summary>
    Flour,

    /// <summary>Butter, lard, shortening, oil: weighed as it is bought, water and all.</summary>
    Fat,

    /// <summary>Water, milk, cream, juice.</summary>
    Liquid,

    /// <summary>Vinegar, lemon juice: tenderises a dough and keeps fruit from browning; it is not the water that is held back.</summary>
    Acid,

    /// <summary>Egg, white or yolk.</summary>
    Egg,

    /// <summary>Sugar, honey and syrup.</summary>
    Sugar,

    /// <summary>What thickens.</summary>
    Starch,

    /// <summary>Fruit and fruit pulp.</summary>
    Fruit,

    /// <summary>Nuts and seeds, whole or ground.</summary>
    Nut,

    /// <summary>Roots, leeks, herbs and the like.</summary>
    Vegetable,

    /// <summary>Salt and spices: scaled as written, tasted on large factors.</summary>
    Spice,

    /// <summary>Baking powder, soda and the like.</summary>
    Raising,

    /// <summary>Wine and spirits.</summary>
    Spirit,

    /// <summary>Dough or shells bought ready.</summary>
    BoughtDough,

    /// <summary>Box, label, pan that goes with the pie.</summary>
    Packaging,
}
