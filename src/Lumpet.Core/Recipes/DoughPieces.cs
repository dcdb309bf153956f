using Lumpet.Core.Measures;
using Lumpet.Core.Pans;

namespace Lumpet.Core.Recipes;

/// <summary>Sizes the dough of one pie from its pan.</summary>
public static class DoughPieces
{
    /// <summary>The pieces of one pie: what lines the pan, then what lies on the filling.</summary>
    /// <param name="product">Whose crust is cut; its reference pan sets how much of the top its cut-outs cover.</param>
    /// <param name="pan">The pan it is cut for.</param>
    /// <param name="mound">Height of the filling above the rim; at least 0.</param>
    public static IReadOnlyList<DoughPiece> For(Product product, Pan pan, Length mound)
    {
        var (cut, onTop) = (new Cutting(product.Crust, product.Dough.Density, product.Crust.Thickness) { Shell = product.Dough.BoughtShell }, new Cutting(product.Crust, (product.TopDough ?? product.Dough).Density, product.Crust.TopThickness ?? product.Crust.Thickness));
        DoughPiece[] below = [.. Base(cut, pan)];
        // Trim of one dough is no decoration of another.
        return [.. below, .. Top(onTop, product, pan, mound, product.TopDough is null ? below : []).Select(piece => piece with { IsOnTop = true })];
    }

    /// <summary>Floor, up both walls, over the rim, plus the overhang on both sides; of a free-form pie its floor and the fold.</summary>
    public static Outline BaseOutline(Crust crust, Pan pan)
    {
        if (pan.IsFreeForm) return pan.Bottom.Widened(crust.BaseOverhang);
        var beyond = crust.BaseBeyond(pan);
        return pan.Bottom.Widened(pan.SlantHeight + beyond, pan.SideSlantHeight + beyond);
    }

    /// <summary>
    /// The way over the mound, plus rim and overhang on both sides; of a free-form pie the way down its sides too, since no
    /// pan holds the filling and the lid meets the base on the tray.
    /// </summary>
    public static Outline LidOutline(Crust crust, Pan pan, Length mound)
    {
        var over = pan.Top with { Length = ParabolaArc(pan.Top.Length, mound), Width = ParabolaArc(pan.Top.Width, mound) };
        return pan.IsFreeForm
            ? over.Widened(pan.SlantHeight + crust.TopOverhang, pan.SideSlantHeight + crust.TopOverhang)
            : over.Widened(crust.TopBeyond(pan));
    }

    /// <summary>
    /// Length of a parabola over a chord: with u = 4 height / chord,
    /// chord / 2 * (sqrt(1 + u^2) + asinh(u) / u) (calculus; closed form of the arc-length integral).
    /// </summary>
    public static Length ParabolaArc(Length chord, Length height)
    {
        var u = 4 * height.Centimetres / chord.Centimetres;
        if (u < 1e-9) return chord;
        return chord * ((Math.Sqrt(1 + (u * u)) + (Math.Asinh(u) / u)) / 2);
    }

    private static IEnumerable<DoughPiece> Base(Cutting cut, Pan pan)
    {
        switch (pan.IsFreeForm && cut.Crust.Lining is not (Lining.SmallRounds or Lining.BoughtShell) ? Lining.OnePiece : cut.Crust.Lining)
        {
            case Lining.FloorAndStrips:
                yield return cut.Flat("floor", pan.Bottom);
                yield return WallStrips(cut, pan);
                break;
            case Lining.Pressed:
                // Pressed to an even thickness over floor and wall: what is between the pan and the room that is left. No sheet, no trim.
                var pressed = pan.BrimfulVolume.Millilitres - pan.Lined(cut.Crust.Thickness).LevelVolume.Millilitres;
                yield return cut.Piece("base", pan.Bottom, 1, Strips.None, Length.Zero, Area.FromSquareCentimetres(pressed / cut.Crust.Thickness.Centimetres), trimShare: 0);
                break;
            case Lining.BoughtShell:
                // One shell a pie, of what one weighs; its size is that of the pan it was made for.
                var shell = cut.Shell ?? throw new ArgumentException("its dough is no shell that comes by the piece");
                yield return cut.Piece("shell", pan.Bottom, 1, Strips.None, Length.Zero, pan.Bottom.Area, trimShare: 0) with { Mass = shell, Disc = shell };
                break;
            case Lining.SmallRounds:
                var round = BaseOutline(cut.Crust, pan);
                yield return cut.Piece("base", round, 1, Strips.None, Length.Zero, round.Area, SheetLayout.Of(round, cut.Crust.Rerolls, cut.Crust.Sheet).TrimShare);
                break;
            default:
                yield return cut.Flat("base", BaseOutline(cut.Crust, pan));
                break;
        }
    }

