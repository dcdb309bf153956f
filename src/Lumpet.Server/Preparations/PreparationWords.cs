using Lumpet.Core.Bakery;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
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
        PreparationKind.Shells => "shells, baked by the piece",
        PreparationKind.Dough => "dough",
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

    /// <summary>How a dough keeps: its rest, then as its method says.</summary>
    public static string Keeps(DoughFormula dough) =>
        $"{Long(dough.Method.KeepsColdDays * 1440)} cold, {Long(dough.Method.KeepsFrozenDays * 1440)} frozen; rests {Long(dough.Rest.Least)} at least, {Long(dough.Rest.Aim)} wanted";

    /// <summary>How much dough is made at once.</summary>
    /// <param name="mixer">The bakery's mixer; null while no bakery is described.</param>
    public static string Batches(Mixer? mixer) => mixer is null ? "in the mixer" : FormattableString.Invariant($"{mixer.SmallestBatch.Kilograms:0.##} to {mixer.LargestBatch.Kilograms:0.##} kg at once in the mixer");

    /// <summary>How much is made at once: "up to 8 kg at once, 2.5 kg on a tray", "up to 96 pieces at once, 24 on a tray".</summary>
    /// <param name="how">How it is made.</param>
    /// <param name="isBaked">Whether it lies on trays.</param>
    /// <param name="formula">Of what.</param>
    public static string Batches(Making how, bool isBaked, IngredientFormula formula)
    {
        var limits = how.Batches;
        var whole = formula.Lines.FirstOrDefault(line => line.Ingredient.Id == how.WholeOf)?.Ingredient.Name;
        string Count(Mass mass) => how.Piece is { } one ? FormattableString.Invariant($"{Math.Round(mass / one)}") : FormattableString.Invariant($"{mass.Kilograms:0.##}");
        var unit = how.Piece is null ? "kg" : "pieces";
        return (limits.Least > Mass.Zero ? $"{Count(limits.Least)} to {Count(limits.Most)} {unit} at once" : $"up to {Count(limits.Most)} {unit} at once")
            + (!isBaked ? string.Empty : how.Piece is null ? $", {Count(limits.Tray)} kg on a tray" : $", {Count(limits.Tray * formula.LeftShare)} on a tray")
            + (whole is null ? string.Empty : $", whole ones of {whole.ToLowerInvariant()} in each");
    }

    /// <summary>A length of time up to months: "12 h", "3 days".</summary>
    private static string Long(int minutes) => minutes < 2880 ? StepWords.Length(minutes) : FormattableString.Invariant($"{minutes / 1440.0:0.#} days");
}
