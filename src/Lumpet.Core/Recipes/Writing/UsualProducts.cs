namespace Lumpet.Core.Recipes.Writing;

/// <summary>A usual way to make a product, as a start for one's own.</summary>
/// <param name="Id">Short name.</param>
/// <param name="Name">The name shown.</param>
/// <param name="Why">What it is good for, and which school it follows.</param>
/// <param name="Draft">Steps, times and crust; name, dough, filling and sizes are left open.</param>
public sealed record UsualProduct(string Id, string Name, string Why, ProductDraft Draft);

/// <summary>The usual products. Thicknesses, overhangs and packed densities are common practice, no source.</summary>
public static class UsualProducts
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<UsualProduct> All { get; } =
    [
        Of("fruit-lid", "Double crust, raw fruit", "raw crust on a hot tray, no blind bake: the first heat sets it", FillingKind.RawFruit, Top.Lid, 0.62, -3),
        Of("cooked-fruit-lid", "Double crust, precooked fruit", "fruit cooked first and cooled, so that fruit and crust are done together", FillingKind.PrecookedFruit, Top.Lid, 0.95, -0.5),
        Of("macerated-lid", "Double crust, macerated fruit", "the juice is boiled down by half to two thirds and goes back: least starch", FillingKind.MaceratedFruit, Top.Lid, 0.9, -0.5, reduced: 85),
        Of("lattice", "Lattice", "open weave over fruit", FillingKind.RawFruit, Top.Lattice, 0.8, -0.5),
        Of("cut-outs", "Fruit below cut-outs", "the off-cuts are the decoration", FillingKind.RawFruit, Top.CutOuts, 0.75, -1),
        Of("crumble", "Fruit below crumble", "no lid to roll", FillingKind.RawFruit, Top.Crumble, 0.7, -1.5),
        Of("berry", "Berries", "no mound, more starch; they weep a little", FillingKind.Berry, Top.Lattice, 0.8, -0.5),
        Of("custard", "Baked custard", "part-baked shell, filled when only just warm: the base stays crisp", FillingKind.BakedCustard, Top.Open, 1.05, 0.4),
        Of("puree", "Baked puree", "roots or squash roasted the day before; part-baked shell", FillingKind.Puree, Top.Open, 1.05, 0.4),
        Of("cream", "Cooked cream", "fully baked shell, filled warm and set cold", FillingKind.CookedCream, Top.Open, 1.05, 0),
        Of("curd-meringue", "Curd with meringue", "fully baked shell, warm curd, meringue sealed to the rim and browned", FillingKind.Curd, Top.Meringue, 1.05, 0),
        Of("nut", "Nut tart", "part-baked shell; a thin syrup that just binds", FillingKind.NutSyrup, Top.Open, 0.9, 0.3),
        Of("nut-paste", "Nut paste with fruit", "raw shell: paste and shell bake together", FillingKind.NutPaste, Top.Open, 0.9, 0.5),
        Of("savoury", "Savoury, double crust", "raw crust, cold filling; kept by the cooling rule", FillingKind.Savoury, Top.Lid, 0.9, -0.5),
        Of("free-form", "Free-form", "no pan: the rim is folded over the fruit", FillingKind.RawFruit, Top.Fold, 0.7, -0.5, treatment: BaseTreatment.Plain),
        Of("minis", "Minis from small rounds", "cut side by side from a sheet, scraps rolled once more", FillingKind.PrecookedFruit, Top.Open, 0.95, 0, treatment: BaseTreatment.Plain, lining: Lining.SmallRounds),
        Of("filled-shells", "Cream in shells by the piece", "shells bought in or baked before and kept dry; filled and set cold, no oven on the day", FillingKind.CookedCream, Top.Open, 1.05, 0, treatment: BaseTreatment.Plain, lining: Lining.BoughtShell),
    ];

    private static UsualProduct Of(
        string id, string name, string why, FillingKind kind, Top top, double packed, double change, double reduced = 100, BaseTreatment? treatment = null, Lining lining = Lining.OnePiece)
    {
        var school = treatment ?? UsualChains.DefaultBase(kind);
        var (steps, links) = UsualChains.For(kind, school, top, lining);
        var isStrips = top == Top.Lattice;
        var baseOverhang = top switch { Top.Fold => 5.0, Top.Lid or Top.Lattice => 1.8, _ => 1.5 };
        var topOverhang = top switch { Top.Lid => 1.2, Top.Lattice => 1.0, _ => 0 };
        return new UsualProduct(id, name, why, new ProductDraft
        {
            Top = Naming.Of(top),
            ThicknessMm = 3,
            BaseOverhangCm = lining == Lining.SmallRounds ? 0.3 : baseOverhang,
            TopOverhangCm = topOverhang,
            TrimPercent = 12,
            StripWidthCm = isStrips ? 2 : 0,
            StripGapCm = isStrips ? 1 : 0,
            BakeChangeCm = change,
            OldestMin = 1440,
            Layers =
            [
                new LayerDraft { Part = Naming.Of(PartKind.Filling), FillingKind = Naming.Of(kind), PackedDensity = packed, KeptPercent = 100, ReducedPercent = reduced < 100 ? reduced : null },
                .. Topping(top) is { } topping ? [topping] : Array.Empty<LayerDraft>(),
            ],
            Packaging = "Pie box\nLabel",
            Steps = steps,
            Links = links,
            BaseTreatment = Naming.Of(school),
            Lining = Naming.Of(lining),
            CutOutCm = top == Top.CutOuts ? 5 : 0,
            CutOuts = top == Top.CutOuts ? 14 : 0,
            Rerolls = lining == Lining.SmallRounds ? 1 : 0,
        });
    }

    private static LayerDraft? Topping(Top top) => top switch
    {
        Top.Crumble => new LayerDraft { Part = Naming.Of(PartKind.Topping), Lines = "90 g Flour, plain\n60 g Butter, unsalted\n60 g Sugar, white" },
        Top.Meringue => new LayerDraft { Part = Naming.Of(PartKind.Topping), Lines = "100 g Egg white\n200 g Sugar, white" },
        _ => null,
    };
}
