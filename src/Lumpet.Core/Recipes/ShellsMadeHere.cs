using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Steps;

namespace Lumpet.Core.Recipes;

/// <summary>Shells that the bakery bakes by the piece, as the crust of a product: what a product calls its dough, of one line.</summary>
public static class ShellsMadeHere
{
    // Of the shell's wall, for which nothing is rolled: no weight follows from it.
    private const double GramsPerMillilitre = 1.2;

    /// <summary>The doughs of a bakery, and every shell that it makes and that no dough is called after.</summary>
    /// <param name="doughs">Its doughs.</param>
    /// <param name="ingredients">Its ingredients.</param>
    public static IReadOnlyList<DoughFormula> With(IReadOnlyList<DoughFormula> doughs, IEnumerable<Ingredient> ingredients) =>
    [
        .. doughs,
        .. ingredients.Where(one => one is { IsRetired: false, Formula.How.Kind: PreparationKind.Shells, Facts.OnePiece: not null }
                && !doughs.Any(dough => dough.Id == one.Id || dough.Name.Equals(one.Name, StringComparison.OrdinalIgnoreCase)))
            .Select(AsDough),
    ];

    /// <summary>Whether a dough is a shell that the bakery makes.</summary>
    public static bool Is(DoughFormula dough) => dough.Lines is [{ Ingredient.Formula.How.Kind: PreparationKind.Shells }];

    private static DoughFormula AsDough(Ingredient shell) => new(
        shell.Id,
        shell.Name,
        1,
        [new RecipeLine(shell, string.Empty, Yield.Whole, shell.Facts.OnePiece!.Weight) { Written = shell.Facts.OnePiece.Piece == "one" ? "1" : $"1 {shell.Facts.OnePiece.Piece}" }],
        Density.FromGramsPerMillilitre(GramsPerMillilitre),
        0,
        1,
        Span.Between(0, 1440),
        "whole and crisp; broken ones put aside",
        string.Empty)
    {
        Method = DoughMethod.Flaky with { Family = DoughFamily.BoughtIn, HeldBackPercent = 0, FatSize = string.Empty, KeepsColdDays = 0, KeepsFrozenDays = 0 },
    };
}
