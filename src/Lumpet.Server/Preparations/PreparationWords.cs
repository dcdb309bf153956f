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

    /// <summary>How it keeps: "in the fridge for 3 days; wanted 12 h before it is used; else in the freezer for 90 days, then 12 h in the fridge; before use: stir".</summary>
    public static string Keeps(Keeping keeping)
    {
        var hold = keeping.Hold;
        return string.Join("; ", (string[])[
            In(keeping, new KeptIn(keeping.Place, hold.Least, hold.Most)),
            .. Some(hold.Aim > hold.Least, $"wanted {Long(keeping.ToUse.Aim)} before it is used"),
            .. keeping.Elsewhere.OrderBy(kept => kept.Place).Select(kept => $"else {In(keeping, kept)}"),
            .. Some(keeping.BeforeUse.Length > 0, $"before use: {keeping.BeforeUse}"),
        ]);
    }

    /// <summary>How a dough keeps: its rest, then as its method says.</summary>
    public static string Keeps(DoughMaking how) => string.Join("; ", (string[])[
        $"in the fridge for {Long(how.Dough.Method.KeepsColdDays * 1440)}, at least {Long(how.Keeping.Hold.Least)}",
        .. Some(how.Keeping.Hold.Aim > how.Keeping.Hold.Least, $"wanted {Long(how.Keeping.Hold.Aim)} before it is used"),
        .. how.Keeping.Elsewhere.Select(kept => $"else {In(how.Keeping, kept)}"),
    ]);

    private static string In(Keeping keeping, KeptIn kept) =>
        $"{Of(kept.Place)} for {Long(kept.MostMin)}"
        + (kept.LeastMin > 0 ? $", at least {Long(kept.LeastMin)}" : string.Empty)
        + (kept.Place == KeepPlace.Frozen && keeping.ThawMin > 0 ? $", then {Long(keeping.ThawMin)} in the fridge to thaw" : string.Empty);

    private static string[] Some(bool isSaid, string words) => isSaid ? [words] : [];

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
