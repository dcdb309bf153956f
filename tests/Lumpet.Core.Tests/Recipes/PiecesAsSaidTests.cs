using CsCheck;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Writing;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Recipes;

/// <summary>Dough as bakers divide it, and strips from a sheet of given sides.</summary>
public sealed class PiecesAsSaidTests
{
    private static Length Cm(double value) => Length.FromCentimetres(value);

    private static Product Cut(Func<Crust, Crust> change, Product? of = null) => DoughSharing.Settled((of ?? Pear) with { Crust = change((of ?? Pear).Crust) });

    private static IReadOnlyList<DoughPiece> Pieces(Product product) => Scaling.Scale(product, product.ReferencePan, 1).Pieces;

    private static DoughShare Of(double grams, double toBase, ShareGives gives = ShareGives.Thickness) => new(Mass.FromGrams(grams), toBase, gives);

    [Fact]
    public void A_dough_for_two_bases_is_rolled_to_about_three_millimetres()
    {
        // 300 g flour, 227 g butter and 118 g water make two bases for 23 cm pans (common practice, no source).
        var one = Cut(crust => crust with { Top = Top.Open, TrimShare = 0, Share = Of((300 + 227 + 118) / 2.0, 1) });
        Assert.Equal(3, one.Crust.Thickness.Millimetres, 0.3);
        // The round of 32.93 cm by hand: 322.5 / (pi/4 x 32.93^2 x 1.2) = 0.3156 cm.
        Assert.Equal(3.156, one.Crust.Thickness.Millimetres, 0.002);
    }

    [Fact]
    public void Half_and_half_gives_base_and_lid_the_same_dough_and_each_its_thickness()
    {
        var product = Cut(crust => crust with { Share = Of(600, 0.5) });
        var pieces = Pieces(product);
        Assert.Equal([300, 300], pieces.Select(piece => Math.Round(piece.Disc.Grams, 6)));
        // The base by hand: 300 g less 12 % of trim on a round of 32.93 cm: 264 / (851.7 x 1.2) = 0.2583 cm.
        Assert.Equal(2.583, product.Crust.Thickness.Millimetres, 0.002);
        // The lid is smaller than the base, so the same dough is thicker on top.
        Assert.True(product.Crust.TopThickness > product.Crust.Thickness);
    }

    [Fact]
    public void Another_pan_keeps_the_thickness_and_takes_more_dough()
    {
        var product = Cut(crust => crust with { Share = Of(600, 0.5) });
        var larger = Scaling.Scale(product, Pan26, 1);
        Assert.Equal(product.Crust.Thickness.Centimetres, larger.Pieces[0].Mass.Grams / larger.Pieces[0].Area.SquareCentimetres / 1.2, 9);
        Assert.True(larger.DoughPerPie.Grams > 700);
    }

    [Fact]
    public void Any_share_of_any_dough_is_used_up_or_refused()
    {
        var tops = new[] { Top.Lid, Top.Lattice, Top.Open };
        var used = 0;
        Gen.Select(Gen.Double[150, 1800], Gen.Double[0.2, 0.8], Gen.Int[0, 2], Gen.OneOfConst(Lining.OnePiece, Lining.FloorAndStrips, Lining.Pressed, Lining.SmallRounds), Gen.Bool).Sample(
            any =>
            {
                var (grams, toBase, top, lining, fromWall) = any;
                Product product;
                try
                {
                    product = Cut(crust => crust with { Top = tops[top], Lining = lining, OverhangFromWall = fromWall, Share = Of(grams, toBase) });
                }
                catch (ArgumentException exception)
                {
                    Assert.Contains("would be rolled to", exception.Message);
                    return;
                }

                Interlocked.Increment(ref used);
                var pieces = Pieces(product);
                Assert.Equal(grams, pieces.Sum(piece => piece.Disc.Grams), 1e-6 * grams);
                Assert.Equal(tops[top] == Top.Open ? grams : grams * toBase, pieces.Where(piece => !piece.IsOnTop).Sum(piece => piece.Disc.Grams), 1e-6 * grams);
                Assert.InRange(product.Crust.Thickness.Millimetres, 1, 15);
            },
            iter: 300);
        Assert.True(used > 100);
    }

