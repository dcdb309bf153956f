using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Measures.Amounts;
using Lumpet.Core.Steps;

namespace Lumpet.Core.Recipes.Writing;

/// <summary>Reads a written dough: everything wrong is named, or the whole of it can be taken.</summary>
public static class DoughReader
{
    private const int MostRest = 10_080;

    /// <summary>Reads a draft.</summary>
    /// <param name="draft">What was written.</param>
    /// <param name="id">Id of the dough.</param>
    /// <param name="version">Number of the version.</param>
    /// <param name="known">The bakery's ingredients.</param>
    /// <param name="custom">Which cup and spoons are meant.</param>
    /// <returns>The dough and the ingredients that are new with it; null where there are faults.</returns>
    public static (DoughFormula? Dough, IReadOnlyList<Ingredient> Fresh, IReadOnlyList<FieldFault> Faults) Read(
        DoughDraft draft, string id, int version, IEnumerable<Ingredient> known, CupCustom custom = CupCustom.UnitedStates) =>
        Read(draft, id, version, new Pantry(known), custom);

    /// <summary>Reads a draft against a pantry, to which the ingredients are added that are new with it.</summary>
    internal static (DoughFormula? Dough, IReadOnlyList<Ingredient> Fresh, IReadOnlyList<FieldFault> Faults) Read(
        DoughDraft draft, string id, int version, Pantry pantry, CupCustom custom)
    {
        var (checks, names) = (new FieldChecks(), new IngredientNames(pantry, custom));
        var name = checks.Name("name", draft.Name, "A dough");
        var lines = names.Lines(checks, "lines", draft.Lines, least: 1);
        var rest = new Span(
            checks.Whole("restLeast", draft.RestLeast, 0, MostRest, "min"),
            checks.Whole("restAim", draft.RestAim, 0, MostRest, "min"),
            checks.Whole("restMost", draft.RestMost, 0, MostRest, "min"));
        if (rest.Least > rest.Aim || rest.Aim > rest.Most) checks.Add("restAim", "The aim of a rest lies between its least and its most.");
        var density = checks.Number("density", draft.Density, 0.5, 1.6, "g/ml");
        var loss = checks.Number("bowlLossPercent", draft.BowlLossPercent, 0, 30, "%");
        var mix = checks.Whole("mixMin", draft.MixMin, 1, 480, "min");
        var (ready, cure, caution) = (checks.Words("readyWhen", draft.ReadyWhen), checks.Words("cure", draft.Cure), checks.Words("caution", draft.Caution));
        var method = Method(checks, draft);
        if (rest.Most > Math.Max(1, method.KeepsColdDays) * 1440) checks.Add("keepsColdDays", "It may rest for longer than it keeps in the fridge.");
        return checks.Faults.Count > 0
            ? (null, [], checks.Faults)
            : (new DoughFormula(id, name, version, lines, Density.FromGramsPerMillilitre(density), loss / 100, mix, rest, ready, caution) { Method = method, Cure = cure }, names.Fresh, []);
    }

    /// <summary>A dough as it would be written.</summary>
    public static DoughDraft Write(DoughFormula dough) => new()
    {
        Name = dough.Name,
        Lines = string.Join('\n', dough.Lines.Select(RecipeLineReader.Write)),
        Density = dough.Density.GramsPerMillilitre,
        BowlLossPercent = Math.Round(dough.BowlLossShare * 100, 3),
        MixMin = dough.MixMinutes,
        RestLeast = dough.Rest.Least,
        RestAim = dough.Rest.Aim,
        RestMost = dough.Rest.Most,
        ReadyWhen = dough.ReadyWhen,
        Cure = dough.Cure.Length == 0 ? null : dough.Cure,
        Caution = dough.Caution,
        Family = Naming.Of(dough.Method.Family),
        HeldBackPercent = dough.Method.HeldBackPercent,
        FatSize = dough.Method.FatSize,
        Turns = dough.Method.Turns,
        TurnMin = dough.Method.TurnMinutes,
        TurnRestMin = dough.Method.TurnRestMinutes,
        ThinnestMm = dough.Method.ThinnestMm,
        ThickestMm = dough.Method.ThickestMm,
        KeepsColdDays = dough.Method.KeepsColdDays,
        KeepsFrozenDays = dough.Method.KeepsFrozenDays,
    };

    private static DoughMethod Method(FieldChecks checks, DoughDraft draft)
    {
        var usual = DoughMethod.Flaky;
        var (thin, thick) = (checks.Number("thinnestMm", draft.ThinnestMm ?? usual.ThinnestMm, 1, 15, "mm"), checks.Number("thickestMm", draft.ThickestMm ?? usual.ThickestMm, 1, 15, "mm"));
        if (thin > thick) checks.Add("thinnestMm", "The thinnest is thicker than the thickest.");
        return new DoughMethod(
            checks.Word("family", draft.Family, usual.Family),
            checks.Number("heldBackPercent", draft.HeldBackPercent ?? usual.HeldBackPercent, 0, 50, "%"),
            checks.Words("fatSize", draft.FatSize, 40),
            checks.Whole("turns", draft.Turns ?? 0, 0, 12, string.Empty),
            checks.Whole("turnMin", draft.TurnMin ?? DoughMethod.UsualTurnMinutes, 1, 60, "min"),
            checks.Whole("turnRestMin", draft.TurnRestMin ?? 0, 0, 240, "min"),
            thin,
            thick,
            checks.Whole("keepsColdDays", draft.KeepsColdDays ?? usual.KeepsColdDays, 0, 14, "days"),
            checks.Whole("keepsFrozenDays", draft.KeepsFrozenDays ?? usual.KeepsFrozenDays, 0, 365, "days"));
    }
}
