using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Recipes;

public sealed class DoughPieceTests
{
    private static Length Cm(double value) => Length.FromCentimetres(value);

    private static IReadOnlyList<DoughPiece> Pieces(Crust crust, Pan pan) => Scaling.Scale(Pear with { Crust = crust, ReferencePan = pan, Sizes = [new ProductSize(pan, null)] }, pan, 1).Pieces;

    private static readonly Crust Open = Pear.Crust with { Top = Top.Open };

    private static readonly Pan Fluted = Core.Pans.Pan.Round("f", "fluted", Cm(24), Cm(23), Cm(3), Cm(0.3), 4) with { Family = PanFamily.Fluted };

    private static readonly Pan Slab = new(
        "slab", "slab", PanFamily.Slab, PanMaterial.Steel, Outline.Rectangle(Cm(34), Cm(24)), Outline.Rectangle(Cm(32), Cm(22)), Cm(3.5), Cm(0.8), 2);

    [Fact]
    public void A_removable_base_is_lined_with_its_floor_and_strips_along_the_wall()
    {
        var pieces = Pieces(Open with { Lining = Lining.FloorAndStrips, BaseOverhang = Cm(0.5) }, Fluted);
        Assert.Equal(["floor", "wall strips"], pieces.Select(piece => piece.Name));
        Assert.Equal(Math.PI / 4 * 23 * 23, pieces[0].Area.SquareCentimetres, 9);
        // Round the wall's middle pi x 23.5, a centimetre to lap, in two lengths; as high as the slope sqrt(9 + 0.25) and the overhang.
        var round = (Math.PI * 23.5) + 1;
        Assert.Equal(2, pieces[1].Count);
        Assert.Equal(round / 2, pieces[1].Strips.Across[0].Centimetres, 9);
        Assert.Equal(round * (Math.Sqrt(9.25) + 0.5), pieces[1].Area.SquareCentimetres, 6);
    }

    [Fact]
    public void A_pressed_shell_is_what_the_pan_holds_less_the_room_that_is_left()
    {
        // A ring of 20 cm, 4 cm deep, pressed 1 cm thick: pi/4 (20^2 x 4 - 18^2 x 3) ml of dough, worked by hand 493.2 ml. Floor
        // and wall times a centimetre would be 565.5, a seventh too much: the wall's inner side is shorter.
        var ring = Core.Pans.Pan.Round("r", "ring", Cm(20), Cm(20), Cm(4), Length.Zero, 4) with { Family = PanFamily.Straight };
        var piece = Assert.Single(Pieces(Open with { Lining = Lining.Pressed, Thickness = Cm(1) }, ring));
        Assert.Equal(Math.PI / 4 * ((400 * 4) - (324 * 3)) * 1.2, piece.Mass.Grams, 6);
        Assert.Equal(493.2 * 1.2, piece.Mass.Grams, 0.1);
        Assert.Equal(0, piece.Trim.Grams, 9);
    }

    [Fact]
    public void Wall_strips_are_weighed_as_they_lie_on_their_sheet()
    {
        var strips = Pieces(Open with { Lining = Lining.FloorAndStrips, BaseOverhang = Cm(0.5), TrimShare = 0.12 }, Fluted)[1];
        // Two strips of 37.4 x 3.54 cm: 11 of them across the 40 cm of a sheet of 60 x 40, one beside the other.
        var sheet = SheetLayout.Of(Outline.Rectangle(strips.Strips.Across[0], Cm(Math.Sqrt(9.25) + 0.5)), 0);
        Assert.Equal(1 - (sheet.PerSheet * strips.Area.SquareCentimetres / 2 / 2400), strips.Trim / strips.Disc, 9);
        Assert.NotEqual(0.12, strips.Trim / strips.Disc, 3);
    }

    [Fact]
    public void A_disc_is_rolled_larger_than_the_round_that_stays_of_it()
    {
        var piece = Scaling.Scale(Pear, Pan23, 1).Pieces[0];
        // 19.5 + 2 x sqrt(3.5^2 + 1.75^2) + 2 x 1 + 2 x 1.8 = 32.93 cm stay of a disc of which 12 % is trimmed: 32.93 / sqrt(0.88) = 35.10 cm.
        Assert.Equal(32.93, piece.Diameter.Centimetres, 0.01);
        Assert.Equal(35.10, piece.Rolled.Width.Centimetres, 0.01);
        Assert.Equal(piece.Disc.Grams, (piece.Rolled.Area * Cm(0.3) * Flaky.Density).Grams, 6);
    }

    [Fact]
    public void A_lid_of_a_free_form_pie_reaches_down_its_sides()
    {
        // Filling 24 cm across and 2.5 cm high without a mound: over the top 24, down both sides 2.5, and 1.2 on the tray.
        var free = Core.Pans.Pan.Round("free", "free", Cm(24), Cm(24), Cm(2.5), Length.Zero, 4) with { Family = PanFamily.FreeForm };
        Assert.Equal(24 + (2 * 2.5) + (2 * 1.2), DoughPieces.LidOutline(Pear.Crust with { TopOverhang = Cm(1.2) }, free, Length.Zero).Width.Centimetres, 9);
        // In a pan the wall is the pan's.
        Assert.Equal(23 + 2 + (2 * 1.2), DoughPieces.LidOutline(Pear.Crust with { TopOverhang = Cm(1.2) }, Pan23, Length.Zero).Width.Centimetres, 9);
    }