    [Fact]
    public void Too_little_dough_says_how_thin_it_would_be()
    {
        // 60 g of which half goes to the base: a tenth of 2.583 mm.
        var refused = Assert.Throws<ArgumentException>(() => Cut(crust => crust with { Share = Of(60, 0.5) }));
        Assert.Contains("30 g for the base would be rolled to 0.26 mm", refused.Message);
        // 2 g are a hundred-and-fiftieth of 300: 0.017 mm.
        Assert.Contains("2 g for the base would be rolled to under 0.1 mm", Assert.Throws<ArgumentException>(() => Cut(crust => crust with { Share = Of(4, 0.5) })).Message);
    }

    [Fact]
    public void As_many_strips_follow_as_come_nearest_to_their_share()
    {
        var product = Cut(crust => crust with { Top = Top.Lattice, StripWidth = Cm(1), Share = Of(700, 0.55, ShareGives.Strips) });
        double OnTop(Product of) => Pieces(of).Where(piece => piece.IsOnTop).Sum(piece => piece.Disc.Grams);
        var each = Pieces(product)[1].Strips.Upright.Count;
        Assert.Equal(each, Pieces(product)[1].Strips.Across.Count);
        // One strip more or less each way comes less near to the 315 g: the gap that would give them, by hand.
        Product With(int strips) => product with { Crust = product.Crust with { StripGap = (Pan23.Footprint.Width / strips) - Cm(1) } };
        Assert.Equal(each + 1, Pieces(With(each + 1))[1].Strips.Upright.Count);
        Assert.True(Math.Abs(OnTop(product) - 315) <= Math.Abs(OnTop(With(each + 1)) - 315));
        Assert.True(Math.Abs(OnTop(product) - 315) <= Math.Abs(OnTop(With(each - 1)) - 315));
        Assert.Null(product.Crust.TopThickness);
    }

    [Fact]
    public void A_sheet_of_given_sides_gives_its_strips_and_is_weighed_whole()
    {
        var product = Cut(crust => crust with { Top = Top.Lattice, TrimShare = 0.12, StripSheet = SheetText.Strips("30 x 40 into 16") });
        var lattice = Pieces(product)[1];
        // 30 / 16 wide, eight each way over a rim of 25 cm: 3.125 from one to the next.
        Assert.Equal(1.875, lattice.StripWidth.Centimetres, 9);
        Assert.Equal([8, 8], new[] { lattice.Strips.Upright.Count, lattice.Strips.Across.Count });
        Assert.Equal(1.25, product.Crust.StripGap.Centimetres, 9);
        // The sheet itself: 30 x 40 x 0.3 cm x 1.2 g/ml.
        Assert.Equal(432, lattice.Disc.Grams, 6);
        Assert.Equal(432 - lattice.Mass.Grams, lattice.Trim.Grams, 6);
        // A third and two thirds of 648 g make the same sheet.
        var shared = Cut(crust => crust with { Share = Of(648, 1 / 3.0) }, product);
        Assert.Equal(3, shared.Crust.TopThickness!.Value.Millimetres, 6);
    }

    [Fact]
    public void A_sheet_that_is_too_short_or_too_coarse_is_refused()
    {
        Assert.Contains("are up to 27.", Assert.Throws<ArgumentException>(() => Cut(crust => crust with { Top = Top.Lattice, StripSheet = SheetText.Strips("20 x 22 into 14") })).Message);
        Assert.Contains("do not lie side by side", Assert.Throws<ArgumentException>(() => Cut(crust => crust with { Top = Top.Lattice, StripSheet = SheetText.Strips("60 x 60 into 20") })).Message);
    }

