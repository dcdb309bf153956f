namespace Lumpet.Core.Ingredients;

/// <summary>How much heat an ingredient takes, in kilojoules for a kilogram and a degree, above freezing.</summary>
public static class SpecificHeat
{
    /// <summary>Of water.</summary>
    public const double Water = 4.18;

    /// <summary>Heat that melts a kilogram of ice at 0 °C, in kilojoules (handbook value).</summary>
    public const double MeltingIce = 334;

    // Of what is dry and of which nothing is known: as flour.
    private const double Flour = 1.8;

    /// <summary>
    /// Of an ingredient: by what it is (engineering food-property tables, from memory: flour 1.8, butter 2.2 while it is solid,
    /// sugar 1.3, whole egg 3.3), else by its water (Chen 1985, as in the ASHRAE handbook of refrigeration, from memory).
    /// </summary>
    public static double Of(IngredientFacts facts) => (facts.Role, facts.WaterPercent) switch
    {
        (IngredientRole.Flour, _) => Flour,
        (IngredientRole.Fat, _) => 2.2,
        (IngredientRole.Sugar, null) => 1.3,
        (IngredientRole.Egg, _) => 3.3,
        (_, { } percent) => OfSolids(1 - (percent / 100)),
        (IngredientRole.Liquid or IngredientRole.Acid or IngredientRole.Spirit, null) => Water,
        _ => Flour,
    };

    /// <summary>Of a food, by the share of its weight that is not water, 0 to 1: 4.19 - 2.30 x - 0.628 x³.</summary>
    public static double OfSolids(double share) => 4.19 - (2.30 * share) - (0.628 * share * share * share);
}
