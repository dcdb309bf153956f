using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes;

namespace Lumpet.Server.Recipes;

/// <summary>Says how a dough is made and kept, and what becomes of its trim.</summary>
internal static class DoughWords
{
    /// <summary>"Water from 384 to 480 g: hold back 96 g. Fat as peas. 3 turns, 30 min of cold after each. …"</summary>
    public static string Method(ScaledProduct scaled)
    {
        var (dough, said) = (scaled.Product.Dough, new List<string>());
        var method = dough.Method;
        var water = scaled.Dough.Where(line => line.Line.Ingredient.Facts.Role == IngredientRole.Liquid).Sum(line => line.Total.Grams);
        if (method.HeldBackPercent > 0 && water > 0)
            said.Add(Words($"Water from {water * (1 - (method.HeldBackPercent / 100)):0} to {water:0} g: hold back {water * method.HeldBackPercent / 100:0} g ({method.HeldBackPercent} %) and add it only as far as a pinch holds."));
        if (method.FatSize.Length > 0) said.Add($"The fat looks like {method.FatSize}.");
        if (method.Turns > 0) said.Add(Words($"{method.Turns} {(method.Turns == 1 ? "turn" : "turns")}, {method.TurnRestMinutes} min of cold after each."));
        said.Add(Words($"Rest {dough.Rest.Least} min at least, better {dough.Rest.Aim}."));
        var thickness = scaled.Product.Crust.Thickness.Millimetres;
        said.Add(thickness < method.ThinnestMm || thickness > method.ThickestMm
            ? Words($"Rolled to {thickness} mm, where {method.ThinnestMm} to {method.ThickestMm} mm is usual for it.")
            : Words($"Rolled to {method.ThinnestMm} to {method.ThickestMm} mm."));
        said.Add(Words($"Keeps {method.KeepsColdDays} days cold, {method.KeepsFrozenDays} days frozen, thawed in the fridge overnight."));
        if (dough.Caution.Length > 0) said.Add(dough.Caution);
        return string.Join(' ', said);
    }

    /// <summary>"112 g of trim come back from a pie, enough for 14 of its 14 cut-outs."</summary>
    public static string TrimUse(ScaledProduct scaled)
    {
        var trim = scaled.Pieces.Sum(piece => piece.Trim.Grams);
        if (trim < 0.5) return "No trim comes back.";
        var rerolls = scaled.Product.Crust.Rerolls;
        if (scaled.Product.Crust.Lining == Lining.SmallRounds && rerolls > 0)
            return Words($"Scraps are rolled again {(rerolls == 1 ? "once" : "twice")}; {trim:0} g of trim are left from a pie.");
        if (scaled.Pieces.FirstOrDefault(piece => piece.Name == "cut-outs") is { } cutOuts)
        {
            var (ofBase, one) = (scaled.Pieces.Where(piece => piece != cutOuts).Sum(piece => piece.Trim.Grams), cutOuts.Mass.Grams / cutOuts.Count);
            return Words($"{ofBase:0} g of trim come back from the base: rolled out, enough for {Math.Min(cutOuts.Count, (int)(ofBase / one))} of its {cutOuts.Count} cut-outs of {one:0.#} g.");
        }

        return Words($"{trim:0} g of trim come back from a pie.");
    }

    private static string Words(FormattableString text) => FormattableString.Invariant(text);
}
