using System.Globalization;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Stock;

namespace Lumpet.Server.DayPlan;

/// <summary>Says what a plan takes of what is made already.</summary>
internal static class StockUseWords
{
    /// <summary>One sentence for each thing that is taken: "2.10 kg Flaky dough are there already: for Pear and ginger, 23 cm, base at Fri 16:10.".</summary>
    /// <param name="book">The day.</param>
    /// <param name="plan">Its plan.</param>
    /// <param name="isDough">Whether of doughs, or of what else is made before the pies.</param>
    public static IReadOnlyList<string> Of(DayBook book, PlannedDay plan, bool isDough) =>
    [
        .. from made in Taken(plan)
           where Ingredient.IsDoughId(made.MadeId) == isDough
           let uses = made.Uses.GroupBy(use => (use.For, use.AtMin)).OrderBy(same => same.Key.AtMin)
           select $"{Amount(book, made)} are there already: for {string.Join("; ", uses.Select(same => $"{same.Key.For} at {PlanSentence.Said(book.Clock.At(same.Key.AtMin))}"))}.",
    ];

    /// <summary>All that is taken, in one sentence; empty where nothing is.</summary>
    public static string Briefly(DayBook book, PlannedDay plan)
    {
        string[] taken =
        [
            .. Taken(plan).Select(made => Amount(book, made)),
            .. plan.FromStock.Where(use => use.Pies > 0).GroupBy(use => use.For).Select(same => $"{same.Sum(use => use.Pies)} {same.Key}"),
        ];
        return taken.Length == 0 ? string.Empty : $"Of what is made already it takes {string.Join("; ", taken)}.";
    }

    private static IEnumerable<(string MadeId, StockUse[] Uses)> Taken(PlannedDay plan) =>
        from use in plan.FromStock
        where use.Pies == 0
        group use by plan.Stock.Masses.First(one => one.Id == use.StockId).MadeId into same
        orderby same.Key
        select (same.Key, same.ToArray());

    private static string Amount(DayBook book, (string MadeId, StockUse[] Uses) made)
    {
        var (ingredient, mass) = (book.MadeThere[made.MadeId], Mass.FromGrams(made.Uses.Sum(use => use.Taken.Grams)));
        return MadeAlreadyReader.Piece(ingredient) is { } one
            ? string.Create(CultureInfo.InvariantCulture, $"{Math.Round(mass / one):0} {ingredient.Name}")
            : string.Create(CultureInfo.InvariantCulture, $"{mass.Kilograms:0.00} kg {ingredient.Name}");
    }
}