    /// <summary>Strips along the wall, as high as the wall and the overhang, with ends that lap by a centimetre.</summary>
    private static DoughPiece WallStrips(Cutting cut, Pan pan)
    {
        var height = pan.SlantHeight + cut.Crust.BaseOverhang;
        var round = pan.Bottom.Between(pan.Top, 0.5).Perimeter + Length.FromCentimetres(1);
        // A strip longer than a sheet is cut in equal parts.
        var count = (int)Math.Ceiling(round / cut.Crust.Sheet.Length);
        var each = Length.FromCentimetres(round.Centimetres / count);
        var trim = SheetLayout.Of(Outline.Rectangle(each, height), rerolls: 0, cut.Crust.Sheet).TrimShare;
        return cut.Piece("wall strips", pan.Top, count, new Strips([], [.. Enumerable.Repeat(each, count)]), height, round * height, trim);
    }

    private static IEnumerable<DoughPiece> Top(Cutting cut, Product product, Pan pan, Length mound, DoughPiece[] below) => cut.Crust.Top switch
    {
        Recipes.Top.Lid => [cut.Flat("lid", LidOutline(cut.Crust, pan, mound))],
        Recipes.Top.Lattice => [Lattice(cut, pan)],
        Recipes.Top.CutOuts => [CutOuts(cut, product, pan, below)],
        _ => [],
    };

    /// <summary>
    /// As many cut-outs as cover the same share of the top as in the reference pan; at least one. Those that the trim of
    /// the base gives, rolled out once more, are not portioned again; the others come from a sheet.
    /// </summary>
    private static DoughPiece CutOuts(Cutting cut, Product product, Pan pan, DoughPiece[] below)
    {
        var count = Math.Max(1, (int)Math.Round(cut.Crust.CutOuts * (pan.Top.Area / product.ReferencePan.Top.Area), MidpointRounding.AwayFromZero));
        var one = Outline.Circle(cut.Crust.CutOutDiameter);
        var sheet = SheetLayout.Of(one, rerolls: 0, cut.Crust.Sheet);
        var each = one.Area * cut.Thickness * cut.Density;
        var usable = below.Sum(piece => piece.Trim.Grams) * sheet.UsedShare;
        var fromTrim = cut.Crust.CutOutsFromTrim ? (int)Math.Min(count, Math.Floor(usable / each.Grams)) : 0;
        return cut.Piece("cut-outs", one, count, Strips.None, Length.Zero, one.Area * count, sheet.TrimShare) with
        {
            FromTrim = fromTrim,
            Disc = each * (count - fromTrim) / (1 - sheet.TrimShare),
        };
    }

    /// <summary>
    /// As many strips as fit side by side, set symmetrically, both ways; each as long as the pan is where it lies, plus the
    /// overhang at both ends. Of a sheet that is cut into strips each takes one from edge to edge, and no other trim.
    /// </summary>
    private static DoughPiece Lattice(Cutting cut, Pan pan)
    {
        var span = cut.Crust.StripSpan(pan);
        if (Math.Min(span.Length.Centimetres, span.Width.Centimetres) < cut.Crust.StripWidth.Centimetres)
            throw new ArgumentException(FormattableString.Invariant($"a lattice strip of {cut.Crust.StripWidth.Centimetres:0.#} cm is wider than the pan"));
        var strips = new Strips(OneWay(cut.Crust, span.Length, span.Width, span.IsRound), OneWay(cut.Crust, span.Width, span.Length, span.IsRound));
        var area = Area.FromSquareCentimetres(strips.All.Sum(strip => strip.Centimetres) * cut.Crust.StripWidth.Centimetres);
        var lattice = cut.Piece("lattice", span, 1, strips, cut.Crust.StripWidth, area, cut.Crust.TrimShare);
        if (cut.Crust.StripSheet is not { } sheet) return lattice;
        var each = strips.All.Append(sheet.Length).Max() * cut.Crust.StripWidth;
        return lattice with { Disc = each * cut.Thickness * cut.Density * strips.All.Count() };
    }

    private static Length[] OneWay(Crust crust, Length side, Length reach, bool isRound)
    {
        var span = side.Centimetres;
        var pitch = (crust.StripWidth + crust.StripGap).Centimetres;
        // A hair, so that strips which fill the span to the edge are all counted.
        var each = (int)Math.Floor(((span + crust.StripGap.Centimetres) / pitch) + 1e-9);
        return [.. Enumerable.Range(0, each).Select(index =>
        {
            var fromMiddle = (index - ((each - 1) / 2.0)) * pitch;
            var chord = isRound ? Length.FromCentimetres(2 * Math.Sqrt(Math.Max(0, (span * span / 4) - (fromMiddle * fromMiddle)))) : reach;
            return chord + (crust.TopOverhang * 2);
        })];
    }

    private sealed record Cutting(Crust Crust, Density Density, Length Thickness)
    {
        /// <summary>What one bought shell weighs; null where the dough is none.</summary>
        public Mass? Shell { get; init; }

        public DoughPiece Flat(string name, Outline outline) => Piece(name, outline, 1, Strips.None, Length.Zero, outline.Area, Crust.TrimShare);

        public DoughPiece Piece(string name, Outline outline, int count, Strips strips, Length width, Area area, double trimShare)
        {
            var mass = area * Thickness * Density;
            return new DoughPiece(name, outline, count, strips, width, area, mass, mass / (1 - trimShare));
        }
    }
}
