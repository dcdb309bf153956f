using CsCheck;
using Lumpet.Core.Dough;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Xunit;

namespace Lumpet.Core.Tests.Dough;

/// <summary>Which water makes a dough as cold as it should be, against calorimetry by hand.</summary>
public sealed class DoughWaterTests
{
    private static readonly DoughReadings Readings = new(WantedC: 15, DryC: 20, ColdC: 4, WaterC: 14, FrictionC: 3);

    private static (Ingredient, Mass) Of(string id, double grams) => (IngredientLibrary.All.First(one => one.Id == id), Mass.FromGrams(grams));

    /// <summary>Three of flour, two of butter, one of water.</summary>
    private static readonly (Ingredient, Mass)[] Flaky = [Of("flour", 3000), Of("butter", 2000), Of("water", 1000)];

    [Fact]
    public void Flour_butter_and_water_are_reckoned_as_by_hand()
    {
        // Capacities: flour 3 x 1.8 = 5.4, butter 2 x 2.2 = 4.4, water 1 x 4.18: 13.98 kJ/K. To be 12 °C before mixing: 167.76 kJ over 0 °C, of
        // which flour at 20 °C brings 108 and butter at 4 °C 17.6: the water brings 42.16 kJ, and is 10.09 °C.
        var water = DoughWater.For(Flaky, Readings);
        Assert.Equal(DoughWaterKind.Iced, water.Kind);
        Assert.Equal(10.086, water.WaterC!.Value, 3);
        // From 14 °C down to that: (58.52 - 42.16) kJ by ice that takes 334 kJ/kg and is not 14 °C warm: 16.36 / 392.52 kg.
        Assert.Equal(41.68, water.Ice.Grams, 2);
        Assert.Equal(15, water.ReachedC, 9);
        Assert.Equal(1000, water.Water.Grams);
    }

    [Fact]
    public void Ice_melts_in_water_as_calorimeters_show()
    {
        // The classic measurement: a kilogram of ice and one of water at 79.9 °C give two kilograms at 0 °C (handbook value, 334 kJ/kg).
        Assert.Equal(79.9, SpecificHeat.MeltingIce / SpecificHeat.Water, 1);
        // Water alone, no friction: what is wanted comes of tap and ice alone.
        var water = DoughWater.For([Of("water", 1000)], new DoughReadings(5, 20, 4, 20, 0));
        // x of ice: 4.18 x 20 x (1 - x) - 334 x = 4.18 x 5.
        Assert.Equal(1000 * 62.7 / 417.6, water.Ice.Grams, 6);
    }

    [Fact]
    public void Water_as_it_comes_or_warmer_takes_no_ice()
    {
        var water = DoughWater.For(Flaky, Readings with { WantedC = 20 });
        Assert.Equal((DoughWaterKind.Warm, 0.0, 20.0), (water.Kind, water.Ice.Grams, Math.Round(water.ReachedC, 9)));
        Assert.True(water.WaterC > 14);
        Assert.Equal(DoughWaterKind.Warm, DoughWater.For(Flaky, Readings with { WaterC = 10 }).Kind);
        Assert.Equal(DoughWaterKind.Iced, DoughWater.For(Flaky, Readings with { WaterC = 10.2 }).Kind);
    }

    [Fact]
    public void Where_no_ice_is_enough_it_is_said_how_cold_the_flour_would_have_to_be()
    {
        var hot = Readings with { DryC = 32, ColdC = 20, WantedC = 10, FrictionC = 6 };
        (Ingredient, Mass)[] rich = [Of("flour", 3000), Of("butter", 3000), Of("water", 300)];
        var water = DoughWater.For(rich, hot);
        Assert.Equal((DoughWaterKind.NeverCold, 300.0, (double?)null), (water.Kind, Math.Round(water.Ice.Grams, 9), water.WaterC));
        Assert.True(water.ReachedC > 10);
        // With flour as cold as that the ice is just enough.
        var chilled = DoughWater.For(rich, hot with { DryC = water.DryC!.Value - 1e-9 });
        Assert.Equal(DoughWaterKind.Iced, chilled.Kind);
        Assert.Equal(300, chilled.Ice.Grams, 3);
    }

