using Lumpet.Core.Measures;

namespace Lumpet.Core.Recipes.Writing;

/// <summary>Reads how the dough of a product is cut: by thickness, by its share of the dough, or from a sheet.</summary>
internal static class CrustReader
{
    /// <summary>The crust as written; what follows from a share or a sheet is found by <see cref="Settled"/>.</summary>
    public static Crust Read(FieldChecks checks, ProductDraft draft)
    {
        if (string.IsNullOrWhiteSpace(draft.Top)) checks.Add("top", "What lies on the filling is missing: open, lid, lattice and so on.");
        var top = checks.Word("top", draft.Top, Top.Open);
        var (isLattice, isCutOut) = (top == Top.Lattice, top == Top.CutOuts);
        var lining = checks.Word("lining", draft.Lining, Lining.OnePiece);
        var share = Share(checks, draft, top);
        var strips = isLattice ? StripSheet(checks, draft.StripSheet) : null;
        var gapFollows = strips is not null || share?.Gives == ShareGives.Strips;
        return new Crust(
            top,
            Length.FromMillimetres(share is null ? checks.Number("thicknessMm", draft.ThicknessMm, 1, 15, "mm") : 3),
            Length.FromCentimetres(checks.Number("baseOverhangCm", draft.BaseOverhangCm, 0, 8, "cm")),
            Length.FromCentimetres(checks.Number("topOverhangCm", draft.TopOverhangCm ?? 0, 0, 8, "cm")),
            checks.Number("trimPercent", draft.TrimPercent, 0, 60, "%") / 100,
            Length.FromCentimetres(isLattice && strips is null ? checks.Number("stripWidthCm", draft.StripWidthCm, 0.3, 10, "cm") : strips?.StripWidth.Centimetres ?? Kept(draft.StripWidthCm)),
            Length.FromCentimetres(isLattice && !gapFollows ? checks.Number("stripGapCm", draft.StripGapCm, 0, 10, "cm") : Kept(draft.StripGapCm)))
        {
            TopThickness = draft.TopThicknessMm is null || !IsOfDough(top) ? null : Length.FromMillimetres(checks.Number("topThicknessMm", draft.TopThicknessMm, 1, 15, "mm")),
            Lining = lining,
            CutOutDiameter = Length.FromCentimetres(isCutOut ? checks.Number("cutOutCm", draft.CutOutCm, 1, 30, "cm") : 0),
            CutOuts = isCutOut ? checks.Whole("cutOuts", draft.CutOuts, 1, 200, "cut-outs") : 0,
            CutOutsFromTrim = !isCutOut || (draft.CutOutsFromTrim ?? true),
            Rerolls = lining == Lining.SmallRounds ? checks.Whole("rerolls", draft.Rerolls ?? 1, 0, 2, "times") : 0,
            Share = share,
            StripSheet = strips,
            Sheet = Sheet(checks, draft.Sheet),
            OverhangFromWall = draft.OverhangFromWall ?? false,
        };
    }

