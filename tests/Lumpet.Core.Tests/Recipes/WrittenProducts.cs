using Lumpet.Core.Ingredients;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Steps.Writing;

namespace Lumpet.Core.Tests.Recipes;

/// <summary>A product as a person would write it, with figures worked by hand.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Draft">As written, for the pan of 23 cm unless it says otherwise.</param>
/// <param name="FillingGrams">What of all its fillings goes into one pie in the pan for which it is written.</param>
/// <param name="Bought">An ingredient and what of it is bought for ten such pies, in grams.</param>
/// <param name="Allergens">What it carries.</param>
public sealed record WrittenProduct(string Name, ProductDraft Draft, double FillingGrams, (string Ingredient, double Grams) Bought, string Allergens)
{
    /// <inheritdoc/>
    public override string ToString() => Name;
}

/// <summary>
/// Every family of dough, filling, school, closure and order of steps that the house knows, each entered once. Weights of cups,
/// spoons and pieces are those that ship (USDA FoodData Central, USDA Food Buying Guide); the sums are worked by hand beside them.
/// </summary>
public static class WrittenProducts
{
    /// <summary>The usual doughs, by short names as a bakery gives them.</summary>
    public static IReadOnlyList<DoughFormula> Doughs { get; } =
    [
        .. Demonstration.Doughs.Select(dough => dough with { Id = ShortName.For(dough.Name, []) }),
        DoughReader.Read(UsualDoughs.All[^1] with { Name = "Shells by the piece", Lines = "1 tart shell, bought in" }, "shells-by-the-piece", 1, IngredientLibrary.All).Dough!,
    ];

    /// <summary>What this bakery makes before its pies.</summary>
    public static IReadOnlyList<Ingredient> MadeHere { get; } =
    [
        Made("apple-curd", "Quay curd", PreparationKind.Curd, "4 eggs\n200 g sugar\n120 g butter\n180 g lemon juice", 92),
        Made("roast-roots", "Roast root puree", PreparationKind.Puree, "1000 g sweet potatoes", 68),
        Made("toasted-nuts", "Nuts of the side bake", PreparationKind.Toasted, "1000 g hazelnuts", 95),
        Made("burnt-sauce", "Burnt sugar sauce", PreparationKind.Sauce, "300 g sugar\n250 g cream\n60 g butter", 88),
        // Doughs are made before the pies as well: baked by the piece, or broken up again.
        Made("tart-shells", "Quay tart shells", PreparationKind.Shells, "1000 g sweet tart dough", 90, one: 90),
        Made("crust-crumbs", "Baked crust crumbs", PreparationKind.Toasted, "1000 g short crust 2-1 dough\n50 g brown sugar", 88),
    ];

