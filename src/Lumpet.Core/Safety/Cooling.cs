namespace Lumpet.Core.Safety;

/// <summary>Where something is cooled.</summary>
/// <param name="Celsius">How cold it is there.</param>
/// <param name="WattsPerSquareMetre">Heat that a square metre of surface gives away for each degree.</param>
/// <param name="FromBothSides">Whether a layer is cooled from above and below, and not from below alone.</param>
public sealed record CoolingPlace(double Celsius, double WattsPerSquareMetre, bool FromBothSides)
{
    // Heat transfer: engineering handbooks give 5 to 10 for still air, 10 to 20 for moved, 25 to 50 for blown, 200 to 500 for water (from memory).

    /// <summary>A fridge with a fan, pans on a wire shelf, loosely covered.</summary>
    public static CoolingPlace Fridge { get; } = new(3, 12, true);

    /// <summary>A blast chiller.</summary>
    public static CoolingPlace BlastChiller { get; } = new(0, 35, true);

    /// <summary>A bath of ice and water that the pan stands in; it cools from below.</summary>
    public static CoolingPlace IceBath { get; } = new(0.5, 300, false);

    /// <summary>A rack in the room.</summary>
    public static CoolingPlace Rack { get; } = new(20, 8, true);
}

/// <summary>
/// How what was cooked gets cold in its middle, by Newton's law: T(t) = Ta + (T0 - Ta) C e^(-t / tau). Of a layer in a pan tau and C follow
/// from its depth by the first term of the heat equation for a slab (Carslaw and Jaeger; tables of it in Incropera and DeWitt, from memory): zeta tan zeta = h L / k.
/// Two readings of a probe give them better than any formula: then C is 1 and tau is measured.
/// </summary>
/// <param name="AroundC">How cold it is around it.</param>
/// <param name="TauMin">Minutes in which what is still between it and that falls to 1/e; above 0.</param>
/// <param name="Lag">C: 1 or a little more, since the middle notices late.</param>
public sealed record Cooling(double AroundC, double TauMin, double Lag)
{
    /// <summary>The temperature at which the clock of the rule starts (FDA Food Code 3-501.14, from memory).</summary>
    public const double ClockFromC = 57;

    /// <summary>The temperature to be reached first.</summary>
    public const double FirstC = 21;

    /// <summary>Within so many minutes.</summary>
    public const double FirstWithinMin = 120;

    /// <summary>The temperature to be reached last.</summary>
    public const double LastC = 5;

    /// <summary>Within so many minutes in all.</summary>
    public const double LastWithinMin = 360;

    /// <summary>The deepest layer that is looked at, in metres.</summary>
    public const double Deepest = 0.6;

    // A moist filling (ASHRAE handbook of refrigeration, from memory: most moist foods conduct 0.4 to 0.6 W/mK and hold 3.4 to 3.9 kJ/kgK).
    private const double Conductivity = 0.5;
    private const double HeatOfCubicMetre = KilogramsOfCubicMetre * 3600;

    /// <summary>Kilograms in a cubic metre of filling.</summary>
    public const double KilogramsOfCubicMetre = 1050;

    private const double SecondsOfMinute = 60;
    private const int Halvings = 60;

    /// <summary>A layer of filling in a pan.</summary>
    /// <param name="depth">How deep, in metres; above 0.</param>
    /// <param name="place">Where it is.</param>
    public static Cooling OfLayer(double depth, CoolingPlace place)
    {
        var half = place.FromBothSides ? depth / 2 : depth;
        var zeta = Zeta(place.WattsPerSquareMetre * half / Conductivity);
        return new Cooling(place.Celsius, half * half * HeatOfCubicMetre / (Conductivity * zeta * zeta) / SecondsOfMinute, 4 * Math.Sin(zeta) / ((2 * zeta) + Math.Sin(2 * zeta)));
    }

    /// <summary>What two readings of a probe tell; null where it does not get colder towards what is around it.</summary>
    /// <param name="firstC">The first reading.</param>
    /// <param name="secondC">The second.</param>
    /// <param name="minutes">Minutes between them; above 0.</param>
    /// <param name="aroundC">How cold it is around it.</param>
    public static Cooling? Measured(double firstC, double secondC, double minutes, double aroundC) =>
        firstC > secondC && secondC > aroundC ? new Cooling(aroundC, minutes / Math.Log((firstC - aroundC) / (secondC - aroundC)), 1) : null;

    /// <summary>Minutes from one temperature until another is reached; null where it never is.</summary>
    public double? Minutes(double fromC, double toC) =>
        toC >= fromC ? 0 : toC <= AroundC ? null : TauMin * Math.Log(Math.Max(1, Lag * (fromC - AroundC) / (toC - AroundC)));

    /// <summary>The temperature after so many minutes.</summary>
    public double After(double minutes, double fromC) => AroundC + ((fromC - AroundC) * Math.Min(1, Lag * Math.Exp(-minutes / TauMin)));

    /// <summary>Whether it keeps to the clock of the rule: from 57 °C to 21 °C within 2 h, to 5 °C within 6 h in all.</summary>
    public bool IsInTime => FirstMin <= FirstWithinMin && LastMin <= LastWithinMin;

    /// <summary>Minutes from 57 °C to 21 °C; null where it never gets there.</summary>
    public double? FirstMin => Between(FirstC);

    /// <summary>Minutes from 57 °C to 5 °C; null where it never gets there.</summary>
    public double? LastMin => Between(LastC);

    // On its way down, the middle has noticed long ago: no lag is left between two temperatures.
    private double? Between(double toC) => (this with { Lag = 1 }).Minutes(ClockFromC, toC);

    /// <summary>The deepest layer that is cold in time, in metres; null where none is.</summary>
    /// <param name="place">Where it is.</param>
    public static double? DeepestInTime(CoolingPlace place)
    {
        var (fits, most) = (0.0, Deepest);
        if (place.Celsius >= LastC) return null;
        if (OfLayer(most, place).IsInTime) return most;
        for (var halving = 0; halving < Halvings; halving++)
        {
            var middle = (fits + most) / 2;
            if (OfLayer(middle, place).IsInTime) fits = middle;
            else most = middle;
        }

        return fits;
    }

    /// <summary>The first root of zeta tan zeta = Bi, between 0 and half of pi.</summary>
    internal static double Zeta(double biot)
    {
        var (low, high) = (0.0, Math.PI / 2);
        for (var halving = 0; halving < Halvings; halving++)
        {
            var middle = (low + high) / 2;
            if (middle * Math.Tan(middle) < biot) low = middle;
            else high = middle;
        }

        return (low + high) / 2;
    }
}
