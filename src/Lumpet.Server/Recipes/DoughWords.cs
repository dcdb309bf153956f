using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using Lumpet.Core.Safety;

namespace Lumpet.Server.Recipes;

/// <summary>Says how a dough is made and kept, and what becomes of its trim.</summary>
internal static class DoughWords
{
    /// <summary>"Water from 384 to 480 g: hold back 96 g. Fat as peas. 3 turns, 30 min of cold after each. …"</summary>
    /// <param name="dough">The dough.</param>
    /// <param name="lines">What is weighed of it.</param>
    /// <param name="thickness">To which it is rolled, in millimetres.</param>
    public static string Method(DoughFormula dough, IEnumerable<ScaledLine> lines, double thickness)
    {
        var method = dough.Method;
        var said = Making(dough, lines.Where(line => IsWater(line.Line)).Sum(line => line.Total.Grams)).ToList();
        said.Add(thickness < method.ThinnestMm || thickness > method.ThickestMm
            ? Words($"Rolled to {thickness} mm, where {method.ThinnestMm} to {method.ThickestMm} mm is usual for it.")
            : Words($"Rolled to {method.ThinnestMm} to {method.ThickestMm} mm."));
        said.Add(Keeps(dough));
        if (DoughCautions.Of(dough) is { Length: > 0 } caution) said.Add(caution);
        return string.Join(' ', said);
    }

    /// <summary>"48 shells of 24 g, made here."</summary>
    /// <param name="dough">What stands for the shells.</param>
    /// <param name="one">What one weighs.</param>
    /// <param name="count">How many pies.</param>
    public static string Shells(DoughFormula dough, Mass one, int count)
    {
        var caution = DoughCautions.Of(dough);
        return Words($"{count} {(count == 1 ? "shell" : "shells")} of {one.Grams:0.#} g, {(ShellsMadeHere.Is(dough) ? "made here" : "bought in")}.{(caution.Length > 0 ? $" {caution}" : string.Empty)}");
    }

    /// <summary>"Keeps 3 days cold, 60 days frozen, thawed in the fridge overnight."</summary>
    public static string Keeps(DoughFormula dough) => Words($"Keeps {dough.Method.KeepsColdDays} days cold, {dough.Method.KeepsFrozenDays} days frozen, thawed in the fridge overnight.");

    /// <summary>What the hands at the mixer have to know, one sentence each: held-back water, the look of the fat, turns, rest.</summary>
    /// <param name="dough">The dough.</param>
    /// <param name="waterGrams">Water in what is made.</param>
    public static IEnumerable<string> Making(DoughFormula dough, double waterGrams)
    {
        var method = dough.Method;
        if (method.HeldBackPercent > 0 && waterGrams > 0)
            yield return Words($"Water from {waterGrams * (1 - (method.HeldBackPercent / 100)):0} to {waterGrams:0} g: hold back {waterGrams * method.HeldBackPercent / 100:0} g ({method.HeldBackPercent} %) and add it only as far as a pinch holds.");
        if (method.FatSize.Length > 0) yield return Words($"The fat looks like {method.FatSize}.");
        if (method.Turns > 0) yield return Words($"{method.Turns} {(method.Turns == 1 ? "turn" : "turns")} of {method.TurnMinutes} min, {method.TurnRestMinutes} min of cold after each.");
        yield return Words($"Rest {dough.Rest.Least} min at least, better {dough.Rest.Aim}.");
    }

    /// <summary>Whether a line is of the water that is held back: water and milk, and a spirit that stands for some of it; vinegar goes in whole.</summary>
    public static bool IsWater(RecipeLine line) => line.Ingredient.Facts.Role is IngredientRole.Liquid or IngredientRole.Spirit;

    /// <summary>"112 g of trim come back from a pie", and what of it its cut-outs take.</summary>
    /// <param name="crust">How it is cut.</param>
    /// <param name="pieces">The pieces of one dough.</param>
    public static string TrimUse(Crust crust, IReadOnlyList<DoughPiece> pieces)
    {
        var trim = pieces.Sum(piece => piece.Trim.Grams);
        if (pieces.FirstOrDefault(piece => piece.FromTrim > 0) is { } cutOuts)
        {
            var rest = trim - cutOuts.TakenFromTrim.Grams;
            var all = cutOuts.FromTrim == cutOuts.Count ? "All" : Words($"{cutOuts.FromTrim} of");
            return Words($"{all} its {cutOuts.Count} cut-outs are cut from the base's trim, rolled out once more{(cutOuts.FromTrim == cutOuts.Count ? string.Empty : ", the others from a sheet")}; {Math.Max(0, rest):0} g of trim are left of a pie.");
        }

        if (trim < 0.5) return "No trim comes back.";
        return crust.Lining == Lining.SmallRounds && crust.Rerolls > 0
            ? Words($"Scraps are rolled again {(crust.Rerolls == 1 ? "once" : "twice")}; {trim:0} g of trim are left from a pie.")
            : Words($"{trim:0} g of trim come back from a pie.");
    }

    private static string Words(FormattableString text) => FormattableString.Invariant(text);
}