    /// <summary>All of them.</summary>
    public static IReadOnlyList<WrittenProduct> All { get; } =
    [
        // 1000 + 150 (3/4 cup of 200) + 24 (3 tbsp of 8) + 48; 10 pies x 1000 / 0.78.
        Of("Pear below a lid", Way(FillingKind.RawFruit, Top.Lid), "1000 g pears, pared and cored\n3/4 cup sugar\n3 tbsp corn starch\njuice of 1 lemon", 0.62, 1222, ("pear", 12820.513), "egg, milk, wheat"),
        // 900 + 200 + 32 (1/4 cup of 128), 90 % of it stays; 9000 / 0.61.
        Of("Quince cooked first", Way(FillingKind.PrecookedFruit, Top.Lid) with { Dough = "Very rich flaky" }, "900 g quinces, pared and cored\n1 cup sugar\n1/4 cup corn starch", 0.95, 1132 * 0.9, ("quince", 14754.098), "egg, milk, wheat", kept: 90),
        // 800 + 200, 85 % stays when the juice is boiled down; 8000 / 0.94.
        Of("Plum, its juice boiled down", Way(FillingKind.MaceratedFruit, Top.Lid) with { Dough = "Folded" }, "800 g plums, pitted\n200 g sugar", 0.9, 850, ("plum", 8510.638), "egg, milk, wheat", reduced: 85),
        // 700 + 150 + 250 of 500 g of juice boiled down by half, and all of it to 90 %; 500 / 0.5 x 10 of juice are bought.
        Of("Apricot in boiled juice", Way(FillingKind.PrecookedFruit, Top.Lid), "700 g apricots, pitted\n150 g sugar\n500 g orange juice, boiled down by half", 0.95, 990, ("orange-juice", 5000), "egg, milk, wheat", reduced: 90),
        // 366 (1 1/2 cups of 244) + 75 + 32 (1/4 cup of 128); ten shells are of the dough, not of the layer.
        Of("Cream in shells bought by the piece", Way(FillingKind.CookedCream, Top.Open, Lining.BoughtShell) with { Dough = "Shells by the piece" }, "1 1/2 cups milk\n75 g sugar\n1/4 cup corn starch", 1.05, 473, ("milk", 3660), "egg, milk, wheat"),
        // 30 of the pot of curd in each of ten shells that were baked before: no oven on the day.
        Of("Curd in shells of one's own", Way(FillingKind.Curd, Top.Open, Lining.BoughtShell, BaseTreatment.Plain) with { Dough = "tart-shells", ReferencePan = "10" }, "30 g quay curd", 1.05, 30, ("apple-curd", 300), "egg, milk, wheat"),
        // 700 + 120 on 60 of crumbs that were a dough; 7000 / 0.94.
        Of("Plum on baked crumbs", Way(FillingKind.RawFruit, Top.Lattice), "700 g plums, pitted\n120 g sugar", 0.7, 880, ("plum", 7446.809), "egg, milk, wheat", below: [Filling("60 g baked crust crumbs", FillingKind.PrecookedFruit, 0.6, "Crumbs") with { Law = "floor" }]),
        // 800 + 150; 180 of another dough crumbled over each of ten.
        Of("Raspberry below crumbled dough", Way(FillingKind.Berry, Top.Crumble), "800 g raspberries\n150 g sugar", 0.75, 950, ("dough:nut-enriched", 1800), "egg, milk, nuts, wheat", more: [new() { Part = "topping", Lines = "180 g nut-enriched dough, crumbled" }]),
        // 850 + 200 + 32; 8500 / 0.94.
        Of("Damson below an open lattice", Way(FillingKind.RawFruit, Top.Lattice) with { Dough = "Smeared and stacked" }, "850 g damsons, pitted\n1 cup sugar\n4 tbsp corn starch", 0.8, 1082, ("damson", 9042.553), "egg, milk, wheat"),
        // 900 + 180; 9000 / 0.94. Forty to sixty, as many strips as the sixty give.
        Of("Damson, forty to sixty of the dough", Way(FillingKind.PrecookedFruit, Top.Lattice) with { DoughGrams = 620, BaseSharePercent = 40, ShareGives = "strips", StripWidthCm = 1.2, OverhangFromWall = true, TopThicknessMm = 3 }, "900 g damsons, pitted\n180 g sugar", 0.95, 1080, ("damson", 9574.468), "egg, milk, wheat"),
        // 1000 + 150; 10000 / 0.78. Half of the dough below, a sheet of the other half in sixteen strips above.
        Of("Pear below strips of a sheet", Way(FillingKind.RawFruit, Top.Lattice) with { DoughGrams = 700, StripSheet = "30 x 40 into 16" }, "1000 g pears, pared and cored\n150 g sugar", 0.7, 1150, ("pear", 12820.513), "egg, milk, wheat"),
        // 900 + 100 + 60 ml of water at 237 g a cup, 60.104; 9000 / 0.84. Strips without gaps.
        Of("Cherry below a dense lattice", Way(FillingKind.PrecookedFruit, Top.Lattice) with { Dough = "Raised crostata", StripGapCm = 0 }, "900 g sweet cherries, pitted\n100 g sugar\n60 ml water", 0.95, 1060.104, ("cherry", 10714.286), "egg, milk, wheat"),
        // 700 + 110 (1/2 cup of 220); 7000 / 0.76. Cut-outs of another dough.
        Of("Peach below cut-outs of nut dough", Way(FillingKind.PrecookedFruit, Top.CutOuts) with { TopDough = "Nut-enriched", TopThicknessMm = 4 }, "700 g peaches, pared and pitted\n1/2 cup brown sugar", 0.95, 810, ("peach", 9210.526), "egg, milk, nuts, wheat"),
        // 800 + 150; 8000 / 0.94. The crumble is a layer of its own.
        Of("Gooseberry below crumble", Way(FillingKind.Berry, Top.Crumble) with { Dough = "Mixed fat" }, "800 g gooseberries, topped and tailed\n150 g sugar", 0.75, 950, ("gooseberry", 8510.638), "gluten (oats), milk, wheat", more: [new() { Part = "topping", Lines = "120 g flour\n80 g butter\n70 g brown sugar\n40 g oats" }]),
        // 600 + 300 + 180; 6000 / 0.96. Half of the berries cooked, half raw upon them.
        Of("Raw berries over cooked ones", Way(FillingKind.Berry, Top.Open), "300 g raspberries\n180 g sugar", 0.9, 1080, ("blueberry", 6250), "milk, wheat", name: "Raw", below: [Filling("600 g blueberries, picked over", FillingKind.PrecookedFruit, 0.95, "Cooked")]),
        // 732 (3 cups of 244) + 200 + 150 + 4; nothing is lost of eggs.
        Of("Custard in a part-baked shell", Way(FillingKind.BakedCustard, Top.Open) with { Dough = "Short crust 2-1" }, "3 cups milk\n4 eggs\n3/4 cup sugar\n1 vanilla pod", 1.05, 1086, ("egg", 2000), "egg, milk, wheat"),
        // 500 ml of milk: 500 x 244/236.5882 = 515.664; + 150 + 100. On the floor of the oven, raw base.
        Of("Custard on the oven floor", Way(FillingKind.BakedCustard, Top.Open, Lining.Pressed, BaseTreatment.OvenFloor), "500 ml milk\n3 eggs\n100 g sugar", 1.05, 765.664, ("egg", 1500), "egg, milk, wheat"),
        // 425 (a tin) + 354 (a tin) + 100 + 110.
        Of("Pumpkin of a tin", Way(FillingKind.Puree, Top.Open), "1 tin pumpkin puree\n1 tin evaporated milk\n2 eggs\n1/2 cup brown sugar", 1.05, 989, ("pumpkin-puree", 4250), "egg, milk, wheat"),
        // 450 + 100 + 238 (a cup of cream); what is made here is made of 450 / 0.68 of roots.
        Of("Roots roasted the day before", Way(FillingKind.Puree, Top.Open), "450 g roast root puree\n2 eggs\n1 cup cream", 1.05, 788, ("roast-roots", 4500), "egg, milk, wheat"),
        // 488 + 85 (5 yolks of 17) + 100 + 32 + 200.
        Of("Cream set cold", Way(FillingKind.CookedCream, Top.Open), "2 cups milk\n5 yolks\n1/2 cup sugar\n1/4 cup corn starch\n200 g dark chocolate", 1.05, 905, ("yolk", 850), "egg, milk, wheat"),
        // 700 of curd that was cooked a week ahead; 165 (5 whites of 33) + 300 on top.
        Of("Curd below meringue", Way(FillingKind.Curd, Top.Meringue), "700 g quay curd", 1.05, 700, ("apple-curd", 7000), "egg, milk, wheat", more: [new() { Part = "topping", Lines = "5 whites\n300 g sugar" }]),
        // The same pot of curd by the scoop: 30 g a round, one a mini. Ten minis.
        Of("Curd by the scoop in minis", Way(FillingKind.Curd, Top.Open, Lining.SmallRounds) with { ReferencePan = "10" }, "30 g quay curd", 1.05, 30, ("apple-curd", 300), "egg, milk, wheat", law: "count", pieces: 1),
        // 198 (2 cups of 99) + 341 + 150 + 56.699 (half a stick of 4 oz).
        Of("Pecans in syrup", Way(FillingKind.NutSyrup, Top.Open) with { Dough = "Nut-enriched" }, "2 cups pecans\n1 cup corn syrup\n3 eggs\n1/2 stick butter", 0.9, 745.699, ("pecan", 1980), "egg, milk, nuts, wheat"),
        // 280 of nuts toasted in a side bake + 180 + 150.
        Of("Nuts of a side bake in syrup", Way(FillingKind.NutSyrup, Top.Open, school: BaseTreatment.FullBlind), "280 g nuts of the side bake\n180 g corn syrup\n3 eggs", 0.9, 610, ("toasted-nuts", 2800), "egg, milk, nuts, wheat"),
        // Jam on the floor 60, paste 150 + 150 + 100 + 180, halves 420: 1060; 4200 / 0.93.
        Of("Apricot halves in paste over jam", Way(FillingKind.NutPaste, Top.Open, Lining.FloorAndStrips) with { Dough = "Sweet tart dough" }, "150 g butter\n150 g sugar\n2 eggs\n180 g ground almonds", 0.9, 1060, ("apricot", 4516.129), "egg, milk, nuts, wheat", name: "Paste",
            below: [Filling("60 g apricot jam", FillingKind.PrecookedFruit, 1.3, "Jam") with { Law = "floor" }], above: [Filling("420 g apricots, pitted", FillingKind.RawFruit, 0.85, "Halves") with { Law = "count", Pieces = 12 }]),
        // 1000 / 0.44 for ten pies; 1000 + 200 + 300 ml of milk 309.399.
        Of("Leek and cheese", Way(FillingKind.Savoury, Top.Lid), "1 kg leeks, trimmed\n200 g hard cheese\n300 ml milk", 0.9, 1509.399, ("leek", 22727.273), "egg, milk, wheat"),
        // 700 + 120 + 16 (2 tbsp); the base's own edge is folded over. No pan.
        Of("Plum, folded free-form", Way(FillingKind.RawFruit, Top.Fold, school: BaseTreatment.Plain) with { Dough = "Egg-bound", ReferencePan = "30-free" }, "700 g plums, pitted\n120 g sugar\n2 tbsp corn starch", 0.7, 836, ("plum", 7446.809), "egg, milk, wheat"),
        // 60 + 12; 600 / 0.86. Small rounds from a sheet, set hot and short, with a time of their own.
        Of("Rhubarb minis", Way(FillingKind.PrecookedFruit, Top.Open, Lining.SmallRounds, BaseTreatment.ShortHotSet) with { ReferencePan = "10", Sizes = [new SizeDraft("10", 3.5m, null, 16, 20)] }, "60 g rhubarb, trimmed\n12 g sugar", 0.95, 72, ("rhubarb", 697.674), "milk, wheat"),
        // 1400 + 300; 14000 / 0.76. A slab, on a heated tray, with a lid.
        Of("Peach slab", Way(FillingKind.PrecookedFruit, Top.Lid, school: BaseTreatment.HotTray) with { ReferencePan = "34x24" }, "1400 g peaches, pared and pitted\n300 g sugar", 0.95, 1700, ("peach", 18421.053), "egg, milk, wheat"),
        // 900 + 140; the raw base is sealed with egg white. 9000 / 0.88.
        Of("Strawberries on a sealed base", Way(FillingKind.Berry, Top.Lattice, school: BaseTreatment.Seal), "900 g strawberries, hulled\n140 g sugar", 0.8, 1040, ("strawberry", 10227.273), "egg, milk, wheat", more: [new() { Part = "finish", Lines = "4 g egg white, for sealing" }]),
        // 1400 + 160; 14000 / 0.78. A deep pan of earthenware, let warm before the oven: accepted here.
        Of("Apple in earthenware", Way(FillingKind.RawFruit, Top.Lid) with { ReferencePan = "26-deep" }, "1400 g apples, pared and cored\n160 g sugar", 0.6, 1560, ("apple", 17948.718), "egg, milk, wheat"),
        // 600 + 100; a sauce of 45 stands beside it. 10 x 45 of it.
        Of("Custard with a sauce beside", Way(FillingKind.BakedCustard, Top.Open), "600 g cream\n2 eggs\n90 g sugar", 1.05, 790, ("burnt-sauce", 450), "egg, milk, wheat", more: [new() { Part = "beside", Law = "weight", Name = "Sauce", Lines = "45 g burnt sugar sauce" }]),
        // 800 + 120. Frozen as it stands and thawed in the fridge: two waits in a row before the bake.
        Of("Blueberry, frozen and thawed", Frozen(Way(FillingKind.Berry, Top.Lid)), "800 g blueberries, picked over\n120 g sugar", 0.8, 920, ("blueberry", 8333.333), "egg, milk, wheat"),
        // 600 + 100; the base is bought in by weight.
        Of("Cranberry in bought dough", Way(FillingKind.PrecookedFruit, Top.Open) with { Dough = "Flaky, bought in" }, "600 g cranberries, picked over\n100 g sugar", 0.95, 700, ("cranberry", 6315.789), "milk, wheat"),
        // 425 + 397 (a tin) + 100; browned meringue over a baked puree: 99 + 200 on top.
        Of("Pumpkin below meringue", Way(FillingKind.Puree, Top.Meringue), "1 tin pumpkin puree\n1 tin condensed milk\n2 eggs", 1.05, 922, ("condensed-milk", 3970), "egg, milk, wheat", more: [new() { Part = "topping", Lines = "3 whites\n200 g sugar" }]),
        // 400 + 200 + 150: spirits off the flame. 4 tbsp of rum at 27.8 g for 2: 4 x 13.9 = 55.6.
        Of("Banana and rum cream", Way(FillingKind.CookedCream, Top.Open, school: BaseTreatment.FullBlind), "400 g milk\n200 g bananas, peeled\n3 eggs\n60 g corn starch\n4 tbsp rum", 1.05, 865.6, ("banana", 3076.923), "egg, milk, wheat"),
        // 500 + 250 + 100: cream on top by the area, weighed after whipping.
        Of("Chocolate cream below cream", Way(FillingKind.CookedCream, Top.Open), "500 g milk\n250 g dark chocolate\n2 eggs", 1.05, 850, ("cream", 1500), "egg, milk, wheat", more: [new() { Part = "topping", Law = "top", Lines = "150 g cream" }]),
    ];

