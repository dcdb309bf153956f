using Lumpet.Core.Dough;
using Microsoft.AspNetCore.Mvc;

namespace Lumpet.Server.Dough;

/// <summary>Says what the water of a dough has to be.</summary>
internal static class DoughWaterWords
{
    /// <summary>"Water: 42 g of it as ice, 958 g from the tap."</summary>
    /// <param name="water">The water.</param>
    /// <param name="readings">What was measured.</param>
    public static DoughWaterAnswer Of(DoughWater water, DoughReadings readings)
    {
        var (ice, rest) = (Math.Round(water.Ice.Grams), Math.Round((water.Water - water.Ice).Grams));
        var (words, isMet) = water.Kind switch
        {
            DoughWaterKind.Warm => (Say($"Water at {water.WaterC:0} °C."), true),
            DoughWaterKind.Iced when rest <= 0 => (Say($"All {ice} g of its water as ice."), true),
            DoughWaterKind.Iced when ice < 1 => ("Water from the tap.", true),
            DoughWaterKind.Iced => (Say($"Water: {ice} g of it as ice, {rest} g from the tap{(water.WaterC is { } chilled ? Say($"; or all of it at {chilled:0} °C") : string.Empty)}."), true),
            DoughWaterKind.NeverCold => (Say($"{(rest <= 0 ? "Not even all its water as ice makes it" : "No ice makes it")} {readings.WantedC:0.#} °C: with {ice} g it comes to {water.ReachedC:0} °C. {Mend(water)}"), false),
            DoughWaterKind.NeverWarm => (Say($"Even with water at {water.WaterC:0} °C it comes to {water.ReachedC:0} °C only. Let the fat or the flour warm first."), false),
            _ when Math.Abs(water.ReachedC - readings.WantedC) < 1 || water.DryC is null => (Say($"It has no water to set, and leaves the bowl at {water.ReachedC:0} °C."), true),
            _ => (Say($"It has no water to set, and leaves the bowl at {water.ReachedC:0} °C. {Mend(water)}"), false),
        };
        return new DoughWaterAnswer(words, isMet, ice, Math.Round(water.ReachedC, 1), Say(
            $"What goes in mixes to {water.ReachedC - readings.FrictionC:0.#} °C, by weight, specific heat and temperature of each; ice takes {Core.Ingredients.SpecificHeat.MeltingIce:0} kJ/kg to melt; mixing adds {readings.FrictionC:0.#} °C. It is reckoned with all of its water."));
    }

    // Flour is chilled in a fridge or freezer; nobody has a colder one.
    private static string Mend(DoughWater water) => water.DryC is { } chill and >= -20
        ? Say($"Chill flour and sugar to {chill:0} °C, or take colder fat.")
        : "Chill flour, fat and bowl, and mix for shorter.";

    private static string Say(FormattableString text) => FormattableString.Invariant(text);
}

/// <summary>What the water of a dough has to be.</summary>
/// <param name="Words">What to do.</param>
/// <param name="IsMet">Whether the dough is as cold as it should be then.</param>
/// <param name="IceGrams">How much of its water is ice.</param>
/// <param name="ReachedC">What the dough comes to.</param>
/// <param name="Why">How it was reckoned.</param>
public sealed record DoughWaterAnswer(string Words, bool IsMet, double IceGrams, double ReachedC, string Why);

/// <summary>What was measured today before doughs are mixed; what was not is taken as usual.</summary>
/// <param name="WantedC">The dough when it leaves the bowl, °C.</param>
/// <param name="DryC">Flour and what else stands in the room, °C.</param>
/// <param name="ColdC">Fat and what else comes from the fridge, °C.</param>
/// <param name="WaterC">Water from the tap, °C.</param>
/// <param name="FrictionC">By how much mixing warms a dough, °C.</param>
internal sealed record MeasuredToday(
    [property: FromQuery(Name = "wantedC")] double? WantedC,
    [property: FromQuery(Name = "dryC")] double? DryC,
    [property: FromQuery(Name = "coldC")] double? ColdC,
    [property: FromQuery(Name = "waterC")] double? WaterC,
    [property: FromQuery(Name = "frictionC")] double? FrictionC)
{
    /// <summary>The readings.</summary>
    public DoughReadings Readings => new(
        WantedC ?? DoughReadings.Usual.WantedC, DryC ?? DoughReadings.Usual.DryC, ColdC ?? DoughReadings.Usual.ColdC, WaterC ?? DoughReadings.Usual.WaterC, FrictionC ?? DoughReadings.Usual.FrictionC);
}
