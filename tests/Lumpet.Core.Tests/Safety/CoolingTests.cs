using Lumpet.Core.Safety;
using Xunit;

namespace Lumpet.Core.Tests.Safety;

/// <summary>Cooling, against closed forms and tables of heat transfer.</summary>
public sealed class CoolingTests
{
    [Fact]
    public void Newtons_law_has_its_closed_form()
    {
        // From 95 °C in a room of 20 °C with tau 60 min it is 57 °C after 60 ln(75 / 37) = 42.4 min.
        var cooling = new Cooling(20, 60, 1);
        Assert.Equal(42.4, cooling.Minutes(95, 57)!.Value, 1);
        Assert.Equal(57, cooling.After(cooling.Minutes(95, 57)!.Value, 95), 9);
        Assert.Equal(20 + (75 / Math.E), cooling.After(60, 95), 9);
        Assert.Null(cooling.Minutes(95, 20));
        Assert.Equal(0, cooling.Minutes(57, 95));
        Assert.Equal(0, new Cooling(0, 60, 1.2).Minutes(57, 57));
    }

    [Theory]
    [InlineData(0.1, 0.3111, 1.0160)]
    [InlineData(0.5, 0.6533, 1.0701)]
    [InlineData(1, 0.8603, 1.1191)]
    [InlineData(10, 1.4289, 1.2620)]
    public void A_slab_has_the_roots_and_factors_of_the_tables(double biot, double zeta, double lag)
    {
        // Incropera and DeWitt, Fundamentals of Heat and Mass Transfer, table 5.1, plane wall; from memory.
        Assert.Equal(zeta, Cooling.Zeta(biot), 4);
        // A layer of 2 L with h L / k = Bi, k being 0.5 W/mK.
        Assert.Equal(lag, Cooling.OfLayer(0.1, new CoolingPlace(0, biot * 0.5 / 0.05, true)).Lag, 3);
    }

    [Fact]
    public void A_thin_layer_cools_as_one_lump()
    {
        // Where Bi is small, tau is rho c L / h: 1050 x 3600 x 0.0005 / 8 s for a millimetre on a rack, but for a third of Bi.
        var lump = 1050 * 3600 * 0.0005 / 8 / 60;
        Assert.InRange(Cooling.OfLayer(0.001, CoolingPlace.Rack).TauMin, lump, lump * 1.005);
    }

    [Fact]
    public void A_deep_layer_takes_four_times_as_long_at_twice_the_depth()
    {
        // Where the surface is as cold as its place, time goes with the square of the depth (Carslaw and Jaeger).
        var place = new CoolingPlace(0, 1e7, true);
        Assert.Equal(4, Cooling.OfLayer(0.2, place).TauMin / Cooling.OfLayer(0.1, place).TauMin, 4);
        // From below alone a layer is as slow as one of twice its depth from both sides.
        Assert.Equal(Cooling.OfLayer(0.2, place).TauMin, Cooling.OfLayer(0.1, place with { FromBothSides = false }).TauMin, 9);
        // Its middle is at 4/pi e^(-pi²/4 Fo) of the difference: tau is L² / alpha / (pi² / 4).
        Assert.Equal(0.05 * 0.05 * 1050 * 3600 / 0.5 / (Math.PI * Math.PI / 4) / 60, Cooling.OfLayer(0.1, place).TauMin, 1);
        Assert.Equal(4 / Math.PI, Cooling.OfLayer(0.1, place).Lag, 3);
    }

    [Fact]
    public void The_rule_is_kept_at_its_very_limits_and_no_further()
    {
        // FDA Food Code 3-501.14, from memory. From 57 to 21 °C at 0 °C around: tau ln(57 / 21) = 120 min; to 5 °C: tau ln(57 / 5) = 360 min.
        var first = 120 / Math.Log(57.0 / 21);
        Assert.True(new Cooling(0, first - 1e-6, 1.2).IsInTime);
        Assert.False(new Cooling(0, first + 1e-6, 1).IsInTime);
        // At 4 °C around the way to 5 °C takes longest: tau ln(53) = 360 min.
        var last = 360 / Math.Log(53);
        Assert.True(new Cooling(4, last - 1e-6, 1).IsInTime);
        Assert.False(new Cooling(4, last + 1e-6, 1).IsInTime);
        Assert.False(new Cooling(5, 1, 1).IsInTime);
    }

    [Fact]
    public void A_pot_of_twenty_kilograms_is_not_cold_in_time_and_shallow_pans_are()
    {
        // 20 kg in a pot of 30 cm stand 27 cm deep.
        var pot = Cooling.OfLayer(20 / 1050.0 / (Math.PI * 0.15 * 0.15), CoolingPlace.Fridge);
        Assert.False(pot.IsInTime);
        Assert.True(pot.FirstMin > 10 * 60);
        // Shallow pans are said to be 5 cm deep at most (two inches: common practice of health departments, no source), less in a fridge.
        Assert.InRange(Cooling.DeepestInTime(CoolingPlace.Fridge)!.Value, 0.025, 0.05);
        Assert.InRange(Cooling.DeepestInTime(CoolingPlace.BlastChiller)!.Value, 0.05, 0.08);
        Assert.Null(Cooling.DeepestInTime(CoolingPlace.Rack));
    }

    [Fact]
    public void The_deepest_layer_is_in_time_and_a_millimetre_more_is_not()
    {
        foreach (var place in (CoolingPlace[])[CoolingPlace.Fridge, CoolingPlace.BlastChiller, CoolingPlace.IceBath, new CoolingPlace(4.5, 20, true)])
        {
            var deepest = Cooling.DeepestInTime(place)!.Value;
            Assert.True(Cooling.OfLayer(deepest - 0.0001, place).IsInTime);
            Assert.False(Cooling.OfLayer(deepest + 0.001, place).IsInTime);
        }
    }

    [Fact]
    public void Two_readings_tell_how_it_goes_on()
    {
        var cooling = Cooling.Measured(95, 57, 42.4, 20)!;
        Assert.Equal(60, cooling.TauMin, 1);
        Assert.Equal(1, cooling.Lag);
        Assert.Null(Cooling.Measured(60, 60, 10, 3));
        Assert.Null(Cooling.Measured(60, 61, 10, 3));
        Assert.Null(Cooling.Measured(60, 3, 10, 3));
    }
}
