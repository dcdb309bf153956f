using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Writing;
using Xunit;

namespace Lumpet.Core.Tests.Recipes;

/// <summary>One product of every usual kind, in pans of every family, with fillings that such products have.</summary>
internal static class Demonstration
{
    public static readonly Pan[] Pans =
    [
        Round("23", 23, 19.5, 3.5, 1, PanFamily.Sloped, PanMaterial.Steel, 4),
        Round("26-deep", 26, 22, 5.5, 1.2, PanFamily.Deep, PanMaterial.Ceramic, 2),
        Round("28-low", 28, 27, 2.5, 0, PanFamily.Fluted, PanMaterial.Steel, 2),
        Round("10", 10, 8, 2, 0.5, PanFamily.Foil, PanMaterial.Foil, 15),
        new("34x24", "Slab 34 x 24", PanFamily.Slab, PanMaterial.Steel, Rectangle(34, 24), Rectangle(32, 22), Cm(3), Cm(1), 1),
        Round("30-free", 30, 30, 2, 0, PanFamily.FreeForm, PanMaterial.Tray, 2),
    ];

    public static readonly DoughFormula[] Doughs = [.. UsualDoughs.All.Select(draft => DoughReader.Read(draft, draft.Name!, 1, IngredientLibrary.All).Dough!)];

    // Shells by the piece fit one pan, and are no dough: they have tests of their own.
    public static readonly Product[] Products = [.. UsualProducts.All.Where(usual => usual.Id != "filled-shells").Select(usual => Made(usual.Id, usual.Draft, FillingOf(usual.Id)))];

    /// <summary>A product from a usual draft, in every pan.</summary>
    public static Product Made(string id, ProductDraft draft, string filling, string dough = "Flaky 3-2-1")
    {
        var whole = draft.Filled(filling).Finished("1 egg, beaten, as wash\n1 tsp coarse sugar") with
        {
            Name = $"Any {id}",
            Dough = dough,
            ReferencePan = "23",
            Sizes = [.. Pans.Select(pan => new SizeDraft(pan.Id, 12m + pan.PerTray))],
            Aliases = $"the {id}",
            GlassFromFreezer = true,
        };
        var (product, _, faults) = ProductReader.Read(whole, id, 1, "EUR", Pans, Doughs, IngredientLibrary.All, []);
        Assert.Empty(faults);
        return product!;
    }

    private static string FillingOf(string id) => id switch
    {
        "custard" => "700 ml milk\n4 eggs\n95 g sugar\n1 vanilla pod",
        "puree" => "700 g sweet potato, roasted and scooped\n3 eggs\n120 g brown sugar\n250 ml cream\n1 tsp cinnamon",
        "cream" => "600 ml milk\n5 yolks\n120 g sugar\n45 g corn starch\n150 g dark chocolate\n2 leaves gelatine",
        "curd-meringue" => "6 passion-fruit\n4 eggs\n180 g sugar\n120 g butter\n2 tbsp lemon juice",
        "nut" => "300 g hazelnuts\n200 g golden syrup\n90 g brown sugar\n3 eggs\n2 tbsp rum",
        "nut-paste" => "150 g ground almonds\n150 g butter\n150 g sugar\n2 eggs\n10 apricots, pitted",
        "savoury" => "600 g leeks, trimmed\n200 g hard cheese\n200 ml cream\n2 eggs\n1 pinch nutmeg\n1 tsp salt",
        "berry" => "2 pints gooseberries, topped and tailed\n150 g sugar\n6 tbsp corn starch",
        _ => "900 g pears, firm, pared and cored\n140 g sugar\n2 tbsp corn starch\njuice of 1 lemon\n1 tsp ginger\n1 tbsp brandy",
    };

    private static Pan Round(string id, double top, double bottom, double depth, double rim, PanFamily family, PanMaterial material, int perTray) =>
        new(id, $"{id} pan", family, material, Outline.Circle(Cm(top)), Outline.Circle(Cm(bottom)), Cm(depth), Cm(rim), perTray);

    private static Outline Rectangle(double length, double width) => Outline.Rectangle(Cm(length), Cm(width));

    private static Length Cm(double centimetres) => Length.FromCentimetres(centimetres);
}
