using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Writing;
using Xunit;

namespace Lumpet.Core.Tests.Recipes;

/// <summary>Shells that are bought by the piece.</summary>
public sealed class BoughtShellTests
{
    private static readonly DoughFormula Shell = DoughReader.Read(UsualDoughs.All[^1] with { Name = "Shells", Lines = "1 tart shell, bought in" }, "shells", 1, IngredientLibrary.All).Dough!;

    private static (Product? Product, IReadOnlyList<FieldFault> Faults) Read(Func<ProductDraft, ProductDraft> change)
    {
        var draft = change(Writing.Drafted.Of("cream", "400 g milk\n100 g sugar\n40 g corn starch") with { Dough = "shells", Lining = "boughtShell" });
        var (product, _, faults) = ProductReader.Read(draft, "quince", 1, "EUR", Demonstration.Pans, [Shell, .. Demonstration.Doughs], IngredientLibrary.All, []);
        return (product, faults);
    }

    [Fact]
    public void A_pie_takes_one_shell_of_what_one_weighs()
    {
        var product = Read(draft => draft).Product!;
        var scaled = Scaling.Scale(product, product.ReferencePan, 12);
        var piece = Assert.Single(scaled.Pieces);
        // 30 g a shell, as it ships; nothing is trimmed.
        Assert.Equal(("shell", 30, 0), (piece.Name, piece.Disc.Grams, piece.Trim.Grams));
        Assert.Equal(360, scaled.Part(PartKind.Dough).Lines.Sum(line => line.Total.Grams), 9);
        // Twelve are counted, whole.
        Assert.Equal(12, WholePieces.In(scaled).Single(whole => whole.Line.Line.Ingredient.Id == "bought-shell").Exact, 9);
        Assert.Equal(["egg", "milk", "wheat"], product.Allergens);
    }

    [Fact]
    public void What_is_no_shell_or_would_fit_several_pans_is_refused()
    {
        Assert.Equal("dough", Assert.Single(Read(draft => draft with { Dough = Demonstration.Doughs[0].Id }).Faults, fault => fault.Field == "dough").Field);
        Assert.Contains(Read(draft => draft with { Sizes = [.. Demonstration.Pans.Take(2).Select(pan => new SizeDraft(pan.Id, null))] }).Faults, fault => fault.Field == "sizes");
        Assert.Contains(Read(draft => draft with { DoughGrams = 300 }).Faults, fault => fault.Field == "doughGrams");
        Assert.Null(Demonstration.Doughs[0].BoughtShell);
        Assert.Equal(30, Shell.BoughtShell!.Value.Grams);
    }
}
