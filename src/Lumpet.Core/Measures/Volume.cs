namespace Lumpet.Core.Measures;

/// <summary>A volume. Held in millilitres.</summary>
public readonly record struct Volume
{
    private Volume(double millilitres) => Millilitres = millilitres;

    /// <summary>The volume in millilitres (cubic centimetres).</summary>
    public double Millilitres { get; }

    /// <summary>The volume in US cups of 236.5882365 ml.</summary>
    public double UsCups => Millilitres / MillilitresPerUsCup;

    // One US gallon is 3785.411784 ml exactly, a cup its sixteenth (NIST Handbook 44, Appendix C).
    private const double MillilitresPerUsGallon = 3785.411784;
    private const double MillilitresPerUsCup = MillilitresPerUsGallon / 16;

    /// <summary>A volume of so many millilitres.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The number is not finite.</exception>
    public static Volume FromMillilitres(double millilitres) => new(Finite.Required(millilitres, nameof(millilitres)));

    /// <summary>A volume of so many US cups.</summary>
    public static Volume FromUsCups(double cups) => FromMillilitres(cups * MillilitresPerUsCup);

    /// <summary>A volume of so many US tablespoons, sixteen to the cup.</summary>
    public static Volume FromUsTablespoons(double tablespoons) => FromUsCups(tablespoons / 16);

    /// <summary>A volume of so many US teaspoons, three to the tablespoon.</summary>
    public static Volume FromUsTeaspoons(double teaspoons) => FromUsTablespoons(teaspoons / 3);

    /// <summary>A volume of so many US fluid ounces, eight to the cup.</summary>
    public static Volume FromUsFluidOunces(double fluidOunces) => FromUsCups(fluidOunces / 8);

    /// <summary>The sum of two volumes.</summary>
    public static Volume operator +(Volume left, Volume right) => FromMillilitres(left.Millilitres + right.Millilitres);

    /// <summary>A volume scaled by a factor.</summary>
    public static Volume operator *(Volume volume, double factor) => FromMillilitres(volume.Millilitres * factor);

    /// <summary>How many times the right volume goes into the left one.</summary>
    public static double operator /(Volume left, Volume right) => left.Millilitres / right.Millilitres;
}
