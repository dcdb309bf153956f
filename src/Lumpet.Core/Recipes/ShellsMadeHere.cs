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

    /// <summary>Whether what a product's crust is made of can be it: shells by the piece where it takes shells, and nothing of the kind where it is rolled.</summary>
    /// <param name="lining">How the pan is lined.</param>
    /// <param name="dough">Of what.</param>
    public static bool Fits(Lining lining, DoughFormula dough) => lining == Lining.BoughtShell ? dough.BoughtShell is not null : !Is(dough);

    /// <summary>What is said of products whose crust would no longer fit; empty where all do.</summary>
    /// <param name="names">Their names.</param>
    public static string Misfit(IReadOnlyList<string> names) => names.Count == 0 ? string.Empty
        : $"{string.Join("; ", names)}: made with it as a crust. What is taken by the piece stays shells, or dough that is bought in, with the weight of one; what is rolled does not become shells.";

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