    [Fact]
    public void A_dough_without_water_comes_out_as_it_is_and_one_that_is_too_cold_is_told()
    {
        // Egg and butter from the fridge, 2 x 2.2 + 1 x 3.3 = 7.7 at 4 °C; flour 5.4 at 20 °C: 138.8 / 13.1.
        var bound = DoughWater.For([Of("flour", 3000), Of("butter", 2000), Of("egg", 1000)], Readings);
        Assert.Equal((DoughWaterKind.None, 0.0), (bound.Kind, bound.Water.Grams));
        Assert.Equal((138.8 / 13.1) + 3, bound.ReachedC, 6);
        Assert.Null(bound.DryC);
        // For 12 °C it would have to be 9 °C before mixing: 13.1 x 9 - 7.7 x 4 of the flour's 5.4.
        Assert.Equal(((13.1 * 9) - 30.8) / 5.4, DoughWater.For([Of("flour", 3000), Of("butter", 2000), Of("egg", 1000)], Readings with { WantedC = 12 }).DryC!.Value, 6);
        var frozen = DoughWater.For(Flaky, Readings with { ColdC = -20, DryC = -10, WantedC = 25 });
        Assert.Equal((DoughWaterKind.NeverWarm, 40.0), (frozen.Kind, frozen.WaterC));
        Assert.True(frozen.ReachedC < 25);
    }

    [Fact]
    public void Ice_makes_no_dough_colder_than_ice()
    {
        // Wanted at 2 °C, with 3 °C of friction: before that it would have to be frozen. So much ice as brings it to 0 °C is the most: (108 + 17.6 + 58.52) / 392.52 kg.
        var water = DoughWater.For(Flaky, Readings with { WantedC = 2 });
        Assert.Equal((DoughWaterKind.NeverCold, 3.0), (water.Kind, Math.Round(water.ReachedC, 9)));
        Assert.Equal(1000 * 184.12 / 392.52, water.Ice.Grams, 6);
        Assert.Null(water.DryC);
    }

    [Fact]
    public void Water_is_neither_hotter_than_fat_bears_nor_colder_than_it_can_be()
    {
        // Of the flaky dough: water of 40 °C makes (40 x 4.18 + 125.6) / 13.98 + 3 = 23.94 °C, water of 1 °C 12.28 °C.
        Assert.Equal(DoughWaterKind.Warm, DoughWater.For(Flaky, Readings with { WantedC = 23.9 }).Kind);
        Assert.Equal(DoughWaterKind.NeverWarm, DoughWater.For(Flaky, Readings with { WantedC = 24 }).Kind);
        Assert.NotNull(DoughWater.For(Flaky, Readings with { WantedC = 12.3 }).WaterC);
        Assert.Null(DoughWater.For(Flaky, Readings with { WantedC = 12.2 }).WaterC);
    }

    [Theory]
    [InlineData("flour", 20)]
    [InlineData("sugar", 20)]
    [InlineData("ground-almond", 20)]
    [InlineData("corn-starch", 20)]
    [InlineData("salt", 20)]
    [InlineData("butter", 4)]
    [InlineData("yolk", 4)]
    [InlineData("milk", 4)]
    public void What_stands_in_the_room_is_as_warm_as_the_room_and_the_rest_comes_from_the_fridge(string id, double celsius) =>
        Assert.Equal(celsius + 3, DoughWater.For([Of(id, 500)], Readings).ReachedC, 9);