    [Fact]
    public void Small_rounds_without_a_pan_come_from_their_sheet_too()
    {
        var free = Core.Pans.Pan.Round("free", "free", Cm(9), Cm(9), Cm(2), Length.Zero, 24) with { Family = PanFamily.FreeForm };
        var piece = Assert.Single(Pieces(Open with { Lining = Lining.SmallRounds, BaseOverhang = Cm(1), Rerolls = 0 }, free));
        Assert.Equal(SheetLayout.Of(Outline.Circle(Cm(11)), 0).TrimShare, piece.Trim / piece.Disc, 9);
    }

    [Fact]
    public void Cut_outs_are_made_from_the_trim_of_the_base_as_far_as_it_goes()
    {
        var crust = Open with { Top = Top.CutOuts, CutOutDiameter = Cm(5), CutOuts = 14, TrimShare = 0.12 };
        var pieces = Pieces(crust, Pan23);
        var (trim, used) = (pieces[0].Trim.Grams, SheetLayout.Of(Outline.Circle(Cm(5)), 0).UsedShare);
        var one = Math.PI / 4 * 25 * 0.3 * 1.2;
        Assert.Equal((int)Math.Floor(trim * used / one), pieces[1].FromTrim);
        Assert.InRange(pieces[1].FromTrim, 3, 13);
        // Only the others are portioned, with the scraps of their own sheet.
        Assert.Equal((14 - pieces[1].FromTrim) * one / used, pieces[1].Disc.Grams, 6);
        Assert.Equal(pieces[1].Disc.Grams - ((14 - pieces[1].FromTrim) * one), pieces[1].Trim.Grams, 6);
        Assert.Equal(0, Pieces(crust with { CutOutsFromTrim = false }, Pan23)[1].FromTrim);
    }

    [Fact]
    public void A_free_form_base_is_the_filling_and_its_fold()
    {
        var free = Core.Pans.Pan.Round("free", "free", Cm(24), Cm(24), Cm(2.5), Length.Zero, 4) with { Family = PanFamily.FreeForm };
        var piece = Assert.Single(Pieces(Open with { Top = Top.Fold, BaseOverhang = Cm(5) }, free));
        Assert.Equal(34, piece.Diameter.Centimetres, 9);
    }

    [Fact]
    public void A_slab_takes_a_rectangle_and_a_lattice_as_long_as_its_sides()
    {
        var pieces = Pieces(Pear.Crust with { Top = Top.Lattice, StripWidth = Cm(1.5), StripGap = Cm(0.2), TopOverhang = Cm(1) }, Slab);
        // Walls slope 1 cm out over 3.5: sqrt(13.25) = 3.64 each; rim 0.8 and overhang 1.8 on both sides.
        var beyond = Math.Sqrt(13.25) + 0.8 + 1.8;
        Assert.Equal(32 + (2 * beyond), pieces[0].Outline.Length.Centimetres, 9);
        Assert.Equal(22 + (2 * beyond), pieces[0].Outline.Width.Centimetres, 9);
        // Outer rim 35.6 x 25.6: (35.6 + 0.2) / 1.7 = 21 strips of 27.6 across, (25.6 + 0.2) / 1.7 = 15 of 37.6 along.
        Assert.Equal((21, 15), (pieces[1].Strips.Upright.Count, pieces[1].Strips.Across.Count));
        Assert.All(pieces[1].Strips.Upright, strip => Assert.Equal(27.6, strip.Centimetres, 9));
        Assert.All(pieces[1].Strips.Across, strip => Assert.Equal(37.6, strip.Centimetres, 9));
        Assert.Equal(((21 * 27.6) + (15 * 37.6)) * 1.5, pieces[1].Area.SquareCentimetres, 6);
    }

    [Fact]
    public void Cut_outs_cover_the_same_share_of_every_top()
    {
        var crust = Open with { Top = Top.CutOuts, CutOutDiameter = Cm(5), CutOuts = 14 };
        var product = Pear with { Crust = crust };
        Assert.Equal(14, Scaling.Scale(product, Pan23, 1).Pieces[1].Count);
        // 14 x (26 / 23)^2 = 17.9.
        var large = Scaling.Scale(product, Pan26, 1).Pieces[1];
        Assert.Equal(18, large.Count);
        Assert.Equal(18 * Math.PI / 4 * 25, large.Area.SquareCentimetres, 9);
    }

    [Fact]
    public void Small_rounds_are_reckoned_from_their_sheet_and_scraps_rolled_again_save_dough()
    {
        var mini = Core.Pans.Pan.Round("mini", "mini", Cm(7.5), Cm(5), Cm(3), Cm(0.3), 40) with { Family = PanFamily.Mould };
        double Trim(int rerolls)
        {
            var piece = Assert.Single(Pieces(Open with { Lining = Lining.SmallRounds, BaseOverhang = Cm(0.3), Rerolls = rerolls }, mini));
            return piece.Trim / piece.Disc;
        }

        // Rounds of 12.7 cm: a staggered sheet of 60 x 40 holds 4 + 4 + 4 or 5 + 4 + ...; what is used is left out of what is scraps.
        var sheet = SheetLayout.Of(DoughPieces.BaseOutline(Open with { BaseOverhang = Cm(0.3) }, mini), 0);
        Assert.Equal(1 - (sheet.PerSheet * Math.PI / 4 * 12.7 * 12.7 / 2400), sheet.TrimShare, 0.001);
        Assert.Equal(sheet.TrimShare, Trim(0), 9);
        Assert.Equal(sheet.TrimShare * sheet.TrimShare, Trim(1), 9);
        Assert.True(Trim(2) < Trim(1));
    }

    [Fact]
    public void A_round_too_large_for_a_sheet_is_refused() =>
        Assert.Throws<ArgumentOutOfRangeException>(() => SheetLayout.Of(Outline.Circle(Cm(41)), 0));
}