    private static Ingredient Made(string id, string name, PreparationKind kind, string madeOf, double kept, double? one = null)
    {
        var stated = IngredientReader.Read(id, new IngredientDraft(name, null, null, null, null, null, null, one is null ? null : [new PieceDraft("one", one, null)], null, null, null, null, null, madeOf, kept, null, UsualMakings.For(kind)), "EUR", new NodaTime.LocalDate(2026, 5, 1), new Pantry([.. IngredientLibrary.All, .. Doughs.Select(dough => dough.AsIngredient())])).Ingredient!;
        // It carries what its parts do.
        return stated.Formula!.Make(stated);
    }

    private static WrittenProduct Of(
        string name, ProductDraft way, string lines, double density, double grams, (string, double) bought, string allergens, double kept = 100, double? reduced = null, string? law = null, int? pieces = null, LayerDraft[]? below = null, LayerDraft[]? above = null, LayerDraft[]? more = null) =>
        Of(name, way, lines, density, grams, bought, allergens, null, kept, reduced, law, pieces, below, above, more);

    private static WrittenProduct Of(
        string product, ProductDraft way, string lines, double density, double grams, (string, double) bought, string allergens, string? name, double kept = 100, double? reduced = null, string? law = null, int? pieces = null, LayerDraft[]? below = null, LayerDraft[]? above = null, LayerDraft[]? more = null)
    {
        var main = Filling(lines, Naming.Known<FillingKind>(way.Review!), density, name) with { KeptPercent = kept, ReducedPercent = reduced, Law = law, Pieces = pieces };
        var draft = way with
        {
            Name = product,
            Dough = ShortName.For(way.Dough ?? "Flaky 3-2-1", []),
            TopDough = way.TopDough is { } top ? ShortName.For(top, []) : null,
            ReferencePan = way.ReferencePan ?? "23",
            Sizes = way.Sizes ?? [new SizeDraft(way.ReferencePan ?? "23", 20m)],
            Review = null,
            Layers = [.. below ?? [], main, .. above ?? [], .. more ?? [], .. way.Top is "lid" or "lattice" or "cutOuts" or "fold" && more is null ? [new LayerDraft { Part = "finish", Lines = "15 g egg, as wash" }] : Array.Empty<LayerDraft>()],
        };
        return new WrittenProduct(product, draft, grams, bought, allergens);
    }

