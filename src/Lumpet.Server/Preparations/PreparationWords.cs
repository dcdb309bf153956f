using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Server.Recipes;

namespace Lumpet.Server.Preparations;

/// <summary>How what is made before the pies is made and kept, as the trade says it.</summary>
internal static class PreparationWords
{
    /// <summary>A kind.</summary>
    public static string Of(PreparationKind kind) => kind switch
    {
        PreparationKind.CookedFilling => "cooked fruit or vegetables",
        PreparationKind.Curd => "curd",
        PreparationKind.Puree => "roasted puree",
        PreparationKind.Cream => "cooked cream",
        PreparationKind.Syrup => "syrup",
        PreparationKind.Caramel => "caramel",
        PreparationKind.Praline => "praline",
        PreparationKind.Jam => "jam or compote",
        PreparationKind.NutPaste => "nut paste",
        PreparationKind.Toasted => "toasted nuts, seeds or oats",
        PreparationKind.Crumble => "crumble",
        PreparationKind.Wash => "wash",
        PreparationKind.Glaze => "glaze",
        PreparationKind.Sauce => "sauce",
        _ => "something else",
    };

    /// <summary>A place to keep something.</summary>
    public static string Of(KeepPlace place) => place switch
    {
        KeepPlace.Room => "at room temperature",
        KeepPlace.Cold => "in the fridge",
        _ => "in the freezer",
    };

    /// <summary>How it keeps: "in the fridge for 3 days; wanted 12 h before it is used; before use: stir".</summary>
    public static string Keeps(Keeping keeping)
    {
        var hold = keeping.Hold;
        return $"{Of(keeping.Place)} for {Long(hold.Most)}"
            + (hold.Least > 0 ? $"; {Long(hold.Least)} at least" : string.Empty)
            + (hold.Aim > hold.Least ? $"; wanted {Long(hold.Aim)} before it is used" : string.Empty)
            + (keeping.BeforeUse.Length > 0 ? $"; before use: {keeping.BeforeUse}" : string.Empty);
    }

    /// <summary>How much is made at once: "up to 8 kg at once, 2.5 kg on a tray".</summary>
    /// <param name="how">How it is made.</param>
    /// <param name="isBaked">Whether it lies on trays.</param>
    /// <param name="whole">Name of what batches take whole ones of; null where they do not.</param>
    public static string Batches(Making how, bool isBaked, string? whole = null) =>
        (how.Batches.Least > Mass.Zero ? FormattableString.Invariant($"{how.Batches.Least.Kilograms:0.##} to {how.Batches.Most.Kilograms:0.##} kg at once") : FormattableString.Invariant($"up to {how.Batches.Most.Kilograms:0.##} kg at once"))
        + (isBaked ? FormattableString.Invariant($", {how.Batches.Tray.Kilograms:0.##} kg on a tray") : string.Empty)
        + (whole is null ? string.Empty : $", whole ones of {whole.ToLowerInvariant()} in each");

    /// <summary>A length of time up to months: "12 h", "3 days".</summary>
    private static string Long(int minutes) => minutes < 2880 ? StepWords.Length(minutes) : FormattableString.Invariant($"{minutes / 1440.0:0.#} days");
}
