using Lumpet.Core.Measures;

namespace Lumpet.Core.Recipes;

/// <summary>Finds the thicknesses and the strips that follow from how a recipe divides its dough or cuts its sheet.</summary>
public static class DoughSharing
{
    /// <summary>Thinnest and thickest to which dough is rolled or pressed.</summary>
    public static (Length Thinnest, Length Thickest) Rolled { get; } = (Length.FromMillimetres(1), Length.FromMillimetres(15));

    // Dough goes with thickness, all but exactly: a pressed wall makes the room a little smaller. A few corrections suffice.
    private const int Corrections = 40;

    /// <summary>A product whose crust is cut as it says; the same where it says nothing but thicknesses and gaps.</summary>
    /// <param name="product">A product whose layers and reference pan are known.</param>
    /// <exception cref="ArgumentException">No thickness or number of strips would take the dough; the message says what would come of it.</exception>
    public static Product Settled(Product product)
    {
        if (product.Crust.StripSheet is { } sheet && product.Crust.Top == Top.Lattice) product = CutFromSheet(product, sheet);
        return product.Crust.Share is { } share ? Shared(product, share) : product;
    }

    /// <summary>Strips of a sheet lie half one way and half the other, with equal gaps; an odd one is left over.</summary>
    private static Product CutFromSheet(Product product, StripSheet sheet)
    {
        var settled = WithStrips(product, sheet.Strips / 2, sheet.StripWidth)
            ?? throw new ArgumentException(FormattableString.Invariant($"{sheet.Strips / 2} strips of {sheet.StripWidth.Centimetres:0.0#} cm do not lie side by side on {product.ReferencePan.Name}"));
        var longest = DoughPieces.For(settled, settled.ReferencePan, Length.Zero).SelectMany(piece => piece.IsOnTop ? piece.Strips.All : []).Max();
        return longest <= sheet.Length ? settled : throw new ArgumentException(FormattableString.Invariant(
            $"strips across {product.ReferencePan.Name} are up to {longest.Centimetres:0.0#} cm long, and those of the sheet {sheet.Length.Centimetres:0.##} cm"));
    }

    private static Product Shared(Product product, DoughShare share)
    {
        var isDivided = product.Crust.Top is Top.Lid or Top.Lattice;
        var forBase = share.PerPie * (isDivided ? share.Base : 1);
        product = Rolling(product, forBase, isOnTop: false, "base");
        if (!isDivided) return product;
        var forTop = share.PerPie - forBase;
        if (share.Gives == ShareGives.Thickness || product.Crust.Top == Top.Lid || product.Crust.StripSheet is not null) return Rolling(product, forTop, isOnTop: true, Naming.Of(product.Crust.Top));
        return AsManyStrips(product, forTop);
    }

    /// <summary>The thickness at which the discs of base or top come to a weight.</summary>
    private static Product Rolling(Product product, Mass wanted, bool isOnTop, string what)
    {
        var thickness = Length.FromMillimetres(3);
        for (var at = 0; at < Corrections; at++)
        {
            var taken = Discs(Rolled(thickness), isOnTop);
            if (Math.Abs(taken / wanted - 1) < 1e-12) break;
            thickness = Length.FromMillimetres(Math.Clamp(thickness.Millimetres * (wanted / taken), 0.001, 100));
            if (thickness > DoughSharing.Rolled.Thickest * 2) break;
        }

        if (thickness < DoughSharing.Rolled.Thinnest || thickness > DoughSharing.Rolled.Thickest)
            throw new ArgumentException(FormattableString.Invariant($"{wanted.Grams:0} g for the {what} would be rolled to {(thickness.Millimetres < 0.1 ? "under 0.1" : FormattableString.Invariant($"{thickness.Millimetres:0.0#}"))} mm; dough is rolled to 1 to 15 mm"));
        return Rolled(thickness);

        // What lies on top keeps the thickness that is written for it, or has its own from now on.
        Product Rolled(Length to) => product with { Crust = isOnTop ? product.Crust with { TopThickness = to } : product.Crust with { Thickness = to } };
    }

    /// <summary>As many strips each way as come nearest to the dough that is given them.</summary>
    private static Product AsManyStrips(Product product, Mass wanted)
    {
        var width = product.Crust.StripWidth;
        var most = (int)Math.Floor(product.ReferencePan.Footprint.Width / width);
        return Enumerable.Range(1, Math.Max(1, most)).Select(each => WithStrips(product, each, width)).OfType<Product>()
            .MinBy(cut => Math.Abs((Discs(cut, isOnTop: true) - wanted).Grams))
            ?? throw new ArgumentException(FormattableString.Invariant($"a lattice strip of {width.Centimetres:0.#} cm is wider than the pan"));
    }

    /// <summary>So many strips across the reference pan's width, each in its own band of it; null where they do not fit.</summary>
    private static Product? WithStrips(Product product, int each, Length width)
    {
        var gap = (product.Crust.StripSpan(product.ReferencePan).Width / each) - width;
        return gap < Length.Zero ? null : product with { Crust = product.Crust with { StripWidth = width, StripGap = gap } };
    }

    private static Mass Discs(Product product, bool isOnTop)
    {
        var mound = FillingScale.For(product, product.ReferencePan).Level.Mound;
        return Mass.FromGrams(DoughPieces.For(product, product.ReferencePan, mound).Where(piece => piece.IsOnTop == isOnTop).Sum(piece => piece.Disc.Grams));
    }
}