    /// <summary>The product with the thickness and the strips that follow; as it is where nothing fits, which is then a fault of the field that says so.</summary>
    public static Product Settled(FieldChecks checks, Product product)
    {
        try
        {
            return DoughSharing.Settled(product);
        }
        catch (ArgumentException exception)
        {
            checks.Add(product.Crust.Share is null ? "stripSheet" : "doughGrams", $"{product.Name}: {exception.Message.Split(" (Parameter", StringSplitOptions.None)[0]}.");
            return product;
        }
    }

    /// <summary>Adds a fault where a shell by the piece is none, or would have to fit several pans.</summary>
    public static void FitsItsShell(FieldChecks checks, Product product)
    {
        if (product.Dough.BoughtShell is null) checks.Add("dough", $"{product.Dough.Name} is no shell: take shells that are made here by the piece, or a dough whose one line is a shell that is bought in, with the weight of one stated at its ingredient.");
        if (product.Sizes.Count > 1) checks.Add("sizes", "A shell by the piece fits one pan: write a recipe for each.");
        if (product.Crust.Share is not null) checks.Add("doughGrams", "A shell by the piece is not divided: say how thick it is.");
    }

    /// <summary>A crust as it would be written.</summary>
    public static ProductDraft Write(Crust crust) => new()
    {
        TopThicknessMm = crust.TopThickness is { } thickness ? Tidy(thickness.Millimetres) : null,
        Top = Naming.Of(crust.Top),
        ThicknessMm = Tidy(crust.Thickness.Millimetres),
        BaseOverhangCm = Tidy(crust.BaseOverhang.Centimetres),
        TopOverhangCm = Tidy(crust.TopOverhang.Centimetres),
        TrimPercent = Tidy(crust.TrimShare * 100),
        StripWidthCm = Tidy(crust.StripWidth.Centimetres),
        StripGapCm = Tidy(crust.StripGap.Centimetres),
        Lining = Naming.Of(crust.Lining),
        CutOutCm = Tidy(crust.CutOutDiameter.Centimetres),
        CutOuts = crust.CutOuts,
        CutOutsFromTrim = crust is { Top: Top.CutOuts, CutOutsFromTrim: false } ? false : null,
        Rerolls = crust.Rerolls,
        DoughGrams = crust.Share is { } share ? Tidy(share.PerPie.Grams) : null,
        BaseSharePercent = crust.Share is { } divided ? Tidy(divided.Base * 100) : null,
        ShareGives = crust.Share is { Gives: not ShareGives.Thickness } gives ? Naming.Of(gives.Gives) : null,
        StripSheet = crust.StripSheet is { } strips ? FormattableString.Invariant($"{Tidy(strips.Width.Centimetres)} x {Tidy(strips.Length.Centimetres)} into {strips.Strips}") : null,
        Sheet = crust.Sheet == SheetLayout.Usual ? null : FormattableString.Invariant($"{Tidy(crust.Sheet.Length.Centimetres)} x {Tidy(crust.Sheet.Width.Centimetres)}"),
        OverhangFromWall = crust.OverhangFromWall ? true : null,
    };

    /// <summary>Whether what lies on the filling is rolled of dough.</summary>
    public static bool IsOfDough(Top top) => top is Top.Lid or Top.Lattice or Top.CutOuts;

    private static DoughShare? Share(FieldChecks checks, ProductDraft draft, Top top)
    {
        if (draft.DoughGrams is null) return null;
        var perPie = Mass.FromGrams(checks.Number("doughGrams", draft.DoughGrams, 5, 20_000, "g"));
        var gives = checks.Word("shareGives", draft.ShareGives, ShareGives.Thickness);
        if (top is not (Top.Lid or Top.Lattice)) return new DoughShare(perPie, 1, ShareGives.Thickness);
        return new DoughShare(perPie, checks.Number("baseSharePercent", draft.BaseSharePercent ?? 50, 10, 90, "%") / 100, top == Top.Lattice ? gives : ShareGives.Thickness);
    }

    private static StripSheet? StripSheet(FieldChecks checks, string? text)
    {
        if (string.IsNullOrWhiteSpace(text)) return null;
        if (SheetText.Strips(text) is { } sheet) return sheet;
        checks.Add("stripSheet", "Write the sides of the sheet in centimetres and into how many strips it is cut: 30 x 40 into 16. Sides are 5 to 150 cm, strips 2 to 80, and a strip is 0.3 to 10 cm wide.");
        return null;
    }

    private static Pans.Outline Sheet(FieldChecks checks, string? text)
    {
        if (string.IsNullOrWhiteSpace(text)) return SheetLayout.Usual;
        if (SheetText.Sides(text) is { } sides) return sides;
        checks.Add("sheet", "Write the sides of the sheet in centimetres: 60 x 40. Sides are 5 to 150 cm.");
        return SheetLayout.Usual;
    }

    private static double Kept(double? centimetres) => centimetres is >= 0 and <= 10 and var value ? value : 0;

    private static double Tidy(double value) => Math.Round(value, 6);
}
