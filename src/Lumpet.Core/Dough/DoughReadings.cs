namespace Lumpet.Core.Dough;

/// <summary>What was measured before a dough is mixed, and what it should come to; degrees Celsius.</summary>
/// <param name="WantedC">The dough when it leaves the bowl.</param>
/// <param name="DryC">Flour, sugar and whatever else stands in the room.</param>
/// <param name="ColdC">Fat, egg and whatever else comes from the fridge.</param>
/// <param name="WaterC">Water as it comes from the tap.</param>
/// <param name="FrictionC">By how much mixing warms a dough.</param>
public sealed record DoughReadings(double WantedC, double DryC, double ColdC, double WaterC, double FrictionC)
{
    /// <summary>
    /// Where nothing was measured: a dough below the 15 to 18 °C at which butter softens, a warm kitchen, a fridge, a mixer at its
    /// lowest speed (common practice, no source).
    /// </summary>
    public static DoughReadings Usual { get; } = new(15, 20, 4, 14, 3);

    /// <summary>What is wrong with them, field by field; empty where they can be.</summary>
    public IReadOnlyList<FieldFault> Faults()
    {
        var checks = new FieldChecks();
        checks.Number("wantedC", WantedC, 0, 40, "°C");
        checks.Number("dryC", DryC, -25, 45, "°C");
        checks.Number("coldC", ColdC, -25, 45, "°C");
        checks.Number("waterC", WaterC, 0.5, 45, "°C");
        checks.Number("frictionC", FrictionC, 0, 20, "°C");
        return checks.Faults;
    }
}
