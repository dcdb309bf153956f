namespace Lumpet.Core.Measures;

/// <summary>A temperature. Held in degrees Celsius.</summary>
public readonly record struct Temperature
{
    private Temperature(double celsius) => Celsius = celsius;

    /// <summary>Degrees Celsius.</summary>
    public double Celsius { get; }

    /// <summary>Degrees Fahrenheit.</summary>
    public double Fahrenheit => (Celsius * 1.8) + 32;

    /// <summary>A temperature in degrees Celsius.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The number is not finite.</exception>
    public static Temperature FromCelsius(double celsius) => new(Finite.Required(celsius, nameof(celsius)));

    /// <summary>A temperature in degrees Fahrenheit: C = (F - 32) / 1.8 (NIST SP 811).</summary>
    public static Temperature FromFahrenheit(double fahrenheit) => FromCelsius((fahrenheit - 32) / 1.8);
}