    [Fact]
    public void Strips_that_fill_the_pan_to_its_edge_are_all_counted()
    {
        // Ten of 2.5 cm lie edge to edge over 25 cm.
        var product = Cut(crust => crust with { Top = Top.Lattice, StripSheet = SheetText.Strips("50 x 50 into 20") });
        Assert.Equal(0, product.Crust.StripGap.Centimetres, 9);
        Assert.Equal(10, Pieces(product)[1].Strips.Upright.Count);
    }

    [Fact]
    public void An_overhang_from_the_wall_counts_the_rim_in()
    {
        var (rim, wall) = (Pieces(Cut(crust => crust)), Pieces(Cut(crust => crust with { OverhangFromWall = true })));
        // A rim of 1 cm on both sides: the rounds are 2 cm less across.
        Assert.Equal(rim[0].Diameter.Centimetres - 2, wall[0].Diameter.Centimetres, 9);
        Assert.Equal(rim[1].Diameter.Centimetres - 2, wall[1].Diameter.Centimetres, 9);
        var strips = Pieces(Cut(crust => crust with { Top = Top.Lattice, OverhangFromWall = true }))[1];
        Assert.Equal(23, strips.Outline.Width.Centimetres, 9);
        // Said as 1 cm more, it is the same base.
        var more = Pieces(Cut(crust => crust with { OverhangFromWall = true, BaseOverhang = crust.BaseOverhang + Cm(1) }));
        Assert.Equal(rim[0].Disc.Grams, more[0].Disc.Grams, 9);
    }

    [Fact]
    public void Wall_strips_and_small_rounds_are_cut_from_the_sheet_that_is_rolled()
    {
        var fluted = Core.Pans.Pan.Round("f", "fluted", Cm(24), Cm(23), Cm(3), Cm(0.3), 4) with { Family = PanFamily.Fluted };
        var tart = Pear with { ReferencePan = fluted, Sizes = [new ProductSize(fluted, null)] };
        DoughPiece Strips(Outline sheet) => Pieces(Cut(crust => crust with { Top = Top.Open, Lining = Lining.FloorAndStrips, Sheet = sheet }, tart))[1];
        // Round the wall 74.8 cm: two lengths of a sheet of 60 cm, one of a sheet of 80, three of 30.
        Assert.Equal([2, 1, 3], new[] { Strips(SheetLayout.Usual).Count, Strips(Outline.Rectangle(Cm(80), Cm(40))).Count, Strips(Outline.Rectangle(Cm(30), Cm(30))).Count });
        // Rounds of 10 cm: 24 of a sheet of 60 x 40, which is 78.5 % of it; one of a sheet of 12 x 12, which is 54.5 %.
        var round = Outline.Circle(Cm(10));
        Assert.Equal(1 - (Math.PI * 25 / 144), SheetLayout.Of(round, 0, Outline.Rectangle(Cm(12), Cm(12))).TrimShare, 9);
        Assert.Throws<ArgumentOutOfRangeException>(() => SheetLayout.Of(round, 0, Outline.Rectangle(Cm(12), Cm(9))));
    }

    [Theory]
    [InlineData("30 x 40 into 16", 40, 30, 16)]
    [InlineData("40x30cm, into 16 strips", 40, 30, 16)]
    [InlineData("36.5 cm × 24 cm into 20", 36.5, 24, 20)]
    public void A_sheet_is_read_as_it_is_written(string text, double length, double width, int strips) =>
        Assert.Equal(new StripSheet(Cm(length), Cm(width), strips), SheetText.Strips(text));

    [Theory]
    [InlineData("30 x 40")]
    [InlineData("30 x 40 into 1")]
    [InlineData("30 x 40 into 200")]
    [InlineData("4 x 40 into 4")]
    [InlineData("30 by 40 into 16")]
    [InlineData("40 x 200 into 16")]
    public void What_is_no_sheet_of_strips_is_none(string text) => Assert.Null(SheetText.Strips(text));

    [Fact]
    public void The_sides_of_a_sheet_are_read_without_strips()
    {
        Assert.Equal(Outline.Rectangle(Cm(70), Cm(45)), SheetText.Sides("45 x 70 cm"));
        Assert.Null(SheetText.Sides("45 x 70 into 8"));
    }
}