    private static LayerDraft Filling(string lines, FillingKind kind, double density, string? name) =>
        new() { Part = "filling", Lines = lines, FillingKind = Naming.Of(kind), PackedDensity = density, Name = name };

    /// <summary>The usual steps of a way, in a plain crust; the kind of filling is passed on in the notes.</summary>
    private static ProductDraft Way(FillingKind kind, Top top, Lining lining = Lining.OnePiece, BaseTreatment? school = null)
    {
        var treatment = school ?? UsualChains.DefaultBase(kind);
        var (steps, links) = UsualChains.For(kind, treatment, top, lining);
        return new ProductDraft
        {
            Top = Naming.Of(top),
            Lining = Naming.Of(lining),
            BaseTreatment = Naming.Of(treatment),
            ThicknessMm = 3,
            BaseOverhangCm = top == Top.Fold ? 5 : lining == Lining.SmallRounds ? 0.3 : 1.5,
            TopOverhangCm = 1.2,
            TrimPercent = 12,
            StripWidthCm = 2,
            StripGapCm = 1,
            CutOutCm = 4,
            CutOuts = 10,
            Rerolls = 1,
            BakeChangeCm = 0,
            OldestMin = 1440,
            Packaging = "Pie box",
            GlassFromFreezer = true,
            Steps = steps,
            Links = links,
            Review = Naming.Of(kind),
        };
    }

    /// <summary>The same with a freezer and a fridge, one after the other, before the bake.</summary>
    private static ProductDraft Frozen(ProductDraft way)
    {
        var written = new WrittenWay([.. way.Steps!.OfType<StepDraft>()], [.. way.Links!.OfType<LinkDraft>()]);
        var added = StepEditing.Apply(written, StepAct.AddWait, "firm");
        var thaw = added.Steps.Single(step => written.Steps.All(one => one.Id != step.Id));
        return way with
        {
            Steps = [.. added.Steps.Select(step => step.Id == thaw.Id ? step with { Name = "Thaw in the fridge", Station = "cold", Celsius = 4, WaitLeast = 240, WaitAim = 300, WaitMost = 960 } : step)],
            Links = added.Links,
        };
    }
}