    [Fact]
    public void What_nobody_has_said_the_water_of_is_reckoned_by_what_it_is()
    {
        double Heat(IngredientRole role, double? water = null) => SpecificHeat.Of(new IngredientFacts { StatedRole = role, WaterPercent = water });
        Assert.Equal((1.8, 2.2, 1.3, 3.3, 4.18, 1.8), (Heat(IngredientRole.Flour), Heat(IngredientRole.Fat), Heat(IngredientRole.Sugar), Heat(IngredientRole.Egg), Heat(IngredientRole.Liquid), Heat(IngredientRole.Other)));
        Assert.Equal((1.8, 4.19), (Heat(IngredientRole.Flour, 12), Heat(IngredientRole.Liquid, 100)));
    }

    [Fact]
    public void Milk_is_no_water_that_could_be_ice() => Assert.Equal(0, DoughWater.For([Of("flour", 3000), Of("milk", 500)], Readings).Water.Grams);

    [Fact]
    public void Whatever_goes_in_no_heat_is_lost() =>
        Gen.Select(Gen.Double[100, 5000], Gen.Double[0, 4000], Gen.Double[1, 3000], Gen.Select(Gen.Double[1, 30], Gen.Double[-5, 35], Gen.Double[-5, 25], Gen.Double[1, 30], Gen.Double[0, 10])).SampleTheSame(
            any =>
            {
                var (flour, butter, wet, (wanted, dry, cold, tap, friction)) = any;
                var water = DoughWater.For([Of("flour", flour), Of("butter", butter), Of("water", wet)], new DoughReadings(wanted, dry, cold, tap, friction));
                // Heat over 0 °C in kJ, put together again from what is told.
                var tapC = water.Ice > Mass.Zero ? tap : water.WaterC ?? tap;
                var heat = (flour * 1.8 * dry) + (butter * 2.2 * cold) + ((wet - water.Ice.Grams) * 4.18 * tapC) - (water.Ice.Grams * 334);
                var mixed = heat / ((flour * 1.8) + (butter * 2.2) + (wet * 4.18));
                // Ice makes nothing colder than itself.
                Assert.Equal((wanted < friction ? Math.Max(0, mixed) : mixed) + friction, water.ReachedC, 6);
                if (water.Kind is DoughWaterKind.Warm or DoughWaterKind.Iced) Assert.Equal(wanted, water.ReachedC, 6);
                Assert.Equal(water.Kind == DoughWaterKind.NeverCold, water.ReachedC > wanted + 1e-6);
                Assert.Equal(water.Kind == DoughWaterKind.NeverWarm, water.ReachedC < wanted - 1e-6);
                Assert.InRange(water.Ice.Grams, 0, wet + 1e-6);
            },
            iter: 300);

    [Theory]
    [InlineData("flour", 1.8)]
    [InlineData("sugar", 1.3)]
    [InlineData("milk", 3.93)]
    [InlineData("cream", 3.2)]
    [InlineData("apple", 3.72)]
    public void The_formula_for_foods_agrees_with_tables(string id, double table)
    {
        // Tables of the ASHRAE handbook of refrigeration and engineering food tables, from memory.
        var water = IngredientLibrary.All.First(one => one.Id == id).Facts.WaterPercent!.Value;
        Assert.InRange(SpecificHeat.OfSolids(1 - (water / 100)), table * 0.92, table * 1.08);
    }

    [Theory]
    [InlineData("wantedC", -1, 20, 4, 14, 3)]
    [InlineData("dryC", 15, 50, 4, 14, 3)]
    [InlineData("coldC", 15, 20, -40, 14, 3)]
    [InlineData("waterC", 15, 20, 4, 0, 3)]
    [InlineData("frictionC", 15, 20, 4, 14, -1)]
    [InlineData("frictionC", 15, 20, 4, 14, double.NaN)]
    public void Readings_that_no_thermometer_shows_are_refused_at_their_field(string field, double wanted, double dry, double cold, double water, double friction) =>
        Assert.Equal(field, Assert.Single(new DoughReadings(wanted, dry, cold, water, friction).Faults()).Field);

    [Fact]
    public void The_usual_readings_can_be() => Assert.Empty(DoughReadings.Usual.Faults());
}
