namespace Lumpet.Core.Measures;

/// <summary>A volume. Held in millilitres.</summary>
public readonly record struct Volume
{
    private Volume(double millilitres) => Millilitres = millilitres;

    /// <summary>The volume in millilitres (cubic centimetres).</summary>
    public double Millilitres { get; }

    /// <summary>The volume in US cups.</summary>
    public double UsCups => Millilitres / MillilitresInUsCup;

    /// <summary>Millilitres in a US cup: a gallon is 3785.411784 ml exactly, a cup its sixteenth (NIST Handbook 44, Appendix C).</summary>
    public const double MillilitresInUsCup = 3785.411784 / 16;

    /// <summary>A volume of so many millilitres.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The number is not finite.</exception>
    public static Volume FromMillilitres(double millilitres) => new(Finite.Required(millilitres, nameof(millilitres)));

    /// <summary>The sum of two volumes.</summary>
    public static Volume operator +(Volume left, Volume right) => FromMillilitres(left.Millilitres + right.Millilitres);

    /// <summary>A volume scaled by a factor.</summary>
    public static Volume operator *(Volume volume, double factor) => FromMillilitres(volume.Millilitres * factor);

    /// <summary>How many times the right volume goes into the left one.</summary>
    public static double operator /(Volume left, Volume right) => left.Millilitres / right.Millilitres;
}
