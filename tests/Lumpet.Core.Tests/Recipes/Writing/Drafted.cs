using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Writing;

namespace Lumpet.Core.Tests.Recipes.Writing;

/// <summary>Whole drafts for tests of one field.</summary>
internal static class Drafted
{
    /// <summary>A fruit pie below a lid in the pan of 23 cm.</summary>
    public static ProductDraft Fruit(string filling) => Of("fruit-lid", filling);

    /// <summary>A shell that is bought by the piece, as a dough of this id.</summary>
    public static DoughFormula Shell(string id) => DoughReader.Read(UsualDoughs.All[^1] with { Name = "Tart shell, bought in", Lines = "1 tart shell, bought in" }, id, 1, IngredientLibrary.All).Dough!;

    /// <summary>A usual product with this filling, in the pan of 23 cm.</summary>
    public static ProductDraft Of(string usual, string filling) => UsualProducts.All.Single(one => one.Id == usual).Draft.Filled(filling).Finished("4 g egg white") with
    {
        Name = "Quince",
        Dough = usual == "filled-shells" ? "shell" : Demonstration.Doughs[0].Id,
        ReferencePan = Demonstration.Pans[0].Id,
        Sizes = [new SizeDraft(Demonstration.Pans[0].Id, null)],
        Assessment = "held hot, assessed by the process authority on 3 May",
    };

    /// <summary>What comes of a draft.</summary>
    public static (Product? Product, IReadOnlyList<FieldFault> Faults) Read(ProductDraft draft)
    {
        var (product, _, faults) = ProductReader.Read(draft, "quince", 1, "EUR", Demonstration.Pans, [.. Demonstration.Doughs, Shell("shell")], IngredientLibrary.All, []);
        return (product, faults);
    }
}
