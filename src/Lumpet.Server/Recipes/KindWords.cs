using Lumpet.Core;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures.Amounts;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;

namespace Lumpet.Server.Recipes;

/// <summary>The kinds of things, as the trade says them.</summary>
internal static class KindWords
{
    /// <summary>A kind of filling.</summary>
    public static string Of(FillingKind kind) => kind switch
    {
        FillingKind.RawFruit => "raw fruit",
        FillingKind.PrecookedFruit => "precooked fruit",
        FillingKind.MaceratedFruit => "macerated fruit",
        FillingKind.Berry => "berries",
        FillingKind.BakedCustard => "baked custard",
        FillingKind.Puree => "puree",
        FillingKind.CookedCream => "cooked cream",
        FillingKind.Curd => "curd",
        FillingKind.NutSyrup => "nut syrup",
        FillingKind.Savoury => "savoury",
        _ => "nut paste",
    };

    /// <summary>A top.</summary>
    public static string Of(Crust crust) => crust.Top switch
    {
        Top.Open => "open",
        Top.Lid => "lid",
        Top.Lattice => crust.StripGap.Centimetres < crust.StripWidth.Centimetres / 3 ? "dense lattice" : "open lattice",
        Top.CutOuts => "cut-outs",
        Top.Crumble => "crumble",
        Top.Meringue => "meringue",
        _ => "folded over",
    };

    /// <summary>A top, as it is chosen.</summary>
    public static string Of(Top top) => top switch
    {
        Top.CutOuts => "cut-outs",
        Top.Fold => "folded over",
        _ => Naming.Of(top),
    };

    /// <summary>A cup that recipes mean.</summary>
    public static string Of(CupCustom cups) => cups switch
    {
        CupCustom.UnitedStates => "US cups and spoons",
        CupCustom.Metric => "metric cups and spoons",
        _ => "Australian cups and spoons",
    };

    /// <summary>What an ingredient does in a formula.</summary>
    public static string Of(IngredientRole role) => role switch
    {
        IngredientRole.BoughtDough => "dough bought ready",
        IngredientRole.Raising => "raises",
        IngredientRole.Starch => "thickens",
        IngredientRole.Acid => "acid",
        _ => Naming.Of(role),
    };

    /// <summary>A base treatment.</summary>
    public static string Of(BaseTreatment treatment) => treatment switch
    {
        BaseTreatment.Plain => "raw base",
        BaseTreatment.FullBlind => "full blind bake",
        BaseTreatment.PartBlind => "part bake",
        BaseTreatment.ShortHotSet => "short hot set",
        BaseTreatment.HotTray => "hot tray",
        BaseTreatment.OvenFloor => "floor of the oven",
        _ => "sealed with egg",
    };

    /// <summary>A way of lining.</summary>
    public static string Of(Lining lining) => lining switch
    {
        Lining.FloorAndStrips => "floor and wall strips",
        Lining.Pressed => "pressed in",
        Lining.SmallRounds => "small rounds from a sheet",
        Lining.BoughtShell => "a shell by the piece, bought in or made here",
        _ => "in one piece",
    };

    /// <summary>A family of pans.</summary>
    public static string Of(PanFamily family) => family switch
    {
        PanFamily.Sloped => "round, sloped",
        PanFamily.Straight => "round, straight",
        PanFamily.Fluted => "fluted, loose base",
        PanFamily.Deep => "round, deep",
        PanFamily.Rectangular => "rectangular",
        PanFamily.Slab => "slab",
        PanFamily.Mould => "small mould",
        PanFamily.Foil => "foil",
        _ => "no pan, free-form",
    };

    /// <summary>A material.</summary>
    public static string Of(PanMaterial material) => material switch
    {
        PanMaterial.DarkSteel => "dark steel",
        PanMaterial.Steel => "bright steel",
        PanMaterial.Tray => "the tray",
        PanMaterial.Ceramic => "earthenware",
        _ => Naming.Of(material),
    };
}
