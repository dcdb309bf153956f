using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;

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
    /// <returns>The dough and the ingredients that are new with it; null where there are faults.</returns>
    public static (DoughFormula? Dough, IReadOnlyList<Ingredient> Fresh, IReadOnlyList<FieldFault> Faults) Read(
        DoughDraft draft, string id, int version, IEnumerable<Ingredient> known)
    {
        var (checks, names) = (new FieldChecks(), new IngredientNames(known));
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
        var (ready, caution) = (checks.Words("readyWhen", draft.ReadyWhen), checks.Words("caution", draft.Caution));
        return checks.Faults.Count > 0
            ? (null, [], checks.Faults)
            : (new DoughFormula(id, name, version, lines, Density.FromGramsPerMillilitre(density), loss / 100, mix, rest, ready, caution), names.Fresh, []);
    }

    /// <summary>A dough as it would be written.</summary>
    public static DoughDraft Write(DoughFormula dough) => new(
        dough.Name,
        string.Join('\n', dough.Lines.Select(RecipeLineReader.Write)),
        dough.Density.GramsPerMillilitre,
        Math.Round(dough.BowlLossShare * 100, 3),
        dough.MixMinutes,
        dough.Rest.Least,
        dough.Rest.Aim,
        dough.Rest.Most,
        dough.ReadyWhen,
        dough.Caution);
}
