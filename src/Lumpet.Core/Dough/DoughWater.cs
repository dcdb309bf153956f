using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;

namespace Lumpet.Core.Dough;

/// <summary>What its water has to be so that a dough leaves the bowl as cold as it should.</summary>
public enum DoughWaterKind
{
    /// <summary>There is none in it: it comes out as the rest of it is.</summary>
    None,

    /// <summary>Water of a temperature, at or above that of the tap.</summary>
    Warm,

    /// <summary>Colder than the tap: some of it as ice, or all of it chilled.</summary>
    Iced,

    /// <summary>No ice makes the dough cold enough: not even all of its water, or it would have to be below 0 °C before mixing warms it.</summary>
    NeverCold,

    /// <summary>Not even water as warm as it may be makes the dough warm enough.</summary>
    NeverWarm,
}

/// <summary>The water of a batch of dough.</summary>
/// <param name="Kind">What is to be done.</param>
/// <param name="Water">Water in the batch, ice with it.</param>
/// <param name="WaterC">Of which temperature all of it would do; null where none would.</param>
/// <param name="Ice">How much of it is ice at 0 °C, with the rest from the tap; none where no ice is needed.</param>
/// <param name="ReachedC">What the dough comes to, done so.</param>
/// <param name="DryC">To what flour and the other dry things would have to be chilled, where ice is not enough or there is no water; null where that is not the matter.</param>
public sealed record DoughWater(DoughWaterKind Kind, Mass Water, double? WaterC, Mass Ice, double ReachedC, double? DryC)
{
    // Warmer water melts fat (common practice, no source).
    private const double WarmestC = 40;

    // Water that is colder than this has ice in it.
    private const double ColdestC = 1;

    /// <summary>
    /// The water for a batch. Heat is neither lost nor found: the sum of m c T of what goes in, less what ice takes to melt, is that
    /// of the dough before mixing warms it. Ice is reckoned at 0 °C: from a freezer it does a little more. All water of
    /// the batch is reckoned with; what is held back makes the dough as much warmer as it would have cooled it.
    /// </summary>
    /// <param name="batch">The batch.</param>
    /// <param name="readings">What was measured.</param>
    public static DoughWater For(DoughBatch batch, DoughReadings readings) => For([.. batch.Lines.Select(line => (line.Line.Ingredient, line.Weighed))], readings);

    /// <summary>The water for what is weighed into a bowl.</summary>
    /// <param name="lines">Ingredients with their weights.</param>
    /// <param name="readings">What was measured.</param>
    public static DoughWater For(IReadOnlyList<(Ingredient Ingredient, Mass Mass)> lines, DoughReadings readings)
    {
        var water = lines.Where(line => IsWater(line.Ingredient)).Sum(line => line.Mass.Kilograms);
        var (dry, cold) = (Capacity(lines, IsDry), Capacity(lines, ingredient => !IsWater(ingredient) && !IsDry(ingredient)));
        var (wet, goal) = (water * SpecificHeat.Water, readings.WantedC - readings.FrictionC);
        var all = dry + cold + wet;
        var without = (dry * readings.DryC) + (cold * readings.ColdC);
        double Reached(double heat) => (heat / all) + readings.FrictionC;
        DoughWater Of(DoughWaterKind kind, double? waterC, double ice, double heat, double? dryC = null) => new(kind, Mass.FromKilograms(water), waterC, Mass.FromKilograms(ice), Reached(heat), dryC);
        double? Dry(double melted) => dry > 0 ? ((goal * all) - (cold * readings.ColdC) + melted) / dry : null;
        if (water <= 0) return Of(DoughWaterKind.None, null, 0, without, Reached(without) > readings.WantedC ? Dry(0) : null);
        // Ice makes nothing colder than itself.
        if (goal < 0)
        {
            var most = Math.Clamp((without + (wet * readings.WaterC)) / ((SpecificHeat.Water * readings.WaterC) + SpecificHeat.MeltingIce), 0, water);
            return Of(DoughWaterKind.NeverCold, null, most, Math.Max(0, without + ((water - most) * SpecificHeat.Water * readings.WaterC) - (most * SpecificHeat.MeltingIce)));
        }

        var needed = ((goal * all) - without) / wet;
        if (needed > WarmestC) return Of(DoughWaterKind.NeverWarm, WarmestC, 0, without + (wet * WarmestC));
        if (needed >= readings.WaterC) return Of(DoughWaterKind.Warm, needed, 0, without + (wet * needed));
        var ice = (without + (wet * readings.WaterC) - (goal * all)) / ((SpecificHeat.Water * readings.WaterC) + SpecificHeat.MeltingIce);
        if (ice <= water) return Of(DoughWaterKind.Iced, needed >= ColdestC ? needed : null, ice, goal * all);
        var melted = water * SpecificHeat.MeltingIce;
        return Of(DoughWaterKind.NeverCold, null, water, without - melted, Dry(melted));
    }

    // Water itself can be ice; milk, egg and juice cannot.
    private static bool IsWater(Ingredient ingredient) => ingredient.Facts is { Role: IngredientRole.Liquid, WaterPercent: 100 };

    /// <summary>What stands in the room: all but fat, egg and what is wet.</summary>
    private static bool IsDry(Ingredient ingredient) =>
        ingredient.Facts.Role is IngredientRole.Flour or IngredientRole.Sugar or IngredientRole.Starch or IngredientRole.Nut or IngredientRole.Spice or IngredientRole.Raising;

    private static double Capacity(IEnumerable<(Ingredient Ingredient, Mass Mass)> lines, Func<Ingredient, bool> which) =>
        lines.Where(line => which(line.Ingredient)).Sum(line => line.Mass.Kilograms * SpecificHeat.Of(line.Ingredient.Facts));
}
