namespace Lumpet.Core.Measures;

/// <summary>Mass over volume, in grams per millilitre.</summary>
public readonly record struct Density
{
    private Density(double gramsPerMillilitre) => GramsPerMillilitre = gramsPerMillilitre;

    /// <summary>Grams in a millilitre; above zero.</summary>
    public double GramsPerMillilitre { get; }

    /// <summary>A density of so many grams per millilitre.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The number is not finite or not above zero.</exception>
    public static Density FromGramsPerMillilitre(double gramsPerMillilitre) =>
        gramsPerMillilitre > 0
            ? new(Finite.Required(gramsPerMillilitre, nameof(gramsPerMillilitre)))
            : throw new ArgumentOutOfRangeException(nameof(gramsPerMillilitre), gramsPerMillilitre, "A density is above zero.");

    /// <summary>The mass of a volume at this density.</summary>
    public static Mass operator *(Volume volume, Density density) => Mass.FromGrams(volume.Millilitres * density.GramsPerMillilitre);

    /// <summary>The volume of a mass at this density.</summary>
    public static Volume operator /(Mass mass, Density density) => Volume.FromMillilitres(mass.Grams / density.GramsPerMillilitre);

    /// <summary>The density at which a mass takes a volume.</summary>
    /// <exception cref="ArgumentOutOfRangeException">Either is nothing.</exception>
    public static Density Of(Mass mass, Volume volume) => FromGramsPerMillilitre(mass.Grams / volume.Millilitres);
}
