using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Steps;

namespace Lumpet.Core.Safety;

/// <summary>What of the things made here has to be cold in time, and in how many pans it is.</summary>
public static class CoolInTime
{
    /// <summary>
    /// Inside of a common shallow pan, in square metres: 50 by 30 cm, of 53 by 32.5 cm outside (EN 631-1, gastronorm 1/1, from memory).
    /// </summary>
    public const double SquareMetresOfPan = 0.50 * 0.30;

    /// <summary>Whether it is cooked, needs control by time and temperature, and is kept cold: then the clock of the rule runs while it cools.</summary>
    /// <param name="made">Something made here.</param>
    public static bool Needs(Ingredient made) =>
        made.Facts.NeedsControl
        && made.Formula?.How is { } how
        && how.Method.Any(step => step.IsBake || step.Station == Station.Pot)
        && how.Keeping.Places.Any(kept => kept.Place != KeepPlace.Room);

    /// <summary>How many pans of 50 by 30 cm hold so much, no deeper than this.</summary>
    /// <param name="mass">How much; above 0.</param>
    /// <param name="depth">How deep, in metres; above 0.</param>
    public static int Pans(Mass mass, double depth) => Math.Max(1, (int)Math.Ceiling((mass.Kilograms / (Cooling.KilogramsOfCubicMetre * SquareMetresOfPan * depth)) - 1e-9));
}
